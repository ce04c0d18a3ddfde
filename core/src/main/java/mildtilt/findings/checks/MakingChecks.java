package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread.Hand;
import mildtilt.build.ShaftJoin;
import mildtilt.catalogue.Catalogue;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.shaftload.ShaftLoad;
import mildtilt.shop.Fits;
import mildtilt.shop.Fits.Fit;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.JoinRoom;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.shop.SeatingResult;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What is chosen for making: studs in arms, threads, rods that can't be set, joins in shafts. */
final class MakingChecks {

    private final Job job;
    private final Names names;
    private final SteeringTrain train;
    private final Catalogue catalogue;

    MakingChecks(Job job, SteeringTrain train, Catalogue catalogue) {
        this.job = job;
        names = Names.of(job);
        this.train = train;
        this.catalogue = catalogue;
    }

    void look(GuardedAnalysis w) {
        w.check("The make-up of the rods", new Element.TieRods(), all -> RodFigures.of(job, train.axle())
                .forEach(r -> {
                    rod(r, all);
                    lockNuts(r, all);
                    tilt(r, all);
                }));
        w.check("The rack's own rods", new Element.TieRods(), all -> RackRodFigures.of(job, train.axle())
                .forEach(r -> RackRodChecks.look(r, all)));
        w.check("How the ends fit their holes", new Element.TieRods(), all -> Fits.of(job, catalogue)
                .forEach(f -> fit(f, all)));
        w.check("The shaft joins", new Element.Wheel(), all -> job.making()
                .joins()
                .forEach(j -> join(j, all)));
    }

    private void rod(RodFigures r, List<Finding> all) {
        Element at = Element.of(r.rod());
        String name = "The " + r.rod().label();
        if (!(r.body() > 0)) {
            all.add(new Finding(
                    Fault.ROD_SHORT_OF_THREAD,
                    Severity.STOP,
                    at,
                    r.rod().label(),
                    Phrase.of(
                            name + " is {0} between centres, less than its two ends take up.",
                            Quantity.length(r.centres())),
                    Phrase.of("There is no room for a body between them. Take shorter ends, or join them without one."),
                    List.of()));
            return;
        }
        for (boolean outer : new boolean[] {true, false}) {
            RodFigures.EndFigures e = r.end(outer);
            if (e.faceIn() > e.faceFar() + 1e-6) {
                shank(r, outer, all);
                continue;
            }
            if (e.engaged() < e.least() - 1e-6) {
                all.add(new Finding(
                        Fault.ROD_SHORT_OF_THREAD,
                        Severity.STOP,
                        at,
                        r.rod().label() + outer,
                        Phrase.of(
                                name + " has {0} of thread in at its "
                                        + r.end(outer).label() + "; at least {1} is wanted.",
                                Quantity.length(e.engaged()),
                                Quantity.length(e.least())),
                        Phrase.of(
                                "A shank on too little thread strips or works loose, and the wheel goes where it likes."),
                        longerBody(r)));
            }
            if (e.faceOut() < e.faceIn() - 1e-6) {
                all.add(new Finding(
                        Fault.ROD_SHORT_OF_THREAD,
                        Severity.STOP,
                        at,
                        r.rod().label() + outer + "in",
                        Phrase.of(
                                name + "'s body is {0} too long at its "
                                        + r.end(outer).label()
                                        + ": jam nut or shank is on the ground before it is short enough.",
                                Quantity.length(e.faceIn() - e.faceOut())),
                        Phrase.of("It can't be screwed together to its length. Shorten the body, or drill deeper."),
                        longerBody(r)));
            }
        }
        RodMakeUp.Body body = r.makeUp().body();
        if (body.kind() == RodMakeUp.BodyKind.BUNGS && r.body() < 2 * body.threaded()) {
            all.add(new Finding(
                    Fault.BODY_TOO_WEAK,
                    Severity.STOP,
                    at,
                    r.rod().label() + "bungs",
                    Phrase.of(
                            name + "'s body is {0} long, less than its two bungs of {1}.",
                            Quantity.length(r.body()),
                            Quantity.length(body.threaded())),
                    Phrase.of("The bungs meet inside. Take shorter ones, or one bar tapped from both ends."),
                    List.of()));
        }
        if (r.betweenTips().filter(t -> t < 1).isPresent()) {
            all.add(new Finding(
                    Fault.ROD_CAN_NOT_BE_SET,
                    Severity.LOOK,
                    at,
                    r.rod().label() + "tips",
                    Phrase.of(
                            name + "'s shanks meet inside its body {0} before it is at its shortest.",
                            Quantity.length(-r.betweenTips().get())),
                    Phrase.of("It can't be shortened as far as its threads would let it."),
                    List.of()));
        }
        if (r.sameHand()) {
            all.add(new Finding(
                    Fault.ROD_CAN_NOT_BE_SET,
                    Severity.LOOK,
                    at,
                    r.rod().label() + "hand",
                    Phrase.of("Both ends of the " + r.rod().label() + " have "
                            + r.thread(true).hand().label() + " threads."),
                    Phrase.of(
                            "Turning the body then screws one end in and the other out. To set it, one end must come off its arm each time, half a turn at a time."),
                    List.of(new Remedy(
                            Phrase.of("Take a left-hand thread at the "
                                    + r.end(false).label()),
                            j -> j.editMaking(
                                    m -> m.withRod(r.rod(), m.rod(r.rod()).map(MakingChecks::opposed)))))));
        } else if (r.way() != RodFigures.LengthChange.BOTH && !r.shortOfThread()) {
            all.add(new Finding(
                    Fault.ROD_CAN_NOT_BE_SET,
                    Severity.LOOK,
                    at,
                    r.rod().label() + "way",
                    Phrase.of(
                            name + " " + r.way().label() + ": {0} longer, {1} shorter.",
                            Quantity.length(Math.max(0, r.longer())),
                            Quantity.length(Math.max(0, r.shorter()))),
                    Phrase.of(
                            "Toe has to be set both ways after the first drive, and again when something is changed."),
                    longerBody(r)));
        }
    }

