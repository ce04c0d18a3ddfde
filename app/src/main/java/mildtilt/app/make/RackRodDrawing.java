package mildtilt.app.make;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.build.RackRod;
import mildtilt.shop.RackRodFigures;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** A rack's own rod to scale, the inner ball left: the end cut open, the thread that holds, and what is cut off. */
final class RackRodDrawing extends CanvasPane {

    private static final double SIDE = 30;
    private static final double MIDDLE = 50;
    private static final double MEASURES = 96;

    private final RackRodFigures rod;
    private final LengthUnit unit;

    RackRodDrawing(RackRodFigures rod, LengthUnit unit) {
        this.rod = rod;
        this.unit = unit;
        getStyleClass().add("rod-drawing");
        setMinHeight(116);
        setPrefHeight(116);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        RackRod it = rod.it();
        double longest = Math.max(rod.centres(), it.length());
        double d = it.thread().major();
        double k = Math.min((w - 2 * SIDE) / longest, 34 / (2.2 * d));
        double left = (w - longest * k) / 2;
        double r = Math.max(3, d / 2 * k);
        double mouth = left + (rod.centres() - it.endReach()) * k;
        double ground = mouth + it.endDeep() * k;
        double outer = left + rod.centres() * k;
        double tip = left + rod.finished() * k;
        g.setLineWidth(1.4);
        g.setStroke(ink(ColorToken.LINE));
        // The end, its socket cut open.
        g.setFill(ink(ColorToken.GRID));
        g.fillRect(mouth, MIDDLE - 2 * r, outer - mouth, 4 * r);
        g.strokeRect(mouth, MIDDLE - 2 * r, outer - mouth, 4 * r);
        g.setFill(ink(ColorToken.PAPER));
        g.fillRect(mouth, MIDDLE - r, ground - mouth, 2 * r);
        g.strokeRect(mouth, MIDDLE - r, ground - mouth, 2 * r);
        // The rod, and its thread.
        g.fillRect(left, MIDDLE - r, tip - left, 2 * r);
        g.strokeRect(left, MIDDLE - r, tip - left, 2 * r);
        hatch(g, left + (it.length() - it.threaded()) * k, tip, r, ink(ColorToken.FAINT));
        hatch(g, mouth, tip, r, ink(rod.longer() < 0 ? ColorToken.STOP : ColorToken.ACCENT));
        if (rod.cut() > 0) {
            g.setLineDashes(4, 3);
            g.setStroke(ink(ColorToken.STOP));
            g.strokeRect(tip, MIDDLE - r, it.length() * k + left - tip, 2 * r);
            g.setLineDashes();
        }
        g.setStroke(ink(ColorToken.LINE));
        double nut = it.jamNut() * k;
        g.setFill(ink(ColorToken.GRID));
        g.fillRect(mouth - nut, MIDDLE - 1.7 * r, nut, 3.4 * r);
        g.strokeRect(mouth - nut, MIDDLE - 1.7 * r, nut, 3.4 * r);
        ball(g, left, 2.2 * r);
        ball(g, outer, 2.2 * r);
        measures(g, left, outer, k);
    }

    private void ball(GraphicsContext g, double x, double r) {
        g.setFill(ink(ColorToken.PAPER));
        g.fillOval(x - r, MIDDLE - r, 2 * r, 2 * r);
        g.strokeOval(x - r, MIDDLE - r, 2 * r, 2 * r);
    }

    private static void hatch(GraphicsContext g, double from, double to, double r, Paint ink) {
        g.setStroke(ink);
        g.setLineWidth(1.2);
        for (double x = from; x < to; x += 4) {
            g.strokeLine(x, MIDDLE + r, Math.min(to, x + 3), MIDDLE - r);
        }
    }

    private void measures(GraphicsContext g, double left, double outer, double k) {
        g.setStroke(ink(ColorToken.FAINT));
        g.setLineWidth(1);
        g.strokeLine(left, MEASURES, outer, MEASURES);
        g.strokeLine(left, MIDDLE + 10, left, MEASURES + 4);
        g.strokeLine(outer, MIDDLE + 10, outer, MEASURES + 4);
        g.setFont(Fonts.figure(13));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFill(ink(ColorToken.LINE));
        g.fillText(
                LengthText.format(rod.centres(), unit) + " between centres",
                left + rod.centres() * k / 2,
                MEASURES - 1);
        g.fillText(LengthText.format(rod.finished(), unit) + " to the tip", left + rod.finished() * k / 2, 18);
        if (rod.cut() > 0) {
            g.setFill(ink(ColorToken.STOP));
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText(
                    "cut off " + LengthText.format(rod.cut(), unit),
                    left + rod.it().length() * k,
                    18);
        }
    }
}
