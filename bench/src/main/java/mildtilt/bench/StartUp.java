package mildtilt.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;
import mildtilt.app.shell.MildTilt;
import mildtilt.io.jobfile.DemoJob;

/**
 * One start of a window, printed as a line: milliseconds from the start of the process to its third drawn frame, and
 * the memory it then holds.
 */
public final class StartUp {

    private StartUp() {}

    /** A window with nothing in it, to compare with. */
    public static final class Bare extends Application {
        @Override
        public void start(Stage window) {
            window.setScene(new Scene(new BorderPane(new Label("bare")), 1280, 800));
            window.show();
            tellWhenDrawn();
        }
    }

    /** @param args "bare" or "demo" */
    public static void main(String[] args) {
        if (args.length == 1 && args[0].equals("demo")) {
            MildTilt.run(new MildTilt.Start(
                    DemoJob.MARSH_CARRIER::job, Optional.empty(), Optional.of(_ -> tellWhenDrawn())));
        } else {
            Application.launch(Bare.class);
        }
    }

    private static void tellWhenDrawn() {
        new AnimationTimer() {
            private int frames;

            @Override
            public void handle(long now) {
                if (++frames == 3) {
                    long ms = System.currentTimeMillis()
                            - ManagementFactory.getRuntimeMXBean().getStartTime();
                    System.out.println("shown " + ms + " " + residentMb());
                    System.out.flush();
                    Runtime.getRuntime().halt(0);
                }
            }
        }.start();
    }

    /** Megabytes, where the system reports them. */
    private static long residentMb() {
        try {
            return Files.readAllLines(Path.of("/proc/self/status")).stream()
                    .filter(l -> l.startsWith("VmRSS:"))
                    .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
                    .findFirst()
                    .orElse(0);
        } catch (IOException e) {
            return Runtime.getRuntime().totalMemory() >> 20;
        }
    }
}
