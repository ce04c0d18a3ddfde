package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.catalogue.Catalogue;
import mildtilt.catalogue.EndFit;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.TrainEdits;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.rules.Rules;
import mildtilt.rules.Rules.Welding;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Shaft ends in forks, hub and gear: whether they fit, how they are held, how far they go in, and the ways out. */
final class EndChecks {

    /** A fork's bore may be opened out by no more than this part of itself; its walls are not known. */
    private static final double BORE_OUT = 0.08;
    /** Thinner than this a sleeve is no sleeve, mm of wall. */
    private static final double THINNEST_SLEEVE = 1.5;
    /** An end may be turned down by no more than this part of itself, as its strength goes with the third power. */
    private static final double TURN_DOWN = 0.15;
    /** Engagement this close to the limit is within a tape's accuracy. */
    private static final double TAPE = 0.95;

    private final Column column;
    private final Rules rules;
    private final Catalogue catalogue;

    EndChecks(Job job, Catalogue catalogue) {
        this.column = job.column().orElseThrow();
        this.rules = job.rules();
        this.catalogue = catalogue;
    }

    /** One end of one shaft. */
    private record End(int shaft, boolean towardGear) {

        YokeDimensions fit(Column c) {
            return towardGear ? c.gearEndFit(shaft) : c.wheelEndFit(shaft);
        }

        ShaftProfile seat(Column c) {
            return towardGear
                    ? c.shafts().get(shaft).gearEndSeat()
                    : c.shafts().get(shaft).wheelEndSeat();
        }

        Column withSeat(Column c, ShaftProfile seat) {
            return c.editShaft(
                    shaft,
                    s -> towardGear
                            ? s.withEnds(s.wheelEnd(), Optional.of(seat))
                            : s.withEnds(Optional.of(seat), s.gearEnd()));
        }

        Column editFit(Column c, UnaryOperator<YokeDimensions> edit) {
            return towardGear ? c.editGearEndFit(shaft, edit) : c.editWheelEndFit(shaft, edit);
        }

        String label(Column c) {
            return "The " + (towardGear ? "gear" : "wheel") + " end of "
                    + Phrase.name(c.shafts().get(shaft).name());
        }

        /** What it goes into. */
        String into(Column c) {
            return !towardGear && shaft == 0
                    ? "the steering wheel's hub"
                    : towardGear && shaft == c.joints().size()
                            ? "the gear's input"
                            : Phrase.name(c.joints()
                                    .get(towardGear ? shaft : shaft - 1)
                                    .name());
        }
    }

    void look(GuardedAnalysis w) {
        for (int i = 0; i < column.shafts().size(); i++) {
            for (boolean towardGear : new boolean[] {false, true}) {
                End end = new End(i, towardGear);
                w.check(
                        "The " + (towardGear ? "gear" : "wheel") + " end of "
                                + column.shafts().get(i).name(),
                        new Element.ShaftAt(i),
                        all -> end.fit(column).socket().ifPresent(s -> {
                            held(end, s, all);
                            engaged(end, s, all);
                            fits(end, s, all);
                        }));
            }
        }
    }

    private void fits(End end, Socket socket, List<Finding> all) {
        ShaftProfile seat = end.seat(column);
        EndFit fit = EndFit.between(seat, socket, EndFit.SLIP);
        if (fit == EndFit.FITS) {
            return;
        }
        String into = end.into(column);
        Quantity own = Quantity.length(seat.diameter());
        Quantity bore = Quantity.length(socket.seat().diameter());
        Phrase what = Phrase.of(
                end.label(column)
                        + switch (fit) {
                            case TOO_LARGE -> " is {0} and does not go into " + into + " of {1}.";
                            case TOO_SMALL -> " is {0} and rattles in " + into + " of {1}.";
                            case OTHER_FORM ->
                                ", " + seat.label() + " {0}, does not fit " + into + ", "
                                        + socket.seat().label() + " {1}.";
                            case OTHER_TEETH ->
                                " has a " + seat.label() + " and " + into + " a "
                                        + socket.seat().label() + ".";
                            case OTHER_WIDTH ->
                                " and " + into + " have " + (seat instanceof ShaftProfile.Keyed ? "keys" : "flats")
                                        + " of different widths.";
                            case FITS -> throw new IllegalStateException();
                        },
                own,
                bore);
        all.add(new Finding(
                Fault.ENDS_DO_NOT_FIT,
                Severity.STOP,
                new Element.ShaftAt(end.shaft()),
                what,
                "An end that does not fit is never hammered on, filed to suit or shimmed with sheet. What the catalogue has is typical: measure both parts first.",
                joinRemedies(end, socket, seat)));
    }

