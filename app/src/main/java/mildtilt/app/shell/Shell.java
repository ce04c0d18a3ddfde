package mildtilt.app.shell;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.util.Duration;
import mildtilt.app.column.UnrolledStrip;
import mildtilt.app.controls.LazyPane;
import mildtilt.app.linkage.VariantsTable;
import mildtilt.app.make.MakeStagePane;
import mildtilt.app.start.GlossarySheet;
import mildtilt.app.start.StartPane;
import mildtilt.app.start.TermHints;
import mildtilt.app.start.Tour;
import mildtilt.app.survey.PhotographView;
import mildtilt.app.survey.SurveyDesk;
import mildtilt.app.train.TrainStrip;
import mildtilt.app.trial.TrialStagePane;
import mildtilt.app.view.VehicleView;
import mildtilt.app.view.ViewPane;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.glossary.Glossary;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.start.StartingVehicle;

/** The window: header and train strip above, the drawing in the middle, the side panel beside it, the dock below. */
public final class Shell {

    private static final PseudoClass REFUSAL = PseudoClass.getPseudoClass("refusal");

    private final Stage window;
    private final Workbench bench;
    private final Documents documents;
    private final ViewPane bay;
    private Optional<TrialStagePane> fitting = Optional.empty();
    private final Tour tour;
    private final StageLayouts layouts;
    /** Over all else, for the frame of the tour. */
    private final Pane over = new Pane();

