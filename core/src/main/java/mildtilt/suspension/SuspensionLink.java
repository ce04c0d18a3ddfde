package mildtilt.suspension;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * A link between the frame and a knuckle, a ball or a soft bush at either end.
 *
 * @param inner on the frame, mm
 * @param outer on the knuckle, mm
 */
@Withers
public record SuspensionLink(Point inner, Point outer) implements SuspensionLinkBuilder.With {

    /** @throws ImpossibleGeometryException if it has no length */
    public SuspensionLink {
        if (inner.distanceTo(outer) < 10) {
            throw new ImpossibleGeometryException("A suspension link has no length: both its ends are in one place.");
        }
    }

    public double length() {
        return inner.distanceTo(outer);
    }

    public SuspensionLink mirrored() {
        return new SuspensionLink(inner.mirrored(), outer.mirrored());
    }
}
