package mildtilt.papers;

import java.util.List;
import java.util.stream.IntStream;

/**
 * @param file its name as a file, without ending
 * @param keys the columns' names in a CSV, with their units
 * @param heads the columns' names for people
 */
public record Table(String file, String title, List<String> keys, List<String> heads, List<List<Cell>> rows) {

    public Table {
        rows = rows.stream().map(List::copyOf).toList();
        if (keys.size() != heads.size() || rows.stream().anyMatch(r -> r.size() != heads.size())) {
            throw new IllegalArgumentException("The rows of \"" + title + "\" are not as wide as its head.");
        }
    }

    /** Whether every cell of a column that says anything is a figure. */
    public boolean figures(int column) {
        return !rows.isEmpty() && IntStream.range(0, rows.size()).mapToObj(r -> rows.get(r).get(column))
                .allMatch(c -> c.figure() || c instanceof Cell.Words w && w.words().isEmpty());
    }
}
