package mildtilt.app.view;

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
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.draw.SheetView;
import mildtilt.drawing.Dimension;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.drawing.Note;
import mildtilt.units.LengthUnit;

/**
 * Writes figures on a drawing: a length between two points as a dimension beside it, all else near its place with a
 * leader.
 */
final class FigureWriter {

    private static final double ARROW = 7;

    private final GraphicsContext g;
    private final SheetView v;
    private final Function<ColorToken, Color> ink;
    private final LabelPlacer placer;
    private final LengthUnit unit;
    private final List<Box> written = new ArrayList<>();

    FigureWriter(GraphicsContext g, SheetView v, Function<ColorToken, Color> ink, LabelPlacer placer, LengthUnit unit) {
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

    void write(Note note, ColorToken colour, Font font) {
        if (note.span().isEmpty() || !dimension(note, note.span().get(), colour, font)) {
            beside(note.figure().text(unit), v.x(note.at()), v.y(note.at()), colour, font);
        }
    }

    /** Whether there was room for a dimension line. */
    private boolean dimension(Note note, Note.Span span, ColorToken colour, Font font) {
        String text = note.figure().text(unit);
        // Above in the side view, where legs and pedals are below; below elsewhere, where the arms are above. Alike on
        // both sides.
        Optional<Dimension> placed = Dimension.place(
                placer,
                v.x(span.from()),
                v.y(span.from()),
                v.x(span.to()),
                v.y(span.to()),
                span.from().distanceTo(span.to()) * v.pixelsPerMm(),
                width(text, font),
                font.getSize() + 2,
                ARROW,
                v.elevation() == Elevation.SIDE);
        placed.ifPresent(d -> {
            g.setStroke(ink.apply(colour).interpolate(ink.apply(ColorToken.PAPER), 0.25));
            g.setLineWidth(0.9);
            for (double[] l : d.lines()) {
                g.strokeLine(l[0], l[1], l[2], l[3]);
            }
            g.setFill(ink.apply(colour));
            arrow(d.arrow(true, ARROW));
            arrow(d.arrow(false, ARROW));
            text(text, d.figure(), colour, font, true);
        });
        return placed.isPresent();
    }

    private void arrow(double[] xy) {
        g.fillPolygon(new double[] {xy[0], xy[2], xy[4]}, new double[] {xy[1], xy[3], xy[5]}, 3);
    }

    /** A text near a place, with a line that leads there if it had to go farther off. */
    void beside(String text, double x, double y, ColorToken colour, Font font) {
        Optional<LabelPlacer.Spot> spot = placer.place(x, y, width(text, font), font.getSize() + 2);
        spot.ifPresent(s -> {
            Box box = s.box();
            if (s.led()) {
                double cx = Math.clamp(x, box.x(), box.x() + box.w());
                double cy = Math.clamp(y, box.y(), box.y() + box.h());
                g.setStroke(ink.apply(colour).interpolate(ink.apply(ColorToken.PAPER), 0.35));
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

    private void text(String text, Box box, ColorToken colour, Font font, boolean onLine) {
        written.add(box);
        g.setFill(ink.apply(ColorToken.PAPER));
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
