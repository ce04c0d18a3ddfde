package mildtilt.steer.position;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Carrier;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import org.jspecify.annotations.Nullable;

/** How what things are fixed to has moved from the design position. */
public final class CarrierMotion {

    private final SteeredAxle axle;
    private final AxleSolver solver;
    /** Made where a rod is first asked for: few vehicles have anything on one, and trains are made by the thousand. */
    private volatile @Nullable AxleConfiguration design;

    public CarrierMotion(AxleSolver solver) {
        this.solver = solver;
        axle = solver.axle();
    }

    private AxleConfiguration design() {
        AxleConfiguration made = design;
        if (made == null) {
            made = solver.pose(0, 0, 0);
            design = made;
        }
        return made;
    }

    /** Nowhere where the part does not exist on this axle, or stands where it can't be assembled. */
    public RigidMove move(AxlePose pose, Carrier carrier) {
        return switch (carrier) {
            case FRAME -> RigidMove.NONE;
            case AXLE -> beam(axle, pose);
            case LEFT_KNUCKLE -> knuckle(pose, Side.LEFT);
            case RIGHT_KNUCKLE -> knuckle(pose, Side.RIGHT);
            case LEFT_LOWER_ARM -> arm(axle, pose, Side.LEFT, true);
            case RIGHT_LOWER_ARM -> arm(axle, pose, Side.RIGHT, true);
            case LEFT_UPPER_ARM -> arm(axle, pose, Side.LEFT, false);
            case RIGHT_UPPER_ARM -> arm(axle, pose, Side.RIGHT, false);
            case LEFT_TIE_ROD -> rod(pose, Rod.LEFT_TIE_ROD);
            case RIGHT_TIE_ROD -> rod(pose, Rod.RIGHT_TIE_ROD);
            case TIE_ROD -> rod(pose, Rod.TIE_ROD);
            case CENTRE_LINK -> rod(pose, Rod.CENTRE_LINK);
            case DRAG_LINK -> rod(pose, Rod.DRAG_LINK);
            case GEAR_ARM -> gearArm(pose);
            case RACK_BAR -> rackBar(pose);
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
            case LEFT_TIE_ROD, RIGHT_TIE_ROD -> !axle.oneTieRod();
            case TIE_ROD -> axle.oneTieRod();
            case CENTRE_LINK -> axle.linkage().drivenRods().contains(Rod.CENTRE_LINK);
            case DRAG_LINK -> axle.linkage().drivenRods().contains(Rod.DRAG_LINK);
            case GEAR_ARM -> axle.gear() instanceof ArmGear;
            case RACK_BAR -> axle.gear() instanceof RackAndPinion;
        };
    }

    /** A rod is free to turn about its own line: it goes along by the smallest turn. */
    private RigidMove rod(AxlePose pose, Rod rod) {
        Optional<Line> was = line(design(), rod);
        Optional<Line> now = line(pose.stance(), rod);
        if (was.isEmpty() || now.isEmpty()) {
            return RigidMove.NONE;
        }
        Point from = was.get().from;
        Vector before = was.get().to.minus(from);
        Vector after = now.get().to.minus(now.get().from);
        Vector about = before.cross(after);
        RigidMove turn = about.norm() < 1e-12 * before.norm() * after.norm()
                ? RigidMove.NONE
                : RigidMove.about(new Axis(from, about.direction()), before.angleTo(after));
        return turn.then(RigidMove.by(now.get().from.minus(from)));
    }

    private record Line(Point from, Point to) {}

    private static Optional<Line> line(AxleConfiguration stance, Rod rod) {
        return switch (rod) {
            case LEFT_TIE_ROD, TIE_ROD -> tieRod(stance.left());
            case RIGHT_TIE_ROD -> tieRod(stance.right());
            case CENTRE_LINK, INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK ->
                stance.mechanism().stream()
                        .flatMap(m -> m.links().stream())
                        .filter(l -> l.rod() == rod)
                        .map(l -> new Line(l.from(), l.to()))
                        .findFirst();
        };
    }

    private static Optional<Line> tieRod(CornerPose corner) {
        return corner instanceof KnucklePose k
                ? Optional.of(new Line(k.tieRodInner(), k.tieRodPoint()))
                : Optional.empty();
    }

    private RigidMove gearArm(AxlePose pose) {
        return axle.gear() instanceof ArmGear g && pose.stance().mechanism().orElse(null) instanceof Mechanism.ByArm a
                ? RigidMove.about(g.axis(), a.armAngle()).then(pose.stance().gearMove())
                : RigidMove.NONE;
    }

    private RigidMove rackBar(AxlePose pose) {
        return axle.gear() instanceof RackAndPinion r
                        && pose.stance().mechanism().orElse(null) instanceof Mechanism.RackAt at
                ? RigidMove.by(r.axis().times(at.displacement()))
                        .then(pose.stance().gearMove())
                : RigidMove.NONE;
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
