package mildtilt.drawing;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.job.Element;

/** One thing drawn, in space. */
public sealed interface Stroke {

    /** The element of the train it belongs to, if it belongs to one. */
    Optional<Element> element();

    Pen pen();

    List<Point> points();

    /** Straight from point to point. */
    record Line(Optional<Element> element, Pen pen, List<Point> points) implements Stroke {}

    /** A solid, drawn as the outline its points have from wherever it is seen. */
    record Outline(Optional<Element> element, Pen pen, List<Point> points) implements Stroke {}
}
