package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.clearance.PairGap;
import mildtilt.findings.Fault;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.papers.PapersFiles;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Sweep;
import mildtilt.obstacle.TwoEnded;
import mildtilt.report.Papers;
import mildtilt.solid.TriangleMesh;
import mildtilt.steer.position.SteeringInput;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.survey.Surveyed;
import mildtilt.travel.CarriedStart;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The clearance stage as its users work in it: put things in the way, see what touches, look at it, take a route. */
@ExtendWith(WindowExtension.class)
class ClearanceStageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
        app.bench.stageProperty().set(WorkStage.CLEARANCE);
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private void tab(FxRobot robot, SideTab tab) {
        robot.interact(() -> app.bench.sideTabProperty().set(tab));
        app.settle();
    }

    private static void choose(FxRobot robot, String id, int which) {
        ChoiceBox<?> box = robot.lookup(id).queryAs(ChoiceBox.class);
        robot.interact(() -> box.getSelectionModel().select(which));
    }

    private static void choose(FxRobot robot, String id, String label) {
        @SuppressWarnings("unchecked")
        ChoiceBox<Object> box = robot.lookup(id).queryAs(ChoiceBox.class);
        robot.interact(() -> box.setValue(box.getItems().stream()
                .filter(i -> box.getConverter().toString(i).equals(label))
                .findFirst()
                .orElseThrow()));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Job job() {
        return app.bench.job();
    }

    private List<Obstacle> all() {
        return job().surroundings().obstacles();
    }

    @Test
    void obstaclesAreAddedSizedCopiedAndDeleted(FxRobot robot) {
        tab(robot, SideTab.OBSTACLES);
        int before = all().size();
        AppWindow.menu(robot, "#add-obstacle", "add-box");
        assertThat(all()).hasSize(before + 1);
        assertThat(app.bench.selectionProperty().get()).contains(new Element.InTheWay(before));
        AppWindow.type(robot, "#field-surroundings-obstacles-shape-length-mm", "12 in");
        AppWindow.type(robot, "#field-surroundings-obstacles-gap-mm", "20");
        AppWindow.type(robot, "#field-name", "left tool box");
        choose(robot, "#choice-carrier", Carrier.LEFT_LOWER_ARM.label());
        WaitForAsyncUtils.waitForFxEvents();
        choose(robot, "#choice-sweep", 5);
        WaitForAsyncUtils.waitForFxEvents();
        choose(robot, "#choice-hot", 0);
        WaitForAsyncUtils.waitForFxEvents();
        Obstacle box = all().getLast();
        assertThat(((Shape.Box) box.shape()).length()).isCloseTo(304.8, within(1e-9));
        assertThat(box.name()).isEqualTo("left tool box");
        assertThat(box.carrier()).isEqualTo(Carrier.LEFT_LOWER_ARM);
        assertThat(box.sweep()).isEqualTo(new Sweep.Wanders(10));
        assertThat(box.hot()).isTrue();
        assertThat(box.gap()).as("a gap of its own stays").isEqualTo(20);
        // A size that can't be is refused and leaves all as it was.
        AppWindow.type(robot, "#field-surroundings-obstacles-shape-width-mm", "-4");
        assertThat(((Shape.Box) all().getLast().shape()).width()).isEqualTo(150);
        assertThat(app.text(robot, "#message")).contains("width is -4 mm; it can be 0.1 to 20000 mm");
        AppWindow.menu(robot, "#more-" + before, "mirror-" + before);
        assertThat(all().getLast().name()).isEqualTo("right tool box");
        assertThat(all().getLast().carrier()).isEqualTo(Carrier.RIGHT_LOWER_ARM);
        AppWindow.menu(robot, "#more-" + before, "remove-" + before);
        assertThat(all()).extracting(Obstacle::name).contains("right tool box").doesNotContain("left tool box");
        for (String kind : List.of("add-tube", "add-cylinder", "add-plate", "add-sphere")) {
            AppWindow.menu(robot, "#add-obstacle", kind);
        }
        assertThat(all()).hasSize(before + 5);
        AppWindow.menu(robot, "#add-obstacle", "add-driver");
        assertThat(app.text(robot, "#message")).contains("There is a driver already");
        AppWindow.menu(robot, "#more-driver", "remove-driver");
        assertThat(job().surroundings().driver()).isEmpty();
        AppWindow.menu(robot, "#add-obstacle", "add-driver");
        assertThat(job().surroundings().driver()).isPresent();
        while (app.bench.undoable().isPresent()) {
            robot.interact(() -> app.bench.undo());
        }
        assertThat(job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
        app.settle();
    }

    /** A bracket in the tyre's way is put where there is room; then it says how far it may go from there. */
    @Test
    void bracketIsPutWhereThereIsRoom(FxRobot robot) {
        robot.interact(() -> {
            app.bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
            app.bench.stageProperty().set(WorkStage.CLEARANCE);
        });
        tab(robot, SideTab.OBSTACLES);
        app.settle();
        int bracket = all().stream().map(Obstacle::name).toList().indexOf("tray bracket");
        row(robot, bracket);
        AppWindow.press(robot, "#look-for-space");
        AppWindow.untilSays(robot, "#free-space", "too near to left tyre");
        Obstacle before = all().get(bracket);
        AppWindow.press(robot, "#move-to-place-0");
        assertThat(all().get(bracket)).isEqualTo(before.withShape(before.shape().shifted(new Vector(0, -30, 0))));
        app.settle();
        AppWindow.press(robot, "#look-for-space");
        AppWindow.untilSays(robot, "#free-space", "to the right");
        assertThat(app.bench.room().orElseThrow().space().isFree()).isTrue();
        robot.interact(() -> app.bench.undo());
        assertThat(app.bench.room()).isEmpty();
        assertThat(job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
    }

    /** Cycled by hand in the workshop: at straight ahead and at both locks, up and down, until something ends it. */
    @Test
    void suspensionIsCycledAtThreeLocksAStrapIsSetAndTheTableIsPrinted(FxRobot robot) throws Exception {
        robot.interact(() -> {
            app.bench.open(DemoJob.BOG_TENDER.job(), Optional.empty());
            app.bench.stageProperty().set(WorkStage.CLEARANCE);
        });
        tab(robot, SideTab.OBSTACLES);
        int damper = 0;
        row(robot, damper);
        AppWindow.type(robot, "#field-surroundings-obstacles-shape-open-mm", "430");
        app.settle();
        tab(robot, SideTab.TRAVEL);
        AppWindow.untilSays(robot, "#travel-pane", "Cycled at three locks");
        AppWindow.until(() -> text(robot, "#travel-ahead-droop").contains("left damper pulled out to its end"));
        assertThat(text(robot, "#travel-ahead-bump")).contains("85.0 mm").contains("the travel that is stated");
        robot.interact(
                () -> robot.lookup("#travel-left-droop").queryAs(Button.class).fire());
        app.settle();
        SteeringInput there = app.bench.steeringInput();
        assertThat(there.steeringWheelDeg()).isGreaterThan(400);
        assertThat(there.travelLeft()).isBetween(-75.0, -30.0);
        assertThat(app.bench.selectionProperty().get()).contains(new Element.InTheWay(damper));
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.LENGTH_RUNS_OUT);
        // A strap that ends droop a little before the damper does.
        robot.interact(() -> app.bench.steerTo(SteeringInput.STRAIGHT_AHEAD));
        tab(robot, SideTab.OBSTACLES);
        int strap = all().stream().map(Obstacle::name).toList().indexOf("left strap");
        row(robot, strap);
        AppWindow.type(robot, "#field-travel-left", "45");
        app.settle();
        tab(robot, SideTab.TRAVEL);
        AppWindow.until(() -> text(robot, "#travel-ahead-droop").contains("left strap taut"));
        assertThat(text(robot, "#travel-ahead-droop")).startsWith("Straight ahead, droop: 45.0 mm");
        AppWindow.untilSays(robot, "#travel-pane", "left strap ends droop at 45");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.LENGTH_RUNS_OUT);
        Path folder = AppWindow.temporary();
        PapersFiles.tables(
                Papers.of(app.bench.analysisProperty().get().orElseThrow().now(), LocalDate.of(2026, 1, 1)), folder);
        List<String> rows = Files.readAllLines(folder.resolve("usable-travel.csv"));
        assertThat(rows).hasSize(14);
        assertThat(rows.get(7)).startsWith("0").contains("45").contains("left strap taut");
        while (app.bench.undoable().isPresent()) {
            robot.interact(() -> app.bench.undo());
        }
        assertThat(job()).isEqualTo(DemoJob.BOG_TENDER.job());
        app.settle();
    }

    private static void row(FxRobot robot, int index) {
        AppWindow.until(() -> robot.lookup("#obstacle-" + index).tryQuery().isPresent());
        robot.interact(() ->
                robot.lookup("#obstacle-" + index).query().getOnMouseClicked().handle(null));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static String text(FxRobot robot, String id) {
        return robot.lookup(id).tryQueryAs(Button.class).map(Button::getText).orElse("");
    }

    @Test
    void partsBetweenTwoEndsAreAddedFixedAndCopied(FxRobot robot) {
        tab(robot, SideTab.OBSTACLES);
        int before = all().size();
        for (CarriedStart start : CarriedStart.values()) {
            AppWindow.menu(
                    robot,
                    "#add-obstacle",
                    "add-" + start.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
        assertThat(all()).hasSize(before + CarriedStart.values().length);
        row(robot, before);
        choose(robot, "#choice-from-fit", "eye on a bolt");
        AppWindow.type(robot, "#field-surroundings-obstacles-shape-from-fit-allowed-deg", "14");
        choose(robot, "#choice-to-on", Carrier.LEFT_KNUCKLE.label());
        TwoEnded damper = (TwoEnded) all().get(before).shape();
        assertThat(damper.from().fit())
                .hasValueSatisfying(f -> assertThat(f.mostTiltDeg()).isEqualTo(14));
        assertThat(damper.to().on()).isEqualTo(Carrier.LEFT_KNUCKLE);
        AppWindow.menu(robot, "#more-" + before, "mirror-" + before);
        TwoEnded other = (TwoEnded) all().getLast().shape();
        assertThat(other.to().on()).isEqualTo(Carrier.RIGHT_KNUCKLE);
        assertThat(other.mirrored()).isEqualTo(damper);
        // The joints of the suspension are under the knuckles.
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.Knuckles())));
        AppWindow.type(robot, "#field-axle-left-joints-lower-ball-joint-allowed-deg", "15");
        assertThat(job().axle().orElseThrow().left().joints())
                .extracting(JointTilt::allowedDeg)
                .containsExactly(15.0);
        app.settle();
        assertThat(app.bench
                        .analysisProperty()
                        .get()
                        .orElseThrow()
                        .now()
                        .travel()
                        .orElseThrow()
                        .uses())
                .anyMatch(u -> u.bound().name().equals("right lower ball joint"));
        while (app.bench.undoable().isPresent()) {
            robot.interact(() -> app.bench.undo());
        }
        assertThat(job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
        app.settle();
    }

    @Test
    void obstaclePointMovesByKeysAndGapUpdates(FxRobot robot) {
        int bracket = all().size() - 1;
        app.settle();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.about().equals("left tyre and tray bracket"));
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.InTheWay(bracket))));
        Node handle = robot.lookup("#sheet-side-obstacle-" + bracket + "-0").query();
        Point was = all().get(bracket).shape().points().getFirst();
        robot.interact(handle::requestFocus);
        robot.push(KeyCode.SHIFT, KeyCode.UP);
        assertThat(all().get(bracket).shape().points().getFirst().z()).isCloseTo(was.z() + 10, within(1e-9));
        for (int i = 0; i < 4; i++) {
            robot.push(KeyCode.SHIFT, KeyCode.RIGHT);
        }
        app.settle();
        assertThat(all().get(bracket).shape().points().getFirst().x()).isLessThan(was.x());
    }

    /** Nothing that is drawn anew on the way may keep the parts of the job before as those of the new one. */
    @Test
    void anotherJobIsDrawnWhileAGapIsShown(FxRobot robot) {
        tab(robot, SideTab.GAPS);
        AppWindow.press(robot, "#gap-0");
        assertThat(app.bench.shownGap()).isPresent();
        robot.interact(() -> app.bench.open(DemoJob.BOG_TENDER.job(), Optional.empty()));
        int obstacles = job().surroundings().obstacles().size();
        assertThat(app.bench.sketch().strokes())
                .extracting(x -> x.element().orElse(null))
                .filteredOn(Element.InTheWay.class::isInstance)
                .isNotEmpty()
                .allMatch(e -> ((Element.InTheWay) e).index() < obstacles);
        app.settle();
    }

    @Test
    void pressingAGapGoesToItsPosition(FxRobot robot) {
        tab(robot, SideTab.GAPS);
        Button first = robot.lookup("#gap-0").queryAs(Button.class);
        assertThat(first.getText()).startsWith("left tyre and tray bracket").contains("touches");
        assertThat(first.getStyleClass()).contains("gap-touches");
        AppWindow.press(robot, "#gap-0");
        PairGap shown = app.bench.shownGap().orElseThrow();
        assertThat(app.bench.steeringInput().steeringWheelDeg())
                .isCloseTo(shown.where().steeringWheelDeg(), within(1e-9))
                .isGreaterThan(400);
        assertThat(app.bench.steeringInput().travelLeft()).isCloseTo(70, within(1.0));
        assertThat(app.bench.selectionProperty().get()).contains(new Element.Tyres());
        robot.interact(() -> app.bench.steerTo(SteeringInput.STRAIGHT_AHEAD));
        assertThat(app.bench.shownGap()).as("elsewhere the gap is another").isEmpty();
        AppWindow.until(() -> said(robot).stream().anyMatch(t -> t.startsWith("At this width up to")));
        List<String> said = said(robot);
        assertThat(said)
                .anyMatch(t -> t.contains("the stop must act at"))
                .anyMatch(t -> t.contains("of bump is free"))
                .anyMatch(t -> t.startsWith("At this width up to"));
        // The remedy that sets the stops takes the foul away.
        robot.interact(() -> app.bench.sideTabProperty().set(SideTab.FINDINGS));
        AppWindow.openRow(robot, "#finding-1");
        app.settleWhole();
        AppWindow.press(robot, "#finding-1-remedy-0");
        app.settle();
        assertThat(job().axle().orElseThrow().left().limits().stopInner().orElseThrow())
                .isLessThan(24);
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.about().equals("left tyre and tray bracket"));
        assertThat(AppWindow.cutOff(app.stage.getScene().getRoot())).isEmpty();
    }

    @Test
    void scanImportAsksForUnit(FxRobot robot) throws Exception {
        Path sample = Path.of("..", "docs", "samples", "tray-bracket.stl");
        int before = all().size();
        app.chosen = sample;
        Platform.runLater(() -> app.shell.documents().openScan(app.stage));
        AppWindow.until(() -> robot.lookup("#scan-unit-mm").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup("#scan-unit-mm").queryAs(RadioButton.class).setSelected(true));
        assertThat(robot.lookup("#scan-unit-m").queryAs(RadioButton.class).getText())
                .contains("in metres", "of the wheelbase");
        AppWindow.answer(robot, ButtonData.YES);
        AppWindow.until(() -> all().size() == before + 1);
        Shape.Scan scan = (Shape.Scan) all().getLast().shape();
        assertThat(scan.mesh().bounds().size().x()).isCloseTo(112.5, within(0.2));
        // Left, nothing is taken in.
        Platform.runLater(() -> app.shell.documents().openScan(app.stage));
        AppWindow.answer(robot, ButtonData.CANCEL_CLOSE);
        assertThat(all()).hasSize(before + 1);
        // Cut short, it is refused with a sentence and the job is as it was.
        Job was = job();
        Path cut = AppWindow.temporary().resolve("cut.stl");
        byte[] bytes = Files.readAllBytes(sample);
        Files.write(cut, Arrays.copyOf(bytes, bytes.length / 2));
        app.chosen = cut;
        Platform.runLater(() -> app.shell.documents().openScan(app.stage));
        AppWindow.until(() -> robot.lookup("#problem-text").tryQuery().isPresent());
        assertThat(robot.lookup("#problem-text").queryAs(Label.class).getText())
                .contains("cut short", "Nothing was imported");
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(job()).isEqualTo(was);
        app.settle();
    }

    @Test
    @SuppressWarnings("unchecked")
    void aTubeOnAScanIsMeasuredKeptAndMadeASolid(FxRobot robot) {
        // A tube of 36 mm and 240 mm long, lying across the vehicle where the scan is put.
        int round = 30;
        int rows = 49;
        float[] corners = new float[3 * round * rows];
        int[] triangles = new int[6 * round * (rows - 1)];
        int t = 0;
        for (int i = 0; i < rows; i++) {
            for (int j = 0; j < round; j++) {
                int c = i * round + j;
                corners[3 * c] = (float) (18 * Math.cos(2 * Math.PI * j / round));
                corners[3 * c + 1] = (float) (240.0 * i / (rows - 1));
                corners[3 * c + 2] = (float) (18 * Math.sin(2 * Math.PI * j / round));
                if (i + 1 < rows) {
                    int next = i * round + (j + 1) % round;
                    for (int corner : new int[] {c, next, next + round, c, next + round, c + round}) {
                        triangles[t++] = corner;
                    }
                }
            }
        }
        Shape.Scan scan =
                new Shape.Scan(new TriangleMesh(corners, triangles), "tube.ply", new Point(400, 100, 700), 0, 0, 0);
        int index = all().size();
        tab(robot, SideTab.OBSTACLES);
        robot.interact(() -> {
            app.bench.edit("A scan", j -> j.editSurroundings(x -> x.with(Obstacle.fixed("bay", scan))));
            app.bench.selectionProperty().set(Optional.of(new Element.InTheWay(index)));
        });
        int marks = job().survey().points().size();
        // As a press in the 3-D view says it; then a little corrected by typing.
        robot.interact(() -> app.bench.pressedPlaceProperty().set(Optional.of(new Point(418, 215, 700))));
        AppWindow.type(robot, "#scan-y", "520");
        AppWindow.press(robot, "#scan-tube");
        AppWindow.untilSays(robot, "#scan-box", "That place is not on the scan: it is 180.0 mm from it.");
        AppWindow.type(robot, "#scan-y", "220");
        AppWindow.press(robot, "#scan-ball");
        AppWindow.untilSays(robot, "#scan-box", "No ball is found there");
        AppWindow.press(robot, "#scan-tube");
        AppWindow.untilSays(robot, "#scan-box", "Tube of 36.0 mm ± 0.0 mm, 240.0 mm long");
        AppWindow.press(robot, "#scan-keep");
        assertThat(job().survey().points()).hasSize(marks + 2);
        List<Point> ends = List.of(new Point(400, 100, 700), new Point(400, 340, 700));
        Surveyed surveyed = JobPoints.surveyed(job());
        for (SurveyPoint p : job().survey().points().subList(marks, marks + 2)) {
            Point at = surveyed.places().get(p.id()).at();
            assertThat(ends).anyMatch(e -> e.distanceTo(at) < 0.1);
            assertThat(surveyed.places().get(p.id()).sdX()).isCloseTo(1.5, within(0.01));
        }
        AppWindow.press(robot, "#scan-solid");
        assertThat(all().getLast().shape()).isInstanceOfSatisfying(Shape.Cylinder.class, c -> {
            assertThat(c.diameter()).isCloseTo(36, within(0.01));
            assertThat(c.from().midwayTo(c.to()).distanceTo(new Point(400, 220, 700)))
                    .isLessThan(0.1);
        });
        // Three places that are known on the vehicle put the scan there, turned a quarter to the left.
        robot.interact(() -> app.bench.selectionProperty().set(Optional.of(new Element.InTheWay(index))));
        RigidMove known = RigidMove.placing(new Point(300, 50, 600), 90, 0, 0);
        List<Point> on = List.of(new Point(18, 0, 0), new Point(18, 240, 0), new Point(0, 120, 18));
        robot.interact(() -> app.bench.edit(
                "Three marks",
                j -> j.editSurvey(x -> {
                    Survey all = x;
                    for (int i = 0; i < on.size(); i++) {
                        Point p = known.moved(on.get(i));
                        all = all.with(new SurveyPoint(
                                Id.Kind.MARK.number(50 + i),
                                "known " + i,
                                List.of(new Reading.Plumb(p.x(), p.y(), 1), new Reading.Height(p.z(), 1))));
                    }
                    return all;
                })));
        for (int i = 0; i < on.size(); i++) {
            Point pressed = scan.place().moved(on.get(i));
            robot.interact(() -> app.bench.pressedPlaceProperty().set(Optional.of(pressed)));
            Id mark = Id.Kind.MARK.number(50 + i);
            robot.interact(() ->
                    robot.lookup("#scan-pair-point").queryAs(ChoiceBox.class).setValue(mark));
            AppWindow.press(robot, "#scan-pair");
        }
        AppWindow.press(robot, "#scan-stands");
        AppWindow.untilSays(robot, "#scan-box", "known 2: stays 0.0 mm apart");
        AppWindow.press(robot, "#scan-put");
        RigidMove stands = ((Shape.Scan) all().get(index).shape()).place();
        assertThat(stands.moved(new Point(5, 6, 7)).distanceTo(known.moved(new Point(5, 6, 7))))
                .isLessThan(0.01);
        // What is no scan has nothing to measure on.
        robot.interact(() -> app.bench.selectionProperty().set(Optional.of(new Element.InTheWay(0))));
        assertThat(robot.lookup("#scan-tube").tryQuery()).isEmpty();
    }

    /** A scan of a floor, taken askew: pressed, it and both wheel centres put the scan in the vehicle's axes. */
    @Test
    @SuppressWarnings("unchecked")
    void theFloorAndTwoWheelCentresPutAScanInItsPlace(FxRobot robot) {
        int side = 41;
        float[] corners = new float[3 * side * side];
        int[] triangles = new int[6 * (side - 1) * (side - 1)];
        int t = 0;
        for (int i = 0; i < side; i++) {
            for (int j = 0; j < side; j++) {
                int c = i * side + j;
                corners[3 * c] = 10f * i;
                corners[3 * c + 1] = 10f * j;
                if (i + 1 < side && j + 1 < side) {
                    for (int corner : new int[] {c, c + side, c + side + 1, c, c + side + 1, c + 1}) {
                        triangles[t++] = corner;
                    }
                }
            }
        }
        Shape.Scan scan =
                new Shape.Scan(new TriangleMesh(corners, triangles), "floor.ply", new Point(900, 20, 40), 30, 4, -3);
        int index = all().size();
        tab(robot, SideTab.OBSTACLES);
        robot.interact(() -> {
            app.bench.edit("A scan", j -> j.editSurroundings(x -> x.with(Obstacle.fixed("shop floor", scan))));
            app.bench.selectionProperty().set(Optional.of(new Element.InTheWay(index)));
        });
        RigidMove known = RigidMove.placing(new Point(-300, -150, 0), 20, 0, 0);
        List<Point> centres = List.of(new Point(100, 900, 310), new Point(120, -500, 290));
        robot.interact(() -> app.bench.edit(
                "Both wheel centres",
                j -> j.editSurvey(x -> {
                    Survey all = x;
                    for (int i = 0; i < 2; i++) {
                        Point p = known.moved(centres.get(i));
                        all = all.with(new SurveyPoint(
                                Id.Kind.MARK.number(60 + i),
                                "wheel " + i,
                                List.of(new Reading.Plumb(p.x(), p.y(), 1), new Reading.Height(p.z(), 1))));
                    }
                    return all;
                })));
        for (int i = 0; i < 2; i++) {
            Point pressed = scan.place().moved(centres.get(i));
            robot.interact(() -> app.bench.pressedPlaceProperty().set(Optional.of(pressed)));
            Id mark = Id.Kind.MARK.number(60 + i);
            robot.interact(() ->
                    robot.lookup("#scan-pair-point").queryAs(ChoiceBox.class).setValue(mark));
            AppWindow.press(robot, "#scan-pair");
        }
        assertThat(robot.lookup("#scan-stands").tryQuery())
                .as("two alone are too few")
                .isEmpty();
        Point bare = scan.place().moved(new Point(200, 200, 0));
        robot.interact(() -> app.bench.pressedPlaceProperty().set(Optional.of(bare)));
        AppWindow.press(robot, "#scan-floor");
        AppWindow.press(robot, "#scan-stands");
        AppWindow.untilSays(robot, "#scan-box", "wheel 1: stays 0.0 mm apart");
        AppWindow.press(robot, "#scan-put");
        RigidMove stands = ((Shape.Scan) all().get(index).shape()).place();
        assertThat(stands.moved(new Point(5, 6, 7)).distanceTo(known.moved(new Point(5, 6, 7))))
                .isLessThan(0.01);
    }

    @Test
    void routeIsFoundPreviewedAndApplied(FxRobot robot) {
        tab(robot, SideTab.ROUTES);
        choose(robot, "#route-most", 1);
        WaitForAsyncUtils.waitForFxEvents();
        AppWindow.press(robot, "#run-route");
        AppWindow.until(() -> robot.lookup("#routes .finding-what").tryQuery().isPresent());
        assertThat(robot.lookup("#routes .finding-what").queryAs(Label.class).getText())
                .contains("No route fits these limits");
        // The nearest miss is shown, in the same breath as it is told.
        AppWindow.until(() -> app.bench.ghost().isPresent());
        robot.interact(() -> robot.lookup("#route-tilt").queryAs(CheckBox.class).fire());
        AppWindow.type(robot, "#route-gap", "-3");
        assertThat(app.text(robot, "#message")).contains("can be 0 to 1000 mm");
        AppWindow.press(robot, "#run-route");
        AppWindow.until(() -> robot.lookup("#take-route-0").tryQuery().isPresent()
                && robot.lookup("#run-route").query().isVisible());
        AppWindow.press(robot, "#show-route-0");
        List<Point> ghost = app.bench.ghost().orElseThrow();
        Job before = job();
        assertThat(before.column()).isEqualTo(DemoJob.MARSH_CARRIER.job().column());
        AppWindow.press(robot, "#take-route-0");
        assertThat(job().column().orElseThrow().points()).isEqualTo(ghost);
        assertThat(app.bench.ghost()).isEmpty();
        app.settle();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.JOINT_OVER_LIMIT);
        robot.interact(() -> app.bench.undo());
        assertThat(job()).isEqualTo(before);
        app.settle();
    }

    /** Spacers under the wheel and the rule for a blow from the front: each route says what has to be got for it. */
    @Test
    void routesSayWhatHasToBeGot(FxRobot robot) {
        tab(robot, SideTab.ROUTES);
        AppWindow.type(robot, "#route-wheel-height", "400");
        assertThat(app.text(robot, "#message")).contains("0 to 300 mm");
        AppWindow.type(robot, "#route-wheel-height", "30");
        robot.interact(
                () -> robot.lookup("#route-front").queryAs(CheckBox.class).fire());
        robot.interact(() -> robot.lookup("#route-hole").queryAs(CheckBox.class).fire());
        assertThat(robot.lookup("#route-hole-size").tryQuery()).isPresent();
        robot.interact(() -> robot.lookup("#route-hole").queryAs(CheckBox.class).fire());
        AppWindow.press(robot, "#run-route");
        AppWindow.until(() -> robot.lookup("#take-route-0").tryQuery().isPresent()
                && robot.lookup("#run-route").query().isVisible());
        AppWindow.untilSays(robot, "#routes", "To get: ");
        AppWindow.untilSays(robot, "#routes", "pushed from the front");
        AppWindow.press(robot, "#take-route-0");
        app.settle();
        Point hub = job().column().orElseThrow().hub();
        Point planned = DemoJob.MARSH_CARRIER.job().column().orElseThrow().hub();
        assertThat(Math.abs(hub.z() - planned.z())).isLessThanOrEqualTo(30);
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.FRONT_PUSH);
    }

    private static List<String> said(FxRobot robot) {
        return AppWindow.onFx(() -> robot.lookup("#gaps-pane").queryAs(VBox.class).lookupAll(".label").stream()
                .map(n -> ((Label) n).getText())
                .toList());
    }
}
