package mildtilt.app.view;

import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;

/**
 * The vehicle from above and from the side, to look at beside something else: the selection, at the current position.
 */
public final class VehicleView extends VBox {

    public VehicleView(Workbench bench) {
        getStyleClass().add("vehicle-view");
        setMinSize(0, 0);
        for (Elevation e : new Elevation[] {Elevation.PLAN, Elevation.SIDE}) {
            ElevationSheet sheet = new ElevationSheet(bench, e, s -> s == WorkStage.TRIAL);
            sheet.setId("trial-sheet-" + e.name().toLowerCase(Locale.ROOT));
            sheet.setLarge(false);
            Label name = new Label(e.label());
            name.getStyleClass().add("hint");
            BorderPane box = new BorderPane(sheet);
            box.setTop(name);
            box.getStyleClass().add("sheet");
            box.setMinSize(0, 0);
            VBox.setVgrow(box, e == Elevation.PLAN ? Priority.ALWAYS : Priority.SOMETIMES);
            box.setPrefHeight(e == Elevation.PLAN ? 330 : 220);
            getChildren().add(box);
        }
    }
}
