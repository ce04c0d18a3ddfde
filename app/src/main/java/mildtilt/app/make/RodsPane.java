package mildtilt.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import mildtilt.app.controls.Wrap;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.EndPart;
import mildtilt.build.RackRod;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.catalogue.OwnParts;
import mildtilt.gear.RackAndPinion;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.report.Papers;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.CutList;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.units.Quantity;

/** How each rod is put together, drawn to scale, with its threads at the shortest and at the longest. */
final class RodsPane extends MakePane {

    RodsPane(Workbench bench, PapersDesk desk) {
        super(bench, desk, "make-rods");
        refresh();
    }

    @Override
    protected void show(Papers p) {
        Job job = p.analysis().job();
        title(
                "Rods",
                "An end, a jam nut, the body, a jam nut, an end; or the rack's own rod with an end screwed on. With "
                        + "a right-hand thread at one end and a left-hand one at the other, turning the body sets "
                        + "the length.");
        if (job.axle().isEmpty()) {
            hint("This job has no steered axle yet.");
            return;
        }
        row(number(
                "Thread in, never under (diameters)",
                "make-engagement",
                job.making().workshop().engagementTimes(),
                (j, v) -> j.editMaking(m -> m.editWorkshop(w -> w.withEngagementTimes(v)))));
        for (BenchSheet.RodLine line : p.analysis().bench().rods()) {
            rod(p, job.axle().get(), line);
        }
        p.table("taps").ifPresent(t -> {
            head("Taps and drills");
            table(t, "thread", "hand", "tap_drill_mm", "depth_of_thread_pct");
        });
    }

    private void rod(Papers p, SteeredAxle axle, BenchSheet.RodLine line) {
        Rod rod = line.rod();
        head(CutList.capital(rod.label()) + ", " + text(Quantity.length(line.length())) + " between centres");
        Optional<RodEnds> ends = axle.rodEnds(rod);
        if (ends.isEmpty()) {
            hint("It turns on the arms themselves and has no ends to choose.");
            return;
        }
        Optional<RackRod> own = p.analysis().job().making().rackRod(rod);
        if (own.isPresent()) {
            rackRod(
                    rod,
                    own.get(),
                    p.rackRods().stream().filter(r -> r.rod() == rod).findFirst());
            return;
        }
        Optional<RodMakeUp> made = p.analysis().job().making().rod(rod);
        if (ends.get().tube().isEmpty()) {
            hint("Its tube is not chosen: select it in the train and give its outside and wall.");
        }
        if (made.isEmpty()) {
            List<EndPart> parts = bench.catalogueProperty().get().rodEnds();
            row(named(
                    "Choose its ends",
                    choiceBox(
                            "rod-choose-" + key(rod),
                            parts,
                            Optional.empty(),
                            EndPart::name,
                            part -> make(
                                    "Ends of the " + rod.label(),
                                    m -> m.withRod(rod, Optional.of(RodMakeUp.usual(part)))))));
            if (axle.gear() instanceof RackAndPinion && other(rod).isPresent()) {
                row(small(
                        "It is the rack's own rod, with an end screwed on",
                        "rack-rod-" + key(rod),
                        () -> make(
                                "The " + rod.label() + " is the rack's own",
                                m -> m.withRackRod(rod, Optional.of(RackRod.usual(line.length()))))));
            }
            return;
        }
        Optional<RodFigures> f = p.rods().stream().filter(r -> r.rod() == rod).findFirst();
        f.ifPresent(r -> {
            if (r.body() > 0) {
                add(new RodDrawing(r, bench.lengthUnit()));
            }
            description(r);
        });
        end(axle, rod, made.get(), true);
        end(axle, rod, made.get(), false);
        body(rod, made.get());
    }

