package mildtilt.app.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.ColoredPane;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.Workbench;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.drawing.UnrolledColumn;
import mildtilt.job.Element;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/**
 * The column laid straight with true lengths, and under each joint its two forks as clocks that turn with the steering
 * wheel.
 */
public final class UnrolledStrip extends ColoredPane {

    public static final double HEIGHT = 126;
    private static final double LINE_Y = 34;
    private static final double DIALS_Y = 58;
    private static final double MARGIN = 40;
    private static final double PAIR = 2 * ForkDial.SIZE + 7;
    private static final double NEAR = 9;

    private final Workbench bench;
    private final Canvas canvas = new Canvas();
    private final Pane dials = new Pane();
    /** Of the dials, below 1 where there is little room. */
    private double scale = 1;

    private UnrolledColumn unrolled = new UnrolledColumn(List.of(0.0), List.of());

    public UnrolledStrip(Workbench bench) {
        this.bench = bench;
        setId("unrolled");
        getStyleClass().add("unrolled");
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        dials.setPickOnBounds(false);
        getChildren().addAll(canvas, dials);
        bench.jobProperty().addListener((_, _, _) -> redraw());
        bench.steeringInputProperty().addListener((_, _, _) -> redraw());
        bench.selectionProperty().addListener((_, _, _) -> redraw());
        bench.lengthUnitProperty().addListener((_, _, _) -> redraw());
        visibleProperty().addListener((_, _, _) -> redraw());
        addEventHandler(MouseEvent.MOUSE_CLICKED, e -> {
            if (e.getTarget() == this || e.getTarget() == canvas) {
                bench.selectionProperty().set(at(e.getX(), e.getY()));
            }
        });
    }

    private double x(double along) {
        return MARGIN + (getWidth() - 2 * MARGIN) * along / unrolled.length();
    }

    /** What stands at a place of the strip. */
    private Optional<Element> at(double x, double y) {
        if (bench.job().column().isEmpty() || Math.abs(y - LINE_Y) > 2 * NEAR) {
            return Optional.empty();
        }
        Column c = bench.job().column().get();
        if (x < MARGIN + NEAR) {
            return Optional.of(new Element.Wheel());
        }
        for (int j = 0; j < c.joints().size(); j++) {
            if (Math.abs(x - x(unrolled.centres().get(j + 1))) < NEAR) {
                return Optional.of(new Element.JointAt(j));
            }
        }
        for (int b = 0; b < c.bearings().size(); b++) {
            Bearing bearing = c.bearings().get(b);
            if (Math.abs(x - x(unrolled.centres().get(bearing.shaft()) + bearing.along())) < NEAR) {
                return Optional.of(new Element.BearingAt(b));
            }
        }
        for (int s = 0; s < c.shafts().size(); s++) {
            if (x <= x(unrolled.centres().get(s + 1))) {
                return Optional.of(new Element.ShaftAt(s));
            }
        }
        return Optional.empty();
    }

