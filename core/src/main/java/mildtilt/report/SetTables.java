package mildtilt.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.job.TrialLog;
import mildtilt.shop.ClassFigures;
import mildtilt.shop.FixtureFigures;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.compare.AgainstPlan;
import mildtilt.trials.compare.MeasurementTask;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** Several vehicles from one plan: the fixture, what is checked on each, and the class they must keep to. */
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

    /** What is measured on each vehicle, with what the plan says and how far it may be off. */
    public static Table checks(Analysis a) {
        Names names = Names.of(a.job());
        List<List<Cell>> rows = new ArrayList<>();
        for (MeasurementTask t : MeasurementTask.of(a, Setup.RAISED)) {
            if (t.what() instanceof MeasurementTask.One one) {
                Measurand m = one.gauge();
                AgainstPlan.planned(m, a).ifPresent(plan -> rows.add(row(t, m, plan, a, names)));
            }
        }
        return new Table(
                "check-sheet",
                "Check sheet for each vehicle",
                List.of("round", "what", "unit", "plan", "least", "most"),
                List.of("Round", "What", "Unit", "Plan", "Least", "Most"),
                rows);
    }

    private static List<Cell> row(MeasurementTask t, Measurand m, double plan, Analysis a, Names names) {
        double tolerance = a.job().log().tolerances().of(m);
        Optional<Double> limit = AgainstPlan.limit(m, a);
        boolean gap = m instanceof Measurand.Gap;
        boolean fromAbove = m instanceof Measurand.RimForce || m instanceof Measurand.RimPlay;
        // Never past what the part or the gap allows, however near the plan is to it.
        double least = gap ? Math.max(plan - tolerance, limit.orElse(plan - tolerance)) : plan - tolerance;
        double most = gap ? plan : Math.min(plan + tolerance, limit.orElse(plan + tolerance));
        return List.of(
                Cell.of(t.round().label()),
                Cell.of(t.title(names)),
                Cell.of(unit(m.unit())),
                Cell.of(new Quantity(plan, m.unit())),
                Cell.of(fromAbove ? Optional.empty() : Optional.of(new Quantity(least, m.unit()))),
                Cell.of(gap ? Optional.empty() : Optional.of(new Quantity(most, m.unit()))));
    }

    private static String unit(Unit u) {
        return switch (u) {
            case ANGLE -> "deg";
            case TURNS -> "turns";
            case FORCE -> "N";
            default -> "mm";
        };
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
