package mildtilt.app.shell;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.stage.Stage;
import mildtilt.app.controls.Fonts;
import mildtilt.app.workbench.Workbench;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.job.Targets;
import mildtilt.job.Vehicle;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The JavaFX application: puts a first job on the bench and shows the window. */
public final class MildTilt extends Application {

    /**
     * What to start with.
     *
     * @param job on the bench at first; read while the toolkit starts
     * @param file to open at once, if one was named
     * @param then what to do when the window stands, such as taking pictures; usually nothing
     */
    public record Start(Supplier<Job> job, Optional<Path> file, Optional<Consumer<Running>> then) {}

    /** A window that stands. */
    public record Running(Stage window, Workbench bench, Shell shell) {}

    private static final Logger LOG = LoggerFactory.getLogger(MildTilt.class);
    private static Start start = new Start(MildTilt::empty, Optional.empty(), Optional.empty());
    private static CompletableFuture<Job> first = CompletableFuture.completedFuture(empty());

    private @Nullable Recovery recovery;
    private @Nullable Workbench bench;
    private @Nullable Shell shell;

    /** A job in which nothing is measured yet. */
    public static Job empty() {
        return Job.of(
                "New job", new Plan(new Vehicle(2400, 60, 60, 180), Optional.empty(), Optional.empty(), Targets.USUAL));
    }

    /** Runs until the window is closed. */
    public static void run(Start with) {
        start = with;
        first = CompletableFuture.supplyAsync(() -> {
            // Read beside the toolkit's start too, so that the first window does not wait for it.
            CatalogueFile.shipped();
            return with.job.get();
        });
        launch(MildTilt.class);
    }

    @Override
    public void start(Stage window) throws Exception {
        Fonts.load();
        Workbench b = new Workbench(first.join());
        Path usual = Recovery.usualFolder();
        Optional<String> trouble = Optional.empty();
        Recovery kept;
        try {
            kept = new Recovery(usual);
        } catch (IOException e) {
            // Where the usual folder can't be written the program still opens, and says what that means.
            Path instead = Files.createTempDirectory("mild-tilt");
            trouble = Optional.of("A crash would lose unsaved work: nothing can be kept in " + usual + ". Save often.");
            kept = new Recovery(instead);
        }
        kept.onTrouble(t -> Platform.runLater(() -> b.refuse(t)));
        recovery = kept;
        bench = b;
        Shell s = new Shell(
                window,
                b,
                kept,
                new OwnCatalogue(OwnCatalogue.usualFolder()),
                new RecentJobs(OwnCatalogue.usualFolder()),
                FilePrompt.system(),
                Clock.systemDefaultZone());
        shell = s;
        window.getIcons().add(new Image(MildTilt.class.getResourceAsStream("/mildtilt/app/icon.png")));
        window.show();
        // Shows any unexpected fault: the user sees no stack trace on a terminal. The job stays as it is.
        Thread.setDefaultUncaughtExceptionHandler((_, e) -> {
            LOG.error("uncaught", e);
            Platform.runLater(
                    () -> b.refuse(
                            e instanceof OutOfMemoryError
                                    ? "There is not enough memory for that. Save the job, and take out or thin the largest scans."
                                    : "That did not work: Mild Tilt itself has a fault here. The job is as it was; save it before you go on."));
        });
        s.documents().catalogue().load(window);
        if (start.file.isEmpty() && b.job().column().isEmpty() && b.job().axle().isEmpty()) {
            s.showStart();
        }
        start.file.ifPresent(f -> s.documents().open(window, f));
        // Told last: what opening says must not take its place.
        trouble.ifPresent(b::refuse);
        if (start.then.isPresent()) {
            start.then.get().accept(new Running(window, b, s));
        } else {
            Platform.runLater(() -> s.documents().offerRecovered(window));
        }
    }

    @Override
    public void stop() {
        if (recovery != null) {
            recovery.close();
        }
        if (shell != null) {
            shell.close();
        }
        if (bench != null) {
            bench.close();
        }
    }
}
