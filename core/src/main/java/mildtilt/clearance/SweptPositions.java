package mildtilt.clearance;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.columnrange.ColumnRange;
import mildtilt.columnrange.ColumnRange.Placed;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LimitGauge;

/**
 * The positions that are gone through: steering against travel on a grid, as far as the linkage and the stops as set
 * let the
 * wheels go, and up to those stops themselves; a beam axle rolled besides; the wheel's adjustment; parts of the way of
 * what moves
 * by itself.
 */
final class SweptPositions {

    static final int STEER_EACH_WAY = 12;
    static final int TRAVEL_EACH_WAY = 8;
    private static final int ROLLS_EACH_WAY = 3;
    private static final int PARTS = 13;

    /** @param cell of the map, or −1 for a rolled axle */
    record Position(Configuration stand, int cell) {}

    final SteeringTrain train;
    final Optional<LimitGauge> gauge;
    final List<Position> positions = new ArrayList<>();
    final List<Placed> columns;
    final double[] parts = new double[PARTS];
    final double[] steer;
    final double[] travels;
    final boolean[] reachable;
    private final Job job;
    private final WheelTravel travel;
    private final Map<Asked, Optional<Configuration>> known = new HashMap<>();

    private record Asked(double steeringWheelDeg, double left, double right) {}

