package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.TrialLog;
import mildtilt.shop.ClassFigures;
import mildtilt.shop.FixtureFigures;
import mildtilt.units.Quantity;

/** Several vehicles from one plan: what they are called, the fixture, and the class they must keep to. */
public final class SetTables {

    private SetTables() {}

    /** What the vehicles of the set are called: as those built already, then by their number. */
    public static List<String> vehicles(Job job) {
        List<BuiltVehicle> built = job.log().vehicles();
        int sets = job.making().workshop().sets();
        // The one that every job begins with is not called anything of its own.
        boolean unnamed = sets > 1 && named(built).equals(named(TrialLog.NONE.vehicles()));
        List<String> names = new ArrayList<>(unnamed ? List.of() : named(built));
        while (names.size() < sets) {
            names.add("Vehicle " + (names.size() + 1));
        }
        return names;
    }

    private static List<String> named(List<BuiltVehicle> vehicles) {
        return vehicles.stream().map(BuiltVehicle::name).toList();
    }

    public static Table fixture(Job job) {
        FixtureFigures f = FixtureFigures.of(job);
        List<String> keys = new ArrayList<>(List.of("place", "ahead_mm", "left_mm", "above_table_mm"));
        List<String> heads = new ArrayList<>(List.of("Place", "Ahead of zero", "Left of middle", "Above the table"));
        for (int i = 0; i < f.pins().size(); i++) {
            keys.add("from_" + FixtureFigures.letter(i).toLowerCase(Locale.ROOT) + "_mm");
            heads.add("From " + FixtureFigures.letter(i));
        }
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = 0; i < f.places().size(); i++) {
            FixtureFigures.Place p = f.places().get(i);
            int pin = f.pins().indexOf(i);
            List<Cell> row = new ArrayList<>(List.of(
                    Cell.of((pin < 0 ? "" : FixtureFigures.letter(pin) + ": ") + p.name()),
                    Cell.of(Quantity.length(p.ahead())),
                    Cell.of(Quantity.length(p.left())),
                    Cell.of(Quantity.length(p.above()))));
            p.fromPins().forEach(d -> row.add(Cell.of(Quantity.length(d))));
            rows.add(row);
        }
        return new Table("fixture", "Fixture", keys, heads, rows);
    }

    public static Table classes(Job job) {
        List<List<Cell>> rows = new ArrayList<>();
        for (ClassFigures c : ClassFigures.of(job)) {
            for (ClassFigures.Line l : c.lines()) {
                rows.add(List.of(
                        Cell.of(c.of().name()),
                        Cell.of(l.limit().label()),
                        Cell.of(l.has().map(Quantity::length)),
                        Cell.of(l.least().map(Quantity::length)),
                        Cell.of(Quantity.length(l.most())),
                        Cell.of(l.verdict().label())));
            }
        }
        return new Table(
                "class-limits",
                "Class limits",
                List.of("class", "limit", "has_mm", "least_mm", "most_mm", "verdict"),
                List.of("Class", "Limit", "The vehicle", "Least", "Most", "It is"),
                rows);
    }
}
