package mildtilt.app.workbench;

import mildtilt.findings.Finding;
import mildtilt.job.Element;

/** What is being worked on. A stage changes what is shown, never the job. In working order. */
public enum WorkStage {
    SURVEY("Survey"),
    LINKAGE("Linkage"),
    COLUMN("Column"),
    CLEARANCE("Clearance"),
    MAKE("Make"),
    TRIAL("Trial");

    private final String label;

    WorkStage(String label) {
        this.label = label;
    }

    /** Whether the stage fills the middle with sheets of its own, instead of views, dock and curves. */
    public boolean ownSheets() {
        return this == MAKE || this == TRIAL;
    }

    public String label() {
        return label;
    }

    /** The stage in which what is found can be seen and cured. */
    public static WorkStage of(Finding finding) {
        return switch (finding.fault()) {
            case ROD_SHORT_OF_THREAD,
                    LOCK_NUT_MISSING,
                    JOIN_WEAK,
                    BODY_TOO_WEAK,
                    ROD_END_TILTS_LESS,
                    JOIN_FORBIDDEN,
                    JOIN_TO_BE_TESTED,
                    STUD_DOES_NOT_SEAT,
                    THREADS_DIFFER,
                    STUD_IN_SINGLE_SHEAR,
                    JOIN_LOST,
                    FOUND_TOO_LONG,
                    FOUND_TOO_SHORT,
                    HEAT_SPOILS,
                    ROD_CAN_NOT_BE_SET -> MAKE;
            case TOUCHES, TYRE_TOUCHES, GAP_SHORT, SIZES_GUESSED, FIXED_TO_NOTHING -> CLEARANCE;
            case WRONG_WAY,
                    WHEELS_DO_NOT_FOLLOW,
                    SHAFT_FLOATS,
                    BEARING_OFF_SHAFT,
                    SLIDE_SHORT,
                    ENGAGEMENT_SHORT,
                    LOCK_NOT_REACHED,
                    NEAR_TOGGLE,
                    NOT_WORKED_OUT,
                    JOINT_LOCKED,
                    JOINT_OVER_LIMIT,
                    NO_ROOM_FOR_SHAFT,
                    SLIDE_BOTTOMS,
                    CAN_NOT_FOLLOW,
                    MUST_SLIDE,
                    ROD_END_OVER_LIMIT,
                    LENGTH_RUNS_OUT,
                    END_OVER_LIMIT,
                    HOSE_BENT,
                    LINK_IN_LINE,
                    HANDS_CAN_NOT_FOLLOW,
                    HANDS_CAN_NOT_REACH,
                    WEIGHT_TURNS_AWAY,
                    TRAIL_RUNS_AWAY,
                    SHUTTLE_JAMS,
                    TRAVEL_NOT_REACHED,
                    AXES_MISS,
                    BEARING_FORCED,
                    BEARINGS_FIGHT,
                    SHAFT_WEAK,
                    JOINT_WEAK,
                    ARM_WEAK,
                    ROD_BUCKLES,
                    ROD_BENDS,
                    ROD_END_WEAK,
                    FRONT_PUSH,
                    HOLD_NOT_ACCEPTED,
                    WELDED_SHAFT,
                    JOINT_IN_CABIN,
                    OUT_OF_CLASS,
                    ENDS_DO_NOT_FIT,
                    BEARING_BORE,
                    RIPPLE,
                    LOPSIDED,
                    LOCK_UNEQUAL,
                    STATIC_TOE,
                    STEER_AXIS_UNUSUAL,
                    SPRING_LOOSE,
                    SPAN_LONG,
                    WIND_UP,
                    REVERSED_ACKERMANN,
                    ACKERMANN,
                    LOCK_SHORT,
                    GEAR_OVERTRAVELS,
                    BUMP_STEER,
                    ROLL_STEER,
                    BRAKE_STEER,
                    FREE_PLAY,
                    RAKED_ROD,
                    TURNS_FURTHER_IN,
                    KICKS_BACK,
                    DRIVE_PULLS,
                    HEAVY,
                    GEAR_TAKES_THE_BLOW,
                    GEAR_ASSUMED_ON_FRAME -> of(finding.element());
        };
    }

    private static WorkStage of(Element element) {
        return switch (element) {
            case Element.Wheel _, Element.ShaftAt _, Element.JointAt _, Element.Tube _, Element.BearingAt _ -> COLUMN;
            case Element.InTheWay _, Element.AtTheWheel _ -> CLEARANCE;
            case Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _ -> LINKAGE;
        };
    }
}
