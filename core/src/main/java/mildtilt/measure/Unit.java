package mildtilt.measure;

/** What a figure is measured in, and how finely it is worth showing. */
public enum Unit {
    LENGTH,
    ANGLE,
    PERCENT,
    RATIO,
    TURNS;

    /** A value of this unit as text, with its unit mark. Lengths in mm, angles in degrees. */
    public String format(double value, LengthUnit lengths) {
        return switch (this) {
            case LENGTH -> LengthText.format(value, lengths);
            case ANGLE -> LengthText.decimal(value, Math.abs(value) < 1 && Math.abs(value) >= 0.005 ? 2 : 1) + "°";
            case PERCENT -> LengthText.decimal(value, Math.abs(value) < 10 ? 1 : 0) + " %";
            case RATIO -> LengthText.decimal(value, 1) + " : 1";
            case TURNS -> LengthText.decimal(value, 2) + " turns";
        };
    }
}
