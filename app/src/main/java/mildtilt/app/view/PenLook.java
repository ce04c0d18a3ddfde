package mildtilt.app.view;

import mildtilt.drawing.Pen;

/** How each pen looks on the screen. */
final class PenLook {

    private PenLook() {}

    /** Whether it stays in the background whatever is worked on. */
    static boolean quiet(Pen pen) {
        return switch (pen) {
            case GROUND,
                    CENTRE_LINE,
                    TYRE,
                    WISHBONE,
                    STEER_AXIS,
                    GEAR_BOX,
                    STRUT,
                    SPINDLE,
                    BEAM,
                    TRACK_BAR,
                    TUBE,
                    SWEPT,
                    DRIVER,
                    LOCK_ARC,
                    ENVELOPE,
                    TURN_AXIS -> true;
            case STEERING_WHEEL,
                    SHAFT,
                    JOINT,
                    FORK_PIN,
                    BEARING,
                    RACK,
                    TIE_ROD,
                    STEERING_ARM,
                    GEAR_ARM,
                    DRIVEN_ROD,
                    GUIDE,
                    SHUTTLE,
                    OBSTACLE,
                    HOT,
                    GHOST,
                    GAP -> false;
        };
    }

    /** In the large pane, pixels. */
    static double width(Pen pen) {
        return switch (pen) {
            case GROUND, CENTRE_LINE, STEER_AXIS, SWEPT, LOCK_ARC, ENVELOPE, TURN_AXIS -> 1;
            case TYRE, RACK, GEAR_BOX, SHUTTLE, GUIDE, TUBE, BEARING, OBSTACLE, HOT, DRIVER -> 1.5;
            case WISHBONE, STEERING_WHEEL, FORK_PIN, JOINT, STRUT, SPINDLE, TRACK_BAR, GAP -> 2;
            case SHAFT, TIE_ROD, STEERING_ARM, GEAR_ARM, DRIVEN_ROD, GHOST -> 4;
            case BEAM -> 7;
        };
    }
}
