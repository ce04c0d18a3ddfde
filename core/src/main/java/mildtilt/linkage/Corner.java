package mildtilt.linkage;

import mildtilt.suspension.Knuckle;
import mildtilt.suspension.Suspension;
import mildtilt.withers.Withers;

/**
 * One steered corner as it stands in the design position.
 *
 * @param rodEnds the tie rod that ends at this corner's steering arm
 */
@Withers
public record Corner(Suspension suspension, Knuckle knuckle, RodEnds rodEnds, WheelLimits limits) implements CornerBuilder.With {

    public Corner mirrored() {
        return new Corner(suspension.mirrored(), knuckle.mirrored(), rodEnds.mirrored(), limits);
    }
}
