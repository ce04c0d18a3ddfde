package mildtilt.app.shell;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import mildtilt.app.controls.Choices;
import mildtilt.app.controls.Wrap;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.csv.PointsCsv;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/** Shows how the columns of a CSV are understood, in which unit, before its points are taken. */
final class PointsQuestion {

    private static final int SHOWN = 5;

    private final Window owner;
    private final PointsCsv.Read read;
    private final LengthUnit unit;

    PointsQuestion(Window owner, PointsCsv.Read read, LengthUnit unit) {
        this.owner = owner;
        this.read = read;
        this.unit = unit;
    }

    /**
     * How they are to be taken; empty if they are left.
     *
     * @throws mildtilt.units.UnreadableMeasureException if how well they were measured can't be read
     */
    Optional<PointsCsv.Match> ask() {
        PointsCsv.Match guess = PointsCsv.guess(read);
        List<Integer> columns = IntStream.range(0, read.heads().size()).boxed().toList();
        ChoiceBox<Integer> name = column(columns, guess.name(), "points-name");
        ChoiceBox<Integer> x = column(columns, guess.x(), "points-x");
        ChoiceBox<Integer> y = column(columns, guess.y(), "points-y");
        ChoiceBox<Integer> z = column(columns, guess.z(), "points-z");
        ChoiceBox<FileUnit> units =
                Choices.of(FileUnit.class, FileUnit::label, "points-unit", "Unit where the heading names none");
        units.setValue(guess.unit());
        Label unitLabel = new Label("Unit");
        Runnable asked = () -> {
            boolean open = Stream.of(x, y, z).anyMatch(c -> unitOf(c.getValue()).isEmpty());
            units.setDisable(!open);
            unitLabel.setText(open ? "Unit where none is named" : "Units as the headings say");
        };
        Stream.of(x, y, z).forEach(c -> c.valueProperty().addListener((_, _, _) -> asked.run()));
        asked.run();
        TextField spread = new TextField(LengthText.editable(guess.spread(), unit));
        spread.setId("points-spread");
        GridPane match = new GridPane(10, 4);
        match.addRow(0, new Label("Name"), name, unitLabel, units);
        match.addRow(1, new Label("x, forward"), x, new Label("Measured to ±"), spread);
        match.addRow(2, new Label("y, left"), y);
        match.addRow(3, new Label("z, up"), z);
        match.getChildren().stream()
                .filter(Label.class::isInstance)
                .map(Label.class::cast)
                .forEach(l -> l.setMinWidth(Region.USE_PREF_SIZE));
        GridPane rows = new GridPane(14, 2);
        for (int c = 0; c < read.heads().size(); c++) {
            Label head = new Label(read.heads().get(c));
            head.getStyleClass().add("sub-head");
            rows.add(head, c, 0);
            for (int r = 0; r < Math.min(SHOWN, read.rows().size()); r++) {
                rows.add(
                        new Label(
                                c < read.rows().get(r).size()
                                        ? read.rows().get(r).get(c)
                                        : ""),
                        c,
                        r + 1);
            }
        }
        Label more = Wrap.text(
                read.rows().size() + (read.rows().size() == 1 ? " point" : " points")
                        + " in all; of a name that is there already, what was measured is replaced.",
                "hint");
        ButtonType take = new ButtonType("Import", ButtonBar.ButtonData.OK_DONE);
        ButtonType leave = new ButtonType("Leave them", ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.CONFIRMATION, "", take, leave);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setGraphic(null);
        alert.setHeaderText("How " + read.file() + " is understood");
        alert.getDialogPane().setContent(new VBox(10, match, rows, more));
        if (alert.showAndWait().orElse(leave) != take) {
            return Optional.empty();
        }
        return Optional.of(new PointsCsv.Match(
                name.getValue(),
                x.getValue(),
                y.getValue(),
                z.getValue(),
                units.getValue(),
                LengthText.parse(spread.getText(), unit)));
    }

    /** What can't be read as a unit is refused when the points are imported. */
    private Optional<FileUnit> unitOf(int column) {
        try {
            return PointsCsv.unitOf(read, column);
        } catch (JobFileException e) {
            return Optional.empty();
        }
    }

    private ChoiceBox<Integer> column(List<Integer> columns, int guess, String id) {
        ChoiceBox<Integer> box =
                Choices.of(columns, i -> (i + 1) + ": " + read.heads().get(i), id, "Column");
        box.setValue(guess);
        return box;
    }
}
