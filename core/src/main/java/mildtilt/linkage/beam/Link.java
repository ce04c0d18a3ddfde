package mildtilt.linkage.beam;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * A link or arm between frame and axle, with a joint at either end.
 *
 * @param bodyEnd on the frame, mm
 * @param axleEnd on the beam, mm
 */
@Withers
public record Link(Point bodyEnd, Point axleEnd) implements LinkBuilder.With {

    /** @throws ImpossibleGeometryException if it has no length */
    public Link {
        if (bodyEnd.distanceTo(axleEnd) < 1) {
            throw new ImpossibleGeometryException("A link of the axle has no length: both its ends are in one place.");
        }
    }

    public Link mirrored() {
        return new Link(bodyEnd.mirrored(), axleEnd.mirrored());
    }
}
