package mildtilt.report;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mildtilt.build.WeldRecord;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Bearing;
import mildtilt.job.Job;
import mildtilt.runsheet.Buying;
import mildtilt.runsheet.RunSheet;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.CutList;
import mildtilt.shop.Fits;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.ReachedByHeat;
import mildtilt.shop.StockPlan;
import mildtilt.shop.StopFigures;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** The tables of a job's papers. */
final class Tables {

    private Tables() {}

    static List<Table> of(Papers p) {
        List<Table> all = new ArrayList<>(List.of(
                cuts(p.cuts()),
                plates(p.cuts()),
                FoundTable.of(p.found()),
                FoundTable.arms(p.arms()),
                stock(p.stock()),
                joints(p),
                forks(p),
                bearings(p.analysis().job()),
                RodTables.rods(p.rods()),
                RodTables.ends(p.rods()),
                RodTables.rackRods(p.rackRods()),
                RodTables.taps(p.rods()),
                stops(p.stops()),
                fits(p.fits()),
                joins(p.joins()),
                DrawingTable.of(p.machined()),
                SetTables.fixture(p.analysis().job()),
                SetTables.classes(p.analysis().job()),
                run(p.run()),
                buying(p.buying()),
                welds(p),
                readings(p.analysis().job()),
                Table.ofPoints(p.analysis().job()),
                Table.ofChanges(p.analysis().job())));
        all.addAll(ForceTables.of(p.analysis().steer()));
        all.addAll(TravelTables.of(p.analysis().travel()));
        all.removeIf(t -> t.rows().isEmpty());
        return all;
    }

    private static Quantity mm(double v) {
        return Quantity.length(v);
    }

    private static Table cuts(CutList cuts) {
        List<List<Cell>> rows = new ArrayList<>();
        for (CutList.CutLine l : cuts.lines()) {
            rows.add(List.of(
                    Cell.of(l.name()),
                    Cell.of(l.sectionText()),
                    Cell.of(l.material()),
                    Cell.of(mm(l.finished())),
                    Cell.of(mm(l.saw())),
                    Cell.of(l.ends()),
                    Cell.of(mm(l.weldGap())),
                    Cell.of(l.left()),
                    Cell.of(l.right()),
                    Cell.of(l.sets()),
                    Cell.of(l.mass().map(Quantity::mass)),
                    Cell.of(l.note().orElse(Phrase.of("")))));
        }
        return new Table(
                "cut-list",
                "Cut list",
                List.of(
                        "piece",
                        "section",
                        "material",
                        "finished_mm",
                        "saw_mm",
                        "ends",
                        "weld_gap_mm",
                        "left",
                        "right",
                        "sets",
                        "mass_kg",
                        "note"),
                List.of(
                        "Piece",
                        "Section",
                        "Material",
                        "Finished",
                        "Saw to",
                        "Ends",
                        "Weld gap",
                        "Left",
                        "Right",
                        "Sets",
                        "Mass",
                        "Note"),
                rows);
    }

    private static Table plates(CutList cuts) {
        return new Table(
                "plates",
                "Plates",
                List.of("piece", "thickness_mm", "how", "count", "mass_each_kg"),
                List.of("Piece", "Thick", "How", "Count", "Mass each"),
                cuts.plates().stream()
                        .map(p -> List.of(
                                Cell.of(p.name()),
                                Cell.of(mm(p.thickness())),
                                Cell.of(p.ends()),
                                Cell.of(p.count()),
                                Cell.of(Quantity.mass(p.massEach()))))
                        .toList());
    }

    private static Table stock(StockPlan plan) {
        List<List<Cell>> rows = new ArrayList<>();
        plan.alike().forEach((b, alike) -> {
            Map<StockPlan.Cut, Long> cuts =
                    b.cuts().stream().collect(Collectors.groupingBy(c -> c, LinkedHashMap::new, Collectors.counting()));
            Phrase said = Phrase.of("");
            for (Map.Entry<StockPlan.Cut, Long> c : cuts.entrySet()) {
                said = said.then(said.pattern().isEmpty() ? "" : "; ")
                        .then(Phrase.of(
                                (c.getValue() > 1 ? c.getValue() + " × " : "")
                                        + Phrase.name(c.getKey().name()) + " {0}",
                                mm(c.getKey().saw())));
            }
            rows.add(List.of(
                    Cell.of(CutList.text(b.section())),
                    Cell.of(b.metal().label()),
                    Cell.of(b.onHand() ? "on hand" : "to buy"),
                    Cell.of(alike),
                    Cell.of(mm(b.length())),
                    Cell.of(said),
                    Cell.of(mm(b.kerf())),
                    Cell.of(mm(b.rest())),
                    Cell.of(Quantity.percent(100 * b.lostPart())),
                    Cell.of(b.least() ? "least" : "good, not proved least")));
        });
        return new Table(
                "stock-plan",
                "Stock plan",
                List.of(
                        "section",
                        "metal",
                        "bar",
                        "bars",
                        "length_mm",
                        "cuts_in_order",
                        "kerf_mm",
                        "left_over_mm",
                        "lost_and_left_pct",
                        "solve"),
                List.of(
                        "Section",
                        "Metal",
                        "Bar",
                        "Bars",
                        "Length",
                        "Cuts, in order",
                        "Kerf",
                        "Left over",
                        "Lost and left",
                        "Layout"),
                rows);
    }

