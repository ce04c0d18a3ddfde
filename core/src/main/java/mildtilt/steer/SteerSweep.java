package mildtilt.steer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.steer.SteerFigures.BumpRow;
import mildtilt.steer.SteerFigures.Reach;
import mildtilt.steer.SteerFigures.Sense;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.suspension.KnucklePose;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.analysis.solvers.UnivariateSolverUtils;

/** Turns a steering train through its range and gathers {@link SteerFigures}. */
public final class SteerSweep {

    /** The ratio is a central difference over this part of the stop angle to either side. */
    private static final double RATIO_STEP = 1e-3;

    private final SteeringTrain train;
    private final Vehicle vehicle;
    private final KnucklePose left;
    private final KnucklePose right;
    private final double axisSpacing;
    private final double track;

    private SteerSweep(SteeringTrain train, Vehicle vehicle, AxlePose.Assembled design) {
        this.train = train;
        this.vehicle = vehicle;
        left = design.left();
        right = design.right();
        axisSpacing = left.steerAxis().onGround().y() - right.steerAxis().onGround().y();
        track = train.requireAxle().track();
    }

    /** Empty if the job has no axle, or a locked joint keeps it from turning at all. */
    public static Optional<SteerFigures> of(SteeringTrain train, Vehicle vehicle, Grid grid) {
        return start(train, vehicle).map(s -> s.figures(grid));
    }

    /** Just the wheels where the inner one stands at 20 degrees, turning left: what a search needs. */
    public static Optional<Turn> leftTurnAtInner20(SteeringTrain train, Vehicle vehicle) {
        return start(train, vehicle).flatMap(s -> s.atInner(20, Side.LEFT, s.reach(Side.LEFT, Grid.USUAL)));
    }

    private static Optional<SteerSweep> start(SteeringTrain train, Vehicle vehicle) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        return train.pose(0, 0, 0).assembled().map(d -> new SteerSweep(train, vehicle, d));
    }

    private SteerFigures figures(Grid grid) {
        Reach toLeft = reach(Side.LEFT, grid);
        Reach toRight = reach(Side.RIGHT, grid);
        double step = RATIO_STEP * toLeft.stopDeg();
        List<SteerRow> rows = new ArrayList<>();
        for (double sw : Grid.spread(-toRight.stopDeg(), toLeft.stopDeg(), grid.steerStepsEachWay())) {
            rows.add(new SteerRow(sw, train.gearInputDeg(sw), turnAt(sw), ratioAt(sw, step)));
        }
        List<BumpRow> bump = new ArrayList<>();
        for (double z : Grid.spread(vehicle.droop(), vehicle.bump(), grid.travelStepsEachWay())) {
            bump.add(new BumpRow(z, train.pose(0, z, z).assembled()));
        }
        Optional<Double> ratio = ratioAt(0, step);
        return new SteerFigures(
                left.tieRodInner().distanceTo(left.tieRodPoint()),
                right.tieRodInner().distanceTo(right.tieRodPoint()),
                left, right, axisSpacing, toLeft, toRight, rows, ratio, sense(step),
                atInner(20, Side.LEFT, toLeft), atInner(20, Side.RIGHT, toRight), bump);
    }

    private Optional<Turn> turnAt(double sw) {
        return train.pose(sw, 0, 0).assembled().map(a -> turn(sw, a));
    }

    private Turn turn(double sw, AxlePose.Assembled a) {
        return new Turn(sw, a.left().steerDeg(), a.right().steerDeg(), vehicle.wheelbase(), axisSpacing, track);
    }

    /** Central where there is room to both sides, else to the side there is. */
    private Optional<Double> ratioAt(double sw, double step) {
        Optional<Turn> up = turnAt(sw + step);
        Optional<Turn> down = turnAt(sw - step);
        Turn to = up.or(() -> turnAt(sw)).orElse(null);
        Turn from = down.or(() -> turnAt(sw)).orElse(null);
        if (to == null || from == null || to.steeringWheelDeg() == from.steeringWheelDeg()) {
            return Optional.empty();
        }
        return SteerFigures.quotient(
                to.steeringWheelDeg() - from.steeringWheelDeg(), to.meanDeg() - from.meanDeg());
    }

    private Sense sense(double step) {
        Optional<Turn> up = turnAt(step);
        Optional<Turn> down = turnAt(-step);
        if (up.isEmpty() || down.isEmpty()) {
            return Sense.NONE;
        }
        double l = up.get().leftDeg() - down.get().leftDeg();
        double r = up.get().rightDeg() - down.get().rightDeg();
        if (Math.abs(l) + Math.abs(r) < 1e-6 * step) {
            return Sense.NONE;
        }
        if (l * r < 0) {
            return Sense.AGAINST_EACH_OTHER;
        }
        return l + r > 0 ? Sense.RIGHT_WAY : Sense.WRONG_WAY;
    }

    /** Steps outward until a pose can't be assembled, then halves to the last that can. */
    private Reach reach(Side way, Grid grid) {
        double stop = train.stopDeg(way).orElseThrow();
        double good = 0;
        for (int i = 1; i <= grid.steerStepsEachWay(); i++) {
            double sw = stop * i / grid.steerStepsEachWay();
            if (turnAt(sw).isEmpty()) {
                double last = lastAssembled(good, sw);
                return new Reach(stop, last, true, turnAt(last).orElseThrow());
            }
            good = sw;
        }
        return new Reach(stop, stop, false, turnAt(stop).orElseThrow());
    }

    private double lastAssembled(double good, double bad) {
        double in = good;
        double out = bad;
        for (int i = 0; i < 60; i++) {
            double mid = (in + out) / 2;
            if (turnAt(mid).isPresent()) {
                in = mid;
            } else {
                out = mid;
            }
        }
        return in;
    }

    /** Where the inner wheel of a turn first stands at an angle; the road wheels decide which is inner. */
    private Optional<Turn> atInner(double innerDeg, Side way, Reach reach) {
        int steps = 40;
        double before = 0;
        for (int i = 1; i <= steps; i++) {
            double sw = reach.reachedDeg() * i / steps;
            OptionalDouble inner = innerAt(sw);
            if (inner.isEmpty()) {
                return Optional.empty();
            }
            if (inner.getAsDouble() >= innerDeg) {
                double from = Math.min(before, sw);
                double to = Math.max(before, sw);
                double root = innerAt(from).orElse(0) == innerDeg ? from
                        : UnivariateSolverUtils.isBracketing(x -> innerAt(x).orElse(0) - innerDeg, from, to)
                                ? new BracketingNthOrderBrentSolver(1e-12, 1e-12, 1e-13, 5)
                                        .solve(200, x -> innerAt(x).orElse(0) - innerDeg, from, to)
                                : sw;
                return turnAt(root);
            }
            before = sw;
        }
        return Optional.empty();
    }

    private OptionalDouble innerAt(double sw) {
        return turnAt(sw).map(t -> OptionalDouble.of(t.innerDeg())).orElseGet(OptionalDouble::empty);
    }
}
