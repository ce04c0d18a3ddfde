package mildtilt.check;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnFigures;
import mildtilt.column.ColumnFigures.Turning;
import mildtilt.column.DoubleJoint;
import mildtilt.column.ForkSetting;
import mildtilt.column.Joint;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;

/** Faults of the column: angles, room, clocking, support. */
final class ColumnChecks {

    /** A joint this near its limit wants a look, degrees: a bracket is seldom tacked truer. */
    private static final double NEAR_LIMIT = 2;

    /** Ripple this many times the wanted is a stop: the wheel is felt to catch. */
    private static final double GRAVE_RIPPLE = 3;

    /** A clocking that gains less than this is not worth a cut, percent points of ripple. */
    private static final double WORTHWHILE_GAIN = 0.5;

    /** A fork this near to in line is marked in line, degrees. */
    private static final double IN_LINE = 0.05;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;

    ColumnChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
    }

    List<Finding> findings() {
        List<Finding> all = new ArrayList<>();
        for (int i = 0; i < column.joints().size(); i++) {
            angle(i, all);
        }
        for (int i = 0; i < column.shafts().size(); i++) {
            room(i, all);
        }
        figures.turning().ifPresent(t -> ripple(t, all));
        support(all);
        return all;
    }

    private void angle(int index, List<Finding> all) {
        Joint joint = column.joints().get(index);
        double deg = figures.jointAnglesDeg().get(index);
        double over = deg - joint.maxAngleDeg();
        Element where = new Element.JointAt(index);
        List<Remedy> moves = over > 0 ? JointMoves.withinLimits(job) : List.of();
        String noMove = moves.isEmpty()
                ? " No move of one joint alone cures it: move two, or share the bend among more joints." : "";
        boolean locked = Math.toRadians(deg) > joint.lockUpAngle() - 1e-6;
        if (locked) {
            all.add(new Finding(Fault.JOINT_LOCKED, Severity.STOP, where,
                    Phrase.of(joint.name() + " stands at {0} and can't turn at all.", Quantity.angle(deg)),
                    "A single joint passes no rotation at a right angle or beyond: the column is solid." + noMove,
                    moves));
        } else if (over > 0) {
            all.add(new Finding(Fault.JOINT_OVER_LIMIT, Severity.STOP, where,
                    Phrase.of(joint.name() + " binds: {0}, which is {1} over its limit of {2}.",
                            Quantity.angle(deg), Quantity.angle(over), Quantity.angle(joint.maxAngleDeg())),
                    "Beyond its limit the ears of one fork strike the other, twice in every turn. It may catch "
                            + "under load, wear fast, or crack a fork." + noMove,
                    moves));
        } else if (over > -NEAR_LIMIT) {
            all.add(new Finding(Fault.JOINT_OVER_LIMIT, Severity.LOOK, where,
                    Phrase.of(joint.name() + " at {0} is only {1} inside its limit of {2}.",
                            Quantity.angle(deg), Quantity.angle(-over), Quantity.angle(joint.maxAngleDeg())),
                    "A bracket tacked a degree out, or the frame flexing, would take it over.",
                    List.of()));
        }
    }

    private void room(int index, List<Finding> all) {
        double cut = figures.cutLengths().get(index);
        if (cut > 0 || !column.shafts().get(index).toCut()) {
            return;
        }
        all.add(new Finding(Fault.NO_ROOM_FOR_SHAFT, Severity.STOP, new Element.ShaftAt(index),
                Phrase.of("No room for " + column.shafts().get(index).name()
                                + ": {0} between centres, and the fittings at its ends take more.",
                        Quantity.length(figures.shaftLengths().get(index))),
                "The two fittings would overlap. Move the centres apart or join the fittings directly.",
                List.of()));
    }

    private void ripple(Turning turning, List<Finding> all) {
        double ripple = turning.transfer().ripplePct();
        double wanted = job.targets().ripplePct();
        if (ripple <= wanted) {
            return;
        }
        double best = turning.best().ripplePct();
        boolean clockedWrong = ripple - best > WORTHWHILE_GAIN;
        String cause = clockedWrong ? " The forks are clocked wrong." : " No clocking of these shafts makes it less.";
        all.add(new Finding(Fault.RIPPLE, ripple > GRAVE_RIPPLE * wanted ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(worstClocked(turning)),
                Phrase.of("The column turns unevenly: ripple {0}, wanted {1}." + cause,
                        Quantity.percent(ripple), Quantity.percent(wanted)),
                "Twice in every turn the road wheels run quick and then slow against the hands: the wheel "
                        + "feels as if it catches, and it does not feel the same to left and right.",
                clockings(turning)));
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
            all.add(new Remedy(Phrase.of("Set all forks to the clocking worked out for the whole column"),
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
        String name = column.shafts().get(shaft).name();
        if (Math.abs(deg) < IN_LINE) {
            return Phrase.of("Set the two forks of " + name + " in line");
        }
        String way = deg >= 0 ? "clockwise" : "anticlockwise";
        String how = switch (column.shafts().get(shaft).setting()) {
            case ForkSetting.Stepped _ -> ", the nearest step its end allows";
            case ForkSetting.AnyAngle _, ForkSetting.Fixed _ -> "";
        };
        return Phrase.of("Clock the gear-end fork of " + name
                + " {0} " + way + " from its wheel-end fork, seen from the wheel end" + how,
                Quantity.angle(Math.abs(deg)));
    }

    private static Column clocked(Column c, int shaft, double deg) {
        return c.withShaft(shaft, c.shafts().get(shaft).withClockingDeg(deg));
    }

    private void support(List<Finding> all) {
        // Hub bearings hold the first shaft and the gear the last; two joints leave one shaft held at both ends.
        int floating = column.joints().size() - 2;
        boolean doubles = column.joints().stream().anyMatch(DoubleJoint.class::isInstance);
        if (floating > 0) {
            all.add(new Finding(Fault.SHAFT_FLOATS, Severity.LOOK, new Element.ShaftAt(1),
                    Phrase.of("With " + column.joints().size() + " joints the column needs " + floating
                            + (floating == 1 ? " bearing" : " bearings") + " between the first and the last joint."),
                    "Without one the joints between fold under load like a chain. This job does not hold "
                            + "bearings yet: plan and check each one on the vehicle.",
                    List.of()));
        } else if (doubles && column.joints().size() > 1) {
            all.add(new Finding(Fault.SHAFT_FLOATS, Severity.LOOK, new Element.ShaftAt(1),
                    Phrase.of("A double joint needs a bearing on the shaft beside it."),
                    "Its centre is free to wander unless the shafts on both sides are held in line. This job "
                            + "does not hold bearings yet: plan and check it on the vehicle.",
                    List.of()));
        }
    }
}