    private static Table joints(Papers p) {
        return new Table(
                "joints",
                "Joints",
                List.of("joint", "angle_deg", "worst_deg", "limit_deg"),
                List.of("Joint", "Set to", "Worst in use", "Limit"),
                p.analysis().bench().joints().stream()
                        .map(j -> List.of(
                                Cell.of(j.name()),
                                Cell.of(Quantity.angle(j.angleDeg())),
                                Cell.of(Quantity.angle(j.worstDeg())),
                                Cell.of(Quantity.angle(j.limitDeg()))))
                        .toList());
    }

    private static Table forks(Papers p) {
        List<List<Cell>> rows = new ArrayList<>();
        for (BenchSheet.ShaftLine s : p.analysis().bench().shafts()) {
            Optional<ForkMark> m = s.mark();
            rows.add(List.of(
                    Cell.of(s.name()),
                    Cell.of(mm(s.centres())),
                    s.cut().<Cell>map(c -> Cell.of(mm(c))).orElse(Cell.of("as it comes")),
                    Cell.of(m.map(x -> Quantity.angle(Math.abs(x.deg())))),
                    Cell.of(m.map(ForkMark::way).orElse("one fork")),
                    Cell.of(m.map(x -> Quantity.fine(x.arc()))),
                    Cell.of(m.map(x -> mm(x.diameter()))),
                    Cell.of(m.map(ForkMark::teethText).orElse(""))));
        }
        return new Table(
                "shafts",
                "Shafts and forks",
                List.of(
                        "shaft",
                        "between_centres_mm",
                        "cut_mm",
                        "clocking_deg",
                        "seen_from_the_wheel",
                        "arc_mm",
                        "on_diameter_mm",
                        "teeth"),
                List.of(
                        "Shaft",
                        "Between centres",
                        "Cut to",
                        "Clocking",
                        "Seen from the wheel",
                        "Round the shaft",
                        "On Ø",
                        "Teeth"),
                rows);
    }

    private static Table bearings(Job job) {
        List<List<Cell>> rows = new ArrayList<>();
        job.column().ifPresent(c -> {
            for (Bearing b : c.bearings()) {
                rows.add(List.of(
                        Cell.of(b.name()),
                        Cell.of(b.kind().label()),
                        Cell.of(c.shafts().get(b.shaft()).name()),
                        Cell.of(mm(b.along())),
                        Cell.of(Quantity.fine(b.bore())),
                        Cell.of(b.mount().label())));
            }
        });
        return new Table(
                "bearings",
                "Bearings",
                List.of("bearing", "kind", "shaft", "along_mm", "bore_mm", "fixed_to"),
                List.of("Bearing", "Kind", "On", "Along", "Bore", "Fixed to"),
                rows);
    }

    /** Stops, collars, the way back to the middle, straps. */
    private static Table stops(StopFigures s) {
        List<List<Cell>> rows = new ArrayList<>();
        for (StopFigures.Bolt b : s.bolts()) {
            rows.add(stop(
                    "stop of the " + b.side().label() + " knuckle, wheel " + (b.inner() ? "inside" : "outside"),
                    Cell.of(Quantity.angle(b.deg())),
                    Cell.of(mm(b.gap())),
                    Cell.of(b.standsOut().map(Quantity::length)),
                    Cell.of(mm(b.perDeg()))));
        }
        for (StopFigures.End e : s.ends()) {
            rows.add(stop(
                    e.what().label() + ", turned " + e.way().label() + ": moved, and a collar to its end",
                    Cell.of(""),
                    Cell.of(mm(e.moved())),
                    Cell.of(mm(Math.max(0, e.left()))),
                    Cell.of("")));
        }
        s.centre().ifPresent(c -> {
            rows.add(stop(
                    "left inner pivot from the middle, centred",
                    Cell.of(""),
                    Cell.of(mm(c.left())),
                    Cell.of(""),
                    Cell.of("")));
            rows.add(stop(
                    "right inner pivot from the middle, centred",
                    Cell.of(""),
                    Cell.of(mm(c.right())),
                    Cell.of(""),
                    Cell.of("")));
        });
        for (StopFigures.Strap t : s.straps()) {
            rows.add(stop(t.name() + ", taut", Cell.of(""), Cell.of(mm(t.length())), Cell.of(""), Cell.of("")));
        }
        return new Table(
                "stops",
                "Stops, collars and straps",
                List.of("what", "at_deg", "gap_or_length_mm", "stands_out_or_collar_mm", "per_degree_mm"),
                List.of("What", "Acts at", "Gap, or length", "Bolt out, or collar", "For a degree"),
                rows);
    }

