package mildtilt.steer;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.job.OuterTable;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.WheelTravel;

/**
 * The few figures a search needs, a fraction of a millisecond each time. The gear goes to its end; knuckle stops
 * and tyres are left aside.
 *
 * @param lockDeg inner wheel at the gear's end, the lesser of left and right, degrees
 * @param ackermannPct at 20 degrees of inner wheel turning left; empty where that is not reached
 * @param outerMissDeg largest miss of the job's own table of outer angles; empty without one or where it is not reached
 * @param ratio at centre
 * @param turns gear end to gear end
 * @param bumpDeg worst toe change of a wheel over the full travel
 * @param normalBumpDeg the same over the normal travel
 * @param toggleDeg least angle of any rod to being in line with its arm
 * @param rodEndMarginDeg least tilt any rod end has left; infinite where none has a limit
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
        double rodEndMarginDeg) {

    private static final int STEER_STEPS = 3;
    private static final int ITERATIONS = 40;

    /** Empty if it can't be built, does not steer the right way, or can't go through its whole range. */
    public static Optional<QuickFigures> of(Job job) {
        try {
            SteeringTrain train = new SteeringTrain(job);
            if (train.axle().isEmpty() || train.locked().isPresent() || SteerSweep.sense(train, job) != SteerFigures.Sense.RIGHT_WAY) {
                return Optional.empty();
            }
            return new Worker(job, train).figures();
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    private record Worker(Job job, SteeringTrain train) {

        Optional<QuickFigures> figures() {
            double left = train.stopDeg(Side.LEFT).orElseThrow();
            double right = train.stopDeg(Side.RIGHT).orElseThrow();
            Optional<Turn> leftTurn = turn(left);
            Optional<Turn> rightTurn = turn(right);
            double step = left * 1e-3;
            Optional<Turn> up = turn(step);
            Optional<Turn> down = turn(-step);
            if (leftTurn.isEmpty() || rightTurn.isEmpty() || up.isEmpty() || down.isEmpty()) {
                return Optional.empty();
            }
            double mean = up.get().meanDeg() - down.get().meanDeg();
            RodEndRecord ends = new RodEndRecord();
            if (!whole(ends, left, right)) {
                return Optional.empty();
            }
            LimitGauge gauge = new LimitGauge(train.axle().orElseThrow(), job.targets());
            double toggle = ends.arms().values().stream().mapToDouble(TravelMap.RodToArm::closestToToggle).min().orElse(90);
            double margin = ends.tilts(gauge).values().stream()
                    .mapToDouble(t -> t.allowedDeg().map(a -> a - t.deg()).orElse(Double.POSITIVE_INFINITY)).min()
                    .orElse(Double.POSITIVE_INFINITY);
            return Optional.of(new QuickFigures(Math.min(leftTurn.get().innerDeg(), rightTurn.get().innerDeg()),
                    atInner(20, left).flatMap(Turn::ackermannPct), job.targets().outerTable().flatMap(t -> miss(t, left)),
                    2 * step / mean, (left - right) / 360,
                    BumpSteer.worstDeg(train, job.vehicle().droop(), job.vehicle().bump()),
                    BumpSteer.worstDeg(train, job.vehicle().normalDroop(), job.vehicle().normalBump()), toggle, margin));
        }

        private Optional<Turn> turn(double sw) {
            return train.pose(sw, 0, 0).assembled().map(a -> new Turn(sw, a.left().steerDeg(), a.right().steerDeg(),
                    job.vehicle().wheelbase(), spacing(), train.requireAxle().track()));
        }

        private double spacing() {
            return train.requireAxle().corner(Side.LEFT).suspension().steerAxis().atHeight(0).y()
                    - train.requireAxle().corner(Side.RIGHT).suspension().steerAxis().atHeight(0).y();
        }

        private boolean whole(RodEndRecord ends, double left, double right) {
            AxleSolver axle = train.axle().orElseThrow();
            WheelTravel travel = train.requireAxle().wheelTravel();
            double[] travels = travel == WheelTravel.NONE ? new double[] {0}
                    : new double[] {-job.vehicle().droop(), 0, job.vehicle().bump()};
            for (double z : travels) {
                for (double sw : Grid.spread(-right, left, STEER_STEPS)) {
                    AxlePose pose = train.pose(sw, z, travel.rightWith(z));
                    if (pose.assembled().isEmpty()) {
                        return false;
                    }
                    ends.add(RodEndReading.of(axle, pose.stance()), new TravelMap.At(sw, z));
                }
            }
            return true;
        }

        /** By false position, halving where that stalls. */
        private Optional<Turn> atInner(double innerDeg, double end) {
            double a = 0;
            double b = end;
            double fa = turn(0).map(Turn::leftDeg).orElse(Double.NaN) - innerDeg;
            double fb = turn(end).map(Turn::leftDeg).orElse(Double.NaN) - innerDeg;
            if (!(fa <= 0 && fb >= 0)) {
                return Optional.empty();
            }
            for (int i = 0; i < ITERATIONS; i++) {
                double mid = i % 3 == 2 ? (a + b) / 2 : a - fa * (b - a) / (fb - fa);
                double fm = turn(mid).map(Turn::leftDeg).orElse(Double.NaN) - innerDeg;
                if (!(Math.abs(fm) > 1e-9)) {
                    return turn(mid);
                }
                if (fm < 0) {
                    a = mid;
                    fa = fm;
                } else {
                    b = mid;
                    fb = fm;
                }
            }
            return turn(b);
        }

        private Optional<Double> miss(OuterTable table, double end) {
            double worst = 0;
            for (OuterTable.Row r : table.rows()) {
                Optional<Turn> t = atInner(r.innerDeg(), end);
                if (t.isEmpty()) {
                    return Optional.empty();
                }
                worst = Math.max(worst, Math.abs(t.get().outerDeg() - r.outerDeg()));
            }
            return Optional.of(worst);
        }
    }
}
