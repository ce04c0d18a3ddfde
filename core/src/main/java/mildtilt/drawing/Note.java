package mildtilt.drawing;

import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.units.Quantity;

/**
 * A figure written at a place on the drawing.
 *
 * @param span the two ends of what is measured, if it is a length between two points: it is drawn as a dimension then
 */
public record Note(Element element, Point at, Quantity figure, Optional<Span> span) {

    /** Two ends of a length. */
    public record Span(Point from, Point to) {}

    public Note(Element element, Point at, Quantity figure) {
        this(element, at, figure, Optional.empty());
    }

    /** The length between two points. */
    static Note between(Element element, Point from, Point to) {
        return new Note(
                element, from.midwayTo(to), Quantity.length(from.distanceTo(to)), Optional.of(new Span(from, to)));
    }

    /** A steer angle lies in the ground plane and is only written where that is seen. */
    public boolean belongsIn(Elevation elevation) {
        return !(element instanceof Element.Tyres) || elevation == Elevation.PLAN;
    }
}
