package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.Section;
import mildtilt.id.Id;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.units.Phrase;

/**
 * The drawing of one part.
 *
 * @param from what it is made from
 * @param hand how left and right differ, in a sentence
 * @param left of one vehicle, for its left side or for the vehicle
 * @param sets vehicles
 * @param views row below row, each from left to right
 * @param holes that a list tells the places of, each by the letter beside it
 * @param more sizes that no line shows
 * @param blanks what is sawn or cut out for one, besides what the cut list has already
 * @param notes how it is made and looked over
 * @param cautions what may be dangerous about it
 */
public record PartDrawing(
        Id piece,
        String name,
        Phrase from,
        Phrase hand,
        int left,
        int right,
        int sets,
        List<List<DrawnView>> views,
        List<DrawnHole> holes,
        List<PartSize> more,
        List<Blank> blanks,
        List<Phrase> notes,
        List<Phrase> cautions) {

    /** A hole, from the left and from the lower edge. */
    public record DrawnHole(String letter, PartSize x, PartSize y, PartSize diameter) {}

    /** What one part, or a piece of it, begins as. Lengths mm. */
    public sealed interface Blank {

        record Sawn(String name, Section section, double length, String ends) implements Blank {}

        /** @param area mm² @param each for one part */
        record Flat(String name, double thickness, double area, int each) implements Blank {}
    }

    /** Parts are drawn one to so many. */
    private static final int[] SCALES = {1, 2, 3, 4, 5, 8, 10, 15, 20, 30, 50};

    /** Between views, mm on paper. */
    private static final double GAP = 12;

    public PartDrawing {
        views = views.stream().map(List::copyOf).toList();
        holes = List.copyOf(holes);
        more = List.copyOf(more);
        blanks = List.copyOf(blanks);
        notes = List.copyOf(notes);
        cautions = List.copyOf(cautions);
    }

    public int count() {
        return (left + right) * sets;
    }

    /** Every size there is on it. */
    public List<PartSize> sizes() {
        List<PartSize> all = new ArrayList<>();
        views.forEach(row -> row.forEach(v -> v.sizes().forEach(s -> all.add(s.size()))));
        holes.forEach(h -> all.addAll(List.of(h.x, h.y, h.diameter)));
        all.addAll(more);
        return all;
    }

    /** How many, and which hand. */
    public Phrase howMany() {
        if (right == 0 && sets == 1) {
            return Phrase.of("Make " + left + ". ").then(hand);
        }
        String many = right == 0
                ? left + " a vehicle"
                : left == 0 ? right + " for the right" : left + " for the left, " + right + " for the right";
        return Phrase.of("Make " + count() + ": " + many + (sets == 1 ? "" : ", " + sets + " vehicles") + ". ")
                .then(hand);
    }

    /**
     * At full size, with words that are as large as usual once it is printed at a scale. The lower left corner of
     * everything is at 0, 0.
     *
     * @param scale mm of the part for one of the paper
     */
    public FlatPattern at(double scale) {
        List<PatternMark> all = new ArrayList<>();
        double down = 0;
        for (List<DrawnView> row : views) {
            double right = 0;
            double lowest = 0;
            // The views of a row stand on one middle line.
            List<List<PatternMark>> drawn =
                    row.stream().map(v -> v.marks(scale)).toList();
            double top = drawn.stream()
                    .mapToDouble(m -> DrawnView.round(m).top())
                    .max()
                    .orElse(0);
            for (List<PatternMark> marks : drawn) {
                FlatPattern.Bounds b = DrawnView.round(marks);
                double dx = right - b.left();
                double dy = down - top;
                marks.forEach(m -> all.add(m.moved(dx, dy)));
                right += b.width() + GAP * scale;
                lowest = Math.min(lowest, b.bottom() - top);
            }
            down += lowest - GAP / 2 * scale;
        }
        FlatPattern.Bounds b = DrawnView.round(all);
        return new FlatPattern(
                name,
                howMany(),
                Optional.empty(),
                all.stream().map(m -> m.moved(-b.left(), -b.bottom())).toList());
    }

    /** How much of the part's mm the drawing takes at a scale, words and all. */
    public static FlatPattern.Bounds round(FlatPattern drawing) {
        return DrawnView.round(drawing.inks());
    }

    /**
     * The largest usual scale at which it goes on paper, one to so many. @param wide mm on paper; @param high the
     * same
     */
    public int scaleFor(double wide, double high) {
        for (int scale : SCALES) {
            FlatPattern.Bounds b = round(at(scale));
            if (b.width() <= wide * scale && b.height() <= high * scale) {
                return scale;
            }
        }
        return SCALES[SCALES.length - 1];
    }
}
