package mildtilt.app.view;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mildtilt.app.workbench.ViewChoice;
import mildtilt.app.workbench.Workbench;
import mildtilt.drawing.Elevation;
import mildtilt.steer.position.SteeringInput;

/** The one large drawing of the vehicle: an elevation, the solid view, or all four together. */
public final class ViewPane extends VBox {

    private final Workbench bench;
    private final Map<ViewChoice, Region> drawings = new EnumMap<>(ViewChoice.class);
    private final StackPane place = new StackPane();
    private final GridPane four = new GridPane();
    private final Label sense = new Label();
    private final HBox locked = new HBox(6);

    /** @param save puts a picture of the solid view into a file */
    public ViewPane(Workbench bench, Consumer<Image> save) {
        this.bench = bench;
        getStyleClass().add("bay");
        setMinSize(0, 0);
        for (Elevation e : Elevation.values()) {
            drawings.put(ViewChoice.of(e), new ElevationSheet(bench, e, s -> !s.ownSheets()));
        }
        drawings.put(ViewChoice.SOLID, new SolidSheet(bench, save));
        place.setMinSize(0, 0);
        VBox.setVgrow(place, Priority.ALWAYS);
        four.getStyleClass().add("four-views");
        four.setMinSize(0, 0);
        getChildren().addAll(bar(), place);
        bench.viewProperty().addListener((_, _, _) -> show());
        bench.steeringInputProperty().addListener((_, _, _) -> refresh());
        bench.spotlightProperty()
                .addListener((_, _, spot) -> spot.ifPresent(s -> seen().forEach(d -> {
                    if (d instanceof ElevationSheet e) {
                        e.lookAt(s.around());
                    }
                })));
        show();
    }

    private HBox bar() {
        HBox choices = new HBox();
        choices.getStyleClass().add("view-choices");
        for (ViewChoice v : ViewChoice.values()) {
            ToggleButton b = new ToggleButton(v.label());
            b.setId("show-" + v.name().toLowerCase(Locale.ROOT));
            b.getStyleClass().add("view-choice");
            b.setMinWidth(Region.USE_PREF_SIZE);
            b.setTooltip(new Tooltip("Show it large (Ctrl+" + (v.ordinal() + 1) + ")"));
            b.setSelected(bench.viewProperty().get() == v);
            b.setOnAction(_ -> {
                bench.viewProperty().set(v);
                b.setSelected(true);
            });
            bench.viewProperty().addListener((_, _, now) -> b.setSelected(now == v));
            choices.getChildren().add(b);
        }
        sense.getStyleClass().add("hint");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label why = new Label();
        why.getStyleClass().add("locked-words");
        why.setMinWidth(Region.USE_PREF_SIZE);
        Button back = new Button("Back to straight ahead");
        back.setId("unlock-editing");
        back.getStyleClass().add("sheet-button");
        back.setMinWidth(Region.USE_PREF_SIZE);
        back.setOnAction(_ -> bench.steerTo(SteeringInput.STRAIGHT_AHEAD));
        locked.getChildren().addAll(why, back);
        locked.setAlignment(Pos.CENTER_LEFT);
        Button all = new Button("Show all");
        all.setId("show-whole");
        all.getStyleClass().add("sheet-button");
        all.setMinWidth(Region.USE_PREF_SIZE);
        all.setTooltip(new Tooltip("Show all (Ctrl+0)"));
        all.setOnAction(_ -> fit());
        HBox bar = new HBox(8, choices, sense, gap, locked, all);
        bar.getStyleClass().add("view-bar");
        bar.setAlignment(Pos.CENTER_LEFT);
        why.textProperty()
                .bind(Bindings.when(bar.widthProperty().greaterThan(690))
                        .then("Editing is locked while the wheels are turned.")
                        .otherwise("Editing is locked."));
        // Where there is no room for both, which way the view looks gives way.
        sense.visibleProperty()
                .bind(bar.widthProperty()
                        .greaterThan(760)
                        .and(locked.visibleProperty().not()));
        sense.managedProperty().bind(sense.visibleProperty());
        return bar;
    }

    private void show() {
        ViewChoice now = bench.viewProperty().get();
        sense.setText(
                switch (now) {
                    case SIDE, PLAN, FRONT -> now.elevation().orElseThrow().sense();
                    case SOLID -> "drag to look round, scroll to come nearer";
                    case ALL -> "";
                });
        place.getChildren().clear();
        four.getChildren().clear();
        if (now == ViewChoice.ALL) {
            // The plan over the side, the front beside the side, as on a drawing sheet.
            put(ViewChoice.PLAN, 0, 0);
            put(ViewChoice.SOLID, 1, 0);
            put(ViewChoice.SIDE, 0, 1);
            put(ViewChoice.FRONT, 1, 1);
            place.getChildren().setAll(four);
        } else {
            place.getChildren().setAll(drawing(now));
        }
        drawings.forEach((choice, d) -> {
            if (d instanceof ElevationSheet e) {
                e.setLarge(choice == now);
            }
        });
        refresh();
    }

    private Region drawing(ViewChoice choice) {
        return drawings.get(choice) instanceof Region r ? r : new Region();
    }

    private void put(ViewChoice choice, int column, int row) {
        Label name = new Label(choice.label());
        name.getStyleClass().add("hint");
        VBox box = new VBox(name, drawing(choice));
        box.getStyleClass().add("sheet");
        box.setMinSize(0, 0);
        box.setPrefSize(100, 100);
        VBox.setVgrow(drawing(choice), Priority.ALWAYS);
        GridPane.setHgrow(box, Priority.ALWAYS);
        GridPane.setVgrow(box, Priority.ALWAYS);
        four.add(box, column, row);
    }

    private void refresh() {
        locked.setVisible(!bench.steeringInput().straightAhead()
                && bench.viewProperty().get().elevation().isPresent());
        locked.setManaged(locked.isVisible());
    }

    private List<Node> seen() {
        ViewChoice now = bench.viewProperty().get();
        return now == ViewChoice.ALL ? List.copyOf(drawings.values()) : List.of(drawing(now));
    }

    /** Brings the view nearer (above 1) or farther (below 1). */
    public void zoom(double factor) {
        for (Node n : seen()) {
            switch (n) {
                case ElevationSheet e -> e.zoom(factor, e.getWidth() / 2, e.getHeight() / 2);
                case SolidSheet s -> s.zoomBy(factor);
                default -> {}
            }
        }
    }

    /** Shifts the view; a solid is turned instead. */
    public void pan(double pixelsRight, double pixelsDown) {
        for (Node n : seen()) {
            switch (n) {
                case ElevationSheet e -> e.shift(pixelsRight, pixelsDown);
                case SolidSheet s -> s.look(pixelsRight / 6, pixelsDown / 6);
                default -> {}
            }
        }
    }

    /** Shows all of what the stage is about. */
    public void fit() {
        for (Node n : seen()) {
            if (n instanceof ElevationSheet e) {
                e.fit();
            }
        }
    }
}
