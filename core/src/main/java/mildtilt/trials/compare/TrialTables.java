package mildtilt.trials.compare;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.job.BuiltVehicle;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.trials.Inspection;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;
import mildtilt.units.Unit;

/** What trials came to, as tables for screen, paper and CSV. */
public final class TrialTables {

    private TrialTables() {}

    /** Everything of one trial that has rows. */
    public static List<Table> of(String vehicle, TrialFigures f) {
        String name = f.trial().sheet().name();
        return List.of(
                        figures(vehicle, f),
                        wall(vehicle, f),
                        plates(vehicle, f),
                        runOut(vehicle, f),
                        verdicts(vehicle, f))
                .stream()
                .filter(t -> !t.rows().isEmpty())
                .map(t -> new Table(t.file(), t.title() + ": " + vehicle + ", " + name, t.keys(), t.heads(), t.rows()))
                .toList();
    }

    public static Table figures(String vehicle, TrialFigures f) {
        List<List<Cell>> rows = new ArrayList<>();
        for (AgainstPlan p : f.figures()) {
            rows.add(List.of(
                    Cell.of(vehicle),
                    Cell.of(f.trial().sheet().name()),
                    Cell.of(p.read().what().label(f.names())),
                    quantity(p, p.planned()),
                    quantity(p, Optional.of(p.read().value())),
                    quantity(p, Optional.of(p.read().spread())),
                    Cell.of(p.off()),
                    quantity(p, Optional.of(p.tolerance())),
                    Cell.of(p.state().label()),
                    Cell.of(p.read().by()),
                    Cell.of(unit(p.read().what().unit()))));
        }
        return new Table(
                "trial-figures",
                "Planned against measured",
                List.of(
                        "vehicle",
                        "trial",
                        "what",
                        "planned",
                        "read",
                        "spread",
                        "off",
                        "tolerance",
                        "state",
                        "by",
                        "unit"),
                List.of(
                        "Vehicle",
                        "Trial",
                        "What",
                        "Planned",
                        "Read",
                        "±",
                        "Off by",
                        "May be",
                        "",
                        "Read by",
                        "Unit in CSV"),
                rows);
    }

    private static Cell quantity(AgainstPlan p, Optional<Double> value) {
        return Cell.of(value.map(v -> new Quantity(v, p.read().what().unit())));
    }

    /** What a CSV's figures of a row are in. */
    private static String unit(Unit u) {
        return switch (u) {
            case LENGTH, FINE_LENGTH -> "mm";
            case ANGLE -> "deg";
            case TURNS -> "turns";
            case FORCE -> "N";
            default -> throw new IllegalArgumentException("no gauge reads " + u);
        };
    }

    public static Table wall(String vehicle, TrialFigures f) {
        List<List<Cell>> rows = new ArrayList<>();
        for (WallTrace t : f.traces()) {
            for (WallTrace.ToePoint p : t.points()) {
                rows.add(List.of(
                        Cell.of(vehicle),
                        Cell.of(f.trial().sheet().name()),
                        Cell.of(t.wheel().label()),
                        Cell.of(Quantity.length(p.travel())),
                        Cell.of(Quantity.angle(p.toeIn())),
                        Cell.of(Quantity.angle(p.sd())),
                        Cell.of(Quantity.angle(p.planned())),
                        Cell.of(Quantity.angle(p.toeIn() - p.planned()))));
            }
        }
        return new Table(
                "trial-wall-trace",
                "Wall trace: toe-in from ride height",
                List.of("vehicle", "trial", "wheel", "travel_mm", "toe_in_deg", "spread_deg", "planned_deg", "off_deg"),
                List.of("Vehicle", "Trial", "Wheel", "Travel", "Toe-in read", "±", "Planned", "Off by"),
                rows);
    }

    public static Table plates(String vehicle, TrialFigures f) {
        List<List<Cell>> rows = new ArrayList<>();
        for (PlateAngles.Row r : f.plates()) {
            rows.add(List.of(
                    Cell.of(vehicle),
                    Cell.of(f.trial().sheet().name()),
                    Cell.of(r.read().way().label()),
                    Cell.of(Quantity.angle(r.read().inner())),
                    Cell.of(Quantity.angle(r.read().outer())),
                    Cell.of(r.planned().map(Quantity::angle)),
                    Cell.of(r.off().map(Quantity::angle)),
                    Cell.of(r.ideal().map(Quantity::angle)),
                    Cell.of(r.wanted().map(Quantity::angle)),
                    Cell.of(r.ackermannPct().map(Quantity::percent))));
        }
        return new Table(
                "trial-turn-plates",
                "Turn plates",
                List.of(
                        "vehicle",
                        "trial",
                        "turned",
                        "inner_deg",
                        "outer_deg",
                        "planned_outer_deg",
                        "off_deg",
                        "true_ackermann_outer_deg",
                        "wanted_outer_deg",
                        "ackermann_pct"),
                List.of(
                        "Vehicle",
                        "Trial",
                        "Turned",
                        "Inner read",
                        "Outer read",
                        "Outer planned",
                        "Off by",
                        "Outer, true Ackermann",
                        "Outer wanted",
                        "Ackermann read"),
                rows);
    }

