package mildtilt.app.shell;

import javafx.beans.binding.Bindings;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mildtilt.app.controls.Choices;
import mildtilt.app.workbench.Workbench;
import mildtilt.units.LengthUnit;

/** The line over everything: the job and its menu, the stages, undo and redo, the search, unit, theme and help. */
final class Header extends HBox {

    private final Workbench bench;

    Header(Workbench bench, Commands commands, FindField find, ObjectProperty<Theme> theme) {
        super(6);
        this.bench = bench;
        getStyleClass().add("header");
        setAlignment(Pos.CENTER_LEFT);
        MenuButton job = commands.jobMenu();
        Label saved = new Label();
        saved.setId("saved-state");
        saved.getStyleClass().add("hint");
        saved.textProperty()
                .bind(Bindings.createStringBinding(
                        () -> bench.unsaved() ? "not saved" : "saved",
                        bench.jobProperty(),
                        bench.fileProperty(),
                        bench.messageProperty()));
        saved.setMinWidth(64);
        // A narrow window needs the room for the stages; the window's title says it too.
        saved.visibleProperty().bind(widthProperty().greaterThan(1200));
        saved.managedProperty().bind(saved.visibleProperty());
        job.setMaxWidth(190);
        // A long title is cut; the window's own shows it whole.
        job.setEllipsisString("");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button undo = sign("↶", "undo", "Undo (Ctrl+Z)");
        Button redo = sign("↷", "redo", "Redo (Ctrl+Shift+Z)");
        undo.setOnAction(_ -> bench.undo());
        redo.setOnAction(_ -> bench.redo());
        Runnable refresh = () -> {
            undo.setDisable(bench.undoable().isEmpty());
            redo.setDisable(bench.redoable().isEmpty());
            undo.getTooltip().setText(bench.undoable().map(c -> "Undo: " + c).orElse("Nothing to undo") + " (Ctrl+Z)");
            redo.getTooltip()
                    .setText(bench.redoable().map(c -> "Redo: " + c).orElse("Nothing to redo") + " (Ctrl+Shift+Z)");
        };
        bench.jobProperty().addListener((_, _, _) -> refresh.run());
        bench.openedProperty().addListener((_, _, _) -> refresh.run());
        bench.messageProperty().addListener((_, _, _) -> refresh.run());
        refresh.run();
        Button look = sign("◐", "theme", "Light or dark (Ctrl+D)");
        look.setOnAction(_ -> theme.set(theme.get().other()));
        HBox.setHgrow(find, Priority.ALWAYS);
        getChildren()
                .addAll(
                        job,
                        saved,
                        new StagePath(bench),
                        gap,
                        undo,
                        redo,
                        find,
                        unitChoice(),
                        look,
                        commands.helpMenu());
    }

    private static Button sign(String sign, String id, String words) {
        Button b = new Button(sign);
        b.setId(id);
        b.getStyleClass().add("sign-button");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setTooltip(new Tooltip(words));
        b.setAccessibleText(words);
        return b;
    }

    private static String brief(LengthUnit unit) {
        return switch (unit) {
            case MM -> "mm";
            case INCH -> "inch";
            case INCH_FRACTION -> "inch 1/32";
        };
    }

    private ChoiceBox<LengthUnit> unitChoice() {
        ChoiceBox<LengthUnit> units =
                Choices.of(LengthUnit.class, Header::brief, "length-unit", "Unit that lengths are shown in");
        units.valueProperty().bindBidirectional(bench.lengthUnitProperty());
        units.setMinWidth(104);
        units.setPrefWidth(104);
        units.setMaxWidth(104);
        units.setTooltip(new Tooltip("Unit that lengths are shown in (Ctrl+U); either may be typed"));
        return units;
    }
}
