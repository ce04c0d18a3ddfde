package mildtilt.app.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.WritableImage;
import javafx.scene.image.WritablePixelFormat;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.robot.Robot;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import mildtilt.app.shell.MildTilt.Running;
import mildtilt.app.workbench.CompareWith;
import mildtilt.app.workbench.MakeSheet;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.TrialSheetChoice;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.curve.Curve;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.steer.position.SteeringInput;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.units.LengthUnit;
import org.jspecify.annotations.Nullable;

/** The pictures of the documentation, taken off the real window one after another. */
final class ShotList {

    private static final Duration SETTLE = Duration.millis(1500);

    private static final int MOST_TRIES = 12;

    private final Path folder;
    private @Nullable WritableImage last;
    private int tries;

    private record Shot(String name, Runnable prepare, Duration settle) {
        Shot(String name, Runnable prepare) {
            this(name, prepare, SETTLE);
        }
    }

    ShotList(Path folder) {
        this.folder = folder;
    }

    void take(Running running) {
        Workbench bench = running.bench();
        running.window().setX(0);
        running.window().setY(0);
        Deque<Shot> shots = new ArrayDeque<>();
        shots.add(new Shot("start", () -> running.shell().showStart(), SETTLE.multiply(2)));
        shots.add(new Shot(
                "column-as-opened",
                () -> {
                    bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
                },
                SETTLE.multiply(3)));
        shots.add(new Shot(
                "finding",
                () -> bench.analysisProperty()
                        .get()
                        .flatMap(w -> w.now().findings().stream().findFirst())
                        .ifPresent(f -> bench.requestedFindingProperty().set(Optional.of(f))),
                SETTLE.multiply(4)));
        shots.add(new Shot("solid", () -> {
            bench.stageProperty().set(WorkStage.CLEARANCE);
            press(running, "#show-solid");
            bench.steerTo(new SteeringInput(120, 30, -20));
            bench.selectionProperty().set(Optional.empty());
        }));
        shots.add(new Shot(
                "survey",
                () -> {
                    bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
                    bench.stageProperty().set(WorkStage.SURVEY);
                    after(SETTLE, () -> press(running, "#survey-point-gear-input"));
                },
                SETTLE.multiply(3)));
        shots.add(new Shot("uncertainty", () -> bench.sideTabProperty().set(SideTab.UNCERTAINTY), SETTLE.multiply(45)));
        fitting(running, shots);
        making(running, shots);
        columns(running, shots);
        linkages(running, shots);
        clearances(running, shots);
        next(running, shots);
    }

    /** The Fit stage: the stand-ins read, what was read, what fits it. */
    private static void fitting(Running running, Deque<Shot> shots) {
        Workbench bench = running.bench();
        shots.add(new Shot(
                "trial-measure",
                () -> {
                    bench.stageProperty().set(WorkStage.TRIAL);
                    after(SETTLE, () -> {
                        pick(running, "#trial-round", MeasurementTask.Round.PLATES);
                        ((MenuButton) running.window().getScene().lookup("#trial-sources"))
                                .getItems()
                                .getFirst()
                                .fire();
                    });
                },
                SETTLE.multiply(3)));
        shots.add(new Shot("trial-diagnosis", () -> bench.trialSheetProperty().set(TrialSheetChoice.DIAGNOSIS)));
    }

