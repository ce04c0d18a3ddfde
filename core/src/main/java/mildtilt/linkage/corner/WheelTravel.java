package mildtilt.linkage.corner;

/** How the two wheels of an axle can travel. */
public enum WheelTravel {
    /** Each on its own, or together on a sprung beam. */
    FREE,
    /** Only one up as the other goes down. */
    ROLL_ONLY,
    /** Not at all. */
    NONE;

    /** The right wheel's travel that goes with the left one's where the whole range is sampled. */
    public double rightWith(double left) {
        return switch (this) {
            case FREE -> left;
            case ROLL_ONLY -> -left;
            case NONE -> 0;
        };
    }
}
