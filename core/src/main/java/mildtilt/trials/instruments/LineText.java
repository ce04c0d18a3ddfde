package mildtilt.trials.instruments;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Numbers as the protocol writes them. */
final class LineText {

    private static final Pattern NUMBER =
            Pattern.compile("[+-]?(\\d{1,12}(\\.\\d{0,12})?|\\.\\d{1,12})([eE][+-]?\\d{1,2})?");

    private LineText() {}

    static String number(double v) {
        String s = String.format(Locale.ROOT, "%.4f", v).replaceAll("0+$", "").replaceAll("\\.$", "");
        return s.equals("-0") ? "0" : s;
    }

    static Optional<Double> number(String text) {
        // Not all that Java takes for a number: "5d" and "0x1p3" are a garbled line.
        return NUMBER.matcher(text).matches()
                ? Optional.of(Double.parseDouble(text)).filter(v -> Math.abs(v) < 1e6)
                : Optional.empty();
    }
}
