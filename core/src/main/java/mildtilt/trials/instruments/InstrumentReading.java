package mildtilt.trials.instruments;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One reading of an instrument.
 *
 * @param values in the kind's unit, as many as it has
 * @param spread ± as the instrument reports it, one standard deviation
 * @param held whether its button is pressed, so that it shows what it showed then
 */
public record InstrumentReading(InstrumentKind kind, List<Double> values, double spread, boolean held) {

    public InstrumentReading {
        values = List.copyOf(values);
    }

    /** As the protocol writes it: {@code value KIND UNIT SPREAD free|held FIGURE …}. */
    public String line() {
        StringBuilder s = new StringBuilder(
                "value " + kind.key() + " " + kind.unit() + " " + LineText.number(spread) + (held ? " held" : " free"));
        values.forEach(v -> s.append(' ').append(LineText.number(v)));
        return s.toString();
    }

    /** Empty where the line is no reading, or one that can't be. */
    public static Optional<InstrumentReading> parse(String line) {
        String[] w = line.strip().split("\\s+");
        if (w.length < 6 || !w[0].equals("value")) {
            return Optional.empty();
        }
        Optional<InstrumentKind> kind = InstrumentKind.of(w[1]);
        if (kind.isEmpty()
                || !w[2].equals(kind.get().unit())
                || !w[4].equals("free") && !w[4].equals("held")
                || w.length != 5 + kind.get().figures()) {
            return Optional.empty();
        }
        Optional<Double> spread = LineText.number(w[3]);
        List<Double> values = new ArrayList<>();
        for (int i = 5; i < w.length; i++) {
            LineText.number(w[i]).ifPresent(values::add);
        }
        return spread.filter(s -> s > 0 && values.size() == kind.get().figures())
                .map(s -> new InstrumentReading(kind.get(), values, s, w[4].equals("held")));
    }
}
