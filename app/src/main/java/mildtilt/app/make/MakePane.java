package mildtilt.app.make;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.facts.FormPane;
import mildtilt.app.look.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.app.workbench.Worked;
import mildtilt.making.Making;
import mildtilt.papers.Cell;
import mildtilt.papers.Papers;
import mildtilt.papers.Table;

/** One sheet of the Make stage: told from the papers, made anew when they are. */
abstract class MakePane extends FormPane {

    private static final double FIRST_COLUMN = 120;

    protected final PapersDesk desk;

    MakePane(Workbench bench, PapersDesk desk, String id) {
        super(bench, id);
        this.desk = desk;
        getStyleClass().add("make-sheet");
        desk.papersProperty().addListener((_, _, _) -> refresh());
    }

    /** Adds everything to the empty sheet. */
    protected abstract void show(Papers p);

    @Override
    protected final void show(Worked worked) {
        show(desk.papersProperty().get().orElseThrow());
    }

    @Override
    protected Optional<String> missing(Worked worked) {
        return desk.papersProperty().get().isEmpty() ? Optional.of("Working it out …") : Optional.empty();
    }

    @Override
    protected Object basis(Worked worked) {
        return desk.papersProperty().get().<Object>map(SameOnly::new).orElse("none yet");
    }

    protected final boolean make(String change, UnaryOperator<Making> edit) {
        return bench.edit(change, j -> j.editMaking(edit));
    }

    /** Some columns of one of the papers' tables. @param keys of the columns, as in the CSV; with a plus, others told in small below the first */
    protected final void table(Table t, String... keys) {
        GridPane grid = new GridPane();
        grid.getStyleClass().addAll("facts-grid", "make-table");
        grid.setId("table-" + t.file());
        for (int c = 0; c < keys.length; c++) {
            String[] parts = keys[c].split("\\+");
            int at = t.keys().indexOf(parts[0]);
            boolean figures = t.figures(at);
            ColumnConstraints cc = new ColumnConstraints();
            cc.setHalignment(figures ? HPos.RIGHT : HPos.LEFT);
            if (!figures) {
                cc.setHgrow(c == 0 ? Priority.ALWAYS : Priority.SOMETIMES);
            }
            if (c == 0) {
                cc.setMinWidth(FIRST_COLUMN);
            }
            grid.getColumnConstraints().add(cc);
            Label head = new Label(t.heads().get(at));
            head.getStyleClass().add("hint");
            head.setMinWidth(USE_PREF_SIZE);
            grid.add(head, c, 0);
            for (int r = 0; r < t.rows().size(); r++) {
                List<Cell> row = t.rows().get(r);
                Node cell = cell(row.get(at), c == 0);
                if (parts.length > 1) {
                    String below = Arrays.stream(parts).skip(1).map(k -> row.get(t.keys().indexOf(k)).text(bench.lengthUnit())).filter(x -> !x.isEmpty()).collect(Collectors.joining(" · "));
                    cell = new VBox(cell, Wrap.text(below, "hint"));
                }
                grid.add(cell, c, r + 1);
            }
        }
        add(grid);
    }

    private Label cell(Cell cell, boolean first) {
        String text = cell.text(bench.lengthUnit());
        if (cell.figure()) {
            Label l = new Label(text);
            l.getStyleClass().add("facts-figure");
            l.setMinWidth(USE_PREF_SIZE);
            return l;
        }
        Label l = Wrap.text(text, first ? "facts-name" : "make-words");
        if (text.length() > 60) {
            l.setTooltip(new Tooltip(text));
        }
        return l;
    }
}
