package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.ref.WeakReference;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.event.ActionEvent;
import javafx.geometry.Bounds;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import javafx.stage.Window;
import mildtilt.analysis.Analysis;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.io.cad.StlFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.solid.TriangleMesh;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/**
 * Someone who presses, types and drags whatever there is, without sense: nothing fails, nothing hangs, and what is open
 * can be worked out at the end. Some
 * seconds in every test run; an hour with -Dmildtilt.random.seconds=3600.
 */
@ExtendWith(WindowExtension.class)
class RandomUseTest {

    private static final Duration FOR = Duration.ofSeconds(Integer.getInteger("mildtilt.random.seconds", 8));
    private static final long MOST_MB = 450;
    private static final List<String> TYPED = List.of(
            "",
            "0",
            "-1",
            "1e308",
            "NaN",
            "3 1/2\"",
            "5' 2 3/8\"",
            "12,5",
            "45",
            "90",
            "-45",
            "1000",
            "0.001",
            "abc",
            "{0}",
            "\uD83D\uDE00",
            "x".repeat(400),
            "1/0",
            "2*3",
            "  20 mm ",
            "0x1p3",
            "Lower joint");
    private static final List<KeyCode> KEYS = List.of(
            KeyCode.TAB,
            KeyCode.ENTER,
            KeyCode.ESCAPE,
            KeyCode.SPACE,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.DELETE,
            KeyCode.HOME,
            KeyCode.END,
            KeyCode.PAGE_DOWN,
            KeyCode.F1);
    private static final List<KeyCode> WITH_CONTROL = List.of(
            KeyCode.Z,
            KeyCode.Y,
            KeyCode.S,
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT3,
            KeyCode.DIGIT4,
            KeyCode.DIGIT5,
            KeyCode.DIGIT6,
            KeyCode.P,
            KeyCode.F,
            KeyCode.D);

    private final List<String> wrong = Collections.synchronizedList(new ArrayList<>());
    private final Deque<String> done = new ArrayDeque<>();
    private final long seed = Long.getLong("mildtilt.random.seed", 11);
    private final Random r = new Random(seed);
    private AppWindow app;
    private List<Path> files = List.of();
    private Thread.UncaughtExceptionHandler before;

    @Start
    void open(Stage stage) throws Exception {
        Path folder = AppWindow.temporary();
        before = Thread.getDefaultUncaughtExceptionHandler();
        Thread.setDefaultUncaughtExceptionHandler((_, e) -> wrong.add(said(e)));
        WaitForAsyncUtils.autoCheckException = false;
        // Of the stage that is given here the driver keeps every event, and with it all that was ever shown.
        app = new AppWindow(new Stage(), DemoJob.MARSH_CARRIER.job(), folder.resolve("state"));
        app.bench.messageProperty().addListener((_, _, m) -> {
            if (m.text().contains("Mild Tilt itself")) {
                wrong.add(m.text());
            }
        });
        files = files(folder);
    }

    private static List<Path> files(Path folder) throws Exception {
        List<Path> all = new ArrayList<>(List.of(folder, folder.resolve("none.tilt"), folder.resolve("new.tilt")));
        for (DemoJob demo : List.of(DemoJob.SALT_RAKE, DemoJob.BOG_TENDER)) {
            all.add(Files.writeString(folder.resolve(demo.file() + ".tilt"), JobWriter.write(demo.job())));
        }
        all.add(Files.writeString(
                folder.resolve("cut.tilt"),
                JobWriter.write(DemoJob.SALT_RAKE.job()).substring(0, 3000)));
        all.add(Files.writeString(folder.resolve("points.csv"), "name,x mm,y mm,z mm\nA,1,2,3\nB,-4,5,600\n"));
        all.add(Files.write(
                folder.resolve("scan.stl"),
                StlFile.write(new TriangleMesh(
                        new float[] {0, 0, 300, 90, 0, 300, 0, 90, 300, 0, 0, 390},
                        new int[] {0, 1, 2, 0, 1, 3, 0, 2, 3, 1, 2, 3}))));
        all.add(Files.write(folder.resolve("noise.obj"), "f // 2 3".getBytes(StandardCharsets.UTF_8)));
        return all;
    }

