package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;

/**
 * A shuttle that slides along a bar without turning, pushed by the gear's arm through a short link; both tie
 * rods start on it.
 *
 * @param slide along the bar, toward the left
 * @param linkPoint where the short link meets the shuttle, where it really is, straight ahead, mm
 * @param leftInner where the left tie rod meets it, mm
 * @param ownRightInner the right one where it differs; empty if it is the mirror image
 * @param travelEachWay how far it can slide from straight ahead before it meets the bar's mounts, mm, if known
 * @param linkEnds the short link's joints: outer at the shuttle, inner at the gear's arm
 */
public record Shuttle(
        Direction slide,
        Point linkPoint,
        Point leftInner,
        Optional<Point> ownRightInner,
        Optional<Double> travelEachWay,
        RodEnds linkEnds)
        implements Linkage {

    /** @throws ImpossibleGeometryException naming what can't be */
    public Shuttle {
        if (!(slide.y() > 0)) {
            throw new ImpossibleGeometryException("The shuttle's bar must point toward the left (y above 0).");
        }
        if (travelEachWay.filter(t -> !(t > 0)).isPresent()) {
            throw new ImpossibleGeometryException("The shuttle's travel each way must be above 0.");
        }
    }

    public Point inner(Side side) {
        return side == Side.LEFT ? leftInner : ownRightInner.orElseGet(leftInner::mirrored);
    }

    public Shuttle moved(Vector by) {
        return new Shuttle(slide, linkPoint.plus(by), leftInner.plus(by), ownRightInner.map(p -> p.plus(by)), travelEachWay,
                linkEnds);
    }

    public Shuttle withLinkPoint(Point p) {
        return new Shuttle(slide, p, leftInner, ownRightInner, travelEachWay, linkEnds);
    }

    /** One inner point moved; where the right is the mirror of the left, both are. */
    public Shuttle withInner(Side side, Point p) {
        if (ownRightInner.isEmpty()) {
            return new Shuttle(slide, linkPoint, side == Side.LEFT ? p : p.mirrored(), ownRightInner, travelEachWay, linkEnds);
        }
        return side == Side.LEFT
                ? new Shuttle(slide, linkPoint, p, ownRightInner, travelEachWay, linkEnds)
                : new Shuttle(slide, linkPoint, leftInner, Optional.of(p), travelEachWay, linkEnds);
    }
}
