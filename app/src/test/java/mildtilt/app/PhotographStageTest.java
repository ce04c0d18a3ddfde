package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import mildtilt.app.survey.PhotographView;
import mildtilt.app.workbench.PictureBehind;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.drawing.Elevation;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.picture.PracticeSet;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.photograph.Lens;
import mildtilt.photograph.MatchAlong;
import mildtilt.photograph.SeenRectangle;
import mildtilt.photograph.SeenRectangle.Standing;
import mildtilt.survey.Reading.Sighted;
import mildtilt.survey.Survey;
import mildtilt.survey.Surveyed;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;

/** Measuring with a phone, from an empty survey to points with their ±: the sheet, five pictures, six points. */
@ExtendWith(WindowExtension.class)
class PhotographStageTest {

    private static final int WIDTH = 2000;
    private static final int HEIGHT = 1500;

    private AppWindow app;
    private Path folder;

    @Start
    void start(Stage stage) throws Exception {
        folder = AppWindow.temporary();
        app = new AppWindow(stage, DemoJob.MARSH_CARRIER.job(), folder);
        Job job = DemoJob.MARSH_CARRIER.job().withSurvey(Survey.NONE);
        Path file = folder.resolve("carrier.tilt");
        JobFile.save(file, job);
        app.shell.documents().openInstead(stage, file);
        app.bench.stageProperty().set(WorkStage.SURVEY);
        app.bench.sideTabProperty().set(SideTab.PHOTOGRAPHS);
    }

    @AfterEach
    void close(FxRobot robot) {
        robot.interact(app::close);
    }

    private boolean says(FxRobot robot, String text) {
        return AppWindow.says(robot, "#photographs-pane", text);
    }

    private Survey survey() {
        return app.bench.job().survey();
    }

    @Test
    void sixPointsPressedInFivePicturesStandInTheSurvey(FxRobot robot) throws Exception {
        app.chosen = folder.resolve("sheet.pdf");
        AppWindow.press(robot, "#photos-sheet");
        AppWindow.until(() -> Files.exists(app.chosen));
        PracticeSet set = new PracticeSet(app.bench.job(), WIDTH, HEIGHT);
        app.several = set.write(folder.resolve("phone")).stream()
                .filter(p -> p.getFileName().toString().matches("practice-[0-9]\\.jpg"))
                .toList();
        AppWindow.press(robot, "#photos-add");
        AppWindow.until(() -> survey().photographs().size() == set.count());
        assertThat(survey().photographs()).allMatch(p -> Files.exists(folder.resolve(p.file())));
        AppWindow.press(robot, "#photos-laid");
        AppWindow.type(robot, "#photos-laid-x", Double.toString(set.sheetAt().x()));
        AppWindow.type(robot, "#photos-laid-y", Double.toString(set.sheetAt().y()));
        AppWindow.type(robot, "#photos-laid-spread-deg", "0.1");
        List<Map.Entry<Id, Point>> balls = List.copyOf(set.balls().entrySet());
        assertThat(balls).hasSize(6);
        for (int n = 0; n < set.count(); n++) {
            Id photo = Id.Kind.PHOTO.number(n + 1);
            AppWindow.press(robot, "#photo-show-" + photo.text());
            for (Map.Entry<Id, Point> ball : balls) {
                choose(robot, ball.getKey());
                press(robot, set.drawn(n, ball.getValue()));
                AppWindow.until(() -> sight(ball.getKey(), photo).isPresent());
            }
        }
        AppWindow.until(() -> says(robot, "x "));
        Surveyed s = JobPoints.surveyed(app.bench.job());
        for (Map.Entry<Id, Point> ball : balls) {
            Surveyed.Place p = s.places().get(ball.getKey());
            assertThat(p).as("%s", ball.getKey()).isNotNull();
            // A screen's pixel is two or three of the picture's, and one of those is 2 mm here.
            assertThat(p.at().distanceTo(ball.getValue())).isLessThan(12);
        }
        // The place of the chosen point goes to the plan.
        Id last = balls.getLast().getKey();
        AppWindow.press(robot, "#photos-put");
        Point put = JobPoints.position(
                app.bench.job(), JobPoints.byId(app.bench.job()).get(last));
        assertThat(put.distanceTo(s.places().get(last).at())).isLessThan(1e-6);
        // Arrows move a place finely; one taken off is gone.
        Id photo = Id.Kind.PHOTO.number(set.count());
        Sighted before = sight(last, photo).orElseThrow();
        robot.interact(() -> view(robot).requestFocus());
        robot.type(KeyCode.RIGHT);
        AppWindow.until(() -> sight(last, photo).orElseThrow().across() == before.across() + 0.25);
        AppWindow.press(robot, "#photos-unpress-" + photo.text());
        assertThat(sight(last, photo)).isEmpty();
        AppWindow.press(robot, "#photo-drop-photo-1");
        AppWindow.until(() -> survey().photographs().size() == set.count() - 1);
        // Another job's photograph has the same id and is another picture.
        Path elsewhere = Files.createDirectories(folder.resolve("elsewhere"));
        Path second = elsewhere.resolve("second.tilt");
        JobFile.save(second, app.bench.job());
        Path copy = elsewhere.resolve(survey().photographs().getFirst().file());
        Files.createDirectories(copy.getParent());
        Files.copy(folder.resolve(survey().photographs().getFirst().file()), copy);
        robot.interact(() -> {
            app.bench.open(app.bench.job(), Optional.of(second));
            app.bench.stageProperty().set(WorkStage.SURVEY);
            app.bench.sideTabProperty().set(SideTab.PHOTOGRAPHS);
        });
        robot.interact(() -> app.bench.edit(
                "Show the first",
                j -> j.editSurvey(x -> x.withPhotographs(x.photographs().subList(0, 1)))));
        AppWindow.until(
                () -> Optional.of(copy.toAbsolutePath()).equals(view(robot).getUserData()));
        // What is no photograph is said, and nothing changes.
        Job kept = app.bench.job();
        app.several = List.of(app.chosen);
        Platform.runLater(
                () -> robot.lookup("#photos-add").queryAs(ButtonBase.class).fire());
        AppWindow.until(() -> robot.lookup("#problem-text").tryQuery().isPresent());
        assertThat(app.text(robot, "#problem-text")).contains("sheet.pdf: it is no photograph");
        AppWindow.answer(robot, ButtonData.OK_DONE);
        assertThat(app.bench.job()).isSameAs(kept);
    }

