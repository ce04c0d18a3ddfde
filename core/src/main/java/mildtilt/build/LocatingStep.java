package mildtilt.build;

import java.util.Locale;

/** A step of the work that puts something in its place, from which other things are then measured. */
public enum LocatingStep {
    BAR("the shuttle's bar"),
    GEAR("the gear"),
    PIVOTS("the pivot of idler, relay arm or bell crank"),
    WHEEL("the steering wheel"),
    MOUNTS("the column"),
    CARRIERS("the bearing carriers"),
    ARMS("the steering arms"),
    RODS("the rods"),
    HOSES("the hoses");

    private final String label;

    LocatingStep(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Of the step on the run sheet. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
