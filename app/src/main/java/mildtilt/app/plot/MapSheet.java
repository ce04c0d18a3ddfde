package mildtilt.app.plot;

import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.clearance.GapMap;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.range.TravelMap;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/**
 * Steering wheel against travel, each place in the ink of the margin to whatever limits it first, and hatched where it
 * is past. Hovering shows the margin and the limit; pressing moves the steering there.
 */
final class MapSheet extends CanvasPane {

    private static final double LEFT = 50;
    private static final double RIGHT = 104;
    private static final double TOP = 14;
    private static final double BOTTOM = 34;
    /** Margins from here on are all drawn alike, degrees. */
    private static final double AMPLE = 15;

    private static final double CLOSE = 5;
    /** Of a gap, over what is needed, mm. */
    private static final double CLOSE_GAP = 5;

    private final Workbench bench;
    private double pointedX = Double.NaN;
    private double pointedY = Double.NaN;

    MapSheet(Workbench bench) {
        this.bench = bench;
        setId("map");
        setMinSize(200, 120);
        setAccessibleText("Map of steering wheel against travel, by the margin to what limits first");
        bench.analysisProperty().addListener((_, _, _) -> redraw());
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
        visibleProperty().addListener((_, _, _) -> redraw());
        bench.stageProperty().addListener((_, _, _) -> redraw());
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> point(e.getX(), e.getY()));
        addEventHandler(MouseEvent.MOUSE_EXITED, _ -> point(Double.NaN, Double.NaN));
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> take(e.getX(), e.getY()));
        addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> take(e.getX(), e.getY()));
    }

    /**
     * A grid of margins to draw: the linkage's limits in degrees, or in the clearance stage the gaps in mm.
     *
     * @param close margins below this are drawn as close
     * @param ample margins from this on all look alike
     * @param words of the legend: past, close, more, ample
     * @param reachable of each cell; what stops keep the wheels from is drawn pale
     */
    private record Shown(
            List<Double> steeringWheelDeg,
            List<Double> travels,
            double[] margins,
            boolean[] reachable,
            double close,
            double ample,
            String[] words,
            IntFunction<String> reading) {

        double margin(int steer, int travel) {
            return margins[travel * steeringWheelDeg.size() + steer];
        }
    }

    private Optional<Shown> map() {
        return bench.analysisProperty()
                .get()
                .flatMap(w -> bench.stageProperty().get() == WorkStage.CLEARANCE
                        ? w.now().clearance().flatMap(c -> c.map()).map(this::gaps)
                        : w.now().map().map(this::limits));
    }

    private Shown limits(TravelMap m) {
        return new Shown(
                m.steeringWheelDeg(),
                m.travels(),
                m.cells().stream().mapToDouble(TravelMap.Cell::marginDeg).toArray(),
                new boolean[0],
                CLOSE,
                AMPLE,
                new String[] {"past a limit", "under " + (int) CLOSE + "°", (int) CLOSE + "° and more", "ample"},
                i -> {
                    TravelMap.Cell cell = m.cells().get(i);
                    return cell.marginDeg() == TravelMap.NONE_LEFT
                            ? cell.limit().label()
                            : (cell.marginDeg() < 0
                                            ? Quantity.angle(-cell.marginDeg()).text(bench.lengthUnit()) + " past "
                                            : Quantity.angle(cell.marginDeg()).text(bench.lengthUnit()) + " to ")
                                    + cell.limit().label();
                });
    }

    private Shown gaps(GapMap m) {
        boolean[] reachable = new boolean[m.cells().size()];
        for (int i = 0; i < reachable.length; i++) {
            reachable[i] = m.cells().get(i).reachable();
        }
        return new Shown(
                m.steeringWheelDeg(),
                m.travels(),
                m.cells().stream().mapToDouble(GapMap.Cell::margin).toArray(),
                reachable,
                CLOSE_GAP,
                GapMap.AMPLE,
                new String[] {"too small", "under " + lengthOf(CLOSE_GAP), "more", "plenty"},
                i -> {
                    GapMap.Cell c = m.cells().get(i);
                    return !c.reachable()
                            ? "beyond the stops"
                            : c.pair() == null
                                    ? "plenty of room"
                                    : lengthOf(Math.abs(c.margin()))
                                            + (c.margin() < 0 ? " short: " : " spare: ")
                                            + c.pair();
                });
    }

    private String lengthOf(double mm) {
        return Quantity.length(mm).text(bench.lengthUnit());
    }

    private void point(double x, double y) {
        pointedX = x;
        pointedY = y;
        redraw();
    }

    private void take(double x, double y) {
        map().ifPresent(m -> {
            double sw = m.steeringWheelDeg().getFirst()
                    + fromCells((x - LEFT) / width(), m.steeringWheelDeg().size())
                            * (m.steeringWheelDeg().getLast()
                                    - m.steeringWheelDeg().getFirst());
            double up = m.travels().getLast()
                    - fromCells((y - TOP) / height(), m.travels().size())
                            * (m.travels().getLast() - m.travels().getFirst());
            bench.steerTo(new SteeringInput(sw, up, up));
        });
    }

    private double width() {
        return getWidth() - LEFT - RIGHT;
    }

    private double height() {
        return getHeight() - TOP - BOTTOM;
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        if (!isVisible()) {
            return;
        }
        Optional<Shown> map = map();
        if (map.isEmpty()) {
            drawNothing(g, LEFT, h, "Nothing to draw:", "this job has no axle,", "or it can't turn.");
            return;
        }
        Shown m = map.get();
        int nx = m.steeringWheelDeg().size();
        int ny = m.travels().size();
        double cw = width() / nx;
        double ch = height() / ny;
        for (int j = 0; j < ny; j++) {
            for (int i = 0; i < nx; i++) {
                boolean out = m.reachable.length > 0 && !m.reachable[j * nx + i];
                cell(
                        g,
                        m,
                        out ? Double.NaN : m.margin(i, j),
                        LEFT + i * cw,
                        TOP + (ny - 1 - j) * ch,
                        cw,
                        ch,
                        (i + j) % 3 == 0);
            }
        }
        axes(g, m, w, h);
        legend(g, m, w);
        double hx = xAt(m, bench.steeringInput().steeringWheelDeg());
        double hy = yAt(m, bench.steeringInput().travelLeft());
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(2);
        g.strokeLine(hx - 8, hy, hx + 8, hy);
        g.strokeLine(hx, hy - 8, hx, hy + 8);
        reading(g, m, cw, ch, w);
    }

    /** @param margin not a number where the wheels can't go */
    private void cell(
            GraphicsContext g, Shown m, double margin, double x, double y, double cw, double ch, boolean hatch) {
        if (Double.isNaN(margin)) {
            g.setFill(ink(ColorToken.GRID));
            g.fillRect(x, y, cw + 0.7, ch + 0.7);
            return;
        }
        double pale = margin < 0
                ? 0.25
                : margin < m.close ? 0.4 : 0.45 + 0.4 * Math.min(1, (margin - m.close) / (m.ample - m.close));
        g.setFill(ink(margin < 0 ? ColorToken.STOP : margin < m.close ? ColorToken.LOOK : ColorToken.FINE)
                .interpolate(ink(ColorToken.PAPER), pale));
        // A little over its edge, so that no seams show.
        g.fillRect(x, y, cw + 0.7, ch + 0.7);
        if (margin < 0 && hatch) {
            g.setStroke(ink(ColorToken.PAPER));
            g.setLineWidth(1);
            g.strokeLine(x, y + ch, x + cw, y);
        }
    }

    private double xAt(Shown m, double sw) {
        double part = (sw - m.steeringWheelDeg().getFirst())
                / (m.steeringWheelDeg().getLast() - m.steeringWheelDeg().getFirst());
        return LEFT + inCells(part, m.steeringWheelDeg().size()) * width();
    }

    private double yAt(Shown m, double travel) {
        double span = m.travels().getLast() - m.travels().getFirst();
        return span == 0
                ? TOP + height() / 2
                : TOP
                        + inCells(
                                        (m.travels().getLast() - travel) / span,
                                        m.travels().size())
                                * height();
    }

    /** A sample stands in the middle of its cell. */
    private static double inCells(double part, int cells) {
        return (part * (cells - 1) + 0.5) / cells;
    }

    private static double fromCells(double part, int cells) {
        return cells == 1 ? 0 : (part * cells - 0.5) / (cells - 1);
    }

    /**
     * The reading; where there is little width without the names of what is near, which stand in the findings and at
     * the gap.
     */
    private static String fitting(String reading, double width) {
        Text measured = new Text(reading);
        measured.setFont(Fonts.figure(13));
        int names = reading.lastIndexOf(": ");
        return measured.getLayoutBounds().getWidth() <= width || names < 0 || reading.indexOf(": ") == names
                ? reading
                : reading.substring(0, names);
    }

    private void axes(GraphicsContext g, Shown m, double w, double h) {
        g.setFill(ink(ColorToken.LINE));
        g.setFont(Fonts.text(12));
        g.setTextBaseline(VPos.TOP);
        g.setTextAlign(TextAlignment.CENTER);
        for (double sw : new double[] {
            m.steeringWheelDeg().getFirst(), 0, m.steeringWheelDeg().getLast()
        }) {
            g.fillText(LengthText.decimal(sw, 0), xAt(m, sw), h - BOTTOM + 3);
        }
        g.setTextBaseline(VPos.BASELINE);
        // Where there is little width the short name does, and it keeps off the other axis's.
        boolean wide = width() > 190;
        g.fillText(
                wide ? "steering wheel, °  (right − / left +)" : "steering wheel, °",
                Math.max(LEFT + width() / 2, wide ? 0 : 96),
                h - 5);
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.CENTER);
        for (double z : new double[] {m.travels().getFirst(), 0, m.travels().getLast()}) {
            g.fillText(
                    LengthText.decimal(z / bench.lengthUnit().mm(), bench.lengthUnit() == LengthUnit.MM ? 0 : 1),
                    LEFT - 6,
                    yAt(m, z));
        }
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BASELINE);
        g.fillText(bench.lengthUnit() == LengthUnit.MM ? "mm up" : "in up", 4, h - 5);
    }

    private void legend(GraphicsContext g, Shown m, double w) {
        double x = w - RIGHT + 12;
        double[] margins = {-1, m.close - 1, m.close, m.ample};
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        for (int i = 0; i < m.words.length; i++) {
            double y = TOP + 8 + i * 20;
            cell(g, m, margins[i], x, y - 6, 12, 12, true);
            g.setFill(ink(ColorToken.LINE));
            g.fillText(m.words[i], x + 18, y, RIGHT - 32);
        }
    }

    private void reading(GraphicsContext g, Shown m, double cw, double ch, double w) {
        boolean pointing =
                pointedX >= LEFT && pointedX < LEFT + width() && pointedY >= TOP && pointedY < TOP + height();
        int i = Math.clamp(
                (int) (((pointing ? pointedX : xAt(m, bench.steeringInput().steeringWheelDeg())) - LEFT) / cw),
                0,
                m.steeringWheelDeg().size() - 1);
        int j = Math.clamp(
                m.travels().size()
                        - 1
                        - (int) (((pointing
                                                ? pointedY
                                                : yAt(m, bench.steeringInput().travelLeft()))
                                        - TOP)
                                / ch),
                0,
                m.travels().size() - 1);
        // Between the grid's last place and a stop, the last place counts.
        while (!pointing
                && m.reachable.length > 0
                && !m.reachable[j * m.steeringWheelDeg().size() + i]
                && i != m.steeringWheelDeg().size() / 2) {
            i += i > m.steeringWheelDeg().size() / 2 ? -1 : 1;
        }
        String text = LengthText.decimal(m.steeringWheelDeg().get(i), 0) + "°, "
                + Quantity.length(m.travels().get(j)).text(bench.lengthUnit()) + ": "
                + m.reading.apply(j * m.steeringWheelDeg().size() + i);
        g.setFill(ink(pointing ? ColorToken.ACCENT : ColorToken.LINE));
        g.setFont(Fonts.figure(13));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setTextBaseline(VPos.TOP);
        g.fillText(fitting(text, w - LEFT), w - 8, -3);
    }
}
