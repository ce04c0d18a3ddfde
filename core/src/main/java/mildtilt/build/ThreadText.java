package mildtilt.build;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mildtilt.build.ScrewThread.Hand;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.UnreadableMeasureException;
import org.jspecify.annotations.Nullable;

/**
 * Threads as they are stamped and ordered, each in its own standard: M16 × 1.5, 5/8-18 UNF, with LH where left-hand.
 */
public final class ThreadText {

    private static final double INCH = 25.4;
    private static final Pattern METRIC = Pattern.compile(
            "m\\s*(\\d+(?:[.,]\\d+)?)(?:\\s*[x×*]\\s*(\\d+(?:[.,]\\d+)?))?\\s*(lh|rh|left|right)?(?:-hand)?");
    private static final Pattern UNIFIED = Pattern.compile(
            "(\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d+(?:[.,]\\d+)?)\\s*(?:\"|in)?\\s*(?:[-–x×*]\\s*(\\d+))?\\s*(unf|unc|unef|uns|un)?\\s*(lh|rh|left|right)?(?:-hand)?");
    private static final String HOW =
            "Write it like M16 × 1.5 or 5/8-18 UNF, with LH behind it for a left-hand thread.";

    /** Pitch of the coarse metric series by diameter, mm (ISO 261). */
    private static final Map<Double, Double> COARSE = Map.ofEntries(
            Map.entry(4.0, 0.7),
            Map.entry(5.0, 0.8),
            Map.entry(6.0, 1.0),
            Map.entry(8.0, 1.25),
            Map.entry(10.0, 1.5),
            Map.entry(12.0, 1.75),
            Map.entry(14.0, 2.0),
            Map.entry(16.0, 2.0),
            Map.entry(18.0, 2.5),
            Map.entry(20.0, 2.5),
            Map.entry(22.0, 2.5),
            Map.entry(24.0, 3.0),
            Map.entry(27.0, 3.0),
            Map.entry(30.0, 3.5));

    /** Threads to the inch of the unified series by sixteenths of an inch (ASME B1.1). */
    private static final Map<Integer, Integer> UNC = new TreeMap<>(Map.ofEntries(
            Map.entry(4, 20),
            Map.entry(5, 18),
            Map.entry(6, 16),
            Map.entry(7, 14),
            Map.entry(8, 13),
            Map.entry(9, 12),
            Map.entry(10, 11),
            Map.entry(12, 10),
            Map.entry(14, 9),
            Map.entry(16, 8),
            Map.entry(18, 7),
            Map.entry(20, 7),
            Map.entry(24, 6)));

    private static final Map<Integer, Integer> UNF = new TreeMap<>(Map.ofEntries(
            Map.entry(4, 28),
            Map.entry(5, 24),
            Map.entry(6, 24),
            Map.entry(7, 20),
            Map.entry(8, 20),
            Map.entry(9, 18),
            Map.entry(10, 18),
            Map.entry(12, 16),
            Map.entry(14, 14),
            Map.entry(16, 12),
            Map.entry(18, 12),
            Map.entry(20, 12),
            Map.entry(24, 12)));

    private ThreadText() {}

    /** As the bench calls it, without its hand. */
    static String of(ScrewThread t) {
        if (!t.unified()) {
            return "M" + LengthText.trimmed(t.major(), 2) + " × " + LengthText.trimmed(t.pitch(), 2);
        }
        int perInch = (int) Math.round(INCH / t.pitch());
        return inches(t.major()) + "-" + perInch + " " + series(t.major(), perInch);
    }

    private static String series(double major, int perInch) {
        Optional<Integer> sixteenths = sixteenths(major);
        return sixteenths
                .filter(s -> Integer.valueOf(perInch).equals(UNF.get(s)))
                .map(_ -> "UNF")
                .or(() -> sixteenths
                        .filter(s -> Integer.valueOf(perInch).equals(UNC.get(s)))
                        .map(_ -> "UNC"))
                .orElse("UN");
    }

    private static Optional<Integer> sixteenths(double major) {
        double n = major / INCH * 16;
        return Math.abs(n - Math.rint(n)) < 0.03 ? Optional.of((int) Math.rint(n)) : Optional.empty();
    }

    private static String inches(double major) {
        for (int parts = 1; parts <= 64; parts *= 2) {
            double n = major / INCH * parts;
            if (Math.abs(n - Math.rint(n)) < 0.002 * parts) {
                long whole = Math.round(n) / parts;
                long rest = Math.round(n) % parts;
                return (whole > 0 ? whole + (rest > 0 ? " " : "") : "") + (rest > 0 ? rest + "/" + parts : "");
            }
        }
        return LengthText.trimmed(major / INCH, 3);
    }

    /**
     * A thread as it is written on the part.
     *
     * @param usual hand where none is said
     * @throws UnreadableMeasureException if it is no thread's name, or names a series that has no such thread
     */
    public static ScrewThread parse(String text, Hand usual) {
        String t = text.strip().toLowerCase(Locale.ROOT);
        Matcher metric = METRIC.matcher(t);
        Matcher unified = UNIFIED.matcher(t);
        try {
            if (metric.matches()) {
                double major = number(metric.group(1));
                double pitch = metric.group(2) != null
                        ? number(metric.group(2))
                        : Optional.ofNullable(COARSE.get(major))
                                .orElseThrow(() -> refused("M" + LengthText.trimmed(major, 2)
                                        + " has no standard coarse pitch: type the pitch as well."));
                return new ScrewThread(major, pitch, hand(metric.group(3), usual));
            }
            if (unified.matches() && (unified.group(2) != null || unified.group(3) != null)) {
                double major = LengthText.parse(unified.group(1) + "\"", LengthUnit.INCH);
                return new ScrewThread(
                        major,
                        INCH / perInch(major, unified.group(2), unified.group(3), text),
                        hand(unified.group(4), usual));
            }
        } catch (ImpossibleGeometryException e) {
            throw refused("\"" + text.strip() + "\" can't be. " + e.getMessage());
        }
        throw refused("\"" + text.strip() + "\" is not a thread. " + HOW);
    }

    private static int perInch(double major, @Nullable String given, @Nullable String series, String text) {
        Optional<Integer> ofSeries = series == null
                ? Optional.empty()
                : sixteenths(major)
                        .map(s -> series.equals("unf") ? UNF.get(s) : series.equals("unc") ? UNC.get(s) : null);
        if (given == null) {
            return ofSeries.orElseThrow(
                    () -> refused("How many threads to the inch has \"" + text.strip() + "\"? " + HOW));
        }
        int n = Integer.parseInt(given);
        if (ofSeries.filter(x -> x != n).isPresent()) {
            throw refused(inches(major) + " " + (series == null ? "" : series.toUpperCase(Locale.ROOT)) + " has "
                    + ofSeries.get() + " threads to the inch, not " + n + ".");
        }
        return n;
    }

    private static Hand hand(@Nullable String word, Hand usual) {
        return word == null ? usual : word.startsWith("l") ? Hand.LEFT : Hand.RIGHT;
    }

    private static double number(String digits) {
        return Double.parseDouble(digits.replace(',', '.'));
    }

    private static UnreadableMeasureException refused(String why) {
        return new UnreadableMeasureException(why);
    }
}
