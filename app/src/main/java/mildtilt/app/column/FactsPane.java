package mildtilt.app.column;

import java.util.List;
import java.util.function.UnaryOperator;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Worked;
import mildtilt.job.Job;
import mildtilt.measure.Phrase;
import mildtilt.measure.Quantity;

/** A pane at the side that tells what was worked out, anew whenever that changes and the pane is in sight. */
abstract class FactsPane extends VBox {

    final Workbench bench;
    private final VBox body = new VBox();

    FactsPane(Workbench bench, String id) {
        this.bench = bench;
        setId(id);
        getStyleClass().add("tab-pane-body");
        body.getStyleClass().add("tab-body");
        getChildren().add(Wrap.tall(body));
        bench.workedProperty().addListener((_, _, _) -> refresh());
        bench.lengthUnitProperty().addListener((_, _, _) -> refresh());
        visibleProperty().addListener((_, _, _) -> refresh());
    }

    /** To be called by the subclass once it is made, and whenever what it shows has changed. */
    final void refresh() {
        if (!isVisible()) {
            return;
        }
        body.getChildren().clear();
        bench.workedProperty().get().ifPresent(w -> {
            if (w.now().column().isEmpty()) {
                add(Wrap.text("This job has no column yet.", "hint"));
            } else {
                show(w);
            }
        });
    }

    /** Adds everything to the empty pane; the job has a column. */
    abstract void show(Worked worked);

    final void add(Node node) {
        body.getChildren().add(node);
    }

    final void head(String text) {
        Label l = new Label(text);
        l.getStyleClass().add("sub-head");
        add(l);
    }

    final void say(String text) {
        add(Wrap.text(text, "step"));
    }

    final void say(String text, Quantity... figures) {
        say(Phrase.of(text, figures).text(bench.lengthUnit()));
    }

    final void hint(String text) {
        add(Wrap.text(text, "hint"));
    }

    final Button button(String text, String id, Runnable run) {
        Button b = new Button(text);
        b.setId(id);
        b.setWrapText(true);
        b.setMaxWidth(Double.MAX_VALUE);
        b.setOnAction(_ -> run.run());
        add(b);
        return b;
    }

    final void change(String text, String id, String change, UnaryOperator<Job> edit) {
        button(text, id, () -> bench.edit(change, edit));
    }

    final String text(Quantity q) {
        return q.text(bench.lengthUnit());
    }

    /** A table: the first column takes what room there is, the others stand to the right. */
    final void table(List<String> heads, List<List<String>> rows) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("facts-grid");
        for (int i = 0; i < heads.size(); i++) {
            ColumnConstraints c = new ColumnConstraints();
            c.setHalignment(i == 0 ? HPos.LEFT : HPos.RIGHT);
            c.setHgrow(i == 0 ? Priority.ALWAYS : Priority.NEVER);
            grid.getColumnConstraints().add(c);
            Label head = Wrap.text(heads.get(i), "hint");
            grid.add(head, i, 0);
        }
        for (int r = 0; r < rows.size(); r++) {
            for (int i = 0; i < heads.size(); i++) {
                Label cell = i == 0 ? Wrap.text(rows.get(r).get(i), "facts-name") : new Label(rows.get(r).get(i));
                if (i > 0) {
                    cell.getStyleClass().add("facts-figure");
                    cell.setMinWidth(USE_PREF_SIZE);
                }
                grid.add(cell, i, r + 1);
            }
        }
        add(grid);
    }
}
