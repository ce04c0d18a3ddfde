package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.build.Hole;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.build.Stud;
import mildtilt.catalogue.Catalogue;
import mildtilt.catalogue.EndFit;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.job.Job;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.units.LengthText;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Every place where one part of a job goes into another, and how it sits there. */
public final class Fits {

    /** A bolt may have this much room in its hole and still be held, mm. */
    private static final double BOLT_ROOM = 0.25;
    /** Metal that has to be left round a sleeve, mm. */
    private static final double SLEEVE_WALL = 3;
    /** Of a thread's full depth that must be left where a tube's bore is larger than the tap drill, percent. */
    private static final double LEAST_DEPTH_PCT = 65;
    /** Wall over a thread, in its diameters. */
    private static final double THINNEST_WALL = 0.15;

    private static final double[] BOLTS = {8, 10, 12, 14, 16, 18, 20, 22, 24};

    /** What a fit is between. */
    public enum Kind {
        SHAFT_END("shaft end"),
        BEARING("bearing"),
        THREAD("thread"),
        STUD("stud in arm");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param what goes into the other
     * @param into what it goes into
     * @param note sizes and how it sits
     * @param ways out, for a fit that is bad
     * @param rod that it is on, with which end, if it is on one
     */
    public record Fit(
            Kind kind,
            String what,
            String into,
            SeatingResult seating,
            Phrase note,
            List<FitRemedy> ways,
            Optional<RodPlace> rod) {}

    /** @param at which end it is */
    public record RodPlace(Rod rod, boolean outer, RodEnd at) {

        /** What it is called. */
        public String label() {
            return at.label() + " end";
        }
    }

    /** @param edit the job with it done */
    public record FitRemedy(Phrase action, UnaryOperator<Job> edit) {}

    private Fits() {}

    public static List<Fit> of(Job job, Catalogue catalogue) {
        List<Fit> all = new ArrayList<>();
        job.column().ifPresent(c -> column(c, all));
        job.axle().ifPresent(a -> rods(job, a, catalogue, all));
        return List.copyOf(all);
    }

    private static void rods(Job job, SteeredAxle axle, Catalogue catalogue, List<Fit> all) {
        for (Rod rod : Rod.values()) {
            job.making().rod(rod).ifPresent(m -> {
                for (boolean outer : new boolean[] {true, false}) {
                    RodPlace place = new RodPlace(rod, outer, axle.rodEnd(rod, outer));
                    all.add(thread(place, m, axle.rodEnds(rod).flatMap(RodEnds::tube)));
                    if (!(m.end(outer).part().stud() instanceof Stud.OnGear)) {
                        all.add(stud(place, m, catalogue));
                    }
                }
            });
        }
    }

    private static void column(Column c, List<Fit> all) {
        for (int i = 0; i < c.shafts().size(); i++) {
            for (boolean gearEnd : new boolean[] {false, true}) {
                ShaftProfile seat = gearEnd
                        ? c.shafts().get(i).gearEndSeat()
                        : c.shafts().get(i).wheelEndSeat();
                Optional<Socket> socket = (gearEnd ? c.gearEndFit(i) : c.wheelEndFit(i)).socket();
                String what = c.shafts().get(i).name() + ", " + (gearEnd ? "gear" : "wheel") + " end";
                String into = !gearEnd && i == 0
                        ? "steering wheel's hub"
                        : gearEnd && i == c.joints().size()
                                ? "gear's input"
                                : c.joints().get(gearEnd ? i : i - 1).name();
                all.add(shaftEnd(what, into, seat, socket));
            }
        }
        for (Bearing b : c.bearings()) {
            double d = c.shafts().get(b.shaft()).diameter();
            double loose = b.bore() - d;
            SeatingResult s = loose < -1e-6
                    ? SeatingResult.TOO_LARGE
                    : loose > EndFit.SLIP + 1e-6 ? SeatingResult.LOOSE : SeatingResult.FITS;
            all.add(new Fit(
                    Kind.BEARING,
                    c.shafts().get(b.shaft()).name(),
                    b.name(),
                    s,
                    Phrase.of("Shaft {0} in a bore of {1}.", Quantity.fine(d), Quantity.fine(b.bore())),
                    List.of(),
                    Optional.empty()));
        }
    }

