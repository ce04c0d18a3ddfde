package mildtilt.linkage;

import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Suspension;

/**
 * One steered corner as it stands in the design position.
 *
 * @param rodEnds the tie rod that ends at this corner's steering arm
 */
public record Corner(Suspension suspension, Knuckle knuckle, RodEnds rodEnds, WheelLimits limits) {

    public Corner mirrored() {
        return new Corner(suspension.mirrored(), knuckle.mirrored(), rodEnds.mirrored(), limits);
    }

    public Corner withSuspension(Suspension s) {
        return new Corner(s, knuckle, rodEnds, limits);
    }

    public Corner withKnuckle(Knuckle k) {
        return new Corner(suspension, k, rodEnds, limits);
    }

    public Corner withRodEnds(RodEnds r) {
        return new Corner(suspension, knuckle, r, limits);
    }

    public Corner withLimits(WheelLimits l) {
        return new Corner(suspension, knuckle, rodEnds, l);
    }
}