    /** The sheets of the Make stage. */
    private static void making(Running running, Deque<Shot> shots) {
        Workbench bench = running.bench();
        shots.add(new Shot(
                "make-cut-list",
                () -> {
                    bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
                    bench.makeSheetProperty().set(MakeSheet.CUT_LIST);
                    bench.stageProperty().set(WorkStage.MAKE);
                },
                SETTLE.multiply(8)));
        shots.add(new Shot("make-rods", () -> {
            bench.lengthUnitProperty().set(LengthUnit.INCH_FRACTION);
            bench.makeSheetProperty().set(MakeSheet.RODS);
        }));
        shots.add(new Shot("make-templates-by-night", () -> {
            bench.lengthUnitProperty().set(LengthUnit.MM);
            bench.makeSheetProperty().set(MakeSheet.TEMPLATES);
            dark(running);
        }));
        shots.add(new Shot(
                "make-drawings",
                () -> {
                    dark(running);
                    bench.open(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
                    bench.makeSheetProperty().set(MakeSheet.DRAWINGS);
                    after(SETTLE.multiply(4), () -> ((MenuButton)
                                    running.window().getScene().lookup("#add-drawing"))
                            .getItems()
                            .getFirst()
                            .fire());
                },
                SETTLE.multiply(9)));
    }

    /** The uses of the side in the column stage. */
    private static void columns(Running running, Deque<Shot> shots) {
        Workbench bench = running.bench();
        shots.add(new Shot("phasing", () -> {
            bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
            bench.stageProperty().set(WorkStage.COLUMN);
            bench.sideTabProperty().set(SideTab.PHASING);
            pick(running, "#curve", Curve.COLUMN_LEAD);
            bench.steerTo(new SteeringInput(60, 0, 0));
        }));
    }

    /** The linkage stage on vehicles of other kinds. */
    private static void linkages(Running running, Deque<Shot> shots) {
        Workbench bench = running.bench();
        shots.add(new Shot("lock-and-map", () -> {
            bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
            bench.stageProperty().set(WorkStage.LINKAGE);
            press(running, "#show-plan");
            press(running, "#at-hands");
            press(running, "#show-map");
            bench.steerTo(new SteeringInput(400, 20, 20));
        }));
        shots.add(new Shot("knuckle-change", () -> {
            bench.open(DemoJob.LIBRARY_BUS.job(), Optional.empty());
            bench.stageProperty().set(WorkStage.LINKAGE);
            bench.steerTo(SteeringInput.STRAIGHT_AHEAD);
            press(running, "#at-hands");
            press(running, "#show-map");
            bench.sideTabProperty().set(SideTab.ARMS);
            bench.comparedProperty().set(CompareWith.OPENED);
            bench.edit(
                    "Steering arms shorter and in",
                    j -> KnuckleEdits.changedBoth(j, new KnuckleChange(-10, -4, 3, 0, 0)));
            pick(running, "#curve", Curve.OUTER);
        }));
        shots.add(new Shot(
                "solve",
                () -> {
                    bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
                    bench.stageProperty().set(WorkStage.LINKAGE);
                    bench.sideTabProperty().set(SideTab.SOLVE);
                    pick(running, "#curve", Curve.BUMP_STEER);
                    press(running, "#knob-gear-fore-aft");
                    press(running, "#run-work-out");
                },
                SETTLE.multiply(6)));
    }

    /** What is in the way, the gaps, the routes. */
    private static void clearances(Running running, Deque<Shot> shots) {
        Workbench bench = running.bench();
        shots.add(new Shot(
                "clearance-gap",
                () -> {
                    bench.open(DemoJob.MARSH_CARRIER.job(), Optional.empty());
                    bench.stageProperty().set(WorkStage.CLEARANCE);
                    press(running, "#show-plan");
                    bench.sideTabProperty().set(SideTab.GAPS);
                    after(SETTLE, () -> press(running, "#gap-0"));
                },
                SETTLE.multiply(3)));
        shots.add(new Shot(
                "clearance-route",
                () -> {
                    bench.steerTo(SteeringInput.STRAIGHT_AHEAD);
                    bench.selectionProperty().set(Optional.empty());
                    press(running, "#show-side");
                    bench.sideTabProperty().set(SideTab.ROUTES);
                    after(SETTLE, () -> {
                        ((CheckBox) running.window().getScene().lookup("#route-tilt")).fire();
                        press(running, "#run-route");
                    });
                },
                SETTLE.multiply(8)));
        shots.add(new Shot(
                "clearance-travel",
                () -> {
                    bench.open(DemoJob.BOG_TENDER.job(), Optional.empty());
                    bench.stageProperty().set(WorkStage.CLEARANCE);
                    press(running, "#show-front");
                    bench.sideTabProperty().set(SideTab.TRAVEL);
                    after(SETTLE, () -> press(running, "#travel-left-droop"));
                },
                SETTLE.multiply(3)));
    }

    private static void scroll(Running running, String pane, double to) {
        running.window().getScene().getRoot().layout();
        ((ScrollPane) running.window().getScene().lookup(pane + " .scroll-pane")).setVvalue(to);
    }

    private static void dark(Running running) {
        running.window()
                .getScene()
                .getAccelerators()
                .getOrDefault(KeyCombination.keyCombination("Shortcut+" + KeyCode.D.getName()), () -> {})
                .run();
    }

    @SuppressWarnings("unchecked")
    private static void pick(Running running, String id, Object value) {
        ((ChoiceBox<Object>) running.window().getScene().lookup(id)).setValue(value);
    }

    private static void press(Running running, String id) {
        // What was only now shown for the first time is found once it is laid out.
        running.window().getScene().getRoot().applyCss();
        running.window().getScene().getRoot().layout();
        Node node = running.window().getScene().lookup(id);
        if (node instanceof ButtonBase b) {
            b.fire();
        } else {
            throw new IllegalStateException("nothing to press at " + id);
        }
    }

    private void next(Running running, Deque<Shot> left) {
        if (left.isEmpty()) {
            Platform.exit();
            return;
        }
        Shot shot = left.poll();
        after(SETTLE, () -> {
            shot.prepare.run();
            after(shot.settle, () -> takeSteady(running, shot.name, capture(running), () -> next(running, left)));
        });
    }

    /**
     * A picture is taken when the window shows the same twice, and not what the picture before it shows: drawing may
     * lag behind.
     */
    private void takeSteady(Running running, String name, WritableImage before, Runnable then) {
        after(SETTLE, () -> {
            WritableImage now = capture(running);
            boolean steady = alike(now, before) && (last == null || !alike(now, last));
            if (steady || ++tries > MOST_TRIES) {
                tries = 0;
                last = now;
                write(now, name);
                then.run();
            } else {
                takeSteady(running, name, now, then);
            }
        });
    }

    private static boolean alike(WritableImage a, WritableImage b) {
        int w = (int) a.getWidth();
        int h = (int) a.getHeight();
        if (w != (int) b.getWidth() || h != (int) b.getHeight()) {
            return false;
        }
        int[] of = new int[w * h];
        int[] and = new int[w * h];
        a.getPixelReader().getPixels(0, 0, w, h, WritablePixelFormat.getIntArgbInstance(), of, 0, w);
        b.getPixelReader().getPixels(0, 0, w, h, WritablePixelFormat.getIntArgbInstance(), and, 0, w);
        return Arrays.equals(of, and);
    }

    private static void after(Duration wait, Runnable run) {
        PauseTransition pause = new PauseTransition(wait);
        pause.setOnFinished(_ -> run.run());
        pause.play();
    }

    private static WritableImage capture(Running running) {
        Rectangle2D window = new Rectangle2D(
                running.window().getX() + running.window().getScene().getX(),
                running.window().getY() + running.window().getScene().getY(),
                running.window().getScene().getWidth(),
                running.window().getScene().getHeight());
        return new Robot().getScreenCapture(null, window);
    }

    private void write(WritableImage image, String name) {
        try {
            Files.createDirectories(folder);
            ImageIO.write(
                    SwingFXUtils.fromFXImage(image, null),
                    "png",
                    folder.resolve(name + ".png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
