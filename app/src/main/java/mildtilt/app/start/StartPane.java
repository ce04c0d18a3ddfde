package mildtilt.app.start;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Analysis;
import mildtilt.app.look.MeasureField;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.check.Finding;
import mildtilt.check.Severity;
import mildtilt.format.DemoJob;
import mildtilt.format.JobFile;
import mildtilt.format.JobFileException;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.job.VehicleScale;
import mildtilt.measure.LengthText;

/** What to begin with: a vehicle of one's own from few numbers, a job from before, or the demos. */
public final class StartPane extends HBox {

    private static final double CARD = 212;
    private static final double TWO_LINES = 44;
    private static final double RECENT_WIDTH = 84;
    private static final double RECENT_HEIGHT = 54;
    private static final double RECENT_ROW = 270;
    private static final int RECENT = 6;

    /** What can be begun. */
    public interface Begin {

        /** A job of this kind at these sizes; refused in the message line where it can't be. */
        void own(DemoJob like, VehicleScale sizes);

        void demo(DemoJob demo);

        void tour();

        void open();

        void open(Path file);

        /** The jobs of before, the newest first, that are still there. */
        List<Path> recent();
    }

    private final Workbench bench;
    private final Begin begin;
    private final VBox recent = new VBox(4);
    /** One after the other: the window has work to do as well. */
    private final Executor reading = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "recent jobs");
        t.setDaemon(true);
        return t;
    });
    private final HBox sizes = new HBox(10);
    private final Button go = new Button("Begin with these");
    private final Map<DemoJob, VehiclePicture> pictures = new EnumMap<>(DemoJob.class);
    private final Map<DemoJob, VehicleScale> shipped = new EnumMap<>(DemoJob.class);
    private DemoJob kind = DemoJob.MARSH_CARRIER;
    private double track;
    private double wheelbase;
    private double tyre;

    public StartPane(Workbench bench, Begin begin) {
        this.bench = bench;
        this.begin = begin;
        setId("start-page");
        getStyleClass().add("start-page");
        VBox own = new VBox(8);
        own.getStyleClass().add("start-column");
        HBox.setHgrow(own, Priority.ALWAYS);
        TilePane kinds = new TilePane(8, 12);
        kinds.setPrefColumns(4);
        kinds.setTileAlignment(Pos.TOP_LEFT);
        kinds.setMinHeight(USE_PREF_SIZE);
        ToggleGroup group = new ToggleGroup();
        for (DemoJob d : DemoJob.values()) {
            kinds.getChildren().add(card(d, group));
        }
        go.setId("start-own");
        go.getStyleClass().add("take-remedy");
        go.setOnAction(_ -> {
            try {
                begin.own(kind, new VehicleScale(track, wheelbase, tyre));
            } catch (ImpossibleGeometryException e) {
                bench.refuse(e.getMessage());
            }
        });
        HBox row = new HBox(14, sizes, go);
        row.setAlignment(Pos.BOTTOM_LEFT);
        own.getChildren().addAll(title("A vehicle of your own"), Wrap.text("Which kind of steering? It begins as a working vehicle of that kind at your sizes; then drag or type each point to where yours is.", "hint"), kinds, row);
        VBox side = new VBox(8);
        side.getStyleClass().addAll("start-column", "start-side");
        Button tour = plain("Take the tour", "start-tour", begin::tour);
        tour.getStyleClass().add("take-remedy");
        side.getChildren().addAll(title("See it work"), Wrap.text("A made-up rescue carrier with faults in it. Nine steps, about three minutes: you find and cure them all.", "hint"), tour, title("Go on"), plain("Open a job…", "start-open", begin::open), recent);
        getChildren().addAll(Wrap.tall(own), side);
        HBox.setHgrow(getChildren().getFirst(), Priority.ALWAYS);
        bench.lengthUnitProperty().addListener((_, _, _) -> fields());
        visibleProperty().addListener((_, _, shown) -> {
            if (shown) {
                refresh();
            }
        });
        choose(kind);
        // Read beside: the window stands before all kinds are known.
        CompletableFuture.runAsync(() -> {
            for (DemoJob d : DemoJob.values()) {
                Job job = d.job();
                VehiclePicture.Drawn seen = VehiclePicture.Drawn.of(job);
                Platform.runLater(() -> known(d, VehicleScale.of(job).orElseThrow(), seen));
            }
        });
    }

    private void known(DemoJob d, VehicleScale s, VehiclePicture.Drawn seen) {
        Optional.ofNullable(pictures.get(d)).ifPresent(p -> p.show(seen));
        shipped.put(d, s);
        if (d == kind) {
            choose(d);
        }
    }

    private static Label title(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("start-title");
        return l;
    }

    private static Button plain(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(_ -> run.run());
        return b;
    }

    private VBox card(DemoJob d, ToggleGroup group) {
        VehiclePicture picture = new VehiclePicture();
        pictures.put(d, picture);
        ToggleButton b = new ToggleButton();
        b.setId("start-kind-" + d.file());
        b.setGraphic(picture);
        b.setToggleGroup(group);
        b.getStyleClass().add("start-card");
        b.setMinHeight(USE_PREF_SIZE);
        b.setAccessibleText(d.steering());
        b.setSelected(d == kind);
        b.setOnAction(_ -> {
            b.setSelected(true);
            choose(d);
        });
        Label what = Wrap.text(d.steering(), "start-what");
        what.setPrefWidth(CARD);
        what.setMaxWidth(CARD);
        // Two lines each, so that what can be pressed below stands in one row.
        what.setMinHeight(TWO_LINES);
        what.setAlignment(Pos.TOP_LEFT);
        Button demo = new Button("Open the demo");
        demo.setId("start-demo-" + d.file());
        demo.getStyleClass().add("where-link");
        demo.setTooltip(new Tooltip(d.title()));
        demo.setOnAction(_ -> begin.demo(d));
        VBox card = new VBox(1, b, what, demo);
        card.setMinHeight(USE_PREF_SIZE);
        return card;
    }

    private void choose(DemoJob d) {
        kind = d;
        go.setDisable(!shipped.containsKey(d));
        Optional.ofNullable(shipped.get(d)).ifPresent(s -> {
            track = s.track();
            wheelbase = s.wheelbase();
            tyre = s.tyre();
        });
        fields();
    }

    private void fields() {
        sizes.setDisable(!shipped.containsKey(kind));
        sizes.getChildren().setAll(field("Track, wheel centre to wheel centre", "start-track", track, v -> track = v), field("Wheelbase", "start-wheelbase", wheelbase, v -> wheelbase = v),
                field("Tyre diameter", "start-tyre", tyre, v -> tyre = v));
    }

    private interface Take {
        void take(double mm);
    }

    private Node field(String label, String id, double mm, Take take) {
        MeasureField f = new MeasureField(LengthText.inField(mm, bench.lengthUnit()), t -> LengthText.parse(t, bench.lengthUnit()), take::take, bench::refuse);
        f.setId(id);
        f.setAccessibleText(label);
        f.setPrefWidth(110);
        Label l = new Label(label);
        l.getStyleClass().add("hint");
        return new VBox(1, l, f);
    }

    private void refresh() {
        recent.getChildren().clear();
        List<Path> all = begin.recent().stream().limit(RECENT).toList();
        if (all.isEmpty()) {
            recent.getChildren().add(Wrap.text("Jobs you have opened or saved will stand here.", "hint"));
        }
        for (Path p : all) {
            recent.getChildren().add(recentJob(p));
        }
    }

    /** A job of before: its picture and its state, as soon as they are read beside. */
    private Button recentJob(Path p) {
        String name = p.getFileName().toString();
        VehiclePicture picture = new VehiclePicture();
        picture.setMinSize(RECENT_WIDTH, RECENT_HEIGHT);
        picture.setPrefSize(RECENT_WIDTH, RECENT_HEIGHT);
        picture.setMaxSize(RECENT_WIDTH, RECENT_HEIGHT);
        Label state = new Label("");
        state.getStyleClass().add("hint");
        Label title = new Label(name);
        title.setEllipsisString("");
        HBox row = new HBox(8, picture, new VBox(1, title, state));
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMaxWidth(RECENT_ROW);
        Button b = plain("", "start-recent-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"), () -> begin.open(p));
        b.setGraphic(row);
        b.setAccessibleText("Open " + name);
        b.setAlignment(Pos.CENTER_LEFT);
        b.getStyleClass().add("recent-job");
        b.setTooltip(new Tooltip(p.toString()));
        CompletableFuture.runAsync(() -> {
            try {
                Job job = JobFile.open(p);
                VehiclePicture.Drawn drawn = VehiclePicture.Drawn.of(job);
                Platform.runLater(() -> picture.show(drawn));
                List<Finding> found = Analysis.of(job).findings();
                long stops = found.stream().filter(f -> f.severity() == Severity.STOP).count();
                String told = found.isEmpty() ? "nothing found" : stops + " stop, " + (found.size() - stops) + " check";
                Platform.runLater(() -> state.setText(told));
            } catch (JobFileException | ImpossibleGeometryException e) {
                // It says why when it is opened.
                Platform.runLater(() -> state.setText("can't be read"));
            }
        }, reading);
        return b;
    }
}
