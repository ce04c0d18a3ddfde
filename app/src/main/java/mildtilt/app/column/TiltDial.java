package mildtilt.app.column;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.columnrange.GearTilt;

/**
 * Which way a rack can be turned about its own axis, seen from the vehicle's left: thick where every joint stays inside
 * its limit.
 */
final class TiltDial extends CanvasPane {

    private static final double HEIGHT = 108;
    private static final int LABELLED = 30;

    private final GearTilt tilt;

    TiltDial(GearTilt tilt) {
        this.tilt = tilt;
        setId("tilt-dial");
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        setAccessibleText("Angles of the rack that suit the column");
    }

    /** 0 up, + to the left: the front of the vehicle is at the left as in the side view. */
    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double r = 72;
        double cx = w / 2;
        double cy = h - 14;
        g.setLineCap(StrokeLineCap.BUTT);
        g.setStroke(ink(ColorToken.GRID));
        g.setLineWidth(2);
        arc(g, cx, cy, r, -GearTilt.FARTHEST, GearTilt.FARTHEST);
        g.setStroke(ink(ColorToken.FINE));
        g.setLineWidth(9);
        tilt.suits().forEach(s -> arc(g, cx, cy, r, s.fromDeg(), s.toDeg()));
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (int deg = -60; deg <= 60; deg += LABELLED) {
            double a = Math.toRadians(90 + deg);
            g.setStroke(ink(ColorToken.LINE));
            g.setLineWidth(1);
            g.strokeLine(
                    cx + Math.cos(a) * (r - 7),
                    cy - Math.sin(a) * (r - 7),
                    cx + Math.cos(a) * (r + 6),
                    cy - Math.sin(a) * (r + 6));
            g.setFill(ink(ColorToken.LINE));
            g.fillText((deg > 0 ? "+" : "") + deg + "°", cx + Math.cos(a) * (r + 20), cy - Math.sin(a) * (r + 16));
        }
        // The input as it stands.
        g.setStroke(ink(ColorToken.ACCENT));
        g.setLineWidth(3);
        g.strokeLine(cx, cy, cx, cy - r + 10);
        g.setFill(ink(ColorToken.PAPER));
        g.fillOval(cx - 9, cy - 9, 18, 18);
        g.setStroke(ink(ColorToken.LINE));
        g.setLineWidth(2);
        g.strokeOval(cx - 9, cy - 9, 18, 18);
        g.setFill(ink(ColorToken.FAINT));
        g.fillText("front", cx - r - 50, cy);
        g.fillText("rear", cx + r + 50, cy);
        g.setFill(ink(ColorToken.ACCENT));
        g.fillText("as it is", cx + 30, cy - 30);
    }

    private static void arc(GraphicsContext g, double cx, double cy, double r, double from, double to) {
        g.strokeArc(cx - r, cy - r, 2 * r, 2 * r, 90 + from, to - from, ArcType.OPEN);
    }
}
