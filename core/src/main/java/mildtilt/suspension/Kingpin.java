package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * A knuckle turning on a kingpin, or between two ball joints, held by a beam axle or by the frame itself.
 * Two points on the steer axis, mm.
 */
public record Kingpin(Point lower, Point upper) implements Suspension {

    /** @throws ImpossibleGeometryException if the upper point does not stand above the lower */
    public Kingpin {
        if (!(upper.z() - lower.z() >= 1)) {
            throw new ImpossibleGeometryException("The kingpin's upper point must stand above its lower point.");
        }
    }

    @Override
    public Kingpin mirrored() {
        return new Kingpin(lower.mirrored(), upper.mirrored());
    }

    @Override
    public Axis steerAxis() {
        return Axis.through(lower, upper);
    }
}
