package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.HandsPosition;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;

/** One view large and the others small beside it; pressing a small one's head makes it the large one. */
public final class BayPane extends HBox {

    private final Workbench bench;
    private final List<Sheet> sheets = new ArrayList<>();
    private final VBox small = new VBox();
    private Sheet large;

    /** One view with its head. */
    private final class Sheet extends BorderPane {
        private final Node drawing;
        private final Label sense = new Label();
        private final Button fit = new Button("Fit");
        private final Button centre = new Button("Hands off centre: centre to move points");

        Sheet(String name, String senseText, Node drawing, int key) {
            this.drawing = drawing;
            getStyleClass().add("sheet");
            Button title = new Button(name);
            title.getStyleClass().add("sheet-title");
            title.setId("show-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z]", ""));
            title.setTooltip(new Tooltip("Show large (Ctrl+" + key + ")"));
            title.setOnAction(_ -> enlarge(this));
            sense.setText(senseText);
            sense.getStyleClass().add("hint");
            fit.getStyleClass().add("sheet-button");
            fit.setTooltip(new Tooltip("Show all of it (Ctrl+0)"));
            fit.setOnAction(_ -> fit());
            centre.getStyleClass().addAll("sheet-button", "centre-button");
            centre.setOnAction(_ -> bench.moveHands(HandsPosition.CENTRED));
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            HBox head = new HBox(8, title, sense, gap, centre, fit);
            head.setAlignment(Pos.CENTER_LEFT);
            head.getStyleClass().add("sheet-head");
            setTop(head);
            setCenter(drawing);
            setMinSize(0, 0);
        }

        void setLarge(boolean is) {
            pseudoClassStateChanged(PseudoClass.getPseudoClass("large"), is);
            sense.setVisible(is);
            sense.setManaged(is);
            fit.setVisible(is && drawing instanceof ElevationSheet);
            fit.setManaged(fit.isVisible());
            refresh(is);
            if (drawing instanceof ElevationSheet e) {
                e.setLarge(is);
            }
        }

        void refresh(boolean isLarge) {
            centre.setVisible(isLarge && drawing instanceof ElevationSheet && !bench.hands().centred());
            centre.setManaged(centre.isVisible());
        }

        void fit() {
            if (drawing instanceof ElevationSheet e) {
                e.fit();
            }
        }
    }

    public BayPane(Workbench bench) {
        this.bench = bench;
        getStyleClass().add("bay");
        setMinSize(0, 0);
        int key = 1;
        for (Elevation e : Elevation.values()) {
            sheets.add(new Sheet(e.label(), e.sense(), new ElevationSheet(bench, e, s -> !s.ownSheets()), key++));
        }
        sheets.add(new Sheet("Solid", "drag to look round", new SolidSheet(bench), key));
        small.getStyleClass().add("small-sheets");
        small.setMinWidth(200);
        small.setPrefWidth(230);
        large = sheets.getFirst();
        lay();
        bench.handsProperty().addListener((_, _, _) -> sheets.forEach(s -> s.refresh(s == large)));
        bench.stageProperty().addListener((_, _, stage) -> {
            if (!stage.ownSheets()) {
                enlarge(sheets.get(stage == WorkStage.LINKAGE ? 1 : 0));
            }
        });
    }

    private void lay() {
        small.getChildren().clear();
        getChildren().clear();
        for (Sheet s : sheets) {
            if (s != large) {
                VBox.setVgrow(s, Priority.ALWAYS);
                s.setPrefHeight(100);
                small.getChildren().add(s);
            }
        }
        HBox.setHgrow(large, Priority.ALWAYS);
        getChildren().addAll(large, small);
        sheets.forEach(s -> s.setLarge(s == large));
    }

    private void enlarge(Sheet sheet) {
        if (sheet != large) {
            large = sheet;
            lay();
        }
    }

    /** Shows a view large: 0 side, 1 plan, 2 front, 3 solid. */
    public void enlarge(int index) {
        enlarge(sheets.get(index));
    }

    /** Brings the large view nearer (above 1) or farther (below 1). */
    public void zoom(double factor) {
        switch (large.drawing) {
            case ElevationSheet e -> e.zoom(factor, e.getWidth() / 2, e.getHeight() / 2);
            case SolidSheet s -> s.zoomBy(factor);
            default -> { }
        }
    }

    /** Shifts the large view; a solid is turned instead. */
    public void pan(double pixelsRight, double pixelsDown) {
        switch (large.drawing) {
            case ElevationSheet e -> e.shift(pixelsRight, pixelsDown);
            case SolidSheet s -> s.look(pixelsRight / 6, pixelsDown / 6);
            default -> { }
        }
    }

    /** Shows all of what the large view is about. */
    public void fit() {
        large.fit();
    }
}
