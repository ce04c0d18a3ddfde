package mildtilt.app.view;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mildtilt.geometry.Point;
import org.junit.jupiter.api.Test;

class SolidDragTest {

    private static final Point FROM = new Point(100.4, 20, 300);

    /** From the left: x to the left of the screen, z up, y toward the eye. */
    @Test
    void squareViewDragsInPlane() {
        SolidDrag drag =
                new SolidDrag(FROM, List.of(new double[] {-0.5, 0}, new double[] {0.01, 0.01}, new double[] {0, -0.5}));
        SolidDrag.Held to = drag.target(-20, 10, 1);
        assertThat(to.at()).isEqualTo(new Point(140, 20, 280));
        assertThat(to.words()).contains("plane");
    }

    @Test
    void obliqueViewDragsAlongAxis() {
        SolidDrag drag = new SolidDrag(
                FROM, List.of(new double[] {-0.4, 0.2}, new double[] {0.35, 0.25}, new double[] {0, -0.45}));
        assertThat(drag.target(2, -45, 1).at()).isEqualTo(new Point(100.4, 20, 400));
        SolidDrag.Held across = drag.target(35, 25, 0.1);
        assertThat(across.at().y()).isEqualTo(120);
        assertThat(across.at().x()).isEqualTo(FROM.x());
        assertThat(across.words()).contains("across");
        // Back again along the same axis.
        assertThat(drag.target(-35, -25, 1).at().y()).isEqualTo(-80);
    }
}
