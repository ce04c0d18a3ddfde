package mildtilt.obstacle;

import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.withers.Withers;

/**
 * One end of a part between two ends.
 *
 * @param at its place in the vehicle frame in the design position
 * @param on what it is fixed to
 * @param fit how it is held, where that is known
 */
@Withers
public record PartEnd(Point at, Carrier on, Optional<EndFit> fit) implements PartEndBuilder.With {

    /** Held in a way that is not known. */
    public static PartEnd on(Carrier on, Point at) {
        return new PartEnd(at, on, Optional.empty());
    }

    /** The same where what it is fixed to has been carried. */
    public PartEnd carried(RigidMove by) {
        return new PartEnd(by.moved(at), on, fit.map(f -> f.carried(by)));
    }

    /** On the other side of the vehicle. */
    public PartEnd mirrored() {
        return new PartEnd(at.mirrored(), on.mirrored(), fit.map(EndFit::mirrored));
    }
}
