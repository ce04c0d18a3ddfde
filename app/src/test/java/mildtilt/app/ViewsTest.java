package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import javafx.application.ConditionalFeature;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import mildtilt.analysis.Analysis;
import mildtilt.app.shell.Recovery;
import mildtilt.app.workbench.CompareWith;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.FileStamp;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Each view of the real window by itself. */
@ExtendWith(WindowExtension.class)
class ViewsTest {

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

    private static void press(FxRobot robot, KeyCode... keys) {
        robot.press(keys);
        KeyCode[] back = new KeyCode[keys.length];
        for (int i = 0; i < keys.length; i++) {
            back[i] = keys[keys.length - 1 - i];
        }
        robot.release(back);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void arrowKeysWalkTheTrain(FxRobot robot) {
        app.settle();
        robot.clickOn("#element-0");
        assertThat(app.bench.selectionProperty().get()).contains(new Element.Wheel());
        robot.type(KeyCode.RIGHT, KeyCode.RIGHT, KeyCode.RIGHT);
        assertThat(app.bench.selectionProperty().get()).contains(new Element.JointAt(0));
        robot.type(KeyCode.LEFT);
        assertThat(app.bench.selectionProperty().get()).contains(new Element.ShaftAt(0));
        // What a tile says is read out with its state in words.
        assertThat(robot.lookup("#element-5").query().getAccessibleText()).isEqualTo("Lower joint, angle 37.4°, Stop");
        assertThat(robot.lookup("#element-9").query().getAccessibleText()).endsWith("36 %, Check");
        robot.clickOn("#element-2");
        assertThat(app.bench.selectionProperty().get())
                .as("a second press lets go")
                .isEmpty();
    }

    @Test
    void everySizeFieldWorks(FxRobot robot) {
        // Without a range to go through the many jobs made here are worked out sooner.
        robot.interact(() -> app.bench.edit(
                "No range",
                j -> j.editColumn(c -> c.withInstallation(c.installation().withFrameMovement(0)))));
        app.settle();
        Set<String> typed = new HashSet<>();
        for (Element element : Element.trainOf(app.bench.job())) {
            robot.interact(() -> app.bench.showPart(Optional.of(element)));
            Set<Node> fields = Set.copyOf(robot.lookup("#piece .measure-field").queryAll());
            assertThat(fields).as(element.toString()).isNotEmpty();
            // A size that several elements of a kind have is typed at the first.
            for (String id : fields.stream()
                    .map(Node::getId)
                    .filter(typed::add)
                    // The three coordinates of a point are typed into fields of one kind.
                    .filter(id -> !id.startsWith("field-y-") && !id.startsWith("field-z-"))
                    .sorted()
                    .toList()) {
                robot.interact(() -> typeAndUndo(robot, id));
            }
        }
    }

    private void typeAndUndo(FxRobot robot, String id) {
        Job before = app.bench.job();
        TextField field = robot.lookup("#" + id).queryAs(TextField.class);
        String was = field.getText();
        field.requestFocus();
        // A size that is not known yet is given one; a stud or a shaft is turned a little.
        field.setText(
                was.equals("none")
                        ? "14"
                        : id.contains("teeth")
                                ? String.valueOf(Integer.parseInt(was) + 1)
                                : String.valueOf(another(was)));
        field.getOnAction().handle(null);
        assertThat(app.bench.job()).as(id + " from " + was).isNotEqualTo(before);
        app.bench.undo();
        assertThat(app.bench.job()).as(id).isEqualTo(before);
        assertThat(robot.lookup("#" + id).queryAs(TextField.class).getText())
                .as("shown again")
                .isEqualTo(was);
    }

    /** Not far from what was there; a part of a whole stays one. */
    private static double another(String was) {
        double v = Double.parseDouble(was.replaceAll("[^0-9.−-]", "").replace('−', '-'));
        return v > 0 && v < 1 ? v * 0.9 : v * 1.01 + 0.5;
    }

    @Test
    void fieldCancelsWithEscapeAndMarksErrors(FxRobot robot) {
        app.settle();
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.JointAt(0))));
        TextField field = robot.lookup("#field-column-joints-max-angle-deg").queryAs(TextField.class);
        robot.interact(() -> {
            field.requestFocus();
            field.setText("wide");
            field.getOnAction().handle(null);
        });
        assertThat(field.getPseudoClassStates())
                .anyMatch(p -> p.getPseudoClassName().equals("wrong"));
        assertThat(field.getTooltip().getText()).contains("\"wide\" is not a number");
        robot.interact(field::requestFocus);
        robot.type(KeyCode.ESCAPE);
        assertThat(field.getText()).isEqualTo("35°");
        assertThat(field.getPseudoClassStates())
                .noneMatch(p -> p.getPseudoClassName().equals("wrong"));
        assertThat(app.bench.job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
    }

    @Test
    void viewsEnlargeZoomPanAndFit(FxRobot robot) {
        app.settle();
        String[] titles = {"#show-side", "#show-plan", "#show-front", "#show-solid"};
        KeyCode[] digits = {KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4};
        for (int i = 0; i < 4; i++) {
            press(robot, KeyCode.CONTROL, digits[i]);
            robot.interact(() -> app.stage.getScene().getRoot().layout());
            Bounds large = robot.lookup(titles[i])
                    .query()
                    .getParent()
                    .getParent()
                    .localToScene(robot.lookup(titles[i])
                            .query()
                            .getParent()
                            .getParent()
                            .getLayoutBounds());
            assertThat(large.getWidth()).isGreaterThan(500);
        }
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
        Node joint = robot.lookup("#sheet-side-joint-0").query();
        Bounds fitted = joint.getBoundsInParent();
        press(robot, KeyCode.CONTROL, KeyCode.EQUALS);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(robot.lookup("#sheet-side-joint-0").query().getBoundsInParent())
                .isNotEqualTo(fitted);
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT0);
        Bounds again = robot.lookup("#sheet-side-joint-0").query().getBoundsInParent();
        assertThat(again.getCenterX()).isCloseTo(fitted.getCenterX(), within(0.5));
        assertThat(again.getCenterY()).isCloseTo(fitted.getCenterY(), within(0.5));
    }

    @Test
    void missingOpenGlIsReported(FxRobot robot) {
        app.settle();
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
        if (!Platform.isSupported(ConditionalFeature.SCENE3D)) {
            assertThat(robot.lookup("#sheet-solid .hint").queryAs(Label.class).getText())
                    .contains("can't draw solids");
        }
        assertThat(robot.lookup("#sheet-solid").tryQuery()).isPresent();
    }

    @Test
    void themesAndUnitsSwitch(FxRobot robot) {
        app.settle();
        Color[] paper = new Color[2];
        robot.interact(() ->
                paper[0] = app.stage.getScene().snapshot(null).getPixelReader().getColor(700, 700));
        press(robot, KeyCode.CONTROL, KeyCode.D);
        robot.interact(() ->
                paper[1] = app.stage.getScene().snapshot(null).getPixelReader().getColor(700, 700));
        assertThat(paper[0].getBrightness()).isGreaterThan(0.8);
        assertThat(paper[1].getBrightness()).isLessThan(0.3);
        String[] shown = {"334.6 mm", "13.175\"", "13 3/16\""};
        for (LengthUnit unit : LengthUnit.values()) {
            robot.interact(() -> robot.lookup("#length-unit")
                    .queryAs(ChoiceBox.class)
                    .getSelectionModel()
                    .select(unit.ordinal()));
            assertThat(app.bench.lengthUnit()).isEqualTo(unit);
            assertThat(app.text(robot, "#now-tie_rod")).isEqualTo(shown[unit.ordinal()]);
        }
    }

    @Test
    void everyCurveAndComparisonIsShown(FxRobot robot) {
        app.settle();
        robot.interact(() ->
                app.bench.edit("longer travel", j -> j.withVehicle(j.vehicle().withBump(80))));
        app.settle();
        @SuppressWarnings("unchecked")
        ChoiceBox<Object> curve = robot.lookup("#curve").queryAs(ChoiceBox.class);
        assertThat(curve.getItems()).hasSizeGreaterThan(10);
        for (int i = 0; i < curve.getItems().size(); i++) {
            int choice = i;
            robot.interact(() -> curve.getSelectionModel().select(choice));
            assertThat(robot.lookup("#plot").query().getAccessibleText())
                    .isEqualTo(curve.getConverter().toString(curve.getItems().get(i)));
        }
        robot.interact(() -> app.bench.stageProperty().set(WorkStage.LINKAGE));
        robot.interact(() -> app.bench.stageProperty().set(WorkStage.COLUMN));
        assertThat(curve.getSelectionModel().getSelectedIndex())
                .as("the stage brings its curve")
                .isZero();
        press(robot, KeyCode.CONTROL, KeyCode.B);
        assertThat(app.bench.comparedProperty().get()).isEqualTo(CompareWith.PINNED);
        assertThat(app.text(robot, "#message")).startsWith("Marked");
    }

    /** The one search field finds a part, a point, a command, a figure and a word, and goes there. */
    @Test
    void searchGoesToAnything(FxRobot robot) {
        app.settle();
        find(robot, "lower joint");
        assertThat(app.bench.selectionProperty().get()).contains(new Element.JointAt(1));
        assertThat(app.bench.sideTabProperty().get()).isEqualTo(SideTab.PART);
        find(robot, "linkage stage");
        assertThat(app.bench.stageProperty().get()).isEqualTo(WorkStage.LINKAGE);
        Analysis now = app.bench.analysisProperty().get().orElseThrow().now();
        find(
                robot,
                now.findings().stream()
                        .filter(f -> f.element() instanceof Element.SteeringArms)
                        .findFirst()
                        .orElseThrow()
                        .headline(now.job()));
        assertThat(app.bench.sideTabProperty().get()).isEqualTo(SideTab.FINDINGS);
        assertThat(app.bench.selectionProperty().get()).contains(new Element.SteeringArms());
        // What is called nothing is said to be, and nothing happens.
        Job before = app.bench.job();
        find(robot, "zzz");
        assertThat(app.bench.job()).isEqualTo(before);
        find(robot, "scrub radius glossary");
        AppWindow.until(() -> robot.lookup("#glossary-search").tryQuery().isPresent());
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
    }

    private void find(FxRobot robot, String text) {
        press(robot, KeyCode.CONTROL, KeyCode.K);
        robot.write(text);
        WaitForAsyncUtils.waitForFxEvents();
        robot.type(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Played, the wheel turns by itself until it is paused, and the levers move both wheels where that is chosen. */
    @Test
    void steeringPlaysAndWheelsTravelTogether(FxRobot robot) {
        app.settle();
        robot.clickOn("#play-steer");
        AppWindow.until(() -> Math.abs(app.bench.steeringInput().steeringWheelDeg()) > 40);
        assertThat(app.bench.steeringInput().travelLeft()).isZero();
        robot.clickOn("#play-steer");
        SteeringInput paused = app.bench.steeringInput();
        WaitForAsyncUtils.waitForFxEvents(20);
        assertThat(app.bench.steeringInput()).isEqualTo(paused);
        robot.clickOn("#centre-hands");
        robot.clickOn("#travel-together");
        robot.interact(() -> robot.lookup("#travel-left").query().requestFocus());
        robot.type(KeyCode.PAGE_UP);
        assertThat(app.bench.steeringInput().travelLeft()).isEqualTo(70);
        assertThat(app.bench.steeringInput().travelRight()).isEqualTo(70);
        robot.clickOn("#play-travel");
        AppWindow.until(() -> app.bench.steeringInput().travelLeft() < 30);
        assertThat(app.bench.steeringInput().travelRight())
                .isEqualTo(app.bench.steeringInput().travelLeft());
        // Another stage is looked at with a still wheel.
        robot.clickOn("#stage-linkage");
        SteeringInput left = app.bench.steeringInput();
        WaitForAsyncUtils.waitForFxEvents(20);
        assertThat(app.bench.steeringInput()).isEqualTo(left);
    }

    /**
     * A selected shaft is dragged by its body: both its ends go along, as one change; what is not selected is not
     * moved.
     */
    @Test
    void selectedPartDragsByItsBody(FxRobot robot) {
        app.settle();
        Job before = app.bench.job();
        Point upper = JobPoints.position(before, new PointId.JointCentre(0));
        Point lower = JobPoints.position(before, new PointId.JointCentre(1));
        Point2D a = middle(robot, "#sheet-side-joint-0");
        Point2D b = middle(robot, "#sheet-side-joint-1");
        Point2D body = a.midpoint(b);
        robot.drag(body, MouseButton.PRIMARY).moveBy(8, 0).moveBy(8, 0).drop();
        assertThat(app.bench.job()).as("the sheet was shifted instead").isEqualTo(before);
        robot.interact(() -> {
            app.bench.showPart(Optional.of(new Element.ShaftAt(1)));
            robot.lookup("#show-whole").queryButton().fire();
        });
        body = middle(robot, "#sheet-side-joint-0").midpoint(middle(robot, "#sheet-side-joint-1"));
        robot.drag(body, MouseButton.PRIMARY).moveBy(8, 0).moveBy(8, 4).drop();
        WaitForAsyncUtils.waitForFxEvents();
        Vector went =
                JobPoints.position(app.bench.job(), new PointId.JointCentre(0)).minus(upper);
        assertThat(went.x()).as("rearward is to the right").isLessThan(-5);
        assertThat(went.y()).isZero();
        assertThat(JobPoints.position(app.bench.job(), new PointId.JointCentre(1))
                        .minus(lower))
                .isEqualTo(went);
        robot.interact(app.bench::undo);
        assertThat(app.bench.job()).isEqualTo(before);
    }

    private static Point2D middle(FxRobot robot, String id) {
        Bounds at =
                robot.lookup(id).query().localToScreen(robot.lookup(id).query().getBoundsInLocal());
        return new Point2D(at.getCenterX(), at.getCenterY());
    }

    @Test
    void steeringByMouse(FxRobot robot) {
        app.settle();
        Node dial = robot.lookup("#wheel-dial").query();
        Bounds at = dial.localToScreen(dial.getLayoutBounds());
        double cx = at.getCenterX();
        double cy = at.getCenterY() - 8;
        // A quarter round to the left, holding the rim at the top.
        robot.moveTo(cx, cy - 50).press(MouseButton.PRIMARY);
        robot.moveTo(cx - 35, cy - 35).moveTo(cx - 50, cy).release(MouseButton.PRIMARY);
        assertThat(app.bench.steeringInput().steeringWheelDeg()).isCloseTo(90, within(3.0));
        Node lever = robot.lookup("#travel-right").query();
        Bounds leverAt = lever.localToScreen(lever.getLayoutBounds());
        robot.moveTo(leverAt.getCenterX(), leverAt.getMinY() + 24)
                .press(MouseButton.PRIMARY)
                .release(MouseButton.PRIMARY);
        assertThat(app.bench.steeringInput().travelRight()).isGreaterThan(50);
        assertThat(app.bench.steeringInput().travelLeft()).isZero();
        press(robot, KeyCode.ALT, KeyCode.HOME);
        assertThat(app.bench.steeringInput()).isEqualTo(SteeringInput.STRAIGHT_AHEAD);
        press(robot, KeyCode.ALT, KeyCode.LEFT);
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(app.bench.steeringInput()).isEqualTo(new SteeringInput(10, 5, 5));
        assertThat(app.bench.train().stopDeg(Side.LEFT).orElseThrow()).isGreaterThan(10);
    }

    @Test
    void unsavedWorkPromptsToSave(FxRobot robot) throws Exception {
        app.settle();
        robot.interact(() ->
                app.bench.edit("longer travel", j -> j.withVehicle(j.vehicle().withBump(80))));
        assertThat(app.stage.getTitle()).contains("not saved");
        app.chosen = folder.resolve("kept.tilt");
        Platform.runLater(() -> app.stage.fireEvent(new WindowEvent(app.stage, WindowEvent.WINDOW_CLOSE_REQUEST)));
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
        assertThat(app.stage.isShowing()).isTrue();
        Platform.runLater(() -> app.stage.fireEvent(new WindowEvent(app.stage, WindowEvent.WINDOW_CLOSE_REQUEST)));
        AppWindow.answer(robot, ButtonData.YES);
        AppWindow.until(() -> !app.stage.isShowing());
        assertThat(JobFile.open(app.chosen).vehicle().bump()).isEqualTo(80);
        assertThat(app.bench.unsaved()).isFalse();
    }

    @Test
    void killedSessionIsRecovered(FxRobot robot) throws Exception {
        app.settle();
        Job lost = DemoJob.MARSH_CARRIER.job().withTitle("lost and found");
        // A copy with a lock that nobody holds is what a killed program leaves.
        Path state = folder.resolve("state");
        JobFile.save(state.resolve("dead.tilt"), lost);
        Files.writeString(
                state.resolve("dead.origin"), folder.resolve("lost.tilt").toString());
        Files.writeString(state.resolve("dead.lock"), "");
        Platform.runLater(() -> app.shell.documents().offerRecovered(app.stage));
        AppWindow.answer(robot, ButtonData.YES);
        AppWindow.until(() -> app.bench.job().equals(lost));
        assertThat(app.bench.unsaved()).isTrue();
        assertThat(app.bench.fileProperty().get()).contains(folder.resolve("lost.tilt"));
        assertThat(state.resolve("dead.tilt")).doesNotExist();
        try (Recovery another = new Recovery(state)) {
            assertThat(another.left()).as("it is this program's own work now").isEmpty();
        }
    }

    /**
     * What was recovered began from what the file held then: if somebody has written it since, saving asks, and theirs
     * is kept whatever follows.
     */
    @Test
    void recoveredWorkAsksBeforeReplacing(FxRobot robot) throws Exception {
        app.settle();
        Path file = folder.resolve("shared.tilt");
        Job mine = DemoJob.GREENHOUSE_TUG.job();
        JobFile.save(file, mine);
        Path state = folder.resolve("state");
        FileStamp then = FileStamp.of(file).orElseThrow();
        Files.writeString(state.resolve("dead.tilt"), JobWriter.write(mine.withTitle("mine")));
        Files.writeString(state.resolve("dead.origin"), then.size() + "\n" + then.checksum() + "\n" + file);
        Files.writeString(state.resolve("dead.lock"), "");
        JobFile.save(file, mine.withTitle("theirs"));
        Platform.runLater(() -> app.shell.documents().offerRecovered(app.stage));
        AppWindow.answer(robot, ButtonData.YES);
        AppWindow.until(() -> app.bench.job().title().equals("mine"));
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.NO);
        AppWindow.until(() -> !app.bench.unsaved());
        assertThat(JobFile.open(file).title()).isEqualTo("mine");
        assertThat(JobFile.open(folder.resolve("shared.theirs.tilt")).title()).isEqualTo("theirs");
        // The next save is over one's own, and asks nothing.
        robot.interact(() -> app.bench.edit("again", j -> j.withTitle("mine again")));
        robot.interact(() -> app.shell.documents().save(app.stage));
        assertThat(JobFile.open(file).title()).isEqualTo("mine again");
        assertThat(JobFile.open(folder.resolve("shared.theirs.tilt")).title()).isEqualTo("theirs");
    }

    @Test
    void writeProtectedJobPrompts(FxRobot robot) throws Exception {
        app.settle();
        Path file = folder.resolve("locked.tilt");
        JobFile.save(file, DemoJob.GREENHOUSE_TUG.job());
        robot.interact(() -> app.shell.documents().open(app.stage, file));
        assumeThat(file.toFile().setWritable(false, false)).isTrue();
        robot.interact(() -> app.bench.edit("title", j -> j.withTitle("changed")));
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
        assertThat(JobFile.open(file).title()).isNotEqualTo("changed");
        assertThat(app.bench.unsaved()).isTrue();
        Platform.runLater(() -> app.shell.documents().save(app.stage));
        AppWindow.answer(robot, ButtonData.NO);
        AppWindow.until(() -> !app.bench.unsaved());
        assertThat(JobFile.open(file).title()).isEqualTo("changed");
    }
}
