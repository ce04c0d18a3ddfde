package mildtilt.app.make;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** A pattern as it will be printed, as large as there is room, with its size. */
final class PatternDrawing extends CanvasPane {

    private static final double MARGIN = 26;

    private final FlatPattern pattern;
    private final FlatPattern.Bounds bounds;
    private final LengthUnit unit;

    PatternDrawing(FlatPattern pattern, LengthUnit unit) {
        this(pattern, pattern.bounds(), unit, 270);
    }

    /** @param bounds round all that is to be seen; @param height of the picture */
    PatternDrawing(FlatPattern pattern, FlatPattern.Bounds bounds, LengthUnit unit, double height) {
        this.pattern = pattern;
        this.bounds = bounds;
        this.unit = unit;
        setId("pattern-drawing");
        getStyleClass().add("pattern-drawing");
        setMinHeight(height);
        setPrefHeight(height);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        FlatPattern.Bounds b = bounds;
        double k = Math.min((w - 2 * MARGIN) / b.width(), (h - 2 * MARGIN) / b.height());
        double x0 = (w - b.width() * k) / 2 - b.left() * k;
        double y0 = (h + b.height() * k) / 2 + b.bottom() * k;
        for (PatternMark ink : pattern.inks()) {
            switch (ink) {
                case PatternMark.Path p -> {
                    pen(g, p.layer());
                    double[] xs =
                            p.spots().stream().mapToDouble(s -> x0 + s.x() * k).toArray();
                    double[] ys =
                            p.spots().stream().mapToDouble(s -> y0 - s.y() * k).toArray();
                    if (p.closed()) {
                        g.strokePolygon(xs, ys, xs.length);
                    } else {
                        g.strokePolyline(xs, ys, xs.length);
                    }
                }
                case PatternMark.Circle c -> {
                    pen(g, c.layer());
                    g.strokeOval(
                            x0 + (c.centre().x() - c.radius()) * k,
                            y0 - (c.centre().y() + c.radius()) * k,
                            2 * c.radius() * k,
                            2 * c.radius() * k);
                }
                // Words smaller than can be read are left to the paper.
                case PatternMark.Words t
                when t.height() * k >= 7 -> {
                    g.setFill(ink(ColorToken.LINE));
                    g.setFont(Fonts.text(Math.min(13, t.height() * k * 1.3)));
                    g.setTextAlign(
                            switch (t.anchor()) {
                                case START -> TextAlignment.LEFT;
                                case MIDDLE -> TextAlignment.CENTER;
                                case END -> TextAlignment.RIGHT;
                            });
                    g.setTextBaseline(VPos.BASELINE);
                    g.save();
                    g.translate(x0 + t.at().x() * k, y0 - t.at().y() * k);
                    if (t.upward()) {
                        g.rotate(-90);
                    }
                    g.fillText(t.text().text(unit), 0, 0);
                    g.restore();
                }
                case PatternMark.Words _ -> {}
            }
        }
        g.setLineDashes();
        g.setFill(ink(ColorToken.FAINT));
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.BOTTOM);
        g.fillText(
                LengthText.format(b.width(), unit) + " × " + LengthText.format(b.height(), unit) + ", drawn "
                        + LengthText.decimal(k * 25.4 / 96, 2) + " of full size",
                w - 6,
                h - 3);
    }

    private void pen(GraphicsContext g, PatternMark.Layer layer) {
        switch (layer) {
            case CUT -> {
                g.setStroke(ink(ColorToken.LINE));
                g.setLineWidth(1.6);
                g.setLineDashes();
            }
            case MARK -> {
                g.setStroke(ink(ColorToken.ACCENT));
                g.setLineWidth(1);
                g.setLineDashes(5, 3);
            }
            case OUTLINE -> {
                g.setStroke(ink(ColorToken.LINE));
                g.setLineWidth(1.8);
                g.setLineDashes();
            }
            case HIDDEN -> {
                g.setStroke(ink(ColorToken.LINE));
                g.setLineWidth(0.8);
                g.setLineDashes(5, 3);
            }
            case CENTRE -> {
                g.setStroke(ink(ColorToken.FAINT));
                g.setLineWidth(0.8);
                g.setLineDashes(10, 3, 2, 3);
            }
            case SIZE -> {
                g.setStroke(ink(ColorToken.ACCENT));
                g.setLineWidth(0.8);
                g.setLineDashes();
            }
        }
    }
}
