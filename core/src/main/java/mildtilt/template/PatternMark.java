package mildtilt.template;

import java.util.List;
import mildtilt.units.Phrase;

/** One thing drawn on a pattern. Lengths mm. */
public sealed interface PatternMark {

    /** What a line is for; a cutting table follows the first and no other. */
    enum Layer {
        CUT,
        MARK,
        /** The edge of a part that is not cut flat. */
        OUTLINE,
        /** An edge that lies behind others. */
        HIDDEN,
        /** A middle line. */
        CENTRE,
        /** Sizes and what points at them. */
        SIZE
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
     * @param at the foot of the letters, at the end that the anchor says
     * @param height of the letters, mm
     * @param upward whether it runs up the sheet instead of along it
     */
    record Words(PatternPoint at, double height, boolean upward, Anchor anchor, Phrase text) implements PatternMark {

        /** From their left end. */
        public Words(PatternPoint at, double height, boolean upward, Phrase text) {
            this(at, height, upward, Anchor.START, text);
        }
    }

    /** What of the words stands at their place. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }

    /** The same, so much to the right and up. */
    default PatternMark moved(double right, double up) {
        return switch (this) {
            case Path p ->
                new Path(
                        p.layer(),
                        p.spots().stream().map(s -> s.plus(right, up)).toList(),
                        p.closed());
            case Circle c -> new Circle(c.layer(), c.centre().plus(right, up), c.radius());
            case Words w -> new Words(w.at().plus(right, up), w.height(), w.upward(), w.anchor(), w.text());
        };
    }

    /** A line from spot to spot. */
    static PatternMark line(Layer layer, double x1, double y1, double x2, double y2) {
        return new Path(layer, List.of(new PatternPoint(x1, y1), new PatternPoint(x2, y2)), false);
    }
}
