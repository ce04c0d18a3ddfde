package mildtilt.steer;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.WheelTravel;
import mildtilt.suspension.CannotAssemble;

/**
 * The whole grid of steering-wheel angle against travel: what can't be assembled, how near the linkage comes
 * to going over centre, how far the rod ends tilt, and what limits each place. Both wheels travel alike, or
 * against each other where the axle only rolls.
 *
 * @param reachableNotAssembled of those not assembled, the ones that no knuckle stop or tyre keeps the wheels from
 * @param reachableArms as {@code rodToArm}, over the places that knuckle stops and tyres leave within reach
 * @param reachableTilts as {@code tilts}, over the same places
 * @param steeringWheelDeg of the grid, from right lock to left lock
 * @param travels of the left wheel, from droop to bump, mm
 * @param cells row by row of travel, the steering-wheel angles within
 */
public record TravelMap(
        int posesRequested,
        List<NotAssembled> notAssembled,
        List<NotAssembled> reachableNotAssembled,
        Map<RodEnd, RodToArm> rodToArm,
        Map<RodEnd, Tilt> tilts,
        Map<RodEnd, RodToArm> reachableArms,
        Map<RodEnd, Tilt> reachableTilts,
        List<Double> steeringWheelDeg,
        List<Double> travels,
        List<Cell> cells) {

    /** Margin told where a place can't be assembled at all, degrees. */
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
        return worst < 0 ? Optional.empty() : Optional.of(Map.entry(
                new At(steeringWheelDeg.get(worst % steeringWheelDeg.size()), travels.get(worst / steeringWheelDeg.size())),
                cells.get(worst)));
    }

    /** The rod end nearest to being in line with its arm, on the whole grid. */
    public Optional<Map.Entry<RodEnd, RodToArm>> nearestToggle() {
        return nearest(rodToArm);
    }

    /** The same where the wheels can really go. */
    public Optional<Map.Entry<RodEnd, RodToArm>> nearestReachableToggle() {
        return nearest(reachableArms);
    }

    private static Optional<Map.Entry<RodEnd, RodToArm>> nearest(Map<RodEnd, RodToArm> arms) {
        return arms.entrySet().stream()
                .min((a, b) -> Double.compare(a.getValue().closestToToggle(), b.getValue().closestToToggle()));
    }

    /** Empty if the job has no axle or can't be turned at all. */
    public static Optional<TravelMap> of(SteeringTrain train, Job job, Grid grid) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        WheelTravel travel = train.requireAxle().wheelTravel();
        double[] steer = Grid.spread(-train.stopDeg(Side.RIGHT).orElseThrow(), train.stopDeg(Side.LEFT).orElseThrow(),
                grid.steerStepsEachWay());
        double[] travels = travel == WheelTravel.NONE ? new double[] {0}
                : Grid.spread(job.vehicle().droop(), job.vehicle().bump(), grid.travelStepsEachWay());
        Gatherer g = new Gatherer(train.axle().get(), new LimitGauge(train.axle().get(), job.targets()));
        for (double z : travels) {
            AxlePose[] row = new AxlePose[steer.length];
            for (int i = 0; i < steer.length; i++) {
                row[i] = train.pose(steer[i], z, travel.rightWith(z));
            }
            g.add(row, z);
        }
        return Optional.of(g.result(steer, travels));
    }

    private static final class Gatherer {
        private final AxleSolver axle;
        private final LimitGauge gauge;
        private final List<NotAssembled> not = new ArrayList<>();
        private final List<NotAssembled> reachableNot = new ArrayList<>();
        private final List<Cell> cells = new ArrayList<>();
        private final RodEndRecord whole = new RodEndRecord();
        private final RodEndRecord reachable = new RodEndRecord();

        Gatherer(AxleSolver axle, LimitGauge gauge) {
            this.axle = axle;
            this.gauge = gauge;
        }

        /** One travel, from right lock to left lock. A place beyond one where a stop has acted is out of reach. */
        void add(AxlePose[] row, double travel) {
            int middle = row.length / 2;
            boolean[] within = new boolean[row.length];
            for (int way : new int[] {-1, 1}) {
                boolean stopped = false;
                for (int i = middle; i >= 0 && i < row.length; i += way) {
                    stopped |= row[i].assembled().isPresent() && !gauge.withinStops(row[i]);
                    within[i] = !stopped;
                }
            }
            for (int i = 0; i < row.length; i++) {
                add(new At(row[i].steeringWheelDeg(), travel), row[i], within[i]);
            }
        }

        private void add(At at, AxlePose pose, boolean within) {
            pose.obstacle().ifPresent(o -> {
                not.add(new NotAssembled(at, o));
                if (within) {
                    reachableNot.add(new NotAssembled(at, o));
                }
            });
            RodEndReading reading = RodEndReading.of(axle, pose.stance());
            LimitGauge.Margin least = gauge.tightest(pose, reading);
            cells.add(least == null ? new Cell(NONE_LEFT, Limit.LINKAGE_ENDS) : new Cell(least.amount(), least.limit()));
            whole.add(reading, at);
            if (within) {
                reachable.add(reading, at);
            }
        }

        TravelMap result(double[] steer, double[] travels) {
            return new TravelMap(cells.size(), List.copyOf(not), List.copyOf(reachableNot), whole.arms(), whole.tilts(gauge), reachable.arms(),
                    reachable.tilts(gauge), Arrays.stream(steer).boxed().toList(), Arrays.stream(travels).boxed().toList(),
                    List.copyOf(cells));
        }
    }
}