    private static String key(Rod rod) {
        return rod.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private void description(RodFigures r) {
        say(
                "Body {0}. It " + r.way().label() + ": {1} longer, {2} shorter.",
                Quantity.length(r.body()),
                Quantity.length(Math.max(0, r.longer())),
                Quantity.length(Math.max(0, r.shorter())));
        if (r.sameHand()) {
            say(
                    "Both threads turn the same way: the body turned only shifts along. One end has to come off its arm to set the length.");
        } else {
            say(
                    "A turn of the body: {0}"
                            + r.toePerTurn()
                                    .map(t -> ", toe-" + (t > 0 ? "in" : "out") + " {1} as it lengthens")
                                    .orElse("")
                            + ". {2} to the longest, {3} to the shortest.",
                    Quantity.fine(r.perTurn()),
                    Quantity.angle(Math.abs(r.toePerTurn().orElse(0.0))),
                    Quantity.turns(r.turnsLonger()),
                    Quantity.turns(r.turnsShorter()));
        }
        List<List<String>> rows = new ArrayList<>();
        for (boolean outer : new boolean[] {true, false}) {
            RodFigures.EndFigures e = r.end(outer);
            rows.add(List.of(
                    e.label(),
                    text(Quantity.length(e.faceOut())),
                    text(Quantity.length(e.engaged())),
                    text(Quantity.length(e.engagedShort())),
                    text(Quantity.length(e.engagedLong())),
                    text(Quantity.length(e.least())),
                    text(Quantity.length(e.gapToHousing()))));
        }
        table(
                List.of(
                        "Thread in the body",
                        "ball to face",
                        "now",
                        "shortest",
                        "longest",
                        "never under",
                        "nut to neck, shortest"),
                rows);
        r.betweenTips()
                .ifPresent(t -> hint(
                        "Between both shanks inside the body, at the shortest: " + text(Quantity.length(t)) + "."));
    }

    private Job edit(Job j, Rod rod, UnaryOperator<RodMakeUp> edit) {
        return j.editMaking(m -> m.withRod(rod, m.rod(rod).map(edit)));
    }

    private void end(SteeredAxle axle, Rod rod, RodMakeUp made, boolean outer) {
        RodMakeUp.End e = made.end(outer);
        String id = key(rod) + (outer ? "-outer" : "-inner");
        ScrewThread t = e.part().thread();
        row(
                choice(
                        CutList.capital(axle.rodEnd(rod, outer).label() + " end"),
                        "rod-part-" + id,
                        bench.catalogueProperty().get().rodEnds().stream()
                                .map(x -> x.withHand(t.hand()))
                                .toList(),
                        e.part(),
                        EndPart::name,
                        (j, part) -> edit(
                                j,
                                rod,
                                r -> r.withEnd(
                                        outer,
                                        r.end(outer)
                                                .withPart(part)
                                                .withJamNut(part.thread().major() / 2)))),
                choice(
                        "Hand",
                        "rod-hand-" + id,
                        List.of(ScrewThread.Hand.values()),
                        t.hand(),
                        ScrewThread.Hand::label,
                        (j, h) -> edit(
                                j,
                                rod,
                                r -> r.withEnd(
                                        outer,
                                        r.end(outer)
                                                .withPart(r.end(outer).part().withHand(h))))),
                thread(
                        "Thread size",
                        "rod-thread-" + id,
                        t,
                        (j, v) -> edit(
                                j,
                                rod,
                                r -> r.withEnd(
                                        outer,
                                        r.end(outer)
                                                .withPart(r.end(outer).part().withThread(v))))),
                length(
                        "Ball to thread",
                        "rod-neck-" + id,
                        e.part().toThread(),
                        (j, v) -> edit(
                                j,
                                rod,
                                r -> r.withEnd(
                                        outer,
                                        r.end(outer)
                                                .withPart(r.end(outer)
                                                        .part()
                                                        .withShank(v, e.part().threadLength()))))),
                length(
                        "Thread length",
                        "rod-shank-" + id,
                        e.part().threadLength(),
                        (j, v) -> edit(
                                j,
                                rod,
                                r -> r.withEnd(
                                        outer,
                                        r.end(outer)
                                                .withPart(r.end(outer)
                                                        .part()
                                                        .withShank(e.part().toThread(), v))))),
                length(
                        "Jam nut",
                        "rod-nut-" + id,
                        e.jamNut(),
                        (j, v) ->
                                edit(j, rod, r -> r.withEnd(outer, r.end(outer).withJamNut(v)))),
                named(" ", small("Keep it in my parts", "rod-keep-" + id, () -> keep(e.part()))));
    }

    /** Among the ends that any job can choose from then on. */
    private void keep(EndPart end) {
        EndPart kept = OwnParts.rodEnd(bench.job(), end);
        if (bench.editOwnParts(mine -> OwnParts.with(mine, kept))) {
            bench.say("Kept in my parts: " + kept.name() + ". It is first among the ends to choose.");
        }
    }

    private void body(Rod rod, RodMakeUp made) {
        RodMakeUp.Body b = made.body();
        String id = key(rod);
        List<Node> fields = new ArrayList<>(List.of(
                choice(
                        "Body",
                        "rod-body-" + id,
                        List.of(RodMakeUp.BodyKind.values()),
                        b.kind(),
                        RodMakeUp.BodyKind::label,
                        (j, k) -> edit(j, rod, r -> r.withBody(r.body().withKind(k)))),
                length(
                        "Thread, each end",
                        "rod-threaded-" + id,
                        b.threaded(),
                        (j, v) -> edit(
                                j,
                                rod,
                                r -> r.withBody(r.body()
                                        .withDepths(v, Math.max(v, r.body().drilled()))))),
                length(
                        "Hole, each end",
                        "rod-drilled-" + id,
                        b.drilled(),
                        (j, v) -> edit(
                                j,
                                rod,
                                r -> r.withBody(r.body().withDepths(r.body().threaded(), v)))),
                maybeLength(
                        "Body there already",
                        "rod-length-" + id,
                        b.length(),
                        (j, v) -> edit(j, rod, r -> r.withBody(r.body().withLength(v)))),
                named(
                        " ",
                        small(
                                "Other ends",
                                "rod-drop-" + id,
                                () -> make(
                                        "Choose other ends for the " + rod.label(),
                                        m -> m.withRod(rod, Optional.empty()))))));
        other(rod)
                .ifPresent(other -> fields.add(named(
                        " ",
                        small(
                                "Same for the " + other.label(),
                                "rod-copy-" + id,
                                () -> make(
                                        "The " + other.label() + " made like the " + rod.label(),
                                        m -> m.withRod(other, m.rod(rod)))))));
        row(fields.toArray(Node[]::new));
    }

    /** The tie rod on the other side. */
    private static Optional<Rod> other(Rod rod) {
        return switch (rod) {
            case LEFT_TIE_ROD -> Optional.of(Rod.RIGHT_TIE_ROD);
            case RIGHT_TIE_ROD -> Optional.of(Rod.LEFT_TIE_ROD);
            case TIE_ROD, CENTRE_LINK, INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK -> Optional.empty();
        };
    }

    private void rackRod(Rod rod, RackRod it, Optional<RackRodFigures> figures) {
        if (figures.filter(r -> RackRod.usual(r.centres()).equals(it)).isPresent()) {
            hint("These are usual sizes. Measure your rod and its end, and put theirs in.");
        }
        figures.ifPresent(r -> {
            add(new RackRodDrawing(r, bench.lengthUnit()));
            say("The rack's own rod " + r.verdict().label() + ". " + r.order().text(bench.lengthUnit()));
            say(
                    "Thread in the end: {0} now, {1} at the shortest, never under {2}. It can be set {3} longer, {4} "
                            + "shorter"
                            + r.toePerTurn()
                                    .map(t ->
                                            "; a turn gives {5} of toe-" + (t > 0 ? "in" : "out") + " as it lengthens.")
                                    .orElse("."),
                    Quantity.length(Math.max(0, r.engaged())),
                    Quantity.length(Math.max(0, r.engagedShort())),
                    Quantity.length(r.least()),
                    Quantity.length(Math.max(0, r.longer())),
                    Quantity.length(Math.max(0, r.shorter())),
                    Quantity.angle(Math.abs(r.toePerTurn().orElse(0.0))));
            r.cure().ifPresent(c -> add(Wrap.text("! " + c.text(bench.lengthUnit()), "brings")));
        });
        String id = key(rod);
        List<Node> fields = new ArrayList<>(List.of(
                length(
                        "Inner ball to tip",
                        "rack-rod-length-" + id,
                        it.length(),
                        (j, v) -> editOwn(j, rod, r -> r.withLength(v))),
                length(
                        "Thread from the tip",
                        "rack-rod-threaded-" + id,
                        it.threaded(),
                        (j, v) -> editOwn(j, rod, r -> r.withThreaded(v))),
                thread(
                        "Thread size",
                        "rack-rod-thread-" + id,
                        it.thread(),
                        (j, v) -> editOwn(j, rod, r -> r.withThread(v))),
                length("Jam nut", "rack-rod-nut-" + id, it.jamNut(), (j, v) -> editOwn(j, rod, r -> r.withJamNut(v))),
                length(
                        "Outer ball to mouth",
                        "rack-rod-reach-" + id,
                        it.endReach(),
                        (j, v) -> editOwn(j, rod, r -> r.withEndReach(v))),
                length(
                        "Socket's depth",
                        "rack-rod-deep-" + id,
                        it.endDeep(),
                        (j, v) -> editOwn(j, rod, r -> r.withEndDeep(v))),
                named(
                        " ",
                        small(
                                "Made up otherwise",
                                "rack-rod-drop-" + id,
                                () -> make(
                                        "The " + rod.label() + " is not the rack's own",
                                        m -> m.withRackRod(rod, Optional.empty()))))));
        other(rod)
                .ifPresent(other -> fields.add(named(
                        " ",
                        small(
                                "Same for the " + other.label(),
                                "rack-rod-copy-" + id,
                                () -> make(
                                        "The " + other.label() + " like the " + rod.label(),
                                        m -> m.withRackRod(other, m.rackRod(rod)))))));
        row(fields.toArray(Node[]::new));
    }

    private static Job editOwn(Job j, Rod rod, UnaryOperator<RackRod> edit) {
        return j.editMaking(m -> m.withRackRod(rod, m.rackRod(rod).map(edit)));
    }
}
