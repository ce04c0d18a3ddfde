package mildtilt.steer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.Vehicle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.SteerFigures.BumpRow;
import mildtilt.steer.SteerFigures.Reach;
import mildtilt.steer.SteerFigures.Sense;
import mildtilt.steer.SteerFigures.SteerRow;
import mildtilt.steer.forces.BarJam;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KerbLoad;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.forces.RodLoad;
import mildtilt.steer.forces.RodPlay;
import mildtilt.steer.forces.WeightLift;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.PeakSearch;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;
import mildtilt.suspension.KnucklePose;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.analysis.solvers.UnivariateSolverUtils;
import org.hipparchus.exception.MathRuntimeException;

/** Turns a steering train through its range and gathers {@link SteerFigures}. */
public final class SteerSweep {

    /** The ratio is a central difference over this part of the stop angle to either side. */
    private static final double RATIO_STEP = 1e-3;
    /** Part of a lock over which loads are worked out where the linkage is over centre at its end. */
    private static final double SHORT_OF_CENTRE = 0.9;

    private static final int REACH_STEPS = 60;

    /** Below this the inner wheel is as good as straight and misses no table, degrees. */
    private static final double FIRST_OF_TABLE = 0.5;

    /** Roll steer is a central difference over this rise of one wheel and fall of the other, mm. */
    private static final double ROLL_STEP = 1;

    private final SteeringTrain train;
    private final Job job;
    private final Vehicle vehicle;
    private final WheelTravel travel;
    private final KnucklePose left;
    private final KnucklePose right;
    private final double axisSpacing;
    private final double track;

    private SteerSweep(SteeringTrain train, Job job, AxlePose.Assembled design) {
        this.train = train;
        this.job = job;
        vehicle = job.vehicle();
        travel = train.requireAxle().wheelTravel();
        left = design.left();
        right = design.right();
        axisSpacing = left.axisOnGround().y() - right.axisOnGround().y();
        track = train.requireAxle().track();
    }

    /** Empty if the job has no axle, or a locked joint keeps it from turning at all. */
    public static Optional<SteerFigures> of(SteeringTrain train, Job job, Grid grid) {
        return start(train, job).map(s -> s.figures(grid));
    }

    /** Just the wheels where the inner one stands at 20 degrees, turning left: what a search needs. */
    public static Optional<TurnGeometry> leftTurnAtInner20(SteeringTrain train, Job job) {
        return start(train, job).flatMap(s -> s.atInner(20, Side.LEFT, s.reach(Side.LEFT)));
    }

    /** Just which way the wheels turn. */
    public static Sense sense(SteeringTrain train, Job job) {
        return start(train, job)
                .map(s -> s.sense(RATIO_STEP * train.stopDeg(Side.LEFT).orElseThrow()))
                .orElse(Sense.NONE);
    }

