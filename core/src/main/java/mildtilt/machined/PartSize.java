package mildtilt.machined;

import mildtilt.build.Piece.TurnedFit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * One size of a part.
 *
 * @param name what it is of, in words
 * @param mark before the number: {@code Ø} or nothing
 * @param nominal mm
 * @param above how far above that it may be, mm
 * @param below how far below, mm
 * @param fit the name of its tolerance, such as {@code h7}; empty for a general one
 */
public record PartSize(String name, String mark, double nominal, double above, double below, String fit) {

    private static final String DIAMETER = "Ø ";

    /** A length that no fit hangs on. */
    public static PartSize length(String name, double mm) {
        return new PartSize(name, "", mm, Tolerances.general(mm), Tolerances.general(mm), "");
    }

    /** A length that must not be longer, or not be shorter. */
    public static PartSize within(String name, double mm, double above, double below) {
        return new PartSize(name, "", mm, above, below, "");
    }

    /** A diameter that no fit hangs on. */
    public static PartSize diameter(String name, double mm) {
        return new PartSize(name, DIAMETER, mm, Tolerances.general(mm), Tolerances.general(mm), "");
    }

    static PartSize turned(String name, double mm, TurnedFit fit) {
        return new PartSize(name, DIAMETER, mm, 0, Tolerances.below(mm, fit), fit.label());
    }

    static PartSize bore(String name, double mm) {
        return new PartSize(name, DIAMETER, mm, Tolerances.boreAbove(mm), 0, "H7");
    }

    public double most() {
        return nominal + above;
    }

    public double least() {
        return nominal - below;
    }

    /** As it stands on a drawing: {@code 313 ±0.5}, {@code Ø 19 h7 (0/−0.021)}. */
    public Phrase text() {
        Phrase size = Phrase.of(mark + "{0}", Quantity.onDrawing(nominal));
        if (fit.isEmpty() && above == below) {
            return size.then(Phrase.of(" ±{0}", Quantity.limit(above)));
        }
        return size.then(Phrase.of(
                (fit.isEmpty() ? " (" : " " + fit + " (") + (above > 0 ? "+" : "") + "{0}/" + (below > 0 ? "−" : "")
                        + "{1})",
                Quantity.limit(above),
                Quantity.limit(below)));
    }
}
