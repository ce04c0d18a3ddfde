package mildtilt.linkage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;

/**
 * A drag link from the gear's arm, or from a relay arm that a link from there turns, and one tie rod from knuckle to
 * knuckle.
 *
 * @param ends the drag link's joints: outer where it drives, inner at the gear's arm or the relay arm
 * @param relayArm between gear and drag link; empty where the drag link begins at the gear's arm
 */
public record DragLink(Attachment attachment, RodEnds ends, Optional<RelayArm> relayArm) implements Linkage {

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

    public DragLink(Attachment attachment, RodEnds ends) {
        this(attachment, ends, Optional.empty());
    }

    public DragLink withAttachment(Attachment a) {
        return new DragLink(a, ends, relayArm);
    }

    public DragLink withRelayArm(Optional<RelayArm> relay) {
        return new DragLink(attachment, ends, relay);
    }

    /** Where the drag link begins, straight ahead. */
    public Point start(Gear gear) {
        return relayArm.map(RelayArm::dragLinkPoint).orElseGet(() -> armOf(gear).armEnd());
    }

    /** Where the drag link drives, straight ahead. */
    public Point driven(SteeredAxle axle) {
        return switch (attachment) {
            case Attachment.OnKnuckle k -> k.point();
            case Attachment.OnTieRod t -> {
                Point l = axle.corner(Side.LEFT).knuckle().tieRodPoint();
                Point r = axle.corner(Side.RIGHT).knuckle().tieRodPoint();
                yield l.plus(r.minus(l).times(t.fraction()));
            }
        };
    }

    /** With a relay arm of usual size put half-way. */
    public DragLink withUsualRelayArm(SteeredAxle axle) {
        ArmGear gear = armOf(axle.gear());
        return withRelayArm(Optional.of(RelayArm.between(gear.axis(), gear.armEnd(), driven(axle))));
    }

    @Override
    public String label() {
        return relayArm.isPresent() ? "relay arm, drag link and tie rod" : "drag link and tie rod";
    }

    @Override
    public String movedWithGear() {
        return relayArm.isPresent() ? "steering box and relay arm" : "steering box";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
        if (attachment instanceof Attachment.OnTieRod && !onKingpins) {
            throw new ImpossibleGeometryException(NEEDS_KINGPINS);
        }
    }

    @Override
    public List<Rod> drivenRods() {
        return relayArm.isPresent() ? List.of(Rod.INTERMEDIATE_LINK, Rod.DRAG_LINK) : List.of(Rod.DRAG_LINK);
    }

    @Override
    public Optional<RelayPart> relay() {
        return relayArm.map(_ -> RelayPart.RELAY_ARM);
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
    public boolean relayOnItsOwn() {
        return relayArm.isPresent();
    }

    @Override
    public Optional<RodEnds> drivenEnds(Rod rod) {
        return rod == Rod.INTERMEDIATE_LINK ? relayArm.map(RelayArm::linkEnds) : Optional.of(ends);
    }

    @Override
    public DragLink withDrivenEnds(Rod rod, RodEnds e) {
        return rod == Rod.INTERMEDIATE_LINK
                ? withRelayArm(relayArm.map(r -> r.withLinkEnds(e)))
                : new DragLink(attachment, e, relayArm);
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        List<LinkagePoint> all = new ArrayList<>();
        relayArm.ifPresent(r -> all.addAll(List.of(
                point(
                        axle,
                        LinkagePoint.Which.RELAY_PIVOT,
                        "relay arm, point on its pivot",
                        r.pivot().origin(),
                        to -> r.placed(Placing.moved(to.minus(r.pivot().origin())))),
                point(
                        axle,
                        LinkagePoint.Which.RELAY_LINK,
                        "intermediate link's point on the relay arm",
                        r.linkPoint(),
                        r::withLinkPoint),
                point(
                        axle,
                        LinkagePoint.Which.RELAY_DRAG_LINK,
                        "drag link's point on the relay arm",
                        r.dragLinkPoint(),
                        r::withDragLinkPoint))));
        if (attachment instanceof Attachment.OnKnuckle k) {
            all.add(new LinkagePoint(
                    LinkagePoint.Which.DRIVEN,
                    "drag link's point on the knuckle",
                    k.point(),
                    to -> axle.withLinkage(withAttachment(new Attachment.OnKnuckle(k.side(), to)))));
        }
        return all;
    }

    private LinkagePoint point(
            SteeredAxle axle, LinkagePoint.Which which, String label, Point at, Function<Point, RelayArm> moved) {
        return new LinkagePoint(which, label, at, to -> axle.withLinkage(withRelayArm(Optional.of(moved.apply(to)))));
    }

    /** Only the relay arm of it stands on the body. */
    @Override
    public DragLink placed(Gear gear, Placing placing) {
        return withRelayArm(relayArm.map(r -> r.placed(placing)));
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
