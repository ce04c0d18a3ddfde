package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.Gear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.withers.Withers;

/**
 * A bell crank on the vehicle's middle, pushed by a drag rod from the gear's arm; both tie rods start on it.
 *
 * @param pivot its axis, pointing up
 * @param dragRodPoint where the drag rod meets it, where it really is, mm
 * @param leftTieRodPoint where the left tie rod meets it, mm
 * @param ownRightTieRodPoint the right one where it differs; empty if it is the mirror image
 * @param dragRodEnds the drag rod's joints: outer at the crank, inner at the gear's arm
 */
@Withers
public record BellCrank(
        Axis pivot, Point dragRodPoint, Point leftTieRodPoint, Optional<Point> ownRightTieRodPoint, RodEnds dragRodEnds)
        implements Linkage, BellCrankBuilder.With {

    /** @throws ImpossibleGeometryException naming the point that lies on the pivot */
    public BellCrank {
        if (pivot.distanceTo(dragRodPoint) < 1) {
            throw new ImpossibleGeometryException("The drag rod's point lies on the bell crank's pivot.");
        }
        if (pivot.distanceTo(leftTieRodPoint) < 1
                || ownRightTieRodPoint.filter(p -> pivot.distanceTo(p) < 1).isPresent()) {
            throw new ImpossibleGeometryException("A tie rod's inner point lies on the bell crank's pivot.");
        }
    }

    public Point tieRodPoint(Side side) {
        return side == Side.LEFT ? leftTieRodPoint : ownRightTieRodPoint.orElseGet(leftTieRodPoint::mirrored);
    }

    /** One tie-rod point moved; where the right is the mirror of the left, both are. */
    public BellCrank withTieRodPoint(Side side, Point p) {
        if (ownRightTieRodPoint.isEmpty()) {
            return new BellCrank(
                    pivot, dragRodPoint, side == Side.LEFT ? p : p.mirrored(), ownRightTieRodPoint, dragRodEnds);
        }
        return side == Side.LEFT
                ? new BellCrank(pivot, dragRodPoint, p, ownRightTieRodPoint, dragRodEnds)
                : new BellCrank(pivot, dragRodPoint, leftTieRodPoint, Optional.of(p), dragRodEnds);
    }

    @Override
    public String label() {
        return "centre bell crank";
    }

    @Override
    public String movedWithGear() {
        return "bell crank and the column's arm";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
    }

    @Override
    public List<Rod> drivenRods() {
        return List.of(Rod.DRAG_ROD);
    }

    @Override
    public Optional<RelayPart> relay() {
        return Optional.of(RelayPart.BELL_CRANK);
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return new BellCrankMotion(this, armOf(axle.gear()), axle);
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        return Optional.of(tieRodPoint(side));
    }

    @Override
    public boolean relayOnItsOwn() {
        return true;
    }

    @Override
    public Optional<RodEnds> drivenEnds(Rod rod) {
        return Optional.of(dragRodEnds);
    }

    @Override
    public BellCrank withDrivenEnds(Rod rod, RodEnds ends) {
        return withDragRodEnds(ends);
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        return List.of(
                new LinkagePoint(
                        LinkagePoint.Which.CRANK_PIVOT,
                        "bell crank, point on its pivot",
                        pivot.origin(),
                        to -> axle.withLinkage(placed(axle.gear(), Placing.moved(to.minus(pivot.origin()))))),
                new LinkagePoint(
                        LinkagePoint.Which.DRIVEN,
                        "drag rod's point on the bell crank",
                        dragRodPoint,
                        to -> axle.withLinkage(withDragRodPoint(to))),
                inner(axle, LinkagePoint.Which.LEFT_INNER, Side.LEFT),
                inner(axle, LinkagePoint.Which.RIGHT_INNER, Side.RIGHT));
    }

    private LinkagePoint inner(SteeredAxle axle, LinkagePoint.Which which, Side side) {
        return new LinkagePoint(
                which,
                side.label() + " inner tie-rod pivot",
                tieRodPoint(side),
                to -> axle.withLinkage(withTieRodPoint(side, to)));
    }

    @Override
    public BellCrank placed(Gear gear, Placing placing) {
        return new BellCrank(
                placing.axis(pivot),
                placing.point(dragRodPoint),
                placing.point(leftTieRodPoint),
                ownRightTieRodPoint.map(placing::point),
                dragRodEnds);
    }

    @Override
    public BellCrank sidesApart(Gear gear) {
        return withOwnRightTieRodPoint(Optional.of(tieRodPoint(Side.RIGHT)));
    }

    @Override
    public BellCrank sidesAlike(Linkage was) {
        return was instanceof BellCrank b && b.ownRightTieRodPoint.isEmpty()
                ? withOwnRightTieRodPoint(Optional.empty())
                : this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        BellCrank left = withTieRodPoint(Side.LEFT, tieRodPoint(Side.LEFT).plus(new Vector(0, by / 2, 0)));
        return axle.withLinkage(
                ownRightTieRodPoint.isEmpty()
                        ? left
                        : left.withTieRodPoint(
                                Side.RIGHT, left.tieRodPoint(Side.RIGHT).plus(new Vector(0, -by / 2, 0))));
    }
}
