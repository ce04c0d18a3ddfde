package mildtilt.app.trial;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.trials.compare.RunOutFit;
import mildtilt.trials.compare.RunOutFit.AtBearing;
import mildtilt.trials.compare.RunOutFit.Station;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/** A shaft's middles along its length, far larger than life, seen two ways, with its bearings. */
final class RunOutDrawing extends CanvasPane {

    private static final double LEFT = 70;
    private static final double RIGHT = 70;

    private final RunOutFit run;
    private final LengthUnit unit;

    RunOutDrawing(RunOutFit run, LengthUnit unit) {
        this.run = run;
        this.unit = unit;
        setMinHeight(150);
        setPrefHeight(150);
        setAccessibleText("How far " + run.shaft() + " runs off its axis along its length");
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        List<Station> s = run.stations();
        double last = Math.max(
                        s.getLast().along(),
                        run.bearings().stream()
                                .mapToDouble(AtBearing::along)
                                .max()
                                .orElse(0))
                * 1.05;
        double most = Math.max(0.05, s.stream().mapToDouble(Station::off).max().orElse(0));
        double mid = h / 2 - 6;
        double up = (h / 2 - 34) / most;
        double k = (w - LEFT - RIGHT) / Math.max(1, last);
        g.setFont(Fonts.text(12));
        g.setTextBaseline(VPos.CENTER);
        g.setLineWidth(1);
        g.setStroke(ink(ColorToken.FAINT));
        g.setLineDashes(6, 4, 1, 4);
        g.strokeLine(LEFT, mid, w - RIGHT, mid);
        g.setLineDashes();
        g.setFill(ink(ColorToken.LINE));
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText("wheel end", LEFT - 6, mid);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("gear end", w - RIGHT + 6, mid);
        for (AtBearing b : run.bearings()) {
            double x = LEFT + b.along() * k;
            g.setFill(ink(b.tooMuch() ? ColorToken.STOP : ColorToken.FINE));
            g.fillRect(x - 3, mid - 13, 6, 26);
            g.setTextAlign(TextAlignment.CENTER);
            g.fillText(b.bearing(), x, 10);
        }
        trace(
                g,
                s.stream().mapToDouble(p -> LEFT + p.along() * k).toArray(),
                s.stream()
                        .mapToDouble(p -> mid - up * p.off() * Math.cos(Math.toRadians(p.highDeg())))
                        .toArray(),
                ColorToken.ACCENT);
        trace(
                g,
                s.stream().mapToDouble(p -> LEFT + p.along() * k).toArray(),
                s.stream()
                        .mapToDouble(p -> mid - up * p.off() * Math.sin(Math.toRadians(p.highDeg())))
                        .toArray(),
                ColorToken.BEFORE);
        run.bend().ifPresent(b -> {
            double x = LEFT + b.along() * k;
            g.setStroke(ink(ColorToken.STOP));
            g.setLineDashes(3, 3);
            g.strokeLine(x, 18, x, h - 34);
            g.setLineDashes();
        });
        g.setFill(ink(ColorToken.LINE));
        g.setTextAlign(TextAlignment.CENTER);
        for (Station p : s) {
            g.fillText(Quantity.length(p.along()).text(unit), LEFT + p.along() * k, h - 24);
        }
        g.setTextAlign(TextAlignment.LEFT);
        legend(g, ink(ColorToken.ACCENT), "toward the mark", LEFT, h - 8);
        legend(g, ink(ColorToken.BEFORE), "a quarter turn on", LEFT + 130, h - 8);
        g.fillText("largest " + Quantity.fine(most).text(unit) + " off its axis", LEFT + 270, h - 8);
    }

    private void legend(GraphicsContext g, Paint ink, String text, double x, double y) {
        g.setFill(ink);
        g.fillText("●", x, y);
        g.setFill(ink(ColorToken.LINE));
        g.fillText(text, x + 12, y);
    }

    private void trace(GraphicsContext g, double[] x, double[] y, ColorToken ink) {
        g.setStroke(ink(ink));
        g.setFill(ink(ink));
        g.setLineWidth(2);
        g.strokePolyline(x, y, x.length);
        for (int i = 0; i < x.length; i++) {
            g.fillOval(x[i] - 3, y[i] - 3, 6, 6);
        }
    }
}
