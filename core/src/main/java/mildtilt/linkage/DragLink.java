package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.Gear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;

/**
 * A drag link from the gear's arm, and one tie rod from knuckle to knuckle.
 *
 * @param ends the drag link's joints: outer where it drives, inner at the gear's arm
 */
public record DragLink(Attachment attachment, RodEnds ends) implements Linkage {

    static final String NEEDS_KINGPINS =
            "A drag link taken from the tie rod needs both knuckles on kingpins, on a beam or on the frame.";

    /** What the drag link drives. */
    public sealed interface Attachment {

        /** @param point where the drag link meets the knuckle of that side, where it really is, mm */
        record OnKnuckle(Side side, Point point) implements Attachment {}

        /** @param fraction along the tie rod from its left end to its right end */
        record OnTieRod(double fraction) implements Attachment {

            /** @throws ImpossibleGeometryException if that lies off the rod */
            public OnTieRod {
                if (!(fraction >= 0 && fraction <= 1)) {
                    throw new ImpossibleGeometryException(
                            "The drag link must meet the tie rod between its ends: a part from 0 to 1.");
                }
            }
        }
    }

    public DragLink withAttachment(Attachment a) {
        return new DragLink(a, ends);
    }

    @Override
    public String label() {
        return "drag link and tie rod";
    }

    @Override
    public String movedWithGear() {
        return "steering box";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
        if (attachment instanceof Attachment.OnTieRod && !onKingpins) {
            throw new ImpossibleGeometryException(NEEDS_KINGPINS);
        }
    }

    @Override
    public Optional<Rod> drivenRod() {
        return Optional.of(Rod.DRAG_LINK);
    }

    @Override
    public Optional<RelayPart> relay() {
        return Optional.empty();
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return switch (attachment) {
            case Attachment.OnKnuckle k -> new DragLinkOnKnuckle(this, k, armOf(axle.gear()), axle);
            case Attachment.OnTieRod t -> new DragLinkOnTieRod(this, t, armOf(axle.gear()), axle);
        };
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        return Optional.empty();
    }

    @Override
    public boolean innersSlide() {
        return false;
    }

    @Override
    public boolean relayOnItsOwn() {
        return false;
    }

    @Override
    public Optional<RodEnds> drivenEnds() {
        return Optional.of(ends);
    }

    @Override
    public DragLink withDrivenEnds(RodEnds e) {
        return new DragLink(attachment, e);
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        return switch (attachment) {
            case Attachment.OnKnuckle k ->
                List.of(new LinkagePoint(
                        LinkagePoint.Which.DRIVEN,
                        "drag link's point on the knuckle",
                        k.point(),
                        to -> axle.withLinkage(withAttachment(new Attachment.OnKnuckle(k.side(), to)))));
            case Attachment.OnTieRod _ -> List.of();
        };
    }

    /** Nothing of it stands on the body. */
    @Override
    public DragLink placed(Gear gear, Placing placing) {
        return this;
    }

    @Override
    public DragLink sidesApart(Gear gear) {
        return this;
    }

    @Override
    public DragLink sidesAlike(Linkage was) {
        return this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        return axle;
    }
}
