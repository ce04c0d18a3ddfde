package mildtilt.kinematics;

/**
 * A body of a {@link BodySystem}, by its number.
 *
 * @param index −1 for the frame, which does not move
 */
public record Body(int index) {

    /** The vehicle's frame. */
    public static final Body FRAME = new Body(-1);

    boolean moves() {
        return index >= 0;
    }
}
