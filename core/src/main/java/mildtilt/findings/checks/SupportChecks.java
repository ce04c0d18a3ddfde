package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.bearings.BearingPlace;
import mildtilt.bearings.ClearShaft;
import mildtilt.bearings.FixedAxes;
import mildtilt.bearings.ForcedBearing;
import mildtilt.bearings.OutOfLine;
import mildtilt.bearings.Span;
import mildtilt.bearings.Supports;
import mildtilt.catalogue.Catalogue;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.columnrange.AxleFollowing;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.TrainEdits;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Faults of what holds the column: floating shafts, long spans, bearings out of line or of the wrong bore, axes that
 * miss.
 */
final class SupportChecks {

    /** A joint is put on a measured axis at best this truly, mm. */
    private static final double ON_AXIS = 0.5;
    /** Between the two joints that take the place of one and the nearest point of the axes, mm. */
    private static final double JOINTS_APART = 60;

    private static final double TUBE = 45;
    /** From a fork's face to a bearing's middle, for its housing, mm. */
    private static final double HOUSING = 20;

    private static final double BEARING_SLIP = 0.05;
    private static final int OFFERED = 3;
    /** A bearing forced farther than this is a stop: no bracket gives so much, mm. */
    private static final double FORCED_STOP = 2;

    private static final int PLACES = 20;
    private static final double MOST_SHIM = 25;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;
    private final Catalogue catalogue;

