package mildtilt.steer.range;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/**
 * Where the wheels can really go: at every travel as far to either side as gear, linkage, knuckle stops, tyres and a
 * shuttle's
 * mounts let them. A place is given by its travel, mm, and by how far it is on the way to that travel's lock: −1 right
 * lock,
 * 0 straight ahead, 1 left lock. One thread at a time.
 */
public final class WheelRange {

    private static final int MARCHES = 24;
    private static final int HALVINGS = 36;
    private static final double CLOSE = 1e-10;

    private final SteeringTrain train;
    private final LimitGauge gauge;
    private final WheelTravel travel;
    private final double droop;
    private final double bump;
    private final double[] stop;
    private final Map<Double, double[]> locks = new HashMap<>();

    public WheelRange(SteeringTrain train, Job job, LimitGauge gauge) {
        this.train = train;
        this.gauge = gauge;
        travel = train.requireAxle().wheelTravel();
        droop = travel == WheelTravel.NONE ? 0 : job.vehicle().droop();
        bump = travel == WheelTravel.NONE ? 0 : job.vehicle().bump();
        stop = new double[] {
            train.stopDeg(Side.LEFT).orElseThrow(), train.stopDeg(Side.RIGHT).orElseThrow()
        };
    }

    public double lowest() {
        return -droop;
    }

    public double highest() {
        return bump;
    }

    AxlePose pose(double steeringWheelDeg, double z) {
        return train.pose(steeringWheelDeg, z, travel.rightWith(z));
    }

    /** Steering wheel at a place, degrees. @param part of the way to that side's lock, −1 to 1 */
    public double steeringWheelDeg(double part, double z) {
        return Math.abs(part) * lockDeg(part >= 0 ? Side.LEFT : Side.RIGHT, z);
    }

    /**
     * Steering wheel at which the wheels meet the first solid thing, or the linkage its end, at one travel; degrees, +
     * left.
     */
    double lockDeg(Side way, double z) {
        double[] both = locks.computeIfAbsent(z, _ -> new double[] {Double.NaN, Double.NaN});
        if (Double.isNaN(both[way.ordinal()])) {
            both[way.ordinal()] = lock(way, z);
        }
        return both[way.ordinal()];
    }

    private double lock(Side way, double z) {
        double end = stop[way.ordinal()];
        double good = 0;
        for (int i = 1; i <= MARCHES; i++) {
            double to = end * i / MARCHES;
            double left = margin(to, z);
            if (!(left >= 0)) {
                return edge(good, to, z);
            }
            good = to;
        }
        return end;
    }

    /** Between a place that can be reached and one that can't. */
    private double edge(double good, double bad, double z) {
        double left = margin(good, z);
        double past = margin(bad, z);
        if (left >= 0 && past < 0 && left < Double.POSITIVE_INFINITY) {
            double at;
            try {
                at = new BracketingNthOrderBrentSolver(1e-14, CLOSE, 1e-13, 5)
                        .solve(100, sw -> finite(margin(sw, z)), Math.min(good, bad), Math.max(good, bad));
            } catch (MathRuntimeException e) {
                // The margin jumps where the wheels come off: halving finds that, too.
                return halved(good, bad, z);
            }
            // The root may lie a rounding past the limit.
            return margin(at, z) >= -1e-9 ? at : halved(good, bad, z);
        }
        return halved(good, bad, z);
    }

    private static double finite(double margin) {
        return Double.isNaN(margin) ? -1e3 : Math.min(margin, 1e3);
    }

    private double halved(double good, double bad, double z) {
        double in = good;
        double out = bad;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (in + out) / 2;
            if (margin(mid, z) >= 0) {
                in = mid;
            } else {
                out = mid;
            }
        }
        return in;
    }

    /**
     * What is left until something solid, degrees of wheel or mm of shuttle; NaN where the linkage can't be assembled.
     */
    private double margin(double sw, double z) {
        return gauge.solidMargin(pose(sw, z));
    }

    /** Why the linkage ends a lock at one travel; empty where something solid does, or the gear. */
    Optional<TravelMap.NotAssembled> endedByLinkage(Side way, double z) {
        double lock = lockDeg(way, z);
        if (Math.abs(lock) >= Math.abs(stop[way.ordinal()])) {
            return Optional.empty();
        }
        double beyond = lock + (stop[way.ordinal()] - lock) * 1e-6;
        return pose(beyond, z).obstacle().map(o -> new TravelMap.NotAssembled(new TravelMap.At(beyond, z), o));
    }
}
