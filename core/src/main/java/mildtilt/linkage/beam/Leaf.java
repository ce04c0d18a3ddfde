package mildtilt.linkage.beam;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * A leaf spring that holds the axle.
 *
 * @param eye the eye that is fixed to the frame, mm; ahead of the axle or behind it
 * @param seat where the axle is clamped to it, mm
 * @param shackle the eye that hangs in the shackle, mm
 */
@Withers
public record Leaf(Point eye, Point seat, Point shackle) implements LeafBuilder.With {

    /** Part of the fixed half's length that the seat swings on. */
    static final double SWINGS_ON = 0.75;

    private static final double SHORTEST = 20;

    /** @throws ImpossibleGeometryException if the axle does not sit between the eyes */
    public Leaf {
        if (!((seat.x() - eye.x()) * (shackle.x() - seat.x()) > 0)
                || Math.abs(seat.x() - eye.x()) < SHORTEST
                || Math.abs(shackle.x() - seat.x()) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "The axle must sit on a leaf spring between its two eyes, seen from the side.");
        }
    }

    public Leaf mirrored() {
        return new Leaf(eye.mirrored(), seat.mirrored(), shackle.mirrored());
    }

    /** The point of the frame that the seat swings about, as if on a link. */
    Point pivot() {
        return seat.plus(eye.minus(seat).times(SWINGS_ON));
    }

    /**
     * How far the seat is tilted for each mm the axle rises, rad, + nose up. Each half is a cantilever that bears the part
     * of the load its length leaves it and bends with the cube of its length, so that with halves a (the one ahead) and b
     * the seat tilts by {@code (a − b) / (a b)}.
     */
    double tiltPerRise() {
        double ahead = Math.max(eye.x(), shackle.x()) - seat.x();
        double behind = seat.x() - Math.min(eye.x(), shackle.x());
        return (ahead - behind) / (ahead * behind);
    }
}
