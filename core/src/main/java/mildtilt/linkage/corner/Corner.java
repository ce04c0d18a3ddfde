package mildtilt.linkage.corner;

import java.util.SequencedMap;
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
 */
@Withers
public record Corner(Suspension suspension, Knuckle knuckle, RodEnds rodEnds, WheelLimits limits)
        implements CornerBuilder.With {

    public Corner mirrored() {
        return new Corner(suspension.mirrored(), knuckle.mirrored(), rodEnds.mirrored(), limits);
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
