package mildtilt.trials.compare;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.job.Names;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** What is checked on every vehicle that is built to a plan. */
public final class CheckSheet {

    private CheckSheet() {}

    /** What is measured on each vehicle, with what the plan says and how far it may be off. */
    public static Table of(Analysis a) {
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
}
