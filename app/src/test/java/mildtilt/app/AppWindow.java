package mildtilt.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonBar.ButtonData;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import javafx.stage.Window;
import mildtilt.app.controls.Fonts;
import mildtilt.app.shell.FilePrompt;
import mildtilt.app.shell.OwnCatalogue;
import mildtilt.app.shell.RecentJobs;
import mildtilt.app.shell.Recovery;
import mildtilt.app.shell.Shell;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/** The real window on a job, with the answers to file dialogues given by the test. */
final class AppWindow implements AutoCloseable {

    final Stage stage;
    final Workbench bench;
    final Recovery recovery;
    final Shell shell;
    Path chosen = Path.of("");
    List<Path> several = List.of();

    AppWindow(Stage stage, Job job, Path state) throws Exception {
        Fonts.load();
        this.stage = stage;
        bench = new Workbench(job);
        recovery = new Recovery(state);
        shell = new Shell(
                stage,
                bench,
                recovery,
                new OwnCatalogue(state),
                new RecentJobs(state),
                new FilePrompt() {
                    @Override
                    public Optional<Path> open(Window owner, String title, Kind kind) {
                        return Optional.of(chosen);
                    }

                    @Override
                    public List<Path> openAll(Window owner, String title, Kind kind) {
                        return several;
                    }

                    @Override
                    public Optional<Path> save(Window owner, String title, Kind kind, String suggested) {
                        return Optional.of(chosen);
                    }

                    @Override
                    public Optional<Path> folder(Window owner, String title) {
                        return Optional.of(chosen);
                    }
                },
                Clock.fixed(Instant.parse("2026-11-24T12:00:00Z"), ZoneOffset.UTC));
        stage.setX(0);
        stage.setY(0);
        stage.show();
        stage.toFront();
    }

    /** Waits until the background has worked out the job as it stands, with what each remedy would do. */
    void settleWhole() {
        until(() -> bench.analysisProperty()
                .get()
                .map(w -> w.now().job() == bench.job() && (w.whole() || bench.dragging() || !bench.findingsSeen()))
                .orElse(false));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Waits until the figures of the job as it stands are there. */
    void settle() {
        until(() -> bench.analysisProperty()
                .get()
                .map(w -> w.now().job() == bench.job())
                .orElse(false));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Looks while nothing else changes what is looked at. */
    static <T> T onFx(Callable<T> look) {
        if (!Platform.isFxApplicationThread()) {
            return WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(look));
        }
        try {
            return look.call();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** Waits for what the window shows, looked at on its own thread. */
    static void until(BooleanSupplier condition) {
        try {
            WaitForAsyncUtils.waitFor(45, TimeUnit.SECONDS, () -> onFx(condition::getAsBoolean));
        } catch (TimeoutException e) {
            throw new AssertionError("waited too long", e);
        }
    }

    String text(FxRobot robot, String id) {
        return robot.lookup(id).queryAs(Label.class).getText();
    }

    /** Whether a label within a pane holds a text; looked at while nothing else changes what is looked at. */
    static boolean says(FxRobot robot, String pane, String text) {
        return onFx(() -> robot.lookup(pane + " .label").queryAllAs(Label.class).stream()
                .anyMatch(l -> l.getText().contains(text)));
    }

    static void untilSays(FxRobot robot, String pane, String text) {
        until(() -> says(robot, pane, text));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Presses a button, as soon as it can be: what a remedy would do may just be worked out anew. */
    static void press(FxRobot robot, String id) {
        until(() -> robot.lookup(id).tryQuery().filter(n -> !n.isDisabled()).isPresent());
        robot.interact(() -> robot.lookup(id).queryAs(ButtonBase.class).fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Opens the row of a finding, as soon as it is there. @param id of the row */
    static void openRow(FxRobot robot, String id) {
        until(() -> robot.lookup(id + "-head").tryQuery().isPresent());
        robot.interact(
                () -> robot.lookup(id + "-head").query().getOnMouseClicked().handle(null));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Types into a field, as soon as it is there. */
    static void type(FxRobot robot, String id, String text) {
        until(() -> robot.lookup(id).tryQuery().isPresent());
        robot.interact(() -> {
            TextField f = robot.lookup(id).queryAs(TextField.class);
            f.requestFocus();
            f.setText(text);
            f.fireEvent(new ActionEvent());
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Takes an entry of a menu button. */
    static void menu(FxRobot robot, String button, String item) {
        robot.interact(() -> robot.lookup(button).queryAs(MenuButton.class).getItems().stream()
                .filter(i -> item.equals(i.getId()))
                .findFirst()
                .orElseThrow()
                .fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Presses the button of a dialogue, as soon as the dialogue is open. @param does what the button is for */
    static void answer(FxRobot robot, ButtonData does) {
        until(() -> dialogueButton(robot, does).isPresent());
        robot.interactNoWait(() -> dialogueButton(robot, does).orElseThrow().fire());
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static Optional<Button> dialogueButton(FxRobot robot, ButtonData does) {
        return robot.lookup(".dialog-pane").queryAll().stream()
                .flatMap(pane -> pane.lookupAll(".button").stream())
                .filter(Button.class::isInstance)
                .map(Button.class::cast)
                .filter(b -> ButtonBar.getButtonData(b) == does
                        && b.getScene().getWindow().isShowing())
                .findFirst();
    }

    /** Labels that show less than they say: cut off with an ellipsis. */
    static Stream<String> cutOff(Node root) {
        return Stream.of(".label", ".button", ".toggle-button", ".element-tile", ".menu-button")
                .flatMap(style -> root.lookupAll(style).stream())
                .filter(Labeled.class::isInstance)
                .map(Labeled.class::cast)
                .filter(l ->
                        l.isVisible() && l.localToScene(l.getLayoutBounds()).getWidth() > 0 && shownInTree(l))
                .filter(l -> l.lookupAll(".text").stream()
                        .filter(Text.class::isInstance)
                        .map(Text.class::cast)
                        .anyMatch(t -> t.getText().endsWith("…") && !l.getText().endsWith("…")
                                || t.getText().endsWith("...")))
                .map(Labeled::getText);
    }

    /**
     * A label whose text just changed shows it after the next layout: what is still cut off then, and a moment later,
     * is cut off.
     */
    void nothingIsCutOff(String where) {
        for (int i = 0; i < 20 && !cutOffNow().isEmpty(); i++) {
            WaitForAsyncUtils.sleep(100, TimeUnit.MILLISECONDS);
        }
        if (!cutOffNow().isEmpty()) {
            throw new AssertionError(where + ", cut off: " + cutOffNow());
        }
    }

    private List<String> cutOffNow() {
        return onFx(() -> {
            stage.getScene().getRoot().layout();
            return cutOff(stage.getScene().getRoot()).toList();
        });
    }

    static boolean shownInTree(Node node) {
        for (Node n = node; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return true;
    }

    /** A folder that is gone when the tests are over. */
    static Path temporary() throws Exception {
        Path folder = Files.createTempDirectory("mild-tilt-test");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(folder)));
        return folder;
    }

    private static void delete(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        } catch (IOException e) {
            // What is left in the system's own folder for such things does no harm.
        }
    }

    @Override
    public void close() {
        shell.close();
        recovery.close();
        bench.close();
        stage.close();
    }
}
