package mildtilt.linkage;

import mildtilt.linkage.rods.Rod;

/**
 * Every joint at the end of a rod, with what it turns on.
 *
 * @see AxleSolver#atRodEnds
 */
public enum RodEnd {
    LEFT_OUTER(
            Rod.LEFT_TIE_ROD, "outer", "left steering arm", "tie_rod_left_outer_end", "tie_rod_to_steering_arm_left"),
    LEFT_INNER(
            Rod.LEFT_TIE_ROD, "inner", "arm at its inner end", "tie_rod_left_inner_end", "tie_rod_to_inner_arm_left"),
    RIGHT_OUTER(
            Rod.RIGHT_TIE_ROD,
            "outer",
            "right steering arm",
            "tie_rod_right_outer_end",
            "tie_rod_to_steering_arm_right"),
    RIGHT_INNER(
            Rod.RIGHT_TIE_ROD,
            "inner",
            "arm at its inner end",
            "tie_rod_right_inner_end",
            "tie_rod_to_inner_arm_right"),
    TIE_LEFT(Rod.TIE_ROD, "left", "left steering arm", "tie_rod_left_end", "tie_rod_to_steering_arm_left"),
    TIE_RIGHT(Rod.TIE_ROD, "right", "right steering arm", "tie_rod_right_end", "tie_rod_to_steering_arm_right"),
    LINK_PITMAN(Rod.CENTRE_LINK, "pitman", "pitman arm", "centre_link_pitman_end", "centre_link_to_pitman_arm"),
    LINK_IDLER(Rod.CENTRE_LINK, "idler", "idler arm", "centre_link_idler_end", "centre_link_to_idler_arm"),
    DRAG_LEFT(
            Rod.DRAG_LINK, "knuckle", "left drag-link arm", "drag_link_knuckle_end", "drag_link_to_steering_arm_left"),
    DRAG_RIGHT(
            Rod.DRAG_LINK,
            "knuckle",
            "right drag-link arm",
            "drag_link_knuckle_end",
            "drag_link_to_steering_arm_right"),
    DRAG_ON_TIE_ROD(Rod.DRAG_LINK, "tie-rod", "tie rod", "drag_link_tie_rod_end", "drag_link_to_tie_rod"),
    DRAG_PITMAN(Rod.DRAG_LINK, "pitman", "gear's arm", "drag_link_pitman_end", "drag_link_to_pitman_arm"),
    DRAG_RELAY(Rod.DRAG_LINK, "relay", "relay arm", "drag_link_relay_end", "drag_link_to_relay_arm"),
    INTERMEDIATE_PITMAN(
            Rod.INTERMEDIATE_LINK,
            "pitman",
            "gear's arm",
            "intermediate_link_pitman_end",
            "intermediate_link_to_pitman_arm"),
    INTERMEDIATE_RELAY(
            Rod.INTERMEDIATE_LINK,
            "relay",
            "relay arm",
            "intermediate_link_relay_end",
            "intermediate_link_to_relay_arm"),
    ROD_SHAFT_ARM(Rod.DRAG_ROD, "gear-arm", "gear's arm", "drag_rod_shaft_arm_end", "drag_rod_to_shaft_arm"),
    ROD_CRANK(Rod.DRAG_ROD, "bell-crank", "bell crank", "drag_rod_bell_crank_end", "drag_rod_to_bell_crank_arm"),
    SHORT_PITMAN(Rod.SHORT_LINK, "pitman", "gear's arm", "pitman_link_pitman_end", "pitman_link_to_pitman_arm"),
    SHORT_SHUTTLE(Rod.SHORT_LINK, "shuttle", "shuttle", "pitman_link_shuttle_end", "pitman_link_to_shuttle");

    private final Rod rod;
    private final String label;
    private final String arm;
    private final String tiltKey;
    private final String armKey;

    RodEnd(Rod rod, String label, String arm, String tiltKey, String armKey) {
        this.rod = rod;
        this.label = label;
        this.arm = arm;
        this.tiltKey = tiltKey;
        this.armKey = armKey;
    }

    public Rod rod() {
        return rod;
    }

    /** Whether this rod pushes a part that slides, rather than an arm, at this end. */
    public boolean onSlide(SteeredAxle axle) {
        return switch (this) {
            case SHORT_SHUTTLE -> true;
            case LEFT_INNER, RIGHT_INNER -> axle.linkage().innersSlide();
            case LEFT_OUTER,
                    RIGHT_OUTER,
                    TIE_LEFT,
                    TIE_RIGHT,
                    LINK_PITMAN,
                    LINK_IDLER,
                    DRAG_LEFT,
                    DRAG_RIGHT,
                    DRAG_ON_TIE_ROD,
                    DRAG_PITMAN,
                    DRAG_RELAY,
                    INTERMEDIATE_PITMAN,
                    INTERMEDIATE_RELAY,
                    ROD_SHAFT_ARM,
                    ROD_CRANK,
                    SHORT_PITMAN -> false;
        };
    }

    public String label() {
        return label;
    }

    /** Whether it is a tie rod's end at a steering arm. */
    public boolean atSteeringArm() {
        return switch (this) {
            case LEFT_OUTER, RIGHT_OUTER, TIE_LEFT, TIE_RIGHT -> true;
            case LEFT_INNER,
                    RIGHT_INNER,
                    LINK_PITMAN,
                    LINK_IDLER,
                    DRAG_LEFT,
                    DRAG_RIGHT,
                    DRAG_ON_TIE_ROD,
                    DRAG_PITMAN,
                    DRAG_RELAY,
                    INTERMEDIATE_PITMAN,
                    INTERMEDIATE_RELAY,
                    ROD_SHAFT_ARM,
                    ROD_CRANK,
                    SHORT_PITMAN,
                    SHORT_SHUTTLE -> false;
        };
    }

    /** What the rod pushes or is pushed by there. */
    public String arm() {
        return arm;
    }

    /** Name of its tilt in the analysis file, without the unit. */
    public String tiltKey() {
        return tiltKey;
    }

    /** Name of its angle to the arm in the analysis file. */
    public String armKey() {
        return armKey;
    }
}
