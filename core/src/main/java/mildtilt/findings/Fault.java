package mildtilt.findings;

import static mildtilt.findings.Fault.Group.BINDS;
import static mildtilt.findings.Fault.Group.BREAKS_RULES;
import static mildtilt.findings.Fault.Group.DOES_NOT_FIT;
import static mildtilt.findings.Fault.Group.LOSES_STEERING;
import static mildtilt.findings.Fault.Group.NOT_MEASURED;
import static mildtilt.findings.Fault.Group.TOUCHING;
import static mildtilt.findings.Fault.Group.UNEVEN;

import java.util.Locale;

/** The kinds of fault, the gravest first: this is the order they are shown in among equals. */
public enum Fault {
    WRONG_WAY(LOSES_STEERING, "Steers the wrong way"),
    WHEELS_DO_NOT_FOLLOW(LOSES_STEERING, "The road wheels do not follow"),
    SHAFT_FLOATS(LOSES_STEERING, "{part} has too few bearings"),
    BEARING_OFF_SHAFT(LOSES_STEERING, "{part}: a bearing holds nothing"),
    SLIDE_SHORT(LOSES_STEERING, "{part}: sliding overlap too short"),
    ENGAGEMENT_SHORT(LOSES_STEERING, "{part}: an end is not far enough in"),
    LOCK_NOT_REACHED(LOSES_STEERING, "Linkage over centre before full lock"),
    NEAR_TOGGLE(LOSES_STEERING, "{part} close to over centre"),
    ROD_SHORT_OF_THREAD(LOSES_STEERING, "{part}: too little thread"),
    LOCK_NUT_MISSING(LOSES_STEERING, "{part}: lock nut missing"),
    /** A part of the analysis failed: nothing is known of it. */
    NOT_WORKED_OUT(LOSES_STEERING, "{part} could not be worked out"),

    JOINT_LOCKED(BINDS, "{part} is bent too far to turn"),
    JOINT_OVER_LIMIT(BINDS, "{part} over its limit"),
    NO_ROOM_FOR_SHAFT(BINDS, "{part}: no room between its joints"),
    SLIDE_BOTTOMS(BINDS, "{part} bottoms out"),
    CAN_NOT_FOLLOW(BINDS, "Column can't follow what its gear is on"),
    MUST_SLIDE(BINDS, "{part} needs a sliding part"),
    ROD_END_OVER_LIMIT(BINDS, "{part}: a rod end over its tilt"),
    LENGTH_RUNS_OUT(BINDS, "{part} runs out of length"),
    END_OVER_LIMIT(BINDS, "{part}: an end over its tilt"),
    LINK_IN_LINE(BINDS, "{part} can flip over"),
    HOSE_BENT(BINDS, "{part} bent too sharply"),
    WEIGHT_TURNS_AWAY(BINDS, "Weight turns the wheels away from centre"),
    TRAIL_RUNS_AWAY(BINDS, "Trail outside the usual range"),
    HANDS_CAN_NOT_FOLLOW(BINDS, "Hands can't follow to full lock"),
    HANDS_CAN_NOT_REACH(BINDS, "A grip is out of reach"),
    SHUTTLE_JAMS(BINDS, "{part} can jam on its bar"),
    TRAVEL_NOT_REACHED(BINDS, "Wheels can't reach full travel"),
    AXES_MISS(BINDS, "{part} off the axis of its shaft"),
    BEARING_FORCED(BINDS, "{part} forced out of line"),
    BEARINGS_FIGHT(BINDS, "{part} not in line with the others"),
    SHAFT_WEAK(BINDS, "{part} weak under a heavy pull"),
    JOINT_WEAK(BINDS, "{part} weak under a heavy pull"),
    JOIN_WEAK(BINDS, "{part}: join weak under a heavy pull"),
    ARM_WEAK(BINDS, "{part} weak"),
    ROD_BUCKLES(BINDS, "{part} can buckle"),
    ROD_BENDS(BINDS, "{part} can bend"),
    ROD_END_WEAK(BINDS, "{part}: a rod end is weak"),
    BODY_TOO_WEAK(BINDS, "{part}: too little metal"),
    HEAT_SPOILS(BINDS, "{part}: a weld's heat reaches a bearing or seal"),
    ROD_END_TILTS_LESS(BINDS, "{part}: ends tilt less than the limit used"),

