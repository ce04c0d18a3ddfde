package mildtilt.steer;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.OuterWheelTable;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LimitGauge;
import mildtilt.steer.range.RodEndExtremes;
import mildtilt.steer.range.RodEndTilts;
import mildtilt.steer.range.TravelMap;

/**
 * The few figures a search needs, a fraction of a millisecond each time.
 *
 * @param lockDeg inner wheel at the end of the lock, the lesser of left and right, degrees
 * @param ackermannPct at 20 degrees of inner wheel turning left; empty where that is not reached
 * @param outerMissDeg largest miss of the job's own table of outer angles; empty without one or where it is not reached
 * @param ratio at centre
 * @param turns from end to end of the lock
 * @param bumpDeg worst toe change of a wheel over the full travel
 * @param normalBumpDeg the same over the normal travel
 * @param toggleDeg least angle of any rod to being in line with its arm; 0 where the linkage runs out within the lock
 * @param rodEndMarginDeg least tilt any rod end has left; infinite where none has a limit
 * @param forces where they were asked for, and the job has loads and a steering wheel
 */
public record QuickFigures(
        double lockDeg,
        Optional<Double> ackermannPct,
        Optional<Double> outerMissDeg,
        double ratio,
        double turns,
        double bumpDeg,
        double normalBumpDeg,
        double toggleDeg,
        double rodEndMarginDeg,
        Optional<Forces> forces) {

    private static final int STEER_STEPS = 3;
    private static final int ITERATIONS = 40;
    private static final int END_STEPS = 8;
    private static final int END_HALVINGS = 20;

    /**
     * Up to where the lock ends for these figures.
     *
     * @param parked the most that the rim wants parked, N
     * @param kickBack what the worse wheel's blow pulls at the rim straight ahead, N
     */
    public record Forces(double parked, double kickBack) {}

    /** Where the lock ends for these figures. */
    public enum Until {
        /** At the gear's end, wherever knuckle stops and tyres are: they can be set anew. */
        GEAR_END,
        /** At the first solid thing, knuckle stops and tyres with it. */
        FIRST_STOP
    }

    /** Empty if it can't be built or does not steer the right way. */
    public static Optional<QuickFigures> of(Job job, Until until) {
        return of(job, until, false);
    }

    /** With the forces as well, which takes some times as long. */
    public static Optional<QuickFigures> withForces(Job job, Until until) {
        return of(job, until, true);
    }

    private static Optional<QuickFigures> of(Job job, Until until, boolean forces) {
        try {
            SteeringTrain train = new SteeringTrain(job);
            if (train.axle().isEmpty()
                    || train.locked().isPresent()
                    || SteerSweep.sense(train, job) != SteerFigures.Sense.RIGHT_WAY) {
                return Optional.empty();
            }
            return new Worker(job, train, new LimitGauge(train.axle().get(), job.targets()), until, forces).figures();
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    private record Worker(Job job, SteeringTrain train, LimitGauge gauge, Until until, boolean force) {

        Optional<QuickFigures> figures() {
            double left = end(Side.LEFT);
            double right = end(Side.RIGHT);
            Optional<TurnGeometry> leftTurn = turn(left);
            Optional<TurnGeometry> rightTurn = turn(right);
            double step = train.stopDeg(Side.LEFT).orElseThrow() * 1e-3;
            Optional<TurnGeometry> up = turn(step);
            Optional<TurnGeometry> down = turn(-step);
            if (leftTurn.isEmpty() || rightTurn.isEmpty() || up.isEmpty() || down.isEmpty()) {
                return Optional.empty();
            }
            double mean = up.get().meanDeg() - down.get().meanDeg();
            RodEndExtremes ends = new RodEndExtremes();
            boolean whole = whole(ends, left, right);
            double toggle = !whole ? 0 : ends.leastOffCentre();
            double margin = ends.tilts(gauge).values().stream()
                    .mapToDouble(t -> t.allowedDeg().map(a -> a - t.deg()).orElse(Double.POSITIVE_INFINITY))
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
            return Optional.of(new QuickFigures(
                    Math.min(leftTurn.get().innerDeg(), rightTurn.get().innerDeg()),
                    atInner(20, left).flatMap(TurnGeometry::ackermannPct),
                    job.targets().outerTable().flatMap(t -> miss(t, left)),
                    2 * step / mean,
                    (left - right) / 360,
                    BumpSteer.worstDeg(
                            train, job.vehicle().droop(), job.vehicle().bump()),
                    BumpSteer.worstDeg(
                            train, job.vehicle().normalDroop(), job.vehicle().normalBump()),
                    toggle,
                    margin,
                    force ? forces(left, right) : Optional.empty()));
        }

        private Optional<Forces> forces(double left, double right) {
            return Effort.quickWorstParked(train, job, right, left)
                    .flatMap(parked -> KickBack.worstBlow(train, job).map(blow -> new Forces(parked, blow)));
        }

        /** The end of the lock one way: as far as the linkage goes, and no further than what counts as a stop. */
        private double end(Side way) {
            double stop = train.stopDeg(way).orElseThrow();
            if (free(stop)) {
                return stop;
            }
            double good = 0;
            double bad = stop;
            for (int i = 1; i <= END_STEPS; i++) {
                double sw = stop * i / END_STEPS;
                if (!free(sw)) {
                    bad = sw;
                    break;
                }
                good = sw;
            }
            for (int i = 0; i < END_HALVINGS; i++) {
                double mid = (good + bad) / 2;
                if (free(mid)) {
                    good = mid;
                } else {
                    bad = mid;
                }
            }
            return good;
        }

        private boolean free(double sw) {
            AxlePose pose = train.pose(sw, 0, 0);
            return pose.assembled().isPresent() && (until == Until.GEAR_END || gauge.withinStops(pose));
        }

        private Optional<TurnGeometry> turn(double sw) {
            return train.pose(sw, 0, 0)
                    .assembled()
                    .map(a -> TurnGeometry.of(
                            sw,
                            a.left().steerDeg(),
                            a.right().steerDeg(),
                            job.vehicle(),
                            spacing(),
                            train.requireAxle().track()));
        }

        private double spacing() {
            return train.requireAxle()
                            .corner(Side.LEFT)
                            .suspension()
                            .steerAxis()
                            .atHeight(0)
                            .y()
                    - train.requireAxle()
                            .corner(Side.RIGHT)
                            .suspension()
                            .steerAxis()
                            .atHeight(0)
                            .y();
        }

        private boolean whole(RodEndExtremes ends, double left, double right) {
            boolean whole = true;
            AxleSolver axle = train.axle().orElseThrow();
            WheelTravel travel = train.requireAxle().wheelTravel();
            double[] travels = travel == WheelTravel.NONE
                    ? new double[] {0}
                    : new double[] {-job.vehicle().droop(), 0, job.vehicle().bump()};
            for (double z : travels) {
                for (double sw : Grid.spread(-right, left, STEER_STEPS)) {
                    AxlePose pose = train.pose(sw, z, travel.rightWith(z));
                    if (pose.assembled().isEmpty()) {
                        whole = false;
                        continue;
                    }
                    ends.add(RodEndTilts.of(axle, pose.stance()), new TravelMap.At(sw, z));
                }
            }
            return whole;
        }

        /** By false position, halving where that stalls. */
        private Optional<TurnGeometry> atInner(double innerDeg, double end) {
            double a = 0;
            double b = end;
            Optional<Double> ahead = over(0, innerDeg);
            Optional<Double> turned = over(end, innerDeg);
            if (ahead.isEmpty() || turned.isEmpty() || ahead.get() > 0 || turned.get() < 0) {
                return Optional.empty();
            }
            double fa = ahead.get();
            double fb = turned.get();
            for (int i = 0; i < ITERATIONS; i++) {
                double mid = i % 3 == 2 ? (a + b) / 2 : a - fa * (b - a) / (fb - fa);
                Optional<Double> fm = over(mid, innerDeg);
                if (fm.isEmpty() || Math.abs(fm.get()) <= 1e-9) {
                    return turn(mid);
                }
                if (fm.get() < 0) {
                    a = mid;
                    fa = fm.get();
                } else {
                    b = mid;
                    fb = fm.get();
                }
            }
            return turn(b);
        }

        /** How much further than an angle the left wheel is turned there. */
        private Optional<Double> over(double sw, double innerDeg) {
            return turn(sw).map(t -> t.leftDeg() - innerDeg);
        }

        private Optional<Double> miss(OuterWheelTable table, double end) {
            double worst = 0;
            for (OuterWheelTable.Row r : table.rows()) {
                Optional<TurnGeometry> t = atInner(r.innerDeg(), end);
                if (t.isEmpty()) {
                    return Optional.empty();
                }
                worst = Math.max(worst, Math.abs(t.get().outerDeg() - r.outerDeg()));
            }
            return Optional.of(worst);
        }
    }
}
