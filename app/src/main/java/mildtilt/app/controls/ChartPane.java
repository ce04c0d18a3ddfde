package mildtilt.app.controls;

import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.curve.Scale;
import mildtilt.units.LengthText;

/** A canvas with a scale along the bottom and one up the side; the frame lies where the scales run from and to. */
public abstract class ChartPane extends CanvasPane {

    /** Part of what runs along the bottom set apart from the rest. @param from of it, as the scale counts */
    protected final void band(GraphicsContext g, Scale x, Scale y, double from, double to) {
        double left = x.at(Math.max(x.low(), from));
        g.setFill(ink(ColorToken.GRID));
        g.setGlobalAlpha(0.55);
        g.fillRect(left, y.to(), Math.max(0, x.at(Math.min(x.high(), to)) - left), y.from() - y.to());
        g.setGlobalAlpha(1);
    }

    /**
     * Lines at round figures, the figures beside them. @param across what runs along the bottom; @param up the unit up
     * the side
     */
    protected final void grid(GraphicsContext g, Scale x, Scale y, String across, String up) {
        g.setFont(Fonts.text(12));
        g.setLineWidth(1);
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.RIGHT);
        for (double v = y.first(); v <= y.last() + 1e-9; v += y.step()) {
            g.setStroke(ink(Math.abs(v) < y.step() / 1e6 ? ColorToken.FAINT : ColorToken.GRID));
            g.strokeLine(x.from(), y.at(v), x.to(), y.at(v));
            g.setFill(ink(ColorToken.LINE));
            g.fillText(LengthText.decimal(v, y.decimals()), x.from() - 6, y.at(v));
        }
        g.setTextBaseline(VPos.TOP);
        g.setTextAlign(TextAlignment.CENTER);
        for (double v = x.first(); v <= x.last() + 1e-9; v += x.step()) {
            g.setStroke(ink(ColorToken.GRID));
            g.strokeLine(x.at(v), y.to(), x.at(v), y.from());
            g.setFill(ink(ColorToken.LINE));
            g.fillText(LengthText.decimal(v, x.decimals()), x.at(v), y.from() + 3);
        }
        g.setTextBaseline(VPos.BASELINE);
        g.fillText(across, (x.from() + x.to()) / 2, getHeight() - 5);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(up, 4, getHeight() - 5);
    }
}
