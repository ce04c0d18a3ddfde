package mildtilt.start;

/** What the builder has already: it is measured, not bought. */
public enum PartAtHand {
    COLUMN("Steering column"),
    JOINTS("Column joints"),
    GEAR("Steering gear"),
    RODS("Tie rods and links"),
    AXLE("Axle, knuckles and wheels");

    private final String label;

    PartAtHand(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
