package mildtilt.units;

/** How lengths are shown. What is typed may carry any unit whatever is shown. */
public enum LengthUnit {
    MM("mm", 1),
    INCH("inches", 25.4),
    INCH_FRACTION("inch fractions", 25.4);

    private final String label;
    private final double mm;

    LengthUnit(String label, double mm) {
        this.label = label;
        this.mm = mm;
    }

    public String label() {
        return label;
    }

    /** Millimetres in one of this unit. */
    public double mm() {
        return mm;
    }
}
