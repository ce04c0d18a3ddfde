package mildtilt.travel;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.HalvingSearch;
import mildtilt.steer.range.LimitGauge;
import mildtilt.steer.range.WheelRange;

/**
 * How much of a bound is used over all places the wheels can really go, both locks and both ends of the travel with
 * them,
 * a beam axle rolled besides.
 *
 * @param atRest its value straight ahead at ride height
 * @param nearest its value where it comes nearest to the limit, or goes farthest past it
 * @param farthest its value where it is farthest from the limit
 * @param at where it comes nearest
 * @param bracket how an end that tilts too far would have to be turned
 */
public record BoundUse(
        Bound bound, double atRest, double nearest, double farthest, At at, Optional<BracketAngle> bracket) {

    /** Travel in mm. */
    public record At(double steeringWheelDeg, double left, double right) {}

    private static final int STEER_STEPS = 8;
    private static final int TRAVEL_STEPS = 6;
    private static final HalvingSearch.Fineness FINE = new HalvingSearch.Fineness(1e-4, 6);

    /** Left at the nearest, below 0 past it. */
    public double margin() {
        return bound.margin(nearest);
    }

    /** Of every bound whose value there is. */
    static List<BoundUse> of(List<Bound> bounds, Job job, SteeringTrain train, WheelRange range) {
        return new Search(job, train, range).of(bounds);
    }

    /** The same over the travel that the job states. */
    static List<BoundUse> of(List<Bound> bounds, Job job, SteeringTrain train) {
        LimitGauge gauge = new LimitGauge(train.axle().orElseThrow(), job.targets());
        return of(bounds, job, train, new WheelRange(train, job, gauge));
    }

    /**
     * A place of the range. @param part of the way to that travel's lock, −1 to 1; @param rolled the right wheel
     * against
     */
    private record Spot(double part, double z, boolean rolled) {}

    private static final class Search {
        private final SteeringTrain train;
        private final WheelRange range;
        private final WheelTravel travel;
        private final double rollMost;
        private final List<Spot> spots = new ArrayList<>();
        private final List<AxlePose> poses = new ArrayList<>();

        Search(Job job, SteeringTrain train, WheelRange range) {
            this.train = train;
            this.range = range;
            travel = train.requireAxle().wheelTravel();
            boolean rolls = travel == WheelTravel.FREE
                    && job.axle().orElseThrow().beam().isPresent();
            rollMost = rolls ? Math.min(job.vehicle().bump(), job.vehicle().droop()) : 0;
            grid(-range.lowest(), range.highest(), false);
            if (rolls) {
                grid(rollMost, rollMost, true);
            }
        }

        private void grid(double down, double up, boolean rolled) {
            double[] travels = down == 0 && up == 0 ? new double[] {0} : Grid.spread(down, up, TRAVEL_STEPS);
            for (double z : travels) {
                for (int i = -STEER_STEPS; i <= STEER_STEPS; i++) {
                    Spot s = new Spot((double) i / STEER_STEPS, z, rolled);
                    spots.add(s);
                    poses.add(pose(s));
                }
            }
        }

        /** A rolled axle's lock is taken as that at ride height. */
        private double steeringWheelDeg(Spot s) {
            return range.steeringWheelDeg(s.part, s.rolled ? 0 : s.z);
        }

        private double right(Spot s) {
            return s.rolled ? -s.z : travel.rightWith(s.z);
        }

        private AxlePose pose(Spot s) {
            return train.pose(steeringWheelDeg(s), s.z, right(s));
        }

        private static double value(Bound b, AxlePose pose) {
            return pose.assembled().isPresent() ? b.value().applyAsDouble(pose) : Double.NaN;
        }

        List<BoundUse> of(List<Bound> bounds) {
            List<BoundUse> all = new ArrayList<>();
            for (Bound b : bounds) {
                of(b).ifPresent(all::add);
            }
            return List.copyOf(all);
        }

        private Optional<BoundUse> of(Bound b) {
            Spot best = null;
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            double farthest = Double.NaN;
            for (int i = 0; i < spots.size(); i++) {
                double v = value(b, poses.get(i));
                double margin = b.margin(v);
                if (margin < least) {
                    least = margin;
                    best = spots.get(i);
                }
                if (margin > most) {
                    most = margin;
                    farthest = v;
                }
            }
            AxlePose rest = train.pose(0, 0, 0);
            double atRest = value(b, rest);
            if (best == null || Double.isNaN(atRest)) {
                return Optional.empty();
            }
            Spot found = refined(b, best, least);
            double nearest = value(b, pose(found));
            return Optional.of(new BoundUse(
                    b,
                    atRest,
                    nearest,
                    farthest,
                    new At(steeringWheelDeg(found), found.z, right(found)),
                    b.tilting().filter(_ -> b.margin(nearest) < 0).map(this::bracket)));
        }

        private BracketAngle bracket(Bound.Tilting t) {
            return BracketAngle.of(
                    t.fit(),
                    poses.stream()
                            .filter(p -> p.assembled().isPresent())
                            .map(t.part())
                            .toList());
        }

        private Spot refined(Bound b, Spot from, double margin) {
            double low = from.rolled ? -rollMost : range.lowest();
            double high = from.rolled ? rollMost : range.highest();
            HalvingSearch found = new HalvingSearch(from.part, from.z, margin)
                    .refined(
                            (part, z) -> b.margin(value(b, pose(new Spot(part, z, from.rolled)))),
                            low,
                            high,
                            0.5 / STEER_STEPS,
                            (high - low) / (4.0 * TRAVEL_STEPS),
                            FINE);
            return new Spot(found.part(), found.z(), from.rolled);
        }
    }
}
