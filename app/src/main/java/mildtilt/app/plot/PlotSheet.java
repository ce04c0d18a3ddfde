package mildtilt.app.plot;

import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.look.CanvasPane;
import mildtilt.app.look.Fonts;
import mildtilt.app.look.Ink;
import mildtilt.app.plot.Curve.Run;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Worked;
import mildtilt.measure.LengthText;

/** One curve, now in full ink and before the change in faint, with the hands' place marked. */
final class PlotSheet extends CanvasPane {

    private static final double LEFT = 50;
    private static final double RIGHT = 10;
    private static final double TOP = 8;
    private static final double BOTTOM = 34;

    private final Workbench bench;
    private Curve curve = Curve.COLUMN_TURN;

    PlotSheet(Workbench bench) {
        this.bench = bench;
        setId("plot");
        setMinSize(200, 120);
        bench.workedProperty().addListener((_, _, _) -> redraw());
        bench.handsProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
    }

    void show(Curve c) {
        curve = c;
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        Optional<Worked> worked = bench.workedProperty().get();
        List<Run> now = worked.map(x -> curve.runs(x.now())).orElse(List.of());
        List<Run> before = worked.flatMap(Worked::before).map(curve::runs).orElse(List.of());
        if (now.isEmpty()) {
            g.setFill(ink(Ink.FAINT));
            g.setFont(Fonts.text(14));
            g.fillText("Nothing to draw: this job lacks the parts, or they can't turn.", LEFT, h / 2, w - LEFT - RIGHT);
            return;
        }
        double shown = curve.shown(bench.lengthUnit());
        Scale x = Scale.over(now, before, 0, shown, LEFT, w - RIGHT, (w - LEFT) / 70);
        Scale y = Scale.over(now, before, 1, 1, h - BOTTOM, TOP, (h - TOP - BOTTOM) / 26);
        grid(g, x, y, w, h);
        stroke(g, before, x, y, shown, Ink.BEFORE, 1.5, true);
        stroke(g, now, x, y, shown, Ink.ACCENT, 2.5, false);
        double at = x.at(curve.at(bench.hands()) * shown);
        g.setStroke(ink(Ink.LINE));
        g.setLineWidth(1);
        g.strokeLine(at, TOP, at, h - BOTTOM);
        setAccessibleText(curve.title());
    }

    private void grid(GraphicsContext g, Scale x, Scale y, double w, double h) {
        g.setFont(Fonts.text(12));
        g.setLineWidth(1);
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.RIGHT);
        for (double v = y.first(); v <= y.last() + 1e-9; v += y.step()) {
            g.setStroke(ink(Math.abs(v) < y.step() / 1e6 ? Ink.FAINT : Ink.GRID));
            g.strokeLine(LEFT, y.at(v), w - RIGHT, y.at(v));
            g.setFill(ink(Ink.LINE));
            g.fillText(LengthText.decimal(v, y.decimals()), LEFT - 6, y.at(v));
        }
        g.setTextBaseline(VPos.TOP);
        g.setTextAlign(TextAlignment.CENTER);
        for (double v = x.first(); v <= x.last() + 1e-9; v += x.step()) {
            g.setStroke(ink(Ink.GRID));
            g.strokeLine(x.at(v), TOP, x.at(v), h - BOTTOM);
            g.setFill(ink(Ink.LINE));
            g.fillText(LengthText.decimal(v, x.decimals()), x.at(v), h - BOTTOM + 3);
        }
        g.setTextBaseline(VPos.BASELINE);
        g.fillText(curve.across(bench.lengthUnit()), (LEFT + w - RIGHT) / 2, h - 5);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(curve.unit(), 4, h - 5);
    }

    private void stroke(GraphicsContext g, List<Run> runs, Scale x, Scale y, double shown, Ink ink, double width, boolean dashed) {
        g.setStroke(ink(ink));
        g.setLineWidth(width);
        g.setLineDashes(dashed ? new double[] {5, 4} : null);
        for (Run run : runs) {
            double[] xs = run.points().stream().mapToDouble(p -> x.at(p[0] * shown)).toArray();
            double[] ys = run.points().stream().mapToDouble(p -> y.at(p[1])).toArray();
            g.strokePolyline(xs, ys, xs.length);
        }
        g.setLineDashes();
    }
}
