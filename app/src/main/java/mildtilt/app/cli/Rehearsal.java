package mildtilt.app.cli;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.Optional;
import java.util.concurrent.Callable;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.util.Duration;
import mildtilt.app.shell.MildTilt;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.steer.position.SteeringInput;
import picocli.CommandLine.Command;

/**
 * Opens the demo, goes once through the stages and closes: what the launcher has the JDK watch to make its
 * ahead-of-time cache, so that later starts find classes
 * loaded and know what runs often.
 */
@Command(
        name = "rehearse",
        hidden = true,
        mixinStandardHelpOptions = true,
        description = "Opens the demo, shows every stage and closes.")
final class Rehearsal implements Callable<Integer> {

    private static final Duration LOOK = Duration.millis(700);

    @Override
    public Integer call() {
        MildTilt.run(new MildTilt.Start(DemoJob.MARSH_CARRIER::job, Optional.empty(), Optional.of(running -> {
            Workbench bench = running.bench();
            Deque<Runnable> steps = new ArrayDeque<>();
            for (double deg : new double[] {120, -200, 0}) {
                steps.add(() -> bench.steerTo(new SteeringInput(deg, 20, -10)));
            }
            Arrays.stream(WorkStage.values())
                    .forEach(s -> steps.add(() -> bench.stageProperty().set(s)));
            next(steps);
        })));
        return 0;
    }

    private static void next(Deque<Runnable> left) {
        PauseTransition pause = new PauseTransition(LOOK);
        pause.setOnFinished(_ -> {
            if (left.isEmpty()) {
                Platform.exit();
                return;
            }
            left.poll().run();
            next(left);
        });
        pause.play();
    }
}
