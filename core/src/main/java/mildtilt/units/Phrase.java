package mildtilt.units;

import java.util.ArrayList;
import java.util.List;

/**
 * A sentence with measures in it, kept apart so that it can be shown in any unit. {@code {0}} stands for
 * the first measure, and so on. Whatever a user has named goes into a pattern through {@link #name}: a part called
 * "Frame {1}" would else show another measure in its place.
 */
public record Phrase(String pattern, List<Quantity> measures) {

    /**
     * Stands for an opening brace of a user's own text until the sentence is shown; no text that can be typed holds it.
     */
    private static final char BRACE = '\u0001';

    /** A user's own text as it may stand in a pattern. */
    public static String name(String text) {
        return text.replace('{', BRACE);
    }

    /** A sentence without measures, whatever braces it holds. */
    public static Phrase plain(String text) {
        return new Phrase(name(text), List.of());
    }

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
        return s.replace(BRACE, '{');
    }
}
