package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * How the column stands in the vehicle.
 *
 * @param columnAxis the way the column points, from the hub toward the gear, as measured where it is bolted down; empty
 *     where it is still free to be set
 * @param frameMovement how far the frame, with gear and lower joints, moves against the body that carries the column, any
 *     way, mm
 * @param bulkhead x of the bulkhead between cabin and front, mm, if there is one
 */
public record Installation(Optional<Direction> columnAxis, double frameMovement, Optional<Double> bulkhead) {

    public static final Installation FREE = new Installation(Optional.empty(), 0, Optional.empty());

    /** @throws ImpossibleGeometryException if the movement is negative */
    public Installation {
        if (!(frameMovement >= 0)) {
            throw new ImpossibleGeometryException("The frame's movement can't be negative.");
        }
    }

    public Installation withColumnAxis(Optional<Direction> d) {
        return new Installation(d, frameMovement, bulkhead);
    }

    public Installation withFrameMovement(double mm) {
        return new Installation(columnAxis, mm, bulkhead);
    }

    public Installation withBulkhead(Optional<Double> x) {
        return new Installation(columnAxis, frameMovement, x);
    }
}