    private static Fit shaftEnd(String what, String into, ShaftProfile seat, Optional<Socket> socket) {
        if (socket.isEmpty()) {
            return new Fit(
                    Kind.SHAFT_END,
                    what,
                    into,
                    SeatingResult.NOT_MEASURED,
                    Phrase.of(seat.label() + " {0}; the bore is not known.", Quantity.fine(seat.diameter())),
                    List.of(),
                    Optional.empty());
        }
        SeatingResult s =
                switch (EndFit.between(seat, socket.get(), EndFit.SLIP)) {
                    case FITS -> SeatingResult.FITS;
                    case TOO_LARGE -> SeatingResult.TOO_LARGE;
                    case TOO_SMALL, OTHER_WIDTH -> SeatingResult.LOOSE;
                    case OTHER_FORM, OTHER_TEETH -> SeatingResult.OTHER_FORM;
                };
        ShaftProfile bore = socket.get().seat();
        Phrase note = socket.get().hold() == Socket.Retention.ONE_PIECE
                ? Phrase.of("One piece with it.")
                : Phrase.of(
                        seat.label() + " {0} in " + bore.label() + " {1}, "
                                + socket.get().hold().label() + ".",
                        Quantity.fine(seat.diameter()),
                        Quantity.fine(bore.diameter()));
        return new Fit(
                Kind.SHAFT_END,
                what,
                into,
                s,
                s.good() ? note : note.then(" Findings shows what you can do."),
                List.of(),
                Optional.empty());
    }

    private static Fit thread(RodPlace place, RodMakeUp m, Optional<RodTube> tube) {
        Rod rod = place.rod();
        boolean outer = place.outer();
        ScrewThread shank = m.end(outer).part().thread();
        ScrewThread tap = m.tap(outer);
        boolean size = Math.abs(shank.major() - tap.major()) < 0.06;
        boolean pitch = Math.abs(shank.pitch() - tap.pitch()) < 0.004;
        SeatingResult s = !size
                ? shank.major() > tap.major() ? SeatingResult.TOO_LARGE : SeatingResult.LOOSE
                : !pitch
                        ? SeatingResult.OTHER_PITCH
                        : shank.hand() != tap.hand()
                                ? SeatingResult.OTHER_HAND
                                : tube.map(t -> metal(m, tap, t)).orElse(SeatingResult.FITS);
        Phrase note = Phrase.of(shank.label() + " into " + tap.label()
                + (s == SeatingResult.OTHER_PITCH ? ": it starts, then binds and tears the thread." : "."));
        if (tube.isPresent() && (s == SeatingResult.SHALLOW || s == SeatingResult.THIN)) {
            RodTube t = tube.get();
            note = note.then(
                    s == SeatingResult.SHALLOW
                            ? Phrase.of(
                                    " The body's bore of {0} leaves {1} of the thread's depth; the tap drill is {2}.",
                                    Quantity.fine(t.inside()),
                                    Quantity.percent(Math.max(0, tap.depthPct(t.inside()))),
                                    Quantity.fine(tap.tapDrill()))
                            : Phrase.of(
                                    " It leaves {0} of wall over the thread, of "
                                            + (m.body().kind() == RodMakeUp.BodyKind.BUNGS ? "a bung" : "a body")
                                            + " {1} thick.",
                                    Quantity.fine((metalAcross(m, t) - tap.major()) / 2),
                                    Quantity.fine(metalAcross(m, t))));
        }
        List<FitRemedy> ways = s.good() || s == SeatingResult.SHALLOW || s == SeatingResult.THIN
                ? List.of()
                : List.of(new FitRemedy(
                        Phrase.of("Tap the body " + shank.label() + ", if there is metal for it"),
                        j -> j.editMaking(k -> k.withRod(
                                rod,
                                k.rod(rod)
                                        .map(r -> r.withBody(
                                                outer
                                                        ? r.body()
                                                                .withTaps(
                                                                        Optional.empty(),
                                                                        r.body().innerTap())
                                                        : r.body()
                                                                .withTaps(
                                                                        r.body().outerTap(), Optional.empty())))))));
        return new Fit(Kind.THREAD, part(place, m), rod.label() + "'s body", s, note, ways, Optional.of(place));
    }

