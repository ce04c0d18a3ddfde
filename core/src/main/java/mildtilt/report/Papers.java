package mildtilt.report;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.analysis.Analysis;
import mildtilt.arms.ArmFigures;
import mildtilt.build.AsFound;
import mildtilt.build.RodMakeUp;
import mildtilt.build.Workshop;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts;
import mildtilt.runsheet.Buying;
import mildtilt.runsheet.Buying.Wanted;
import mildtilt.runsheet.HeatVerdict;
import mildtilt.runsheet.RunSheet;
import mildtilt.runsheet.StepList;
import mildtilt.shop.CutList;
import mildtilt.shop.CutList.PlateLine;
import mildtilt.shop.Fits;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.shop.StockPlan;
import mildtilt.shop.StopFigures;
import mildtilt.template.FlatPattern;
import mildtilt.template.Templates;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * All that the bench needs of one job.
 *
 * @param heat of each weld record, in their order
 */
public record Papers(
        Analysis analysis,
        CutList cuts,
        StockPlan stock,
        List<RodFigures> rods,
        List<RackRodFigures> rackRods,
        StopFigures stops,
        List<JoinFigures> joins,
        List<FoundFigures> found,
        List<ArmFigures> arms,
        List<Fits.Fit> fits,
        Templates templates,
        MachinedParts machined,
        RunSheet run,
        Buying buying,
        List<HeatVerdict> heat) {

    private static final double STEEL_PER_MM3 = 7.85e-6;

    /** @param today for what is late to be ordered */
    public static Papers of(Analysis analysis, LocalDate today) {
        Job job = analysis.job();
        Workshop shop = job.making().workshop();
        List<RodFigures> rods = RodFigures.of(job, analysis.train().axle());
        List<RackRodFigures> rackRods = RackRodFigures.of(job, analysis.train().axle());
        StopFigures stops = StopFigures.of(job, analysis.train(), analysis.steer());
        List<JoinFigures> joins = JoinFigures.of(job);
        List<FoundFigures> found = FoundFigures.of(job);
        List<ArmFigures> arms = ArmFigures.of(job);
        Templates templates = Templates.of(
                job, analysis.clearance().map(ClearanceFigures::notches).orElse(List.of()));
        MachinedParts machined = MachinedParts.of(job);
        CutList cuts = CutList.of(
                job, analysis.bench(), rods, rackRods, joins, found, machined, plates(templates, shop.sets()));
        StockPlan stock = StockPlan.of(cuts, shop);
        RunSheet run = RunSheet.of(
                StepList.of(new StepList.Basis(
                        job,
                        analysis.bench(),
                        cuts,
                        rods,
                        rackRods,
                        stops,
                        joins,
                        found,
                        arms,
                        machined,
                        analysis.steer(),
                        analysis.clearance().map(ClearanceFigures::notches).orElse(List.of()),
                        analysis.clearance().flatMap(ClearanceFigures::tightest))),
                job.making().plan());
        Buying buying =
                Buying.of(wanted(job, cuts, stock, rods), run, job.making().plan(), today);
        return new Papers(
                analysis,
                cuts,
                stock,
                rods,
                rackRods,
                stops,
                joins,
                found,
                arms,
                Fits.of(job, analysis.catalogue()),
                templates,
                machined,
                run,
                buying,
                job.making().welds().stream().map(HeatVerdict::of).toList());
    }

    private static List<PlateLine> plates(Templates templates, int sets) {
        List<PlateLine> all = new ArrayList<>();
        for (FlatPattern p : templates.patterns()) {
            p.thickness()
                    .ifPresent(t ->
                            all.add(new PlateLine(p.name(), t, "by its template", sets, p.area() * t * STEEL_PER_MM3)));
        }
        return all;
    }

    private static List<Wanted> wanted(Job job, CutList cuts, StockPlan stock, List<RodFigures> rods) {
        int sets = job.making().workshop().sets();
        List<Wanted> all = new ArrayList<>();
        job.column().ifPresent(c -> column(c, job.making().asFound(), sets, all));
        Map<String, Wanted> ends = new TreeMap<>();
        Map<String, Wanted> nuts = new TreeMap<>();
        for (RodFigures r : rods) {
            for (boolean outer : new boolean[] {true, false}) {
                RodMakeUp.End e = r.makeUp().end(outer);
                // The same end in several places is bought under the first of them.
                more(ends, e.part().name(), Id.of(r.rod()).part(outer ? "outer" : "inner"), sets, "rods");
                if (e.jamNut() > 0) {
                    more(
                            nuts,
                            "Jam nut " + e.part().thread().label(),
                            PurchaseIds.jamNut(e.part().thread()),
                            sets,
                            "rods");
                }
            }
        }
        all.addAll(ends.values());
        all.addAll(nuts.values());
        Map<String, Wanted> bars = new TreeMap<>();
        for (StockPlan.Bar b : stock.bars()) {
            if (!b.onHand()) {
                Phrase what = Phrase.of(b.metal().label() + " ")
                        .then(CutList.text(b.section()))
                        .then(Phrase.of(", {0} long", Quantity.length(b.length())));
                Id key = PurchaseIds.bar(b.metal(), b.section(), b.length());
                bars.merge(
                        what.text(LengthUnit.MM),
                        new Wanted(key, what, 1, "", "cut"),
                        (x, y) -> new Wanted(key, what, x.count() + 1, "", "cut"));
            }
        }
        all.addAll(bars.values());
        Map<Double, Double> plates = new TreeMap<>();
        cuts.plates().forEach(p -> plates.merge(p.thickness(), p.massEach() * p.count(), Double::sum));
        plates.forEach((t, kg) -> all.add(new Wanted(
                PurchaseIds.plate(t),
                Phrase.of("Plate {0}, {1} of it net", Quantity.length(t), Quantity.mass(kg)),
                1,
                "",
                "plates")));
        return all;
    }

    private static void more(Map<String, Wanted> all, String name, Id key, int count, String step) {
        all.merge(
                name,
                new Wanted(key, Phrase.plain(name), count, "", step),
                (x, _) -> new Wanted(x.key(), x.what(), x.count() + count, "", step));
    }

    private static void column(Column c, AsFound found, int sets, List<Wanted> all) {
        c.joints()
                .forEach(j -> all.add(new Wanted(
                        j.id(),
                        Phrase.of(Phrase.name(j.name()) + ", " + j.kind().label()),
                        sets,
                        "",
                        "mock")));
        c.shafts().stream()
                .filter(s -> !s.toCut() && found.shaft(s.id()).isEmpty())
                .forEach(s -> all.add(
                        new Wanted(s.id(), Phrase.of(Phrase.name(s.name()) + ", as it comes"), sets, "", "mock")));
        c.shafts().stream()
                .filter(s -> s.toCut()
                        && s.slide().isPresent()
                        && found.shaft(s.id()).isEmpty())
                .forEach(s -> all.add(new Wanted(
                        s.id().part("pair"),
                        Phrase.of(Phrase.name(s.name()) + ": a sliding pair for Ø {0}", Quantity.length(s.diameter())),
                        sets,
                        "",
                        "cut")));
        for (Bearing b : c.bearings()) {
            all.add(new Wanted(
                    b.id(),
                    Phrase.of(Phrase.name(b.name()) + ", " + b.kind().label() + " {0}", Quantity.fine(b.bore())),
                    sets,
                    "",
                    "mounts"));
        }
    }

    /** A table of each kind that has anything in it. */
    public List<Table> tables() {
        return Tables.of(this);
    }

    public Optional<Table> table(String file) {
        return tables().stream().filter(t -> t.file().equals(file)).findFirst();
    }
}
