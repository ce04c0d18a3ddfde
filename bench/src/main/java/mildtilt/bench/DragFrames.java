package mildtilt.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.animation.PauseTransition;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.util.Duration;
import mildtilt.app.shell.MildTilt;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;

/**
 * How long frames take while something is dragged in the real window: the heaviest demo, the mouse pressed on a handle
 * and moved at every frame, first a
 * joint's angle in the side elevation (an edit each), then the steering wheel (a pose each). Told in two lines.
 */
public final class DragFrames {

    private static final double LEFT_OUT_S = 2;
    private static final double MEASURED_S = 6;

    private DragFrames() {}

    public static void main(String[] args) {
        MildTilt.run(new MildTilt.Start(DemoJob.MARSH_CARRIER::job, Optional.empty(), Optional.of(running -> {
            Scene scene = running.window().getScene();
            running.window().setX(0);
            running.window().setY(0);
            running.bench().selectionProperty().set(Optional.of(new Element.JointAt(0)));
            after(
                    6000,
                    () -> drag(
                            scene,
                            "#sheet-side-angle",
                            0,
                            12,
                            "bending a joint",
                            () -> after(
                                    1000,
                                    () -> drag(
                                            scene,
                                            "#wheel-dial",
                                            0.35,
                                            60,
                                            "turning the wheel",
                                            () -> System.exit(0)))));
        })));
    }

    private static void after(double ms, Runnable run) {
        PauseTransition pause = new PauseTransition(Duration.millis(ms));
        pause.setOnFinished(_ -> run.run());
        pause.play();
    }

    /** To and fro by so many pixels, taken hold of at a part of its width right of its middle. */
    private static void drag(Scene scene, String id, double offCentre, double reach, String what, Runnable then) {
        Node handle = scene.lookup(id);
        if (handle == null) {
            System.out.println("drag " + what + ": nothing at " + id);
            System.exit(1);
            return;
        }
        Bounds b = handle.localToScreen(handle.getBoundsInLocal());
        double x = b.getCenterX() + offCentre * b.getWidth();
        Robot robot = new Robot();
        robot.mouseMove(x, b.getCenterY());
        robot.mousePress(MouseButton.PRIMARY);
        new AnimationTimer() {
            private final List<Double> ms = new ArrayList<>();
            private long first;
            private long last;

            @Override
            public void handle(long now) {
                first = first == 0 ? now : first;
                double s = (now - first) / 1e9;
                if (s > LEFT_OUT_S) {
                    ms.add((now - last) / 1e6);
                }
                last = now;
                if (s > LEFT_OUT_S + MEASURED_S) {
                    stop();
                    robot.mouseRelease(MouseButton.PRIMARY);
                    Collections.sort(ms);
                    System.out.printf(
                            Locale.ROOT,
                            "drag %s, ms between frames: half of them up to %.0f, nineteen of twenty up to %.0f, longest %.0f (%d frames)%n",
                            what,
                            ms.get(ms.size() / 2),
                            ms.get(ms.size() * 19 / 20),
                            ms.getLast(),
                            ms.size());
                    System.out.flush();
                    then.run();
                    return;
                }
                robot.mouseMove(x + reach * Math.sin(6 * s), b.getCenterY() + 0.7 * reach * Math.sin(6 * s));
            }
        }.start();
    }
}
