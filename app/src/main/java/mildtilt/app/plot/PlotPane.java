package mildtilt.app.plot;

import javafx.geometry.Pos;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.app.look.Choices;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.curve.Curve;

/** A curve over the range, chosen here, or by the stage; or the map of steer against travel. */
public final class PlotPane extends VBox {

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
        showMap.setTooltip(new Tooltip("Steering wheel against travel, coloured by the margin to whatever limits first"));
        map.visibleProperty().bind(showMap.selectedProperty());
        sheet.visibleProperty().bind(showMap.selectedProperty().not());
        choice.disableProperty().bind(showMap.selectedProperty());
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
        StackPane sheets = new StackPane(sheet, map);
        sheets.setMinSize(0, 0);
        VBox.setVgrow(sheets, Priority.ALWAYS);
        getChildren().addAll(head, sheets);
    }
}