    TOUCHES(TOUCHING, "{part} touches"),
    TYRE_TOUCHES(TOUCHING, "Tyre touches before any stop"),
    GAP_SHORT(TOUCHING, "{part} too close"),

    FRONT_PUSH(BREAKS_RULES, "Column can be pushed into the driver"),
    HOLD_NOT_ACCEPTED(BREAKS_RULES, "{part}: fixing not accepted"),
    WELDED_SHAFT(BREAKS_RULES, "{part}: welded fork"),
    JOIN_FORBIDDEN(BREAKS_RULES, "{part}: welded join forbidden"),
    JOIN_TO_BE_TESTED(BREAKS_RULES, "{part}: welded join to be tested"),
    JOINT_IN_CABIN(BREAKS_RULES, "{part} inside the cabin"),
    OUT_OF_CLASS(BREAKS_RULES, "Vehicle outside its class"),

    ENDS_DO_NOT_FIT(DOES_NOT_FIT, "{part}: an end does not fit"),
    BEARING_BORE(DOES_NOT_FIT, "{part}: bore does not fit its shaft"),
    STUD_DOES_NOT_SEAT(DOES_NOT_FIT, "{part}: a stud does not seat"),
    THREADS_DIFFER(DOES_NOT_FIT, "{part}: threads differ"),
    STUD_IN_SINGLE_SHEAR(DOES_NOT_FIT, "{part}: bolt in single shear"),
    JOIN_LOST(DOES_NOT_FIT, "{part}: join can't be made there"),
    FOUND_TOO_LONG(DOES_NOT_FIT, "{part} can't be cut short enough"),
    FOUND_TOO_SHORT(DOES_NOT_FIT, "{part} too short as found"),
    ROD_CAN_NOT_BE_SET(DOES_NOT_FIT, "{part}: length can't be set"),
    FIXED_TO_NOTHING(DOES_NOT_FIT, "{part} fixed to a part not there"),

    RIPPLE(UNEVEN, "Column turns unevenly"),
    LOPSIDED(UNEVEN, "Steering quicker one way"),
    LOCK_UNEQUAL(UNEVEN, "Lock differs left and right"),
    STATIC_TOE(UNEVEN, "Toe straight ahead out of range"),
    STEER_AXIS_UNUSUAL(UNEVEN, "Steer axis outside the usual range"),
    SPRING_LOOSE(UNEVEN, "{part} comes loose"),
    SPAN_LONG(UNEVEN, "{part}: long span without bearing"),
    WIND_UP(UNEVEN, "Shafts wind up under a heavy pull"),
    REVERSED_ACKERMANN(UNEVEN, "Ackermann is reversed"),
    ACKERMANN(UNEVEN, "Ackermann outside the target"),
    LOCK_SHORT(UNEVEN, "Gear ends before the wanted lock"),
    GEAR_OVERTRAVELS(UNEVEN, "Gear has travel left at full lock"),
    BUMP_STEER(UNEVEN, "Bump steer above the target"),
    ROLL_STEER(UNEVEN, "Roll steer above the usual range"),
    BRAKE_STEER(UNEVEN, "Braking steers the wheels"),
    FREE_PLAY(UNEVEN, "Wheels turn by themselves"),
    RAKED_ROD(UNEVEN, "Tie rod raked in plan"),
    TURNS_FURTHER_IN(UNEVEN, "Turns itself further in in a bend"),
    KICKS_BACK(UNEVEN, "One wheel turns the hands"),
    DRIVE_PULLS(UNEVEN, "Drive pulls at the steering"),
    HEAVY(UNEVEN, "Steering heavier than the target"),
    GEAR_TAKES_THE_BLOW(UNEVEN, "Gear ends before the knuckle stop"),

    /** What rides on the axle in most vehicles is worked out as if it were on the frame. */
    GEAR_ASSUMED_ON_FRAME(NOT_MEASURED, "Steering gear treated as fixed to the frame"),
    SIZES_GUESSED(NOT_MEASURED, "Gaps based on guessed sizes");

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
        UNEVEN("uneven or off target"),
        /** It rests on guessed sizes only. */
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
    private final String headline;

    /** @param headline what is wrong in a few words, {@code {part}} standing for the part's name */
    Fault(Group group, String headline) {
        this.group = group;
        this.headline = headline;
    }

    /** What is wrong in a few words, where the finding does not put it more exactly. @param part its name */
    String headline(String part) {
        return headline.replace("{part}", part);
    }

    public Group group() {
        return group;
    }

    /** What it is called in files and on the command line. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
