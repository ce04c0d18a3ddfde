package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Anchor;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;
import mildtilt.units.LengthUnit;

/** A size with the lines that show what it is of. Places are mm at full size; offsets are on paper. */
sealed interface SizeLine {

    /** Height of the words on paper, mm. */
    double WORDS = 3.2;
    /** From the part to the first size, and from one to the next, mm on paper. */
    double STEP = 8;

    /** Wide of a letter over its height, about. */
    double LETTER = 0.5;

    double ARROW = 2.6;
    double BEYOND = 1.5;
    double CLEAR = 1;

    PartSize size();

    /**
     * Along the sheet.
     *
     * @param y where its extension lines begin
     * @param row from 1 above the view, from −1 below it
     */
    record Along(PartSize size, double x1, double x2, double y, int row) implements SizeLine {}

    /** Up the sheet. @param column from 1 to the right of the view, from −1 to its left */
    record Upright(PartSize size, double y1, double y2, double x, int column) implements SizeLine {}

    /** Points at a place. @param right where its words stand, from there, mm on paper; @param up the same */
    record Pointer(PartSize size, PatternPoint at, double right, double up) implements SizeLine {}

    /**
     * What is drawn of it. @param view round what the sizes are of; @param scale mm of the part for one of the paper
     */
    default List<PatternMark> marks(FlatPattern.Bounds view, double scale) {
        List<PatternMark> all = new ArrayList<>();
        switch (this) {
            case Along a -> {
                double y = (a.row > 0 ? view.top() : view.bottom()) + a.row * STEP * scale;
                double on = Math.signum(a.row) * scale;
                for (double x : new double[] {a.x1, a.x2}) {
                    all.add(PatternMark.line(Layer.SIZE, x, a.y + CLEAR * on, x, y + BEYOND * on));
                }
                double from = Math.min(a.x1, a.x2);
                double to = Math.max(a.x1, a.x2);
                boolean wide = to - from >= (width() + 2 * ARROW) * scale;
                span(all, scale, wide, from, to, (t, off) -> new PatternPoint(t, y + off));
                all.add(
                        wide
                                ? words(
                                        new PatternPoint((from + to) / 2, y + CLEAR * scale),
                                        false,
                                        Anchor.MIDDLE,
                                        scale)
                                : words(
                                        new PatternPoint(to + (2 * ARROW + CLEAR) * scale, y - WORDS * 0.3 * scale),
                                        false,
                                        Anchor.START,
                                        scale));
            }
            case Upright u -> {
                double x = (u.column > 0 ? view.right() : view.left()) + u.column * STEP * scale;
                double on = Math.signum(u.column) * scale;
                for (double y : new double[] {u.y1, u.y2}) {
                    all.add(PatternMark.line(Layer.SIZE, u.x + CLEAR * on, y, x + BEYOND * on, y));
                }
                double from = Math.min(u.y1, u.y2);
                double to = Math.max(u.y1, u.y2);
                boolean wide = to - from >= (width() + 2 * ARROW) * scale;
                span(all, scale, wide, from, to, (t, off) -> new PatternPoint(x + off, t));
                // Where it does not go between its arrows it runs on above them.
                all.add(words(
                        new PatternPoint(x - CLEAR * scale, wide ? (from + to) / 2 : to + (2 * ARROW + CLEAR) * scale),
                        true,
                        wide ? Anchor.MIDDLE : Anchor.START,
                        scale));
            }
            case Pointer p -> {
                double x = p.at.x() + p.right * scale;
                double y = p.at.y() + p.up * scale;
                double shelf = Math.signum(p.right == 0 ? 1 : p.right) * 2 * scale;
                all.add(new PatternMark.Path(
                        Layer.SIZE, List.of(p.at, new PatternPoint(x, y), new PatternPoint(x + shelf, y)), false));
                double far = Math.hypot(p.right, p.up);
                all.add(arrow(p.at, p.right / far, p.up / far, scale));
                all.add(words(
                        new PatternPoint(x + 1.5 * shelf, y - WORDS * 0.3 * scale),
                        false,
                        shelf > 0 ? Anchor.START : Anchor.END,
                        scale));
            }
        }
        return all;
    }

    /** How long its words are on paper, mm. */
    private double width() {
        return size().text().text(LengthUnit.MM).length() * WORDS * LETTER;
    }

    private PatternMark words(PatternPoint at, boolean upward, Anchor anchor, double scale) {
        return new PatternMark.Words(at, WORDS * scale, upward, anchor, size().text());
    }

    /** A place so far along a size's line and so far beside it. */
    interface Spot {
        PatternPoint at(double along, double beside);
    }

    private static void span(List<PatternMark> all, double scale, boolean inside, double from, double to, Spot spot) {
        double out = inside ? 0 : 2 * ARROW * scale;
        PatternPoint a = spot.at(from, 0);
        PatternPoint b = spot.at(to, 0);
        PatternPoint before = spot.at(from - out, 0);
        PatternPoint after = spot.at(to + out, 0);
        all.add(new PatternMark.Path(Layer.SIZE, List.of(before, after), false));
        double ux = spot.at(1, 0).x() - spot.at(0, 0).x();
        double uy = spot.at(1, 0).y() - spot.at(0, 0).y();
        double way = inside ? 1 : -1;
        all.add(arrow(a, way * ux, way * uy, scale));
        all.add(arrow(b, -way * ux, -way * uy, scale));
    }

    /** An arrow's head with its point here, its barbs the way that is given. */
    private static PatternMark arrow(PatternPoint tip, double ux, double uy, double scale) {
        double l = ARROW * scale;
        double w = l * 0.25;
        return new PatternMark.Path(
                Layer.SIZE,
                List.of(tip.plus(ux * l - uy * w, uy * l + ux * w), tip, tip.plus(ux * l + uy * w, uy * l - ux * w)),
                false);
    }
}
