package mildtilt.units;

import java.util.Locale;

/** What a figure is measured in, and how finely it is worth showing. */
public enum Unit {
    LENGTH,
    /** mm, to a hundredth; thousandths of an inch and finer: bores, fits and drills. */
    FINE_LENGTH,
    /** mm or inches without their mark, as sizes stand on a drawing: its title block says which. */
    ON_DRAWING,
    /** The same, to a thousandth of a mm: limits of a size. */
    LIMIT,
    /** mm, shown in metres to a hundredth, or in feet and whole inches: turning circles. */
    WIDE_LENGTH,
    ANGLE,
    /** Of a photograph, to a tenth. */
    PIXEL,
    PERCENT,
    RATIO,
    TURNS,
    /** N; in pounds-force where lengths are shown in inches. */
    FORCE,
    /** N for a degree; in pounds-force where lengths are shown in inches. */
    FORCE_PER_DEGREE,
    /** MPa; in psi where lengths are shown in inches. */
    STRESS,
    /** N·mm; in N·m, or in pound-feet where lengths are shown in inches. */
    TORQUE,
    TIMES,
    /** A coefficient, to a hundredth. */
    FRICTION,
    /** Times a second. */
    HERTZ,
    /** kg; in pounds where lengths are shown in inches. */
    MASS,
    /** °C; in °F as well where lengths are shown in inches. */
    TEMPERATURE;

    public static final double NEWTON_PER_POUND = 4.4482216152605;
    private static final double KG_PER_POUND = 0.45359237;
    private static final double NMM_PER_POUND_FOOT = NEWTON_PER_POUND * 304.8;
    private static final double MPA_PER_PSI = NEWTON_PER_POUND / (25.4 * 25.4);

    /** A value of this unit as text, with its unit mark. Lengths in mm, angles in degrees. */
    public String format(double value, LengthUnit lengths) {
        return switch (this) {
            case FINE_LENGTH ->
                lengths == LengthUnit.MM
                        ? LengthText.trimmed(value, 2) + " mm"
                        : LengthText.trimmed(value / LengthUnit.INCH.mm(), 4) + "\"";
            case LENGTH -> LengthText.format(value, lengths);
            case ON_DRAWING -> LengthText.trimmed(value / lengths.mm(), lengths == LengthUnit.MM ? 2 : 4);
            case LIMIT -> LengthText.trimmed(value / lengths.mm(), lengths == LengthUnit.MM ? 3 : 4);
            case WIDE_LENGTH -> lengths == LengthUnit.MM ? LengthText.decimal(value / 1000, 2) + " m" : feet(value);
            case ANGLE -> LengthText.decimal(value, Math.abs(value) < 1 && Math.abs(value) >= 0.005 ? 2 : 1) + "°";
            case PIXEL -> LengthText.decimal(value, 1) + " px";
            case PERCENT -> LengthText.decimal(value, Math.abs(value) < 20 ? 1 : 0) + " %";
            case RATIO -> LengthText.decimal(value, 1) + " : 1";
            case TURNS -> LengthText.decimal(value, 2) + " turns";
            case FORCE ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value, 0) + " N"
                        : LengthText.decimal(value / NEWTON_PER_POUND, 0) + " lbf";
            case FORCE_PER_DEGREE ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value, 2) + " N/°"
                        : LengthText.decimal(value / NEWTON_PER_POUND, 3) + " lbf/°";
            case STRESS ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value, 0) + " MPa"
                        : LengthText.decimal(value / MPA_PER_PSI, 0) + " psi";
            case TORQUE ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value / 1000, 0) + " N·m"
                        : LengthText.decimal(value / NMM_PER_POUND_FOOT, 0) + " lbf·ft";
            case TIMES -> LengthText.decimal(value, value < 2 ? 2 : value < 10 ? 1 : 0) + " ×";
            case FRICTION -> LengthText.decimal(value, 2);
            case HERTZ -> LengthText.decimal(value, 0) + " Hz";
            case MASS ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value, 2) + " kg"
                        : LengthText.decimal(value / KG_PER_POUND, 2) + " lb";
            case TEMPERATURE ->
                lengths == LengthUnit.MM
                        ? LengthText.decimal(value, 0) + " °C"
                        : LengthText.decimal(value * 1.8 + 32, 0) + " °F (" + LengthText.decimal(value, 0) + " °C)";
        };
    }

    private static String feet(double mm) {
        long inches = Math.round(Math.abs(mm) / LengthUnit.INCH.mm());
        return (mm < 0 ? "−" : "") + inches / 12 + "' " + inches % 12 + "\"";
    }

    /** A value as text to be typed over: as fine as it is kept, with its unit mark where that is plain. */
    public String editable(double value, LengthUnit lengths) {
        return switch (this) {
            case LENGTH, FINE_LENGTH, WIDE_LENGTH, ON_DRAWING, LIMIT -> LengthText.editable(value, lengths);
            case ANGLE -> LengthText.trimmed(value, 2) + "°";
            case PERCENT -> LengthText.trimmed(value, 2) + " %";
            case FORCE ->
                lengths == LengthUnit.MM
                        ? LengthText.trimmed(value, 0) + " N"
                        : LengthText.trimmed(value / NEWTON_PER_POUND, 1) + " lbf";
            case TIMES -> LengthText.trimmed(value, 2) + " ×";
            case HERTZ -> LengthText.trimmed(value, 1) + " Hz";
            case PIXEL, RATIO, TURNS, FRICTION, FORCE_PER_DEGREE, STRESS, TORQUE, MASS, TEMPERATURE ->
                LengthText.trimmed(value, 2);
        };
    }

    /** What was typed; the unit mark may be there or not. @throws UnreadableMeasureException saying why not */
    public double parse(String typed, LengthUnit lengths) {
        return switch (this) {
            case LENGTH, FINE_LENGTH, WIDE_LENGTH, ON_DRAWING, LIMIT -> LengthText.parse(typed, lengths);
            case ANGLE -> LengthText.parseDegrees(typed);
            case FORCE -> {
                String t = typed.strip().toLowerCase(Locale.ROOT);
                boolean pounds = t.endsWith("lbf") || lengths != LengthUnit.MM && !t.endsWith("n");
                yield LengthText.parseNumber(t.replaceAll("\\s*(lbf|n)$", "")) * (pounds ? NEWTON_PER_POUND : 1);
            }
            case PERCENT,
                    PIXEL,
                    TIMES,
                    FRICTION,
                    HERTZ,
                    RATIO,
                    TURNS,
                    FORCE_PER_DEGREE,
                    STRESS,
                    TORQUE,
                    MASS,
                    TEMPERATURE -> LengthText.parseNumber(typed.replaceAll("(?i)\\s*(%|×|x|hz|px|times)\\s*$", ""));
        };
    }
}
