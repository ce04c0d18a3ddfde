package mildtilt.app.shell;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.VBox;
import javafx.stage.Window;
import mildtilt.app.controls.Wrap;
import mildtilt.geometry.Point;
import mildtilt.io.FileUnit;
import mildtilt.io.scan.ScanFile;
import mildtilt.obstacle.Shape;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/** Asks in which unit a scan's numbers are, by the size it would have beside the wheelbase, and shows its faults. */
final class ScanQuestion {

    private final Window owner;
    private final ScanFile.Read read;
    private final double wheelbase;
    private final LengthUnit lengths;

    ScanQuestion(Window owner, ScanFile.Read read, double wheelbase, LengthUnit lengths) {
        this.owner = owner;
        this.read = read;
        this.wheelbase = wheelbase;
        this.lengths = lengths;
    }

    /** A scan stands where its own numbers put it: many are made in the vehicle's own frame. */
    static Shape.Scan placed(ScanFile.Read read, FileUnit unit) {
        return new Shape.Scan(read.mesh(unit), read.file(), Point.ORIGIN, 0, 0, 0);
    }

    /** Empty if it is not to be taken in. */
    Optional<FileUnit> ask() {
        VBox body = new VBox(
                6,
                Wrap.text(
                        read.file() + ", " + String.format("%,d", read.count())
                                + " triangles. The file does not say in which unit its numbers are. "
                                + "Which of these sizes is right? The wheelbase is "
                                + Quantity.length(wheelbase).text(lengths) + ".",
                        "step"));
        ToggleGroup group = new ToggleGroup();
        FileUnit likely = read.likely(wheelbase);
        for (FileUnit u : FileUnit.values()) {
            RadioButton b = new RadioButton(text(u) + (u == likely ? "   (looks likely)" : ""));
            b.setId("scan-unit-" + u.name().toLowerCase(Locale.ROOT));
            b.setUserData(u);
            b.setToggleGroup(group);
            b.setSelected(u == likely);
            body.getChildren().add(b);
        }
        read.warnings().forEach(w -> {
            Label warning = Wrap.text(w, "step");
            warning.setMaxWidth(540);
            body.getChildren().add(warning);
        });
        body.setPrefWidth(560);
        ButtonType take = new ButtonType("Import", ButtonBar.ButtonData.YES);
        ButtonType leave = new ButtonType("Leave it", ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.CONFIRMATION, "", take, leave);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText("Import a scan");
        alert.setGraphic(null);
        alert.getDialogPane().setContent(body);
        return alert.showAndWait().filter(take::equals).map(_ ->
                (FileUnit) group.getSelectedToggle().getUserData());
    }

    private String text(FileUnit u) {
        double[] s = read.size();
        double longest = Math.max(s[0], Math.max(s[1], s[2])) * u.mm();
        return "in " + u.label() + ": " + Quantity.length(s[0] * u.mm()).text(lengths) + " long, "
                + Quantity.length(s[1] * u.mm()).text(lengths) + " wide, "
                + Quantity.length(s[2] * u.mm()).text(lengths) + " high, "
                + LengthText.trimmed(longest / wheelbase, longest < 0.01 * wheelbase ? 4 : 2) + " of the wheelbase";
    }
}
