package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.SequencedMap;
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

    @Override
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = new LinkedHashMap<>();
        all.put(CornerPoint.KINGPIN_LOWER, lower);
        all.put(CornerPoint.KINGPIN_UPPER, upper);
        return all;
    }

    @Override
    public Kingpin withPoint(CornerPoint which, Point p) {
        return new Kingpin(
                which == CornerPoint.KINGPIN_LOWER ? p : lower, which == CornerPoint.KINGPIN_UPPER ? p : upper);
    }
}