    /** A threaded end that no nut locks turns by itself as the wheels shake, until it is off its thread. */
    private static void lockNuts(RodFigures r, List<Finding> all) {
        List<Boolean> bare = Stream.of(true, false)
                .filter(outer -> r.makeUp().end(outer).jamNut() == 0)
                .toList();
        if (bare.isEmpty()) {
            return;
        }
        String ends = bare.stream().map(outer -> r.end(outer).label()).collect(Collectors.joining(" and its "));
        all.add(new Finding(
                Fault.LOCK_NUT_MISSING,
                Severity.STOP,
                Element.of(r.rod()),
                r.rod().label() + "nut",
                Phrase.of("The " + r.rod().label() + " has no lock nut at its " + ends + "."),
                Phrase.of(
                        "An end that nothing locks screws itself out as the wheels shake: first the toe goes, then the rod comes apart. A clamp on a slit body serves "
                                + "as well; give its width as the nut's."),
                List.of(new Remedy(
                        Phrase.of("Put a lock nut on " + (bare.size() > 1 ? "each of them" : "it")),
                        j -> j.editMaking(m -> m.withRod(r.rod(), m.rod(r.rod()).map(x -> {
                            RodMakeUp with = x;
                            for (boolean outer : bare) {
                                RodMakeUp.End e = with.end(outer);
                                with = with.withEnd(
                                        outer,
                                        e.withJamNut(RodMakeUp.End.of(e.part()).jamNut()));
                            }
                            return with;
                        })))))));
    }

    /** A shank with too little thread for a jam nut and the least engagement together, or too long for its hole. */
    private static void shank(RodFigures r, boolean outer, List<Finding> all) {
        RodMakeUp.End e = r.makeUp().end(outer);
        all.add(new Finding(
                Fault.ROD_SHORT_OF_THREAD,
                Severity.STOP,
                Element.of(r.rod()),
                r.rod().label() + outer + "shank",
                Phrase.of(
                        "The " + r.rod().label() + "'s " + r.end(outer).label()
                                + " has {0} of thread on a shank of {1}; a jam nut of {2} and {3} in the body do not go on it together, or its hole of {4} is too shallow.",
                        Quantity.length(e.part().threadLength()),
                        Quantity.length(e.part().reach()),
                        Quantity.length(e.jamNut()),
                        Quantity.length(r.end(outer).least()),
                        Quantity.length(r.makeUp().body().drilled())),
                Phrase.of(
                        "There is no length at which it holds. Take an end with a longer thread, a thinner nut, or a deeper hole."),
                List.of()));
    }

