package mildtilt.io.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import mildtilt.io.JsonTree;
import mildtilt.report.Cell;
import mildtilt.report.Table;

/** Tables as JSON: what a CSV of each would hold, a row an object by the columns' keys. Lengths in mm, angles in °. */
public final class TablesJson {

    private TablesJson() {}

    public static String write(List<Table> tables) {
        ObjectNode o = JsonTree.object();
        o.put("format", "mild-tilt-tables");
        o.put("version", 1);
        ObjectNode all = o.putObject("tables");
        for (Table t : tables) {
            ArrayNode rows = all.withArray(t.file());
            for (List<Cell> r : t.rows()) {
                ObjectNode row = rows.addObject();
                for (int i = 0; i < r.size(); i++) {
                    put(row, t.keys().get(i), r.get(i).raw());
                }
            }
        }
        return JsonTree.print(o);
    }

    private static void put(ObjectNode row, String key, Object raw) {
        switch (raw) {
            case Double d -> JsonTree.number(row, key, d);
            case Long n -> row.put(key, n);
            case String s when s.isBlank() -> row.putNull(key);
            default -> row.put(key, raw.toString().strip());
        }
    }
}
