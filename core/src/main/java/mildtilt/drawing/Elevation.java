package mildtilt.drawing;

import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** A way of looking square on at the vehicle. */
public enum Elevation {
    SIDE("Side", "seen from the left, front to the left"),
    PLAN("Plan", "seen from above, front at the top"),
    FRONT("Front", "seen from ahead, the vehicle's left on the right");

    private final String label;
    private final String sense;

    Elevation(String label, String sense) {
        this.label = label;
        this.sense = sense;
    }

    public String label() {
        return label;
    }

    public String sense() {
        return sense;
    }

    /** Rightward on the sheet, mm. */
    public double across(Point p) {
        return switch (this) {
            case SIDE -> -p.x();
            case PLAN -> -p.y();
            case FRONT -> p.y();
        };
    }

    /** Upward on the sheet, mm. */
    public double up(Point p) {
        return switch (this) {
            case SIDE, FRONT -> p.z();
            case PLAN -> p.x();
        };
    }

    /** Toward the viewer, mm: of two things that cover each other on the sheet, the one with more is seen. */
    public double near(Point p) {
        return switch (this) {
            case SIDE -> p.y();
            case PLAN -> p.z();
            case FRONT -> p.x();
        };
    }

    /** Unit vector to the right on the sheet. */
    public Vector right() {
        return inSpace(1, 0);
    }

    /** Unit vector upward on the sheet. */
    public Vector upward() {
        return inSpace(0, 1);
    }

    /** The move in space for a move on the sheet; nothing moves toward or away from the viewer. */
    public Vector inSpace(double across, double up) {
        return switch (this) {
            case SIDE -> new Vector(-across, 0, up);
            case PLAN -> new Vector(up, -across, 0);
            case FRONT -> new Vector(0, across, up);
        };
    }
}
