package mildtilt.steer.position;

import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;

/**
 * Both corners at one position.
 *
 * @param steeringWheelDeg as asked
 * @param gearInputDeg rotation of the gear's input to the left, degrees
 * @param stance both corners and what lies between
 */
public record AxlePose(double steeringWheelDeg, double gearInputDeg, AxleConfiguration stance) {

    public CornerPose left() {
        return stance.left();
    }

    public CornerPose right() {
        return stance.right();
    }

    public CornerPose corner(Side side) {
        return side == Side.LEFT ? left() : right();
    }

    /** Both knuckles, if both corners can be assembled. */
    public Optional<Assembled> assembled() {
        return left() instanceof KnucklePose l && right() instanceof KnucklePose r
                ? Optional.of(new Assembled(l, r))
                : Optional.empty();
    }

    /** Why it can't be assembled: the left corner's reason before the right one's. */
    public Optional<CannotAssemble> obstacle() {
        if (left() instanceof CannotAssemble c) {
            return Optional.of(c);
        }
        return right() instanceof CannotAssemble c ? Optional.of(c) : Optional.empty();
    }

    /** Two knuckles that stand. */
    public record Assembled(KnucklePose left, KnucklePose right) {

        public KnucklePose knuckle(Side side) {
            return side == Side.LEFT ? left : right;
        }

        public double meanSteerDeg() {
            return (left.steerDeg() + right.steerDeg()) / 2;
        }
    }
}
