package mildtilt.steer.forces;

import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.linkage.Mechanism;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * What a small turn of the steering wheel does at one place, for virtual work: whatever torque is put in at the
 * steering wheel times its turn is what the wheels and the gear take out times theirs.
 *
 * @param here both knuckles
 * @param output movement of the rack to the left, mm, or turn of the gear's arm about its axis, rad, per rad of
 *     steering wheel
 * @param left wheel
 * @param right wheel
 */
public record SmallTurn(AxlePose pose, AxlePose.Assembled here, double output, Wheel left, Wheel right) {

    /**
     * One wheel, per turn of the steering wheel, + left.
     *
     * @param aboutAxis turn of the knuckle about its steer axis
     * @param heading turn of where the wheel points, seen from above
     */
    public record Wheel(double aboutAxis, double heading) {

        /**
         * Torque about the steer axis that holds a torque twisting the tyre on the ground, in the sense in which the
         * knuckle turns as the steering wheel turns to the left.
         */
        double aboutAxisFor(double twist) {
            return aboutAxis == 0 ? 0 : Math.abs(heading) * twist / aboutAxis;
        }
    }

    /** Of the lock, either way: small enough for a rate, large enough for what the sums round off. */
    private static final double STEP = 1e-4;

    public static Optional<SmallTurn> at(SteeringTrain train, double steeringWheelDeg) {
        return at(train, steeringWheelDeg, 0, 0);
    }

    /**
     * Empty without an axle, and where the steering can't stand or can't be turned. At the very end of the lock the
     * rates are those of the way back.
     *
     * @param travelLeft rise of the left wheel, mm
     */
    public static Optional<SmallTurn> at(
            SteeringTrain train, double steeringWheelDeg, double travelLeft, double travelRight) {
        if (train.axle().isEmpty() || train.locked().isPresent()) {
            return Optional.empty();
        }
        double step = STEP * train.stopDeg(Side.LEFT).orElseThrow();
        AxlePose pose = train.pose(steeringWheelDeg, travelLeft, travelRight);
        AxlePose up = train.pose(steeringWheelDeg + step, travelLeft, travelRight);
        AxlePose down = train.pose(steeringWheelDeg - step, travelLeft, travelRight);
        if (pose.assembled().isEmpty()
                || up.assembled().isEmpty() && down.assembled().isEmpty()) {
            return Optional.empty();
        }
        AxlePose from = down.assembled().isPresent() ? down : pose;
        AxlePose to = up.assembled().isPresent() ? up : pose;
        double turned = Math.toRadians(to.steeringWheelDeg() - from.steeringWheelDeg());
        double output = (output(to) - output(from)) / turned;
        return Optional.of(new SmallTurn(
                pose,
                pose.assembled().get(),
                output,
                wheel(train, pose, Side.LEFT, output),
                wheel(train, pose, Side.RIGHT, output)));
    }

    private static double output(AxlePose pose) {
        return switch (pose.stance().mechanism().orElseThrow()) {
            case Mechanism.RackAt r -> r.displacement();
            case Mechanism.ByArm a -> a.armAngle();
        };
    }

    /**
     * By statics: a torque of 1 about the steer axis asks so much of the gear. That is the turn with the steer axis
     * held where it is, also where arms let it go a little as the wheel turns: their springs and the load then hold
     * each other.
     */
    private static Wheel wheel(SteeringTrain train, AxlePose pose, Side side, double output) {
        AxlePose.Assembled here = pose.assembled().orElseThrow();
        boolean left = side == Side.LEFT;
        double turn = output
                * RodForces.onGear(
                        pose, here, RodForces.of(train.axle().orElseThrow(), pose, here, left ? 1 : 0, left ? 0 : 1));
        KnucklePose k = here.knuckle(side);
        return new Wheel(turn, turn * k.steerAxis().direction().headingPerTurn(k.spin()));
    }

    public Wheel wheel(Side side) {
        return side == Side.LEFT ? left : right;
    }

    /**
     * What is put in at the steering wheel, + left, for torques about the steer axes, + left, all N·mm, nothing lost.
     */
    public double torqueIn(double left, double right) {
        return left * this.left.aboutAxis + right * this.right.aboutAxis;
    }
}
