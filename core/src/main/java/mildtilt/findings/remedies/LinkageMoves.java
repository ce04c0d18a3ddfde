package mildtilt.findings.remedies;

import java.util.List;
import java.util.Optional;
import mildtilt.findings.Remedy;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId.OnCorner;
import mildtilt.linkage.SteeredAxle;
import mildtilt.steer.BumpSteer;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.TurnGeometry;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Moves of the tie-rod points and of the gear that cure Ackermann or bump steer, found by search. */
public final class LinkageMoves {

    private static final double FARTHEST_ARM_MOVE = 60;
    private static final double FARTHEST_RACK_MOVE = 60;
    private static final double FINEST = 0.5;

    private LinkageMoves() {}

    /** Both tie-rod points in or out until Ackermann at 20 degrees is as wanted; empty if nothing near does it. */
    public static List<Remedy> forAckermann(Job job, double wantedPct) {
        Optional<Double> now = ackermann(job, 0);
        if (now.isEmpty()) {
            return List.of();
        }
        double sign = Math.signum(wantedPct - now.get());
        for (double step = 4; step <= FARTHEST_ARM_MOVE; step += 4) {
            for (int way : new int[] {-1, 1}) {
                Optional<Double> there = ackermann(job, way * step);
                if (there.isPresent() && (there.get() - wantedPct) * sign >= 0) {
                    double out = way * firstThatReaches(job, way, step - 4, step, wantedPct, sign);
                    return List.of(new Remedy(
                            Phrase.of(
                                    "Move both tie-rod points {0} " + (out > 0 ? "outboard" : "inboard")
                                            + "; see that they clear the rims",
                                    Quantity.length(Math.abs(out))),
                            j -> armsMoved(j, out)));
                }
            }
        }
        return List.of();
    }

    private static double firstThatReaches(Job job, int way, double low, double high, double wanted, double sign) {
        for (double d = low; d < high; d += FINEST) {
            Optional<Double> there = ackermann(job, way * d);
            if (there.isPresent() && (there.get() - wanted) * sign >= 0) {
                return d;
            }
        }
        return high;
    }

    private static Optional<Double> ackermann(Job job, double outboard) {
        try {
            Job moved = armsMoved(job, outboard);
            return SteerSweep.leftTurnAtInner20(new SteeringTrain(moved), moved).flatMap(TurnGeometry::ackermannPct);
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    private static Job armsMoved(Job job, double outboard) {
        Job moved = armMoved(job, Side.LEFT, outboard);
        boolean mirrored = job.axle().map(a -> a.ownRight().isEmpty()).orElse(true);
        return mirrored ? moved : armMoved(moved, Side.RIGHT, outboard);
    }

    private static Job armMoved(Job job, Side side, double outboard) {
        OnCorner id = new OnCorner(side, CornerPoint.TIE_ROD_POINT);
        Point p = JobPoints.position(job, id);
        return JobPoints.moved(job, id, p.plus(new Vector(0, side.sign() * outboard, 0)));
    }

    /** The gear up or down to the height of least bump steer, if that at least halves it. */
    public static List<Remedy> forBumpSteer(Job job) {
        double now = bumpSteer(job, 0);
        double best = 0;
        double least = now;
        for (double reach = FARTHEST_RACK_MOVE, step = 4; step >= FINEST; reach = step, step /= 4) {
            double middle = best;
            for (double up = middle - reach; up <= middle + reach; up += step) {
                double there = bumpSteer(job, up);
                if (there < least) {
                    least = there;
                    best = up;
                }
            }
        }
        if (!(least < now / 2)) {
            return List.of();
        }
        double up = Math.rint(best / FINEST) * FINEST;
        return List.of(new Remedy(
                Phrase.of((up > 0 ? "Raise" : "Lower") + " the " + gear(job) + " {0}", Quantity.length(Math.abs(up))),
                j -> j.editAxle(a -> gearRaised(a, up))));
    }

    private static String gear(Job job) {
        return job.axle().orElseThrow().linkage().movedWithGear();
    }

    private static double bumpSteer(Job job, double up) {
        try {
            Job raised = job.editAxle(a -> gearRaised(a, up));
            return BumpSteer.worstDeg(
                    new SteeringTrain(raised),
                    job.vehicle().normalDroop(),
                    job.vehicle().normalBump());
        } catch (ImpossibleGeometryException e) {
            return Double.POSITIVE_INFINITY;
        }
    }

    private static SteeredAxle gearRaised(SteeredAxle axle, double up) {
        return axle.withGearMoved(new Vector(0, 0, up));
    }
}