    /** Diameter of what is tapped, mm. */
    private static double metalAcross(RodMakeUp m, RodTube t) {
        return m.body().kind() == RodMakeUp.BodyKind.BUNGS ? t.inside() : t.outside();
    }

    /** Whether a body has the metal for a thread: a bore no larger than leaves most of it, and a wall over it. */
    private static SeatingResult metal(RodMakeUp m, ScrewThread tap, RodTube t) {
        boolean tapped = m.body().kind() == RodMakeUp.BodyKind.TAPPED;
        if (tapped && t.inside() > 0 && tap.depthPct(t.inside()) < LEAST_DEPTH_PCT) {
            return SeatingResult.SHALLOW;
        }
        return (metalAcross(m, t) - tap.major()) / 2 < THINNEST_WALL * tap.major() - 1e-9
                ? SeatingResult.THIN
                : SeatingResult.FITS;
    }

    private static String part(RodPlace at, RodMakeUp m) {
        return m.end(at.outer).part().name() + " (" + at.rod.label() + ", " + at.label() + ")";
    }

    private static Fit stud(RodPlace at, RodMakeUp m, Catalogue catalogue) {
        Rod rod = at.rod();
        boolean outer = at.outer();
        RodMakeUp.End end = m.end(outer);
        String what = part(at, m);
        String into = at.at().arm();
        Optional<RodPlace> place = Optional.of(at);
        if (end.hole().isEmpty()) {
            return new Fit(
                    Kind.STUD,
                    what,
                    into,
                    SeatingResult.NOT_MEASURED,
                    Phrase.of("The hole in the arm is not measured yet."),
                    List.of(),
                    place);
        }
        Hole hole = end.hole().get();
        SeatingResult seating;
        Phrase note;
        List<FitRemedy> ways = new ArrayList<>();
        Phrase hint = Phrase.of("");
        switch (end.part().stud()) {
            case Stud.Taper t
            when hole instanceof Hole.Tapered h -> {
                TaperFit f = TaperFit.of(t, h);
                seating = f.seating(h);
                note = taper(t, h, f, seating);
                if (seating == SeatingResult.NUT_RUNS_OUT) {
                    hint = Phrase.of(
                            " A hardened washer {0} thick or more under the nut makes up for it.",
                            Quantity.length(f.through() + 1));
                }
                if (seating.bad()) {
                    taperWays(rod, outer, t, h, ways);
                }
            }
            case Stud.Bolt b
            when hole instanceof Hole.Plain p -> {
                double room = p.diameter() - b.diameter();
                seating = room < -1e-6
                        ? SeatingResult.TOO_LARGE
                        : room > BOLT_ROOM + 1e-6
                                ? SeatingResult.LOOSE
                                : end.doubleShear() ? SeatingResult.FITS : SeatingResult.SINGLE_SHEAR;
                note = Phrase.of(
                        "Bolt {0} in a hole of {1} through {2}"
                                + (end.doubleShear()
                                        ? ", held on both sides."
                                        : ": held on one side only, where a bolt bends."),
                        Quantity.fine(b.diameter()),
                        Quantity.fine(p.diameter()),
                        Quantity.length(p.thickness()));
                if (seating == SeatingResult.SINGLE_SHEAR) {
                    ways.add(new FitRemedy(
                            Phrase.of("Hold the bolt on both sides, with a second plate and a spacer"),
                            edit(rod, outer, e -> e.withDoubleShear(true))));
                } else if (seating == SeatingResult.TOO_LARGE) {
                    ways.add(new FitRemedy(
                            Phrase.of("Ream the arm to {0}", Quantity.fine(b.diameter())),
                            edit(
                                    rod,
                                    outer,
                                    e -> e.withHole(Optional.of(new Hole.Plain(b.diameter(), p.thickness()))))));
                } else if (seating == SeatingResult.LOOSE && room >= 3) {
                    ways.add(new FitRemedy(
                            Phrase.of(
                                    "Sleeve the hole from {0} to {1}, pressed in and flush",
                                    Quantity.fine(p.diameter()), Quantity.fine(b.diameter())),
                            edit(
                                    rod,
                                    outer,
                                    e -> e.withHole(Optional.of(new Hole.Plain(b.diameter(), p.thickness()))))));
                }
            }
            case Stud.OnGear _ -> throw new IllegalStateException("nothing to fit");
            case Stud.Taper t -> {
                seating = SeatingResult.OTHER_FORM;
                note = Phrase.of(
                        "A tapered stud of {0} in a plain hole of {1}: it would rock.",
                        Quantity.fine(t.large()), Quantity.fine(((Hole.Plain) hole).diameter()));
                TaperFit.holeFor(t, hole.thickness())
                        .filter(wanted -> ((Hole.Plain) hole).diameter() <= wanted.small())
                        .ifPresent(wanted -> ways.add(ream(rod, outer, t, wanted, hole.thickness())));
            }
            case Stud.Bolt b -> {
                Hole.Tapered h = (Hole.Tapered) hole;
                seating = SeatingResult.OTHER_FORM;
                note = Phrase.of(
                        "A bolt of {0} in a tapered hole of {1} to {2}: it touches one edge only.",
                        Quantity.fine(b.diameter()), Quantity.fine(h.large()), Quantity.fine(h.small()));
                if (b.diameter() >= h.large() - 1e-6) {
                    ways.add(new FitRemedy(
                            Phrase.of(
                                    "Drill the taper out and ream it to {0}, the bolt held on both sides",
                                    Quantity.fine(b.diameter())),
                            edit(rod, outer, e -> e.withHole(Optional.of(new Hole.Plain(b.diameter(), h.thickness())))
                                    .withDoubleShear(true))));
                }
            }
        }
        if (seating.bad()) {
            otherEnd(rod, outer, end, hole, catalogue).ifPresent(ways::add);
        }
        return new Fit(Kind.STUD, what, into, seating, note.then(hint), List.copyOf(ways), place);
    }

