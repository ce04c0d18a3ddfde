package mildtilt.template;

import java.util.List;
import mildtilt.units.Phrase;

/** One thing drawn on a pattern. Lengths mm. */
public sealed interface PatternMark {

    /** What a line is for; a cutting table follows the first and no other. */
    enum Layer {
        CUT,
        MARK
    }

    /** Straight from spot to spot. */
    record Path(Layer layer, List<PatternPoint> spots, boolean closed) implements PatternMark {
        public Path {
            spots = List.copyOf(spots);
        }
    }

    record Circle(Layer layer, PatternPoint centre, double radius) implements PatternMark {}

    /**
     * Words, on a layer of their own.
     *
     * @param at the left end of the foot of the letters
     * @param height of the letters, mm
     * @param upward whether it runs up the sheet instead of along it
     */
    record Words(PatternPoint at, double height, boolean upward, Phrase text) implements PatternMark {}
}
