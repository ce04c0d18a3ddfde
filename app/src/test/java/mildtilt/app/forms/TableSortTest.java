package mildtilt.app.forms;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import org.junit.jupiter.api.Test;

/** Sorting and copying of the tables, without a window. */
class TableSortTest {

    private static final Optional<TablePane.Sort> BY_LENGTH = Optional.of(new TablePane.Sort("length_mm", false));

    private static Table table(List<List<Cell>> rows) {
        return new Table("pieces", "Pieces", List.of("name", "length_mm"), List.of("Name", "Length"), rows);
    }

    private static List<Cell> row(String name, double mm) {
        return List.of(Cell.of(name), Cell.of(Quantity.length(mm)));
    }

    private static List<String> names(List<List<Cell>> rows) {
        return rows.stream().map(r -> r.getFirst().text(LengthUnit.MM)).toList();
    }

    @Test
    void pressingAHeadSortsRisingThenFallingThenAsMade() {
        Optional<TablePane.Sort> once = TablePane.Sort.pressed(Optional.empty(), "name");
        Optional<TablePane.Sort> twice = TablePane.Sort.pressed(once, "name");
        assertThat(once).contains(new TablePane.Sort("name", false));
        assertThat(twice).contains(new TablePane.Sort("name", true));
        assertThat(TablePane.Sort.pressed(twice, "name")).isEmpty();
        assertThat(TablePane.Sort.pressed(twice, "length_mm")).isEqualTo(BY_LENGTH);
    }

    @Test
    void lengthsSortByValueInEveryUnitAndWordsComeAfterThem() {
        Table t = table(List.of(
                row("nine", 9), row("hundred", 100), row("twenty", 20), List.of(Cell.of("none"), Cell.of("not cut"))));
        assertThat(names(TablePane.rows(t, BY_LENGTH))).containsExactly("nine", "twenty", "hundred", "none");
        assertThat(names(TablePane.rows(t, Optional.of(new TablePane.Sort("length_mm", true)))))
                .containsExactly("none", "hundred", "twenty", "nine");
        assertThat(names(TablePane.rows(t, Optional.of(new TablePane.Sort("name", false)))))
                .containsExactly("hundred", "nine", "none", "twenty");
        assertThat(names(TablePane.rows(t, Optional.empty()))).containsExactly("nine", "hundred", "twenty", "none");
        // A column that this table lacks, such as one remembered from another table.
        assertThat(names(TablePane.rows(t, Optional.of(new TablePane.Sort("price", false)))))
                .containsExactly("nine", "hundred", "twenty", "none");
    }

    @Test
    void sortingKeepsEveryRowAndTheOrderOfEquals() {
        Random r = new Random(4);
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = 0; i < 300; i++) {
            rows.add(row("p" + i, r.nextInt(12)));
        }
        List<List<Cell>> sorted = TablePane.rows(table(rows), BY_LENGTH);
        assertThat(sorted).containsExactlyInAnyOrderElementsOf(rows);
        for (int i = 1; i < sorted.size(); i++) {
            double before = length(sorted.get(i - 1));
            double now = length(sorted.get(i));
            assertThat(now).isGreaterThanOrEqualTo(before);
            if (now == before) {
                assertThat(rows.indexOf(sorted.get(i))).isGreaterThan(rows.indexOf(sorted.get(i - 1)));
            }
        }
    }

    private static double length(List<Cell> row) {
        return ((Number) row.get(1).raw()).doubleValue();
    }

    @Test
    void copiedTextHasOneLineARowAndOneTabAColumn() {
        Table t = table(
                List.of(List.of(Cell.of("two\tparts\nof one"), Cell.of(Quantity.length(25.4))), row("stay", 50.8)));
        assertThat(TablePane.text(t, Optional.of(new TablePane.Sort("length_mm", true)), LengthUnit.INCH)
                        .lines())
                .hasSize(3)
                .allMatch(l -> l.chars().filter(c -> c == '\t').count() == 1)
                .first()
                .isEqualTo("Name\tLength");
        assertThat(TablePane.text(t, BY_LENGTH, LengthUnit.INCH))
                .contains("two parts of one\t1.000")
                .endsWith("\n");
    }
}
