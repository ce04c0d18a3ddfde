package mildtilt.app.start;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Analysis;
import mildtilt.app.controls.Wrap;
import mildtilt.drawing.Elevation;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Job;

/** The jobs of before, each with its picture and its state, read beside. */
final class RecentList extends VBox {

    private static final double WIDTH = 84;
    private static final double HEIGHT = 54;
    private static final double ROW = 270;
    private static final int MOST = 6;

    /** One after the other: the window has work to do as well. */
    private final Executor reading = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "recent jobs");
        t.setDaemon(true);
        return t;
    });

    private final Consumer<Path> open;

    RecentList(Consumer<Path> open) {
        super(4);
        this.open = open;
    }

    void show(List<Path> files) {
        getChildren().clear();
        if (files.isEmpty()) {
            getChildren().add(Wrap.text("Jobs you have opened or saved are shown here.", "hint"));
        }
        files.stream().limit(MOST).map(this::row).forEach(getChildren()::add);
    }

    private Button row(Path p) {
        String name = p.getFileName().toString();
        VehiclePicture picture = new VehiclePicture();
        picture.setMinSize(WIDTH, HEIGHT);
        picture.setPrefSize(WIDTH, HEIGHT);
        picture.setMaxSize(WIDTH, HEIGHT);
        Label state = new Label("");
        state.getStyleClass().add("hint");
        Label title = new Label(name);
        title.setEllipsisString("");
        HBox row = new HBox(8, picture, new VBox(1, title, state));
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMaxWidth(ROW);
        Button b = StartPane.plain(
                "",
                "start-recent-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"),
                () -> open.accept(p));
        b.setGraphic(row);
        b.setAccessibleText("Open " + name);
        b.setAlignment(Pos.CENTER_LEFT);
        b.getStyleClass().add("recent-job");
        b.setTooltip(new Tooltip(p.toString()));
        CompletableFuture.runAsync(() -> read(p, picture, state), reading);
        return b;
    }

    private static void read(Path p, VehiclePicture picture, Label state) {
        try {
            Job job = JobFile.open(p);
            VehiclePicture.Drawn drawn = VehiclePicture.Drawn.of(job, Elevation.PLAN);
            Platform.runLater(() -> picture.show(drawn));
            List<Finding> found = Analysis.of(job).findings();
            long stops =
                    found.stream().filter(f -> f.severity() == Severity.STOP).count();
            String said = found.isEmpty() ? "nothing found" : stops + " stop, " + (found.size() - stops) + " check";
            Platform.runLater(() -> state.setText(said));
        } catch (JobFileException | ImpossibleGeometryException e) {
            // It says why when it is opened.
            Platform.runLater(() -> state.setText("can't be read"));
        }
    }
}
