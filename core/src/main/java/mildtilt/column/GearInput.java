package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * The gear's input shaft.
 *
 * @param point where the last shaft ends in the gear
 * @param fit how the last shaft sits in it
 * @param axis the way the input points, from the column into the gear, as measured on the gear where it is bolted down;
 *     empty where the gear is still free to be set to the column
 */
@Withers
public record GearInput(Point point, YokeDimensions fit, Optional<Direction> axis) implements GearInputBuilder.With {

    public GearInput(Point point, YokeDimensions fit) {
        this(point, fit, Optional.empty());
    }
}