    private static List<Cell> stop(String what, Cell... figures) {
        List<Cell> row = new ArrayList<>(List.of(Cell.of(CutList.capital(what))));
        row.addAll(List.of(figures));
        return row;
    }

    private static Table fits(List<Fits.Fit> fits) {
        return new Table(
                "fits",
                "Fits",
                List.of("kind", "part", "into", "sits", "told", "ways_out"),
                List.of("Kind", "Part", "Into", "It", "Sizes", "Ways out"),
                fits.stream()
                        .map(f -> {
                            Phrase ways = Phrase.of("");
                            for (Fits.FitRemedy w : f.ways()) {
                                ways = ways.then(ways.pattern().isEmpty() ? "" : "; or ")
                                        .then(w.action());
                            }
                            return List.of(
                                    Cell.of(f.kind().label()),
                                    Cell.of(f.what()),
                                    Cell.of(f.into()),
                                    Cell.of(f.seating().label()),
                                    Cell.of(f.note()),
                                    Cell.of(ways));
                        })
                        .toList());
    }

    private static Table joins(List<JoinFigures> joins) {
        return new Table(
                "joins",
                "Joins in shafts",
                List.of(
                        "shaft",
                        "along_mm",
                        "how",
                        "rule_set",
                        "carries_pct",
                        "with_butt_weld_pct",
                        "run_out_mm",
                        "run_out_at_bearing_mm",
                        "dimensions",
                        "keep_from_heat",
                        "costs"),
                List.of(
                        "Shaft",
                        "Along",
                        "How",
                        "Rule set",
                        "Carries",
                        "With butt weld",
                        "Run-out",
                        "At a bearing",
                        "Dimensions",
                        "Keep from heat",
                        "Costs"),
                joins.stream()
                        .map(j -> {
                            Phrase dims = Phrase.of("");
                            for (Phrase d : j.dimensions()) {
                                dims = dims.then(dims.pattern().isEmpty() ? "" : " ")
                                        .then(d);
                            }
                            Phrase near = Phrase.of("");
                            for (ReachedByHeat n : j.near()) {
                                near = near.then(near.pattern().isEmpty() ? "" : "; ")
                                        .then(Phrase.of(
                                                Phrase.name(n.name()) + " at {0}: {1}, under {2} from {3} on",
                                                mm(n.away()),
                                                Quantity.temperature(n.peak()),
                                                Quantity.temperature(n.bears()),
                                                mm(n.keep())));
                            }
                            Phrase description = j.noRoom()
                                    .map(why -> Phrase.of("NO ROOM: ").then(why).then(" "))
                                    .orElse(Phrase.of(""))
                                    .then(dims);
                            return List.of(
                                    Cell.of(j.shaftName()),
                                    Cell.of(mm(j.join().along())),
                                    Cell.of(j.join().school().label()),
                                    Cell.of(j.verdict().label()),
                                    Cell.of(Quantity.percent(100 * j.carries())),
                                    Cell.of(Quantity.percent(100 * j.withButt())),
                                    Cell.of(Quantity.fine(j.runOut())),
                                    Cell.of(Quantity.fine(j.runOutAtBearings())),
                                    Cell.of(description),
                                    Cell.of(near),
                                    Cell.of(j.costs()));
                        })
                        .toList());
    }

    private static Table run(RunSheet run) {
        List<List<Cell>> rows = new ArrayList<>();
        int n = 0;
        for (RunSheet.Line l : run.lines()) {
            Phrase measure = Phrase.of("");
            for (Phrase m : l.step().measure()) {
                measure = measure.then(measure.pattern().isEmpty() ? "" : " ").then(m);
            }
            String needs = l.step().needs().stream()
                    .map(x -> run.line(x.key())
                                    .map(y -> "\"" + y.step().title() + "\"")
                                    .orElse(x.key()) + ": " + x.why())
                    .collect(Collectors.joining("; "));
            rows.add(List.of(
                    Cell.of(++n),
                    Cell.of(l.step().title()),
                    Cell.of(l.state().label()),
                    Cell.day(l.mark().done()),
                    Cell.of(l.mark().by()),
                    Cell.of(needs),
                    Cell.of(measure),
                    Cell.of(l.step().tools()),
                    Cell.of(LengthText.trimmed(l.hours(), 1) + " h"
                            + (l.step().waitDays() > 0
                                    ? ", then " + LengthText.trimmed(l.step().waitDays(), 1)
                                            + (l.step().waitDays() == 1 ? " day" : " days") + " of waiting"
                                    : "")),
                    Cell.of(String.join(" ", l.step().cautions())),
                    Cell.of(l.mark().note()),
                    Cell.of(l.step().held()),
                    Cell.of(l.step().proof())));
        }
        return new Table(
                "run-sheet",
                "Order of work",
                List.of(
                        "step",
                        "what",
                        "state",
                        "done",
                        "by",
                        "after_and_why",
                        "measure",
                        "tools",
                        "time",
                        "cautions",
                        "note",
                        "held",
                        "proof"),
                List.of(
                        "No.",
                        "Step",
                        "State",
                        "Done",
                        "By",
                        "After, and why",
                        "Measure",
                        "Tools",
                        "Time",
                        "Cautions",
                        "Note",
                        "Hold",
                        "Proof"),
                rows);
    }

