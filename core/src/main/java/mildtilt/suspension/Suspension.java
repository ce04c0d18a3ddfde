package mildtilt.suspension;

import mildtilt.geometry.Axis;

/** How a knuckle is held. */
public sealed interface Suspension permits DoubleWishbone, Strut, Kingpin {

    /** The same on the other side of the vehicle. */
    Suspension mirrored();

    /** The steer axis in the design position, upward. */
    Axis steerAxis();
}