    private final BooleanProperty starting = new SimpleBooleanProperty();
    private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.LIGHT);

    public Shell(
            Stage window,
            Workbench bench,
            Recovery recovery,
            OwnCatalogue own,
            RecentJobs recent,
            FilePrompt prompt,
            Clock clock) {
        this.window = window;
        this.bench = bench;
        documents = new Documents(bench, recovery, own, recent, prompt, clock);
        bay = new ViewPane(bench, image -> documents.papers(window).picture(image));
        over.setMouseTransparent(true);
        over.setPickOnBounds(false);
        tour = new Tour(bench, over);
        layouts = new StageLayouts(own.folder(), bench);
        SurveyDesk survey = new SurveyDesk(bench);
        Region views = views(own, clock, survey);
        Commands commands = new Commands(window, bench, documents, bay, theme, () -> starting.set(true));
        SidePanel side = new SidePanel(window, bench, documents, survey);
        TrainStrip train = new TrainStrip(bench);
        train.visibleProperty().bind(starting.not());
        train.managedProperty().bind(train.visibleProperty());
        // Trials are of the vehicle: what is wrong with the plan stands in the other stages, and the figures want the
        // room.
        SideDivider divider = new SideDivider(side, layouts.sideWidthProperty());
        for (Region r : List.of(side, divider)) {
            r.visibleProperty().bind(bench.stageProperty().isNotEqualTo(WorkStage.TRIAL));
            r.managedProperty().bind(r.visibleProperty());
        }
        HBox.setHgrow(views, Priority.ALWAYS);
        HBox work = new HBox(views, divider, side);
        work.setMinSize(0, 0);
        work.visibleProperty().bind(starting.not());
        StackPane centre = new StackPane(work);
        LazyPane.put(centre, starting, () -> new StartPane(bench, begin()));
        SearchIndex finds = new SearchIndex(bench, commands);
        FindField find = new FindField(finds::all);
        BorderPane root = new BorderPane(centre);
        root.setTop(new VBox(new Header(bench, commands, find, theme), train));
        root.setBottom(new VBox(tour, messageBar()));
        // Whatever is opened or begun is what is wanted to be seen.
        bench.openedProperty().addListener((_, _, _) -> {
            if (starting.get()) {
                starting.set(false);
                // Not left to whatever control comes first.
                train.requestFocus();
            }
        });
        bench.stageProperty().addListener((_, _, _) -> starting.set(false));
        Scene scene = new Scene(new StackPane(root, over), 1280, 800);
        TermHints hints = new TermHints(scene);
        bench.glossaryTermProperty()
                .addListener((_, _, asked) -> asked.ifPresent(a -> {
                    bench.glossaryTermProperty().set(Optional.empty());
                    GlossarySheet.show(
                            window, Optional.of(a).filter(t -> !t.isEmpty()).or(() -> hints.term()
                                    .map(Glossary.Term::name)));
                }));
        theme.addListener((_, _, t) -> t.applyTo(scene));
        theme.get().applyTo(scene);
        StyleWatch.start(() -> theme.get().applyTo(scene));
        commands.installKeys(scene, find);
        window.setScene(scene);
        // Not left to whatever control comes first.
        Platform.runLater(bay::requestFocus);
        window.setMinWidth(1100);
        window.setMinHeight(700);
        window.titleProperty()
                .bind(Bindings.createStringBinding(
                        this::title, bench.jobProperty(), bench.fileProperty(), bench.messageProperty()));
        window.setOnCloseRequest(e -> {
            if (!documents.confirmDiscard(window)) {
                e.consume();
            }
        });
    }

    /** Shows the start page, until something is opened or begun. */
    public void showStart() {
        starting.set(true);
    }

    private StartPane.Begin begin() {
        return new StartPane.Begin() {
            @Override
            public void own(StartingVehicle vehicle) {
                documents.begin(window, vehicle);
            }

            @Override
            public void demo(DemoJob demo) {
                documents.openDemo(window, demo);
            }

            @Override
            public void tour() {
                if (documents.openDemo(window, DemoJob.MARSH_CARRIER)) {
                    tour.begin();
                }
            }

            @Override
            public void open() {
                documents.open(window);
            }

            @Override
            public void open(Path file) {
                documents.openInstead(window, file);
            }

            @Override
            public List<Path> recent() {
                return documents.recent();
            }
        };
    }

    /** Lets go of the instruments, and writes down how the window was laid out. */
    public void close() {
        layouts.keep();
        fitting.ifPresent(TrialStagePane::close);
    }

    public Documents documents() {
        return documents;
    }

    private String title() {
        return bench.job().title() + (bench.unsaved() ? " (not saved)" : "")
                + bench.fileProperty().get().map(p -> " · " + p.getFileName()).orElse("") + " · Mild Tilt";
    }

    /** The drawing with the dock under it, or the sheets of a stage that has its own. */
    private Region views(OwnCatalogue own, Clock clock, SurveyDesk survey) {
        UnrolledStrip unrolled = new UnrolledStrip(bench);
        unrolled.visibleProperty()
                .bind(Bindings.createBooleanBinding(
                        () -> bench.stageProperty().get() == WorkStage.COLUMN
                                && bench.sideTabProperty().get() == SideTab.PHASING
                                && bench.job().column().isPresent(),
                        bench.stageProperty(),
                        bench.sideTabProperty(),
                        bench.jobProperty()));
        unrolled.managedProperty().bind(unrolled.visibleProperty());
        VBox.setVgrow(bay, Priority.ALWAYS);
        BooleanBinding ownSheets =
                Bindings.createBooleanBinding(() -> bench.stageProperty().get().ownSheets(), bench.stageProperty());
        // The papers are of the plan, not of a position, and want the height.
        Dock dock = new Dock(bench);
        VBox views = new VBox(bay, unrolled);
        views.setMinSize(0, 0);
        StackPane middle = new StackPane(views);
        middle.setMinSize(0, 0);
        VBox.setVgrow(middle, Priority.ALWAYS);
        BooleanBinding comparing = bench.stageProperty()
                .isEqualTo(WorkStage.LINKAGE)
                .and(bench.sideTabProperty().isEqualTo(SideTab.VARIANTS));
        LazyPane.put(middle, comparing, () -> new VariantsTable(bench));
        LazyPane.put(
                middle,
                bench.stageProperty().isEqualTo(WorkStage.MAKE),
                () -> new MakeStagePane(bench, clock, documents.papers(window)));
        LazyPane.put(middle, bench.stageProperty().isEqualTo(WorkStage.TRIAL), () -> {
            TrialStagePane fit = new TrialStagePane(bench, clock, documents.fitFiles(window), new VehicleView(bench));
            fitting = Optional.of(fit);
            return fit;
        });
        BooleanBinding photographs = Bindings.createBooleanBinding(
                () -> PhotographView.wanted(bench), bench.stageProperty(), bench.sideTabProperty());
        LazyPane.put(middle, photographs, () -> new PhotographView(bench, survey));
        views.visibleProperty().bind(ownSheets.not().and(comparing.not()).and(photographs.not()));
        dock.visibleProperty().bind(ownSheets.not().and(photographs.not()));
        dock.managedProperty().bind(dock.visibleProperty());
        VBox all = new VBox(middle, dock);
        all.setMinSize(0, 0);
        return all;
    }

    /** Says that figures are still to come, once that has taken a second: until then the old ones stand there. */
    private Label working() {
        Label working = new Label("Working out the figures …");
        working.setId("working");
        working.getStyleClass().add("hint");
        working.setMinWidth(Region.USE_PREF_SIZE);
        working.setVisible(false);
        working.setManaged(false);
        PauseTransition wait = new PauseTransition(Duration.seconds(1));
        wait.setOnFinished(_ -> show(working, bench.analysingProperty().get()));
        bench.analysingProperty().addListener((_, _, busy) -> {
            if (busy) {
                wait.playFromStart();
            } else {
                wait.stop();
                show(working, false);
            }
        });
        return working;
    }

    private static void show(Label label, boolean shown) {
        label.setVisible(shown);
        label.setManaged(shown);
    }

    private HBox messageBar() {
        Label message = new Label();
        message.setId("message");
        message.getStyleClass().add("message");
        message.setMaxWidth(Double.MAX_VALUE);
        // A refusal says where, what and what to do: it may take two lines.
        message.setWrapText(true);
        message.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(message, Priority.ALWAYS);
        Label caution = new Label(
                "Plan figures only. Nothing here approves a design: local rules and licensed practice come first.");
        caution.getStyleClass().add("hint");
        caution.setMinWidth(Region.USE_PREF_SIZE);
        bench.messageProperty().addListener((_, _, m) -> {
            message.setText(m.text());
            message.pseudoClassStateChanged(REFUSAL, m.refusal());
        });
        HBox bar = new HBox(12, message, working(), caution);
        bar.getStyleClass().add("message-bar");
        bar.setAlignment(Pos.CENTER_LEFT);
        return bar;
    }
}
