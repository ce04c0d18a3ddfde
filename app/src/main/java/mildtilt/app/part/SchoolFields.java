package mildtilt.app.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.OuterWheelTable;
import mildtilt.job.Targets;
import mildtilt.units.LengthText;
import mildtilt.units.UnreadableMeasureException;

/** Chooses a school for the outer wheel, and holds its table where it has one. */
final class SchoolFields extends VBox {

    SchoolFields(Workbench bench) {
        getStyleClass().add("piece-body");
        Targets t = bench.job().targets();
        ChoiceBox<School> choice =
                Choices.of(School.class, School::label, "school", "Which school the outer wheel follows");
        choice.setValue(School.of(t));
        choice.setMaxWidth(Double.MAX_VALUE);
        Label cost = new Label(choice.getValue().cost());
        cost.setWrapText(true);
        cost.setMinHeight(Region.USE_PREF_SIZE);
        cost.getStyleClass().add("hint");
        choice.valueProperty()
                .addListener((_, _, s) -> bench.edit(
                        "Outer wheel: " + s.label(),
                        j -> s.chosen(
                                j,
                                bench.analysisProperty()
                                        .get()
                                        .flatMap(w -> w.now().steer())
                                        .map(f -> f.leftReach().turn()))));
        getChildren().addAll(new Label("The outer wheel follows"), choice, cost);
        t.outerTable().ifPresent(table -> table(bench, table));
    }

    private void table(Workbench bench, OuterWheelTable table) {
        TextField rows = new TextField(text(table));
        rows.setId("outer-table");
        rows.setAccessibleText("Pairs of inner and outer angle");
        rows.setTooltip(new Tooltip("Pairs of inner and outer wheel, degrees, rising: 10 9.5, 20 17.8, 30 25.1"));
        Runnable take = () -> {
            if (rows.getText().equals(text(table))) {
                return;
            }
            try {
                List<OuterWheelTable.Row> read = read(rows.getText());
                bench.edit(
                        "Table of outer angles",
                        j -> j.withTargets(j.targets()
                                .withOuterTable(Optional.of(new OuterWheelTable(read, table.toleranceDeg())))));
            } catch (UnreadableMeasureException e) {
                bench.refuse(e.getMessage());
            }
        };
        rows.setOnAction(_ -> take.run());
        rows.focusedProperty().addListener((_, _, focused) -> {
            if (!focused) {
                take.run();
            }
        });
        MeasureField tolerance = new MeasureField(
                LengthText.trimmed(table.toleranceDeg(), 2) + "°",
                LengthText::parseDegrees,
                v -> bench.edit(
                        "Tolerance of the table",
                        j -> j.withTargets(
                                j.targets().withOuterTable(Optional.of(new OuterWheelTable(table.rows(), v))))),
                bench::refuse);
        tolerance.setId("field-table-tolerance");
        tolerance.setAccessibleText("Tolerance of the table");
        HBox row = new HBox(8, new Label("Tolerance"), tolerance);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(new Label("Inner outer, inner outer, … in degrees"), rows, row);
    }

    static String text(OuterWheelTable table) {
        return table.rows().stream()
                .map(r -> number(r.innerDeg()) + " " + number(r.outerDeg()))
                .collect(Collectors.joining(", "));
    }

    private static String number(double v) {
        return LengthText.trimmed(v, 2);
    }

    /** @throws UnreadableMeasureException with a sentence for the user */
    static List<OuterWheelTable.Row> read(String text) {
        List<OuterWheelTable.Row> rows = new ArrayList<>();
        for (String pair : text.split("[,;]")) {
            String[] two = pair.strip().split("\\s+");
            if (two.length != 2) {
                throw new UnreadableMeasureException("\"" + pair.strip()
                        + "\" is not a pair of inner and outer angle: write 20 17.8, and a comma " + "between pairs.");
            }
            rows.add(new OuterWheelTable.Row(LengthText.parseDegrees(two[0]), LengthText.parseDegrees(two[1])));
        }
        return rows;
    }
}
