package mildtilt.suspension;

/** How a knuckle is held to the body. */
public sealed interface Suspension permits DoubleWishbone {

    /** The same on the other side of the vehicle. */
    Suspension mirrored();
}
