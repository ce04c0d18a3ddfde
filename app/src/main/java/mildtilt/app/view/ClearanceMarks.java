package mildtilt.app.view;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.draw.SheetView;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.FreeSpace;
import mildtilt.clearance.PairGap;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.solid.Bounds;
import mildtilt.units.Quantity;

/**
 * What the clearance stage adds to an elevation: the route looked at, the gap looked at, what each thing in the way is.
 */
final class ClearanceMarks {

    /** A way shorter than that says nothing in a picture, px. */
    private static final double SEEN = 3;

    private static final double ACROSS = 6;

    private final Workbench bench;
    private final GraphicsContext g;
    private final SheetView v;
    private final Function<ColorToken, Color> ink;

    ClearanceMarks(Workbench bench, GraphicsContext g, SheetView v, Function<ColorToken, Color> ink) {
        this.bench = bench;
        this.g = g;
        this.v = v;
        this.ink = ink;
    }

    /** A route that is looked at: its shafts, and a ring at every joint. */
    void ghost(List<Point> points, boolean large) {
        g.setStroke(ink.apply(ColorToken.ACCENT));
        g.setLineWidth(large ? 4 : 2.4);
        g.setLineDashes(9, 7);
        g.strokePolyline(
                points.stream().mapToDouble(v::x).toArray(),
                points.stream().mapToDouble(v::y).toArray(),
                points.size());
        g.setLineDashes();
        g.setLineWidth(1.6);
        for (Point p : points.subList(1, points.size() - 1)) {
            g.strokeOval(v.x(p) - 7, v.y(p) - 7, 14, 14);
        }
    }

    /** What each thing in the way is, where there is room to write it. */
    void names(Sketch sketch, FigureWriter figures) {
        Set<Element> named = new HashSet<>();
        for (Stroke s : sketch.strokes()) {
            if (s.element().orElse(null) instanceof Element.InTheWay e && s.pen() != Pen.SWEPT && named.add(e)) {
                double x = s.points().stream().mapToDouble(v::x).average().orElse(0);
                double y = s.points().stream().mapToDouble(v::y).average().orElse(0);
                figures.beside(
                        Element.label(bench.job(), e),
                        x,
                        y,
                        bench.selectionProperty().get().equals(Optional.of(e)) ? ColorToken.ACCENT : ColorToken.LINE,
                        Fonts.text(12));
            }
        }
    }

    /** How far an obstacle may go each way in this elevation: a line from its middle, with a bar across its end. */
    void room(Workbench.Room room, FigureWriter figures) {
        Bounds at = room.thing().shape().solid().bounds();
        Point middle = at.middle();
        g.setStroke(ink.apply(ColorToken.ACCENT));
        g.setLineWidth(1.6);
        for (FreeSpace.Way w : FreeSpace.Way.values()) {
            FreeSpace.Reach reach = room.space().way(w);
            Point from = middle.plus(w.along().times(at.toSide(w.along())));
            Point to = from.plus(w.along().times(reach.mm()));
            double x = v.x(to) - v.x(from);
            double y = v.y(to) - v.y(from);
            double length = Math.hypot(x, y);
            if (length < SEEN) {
                continue;
            }
            g.setLineDashes(2, 4);
            g.strokeLine(v.x(from), v.y(from), v.x(to), v.y(to));
            g.setLineDashes();
            if (reach.endsAt().isPresent()) {
                double across = ACROSS / length;
                g.strokeLine(v.x(to) - across * y, v.y(to) + across * x, v.x(to) + across * y, v.y(to) - across * x);
                figures.beside(
                        Quantity.length(reach.mm()).text(bench.lengthUnit()),
                        v.x(to),
                        v.y(to),
                        ColorToken.ACCENT,
                        Fonts.text(12));
            }
        }
    }

    /** Between the nearest places of the pair that is looked at. */
    void gap(PairGap p, FigureWriter figures) {
        double x = v.x(p.onFirst());
        double y = v.y(p.onFirst());
        ColorToken colour = p.margin() < 0 ? ColorToken.STOP : ColorToken.FINE;
        g.setStroke(ink.apply(colour));
        g.setLineWidth(2.5);
        g.strokeLine(x, y, v.x(p.onSecond()), v.y(p.onSecond()));
        g.strokeOval(x - 11, y - 11, 22, 22);
        figures.beside(Quantity.length(p.gap()).text(bench.lengthUnit()), x, y, colour, Fonts.figure(15));
    }
}
