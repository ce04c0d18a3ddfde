package mildtilt.job;

import mildtilt.geometry.Side;

/** Names one point of a job that can be measured, typed or dragged. */
public sealed interface PointId {

    record Hub() implements PointId {}

    /** @param index from the wheel, 0 first */
    record JointCentre(int index) implements PointId {}

    record GearInput() implements PointId {}

    /** Midway between the rack's inner pivots; moving it moves the whole rack. */
    record RackCentre() implements PointId {}

    /** Moving it across moves both inner pivots apart alike; up, down, fore and aft it takes the rack along. */
    record RackEnd(Side side) implements PointId {}

    record OnCorner(Side side, CornerPoint which) implements PointId {}

    /** The same point on the left, where it is one of a pair. */
    default PointId onLeft() {
        return switch (this) {
            case RackEnd _ -> new RackEnd(Side.LEFT);
            case OnCorner c -> new OnCorner(Side.LEFT, c.which());
            case Hub _, JointCentre _, GearInput _, RackCentre _ -> this;
        };
    }
}
