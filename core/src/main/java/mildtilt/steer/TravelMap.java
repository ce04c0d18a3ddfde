package mildtilt.steer;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.linkage.AxleSolver;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.KnucklePose;

/**
 * The whole grid of steering-wheel angle against travel, both wheels travelling alike: what can't be
 * assembled, how near the linkage comes to going over centre, how far the rod ends tilt.
 */
public record TravelMap(
        int posesRequested,
        List<NotAssembled> notAssembled,
        Map<Side, RodToArm> rodToArm,
        Map<Side, Tilt> outerTilt,
        Map<Side, Tilt> innerTilt) {

    /** A place on the grid. */
    public record At(double steeringWheelDeg, double travel) {}

    public record NotAssembled(At at, CannotAssemble reason) {}

    /**
     * Angle in space between tie rod and steering arm over the grid, degrees; 0 folded, 180 stretched.
     *
     * @param closestToToggle least of min(angle, 180 − angle)
     */
    public record RodToArm(double smallest, double largest, double closestToToggle, At closestAt) {}

    /** The largest tilt of a rod end from square to its bolt, degrees. */
    public record Tilt(double deg, At at) {}

    public Optional<Tilt> worstTilt() {
        Tilt worst = null;
        for (Map<Side, Tilt> ends : List.of(outerTilt, innerTilt)) {
            for (Tilt t : ends.values()) {
                if (worst == null || t.deg() > worst.deg()) {
                    worst = t;
                }
            }
        }
        return Optional.ofNullable(worst);
    }

    public Optional<RodToArm> nearestToggle() {
        return rodToArm.values().stream()
                .min((a, b) -> Double.compare(a.closestToToggle(), b.closestToToggle()));
    }

    /** Empty if the job has no axle or can't be turned at all. */
    public static Optional<TravelMap> of(SteeringTrain train, Vehicle vehicle, Grid grid) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        Gatherer g = new Gatherer(train.axle().get());
        double leftStop = train.stopDeg(Side.LEFT).orElseThrow();
        double rightStop = train.stopDeg(Side.RIGHT).orElseThrow();
        for (double sw : Grid.spread(-rightStop, leftStop, grid.steerStepsEachWay())) {
            for (double z : Grid.spread(vehicle.droop(), vehicle.bump(), grid.travelStepsEachWay())) {
                g.add(new At(sw, z), train.pose(sw, z, z));
            }
        }
        return Optional.of(g.result());
    }

    private static final class Gatherer {
        private final AxleSolver axle;
        private int requested;
        private final List<NotAssembled> not = new ArrayList<>();
        private final Map<Side, RodToArm> rodToArm = new EnumMap<>(Side.class);
        private final Map<Side, Tilt> outer = new EnumMap<>(Side.class);
        private final Map<Side, Tilt> inner = new EnumMap<>(Side.class);

        Gatherer(AxleSolver axle) {
            this.axle = axle;
        }

        void add(At at, AxlePose pose) {
            requested++;
            pose.obstacle().ifPresent(o -> not.add(new NotAssembled(at, o)));
            pose.assembled().ifPresent(a -> {
                add(at, a.left());
                add(at, a.right());
            });
        }

        private void add(At at, KnucklePose k) {
            double angle = k.rodToArmDeg();
            double margin = Math.min(angle, 180 - angle);
            rodToArm.merge(k.side(), new RodToArm(angle, angle, margin, at), (was, now) -> new RodToArm(
                    Math.min(was.smallest(), angle), Math.max(was.largest(), angle),
                    Math.min(was.closestToToggle(), margin),
                    margin < was.closestToToggle() ? at : was.closestAt()));
            tilt(outer, k.side(), axle.outerMisalignmentDeg(k), at);
            tilt(inner, k.side(), axle.innerMisalignmentDeg(k), at);
        }

        private static void tilt(Map<Side, Tilt> ends, Side side, OptionalDouble deg, At at) {
            if (deg.isPresent()) {
                ends.merge(side, new Tilt(deg.getAsDouble(), at), (was, now) -> now.deg() > was.deg() ? now : was);
            }
        }

        TravelMap result() {
            return new TravelMap(requested, List.copyOf(not), Map.copyOf(rodToArm),
                    Map.copyOf(outer), Map.copyOf(inner));
        }
    }
}
