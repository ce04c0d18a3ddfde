package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.SequencedMap;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * A lower arm on two inner pivots and a strut that slides through the knuckle. The strut's axis belongs to
 * the knuckle and always passes through the top mount; the steer axis runs from the lower ball joint to the
 * top mount and so moves a little within the knuckle. Points in mm.
 *
 * @param axisLowerPoint a second point on the strut's axis, fixed to the knuckle
 */
public record Strut(
        Point lowerInnerFront, Point lowerInnerRear, Point lowerBallJoint, Point topMount, Point axisLowerPoint)
        implements Suspension {

    private static final double SHORTEST = 1;

    /** @throws ImpossibleGeometryException naming the part that has no length */
    public Strut {
        if (lowerInnerFront.distanceTo(lowerInnerRear) < SHORTEST) {
            throw new ImpossibleGeometryException("The lower arm's two inner pivots are in one place.");
        }
        if (Axis.through(lowerInnerRear, lowerInnerFront).distanceTo(lowerBallJoint) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "The lower arm has no length: its ball joint lies on its pivot axis.");
        }
        if (!(topMount.z() - lowerBallJoint.z() >= SHORTEST) || !(topMount.z() - axisLowerPoint.z() >= SHORTEST)) {
            throw new ImpossibleGeometryException(
                    "The strut's top mount must stand above the lower ball joint and the strut's lower point.");
        }
    }

    @Override
    public Strut mirrored() {
        return new Strut(
                lowerInnerFront.mirrored(),
                lowerInnerRear.mirrored(),
                lowerBallJoint.mirrored(),
                topMount.mirrored(),
                axisLowerPoint.mirrored());
    }

    @Override
    public Axis steerAxis() {
        return Axis.through(lowerBallJoint, topMount);
    }

    /** The strut's own axis, upward. */
    public Axis strutAxis() {
        return Axis.through(axisLowerPoint, topMount);
    }

    @Override
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = new LinkedHashMap<>();
        all.put(CornerPoint.LOWER_BALL_JOINT, lowerBallJoint);
        all.put(CornerPoint.STRUT_TOP, topMount);
        all.put(CornerPoint.LOWER_INNER_FRONT, lowerInnerFront);
        all.put(CornerPoint.LOWER_INNER_REAR, lowerInnerRear);
        all.put(CornerPoint.STRUT_LOWER, axisLowerPoint);
        return all;
    }

    @Override
    public Strut withPoint(CornerPoint which, Point p) {
        return new Strut(
                which == CornerPoint.LOWER_INNER_FRONT ? p : lowerInnerFront,
                which == CornerPoint.LOWER_INNER_REAR ? p : lowerInnerRear,
                which == CornerPoint.LOWER_BALL_JOINT ? p : lowerBallJoint,
                which == CornerPoint.STRUT_TOP ? p : topMount,
                which == CornerPoint.STRUT_LOWER ? p : axisLowerPoint);
    }
}
