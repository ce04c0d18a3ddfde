package mildtilt.app.make;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import mildtilt.app.controls.CanvasPane;
import mildtilt.app.controls.ColorToken;
import mildtilt.app.controls.Fonts;
import mildtilt.shop.CutList;
import mildtilt.shop.StockPlan;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** Every bar to one scale, with its cuts in order and what is left. */
final class StockDrawing extends CanvasPane {

    private static final double BAR = 17;
    private static final double STEP = 40;

    /** More layouts than these are shown only in the table. */
    private static final int MOST = 12;

    private final Map<StockPlan.Bar, Long> bars = new LinkedHashMap<>();
    private final LengthUnit unit;

    StockDrawing(StockPlan plan, LengthUnit unit) {
        plan.alike().entrySet().stream().limit(MOST).forEach(e -> bars.put(e.getKey(), e.getValue()));
        this.unit = unit;
        setId("stock-drawing");
        setMinHeight(STEP * bars.size() + 6);
        setPrefHeight(STEP * bars.size() + 6);
    }

    @Override
    protected void draw(GraphicsContext g, double w, double h) {
        double longest =
                bars.keySet().stream().mapToDouble(StockPlan.Bar::length).max().orElse(1);
        double k = (w - 8) / longest;
        double y = 2;
        for (Map.Entry<StockPlan.Bar, Long> e : bars.entrySet()) {
            StockPlan.Bar b = e.getKey();
            g.setFill(ink(ColorToken.FAINT));
            g.setFont(Fonts.text(12));
            g.setTextAlign(TextAlignment.LEFT);
            g.setTextBaseline(VPos.TOP);
            g.fillText(
                    (e.getValue() > 1 ? e.getValue() + " × " : "")
                            + CutList.text(b.section()).text(unit) + (b.onHand() ? ", on hand, " : ", to buy, ")
                            + LengthText.format(b.length(), unit) + ", " + LengthText.format(b.rest(), unit)
                            + " left over",
                    4,
                    y);
            double top = y + 16;
            g.setStroke(ink(ColorToken.FAINT));
            g.setLineWidth(1);
            g.strokeRect(4.5, top + 0.5, b.length() * k - 1, BAR);
            double x = 4;
            g.setTextBaseline(VPos.CENTER);
            for (StockPlan.Cut c : b.cuts()) {
                double wide = c.saw() * k;
                g.setFill(ink(ColorToken.ACCENT));
                g.setGlobalAlpha(0.18);
                g.fillRect(x, top, wide, BAR + 1);
                g.setGlobalAlpha(1);
                g.setStroke(ink(ColorToken.LINE));
                g.strokeLine(x + wide, top - 2, x + wide, top + BAR + 3);
                g.setFill(ink(ColorToken.LINE));
                if (wide > 70) {
                    g.fillText(LengthText.format(c.saw(), unit), x + 4, top + BAR / 2 + 1, wide - 8);
                }
                x += wide + b.kerf() / Math.max(1, b.cuts().size()) * k;
            }
            y += STEP;
        }
    }
}