    private static Optional<SteerSweep> start(SteeringTrain train, Job job) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        return train.pose(0, 0, 0).assembled().map(d -> new SteerSweep(train, job, d));
    }

    private SteerFigures figures(Grid grid) {
        Reach toLeft = reach(Side.LEFT);
        Reach toRight = reach(Side.RIGHT);
        double step = RATIO_STEP * toLeft.stopDeg();
        List<SteerRow> rows = new ArrayList<>();
        for (double sw : Grid.spread(-toRight.stopDeg(), toLeft.stopDeg(), grid.steerStepsEachWay())) {
            AxlePose pose = train.pose(sw, 0, 0);
            rows.add(new SteerRow(pose, pose.assembled().map(p -> turn(sw, p)), ratioAt(sw, step)));
        }
        Optional<Double> ratio = ratioAt(0, step);
        SteerFigures.Lock atRight = lock(Side.RIGHT);
        SteerFigures.Lock atLeft = lock(Side.LEFT);
        Map<Side, SteerFigures.Lock> locks = Map.of(Side.LEFT, atLeft, Side.RIGHT, atRight);
        double lockRight = atRight.turn().steeringWheelDeg();
        double lockLeft = atLeft.turn().steeringWheelDeg();
        double loadedRight = loadedTo(atRight);
        double loadedLeft = loadedTo(atLeft);
        Optional<Effort> effort = Effort.of(train, job, loadedRight, loadedLeft, grid.steerStepsEachWay());
        double both = Math.min(vehicle.droop(), vehicle.bump());
        return new SteerFigures(
                train.axle().orElseThrow().lengths(),
                train.axle().orElseThrow().tieRodLength(Side.LEFT),
                train.axle().orElseThrow().tieRodLength(Side.RIGHT),
                left,
                right,
                axisSpacing,
                toLeft,
                toRight,
                rows,
                ratio,
                sense(step),
                atInner(20, Side.LEFT, toLeft),
                atInner(20, Side.RIGHT, toRight),
                ackermannWithoutToe(toLeft, toRight),
                Map.of(Side.LEFT, WeightLift.of(train, lockLeft), Side.RIGHT, WeightLift.of(train, lockRight)),
                travelled(vehicle.droop(), vehicle.bump(), grid.travelStepsEachWay(), travel),
                travel == WheelTravel.NONE
                        ? List.of()
                        : travelled(both, both, grid.travelStepsEachWay(), WheelTravel.ROLL_ONLY),
                rollSteer(both),
                BrakeSteer.perDegree(train.requireAxle()),
                toeSpread(vehicle.droop(), vehicle.bump()),
                toeSpread(vehicle.normalDroop(), vehicle.normalBump()),
                job.targets().outerTable().flatMap(t -> worstMiss(t, lockRight, lockLeft)),
                rakes(lockRight, lockLeft),
                LockLimits.of(train, job),
                locks,
                effort,
                effort.map(e -> RodLoad.of(
                                train.requireAxle(),
                                train.axle().orElseThrow().lengths(),
                                e,
                                KerbLoad.of(train, job, loadedRight, loadedLeft),
                                Effort.heavyPull(train, job)))
                        .orElse(List.of()),
                HandSwing.of(job, Math.abs(lockLeft), Math.abs(lockRight)),
                BarJam.of(train, lockRight, lockLeft),
                KickBack.of(train, job),
                DrivePull.of(train, job, loadedRight, loadedLeft),
                RodPlay.of(train));
    }

    private Optional<Double> ackermannWithoutToe(Reach toLeft, Reach toRight) {
        return Stream.of(toLeft, toRight)
                .flatMap(reach -> {
                    double end = reach.reachedDeg();
                    int steps = 60;
                    for (int i = 1; i <= steps; i++) {
                        double sw = end * i / steps;
                        if (straightened(sw).filter(t -> t.innerDeg() >= 20).isPresent()) {
                            double low = end * (i - 1) / steps;
                            double high = sw;
                            for (int h = 0; h < 50; h++) {
                                double mid = (low + high) / 2;
                                if (straightened(mid)
                                        .filter(t -> t.innerDeg() >= 20)
                                        .isPresent()) {
                                    high = mid;
                                } else {
                                    low = mid;
                                }
                            }
                            return straightened(high).flatMap(TurnGeometry::ackermannPct).stream();
                        }
                    }
                    return Stream.empty();
                })
                .max(Comparator.comparingDouble(pct -> Math.abs(pct - 100)));
    }

    /** Both wheels less what they stand at straight ahead. */
    private Optional<TurnGeometry> straightened(double sw) {
        return train.pose(sw, 0, 0)
                .assembled()
                .map(a -> TurnGeometry.of(
                        sw,
                        a.left().steerDeg() - left.steerDeg(),
                        a.right().steerDeg() - right.steerDeg(),
                        vehicle,
                        axisSpacing,
                        track));
    }

    private Optional<Double> rollSteer(double most) {
        double z = Math.min(ROLL_STEP, most);
        if (travel == WheelTravel.NONE || z <= 0) {
            return Optional.empty();
        }
        Optional<AxlePose.Assembled> up = train.pose(0, z, -z).assembled();
        Optional<AxlePose.Assembled> down = train.pose(0, -z, z).assembled();
        double rollDeg = 2
                * Math.toDegrees(Math.atan2(
                        2 * z, left.wheelCentre().y() - right.wheelCentre().y()));
        return up.isEmpty() || down.isEmpty()
                ? Optional.empty()
                : Optional.of((up.get().meanSteerDeg() - down.get().meanSteerDeg()) / rollDeg);
    }

    private Map<Side, Double> toeSpread(double droop, double bump) {
        Map<Side, Double> all = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            all.put(
                    side,
                    travel == WheelTravel.NONE
                            ? 0.0
                            : PeakSearch.spread(
                                            z -> train.pose(0, z, travel.rightWith(z))
                                                    .assembled()
                                                    .map(a -> a.knuckle(side).toeInDeg())
                                                    .orElse(Double.NaN),
                                            -droop,
                                            bump)
                                    .orElse(0.0));
        }
        return all;
    }

    /** Over the angles of the table, each way. */
    private Optional<Double> worstMiss(OuterWheelTable table, double lockRight, double lockLeft) {
        double last = table.rows().getLast().innerDeg();
        DoubleUnaryOperator miss = sw -> turnAt(sw)
                .filter(t -> t.innerDeg() >= FIRST_OF_TABLE && t.innerDeg() <= last + 1e-9)
                .map(t -> Math.abs(t.outerDeg() - table.outerAt(t.innerDeg())))
                .orElse(Double.NaN);
        Optional<Double> toLeft = PeakSearch.of(miss, 0, lockLeft).map(PeakSearch::value);
        Optional<Double> toRight = PeakSearch.of(miss, 0, lockRight).map(PeakSearch::value);
        return toLeft.isPresent() && toRight.isPresent()
                ? Optional.of(Math.max(toLeft.get(), toRight.get()))
                : toLeft.or(() -> toRight);
    }

    private SteerFigures.Lock lock(Side way) {
        LockLimits.Hit hit = LockLimits.stop(train, job, way);
        // At the very end of a gear a linkage that only just reaches may not.
        return new SteerFigures.Lock(
                turnAt(hit.steeringWheelDeg())
                        .or(() -> turnAt(hit.steeringWheelDeg() * (1 - 1e-6)))
                        .or(() -> turnAt(0))
                        .orElseThrow(),
                hit);
    }

    /**
     * How far toward a lock loads are worked out: to its end, or short of it where the linkage itself ends it, since
     * over centre a rod
     * has no lever and every load is without end.
     */
    private static double loadedTo(SteerFigures.Lock lock) {
        return lock.turn().steeringWheelDeg() * (lock.hit().limit() == Limit.LINKAGE_ENDS ? SHORT_OF_CENTRE : 1);
    }

    /** Straight ahead over a travel. */
    private List<BumpRow> travelled(double droop, double bump, int steps, WheelTravel how) {
        if (travel == WheelTravel.NONE) {
            return List.of(new BumpRow(0, train.pose(0, 0, 0).assembled()));
        }
        List<BumpRow> rows = new ArrayList<>();
        for (double z : Grid.spread(droop, bump, steps)) {
            rows.add(new BumpRow(z, train.pose(0, z, how.rightWith(z)).assembled()));
        }
        return rows;
    }

    private Map<Side, SteerFigures.Rake> rakes(double lockRight, double lockLeft) {
        Map<Side, SteerFigures.Rake> all = new EnumMap<>(Side.class);
        if (train.requireAxle().oneTieRod()) {
            return all;
        }
        for (Side side : Side.values()) {
            Vector moves = innerMoves(side);
            double design = rakeDeg(side == Side.LEFT ? left : right, moves);
            // Of several places with the same rake, straight ahead counts.
            PeakSearch worst = PeakSearch.of(
                            sw -> train.pose(sw, 0, 0)
                                    .assembled()
                                    .map(a -> rakeDeg(a.knuckle(side), moves))
                                    .orElse(Double.NaN),
                            lockRight,
                            lockLeft)
                    .filter(p -> p.value() > design)
                    .orElse(new PeakSearch(0, design));
            all.put(side, new SteerFigures.Rake(design, worst.value(), worst.at()));
        }
        return all;
    }

    /** The way a tie rod's inner end moves straight ahead. */
    private Vector innerMoves(Side side) {
        double step = RATIO_STEP * train.stopDeg(Side.LEFT).orElseThrow();
        Optional<AxlePose.Assembled> up = train.pose(step, 0, 0).assembled();
        Optional<AxlePose.Assembled> down = train.pose(-step, 0, 0).assembled();
        return up.isEmpty() || down.isEmpty()
                ? Vector.Y
                : up.get()
                        .knuckle(side)
                        .tieRodInner()
                        .minus(down.get().knuckle(side).tieRodInner());
    }

    /** Between a tie rod and the way its inner end moves straight ahead, both seen from above, degrees. */
    private static double rakeDeg(KnucklePose k, Vector moves) {
        Vector rod = k.tieRodPoint().minus(k.tieRodInner());
        double sine = Math.abs(rod.x() * moves.y() - rod.y() * moves.x());
        return Math.toDegrees(Math.atan2(sine, Math.abs(rod.x() * moves.x() + rod.y() * moves.y())));
    }

    private Optional<TurnGeometry> turnAt(double sw) {
        return train.pose(sw, 0, 0).assembled().map(a -> turn(sw, a));
    }

    private TurnGeometry turn(double sw, AxlePose.Assembled a) {
        return TurnGeometry.of(sw, a.left().steerDeg(), a.right().steerDeg(), vehicle, axisSpacing, track);
    }

    /** Central where there is room to both sides, else to the side there is. */
    private Optional<Double> ratioAt(double sw, double step) {
        Optional<TurnGeometry> up = turnAt(sw + step);
        Optional<TurnGeometry> down = turnAt(sw - step);
        TurnGeometry to = up.or(() -> turnAt(sw)).orElse(null);
        TurnGeometry from = down.or(() -> turnAt(sw)).orElse(null);
        if (to == null || from == null || to.steeringWheelDeg() == from.steeringWheelDeg()) {
            return Optional.empty();
        }
        return SteerFigures.quotient(to.steeringWheelDeg() - from.steeringWheelDeg(), to.meanDeg() - from.meanDeg());
    }

    private Sense sense(double step) {
        Optional<TurnGeometry> up = turnAt(step);
        Optional<TurnGeometry> down = turnAt(-step);
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
    private Reach reach(Side way) {
        double stop = train.stopDeg(way).orElseThrow();
        double good = 0;
        for (int i = 1; i <= REACH_STEPS; i++) {
            double sw = stop * i / REACH_STEPS;
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
    private Optional<TurnGeometry> atInner(double innerDeg, Side way, Reach reach) {
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
                return turnAt(
                        innerAt(from).orElse(0) == innerDeg
                                ? from
                                : root(x -> innerAt(x).orElse(0) - innerDeg, from, to, sw));
            }
            before = sw;
        }
        return Optional.empty();
    }

    /** @param reached where the sign is the other one, if no root can be closed in on */
    private static double root(UnivariateFunction f, double from, double to, double reached) {
        if (!UnivariateSolverUtils.isBracketing(f, from, to)) {
            return reached;
        }
        try {
            return new BracketingNthOrderBrentSolver(1e-12, 1e-12, 1e-13, 5).solve(200, f, from, to);
        } catch (MathRuntimeException e) {
            // It jumps: the place of the jump, by halving.
            double in = from == reached ? to : from;
            double out = reached;
            for (int i = 0; i < 60; i++) {
                double mid = (in + out) / 2;
                if (f.value(mid) * f.value(reached) > 0) {
                    out = mid;
                } else {
                    in = mid;
                }
            }
            return out;
        }
    }

    private OptionalDouble innerAt(double sw) {
        return turnAt(sw).map(t -> OptionalDouble.of(t.innerDeg())).orElseGet(OptionalDouble::empty);
    }
}
