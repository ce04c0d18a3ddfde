package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.stage.Stage;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import mildtilt.survey.SurveyPoint;
import mildtilt.trials.instruments.SimulatedVehicle;
import mildtilt.trials.instruments.StandIn;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** The survey stage as its users work in it: measure, see what is wrong, put points where they are. */
@ExtendWith(WindowExtension.class)
class SurveyStageTest {

    private AppWindow app;

    @Start
    void start(Stage stage) throws Exception {
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), AppWindow.temporary());
        app.bench.stageProperty().set(WorkStage.SURVEY);
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private boolean says(FxRobot robot, String text) {
        return AppWindow.says(robot, "#survey-pane", text);
    }

    private void untilSays(FxRobot robot, String text) {
        AppWindow.untilSays(robot, "#survey-pane", text);
    }

    /** A phone that answers on a port of this machine, both ways round, and one that is not there. */
    @Test
    void aPhoneIsReadBothWaysRound(FxRobot robot) throws Exception {
        Job job = app.bench.job();
        Id from = new Id("joint-1.centre");
        Id to = new Id("joint-2.centre");
        double slope = JobPoints.position(job, new PointId.JointCentre(1))
                .minus(JobPoints.position(job, new PointId.JointCentre(0)))
                .direction()
                .downDeg();
        robot.interact(() -> app.bench.edit(
                "Measure by phone",
                j -> j.editSurvey(s -> s.withPoints(List.of(
                        new SurveyPoint(from, "upper", List.of(new Reading.Plumb(0, 0, 1), new Reading.Height(700, 1))),
                        new SurveyPoint(to, "lower", List.of(new Reading.PhoneSlope(from, 1, -1, 0.2))))))));
        AppWindow.press(robot, "#survey-point-joint-2-centre");
        try (StandIn phone = new StandIn(SimulatedVehicle.of(job, 3), 0, 4)) {
            AppWindow.type(robot, "#survey-phone-port-joint-2-centre-0", Integer.toString(phone.port()));
            AppWindow.press(robot, "#survey-phone-joint-2-centre-0");
            AppWindow.until(() -> phone(to).firstDeg() != 1);
            AppWindow.until(() -> app.bench.messageProperty().get().text().contains("turn the phone end for end"));
            double first = phone(to).firstDeg();
            AppWindow.press(robot, "#survey-phone-turned-joint-2-centre-0");
            AppWindow.until(() -> phone(to).turnedDeg() != -first);
        }
        assertThat(phone(to).downDeg()).isCloseTo(slope, within(5 * phone(to).slopeSpread()));
        Job kept = app.bench.job();
        AppWindow.press(robot, "#survey-phone-joint-2-centre-0");
        AppWindow.until(() -> app.bench.messageProperty().get().text().contains("No instrument answers"));
        assertThat(app.bench.job()).isSameAs(kept);
    }

    private Reading.PhoneSlope phone(Id point) {
        return (Reading.PhoneSlope)
                app.bench.job().survey().point(point).orElseThrow().readings().getFirst();
    }

    @Test
    void misreadTapeIsNamedCorrectedAndApplied(FxRobot robot) {
        assertThat(app.bench.sideTabProperty().get()).isEqualTo(SideTab.READINGS);
        untilSays(robot, "! gear input, tape from mark D, looks wrong: misread by about 29.6 mm");
        assertThat(says(robot, "The axle is 0.26° from square to the frame")).isTrue();
        AppWindow.press(robot, "#survey-point-gear-input");
        double read = ((Reading.Tape) app.bench
                        .job()
                        .survey()
                        .point(new Id("gear_input"))
                        .orElseThrow()
                        .readings()
                        .get(3))
                .length();
        AppWindow.type(robot, "#survey-length-gear-input-3", Double.toString(read - 30));
        untilSays(robot, "No reading looks wrong.");
        Point plan = JobPoints.position(app.bench.job(), new PointId.GearInput());
        AppWindow.press(robot, "#survey-put-gear-input");
        Point put = JobPoints.position(app.bench.job(), new PointId.GearInput());
        assertThat(put.distanceTo(plan)).isBetween(0.05, 3.0);
        untilSays(robot, "The plan has it there.");
        // What can't be is refused, with what was there kept.
        Job before = app.bench.job();
        AppWindow.type(robot, "#survey-spread-gear-input-0", "0");
        assertThat(app.text(robot, "#message")).contains("nothing is measured exactly");
        assertThat(app.bench.job()).isEqualTo(before);
    }

    @Test
    void pointsImportFromCsvAfterPreview(FxRobot robot) throws Exception {
        app.chosen = Files.writeString(
                AppWindow.temporary().resolve("bay.csv"),
                "mark,z cm,x cm,y cm\nsill left,31,-80,62\nsill right,31.2,-80,-62\n");
        AppWindow.until(() -> robot.lookup("#survey-csv").tryQuery().isPresent());
        Platform.runLater(
                () -> robot.lookup("#survey-csv").queryAs(ButtonBase.class).fire());
        AppWindow.until(() -> robot.lookup("#points-x").tryQuery().isPresent());
        assertThat(robot.lookup("#points-x").queryAs(ChoiceBox.class).getValue())
                .isEqualTo(2);
        AppWindow.answer(robot, ButtonData.OK_DONE);
        untilSays(robot, "x −800.0 mm, y 620.0 mm, z 310.0 mm");
        // A file that can't be taken changes nothing.
        Job before = app.bench.job();
        Files.writeString(app.chosen, "mark,x,y,z\nsill,one,2,3\n");
        Platform.runLater(
                () -> robot.lookup("#survey-csv").queryAs(ButtonBase.class).fire());
        AppWindow.answer(robot, ButtonData.OK_DONE);
        AppWindow.until(() -> robot.lookup("#problem-text").tryQuery().isPresent());
        assertThat(app.text(robot, "#problem-text")).contains("line 2").contains("\"one\" is not a usable number");
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(app.bench.job()).isEqualTo(before);
    }

    @Test
    void newPointIsMeasured(FxRobot robot) {
        robot.interact(() -> app.bench.edit("Nothing measured", j -> j.withSurvey(Survey.NONE)));
        robot.interact(() -> {
            @SuppressWarnings("unchecked")
            ChoiceBox<Id> box = robot.lookup("#survey-add").queryAs(ChoiceBox.class);
            box.setValue(new Id("hub"));
        });
        untilSays(robot, "Not measured yet.");
        AppWindow.menu(robot, "#survey-read-hub", "survey-add-plumb");
        untilSays(robot, "Its readings settle 2 figures of three");
        AppWindow.menu(robot, "#survey-read-hub", "survey-add-height");
        AppWindow.type(robot, "#survey-x-hub-0", "-1050");
        AppWindow.type(robot, "#survey-y-hub-0", "15\"");
        AppWindow.type(robot, "#survey-z-hub-1", "1m");
        untilSays(robot, "x −1050.0 mm, y 381.0 mm, z 1000.0 mm; ± 1.5 mm");
        assertThat(says(robot, "one misread tape would not show")).isTrue();
        AppWindow.type(robot, "#survey-add-mark", "mark on the sill");
        AppWindow.menu(robot, "#survey-read-mark-1", "survey-add-tape");
        assertThat(app.bench
                        .job()
                        .survey()
                        .point(new Id("mark-1"))
                        .orElseThrow()
                        .readings())
                .singleElement()
                .isInstanceOf(Reading.Tape.class);
        AppWindow.press(robot, "#survey-drop-mark-1-0");
        AppWindow.press(robot, "#survey-out-mark-1");
        assertThat(app.bench.job().survey().point(new Id("mark-1"))).isEmpty();
        robot.interact(app.bench::undo);
        assertThat(app.bench.job().survey().point(new Id("mark-1"))).isPresent();
        robot.interact(() -> app.bench.open(
                Job.of(
                        "nothing yet",
                        new Plan(
                                app.bench.job().vehicle(),
                                Optional.empty(),
                                Optional.empty(),
                                app.bench.job().targets())),
                Optional.empty()));
        untilSays(robot, "Give each point what you can measure");
    }

    @Test
    void uncertaintyRunsAndNamesWhatToRemeasure(FxRobot robot) {
        robot.interact(() -> {
            app.bench.open(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
            app.bench.stageProperty().set(WorkStage.SURVEY);
            app.bench.sideTabProperty().set(SideTab.UNCERTAINTY);
        });
        for (String text : new String[] {"1. ", "Caster, left\n", "→ ±"}) {
            AppWindow.untilSays(robot, "#uncertainty-pane", text);
        }
        AppWindow.until(() -> !AppWindow.says(robot, "#uncertainty-pane", "times so far"));
        assertThat(AppWindow.cutOff(robot.lookup("#uncertainty-pane").query())).isEmpty();
        // A better tape makes everything surer; what it is told of is the job as it stands.
        AppWindow.type(robot, "#sure-point", "0.2");
        assertThat(app.bench.job().survey().stated().point()).isEqualTo(0.2);
        AppWindow.until(() -> robot.lookup("#sure-stop").tryQuery().isPresent());
        AppWindow.press(robot, "#sure-stop");
        AppWindow.until(() -> robot.lookup("#sure-start").tryQuery().isPresent());
        AppWindow.press(robot, "#sure-start");
        AppWindow.until(() -> robot.lookup("#sure-stop").tryQuery().isPresent());
        Job before = app.bench.job();
        AppWindow.type(robot, "#sure-clocking", "-1");
        assertThat(app.text(robot, "#message")).contains("must be above 0");
        assertThat(app.bench.job()).isEqualTo(before);
    }
}
