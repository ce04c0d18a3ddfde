package mildtilt.steer;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
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
 * @param steeringWheelDeg of the grid, from right lock to left lock
 * @param travels of the left wheel, from droop to bump, mm
 * @param cells row by row of travel, the steering-wheel angles within
 */
public record TravelMap(
        int posesRequested,
        List<NotAssembled> notAssembled,
        Map<RodEnd, RodToArm> rodToArm,
        Map<RodEnd, Tilt> tilts,
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

    /** The rod end nearest to being in line with its arm. */
    public Optional<Map.Entry<RodEnd, RodToArm>> nearestToggle() {
        return rodToArm.entrySet().stream()
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
            for (double sw : steer) {
                g.add(new At(sw, z), train.pose(sw, z, travel.rightWith(z)));
            }
        }
        return Optional.of(g.result(steer, travels));
    }

    private static final class Gatherer implements AxleSolver.AtRodEnd {
        private static final int ENDS = RodEnd.values().length;

        private final AxleSolver axle;
        private final LimitGauge gauge;
        private final List<NotAssembled> not = new ArrayList<>();
        private final List<Cell> cells = new ArrayList<>();
        private final double[] smallest = new double[ENDS];
        private final double[] largest = new double[ENDS];
        private final double[] closest = new double[ENDS];
        private final At[] closestAt = new At[ENDS];
        private final double[] tilt = new double[ENDS];
        private final At[] tiltAt = new At[ENDS];
        private At here = new At(0, 0);

        Gatherer(AxleSolver axle, LimitGauge gauge) {
            this.axle = axle;
            this.gauge = gauge;
        }

        void add(At at, AxlePose pose) {
            here = at;
            pose.obstacle().ifPresent(o -> not.add(new NotAssembled(at, o)));
            axle.atRodEnds(pose.stance(), this);
            LimitGauge.Margin least = LimitGauge.tightest(gauge.margins(pose));
            cells.add(least == null ? new Cell(NONE_LEFT, Limit.LINKAGE_ENDS) : new Cell(least.amount(), least.limit()));
        }

        @Override
        public void tilt(RodEnd end, double deg) {
            int i = end.ordinal();
            if (tiltAt[i] == null || deg > tilt[i]) {
                tilt[i] = deg;
                tiltAt[i] = here;
            }
        }

        @Override
        public void arm(RodEnd end, double deg) {
            int i = end.ordinal();
            double margin = Math.min(deg, 180 - deg);
            if (closestAt[i] == null) {
                smallest[i] = deg;
                largest[i] = deg;
                closest[i] = margin;
                closestAt[i] = here;
                return;
            }
            smallest[i] = Math.min(smallest[i], deg);
            largest[i] = Math.max(largest[i], deg);
            if (margin < closest[i]) {
                closest[i] = margin;
                closestAt[i] = here;
            }
        }

        TravelMap result(double[] steer, double[] travels) {
            Map<RodEnd, RodToArm> arms = new EnumMap<>(RodEnd.class);
            Map<RodEnd, Tilt> tilts = new EnumMap<>(RodEnd.class);
            for (RodEnd end : RodEnd.values()) {
                int i = end.ordinal();
                if (closestAt[i] != null) {
                    arms.put(end, new RodToArm(smallest[i], largest[i], closest[i], closestAt[i]));
                }
                if (tiltAt[i] != null) {
                    double allowed = gauge.allowedTiltDeg(end);
                    tilts.put(end, new Tilt(tilt[i], tiltAt[i], Double.isFinite(allowed) ? Optional.of(allowed) : Optional.empty()));
                }
            }
            return new TravelMap(cells.size(), List.copyOf(not), arms, tilts,
                    Arrays.stream(steer).boxed().toList(), Arrays.stream(travels).boxed().toList(),
                    List.copyOf(cells));
        }
    }
}