    @AfterEach
    void close(FxRobot robot) {
        Thread.setDefaultUncaughtExceptionHandler(before);
        WaitForAsyncUtils.autoCheckException = true;
        WaitForAsyncUtils.clearExceptions();
        robot.interact(app::close);
    }

    private static String said(Throwable e) {
        StringBuilder s = new StringBuilder(e.toString());
        Stream.of(e.getStackTrace())
                .filter(f -> f.getClassName().startsWith("mildtilt"))
                .limit(8)
                .forEach(f -> s.append("\n    ").append(f));
        return s.toString();
    }

    @Test
    void randomUseNeverFails(FxRobot robot) {
        Instant until = Instant.now().plus(FOR);
        int n = 0;
        while (Instant.now().isBefore(until) && wrong.isEmpty()) {
            app.chosen = files.get(r.nextInt(files.size()));
            String what =
                    switch (r.nextInt(12)) {
                        case 0 -> key(robot);
                        case 1 -> drag(robot);
                        case 2, 3, 4 -> type();
                        default -> press();
                    };
            done.addLast(what);
            if (done.size() > 25) {
                done.removeFirst();
            }
            WaitForAsyncUtils.waitForFxEvents(2);
            n++;
        }
        assertThat(wrong).as("after " + n + " steps, the last of them " + done).isEmpty();
        assertThat(n).isPositive();
        closeDialogues();
        app.bench.cancelDrag();
        AppWindow.until(() -> app.bench
                .analysisProperty()
                .get()
                .map(w -> w.now().job() == app.bench.job())
                .orElse(false));
        System.gc();
        Runtime now = Runtime.getRuntime();
        long used = (now.totalMemory() - now.freeMemory()) >> 20;
        System.out.println("random use: " + n + " steps, " + used + " MB in use of " + (now.maxMemory() >> 20));
        // In a short run most of it is what the tests before have left.
        if (FOR.toMinutes() >= 5) {
            assertThat(used).as("MB in use").isLessThan(MOST_MB);
        }
    }

    /** Panes that were looked at and left hold no analysis of a job that has changed since. */
    @Test
    void closedWindowsAreReleased() {
        app.settle();
        for (WorkStage stage : List.of(WorkStage.COLUMN, WorkStage.LINKAGE, WorkStage.CLEARANCE, WorkStage.MAKE)) {
            onInterface(() -> {
                app.bench.stageProperty().set(stage);
                return stage;
            });
            app.settle();
            for (SideTab tab : SideTab.values()) {
                if (tab.belongsTo(stage)) {
                    onInterface(() -> {
                        app.bench.sideTabProperty().set(tab);
                        return tab;
                    });
                    WaitForAsyncUtils.waitForFxEvents();
                }
            }
            for (MakeSheet sheet : stage == WorkStage.MAKE ? MakeSheet.values() : new MakeSheet[0]) {
                onInterface(() -> {
                    app.bench.makeSheetProperty().set(sheet);
                    return sheet;
                });
                WaitForAsyncUtils.waitForFxEvents();
            }
        }
        WeakReference<Analysis> first = new WeakReference<>(
                app.bench.analysisProperty().get().orElseThrow().now());
        for (int n = 1; n <= 3; n++) {
            int bump = 60 + n;
            onInterface(() -> {
                app.bench.stageProperty().set(WorkStage.COLUMN);
                return app.bench.edit("bump", j -> j.withVehicle(j.vehicle().withBump(bump)));
            });
            app.settleWhole();
        }
        AppWindow.until(() -> {
            System.gc();
            return first.refersTo(null);
        });
    }

    /** Of the dialogue that stands, or of the main window. */
    private List<Node> nodes() {
        return onInterface(() -> {
            List<Node> all = new ArrayList<>();
            List<Window> open =
                    Window.getWindows().stream().filter(Window::isShowing).toList();
            gather(open.getLast().getScene().getRoot(), all);
            return all;
        });
    }

