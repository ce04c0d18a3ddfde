package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.DoubleStream;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.rules.WheelGeometry;
import mildtilt.steer.BrakeSteer;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.forces.WeightLift;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Steer axes, trail and toe that make a vehicle run off by itself, and steering by roll; judged by what the rule set
 * calls usual.
 */
final class GeometryChecks {

    /** Less lift lost than this is within what points are measured to, mm. */
    private static final double SINKS = 0.3;

    /** Trail this little below 0 is within what points are measured to, mm. */
    private static final double NO_TRAIL = 1;

    /** Toe this many times what is usual is a stop: the tyres are dragged sideways all the time. */
    private static final double GRAVE_TOE = 3;

    /** Of a limit, what a remedy leaves at most. */
    private static final double WELL_WITHIN = 0.9;

    private final SteerFigures figures;
    private final Optional<SteeredAxle> axle;
    private final WheelGeometry usual;
    private final String set;

    GeometryChecks(Job job, SteerFigures figures) {
        this.figures = figures;
        axle = job.axle();
        usual = job.rules().geometry();
        set = Phrase.name(job.rules().name());
    }

    void look(GuardedAnalysis w) {
        w.check("Whether the weight brings the wheels back", new Element.Knuckles(), this::weight);
        for (Side side : Side.values()) {
            w.check("The " + side.label() + " steer axis", new Element.Knuckles(), all -> {
                trail(side, all);
                axis(side, all);
            });
        }
        w.check("The steer axes left against right", new Element.Knuckles(), this::twins);
        w.check("The toe straight ahead", new Element.TieRods(), this::toe);
        w.check("Roll steer", new Element.TieRods(), this::rollSteer);
        w.check("Brake steer", new Element.BeamElement(), this::brakeSteer);
        w.check("What the gear is fixed to", new Element.GearElement(), this::gearMount);
    }

    private void weight(List<Finding> all) {
        for (Side way : Side.values()) {
            WeightLift lift = Objects.requireNonNull(figures.lift().get(way));
            if (lift.leastMm() < -SINKS) {
                all.add(new Finding(
                        Fault.WEIGHT_TURNS_AWAY,
                        Severity.STOP,
                        new Element.Knuckles(),
                        Phrase.of(
                                "The vehicle's own weight turns the wheels away from straight ahead: turned "
                                        + way.label() + " to {0} of steering wheel, " + "the axle has sunk by {1}.",
                                Quantity.angle(Math.abs(lift.atDeg())),
                                Quantity.length(-lift.leastMm())),
                        Phrase.of(
                                "Weight should lift as the wheels turn, so that it brings them back. Here the steering falls to lock by itself and must be held. The cause is a steer "
                                        + "axis that leans outward at the top, or the wrong way fore and aft. Look whether left and right, or top and bottom, are swapped."),
                        List.of()));
                return;
            }
        }
    }

    private void trail(Side side, List<Finding> all) {
        double trail = figures.knuckle(side).mechanicalTrail();
        double caster = figures.knuckle(side).casterDeg();
        if (trail >= usual.trailMin() && trail <= usual.trailMax()
                || side == Side.RIGHT && alike(all, Fault.TRAIL_RUNS_AWAY)) {
            return;
        }
        boolean behind = trail < -NO_TRAIL;
        Phrase what = behind
                ? Phrase.of(
                        "The " + side.label()
                                + " wheel swings to lock by itself: its steer axis meets the ground {0} behind the tyre's contact point (caster {1}).",
                        Quantity.length(-trail),
                        Quantity.angle(caster))
                : Phrase.of(
                        "The " + side.label() + " wheel's trail is {0} (caster {1}); {2} to {3} is usual.",
                        Quantity.length(trail),
                        Quantity.angle(caster),
                        Quantity.length(usual.trailMin()),
                        Quantity.length(usual.trailMax()));
        all.add(new Finding(
                Fault.TRAIL_RUNS_AWAY,
                behind ? Severity.STOP : Severity.LOOK,
                new Element.Knuckles(),
                side.label(),
                what,
                Phrase.of(
                        behind
                                ? "A wheel trails behind its steer axis as a castor does. With the axis behind it, it swings round to one side as soon as it rolls, the harder the "
                                        + "faster it goes. Lean the tops of the steer axes back."
                                : trail < usual.trailMin()
                                        ? "With so little trail the wheels do not come back by themselves after a turn."
                                        : "So much trail makes the steering heavy, and shakes at speed."),
                List.of()));
    }

