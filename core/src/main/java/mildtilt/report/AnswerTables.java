package mildtilt.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.clearance.FreeSpace;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.obstacle.Obstacle;
import mildtilt.routes.Route;
import mildtilt.routes.RouteAnswer;
import mildtilt.uncertainty.UncertaintyReport;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What the command line's larger answers are to one who reads them. */
public final class AnswerTables {

    private AnswerTables() {}

    /** What stands against a job, worst first, and every figure it has. */
    public static List<Table> analysis(Analysis a, LengthUnit unit) {
        return List.of(
                findings(a, unit),
                FigureTables.sideBySide(
                        "figures", "Figures", List.of(new FigureTables.Column("plan", "The plan", a.headlines()))));
    }

    private static Table findings(Analysis a, LengthUnit unit) {
        return new Table(
                "findings",
                "Findings",
                List.of("severity", "finding", "what", "why", "what_would_help"),
                List.of("It is", "Finding", "What", "Why", "What would help"),
                a.findings().stream()
                        .sorted(Comparator.comparing(Finding::severity).reversed())
                        .map(f -> List.of(
                                Cell.of(f.severity().label()),
                                Cell.of(f.headline(a.job())),
                                Cell.of(f.what()),
                                Cell.of(f.why()),
                                Cell.of(f.remedies().stream()
                                        .map(Remedy::action)
                                        .map(p -> p.text(unit))
                                        .collect(Collectors.joining("; or ")))))
                        .toList());
    }

    /** How sure each figure is, and what to measure again first. */
    public static List<Table> uncertainty(UncertaintyReport report) {
        List<List<Cell>> rows = new ArrayList<>();
        report.figures()
                .forEach((h, f) -> rows.add(List.of(
                        Cell.of(h.label()),
                        of(h, f.plan()),
                        of(h, f.spread()),
                        of(h, f.least()),
                        of(h, f.most()),
                        Cell.of(h.key()))));
        return List.of(
                new Table(
                        "uncertainty",
                        "How sure each figure is",
                        List.of("label", "plan", "spread", "five_pct_below", "five_pct_above", "figure"),
                        List.of("Figure", "The plan", "±", "5 % below", "5 % above", "Key"),
                        rows),
                new Table(
                        "measure-again",
                        "What to measure once more, what helps most first",
                        List.of("what", "helps_most"),
                        List.of("Measure", "Helps most"),
                        report.again().stream()
                                .map(again -> List.of(
                                        Cell.of(again.what()),
                                        Cell.of(again.gains().stream()
                                                .limit(3)
                                                .map(g -> g.headline().label() + " by "
                                                        + Quantity.percent(100 * g.part())
                                                                .text(LengthUnit.MM))
                                                .collect(Collectors.joining(", ")))))
                                .toList()));
    }

    private static Cell of(Headline h, double value) {
        return Cell.of(new Quantity(value, h.unit()));
    }

    /** The routes that were found; why there is none where there is none. */
    public static List<Table> routes(RouteAnswer answer, LengthUnit unit) {
        List<List<Cell>> rows = new ArrayList<>();
        for (Route r : answer.routes()) {
            rows.add(List.of(
                    Cell.of(String.join(", ", r.why())),
                    Cell.of(r.joints()),
                    Cell.of(Quantity.angle(r.widestDeg())),
                    Cell.of(Quantity.percent(r.ripplePct())),
                    Cell.of(r.spareGap().map(Quantity::length)),
                    Cell.of(Quantity.length(r.stroke())),
                    Cell.of(Quantity.length(r.length())),
                    Cell.of(joined(r.bearings(), unit)),
                    Cell.of(joined(r.toGet(), unit))));
        }
        return List.of(
                new Table(
                        "routes",
                        "Routes",
                        List.of(
                                "offered_for",
                                "joints",
                                "widest_joint_deg",
                                "ripple_pct",
                                "spare_gap_mm",
                                "free_stroke_mm",
                                "shafts_mm",
                                "besides",
                                "to_get"),
                        List.of(
                                "Offered for",
                                "Joints",
                                "Widest joint",
                                "Ripple",
                                "Gap to spare",
                                "Free stroke",
                                "Shafts",
                                "Besides",
                                "To get"),
                        rows),
                new Table(
                        "blocked-by",
                        "What keeps the nearest miss from being one",
                        List.of("why"),
                        List.of("Why"),
                        answer.blocked().stream()
                                .map(b -> List.<Cell>of(Cell.of(b)))
                                .toList()));
    }

    private static String joined(List<Phrase> all, LengthUnit unit) {
        return all.stream().map(p -> p.text(unit)).collect(Collectors.joining("; "));
    }

    /** How far each thing may go either way, and where it is free. */
    public static List<Table> rooms(Map<Obstacle, FreeSpace> rooms) {
        List<List<Cell>> ways = new ArrayList<>();
        List<List<Cell>> places = new ArrayList<>();
        rooms.forEach((thing, space) -> {
            for (FreeSpace.Way w : FreeSpace.Way.values()) {
                ways.add(List.of(
                        Cell.of(thing.name()),
                        Cell.of(space.isFree() ? "free" : "too near"),
                        Cell.of(w.label()),
                        Cell.of(Quantity.length(space.way(w).mm())),
                        Cell.of(space.way(w).endsAt().orElse(""))));
            }
            space.places()
                    .forEach(p -> places.add(List.of(
                            Cell.of(thing.name()),
                            Cell.of(Quantity.length(p.shift().x())),
                            Cell.of(Quantity.length(p.shift().y())),
                            Cell.of(Quantity.length(p.shift().z())),
                            Cell.of(Quantity.length(p.mm())))));
        });
        return List.of(
                new Table(
                        "room",
                        "How far it may go",
                        List.of("thing", "it", "way", "mm", "ends_at"),
                        List.of("Thing", "It is", "Way", "As far as", "Ended by"),
                        ways),
                new Table(
                        "free-places",
                        "The nearest free places, from where it is",
                        List.of("thing", "ahead_mm", "left_mm", "up_mm", "in_all_mm"),
                        List.of("Thing", "Ahead", "To the left", "Up", "In all"),
                        places));
    }
}
