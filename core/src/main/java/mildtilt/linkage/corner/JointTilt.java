package mildtilt.linkage.corner;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import mildtilt.withers.Withers;

/**
 * How far a joint of the suspension may tilt: a ball joint, a rod end, a spherical top mount.
 *
 * @param at the joint
 * @param allowedDeg largest tilt, degrees: of an arm or a strut from the joint's axis, of a link from square to its
 *     bolt
 * @param axis along the stud of a ball joint, fixed to the knuckle; along a link's bolt, fixed to what the link is
 *     bolted to;
 * of a top mount, fixed to the frame; in the design position
 * @param housing the axis of a ball joint's housing in the arm, where stud and housing do not line up in the design
 *     position
 */
@Withers
public record JointTilt(CornerPoint at, double allowedDeg, Direction axis, Optional<Direction> housing)
        implements JointTiltBuilder.With {

    /** @throws ImpossibleGeometryException if the tilt is none that a joint can have */
    public JointTilt {
        if (!(allowedDeg > 0 && allowedDeg < 90)) {
            throw new ImpossibleGeometryException("The tilt that a joint allows must be between 0° and 90°.");
        }
    }

    /** The joints of a suspension that tilt as it moves; on a kingpin and on link pins there are none. */
    public static Set<CornerPoint> joints(Suspension s) {
        return switch (s) {
            case DoubleWishbone _ -> EnumSet.of(CornerPoint.LOWER_BALL_JOINT, CornerPoint.UPPER_BALL_JOINT);
            case Strut _ -> EnumSet.of(CornerPoint.LOWER_BALL_JOINT, CornerPoint.STRUT_TOP);
            case SplitLinks l -> {
                Set<CornerPoint> all = EnumSet.copyOf(l.points().keySet());
                all.remove(CornerPoint.STRUT_LOWER);
                yield all;
            }
            case TrailingArms t ->
                t.kingpin().isPresent()
                        ? EnumSet.noneOf(CornerPoint.class)
                        : EnumSet.of(CornerPoint.LOWER_ARM_END, CornerPoint.UPPER_ARM_END);
            case SwingBeam _ -> EnumSet.of(CornerPoint.BEAM_ARM);
            case Kingpin _ -> EnumSet.noneOf(CornerPoint.class);
        };
    }

    /** Set so that it does not tilt in the design position. */
    public static JointTilt square(Corner corner, CornerPoint at, double allowedDeg) {
        return new JointTilt(at, allowedDeg, square(corner.suspension(), at), Optional.empty());
    }

    private static Direction square(Suspension s, CornerPoint at) {
        return switch (s) {
            case SplitLinks l
            when at != CornerPoint.STRUT_TOP -> {
                Vector link = link(l, at);
                boolean outer = isOuter(at);
                // A ball joint's stud stands about upright, a bush's bolt lies about fore and aft.
                Vector about = outer ? Vector.Z : Vector.X;
                yield about.minus(link.times(about.dot(link) / link.dot(link))).direction();
            }
            case SwingBeam b -> b.armEnd().minus(b.hinge().origin()).norm() < 1 ? Vector.X.direction() : along(b);
            default -> s.steerAxis().direction();
        };
    }

    private static Direction along(SwingBeam b) {
        Point pin = b.steerAxis().footOf(b.armEnd());
        return b.armEnd().minus(pin).direction();
    }

    /** As it stands in a narrow place. */
    public static String shortLabel(CornerPoint at) {
        return switch (at) {
            case LOWER_FRONT_OUTER -> "lower front link, outer end";
            case LOWER_REAR_OUTER -> "lower rear link, outer end";
            case UPPER_FRONT_OUTER -> "upper front link, outer end";
            case UPPER_REAR_OUTER -> "upper rear link, outer end";
            case BEAM_ARM -> "radius arm, frame end";
            default -> at.label();
        };
    }

    /** Whether a point of a link is that at the knuckle. */
    public static boolean isOuter(CornerPoint at) {
        return switch (at) {
            case LOWER_FRONT_OUTER, LOWER_REAR_OUTER, UPPER_FRONT_OUTER, UPPER_REAR_OUTER -> true;
            default -> false;
        };
    }

    private static Vector link(SplitLinks l, CornerPoint at) {
        Point other = l.points().get(otherEnd(at));
        Point here = l.points().get(at);
        if (other == null || here == null) {
            throw new IllegalArgumentException(at + " is no end of a link");
        }
        return other.minus(here);
    }

    /** The other end of the link that a point is an end of. */
    public static CornerPoint otherEnd(CornerPoint at) {
        return switch (at) {
            case LOWER_INNER_FRONT -> CornerPoint.LOWER_FRONT_OUTER;
            case LOWER_INNER_REAR -> CornerPoint.LOWER_REAR_OUTER;
            case UPPER_INNER_FRONT -> CornerPoint.UPPER_FRONT_OUTER;
            case UPPER_INNER_REAR -> CornerPoint.UPPER_REAR_OUTER;
            case LOWER_FRONT_OUTER -> CornerPoint.LOWER_INNER_FRONT;
            case LOWER_REAR_OUTER -> CornerPoint.LOWER_INNER_REAR;
            case UPPER_FRONT_OUTER -> CornerPoint.UPPER_INNER_FRONT;
            case UPPER_REAR_OUTER -> CornerPoint.UPPER_INNER_REAR;
            default -> throw new IllegalArgumentException(at + " is no end of a link");
        };
    }

    JointTilt mirrored() {
        return new JointTilt(at, allowedDeg, axis.mirrored(), housing.map(Direction::mirrored));
    }

    /** Those that a suspension has. */
    static List<JointTilt> those(List<JointTilt> all, Suspension s) {
        return all.stream().filter(j -> joints(s).contains(j.at)).toList();
    }
}
