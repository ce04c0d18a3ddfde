package mildtilt.findings.remedies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import mildtilt.arms.KnuckleEdits;
import mildtilt.findings.Remedy;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Arm lengths, drillings or gear travel that bring the gear's end and the wheel's lock together. */
public final class ArmMoves {

    /** Nobody drills an arm anew for less, mm. */
    private static final double LEAST_CHANGE = 0.5;

    private static final double SHORTEST = 0.35;
    private static final double LONGEST = 2.5;
    private static final int STEPS = 43;
    private static final int HALVINGS = 30;

    /** Lock that may be lost to rounding, degrees of inner wheel. */
    private static final double LOCK_KEPT_DEG = 0.5;

    private ArmMoves() {}

    /**
     * Ways to use the whole gear for the lock there is, or to get the lock from the gear there is. None that meets
     * another
     * limit sooner: a longer arm may tilt a rod end or go over centre before the lock is there. Where the two ways of
     * turning differ the one that needs most of the gear decides, so that neither loses lock.
     */
    public static List<Remedy> forMatch(Job job, ArmMatch match) {
        Side way = match.left().gearUsed() >= match.right().gearUsed() ? Side.LEFT : Side.RIGHT;
        double lock = match.toward(way).innerAllowed();
        List<Remedy> all = new ArrayList<>();
        knuckleArms(job, way, lock).ifPresent(all::add);
        gearArm(job, way, lock).ifPresent(all::add);
        gearTravel(job, match.toward(way).gearUsed()).ifPresent(all::add);
        all.removeIf(r -> !possible(job, r, match, way));
        return all;
    }

    /** Whether there can be such a vehicle, and it keeps its lock. */
    private static boolean possible(Job job, Remedy r, ArmMatch match, Side way) {
        try {
            return keepsLock(r.edit().apply(job), match, way);
        } catch (ImpossibleGeometryException e) {
            return false;
        }
    }

    private static boolean keepsLock(Job changed, ArmMatch before, Side needsMost) {
        SteeringTrain train = new SteeringTrain(changed);
        for (Side way : Side.values()) {
            ArmMatch.Toward was = before.toward(way);
            double wanted = way == needsMost ? was.innerAllowed() : Math.min(was.innerAllowed(), was.innerAtGearEnd());
            double lock = train.pose(
                            LockLimits.of(train, changed, way).getFirst().steeringWheelDeg(), 0, 0)
                    .assembled()
                    .map(p -> way.sign() * p.knuckle(way).steerDeg())
                    .orElse(0.0);
            if (lock < wanted - LOCK_KEPT_DEG) {
                return false;
            }
        }
        return true;
    }

    /**
     * The arms on the knuckles that the gear's side pushes: the drag link's where it ends on one, else both tie rods'.
     */
    private static Optional<Remedy> knuckleArms(Job job, Side way, double lock) {
        SteeredAxle axle = job.axle().orElseThrow();
        boolean drag = axle.dragLinkSide().isPresent();
        if (axle.oneTieRod() && !drag) {
            return Optional.empty();
        }
        BiFunction<Job, Double, Job> scaled =
                drag ? (j, f) -> KnuckleEdits.scaledArm(j, KnuckleArm.DRAG_LINK, f) : KnuckleEdits::scaledArms;
        double now = (drag ? KnuckleArm.DRAG_LINK : KnuckleArm.LEFT_STEERING).length(axle);
        String which = drag ? "the " + KnuckleArm.DRAG_LINK.label(axle) : "both steering arms";
        return factor(job, way, lock, scaled)
                .filter(f -> now * Math.abs(f - 1) >= LEAST_CHANGE)
                .map(f -> new Remedy(
                        Phrase.of(
                                "Make " + which + " {0} long instead of {1} (drill {2} "
                                        + (f < 1 ? "nearer" : "farther from") + " the steer axis)",
                                Quantity.length(now * f),
                                Quantity.length(now),
                                Quantity.length(now * Math.abs(f - 1))),
                        j -> scaled.apply(j, f)));
    }

