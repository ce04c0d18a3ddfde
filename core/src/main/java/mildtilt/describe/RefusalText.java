package mildtilt.describe;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** What is wrong with a value, as a sentence for the shop: where, what stands there, what can stand there. */
public final class RefusalText {

    private static final int LONGEST_SHOWN = 40;
    private static final int MOST_WORDS = 8;
    private static final double ALL_BUT_0 = 1e-6;
    private static final double HUGE = 1e12;

    private RefusalText() {}

    public static String outOfRange(JobPlace at, double value, Range r) {
        String unit = at.unit();
        return start(at) + " is " + shown(value) + unit
                + (r.tooNear(value)
                        ? "; it can't be nearer to 0 than " + shown(r.nearest()) + unit + "."
                        : "; it can be " + shown(r.least()) + " to " + shown(r.most()) + unit + ".");
    }

    public static String outOfRange(JobPlace at, double value, int least, int most) {
        return start(at) + " is " + shown(value) + at.unit() + "; it can be " + least + " to " + most + at.unit() + ".";
    }

    /** @param wanted such as "a number"; @param found what stands there, as {@link #quoted} or {@link #shown} */
    public static String wrongType(JobPlace at, String wanted, String found) {
        return start(at) + " should be " + wanted + " and is " + found + ".";
    }

    public static String missing(JobPlace at, String key) {
        return start(at) + ": \"" + cut(key) + "\" is missing.";
    }

    public static String unknown(JobPlace at, String key) {
        return start(at) + ": nothing is called \"" + cut(key) + "\" here. Is it misspelt?";
    }

    public static String noneOf(JobPlace at, String found, List<String> words) {
        return start(at) + " is " + found + "; it can be " + words(words) + ".";
    }

    public static String length(JobPlace at, int characters, int least, int most) {
        return start(at)
                + (characters > most
                        ? " has " + characters + " characters; up to " + most + " can be taken."
                        : characters == 0 ? " is empty." : " is too short.");
    }

    public static String entries(JobPlace at, int entries, int least, int most) {
        return start(at) + " has " + entries + " entries; "
                + (entries < least ? "it needs at least " + least + "." : "up to " + most + " can be taken.");
    }

    public static String notSoWritten(JobPlace at, String found) {
        return start(at) + " is " + found + ", which is not how it is written.";
    }

    private static String start(JobPlace at) {
        return capital(at.words());
    }

    /** A number as it is, without the point and the nought after it that a whole one may have. */
    public static String shown(double v) {
        return v != 0 && Math.abs(v) < ALL_BUT_0
                ? "all but 0"
                : cut(
                        Double.isFinite(v) && Math.abs(v) < HUGE
                                ? BigDecimal.valueOf(v).stripTrailingZeros().toPlainString()
                                : String.valueOf(v).replaceFirst("\\.0$", ""));
    }

    public static String quoted(String text) {
        return "\"" + cut(text) + "\"";
    }

    private static String words(List<String> words) {
        if (words.size() > MOST_WORDS) {
            return words.stream().limit(MOST_WORDS).collect(Collectors.joining(", ")) + " …";
        }
        int last = words.size() - 1;
        return last < 1 ? String.join("", words) : String.join(", ", words.subList(0, last)) + " or " + words.get(last);
    }

    public static String capital(String place) {
        return place.substring(0, 1).toUpperCase(Locale.ROOT) + place.substring(1);
    }

    /** No longer than can be shown, and nothing in it that does not print. */
    public static String cut(String text) {
        String one = text.replaceAll("\\p{Cntrl}", "·");
        return one.length() > LONGEST_SHOWN
                ? one.substring(
                                0,
                                one.offsetByCodePoints(0, Math.min(LONGEST_SHOWN, one.codePointCount(0, one.length()))))
                        + "…"
                : one;
    }
}
