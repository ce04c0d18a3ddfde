package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import mildtilt.app.draw.SheetView;
import mildtilt.app.look.Fonts;
import mildtilt.app.look.Ink;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.drawing.Note;
import mildtilt.measure.LengthUnit;

/** Writes figures on a drawing: a length between two points as a dimension beside it, all else near its place with a leader. */
final class FigureWriter {

    /** From the line measured to its dimension line, pixels. */
    private static final double[] OFFSETS = {26, -26, 40, -40, 56, -56, 76, -76};
    private static final double ARROW = 7;
    private static final double OVER = 4;

    private final GraphicsContext g;
    private final SheetView v;
    private final Function<Ink, Color> ink;
    private final LabelPlacer placer;
    private final LengthUnit unit;
    private final List<Box> written = new ArrayList<>();

    FigureWriter(GraphicsContext g, SheetView v, Function<Ink, Color> ink, LabelPlacer placer, LengthUnit unit) {
        this.g = g;
        this.v = v;
        this.ink = ink;
        this.placer = placer;
        this.unit = unit;
    }

    private static double width(String text, Font font) {
        Text measured = new Text(text);
        measured.setFont(font);
        return Math.ceil(measured.getLayoutBounds().getWidth()) + 6;
    }

    void write(Note note, Ink colour, Font font) {
        if (note.span().isEmpty() || !dimension(note, note.span().get(), colour, font)) {
            beside(note.figure().text(unit), v.x(note.at()), v.y(note.at()), colour, font);
        }
    }

    /** Whether there was room for a dimension line. */
    private boolean dimension(Note note, Note.Span span, Ink colour, Font font) {
        double ax = v.x(span.from());
        double ay = v.y(span.from());
        double bx = v.x(span.to());
        double by = v.y(span.to());
        double length = Math.hypot(bx - ax, by - ay);
        String text = note.figure().text(unit);
        double w = width(text, font);
        double h = font.getSize() + 2;
        // A length that is seen from its end, or shorter than its figure, is not measured on this sheet.
        if (length < w + 2 * ARROW || length / v.pixelsPerMm() < 0.6 * span.from().distanceTo(span.to())) {
            return false;
        }
        // Above in the side view, where legs and pedals are below; below elsewhere, where the arms are above. Alike on both sides.
        double wanted = v.elevation() == Elevation.SIDE ? -1 : 1;
        double way = (bx - ax) * wanted >= 0 ? 1 : -1;
        double nx = -(by - ay) / length * way;
        double ny = (bx - ax) / length * way;
        for (double off : OFFSETS) {
            double x1 = ax + nx * off;
            double y1 = ay + ny * off;
            double x2 = bx + nx * off;
            double y2 = by + ny * off;
            if (!placer.freeLine(x1, y1, x2, y2)) {
                continue;
            }
            for (double along : new double[] {0.5, 0.36, 0.64}) {
                Box box = new Box(x1 + (x2 - x1) * along - w / 2, y1 + (y2 - y1) * along - h / 2, w, h);
                if (placer.free(box)) {
                    placer.keepClear(box);
                    draw(ax, ay, bx, by, nx, ny, off, colour);
                    text(text, box, colour, font, true);
                    return true;
                }
            }
        }
        return false;
    }

    private void draw(double ax, double ay, double bx, double by, double nx, double ny, double off, Ink colour) {
        double sign = Math.signum(off);
        g.setStroke(ink.apply(colour).interpolate(ink.apply(Ink.PAPER), 0.25));
        g.setLineWidth(0.9);
        g.strokeLine(ax + nx * 9 * sign, ay + ny * 9 * sign, ax + nx * (off + OVER * sign), ay + ny * (off + OVER * sign));
        g.strokeLine(bx + nx * 9 * sign, by + ny * 9 * sign, bx + nx * (off + OVER * sign), by + ny * (off + OVER * sign));
        double x1 = ax + nx * off;
        double y1 = ay + ny * off;
        double x2 = bx + nx * off;
        double y2 = by + ny * off;
        g.strokeLine(x1, y1, x2, y2);
        g.setFill(ink.apply(colour));
        arrow(x1, y1, Math.atan2(y2 - y1, x2 - x1));
        arrow(x2, y2, Math.atan2(y1 - y2, x1 - x2));
        // Later figures stay off this line as they do off the parts.
        placer.keepClear(x1, y1, x2, y2);
    }

    /** @param way from the tip back along the line */
    private void arrow(double x, double y, double way) {
        g.fillPolygon(new double[] {x, x + ARROW * Math.cos(way + 0.26), x + ARROW * Math.cos(way - 0.26)},
                new double[] {y, y + ARROW * Math.sin(way + 0.26), y + ARROW * Math.sin(way - 0.26)}, 3);
    }

    /** A text near a place, with a line that leads there if it had to go farther off. */
    void beside(String text, double x, double y, Ink colour, Font font) {
        Optional<LabelPlacer.Spot> spot = placer.place(x, y, width(text, font), font.getSize() + 2);
        spot.ifPresent(s -> {
            Box box = s.box();
            if (s.led()) {
                double cx = Math.clamp(x, box.x(), box.x() + box.w());
                double cy = Math.clamp(y, box.y(), box.y() + box.h());
                g.setStroke(ink.apply(colour).interpolate(ink.apply(Ink.PAPER), 0.35));
                g.setLineWidth(0.8);
                g.strokeLine(x, y, cx, cy);
            }
            text(text, box, colour, font, false);
        });
    }

    /** Where figures were written. */
    List<Box> written() {
        return List.copyOf(written);
    }

    private void text(String text, Box box, Ink colour, Font font, boolean onLine) {
        written.add(box);
        g.setFill(ink.apply(Ink.PAPER));
        g.setGlobalAlpha(onLine ? 1 : 0.78);
        g.fillRect(box.x(), box.y(), box.w(), box.h());
        g.setGlobalAlpha(1);
        g.setFill(ink.apply(colour));
        g.setFont(font);
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(text, box.x() + box.w() / 2, box.y() + box.h() / 2);
    }

    /** The font of figures on a large sheet, and on a small one. */
    static Font font(boolean large) {
        return Fonts.figure(large ? 14 : 12);
    }
}