    SweptPositions(Job job, SteeringTrain train) {
        this.job = job;
        this.train = train;
        columns = job.column().map(ColumnRange::placings).orElse(List.of(Configuration.NO_COLUMN));
        for (int i = 0; i < PARTS; i++) {
            parts[i] = (double) i / (PARTS - 1);
        }
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            gauge = Optional.empty();
            travel = WheelTravel.NONE;
            steer = new double[0];
            travels = new double[0];
            reachable = new boolean[0];
            Configuration rest =
                    new Configuration(train.axle().map(_ -> train.pose(0, 0, 0)), 0, 0, columns.getFirst(), rest());
            if (train.axle().isEmpty() || rest.pose().orElseThrow().assembled().isPresent()) {
                positions.add(new Position(rest, -1));
            }
            return;
        }
        gauge = Optional.of(new LimitGauge(train.axle().get(), job.targets()));
        travel = train.requireAxle().wheelTravel();
        steer = Grid.spread(
                -train.stopDeg(Side.RIGHT).orElseThrow(),
                train.stopDeg(Side.LEFT).orElseThrow(),
                STEER_EACH_WAY);
        travels = travel == WheelTravel.NONE
                ? new double[] {0}
                : Grid.spread(job.vehicle().droop(), job.vehicle().bump(), TRAVEL_EACH_WAY);
        reachable = new boolean[steer.length * travels.length];
        for (int j = 0; j < travels.length; j++) {
            row(travels[j], travel.rightWith(travels[j]), j * steer.length);
        }
        if (travel == WheelTravel.FREE && job.axle().orElseThrow().beam().isPresent()) {
            double most = Math.min(job.vehicle().bump(), job.vehicle().droop());
            for (int k = -ROLLS_EACH_WAY; k <= ROLLS_EACH_WAY; k++) {
                if (k != 0) {
                    row(most * k / ROLLS_EACH_WAY, -most * k / ROLLS_EACH_WAY, -1);
                }
            }
        }
    }

    /** Where an obstacle that moves by itself rests. */
    private double rest() {
        return parts[PARTS / 2];
    }

    /** @param firstCell of the map's row, or −1 */
    private void row(double left, double right, int firstCell) {
        int middle = steer.length / 2;
        List<Position> toRight = way(left, right, firstCell, middle, -1);
        for (int i = toRight.size() - 1; i > 0; i--) {
            positions.add(toRight.get(i));
        }
        positions.addAll(way(left, right, firstCell, middle, 1));
    }

    /** From straight ahead outward, up to where a stop acts or the linkage ends. */
    private List<Position> way(double left, double right, int firstCell, int middle, int step) {
        List<Position> all = new ArrayList<>();
        for (int i = middle; i >= 0 && i < steer.length; i += step) {
            Optional<Configuration> s = at(steer[i], left, right);
            if (s.isEmpty()) {
                if (i != middle) {
                    edge(steer[i - step], steer[i], left, right)
                            .ifPresent(e -> all.add(new Position(e, all.getLast().cell)));
                }
                break;
            }
            int cell = firstCell < 0 ? -1 : firstCell + i;
            if (cell >= 0) {
                reachable[cell] = true;
            }
            all.add(new Position(s.get(), cell));
        }
        return all;
    }

    /** The last place inside, between one inside and one outside. */
    private Optional<Configuration> edge(double inside, double outside, double left, double right) {
        double in = inside;
        double out = outside;
        Optional<Configuration> found = Optional.empty();
        for (int i = 0; i < 14; i++) {
            double mid = (in + out) / 2;
            Optional<Configuration> s = at(mid, left, right);
            if (s.isPresent()) {
                in = mid;
                found = s;
            } else {
                out = mid;
            }
        }
        return found;
    }

    /** Empty where the linkage or a stop does not let the wheels go. */
    Optional<Configuration> at(double steeringWheelDeg, double left, double right) {
        if (gauge.isEmpty()) {
            return positions.isEmpty() ? Optional.empty() : Optional.of(positions.getFirst().stand);
        }
        // Pair after pair is looked at in the same places between those of the grid.
        return known.computeIfAbsent(new Asked(steeringWheelDeg, left, right), a -> {
            AxlePose pose = train.pose(a.steeringWheelDeg, a.left, a.right);
            return pose.assembled().isPresent() && gauge.get().withinStops(pose)
                    ? Optional.of(new Configuration(Optional.of(pose), a.left, a.right, columns.getFirst(), rest()))
                    : Optional.empty();
        });
    }

    /** A stand near another one; empty outside of the range. */
    Optional<Configuration> near(Configuration s, double steerBy, double travelBy, double partBy) {
        double part = Math.clamp(s.part() + partBy, 0, 1);
        if (steerBy == 0 && travelBy == 0 || gauge.isEmpty()) {
            return Optional.of(new Configuration(s.pose(), s.travelLeft(), s.travelRight(), s.column(), part));
        }
        double sw = Math.clamp(s.pose().orElseThrow().steeringWheelDeg() + steerBy, steer[0], steer[steer.length - 1]);
        boolean rolled = s.travelLeft() != s.travelRight();
        double left = travel == WheelTravel.NONE
                ? 0
                : Math.clamp(
                        s.travelLeft() + travelBy,
                        -job.vehicle().droop(),
                        job.vehicle().bump());
        double right = travel == WheelTravel.NONE
                ? 0
                : rolled
                        ? Math.clamp(
                                s.travelRight() - travelBy,
                                -job.vehicle().droop(),
                                job.vehicle().bump())
                        : left;
        if (travel == WheelTravel.ROLL_ONLY && left != -right) {
            return Optional.empty();
        }
        return at(sw, left, right).map(n -> new Configuration(n.pose(), left, right, s.column(), part));
    }

    /** Anywhere of the map, the wheel set and what moves by itself as in another stand; empty outside of the range. */
    Optional<Configuration> across(Configuration like, double steeringWheelDeg, double travelLeft) {
        double right = travel.rightWith(travelLeft);
        return at(steeringWheelDeg, travelLeft, right)
                .map(n -> new Configuration(n.pose(), travelLeft, right, like.column(), like.part()));
    }

    Configuration stand(int position) {
        return positions.get(position).stand;
    }

    double steeringWheelDeg(int position) {
        return stand(position).pose().orElseThrow().steeringWheelDeg();
    }

    double steerStep() {
        return steer.length < 2 ? 0 : Math.max(steer[1] - steer[0], steer[steer.length - 1] - steer[steer.length - 2]);
    }

    double travelStep() {
        return travels.length < 2
                ? 0
                : Math.max(travels[1] - travels[0], travels[travels.length - 1] - travels[travels.length - 2]);
    }
}
