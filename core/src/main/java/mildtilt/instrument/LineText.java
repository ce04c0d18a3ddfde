package mildtilt.instrument;

import java.util.Locale;
import java.util.Optional;

/** Numbers as the protocol writes them. */
final class LineText {

    private LineText() {}

    static String number(double v) {
        String s = String.format(Locale.ROOT, "%.4f", v);
        return s.replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    static Optional<Double> number(String text) {
        try {
            double v = Double.parseDouble(text);
            return Double.isFinite(v) && Math.abs(v) < 1e6 ? Optional.of(v) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
