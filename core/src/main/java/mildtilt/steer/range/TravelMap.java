package mildtilt.steer.range;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CannotAssemble;
import org.jspecify.annotations.Nullable;

/**
 * The whole grid of steering-wheel angle against travel: what can't be assembled, how near the linkage comes
 * to going over centre, how far the rod ends tilt, and what limits each place. Both wheels travel alike, or
 * against each other where the axle only rolls.
 *
 * @param extremes the worst over all the places that knuckle stops and tyres leave within reach; no grid changes it
 * @param steeringWheelDeg of the grid, from right lock to left lock
 * @param travels of the left wheel, from droop to bump, mm
 * @param cells row by row of travel, the steering-wheel angles within
 */
public record TravelMap(
        int posesRequested,
        List<NotAssembled> notAssembled,
        Map<RodEnd, RodToArm> rodToArm,
        Map<RodEnd, Tilt> tilts,
        RangeExtremes extremes,
        List<Double> steeringWheelDeg,
        List<Double> travels,
        List<Cell> cells) {

    /**
     * Margin reported where a place can't be assembled, or a part is past an end that is no angle of the linkage,
     * degrees.
     */
    public static final double NONE_LEFT = -90;

    /** A place on the grid. @param travel of the left wheel, mm */
    public record At(double steeringWheelDeg, double travel) {}

    public record NotAssembled(At at, CannotAssemble reason) {}

    /**
     * Angle in space between a rod and the arm at its end over the grid, degrees; 0 folded, 180 stretched.
     *
     * @param closestToToggle least of min(angle, 180 − angle)
     */
    public record RodToArm(double smallest, double largest, double closestToToggle, At closestAt) {}

    /** The largest tilt of a rod end from square to its bolt, degrees. @param allowedDeg if known */
    public record Tilt(double deg, At at, Optional<Double> allowedDeg) {}

    /**
     * What limits one place of the grid.
     *
     * @param marginDeg left until the tightest limit, below 0 past it, degrees
     */
    public record Cell(double marginDeg, Limit limit) {}

    public Cell cell(int steer, int travel) {
        return cells.get(travel * steeringWheelDeg.size() + steer);
    }

    /** The place with the least left. */
    public Optional<Map.Entry<At, Cell>> tightest() {
        int worst = -1;
        for (int i = 0; i < cells.size(); i++) {
            if (worst < 0 || cells.get(i).marginDeg < cells.get(worst).marginDeg) {
                worst = i;
            }
        }
        return worst < 0
                ? Optional.empty()
                : Optional.of(Map.entry(
                        new At(
                                steeringWheelDeg.get(worst % steeringWheelDeg.size()),
                                travels.get(worst / steeringWheelDeg.size())),
                        cells.get(worst)));
    }

    /** The rod end that comes nearest to going over centre where the wheels can really go. */
    public Optional<Map.Entry<RodEnd, RangeExtremes.OffCentre>> nearestCentre() {
        return extremes.nearestCentre();
    }

    /** Empty if the job has no axle or can't be turned at all. */
    public static Optional<TravelMap> of(SteeringTrain train, Job job, Grid grid) {
        return of(train, job, grid, true, _ -> false);
    }

    /**
     * The same with what else ends a place.
     *
     * @param ended whether something other than linkage, rod ends, stops and tyres is past its end in a pose that is
     *     assembled
     */
    public static Optional<TravelMap> of(SteeringTrain train, Job job, Grid grid, Predicate<AxlePose> ended) {
        return of(train, job, grid, true, ended);
    }

    /** The same with its extremes from a few hundred places only, for what is worked out a thousand times over. */
    public static Optional<TravelMap> quick(SteeringTrain train, Job job, Grid grid) {
        return of(train, job, grid, false, _ -> false);
    }

    private static Optional<TravelMap> of(
            SteeringTrain train, Job job, Grid grid, boolean fine, Predicate<AxlePose> ended) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        WheelTravel travel = train.requireAxle().wheelTravel();
        double[] steer = Grid.spread(
                -train.stopDeg(Side.RIGHT).orElseThrow(),
                train.stopDeg(Side.LEFT).orElseThrow(),
                grid.steerStepsEachWay());
        double[] travels = travel == WheelTravel.NONE
                ? new double[] {0}
                : Grid.spread(job.vehicle().droop(), job.vehicle().bump(), grid.travelStepsEachWay());
        LimitGauge gauge = new LimitGauge(train.axle().get(), job.targets());
        Gatherer g = new Gatherer(train.axle().get(), gauge, ended);
        for (double z : travels) {
            AxlePose[] row = new AxlePose[steer.length];
            for (int i = 0; i < steer.length; i++) {
                row[i] = train.pose(steer[i], z, travel.rightWith(z));
            }
            g.add(row, z);
        }
        return Optional.of(g.result(steer, travels, RangeExtremes.of(train, job, gauge, fine)));
    }

    private static final class Gatherer {
        private final AxleSolver axle;
        private final LimitGauge gauge;
        private final Predicate<AxlePose> ended;
        private final List<NotAssembled> not = new ArrayList<>();
        private final List<Cell> cells = new ArrayList<>();
        private final RodEndExtremes whole = new RodEndExtremes();

        Gatherer(AxleSolver axle, LimitGauge gauge, Predicate<AxlePose> ended) {
            this.axle = axle;
            this.ended = ended;
            this.gauge = gauge;
        }

        /** One travel, from right lock to left lock. */
        void add(AxlePose[] row, double travel) {
            for (AxlePose pose : row) {
                add(new At(pose.steeringWheelDeg(), travel), pose);
            }
        }

        private void add(At at, AxlePose pose) {
            pose.obstacle().ifPresent(o -> not.add(new NotAssembled(at, o)));
            RodEndTilts reading = RodEndTilts.of(axle, pose.stance());
            LimitGauge.Margin least = gauge.tightest(pose, reading);
            cells.add(cell(pose, least));
            whole.add(reading, at);
        }

        private Cell cell(AxlePose pose, LimitGauge.@Nullable Margin least) {
            if (least == null) {
                return new Cell(NONE_LEFT, Limit.LINKAGE_ENDS);
            }
            return least.amount() >= 0 && ended.test(pose)
                    ? new Cell(NONE_LEFT, Limit.PART_ENDS)
                    : new Cell(least.amount(), least.limit());
        }

        TravelMap result(double[] steer, double[] travels, RangeExtremes extremes) {
            return new TravelMap(
                    cells.size(),
                    List.copyOf(not),
                    whole.arms(),
                    whole.tilts(gauge),
                    extremes,
                    Arrays.stream(steer).boxed().toList(),
                    Arrays.stream(travels).boxed().toList(),
                    List.copyOf(cells));
        }
    }
}
