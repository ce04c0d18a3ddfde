package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import mildtilt.app.shell.MildTilt;
import mildtilt.findings.Fault;
import mildtilt.findings.Severity;
import mildtilt.glossary.Glossary;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.linkage.CentreLink;
import mildtilt.suspension.Strut;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The first five minutes, and a job that someone else writes meanwhile. */
@ExtendWith(WindowExtension.class)
class StartPageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, MildTilt.empty(), AppWindow.temporary());
        app.shell.showStart();
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private boolean shown(FxRobot robot, String id) {
        return robot.lookup(id)
                .tryQuery()
                .filter(n -> n.isVisible() && AppWindow.shownInTree(n))
                .isPresent();
    }

    @Test
    void ownVehicleStartsFromAFewNumbers(FxRobot robot) throws Exception {
        assertThat(shown(robot, "#start-page")).isTrue();
        assertThat(AppWindow.cutOff(robot.lookup("#start-page").query())).isEmpty();
        AppWindow.press(robot, "#start-gear-box-to-knuckle");
        assertThat(robot.lookup("#start-axle-sprung-beam")
                        .queryAs(ToggleButton.class)
                        .isSelected())
                .as("the axle that goes with it")
                .isTrue();
        AppWindow.press(robot, "#start-axle-struts");
        AppWindow.press(robot, "#start-gear-box-centre-link");
        AppWindow.until(() -> !robot.lookup("#start-own").query().isDisabled());
        AppWindow.type(robot, "#start-track", "5' 2\"");
        AppWindow.type(robot, "#start-tyre", "560");
        AppWindow.type(robot, "#start-wheelbase", "wide");
        assertThat(app.text(robot, "#message")).contains("wide");
        AppWindow.type(robot, "#start-wheelbase", "2.6 m");
        AppWindow.press(robot, "#start-own");
        AppWindow.until(() -> !shown(robot, "#start-page"));
        app.settle();
        assertThat(app.bench.job().axle().orElseThrow().track()).isBetween(1574.7, 1574.9);
        assertThat(app.bench.job().vehicle().wheelbase()).isEqualTo(2600);
        assertThat(app.bench.job().axle().orElseThrow().left().suspension()).isInstanceOf(Strut.class);
        assertThat(app.bench.job().axle().orElseThrow().linkage()).isInstanceOf(CentreLink.class);
        assertThat(app.bench.unsaved()).isTrue();
        app.chosen = AppWindow.temporary().resolve("my bus.tilt");
        robot.interact(() -> app.shell.documents().saveAs(app.stage));
        robot.interact(() -> app.bench.open(MildTilt.empty(), Optional.empty()));
        robot.interact(app.shell::showStart);
        assertThat(shown(robot, "#start-page")).isTrue();
        AppWindow.press(robot, "#start-recent-my-bus-tilt");
        assertThat(app.bench.fileProperty().get()).contains(app.chosen.toAbsolutePath());
        assertThat(shown(robot, "#start-page")).isFalse();
        // What no vehicle is is refused, and what was open stays.
        robot.interact(app.shell::showStart);
        AppWindow.until(() -> !robot.lookup("#start-own").query().isDisabled());
        AppWindow.type(robot, "#start-tyre", "20");
        Platform.runLater(() -> robot.lookup("#start-own").queryButton().fire());
        AppWindow.until(() -> app.text(robot, "#message").contains("tyre's diameter"));
        assertThat(app.bench.fileProperty().get()).contains(app.chosen.toAbsolutePath());
    }

    /**
     * A stranger's first job with nothing but what is on the screen: own vehicle, rack moved, forks clocked, tightest
     * gap, cut list on paper.
     */
    @Test
    void firstTaskFromStartPage(FxRobot robot) throws Exception {
        AppWindow.until(() -> !robot.lookup("#start-own").query().isDisabled());
        robot.clickOn("#start-track");
        AppWindow.type(robot, "#start-track", "1450");
        robot.clickOn("#start-own");
        AppWindow.until(() -> !shown(robot, "#start-page"));
        app.settleWhole();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .as("no findings of its own making")
                .noneMatch(f -> f.severity() == Severity.STOP);
        // The rack 20 mm back: pressed in the strip, typed in the panel.
        robot.clickOn("#stage-linkage");
        robot.clickOn("#element-" + Element.trainOf(app.bench.job()).indexOf(new Element.GearElement()));
        double was = rackX();
        AppWindow.until(() -> shown(robot, "#field-x-gear"));
        AppWindow.type(robot, "#field-x-gear", String.valueOf(Math.rint(was) - 20));
        assertThat(rackX()).isEqualTo(Math.rint(was) - 20);
        app.settle();
        // The forks clocked as is best for where the rack is now.
        robot.clickOn("#stage-column");
        robot.clickOn("#side-phasing");
        AppWindow.until(() -> shown(robot, "#set-all-forks"));
        if (!robot.lookup("#set-all-forks").query().isDisabled()) {
            robot.clickOn("#set-all-forks");
        }
        app.settle();
        assertThat(robot.lookup("#set-all-forks").query().isDisabled())
                .as("clocked")
                .isTrue();
        // The tightest gap: the first of the list, and the window goes there.
        robot.clickOn("#stage-clearance");
        robot.clickOn("#side-gaps");
        AppWindow.until(() -> shown(robot, "#gap-0"));
        robot.clickOn("#gap-0");
        assertThat(app.bench.shownGap()).isPresent();
        // The cut list, and on paper.
        robot.clickOn("#stage-make");
        AppWindow.until(() -> shown(robot, "#table-cut-list"));
        app.chosen = AppWindow.temporary().resolve("card.pdf");
        robot.press(KeyCode.CONTROL, KeyCode.P).release(KeyCode.P, KeyCode.CONTROL);
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(Files.size(app.chosen)).isGreaterThan(10_000);
    }

    private double rackX() {
        return JobPoints.position(app.bench.job(), new PointId.GearCentre()).x();
    }

    /** Done by hand, each step waits for it, lights what it speaks of, and at the end the demo has no stop left. */
    @Test
    void tourByHandCuresTheDemo(FxRobot robot) {
        AppWindow.press(robot, "#start-tour");
        app.settleWhole();
        step(robot, 1, () -> robot.clickOn("#element-5"));
        step(robot, 2, () -> {
            Node ring = robot.lookup("#sheet-side-joint-1").query();
            Bounds at = ring.localToScreen(ring.getBoundsInLocal());
            robot.drag(new Point2D(at.getCenterX(), at.getCenterY()), MouseButton.PRIMARY);
            for (int i = 0; i < 60 && jointHeight() > 496; i++) {
                robot.moveBy(0, 1);
            }
            robot.drop();
        });
        step(robot, 3, () -> AppWindow.openRow(robot, row(robot, Fault.RIPPLE)));
        step(robot, 4, () -> AppWindow.press(robot, row(robot, Fault.RIPPLE) + "-remedy-0"));
        step(robot, 5, () -> {
            robot.clickOn("#undo");
            AppWindow.until(() -> app.bench.redoable().isPresent());
            robot.clickOn("#redo");
        });
        step(robot, 6, () -> robot.press(KeyCode.ALT, KeyCode.SHIFT, KeyCode.LEFT)
                .release(KeyCode.LEFT, KeyCode.SHIFT, KeyCode.ALT));
        step(robot, 7, () -> {
            AppWindow.openRow(robot, row(robot, Fault.TOUCHES));
            AppWindow.press(robot, row(robot, Fault.TOUCHES) + "-remedy-1");
        });
        step(robot, 8, () -> {
            AppWindow.openRow(robot, row(robot, Fault.STUD_DOES_NOT_SEAT));
            AppWindow.press(robot, row(robot, Fault.STUD_DOES_NOT_SEAT) + "-remedy-0");
        });
        step(robot, 9, () -> {});
        assertThat(shown(robot, "#tour")).isFalse();
        app.settle();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.severity() == Severity.STOP);
    }

    /** What the tour does for the user ends as well. */
    @Test
    void tourDoesStepsOnRequest(FxRobot robot) {
        AppWindow.press(robot, "#start-tour");
        for (int i = 1; i <= 9; i++) {
            app.settleWhole();
            step(robot, i, () -> {
                if (!robot.lookup("#tour-show").query().isDisabled()) {
                    AppWindow.press(robot, "#tour-show");
                }
            });
        }
        app.settle();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.severity() == Severity.STOP);
    }

    private double jointHeight() {
        return app.bench.job().column().orElseThrow().joints().get(1).centre().z();
    }

    private String row(FxRobot robot, Fault fault) {
        AppWindow.until(() -> robot.lookup("#notes .finding-card").queryAll().stream()
                .anyMatch(n -> fault.equals(n.getProperties().get(Fault.class))));
        return "#"
                + robot.lookup("#notes .finding-card").queryAll().stream()
                        .filter(n -> fault.equals(n.getProperties().get(Fault.class)))
                        .findFirst()
                        .orElseThrow()
                        .getId();
    }

    private void step(FxRobot robot, int number, Runnable act) {
        AppWindow.until(() -> app.text(robot, "#tour-words").startsWith(number + " of 9."));
        assertThat(AppWindow.cutOff(robot.lookup("#tour").query())).isEmpty();
        AppWindow.until(() -> shown(robot, "#tour-light"));
        Bounds lit = robot.lookup("#tour-light")
                .query()
                .localToScene(robot.lookup("#tour-light").query().getLayoutBounds());
        assertThat(lit.getMinX()).as("lit at step " + number).isGreaterThanOrEqualTo(-8);
        assertThat(lit.getMinY()).isGreaterThanOrEqualTo(-8);
        assertThat(lit.getMaxX()).isLessThanOrEqualTo(app.stage.getScene().getWidth() + 8);
        assertThat(lit.getMaxY()).isLessThanOrEqualTo(app.stage.getScene().getHeight() + 8);
        if (number < 9) {
            assertThat(robot.lookup("#tour-next").query().isDisabled())
                    .as("step " + number + " waits")
                    .isTrue();
        }
        act.run();
        AppWindow.press(robot, "#tour-next");
    }

    @Test
    void figureOpensItsGlossaryEntry(FxRobot robot) {
        robot.interact(() -> app.bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty()));
        app.settle();
        Node figure = robot.lookup(".compare-grid .label")
                .match((Label l) -> l.getText().equals("Column ripple"))
                .query();
        robot.interact(() -> figure.fireEvent(new MouseEvent(
                MouseEvent.MOUSE_CLICKED,
                1,
                1,
                1,
                1,
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                true,
                false,
                true,
                null)));
        AppWindow.until(() -> robot.lookup("#glossary-search").tryQuery().isPresent());
        assertThat(robot.lookup("#glossary-search").queryAs(TextField.class).getText())
                .isEqualTo("Ripple");
        assertThat(robot.lookup("#glossary-terms .label").queryAllAs(Label.class))
                .anyMatch(l -> l.getText().startsWith("How much quicker and slower"))
                .anyMatch(l -> l.getText().startsWith("Usual: Under 10 %"));
        robot.interact(
                () -> robot.lookup("#glossary-search").queryAs(TextField.class).setText(""));
        assertThat(robot.lookup("#glossary-terms .sub-head").queryAllAs(Label.class))
                .hasSize(Glossary.terms().size());
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
    }

    @Test
    void savingAsksBeforeReplacingOthersWork(FxRobot robot) throws Exception {
        Path file = AppWindow.temporary().resolve("shared.tilt");
        JobFile.save(file, DemoJob.SALT_RAKE.job());
        robot.interact(() -> app.shell.documents().open(app.stage, file));
        robot.interact(() -> app.bench.edit("Mine", j -> j.withTitle("mine")));
        JobFile.save(file, DemoJob.SALT_RAKE.job().withTitle("theirs"));
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.open(file).title()).isEqualTo("theirs");
        assertThat(app.bench.unsaved()).isTrue();
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.NO);
        AppWindow.until(() -> !app.bench.unsaved());
        assertThat(JobFile.open(file).title()).isEqualTo("mine");
        assertThat(JobFile.open(file.resolveSibling("shared.theirs.tilt")).title())
                .isEqualTo("theirs");
        // Gone is no quarrel: it is written anew.
        Files.delete(file);
        robot.interact(() -> app.bench.edit("More", j -> j.withTitle("more")));
        robot.interact(() -> app.shell.documents().save(app.stage));
        assertThat(JobFile.open(file).title()).isEqualTo("more");
        app.chosen = AppWindow.temporary().resolve("beside.tilt");
        JobFile.save(file, DemoJob.SALT_RAKE.job().withTitle("theirs again"));
        robot.interact(() -> app.bench.edit("Most", j -> j.withTitle("most")));
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.YES);
        AppWindow.until(() -> !app.bench.unsaved());
        assertThat(JobFile.open(app.chosen).title()).isEqualTo("most");
        assertThat(JobFile.open(file).title()).isEqualTo("theirs again");
    }
}