    private static boolean alike(List<Finding> all, Fault fault) {
        return all.stream().anyMatch(f -> f.fault() == fault);
    }

    private void axis(Side side, List<Finding> all) {
        KnucklePose k = figures.knuckle(side);
        List<Phrase> off = new ArrayList<>();
        if (k.casterDeg() < usual.casterMinDeg() || k.casterDeg() > usual.casterMaxDeg()) {
            off.add(Phrase.of(
                    "caster {0}, usual {1} to {2}",
                    Quantity.angle(k.casterDeg()),
                    Quantity.angle(usual.casterMinDeg()),
                    Quantity.angle(usual.casterMaxDeg())));
        }
        if (k.kingpinInclinationDeg() < usual.kingpinMinDeg() || k.kingpinInclinationDeg() > usual.kingpinMaxDeg()) {
            off.add(Phrase.of(
                    "kingpin inclination {0}, usual {1} to {2}",
                    Quantity.angle(k.kingpinInclinationDeg()),
                    Quantity.angle(usual.kingpinMinDeg()),
                    Quantity.angle(usual.kingpinMaxDeg())));
        }
        if (Math.abs(k.scrubRadius()) > usual.scrubMax()) {
            off.add(Phrase.of(
                    "scrub radius {0}, usual up to {1} either way",
                    Quantity.length(k.scrubRadius()), Quantity.length(usual.scrubMax())));
        }
        if (off.isEmpty() || side == Side.RIGHT && alike(all, Fault.STEER_AXIS_UNUSUAL)) {
            return;
        }
        Phrase what = Phrase.of("The " + side.label() + " steer axis is outside the usual range: ");
        for (int i = 0; i < off.size(); i++) {
            what = what.then(i == 0 ? "" : "; ").then(off.get(i));
        }
        all.add(new Finding(
                Fault.STEER_AXIS_UNUSUAL,
                Severity.LOOK,
                new Element.Knuckles(),
                side.label(),
                what.then("."),
                Phrase.of(
                        "Caster and inclination bring the wheels back to straight ahead, scrub lets bumps and brakes pull at the hands. A mistyped point shows here first. "
                                + "If that is intended, widen the limits of the rule set \"" + set + "\"."),
                List.of()));
    }

    /** A vehicle pulls to the side where the axes of both sides differ. */
    private void twins(List<Finding> all) {
        double caster = figures.left().casterDeg() - figures.right().casterDeg();
        double inclination =
                figures.left().kingpinInclinationDeg() - figures.right().kingpinInclinationDeg();
        if (Math.max(Math.abs(caster), Math.abs(inclination)) <= usual.apartDeg()) {
            return;
        }
        boolean ofCaster = Math.abs(caster) >= Math.abs(inclination);
        all.add(new Finding(
                Fault.STEER_AXIS_UNUSUAL,
                Severity.LOOK,
                new Element.Knuckles(),
                "apart",
                Phrase.of(
                        "The steer axes of left and right differ by {0} in "
                                + (ofCaster ? "caster" : "kingpin inclination") + "; up to {1} is usual.",
                        Quantity.angle(ofCaster ? Math.abs(caster) : Math.abs(inclination)),
                        Quantity.angle(usual.apartDeg())),
                Phrase.of("The vehicle pulls to the side with less caster, all the time."),
                List.of()));
    }

    private void toe(List<Finding> all) {
        double left = figures.left().toeInDeg();
        double right = figures.right().toeInDeg();
        double worst = Math.abs(left) >= Math.abs(right) ? left : right;
        if (Math.abs(worst) <= usual.toeDeg()) {
            return;
        }
        Optional<Double> reads = figures.ackermannAt20Pct();
        Optional<Double> without = figures.ackermannWithoutToePct();
        Phrase why = Phrase.of(
                "Toe drags the tyres sideways all the time: they wear in no time, and the vehicle wanders. Set it to 0 or slightly in, with the tie rods.");
        if (reads.isPresent() && without.isPresent() && Math.abs(reads.get() - without.get()) > 5) {
            why = why.then(Phrase.of(
                    " It makes Ackermann read {0}; with the wheels straight it is {1}.",
                    Quantity.percent(reads.get()), Quantity.percent(without.get())));
        }
        all.add(new Finding(
                Fault.STATIC_TOE,
                Math.abs(worst) > GRAVE_TOE * usual.toeDeg() ? Severity.STOP : Severity.LOOK,
                new Element.TieRods(),
                Phrase.of(
                        "Straight ahead the wheels are toed " + (worst > 0 ? "in" : "out")
                                + ": left {0}, right {1}; up to {2} each is usual.",
                        Quantity.angle(Math.abs(left)),
                        Quantity.angle(Math.abs(right)),
                        Quantity.angle(usual.toeDeg())),
                why,
                List.of()));
    }

