package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * How the column stands in the vehicle.
 *
 * @param columnAxis the way the column points, from the hub toward the gear, as measured where it is bolted down; empty
 *     where it is still free to be set
 * @param frameMovement how far the frame, with gear and lower joints, moves against the body that carries the column,
 * any
 *     way, mm
 * @param bulkhead x of the bulkhead between cabin and front, mm, if there is one
 */
@Withers
public record Installation(Optional<Direction> columnAxis, double frameMovement, Optional<Double> bulkhead)
        implements InstallationBuilder.With {

    public static final Installation FREE = new Installation(Optional.empty(), 0, Optional.empty());

    /** @throws ImpossibleGeometryException if the movement is negative */
    public Installation {
        if (!(frameMovement >= 0)) {
            throw new ImpossibleGeometryException("The frame's movement can't be negative.");
        }
    }
}