    @Override
    protected void redraw() {
        double w = getWidth();
        if (!isVisible() || w < 2 * MARGIN + 40) {
            return;
        }
        canvas.setWidth(w);
        canvas.setHeight(HEIGHT);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, HEIGHT);
        if (bench.job().column().isEmpty()) {
            dials.getChildren().clear();
            return;
        }
        unrolled = UnrolledColumn.of(
                bench.train().column().orElseThrow(), bench.steeringInput().steeringWheelDeg());
        Column c = bench.job().column().get();
        g.setLineCap(StrokeLineCap.BUTT);
        parts(g, c);
        double[] pairs = pairs(w, c.joints().size());
        joints(g, c, pairs);
        dials(c, pairs);
        g.setFont(Fonts.text(12));
        g.setFill(ink(ColorToken.FAINT));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        if (pairs.length > 0 && pairs[0] - PAIR / 2 > 190) {
            g.fillText("Laid straight, true lengths.", 10, 66);
            g.fillText("Forks seen from the wheel end;", 10, 82);
            g.fillText("drag a round one to clock it.", 10, 98);
        }
    }

    private boolean chosen(Element e) {
        return bench.selectionProperty().get().equals(Optional.of(e));
    }

    private void parts(GraphicsContext g, Column c) {
        List<Double> at = unrolled.centres();
        for (int s = 0; s < c.shafts().size(); s++) {
            boolean chosen = chosen(new Element.ShaftAt(s));
            double from = x(at.get(s));
            double to = x(at.get(s + 1));
            g.setStroke(ink(chosen ? ColorToken.ACCENT : ColorToken.LINE));
            g.setLineWidth(chosen ? 7 : 5);
            g.strokeLine(from, LINE_Y, to, LINE_Y);
            if (c.shafts().get(s).slide().isPresent()) {
                // The outer part of a sliding shaft is thicker.
                g.setLineWidth(chosen ? 12 : 10);
                g.strokeLine((from + to) / 2, LINE_Y, to - 12, LINE_Y);
            }
            words(g, c, s, from, to, chosen);
        }
        g.setLineWidth(1.5);
        c.tube().ifPresent(t -> {
            g.setStroke(ink(chosen(new Element.Tube()) ? ColorToken.ACCENT : ColorToken.FAINT));
            g.strokeRect(x(t.from()), LINE_Y - 8, x(t.to()) - x(t.from()), 16);
        });
        for (int b = 0; b < c.bearings().size(); b++) {
            Bearing bearing = c.bearings().get(b);
            double x = x(at.get(bearing.shaft()) + bearing.along());
            g.setFill(ink(ColorToken.PAPER));
            g.fillRect(x - 4, LINE_Y - 10, 8, 20);
            g.setStroke(ink(chosen(new Element.BearingAt(b)) ? ColorToken.ACCENT : ColorToken.LINE));
            g.strokeRect(x - 4, LINE_Y - 10, 8, 20);
        }
        g.setStroke(ink(chosen(new Element.Wheel()) ? ColorToken.ACCENT : ColorToken.LINE));
        g.setLineWidth(7);
        g.strokeLine(MARGIN, LINE_Y - 20, MARGIN, LINE_Y + 20);
        g.setLineWidth(1.5);
        double end = x(unrolled.length());
        g.setStroke(ink(ColorToken.LINE));
        g.strokeRect(end, LINE_Y - 12, 22, 24);
    }

    /** Length above a shaft, clocking below it, where there is room. */
    private void words(GraphicsContext g, Column c, int s, double from, double to, boolean chosen) {
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setFill(ink(chosen ? ColorToken.ACCENT : ColorToken.LINE));
        String length = LengthText.format(c.length(s), bench.lengthUnit());
        if (width(length) < to - from - 16) {
            g.setFont(Fonts.figure(13));
            g.fillText(length, (from + to) / 2, LINE_Y - 20);
        }
        if (c.liesBetweenJoints(s)) {
            String clocking = clocking(c.shafts().get(s).clockingDeg());
            String all = "forks " + clocking;
            String fits = width(all) < to - from - 20 ? all : width(clocking) < to - from - 16 ? clocking : "";
            g.setFont(Fonts.text(13));
            g.fillText(fits, (from + to) / 2, LINE_Y + 16);
        }
    }

    private static String shortened(String name, double room) {
        String shown = name;
        while (shown.length() > 3 && width(shown) > room) {
            shown = shown.substring(0, shown.length() - 2).strip() + "…";
        }
        return shown;
    }

    static String clocking(double deg) {
        return ForkMark.isInLine(deg)
                ? ForkMark.way(deg)
                : Quantity.angle(Math.abs(deg)).text(LengthUnit.MM) + " " + ForkMark.way(deg);
    }

    private static double width(String text) {
        Text t = new Text(text);
        t.setFont(Fonts.figure(13));
        return t.getLayoutBounds().getWidth();
    }

    /** Where each joint's pair of dials stands: under the joint, moved aside where two would overlap. */
    private static double[] spread(double[] wanted, double from, double to) {
        double[] p = wanted.clone();
        double pair = p.length == 0 ? PAIR : Math.min(PAIR, (to - from) / p.length);
        for (int i = 0; i < p.length; i++) {
            p[i] = Math.max(p[i], i == 0 ? from + pair / 2 : p[i - 1] + pair);
        }
        for (int i = p.length - 1; i >= 0; i--) {
            p[i] = Math.min(p[i], i == p.length - 1 ? to - pair / 2 : p[i + 1] - pair);
        }
        return p;
    }

    private double[] pairs(double w, int joints) {
        double[] wanted = new double[joints];
        for (int j = 0; j < joints; j++) {
            wanted[j] = x(unrolled.centres().get(j + 1));
        }
        // With many joints on a narrow strip the dials are smaller.
        scale = Math.min(1, (w - 8) / Math.max(1, joints * PAIR));
        return spread(wanted, 4, w - 4);
    }

    private void joints(GraphicsContext g, Column c, double[] pairs) {
        for (int j = 0; j < c.joints().size(); j++) {
            double x = x(unrolled.centres().get(j + 1));
            boolean chosen = chosen(new Element.JointAt(j));
            g.setStroke(ink(ColorToken.GRID));
            g.setLineWidth(1.5);
            g.strokePolyline(
                    new double[] {x, pairs[j], pairs[j]},
                    new double[] {LINE_Y + 10, DIALS_Y - 2, DIALS_Y + ForkDial.SIZE / 2},
                    3);
            g.setFill(ink(ColorToken.PAPER));
            g.fillOval(x - 8, LINE_Y - 8, 16, 16);
            g.setStroke(ink(chosen ? ColorToken.ACCENT : ColorToken.LINE));
            g.setLineWidth(2.5);
            g.strokeOval(x - 8, LINE_Y - 8, 16, 16);
            g.strokeLine(x - 5, LINE_Y, x + 5, LINE_Y);
            g.strokeLine(x, LINE_Y - 5, x, LINE_Y + 5);
            g.setFont(Fonts.text(12));
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            g.setFill(ink(chosen ? ColorToken.ACCENT : ColorToken.FAINT));
            g.fillText(shortened(c.joints().get(j).name(), 2 * ForkDial.SIZE * scale), pairs[j], HEIGHT - 12);
        }
    }

    private void dials(Column c, double[] pairs) {
        List<UnrolledColumn.Fork> forks = unrolled.forks();
        while (dials.getChildren().size() > forks.size()) {
            dials.getChildren().removeLast();
        }
        for (int i = 0; i < forks.size(); i++) {
            if (i == dials.getChildren().size()) {
                dials.getChildren().add(new ForkDial(bench, i));
            }
            ForkDial dial = (ForkDial) dials.getChildren().get(i);
            UnrolledColumn.Fork f = forks.get(i);
            dial.setScaleX(scale);
            dial.setScaleY(scale);
            dial.relocate(
                    pairs[f.joint()] + (f.atGearEnd() ? -1 : 1) * (ForkDial.SIZE / 2 + 2) * scale - ForkDial.SIZE / 2,
                    DIALS_Y);
            dial.show(c, f);
        }
    }

    /** The dials as they stand, for the tests. */
    List<ForkDial> forkDials() {
        List<ForkDial> all = new ArrayList<>();
        dials.getChildren().forEach(n -> all.add((ForkDial) n));
        return all;
    }
}
