package mildtilt.app.forms;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mildtilt.app.controls.Copying;
import mildtilt.app.controls.Wrap;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.units.LengthUnit;

/** Some columns of a paper's table: pressing a head sorts by it, a button copies the rows for a spreadsheet. */
final class TablePane extends VBox {

    private static final double FIRST_COLUMN = 120;
    private static final int LONG = 60;

    /** @param key of the column the rows are sorted by */
    record Sort(String key, boolean falling) {

        /** What pressing a head does: rising, then falling, then as the table was made. */
        static Optional<Sort> pressed(Optional<Sort> now, String key) {
            if (now.filter(s -> s.key.equals(key)).isEmpty()) {
                return Optional.of(new Sort(key, false));
            }
            return now.filter(s -> !s.falling).map(_ -> new Sort(key, true));
        }
    }

    private final Table table;
    private final LengthUnit unit;

    /** @param keys of the columns, as in the CSV; with a plus, others shown small below the first */
    TablePane(
            Table table,
            List<String> keys,
            LengthUnit unit,
            Optional<Sort> sort,
            Consumer<Optional<Sort>> sorted,
            Consumer<String> say) {
        super(2);
        this.table = table;
        this.unit = unit;
        GridPane grid = new GridPane();
        grid.getStyleClass().addAll("facts-grid", "make-table");
        grid.setId("table-" + table.file());
        List<String> shown = keys.stream()
                .filter(k -> !sameNothing(table.keys().indexOf(k.split("\\+")[0])))
                .toList();
        List<List<Cell>> rows = rows(table, sort);
        for (int c = 0; c < shown.size(); c++) {
            String[] parts = shown.get(c).split("\\+");
            int at = table.keys().indexOf(parts[0]);
            boolean figures = table.figures(at);
            ColumnConstraints cc = new ColumnConstraints();
            cc.setHalignment(figures ? HPos.RIGHT : HPos.LEFT);
            if (!figures) {
                cc.setHgrow(c == 0 ? Priority.ALWAYS : Priority.SOMETIMES);
            }
            if (c == 0) {
                cc.setMinWidth(FIRST_COLUMN);
            }
            grid.getColumnConstraints().add(cc);
            grid.add(head(at, sort, sorted), c, 0);
            for (int r = 0; r < rows.size(); r++) {
                List<Cell> row = rows.get(r);
                Node cell = cell(row.get(at), c == 0);
                if (parts.length > 1) {
                    String below = Arrays.stream(parts)
                            .skip(1)
                            .map(k -> row.get(table.keys().indexOf(k)).text(unit))
                            .filter(x -> !x.isEmpty())
                            .collect(Collectors.joining(" · "));
                    cell = new VBox(cell, Wrap.text(below, "hint"));
                }
                grid.add(cell, c, r + 1);
            }
        }
        Button copy = new Button("Copy table");
        copy.setId("copy-" + table.file());
        copy.getStyleClass().add("where-link");
        copy.setTooltip(new Tooltip("All columns, as shown, to paste into a spreadsheet."));
        copy.setOnAction(_ -> {
            Copying.text(text(table, sort, unit));
            say.accept(table.title() + " copied: " + table.rows().size()
                    + (table.rows().size() == 1 ? " row." : " rows."));
        });
        setAlignment(Pos.TOP_LEFT);
        getChildren().setAll(grid, copy);
    }

    /** A column of figures that are all 0 says nothing. */
    private boolean sameNothing(int column) {
        return table.figures(column)
                && table.rows().stream()
                        .map(r -> r.get(column))
                        .allMatch(c -> c instanceof Cell.Words || c.raw() instanceof Number n && n.doubleValue() == 0);
    }

    /** Sorted as wanted; equals stay in the order they were made. */
    static List<List<Cell>> rows(Table table, Optional<Sort> sort) {
        List<List<Cell>> rows = new ArrayList<>(table.rows());
        sort.filter(s -> table.keys().contains(s.key)).ifPresent(s -> {
            int at = table.keys().indexOf(s.key);
            Comparator<List<Cell>> rising = Comparator.comparing(r -> r.get(at), TablePane::compare);
            rows.sort(s.falling ? Collections.reverseOrder(rising) : rising);
        });
        return rows;
    }

    /** Figures by size, words by the alphabet, figures before words. */
    private static int compare(Cell a, Cell b) {
        return switch (a.raw()) {
            case Number x when b.raw() instanceof Number y -> Double.compare(x.doubleValue(), y.doubleValue());
            case Number _ -> -1;
            default ->
                b.raw() instanceof Number
                        ? 1
                        : String.CASE_INSENSITIVE_ORDER.compare(
                                a.raw().toString(), b.raw().toString());
        };
    }

    /** Columns parted by tabs, as spreadsheets take them. */
    static String text(Table table, Optional<Sort> sort, LengthUnit unit) {
        Stream<String> head = Stream.of(String.join("\t", table.heads()));
        return Stream.concat(head, rows(table, sort).stream().map(r -> r.stream()
                        .map(c -> c.text(unit).replace('\t', ' ').replace('\n', ' '))
                        .collect(Collectors.joining("\t"))))
                .collect(Collectors.joining("\n", "", "\n"));
    }

    private Button head(int column, Optional<Sort> sort, Consumer<Optional<Sort>> sorted) {
        String key = table.keys().get(column);
        Button b = new Button(table.heads().get(column)
                + sort.filter(s -> s.key.equals(key))
                        .map(s -> s.falling ? " ▾" : " ▴")
                        .orElse(""));
        b.setId("sort-" + table.file() + "-" + key.replace('_', '-'));
        b.getStyleClass().add("table-head");
        b.setMinWidth(USE_PREF_SIZE);
        b.setAccessibleText("Sort by " + table.heads().get(column));
        b.setOnAction(_ -> sorted.accept(Sort.pressed(sort, key)));
        return b;
    }

    private Label cell(Cell cell, boolean first) {
        String text = cell.text(unit);
        if (cell.figure()) {
            Label l = new Label(text);
            l.getStyleClass().add("facts-figure");
            l.setMinWidth(USE_PREF_SIZE);
            return l;
        }
        Label l = Wrap.text(text, first ? "facts-name" : "make-words");
        if (text.length() > LONG) {
            l.setTooltip(new Tooltip(text));
        }
        return l;
    }
}