    private static Phrase taper(Stud.Taper t, Hole.Tapered h, TaperFit f, SeatingResult s) {
        Phrase sizes = Phrase.of(
                "Stud {0} to {1}, 1 in " + rate(t.rate()) + "; hole {2} to {3}, 1 in " + rate(h.rate())
                        + ", through {4}. ",
                Quantity.fine(t.large()),
                Quantity.fine(t.small()),
                Quantity.fine(h.large()),
                Quantity.fine(h.small()),
                Quantity.length(h.thickness()));
        return sizes.then(
                switch (s) {
                    case FITS ->
                        Phrase.of(
                                "It stands {0} proud and bears over {1}.",
                                Quantity.fine(f.proud()), Quantity.length(f.contact()));
                    case NUT_RUNS_OUT ->
                        Phrase.of(
                                "It stands {0} proud, and its small end comes {1} through: the nut may run out of thread before it draws.",
                                Quantity.fine(f.proud()), Quantity.fine(f.through()));
                    case RATTLES ->
                        Phrase.of(
                                "The tapers differ: it touches at the " + (f.playAtNut() ? "ball's" : "nut's")
                                        + " side only and has {0} to rock in at the other.",
                                Quantity.fine(f.play()));
                    case SINKS ->
                        Phrase.of("It sinks {0} below the arm's face before it seats.", Quantity.fine(-f.proud()));
                    case STANDS_PROUD ->
                        Phrase.of(
                                "It stands {0} proud and bears over {1} only.",
                                Quantity.fine(f.proud()), Quantity.length(f.contact()));
                    case TOO_LARGE -> Phrase.of("It is larger than the hole all along and does not go in.");
                    case NOT_MEASURED, SINGLE_SHEAR, LOOSE, OTHER_FORM, OTHER_HAND, OTHER_PITCH, SHALLOW, THIN ->
                        throw new IllegalStateException(s.name());
                });
    }

    private static String rate(double rate) {
        return LengthText.decimal(1 / rate, 2);
    }

    private static void taperWays(Rod rod, boolean outer, Stud.Taper t, Hole.Tapered h, List<FitRemedy> ways) {
        TaperFit.holeFor(t, h.thickness()).ifPresent(wanted -> reamedOrSleeved(rod, outer, t, h, wanted, ways));
        boltInstead(rod, outer, h, ways);
    }

