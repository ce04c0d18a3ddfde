package mildtilt.drawing;

/** What a line stands for; each surface chooses width and ink for it. */
public enum Pen {
    GROUND,
    CENTRE_LINE,
    STEERING_WHEEL,
    SHAFT,
    JOINT,
    FORK_PIN,
    RACK,
    TIE_ROD,
    STEERING_ARM,
    WISHBONE,
    STEER_AXIS,
    TYRE;

    /** Whether figures should stay off lines of this pen. */
    public boolean matters() {
        return switch (this) {
            case SHAFT, TIE_ROD, STEERING_ARM, RACK, STEERING_WHEEL -> true;
            case GROUND, CENTRE_LINE, JOINT, FORK_PIN, WISHBONE, STEER_AXIS, TYRE -> false;
        };
    }
}
