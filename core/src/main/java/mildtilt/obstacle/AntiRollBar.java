package mildtilt.obstacle;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.withers.Withers;

/**
 * A bar that turns in bushes, with an arm at either end and a drop link from each arm to what the wheel hangs on.
 * Either
 * arm turns about the line through both bushes as far as its link asks, in closed form; the bar between them twists.
 *
 * @param on what its bushes are fixed to
 * @param diameter of bar and arms, mm
 * @param linkDiameter of the drop links, mm
 */
@Withers
public record AntiRollBar(Carrier on, Arm left, Arm right, double diameter, double linkDiameter)
        implements CarriedShape, AntiRollBarBuilder.With {

    /**
     * One end of it.
     *
     * @param bush where the arm leaves the bar, on the line it turns about
     * @param end of the arm, where the drop link begins
     * @param fit how the link is held there, where that is known
     * @param link the drop link's other end
     */
    @Withers
    public record Arm(Point bush, Point end, Optional<EndFit> fit, PartEnd link) implements AntiRollBarArmBuilder.With {

        Arm mirrored() {
            return new Arm(bush.mirrored(), end.mirrored(), fit.map(EndFit::mirrored), link.mirrored());
        }

        double linkLength() {
            return end.distanceTo(link.at());
        }
    }

    /** @throws ImpossibleGeometryException if an arm or a link has no length */
    public AntiRollBar {
        if (!(diameter > 0 && Double.isFinite(diameter)) || !(linkDiameter > 0 && Double.isFinite(linkDiameter))) {
            throw new ImpossibleGeometryException("The diameters of an anti-roll bar must be above 0.");
        }
        if (left.bush.distanceTo(right.bush) < 1) {
            throw new ImpossibleGeometryException("Both bushes of an anti-roll bar are in one place.");
        }
        for (Arm a : List.of(left, right)) {
            if (Axis.through(right.bush, left.bush).distanceTo(a.end) < 1) {
                throw new ImpossibleGeometryException("An arm of an anti-roll bar has no length.");
            }
            if (a.fit.filter(EndFit.Fitting.class::isInstance).isPresent()
                    || a.link.fit().filter(EndFit.Fitting.class::isInstance).isPresent()) {
                throw new ImpossibleGeometryException("A drop link ends in an eye or a ball, not in a hose's fitting.");
            }
        }
    }

    public Arm arm(Side side) {
        return side == Side.LEFT ? left : right;
    }

    public AntiRollBar withArm(Side side, Arm a) {
        return side == Side.LEFT ? withLeft(a) : withRight(a);
    }

    /** That it turns about, toward the left. */
    public Axis axis() {
        return Axis.through(right.bush, left.bush);
    }

    @Override
    public Set<Carrier> carriers() {
        return EnumSet.of(on, left.link.on(), right.link.on());
    }

    /**
     * One end as it stands.
     *
     * @param end of the arm as it would stand with the bushes in their design position
     * @param link the drop link's other end, likewise
     * @param turned of the arm from the design position, right-handed about the axis toward the left, rad
     * @param offLineDeg how far arm and link are from being in line: 0 where the link can't take the arm along any more
     */
    public record Stand(Point end, Point link, double turned, double offLineDeg) {}

    public Stand stand(Side side, Function<Carrier, RigidMove> moves) {
        Arm a = arm(side);
        Point link = moves.apply(on).inverse().moved(moves.apply(a.link.on()).moved(a.link.at()));
        Axis axis = axis();
        Orbit orbit = Orbit.of(axis, a.end);
        Orbit.Reach reach = orbit.atReach(link, a.linkLength(), orbit.branchAt(0, a.link.at()));
        return new Stand(
                reach.point(),
                link,
                orbit.angleOf(reach.point()),
                reach.missing() == 0 ? axis.offCentreDeg(reach.point(), link) : 0);
    }

    /** How far the bar is twisted between its arms, degrees. */
    public double twistDeg(Function<Carrier, RigidMove> moves) {
        return Math.toDegrees(stand(Side.LEFT, moves).turned - stand(Side.RIGHT, moves).turned);
    }

    @Override
    public AntiRollBar carried(Function<Carrier, RigidMove> moves) {
        return new AntiRollBar(on, carried(Side.LEFT, moves), carried(Side.RIGHT, moves), diameter, linkDiameter);
    }

    private Arm carried(Side side, Function<Carrier, RigidMove> moves) {
        Arm a = arm(side);
        RigidMove bar = moves.apply(on);
        return new Arm(
                bar.moved(a.bush), bar.moved(stand(side, moves).end), a.fit, a.link.carried(moves.apply(a.link.on())));
    }

    /** Square to a drop link as nearly along the bar as that allows: how its bolts lie where nothing else is said. */
    public Direction usualBolt(Side side) {
        Vector link = arm(side).link.at().minus(arm(side).end);
        Vector along = axis().direction().vector();
        Vector square = along.minus(link.times(along.dot(link) / link.dot(link)));
        return square.norm() < 1e-6 ? link.direction().anySquare() : square.direction();
    }

    @Override
    public String label() {
        return "anti-roll bar";
    }

    /** The bar itself, then arm and link of the left, then of the right. */
    @Override
    public Solid solid() {
        return new Solid.Parts(List.of(
                Convex.bar(left.bush, right.bush, diameter / 2),
                Convex.bar(left.bush, left.end, diameter / 2),
                Convex.bar(left.end, left.link.at(), linkDiameter / 2),
                Convex.bar(right.bush, right.end, diameter / 2),
                Convex.bar(right.end, right.link.at(), linkDiameter / 2)));
    }

    @Override
    public List<Point> points() {
        return List.of(left.bush, left.end, left.link.at(), right.bush, right.end, right.link.at());
    }

    @Override
    public AntiRollBar withPoint(int index, Point to) {
        Side side = index < 3 ? Side.LEFT : Side.RIGHT;
        Arm a = arm(side);
        return withArm(
                side,
                switch (index % 3) {
                    case 0 -> a.withBush(to);
                    case 1 -> a.withEnd(to);
                    default -> a.withLink(a.link.withAt(to));
                });
    }

    @Override
    public AntiRollBar shifted(Vector by) {
        AntiRollBar all = this;
        for (int i = 0; i < points().size(); i++) {
            all = all.withPoint(i, points().get(i).plus(by));
        }
        return all;
    }

    /** Its left arm is then what the right one was. */
    @Override
    public AntiRollBar mirrored() {
        return new AntiRollBar(on.mirrored(), right.mirrored(), left.mirrored(), diameter, linkDiameter);
    }
}
