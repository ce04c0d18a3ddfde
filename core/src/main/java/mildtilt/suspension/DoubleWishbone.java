package mildtilt.suspension;

import java.util.LinkedHashMap;
import java.util.SequencedMap;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/** Upper and lower wishbone, each on two inner pivots with a ball joint at the knuckle. Points in mm. */
public record DoubleWishbone(
        Point lowerInnerFront,
        Point lowerInnerRear,
        Point lowerBallJoint,
        Point upperInnerFront,
        Point upperInnerRear,
        Point upperBallJoint)
        implements Suspension {

    private static final double SHORTEST = 1;

    /** @throws ImpossibleGeometryException naming the arm that has no length */
    public DoubleWishbone {
        arm("lower", lowerInnerFront, lowerInnerRear, lowerBallJoint);
        arm("upper", upperInnerFront, upperInnerRear, upperBallJoint);
        if (!(upperBallJoint.z() - lowerBallJoint.z() >= SHORTEST)) {
            throw new ImpossibleGeometryException("The upper ball joint must stand above the lower one.");
        }
    }

    private static void arm(String which, Point front, Point rear, Point ball) {
        if (front.distanceTo(rear) < SHORTEST) {
            throw new ImpossibleGeometryException("The " + which + " wishbone's two inner pivots are in one place.");
        }
        if (Axis.through(rear, front).distanceTo(ball) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "The " + which + " wishbone has no length: its ball joint lies on its pivot axis.");
        }
    }

    @Override
    public DoubleWishbone mirrored() {
        return new DoubleWishbone(
                lowerInnerFront.mirrored(),
                lowerInnerRear.mirrored(),
                lowerBallJoint.mirrored(),
                upperInnerFront.mirrored(),
                upperInnerRear.mirrored(),
                upperBallJoint.mirrored());
    }

    @Override
    public Axis steerAxis() {
        return Axis.through(lowerBallJoint, upperBallJoint);
    }

    @Override
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = new LinkedHashMap<>();
        all.put(CornerPoint.LOWER_BALL_JOINT, lowerBallJoint);
        all.put(CornerPoint.UPPER_BALL_JOINT, upperBallJoint);
        all.put(CornerPoint.LOWER_INNER_FRONT, lowerInnerFront);
        all.put(CornerPoint.LOWER_INNER_REAR, lowerInnerRear);
        all.put(CornerPoint.UPPER_INNER_FRONT, upperInnerFront);
        all.put(CornerPoint.UPPER_INNER_REAR, upperInnerRear);
        return all;
    }

    @Override
    public DoubleWishbone withPoint(CornerPoint which, Point p) {
        return new DoubleWishbone(
                which == CornerPoint.LOWER_INNER_FRONT ? p : lowerInnerFront,
                which == CornerPoint.LOWER_INNER_REAR ? p : lowerInnerRear,
                which == CornerPoint.LOWER_BALL_JOINT ? p : lowerBallJoint,
                which == CornerPoint.UPPER_INNER_FRONT ? p : upperInnerFront,
                which == CornerPoint.UPPER_INNER_REAR ? p : upperInnerRear,
                which == CornerPoint.UPPER_BALL_JOINT ? p : upperBallJoint);
    }
}