    private static Table buying(Buying b) {
        return new Table(
                "buying",
                "What to buy",
                List.of(
                        "what",
                        "count",
                        "for_step",
                        "price",
                        "lead_days",
                        "latest_day_to_order",
                        "days_late",
                        "ordered",
                        "arrived"),
                List.of("What", "Count", "For", "Price", "Lead days", "Order by", "Days late", "Ordered", "Arrived"),
                b.items().stream()
                        .map(i -> List.of(
                                Cell.of(i.wanted().what()),
                                Cell.of(Math.round(i.wanted().count())),
                                Cell.of(i.stepTitle()),
                                i.purchase().price().<Cell>map(Cell.Money::new).orElse(Cell.of("")),
                                i.purchase()
                                        .leadDays()
                                        .<Cell>map(d -> Cell.of(d))
                                        .orElse(Cell.of("")),
                                Cell.day(i.latest()),
                                i.late() > 0 ? Cell.of(i.late()) : Cell.of(""),
                                Cell.day(i.purchase().ordered()),
                                Cell.day(i.purchase().arrived())))
                        .toList());
    }

    private static Table welds(Papers p) {
        List<List<Cell>> rows = new ArrayList<>();
        List<WeldRecord> welds = p.analysis().job().making().welds();
        for (int i = 0; i < welds.size(); i++) {
            WeldRecord w = welds.get(i);
            Phrase wrong = Phrase.of("");
            for (Phrase x : p.heat().get(i).wrong()) {
                wrong = wrong.then(wrong.pattern().isEmpty() ? "" : " ").then(x);
            }
            rows.add(List.of(
                    Cell.of(w.piece()),
                    Cell.of(w.metal().label()),
                    Cell.of(Quantity.temperature(w.preheat())),
                    Cell.of(p.heat().get(i).hottestBefore().map(Quantity::temperature)),
                    Cell.of(Quantity.temperature(w.mostBetween())),
                    Cell.of(p.heat().get(i).hottestBetween().map(Quantity::temperature)),
                    Cell.of(Math.round(w.coolPerHour())),
                    p.heat()
                            .get(i)
                            .fastestCooling()
                            .<Cell>map(c -> Cell.of(Math.round(c)))
                            .orElse(Cell.of("")),
                    Cell.of(w.filler()),
                    Cell.of(w.weldedBy()),
                    Cell.of(w.inspectedBy()),
                    Cell.day(w.day()),
                    Cell.of(wrong)));
        }
        return new Table(
                "welds",
                "Welding and heat",
                List.of(
                        "piece",
                        "metal",
                        "preheat_wanted_c",
                        "preheat_read_c",
                        "between_most_c",
                        "between_read_c",
                        "cooling_wanted_c_per_h",
                        "cooling_read_c_per_h",
                        "filler",
                        "welded_by",
                        "inspected_by",
                        "day",
                        "not_as_wanted"),
                List.of(
                        "Piece",
                        "Metal",
                        "Preheat wanted",
                        "Read",
                        "Between runs, most",
                        "Read",
                        "Cooling °C/h, most",
                        "Read",
                        "Filler",
                        "Welded by",
                        "Inspected by",
                        "Day",
                        "Not as wanted"),
                rows);
    }

    private static Table readings(Job job) {
        List<List<Cell>> rows = new ArrayList<>();
        job.making().welds().forEach(w -> w.readings()
                .forEach(r -> rows.add(List.of(
                        Cell.of(w.piece()),
                        Cell.of(Math.round(r.minutes())),
                        Cell.of(Quantity.temperature(r.celsius())),
                        Cell.of(r.moment().label())))));
        return new Table(
                "heat-readings",
                "Heat readings",
                List.of("piece", "minutes", "celsius", "moment"),
                List.of("Piece", "Minutes", "Temperature", "When"),
                rows);
    }
}
