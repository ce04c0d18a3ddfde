package mildtilt.app.shell;

import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import mildtilt.app.clearance.GapsPane;
import mildtilt.app.clearance.ObstaclesPane;
import mildtilt.app.clearance.RoutePane;
import mildtilt.app.clearance.TravelPane;
import mildtilt.app.column.ClockingPane;
import mildtilt.app.column.RangePane;
import mildtilt.app.column.RulesPane;
import mildtilt.app.column.SupportsPane;
import mildtilt.app.controls.LazyPane;
import mildtilt.app.findings.FindingList;
import mildtilt.app.findings.FindingsPane;
import mildtilt.app.linkage.ArmsPane;
import mildtilt.app.linkage.SolvePane;
import mildtilt.app.linkage.VariantsPane;
import mildtilt.app.part.PartPane;
import mildtilt.app.survey.PhotographsPane;
import mildtilt.app.survey.SurveyDesk;
import mildtilt.app.survey.SurveyPane;
import mildtilt.app.survey.UncertaintyPane;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.Workbench;

/** One thing at a time beside the drawing: the findings, the selected part, or a tool of the stage. */
final class SidePanel extends VBox {

    private final Workbench bench;
    /** Held here: a binding is held by nothing it is made of. */
    private final BooleanBinding ofObstacles;

    SidePanel(Stage window, Workbench bench, Documents documents, SurveyDesk survey) {
        this.bench = bench;
        ofObstacles = bench.sideTabProperty().isEqualTo(SideTab.OBSTACLES);
        getStyleClass().add("side");
        setId("side-panel");
        StackPane panes = panes(window, documents, survey);
        VBox.setVgrow(panes, Priority.ALWAYS);
        getChildren().addAll(tabs(), panes);
    }

    private HBox tabs() {
        HBox tabs = new HBox();
        tabs.getStyleClass().add("side-tabs");
        for (SideTab t : SideTab.values()) {
            ToggleButton b = new ToggleButton(t.label());
            b.setId("side-" + t.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            b.getStyleClass().add("side-tab");
            b.setMinWidth(Region.USE_PREF_SIZE);
            b.setSelected(bench.sideTabProperty().get() == t);
            b.setOnAction(_ -> {
                bench.sideTabProperty().set(t);
                b.setSelected(true);
            });
            bench.sideTabProperty().addListener((_, _, now) -> b.setSelected(now == t));
            b.visibleProperty()
                    .bind(Bindings.createBooleanBinding(
                            () -> t.belongsTo(bench.stageProperty().get()), bench.stageProperty()));
            b.managedProperty().bind(b.visibleProperty());
            if (t == SideTab.FINDINGS) {
                bench.analysisProperty()
                        .addListener((_, _, worked) -> b.setText(t.label()
                                + worked.map(w -> " "
                                                + FindingList.rows(
                                                                w.now().job(),
                                                                w.now().findings())
                                                        .size())
                                        .orElse("")));
            }
            tabs.getChildren().add(b);
        }
        return tabs;
    }

    private StackPane panes(Stage window, Documents documents, SurveyDesk survey) {
        StackPane panes = new StackPane();
        panes.setMinSize(0, 0);
        for (SideTab t : SideTab.values()) {
            LazyPane.put(panes, bench.sideTabProperty().isEqualTo(t), () -> switch (t) {
                case FINDINGS -> new FindingsPane(bench);
                case PART -> new PartTab(bench);
                case READINGS -> new SurveyPane(bench, survey, () -> documents.openPoints(window));
                case PHOTOGRAPHS -> new PhotographsPane(bench, survey, documents.photographs(window));
                case UNCERTAINTY -> new UncertaintyPane(bench);
                case ARMS -> new ArmsPane(bench);
                case SOLVE -> new SolvePane(bench);
                case VARIANTS -> new VariantsPane(bench);
                case PHASING -> new ClockingPane(bench);
                case SUPPORTS -> new SupportsPane(bench);
                case RANGE -> new RangePane(bench);
                case OBSTACLES ->
                    new ObstaclesPane(bench, new PartPane(bench, ofObstacles, true), () -> documents.openScan(window));
                case GAPS -> new GapsPane(bench);
                case TRAVEL -> new TravelPane(bench);
                case ROUTES -> new RoutePane(bench);
                case RULES ->
                    new RulesPane(bench, () -> documents.saveRules(window), () -> documents.openRules(window));
            });
        }
        return panes;
    }
}
