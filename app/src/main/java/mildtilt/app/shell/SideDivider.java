package mildtilt.app.shell;

import javafx.beans.property.DoubleProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;

/**
 * The line between the drawing and the side panel: dragged, or moved with the arrow keys, it makes the panel wider or
 * narrower.
 */
final class SideDivider extends Region {

    private static final double LEAST = 320;
    private static final double MOST = 640;
    private static final double STEP = 16;

    private final DoubleProperty width;
    private double grabbedAt;
    private double widthThen;

    /** @param width of the panel, pixels */
    SideDivider(Region panel, DoubleProperty width) {
        this.width = width;
        setId("side-divider");
        getStyleClass().add("side-divider");
        setMinWidth(5);
        setMaxWidth(5);
        setCursor(Cursor.H_RESIZE);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        setAccessibleText("Width of the side panel");
        width.set(Math.clamp(width.get(), LEAST, MOST));
        panel.minWidthProperty().bind(width);
        panel.prefWidthProperty().bind(width);
        panel.maxWidthProperty().bind(width);
        setOnMousePressed(e -> {
            grabbedAt = e.getSceneX();
            widthThen = width.get();
        });
        setOnMouseDragged(e -> to(widthThen + grabbedAt - e.getSceneX()));
        setOnKeyPressed(this::key);
    }

    private void to(double wanted) {
        // Half of a narrow window stays for the drawing.
        double most = getScene() == null ? MOST : Math.min(MOST, getScene().getWidth() / 2);
        width.set(Math.clamp(Math.rint(wanted), LEAST, Math.max(LEAST, most)));
    }

    private void key(KeyEvent e) {
        switch (e.getCode()) {
            case LEFT -> to(width.get() + STEP);
            case RIGHT -> to(width.get() - STEP);
            default -> {
                return;
            }
        }
        e.consume();
    }
}
