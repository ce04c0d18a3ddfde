package mildtilt.clearance.bodies;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.SteeredAxle;
import mildtilt.obstacle.Carrier;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;

/** How what things are fixed to has moved from the design position. */
public final class CarrierMotion {

    private CarrierMotion() {}

    /** Nowhere where the part does not exist on this axle, or stands where it can't be assembled. */
    public static RigidMove move(SteeredAxle axle, AxlePose pose, Carrier carrier) {
        return switch (carrier) {
            case FRAME -> RigidMove.NONE;
            case AXLE -> beam(axle, pose);
            case LEFT_KNUCKLE -> knuckle(pose, Side.LEFT);
            case RIGHT_KNUCKLE -> knuckle(pose, Side.RIGHT);
            case LEFT_LOWER_ARM -> arm(axle, pose, Side.LEFT, true);
            case RIGHT_LOWER_ARM -> arm(axle, pose, Side.RIGHT, true);
            case LEFT_UPPER_ARM -> arm(axle, pose, Side.LEFT, false);
            case RIGHT_UPPER_ARM -> arm(axle, pose, Side.RIGHT, false);
        };
    }

    /** Whether this axle has such a part at all. */
    public static boolean exists(SteeredAxle axle, Carrier carrier) {
        return switch (carrier) {
            case FRAME, LEFT_KNUCKLE, RIGHT_KNUCKLE -> true;
            case AXLE -> axle.beam().isPresent();
            case LEFT_LOWER_ARM, RIGHT_LOWER_ARM ->
                switch (suspension(axle, carrier)) {
                    case DoubleWishbone _, Strut _, TrailingArms _, SwingBeam _ -> true;
                    case SplitLinks _, Kingpin _ -> false;
                };
            case LEFT_UPPER_ARM, RIGHT_UPPER_ARM ->
                switch (suspension(axle, carrier)) {
                    case DoubleWishbone _, TrailingArms _ -> true;
                    case Strut _, SplitLinks _, SwingBeam _, Kingpin _ -> false;
                };
        };
    }

    private static Suspension suspension(SteeredAxle axle, Carrier carrier) {
        return axle.corner(carrier.side().orElseThrow()).suspension();
    }

    private static RigidMove beam(SteeredAxle axle, AxlePose pose) {
        Frame design = axle.beamDesign();
        return pose.stance().beam().map(now -> RigidMove.between(design, now)).orElse(RigidMove.NONE);
    }

    private static RigidMove knuckle(AxlePose pose, Side side) {
        return pose.corner(side) instanceof KnucklePose k ? RigidMove.between(k.design(), k.now()) : RigidMove.NONE;
    }

    private static RigidMove arm(SteeredAxle axle, AxlePose pose, Side side, boolean lower) {
        if (!(pose.corner(side) instanceof KnucklePose k)) {
            return RigidMove.NONE;
        }
        return switch (axle.corner(side).suspension()) {
            case DoubleWishbone w ->
                lower
                        ? swung(
                                Axis.through(w.lowerInnerRear(), w.lowerInnerFront()),
                                w.lowerBallJoint(),
                                k.steerAxisLow())
                        : swung(
                                Axis.through(w.upperInnerRear(), w.upperInnerFront()),
                                w.upperBallJoint(),
                                k.steerAxisHigh());
            case Strut s ->
                lower
                        ? swung(
                                Axis.through(s.lowerInnerRear(), s.lowerInnerFront()),
                                s.lowerBallJoint(),
                                k.steerAxisLow())
                        : RigidMove.NONE;
            case SplitLinks _ -> RigidMove.NONE;
            case TrailingArms t ->
                lower
                        ? swung(t.lowerAxis(), t.lowerEnd(), t.lowerEndAt(k))
                        : swung(t.upperAxis(), t.upperEnd(), t.upperEndAt(k));
            case SwingBeam b -> lower ? swung(b.hinge(), b.lower(), k.steerAxisLow()) : RigidMove.NONE;
            case Kingpin _ -> beam(axle, pose);
        };
    }

    private static RigidMove swung(Axis axis, Point was, Point now) {
        return RigidMove.about(axis, Orbit.of(axis, was).angleOf(now));
    }
}
