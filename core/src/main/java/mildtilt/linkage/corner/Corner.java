package mildtilt.linkage.corner;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Suspension;
import mildtilt.withers.Withers;

/**
 * One steered corner as it stands in the design position.
 *
 * @param rodEnds the tie rod that ends at this corner's steering arm
 * @param joints of the suspension, whose allowed tilt is known, in the order of its points
 */
@Withers
public record Corner(
        Suspension suspension, Knuckle knuckle, RodEnds rodEnds, WheelLimits limits, List<JointTilt> joints)
        implements CornerBuilder.With {

    /** @throws ImpossibleGeometryException if it has no such joint, or one of them twice */
    public Corner {
        joints = joints.stream().sorted(Comparator.comparing(JointTilt::at)).toList();
        for (int i = 0; i < joints.size(); i++) {
            CornerPoint at = joints.get(i).at();
            if (!JointTilt.joints(suspension).contains(at)) {
                throw new ImpossibleGeometryException(
                        "This suspension has no joint that tilts at: " + at.label() + ". Leave its tilt out.");
            }
            if (i > 0 && joints.get(i - 1).at() == at) {
                throw new ImpossibleGeometryException("The tilt of one joint is given twice: " + at.label() + ".");
            }
        }
    }

    /** With no joint's tilt given. */
    public Corner(Suspension suspension, Knuckle knuckle, RodEnds rodEnds, WheelLimits limits) {
        this(suspension, knuckle, rodEnds, limits, List.of());
    }

    public Corner mirrored() {
        return new Corner(
                suspension.mirrored(),
                knuckle.mirrored(),
                rodEnds.mirrored(),
                limits,
                joints.stream().map(JointTilt::mirrored).toList());
    }

    /** Held otherwise; what was given of joints that it then has not goes. */
    @Override
    public Corner withSuspension(Suspension s) {
        return new Corner(s, knuckle, rodEnds, limits, JointTilt.those(joints, s));
    }

    public Optional<JointTilt> joint(CornerPoint at) {
        return joints.stream().filter(j -> j.at() == at).findFirst();
    }

    /** With what is known of one joint; empty where that is nothing. */
    public Corner withJoint(CornerPoint at, Optional<JointTilt> now) {
        return withJoints(Stream.concat(joints.stream().filter(j -> j.at() != at), now.stream())
                .toList());
    }

    /** Every point of it: those that hold the knuckle, wheel centre, tie rod. */
    public SequencedMap<CornerPoint, Point> points() {
        SequencedMap<CornerPoint, Point> all = suspension.points();
        all.put(CornerPoint.WHEEL_CENTRE, knuckle.wheelCentre());
        all.put(CornerPoint.TIE_ROD_POINT, knuckle.tieRodPoint());
        return all;
    }

    /** With one of its points elsewhere; as it is if it has no such point. */
    public Corner withPoint(CornerPoint which, Point p) {
        return switch (which) {
            case WHEEL_CENTRE -> withKnuckle(knuckle.withWheelCentre(p));
            case TIE_ROD_POINT -> withKnuckle(knuckle.withTieRodPoint(p));
            case LOWER_INNER_FRONT,
                    LOWER_INNER_REAR,
                    LOWER_BALL_JOINT,
                    UPPER_INNER_FRONT,
                    UPPER_INNER_REAR,
                    UPPER_BALL_JOINT,
                    LOWER_FRONT_OUTER,
                    LOWER_REAR_OUTER,
                    UPPER_FRONT_OUTER,
                    UPPER_REAR_OUTER,
                    STRUT_TOP,
                    STRUT_LOWER,
                    LOWER_ARM_PIVOT,
                    LOWER_ARM_END,
                    UPPER_ARM_PIVOT,
                    UPPER_ARM_END,
                    KINGPIN_LOWER,
                    KINGPIN_UPPER,
                    BEAM_PIVOT,
                    BEAM_ARM -> withSuspension(suspension.withPoint(which, p));
        };
    }
}
