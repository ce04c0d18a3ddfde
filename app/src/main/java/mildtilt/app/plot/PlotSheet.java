package mildtilt.app.plot;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ChartPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.curve.Curve;
import mildtilt.curve.Curve.Run;
import mildtilt.curve.Curve.Series;
import mildtilt.curve.Scale;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import org.jspecify.annotations.Nullable;

/**
 * One curve, now in full ink and before the change in faint, with the hands' place marked and what is used of the range
 * shaded: the normal travel, the wheel from lock to lock.
 * Hovering shows its values there; pressing moves the steering there.
 */
final class PlotSheet extends ChartPane {

    private static final double LEFT = 50;
    private static final double RIGHT = 10;
    /** Below the reading; and where the lines are named, below the name of one that ends at the very top. */
    private static final double TOP = 18;

    private static final double TOP_NAMED = 31;
    private static final double BOTTOM = 34;

    /** The first series in the accent, those beside it apart from each other. */
    private static final ColorToken[] INKS = {ColorToken.ACCENT, ColorToken.LINE, ColorToken.LOOK, ColorToken.FINE};

    private final Workbench bench;
    private Curve curve = Curve.COLUMN_TURN;
    private @Nullable Scale xScale;
    private double pointed = Double.NaN;
    private double top = TOP;

