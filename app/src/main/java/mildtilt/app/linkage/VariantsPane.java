package mildtilt.app.linkage;

import javafx.geometry.Pos;
import javafx.scene.control.Alert;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Variant;

/** Keeps the plan as a named variant, takes a variant as the plan, drops one. The table in the middle compares them. */
public final class VariantsPane extends VBox {

    private final Workbench bench;
    private final TextField name = new TextField();
    private final VBox list = new VBox();

    public VariantsPane(Workbench bench) {
        this.bench = bench;
        setId("variants-pane");
        getStyleClass().add("tab-pane-body");
        name.setId("variant-name");
        name.setPromptText("name, e.g. short arms");
        name.setAccessibleText("Name of the variant");
        HBox.setHgrow(name, Priority.ALWAYS);
        Button keep = new Button("Keep the plan as");
        keep.setId("keep-variant");
        keep.setMinWidth(Region.USE_PREF_SIZE);
        keep.setOnAction(_ -> keep());
        name.setOnAction(_ -> keep());
        HBox row = new HBox(6, keep, name);
        row.setAlignment(Pos.CENTER_LEFT);
        list.getStyleClass().add("notes-cards");
        VBox body = new VBox(
                Wrap.text(
                        "A variant is another way to build the same vehicle, kept in the job beside the plan. "
                                + "The table compares them all.",
                        "hint"),
                row,
                list);
        body.getStyleClass().add("tab-body");
        ScrollPane scroll = Wrap.tall(body);
        getChildren().add(scroll);
        bench.jobProperty().addListener((_, _, _) -> refresh());
        refresh();
    }

    private void keep() {
        String n = name.getText().strip();
        if (n.isEmpty()) {
            bench.refuse("Give the variant a name first.");
            name.requestFocus();
            return;
        }
        boolean again = bench.job().variants().named(n).isPresent();
        if (again && !sure(n)) {
            return;
        }
        if (bench.edit("Keep the plan as \"" + n + "\"", j -> j.keepingVariant(n))) {
            name.clear();
        }
    }

    private boolean sure(String n) {
        ButtonType replace = new ButtonType("Replace it", ButtonBar.ButtonData.YES);
        ButtonType stay = new ButtonType("Cancel", ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.CONFIRMATION, "", replace, stay);
        alert.initOwner(getScene().getWindow());
        alert.setTitle("Mild Tilt");
        alert.setHeaderText("There is a variant \"" + n + "\" already. Replace it with the present plan?");
        return alert.showAndWait().orElse(stay) == replace;
    }

    private void refresh() {
        list.getChildren().clear();
        for (Variant v : bench.job().variants().all()) {
            Label label = Wrap.text(v.name(), "finding-what");
            Button take = new Button("Make this the plan");
            take.setId("take-" + v.id());
            take.getStyleClass().add("take-remedy");
            take.setOnAction(_ -> bench.edit(
                    "Make \"" + v.name() + "\" the plan",
                    j -> j.takingVariant(v.id(), j.variants().free("Plan before " + v.name()))));
            Button drop = new Button("Delete");
            drop.setId("drop-" + v.id());
            drop.setOnAction(_ ->
                    bench.edit("Delete the variant \"" + v.name() + "\"", j -> j.editVariants(x -> x.without(v.id()))));
            VBox card = new VBox(4, label, new HBox(8, take, drop));
            card.getStyleClass().add("finding-card");
            list.getChildren().add(card);
        }
        if (bench.job().variants().isEmpty()) {
            list.getChildren().add(Wrap.text("No variants yet.", "hint"));
        }
    }
}
