package mildtilt.drawing;

/** What a line stands for; each surface chooses width and ink for it. */
public enum Pen {
    GROUND,
    CENTRE_LINE,
    STEERING_WHEEL,
    SHAFT,
    JOINT,
    FORK_PIN,
    /** The tube round the first shaft. */
    TUBE,
    /** A bearing that holds a shaft. */
    BEARING,
    RACK,
    TIE_ROD,
    STEERING_ARM,
    WISHBONE,
    STEER_AXIS,
    TYRE,
    /** The box a gear's arm comes out of. */
    GEAR_BOX,
    /** An arm on a gear, an idler, a bell crank. */
    GEAR_ARM,
    /** A rod pushed by the gear's arm. */
    DRIVEN_ROD,
    /** A bar that a shuttle slides on, a pivot, a pin. */
    GUIDE,
    SHUTTLE,
    BEAM,
    TRACK_BAR,
    STRUT,
    SPINDLE,
    /** Construction: where an arm's end goes, how far a wheel turns. */
    LOCK_ARC,
    /** Construction: a wheel's axis, toward the turning centre. */
    TURN_AXIS;

    /** Whether figures should stay off lines of this pen. */
    public boolean matters() {
        return switch (this) {
            case SHAFT, TIE_ROD, STEERING_ARM, RACK, STEERING_WHEEL, GEAR_ARM, DRIVEN_ROD -> true;
            case GROUND, CENTRE_LINE, JOINT, FORK_PIN, TUBE, BEARING, WISHBONE, STEER_AXIS, TYRE, GEAR_BOX, GUIDE, SHUTTLE, BEAM, TRACK_BAR, STRUT,
                    SPINDLE, LOCK_ARC, TURN_AXIS -> false;
        };
    }
}
