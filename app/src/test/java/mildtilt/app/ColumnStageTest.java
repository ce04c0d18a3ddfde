package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import mildtilt.app.guide.GuidePage;
import mildtilt.app.shell.MildTilt;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.build.PartAsFound;
import mildtilt.build.PartAsFound.Limit;
import mildtilt.catalogue.Catalogue;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.columnrange.JointBend;
import mildtilt.columnrange.TrainEdits;
import mildtilt.findings.Fault;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.RulesFile;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.rules.RuleLimit;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The column stage in the real window: forks dragged round, joints bent, the train changed, rules and parts chosen. */
@ExtendWith(WindowExtension.class)
class ColumnStageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(() -> app.close());
    }

    private Column column() {
        return app.bench.job().column().orElseThrow();
    }

    private void open(FxRobot robot, Job job) {
        robot.interact(() -> app.bench.open(job, Optional.empty()));
        app.settle();
    }

    private Point2D onRim(FxRobot robot, String id, double clockDeg) {
        phasing(robot);
        Bounds b =
                robot.lookup(id).query().localToScreen(robot.lookup(id).query().getBoundsInLocal());
        double a = Math.toRadians(clockDeg);
        return new Point2D(b.getCenterX() + 17 * Math.sin(a), b.getCenterY() - 17 * Math.cos(a));
    }

    /** The forks lie under the drawing while they are worked on. */
    private void phasing(FxRobot robot) {
        if (app.bench.sideTabProperty().get() != SideTab.PHASING) {
            tab(robot, SideTab.PHASING);
        }
    }

    private void dragRound(FxRobot robot, String id, double from, double to) {
        robot.moveTo(onRim(robot, id, from)).press(MouseButton.PRIMARY);
        for (int i = 1; i <= 8; i++) {
            robot.moveTo(onRim(robot, id, from + (to - from) * i / 8));
        }
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void forkDragSnapsToAllowedClocks(FxRobot robot) {
        app.settle();
        // Plain ends: any angle, kept to whole degrees. The lower shaft's gear-end fork is the third.
        dragRound(robot, "#fork-2", 90, 151);
        double clocked = column().shafts().get(1).clockingDeg();
        assertThat(clocked).isCloseTo(81, within(4.0)).isEqualTo(Math.rint(clocked));
        assertThat(app.bench.selectionProperty().get()).contains(new Element.ShaftAt(1));
        assertThat(app.bench.undoable()).contains("Clock Lower shaft: " + (int) clocked + ".0° clockwise");
        robot.interact(app.bench::undo);
        assertThat(column().shafts().get(1).clockingDeg()).isEqualTo(20);
        robot.type(KeyCode.LEFT);
        assertThat(column().shafts().get(1).clockingDeg()).isEqualTo(19);
        robot.press(KeyCode.CONTROL).type(KeyCode.RIGHT).release(KeyCode.CONTROL);
        assertThat(column().shafts().get(1).clockingDeg()).isCloseTo(19.1, within(1e-9));

        // A spline of 36: ten degrees at a time, by mouse and by key.
        open(robot, DemoJob.BOG_TENDER.job());
        dragRound(robot, "#fork-2", 0, 34);
        assertThat(column().shafts().get(1).clockingDeg()).isEqualTo(30);
        robot.type(KeyCode.RIGHT);
        assertThat(column().shafts().get(1).clockingDeg()).isCloseTo(40, within(1e-9));
        assertThat(robot.lookup("#fork-2").query().getAccessibleText())
                .contains("40.0° clockwise")
                .contains("10° at a time");

        // What it is measured from does not turn, and forks on for good say so; nothing changes.
        Job before = app.bench.job();
        dragRound(robot, "#fork-1", 0, 60);
        assertThat(app.text(robot, "#message")).contains("measured from this fork");
        robot.interact(
                () -> app.bench.edit("for good", j -> j.editColumn(c -> c.editShaft(1, s -> s.withForksFixed(true)))));
        dragRound(robot, "#fork-2", 0, 60);
        assertThat(app.text(robot, "#message")).contains("fixed to it");
        assertThat(column().shafts().get(1).clockingDeg())
                .isEqualTo(before.column().orElseThrow().shafts().get(1).clockingDeg());

        // The first fork turns the whole train on by the hub's teeth.
        dragRound(robot, "#fork-0", 0, 40);
        assertThat(column().firstForkDeg() / 9).isCloseTo(Math.rint(column().firstForkDeg() / 9), within(1e-9));
        assertThat(column().firstForkDeg()).isNotZero();
    }

    @Test
    void escapeCancelsForkDrag(FxRobot robot) {
        app.settle();
        Job before = app.bench.job();
        robot.moveTo(onRim(robot, "#fork-2", 90)).press(MouseButton.PRIMARY).moveTo(onRim(robot, "#fork-2", 130));
        assertThat(column().shafts().get(1).clockingDeg()).isNotEqualTo(20);
        robot.type(KeyCode.ESCAPE).release(MouseButton.PRIMARY);
        assertThat(app.bench.job()).isEqualTo(before);
        assertThat(app.bench.undoable()).isEmpty();
    }

    @Test
    void jointIsBentByItsAngleHandle(FxRobot robot) {
        app.settle();
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.JointAt(0))));
        Node handle = robot.lookup("#sheet-side-angle").query();
        assertThat(handle.getAccessibleText()).isEqualTo("Angle of Upper joint, 26.7°");
        Bounds b = handle.localToScreen(handle.getBoundsInLocal());
        robot.drag(new Point2D(b.getCenterX(), b.getCenterY()), MouseButton.PRIMARY)
                .moveBy(-5, -7)
                .moveBy(-5, -7);
        robot.drop();
        WaitForAsyncUtils.waitForFxEvents();
        double deg = new ColumnTrain(column()).jointAngleDeg(0);
        assertThat(deg).isNotCloseTo(26.7, within(0.4)).isCloseTo(Math.rint(deg), within(1e-6));
        assertThat(app.bench.undoable().orElseThrow()).isEqualTo("Bend Upper joint to " + (int) Math.rint(deg) + "°");
        robot.type(KeyCode.UP);
        assertThat(new ColumnTrain(column()).jointAngleDeg(0)).isCloseTo(Math.rint(deg) + 1, within(1e-6));
        TextField typed = robot.lookup("#field-joint-angle").queryAs(TextField.class);
        robot.interact(() -> {
            typed.setText("18");
            typed.getOnAction().handle(null);
        });
        assertThat(new ColumnTrain(column()).jointAngleDeg(0)).isCloseTo(18, within(1e-9));
        // With the hands off centre points stand elsewhere, and there is no handle.
        robot.interact(() -> app.bench.steerTo(new SteeringInput(90, 0, 0)));
        assertThat(robot.lookup("#sheet-side-angle").tryQuery()).isEmpty();
    }

    /**
     * Opens an element's menu and takes an entry of its submenus.
     *
     * @param way ids of menus, then the id of an entry or the name of a part in the catalogue
     */
    private void choose(FxRobot robot, int element, String... way) {
        robot.interact(() ->
                app.bench.showPart(Optional.of(Element.trainOf(app.bench.job()).get(element))));
        AppWindow.until(() -> robot.lookup("#part-menu").tryQuery().isPresent());
        robot.interact(() -> {
            MenuButton button = robot.lookup("#part-menu").queryAs(MenuButton.class);
            button.show();
            List<MenuItem> items = button.getItems();
            MenuItem found = null;
            for (String step : way) {
                found = items.stream()
                        .filter(i -> step.equals(i.getId())
                                || i.getText() != null && i.getText().startsWith(step))
                        .findFirst()
                        .orElseThrow(() -> new AssertionError("no entry " + step));
                items = found instanceof Menu m ? m.getItems() : List.of();
            }
            button.hide();
            found.fire();
        });
        app.settle();
    }

    private int index(Element e) {
        return Element.trainOf(app.bench.job()).indexOf(e);
    }

    @Test
    void trainMenuSplitsSwapsSupportsAndDeletes(FxRobot robot) {
        app.settle();
        Job before = app.bench.job();
        choose(robot, index(new Element.ShaftAt(1)), "split", "Single joint, welded 19.05 both");
        assertThat(column().joints()).extracting(Joint::name).containsExactly("Upper joint", "Joint", "Lower joint");
        assertThat(app.bench.selectionProperty().get()).contains(new Element.JointAt(1));
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.SHAFT_FLOATS);

        choose(robot, index(new Element.ShaftAt(2)), "bearing", "PILLOW_BLOCK", "Pillow block, bore 19.05");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.SHAFT_FLOATS);
        assertThat(robot.lookup("#element-" + index(new Element.BearingAt(0)))
                        .query()
                        .getAccessibleText())
                .contains("bore, typical 19.1 mm");
        choose(robot, index(new Element.BearingAt(0)), "swap", "ROD_END", "Rod end, bore 20");
        assertThat(column().bearings().getFirst().bore()).isEqualTo(20);
        choose(robot, index(new Element.BearingAt(0)), "delete");
        assertThat(column().bearings()).isEmpty();

        choose(robot, index(new Element.JointAt(1)), "swap", "Double joint, self-centring");
        assertThat(column().joints().get(1).kind()).isEqualTo(new JointKind.Double(true));
        assertThat(column().joints().get(1).typical()).isTrue();
        assertThat(robot.lookup("#element-" + index(new Element.JointAt(1)))
                        .query()
                        .getAccessibleText())
                .contains("angle, typical");
        choose(robot, index(new Element.JointAt(1)), "delete");
        assertThat(column().points()).isEqualTo(before.column().orElseThrow().points());

        choose(robot, index(new Element.ShaftAt(1)), "swap", "Tube 25.4 x 3.2");
        assertThat(column().shafts().get(1).bore()).isEqualTo(19);
        choose(robot, index(new Element.Tube()), "delete");
        assertThat(column().tube()).isEmpty();
        choose(robot, index(new Element.ShaftAt(0)), "tube", "Column tube 50, collapsing");
        assertThat(column().tube().orElseThrow().collapse()).isPositive();
        choose(robot, index(new Element.Tube()), "swap", "Column tube 38");
        assertThat(column().tube().orElseThrow().outside()).isEqualTo(38);
        for (int i = 0; i < 10; i++) {
            robot.interact(app.bench::undo);
        }
        assertThat(app.bench.job()).isEqualTo(before);
    }

    @Test
    void columnIsAddedToAJob(FxRobot robot) {
        open(robot, MildTilt.empty());
        robot.interact(() -> robot.lookup("#begin-column").queryButton().fire());
        app.settle();
        assertThat(column().joints()).hasSize(1);
        phasing(robot);
        assertThat(robot.lookup("#fork-0").tryQuery()).isPresent();
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .allMatch(f -> f.fault() == Fault.WELDED_SHAFT || f.fault() == Fault.FRONT_PUSH);
        assertThat(robot.lookup("#begin-column").tryQuery()).isEmpty();
    }

    @Test
    void eightJointDialsAreInSight(FxRobot robot) {
        Column c = DemoJob.MARSH_CARRIER.job().column().orElseThrow();
        for (int i = 0; i < 6; i++) {
            c = TrainEdits.split(c, 1 + i % 2, c.joints().getFirst().withName("Joint"));
        }
        Column eight = c;
        open(robot, DemoJob.MARSH_CARRIER.job().withColumn(eight));
        phasing(robot);
        for (double width : new double[] {1280, 1100}) {
            robot.interact(() -> app.stage.setWidth(width));
            AppWindow.until(() -> Math.abs(app.stage.getScene().getWidth() - width) < 20);
            List<Bounds> dials = robot.lookup(".fork-dial").queryAll().stream()
                    .map(n -> n.localToScene(n.getLayoutBounds()))
                    .toList();
            assertThat(dials).hasSize(16);
            Bounds strip = robot.lookup("#unrolled")
                    .query()
                    .localToScene(robot.lookup("#unrolled").query().getLayoutBounds());
            for (int i = 0; i < 16; i++) {
                assertThat(strip.contains(dials.get(i)))
                        .as("dial " + i + " at " + width)
                        .isTrue();
                for (int j = i + 1; j < 16; j++) {
                    assertThat(dials.get(i).intersects(dials.get(j)) && overlap(dials.get(i), dials.get(j)) > 1)
                            .as(i + " over " + j)
                            .isFalse();
                }
            }
        }
        robot.interact(() -> app.stage.setWidth(1280));
        assertThat(AppWindow.cutOff(app.stage.getScene().getRoot())).isEmpty();
    }

    private static double overlap(Bounds a, Bounds b) {
        return Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX());
    }

    private void tab(FxRobot robot, SideTab tab) {
        robot.clickOn("#side-" + tab.name().toLowerCase(Locale.ROOT));
        assertThat(app.bench.sideTabProperty().get()).isEqualTo(tab);
    }

    private void press(FxRobot robot, String id) {
        robot.interact(() -> robot.lookup(id).queryAs(Button.class).fire());
        app.settle();
    }

    private String words(FxRobot robot, String pane) {
        StringBuilder all = new StringBuilder();
        robot.lookup(pane + " .label").queryAll().forEach(l -> all.append(((Label) l).getText())
                .append('\n'));
        return all.toString();
    }

    @Test
    void phasingShowsSharesAndSetsForks(FxRobot robot) {
        app.settle();
        tab(robot, SideTab.PHASING);
        assertThat(words(robot, "#phasing-pane"))
                .contains("Ripple 69 %, wanted 10.0 % at most")
                .contains("23 %")
                .contains("46 %")
                .contains("Lower shaft (any angle): 61.0° anticlockwise, 10.11 mm of arc on 19.0 mm")
                .contains("no other setting leaves less");
        double best = BestClocking.asMade(new ColumnTrain(column())).ripplePct();
        press(robot, "#set-all-forks");
        assertThat(new ColumnTrain(column()).transfer().orElseThrow().ripplePct())
                .isCloseTo(best, within(1e-9));
        assertThat(robot.lookup("#set-all-forks").queryButton().isDisabled()).isTrue();
        press(robot, "#feel-slow");
        assertThat(words(robot, "#phasing-pane")).contains("slower in the middle");
        // The hub's splines leave a little between left and right, and it is said.
        assertThat(column().firstForkDeg() % 9).isCloseTo(0, within(1e-9));
    }

    @Test
    void supportsAddABearingAndRangeTurnsTheRack(FxRobot robot) {
        Job job = DemoJob.MARSH_CARRIER
                .job()
                .editColumn(c -> TrainEdits.split(c, 1, c.joints().getFirst().withName("Middle joint")));
        open(robot, job);
        tab(robot, SideTab.SUPPORTS);
        assertThat(words(robot, "#supports-pane"))
                .contains("floats")
                .contains("1 bearing is still needed")
                .contains("600 N at the rim is 114 N·m");
        press(robot, "#put-bearing-0");
        assertThat(words(robot, "#supports-pane")).doesNotContain("floats");
        tab(robot, SideTab.RANGE);
        AppWindow.until(() -> robot.lookup("#turn-rack").tryQuery().isPresent());
        assertThat(words(robot, "#range-pane"))
                .contains("frame moved")
                .contains("Rack turned in its clamps")
                .contains("Two schools")
                .contains("(advice)");
        Point before = column().gearInput();
        press(robot, "#turn-rack");
        assertThat(column().gearInput().distanceTo(before)).isGreaterThan(1);
        AppWindow.until(() -> robot.lookup("#turn-rack-by").tryQuery().isPresent());
        TextField by = robot.lookup("#turn-rack-by").queryAs(TextField.class);
        Point turned = column().gearInput();
        robot.interact(() -> {
            by.setText("-5");
            by.getOnAction().handle(null);
        });
        app.settle();
        assertThat(column().gearInput().distanceTo(turned)).isGreaterThan(1);
        // In inches too.
        robot.interact(() -> app.bench.lengthUnitProperty().set(LengthUnit.INCH));
        assertThat(words(robot, "#range-pane")).contains("\"").doesNotContain(" mm");
    }

    private void type(FxRobot robot, String id, String text) {
        robot.interact(() -> {
            TextField f = robot.lookup(id).queryAs(TextField.class);
            f.setText(text);
            f.getOnAction().handle(null);
        });
        app.settle();
    }

    @Test
    @SuppressWarnings("unchecked")
    void ruleSetIsChosenEditedSavedAndOpened(FxRobot robot) throws Exception {
        app.settle();
        tab(robot, SideTab.RULES);
        robot.interact(() -> robot.lookup("#rule-set")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select("Closed course"));
        app.settle();
        assertThat(app.bench.job().rules()).isEqualTo(ShippedRules.CLOSED_COURSE.rules());
        assertThat(words(robot, "#rules-pane"))
                .contains("Where authorities differ")
                .contains("Short wheelbase");
        type(robot, "#rule-joint-angle", "31.5");
        type(robot, "#rule-kink", "none");
        type(robot, "#rule-heavy-pull", "700 N");
        robot.interact(
                () -> robot.lookup("#hold-set-screw").queryAs(CheckBox.class).fire());
        app.settle();
        robot.interact(() -> robot.lookup("#rule-welding")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(2));
        app.settle();
        var rules = app.bench.job().rules();
        assertThat(rules.name()).isEqualTo("Closed course (edited)");
        assertThat(rules.jointDeg()).isEqualTo(31.5);
        assertThat(rules.get(RuleLimit.KINK)).isEmpty();
        assertThat(rules.heavyPull()).isEqualTo(700);
        assertThat(rules.holds()).hasSize(4);
        // A limit that can't be is refused with its reason; the set stays.
        type(robot, "#rule-joint-angle", "95");
        assertThat(app.text(robot, "#message")).contains("between 0 and 90").contains("Nothing was changed");
        assertThat(app.bench.job().rules()).isEqualTo(rules);
        // Saved, put back to a shipped one, taken from the file again.
        app.chosen = Files.createTempDirectory("rules").resolve("ours" + RulesFile.ENDING);
        press(robot, "#save-rules");
        AppWindow.until(() -> Files.exists(app.chosen));
        robot.interact(() -> robot.lookup("#rule-set")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(0));
        app.settle();
        assertThat(app.bench.job().rules()).isEqualTo(ShippedRules.CAUTIOUS_ROAD.rules());
        press(robot, "#open-rules");
        assertThat(app.bench.job().rules()).isEqualTo(rules);
        Files.writeString(app.chosen, "{}", StandardCharsets.UTF_8);
        Platform.runLater(
                () -> robot.lookup("#open-rules").queryAs(Button.class).fire());
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(app.bench.job().rules()).isEqualTo(rules);
    }

    @Test
    void ownCatalogueIsUsedKeptAndDropped(FxRobot robot) throws Exception {
        app.settle();
        Path mine = Files.createTempDirectory("parts").resolve("mine.json");
        Files.writeString(
                mine,
                CatalogueFile.shippedText().replaceFirst("Round bar 20\"", "Bar from my own rack\""),
                StandardCharsets.UTF_8);
        app.chosen = mine;
        robot.interact(() -> app.shell.documents().catalogue().open(app.stage));
        choose(robot, index(new Element.ShaftAt(1)), "swap", "Bar from my own rack");
        assertThat(column().shafts().get(1).diameter()).isEqualTo(20);
        // A bad one is told and the one in use stays; it is there at the next start too.
        Files.writeString(
                mine,
                "{\"format\": \"mild-tilt-catalogue\", \"version\": 1, \"joints\": [{}]}",
                StandardCharsets.UTF_8);
        Platform.runLater(() -> app.shell.documents().catalogue().open(app.stage));
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(app.bench.catalogueProperty().get().names()).contains("Bar from my own rack");
        robot.interact(() -> {
            app.bench.catalogueProperty().set(CatalogueFile.shipped());
            app.shell.documents().catalogue().load(app.stage);
        });
        assertThat(app.bench.catalogueProperty().get().names()).contains("Bar from my own rack");
        app.chosen = mine.resolveSibling("copy.json");
        robot.interact(() -> app.shell.documents().catalogue().saveCopy(app.stage));
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(CatalogueFile.open(app.chosen).names()).contains("Bar from my own rack");
        robot.interact(() -> app.shell.documents().catalogue().useBuiltIn(app.stage));
        assertThat(app.bench.catalogueProperty().get()).isEqualTo(CatalogueFile.shipped());
    }

    /** A shaft is kept with its length as found, put into another job after a new start, and deleted from the shelf. */
    @Test
    void partsOfOnesOwnGoFromJobToJob(FxRobot robot) {
        robot.interact(() -> app.shell.documents().catalogue().load(app.stage));
        Id first = column().shafts().getFirst().id();
        robot.interact(() -> app.bench.edit("as found", j -> j.editMaking(m ->
                        m.editAsFound(f -> f.withShaft(first, Optional.of(new PartAsFound(700, 500, Limit.SPLINE)))))
                .editColumn(c -> c.editShaft(0, s -> s.withDiameter(23.5)))));
        String name =
                column().shafts().getFirst().name() + ", " + app.bench.job().title();
        choose(robot, index(new Element.ShaftAt(0)), "keep");
        open(robot, DemoJob.BOG_TENDER.job());
        robot.interact(() -> {
            app.bench.ownPartsProperty().set(Catalogue.NONE);
            app.shell.documents().catalogue().load(app.stage);
        });
        choose(robot, index(new Element.ShaftAt(0)), "swap", name);
        assertThat(column().shafts().getFirst().diameter()).isEqualTo(23.5);
        assertThat(app.bench
                        .job()
                        .making()
                        .asFound()
                        .shaft(column().shafts().getFirst().id()))
                .contains(new PartAsFound(700, 500, Limit.SPLINE));
        choose(robot, index(new Element.ShaftAt(0)), "delete-own", name);
        assertThat(app.bench.catalogueProperty().get()).isEqualTo(CatalogueFile.shipped());
    }

    /** Every choice of every element is taken, shown, and undone. */
    @Test
    @SuppressWarnings("unchecked")
    void everyPartChoiceWorks(FxRobot robot) {
        open(
                robot,
                DemoJob.BOG_TENDER
                        .job()
                        .editColumn(c -> TrainEdits.withBearing(
                                c, 1, CatalogueFile.shipped().bearings().getFirst())));
        int taken = 0;
        Set<String> done = new HashSet<>();
        for (Element e : Element.trainOf(app.bench.job())) {
            robot.interact(() -> app.bench.showPart(Optional.of(e)));
            for (String id : AppWindow.onFx(() -> robot.lookup("#piece .piece-choice").queryAll().stream()
                    .map(Node::getId)
                    .filter(i -> done.add(e.getClass() + i))
                    .toList())) {
                int options = AppWindow.onFx(() -> robot.lookup("#" + id)
                        .queryAs(ChoiceBox.class)
                        .getItems()
                        .size());
                // The last and every third before it.
                for (int i = options - 1; i >= 0; i -= 3) {
                    int chosen = i;
                    Job before = app.bench.job();
                    robot.interact(() -> robot.lookup("#" + id)
                            .queryAs(ChoiceBox.class)
                            .getSelectionModel()
                            .select(chosen));
                    WaitForAsyncUtils.waitForFxEvents();
                    if (app.bench.job().equals(before)) {
                        continue;
                    }
                    taken++;
                    assertThat(AppWindow.onFx(() -> robot.lookup("#" + id)
                                    .queryAs(ChoiceBox.class)
                                    .getSelectionModel()
                                    .getSelectedIndex()))
                            .as(id + " " + i)
                            .isEqualTo(chosen);
                    // What the choice brings to type is typed whole: no name or figure is cut off.
                    assertThat(AppWindow.onFx(() -> AppWindow.cutOff(
                                            robot.lookup("#piece").query())
                                    .toList()))
                            .as(id + " " + i)
                            .isEmpty();
                    robot.interact(app.bench::undo);
                    assertThat(app.bench.job()).isEqualTo(before);
                }
            }
        }
        assertThat(taken).isGreaterThan(10);
    }

    @Test
    void trainStripSelectsParts(FxRobot robot) {
        open(
                robot,
                DemoJob.MARSH_CARRIER
                        .job()
                        .editColumn(c -> TrainEdits.withBearing(
                                c, 1, CatalogueFile.shipped().bearings().getFirst())));
        phasing(robot);
        Node strip = robot.lookup("#unrolled").query();
        Bounds b = strip.localToScreen(strip.getBoundsInLocal());
        double total = column().length(0) + column().length(1) + column().length(2);
        record Press(double along, Element hit) {}
        for (Press p : List.of(
                new Press(0, new Element.Wheel()),
                new Press(column().length(0) * 0.4, new Element.ShaftAt(0)),
                new Press(column().length(0), new Element.JointAt(0)),
                new Press(column().length(0) + column().length(1) * 0.25, new Element.ShaftAt(1)),
                new Press(column().length(0) + column().length(1) / 2, new Element.BearingAt(0)),
                new Press(total * 0.95, new Element.ShaftAt(2)))) {
            robot.clickOn(new Point2D(b.getMinX() + 40 + (b.getWidth() - 80) * p.along / total, b.getMinY() + 34));
            assertThat(app.bench.selectionProperty().get()).as(p.toString()).contains(p.hit);
        }
        robot.clickOn(new Point2D(b.getMinX() + 60, b.getMaxY() - 4));
        assertThat(app.bench.selectionProperty().get()).isEmpty();
    }

    @Test
    void helpSheetsExplainWhatIsNotOffered(FxRobot robot) {
        app.settle();
        for (String[] sheet : new String[][] {
            {"F5", "Practice and its costs"}, {"F2", "never approves a design"}, {"F3", "not offered"}
        }) {
            robot.push(KeyCode.valueOf(sheet[0]));
            AppWindow.until(() -> robot.lookup(".dialog-pane").tryQuery().isPresent());
            StringBuilder said = new StringBuilder();
            robot.lookup(".dialog-pane .label").queryAll().forEach(l -> said.append(((Label) l).getText())
                    .append(' '));
            assertThat(said.toString()).contains(sheet[1]);
            AppWindow.answer(robot, ButtonData.OK_DONE);
        }
    }

    /** The guide opens at the page about the stage, every page of it can be shown, and its links lead on. */
    @Test
    void guideAnswersWhatTheStageIsAbout(FxRobot robot) {
        app.settle();
        robot.push(KeyCode.F1);
        AppWindow.until(() -> robot.lookup("#guide-page").tryQuery().isPresent());
        ListView<GuidePage> questions = robot.lookup("#guide-questions").queryListView();
        assertThat(questions.getSelectionModel().getSelectedItem()).isEqualTo(GuidePage.JOINTS);
        for (GuidePage p : GuidePage.values()) {
            robot.interact(() -> questions.getSelectionModel().select(p));
            ScrollPane page = robot.lookup("#guide-page").queryAs(ScrollPane.class);
            assertThat(page.getContent().lookupAll(".image-view").stream().map(n -> ((ImageView) n).getImage()))
                    .as(p.name())
                    .hasSize(1)
                    .noneMatch(Image::isError);
        }
        robot.interact(() -> questions.getSelectionModel().select(GuidePage.JOINTS));
        robot.interact(() ->
                robot.lookup("#guide-to-06-way-md").queryAs(Hyperlink.class).fire());
        assertThat(questions.getSelectionModel().getSelectedItem()).isEqualTo(GuidePage.WAY);
        robot.push(KeyCode.ESCAPE);
        AppWindow.until(() -> robot.lookup("#guide-page").tryQuery().isEmpty());
        assertThat(app.bench.stageProperty().get()).isEqualTo(WorkStage.COLUMN);
    }

    @Test
    void partIsRenamedButNeverUnnamed(FxRobot robot) {
        app.settle();
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.JointAt(0))));
        type(robot, "#field-name", "Joint at the firewall");
        assertThat(column().joints().getFirst().name()).isEqualTo("Joint at the firewall");
        type(robot, "#field-name", "  ");
        assertThat(app.text(robot, "#message")).contains("needs a name");
        assertThat(robot.lookup("#field-name").queryAs(TextField.class).getText())
                .isEqualTo("Joint at the firewall");
        assertThat(column().joints().getFirst().name()).isEqualTo("Joint at the firewall");
    }

    /** While a joint is dragged the panes at the side follow, before it is let go. */
    @Test
    void figuresUpdateDuringDrag(FxRobot robot) {
        app.settle();
        tab(robot, SideTab.PHASING);
        String before = words(robot, "#phasing-pane");
        Node joint = robot.lookup("#sheet-side-joint-1").query();
        Bounds b = joint.localToScreen(joint.getBoundsInLocal());
        robot.drag(new Point2D(b.getCenterX(), b.getCenterY()), MouseButton.PRIMARY)
                .moveBy(12, -6)
                .moveBy(10, -5);
        AppWindow.until(() -> !words(robot, "#phasing-pane").equals(before));
        assertThat(app.bench.dragging()).isTrue();
        assertThat(app.bench.analysisProperty().get().orElseThrow().effects()).isEmpty();
        robot.type(KeyCode.ESCAPE);
        robot.release(MouseButton.PRIMARY);
        app.settle();
        assertThat(words(robot, "#phasing-pane")).isEqualTo(before);
    }

    /**
     * The same fields and cards go on to tell the figures as they are; what can be done is offered again once it is let
     * go.
     */
    @Test
    void fieldsAndFindingsStayDuringDrag(FxRobot robot) {
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.JointAt(1))));
        app.settleWhole();
        TextField angle = robot.lookup("#field-joint-angle").queryAs(TextField.class);
        assertThat(angle.getText()).isEqualTo("37.405°");
        AppWindow.openRow(robot, "#part-finding-0");
        app.settleWhole();
        assertThat(robot.lookup("#piece .take-remedy").tryQuery()).isPresent();
        Node handle = robot.lookup("#sheet-side-angle").query();
        Bounds b = handle.localToScreen(handle.getBoundsInLocal());
        robot.drag(new Point2D(b.getCenterX(), b.getCenterY()), MouseButton.PRIMARY)
                .moveBy(4, 6)
                .moveBy(4, 6);
        AppWindow.until(() -> app.bench.dragging()
                && !angle.getText().equals("37.405°")
                && robot.lookup("#piece .take-remedy").tryQuery().isEmpty());
        Node card = robot.lookup("#part-finding-0").query();
        String dragged = angle.getText();
        robot.moveBy(4, 6);
        AppWindow.until(() -> !angle.getText().equals(dragged));
        app.settle();
        assertThat(robot.lookup("#field-joint-angle").queryAs(TextField.class))
                .as("the same field, other figures")
                .isSameAs(angle);
        Node still = robot.lookup("#part-finding-0").query();
        assertThat(still).isSameAs(card);
        robot.drop();
        app.settleWhole();
        double deg = new ColumnTrain(column()).jointAngleDeg(1);
        assertThat(robot.lookup("#field-joint-angle").queryAs(TextField.class).getText())
                .isEqualTo(LengthText.trimmed(deg, 3) + "°");
        AppWindow.until(() -> robot.lookup("#piece .take-remedy")
                .tryQuery()
                .filter(n -> !n.isDisabled())
                .isPresent());
        // Taken hold of and let go in the same place it is as it was, remedies and all.
        Job before = app.bench.job();
        robot.interact(() -> {
            app.bench.beginDrag();
            app.bench.drag(j -> j.editColumn(c -> JointBend.withAngle(c, 1, 30)));
            app.bench.drag(j -> j);
            app.bench.endDrag("nothing");
        });
        app.settleWhole();
        assertThat(app.bench.job()).isEqualTo(before);
        AppWindow.until(() -> robot.lookup("#piece .take-remedy")
                .tryQuery()
                .filter(n -> !n.isDisabled())
                .isPresent());
    }

    @Test
    void measuredAxesAreTypedAsSlopeAndPlanAngle(FxRobot robot) {
        app.settle();
        robot.interact(() -> app.bench.showPart(Optional.of(new Element.Wheel())));
        robot.interact(() -> robot.lookup("#choice-column-axis")
                .queryAs(ChoiceBox.class)
                .getSelectionModel()
                .select(1));
        app.settle();
        type(robot, "#field-column-axis-down", "40");
        assertThat(column().installation().columnAxis().orElseThrow().downDeg()).isCloseTo(40, within(1e-9));
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.AXES_MISS);
    }

    @Test
    void nonsenseColumnsNeverBreakTheWindow(FxRobot robot) {
        Random r = new Random(8);
        app.settle();
        for (int i = 0; i < 12; i++) {
            Point wild = new Point(r.nextGaussian() * 900, r.nextGaussian() * 900, r.nextGaussian() * 900);
            int joint = i % 2;
            robot.interact(
                    () -> app.bench.edit("wild", j -> j.editColumn(c -> c.editJoint(joint, x -> x.withCentre(wild)))));
            SideTab tab = SideTab.values()[4 + i % 4];
            robot.interact(() -> {
                app.bench.stageProperty().set(WorkStage.COLUMN);
                app.bench.sideTabProperty().set(tab);
                app.bench.steerTo(new SteeringInput(r.nextGaussian() * 300, 0, 0));
            });
            app.settle();
            assertThat(words(robot, "#" + tab.name().toLowerCase(Locale.ROOT) + "-pane"))
                    .isNotBlank()
                    .doesNotContain("NaN")
                    .doesNotContain("Infinity");
        }
    }
}
