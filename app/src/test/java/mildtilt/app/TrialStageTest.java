package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.gear.RackAndPinion;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Trial;
import mildtilt.job.Variant;
import mildtilt.steer.position.SteeringInput;
import mildtilt.trials.Measurand;
import mildtilt.trials.TrialReading;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The Fit stage as its users work in it: measure, write down, find the cause, put it right, sign. */
@ExtendWith(WindowExtension.class)
class TrialStageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
        app.bench.steerTo(new SteeringInput(30, 0, 0));
        app.bench.stageProperty().set(WorkStage.TRIAL);
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private void sheet(FxRobot robot, TrialSheetChoice s) {
        robot.interact(() -> app.bench.trialSheetProperty().set(s));
        WaitForAsyncUtils.waitForFxEvents();
    }

    @SuppressWarnings("unchecked")
    private void pick(FxRobot robot, String id, String text) {
        robot.interact(() -> {
            ChoiceBox<Object> c = robot.lookup(id).queryAs(ChoiceBox.class);
            c.setValue(c.getItems().stream()
                    .filter(i -> c.getConverter().toString(i).equals(text))
                    .findFirst()
                    .orElseThrow());
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Trial trial() {
        return app.bench.job().log().vehicles().getFirst().last().orElseThrow();
    }

    private Optional<TrialReading.Figure> read(Measurand g) {
        return trial().sheet().figures().stream()
                .filter(f -> f.what().equals(g))
                .findFirst();
    }

    private String asked(FxRobot robot) {
        return app.text(robot, "#trial-asked");
    }

    @Test
    void readingsAreTypedUndoneAndShown(FxRobot robot) {
        AppWindow.until(() -> asked(robot).equals("Angle of Upper joint"));
        assertThat(app.text(robot, "#trial-planned")).isEqualTo("Planned 26.7°");
        assertThat(app.bench.steeringInput()).isEqualTo(SteeringInput.STRAIGHT_AHEAD);
        AppWindow.type(robot, "#trial-typed-0", "31");
        assertThat(asked(robot)).isEqualTo("Angle of Lower joint");
        assertThat(read(new Measurand.JointAngle(new Id("joint-1")))
                        .orElseThrow()
                        .value())
                .isEqualTo(31);
        AppWindow.press(robot, "#trial-back");
        AppWindow.until(() -> app.text(robot, "#trial-planned").contains("read 31.0°: not as planned"));
        assertThat(robot.lookup("#trial-planned").query().getStyleClass()).contains("trial-out");
        AppWindow.press(robot, "#trial-skip");
        assertThat(robot.lookup("#trial-planned").query().getStyleClass())
                .as("what is not read yet is not wrong")
                .doesNotContain("trial-out");
        AppWindow.press(robot, "#trial-back");
        // Nothing that is no number is taken, and nothing is lost by it.
        AppWindow.type(robot, "#trial-typed-0", "about thirty");
        assertThat(app.text(robot, "#message")).contains("about thirty");
        assertThat(robot.lookup("#trial-typed-0").queryAs(TextField.class).getText())
                .isEqualTo("about thirty");
        AppWindow.press(robot, "#trial-undo");
        assertThat(read(new Measurand.JointAngle(new Id("joint-1")))).isEmpty();
        // In inches a length is typed as it is shown, a force in pounds.
        robot.interact(() -> app.bench.lengthUnitProperty().set(LengthUnit.INCH_FRACTION));
        pick(robot, "#trial-round", "At the rim");
        // What was read raised is passed over: the first that is not read is asked for.
        AppWindow.until(() -> asked(robot).contains("orce at the rim, on its tyres"));
        AppWindow.type(robot, "#trial-typed-0", "10");
        assertThat(read(new Measurand.RimForce(true)).orElseThrow().value()).isBetween(44.4, 44.6);
        AppWindow.type(robot, "#trial-typed-0", "1/2\"");
        assertThat(read(new Measurand.RimPlay(true)).orElseThrow().value()).isEqualTo(12.7);
        // What was looked at in the other stages is put back.
        robot.interact(() -> app.bench.stageProperty().set(WorkStage.COLUMN));
        assertThat(app.bench.steeringInput()).isEqualTo(new SteeringInput(30, 0, 0));
        // Readings are no changes of the plan.
        assertThat(app.bench.job().changes())
                .isEqualTo(DemoJob.MARSH_CARRIER.job().changes());
    }

    @Test
    void standInsAreReadIntoANewTrial(FxRobot robot) {
        AppWindow.until(() -> asked(robot).equals("Angle of Upper joint"));
        sheet(robot, TrialSheetChoice.TRIALS);
        AppWindow.press(robot, "#trial-begin-trial");
        assertThat(trial().sheet().name()).isEqualTo("Trial 3");
        assertThat(trial().sheet().readings()).isEmpty();
        sheet(robot, TrialSheetChoice.BENCH);
        AppWindow.until(() -> asked(robot).equals("Angle of Upper joint"));
        AppWindow.press(robot, "#trial-take");
        assertThat(app.text(robot, "#message")).contains("Nothing to record");
        AppWindow.menu(robot, "#trial-sources", "trial-stand-ins");
        AppWindow.until(() -> app.text(robot, "#trial-figure").endsWith("°"));
        robot.interact(
                () -> robot.lookup("#trial-hold").queryAs(ButtonBase.class).fire());
        AppWindow.until(() ->
                robot.lookup("#trial-hold").queryAs(Labeled.class).getText().equals("Held"));
        String held = app.text(robot, "#trial-figure");
        AppWindow.press(robot, "#trial-take");
        TrialReading.Figure f =
                read(new Measurand.JointAngle(new Id("joint-1"))).orElseThrow();
        assertThat(f.by()).isEqualTo("angle finder");
        assertThat(held).startsWith(String.format("%.1f", f.value()));
        // A dial is read in steps, one reading of all of them.
        pick(robot, "#trial-round", "Run-out");
        for (int i = 0; i < 8; i++) {
            int step = i + 1;
            AppWindow.until(() -> AppWindow.says(robot, "#trial-measure", "Step " + step + " of 8")
                    && app.text(robot, "#trial-figure").endsWith("mm"));
            assertThat(trial().sheet().runOuts()).isEmpty();
            AppWindow.press(robot, "#trial-take");
        }
        assertThat(trial().sheet().runOuts()).singleElement().satisfies(r -> assertThat(r.dial())
                .hasSize(8));
        pick(robot, "#trial-round", "Turn plates");
        AppWindow.until(() -> app.text(robot, "#trial-figure").contains("/"));
        AppWindow.press(robot, "#trial-take");
        assertThat(trial().sheet().plates()).singleElement().satisfies(p -> assertThat(p.inner())
                .isBetween(8.0, 13.0));
        AppWindow.menu(robot, "#trial-sources", "trial-none");
        AppWindow.until(() -> app.text(robot, "#trial-instrument").contains("type what you read"));
        app.chosen = Path.of("no-such-file.txt");
        AppWindow.menu(robot, "#trial-sources", "trial-file");
        AppWindow.until(() -> app.text(robot, "#trial-instrument").contains("no file no-such-file.txt"));
    }

    @Test
    void causeIsDiagnosedCorrectedAndLogged(FxRobot robot) {
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        AppWindow.untilSays(robot, "#trial-diagnosis", "These readings fit the rack 3.");
        assertThat(AppWindow.says(robot, "#trial-diagnosis", "Raise the rack by 3."))
                .isTrue();
        assertThat(AppWindow.says(robot, "#trial-diagnosis", "turns of its body"))
                .isTrue();
        sheet(robot, TrialSheetChoice.WALL);
        AppWindow.untilSays(
                robot,
                "#trial-wall-sheet",
                "of toe change over the normal travel (shaded), where no more than 0.50° is wanted");
        sheet(robot, TrialSheetChoice.RUN_OUT);
        AppWindow.untilSays(robot, "#trial-run-out-sheet", "Lower shaft: bent.");
        sheet(robot, TrialSheetChoice.TRIALS);
        AppWindow.untilSays(robot, "#trial-list", "Planned against measured");
        pick(robot, "#trial-choice", "First roll-out");
        sheet(robot, TrialSheetChoice.PLATES);
        AppWindow.untilSays(robot, "#trial-plates-sheet", "First roll-out");
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        AppWindow.untilSays(robot, "#trial-diagnosis", "These readings fit left and right steering arms swapped.");
        sheet(robot, TrialSheetChoice.TRIALS);
        pick(robot, "#trial-choice", "Arms changed over");
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        AppWindow.untilSays(robot, "#trial-diagnosis", "These readings fit the rack 3.");
        double before = ((RackAndPinion) app.bench.job().axle().orElseThrow().gear())
                .centre()
                .z();
        AppWindow.press(robot, "#trial-take-built");
        assertThat(((RackAndPinion) app.bench.job().axle().orElseThrow().gear())
                        .centre()
                        .z())
                .isBetween(before - 3.5, before - 2.7);
        assertThat(app.bench.job().changes().getLast().why())
                .startsWith("The readings of Arms changed over fit the rack");
        app.settle();
        sheet(robot, TrialSheetChoice.LOG);
        AppWindow.untilSays(robot, "#trial-log", "Bump steer, normal travel");
        int last = app.bench.job().changes().size() - 1;
        AppWindow.type(robot, "#log-why-" + last, "no room for shims");
        assertThat(app.bench.job().changes()).hasSize(last + 1);
        assertThat(app.bench.job().changes().getLast().why()).isEqualTo("no room for shims");
        AppWindow.press(robot, "#log-keep");
        assertThat(app.bench.job().variants().all())
                .extracting(Variant::name)
                .containsExactly("as at Arms changed over");
        AppWindow.press(robot, "#log-back");
        assertThat(app.bench.job().axle()).isEqualTo(DemoJob.MARSH_CARRIER.job().axle());
    }

    @Test
    void inspectionIsTickedPerVehicle(FxRobot robot) throws Exception {
        sheet(robot, TrialSheetChoice.INSPECTION);
        AppWindow.untilSays(robot, "#trial-inspection", "builder's record, not an approval");
        assertThat(AppWindow.says(robot, "#trial-inspection", "1 item failed: do not drive."))
                .isTrue();
        AppWindow.type(robot, "#inspection-who", "foreman");
        AppWindow.press(robot, "#inspect-fine-hoses");
        AppWindow.untilSays(robot, "#trial-inspection", "2026-11-24, foreman");
        assertThat(AppWindow.says(robot, "#trial-inspection", " failed:")).isFalse();
        AppWindow.type(robot, "#inspection-own", "Winch cable");
        AppWindow.untilSays(robot, "#trial-inspection", "Winch cable");
        AppWindow.type(robot, "#inspection-driven", "2026-11-30");
        AppWindow.untilSays(robot, "#trial-inspection", "First driven on 2026-11-30");
        app.chosen = AppWindow.temporary().resolve("sheet.pdf");
        AppWindow.press(robot, "#inspection-pdf");
        AppWindow.until(() -> Files.exists(app.chosen));
        assertThat(Files.readAllBytes(app.chosen)).startsWith("%PDF".getBytes());
        sheet(robot, TrialSheetChoice.TRIALS);
        AppWindow.type(robot, "#trial-another", "carrier 2");
        assertThat(app.bench.job().log().vehicles())
                .extracting(BuiltVehicle::name)
                .containsExactly("carrier 1", "carrier 2");
        AppWindow.press(robot, "#trial-begin-trial");
        assertThat(app.bench
                        .job()
                        .log()
                        .vehicle(new Id("vehicle-2"))
                        .orElseThrow()
                        .trials())
                .hasSize(1);
        sheet(robot, TrialSheetChoice.INSPECTION);
        AppWindow.untilSays(robot, "#trial-inspection", "Inspection: carrier 2");
        assertThat(AppWindow.says(robot, "#trial-inspection", "Not driven yet."))
                .isTrue();
        // Trials of two vehicles may be called alike: each is told of by its own readings.
        sheet(robot, TrialSheetChoice.TRIALS);
        AppWindow.type(robot, "#trial-name", "Arms changed over");
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        AppWindow.untilSays(robot, "#trial-diagnosis", "There are too few readings");
        sheet(robot, TrialSheetChoice.TRIALS);
        pick(robot, "#trial-vehicle", "carrier 1");
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        AppWindow.untilSays(robot, "#trial-diagnosis", "These readings fit the rack 3.");
        sheet(robot, TrialSheetChoice.TRIALS);
        pick(robot, "#trial-vehicle", "carrier 2");
        sheet(robot, TrialSheetChoice.DIAGNOSIS);
        assertThat(AppWindow.says(robot, "#trial-diagnosis", "These readings fit"))
                .isFalse();
        AppWindow.untilSays(robot, "#trial-diagnosis", "There are too few readings");
        // Two may not be called alike.
        sheet(robot, TrialSheetChoice.TRIALS);
        Job before = app.bench.job();
        AppWindow.type(robot, "#trial-vehicle-name", "carrier 1");
        assertThat(app.text(robot, "#message")).contains("same name");
        assertThat(app.bench.job()).isEqualTo(before);
    }

    @Test
    void photoIsCopiedWithTheJob(FxRobot robot) throws Exception {
        sheet(robot, TrialSheetChoice.TRIALS);
        AppWindow.untilSays(robot, "#trial-list", "Photos are copied beside the job");
        AppWindow.press(robot, "#trial-add-photo");
        assertThat(app.text(robot, "#message")).contains("Save the job first");
        Path folder = AppWindow.temporary();
        app.chosen = folder.resolve("carrier.tilt");
        robot.interact(() -> app.shell.documents().saveAs(app.stage));
        app.chosen = Files.write(AppWindow.temporary().resolve("Front left.png"), Files.readAllBytes(picture(robot)));
        AppWindow.press(robot, "#trial-add-photo");
        assertThat(trial().sheet().photos()).containsExactly("photos/front-left.png");
        assertThat(folder.resolve("photos/front-left.png")).exists();
        AppWindow.until(() -> robot.lookup("#trial-list .image-view")
                .tryQueryAs(ImageView.class)
                .filter(v -> v.getImage().getProgress() == 1 && !v.getImage().isError())
                .isPresent());
        app.chosen = AppWindow.temporary().resolve("copy.tilt");
        robot.interact(() -> app.shell.documents().saveAs(app.stage));
        assertThat(app.chosen.resolveSibling("photos/front-left.png")).exists();
        assertThat(JobFile.open(app.chosen).log()).isEqualTo(app.bench.job().log());
        AppWindow.press(robot, "#trial-photo-out-photos-front-left-png");
        assertThat(trial().sheet().photos()).isEmpty();
        app.chosen = Files.writeString(AppWindow.temporary().resolve("notes.txt"), "no photo");
        Platform.runLater(
                () -> robot.lookup("#trial-add-photo").queryAs(ButtonBase.class).fire());
        AppWindow.until(() -> robot.lookup("#problem-text").tryQuery().isPresent());
        assertThat(app.text(robot, "#problem-text")).contains("JPG or PNG");
        AppWindow.answer(robot, ButtonData.OK_DONE);
    }

    /** Some picture: of the window itself. */
    private Path picture(FxRobot robot) throws Exception {
        Path file = AppWindow.temporary().resolve("shot.png");
        robot.interact(() -> {
            try {
                ImageIO.write(
                        SwingFXUtils.fromFXImage(app.stage.getScene().snapshot(null), null), "png", file.toFile());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        return file;
    }

    @Test
    void mismatchedAndEmptyVehiclesAreReported(FxRobot robot) {
        robot.interact(() -> app.bench.open(DemoJob.GREENHOUSE_TUG.job(), Optional.empty()));
        sheet(robot, TrialSheetChoice.BENCH);
        AppWindow.until(() -> asked(robot).contains("Begin a trial"));
        AppWindow.press(robot, "#trial-begin");
        AppWindow.until(
                () -> asked(robot).startsWith("Angle of") || asked(robot).startsWith("Length of"));
        pick(robot, "#trial-round", "Wall trace");
        assertThat(asked(robot)).contains("nothing to measure here");
        for (TrialSheetChoice s : TrialSheetChoice.values()) {
            sheet(robot, s);
            assertThat(AppWindow.cutOff(app.stage.getScene().getRoot()))
                    .as(s.label())
                    .isEmpty();
        }
        robot.interact(() -> app.bench.open(
                Job.of(
                        "nothing yet",
                        new Plan(
                                app.bench.job().vehicle(),
                                Optional.empty(),
                                Optional.empty(),
                                app.bench.job().targets())),
                Optional.empty()));
        for (TrialSheetChoice s : TrialSheetChoice.values()) {
            sheet(robot, s);
        }
        List<Node> panes = List.copyOf(robot.lookup("#trial-inspection").queryAll());
        assertThat(panes).isNotEmpty();
        sheet(robot, TrialSheetChoice.INSPECTION);
        AppWindow.untilSays(robot, "#trial-inspection", "Brake hoses and lines");
    }
}
