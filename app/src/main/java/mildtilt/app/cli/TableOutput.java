package mildtilt.app.cli;

import java.util.List;
import java.util.stream.Collectors;
import mildtilt.io.json.TablesJson;
import mildtilt.report.Table;
import mildtilt.report.TextTable;
import mildtilt.units.LengthUnit;
import picocli.CommandLine.Option;

/** How a command prints tables: to be read, or as JSON with the columns' keys. */
final class TableOutput {

    @Option(names = "--json", description = "print JSON instead of text; lengths in mm, angles in degrees, forces in N")
    private boolean json;

    @Option(
            names = "--unit",
            paramLabel = "UNIT",
            description = "lengths of the text in: ${COMPLETION-CANDIDATES} (MM)")
    private LengthUnit unit = LengthUnit.MM;

    void print(List<Table> tables) {
        Main.print(
                json
                        ? TablesJson.write(tables)
                        : tables.stream().map(t -> TextTable.of(t, unit)).collect(Collectors.joining("\n")));
    }
}