    private static Optional<Remedy> gearArm(Job job, Side way, double lock) {
        if (!(job.axle().orElseThrow().gear() instanceof ArmGear g)) {
            return Optional.empty();
        }
        return factor(job, way, lock, KnuckleEdits::scaledGearArm)
                .filter(f -> g.armLength() * Math.abs(f - 1) >= LEAST_CHANGE)
                .map(f -> new Remedy(
                        Phrase.of(
                                "Use a gear arm {0} long instead of {1}",
                                Quantity.length(g.armLength() * f), Quantity.length(g.armLength())),
                        j -> KnuckleEdits.scaledGearArm(j, f)));
    }

    private static Optional<Remedy> gearTravel(Job job, double used) {
        return switch (job.axle().orElseThrow().gear()) {
            case RackAndPinion r -> {
                double travel = Math.rint(r.travelEachWay() * used * 10) / 10;
                yield Optional.of(new Remedy(
                        used < 1
                                ? Phrase.of(
                                        "Fit limiters {0} thick to each end of the rack, so that it travels {1} each way",
                                        Quantity.length(r.travelEachWay() - travel), Quantity.length(travel))
                                : Phrase.of(
                                        "Use a rack with {0} of travel each way instead of {1}",
                                        Quantity.length(travel), Quantity.length(r.travelEachWay())),
                        j -> j.editAxle(a -> a.editRack(x -> x.withTravelEachWay(travel)))));
            }
            case ArmGear g -> {
                double sweep = Math.rint(g.sweepEachWayDeg() * used * 10) / 10;
                yield used < 1 && sweep > 0 && sweep < g.sweepEachWayDeg()
                        ? Optional.of(new Remedy(
                                Phrase.of(
                                        "Stop the gear's arm at {0} each way instead of {1}",
                                        Quantity.angle(sweep), Quantity.angle(g.sweepEachWayDeg())),
                                j -> j.editAxle(a -> a.editArmGear(x -> x.withSweepEachWay(sweep)))))
                        : Optional.empty();
            }
        };
    }

    /** The factor nearest to 1 at which the inner wheel has its lock just as the gear meets its end. */
    private static Optional<Double> factor(Job job, Side way, double lock, BiFunction<Job, Double, Job> scaled) {
        for (int i = 1; i <= STEPS; i++) {
            for (int sign : new int[] {-1, 1}) {
                double from = 1 + sign * (i - 1) * 0.035;
                double to = 1 + sign * i * 0.035;
                if (to < SHORTEST || to > LONGEST) {
                    continue;
                }
                OptionalDouble a = lockAt(scaled, job, from, way);
                OptionalDouble b = lockAt(scaled, job, to, way);
                if (a.isPresent() && b.isPresent() && (a.getAsDouble() - lock) * (b.getAsDouble() - lock) <= 0) {
                    return Optional.of(halved(scaled, job, way, lock, from, to, a.getAsDouble() - lock));
                }
            }
        }
        return Optional.empty();
    }

    private static double halved(
            BiFunction<Job, Double, Job> scaled, Job job, Side way, double lock, double from, double to, double fa) {
        double a = from;
        double b = to;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (a + b) / 2;
            OptionalDouble fm = lockAt(scaled, job, mid, way);
            if (fm.isPresent() && (fm.getAsDouble() - lock) * fa > 0) {
                a = mid;
            } else {
                b = mid;
            }
        }
        return (a + b) / 2;
    }

    private static OptionalDouble lockAt(BiFunction<Job, Double, Job> scaled, Job job, double factor, Side way) {
        try {
            SteeringTrain train = new SteeringTrain(scaled.apply(job, factor));
            return train.pose(train.stopDeg(way).orElseThrow(), 0, 0)
                    .assembled()
                    .map(p -> OptionalDouble.of(way.sign() * p.knuckle(way).steerDeg()))
                    .orElseGet(OptionalDouble::empty);
        } catch (ImpossibleGeometryException e) {
            return OptionalDouble.empty();
        }
    }
}
