package mildtilt.app.workbench;

import java.util.Arrays;
import java.util.Optional;
import mildtilt.drawing.Elevation;

/** Which drawing fills the view. */
public enum ViewChoice {
    SIDE("Side", Elevation.SIDE),
    PLAN("Plan", Elevation.PLAN),
    FRONT("Front", Elevation.FRONT),
    SOLID("3-D"),
    ALL("All");

    private final String label;
    private final Optional<Elevation> elevation;

    ViewChoice(String label) {
        this.label = label;
        elevation = Optional.empty();
    }

    ViewChoice(String label, Elevation elevation) {
        this.label = label;
        this.elevation = Optional.of(elevation);
    }

    public String label() {
        return label;
    }

    /** Empty for the solid view and for all four together. */
    public Optional<Elevation> elevation() {
        return elevation;
    }

    public static ViewChoice of(Elevation elevation) {
        return Arrays.stream(values())
                .filter(v -> v.elevation.equals(Optional.of(elevation)))
                .findFirst()
                .orElseThrow();
    }

    /** What a stage shows until the user chooses. */
    public static ViewChoice usual(WorkStage stage) {
        return stage == WorkStage.LINKAGE ? PLAN : SIDE;
    }
}