    /** Ends that tilt less than the linkage is judged by would bind where no margin is seen to be gone. */
    private void tilt(RodFigures r, List<Finding> all) {
        double least = Math.min(
                r.makeUp().outer().part().tiltDeg(), r.makeUp().inner().part().tiltDeg());
        Optional<Double> judged = job.axle().flatMap(a -> a.rodEnds(r.rod())).flatMap(RodEnds::allowedDeg);
        if (judged.filter(d -> d <= least + 1e-9).isPresent()) {
            return;
        }
        all.add(new Finding(
                Fault.ROD_END_TILTS_LESS,
                judged.isPresent() ? Severity.STOP : Severity.LOOK,
                Element.of(r.rod()),
                r.rod().label() + "tilt",
                judged.isPresent()
                        ? Phrase.of(
                                "The " + r.rod().label()
                                        + "'s ends allow {0} of tilt, but the linkage is judged as if they allowed {1}.",
                                Quantity.angle(least),
                                Quantity.angle(judged.get()))
                        : Phrase.of(
                                "The " + r.rod().label()
                                        + "'s ends allow {0} of tilt, and the linkage is not judged by it.",
                                Quantity.angle(least)),
                Phrase.of(
                        "An end tilted past what it allows levers on its shank and breaks. Judge the linkage by the ends really used."),
                List.of(new Remedy(
                        Phrase.of("Judge the " + r.rod().label() + " by {0}", Quantity.angle(least)),
                        j -> j.editAxle(a -> a.editRodEnds(r.rod(), e -> e.withAllowedDeg(least)))))));
    }

    private static RodMakeUp opposed(RodMakeUp m) {
        Hand other = m.outer().part().thread().hand().other();
        return m.withEnd(false, m.inner().withPart(m.inner().part().withHand(other)));
    }

    /** A body that is there already is made anew, to the middle of the adjustment. */
    private static List<Remedy> longerBody(RodFigures r) {
        return r.makeUp().body().length().isEmpty()
                ? List.of()
                : List.of(new Remedy(
                        Phrase.of("Make a new body, so that the threads are at their middle"),
                        j -> j.editMaking(m -> m.withRod(
                                r.rod(),
                                m.rod(r.rod()).map(x -> x.withBody(x.body().withLength(Optional.empty())))))));
    }

    /** Which end it is of, and how much it has to rock where it does. */
    private static Finding brief(Fit f, Finding found) {
        Fits.RodPlace at = f.rod().orElseThrow();
        Finding titled = found.titled("%s: %s %s"
                .formatted(
                        Element.capital(at.rod().label()),
                        at.label(),
                        f.seating().label()));
        return f.seating() == SeatingResult.RATTLES // Its last figure is how much it has to rock.
                ? titled.by(f.note().measures().getLast())
                : titled;
    }

    private void fit(Fit f, List<Finding> all) {
        if (f.rod().isEmpty()) {
            return;
        }
        Element at = Element.of(f.rod().get().rod());
        List<Remedy> ways =
                f.ways().stream().map(w -> new Remedy(w.action(), w.edit())).toList();
        Phrase what = Phrase.of(
                        Phrase.name(f.what()) + " " + f.seating().label() + " in the " + Phrase.name(f.into()) + ". ")
                .then(f.note());
        String about = f.rod().get().rod().label() + f.rod().get().outer();
        if (f.seating().bad()) {
            Fault fault =
                    switch (f.seating()) {
                        case SHALLOW, THIN -> Fault.BODY_TOO_WEAK;
                        default -> f.kind() == Fits.Kind.THREAD ? Fault.THREADS_DIFFER : Fault.STUD_DOES_NOT_SEAT;
                    };
            all.add(brief(f, new Finding(fault, Severity.STOP, at, about, what, why(fault), ways)));
        } else if (f.seating() == SeatingResult.SINGLE_SHEAR) {
            all.add(new Finding(
                    Fault.STUD_IN_SINGLE_SHEAR,
                    Severity.LOOK,
                    at,
                    about,
                    what,
                    Phrase.of(
                            "A rod end bolted to one side of an arm bends its bolt at every turn. Practice differs: some authorities forbid it, most builders hold the bolt on both sides."),
                    ways));
        }
    }

