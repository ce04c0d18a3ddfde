package mildtilt.job;

import java.util.Locale;
import mildtilt.geometry.Side;
import mildtilt.linkage.beam.BeamPoint;
import mildtilt.suspension.CornerPoint;

/** Names one point of a job that can be measured, typed or dragged. */
public sealed interface PointId {

    record Hub() implements PointId {}

    /** @param index from the wheel, 0 first */
    record JointCentre(int index) implements PointId {}

    record GearInput() implements PointId {}

    /** The middle of a bearing, on its shaft's line: moved, it slides along the shaft. */
    record BearingMiddle(int index) implements PointId {}

    /** Midway between the rack's inner pivots, or on the shaft of a gear's arm; moving it moves the whole gear. */
    record GearCentre() implements PointId {}

    /** The end of a gear's arm. */
    record GearArmEnd() implements PointId {}

    /** Of what stands between the gear and the tie rods, their inner ends with it. */
    sealed interface OnLinkage extends PointId {}

    /** On the idler arm's axis; moving it moves the whole idler. */
    record IdlerPivot() implements OnLinkage {}

    record IdlerEnd() implements OnLinkage {}

    /** On the bell crank's axis; moving it moves the whole crank. */
    record CrankPivot() implements OnLinkage {}

    /** On the relay arm's axis; moving it moves the whole arm. */
    record RelayPivot() implements OnLinkage {}

    /** Where the link from the gear's arm meets the relay arm. */
    record RelayLinkPoint() implements OnLinkage {}

    /** Where the drag link begins on the relay arm. */
    record RelayDragLinkPoint() implements OnLinkage {}

    /** Where the rod from the gear's arm drives: on a knuckle, a bell crank or a shuttle. */
    record DrivenPoint() implements OnLinkage {}

    /** Middle of a shuttle's bushes, on its bar. */
    record ShuttleBushes() implements OnLinkage {}

    /**
     * Inner end of a tie rod. On a rack, moving it across moves both inner pivots apart alike; up, down, fore
     * and aft it takes the rack along.
     */
    record InnerPivot(Side side) implements OnLinkage {}

    /** Of what holds a beam axle, or of the pin it rolls on. */
    record OnBeam(BeamPoint.Which which) implements PointId {}

    /** A point of something in the way. @param index among the job's obstacles; @param point of its shape */
    record ObstaclePoint(int index, int point) implements PointId {}

    record DriverHip() implements PointId {}

    record DriverHeel() implements PointId {}

    record OnCorner(Side side, CornerPoint which) implements PointId {}

    /**
     * What the point is found by, in small letters, digits and hyphens. Joints, bearings and obstacles count from 0.
     */
    default String code() {
        return switch (this) {
            case Hub _ -> "hub";
            case JointCentre j -> "joint-" + j.index();
            case GearInput _ -> "gear-input";
            case BearingMiddle b -> "bearing-" + b.index();
            case GearCentre _ -> "gear";
            case GearArmEnd _ -> "gear-arm-end";
            case IdlerPivot _ -> "idler-pivot";
            case IdlerEnd _ -> "idler-end";
            case CrankPivot _ -> "crank-pivot";
            case RelayPivot _ -> "relay-pivot";
            case RelayLinkPoint _ -> "relay-link-point";
            case RelayDragLinkPoint _ -> "relay-drag-link-point";
            case DrivenPoint _ -> "driven-point";
            case ShuttleBushes _ -> "shuttle-bushes";
            case InnerPivot i -> "inner-pivot-" + i.side().code();
            case OnBeam b -> b.which().code();
            case ObstaclePoint o -> "obstacle-" + o.index() + "-" + o.point();
            case DriverHip _ -> "driver-hip";
            case DriverHeel _ -> "driver-heel";
            case OnCorner c ->
                c.which().name().toLowerCase(Locale.ROOT).replace('_', '-') + "-"
                        + c.side().code();
        };
    }

    /** The same point on the left, where it is one of a pair. */
    default PointId onLeft() {
        return on(Side.LEFT);
    }

    default PointId onRight() {
        return on(Side.RIGHT);
    }

    private PointId on(Side side) {
        return switch (this) {
            case InnerPivot _ -> new InnerPivot(side);
            case OnCorner c -> new OnCorner(side, c.which());
            case OnBeam b -> new OnBeam(b.which().on(side));
            case Hub _,
                    JointCentre _,
                    GearInput _,
                    BearingMiddle _,
                    GearCentre _,
                    GearArmEnd _,
                    OnLinkage _,
                    ObstaclePoint _,
                    DriverHip _,
                    DriverHeel _ -> this;
        };
    }
}