    SupportChecks(Job job, ColumnFigures figures, Catalogue catalogue) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
        this.catalogue = catalogue;
    }

    void look(GuardedAnalysis w) {
        w.check("What holds the shafts", new Element.Wheel(), this::floating);
        w.check("The free lengths of the shafts", new Element.Wheel(), all -> figures.spans()
                .forEach(s -> span(s, all)));
        w.check("How the bearings line up", new Element.Wheel(), all -> figures.outOfLine()
                .forEach(o -> fighting(o, all)));
        w.check("How the frame's movement pushes on the bearings", new Element.Wheel(), all -> figures.forced()
                .forEach(f -> forced(f, all)));
        w.check("How the axle's travel pushes on the bearings", new Element.Wheel(), all -> figures.following()
                .ifPresent(f -> f.carried().forEach(c -> carried(c, all))));
        w.check("The column tube on its shaft", new Element.Wheel(), this::tubeOnShaft);
        for (int i = 0; i < column.bearings().size(); i++) {
            int bearing = i;
            w.check("Bearing " + (i + 1), new Element.BearingAt(i), all -> {
                onShaft(bearing, all);
                bore(bearing, all);
            });
        }
        w.check("How the column meets the gear's input", new Element.GearElement(), all -> figures.axes()
                .ifPresent(a -> axes(a, all)));
    }

    /** Any shaft that nothing holds lets the column fold or the wheel flop, whether there is a tube or not. */
    private void floating(List<Finding> all) {
        if (figures.supports().allHeld()) {
            return;
        }
        int first = figures.supports().held().indexOf(false);
        List<String> names = new ArrayList<>();
        for (int i = 0; i < column.shafts().size(); i++) {
            if (!figures.supports().held().get(i)) {
                names.add(Phrase.name(column.shafts().get(i).name()));
            }
        }
        int missing = figures.supports().missing();
        List<Remedy> remedies = new ArrayList<>();
        boolean bare = first == 0 && column.tube().isEmpty();
        if (bare) {
            remedies.add(new Remedy(
                    Phrase.of("Put " + Phrase.name(column.shafts().getFirst().name())
                            + " in a column tube with a bearing near each end"),
                    j -> j.editColumn(c -> TrainEdits.withTube(c, TUBE, 0))));
        } else {
            BearingPlace.of(column).stream()
                    .limit(OFFERED)
                    .map(p -> new Remedy(
                            Phrase.of(
                                    "Put a support bearing on "
                                            + Phrase.name(column.shafts()
                                                    .get(p.shaft())
                                                    .name()) + ", {0} from the centre of "
                                            + Phrase.name(column.joints()
                                                    .get(p.joint())
                                                    .name()) + ", where it moves the joint {1} its own play",
                                    Quantity.length(p.toJoint()),
                                    Quantity.times(p.gain())),
                            j -> j.editColumn(p::putOn)))
                    .forEach(remedies::add);
        }
        Optional<Joint> loose =
                column.joints().stream().filter(j -> !j.kind().locates()).findFirst();
        String why = bare
                ? "Nothing holds the shaft at the wheel: it needs two bearings of its own, those of a column tube or two that carry a "
                        + "bare shaft. "
                : loose.isPresent()
                        ? Phrase.name(loose.get().name())
                                + " is a double joint that does not centre itself: it holds neither of its "
                                + "shafts, so each needs bearings of its own. "
                        : "";
        all.add(new Finding(
                Fault.SHAFT_FLOATS,
                Severity.STOP,
                new Element.ShaftAt(first),
                Phrase.of((names.size() == 1 ? names.getFirst() + " floats" : String.join(" and ", names) + " float")
                        + ": " + missing + (missing == 1 ? " bearing more is" : " bearings more are")
                        + " needed, or the column folds."),
                why
                        + "More joints than the ends can hold fold under load like a chain, and the wheel turns nothing. A bearing does most close to the "
                        + "joint it steadies. Its bracket must be stiff: weld it to the frame, not to sheet.",
                remedies));
    }

    private void span(Span s, List<Finding> all) {
        double least = job.rules().spanHz();
        if (s.hertz() >= least) {
            return;
        }
        Shaft shaft = column.shafts().get(s.shaft());
        double longest = Span.longestFor(shaft, least);
        List<Remedy> remedies = new ArrayList<>();
        double middle = (s.from() + s.to()) / 2;
        if (middle > 0) {
            remedies.add(new Remedy(
                    Phrase.of(
                            "Put a bearing on " + Phrase.name(shaft.name()) + ", {0} from its wheel end, in line",
                            Quantity.length(middle)),
                    j -> j.editColumn(c -> {
                        Column with = TrainEdits.withBearing(
                                c,
                                s.shaft(),
                                Bearing.planned(
                                        Id.Kind.BEARING.next(c.partIds()),
                                        "Steady bearing",
                                        Bearing.Kind.PILLOW_BLOCK,
                                        Bearing.Mount.FRAME,
                                        s.shaft(),
                                        0,
                                        shaft.diameter()));
                        return with.editBearing(with.bearings().size() - 1, b -> b.on(s.shaft(), middle));
                    })));
        }
        all.add(new Finding(
                Fault.SPAN_LONG,
                Severity.LOOK,
                new Element.ShaftAt(s.shaft()),
                Phrase.of(
                        "{0} of " + Phrase.name(shaft.name())
                                + " hang free, which is long for its diameter of {1}: at most {2}.",
                        Quantity.length(s.length()),
                        Quantity.length(shaft.diameter()),
                        Quantity.length(longest)),
                Phrase.of("A span that long shakes at " + Math.round(s.hertz())
                        + " times a second, within reach of engine and road; the rule set asks for " + Math.round(least)
                        + ". A tube of the same weight is stiffer than a bar."),
                remedies));
    }

    private void fighting(OutOfLine o, List<Finding> all) {
        Bearing b = column.bearings().get(o.bearing());
        boolean bent = o.off() > job.rules().outOfLine();
        boolean leant = o.pastItsAlignment(column);
        if (!bent && !leant) {
            return;
        }
        Phrase what = bent
                ? Phrase.of(
                        Phrase.name(b.name()) + " fights the others: it is {0} out of line and loaded with {1}.",
                        Quantity.length(o.off()),
                        Quantity.force(o.sideLoad()))
                : Phrase.of(
                        "The shaft leans {0} in " + Phrase.name(b.name()) + ", and a "
                                + b.kind().label() + " takes {1}.",
                        Quantity.angle(o.tiltDeg()),
                        Quantity.angle(b.kind().selfAlignDeg()));
        String move = Stream.of(
                        b.offAcross() == 0 ? "" : "{0} to the " + (b.offAcross() > 0 ? "right" : "left"),
                        b.offUp() == 0 ? "" : "{1} " + (b.offUp() > 0 ? "down" : "up"))
                .filter(s -> !s.isEmpty())
                .reduce((a, c) -> a + " and " + c)
                .orElse("");
        List<Remedy> remedies = move.isEmpty()
                ? List.of()
                : List.of(new Remedy(
                        Phrase.of(
                                "Shim " + Phrase.name(b.name()) + " " + move,
                                Quantity.length(Math.abs(b.offAcross())),
                                Quantity.length(Math.abs(b.offUp()))),
                        j -> j.editColumn(c -> c.editBearing(o.bearing(), x -> x.withOff(0, 0)))));
        all.add(new Finding(
                Fault.BEARINGS_FIGHT,
                Severity.LOOK,
                new Element.BearingAt(o.bearing()),
                what,
                "Bearings that do not lie on one line bend the shaft once in every turn: it turns stiff and springs back. Bolt one up, "
                        + "let the shaft find the others, then shim.",
                remedies));
    }

    /** The body moves against the frame, or the wheel tilts, and a bearing does not go along with its shaft. */
    private void forced(ForcedBearing f, List<Finding> all) {
        Bearing b = column.bearings().get(f.bearing());
        boolean carried = f.off() > job.rules().outOfLine();
        boolean leant = f.pastItsAlignment(column);
        if (!carried && !leant) {
            return;
        }
        String name = Phrase.name(b.name());
        String cause = f.byFrame() ? "the frame's movement" : "tilting the wheel";
        Phrase what = carried
                ? Phrase.of(
                        name + ", fixed to the " + b.mount().label() + ", is forced {0} off its shaft by " + cause
                                + ", and presses with {1}.",
                        Quantity.length(f.off()),
                        Quantity.force(f.sideLoad()))
                : Phrase.of(
                        "By " + cause + " the shaft leans {0} in " + name + ", and a "
                                + b.kind().label() + " takes {1}.",
                        Quantity.angle(f.tiltDeg()),
                        Quantity.angle(b.kind().selfAlignDeg()));
        List<Remedy> remedies = new ArrayList<>();
        UnaryOperator<Column> other = c -> c.editBearing(f.bearing(), ForcedBearing::otherMount);
        if (cures(other)) {
            remedies.add(new Remedy(
                    Phrase.of("Fix " + name + " to the "
                            + ForcedBearing.otherMount(b).mount().label()
                            + " instead, so that it goes along with its shaft"),
                    j -> j.editColumn(other)));
        }
        UnaryOperator<Column> aligning = c -> c.editBearing(f.bearing(), x -> x.withKind(Bearing.Kind.ROD_END));
        if (!carried && cures(aligning)) {
            remedies.add(new Remedy(
                    Phrase.of(
                            "Make " + name + " a self-aligning one: a rod end takes {0}",
                            Quantity.angle(Bearing.Kind.ROD_END.selfAlignDeg())),
                    j -> j.editColumn(aligning)));
        }
        moved(f, b).ifPresent(remedies::add);
        UnaryOperator<Column> dropped = c -> c.withBearings(c.bearings().stream()
                .filter(x -> x != c.bearings().get(f.bearing()))
                .toList());
        if (Supports.of(dropped.apply(column)).allHeld()) {
            remedies.add(new Remedy(
                    Phrase.of("Leave " + name + " out: the column is held without it"), j -> j.editColumn(dropped)));
        }
        all.add(new Finding(
                Fault.BEARING_FORCED,
                carried && f.off() > FORCED_STOP ? Severity.STOP : Severity.LOOK,
                new Element.BearingAt(f.bearing()),
                what,
                "It bends the shaft, stiffens the steering as the frame works, and cracks its bracket or wears the gear's own bearing. Where a bulkhead only has to be "
                        + "sealed, a boot or a bearing in a slot that floats does it.",
                remedies));
    }

    private void carried(AxleFollowing.Carried carried, List<Finding> all) {
        if (carried.off() <= job.rules().outOfLine()) {
            return;
        }
        Bearing b = column.bearings().get(carried.bearing());
        String name = Phrase.name(b.name());
        UnaryOperator<Column> dropped = c -> c.withBearings(
                c.bearings().stream().filter(x -> !x.id().equals(b.id())).toList());
        all.add(new Finding(
                Fault.BEARING_FORCED,
                Severity.STOP,
                new Element.BearingAt(carried.bearing()),
                Phrase.of(
                        name + ", fixed to the " + b.mount().label()
                                + ", is forced {0} off its shaft by the axle's travel.",
                        Quantity.length(carried.off())),
                "The gear goes up, down and round with the axle and takes this shaft along. A bearing that stays behind bends the shaft, "
                        + "binds the steering, and breaks. Hold the shafts before the sliding one on the frame, those after it on the axle, the sliding one nowhere.",
                Supports.of(dropped.apply(column)).allHeld()
                        ? List.of(new Remedy(Phrase.of("Take " + name + " off"), j -> j.editColumn(dropped)))
                        : List.of()));
    }

    /** Along its shaft to where it is no longer forced. */
    private Optional<Remedy> moved(ForcedBearing f, Bearing b) {
        ClearShaft clear = ClearShaft.of(column, b.shaft());
        Optional<Double> best = IntStream.rangeClosed(0, PLACES)
                .mapToObj(i -> clear.from() + HOUSING + (clear.to() - clear.from() - 2 * HOUSING) * i / PLACES)
                .filter(at -> at > 0 && at < column.length(b.shaft()))
                .sorted(Comparator.comparingDouble(at -> Math.abs(at - b.along())))
                .filter(at -> cures(c -> c.editBearing(f.bearing(), x -> x.on(x.shaft(), at))))
                .findFirst();
        return best.map(at -> new Remedy(
                Phrase.of("Move " + Phrase.name(b.name()) + " to {0} from the shaft's wheel end", Quantity.length(at)),
                j -> j.editColumn(c -> c.editBearing(f.bearing(), x -> x.on(x.shaft(), at)))));
    }

    /** Whether a change leaves every shaft held and no bearing forced past what is allowed. */
    private boolean cures(UnaryOperator<Column> change) {
        Column changed = change.apply(column);
        return Supports.of(changed).allHeld()
                && ForcedBearing.of(changed).stream()
                        .noneMatch(f -> f.off() > job.rules().outOfLine() || f.pastItsAlignment(changed));
    }

    /** A shaft may have been moved or shortened under its tube. */
    private void tubeOnShaft(List<Finding> all) {
        double end = ClearShaft.of(column, 0).to();
        column.tube().filter(t -> t.to() > end + 1e-6).ifPresent(t -> {
            List<Remedy> remedies = end - HOUSING <= t.from()
                    ? List.of()
                    : List.of(new Remedy(
                            Phrase.of("Let the tube end {0} from the hub", Quantity.length(end - HOUSING)),
                            j -> j.editColumn(c -> c.withTube(c.tube().map(x -> x.withTo(end - HOUSING))))));
            all.add(new Finding(
                    Fault.BEARING_OFF_SHAFT,
                    Severity.STOP,
                    new Element.Tube(),
                    Phrase.of(
                            "The tube's lower bearing sits {0} from the hub, where "
                                    + Phrase.name(column.shafts().getFirst().name()) + " has ended.",
                            Quantity.length(t.to())),
                    Phrase.of(
                            "The shaft is clear of the fork up to {0}. What sits past it holds nothing.",
                            Quantity.length(end)),
                    remedies));
        });
    }

    private void onShaft(int index, List<Finding> all) {
        Bearing b = column.bearings().get(index);
        ClearShaft clear = ClearShaft.of(column, b.shaft());
        if (clear.holds(b.along())) {
            return;
        }
        double from = clear.from();
        double to = clear.to();
        String shaft = column.shafts().get(b.shaft()).name();
        List<Remedy> remedies = to - from < 2 * HOUSING
                ? List.of()
                : List.of(new Remedy(
                        Phrase.of(
                                "Put it on " + Phrase.name(shaft) + ", {0} from its wheel end",
                                Quantity.length(Math.clamp(b.along(), from + HOUSING, to - HOUSING))),
                        j -> j.editColumn(c -> c.editBearing(
                                index, x -> x.on(x.shaft(), Math.clamp(x.along(), from + HOUSING, to - HOUSING))))));
        all.add(new Finding(
                Fault.BEARING_OFF_SHAFT,
                Severity.STOP,
                new Element.BearingAt(index),
                Phrase.of(
                        Phrase.name(b.name()) + " does not sit on " + Phrase.name(shaft)
                                + ": it sits {0} from its wheel end, and the shaft is clear from {1} to {2}.",
                        Quantity.length(b.along()),
                        Quantity.length(from),
                        Quantity.length(to)),
                "A bearing on a fork or past the end holds nothing, and the fork strikes it.",
                remedies));
    }

    private void bore(int index, List<Finding> all) {
        Bearing b = column.bearings().get(index);
        Shaft s = column.shafts().get(b.shaft());
        double play = b.bore() - s.diameter();
        boolean round = s.profile() instanceof ShaftProfile.Round;
        if (round && play >= -1e-6 && play <= BEARING_SLIP + 1e-6) {
            return;
        }
        Phrase what = !round
                ? Phrase.of(Phrase.name(b.name()) + " has nothing round to run on: " + Phrase.name(s.name()) + " is "
                        + s.profile().label() + " there.")
                : play < 0
                        ? Phrase.of(
                                Phrase.name(b.name()) + " has a bore of {0}; " + Phrase.name(s.name())
                                        + " of {1} does not go through.",
                                Quantity.length(b.bore()),
                                Quantity.length(s.diameter()))
                        : Phrase.of(
                                Phrase.name(b.name()) + " has a bore of {0}; " + Phrase.name(s.name())
                                        + " of {1} rattles in it.",
                                Quantity.length(b.bore()),
                                Quantity.length(s.diameter()));
        Optional<Double> below = catalogue.boreBelow(s.diameter(), BEARING_SLIP);
        Optional<Double> above = catalogue.boreAbove(s.diameter() + 1e-6, BEARING_SLIP);
        Optional<Double> same = catalogue
                .bores()
                .boxed()
                .filter(x -> x >= s.diameter() - 1e-6 && x <= s.diameter() + BEARING_SLIP)
                .findFirst();
        List<Remedy> remedies = new ArrayList<>();
        same.filter(_ -> round)
                .ifPresent(x -> remedies.add(new Remedy(
                        Phrase.of("Take a bearing with a bore of {0}", Quantity.length(x)),
                        j -> j.editColumn(c -> c.editBearing(index, k -> k.withBore(x))))));
        if (round && s.toCut()) {
            below.ifPresent(x -> remedies.add(new Remedy(
                    Phrase.of(
                            "Turn " + Phrase.name(s.name()) + " down to {0} and take a bearing of that bore",
                            Quantity.length(x)),
                    j -> j.editColumn(c -> c.editShaft(b.shaft(), k -> k.withEnds(
                                            Optional.of(k.wheelEndSeat()), Optional.of(k.gearEndSeat()))
                                    .withDiameter(x))
                            .editBearing(index, k -> k.withBore(x))))));
        }
        Phrase why = Phrase.of("A bearing must be a light push on its shaft.");
        if (below.isPresent()) {
            why = why.then(Phrase.of(
                    " The next standard bore below is {0}: turn the shaft down to it.", Quantity.length(below.get())));
        }
        if (above.isPresent()) {
            why = why.then(Phrase.of(
                    " The next above is {0}: a sleeve takes up {1} all round.",
                    Quantity.length(above.get()), Quantity.length((above.get() - s.diameter()) / 2)));
        }
        all.add(new Finding(
                Fault.BEARING_BORE,
                play < 0 || !round ? Severity.STOP : Severity.LOOK,
                new Element.BearingAt(index),
                what,
                why,
                remedies));
    }

    private void axes(FixedAxes axes, List<Finding> all) {
        if (axes.crossing().isPresent()) {
            crossing(axes, axes.crossing().get(), all);
            return;
        }
        off(axes.firstOff(), 0, "the column", all);
        off(axes.lastOff(), column.joints().size() - 1, "the gear's input", all);
    }

    private void off(Optional<Double> off, int joint, String whose, List<Finding> all) {
        if (off.isEmpty() || off.get() <= ON_AXIS) {
            return;
        }
        String name = column.joints().get(joint).name();
        List<Remedy> remedies = column.joints().size() < 2
                ? List.of()
                : List.of(new Remedy(
                        Phrase.of(
                                "Put " + Phrase.name(name) + " on the measured axis, {0} over",
                                Quantity.length(off.get())),
                        j -> j.editColumn(FixedAxes::onAxes)));
        all.add(new Finding(
                Fault.AXES_MISS,
                Severity.STOP,
                new Element.JointAt(joint),
                Phrase.of(
                        Phrase.name(name) + " is {0} off the axis of " + whose + " as measured.",
                        Quantity.length(off.get())),
                "A bolted-down shaft can't be aimed again: a joint drawn beside its axis will not go on, or bends what holds it.",
                remedies));
    }

    /** One joint between two axes that are both bolted down. */
    private void crossing(FixedAxes axes, FixedAxes.Crossing x, List<Finding> all) {
        boolean inPlace = column.joints().getFirst().centre().distanceTo(x.onGear()) <= ON_AXIS;
        if (x.miss() <= ON_AXIS && inPlace) {
            return;
        }
        List<Remedy> remedies = new ArrayList<>();
        // No column is shimmed by more than a packing piece.
        if (x.shim().norm() <= MOST_SHIM) {
            remedies.add(new Remedy(
                    Phrase.of(
                            "Shim the column " + shimWords(x.shim()) + " and put the joint where the axes then meet",
                            shimSizes(x.shim())),
                    j -> j.editColumn(axes::shimmed)));
        }
        if (x.miss() > ON_AXIS && column.joints().size() < Column.MOST_JOINTS) {
            remedies.add(new Remedy(
                    Phrase.of("Use two joints with a short shaft between, one on each axis"),
                    j -> j.editColumn(c -> twoJoints(c, x))));
        }
        all.add(new Finding(
                Fault.AXES_MISS,
                Severity.STOP,
                new Element.JointAt(0),
                Phrase.of(
                        x.miss() > ON_AXIS
                                ? "The axes of column and gear miss each other by {0}; one joint can't join them."
                                : "The axes of column and gear meet {1} from the joint.",
                        Quantity.length(x.miss()),
                        Quantity.length(column.joints().getFirst().centre().distanceTo(x.onGear()))),
                Phrase.of(
                        "A single joint turns freely only where both axes go through its centre; a small miss bends both shafts in every "
                                + "turn and works the bearings loose. At their closest they cross at {0}.",
                        Quantity.angle(x.angleDeg())),
                remedies));
    }

    private static String shimWords(Vector by) {
        List<String> words = new ArrayList<>();
        String[] ways = {
            by.x() > 0 ? "forward" : "back", by.y() > 0 ? "to the left" : "to the right", by.z() > 0 ? "up" : "down"
        };
        double[] sizes = {by.x(), by.y(), by.z()};
        for (int i = 0; i < 3; i++) {
            if (Math.abs(sizes[i]) > 0.05) {
                words.add("{" + i + "} " + ways[i]);
            }
        }
        return words.isEmpty() ? "nowhere" : String.join(", ", words);
    }

    private static Quantity[] shimSizes(Vector by) {
        return new Quantity[] {
            Quantity.length(Math.abs(by.x())), Quantity.length(Math.abs(by.y())), Quantity.length(Math.abs(by.z()))
        };
    }

    private static Column twoJoints(Column c, FixedAxes.Crossing x) {
        Joint was = c.joints().getFirst();
        double back = Math.min(JOINTS_APART, c.hub().distanceTo(x.onColumn()) / 2);
        double on = Math.min(JOINTS_APART, c.gearInput().distanceTo(x.onGear()) / 2);
        Column split = TrainEdits.split(c, 1, was.withKind(new JointKind.Single()));
        return split.editJoint(
                        0,
                        j -> j.withCentre(x.onColumn()
                                .plus(c.installation()
                                        .columnAxis()
                                        .orElseThrow()
                                        .times(-back))))
                .editJoint(
                        1,
                        j -> j.withCentre(
                                x.onGear().plus(c.gear().axis().orElseThrow().times(on))))
                .editShaft(1, s -> Shaft.round(s.id(), "Intermediate shaft", s.diameter(), 0, true))
                .editShaft(2, s -> c.shafts().get(1).withId(s.id()).withToCut(s.toCut()));
    }
}
