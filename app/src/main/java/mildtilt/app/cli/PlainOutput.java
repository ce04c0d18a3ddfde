package mildtilt.app.cli;

import java.util.List;
import java.util.stream.Collectors;
import mildtilt.report.Table;
import mildtilt.report.TextTable;
import mildtilt.units.LengthUnit;
import picocli.CommandLine.Option;

/** For commands that print JSON: the same as tables to be read. */
final class PlainOutput {

    @Option(names = "--plain", description = "print tables to be read instead of JSON")
    private boolean plain;

    @Option(
            names = "--unit",
            paramLabel = "UNIT",
            description = "lengths of those tables in: ${COMPLETION-CANDIDATES} (MM)")
    private LengthUnit unit = LengthUnit.MM;

    boolean plain() {
        return plain;
    }

    LengthUnit unit() {
        return unit;
    }

    void print(List<Table> tables) {
        Main.print(tables.stream()
                .filter(t -> !t.rows().isEmpty())
                .map(t -> TextTable.of(t, unit))
                .collect(Collectors.joining("\n")));
    }
}
