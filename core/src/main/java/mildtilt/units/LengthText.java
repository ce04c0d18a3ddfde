package mildtilt.units;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Writes lengths for people and reads what they type: {@code 88.9}, {@code 88.9 mm}, {@code 8.9cm},
 * {@code 3.5"}, {@code 3 1/2"}, {@code 3-1/2 in}, {@code 5' 2 3/8"}. A bare number is in the unit shown.
 */
public final class LengthText {

    /** Fractions are shown to the nearest 1/32 inch, the finest mark on a common tape. */
    private static final int DENOMINATOR = 32;
    /**
     * Shorter than this a length is a bore, a thread or a wall, which no tape measures: it is shown in decimals, mm.
     */
    private static final double FROM_TAPE = 50;

    private static final String NUMBER = "(?:\\d+(?:\\.\\d*)?|\\.\\d+)";
    private static final String QUANTITY = "(?:(\\d+)[ -]+)?(\\d+)/(\\d+)|(" + NUMBER + ")";
    private static final Pattern FEET = Pattern.compile("(" + NUMBER + ")\\s*(?:'|ft|feet|foot)\\s*-?\\s*(.*)");
    private static final Pattern REST = Pattern.compile("(?:" + QUANTITY + ")\\s*(mm|cm|m|\"|''|in|inch|inches)?");

    private LengthText() {}

    /** A length in mm as text with its unit, e.g. {@code 88.9 mm}, {@code 3.500"}, {@code 3 1/2"}. */
    public static String format(double mm, LengthUnit unit) {
        return switch (unit) {
            case MM -> decimal(mm, 1) + " mm";
            case INCH -> decimal(mm / 25.4, 3) + "\"";
            case INCH_FRACTION -> fraction(mm);
        };
    }

    /** As {@link #format} but fine enough that nothing typed to 0.001 mm is lost on the way back. */
    public static String editable(double mm, LengthUnit unit) {
        return switch (unit) {
            case MM -> trimmed(mm, 3) + " mm";
            case INCH -> trimmed(mm / 25.4, 5) + "\"";
            case INCH_FRACTION ->
                Math.abs(mm / 25.4 * DENOMINATOR - Math.rint(mm / 25.4 * DENOMINATOR)) < 1e-6
                        ? fraction(mm)
                        : trimmed(mm / 25.4, 5) + "\"";
        };
    }

    /**
     * What a field shows of a length, as a person uses it: with fractions chosen, to the nearest one that is marked on
     * a tape where it is long enough to be
     * measured with one; what is shorter, a bore or a wall, to a ten-thousandth of an inch. The field keeps the exact
     * value underneath as long as nothing else is typed.
     */
    public static String inField(double mm, LengthUnit unit) {
        String exact = editable(mm, unit);
        return switch (unit) {
            case MM -> exact;
            case INCH -> trimmed(mm / 25.4, 4) + "\"";
            case INCH_FRACTION ->
                Math.abs(mm) >= FROM_TAPE || exact.contains("/") ? fraction(mm) : trimmed(mm / 25.4, 4) + "\"";
        };
    }

    /** A fixed number of decimals, with a true minus sign and never "-0". */
    public static String decimal(double value, int decimals) {
        String s = String.format(Locale.ROOT, "%." + decimals + "f", value);
        if (s.startsWith("-")) {
            return s.matches("-[0.]+") ? s.substring(1) : "−" + s.substring(1);
        }
        return s;
    }

    /** At most so many decimals, without noughts at the end. */
    public static String trimmed(double value, int decimals) {
        String s = decimal(value, decimals);
        return s.contains(".") ? s.replaceAll("0+$", "").replaceAll("\\.$", "") : s;
    }

    private static String fraction(double mm) {
        long parts = Math.round(Math.abs(mm) / 25.4 * DENOMINATOR);
        String sign = mm < 0 && parts > 0 ? "−" : "";
        long feet = parts / (12L * DENOMINATOR);
        long left = parts % (12L * DENOMINATOR);
        // Feet only from 5 ft on: shafts and arms are spoken of in inches.
        if (feet < 5) {
            feet = 0;
            left = parts;
        }
        long inches = left / DENOMINATOR;
        long over = left % DENOMINATOR;
        StringBuilder text = new StringBuilder(sign);
        if (feet > 0) {
            text.append(feet).append("' ");
        }
        if (over == 0) {
            return text.append(inches).append('"').toString();
        }
        long g = gcd(over, DENOMINATOR);
        if (inches > 0) {
            text.append(inches).append(' ');
        }
        return text.append(over / g)
                .append('/')
                .append(DENOMINATOR / g)
                .append('"')
                .toString();
    }

    private static long gcd(long a, long b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /**
     * Reads a length.
     *
     * @param shown the unit of a bare number
     * @return mm
     * @throws UnreadableMeasureException with a sentence for the user
     */
    public static double parse(String text, LengthUnit shown) {
        String s = text.strip()
                .toLowerCase(Locale.ROOT)
                .replace('−', '-')
                .replace('’', '\'')
                .replace('′', '\'')
                .replace('″', '"')
                .replace('”', '"');
        refuseComma(text, s);
        boolean negative = s.startsWith("-");
        if (negative || s.startsWith("+")) {
            s = s.substring(1).strip();
        }
        double mm = unsigned(s, text, shown);
        return negative ? -mm : mm;
    }

    private static double unsigned(String s, String original, LengthUnit shown) {
        Matcher feet = FEET.matcher(s);
        // Two single quotes are an inch mark, not feet.
        if (feet.matches() && !feet.group(2).startsWith("'")) {
            double mm = Double.parseDouble(feet.group(1)) * 304.8;
            String rest = feet.group(2).strip();
            return rest.isEmpty() ? mm : mm + rest(rest, original, LengthUnit.INCH);
        }
        return rest(s, original, shown);
    }

    private static double rest(String s, String original, LengthUnit bare) {
        Matcher m = REST.matcher(s);
        if (!m.matches()) {
            throw unreadable(original);
        }
        boolean fraction = m.group(2) != null;
        double number;
        if (fraction) {
            double denominator = Double.parseDouble(m.group(3));
            if (denominator == 0) {
                throw unreadable(original);
            }
            number = (m.group(1) == null ? 0 : Double.parseDouble(m.group(1)))
                    + Double.parseDouble(m.group(2)) / denominator;
        } else {
            number = Double.parseDouble(m.group(4));
        }
        String unit = m.group(5);
        if (unit == null) {
            // A fraction without a unit can only have come off an inch tape.
            return number * (fraction ? 25.4 : bare.mm());
        }
        return number
                * switch (unit) {
                    case "mm" -> 1;
                    case "cm" -> 10;
                    case "m" -> 1000;
                    default -> 25.4;
                };
    }

    /** Reads an angle in degrees, with or without a degree mark. */
    public static double parseDegrees(String text) {
        String s = text.strip().replace('−', '-').replaceAll("\\s*(°|deg)$", "");
        return plainNumber(text, s);
    }

    /** Reads a plain number. */
    public static double parseNumber(String text) {
        return plainNumber(text, text.strip().replace('−', '-'));
    }

    private static double plainNumber(String original, String s) {
        refuseComma(original, s);
        if (!s.matches("[+-]?" + NUMBER)) {
            throw new UnreadableMeasureException("\"" + original.strip() + "\" is not a number. Write it like 12.5.");
        }
        return Double.parseDouble(s);
    }

    /** A comma means thousands to one reader and decimals to the next: a silent factor of a thousand. */
    private static void refuseComma(String original, String s) {
        if (s.indexOf(',') >= 0) {
            throw new UnreadableMeasureException(
                    "\"" + original.strip() + "\" has a comma. Write decimals with a point, and no thousands mark.");
        }
    }

    private static UnreadableMeasureException unreadable(String original) {
        return new UnreadableMeasureException(
                "\"" + original.strip() + "\" is not a length. Write it like 88.9 mm, 3 1/2\" or 5' 2 3/8\".");
    }
}
