package mildtilt.linkage;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;

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
        return ownIdler.orElseGet(() -> new SwingArm(gear.axis().mirrored(), gear.armEnd().mirrored()));
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
}
