package mildtilt.app.controls;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** An inked pane that is one canvas of its own size, cleared before each drawing. */
public abstract class CanvasPane extends ColoredPane {

    private static final double LINE = 17;

    private final Canvas canvas = new Canvas();

    protected CanvasPane() {
        getChildren().add(canvas);
    }

    @Override
    protected final void redraw() {
        double w = getWidth();
        double h = getHeight();
        canvas.setWidth(w);
        canvas.setHeight(h);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, h);
        draw(g, w, h);
    }

    /** Says why nothing is drawn, a line under another, about the middle. */
    protected void drawNothing(GraphicsContext g, double x, double height, String... lines) {
        g.setFill(ink(ColorToken.FAINT));
        g.setFont(Fonts.text(13));
        g.setTextAlign(TextAlignment.LEFT);
        for (int i = 0; i < lines.length; i++) {
            g.fillText(lines[i], x, height / 2 + (i - (lines.length - 1) / 2.0) * LINE);
        }
    }

    /** Draws everything on a clear canvas. */
    protected abstract void draw(GraphicsContext g, double w, double h);
}
