package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.TitledPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.shape.Circle;
import javafx.stage.Stage;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.WorkStage;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The whole job as a fabricator does it, with mouse and keys, in the real window. */
@ExtendWith(WindowExtension.class)
class JourneyTest {

    private AppWindow app;
    private Path folder;

    @Start
    void open(Stage stage) throws Exception {
        folder = AppWindow.temporary();
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), folder.resolve("state"));
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private Finding finding(Fault fault) {
        return app.bench.analysisProperty().get().orElseThrow().now().findings().stream()
                .filter(f -> f.fault() == fault)
                .findFirst()
                .orElseThrow();
    }

    private double now(Headline h) {
        return app.bench
                .analysisProperty()
                .get()
                .orElseThrow()
                .now()
                .headlines()
                .get(h)
                .orElseThrow();
    }

    private static Point2D onScreen(FxRobot robot, String id) {
        Circle c = robot.lookup(id).queryAs(Circle.class);
        return c.localToScreen(c.getCenterX(), c.getCenterY());
    }

    @Test
    void bindingColumnIsCuredAndPrinted(FxRobot robot) throws Exception {
        app.settleWhole();
        // The column binds, and the window says where and why.
        assertThat(app.text(robot, "#notes-head")).startsWith("4 stop, 1 check");
        assertThat(robot.lookup("#side-findings").queryAs(ToggleButton.class).getText())
                .isEqualTo("Findings 5");
        AppWindow.openRow(robot, "#finding-0");
        assertThat(robot.lookup("#finding-0 .finding-what").queryAs(Label.class).getText())
                .startsWith("Lower joint binds with the frame moved: 37.8°");
        // What was not judged stands under the notes, folded away until asked for.
        TitledPane open = robot.lookup("#not-judged").queryAs(TitledPane.class);
        assertThat(open.getText())
                .isEqualTo("Not judged: "
                        + app.bench
                                .analysisProperty()
                                .get()
                                .orElseThrow()
                                .now()
                                .notJudged()
                                .size() + ", and what is missing");
        robot.interact(() -> open.setExpanded(true));
        assertThat(open.getContent().lookupAll(".finding-why"))
                .extracting(n -> ((Label) n).getText())
                .anyMatch(t -> t.contains("no plate of it is given") && t.contains("right steering arm"));
        robot.interact(() -> open.setExpanded(false));
        robot.clickOn("#element-5");
        assertThat(app.bench.selectionProperty().get()).contains(new Element.JointAt(1));

        // One press turns one fork to the clock angle worked out; the ripple falls.
        double rippleBefore = now(Headline.RIPPLE);
        robot.clickOn("#side-findings");
        AppWindow.openRow(robot, "#finding-3");
        app.settleWhole();
        robot.interact(() -> robot.lookup("#finding-3-remedy-0").queryButton().requestFocus());
        robot.press(KeyCode.SPACE).release(KeyCode.SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        app.settle();
        assertThat(app.bench.job().column().orElseThrow().shafts().get(1).clockingDeg())
                .isCloseTo(-61.0, within(0.05));
        assertThat(now(Headline.RIPPLE)).isLessThan(rippleBefore / 2.5);
        assertThat(app.text(robot, "#before-ripple")).isEqualTo("69 %");
        assertThat(app.text(robot, "#now-ripple")).isEqualTo("24 %");
        assertThat(finding(Fault.RIPPLE).severity()).isEqualTo(Severity.LOOK);

        // The steering arm is shortened by dragging its tie-rod point in the plan; every figure follows.
        Job clocked = app.bench.job();
        robot.clickOn("#stage-linkage");
        Point2D arm = onScreen(robot, "#sheet-plan-tie-rod-point-left");
        robot.drag(arm, MouseButton.PRIMARY).moveBy(0, -3).moveBy(0, -4);
        assertThat(app.bench.dragging()).isTrue();
        robot.drop();
        app.settle();
        double moved = app.bench
                        .job()
                        .axle()
                        .orElseThrow()
                        .left()
                        .knuckle()
                        .tieRodPoint()
                        .x()
                + 158;
        assertThat(moved).isBetween(10.0, 30.0);
        assertThat(app.bench
                        .job()
                        .axle()
                        .orElseThrow()
                        .left()
                        .knuckle()
                        .tieRodPoint()
                        .y())
                .isEqualTo(612);
        for (String figure : new String[] {"ratio", "outer_lock", "ackermann", "bump_steer", "circle"}) {
            assertThat(app.text(robot, "#before-" + figure))
                    .as(figure)
                    .isNotEmpty()
                    .isNotEqualTo(app.text(robot, "#now-" + figure));
        }
        assertThat(app.bench.undoable().orElseThrow()).contains("tie-rod point").contains("forward");

        // Undone with one key: the arm is as it was, the fork stays clocked.
        robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
        app.settle();
        assertThat(app.bench.job()).isEqualTo(clocked);

        // Saved, and the same from the file.
        app.chosen = folder.resolve("carrier.tilt");
        robot.press(KeyCode.CONTROL, KeyCode.S).release(KeyCode.S, KeyCode.CONTROL);
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(JobFile.open(app.chosen)).isEqualTo(clocked);
        assertThat(app.bench.unsaved()).isFalse();

        // The job card, from the stage that makes it.
        robot.clickOn("#stage-make");
        robot.clickOn("#make-papers-tab");
        app.chosen = folder.resolve("card.pdf");
        robot.clickOn("#save-job-card");
        AppWindow.until(() -> Files.exists(app.chosen));
        try (PDDocument pdf = Loader.loadPDF(app.chosen.toFile())) {
            assertThat(new PDFTextStripper().getText(pdf))
                    .contains("carrier.tilt", "61.0° anticlockwise", "26.7°", "37.4°", "340.3 mm", "334.6 mm");
        }
    }

    @Test
    void journeyByKeyboardInInches(FxRobot robot) {
        app.settle();
        // A point is nudged with the arrow keys where it stands.
        robot.interact(() -> robot.lookup("#sheet-side-joint-1").query().requestFocus());
        robot.press(KeyCode.SHIFT, KeyCode.UP).release(KeyCode.UP, KeyCode.SHIFT);
        robot.type(KeyCode.LEFT);
        app.settle();
        assertThat(app.bench
                        .job()
                        .column()
                        .orElseThrow()
                        .joints()
                        .get(1)
                        .centre()
                        .z())
                .isEqualTo(545);
        assertThat(app.bench
                        .job()
                        .column()
                        .orElseThrow()
                        .joints()
                        .get(1)
                        .centre()
                        .x())
                .isEqualTo(-284);

        // Lengths are shown in fractions, and taken in any unit whatever is shown.
        robot.press(KeyCode.CONTROL, KeyCode.U).release(KeyCode.U, KeyCode.CONTROL);
        robot.press(KeyCode.CONTROL, KeyCode.U).release(KeyCode.U, KeyCode.CONTROL);
        assertThat(app.bench.lengthUnit()).isEqualTo(LengthUnit.INCH_FRACTION);
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.Wheel())));
        TextField rim = robot.lookup("#field-column-steering-wheel-diameter-mm").queryAs(TextField.class);
        type(robot, rim, "14 1/2");
        assertThat(app.bench.job().column().orElseThrow().wheel().diameter()).isCloseTo(368.3, within(1e-9));
        type(robot, robot.lookup("#field-column-steering-wheel-diameter-mm").queryAs(TextField.class), "360 mm");
        assertThat(app.bench.job().column().orElseThrow().wheel().diameter()).isEqualTo(360);

        // What can't be read is refused with a sentence, and so is what can't be; nothing changes.
        Job before = app.bench.job();
        type(robot, robot.lookup("#field-column-steering-wheel-diameter-mm").queryAs(TextField.class), "1,234");
        assertThat(app.text(robot, "#message")).contains("comma");
        type(robot, robot.lookup("#field-column-steering-wheel-diameter-mm").queryAs(TextField.class), "-5");
        assertThat(app.text(robot, "#message")).contains("diameter is -127 mm; it can be 100 to 1000 mm");
        assertThat(app.bench.job()).isEqualTo(before);

        // Undo without limit, and redo.
        robot.interact(() -> robot.lookup("#wheel-dial").query().requestFocus());
        for (int i = 0; i < 6; i++) {
            robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
        }
        assertThat(app.bench.job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
        robot.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z).release(KeyCode.Z, KeyCode.SHIFT, KeyCode.CONTROL);
        assertThat(app.bench
                        .job()
                        .column()
                        .orElseThrow()
                        .joints()
                        .get(1)
                        .centre()
                        .z())
                .isEqualTo(545);
        robot.press(KeyCode.CONTROL, KeyCode.Y).release(KeyCode.Y, KeyCode.CONTROL);
        assertThat(app.bench
                        .job()
                        .column()
                        .orElseThrow()
                        .joints()
                        .get(1)
                        .centre()
                        .x())
                .isEqualTo(-284);
    }

    private static void type(FxRobot robot, TextField field, String text) {
        robot.interact(() -> {
            field.requestFocus();
            field.selectAll();
        });
        robot.write(text).type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void turningTheWheelUpdatesEverything(FxRobot robot) {
        app.settle();
        robot.clickOn("#wheel-dial");
        robot.interact(() -> robot.lookup("#wheel-dial").query().requestFocus());
        for (int i = 0; i < 10; i++) {
            robot.type(KeyCode.LEFT);
        }
        assertThat(app.bench.steeringInput().steeringWheelDeg()).isEqualTo(50);
        assertThat(app.text(robot, "#steer-left")).matches("L \\d+\\.\\d° left");
        // Away from centre there is nothing to drag, and a way back is offered.
        assertThat(robot.lookup(".point-handle").queryAll()).isEmpty();
        robot.press(KeyCode.ALT, KeyCode.SHIFT, KeyCode.RIGHT).release(KeyCode.RIGHT, KeyCode.SHIFT, KeyCode.ALT);
        assertThat(app.bench.steeringInput().steeringWheelDeg())
                .isCloseTo(app.bench.train().stopDeg(Side.RIGHT).orElseThrow(), within(1e-9));
        assertThat(app.text(robot, "#steer-right")).matches("R \\d+\\.\\d° right");
        robot.interact(() -> robot.lookup("#travel-left").query().requestFocus());
        robot.type(KeyCode.PAGE_UP);
        assertThat(app.bench.steeringInput().travelLeft()).isEqualTo(70);
        robot.clickOn("#centre-hands");
        assertThat(app.bench.steeringInput().straightAhead()).isTrue();
        assertThat(robot.lookup(".point-handle").queryAll()).isNotEmpty();
    }

    @Test
    void unreadableFileLeavesOpenJob(FxRobot robot) throws Exception {
        app.settle();
        app.chosen =
                Files.writeString(folder.resolve("broken.tilt"), "{\"format\": \"mild-tilt-job\", \"version\": 9}");
        robot.press(KeyCode.CONTROL, KeyCode.O).release(KeyCode.O, KeyCode.CONTROL);
        AppWindow.until(() -> robot.lookup("#problem-text").tryQuery().isPresent());
        assertThat(app.text(robot, "#problem-text")).contains("broken.tilt").contains("newer Mild Tilt");
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(app.bench.job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
        assertThat(app.bench.fileProperty().get()).isEmpty();
    }

    @Test
    void nothingIsCutOffAtAnyWindowSize(FxRobot robot) {
        app.settle();
        for (double[] size : new double[][] {{1280, 800}, {1100, 700}, {1600, 1000}}) {
            robot.interact(() -> {
                app.stage.setWidth(size[0]);
                app.stage.setHeight(size[1]);
            });
            AppWindow.until(() -> Math.abs(app.stage.getScene().getWidth() - size[0]) < 20);
            for (WorkStage stage : WorkStage.values()) {
                robot.interact(() -> app.bench.stageProperty().set(stage));
                app.nothingIsCutOff(stage + " at " + size[0]);
                if (stage == WorkStage.COLUMN) {
                    everyElementsSizesCanBeRead(robot);
                }
                if (stage == WorkStage.MAKE) {
                    everySheetCanBeRead(robot);
                }
                robot.lookup(".pane-head").queryAll().stream()
                        .filter(AppWindow::shownInTree)
                        .forEach(head -> {
                            var at = head.localToScene(head.getLayoutBounds());
                            assertThat(at.getMaxX())
                                    .isLessThanOrEqualTo(app.stage.getScene().getWidth());
                            assertThat(at.getMaxY())
                                    .isLessThanOrEqualTo(app.stage.getScene().getHeight());
                        });
            }
        }
    }

    private void everySheetCanBeRead(FxRobot robot) {
        for (MakeSheet sheet : MakeSheet.values()) {
            robot.interact(() -> app.bench.makeSheetProperty().set(sheet));
            // A sheet that was left before its papers came still says so, unseen.
            AppWindow.until(
                    () -> robot.lookup("Working it out …").queryAll().stream().noneMatch(AppWindow::shownInTree));
            robot.interact(() -> app.stage.getScene().getRoot().layout());
            assertThat(AppWindow.cutOff(app.stage.getScene().getRoot()))
                    .as(sheet.label())
                    .isEmpty();
            Node shown = robot.lookup(".make-sheet").queryAll().stream()
                    .filter(Node::isVisible)
                    .findFirst()
                    .orElse(app.stage.getScene().getRoot());
            double right = shown.localToScene(shown.getLayoutBounds()).getMaxX();
            assertThat(Stream.of(".make-table", ".make-row", ".finding-card")
                            .flatMap(s -> shown.lookupAll(s).stream())
                            .map(n -> n.localToScene(n.getLayoutBounds()).getMaxX()))
                    .as(sheet.label())
                    .allMatch(x -> x <= right + 0.5);
        }
    }

    private void everyElementsSizesCanBeRead(FxRobot robot) {
        for (Element e : Element.trainOf(app.bench.job())) {
            robot.interact(() -> app.bench.showPart(Optional.of(e)));
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(AppWindow.cutOff(robot.lookup("#piece").query()))
                    .as(e.toString())
                    .isEmpty();
        }
        robot.interact(() -> app.bench.showPart(Optional.empty()));
    }

    @Test
    void partialJobsWork(FxRobot robot) {
        Job demo = DemoJob.MARSH_CARRIER.job();
        Job columnOnly =
                Job.of("column only", new Plan(demo.vehicle(), demo.column(), Optional.empty(), demo.targets()));
        Job axleOnly = Job.of("axle only", new Plan(demo.vehicle(), Optional.empty(), demo.axle(), demo.targets()));
        Job nothing =
                Job.of("nothing yet", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets()));
        for (Job job : new Job[] {columnOnly, axleOnly, nothing}) {
            robot.interact(() -> app.bench.open(job, Optional.empty()));
            app.settle();
            for (WorkStage stage : WorkStage.values()) {
                robot.interact(() -> app.bench.stageProperty().set(stage));
                WaitForAsyncUtils.waitForFxEvents();
            }
            assertThat(robot.lookup(".element-tile").queryAll())
                    .hasSize(Element.trainOf(job).size());
            assertThat(app.bench.analysisProperty().get().orElseThrow().now().job())
                    .isEqualTo(Analysis.of(job).job());
        }
    }
}
