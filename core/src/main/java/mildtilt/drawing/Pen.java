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
    /** Something in the way. */
    OBSTACLE,
    /** Something in the way that gives off heat. */
    HOT,
    /** Where something in the way goes by itself; the outline of a scan. */
    SWEPT,
    /** The driver's legs. */
    DRIVER,
    /** A route that is offered and not taken yet. */
    GHOST,
    /** Between the nearest places of two things. */
    GAP,
    /** Construction: where an arm's end goes, how far a wheel turns. */
    LOCK_ARC,
    /** Construction: where a tyre comes to over lock and travel. */
    ENVELOPE,
    /** Construction: a wheel's axis, toward the turning centre. */
    TURN_AXIS;

    /** Whether what it draws is drawn as a solid in its real width, where there is one. */
    public boolean solid() {
        return switch (this) {
            case SHAFT, JOINT, FORK_PIN, TUBE, OBSTACLE, HOT, DRIVER -> true;
            case STEERING_WHEEL,
                    GROUND,
                    CENTRE_LINE,
                    STEER_AXIS,
                    SPINDLE,
                    GUIDE,
                    SWEPT,
                    LOCK_ARC,
                    ENVELOPE,
                    TURN_AXIS,
                    GHOST,
                    GAP,
                    BEARING -> false;
            case RACK,
                    TIE_ROD,
                    STEERING_ARM,
                    WISHBONE,
                    TYRE,
                    GEAR_BOX,
                    GEAR_ARM,
                    DRIVEN_ROD,
                    SHUTTLE,
                    BEAM,
                    TRACK_BAR,
                    STRUT -> true;
        };
    }

    /**
     * Whether it draws what hangs on the axle: where that can't be assembled there are no solids, and its lines are
     * drawn instead.
     */
    public boolean onAxle() {
        return switch (this) {
            case RACK,
                    TIE_ROD,
                    STEERING_ARM,
                    WISHBONE,
                    TYRE,
                    GEAR_BOX,
                    GEAR_ARM,
                    DRIVEN_ROD,
                    SHUTTLE,
                    BEAM,
                    TRACK_BAR,
                    STRUT -> true;
            case SHAFT,
                    JOINT,
                    FORK_PIN,
                    TUBE,
                    OBSTACLE,
                    HOT,
                    DRIVER,
                    STEERING_WHEEL,
                    GROUND,
                    CENTRE_LINE,
                    STEER_AXIS,
                    SPINDLE,
                    GUIDE,
                    SWEPT,
                    LOCK_ARC,
                    ENVELOPE,
                    TURN_AXIS,
                    GHOST,
                    GAP,
                    BEARING -> false;
        };
    }

    /** Whether figures should stay off lines of this pen. */
    public boolean matters() {
        return switch (this) {
            case SHAFT, TIE_ROD, STEERING_ARM, RACK, STEERING_WHEEL, GEAR_ARM, DRIVEN_ROD, GHOST, GAP -> true;
            case GROUND,
                    CENTRE_LINE,
                    JOINT,
                    FORK_PIN,
                    TUBE,
                    BEARING,
                    WISHBONE,
                    STEER_AXIS,
                    TYRE,
                    GEAR_BOX,
                    GUIDE,
                    SHUTTLE,
                    BEAM,
                    TRACK_BAR,
                    STRUT,
                    SPINDLE,
                    OBSTACLE,
                    HOT,
                    SWEPT,
                    DRIVER,
                    LOCK_ARC,
                    ENVELOPE,
                    TURN_AXIS -> false;
        };
    }
}
