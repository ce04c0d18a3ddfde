package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.units.LengthUnit;

/**
 * A table as lines of text, in columns of even width: figures to the right, words to the left and no wider than is read
 * with ease. Columns in which nothing stands are left out.
 */
public final class TextTable {

    private static final String BETWEEN = "  ";
    private static final int WIDEST = 64;

    private TextTable() {}

    /** Its title, its heads and its rows; nothing of a table without rows. */
    public static String of(Table table, LengthUnit unit) {
        if (table.rows().isEmpty()) {
            return "";
        }
        List<List<String>> rows = table.rows().stream()
                .map(r -> r.stream().map(c -> c.text(unit)).toList())
                .toList();
        List<Column> columns = IntStream.range(0, table.heads().size())
                .filter(i -> rows.stream().anyMatch(r -> !r.get(i).isEmpty()))
                .mapToObj(i -> Column.of(
                        table.heads().get(i), rows.stream().map(r -> r.get(i)).toList(), table.figures(i)))
                .toList();
        StringBuilder text = new StringBuilder(table.title()).append('\n');
        for (int row = 0; row <= rows.size(); row++) {
            int at = row;
            int lines =
                    columns.stream().mapToInt(c -> c.cells.get(at).size()).max().orElse(1);
            for (int line = 0; line < lines; line++) {
                StringBuilder l = new StringBuilder();
                for (Column c : columns) {
                    l.append(l.isEmpty() ? "" : BETWEEN).append(c.padded(row, line));
                }
                text.append(l.toString().stripTrailing()).append('\n');
            }
        }
        return text.toString();
    }

    /** @param cells each as lines, the head before all others */
    private record Column(List<List<String>> cells, int width, boolean toRight) {

        static Column of(String head, List<String> rows, boolean toRight) {
            List<List<String>> cells = new ArrayList<>(List.of(List.of(head)));
            rows.forEach(r -> cells.add(wrapped(r)));
            int width = cells.stream()
                    .flatMap(List::stream)
                    .mapToInt(TextTable::length)
                    .max()
                    .orElse(0);
            return new Column(cells, width, toRight);
        }

        String padded(int row, int line) {
            List<String> cell = cells.get(row);
            String s = line < cell.size() ? cell.get(line) : "";
            String fill = " ".repeat(width - length(s));
            return toRight ? fill + s : s + fill;
        }
    }

    private static int length(String s) {
        return s.codePointCount(0, s.length());
    }

    private static List<String> wrapped(String s) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : s.strip().split("\\s+")) {
            if (!line.isEmpty() && line.length() + 1 + word.length() > WIDEST) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        lines.add(line.toString());
        return lines;
    }
}