    private static Phrase why(Fault fault) {
        return Phrase.of(
                switch (fault) {
                    case THREADS_DIFFER -> "Threads that differ go together for a turn or two and hold nothing.";
                    case BODY_TOO_WEAK ->
                        "A thread with little metal round it, or cut to part of its depth, splits or strips. Take a thicker tube, a smaller thread, or bungs that leave the metal.";
                    default ->
                        "A tapered stud holds by its taper alone: one that rocks, sinks or touches at one edge works loose and breaks. Try every one with blue.";
                });
    }

    private void join(ShaftJoin j, List<Finding> all) {
        Column c = job.column().orElse(null);
        Optional<JoinFigures> figures = JoinFigures.of(job, j);
        if (c == null || figures.isEmpty()) {
            all.add(new Finding(
                    Fault.JOIN_LOST,
                    Severity.STOP,
                    new Element.Wheel(),
                    j.id().text(),
                    Phrase.of(
                            "A join at {0} along \"" + Phrase.name(names.apply(j.shaft()))
                                    + "\" is on no shaft that is cut, or too near its end.",
                            Quantity.length(j.along())),
                    Phrase.of("The cut list leaves it out. Move it to a shaft that is there, or take it out."),
                    List.of(new Remedy(
                            Phrase.of("Take this join out"),
                            x -> x.editMaking(m -> m.withJoins(
                                    m.joins().stream().filter(o -> !o.equals(j)).toList()))))));
            return;
        }
        Element at = new Element.ShaftAt(figures.get().shaft());
        if (!JoinFigures.joinable(c.shafts().get(figures.get().shaft())) && j.school() != ShaftJoin.School.ONE_PIECE) {
            all.add(new Finding(
                    Fault.JOIN_LOST,
                    Severity.LOOK,
                    at,
                    "form",
                    Phrase.of(Phrase.name(names.apply(j.shaft()))
                            + " is not round along its length: at the join it must be turned round first."),
                    Phrase.of("A sleeve or coupler holds only what it fits all round."),
                    List.of()));
        }
        figures.get()
                .noRoom()
                .ifPresent(why -> all.add(new Finding(
                        Fault.JOIN_LOST,
                        Severity.STOP,
                        at,
                        "room",
                        Phrase.of("The join in " + Phrase.name(names.apply(j.shaft())) + " ("
                                        + j.school().label() + ") has no room there. ")
                                .then(why),
                        Phrase.of(
                                "A sleeve or coupler that meets a fork can't be put on, and the cut list would be wrong. Move it, or make the shaft from one piece."),
                        room(j))));
        figures.get()
                .mayNotClose()
                .ifPresent(why -> all.add(new Finding(
                        Fault.JOIN_LOST,
                        Severity.LOOK,
                        at,
                        "slides",
                        Phrase.of("The join in " + Phrase.name(names.apply(j.shaft())) + " may lie where it slides. ")
                                .then(why),
                        Phrase.of("Where its halves meet is not said, so the middle is taken: give it under Part. "
                                + "The cut list leaves the join out."),
                        room(j))));
        heat(j, figures.get(), all);
        carries(j, figures.get(), all);
        switch (figures.get().verdict()) {
            case ALLOWED -> {}
            case TESTED ->
                all.add(new Finding(
                        Fault.JOIN_TO_BE_TESTED,
                        Severity.LOOK,
                        at,
                        "",
                        Phrase.of("The join in " + Phrase.name(names.apply(j.shaft())) + " ("
                                + j.school().label() + ") is welded: the rule set \""
                                + Phrase.name(job.rules().name()) + "\" wants it tested."),
                        Phrase.of("Have it made by a qualified welder and tested after. "
                                + figures.get().costs()),
                        unwelded(j)));
            case FORBIDDEN ->
                all.add(new Finding(
                        Fault.JOIN_FORBIDDEN,
                        Severity.STOP,
                        at,
                        "",
                        Phrase.of("The join in " + Phrase.name(names.apply(j.shaft())) + " ("
                                + j.school().label() + ") is welded, which the rule set \""
                                + Phrase.name(job.rules().name()) + "\" forbids."),
                        Phrase.of(
                                "Where welds in a steering shaft are forbidden no weld will do, however good. Machine the shaft from one piece, or couple it with bolts."),
                        unwelded(j)));
        }
    }

