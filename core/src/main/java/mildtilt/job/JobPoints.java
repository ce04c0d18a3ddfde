package mildtilt.job;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Column;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.PointId.GearInput;
import mildtilt.job.PointId.Hub;
import mildtilt.job.PointId.JointCentre;
import mildtilt.job.PointId.OnCorner;
import mildtilt.job.PointId.RackCentre;
import mildtilt.job.PointId.RackEnd;
import mildtilt.linkage.Corner;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Knuckle;

/** The points of a job: which there are, where each is, and the job with one of them moved. */
public final class JobPoints {

    private JobPoints() {}

    /** Every point of a job, from steering wheel to tyres, left before right. */
    public static List<PointId> of(Job job) {
        List<PointId> all = new ArrayList<>();
        job.column().ifPresent(c -> {
            all.add(new Hub());
            for (int i = 0; i < c.joints().size(); i++) {
                all.add(new JointCentre(i));
            }
            all.add(new GearInput());
        });
        job.axle().ifPresent(_ -> {
            all.add(new RackCentre());
            for (Side side : Side.values()) {
                all.add(new RackEnd(side));
            }
            for (Side side : Side.values()) {
                for (CornerPoint p : CornerPoint.values()) {
                    all.add(new OnCorner(side, p));
                }
            }
        });
        return all;
    }

    /** What a fabricator calls the point. */
    public static String label(Job job, PointId id) {
        return switch (id) {
            case Hub _ -> "steering wheel hub";
            case JointCentre j -> column(job).joints().get(j.index()).name() + ", centre";
            case GearInput _ -> "gear input";
            case RackCentre _ -> "rack, midway between pivots";
            case RackEnd e -> e.side().label() + " inner tie-rod pivot";
            case OnCorner c -> c.side().label() + " " + c.which().label();
        };
    }

    /** Where the point is, mm. @throws IllegalArgumentException if this job has no such point */
    public static Point position(Job job, PointId id) {
        return switch (id) {
            case Hub _ -> column(job).hub();
            case JointCentre j -> column(job).joints().get(j.index()).centre();
            case GearInput _ -> column(job).gearInput();
            case RackCentre _ -> rack(job).centre();
            case RackEnd e -> rack(job).innerPivot(e.side(), 0);
            case OnCorner c -> position(axle(job).corner(c.side()), c.which());
        };
    }

    private static Point position(Corner corner, CornerPoint which) {
        Knuckle k = corner.knuckle();
        return switch (corner.suspension()) {
            case DoubleWishbone w -> switch (which) {
                case LOWER_INNER_FRONT -> w.lowerInnerFront();
                case LOWER_INNER_REAR -> w.lowerInnerRear();
                case LOWER_BALL_JOINT -> w.lowerBallJoint();
                case UPPER_INNER_FRONT -> w.upperInnerFront();
                case UPPER_INNER_REAR -> w.upperInnerRear();
                case UPPER_BALL_JOINT -> w.upperBallJoint();
                case WHEEL_CENTRE -> k.wheelCentre();
                case TIE_ROD_POINT -> k.tieRodPoint();
            };
        };
    }

    /**
     * The job with a point moved. Where the right side is the mirror image of the left, both sides move.
     *
     * @throws mildtilt.geometry.ImpossibleGeometryException if the parts can't be so; the old job stays good
     * @throws IllegalArgumentException if this job has no such point
     */
    public static Job moved(Job job, PointId id, Point to) {
        return switch (id) {
            case Hub _ -> job.withColumn(column(job).withHub(to));
            case JointCentre j -> {
                Column c = column(job);
                yield job.withColumn(c.withJoint(j.index(), c.joints().get(j.index()).withCentre(to)));
            }
            case GearInput _ -> job.withColumn(column(job).withGearInput(to));
            case RackCentre _ -> job.withAxle(axle(job).withGear(rack(job).withCentre(to)));
            case RackEnd e -> job.withAxle(axle(job).withGear(rackWithEnd(rack(job), e.side(), to)));
            case OnCorner c -> {
                SteeredAxle axle = axle(job);
                yield job.withAxle(axle.withCorner(c.side(), moved(axle.corner(c.side()), c.which(), to)));
            }
        };
    }

    private static RackAndPinion rackWithEnd(RackAndPinion rack, Side side, Point to) {
        Vector move = to.minus(rack.innerPivot(side, 0));
        double along = rack.axis().dot(move);
        return rack.withPivotSpacing(rack.pivotSpacing() + 2 * side.sign() * along)
                .withCentre(rack.centre().plus(move.minus(rack.axis().times(along))));
    }

    private static Corner moved(Corner corner, CornerPoint which, Point p) {
        Knuckle k = corner.knuckle();
        return switch (corner.suspension()) {
            case DoubleWishbone w -> switch (which) {
                case LOWER_INNER_FRONT, LOWER_INNER_REAR, LOWER_BALL_JOINT,
                        UPPER_INNER_FRONT, UPPER_INNER_REAR, UPPER_BALL_JOINT ->
                        corner.withSuspension(wishbone(w, p, which));
                case WHEEL_CENTRE -> corner.withKnuckle(k.withWheelCentre(p));
                case TIE_ROD_POINT -> corner.withKnuckle(k.withTieRodPoint(p));
            };
        };
    }

    private static DoubleWishbone wishbone(DoubleWishbone w, Point p, CornerPoint which) {
        return new DoubleWishbone(
                which == CornerPoint.LOWER_INNER_FRONT ? p : w.lowerInnerFront(),
                which == CornerPoint.LOWER_INNER_REAR ? p : w.lowerInnerRear(),
                which == CornerPoint.LOWER_BALL_JOINT ? p : w.lowerBallJoint(),
                which == CornerPoint.UPPER_INNER_FRONT ? p : w.upperInnerFront(),
                which == CornerPoint.UPPER_INNER_REAR ? p : w.upperInnerRear(),
                which == CornerPoint.UPPER_BALL_JOINT ? p : w.upperBallJoint());
    }

    private static Column column(Job job) {
        return job.column().orElseThrow(() -> new IllegalArgumentException("This job has no column."));
    }

    private static SteeredAxle axle(Job job) {
        return job.axle().orElseThrow(() -> new IllegalArgumentException("This job has no steered axle."));
    }

    private static RackAndPinion rack(Job job) {
        return switch (axle(job).gear()) {
            case RackAndPinion r -> r;
        };
    }
}