    /** What is pressed in one picture is proposed in the next, by how it looks. */
    @Test
    void aPlaceThatLooksTheSameIsProposed(FxRobot robot) throws Exception {
        PracticeSet set = new PracticeSet(app.bench.job(), WIDTH, HEIGHT);
        app.several = set.write(folder.resolve("phone")).stream()
                .filter(p -> p.getFileName().toString().matches("practice-[23]\\.jpg"))
                .toList();
        AppWindow.press(robot, "#photos-add");
        AppWindow.until(() -> survey().photographs().size() == 2);
        // The pictures are the second and third of the set, and the first and second of the survey.
        Id first = Id.Kind.PHOTO.number(1);
        Id second = Id.Kind.PHOTO.number(2);
        Id hub = new Id("hub");
        AppWindow.press(robot, "#photo-show-" + first.text());
        choose(robot, hub);
        press(robot, set.drawn(1, set.balls().get(hub)));
        AppWindow.until(() -> sight(hub, first).isPresent());
        AppWindow.press(robot, "#photo-show-" + second.text());
        AppWindow.press(robot, "#photos-take");
        Sighted taken = sight(hub, second).orElseThrow();
        assertThat(taken.spread()).isEqualTo(MatchAlong.SPREAD);
        assertThat(new Lens.Pixel(taken.across(), taken.down())
                        .distanceTo(set.drawn(2, set.balls().get(hub))))
                .isLessThan(2 * MatchAlong.SPREAD);
    }