    /** A join that gives before its shaft does: under the rule set's heavy pull, without and with its butt weld. */
    private void carries(ShaftJoin j, JoinFigures f, List<Finding> all) {
        Shaft shaft = job.column().orElseThrow().shafts().get(f.shaft());
        Optional<ShaftLoad.All> load =
                train.column().flatMap(c -> ShaftLoad.of(c, job.rules().heavyPull()));
        if (f.carries() > 0.995 || load.isEmpty()) {
            return;
        }
        double takes = ShaftLoad.twistAtYield(shaft)
                / load.get().shafts().get(f.shaft()).torque();
        double wanted = job.rules().strengthMargin();
        double alone = takes * f.carries();
        double butt = takes * f.withButt();
        if (alone >= wanted) {
            return;
        }
        boolean welded = f.withButt() > f.carries() + 1e-9;
        all.add(new Finding(
                Fault.JOIN_WEAK,
                butt < 1 ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(f.shaft()),
                j.id() + "weak",
                Phrase.of(
                        "The join in " + Phrase.name(names.apply(j.shaft())) + " ("
                                + j.school().label() + ") carries a heavy pull with a margin of {0}"
                                + (welded ? ", {1} with its butt weld" : "") + "; the rule set wants {2}.",
                        Quantity.times(alone),
                        Quantity.times(butt),
                        Quantity.times(wanted)),
                Phrase.of((welded
                                ? "It rests on its butt weld: that must go through the whole wall, be made by a qualified welder and be tested. "
                                : "")
                        + "A sleeve carries the whole twist by its fillets alone; one piece has nothing to give."),
                Stream.of(ShaftJoin.School.SLEEVE, ShaftJoin.School.ONE_PIECE)
                        .filter(s -> s != j.school())
                        .map(s -> new Remedy(
                                Phrase.of("Instead: " + s.label()),
                                x -> x.editMaking(m -> m.withJoins(m.joins().stream()
                                        .map(o -> o.equals(j) ? o.withSchool(s) : o)
                                        .toList()))))
                        .toList()));
    }

    /** Where the join goes on the shaft, in the middle of what is free; else the shaft from one piece. */
    private List<Remedy> room(ShaftJoin j) {
        List<Remedy> all = new ArrayList<>();
        Column c = job.column().orElseThrow();
        int i = JoinFigures.of(job, j).orElseThrow().shaft();
        JoinRoom.of(job, j, c.length(i)).best().ifPresent(at -> all.add(moved(j, at)));
        all.add(new Remedy(
                Phrase.of("Instead: " + ShaftJoin.School.ONE_PIECE.label()),
                x -> x.editMaking(m -> m.withJoins(m.joins().stream()
                        .map(o -> o.equals(j) ? o.withSchool(ShaftJoin.School.ONE_PIECE) : o)
                        .toList()))));
        return all;
    }

    /** The join elsewhere. */
    private static Remedy moved(ShaftJoin j, double at) {
        return new Remedy(
                Phrase.of("Move the join to {0} along", Quantity.length(at)),
                x -> x.editMaking(m -> m.withJoins(m.joins().stream()
                        .map(o -> o.equals(j) ? j.withAlong(at) : o)
                        .toList())));
    }

    private void heat(ShaftJoin j, JoinFigures f, List<Finding> all) {
        if (f.spoils().isEmpty()) {
            return;
        }
        List<Remedy> ways = new ArrayList<>();
        JoinRoom room = JoinRoom.of(job, j, job.column().orElseThrow().length(f.shaft()));
        room.cool().flatMap(_ -> room.best()).ifPresent(at -> ways.add(moved(j, at)));
        ways.addAll(unwelded(j));
        all.add(FoundChecks.spoiled(
                f.shaft(),
                j.id().text(),
                Phrase.of("The join at {0} along " + Phrase.name(f.shaftName()) + ": ", Quantity.length(j.along())),
                f.spoils(),
                ways));
    }

    private static List<Remedy> unwelded(ShaftJoin j) {
        List<Remedy> all = new ArrayList<>();
        for (ShaftJoin.School s : new ShaftJoin.School[] {ShaftJoin.School.ONE_PIECE, ShaftJoin.School.COUPLING}) {
            all.add(new Remedy(
                    Phrase.of("Instead: " + s.label()),
                    x -> x.editMaking(m -> m.withJoins(m.joins().stream()
                            .map(o -> o.equals(j) ? o.withSchool(s) : o)
                            .toList()))));
        }
        return all;
    }
}