    private static void gather(Node node, List<Node> all) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        all.add(node);
        if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> gather(c, all));
        }
    }

    private static <T> T onInterface(Callable<T> task) {
        try {
            return WaitForAsyncUtils.waitFor(30, TimeUnit.SECONDS, WaitForAsyncUtils.asyncFx(task));
        } catch (TimeoutException e) {
            throw new AssertionError("the window hangs", e);
        }
    }

    private String press() {
        List<Node> all = nodes().stream()
                .filter(x -> x instanceof ButtonBase
                        || x instanceof ChoiceBox<?>
                        || x instanceof ComboBoxBase<?>
                        || x instanceof Slider
                        || x instanceof TitledPane
                        || x instanceof MenuBar)
                .toList();
        if (all.isEmpty()) {
            return "nothing to press";
        }
        Node x = all.get(r.nextInt(all.size()));
        double part = r.nextDouble();
        // A dialogue that opens holds the interface until it is closed: nobody waits for it here.
        Platform.runLater(() -> press(x, part));
        return "press " + x.getClass().getSimpleName() + " " + x.getId() + " "
                + (x instanceof ButtonBase b ? b.getText() : "");
    }

    private static void press(Node x, double part) {
        switch (x) {
            case MenuButton m -> fire(m.getItems(), part);
            case MenuBar m ->
                fire(
                        m.getMenus().stream()
                                .flatMap(menu -> menu.getItems().stream())
                                .toList(),
                        part);
            case ButtonBase b -> b.fire();
            case ChoiceBox<?> c -> {
                if (!c.getItems().isEmpty()) {
                    c.getSelectionModel().select((int) (part * c.getItems().size()));
                }
            }
            case Slider s -> s.setValue(s.getMin() + part * (s.getMax() - s.getMin()));
            case TitledPane t -> t.setExpanded(part > 0.5);
            default -> x.requestFocus();
        }
    }

    private static void fire(List<MenuItem> items, double part) {
        List<MenuItem> can = items.stream()
                .filter(i -> !i.isDisable() && !"Quit".equals(i.getText()))
                .toList();
        if (!can.isEmpty()) {
            can.get((int) (part * can.size())).fire();
        }
    }

    private String type() {
        List<TextInputControl> all = nodes().stream()
                .filter(TextInputControl.class::isInstance)
                .map(TextInputControl.class::cast)
                .filter(TextInputControl::isEditable)
                .toList();
        if (all.isEmpty()) {
            return "nothing to type in";
        }
        TextInputControl f = all.get(r.nextInt(all.size()));
        String text = r.nextInt(3) == 0 ? Integer.toString(r.nextInt(400) - 100) : TYPED.get(r.nextInt(TYPED.size()));
        Platform.runLater(() -> {
            f.requestFocus();
            f.setText(text);
            f.fireEvent(new ActionEvent());
        });
        return "type \"" + text + "\" into " + f.getId();
    }

    private String key(FxRobot robot) {
        if (r.nextBoolean()) {
            KeyCode k = WITH_CONTROL.get(r.nextInt(WITH_CONTROL.size()));
            robot.press(KeyCode.CONTROL).press(k).release(k).release(KeyCode.CONTROL);
            return "Ctrl+" + k;
        }
        KeyCode k = KEYS.get(r.nextInt(KEYS.size()));
        robot.press(k).release(k);
        return "key " + k;
    }

    /** With the mouse, from anywhere in the window to anywhere; or its wheel. */
    private String drag(FxRobot robot) {
        Bounds b = onInterface(() -> app.stage
                .getScene()
                .getRoot()
                .localToScreen(app.stage.getScene().getRoot().getLayoutBounds()));
        robot.moveTo(
                b.getMinX() + r.nextDouble() * b.getWidth(), b.getMinY() + 60 + r.nextDouble() * (b.getHeight() - 80));
        if (r.nextInt(3) == 0) {
            robot.scroll(1 + r.nextInt(3), r.nextBoolean() ? VerticalDirection.UP : VerticalDirection.DOWN);
            return "scroll";
        }
        MouseButton button = r.nextInt(4) == 0 ? MouseButton.SECONDARY : MouseButton.PRIMARY;
        robot.press(button).moveBy(r.nextInt(300) - 150, r.nextInt(200) - 100).release(button);
        return "drag";
    }

    private void closeDialogues() {
        AppWindow.until(() -> onInterface(() -> {
            List<Window> open =
                    Window.getWindows().stream().filter(Window::isShowing).toList();
            if (open.getLast() == app.stage) {
                return true;
            }
            open.getLast().hide();
            return false;
        }));
    }
}
