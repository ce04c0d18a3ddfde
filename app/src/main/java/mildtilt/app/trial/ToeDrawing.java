package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ChartPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.curve.Curve.Run;
import mildtilt.curve.Scale;

/** Points that were read, each with its ±, over the lines that were planned, with a band of what is normal. */
final class ToeDrawing extends ChartPane {

    private static final double LEFT = 54;
    private static final double RIGHT = 14;
    private static final double TOP = 26;
    private static final double BOTTOM = 36;

    /** @param at along the bottom; @param value up the side; @param spread of the value */
    record Point(double at, double value, double spread) {}

    /** A line. @param dashed the ones beside the plan */
    record Line(String name, List<double[]> points, boolean dashed) {}

    /**
     * @param across what runs along the bottom, with its unit; @param from of the band, none where it is not before to
     */
    record Sheet(
            String title, String across, String up, List<Line> lines, List<Point> points, double from, double to) {}

    private final Sheet sheet;

    ToeDrawing(Sheet sheet) {
        this.sheet = sheet;
        setMinHeight(250);
        setPrefHeight(250);
        setMinWidth(240);
        setAccessibleText(sheet.title);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        List<double[]> reach = new ArrayList<>();
        sheet.lines.forEach(l -> reach.addAll(l.points));
        sheet.points.forEach(p -> {
            reach.add(new double[] {p.at, p.value - p.spread});
            reach.add(new double[] {p.at, p.value + p.spread});
        });
        if (reach.size() < 2) {
            return;
        }
        List<Run> all = List.of(new Run(reach));
        Scale x = Scale.over(all, List.of(), 0, 1, LEFT, w - RIGHT, (w - LEFT) / 60);
        Scale y = Scale.over(all, List.of(), 1, 1, h - BOTTOM, TOP, (h - TOP - BOTTOM) / 28);
        if (sheet.from < sheet.to) {
            band(g, x, y, sheet.from, sheet.to);
        }
        grid(g, x, y, sheet.across, sheet.up);
        for (Line l : sheet.lines) {
            g.setStroke(ink(l.dashed ? ColorToken.BEFORE : ColorToken.LINE));
            g.setLineWidth(l.dashed ? 1.3 : 2);
            g.setLineDashes(l.dashed ? new double[] {5, 4} : new double[0]);
            g.strokePolyline(
                    l.points.stream().mapToDouble(p -> x.at(p[0])).toArray(),
                    l.points.stream().mapToDouble(p -> y.at(p[1])).toArray(),
                    l.points.size());
            g.setLineDashes();
        }
        g.setStroke(ink(ColorToken.ACCENT));
        g.setFill(ink(ColorToken.ACCENT));
        g.setLineWidth(1.5);
        for (Point p : sheet.points) {
            g.strokeLine(x.at(p.at), y.at(p.value - p.spread), x.at(p.at), y.at(p.value + p.spread));
            g.fillOval(x.at(p.at) - 4, y.at(p.value) - 4, 8, 8);
        }
        names(g, w);
    }

    /** Title, and how each line and the points look. */
    private void names(GraphicsContext g, double w) {
        g.setTextBaseline(VPos.TOP);
        g.setFont(Fonts.figure(14));
        g.setFill(ink(ColorToken.LINE));
        g.fillText(sheet.title, LEFT, 4);
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.RIGHT);
        StringBuilder s = new StringBuilder("● read");
        for (Line l : sheet.lines) {
            s.append("   ").append(l.dashed ? "╌╌ " : "── ").append(l.name);
        }
        g.fillText(s.toString(), w - RIGHT, 5);
        g.setTextAlign(TextAlignment.LEFT);
    }
}
