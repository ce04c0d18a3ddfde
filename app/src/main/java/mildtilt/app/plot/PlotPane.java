package mildtilt.app.plot;

import java.util.List;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Pos;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.Copying;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.curve.Curve;

/** A curve over the range, chosen here, or by the stage; or the map of steer against travel. */
public final class PlotPane extends VBox {

    /** From this width on the curve and the map stand side by side. */
    private static final double BOTH = 620;

    public PlotPane(Workbench bench) {
        getStyleClass().add("plot-pane");
        PlotSheet sheet = new PlotSheet(bench);
        MapSheet map = new MapSheet(bench);
        map.setVisible(false);
        ChoiceBox<Curve> choice = Choices.of(Curve.class, Curve::title, "curve", "Which curve");
        ToggleButton showMap = new ToggleButton("Map");
        showMap.setId("show-map");
        showMap.getStyleClass().add("side-tab");
        showMap.setMinWidth(Region.USE_PREF_SIZE);
        showMap.setTooltip(
                new Tooltip("Steering wheel against travel, coloured by the margin to whatever limits first"));
        // Side by side where there is width for both.
        BooleanBinding both = widthProperty().greaterThan(BOTH);
        map.visibleProperty().bind(showMap.selectedProperty().or(both));
        sheet.visibleProperty().bind(showMap.selectedProperty().not().or(both));
        map.managedProperty().bind(map.visibleProperty());
        sheet.managedProperty().bind(sheet.visibleProperty());
        showMap.disableProperty().bind(both);
        choice.disableProperty().bind(showMap.selectedProperty().and(both.not()));
        choice.valueProperty().addListener((_, _, c) -> sheet.show(c));
        choice.setValue(Curve.COLUMN_TURN);
        bench.stageProperty().addListener((_, _, stage) -> {
            if (stage == WorkStage.CLEARANCE) {
                showMap.setSelected(true);
            } else if (stage == WorkStage.COLUMN) {
                choice.setValue(Curve.COLUMN_TURN);
                showMap.setSelected(false);
            } else if (choice.getValue() == Curve.COLUMN_TURN) {
                choice.setValue(Curve.BUMP_STEER);
            }
        });
        Label key = new Label("── now   ╌╌ before");
        key.getStyleClass().add("hint");
        key.setMinWidth(Region.USE_PREF_SIZE);
        // Where the pane is narrow the choice of the curve needs the room.
        key.visibleProperty().bind(widthProperty().greaterThan(400));
        key.managedProperty().bind(key.visibleProperty());
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(6, choice, showMap, gap, key);
        head.setAlignment(Pos.CENTER_LEFT);
        HBox sheets = new HBox(8, sheet, map);
        HBox.setHgrow(sheet, Priority.ALWAYS);
        HBox.setHgrow(map, Priority.ALWAYS);
        sheets.setMinSize(0, 0);
        ContextMenu copies = new ContextMenu(
                item("Copy as picture", "copy-picture", () -> Copying.picture(sheets)),
                item("Copy as CSV", "copy-csv", () -> copyTable(bench, choice.getValue())));
        sheets.setOnContextMenuRequested(e -> copies.show(sheets, e.getScreenX(), e.getScreenY()));
        VBox.setVgrow(sheets, Priority.ALWAYS);
        getChildren().addAll(head, sheets);
    }

    private static MenuItem item(String text, String id, Runnable run) {
        MenuItem i = new MenuItem(text);
        i.setId(id);
        i.setOnAction(_ -> run.run());
        return i;
    }

    /** The curve's points, one line each: what is along, then each of its lines. */
    private static void copyTable(Workbench bench, Curve curve) {
        StringBuilder text = new StringBuilder();
        bench.analysisProperty()
                .get()
                .map(w -> curve.series(w.now()))
                .orElse(List.of())
                .forEach(s -> s.runs().forEach(run -> run.points().forEach(p -> text.append(s.name())
                        .append(',')
                        .append(p[0])
                        .append(',')
                        .append(p[1])
                        .append('\n'))));
        Copying.text(text.toString());
    }
}
