package mildtilt.linkage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.gear.Gear;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.withers.Withers;

/**
 * A shuttle that slides along a bar without turning, pushed by the gear's arm through a short link; both tie
 * rods start on it.
 *
 * @param slide along the bar, toward the left
 * @param linkPoint where the short link meets the shuttle, where it really is, straight ahead, mm
 * @param leftInner where the left tie rod meets it, mm
 * @param ownRightInner the right one where it differs; empty if it is the mirror image
 * @param travelEachWay how far it can slide from straight ahead before it meets the bar's mounts, mm, if known
 * @param linkEnds the short link's joints: outer at the shuttle, inner at the gear's arm
 * @param bar how it sits on its bar, if known
 */
@Withers
public record Shuttle(
        Direction slide,
        Point linkPoint,
        Point leftInner,
        Optional<Point> ownRightInner,
        Optional<Double> travelEachWay,
        RodEnds linkEnds,
        Optional<ShuttleBar> bar)
        implements Linkage, ShuttleBuilder.With {

    /** @throws ImpossibleGeometryException naming what can't be */
    public Shuttle {
        if (!(slide.y() > 0)) {
            throw new ImpossibleGeometryException("The shuttle's bar must point toward the left (y above 0).");
        }
        if (travelEachWay.filter(t -> !(t > 0)).isPresent()) {
            throw new ImpossibleGeometryException("The shuttle's travel each way must be above 0.");
        }
    }

    public Point inner(Side side) {
        return side == Side.LEFT ? leftInner : ownRightInner.orElseGet(leftInner::mirrored);
    }

    /** One inner point moved; where the right is the mirror of the left, both are. */
    public Shuttle withInner(Side side, Point p) {
        if (ownRightInner.isEmpty()) {
            return withLeftInner(side == Side.LEFT ? p : p.mirrored());
        }
        return side == Side.LEFT ? withLeftInner(p) : withOwnRightInner(Optional.of(p));
    }

    /** A point on the bar's line: the middle of its bushes, or of both tie rods' ends where that is not known. */
    public Point onBar() {
        return bar.map(ShuttleBar::middle).orElseGet(() -> inner(Side.LEFT).midwayTo(inner(Side.RIGHT)));
    }

    /** With bushes so far apart, about the middle of both tie rods' ends where nothing is known of them yet. */
    public Shuttle withBushSpan(Optional<Double> span) {
        return withBar(span.map(mm ->
                bar.map(b -> b.withSpan(mm)).orElseGet(() -> new ShuttleBar(onBar(), mm, ShuttleBar.USUAL_FRICTION))));
    }

    @Override
    public String label() {
        return "shuttle on a bar";
    }

    @Override
    public String movedWithGear() {
        return "shuttle's bar and steering box";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
    }

    @Override
    public List<Rod> drivenRods() {
        return List.of(Rod.SHORT_LINK);
    }

    @Override
    public Optional<RelayPart> relay() {
        return Optional.of(RelayPart.SHUTTLE);
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return new ShuttleMotion(this, armOf(axle.gear()), axle);
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        return Optional.of(inner(side));
    }

    @Override
    public boolean innersSlide() {
        return true;
    }

    @Override
    public boolean relayOnItsOwn() {
        return true;
    }

    @Override
    public Optional<RodEnds> drivenEnds(Rod rod) {
        return Optional.of(linkEnds);
    }

    @Override
    public Shuttle withDrivenEnds(Rod rod, RodEnds ends) {
        return withLinkEnds(ends);
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        List<LinkagePoint> all = new ArrayList<>();
        bar.ifPresent(b -> all.add(new LinkagePoint(
                LinkagePoint.Which.BUSHES,
                "middle of the shuttle's bushes",
                b.middle(),
                to -> axle.withLinkage(withBar(Optional.of(b.withMiddle(to)))))));
        all.add(new LinkagePoint(
                LinkagePoint.Which.DRIVEN,
                "short link's point on the shuttle",
                linkPoint,
                to -> axle.withLinkage(withLinkPoint(to))));
        all.add(inner(axle, LinkagePoint.Which.LEFT_INNER, Side.LEFT));
        all.add(inner(axle, LinkagePoint.Which.RIGHT_INNER, Side.RIGHT));
        return all;
    }

    private LinkagePoint inner(SteeredAxle axle, LinkagePoint.Which which, Side side) {
        return new LinkagePoint(
                which, side.label() + " inner tie-rod pivot", inner(side), to -> axle.withLinkage(withInner(side, to)));
    }

    @Override
    public Shuttle placed(Gear gear, Placing placing) {
        return new Shuttle(
                placing.direction(slide),
                placing.point(linkPoint),
                placing.point(leftInner),
                ownRightInner.map(placing::point),
                travelEachWay,
                linkEnds,
                bar.map(b -> b.placed(placing)));
    }

    @Override
    public Shuttle sidesApart(Gear gear) {
        return withOwnRightInner(Optional.of(inner(Side.RIGHT)));
    }

    @Override
    public Shuttle sidesAlike(Linkage was) {
        return was instanceof Shuttle s && s.ownRightInner.isEmpty() ? withOwnRightInner(Optional.empty()) : this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        Shuttle left = withInner(Side.LEFT, inner(Side.LEFT).plus(new Vector(0, by / 2, 0)));
        return axle.withLinkage(
                ownRightInner.isEmpty()
                        ? left
                        : left.withInner(Side.RIGHT, left.inner(Side.RIGHT).plus(new Vector(0, -by / 2, 0))));
    }
}
