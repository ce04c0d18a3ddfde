package mildtilt.linkage;

import java.util.Optional;
import mildtilt.gear.Gear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;

/**
 * The gear and the two corners it turns.
 *
 * @param ownRight the right corner where it differs; empty if it is the mirror image of the left
 */
public record SteeredAxle(Gear gear, Corner left, Optional<Corner> ownRight) {

    /** @throws ImpossibleGeometryException if a wheel stands on the wrong side */
    public SteeredAxle {
        if (!(left.knuckle().wheelCentre().y() > 0)) {
            throw new ImpossibleGeometryException("The left wheel centre must lie on the left (y above 0).");
        }
        if (ownRight.isPresent() && !(ownRight.get().knuckle().wheelCentre().y() < 0)) {
            throw new ImpossibleGeometryException("The right wheel centre must lie on the right (y below 0).");
        }
    }

    public Corner corner(Side side) {
        return side == Side.LEFT ? left : ownRight.orElseGet(left::mirrored);
    }

    /** Both wheel centres apart across the vehicle, mm. */
    public double track() {
        return left.knuckle().wheelCentre().y() - corner(Side.RIGHT).knuckle().wheelCentre().y();
    }

    public SteeredAxle withGear(Gear g) {
        return new SteeredAxle(g, left, ownRight);
    }

    /** One corner changed; where the right is the mirror of the left, both are. */
    public SteeredAxle withCorner(Side side, Corner corner) {
        if (ownRight.isEmpty()) {
            return new SteeredAxle(gear, side == Side.LEFT ? corner : corner.mirrored(), ownRight);
        }
        return side == Side.LEFT
                ? new SteeredAxle(gear, corner, ownRight)
                : new SteeredAxle(gear, left, Optional.of(corner));
    }
}
