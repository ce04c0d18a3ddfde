package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternPoint;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;

/** One view of a part, at full size, with its sizes. */
record DrawnView(String title, List<PatternMark> shape, List<SizeLine> sizes) {

    DrawnView {
        shape = List.copyOf(shape);
        sizes = List.copyOf(sizes);
    }

    private FlatPattern.Bounds shapeBounds() {
        return bounds(shape);
    }

    static FlatPattern.Bounds bounds(List<PatternMark> marks) {
        return new FlatPattern("", Phrase.of(""), Optional.empty(), marks).bounds();
    }

    /** All that is drawn. @param scale mm of the part for one of the paper */
    List<PatternMark> marks(double scale) {
        FlatPattern.Bounds view = shapeBounds();
        List<PatternMark> all = new ArrayList<>(shape);
        sizes.forEach(s -> all.addAll(s.marks(view, scale)));
        FlatPattern.Bounds round = round(all);
        all.add(new PatternMark.Words(
                new PatternPoint(view.left(), round.bottom() - 6 * scale),
                SizeLine.WORDS * scale,
                false,
                Phrase.of(title)));
        return all;
    }

    /** Round lines and words, as far as the length of words is known. */
    static FlatPattern.Bounds round(List<PatternMark> marks) {
        List<PatternMark> boxes = new ArrayList<>(marks);
        for (PatternMark m : marks) {
            if (m instanceof PatternMark.Words w) {
                double wide = w.text().text(LengthUnit.MM).length() * w.height() * SizeLine.LETTER;
                double back =
                        switch (w.anchor()) {
                            case START -> 0;
                            case MIDDLE -> wide / 2;
                            case END -> wide;
                        };
                double x = w.at().x();
                double y = w.at().y();
                boxes.add(
                        w.upward()
                                ? PatternMark.line(PatternMark.Layer.SIZE, x - w.height(), y - back, x, y - back + wide)
                                : PatternMark.line(
                                        PatternMark.Layer.SIZE, x - back, y, x - back + wide, y + w.height()));
            }
        }
        return bounds(boxes);
    }
}
