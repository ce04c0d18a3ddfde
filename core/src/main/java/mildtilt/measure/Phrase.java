package mildtilt.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * A sentence with measures in it, kept apart so that it can be shown in any unit. {@code {0}} stands for
 * the first measure, and so on.
 */
public record Phrase(String pattern, List<Quantity> measures) {

    public static Phrase of(String pattern, Quantity... measures) {
        return new Phrase(pattern, List.of(measures));
    }

    /** This sentence with another after it. */
    public Phrase then(Phrase next) {
        String shifted = next.pattern;
        for (int i = next.measures.size() - 1; i >= 0; i--) {
            shifted = shifted.replace("{" + i + "}", "{" + (i + measures.size()) + "}");
        }
        List<Quantity> all = new ArrayList<>(measures);
        all.addAll(next.measures);
        return new Phrase(pattern + shifted, List.copyOf(all));
    }

    public Phrase then(String text) {
        return new Phrase(pattern + text, measures);
    }

    public String text(LengthUnit lengths) {
        String s = pattern;
        for (int i = 0; i < measures.size(); i++) {
            s = s.replace("{" + i + "}", measures.get(i).text(lengths));
        }
        return s;
    }
}
