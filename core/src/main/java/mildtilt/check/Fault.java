package mildtilt.check;

import static mildtilt.check.Fault.Group.BINDS;
import static mildtilt.check.Fault.Group.BREAKS_RULES;
import static mildtilt.check.Fault.Group.DOES_NOT_FIT;
import static mildtilt.check.Fault.Group.LOSES_STEERING;
import static mildtilt.check.Fault.Group.NOT_MEASURED;
import static mildtilt.check.Fault.Group.TOUCHING;
import static mildtilt.check.Fault.Group.UNEVEN;

/** The kinds of fault, the gravest first: this is the order they are shown in among equals. */
public enum Fault {
    WRONG_WAY(LOSES_STEERING),
    WHEELS_DO_NOT_FOLLOW(LOSES_STEERING),
    SHAFT_FLOATS(LOSES_STEERING),
    BEARING_OFF_SHAFT(LOSES_STEERING),
    SLIDE_SHORT(LOSES_STEERING),
    ENGAGEMENT_SHORT(LOSES_STEERING),
    LOCK_NOT_REACHED(LOSES_STEERING),
    NEAR_TOGGLE(LOSES_STEERING),
    ROD_SHORT_OF_THREAD(LOSES_STEERING),
    LOCK_NUT_MISSING(LOSES_STEERING),
    /** A part of the analysis failed: nothing is known of it. */
    NOT_WORKED_OUT(LOSES_STEERING),

    JOINT_LOCKED(BINDS),
    JOINT_OVER_LIMIT(BINDS),
    NO_ROOM_FOR_SHAFT(BINDS),
    SLIDE_BOTTOMS(BINDS),
    CAN_NOT_FOLLOW(BINDS),
    MUST_SLIDE(BINDS),
    ROD_END_OVER_LIMIT(BINDS),
    WEIGHT_TURNS_AWAY(BINDS),
    TRAIL_RUNS_AWAY(BINDS),
    TRAVEL_NOT_REACHED(BINDS),
    AXES_MISS(BINDS),
    BEARING_FORCED(BINDS),
    BEARINGS_FIGHT(BINDS),
    SHAFT_WEAK(BINDS),
    JOINT_WEAK(BINDS),
    JOIN_WEAK(BINDS),
    ARM_WEAK(BINDS),
    ROD_BUCKLES(BINDS),
    ROD_BENDS(BINDS),
    ROD_END_WEAK(BINDS),
    BODY_TOO_WEAK(BINDS),
    ROD_END_TILTS_LESS(BINDS),

    TOUCHES(TOUCHING),
    TYRE_TOUCHES(TOUCHING),
    GAP_SHORT(TOUCHING),

    FRONT_PUSH(BREAKS_RULES),
    HOLD_NOT_ACCEPTED(BREAKS_RULES),
    WELDED_SHAFT(BREAKS_RULES),
    JOIN_FORBIDDEN(BREAKS_RULES),
    JOIN_TO_BE_TESTED(BREAKS_RULES),
    JOINT_IN_CABIN(BREAKS_RULES),
    OUT_OF_CLASS(BREAKS_RULES),

    ENDS_DO_NOT_FIT(DOES_NOT_FIT),
    BEARING_BORE(DOES_NOT_FIT),
    STUD_DOES_NOT_SEAT(DOES_NOT_FIT),
    THREADS_DIFFER(DOES_NOT_FIT),
    STUD_IN_SINGLE_SHEAR(DOES_NOT_FIT),
    JOIN_LOST(DOES_NOT_FIT),
    ROD_CAN_NOT_BE_SET(DOES_NOT_FIT),
    FIXED_TO_NOTHING(DOES_NOT_FIT),

    RIPPLE(UNEVEN),
    LOPSIDED(UNEVEN),
    LOCK_UNEQUAL(UNEVEN),
    STATIC_TOE(UNEVEN),
    STEER_AXIS_UNUSUAL(UNEVEN),
    SPAN_LONG(UNEVEN),
    WIND_UP(UNEVEN),
    REVERSED_ACKERMANN(UNEVEN),
    ACKERMANN(UNEVEN),
    LOCK_SHORT(UNEVEN),
    GEAR_OVERTRAVELS(UNEVEN),
    BUMP_STEER(UNEVEN),
    ROLL_STEER(UNEVEN),
    RAKED_ROD(UNEVEN),
    HEAVY(UNEVEN),
    GEAR_TAKES_THE_BLOW(UNEVEN),

    SIZES_GUESSED(NOT_MEASURED);

    /** What a fault does to the vehicle; the gravest first. */
    public enum Group {
        /** The steering can be lost, or turns the wrong way. */
        LOSES_STEERING("the steering can be lost"),
        /** It binds, or something gives. */
        BINDS("it binds or gives"),
        /** It touches, by sizes that were given. */
        TOUCHING("it touches"),
        /** It breaks the rule set that was chosen. */
        BREAKS_RULES("against the rule set"),
        /** It does not go together as bought. */
        DOES_NOT_FIT("does not go together"),
        /** It is uneven, or off what is wanted. */
        UNEVEN("uneven or off what is wanted"),
        /** Only sizes that nobody gave say so. */
        NOT_MEASURED("not measured yet");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final Group group;

    Fault(Group group) {
        this.group = group;
    }

    public Group group() {
        return group;
    }
}
