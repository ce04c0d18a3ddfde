package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * A bell crank on the vehicle's middle, pushed by a drag rod from the gear's arm; both tie rods start on it.
 *
 * @param pivot its axis, pointing up
 * @param dragRodPoint where the drag rod meets it, where it really is, mm
 * @param leftTieRodPoint where the left tie rod meets it, mm
 * @param ownRightTieRodPoint the right one where it differs; empty if it is the mirror image
 * @param dragRodEnds the drag rod's joints: outer at the crank, inner at the gear's arm
 */
@Withers
public record BellCrank(
        Axis pivot, Point dragRodPoint, Point leftTieRodPoint, Optional<Point> ownRightTieRodPoint, RodEnds dragRodEnds) implements Linkage, BellCrankBuilder.With {

    /** @throws ImpossibleGeometryException naming the point that lies on the pivot */
    public BellCrank {
        if (pivot.distanceTo(dragRodPoint) < 1) {
            throw new ImpossibleGeometryException("The drag rod's point lies on the bell crank's pivot.");
        }
        if (pivot.distanceTo(leftTieRodPoint) < 1 || ownRightTieRodPoint.filter(p -> pivot.distanceTo(p) < 1).isPresent()) {
            throw new ImpossibleGeometryException("A tie rod's inner point lies on the bell crank's pivot.");
        }
    }

    public Point tieRodPoint(Side side) {
        return side == Side.LEFT ? leftTieRodPoint : ownRightTieRodPoint.orElseGet(leftTieRodPoint::mirrored);
    }

    public BellCrank moved(Vector by) {
        return new BellCrank(pivot.moved(by), dragRodPoint.plus(by), leftTieRodPoint.plus(by),
                ownRightTieRodPoint.map(p -> p.plus(by)), dragRodEnds);
    }

    /** One tie-rod point moved; where the right is the mirror of the left, both are. */
    public BellCrank withTieRodPoint(Side side, Point p) {
        if (ownRightTieRodPoint.isEmpty()) {
            return new BellCrank(pivot, dragRodPoint, side == Side.LEFT ? p : p.mirrored(), ownRightTieRodPoint, dragRodEnds);
        }
        return side == Side.LEFT
                ? new BellCrank(pivot, dragRodPoint, p, ownRightTieRodPoint, dragRodEnds)
                : new BellCrank(pivot, dragRodPoint, leftTieRodPoint, Optional.of(p), dragRodEnds);
    }
}
