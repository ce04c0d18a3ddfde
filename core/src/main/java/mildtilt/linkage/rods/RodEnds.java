package mildtilt.linkage.rods;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A rod's two ends: the bolt or stud each turns on, as it points in the design position, how far they may
 * tilt on it, and what is between them.
 *
 * @param outerBolt fixed in the steering arm, or in what else the rod drives
 * @param innerBolt fixed in the gear, or in what else drives the rod
 * @param allowedDeg the largest tilt from square to the bolt that the rod ends allow, degrees
 * @param tube the rod between them, if chosen
 * @param play how far the rod gives along its length before it is solid, in all, mm: a slot, or ends on springs
 */
@Withers
public record RodEnds(
        Optional<Direction> outerBolt,
        Optional<Direction> innerBolt,
        Optional<Double> allowedDeg,
        Optional<RodTube> tube,
        Optional<Double> play)
        implements RodEndsBuilder.With {

    public static final RodEnds UNKNOWN =
            new RodEnds(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** @throws ImpossibleGeometryException if the allowed tilt is not between 0 and 90 */
    public RodEnds {
        if (allowedDeg.isPresent() && !(allowedDeg.get() > 0 && allowedDeg.get() < 90)) {
            throw new ImpossibleGeometryException("The tilt a rod end allows must be between 0 and 90 degrees.");
        }
    }

    public RodEnds mirrored() {
        return new RodEnds(
                outerBolt.map(Direction::mirrored), innerBolt.map(Direction::mirrored), allowedDeg, tube, play);
    }

    public RodEnds withAllowed(Optional<Double> deg) {
        return new RodEnds(outerBolt, innerBolt, deg, tube, play);
    }

    public RodEnds withAllowedDeg(double deg) {
        return new RodEnds(outerBolt, innerBolt, Optional.of(deg), tube, play);
    }
}
