package mildtilt.linkage;

import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Suspension;

/** One steered corner as it stands in the design position. */
public record Corner(Suspension suspension, Knuckle knuckle, RodEnds rodEnds) {

    public Corner mirrored() {
        return new Corner(suspension.mirrored(), knuckle.mirrored(), rodEnds.mirrored());
    }

    public Corner withSuspension(Suspension s) {
        return new Corner(s, knuckle, rodEnds);
    }

    public Corner withKnuckle(Knuckle k) {
        return new Corner(suspension, k, rodEnds);
    }
}