    PlotSheet(Workbench bench) {
        this.bench = bench;
        setId("plot");
        setMinSize(200, 120);
        bench.analysisProperty().addListener((_, _, _) -> redraw());
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> point(e.getX()));
        addEventHandler(MouseEvent.MOUSE_EXITED, _ -> point(Double.NaN));
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> take(e.getX()));
        addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> take(e.getX()));
    }

    void show(Curve c) {
        curve = c;
        pointed = Double.NaN;
        redraw();
    }

    private void point(double x) {
        Scale scale = xScale;
        double before = pointed;
        pointed =
                scale == null || Double.isNaN(x) || x < LEFT || x > getWidth() - RIGHT ? Double.NaN : scale.valueAt(x);
        if (Double.compare(before, pointed) != 0) {
            redraw();
        }
    }

    private void take(double x) {
        Scale scale = xScale;
        if (scale != null) {
            double value = Math.clamp(scale.valueAt(x), scale.low(), scale.high());
            CurvePosition.take(curve, bench, value / curve.shown(bench.lengthUnit()));
        }
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        Optional<AnalysisUpdate> worked = bench.analysisProperty().get();
        List<Series> now = worked.map(x -> curve.series(x.now())).orElse(List.of());
        List<Series> before =
                worked.flatMap(AnalysisUpdate::before).map(curve::series).orElse(List.of());
        setAccessibleText(curve.title());
        if (now.isEmpty()) {
            xScale = null;
            drawNothing(g, LEFT, h, "Nothing to draw:", "this job lacks the parts,", "or they can't move that way.");
            return;
        }
        top = named(now) ? TOP_NAMED : TOP;
        double shown = curve.shown(bench.lengthUnit());
        double up = curve.shownUp(bench.lengthUnit());
        Scale x = Scale.over(runs(now), runs(before), 0, shown, LEFT, w - RIGHT, (w - LEFT) / 70);
        Scale y = Scale.over(runs(now), runs(before), 1, up, h - BOTTOM, top, (h - top - BOTTOM) / 26);
        xScale = x;
        worked.map(AnalysisUpdate::now)
                .flatMap(curve::used)
                .ifPresent(used -> band(g, x, y, used.from() * shown, used.to() * shown));
        grid(
                g,
                x,
                y,
                curve.across(bench.lengthUnit(), bench.wheelTravel() == WheelTravel.ROLL_ONLY),
                curve.unit(bench.lengthUnit()));
        for (Series s : before) {
            stroke(g, s.runs(), x, y, shown, up, ColorToken.BEFORE, 1.5, true);
        }
        for (int i = now.size() - 1; i >= 0; i--) {
            stroke(
                    g,
                    now.get(i).runs(),
                    x,
                    y,
                    shown,
                    up,
                    INKS[Math.min(i, INKS.length - 1)],
                    i == 0 ? 2.5 : 1.5,
                    false);
        }
        double at = x.at(Math.clamp(CurvePosition.at(curve, bench) * shown, x.low(), x.high()));
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(1);
        g.strokeLine(at, top, at, h - BOTTOM);
        names(g, now, x, y, shown, up);
        reading(g, x, now, before, shown, w, h);
    }

    /** Each series named at the end of its line, where there are several. */
    private void names(GraphicsContext g, List<Series> all, Scale x, Scale y, double shown, double up) {
        if (!named(all)) {
            return;
        }
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.BOTTOM);
        List<Integer> lowestFirst = IntStream.range(0, all.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -y.at(end(all.get(i))[1] * up)))
                .toList();
        double free = Double.POSITIVE_INFINITY;
        for (int i : lowestFirst) {
            // Each no nearer than a line of text above the one below it.
            double at = Math.min(y.at(end(all.get(i))[1] * up) - 2, free);
            free = at - 13;
            g.setFill(ink(INKS[Math.min(i, INKS.length - 1)]));
            g.fillText(all.get(i).name(), x.at(end(all.get(i))[0] * shown) - 2, at);
        }
    }

    private static boolean named(List<Series> all) {
        return all.size() > 2;
    }

    private static double[] end(Series s) {
        return s.runs().getLast().points().getLast();
    }

    private static List<Run> runs(List<Series> all) {
        return all.stream().flatMap(s -> s.runs().stream()).toList();
    }

    /** The curve's values at the pointer, else at the current position. */
    private void reading(
            GraphicsContext g, Scale x, List<Series> now, List<Series> before, double shown, double w, double h) {
        boolean pointing = !Double.isNaN(pointed);
        double at = pointing ? pointed : CurvePosition.at(curve, bench) * shown;
        StringBuilder text = new StringBuilder(
                LengthText.decimal(at, Math.max(x.decimals(), curve.acrossWhat().isLength() ? 0 : 1)));
        text.append(!curve.acrossWhat().isLength() ? "°" : bench.lengthUnit() == LengthUnit.MM ? " mm" : "\"")
                .append(":  ");
        boolean any = false;
        for (Series s : now) {
            Optional<Double> value = s.value(at / shown);
            if (value.isPresent()) {
                text.append(any ? ",  " : "")
                        .append(s.name())
                        .append(s.name().isEmpty() ? "" : " ")
                        .append(curve.text(value.get(), bench.lengthUnit()));
                before.stream()
                        .filter(b -> b.name().equals(s.name()))
                        .findFirst()
                        .flatMap(b -> b.value(at / shown))
                        .filter(was -> Math.abs(was - value.get()) > 1e-9)
                        .ifPresent(was -> text.append(" (was ")
                                .append(curve.text(was, bench.lengthUnit()))
                                .append(')'));
                any = true;
            }
        }
        if (!any) {
            return;
        }
        if (pointing) {
            g.setStroke(ink(ColorToken.ACCENT));
            g.setLineDashes(2, 3);
            g.strokeLine(x.at(at), top, x.at(at), h - BOTTOM);
            g.setLineDashes();
        }
        g.setFont(Fonts.figure(13));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.TOP);
        g.setFill(ink(pointing ? ColorToken.ACCENT : ColorToken.LINE));
        g.fillText(text.toString(), w - RIGHT - 2, 0, w - LEFT - RIGHT);
    }

    private void stroke(
            GraphicsContext g,
            List<Run> runs,
            Scale x,
            Scale y,
            double shown,
            double up,
            ColorToken ink,
            double width,
            boolean dashed) {
        g.setStroke(ink(ink));
        g.setLineWidth(width);
        g.setLineDashes(dashed ? new double[] {5, 4} : new double[0]);
        for (Run run : runs) {
            double[] xs =
                    run.points().stream().mapToDouble(p -> x.at(p[0] * shown)).toArray();
            double[] ys =
                    run.points().stream().mapToDouble(p -> y.at(p[1] * up)).toArray();
            g.strokePolyline(xs, ys, xs.length);
        }
        g.setLineDashes();
    }
}
