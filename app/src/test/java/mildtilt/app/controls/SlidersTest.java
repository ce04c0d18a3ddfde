package mildtilt.app.controls;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Slider;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import mildtilt.app.WindowExtension;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

@ExtendWith(WindowExtension.class)
class SlidersTest {

    private Slider slider;

    private Stage own;

    @Start
    void open(Stage stage) {
        slider = Sliders.of(0, 10, 5);
        // The stage that is given here keeps its size for the tests after.
        own = new Stage();
        own.setScene(new Scene(slider, 300, 40));
        own.show();
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(own::close);
    }

    private static void fire(Node at, EventType<MouseEvent> type, double x) {
        boolean down = type != MouseEvent.MOUSE_RELEASED;
        Event.fireEvent(
                at,
                new MouseEvent(
                        type,
                        x,
                        0,
                        x,
                        0,
                        MouseButton.PRIMARY,
                        1,
                        false,
                        false,
                        false,
                        false,
                        down,
                        false,
                        false,
                        false,
                        false,
                        false,
                        null));
    }

    @Test
    void dragWhosePressAMenuTookMovesNothing(FxRobot robot) {
        robot.interact(() -> {
            Node thumb = slider.lookup(".thumb");
            fire(thumb, MouseEvent.MOUSE_DRAGGED, 60);
            assertThat(slider.getValue()).isEqualTo(5);
            fire(thumb, MouseEvent.MOUSE_PRESSED, 0);
            fire(thumb, MouseEvent.MOUSE_DRAGGED, 60);
            fire(thumb, MouseEvent.MOUSE_RELEASED, 60);
            assertThat(slider.getValue()).isGreaterThan(6);
            fire(thumb, MouseEvent.MOUSE_DRAGGED, -60);
            assertThat(slider.getValue()).isGreaterThan(6);
        });
    }
}
