package mildtilt.app.make;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.build.RodMakeUp;
import mildtilt.shop.RodFigures;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** A rod along its length to scale, cut open: balls, necks, jam nuts, body, and how far each shank is in. */
final class RodDrawing extends CanvasPane {

    private static final double SIDE = 30;

    private final RodFigures rod;
    private final LengthUnit unit;

    RodDrawing(RodFigures rod, LengthUnit unit) {
        this.rod = rod;
        this.unit = unit;
        getStyleClass().add("rod-drawing");
        setMinHeight(112);
        setPrefHeight(112);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double k = Math.min(
                (w - 2 * SIDE) / rod.centres(), 34 / Math.max(rod.tube().outside(), 20));
        double left = (w - rod.centres() * k) / 2;
        double mid = 50;
        double face0 = left + rod.outer().faceOut() * k;
        double face1 = left + (rod.centres() - rod.inner().faceOut()) * k;
        double half = rod.tube().outside() / 2 * k;
        g.setLineWidth(1.4);
        g.setFill(ink(ColorToken.GRID));
        g.fillRect(face0, mid - half, face1 - face0, 2 * half);
        g.setStroke(ink(ColorToken.LINE));
        g.strokeRect(face0, mid - half, face1 - face0, 2 * half);
        end(g, k, left, face0, mid, rod.makeUp().outer(), rod.outer(), 1);
        end(g, k, left + rod.centres() * k, face1, mid, rod.makeUp().inner(), rod.inner(), -1);
        g.setStroke(ink(ColorToken.FAINT));
        g.setLineWidth(1);
        double y = 96;
        g.strokeLine(left, y, left + rod.centres() * k, y);
        g.strokeLine(left, mid + 8, left, y + 4);
        g.strokeLine(left + rod.centres() * k, mid + 8, left + rod.centres() * k, y + 4);
        g.setFont(Fonts.figure(13));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFill(ink(ColorToken.LINE));
        g.fillText(LengthText.format(rod.centres(), unit) + " between centres", left + rod.centres() * k / 2, y - 1);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(LengthText.format(rod.body(), unit), (face0 + face1) / 2, mid, Math.max(10, face1 - face0 - 8));
    }

    /** @param way 1 with the body to the right of the ball */
    private void end(
            GraphicsContext g,
            double k,
            double ball,
            double face,
            double mid,
            RodMakeUp.End made,
            RodFigures.EndFigures f,
            int way) {
        double r = made.part().thread().major() / 2 * k;
        double neck = ball + way * made.part().toThread() * k;
        double tip = ball + way * made.part().reach() * k;
        g.setStroke(ink(ColorToken.LINE));
        g.setFill(ink(ColorToken.PAPER));
        g.setLineWidth(1.4);
        bar(g, ball, neck, mid, r);
        bar(g, neck, tip, mid, r);
        // The thread that holds, hatched in the accent.
        g.setStroke(ink(f.engaged() < f.least() - 1e-6 ? ColorToken.STOP : ColorToken.ACCENT));
        g.setLineWidth(1);
        double to = face + way * f.engaged() * k;
        for (double x = Math.min(face, to); x <= Math.max(face, to); x += 4) {
            g.strokeLine(x, mid - r, x, mid + r);
        }
        g.setStroke(ink(ColorToken.LINE));
        g.setFill(ink(ColorToken.FAINT));
        double nut = made.jamNut() * k;
        g.fillRect(way > 0 ? face - nut : face, mid - r * 1.7, nut, r * 3.4);
        g.setFill(ink(ColorToken.PAPER));
        double ballR = Math.max(7, r * 1.5);
        g.fillOval(ball - ballR, mid - ballR, 2 * ballR, 2 * ballR);
        g.strokeOval(ball - ballR, mid - ballR, 2 * ballR, 2 * ballR);
        g.strokeLine(ball - 3, mid, ball + 3, mid);
        g.strokeLine(ball, mid - 3, ball, mid + 3);
        g.setFont(Fonts.text(12));
        g.setFill(ink(ColorToken.LINE));
        g.setTextBaseline(VPos.TOP);
        g.setTextAlign(way > 0 ? TextAlignment.LEFT : TextAlignment.RIGHT);
        g.fillText(made.part().thread().label() + ", " + LengthText.format(f.engaged(), unit) + " in", ball, 2);
    }

    private static void bar(GraphicsContext g, double from, double to, double mid, double r) {
        double x = Math.min(from, to);
        g.fillRect(x, mid - r, Math.abs(to - from), 2 * r);
        g.strokeRect(x, mid - r, Math.abs(to - from), 2 * r);
    }
}
