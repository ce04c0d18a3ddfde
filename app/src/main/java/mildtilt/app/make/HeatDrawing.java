package mildtilt.app.make;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.build.WeldRecord;
import mildtilt.build.WeldRecord.Reading;

/** Temperature over time, with what was wanted. */
final class HeatDrawing extends CanvasPane {

    private static final double LEFT = 64;
    private static final double RIGHT = 14;
    private static final double BOTTOM = 22;

    private final WeldRecord weld;

    HeatDrawing(WeldRecord weld) {
        this.weld = weld;
        setMinHeight(150);
        setPrefHeight(150);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double last = Math.max(1, weld.readings().getLast().minutes());
        double hottest = 1.08
                * Math.max(
                        weld.mostBetween(),
                        weld.readings().stream()
                                .mapToDouble(Reading::celsius)
                                .max()
                                .orElse(0));
        double k = (h - BOTTOM - 6) / hottest;
        double base = h - BOTTOM;
        g.setFont(Fonts.text(12));
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.RIGHT);
        g.setLineWidth(1);
        g.setStroke(ink(ColorToken.FAINT));
        g.strokeLine(LEFT, base, w - RIGHT, base);
        g.strokeLine(LEFT, 4, LEFT, base);
        for (double c : new double[] {weld.preheat(), weld.mostBetween()}) {
            g.setLineDashes(4, 3);
            g.setStroke(ink(ColorToken.LOOK));
            g.strokeLine(LEFT, base - c * k, w - RIGHT, base - c * k);
            g.setLineDashes();
            g.setFill(ink(ColorToken.LINE));
            g.fillText(Math.round(c) + " °C", LEFT - 4, base - c * k);
        }
        double[] xs = weld.readings().stream()
                .mapToDouble(r -> LEFT + r.minutes() / last * (w - LEFT - RIGHT))
                .toArray();
        double[] ys = weld.readings().stream()
                .mapToDouble(r -> base - Math.max(0, r.celsius()) * k)
                .toArray();
        g.setStroke(ink(ColorToken.ACCENT));
        g.setLineWidth(2);
        g.strokePolyline(xs, ys, xs.length);
        g.setFill(ink(ColorToken.ACCENT));
        for (int i = 0; i < xs.length; i++) {
            g.fillOval(xs[i] - 3, ys[i] - 3, 6, 6);
        }
        g.setFill(ink(ColorToken.LINE));
        g.setTextBaseline(VPos.TOP);
        g.fillText(Math.round(last) + " minutes", w - RIGHT, base + 4);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("0", LEFT, base + 4);
    }
}
