package mildtilt.linkage;

import mildtilt.geometry.Point;
import mildtilt.geometry.Side;

/** Where the parts between gear and tie rods stand. Angles rad, right-handed about their axes; points mm. */
public sealed interface Mechanism {

    /** @param displacement toward the left, mm */
    record RackAt(double displacement, Point left, Point right) implements Mechanism {}

    record CentreLinkAt(double pitmanAngle, double idlerAngle, Point pitmanEnd, Point idlerEnd, Point left, Point right)
            implements Mechanism {}

    /** @param drivenPoint where the drag link drives the knuckle or the tie rod */
    record DragLinkAt(double armAngle, Point armEnd, Point drivenPoint) implements Mechanism {}

    record BellCrankAt(double armAngle, double crankAngle, Point armEnd, Point crankPoint, Point left, Point right)
            implements Mechanism {}

    /** @param displacement of the shuttle toward the left, mm */
    record ShuttleAt(double armAngle, Point armEnd, double displacement, Point linkPoint, Point left, Point right)
            implements Mechanism {}

    /** The gear's arm alone moved; what follows it can't be assembled. */
    record Broken(double armAngle, Point armEnd) implements Mechanism {}

    static Point inner(Mechanism m, Side side) {
        return switch (m) {
            case RackAt r -> side == Side.LEFT ? r.left : r.right;
            case CentreLinkAt c -> side == Side.LEFT ? c.left : c.right;
            case BellCrankAt b -> side == Side.LEFT ? b.left : b.right;
            case ShuttleAt s -> side == Side.LEFT ? s.left : s.right;
            case DragLinkAt d -> d.drivenPoint;
            case Broken b -> b.armEnd;
        };
    }
}
