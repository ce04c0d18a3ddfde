package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/**
 * A centre link between the pitman arm and an idler arm, with the tie rods' inner ends on it.
 *
 * @param ownIdler the idler arm where it differs; empty if it is the mirror image of the pitman arm
 * @param leftFraction how far along the line between the arm ends the left tie rod sits, from the left arm
 * @param rightFraction the same for the right tie rod, from the right arm
 */
public record CentreLink(Optional<SwingArm> ownIdler, double leftFraction, double rightFraction) implements Linkage {

    /** @throws ImpossibleGeometryException if the tie rods lie off the link or crossed over */
    public CentreLink {
        if (!(leftFraction > -1 && rightFraction > -1 && leftFraction + rightFraction < 1)) {
            throw new ImpossibleGeometryException("The tie rods' inner ends must lie on the centre link, the left one "
                    + "left of the right one: both parts of the link together must be below 1.");
        }
    }

    public SwingArm idler(ArmGear gear) {
        return ownIdler.orElseGet(
                () -> new SwingArm(gear.axis().mirrored(), gear.armEnd().mirrored()));
    }

    /** The idler arm as one of its own. */
    public CentreLink withIdler(SwingArm idler) {
        return new CentreLink(Optional.of(idler), leftFraction, rightFraction);
    }

    /** A tie rod's inner end with the link's ends at the pitman and the idler arm. */
    public Point innerAt(Side side, Point pitman, Point idler) {
        boolean pitmanLeft = pitman.y() >= idler.y();
        Point own = (side == Side.LEFT) == pitmanLeft ? pitman : idler;
        Point far = own == pitman ? idler : pitman;
        return own.plus(far.minus(own).times(fraction(side)));
    }

    public double fraction(Side side) {
        return side == Side.LEFT ? leftFraction : rightFraction;
    }

    @Override
    public String label() {
        return "pitman, idler and centre link";
    }

    @Override
    public String movedWithGear() {
        return "steering box and idler";
    }

    @Override
    public void mustSuit(Gear gear, boolean onKingpins) {
        armOf(gear);
    }

    @Override
    public List<Rod> drivenRods() {
        return List.of(Rod.CENTRE_LINK);
    }

    @Override
    public Optional<RelayPart> relay() {
        return Optional.of(RelayPart.IDLER_ARM);
    }

    @Override
    public Motion motion(SteeredAxle axle) {
        return new CentreLinkMotion(this, armOf(axle.gear()), axle);
    }

    @Override
    public Optional<Point> inner(Gear gear, Side side) {
        ArmGear arm = armOf(gear);
        return Optional.of(innerAt(side, arm.armEnd(), idler(arm).end()));
    }

    @Override
    public List<LinkagePoint> points(SteeredAxle axle) {
        SwingArm idler = idler(armOf(axle.gear()));
        return List.of(
                new LinkagePoint(
                        LinkagePoint.Which.IDLER_PIVOT,
                        "idler arm, point on its axis",
                        idler.axis().origin(),
                        to -> axle.withLinkage(
                                withIdler(idler.moved(to.minus(idler.axis().origin()))))),
                new LinkagePoint(
                        LinkagePoint.Which.IDLER_END,
                        "end of the idler arm",
                        idler.end(),
                        to -> axle.withLinkage(withIdler(new SwingArm(idler.axis(), to)))));
    }

    /** An idler that is the mirror image of the gear's arm stays so where that is where it goes. */
    @Override
    public CentreLink placed(Gear gear, Placing placing) {
        SwingArm idler = idler(armOf(gear)).placed(placing);
        boolean mirrored = ownIdler.isEmpty() && idler.near(idler(armOf(gear.placed(placing))));
        return mirrored ? this : withIdler(idler);
    }

    @Override
    public CentreLink sidesApart(Gear gear) {
        return withIdler(idler(armOf(gear)));
    }

    @Override
    public CentreLink sidesAlike(Linkage was) {
        return was instanceof CentreLink c && c.ownIdler.isEmpty()
                ? new CentreLink(Optional.empty(), leftFraction, rightFraction)
                : this;
    }

    @Override
    public SteeredAxle innersSpread(SteeredAxle axle, double by) {
        double apart = inner(axle.gear(), Side.LEFT)
                .orElseThrow()
                .distanceTo(inner(axle.gear(), Side.RIGHT).orElseThrow());
        double part = by / 2 / (apart / (1 - leftFraction - rightFraction));
        return axle.withLinkage(new CentreLink(ownIdler, leftFraction - part, rightFraction - part));
    }
}
