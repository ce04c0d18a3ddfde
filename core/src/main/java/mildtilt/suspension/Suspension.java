package mildtilt.suspension;

import java.util.SequencedMap;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;

/** How a knuckle is held. */
public sealed interface Suspension permits DoubleWishbone, Strut, SplitLinks, TrailingArms, SwingBeam, Kingpin {

    /** The same on the other side of the vehicle. */
    Suspension mirrored();

    /** The steer axis in the design position, upward. */
    Axis steerAxis();

    /**
     * Where the metal of an arm or a spindle begins on the knuckle: on the steer axis, where joints stand on it.
     *
     * @param end of it, as it stands
     */
    default Point root(KnucklePose now, Point end) {
        return now.steerAxis().footOf(end);
    }

    /** The points that hold the knuckle, those at the knuckle first. */
    SequencedMap<CornerPoint, Point> points();

    /** With one of its points elsewhere; as it is if it has no such point. */
    Suspension withPoint(CornerPoint which, Point p);
}
