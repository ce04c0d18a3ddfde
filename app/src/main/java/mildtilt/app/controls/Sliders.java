package mildtilt.app.controls;

import javafx.scene.control.Slider;
import javafx.scene.input.MouseEvent;

/** Sliders that take a drag only after its press. */
public final class Sliders {

    private Sliders() {}

    /**
     * A press that closes a menu never comes to the slider under it, but the drag after it does, and JavaFX's own
     * slider fails on it.
     */
    public static Slider of(double min, double max, double value) {
        Slider slider = new Slider(min, max, value);
        boolean[] pressed = {false};
        slider.addEventFilter(MouseEvent.MOUSE_PRESSED, _ -> pressed[0] = true);
        slider.addEventFilter(MouseEvent.MOUSE_DRAGGED, e -> {
            if (!pressed[0]) {
                e.consume();
            }
        });
        slider.addEventFilter(MouseEvent.MOUSE_RELEASED, _ -> pressed[0] = false);
        return slider;
    }
}