    private static void reamedOrSleeved(
            Rod rod, boolean outer, Stud.Taper t, Hole.Tapered h, Hole.Tapered wanted, List<FitRemedy> ways) {
        // What is there at the depth that the reamed hole ends at.
        double small = h.large() - h.rate() * wanted.thickness();
        if (wanted.large() >= h.large() - 1e-6 && wanted.small() >= small - 1e-6) {
            ways.add(ream(rod, outer, t, wanted, h.thickness()));
        } else {
            double bored = Math.ceil(Math.max(h.large(), wanted.large()) + 2 * SLEEVE_WALL);
            ways.add(new FitRemedy(
                    faced(h.thickness(), wanted.thickness())
                            .then(Phrase.of(
                                    "Bore the arm {0}, press in a sleeve flush, reamed 1 in " + rate(t.rate())
                                            + " to {1}, if the boss keeps {2} of metal round it",
                                    Quantity.fine(bored),
                                    Quantity.fine(wanted.large()),
                                    Quantity.length(Math.round(bored / 3)))),
                    edit(rod, outer, e -> e.withHole(Optional.of(wanted)))));
        }
    }

    private static void boltInstead(Rod rod, boolean outer, Hole.Tapered h, List<FitRemedy> ways) {
        for (double d : BOLTS) {
            if (d >= h.large() - 1e-6) {
                ways.add(new FitRemedy(
                        Phrase.of(
                                "Bolt through instead: drill and ream the arm {0}, a rod end with that bore, a spacer, the bolt held on both sides",
                                Quantity.fine(d)),
                        edit(rod, outer, e -> e.withPart(e.part().withStud(new Stud.Bolt(d)))
                                .withHole(Optional.of(new Hole.Plain(d, h.thickness())))
                                .withDoubleShear(true))));
                break;
            }
        }
    }

    /** What is faced off an arm that is too thick for the stud. */
    private static Phrase faced(double is, double wanted) {
        return wanted < is - 1e-6
                ? Phrase.of(
                        "Face the arm down to {0} on the nut's side, if it has that to spare. ",
                        Quantity.length(wanted))
                : Phrase.of("");
    }

    private static FitRemedy ream(Rod rod, boolean outer, Stud.Taper t, Hole.Tapered wanted, double is) {
        return new FitRemedy(
                faced(is, wanted.thickness())
                        .then(Phrase.of(
                                "Ream the arm 1 in " + rate(t.rate()) + " from the ball's side until its mouth is {0}",
                                Quantity.fine(wanted.large()))),
                edit(rod, outer, e -> e.withHole(Optional.of(wanted))));
    }

    /** An end of the catalogue with the same thread that seats in the hole as it is. */
    private static Optional<FitRemedy> otherEnd(
            Rod rod, boolean outer, RodMakeUp.End end, Hole hole, Catalogue catalogue) {
        return catalogue.rodEnds().stream()
                .filter(p -> sameThread(p.thread(), end.part().thread()) && seats(p.stud(), hole))
                .findFirst()
                .map(p -> new FitRemedy(
                        Phrase.of("Take another end: " + Phrase.name(p.name()) + " (typical sizes)"),
                        edit(
                                rod,
                                outer,
                                e -> e.withPart(p.withHand(end.part().thread().hand())))));
    }

    private static boolean sameThread(ScrewThread a, ScrewThread b) {
        return Math.abs(a.major() - b.major()) < 0.06 && Math.abs(a.pitch() - b.pitch()) < 0.004;
    }

    private static boolean seats(Stud stud, Hole hole) {
        return switch (stud) {
            case Stud.Taper t ->
                hole instanceof Hole.Tapered h && TaperFit.of(t, h).seating(h).good();
            case Stud.OnGear _ -> false;
            case Stud.Bolt b ->
                hole instanceof Hole.Plain p
                        && p.diameter() >= b.diameter() - 1e-6
                        && p.diameter() - b.diameter() <= BOLT_ROOM;
        };
    }

    private static UnaryOperator<Job> edit(Rod rod, boolean outer, UnaryOperator<RodMakeUp.End> edit) {
        return j -> j.editMaking(m -> m.withRod(rod, m.rod(rod).map(r -> r.withEnd(outer, edit.apply(r.end(outer))))));
    }
}