    /** A gear with both tie rods to a beam axle usually sits on the axle; taken as on the frame it is all wrong. */
    private void gearMount(List<Finding> all) {
        axle.filter(a -> a.beam().isPresent() && a.statedGearOn().isEmpty() && !(a.linkage() instanceof DragLink))
                .ifPresent(a -> all.add(new Finding(
                        Fault.GEAR_ASSUMED_ON_FRAME,
                        Severity.LOOK,
                        new Element.GearElement(),
                        Phrase.of(
                                "The gear is treated as fixed to the frame, and both tie rods go from there to a beam axle."),
                        "Nobody has said what it is bolted to. On the axle it goes up, down and round with the wheels, and the column must follow: "
                                + "joint angles, sliding lengths, bump and roll steer are all different then.",
                        List.of(
                                new Remedy(
                                        Phrase.of("Say that the gear is bolted to the axle"),
                                        j -> j.editAxle(x -> x.withStatedGearOn(Optional.of(MountedOn.AXLE)))),
                                new Remedy(
                                        Phrase.of("Say that it is bolted to the frame"),
                                        j -> j.editAxle(x -> x.withStatedGearOn(Optional.of(MountedOn.FRAME))))))));
    }

    private void rollSteer(List<Finding> all) {
        figures.rollSteer()
                .filter(r -> Math.abs(r) > usual.rollSteer())
                .ifPresent(r -> all.add(new Finding(
                        Fault.ROLL_STEER,
                        Severity.LOOK,
                        new Element.TieRods(),
                        Phrase.of(
                                "Roll " + (r > 0 ? "understeer" : "oversteer")
                                        + ": for every degree the body leans, the wheels steer {0} "
                                        + (r > 0 ? "out of" : "into") + " the turn; up to {1} is usual.",
                                Quantity.angle(Math.abs(r)),
                                Quantity.angle(usual.rollSteer())),
                        r > 0
                                ? "Roll understeer makes the vehicle run wide as it leans, and wander over uneven ground."
                                : "Roll oversteer turns the vehicle in farther as it leans; it darts, and in a fast swerve it can spin.",
                        List.of())));
    }

    private void brakeSteer(List<Finding> all) {
        // What keeps an axle on coils from turning is not in the job: NotJudged says so.
        figures.brakeSteer()
                .filter(_ -> axle.flatMap(SteeredAxle::beam).orElseThrow() instanceof LeafSprung)
                .filter(r -> Math.abs(r) > usual.brakeSteer())
                .ifPresent(r -> all.add(new Finding(
                        Fault.BRAKE_STEER,
                        Severity.LOOK,
                        new Element.DrivenRod(),
                        Phrase.of(
                                "For every degree that the brakes wind the axle up on its springs, the wheels steer "
                                        + "{0} to the " + (r > 0 ? "left" : "right") + "; up to {1} is usual.",
                                Quantity.angle(Math.abs(r)),
                                Quantity.angle(usual.brakeSteer())),
                        "Soft leaf springs wind up several degrees under hard braking, and the vehicle pulls to "
                                + "that side just then. Links, radius arms or a brake reaction rod prevent it.",
                        level(r))));
    }

    /**
     * The drag link's end on the axle brought to where it is pulled little enough, and to where it is not pulled at
     * all.
     */
    private List<Remedy> level(double now) {
        return DoubleStream.of(Math.copySign(WELL_WITHIN * usual.brakeSteer(), now), 0)
                .mapToObj(to -> BrakeSteer.drivenEndUp(axle.orElseThrow(), to))
                .flatMap(Optional::stream)
                .distinct()
                .map(up -> new Remedy(
                        Phrase.of(
                                (up > 0 ? "Raise" : "Lower") + " the drag link's end on the axle by {0}",
                                Quantity.length(Math.abs(up))),
                        j -> j.editAxle(a -> a.withDrivenEndRaised(up))))
                .toList();
    }
}
