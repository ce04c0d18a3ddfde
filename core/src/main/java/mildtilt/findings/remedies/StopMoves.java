package mildtilt.findings.remedies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import mildtilt.findings.Remedy;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Lock stops that act before the gear, the rods or the tyres take the blow. */
public final class StopMoves {

    /** How far before the first thing that would else end the lock a stop acts, degrees of the inner wheel. */
    public static final double BEFORE_DEG = 1;

    private StopMoves() {}

    public static List<Remedy> beforeEverything(Job job, SteerFigures figures) {
        List<Remedy> all = new ArrayList<>();
        innerStopDeg(job, figures, BEFORE_DEG).ifPresent(deg -> {
            all.add(new Remedy(
                    Phrase.of("Set a knuckle stop on each side at {0} with its wheel inside", Quantity.angle(deg)),
                    j -> withInnerStops(j, deg)));
        });
        return all;
    }

    /**
     * Where the inner wheels' stops belong, to a half degree down: so far before all else that ends the lock, either
     * way.
     */
    public static Optional<Double> innerStopDeg(Job job, SteerFigures figures, double before) {
        SteeringTrain train = new SteeringTrain(job);
        return inner(train, figures, Side.LEFT)
                .flatMap(l -> inner(train, figures, Side.RIGHT).map(r -> Math.min(l, r)))
                .map(least -> Math.floor((least - before) * 2) / 2)
                .filter(deg -> deg > 1);
    }

    private static Optional<Double> inner(SteeringTrain train, SteerFigures figures, Side way) {
        return figures.limits().toward(way).stream()
                .filter(h -> h.limit() != Limit.KNUCKLE_STOP)
                .findFirst()
                .map(LockLimits.Hit::steeringWheelDeg)
                .flatMap(sw -> train.pose(sw, 0, 0).assembled())
                .map(a -> way.sign() * a.knuckle(way).steerDeg());
    }

    public static Job withInnerStops(Job job, double deg) {
        return withInnerStops(job, _ -> deg);
    }

    /** Stops at an angle, but none later than it acts now. */
    public static Job withInnerStopsBy(Job job, double deg) {
        return withInnerStops(job, limits -> Math.min(deg, limits.stopInner().orElse(deg)));
    }

    private static Job withInnerStops(Job job, ToDoubleFunction<WheelLimits> at) {
        return job.editAxle(a -> {
            SteeredAxle changed = a;
            for (Side side : Side.values()) {
                if (side == Side.LEFT || a.ownRight().isPresent()) {
                    Corner c = changed.corner(side);
                    WheelLimits l = c.limits();
                    changed = changed.withCorner(
                            side, c.withLimits(l.withStops(Optional.of(at.applyAsDouble(l)), l.stopOuter())));
                }
            }
            return changed;
        });
    }

    /**
     * A rack with its travel cut by limiters so that it ends with the inner wheel at an angle; empty for other gears.
     */
    public static Optional<Double> limiterMm(Job job, double innerDeg) {
        if (!(job.axle().orElseThrow().gear() instanceof RackAndPinion r)) {
            return Optional.empty();
        }
        SteeringTrain train = new SteeringTrain(job);
        double used = 0;
        for (Side way : Side.values()) {
            double stop = train.stopDeg(way).orElseThrow();
            double low = 0;
            double high = 1;
            for (int i = 0; i < 50; i++) {
                double mid = (low + high) / 2;
                boolean past = train.pose(stop * mid, 0, 0)
                        .assembled()
                        .map(a -> way.sign() * a.knuckle(way).steerDeg() >= innerDeg)
                        .orElse(true);
                if (past) {
                    high = mid;
                } else {
                    low = mid;
                }
            }
            double input = Math.abs(Math.toRadians(train.gearInputDeg(stop * high)));
            used = Math.max(used, Math.abs(r.displacementAt(input)));
        }
        return Optional.of(Math.max(0, r.travelEachWay() - used));
    }
}
