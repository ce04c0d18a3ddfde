package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;

/**
 * Both tie rods on the gear's arm itself, as on karts and quads with an arm on the column and on light cars with a box
 * in the
 * middle.
 *
 * @param leftPoint where the left tie rod meets the arm, straight ahead, mm
 * @param ownRightPoint the right one where it differs; empty if it is the mirror image
 */
public record ArmTieRods(Point leftPoint, Optional<Point> ownRightPoint) implements Linkage {

    public Point point(Side side) {
        return side == Side.LEFT ? leftPoint : ownRightPoint.orElseGet(leftPoint::mirrored);
    }

    /** One point moved; where the right is the mirror of the left, both are. */
    public ArmTieRods withPoint(Side side, Point p) {
        if (ownRightPoint.isEmpty()) {
            return new ArmTieRods(side == Side.LEFT ? p : p.mirrored(), ownRightPoint);
        }
        return side == Side.LEFT ? new ArmTieRods(p, ownRightPoint) : new ArmTieRods(leftPoint, Optional.of(p));
    }

    /** With the holes as far on the other side of the gear's shaft, each still on its own side of the arm. */
    ArmTieRods onOtherSide(ArmGear gear) {
        Point foot = gear.axis().footOf(gear.armEnd());
        Direction arm = gear.armEnd().minus(foot).direction();
        UnaryOperator<Point> over = p -> p.plus(arm.times(-2 * arm.dot(p.minus(foot))));
        return new ArmTieRods(over.apply(leftPoint), ownRightPoint.map(over));
    }

    @Override
    public String label() {
        return "both tie rods on the gear's arm";
    }

    @Override
    public String movedWithGear() {
        return "gear and its arm";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return new ArmTieRodsMotion(this, armOf(axle.gear()), axle);
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        return Optional.of(point(side));
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        return List.of(
                inner(axle, LinkagePoint.Which.LEFT_INNER, Side.LEFT),
                inner(axle, LinkagePoint.Which.RIGHT_INNER, Side.RIGHT));
    }

    private LinkagePoint inner(SteeredAxle axle, LinkagePoint.Which which, Side side) {
        return new LinkagePoint(
                which, side.label() + " inner tie-rod pivot", point(side), to -> axle.withLinkage(withPoint(side, to)));
    }

    @Override
    public ArmTieRods placed(Gear gear, Placing placing) {
        return new ArmTieRods(placing.point(leftPoint), ownRightPoint.map(placing::point));
    }

    @Override
    public ArmTieRods sidesApart(Gear gear) {
        return new ArmTieRods(leftPoint, Optional.of(point(Side.RIGHT)));
    }

    @Override
    public ArmTieRods sidesAlike(Linkage was) {
        return was instanceof ArmTieRods a && a.ownRightPoint.isEmpty()
                ? new ArmTieRods(leftPoint, Optional.empty())
                : this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        ArmTieRods left = withPoint(Side.LEFT, leftPoint.plus(new Vector(0, by / 2, 0)));
        return axle.withLinkage(
                ownRightPoint.isEmpty()
                        ? left
                        : left.withPoint(Side.RIGHT, point(Side.RIGHT).plus(new Vector(0, -by / 2, 0))));
    }
}
