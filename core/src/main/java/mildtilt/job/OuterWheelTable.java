package mildtilt.job;

import java.util.List;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * Wanted angles of the outer wheel at given angles of the inner wheel, in between along straight lines.
 *
 * @param rows from the smallest inner angle to the largest
 * @param toleranceDeg how far the outer wheel may be off, degrees
 */
public record OuterWheelTable(List<Row> rows, double toleranceDeg) {

    /** Both in degrees, counted from straight ahead into the turn. */
    public record Row(double innerDeg, double outerDeg) {}

    /** @throws ImpossibleGeometryException naming what can't be */
    public OuterWheelTable {
        rows = List.copyOf(rows);
        if (rows.isEmpty()) {
            throw new ImpossibleGeometryException("The table of wanted outer angles has no rows.");
        }
        for (int i = 0; i < rows.size(); i++) {
            if (!(rows.get(i).innerDeg > (i == 0 ? 0 : rows.get(i - 1).innerDeg))) {
                throw new ImpossibleGeometryException(
                        "The inner angles of the table must rise from row to row, from above 0.");
            }
        }
        if (!(toleranceDeg > 0)) {
            throw new ImpossibleGeometryException("The table's tolerance must be above 0.");
        }
    }

    /** The outer angle wanted at an inner angle, degrees; from 0 at straight ahead, beyond the last row as there. */
    public double outerAt(double innerDeg) {
        Row before = new Row(0, 0);
        for (Row r : rows) {
            if (innerDeg <= r.innerDeg) {
                return before.outerDeg
                        + (r.outerDeg - before.outerDeg)
                                * (innerDeg - before.innerDeg)
                                / (r.innerDeg - before.innerDeg);
            }
            before = r;
        }
        return before.outerDeg + (innerDeg - before.innerDeg);
    }
}
