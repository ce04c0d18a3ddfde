package mildtilt.job;

/** The points that make a double-wishbone corner. */
public enum CornerPoint {
    LOWER_INNER_FRONT("lower wishbone, front pivot"),
    LOWER_INNER_REAR("lower wishbone, rear pivot"),
    LOWER_BALL_JOINT("lower ball joint"),
    UPPER_INNER_FRONT("upper wishbone, front pivot"),
    UPPER_INNER_REAR("upper wishbone, rear pivot"),
    UPPER_BALL_JOINT("upper ball joint"),
    WHEEL_CENTRE("wheel centre"),
    TIE_ROD_POINT("tie-rod point on the steering arm");

    private final String label;

    CornerPoint(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