    private List<Remedy> joinRemedies(End end, Socket socket, ShaftProfile seat) {
        List<Remedy> all = new ArrayList<>();
        Shaft shaft = column.shafts().get(end.shaft());
        double bore = socket.seat().diameter();
        double d = seat.diameter();
        otherPart(end).ifPresent(all::add);
        boolean bothRound = seat instanceof ShaftProfile.Round && socket.seat() instanceof ShaftProfile.Round;
        if (bothRound && d > bore && d - bore <= TURN_DOWN * d) {
            all.add(new Remedy(
                    Phrase.of(
                            "Turn the end down from {0} to {1}, with a radius at the step",
                            Quantity.length(d), Quantity.length(bore)),
                    j -> j.editColumn(c -> end.withSeat(c, new ShaftProfile.Round(bore)))));
        }
        if (bothRound && d > bore && d - bore <= BORE_OUT * bore) {
            all.add(new Remedy(
                    Phrase.of(
                            "Bore " + end.into(column) + " out from {0} to {1}, if its walls allow",
                            Quantity.length(bore),
                            Quantity.length(d)),
                    j -> j.editColumn(
                            c -> end.editFit(c, f -> f.withSocket(socket.withSeat(new ShaftProfile.Round(d)))))));
        }
        if (bothRound && (bore - d) / 2 >= THINNEST_SLEEVE) {
            all.add(new Remedy(
                    Phrase.of(
                            "Sleeve the end out from {0} to {1}, pinned or as the rule set allows",
                            Quantity.length(d), Quantity.length(bore)),
                    j -> j.editColumn(c -> end.withSeat(c, new ShaftProfile.Round(bore)))));
        }
        if (!bothRound) {
            all.add(new Remedy(
                    Phrase.of(
                            "Put an adapter on the end: " + seat.label() + " {0} to "
                                    + socket.seat().label() + " {1}",
                            Quantity.length(d),
                            Quantity.length(bore)),
                    j -> j.editColumn(c -> end.withSeat(c, socket.seat()))));
        }
        if (shaft.toCut()
                && shaft.profile() instanceof ShaftProfile.Round
                && rules.accepts(Retention.WELD)
                && !(end.shaft() == 0 && !end.towardGear())
                && !(end.shaft() == column.joints().size() && end.towardGear())) {
            all.add(new Remedy(
                    Phrase.of("Take a weld-on fork bored for {0}", Quantity.length(shaft.diameter())),
                    j -> j.editColumn(c -> end.withSeat(
                            end.editFit(
                                    c,
                                    f -> f.withSocket(
                                            new Socket(new ShaftProfile.Round(shaft.diameter()), Retention.WELD))),
                            new ShaftProfile.Round(shaft.diameter())))));
        }
        return all;
    }

    /** Another joint of the same kind, bored for both shafts as they are. */
    private Optional<Remedy> otherPart(End end) {
        int index = end.towardGear() ? end.shaft() : end.shaft() - 1;
        if (index < 0 || index >= column.joints().size()) {
            return Optional.empty();
        }
        Joint was = column.joints().get(index);
        return catalogue
                .jointLike(
                        was,
                        column.shafts().get(index).gearEndSeat(),
                        column.shafts().get(index + 1).wheelEndSeat(),
                        EndFit.SLIP)
                .map(part -> new Remedy(
                        Phrase.of("Take another part: " + Phrase.name(part.name()) + " (typical sizes)"),
                        j -> j.editColumn(c -> TrainEdits.swapped(c, index, part))));
    }

    private void held(End end, Socket socket, List<Finding> all) {
        Retention hold = socket.hold();
        if (hold == Retention.WELD && rules.welding() != Welding.ALLOWED) {
            welded(end, socket, all);
            return;
        }
        if (rules.accepts(hold)) {
            return;
        }
        all.add(new Finding(
                Fault.HOLD_NOT_ACCEPTED,
                Severity.STOP,
                new Element.ShaftAt(end.shaft()),
                Phrase.of(end.label(column) + " is kept by a " + hold.label() + ", which the rule set \""
                        + Phrase.name(rules.name()) + "\" does not accept."),
                "What keeps a fork on its shaft must not be able to work loose. " + Phrase.name(rules.locking()),
                otherHold(end, socket)));
    }

    private void welded(End end, Socket socket, List<Finding> all) {
        boolean forbidden = rules.welding() == Welding.FORBIDDEN;
        all.add(new Finding(
                Fault.WELDED_SHAFT,
                forbidden ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(end.shaft()),
                Phrase.of(end.label(column) + " is welded into " + end.into(column)
                        + (forbidden
                                ? ", which the rule set \"" + Phrase.name(rules.name()) + "\" forbids."
                                : ": the rule set \"" + Phrase.name(rules.name()) + "\" wants that weld tested.")),
                "Authorities differ on welds in a steering shaft: some forbid any, some want them made by a licensed welder and tested after. Ask the local one "
                        + "before cutting. A weld costs no length and clocks to any angle; a bolted fork can be taken off again and needs no test.",
                forbidden ? otherHold(end, socket) : List.of()));
    }

    private List<Remedy> otherHold(End end, Socket socket) {
        for (Retention h : new Retention[] {Retention.PINCH_BOLT, Retention.SET_SCREW, Retention.NUT}) {
            if (h != socket.hold() && rules.accepts(h)) {
                return List.of(new Remedy(
                        Phrase.of("Keep it with a " + h.label()),
                        j -> j.editColumn(c -> end.editFit(c, f -> f.withSocket(socket.withHold(h))))));
            }
        }
        return List.of();
    }

    private void engaged(End end, Socket socket, List<Finding> all) {
        if (!socket.hold().threaded()) {
            return;
        }
        double least = rules.engagementTimes() * end.seat(column).diameter();
        double is = end.fit(column).engagement();
        if (is >= least - 1e-6) {
            return;
        }
        all.add(new Finding(
                Fault.ENGAGEMENT_SHORT,
                is < TAPE * least ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(end.shaft()),
                end.towardGear() ? "gear end" : "wheel end",
                Phrase.of(
                        end.label(column) + " goes {0} into " + end.into(column) + "; the rule set wants {1}.",
                        Quantity.length(is),
                        Quantity.length(least)),
                Phrase.of("A short end rocks in its bore and works the "
                        + socket.hold().label() + " loose; then it comes out, and the wheel turns nothing. "
                        + Phrase.name(rules.locking())),
                List.of(new Remedy(
                        Phrase.of("Let it go in {0}, if the bore is that deep", Quantity.length(least)),
                        j -> j.editColumn(c -> end.editFit(c, f -> f.withEngagement(least)))))));
    }
}
