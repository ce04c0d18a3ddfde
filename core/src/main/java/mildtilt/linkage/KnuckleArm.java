package mildtilt.linkage;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;

/**
 * An arm on a knuckle that a rod pushes: each side has one for its tie rod, and one may have another for the drag
 * link.
 */
public enum KnuckleArm {
    LEFT_STEERING,
    RIGHT_STEERING,
    DRAG_LINK;

    /** The one that a side's tie rod pushes. */
    public static KnuckleArm steering(Side side) {
        return side == Side.LEFT ? LEFT_STEERING : RIGHT_STEERING;
    }

    /** Those that an axle has. */
    public static List<KnuckleArm> of(SteeredAxle axle) {
        return Arrays.stream(values())
                .filter(a -> a != DRAG_LINK || axle.dragLinkSide().isPresent())
                .toList();
    }

    public Side side(SteeredAxle axle) {
        return switch (this) {
            case LEFT_STEERING -> Side.LEFT;
            case RIGHT_STEERING -> Side.RIGHT;
            case DRAG_LINK -> link(axle).side();
        };
    }

    /** What a fabricator calls it, its side with it. */
    public String label(SteeredAxle axle) {
        return side(axle).label() + (this == DRAG_LINK ? " drag-link arm" : " steering arm");
    }

    /** The corner whose knuckle it is on. */
    public Corner corner(SteeredAxle axle) {
        return axle.corner(side(axle));
    }

    /** Centre of the joint at its end, mm. */
    public Point end(SteeredAxle axle) {
        return this == DRAG_LINK ? link(axle).point() : corner(axle).knuckle().tieRodPoint();
    }

    /** Bolt or stud at its end, if it is known. */
    public Optional<Direction> stud(SteeredAxle axle) {
        return this == DRAG_LINK
                ? axle.rodEnds(Rod.DRAG_LINK).flatMap(RodEnds::outerBolt)
                : corner(axle).rodEnds().outerBolt();
    }

    /** The axle with this arm's end elsewhere. */
    public SteeredAxle with(SteeredAxle axle, Point end, Optional<Direction> stud) {
        if (this == DRAG_LINK) {
            DragLink d = (DragLink) axle.linkage();
            return axle.withLinkage(
                            d.withAttachment(new Attachment.OnKnuckle(link(axle).side(), end)))
                    .editRodEnds(Rod.DRAG_LINK, e -> e.withOuterBolt(stud));
        }
        Corner c = corner(axle);
        return axle.withCorner(
                side(axle),
                c.withKnuckle(c.knuckle().withTieRodPoint(end))
                        .withRodEnds(c.rodEnds().withOuterBolt(stud)));
    }

    private static Attachment.OnKnuckle link(SteeredAxle axle) {
        if (axle.linkage() instanceof DragLink d && d.attachment() instanceof Attachment.OnKnuckle k) {
            return k;
        }
        throw new IllegalArgumentException("No drag link ends on a knuckle of this axle.");
    }

    /** From the steer axis to its end, mm. */
    public double length(SteeredAxle axle) {
        return corner(axle).suspension().steerAxis().distanceTo(end(axle));
    }
}
