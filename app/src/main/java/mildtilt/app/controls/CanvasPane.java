package mildtilt.app.controls;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** An inked pane that is one canvas of its own size, cleared before each drawing. */
public abstract class CanvasPane extends ColoredPane {

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

    /** Draws everything on a clear canvas. */
    protected abstract void draw(GraphicsContext g, double w, double h);
}