    public static Table runOut(String vehicle, TrialFigures f) {
        List<List<Cell>> rows = new ArrayList<>();
        for (RunOutFit r : f.runOuts()) {
            for (RunOutFit.Station s : r.stations()) {
                rows.add(List.of(
                        Cell.of(vehicle),
                        Cell.of(f.trial().sheet().name()),
                        Cell.of(f.names().apply(r.shaft())),
                        Cell.of(Quantity.length(s.along())),
                        Cell.of(Quantity.fine(s.reading())),
                        Cell.of(Quantity.fine(s.off())),
                        Cell.of(Quantity.angle(s.highDeg())),
                        Cell.of(Quantity.fine(s.oval()))));
            }
        }
        return new Table(
                "trial-run-out",
                "Run-out",
                List.of(
                        "vehicle",
                        "trial",
                        "shaft",
                        "along_mm",
                        "dial_mm",
                        "off_axis_mm",
                        "high_at_deg",
                        "out_of_round_mm"),
                List.of("Vehicle", "Trial", "Shaft", "Along", "Dial reads", "Off its axis", "High at", "Out of round"),
                rows);
    }

    /** What the dial says of each shaft, in words. */
    public static Table verdicts(String vehicle, TrialFigures f) {
        List<List<Cell>> rows = new ArrayList<>();
        for (RunOutFit r : f.runOuts()) {
            verdict(rows, vehicle, f, r, "", Phrase.of(r.verdict().label()));
            r.bend().ifPresent(b -> verdict(rows, vehicle, f, r, "", b.text()));
            r.bearings().forEach(b -> verdict(rows, vehicle, f, r, b.tooMuch() ? "too much" : "within", b.text()));
        }
        return new Table(
                "trial-run-out-verdict",
                "Run-out: what it says",
                List.of("vehicle", "trial", "shaft", "state", "what"),
                List.of("Vehicle", "Trial", "Shaft", "", "What the dial says"),
                rows);
    }

    private static void verdict(
            List<List<Cell>> rows, String vehicle, TrialFigures f, RunOutFit r, String state, Phrase what) {
        rows.add(List.of(
                Cell.of(vehicle),
                Cell.of(f.trial().sheet().name()),
                Cell.of(f.names().apply(r.shaft())),
                Cell.of(state),
                Cell.of(what)));
    }

    public static Table inspection(BuiltVehicle vehicle, Analysis analysis) {
        List<List<Cell>> rows = new ArrayList<>();
        for (InspectionList.Item i : InspectionList.of(analysis, vehicle.inspection())) {
            Optional<Inspection.Tick> t = vehicle.inspection().tick(i.id());
            rows.add(List.of(
                    Cell.of(i.group().label()),
                    Cell.of(i.what()),
                    Cell.of(t.map(x -> x.found() ? "passed" : "FAILED").orElse("open")),
                    Cell.of(t.map(Inspection.Tick::by).orElse("")),
                    Cell.day(t.map(Inspection.Tick::day)),
                    Cell.of(t.map(Inspection.Tick::note).orElse(""))));
        }
        return new Table(
                "inspection",
                "Inspection: " + vehicle.name(),
                List.of("group", "what", "found", "by", "day", "note"),
                List.of("", "Looked at", "Found", "By", "Day", "Note"),
                rows);
    }

    /** A line for a sheet that is signed. */
    public static Phrase signed(BuiltVehicle vehicle, List<InspectionList.Item> items) {
        long open = items.stream()
                .filter(i -> vehicle.inspection().tick(i.id()).isEmpty() && i.group() != InspectionList.Group.AGAIN)
                .count();
        long wrong = items.stream()
                .filter(i -> vehicle.inspection()
                        .tick(i.id())
                        .filter(t -> !t.found())
                        .isPresent())
                .count();
        Optional<LocalDate> driven = vehicle.inspection().driven();
        return Phrase.of((wrong > 0 ? wrong + (wrong == 1 ? " item" : " items") + " failed: do not drive. " : "")
                + (open > 0
                        ? open + (open == 1 ? " item is" : " items are") + " still open before the first drive. "
                        : wrong == 0 ? "Every item before the first drive is ticked. " : "")
                + driven.map(d -> "First driven on " + d + ".").orElse("Not driven yet."));
    }
}
