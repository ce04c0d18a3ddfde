package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.WorkStage;
import mildtilt.build.Making;
import mildtilt.build.Piece;
import mildtilt.build.ScrewThread;
import mildtilt.build.ShaftJoin.School;
import mildtilt.build.WorkPlan;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Change;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.rods.Rod;
import mildtilt.rules.Rules.Welding;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Make stage as its users work in it: choose, measure, tick, take out. */
@ExtendWith(WindowExtension.class)
class MakeStageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
        app.bench.stageProperty().set(WorkStage.MAKE);
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private void sheet(FxRobot robot, MakeSheet s) {
        robot.interact(() -> app.bench.makeSheetProperty().set(s));
        ready(robot);
    }

    /** Waits until the papers shown are of the job as it stands. */
    private void ready(FxRobot robot) {
        app.settle();
        AppWindow.until(() -> Optional.of(app.bench.job())
                .equals(robot.lookup("#make-stage-pane").query().getUserData()));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private void press(FxRobot robot, String id) {
        AppWindow.press(robot, id);
        ready(robot);
    }

    private void type(FxRobot robot, String id, String text) {
        AppWindow.type(robot, id, text);
        ready(robot);
    }

    @SuppressWarnings("unchecked")
    private void choose(FxRobot robot, String id, String what) {
        robot.interact(() -> {
            ChoiceBox<Object> box = robot.lookup(id).queryAs(ChoiceBox.class);
            box.setValue(box.getItems().stream()
                    .filter(i -> box.getConverter().toString(i).equals(what))
                    .findFirst()
                    .orElseThrow());
        });
        ready(robot);
    }

    private Making making() {
        return app.bench.job().making();
    }

    @Test
    void looseTaperIsReamedFromSheet(FxRobot robot) {
        sheet(robot, MakeSheet.FITS);
        AppWindow.untilSays(robot, "#fit-1", "rattles in the right steering arm");
        press(robot, "#fit-1-way-0");
        AppWindow.untilSays(robot, "#fit-1", "fits the right steering arm");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.STUD_DOES_NOT_SEAT);
        // Measured otherwise, it sinks; the figures follow at once.
        type(robot, "#hole-large-right-tie-rod-outer", "16.4");
        type(robot, "#hole-small-right-tie-rod-outer", "14.2");
        AppWindow.untilSays(robot, "#fit-1", "It sinks 4 mm below the arm's face");
        // What can't be is refused, and what was there stays.
        Job before = app.bench.job();
        type(robot, "#hole-small-right-tie-rod-outer", "18");
        assertThat(app.bench.job()).isEqualTo(before);
        assertThat(app.text(robot, "#message"))
                .contains("large diameter must be above its small one")
                .contains("Nothing was changed");
        // It is all in the job's changes, and goes back with undo.
        assertThat(app.bench.job().changes()).extracting(Change::what).anyMatch(w -> w.startsWith("Ream the arm"));
        robot.interact(app.bench::undo);
        robot.interact(app.bench::undo);
        robot.interact(app.bench::undo);
        ready(robot);
        assertThat(app.bench.job()).isEqualTo(DemoJob.MARSH_CARRIER.job());
        AppWindow.untilSays(robot, "#fit-1", "rattles");
    }

    @Test
    void cutListSortsCopiesAndRunSheetPrints(FxRobot robot) throws Exception {
        sheet(robot, MakeSheet.CUT_LIST);
        AppWindow.until(() -> robot.lookup("#sort-cut-list-saw-mm").tryQuery().isPresent());
        press(robot, "#sort-cut-list-saw-mm");
        press(robot, "#copy-cut-list");
        List<Double> rising = sawn(robot);
        assertThat(rising).hasSizeGreaterThan(3).isSorted();
        press(robot, "#sort-cut-list-saw-mm");
        press(robot, "#copy-cut-list");
        assertThat(sawn(robot)).isEqualTo(rising.reversed());
        sheet(robot, MakeSheet.RUN);
        app.chosen = AppWindow.temporary().resolve("run.pdf");
        AppWindow.until(() -> robot.lookup("#save-run-sheet").tryQuery().isPresent());
        press(robot, "#save-run-sheet");
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(Files.size(app.chosen)).isGreaterThan(5000);
    }

    /** The column of what the saw is set to, as it is on the clipboard. */
    private static List<Double> sawn(FxRobot robot) {
        String[] copied = new String[1];
        robot.interact(() -> copied[0] = Clipboard.getSystemClipboard().getString());
        List<String[]> rows = copied[0].lines().map(l -> l.split("\t", -1)).toList();
        int at = List.of(rows.getFirst()).indexOf("Saw to");
        return rows.stream()
                .skip(1)
                .map(r -> LengthText.parse(r[at], LengthUnit.MM))
                .toList();
    }

    @Test
    void threadIsTypedInItsStandard(FxRobot robot) {
        sheet(robot, MakeSheet.RODS);
        robot.interact(() -> app.bench.lengthUnitProperty().set(LengthUnit.INCH_FRACTION));
        AppWindow.until(
                () -> robot.lookup("#rod-thread-left-tie-rod-inner").tryQuery().isPresent());
        assertThat(robot.lookup("#rod-thread-left-tie-rod-inner")
                        .queryAs(TextField.class)
                        .getText())
                .as("never converted")
                .isEqualTo("M16 × 1.5");
        type(robot, "#rod-thread-left-tie-rod-inner", "5/8-18 UNF");
        ScrewThread now =
                making().rod(Rod.LEFT_TIE_ROD).orElseThrow().inner().part().thread();
        assertThat(now.label()).as("its hand is kept").isEqualTo("5/8-18 UNF LH");
        // Kept, it stays for any other job.
        press(robot, "#rod-keep-left-tie-rod-inner");
        assertThat(app.text(robot, "#message")).contains("Kept in my parts");
        assertThat(app.bench.ownPartsProperty().get().rodEnds().getFirst().thread())
                .isEqualTo(now);
        Job before = app.bench.job();
        type(robot, "#rod-thread-left-tie-rod-inner", "5/8-11 UNF");
        assertThat(app.bench.job()).isEqualTo(before);
        assertThat(app.text(robot, "#message")).contains("has 18 threads to the inch");
    }

    @Test
    void rodMakeUpShowsToePerTurn(FxRobot robot) {
        sheet(robot, MakeSheet.RODS);
        AppWindow.untilSays(
                robot, "#make-rods", "Body 171.6 mm. It grows and shrinks: 12.0 mm longer, 12.0 mm shorter.");
        type(robot, "#rod-length-left-tie-rod", "192");
        AppWindow.untilSays(robot, "#make-rods", "can only grow");
        type(robot, "#rod-length-left-tie-rod", "none");
        choose(robot, "#rod-hand-left-tie-rod-inner", "right-hand");
        AppWindow.untilSays(robot, "#make-rods", "Both threads turn the same way");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.ROD_CAN_NOT_BE_SET);
        press(robot, "#rod-copy-right-tie-rod");
        assertThat(making().rod(Rod.LEFT_TIE_ROD)).isEqualTo(making().rod(Rod.RIGHT_TIE_ROD));
        press(robot, "#rod-drop-left-tie-rod");
        choose(robot, "#rod-choose-left-tie-rod", "Rod end 5/8-18 UNF");
        assertThat(making().rod(Rod.LEFT_TIE_ROD)
                        .orElseThrow()
                        .outer()
                        .part()
                        .thread()
                        .label())
                .isEqualTo("5/8-18 UNF");
        robot.interact(() -> app.bench.lengthUnitProperty().set(LengthUnit.INCH_FRACTION));
        ready(robot);
        AppWindow.untilSays(robot, "#make-rods", "13 3/16\" between centres");
    }

    /** From a rod that lies on the bench to what is cut off it, and a line on the cut list. */
    @Test
    void racksOwnRodIsCutForItsEnd(FxRobot robot) {
        sheet(robot, MakeSheet.RODS);
        press(robot, "#rod-drop-left-tie-rod");
        press(robot, "#rack-rod-left-tie-rod");
        AppWindow.untilSays(robot, "#make-rods", "These are usual sizes. Measure your rod");
        type(robot, "#rack-rod-length-left-tie-rod", "270");
        AppWindow.untilSays(robot, "#make-rods", "is too short");
        AppWindow.untilSays(robot, "#make-rods", "18.6 mm longer from ball to mouth");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.ROD_SHORT_OF_THREAD);
        type(robot, "#rack-rod-reach-left-tie-rod", "5");
        assertThat(making().rackRod(Rod.LEFT_TIE_ROD).orElseThrow().endReach())
                .as("a socket deeper than the end is refused")
                .isEqualTo(70);
        type(robot, "#rack-rod-length-left-tie-rod", "310");
        AppWindow.untilSays(robot, "#make-rods", "Cut 6.4 mm off the tip: 303.6 mm stay");
        press(robot, "#rack-rod-copy-left-tie-rod");
        assertThat(making().rackRods()).hasSize(2);
        sheet(robot, MakeSheet.CUT_LIST);
        AppWindow.untilSays(robot, "#make-cut-list", "Left tie rod, the rack's own");
        // Stops: the gap alone, then the bolt as well; a bolt at the axis itself is refused.
        sheet(robot, MakeSheet.STOPS);
        AppWindow.untilSays(robot, "#make-stops", "30.6 mm of gap straight ahead;");
        type(robot, "#stop-bolt-face", "72");
        AppWindow.untilSays(robot, "#make-stops", "the bolt 41.4 mm out of its face");
        type(robot, "#stop-bolt-radius", "0");
        assertThat(making().stopBolt().radius()).isEqualTo(60);
        // How wide it should be is said of any rack, in its panel.
        robot.interact(() -> {
            app.bench.stageProperty().set(WorkStage.LINKAGE);
            app.bench.showPart(Optional.of(new Element.GearElement()));
        });
        AppWindow.untilSays(robot, ".piece-pane", "lines through the arms' inner pivots");
    }

    /** A column that lies on the bench: what comes off its shaft and its tube, and where its bearing then sits. */
    @Test
    void whatComesOffTheColumnInHandIsOnTheCutList(FxRobot robot) {
        Column c = app.bench.job().column().orElseThrow();
        double wanted = c.cutLength(0);
        ColumnTube tube = c.tube().orElseThrow();
        sheet(robot, MakeSheet.FOUND);
        AppWindow.untilSays(robot, "#make-found", "Nothing is said of any yet");
        press(robot, "#found-add-shaft-1");
        press(robot, "#found-add-tube");
        AppWindow.untilSays(robot, "#make-found", "These are the plan's lengths. Measure your part");
        type(robot, "#found-length-shaft-1", String.valueOf(Math.rint(wanted) + 118));
        type(robot, "#found-length-tube", String.valueOf(tube.length() + 60));
        type(robot, "#found-least-tube", String.valueOf(tube.length() + 18));
        choose(robot, "#found-limit-tube", "its collapse section");
        AppWindow.untilSays(robot, "#make-found", "Take 42.0 mm off, the most, for its collapse section");
        type(robot, "#found-least-tube", "9000");
        assertThat(making().asFound().tube().orElseThrow().least())
                .as("no shortest longer than the part")
                .isEqualTo(tube.length() + 18);
        Finding said = app.bench.analysisProperty().get().orElseThrow().now().findings().stream()
                .filter(f -> f.fault() == Fault.FOUND_TOO_LONG)
                .findFirst()
                .orElseThrow();
        robot.interact(
                () -> app.bench.edit("as found", said.remedies().getFirst().edit()));
        ready(robot);
        assertThat(app.bench.job().column().orElseThrow().tube().orElseThrow().to())
                .isCloseTo(tube.to() + 18, within(1e-9));
        AppWindow.untilSays(robot, "#make-found", "Column tube is cut. Take 42.0 mm off its lower end");
        // A used knuckle whose arm ends elsewhere: what is cut and moved.
        press(robot, "#found-add-left-steering");
        AppWindow.untilSays(robot, "#make-found", "The left steering arm stays as it is.");
        Point end = KnuckleArm.LEFT_STEERING.end(app.bench.job().axle().orElseThrow());
        type(robot, "#found-z-left-steering", String.valueOf(end.z() - 7));
        AppWindow.untilSays(robot, "#make-found", "The boss moves 7.0 mm in all");
        press(robot, "#found-drop-left-steering");
        assertThat(making().asFound().arms()).isEmpty();
        sheet(robot, MakeSheet.CUT_LIST);
        AppWindow.untilSays(robot, "#table-cut-list", LengthText.format(wanted, LengthUnit.MM));
        AppWindow.untilSays(robot, "#make-cut-list", "the part as found");
    }

    private void add(FxRobot robot, String menu, String item) {
        robot.interact(() -> robot.lookup(menu).queryAs(MenuButton.class).getItems().stream()
                .filter(i -> item.equals(i.getId()))
                .findFirst()
                .orElseThrow()
                .fire());
        ready(robot);
    }

    private boolean weakAtItsGroove() {
        return app.bench.analysisProperty().get().orElseThrow().now().findings().stream()
                .anyMatch(f -> f.fault() == Fault.SHAFT_WEAK && f.about().startsWith("groove"));
    }

    /** A shaft for the lathe and a plate: drawn with their sizes, or it is said why not, and saved. */
    @Test
    void partsAreDrawnForTheMachinist(FxRobot robot) throws Exception {
        Job tug = DemoJob.GREENHOUSE_TUG.job();
        robot.interact(() -> app.bench.open(tug, Optional.empty()));
        sheet(robot, MakeSheet.DRAWINGS);
        AppWindow.untilSays(robot, "#make-drawings", "No drawing yet");
        add(robot, "#add-drawing", "add-turned-shaft-1");
        AppWindow.untilSays(robot, "#make-drawings", "mark the wheel end");
        AppWindow.untilSays(
                robot,
                "#table-drawing-sizes",
                LengthText.trimmed(tug.column().orElseThrow().cutLength(0), 2) + " ±0.8");
        assertThat(weakAtItsGroove()).isFalse();
        type(robot, "#making-pieces-gear-end-groove-depth-mm", "7");
        AppWindow.untilSays(robot, "#table-drawing-sizes", "Ø 5 ±0.1");
        assertThat(weakAtItsGroove()).isTrue();
        type(robot, "#making-pieces-gear-end-groove-depth-mm", "11");
        AppWindow.untilSays(robot, "#make-drawings", "! Not drawn: \"Column shaft in one piece\"");
        robot.interact(() -> app.bench.undo());
        ready(robot);
        add(robot, "#add-drawing", "add-adapter");
        press(robot, "#drawing-add-circle");
        AppWindow.untilSays(robot, "#table-drawing-sizes", "hole D");
        type(robot, "#making-pieces-holes-x-mm-3", "1");
        AppWindow.untilSays(robot, "#make-drawings", "hole D at 1.0 mm, 25.9 mm runs off the plate");
        press(robot, "#drawing-hole-out-3");
        app.chosen = AppWindow.temporary().resolve("drawings");
        robot.interact(
                () -> robot.lookup("#save-drawings").queryAs(Button.class).fire());
        AppWindow.until(() -> app.text(robot, "#message").contains("3 drawing files are in drawings"));
        assertThat(Files.readString(app.chosen.resolve("adapter-plate.dxf"))).contains("CUT", "120 \\U+00B10.3");
    }

    /** Three from one plan: their class, their fixture and a check sheet for each. */
    @Test
    void aSetIsHeldToItsClassAndChecked(FxRobot robot) throws Exception {
        sheet(robot, MakeSheet.SET);
        type(robot, "#set-count", "3");
        AppWindow.untilSays(robot, "#make-set", "Check sheets for carrier 1, Vehicle 2, Vehicle 3");
        AppWindow.untilSays(robot, "#table-fixture", "left lower arm, front pivot");
        AppWindow.untilSays(robot, "#table-check-sheet", "Left wheel at full left lock");
        press(robot, "#class-add");
        type(robot, "#rules-classes-width-max-mm-0", "900");
        AppWindow.untilSays(robot, "#table-class-limits", "OUTSIDE");
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .anyMatch(f -> f.fault() == Fault.OUT_OF_CLASS);
        assertThat(app.bench.job().rules().name()).as("no shipped set any more").contains("edited");
        type(robot, "#rules-classes-width-max-mm-0", "-4");
        assertThat(app.bench.job().rules().classes().getFirst().widthMax()).isEqualTo(900);
        app.chosen = AppWindow.temporary().resolve("sheets.pdf");
        robot.interact(
                () -> robot.lookup("#save-check-sheets").queryAs(Button.class).fire());
        AppWindow.until(() -> app.text(robot, "#message").contains("The check sheets are in sheets.pdf"));
        assertThat(app.chosen).isNotEmptyFile();
    }

    @Test
    void cutListFollowsSawAndStock(FxRobot robot) {
        sheet(robot, MakeSheet.CUT_LIST);
        AppWindow.untilSays(robot, "#table-cut-list", "173.6 mm");
        type(robot, "#make-facing", "2");
        AppWindow.untilSays(robot, "#table-cut-list", "175.6 mm");
        type(robot, "#make-sets", "6");
        AppWindow.untilSays(robot, "#table-stock-plan", "to buy");
        type(robot, "#stock-length-0", "2.5m");
        assertThat(making().workshop().stock().getFirst().length()).isEqualTo(2500);
        press(robot, "#add-length");
        type(robot, "#piece-name-4", "Bush");
        type(robot, "#piece-wall-4", "none");
        assertThat(making().pieces().get(4))
                .isInstanceOf(Piece.Length.class)
                .extracting(Piece::name)
                .isEqualTo("Bush");
        AppWindow.untilSays(robot, "#table-cut-list", "bar Ø 25 mm");
        press(robot, "#piece-out-4");
        assertThat(making().pieces()).hasSize(4);
        type(robot, "#make-sets", "0");
        assertThat(app.text(robot, "#message")).contains("number of sets must be 1 to 100");
        assertThat(making().workshop().sets()).isEqualTo(6);
    }

    @Test
    void forbiddenJoinCannotBeChosen(FxRobot robot) {
        robot.interact(() -> app.bench.open(DemoJob.BOG_TENDER.job(), Optional.empty()));
        robot.interact(() -> app.bench.stageProperty().set(WorkStage.MAKE));
        sheet(robot, MakeSheet.JOINS);
        for (School s : School.values()) {
            assertThat(robot.lookup("#school-0-" + s.name().toLowerCase()).tryQuery())
                    .isPresent();
        }
        assertThat(robot.lookup("#school-take-0-plug").queryButton().isDisabled())
                .isFalse();
        robot.interact(
                () -> app.bench.edit("Forbid welds", j -> j.withRules(j.rules().withWelding(Welding.FORBIDDEN))));
        ready(robot);
        assertThat(robot.lookup("#school-take-0-plug").queryButton().isDisabled())
                .isTrue();
        assertThat(app.bench
                        .analysisProperty()
                        .get()
                        .orElseThrow()
                        .now()
                        .findings()
                        .getFirst()
                        .fault())
                .isEqualTo(Fault.JOIN_FORBIDDEN);
        press(robot, "#school-take-0-coupling");
        assertThat(making().joins().getFirst().school()).isEqualTo(School.COUPLING);
        assertThat(app.bench.analysisProperty().get().orElseThrow().now().findings())
                .noneMatch(f -> f.fault() == Fault.JOIN_FORBIDDEN);
    }

    @Test
    void stepsAndPurchasesAreTickedAndAdded(FxRobot robot) {
        sheet(robot, MakeSheet.RUN);
        Job before = app.bench.job();
        robot.interact(() -> robot.lookup("#tick-weld").queryAs(CheckBox.class).fire());
        ready(robot);
        assertThat(making().plan().mark("weld").done()).contains(LocalDate.of(2026, 11, 24));
        assertThat(app.text(robot, "#message")).contains("should come first");
        AppWindow.untilSays(robot, "#make-run", "done out of order");
        press(robot, "#step-trial");
        type(robot, "#run-by-trial", "second pair of eyes");
        type(robot, "#run-add-trial", "Photograph the joints");
        assertThat(making().plan().ownSteps()).hasSize(2);
        press(robot, "#run-skip-trial");
        assertThat(making().plan().mark("trial").skipped()).isTrue();
        // The column stays where it is, and the gear is led to it; then as usual again.
        press(robot, "#step-gear");
        AppWindow.untilSays(robot, "#make-run", "Proof: Between ball centres: left tie rod");
        choose(robot, "#run-located-gear", "the column");
        AppWindow.untilSays(robot, "#make-run", "because you said that it is located by that");
        assertThat(robot.lookup("#step-mounts").queryButton().getText()).startsWith("4. Tack the column");
        assertThat(robot.lookup("#step-gear").queryButton().getText()).startsWith("5. Fix the gear");
        press(robot, "#run-not-located-mounts");
        assertThat(robot.lookup("#step-gear").queryButton().getText()).startsWith("3. Fix the gear");
        assertThat(app.bench.job().changes())
                .as("ticks have dates of their own")
                .isEqualTo(before.changes());
        sheet(robot, MakeSheet.BUYING);
        type(robot, "#buy-wanted", "2026-12-20");
        AppWindow.untilSays(robot, "#make-buying", "late to be ordered");
        type(robot, "#buy-wanted", "next spring");
        assertThat(app.text(robot, "#message")).contains("is not a day");
        type(robot, "#buy-add", "Split pins");
        assertThat(making().plan().ownPurchases())
                .extracting(WorkPlan.OwnPurchase::what)
                .contains("Split pins");
        type(robot, "#buy-price-2", "33.5");
        AppWindow.untilSays(robot, "#make-buying", "Priced so far: 343.50");
        type(robot, "#buy-arrived-0", "2026-11-23");
        AppWindow.untilSays(robot, "#make-buying", "here");
    }

    @Test
    void coldReadingIsReportedAtOnce(FxRobot robot) {
        sheet(robot, MakeSheet.HEAT);
        type(robot, "#heat-add", "Right knuckle");
        AppWindow.untilSays(robot, "#make-heat", "A steering part of this metal (not known yet) is not welded");
        choose(robot, "#heat-metal-1", "cast steel");
        for (String[] r :
                new String[][] {{"0", "20", "heating"}, {"30", "120", "heating"}, {"40", "250", "between runs"}}) {
            robot.interact(() -> {
                robot.lookup("#heat-minutes-1").queryAs(TextField.class).setText(r[0]);
                robot.lookup("#heat-celsius-1").queryAs(TextField.class).setText(r[1]);
            });
            choose(robot, "#heat-moment-1", r[2]);
            press(robot, "#heat-take-1");
        }
        assertThat(making().welds().get(1).readings()).hasSize(3);
        AppWindow.untilSays(robot, "#make-heat", "Heated to 120 °C; 150 °C was wanted before the arc.");
        robot.interact(
                () -> robot.lookup("#heat-celsius-1").queryAs(TextField.class).setText("hot"));
        press(robot, "#heat-take-1");
        assertThat(making().welds().get(1).readings()).hasSize(3);
        press(robot, "#heat-drop-1");
        assertThat(making().welds().get(1).readings()).hasSize(2);
    }

    @Test
    void templatesArePreviewedAndAllSaved(FxRobot robot) throws Exception {
        sheet(robot, MakeSheet.TEMPLATES);
        choose(robot, "#template-look", "Left arm plate");
        AppWindow.untilSays(robot, "#make-templates", "1 sheet of A4. From steer axis");
        robot.interact(() -> robot.lookup("#add-template").queryAs(MenuButton.class).getItems().stream()
                .filter(i -> "add-stay".equals(i.getId()))
                .findFirst()
                .orElseThrow()
                .fire());
        ready(robot);
        type(robot, "#piece-into-from-4", "20");
        assertThat(app.text(robot, "#message")).contains("no cope fits it");
        app.chosen = AppWindow.temporary().resolve("bench");
        sheet(robot, MakeSheet.PAPERS);
        press(robot, "#paper-book");
        AppWindow.until(() -> robot.lookup(".job-card-pane .hint").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().startsWith("sheet 1 of")));
        press(robot, "#paper-on");
        AppWindow.until(() -> robot.lookup(".job-card-pane .hint").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().startsWith("sheet 2 of")));
        assertThat(robot.lookup(".job-card-pane .image-view")
                        .queryAs(ImageView.class)
                        .getImage()
                        .getWidth())
                .isCloseTo(1286, within(3.0));
        robot.interact(
                () -> robot.lookup("#save-everything").queryAs(Button.class).fire());
        AppWindow.until(() -> app.text(robot, "#message").contains("files are in bench"));
        try (Stream<Path> files = Files.walk(app.chosen)) {
            assertThat(files.map(p -> p.getFileName().toString()).toList())
                    .contains(
                            "job-book.pdf",
                            "steer-curve.csv",
                            "cut-list.csv",
                            "left-arm-plate.dxf",
                            "stay-of-tube-coped-first-end.svg",
                            "jig-for-19-on-19.stl");
        }
        // Sheets go by with a key.
        robot.interact(() -> app.bench.makeSheetProperty().set(MakeSheet.CUT_LIST));
        robot.press(KeyCode.CONTROL, KeyCode.M).release(KeyCode.M, KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(app.bench.makeSheetProperty().get()).isEqualTo(MakeSheet.RODS);
    }

    @Test
    void emptyMakeStageSaysWhatIsMissing(FxRobot robot) {
        Job demo = DemoJob.MARSH_CARRIER.job();
        robot.interact(() -> app.bench.open(
                Job.of("nothing yet", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets())),
                Optional.empty()));
        for (MakeSheet s : MakeSheet.values()) {
            sheet(robot, s);
            assertThat(app.text(robot, "#message")).as(s.label()).doesNotContain("could not");
        }
        sheet(robot, MakeSheet.CUT_LIST);
        AppWindow.untilSays(robot, "#make-cut-list", "Nothing is cut yet");
        sheet(robot, MakeSheet.RODS);
        AppWindow.untilSays(robot, "#make-rods", "no steered axle yet");
    }
}
