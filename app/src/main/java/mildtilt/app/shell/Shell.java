package mildtilt.app.shell;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.util.Duration;
import mildtilt.app.bay.BayPane;
import mildtilt.app.bay.VehicleView;
import mildtilt.app.clearance.GapsPane;
import mildtilt.app.clearance.ObstaclesPane;
import mildtilt.app.clearance.RoutePane;
import mildtilt.app.column.HoldingPane;
import mildtilt.app.column.PhasingPane;
import mildtilt.app.column.RangePane;
import mildtilt.app.column.RulesPane;
import mildtilt.app.column.UnrolledStrip;
import mildtilt.app.compare.CompareTable;
import mildtilt.app.fit.FitStagePane;
import mildtilt.app.hands.HandsPane;
import mildtilt.app.linkage.KnucklePane;
import mildtilt.app.linkage.VariantsPane;
import mildtilt.app.linkage.VariantsTable;
import mildtilt.app.linkage.WorkOutPane;
import mildtilt.app.look.Choices;
import mildtilt.app.look.Lazily;
import mildtilt.app.make.MakeStagePane;
import mildtilt.app.notes.NotesPane;
import mildtilt.app.piece.PiecePane;
import mildtilt.app.plot.PlotPane;
import mildtilt.app.start.GlossarySheet;
import mildtilt.app.start.StartPane;
import mildtilt.app.start.TermHints;
import mildtilt.app.start.Walk;
import mildtilt.app.survey.SurePane;
import mildtilt.app.survey.SurveyPane;
import mildtilt.app.train.TrainStrip;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.format.DemoJob;
import mildtilt.glossary.Glossary;
import mildtilt.job.VehicleScale;
import mildtilt.measure.LengthUnit;

/** The window: train strip above, bay in the middle, notes at the side, hands below. */
public final class Shell {

    private static final PseudoClass REFUSAL = PseudoClass.getPseudoClass("refusal");

