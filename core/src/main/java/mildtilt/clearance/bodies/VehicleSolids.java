package mildtilt.clearance.bodies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.columnrange.ColumnRange.Placed;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.solid.Solid;
import mildtilt.steer.position.AxlePose;

/**
 * The vehicle's parts and what is in their way as solids in one position: the very ones that the gaps are worked out
 * between.
 */
public final class VehicleSolids {

    /** What a solid is, so that a drawing can tell parts apart. */
    public enum Kind {
        TYRE,
        /** Rim and tyre as a ring: its hole is the room inside the wheel. */
        WHEEL_RING,
        SUSPENSION,
        STEERING_ARM,
        ROD,
        GEAR,
        BEAM,
        STEERING_WHEEL,
        SHAFT,
        /** All that a joint sweeps as it turns. */
        JOINT_SWEEP,
        TUBE,
        DRIVER,
        OBSTACLE,
        HOT_OBSTACLE;

        /**
         * The order a drawing is built up in: what is large and light stays under what is slender, whichever is nearer.
         */
        public int layer() {
            return switch (this) {
                case DRIVER -> 0;
                case OBSTACLE, HOT_OBSTACLE -> 1;
                case TYRE, WHEEL_RING -> 2;
                case SUSPENSION, BEAM -> 3;
                case TUBE -> 4;
                case GEAR, ROD, STEERING_ARM -> 5;
                case SHAFT, JOINT_SWEEP, STEERING_WHEEL -> 6;
            };
        }
    }

    /**
     * One part where it stands.
     *
     * @param moves whether steering, wheel travel or a way of its own moves it
     */
    public record Part(Id id, Element element, Optional<Side> side, Kind kind, boolean moves, Solid solid) {}

    private final Job job;
    private final List<Body> bodies;
    private final Placed column;

    private VehicleSolids(Job job) {
        this.job = job;
        bodies = new Bodies(job).all();
        column = job.column().map(c -> new Placed("", c.points())).orElse(Configuration.NO_COLUMN);
    }

    public static VehicleSolids of(Job job) {
        return new VehicleSolids(job);
    }

    /** @param pose of the axle; what hangs on an axle that can't be assembled is left out */
    public List<Part> at(Optional<AxlePose> pose, double travelLeft, double travelRight) {
        boolean assembled = pose.flatMap(AxlePose::assembled).isPresent();
        Configuration stand = new Configuration(pose, travelLeft, travelRight, column, 0.5);
        List<Part> all = new ArrayList<>();
        for (Body b : bodies) {
            if (b.sort() != Body.Sort.HANDS && (assembled || !b.onPose())) {
                all.add(new Part(
                        b.id(),
                        b.element(),
                        b.side(),
                        kind(b),
                        b.moves(),
                        b.solid().apply(stand)));
            }
        }
        return all;
    }

    private Kind kind(Body b) {
        return switch (b.sort()) {
            case TYRE -> Kind.TYRE;
            case WHEEL_RING -> Kind.WHEEL_RING;
            case CORNER -> b.element() instanceof Element.SteeringArms ? Kind.STEERING_ARM : Kind.SUSPENSION;
            case ROD -> Kind.ROD;
            case GEAR -> Kind.GEAR;
            case BEAM -> Kind.BEAM;
            case TRACK_BAR -> Kind.SUSPENSION;
            case STEERING_WHEEL, HANDS -> Kind.STEERING_WHEEL;
            case SHAFT, STUB -> Kind.SHAFT;
            case JOINT -> Kind.JOINT_SWEEP;
            case TUBE -> Kind.TUBE;
            case LEG -> Kind.DRIVER;
            case OBSTACLE ->
                b.element() instanceof Element.InTheWay i && hot(i.index()) ? Kind.HOT_OBSTACLE : Kind.OBSTACLE;
        };
    }

    private boolean hot(int obstacle) {
        Obstacle o = job.surroundings().obstacles().get(obstacle);
        return o.hot();
    }
}
