package mildtilt.app.make;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.shop.FoundFigures;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** Parts as found along one shaft, to scale, the wheel left: what is kept, what comes off, and where the joint is. */
final class FoundDrawing extends CanvasPane {

    private static final double SIDE = 16;
    private static final double TOP = 22;
    private static final double ROW = 44;
    private static final double BAR = 14;

    /** One part. @param from where it begins along the shaft, mm from its wheel-end centre */
    record Bar(double from, FoundFigures figures) {}

    private final List<Bar> bars;
    private final double joint;
    private final String jointName;
    private final LengthUnit unit;

    /** @param joint where the shaft ends, mm from its wheel-end centre */
    FoundDrawing(List<Bar> bars, double joint, String jointName, LengthUnit unit) {
        this.bars = List.copyOf(bars);
        this.joint = joint;
        this.jointName = jointName;
        this.unit = unit;
        getStyleClass().add("rod-drawing");
        double height = TOP + ROW * bars.size() + 8;
        setMinHeight(height);
        setPrefHeight(height);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double longest = bars.stream()
                .mapToDouble(b -> b.from + b.figures.found().length())
                .reduce(joint, Math::max);
        double k = (w - 2 * SIDE) / longest;
        double at = SIDE + joint * k;
        g.setFont(Fonts.figure(13));
        g.setStroke(ink(ColorToken.FAINT));
        g.setLineWidth(1);
        g.setLineDashes(7, 3, 2, 3);
        g.strokeLine(at, TOP - 2, at, h);
        g.setLineDashes();
        g.setTextBaseline(VPos.BOTTOM);
        g.setTextAlign(at > w / 2 ? TextAlignment.RIGHT : TextAlignment.LEFT);
        g.setFill(ink(ColorToken.FAINT));
        g.fillText(jointName, Math.min(at, w - SIDE), TOP - 3);
        for (int i = 0; i < bars.size(); i++) {
            bar(g, bars.get(i), TOP + ROW * i, k);
        }
    }

    private void bar(GraphicsContext g, Bar b, double top, double k) {
        FoundFigures f = b.figures;
        double left = SIDE + b.from * k;
        double y = top + ROW - BAR - 4;
        double kept = f.left() * k;
        g.setLineWidth(1.4);
        g.setFill(ink(ColorToken.GRID));
        g.setStroke(ink(ColorToken.LINE));
        g.fillRect(left, y, kept, BAR);
        g.strokeRect(left, y, kept, BAR);
        double off = f.off() * k;
        if (f.off() > 0) {
            g.setStroke(ink(ColorToken.STOP));
            g.setLineDashes(4, 3);
            g.strokeRect(left + kept, y, off, BAR);
            g.setLineDashes();
        }
        // How short it can be made.
        double least = left + f.found().least() * k;
        g.setStroke(ink(ColorToken.ACCENT));
        g.setLineWidth(2);
        g.strokeLine(least, y - 3, least, y + BAR + 3);
        g.setTextBaseline(VPos.BOTTOM);
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(ink(ColorToken.LINE));
        String said = f.name() + ": " + LengthText.format(f.left(), unit) + " of "
                + LengthText.format(f.found().length(), unit)
                + (f.off() > FoundFigures.TAPE ? ", " + LengthText.format(f.off(), unit) + " off" : "")
                + (f.verdict().bad()
                        ? ", " + LengthText.format(Math.abs(f.over()), unit)
                                + (f.over() > 0 ? " too long" : " too short")
                        : "");
        g.setFill(ink(f.verdict().bad() ? ColorToken.STOP : ColorToken.LINE));
        g.fillText(said, Math.min(left, SIDE + 40), y - 3);
    }
}
