package mildtilt.app.compare;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.CompareWith;
import mildtilt.app.workbench.Workbench;

/** Every headline figure now, beside what it was before. */
public final class CompareTable extends VBox {

    private static final PseudoClass CHANGED = PseudoClass.getPseudoClass("changed");

    private static final double ROW_HEIGHT = 18;

    private final GridPane grid = new GridPane();
    private final ToggleButton atHands = new ToggleButton("At this position");

    private final Workbench bench;
    private final Map<Headline, Row> rows = new EnumMap<>(Headline.class);

    private record Row(Label name, Label before, Label now) {}

    public CompareTable(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("compare-table");
        setMinWidth(306);
        setPrefWidth(310);
        grid.getStyleClass().add("compare-grid");
        ColumnConstraints name = new ColumnConstraints();
        name.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().addAll(name, figures(60), figures(70));
        for (Headline h : Headline.values()) {
            Row row = new Row(new Label(h.label()), new Label(), new Label());
            row.name.setTooltip(new Tooltip(h.explanation() + " Press for the glossary."));
            row.name.setOnMouseClicked(_ -> bench.glossaryTermProperty().set(Optional.of(h.label())));
            row.before.getStyleClass().add("figure-before");
            row.now.getStyleClass().add("figure-now");
            row.before.setId("before-" + h.name().toLowerCase(Locale.ROOT));
            row.now.setId("now-" + h.name().toLowerCase(Locale.ROOT));
            rows.put(h, row);
        }
        ScrollPane scroll = Wrap.tall(grid);
        scroll.getStyleClass().add("table-scroll");
        PositionTable hands = new PositionTable(bench);
        hands.visibleProperty().bind(atHands.selectedProperty());
        scroll.visibleProperty().bind(atHands.selectedProperty().not());
        StackPane tables = new StackPane(scroll, hands);
        VBox.setVgrow(tables, Priority.ALWAYS);
        getChildren().addAll(head(), tables);
        lay();
        bench.stageProperty().addListener((_, _, _) -> lay());
        bench.analysisProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private static ColumnConstraints figures(double width) {
        ColumnConstraints figure = new ColumnConstraints(width);
        figure.setHalignment(HPos.RIGHT);
        return figure;
    }

    /** The rows that the stage is about. */
    private void lay() {
        grid.getChildren().clear();
        grid.getRowConstraints().clear();
        Headline.ShownIn where =
                switch (bench.stageProperty().get()) {
                    case LINKAGE -> Headline.ShownIn.LINKAGE;
                    case CLEARANCE -> Headline.ShownIn.CLEARANCE;
                    case SURVEY, COLUMN, MAKE, TRIAL -> Headline.ShownIn.COLUMN;
                };
        int at = 0;
        for (Headline h : Headline.values()) {
            if (h.placeOf(where)) {
                Row row = Objects.requireNonNull(rows.get(h));
                grid.addRow(at++, row.name, row.before, row.now);
                grid.getRowConstraints().add(new RowConstraints(ROW_HEIGHT));
            }
        }
    }

    private HBox head() {
        ChoiceBox<CompareWith> choice =
                Choices.of(CompareWith.class, CompareWith::label, "compared", "What before means");
        choice.valueProperty().bindBidirectional(bench.comparedProperty());
        Button pin = new Button("Mark");
        pin.setTooltip(new Tooltip("Mark the job as it is now, to compare with it later (Ctrl+B)"));
        pin.setOnAction(_ -> bench.pin());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label now = new Label("now");
        now.getStyleClass().add("pane-head");
        choice.setPrefWidth(112);
        choice.setTooltip(new Tooltip("What to compare with: the last change, as opened, or a saved mark"));
        pin.setMinWidth(Region.USE_PREF_SIZE);
        now.setMinWidth(Region.USE_PREF_SIZE);
        atHands.setId("at-hands");
        atHands.getStyleClass().add("side-tab");
        atHands.setMinWidth(Region.USE_PREF_SIZE);
        atHands.setTooltip(new Tooltip("Every figure of both wheels and the rods at this position"));
        now.visibleProperty().bind(atHands.selectedProperty().not());
        HBox head = new HBox(6, choice, pin, atHands, gap, now);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private void refresh() {
        Optional<AnalysisUpdate> worked = bench.analysisProperty().get();
        rows.forEach((h, row) -> {
            Optional<Double> now = worked.flatMap(w -> w.now().headlines().get(h));
            Optional<Double> before = worked.flatMap(AnalysisUpdate::before)
                    .flatMap(a -> a.headlines().get(h));
            boolean changed = worked.flatMap(AnalysisUpdate::before).isPresent()
                    && new Headlines.Change(h, before, now).notable();
            row.now.setText(text(h, now));
            row.before.setText(changed ? text(h, before) : "");
            row.now.pseudoClassStateChanged(CHANGED, changed);
        });
    }

    private String text(Headline h, Optional<Double> value) {
        return value.map(v -> h.unit().format(v, bench.lengthUnit())).orElse("–");
    }
}
