package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mildtilt.clocking.ForkMark;
import mildtilt.column.Column;
import mildtilt.machined.PartDrawing;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.JoinFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What is sawn and cut, and the shafts that are made of it. */
final class CuttingSteps extends Steps {

    CuttingSteps(StepList.Basis basis, List<RunStep> steps) {
        super(basis, steps);
    }

    void all() {
        cut();
        machined();
        b.job().column().ifPresent(this::shafts);
    }

    private void cut() {
        if (b.cuts().lines().isEmpty()) {
            return;
        }
        step(
                "cut",
                "Saw and face everything on the cut list",
                0.3 * b.cuts().lines().size() + 0.5,
                0,
                "saw, square, file or lathe",
                List.of(
                        need("mock", "a shaft cut from the plan alone is cut from what was measured first"),
                        need("carriers", "a shaft is final only where its bearings stand"),
                        need("notches", "a rail that is notched otherwise moves the shaft")),
                Stream.concat(
                                b.cuts().lines().stream()
                                        .limit(12)
                                        .map(l -> Phrase.of(
                                                l.count() + " × " + Phrase.name(l.name()) + ": finished {0}, saw {1}.",
                                                Quantity.length(l.finished()),
                                                Quantity.length(l.saw()))),
                                b.found().stream().map(f -> Phrase.of(Phrase.name(f.name()) + ", as found: ")
                                        .then(f.order())))
                        .toList(),
                List.of(Cautions.DISCS));
        proven(
                "the stock in a vice, one stop set for all that are alike",
                Phrase.of("Each finished length within {0}.", Quantity.length(FoundFigures.TAPE)));
        if (!b.cuts().plates().isEmpty()) {
            step(
                    "plates",
                    "Cut the plates by their templates" + (drawnFlat() ? " and drawings" : ""),
                    0.7 * b.cuts().plates().size(),
                    0,
                    "templates printed at full size, centre punch, drill",
                    List.of(),
                    List.of(Phrase.of(
                            "The bar on every sheet must be {0} long, or the sheet was not printed at full size.",
                            Quantity.length(100))),
                    List.of(Cautions.DISCS));
            proven(
                    "the plate, clamped on wood",
                    Phrase.of("Holes lie on the template's crosses; two alike laid on each other agree."));
        }
    }

    private boolean drawnFlat() {
        return b.machined().drawings().stream()
                .flatMap(d -> d.blanks().stream())
                .anyMatch(PartDrawing.Blank.Flat.class::isInstance);
    }

    /** What is drawn for the machinist, once the mock-up shows that its sizes hold. */
    private void machined() {
        if (b.machined().drawings().isEmpty()) {
            return;
        }
        step(
                "machined",
                "Have made what is drawn for the machinist",
                b.machined().drawings().size(),
                0,
                "the drawings; bearing, fork and box to try on",
                List.of(need("mock", "a part turned from the plan alone is turned from what was measured first")),
                Stream.concat(
                                b.machined().drawings().stream().map(d -> Phrase.of(Phrase.name(d.name()) + ": ")
                                        .then(d.howMany())),
                                b.machined().cautions().stream())
                        .toList(),
                List.of());
        proven(
                "the part clean and cold, on the bench",
                Phrase.of("Every size within the limits on its sheet; bearing, fork or box tried on."));
    }

    private void shafts(Column c) {
        List<Phrase> marks = new ArrayList<>();
        for (BenchSheet.ShaftLine s : b.bench().shafts()) {
            s.mark()
                    .ifPresent(m -> marks.add(
                            ForkMark.isInLine(m.deg())
                                    ? Phrase.of(Phrase.name(s.name()) + ": both forks in line.")
                                    : Phrase.of(
                                            Phrase.name(s.name()) + ": gear-end fork {0} " + m.way()
                                                    + " from the wheel-end fork, seen from the wheel: "
                                                    + "{1} round Ø {2}.",
                                            Quantity.angle(Math.abs(m.deg())),
                                            Quantity.fine(m.arc()),
                                            Quantity.length(m.diameter()))));
        }
        step(
                "forks",
                "Clock the forks and clamp or tack them",
                2,
                0,
                "strips wrapped round, V-blocks, angle finder",
                List.of(
                        need("cut", "the strips go on the cut shafts"),
                        need("machined", "a turned shaft is finished before its forks go on"),
                        need("mock", "the angles set the clocking")),
                marks,
                b.joins().isEmpty() ? List.of() : List.of(Cautions.CURRENT));
        proven(
                "the shaft in V-blocks, its wheel-end pin level",
                Phrase.of("The arc between the marks, and the angle finder on both pins, agree."));
        for (int i = 0; i < b.joins().size(); i++) {
            JoinFigures j = b.joins().get(i);
            List<Phrase> m = new ArrayList<>(j.dimensions());
            m.add(Phrase.of(
                    "Run-out beside the join no more than {0}, at a bearing no more than {1}.",
                    Quantity.fine(j.runOut()), Quantity.fine(j.runOutAtBearings())));
            j.near()
                    .forEach(n ->
                            m.add(n.sentence().then(" Take it off, or let each run cool with a wet rag between.")));
            step(
                    j.join().id().text(),
                    "Make the join in " + j.shaftName() + ": "
                            + j.join().school().label() + (j.join().school().welded() ? ", tacked only" : ""),
                    3,
                    0,
                    "jig or V-blocks, dial indicator",
                    List.of(
                            need("cut", "its pieces are cut"),
                            need("forks", "the forks say how the two are turned against each other")),
                    m,
                    j.join().school().welded()
                            ? List.of(Cautions.QUALIFIED, Cautions.HEAT, Cautions.CURRENT, Cautions.SEALED)
                            : List.of());
            proven(
                    "both pieces in a jig or V-blocks, drawn together",
                    Phrase.of("The dial reads no more than {0} beside the join.", Quantity.fine(j.runOut())));
        }
        step(
                "shafts",
                "Put the train together from wheel to gear",
                1.5,
                0,
                "",
                List.of(
                        need("forks", "they are clocked off the vehicle"),
                        need(
                                b.joins().isEmpty()
                                        ? ""
                                        : b.joins().getFirst().join().id().text(),
                                "a shaft in two is one before it goes in")),
                List.of(Phrase.of("It must turn by hand all the way round with the gear off its arms, no tighter in "
                        + "one place than in another.")),
                List.of());
        proven("the gear off its arms", Phrase.of("A spring balance at the rim reads alike all the way round."));
    }
}