    private final Stage window;
    private final Workbench bench;
    private final Documents documents;
    private final BayPane bay;
    private Optional<FitStagePane> fitting = Optional.empty();
    private final Walk walk;
    private final BooleanProperty starting = new SimpleBooleanProperty();
    private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.LIGHT);

    public Shell(Stage window, Workbench bench, Recovery recovery, OwnCatalogue own, RecentJobs recent, FilePrompt prompt, Clock clock) {
        this.window = window;
        this.bench = bench;
        documents = new Documents(bench, recovery, own, recent, prompt, clock);
        bay = new BayPane(bench);
        walk = new Walk(bench);
        UnrolledStrip unrolled = new UnrolledStrip(bench);
        unrolled.visibleProperty().bind(Bindings.createBooleanBinding(
                () -> bench.stageProperty().get() == WorkStage.COLUMN && bench.job().column().isPresent(), bench.stageProperty(), bench.jobProperty()));
        unrolled.managedProperty().bind(unrolled.visibleProperty());
        VBox views = new VBox(bay, unrolled);
        VBox.setVgrow(bay, Priority.ALWAYS);
        views.setMinSize(0, 0);
        StackPane middle = new StackPane(views);
        middle.setMinSize(0, 0);
        BooleanBinding comparing = bench.stageProperty().isEqualTo(WorkStage.LINKAGE)
                .and(bench.sideTabProperty().isEqualTo(SideTab.VARIANTS));
        Lazily.put(middle, comparing, () -> new VariantsTable(bench));
        Lazily.put(middle, bench.stageProperty().isEqualTo(WorkStage.MAKE), () -> new MakeStagePane(bench, clock, documents.papers(window)));
        Lazily.put(middle, bench.stageProperty().isEqualTo(WorkStage.FIT), () -> {
            FitStagePane fit = new FitStagePane(bench, clock, documents.fitFiles(window), new VehicleView(bench));
            fitting = Optional.of(fit);
            return fit;
        });
        BooleanBinding ownSheets = Bindings.createBooleanBinding(() -> bench.stageProperty().get().ownSheets(), bench.stageProperty());
        views.visibleProperty().bind(ownSheets.not().and(comparing.not()));

        Commands commands = new Commands(window, bench, documents, bay, theme, () -> starting.set(true));
        PiecePane piece = new PiecePane(bench);
        // The other uses of the side need the room.
        piece.visibleProperty().bind(bench.sideTabProperty().isEqualTo(SideTab.NOTES).or(bench.sideTabProperty().isEqualTo(SideTab.IN_THE_WAY)));
        piece.managedProperty().bind(piece.visibleProperty());
        VBox side = new VBox(piece, sideTabs(), sidePanes());
        side.getStyleClass().add("side");
        VBox.setVgrow(side.getChildren().getLast(), Priority.ALWAYS);
        PlotPane plot = new PlotPane(bench);
        HBox.setHgrow(plot, Priority.ALWAYS);
        HBox bottom = new HBox(new HandsPane(bench), new CompareTable(bench), plot);
        bottom.getStyleClass().add("bottom");
        // The papers are of the plan, not of the hands, and want the height.
        bottom.visibleProperty().bind(ownSheets.not().and(starting.not()));
        bottom.managedProperty().bind(bottom.visibleProperty());

        TrainStrip train = new TrainStrip(bench);
        train.visibleProperty().bind(starting.not());
        train.managedProperty().bind(train.visibleProperty());
        middle.visibleProperty().bind(starting.not());
        StackPane centre = new StackPane(middle);
        Lazily.put(centre, starting, () -> new StartPane(bench, begin()));
        BorderPane root = new BorderPane(centre);
        root.setTop(new VBox(bar(commands.menuBar()), train));
        root.setRight(side);
        // Trials are of the vehicle: what is wrong with the plan stands in the other stages, and the figures want the room.
        side.visibleProperty().bind(bench.stageProperty().isNotEqualTo(WorkStage.FIT).and(starting.not()));
        side.managedProperty().bind(side.visibleProperty());
        root.setBottom(new VBox(walk, bottom, messageBar()));
        // Whatever is opened or begun is what is wanted to be seen.
        bench.openedProperty().addListener((_, _, _) -> {
            if (starting.get()) {
                starting.set(false);
                // Not left to whatever control comes first.
                train.requestFocus();
            }
        });
        bench.stageProperty().addListener((_, _, _) -> starting.set(false));
        Scene scene = new Scene(root, 1280, 800);
        TermHints hints = new TermHints(scene);
        bench.askedProperty().addListener((_, _, asked) -> asked.ifPresent(a -> {
            bench.askedProperty().set(Optional.empty());
            GlossarySheet.show(window, Optional.of(a).filter(t -> !t.isEmpty()).or(() -> hints.asked().map(Glossary.Term::name)));
        }));
        theme.addListener((_, _, t) -> t.applyTo(scene));
        theme.get().applyTo(scene);
        commands.installKeys(scene);
        window.setScene(scene);
        window.setMinWidth(1100);
        window.setMinHeight(700);
        window.titleProperty().bind(Bindings.createStringBinding(this::title,
                bench.jobProperty(), bench.fileProperty(), bench.messageProperty()));
        window.setOnCloseRequest(e -> {
            if (!documents.mayLetGo(window)) {
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
            public void own(DemoJob like, VehicleScale sizes) {
                documents.newLike(window, like, Optional.of(sizes));
            }

            @Override
            public void demo(DemoJob demo) {
                documents.openDemo(window, demo);
            }

            @Override
            public void walk() {
                if (documents.openDemo(window, DemoJob.MARSH_CARRIER)) {
                    walk.begin();
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

    /** Lets go of the instruments. */
    public void close() {
        fitting.ifPresent(FitStagePane::close);
    }

    public Documents documents() {
        return documents;
    }

    private String title() {
        return bench.job().title() + (bench.unsaved() ? " (not saved)" : "")
                + bench.fileProperty().get().map(p -> " · " + p.getFileName()).orElse("") + " · Mild Tilt";
    }

    private HBox bar(MenuBar menu) {
        HBox stages = new HBox();
        stages.getStyleClass().add("stages");
        for (WorkStage s : WorkStage.values()) {
            ToggleButton b = new ToggleButton(s.label());
            b.setId("stage-" + s.name().toLowerCase(Locale.ROOT));
            b.getStyleClass().add("stage-button");
            b.setSelected(bench.stageProperty().get() == s);
            b.setOnAction(_ -> {
                bench.stageProperty().set(s);
                b.setSelected(true);
            });
            bench.stageProperty().addListener((_, _, now) -> b.setSelected(now == s));
            stages.getChildren().add(b);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label lengths = new Label("Lengths in");
        HBox bar = new HBox(8, menu, stages, gap, lengths, unitChoice());
        bar.getStyleClass().add("top-bar");
        bar.setAlignment(Pos.CENTER_LEFT);
        return bar;
    }

    /** What the side is used for, where the stage leaves a choice. */
    private HBox sideTabs() {
        HBox tabs = new HBox();
        tabs.getStyleClass().add("side-tabs");
        for (SideTab t : SideTab.values()) {
            ToggleButton b = new ToggleButton(t.label());
            b.setId("side-" + t.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            b.getStyleClass().add("side-tab");
            b.setSelected(bench.sideTabProperty().get() == t);
            b.setOnAction(_ -> {
                bench.sideTabProperty().set(t);
                b.setSelected(true);
            });
            bench.sideTabProperty().addListener((_, _, now) -> b.setSelected(now == t));
            b.visibleProperty().bind(Bindings.createBooleanBinding(() -> t.belongsTo(bench.stageProperty().get()), bench.stageProperty()));
            b.managedProperty().bind(b.visibleProperty());
            tabs.getChildren().add(b);
        }
        tabs.visibleProperty().bind(bench.stageProperty().isNotEqualTo(WorkStage.MAKE));
        tabs.managedProperty().bind(tabs.visibleProperty());
        return tabs;
    }

    private StackPane sidePanes() {
        StackPane panes = new StackPane();
        panes.setMinSize(0, 0);
        for (SideTab t : SideTab.values()) {
            Lazily.put(panes, bench.sideTabProperty().isEqualTo(t), () -> switch (t) {
                case NOTES -> new NotesPane(bench);
                case MEASURED -> new SurveyPane(bench, () -> documents.openPoints(window));
                case SURE -> new SurePane(bench);
                case KNUCKLE -> new KnucklePane(bench);
                case WORK_OUT -> new WorkOutPane(bench);
                case VARIANTS -> new VariantsPane(bench);
                case PHASING -> new PhasingPane(bench);
                case HOLDING -> new HoldingPane(bench);
                case RANGE -> new RangePane(bench);
                case IN_THE_WAY -> new ObstaclesPane(bench, () -> documents.openScan(window));
                case GAPS -> new GapsPane(bench);
                case ROUTE -> new RoutePane(bench);
                case RULES -> new RulesPane(bench, () -> documents.saveRules(window), () -> documents.openRules(window));
            });
        }
        return panes;
    }

    private ChoiceBox<LengthUnit> unitChoice() {
        ChoiceBox<LengthUnit> units = Choices.of(LengthUnit.class, LengthUnit::label, "length-unit",
                "Unit that lengths are shown in");
        units.valueProperty().bindBidirectional(bench.lengthUnitProperty());
        return units;
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
        wait.setOnFinished(_ -> show(working, bench.workingProperty().get()));
        bench.workingProperty().addListener((_, _, busy) -> {
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
        Label caution = new Label("Plan figures only. Nothing here approves a design: local rules and licensed practice come first.");
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