    /** One picture from the left with a board whose sides are known: the wheel's hub lies in its plane. */
    @Test
    void aBoardInOnePictureGivesWhatLiesInItsPlane(FxRobot robot) throws Exception {
        PracticeSet set = new PracticeSet(app.bench.job(), WIDTH, HEIGHT);
        app.several = set.write(folder.resolve("phone")).stream()
                .filter(p -> p.endsWith("practice-from-left.jpg"))
                .toList();
        AppWindow.press(robot, "#photos-add");
        AppWindow.until(() -> survey().photographs().size() == 1);
        AppWindow.press(robot, "#photos-rectangle");
        // Without its sides a press says what is missing.
        press(robot, new Lens.Pixel(WIDTH / 2.0, HEIGHT / 2.0));
        AppWindow.until(() -> app.bench.messageProperty().get().text().contains("how wide and how high"));
        AppWindow.type(robot, "#photos-rectangle-wide", "40 cm");
        AppWindow.type(robot, "#photos-rectangle-high", "250");
        List<Point> corners = corners(set.boardAt());
        // The wrong way round is refused, and may be pressed again.
        for (int c : new int[] {3, 2, 1, 0, 0, 1, 2, 3}) {
            press(robot, set.drawnFromLeft(corners.get(c)));
        }
        AppWindow.until(() -> survey().photographs().getFirst().rectangle().isPresent());
        AppWindow.type(robot, "#rectangle-x", Double.toString(set.boardAt().x()));
        AppWindow.type(robot, "#rectangle-y", Double.toString(set.boardAt().y()));
        AppWindow.type(robot, "#rectangle-z", Double.toString(set.boardAt().z()));
        Id hub = new Id("hub");
        choose(robot, hub);
        press(robot, set.drawnFromLeft(set.balls().get(hub)));
        AppWindow.until(() -> says(robot, "aside of this"));
        // Until it is said how well the board's place is known, nothing is.
        assertThat(says(robot, "nothing says yet")).isTrue();
        assertThat(JobPoints.surveyed(app.bench.job()).places().get(hub).sdX()).isGreaterThan(500);
        AppWindow.type(robot, "#rectangle-stands-spread-mm", "2");
        AppWindow.until(() -> !says(robot, "nothing says yet"));
        Surveyed.Place place = JobPoints.surveyed(app.bench.job()).places().get(hub);
        // A screen's pixel is two or three of the picture's, and one of those is 1.3 mm here.
        assertThat(place.at().distanceTo(set.balls().get(hub))).isLessThan(8);
        // Behind the side view it lies where the vehicle's own points are.
        AppWindow.press(robot, "#photos-behind");
        AppWindow.until(() -> app.bench.pictureBehindProperty().get().isPresent());
        PictureBehind behind = app.bench.pictureBehindProperty().get().orElseThrow();
        assertThat(behind.elevation()).isEqualTo(Elevation.SIDE);
        Point boardMiddle = corners.getFirst().midwayTo(corners.get(2));
        assertThat(shade(behind, boardMiddle))
                .isGreaterThan(shade(behind, boardMiddle.plus(Vector.Z.times(-350))) + 40);
        assertThat(shade(behind, corners.getFirst().plus(new Vector(-8, 0, 8)))).isGreaterThan(150);
        assertThat(shade(behind, corners.getFirst().plus(new Vector(8, 0, -8)))).isLessThan(150);
        AppWindow.press(robot, "#photos-rectangle-out");
        AppWindow.until(() -> app.bench.pictureBehindProperty().get().isEmpty());
    }

    private static List<Point> corners(Point lowerLeft) {
        Frame board = Standing.BY_LEVEL.withAt(lowerLeft).frame();
        return IntStream.range(0, 4)
                .mapToObj(c -> SeenRectangle.corner(c, PracticeSet.BOARD_WIDE, PracticeSet.BOARD_HIGH))
                .map(p -> board.origin().plus(board.world(p.minus(Point.ORIGIN))))
                .toList();
    }

    /** How light the picture is at a place, 0 to 255. */
    private static double shade(PictureBehind p, Point at) {
        double k = p.image().getWidth() / p.width();
        return 255
                * p.image()
                        .getPixelReader()
                        .getColor((int) ((p.elevation().across(at) - p.left()) * k), (int)
                                ((p.top() - p.elevation().up(at)) * k))
                        .getBrightness();
    }

    private Optional<Sighted> sight(Id point, Id photo) {
        return survey().point(point).flatMap(p -> p.readings().stream()
                .filter(Sighted.class::isInstance)
                .map(Sighted.class::cast)
                .filter(s -> s.photograph().equals(photo))
                .findFirst());
    }

    @SuppressWarnings("unchecked")
    private static void choose(FxRobot robot, Id id) {
        robot.interact(
                () -> robot.lookup("#photos-point").queryAs(ChoiceBox.class).setValue(id));
    }

    private static PhotographView view(FxRobot robot) {
        return robot.lookup("#photograph-view").queryAs(PhotographView.class);
    }

    /** Presses a place of a picture that is shown whole. */
    private static void press(FxRobot robot, Lens.Pixel at) {
        Bounds b = AppWindow.onFx(() -> view(robot).localToScreen(view(robot).getLayoutBounds()));
        double scale = Math.min(b.getWidth() / WIDTH, b.getHeight() / HEIGHT);
        double left = b.getMinX() + (b.getWidth() - WIDTH * scale) / 2;
        double top = b.getMinY() + (b.getHeight() - HEIGHT * scale) / 2;
        robot.moveTo(left + scale * at.across(), top + scale * at.down());
        robot.press(MouseButton.PRIMARY).release(MouseButton.PRIMARY);
    }
}
