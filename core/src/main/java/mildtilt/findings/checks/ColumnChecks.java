package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.clocking.BestClocking;
import mildtilt.clocking.EvenFeel;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Column;
import mildtilt.column.FollowingColumn;
import mildtilt.column.ForkSetting;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.AxleFollowing;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnFigures.Turning;
import mildtilt.columnrange.ColumnRange;
import mildtilt.columnrange.GearTilt;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.findings.remedies.JointMoves;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Faults of the column: angles, room, clocking, support. */
final class ColumnChecks {

    /** A joint this near its limit wants a look, degrees: a bracket is seldom tacked truer. */
    private static final double NEAR_LIMIT = 2;

    /** Ripple this many times the wanted is a stop: the wheel is felt to catch. */
    private static final double GRAVE_RIPPLE = 3;

    /** A clocking that gains less than this is not worth a cut, percent points of ripple. */
    private static final double WORTHWHILE_GAIN = 0.5;

    /** Left and right this near to each other are called alike, percent. */
    private static final double ALIKE = 0.5;

    /** Faces this little in each other may be a reading's rounding, mm. */
    private static final double FACES_MEET = 0.05;

    /** Left between two faces that are moved apart, mm. */
    private static final double ROOM = 5;

    /** A rack turned by less is not turned, degrees. */
    private static final double TURNED = 0.05;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;

    ColumnChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        for (int i = 0; i < column.joints().size(); i++) {
            int joint = i;
            w.check("The angle of " + column.joints().get(i).name(), new Element.JointAt(i), all -> angle(joint, all));
        }
        for (int i = 0; i < column.shafts().size(); i++) {
            int shaft = i;
            w.check("The room for " + column.shafts().get(i).name(), new Element.ShaftAt(i), all -> room(shaft, all));
        }
        figures.turning().ifPresent(t -> {
            w.check("The column's ripple", new Element.Wheel(), all -> ripple(t, all));
            w.check("How even left and right are", new Element.Wheel(), all -> lopsided(t, all));
        });
    }

    private void angle(int index, List<Finding> all) {
        Joint joint = column.joints().get(index);
        double now = figures.jointAnglesDeg().get(index);
        ColumnRange.JointRange range = figures.range().joints().get(index);
        double deg = range.worstDeg();
        double limit = figures.limitsDeg().get(index);
        double over = deg - limit;
        Element where = new Element.JointAt(index);
        List<Remedy> moves = over > 0
                ? Stream.concat(JointMoves.withinLimits(job).stream(), turnedRack().stream())
                        .toList()
                : List.of();
        String noMove = moves.isEmpty()
                ? " Moving one joint is not enough: move two, or share the bend among more joints."
                : "";
        String when = range.at().isEmpty() ? "" : " with the " + range.at();
        String whose = limit < joint.maxAngleDeg() ? "the rule set's limit" : "its limit";
        boolean locked = Math.toRadians(now) > joint.kind().lockUpAngle() - 1e-6;
        if (locked) {
            all.add(new Finding(
                    Fault.JOINT_LOCKED,
                    Severity.STOP,
                    where,
                    Phrase.of(Phrase.name(joint.name()) + " is at {0} and can't turn at all.", Quantity.angle(now)),
                    "A single joint passes no rotation at a right angle or beyond: the column is solid." + noMove,
                    moves));
        } else if (over > 0) {
            all.add(new Finding(
                    Fault.JOINT_OVER_LIMIT,
                    Severity.STOP,
                    where,
                    Phrase.of(
                            Phrase.name(joint.name())
                                    + (limit < joint.maxAngleDeg() && deg <= joint.maxAngleDeg()
                                            ? " is bent too far"
                                            : " binds")
                                    + when + ": {0}, which is {1} over " + whose + " of {2}.",
                            Quantity.angle(deg),
                            Quantity.angle(over),
                            Quantity.angle(limit)),
                    (joint.kind() instanceof JointKind.Coupling
                                    ? "Beyond its limit a coupling tears its disc, a little in every turn."
                                    : "Beyond its limit the ears of one fork strike the other, twice in every turn. It may catch "
                                            + "under load, wear fast, or crack a fork.")
                            + noMove,
                    moves));
        } else if (over > -Math.min(NEAR_LIMIT, 0.1 * limit)) {
            all.add(new Finding(
                            Fault.JOINT_OVER_LIMIT,
                            Severity.LOOK,
                            where,
                            Phrase.of(
                                    Phrase.name(joint.name()) + " at {0}" + when + " is only {1} inside " + whose
                                            + " of {2}.",
                                    Quantity.angle(deg),
                                    Quantity.angle(-over),
                                    Quantity.angle(limit)),
                            "A bracket tacked a degree out, or the frame flexing, would take it over.",
                            List.of())
                    .titled(joint.name() + " close to its limit"));
        }
    }

    /** A rack can be turned in its clamps without touching a rod: as far as leaves the joints most to spare. */
    private Optional<Remedy> turnedRack() {
        return figures.tilt()
                .get()
                .flatMap(t -> t.suits().stream().max(Comparator.comparingDouble(GearTilt.Stretch::spareDeg)))
                .filter(s -> Math.abs(s.bestDeg()) > TURNED)
                .map(s -> new Remedy(
                        Phrase.of(
                                "Turn the rack {0} in its clamps, the top of its input "
                                        + (s.bestDeg() > 0 ? "forward" : "back"),
                                Quantity.angle(Math.abs(s.bestDeg()))),
                        j -> GearTilt.tilted(j, s.bestDeg())));
    }

    /** What a shaft's ends sit in must not stand in each other, whether the shaft is cut or used as it comes. */
    private void room(int index, List<Finding> all) {
        double faces = column.faceGap(index);
        double cut = figures.cutLengths().get(index);
        String name = Phrase.name(column.shafts().get(index).name());
        if (faces < -FACES_MEET) {
            all.add(new Finding(
                    Fault.NO_ROOM_FOR_SHAFT,
                    Severity.STOP,
                    new Element.ShaftAt(index),
                    Phrase.of(
                            "No room for " + name
                                    + ": {0} between centres, and the faces of what its ends go into overlap by {1}.",
                            Quantity.length(figures.shaftLengths().get(index)),
                            Quantity.length(-faces)),
                    "Two forks can't be in one place. Move the centres apart, use shorter forks, or join the fittings directly.",
                    farther(index, -faces)));
        } else if (cut <= 0 && column.shafts().get(index).toCut()) {
            all.add(new Finding(
                    Fault.NO_ROOM_FOR_SHAFT,
                    Severity.STOP,
                    new Element.ShaftAt(index),
                    Phrase.of(
                            "No room for " + name + ": {0} between centres leave nothing of it.",
                            Quantity.length(figures.shaftLengths().get(index))),
                    "Move the centres apart or join the fittings directly.",
                    List.of()));
        }
        meetsCross(index, true, all);
        meetsCross(index, false, all);
    }

    /** The joint at the end that is free to move, along the shaft. */
    private List<Remedy> farther(int index, double by) {
        double more = Math.ceil(by + ROOM);
        int joint = index == column.joints().size() ? index - 1 : index;
        if (column.joints().isEmpty()) {
            return List.of();
        }
        Vector along = column.axis(index).times(joint == index ? more : -more);
        Column moved = column.editJoint(joint, x -> x.withCentre(x.centre().plus(along)));
        return moved.faceGap(index) >= 0
                        && IntStream.range(0, moved.shafts().size())
                                .allMatch(i -> moved.faceGap(i) >= Math.min(0, column.faceGap(i)))
                ? List.of(new Remedy(
                        Phrase.of(
                                "Move " + Phrase.name(column.joints().get(joint).name()) + " {0} along "
                                        + Phrase.name(column.shafts().get(index).name())
                                        + (joint == index ? ", toward the gear" : ", toward the wheel"),
                                Quantity.length(more)),
                        j -> j.editColumn(c ->
                                c.editJoint(joint, x -> x.withCentre(x.centre().plus(along))))))
                : List.of();
    }

    /** An end that goes in farther than the joint's centre meets its cross. */
    private void meetsCross(int index, boolean gearEnd, List<Finding> all) {
        YokeDimensions fit = gearEnd ? column.gearEndFit(index) : column.wheelEndFit(index);
        boolean atJoint = gearEnd ? index < column.joints().size() : index > 0;
        if (!atJoint || fit.takeOff() == 0 || fit.engagement() <= fit.takeOff()) {
            return;
        }
        String joint =
                Phrase.name(column.joints().get(gearEnd ? index : index - 1).name());
        all.add(new Finding(
                Fault.NO_ROOM_FOR_SHAFT,
                Severity.STOP,
                new Element.ShaftAt(index),
                gearEnd ? "gear-end cross" : "wheel-end cross",
                Phrase.of(
                        "The " + (gearEnd ? "gear" : "wheel") + " end of "
                                + Phrase.name(column.shafts().get(index).name()) + " goes {0} into " + joint
                                + ", past its centre: from face to centre there are {1}.",
                        Quantity.length(fit.engagement()),
                        Quantity.length(fit.takeOff())),
                Phrase.of("It meets the cross and the other fork, and the joint can't bend or turn."),
                List.of(new Remedy(
                        Phrase.of(
                                "Let it go in {0}, to the usual two thirds",
                                Quantity.length(Math.floor(fit.takeOff() * 2 / 3))),
                        j -> j.editColumn(c -> {
                            double mm = Math.floor(fit.takeOff() * 2 / 3);
                            return gearEnd
                                    ? c.editGearEndFit(index, f -> f.withEngagement(mm))
                                    : c.editWheelEndFit(index, f -> f.withEngagement(mm));
                        })))));
    }

    private void ripple(Turning turning, List<Finding> all) {
        double ripple = turning.transfer().ripplePct();
        double wanted = Math.min(job.targets().ripplePct(), job.rules().ripplePct());
        if (ripple <= wanted) {
            figures.following()
                    .flatMap(AxleFollowing::worstRipplePct)
                    .filter(worst -> worst > wanted)
                    .ifPresent(worst -> all.add(rippleOverTravel(worst, wanted)));
            return;
        }
        double best = turning.best().ripplePct();
        boolean clockedWrong = ripple - best > WORTHWHILE_GAIN;
        String cause = !clockedWrong
                ? " No clocking of these shafts makes it less."
                : best <= wanted
                        ? " The forks are clocked wrong."
                        : " The forks are clocked wrong; the best clocking leaves {2}.";
        all.add(new Finding(
                Fault.RIPPLE,
                ripple > GRAVE_RIPPLE * wanted ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(worstClocked(turning)),
                Phrase.of(
                        "The column turns unevenly: ripple {0}, wanted {1}." + cause,
                        Quantity.percent(ripple),
                        Quantity.percent(wanted),
                        Quantity.percent(best)),
                "Twice in every turn the road wheels run ahead of the steering wheel and then behind it: the wheel "
                        + "feels as if it catches, and it does not feel the same to left and right.",
                clockings(turning)));
    }

    private Finding rippleOverTravel(double worst, double wanted) {
        return new Finding(
                Fault.RIPPLE,
                worst > GRAVE_RIPPLE * wanted ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(FollowingColumn.slidingShaft(column)),
                Phrase.of(
                        "With the axle moved the column turns unevenly: ripple {0} at the worst, wanted {1}.",
                        Quantity.percent(worst), Quantity.percent(wanted)),
                "The gear is on the axle, so the joints' angles change with the travel, and forks that cancel at ride height do not "
                        + "cancel away from it. A longer sliding shaft changes its angles less.",
                List.of());
    }

    private void lopsided(Turning turning, List<Finding> all) {
        EvenFeel feel = turning.feel();
        double wanted = Math.min(job.targets().ripplePct(), job.rules().ripplePct());
        // Where the forks are yet to be clocked, that comes first and changes this.
        if (Math.abs(feel.leftRightPct()) <= wanted / 2
                || turning.transfer().ripplePct() > wanted
                        && turning.transfer().ripplePct() - turning.best().ripplePct() > WORTHWHILE_GAIN) {
            return;
        }
        List<Remedy> remedies = feel.choices().stream()
                .filter(c -> Math.abs(c.leftRightPct()) < Math.abs(feel.leftRightPct()) / 2)
                .map(c -> new Remedy(
                        Phrase.of(
                                "Turn the whole train {0} " + (c.turnDeg() >= 0 ? "clockwise" : "anticlockwise")
                                        + " in hub and gear, wheel and gear left where they are: "
                                        + (Math.abs(c.leftRightPct()) > ALIKE
                                                ? "{1} apart then, as the hub's teeth fall, "
                                                : "alike both ways, ")
                                        + c.middle().label(),
                                Quantity.angle(Math.abs(c.turnDeg())),
                                Quantity.percent(Math.abs(c.leftRightPct()))),
                        j -> j.editColumn(k -> k.withFirstForkDeg(c.firstForkDeg()))))
                .toList();
        String quicker = feel.leftRightPct() > 0 ? "left" : "right";
        all.add(new Finding(
                Fault.LOPSIDED,
                Severity.LOOK,
                new Element.Wheel(),
                Phrase.of(
                        "The wheel feels quicker to the " + quicker + " than the other way: {0} apart.",
                        Quantity.percent(Math.abs(feel.leftRightPct()))),
                "The ripple that is left lies to one side of straight ahead. Clocking the whole train brings it round so that both "
                        + "ways feel alike; quicker in the middle darts on the straight, slower in the middle is calm there and quick on lock.",
                remedies));
    }

    /** The shaft whose own re-clocking gains most; the first shaft between joints if none gains. */
    private int worstClocked(Turning turning) {
        int worst = Math.min(1, column.joints().size());
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < turning.bestEach().size(); i++) {
            if (turning.bestEach().get(i).ripplePct() < least) {
                least = turning.bestEach().get(i).ripplePct();
                worst = i + 1;
            }
        }
        return worst;
    }

    private List<Remedy> clockings(Turning turning) {
        List<Remedy> all = new ArrayList<>();
        double now = turning.transfer().ripplePct();
        double bestOfOne = now;
        for (int i = 0; i < turning.bestEach().size(); i++) {
            BestClocking best = turning.bestEach().get(i);
            if (now - best.ripplePct() > WORTHWHILE_GAIN) {
                int shaft = i + 1;
                double deg = best.clockingDeg().get(i);
                all.add(new Remedy(clockingOrder(shaft, deg), j -> j.editColumn(c -> clocked(c, shaft, deg))));
                bestOfOne = Math.min(bestOfOne, best.ripplePct());
            }
        }
        if (turning.bestEach().size() > 1 && bestOfOne - turning.best().ripplePct() > WORTHWHILE_GAIN) {
            List<Double> every = turning.best().clockingDeg();
            all.add(new Remedy(
                    Phrase.of("Set all forks to the clocking worked out for the whole column"),
                    j -> j.editColumn(c -> {
                        Column changed = c;
                        for (int i = 0; i < every.size(); i++) {
                            changed = clocked(changed, i + 1, every.get(i));
                        }
                        return changed;
                    })));
        }
        return all;
    }

    private Phrase clockingOrder(int shaft, double deg) {
        String name = Phrase.name(column.shafts().get(shaft).name());
        if (ForkMark.isInLine(deg)) {
            return Phrase.of("Set the two forks of " + name + " in line");
        }
        String how =
                switch (column.setting(shaft)) {
                    case ForkSetting.Stepped _ ->
                        ForkMark.of(column, shaft, deg).teeth().isPresent()
                                ? ": " + ForkMark.of(column, shaft, deg).teethText()
                                : ", the nearest step its ends allow";
                    case ForkSetting.AnyAngle _, ForkSetting.Fixed _ -> "";
                };
        return Phrase.of(
                "Clock the gear-end fork of " + name + " {0} " + ForkMark.way(deg)
                        + " from its wheel-end fork, seen from the wheel end" + how,
                Quantity.angle(Math.abs(deg)));
    }

    private static Column clocked(Column c, int shaft, double deg) {
        return c.withShaft(shaft, c.shafts().get(shaft).withClockingDeg(deg));
    }
}
