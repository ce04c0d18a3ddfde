package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * The rod ends of a tie rod: the bolt or stud each turns on, as it points in the design position, and how
 * far they may tilt on it.
 *
 * @param outerBolt fixed in the steering arm
 * @param innerBolt fixed in the gear
 * @param allowedDeg the largest tilt from square to the bolt that the rod ends allow, degrees
 */
public record RodEnds(Optional<Direction> outerBolt, Optional<Direction> innerBolt, Optional<Double> allowedDeg) {

    public static final RodEnds UNKNOWN = new RodEnds(Optional.empty(), Optional.empty(), Optional.empty());

    /** @throws ImpossibleGeometryException if the allowed tilt is not between 0 and 90 */
    public RodEnds {
        if (allowedDeg.isPresent() && !(allowedDeg.get() > 0 && allowedDeg.get() < 90)) {
            throw new ImpossibleGeometryException("The tilt a rod end allows must be between 0 and 90 degrees.");
        }
    }

    public RodEnds mirrored() {
        return new RodEnds(outerBolt.map(Direction::mirrored), innerBolt.map(Direction::mirrored), allowedDeg);
    }
}
