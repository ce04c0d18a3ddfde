package mildtilt.app.view;

import java.util.function.Function;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.app.draw.SheetView;
import mildtilt.drawing.Elevation;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** What an elevation stands on: the datum, which way the vehicle faces, and the scale. */
record SheetFrame(GraphicsContext g, SheetView v, double w, double h, Function<ColorToken, Color> ink) {

    /** Ground, or the centre line in plan. */
    void datum(Elevation elevation, boolean large) {
        g.setStroke(ink.apply(ColorToken.GRID));
        g.setLineWidth(1);
        double y = v.originY();
        if (elevation == Elevation.PLAN) {
            g.setLineDashes(14, 4, 3, 4);
            g.strokeLine(v.originX(), 0, v.originX(), h);
        } else if (y > 0 && y < h) {
            g.strokeLine(0, y, w, y);
        }
        g.setLineDashes();
        if (elevation != Elevation.PLAN && y > 12 && y < h - 24 && large) {
            g.setFill(ink.apply(ColorToken.FAINT));
            g.setFont(Fonts.text(12));
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText("ground", w - 8, y + 14);
        }
        if (large) {
            sides(elevation);
        }
    }

    /** Which way the vehicle faces, where it could be mistaken. */
    private void sides(Elevation elevation) {
        g.setFill(ink.apply(ColorToken.FAINT));
        g.setFont(Fonts.text(12));
        g.setTextBaseline(VPos.TOP);
        String left =
                switch (elevation) {
                    case SIDE -> "front";
                    case PLAN -> "left";
                    case FRONT -> "right";
                };
        String right =
                switch (elevation) {
                    case SIDE -> "rear";
                    case PLAN -> "right";
                    case FRONT -> "left";
                };
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("◂ " + left, 8, 6);
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(right + " ▸", w - 8, 6);
    }

    /** A bar of a round length near a quarter of the width. */
    void scaleBar(LengthUnit lengths) {
        double unit = lengths.mm();
        double rough = w / 4 / v.pixelsPerMm() / unit;
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double part = rough / power;
        double length = power * (part >= 5 ? 5 : part >= 2 ? 2 : 1) * unit;
        double pixels = length * v.pixelsPerMm();
        double y = h - 7;
        String text = LengthText.editable(length, lengths);
        g.setFill(ink.apply(ColorToken.PAPER));
        g.fillRect(0, h - 20, 22 + pixels + text.length() * 7, 20);
        g.setStroke(ink.apply(ColorToken.LINE));
        g.setLineWidth(1.5);
        g.strokePolyline(new double[] {8, 8, 8 + pixels, 8 + pixels}, new double[] {y - 5, y, y, y - 5}, 4);
        g.setFill(ink.apply(ColorToken.LINE));
        g.setFont(Fonts.text(12));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(text, 14 + pixels, y - 3);
    }
}
