package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.nio.file.Files;
import java.util.Optional;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.SubScene;
import javafx.scene.control.Slider;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The solids, for which the window is drawn by OpenGL: in a run of their own, as the rest does without it. */
@Tag("solids")
@ExtendWith(WindowExtension.class)
class SolidsTest {

    private AppWindow app;

    @Start
    void open(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private SubScene solid(FxRobot robot) {
        // Coarse while it moves; smooth again as soon as it rests.
        AppWindow.until(() -> robot.lookup("#solid-smooth").query().isVisible());
        return robot.lookup("#solid-smooth").queryAs(SubScene.class);
    }

    private WritableImage picture(FxRobot robot) {
        WritableImage[] image = new WritableImage[1];
        SubScene solid = solid(robot);
        robot.interact(() -> image[0] = solid.snapshot(null, null));
        return image[0];
    }

    @Test
    void solidsDrawTurnAndFollowTheJob(FxRobot robot) {
        app.settle();
        assumeThat(Platform.isSupported(ConditionalFeature.SCENE3D)).isTrue();
        robot.press(KeyCode.CONTROL, KeyCode.DIGIT4).release(KeyCode.DIGIT4, KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        WritableImage first = picture(robot);
        assertThat(inked(first)).as("something is drawn").isGreaterThan(500);
        robot.interact(() -> robot.lookup("#sheet-solid").query().requestFocus());
        robot.type(KeyCode.LEFT, KeyCode.LEFT, KeyCode.UP);
        WritableImage turned = picture(robot);
        assertThat(differ(first, turned)).as("it was turned").isGreaterThan(500);
        // A fatter tube is seen at once.
        robot.interact(() -> app.bench.edit(
                "fatter tube", j -> j.editColumn(c -> c.withTube(c.tube().map(t -> t.withOutside(160))))));
        assertThat(differ(turned, picture(robot))).as("the tube grew").isGreaterThan(100);
        for (DemoJob demo : DemoJob.values()) {
            robot.interact(() -> app.bench.open(demo.job(), Optional.empty()));
            assertThat(inked(picture(robot))).as(demo.toString()).isGreaterThan(500);
        }
    }

    /** In the solid view a joint is dragged, the near part cut away, and a picture kept. */
    @Test
    void pointDragCutPlaneAndPicture(FxRobot robot) throws Exception {
        app.settle();
        assumeThat(Platform.isSupported(ConditionalFeature.SCENE3D)).isTrue();
        robot.interact(() -> {
            app.bench.viewProperty().set(ViewChoice.SOLID);
            app.bench.showPart(Optional.of(new Element.JointAt(0)));
        });
        robot.interact(() -> robot.lookup("#look-left").queryButton().fire());
        WritableImage whole = picture(robot);
        PointId id = new PointId.JointCentre(0);
        Point was = JobPoints.position(app.bench.job(), id);
        Node handle = robot.lookup("#sheet-solid").query().lookup(".point-handle");
        robot.drag(handle).moveBy(0, -30).drop();
        Point now = JobPoints.position(app.bench.job(), id);
        assertThat(now.z()).as("up").isGreaterThan(was.z() + 10).isEqualTo(Math.rint(now.z()));
        assertThat(now.y()).as("not across: the view looks along that").isEqualTo(was.y());
        assertThat(app.bench.undoable()).hasValueSatisfying(l -> assertThat(l).contains("up"));
        robot.interact(app.bench::undo);
        assertThat(JobPoints.position(app.bench.job(), id)).isEqualTo(was);
        robot.drag("#look-cut .thumb").moveBy(40, 0).drop();
        assertThat(robot.lookup("#look-cut").queryAs(Slider.class).getValue()).isGreaterThan(0.2);
        robot.interact(() -> robot.lookup("#look-cut").queryAs(Slider.class).setValue(0));
        assertThat(differ(whole, picture(robot)))
                .as("the slider does not turn the vehicle")
                .isLessThan(50);
        robot.interact(() -> robot.lookup("#look-cut").queryAs(Slider.class).setValue(0.6));
        assertThat(differ(whole, picture(robot))).as("what is near is cut away").isGreaterThan(2000);
        app.chosen = AppWindow.temporary().resolve("left.png");
        robot.interact(() -> robot.lookup("#look-save").queryButton().fire());
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(ImageIO.read(app.chosen.toFile()).getWidth()).isGreaterThan(400);
    }

    private static int inked(WritableImage image) {
        Color paper = image.getPixelReader().getColor(2, 2);
        int n = 0;
        for (int x = 0; x < image.getWidth(); x++) {
            for (int y = 0; y < image.getHeight(); y++) {
                n += image.getPixelReader().getColor(x, y).equals(paper) ? 0 : 1;
            }
        }
        return n;
    }

    private static int differ(WritableImage a, WritableImage b) {
        int n = 0;
        for (int x = 0; x < Math.min(a.getWidth(), b.getWidth()); x++) {
            for (int y = 0; y < Math.min(a.getHeight(), b.getHeight()); y++) {
                n += a.getPixelReader().getArgb(x, y) == b.getPixelReader().getArgb(x, y) ? 0 : 1;
            }
        }
        return n;
    }
}
