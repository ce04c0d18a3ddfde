package mildtilt.app.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;
import javafx.scene.robot.Robot;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import mildtilt.app.shell.MildTilt.Running;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.CornerPoint;
import mildtilt.job.Element;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.measure.LengthUnit;

/** The pictures of the documentation, taken off the real window one after another. */
final class ShotList {

    private static final Duration SETTLE = Duration.millis(1500);

    private final Path folder;

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
        shots.add(new Shot("column-as-opened", () -> bench.selectionProperty().set(Optional.of(new Element.JointAt(1)))));
        shots.add(new Shot("column-clocked", () -> press(running, "#finding-1-remedy-0")));
        shots.add(new Shot("solid", () -> {
            press(running, "#show-solid");
            bench.moveHands(new HandsPosition(120, 30, -20));
            bench.selectionProperty().set(Optional.empty());
        }));
        shots.add(new Shot("linkage-before-and-after", () -> {
            bench.moveHands(HandsPosition.CENTRED);
            bench.stageProperty().set(WorkStage.LINKAGE);
            bench.selectionProperty().set(Optional.of(new Element.SteeringArms()));
            PointId arm = new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT);
            bench.edit("Move left tie-rod point on the steering arm: 14.0 mm forward, 7.0 mm to the right",
                    j -> JobPoints.moved(j, arm, JobPoints.position(j, arm).plus(new Vector(14, -7, 0))));
        }));
        shots.add(new Shot("inch-fractions", () -> bench.lengthUnitProperty().set(LengthUnit.INCH_FRACTION)));
        shots.add(new Shot("make-job-card", () -> {
            bench.lengthUnitProperty().set(LengthUnit.MM);
            bench.stageProperty().set(WorkStage.MAKE);
        }, SETTLE.multiply(4)));
        shots.add(new Shot("dark", () -> {
            bench.stageProperty().set(WorkStage.COLUMN);
            bench.selectionProperty().set(Optional.empty());
            running.window().getScene().getAccelerators()
                    .getOrDefault(KeyCombination.keyCombination("Shortcut+" + KeyCode.D.getName()), () -> {}).run();
        }));
        next(running, shots);
    }

    private static void press(Running running, String id) {
        Node node = running.window().getScene().lookup(id);
        if (node instanceof Button b) {
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
            after(shot.settle, () -> {
                capture(running, shot.name);
                next(running, left);
            });
        });
    }

    private static void after(Duration wait, Runnable run) {
        PauseTransition pause = new PauseTransition(wait);
        pause.setOnFinished(_ -> run.run());
        pause.play();
    }

    private void capture(Running running, String name) {
        Rectangle2D window = new Rectangle2D(running.window().getX() + running.window().getScene().getX(),
                running.window().getY() + running.window().getScene().getY(),
                running.window().getScene().getWidth(), running.window().getScene().getHeight());
        WritableImage image = new Robot().getScreenCapture(null, window);
        try {
            Files.createDirectories(folder);
            ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", folder.resolve(name + ".png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
