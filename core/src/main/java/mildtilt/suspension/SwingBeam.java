package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.SequencedMap;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * A long beam of this wheel's own, pivoted on the frame near or past the middle and held fore and aft by a radius arm
 * that is
 * one piece with it. It swings about the line through both joints; a kingpin, or two ball joints, at its end carries
 * the
 * knuckle.
 *
 * @param pivot of the beam, on the frame, mm
 * @param armEnd the radius arm's joint, on the frame, mm
 * @param lower a point on the kingpin's axis, mm
 * @param upper a point on it further up, mm
 */
@Withers
public record SwingBeam(Point pivot, Point armEnd, Point lower, Point upper)
        implements Suspension, SwingBeamBuilder.With {

    private static final double SHORTEST = 50;
    /** Part of the beam from its pivot. */
    private static final double ARM_MEETS = 0.7;

    /** @throws ImpossibleGeometryException if it could not swing, or the kingpin does not stand upright */
    public SwingBeam {
        if (!(upper.z() - lower.z() >= 1)) {
            throw new ImpossibleGeometryException("The kingpin's upper point must stand above its lower point.");
        }
        if (pivot.distanceTo(armEnd) < SHORTEST
                || Axis.through(pivot, armEnd).distanceTo(lower.midwayTo(upper)) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "A swing beam needs its pivot and its radius arm's joint apart, and the kingpin away from the line through them.");
        }
    }

    /** The line it swings about. */
    public Axis hinge() {
        return Axis.through(armEnd, pivot);
    }

    /**
     * Where the radius arm is taken to meet the beam: inboard of the wheel.
     *
     * @param end of the beam as it stands
     */
    public Point armOnBeam(Point end) {
        return pivot.plus(end.minus(pivot).times(ARM_MEETS));
    }

    @Override
    public SwingBeam mirrored() {
        return new SwingBeam(pivot.mirrored(), armEnd.mirrored(), lower.mirrored(), upper.mirrored());
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
        all.put(CornerPoint.BEAM_PIVOT, pivot);
        all.put(CornerPoint.BEAM_ARM, armEnd);
        return all;
    }

    @Override
    public SwingBeam withPoint(CornerPoint which, Point p) {
        return new SwingBeam(
                which == CornerPoint.BEAM_PIVOT ? p : pivot,
                which == CornerPoint.BEAM_ARM ? p : armEnd,
                which == CornerPoint.KINGPIN_LOWER ? p : lower,
                which == CornerPoint.KINGPIN_UPPER ? p : upper);
    }
}
