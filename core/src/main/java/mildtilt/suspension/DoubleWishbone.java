package mildtilt.suspension;

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
                lowerInnerFront.mirrored(), lowerInnerRear.mirrored(), lowerBallJoint.mirrored(),
                upperInnerFront.mirrored(), upperInnerRear.mirrored(), upperBallJoint.mirrored());
    }

    @Override
    public Axis steerAxis() {
        return Axis.through(lowerBallJoint, upperBallJoint);
    }
}
