package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.clearance.LockKept;
import mildtilt.clearance.Notch;
import mildtilt.clearance.PairGap;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.findings.remedies.StopMoves;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Sweep;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What touches, or comes nearer than it should, anywhere in the range. */
final class ClearanceChecks {

    /** What is moved out of the way is moved so much more than is lacking, mm. */
    private static final double SPARE = 1;
    /** Gaps left and right that differ by less are reported as one, mm. */
    private static final double ALIKE = 2;

    private final Job job;
    private final Optional<ClearanceFigures> figures;

    ClearanceChecks(Job job, Optional<ClearanceFigures> figures) {
        this.job = job;
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("The gaps", new Element.Knuckles(), this::gaps);
        w.check("What obstacles are fixed to", new Element.Knuckles(), this::fixings);
    }

    private void gaps(List<Finding> all) {
        figures.ifPresent(f -> {
            List<PairGap> told = new ArrayList<>();
            guessed(f).ifPresent(all::add);
            for (PairGap p : f.pairs()) {
                if (p.margin() < 0 && !p.guessed() && told.stream().noneMatch(t -> sameOnTheOtherSide(t, p))) {
                    told.add(p);
                    boolean both = f.pairs().stream().anyMatch(o -> o != p && sameOnTheOtherSide(p, o));
                    all.add(finding(f, p, both));
                }
            }
        });
    }

    private void fixings(List<Finding> all) {
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            Obstacle o = job.surroundings().obstacles().get(i);
            for (Carrier c : o.carriers()) {
                if (job.axle().isPresent() && !CarrierMotion.exists(job.axle().get(), c)) {
                    all.add(new Finding(
                            Fault.FIXED_TO_NOTHING,
                            Severity.LOOK,
                            new Element.InTheWay(i),
                            Phrase.of(Phrase.name(o.name()) + " is fixed to the "
                                    + c.label()
                                    + ", which this axle does not have. It is treated as fixed to the frame."),
                            "How it moves as the wheels travel is unknown, so its gaps are right only at ride height.",
                            List.of()));
                }
            }
        }
    }

    /** What only guessed sizes bring too near, in one line: it is no fault yet, and must not hide those that are. */
    private static Optional<Finding> guessed(ClearanceFigures f) {
        List<PairGap> pairs =
                f.pairs().stream().filter(p -> p.margin() < 0 && p.guessed()).toList();
        if (pairs.isEmpty()) {
            return Optional.empty();
        }
        Phrase what = Phrase.of(
                pairs.size() == 1
                        ? "Not measured yet: one pair is close, by guessed sizes: "
                        : "Not measured yet: " + pairs.size() + " pairs are close, by guessed sizes: ");
        for (int i = 0; i < pairs.size(); i++) {
            PairGap p = pairs.get(i);
            what = what.then(i == 0 ? "" : "; ")
                    .then(Phrase.of(
                            Phrase.name(p.first()) + " and " + Phrase.name(p.second())
                                    + (p.touches() ? " ({0} in each other)" : " ({0} apart)"),
                            Quantity.length(Math.abs(p.gap()))));
        }
        Phrase why = Phrase.of("These sizes were not given, so usual ones are used: ");
        for (int i = 0; i < f.assumed().size(); i++) {
            why = why.then(i == 0 ? "" : "; ").then(f.assumed().get(i));
        }
        return Optional.of(new Finding(
                Fault.SIZES_GUESSED,
                Severity.LOOK,
                pairs.getFirst().firstElement(),
                what.then("."),
                why.then(
                        ". Measure the parts and type the sizes (Clearance, Own parts); each pair that is too close then gets its own finding."),
                List.of()));
    }

    private static boolean sameOnTheOtherSide(PairGap a, PairGap b) {
        return own(a)
                && FixedPart.otherSide(a.firstId()).equals(b.firstId())
                && FixedPart.otherSide(a.secondId()).equals(b.secondId())
                && !a.two().equals(b.two())
                && (Math.abs(a.gap() - b.gap()) < ALIKE || a.touches() && b.touches());
    }

    private static boolean foreign(Element e) {
        return e instanceof Element.InTheWay || e instanceof Element.AtTheWheel;
    }

    /** Whether both are parts of the linkage, treated as straight bars. */
    private static boolean own(PairGap p) {
        return !foreign(p.firstElement())
                && !foreign(p.secondElement())
                && !ofColumn(p.firstElement())
                && !ofColumn(p.secondElement());
    }

    private static boolean ofColumn(Element e) {
        return e instanceof Element.ShaftAt
                || e instanceof Element.JointAt
                || e instanceof Element.Tube
                || e instanceof Element.Wheel;
    }

    private Optional<Obstacle> obstacle(Element e) {
        return e instanceof Element.InTheWay i
                ? Optional.of(job.surroundings().obstacles().get(i.index()))
                : Optional.empty();
    }

    private Finding finding(ClearanceFigures f, PairGap p, boolean bothSides) {
        boolean hot = obstacle(p.firstElement())
                .or(() -> obstacle(p.secondElement()))
                .map(Obstacle::hot)
                .orElse(false);
        Severity severity = p.touches() ? Severity.STOP : Severity.LOOK;
        Phrase at = p.steered()
                ? Phrase.of(
                        ", worst " + p.where().words() + " (steering wheel {0}"
                                + (p.where().travelLeft() == 0
                                        ? ")"
                                        : ", wheel {1} " + (p.where().travelLeft() > 0 ? "up)" : "down)")),
                        Quantity.angle(p.where().steeringWheelDeg()),
                        Quantity.length(Math.abs(p.where().travelLeft())))
                : Phrase.of(
                        p.where().column().isEmpty()
                                ? ""
                                : ", worst with the " + p.where().column());
        Phrase rest = p.steered() && p.atRest() >= p.need()
                ? Phrase.of(" At rest they are {0} apart.", Quantity.length(p.atRest()))
                : Phrase.of("");
        Phrase what = (p.touches()
                        ? Phrase.of(
                                Phrase.name(capital(p.first())) + " goes {0} into " + Phrase.name(p.second()),
                                Quantity.length(-p.gap()))
                        : Phrase.of(
                                Phrase.name(capital(p.first())) + " comes within {0} of " + Phrase.name(p.second()),
                                Quantity.length(p.gap())))
                .then(bothSides ? ", and the same on the other side" : "")
                .then(at)
                .then(Phrase.of(". {0} is needed.", Quantity.length(p.need())))
                .then(rest);
        String why = own(p)
                ? "Both are treated as straight round bars between their joints. If the real part is bent there, measure it, or leave the pair out."
                : p.firstElement() instanceof Element.AtTheWheel || p.secondElement() instanceof Element.AtTheWheel
                        ? "A knee or hand caught between the steering wheel and anything else keeps the driver from steering, or is hurt in a crash."
                        : hot
                                ? "Heat dries grease out of joints and bearings, chars boots and softens hoses long before anything touches."
                                : "What rubs wears through, and what wedges stops the steering. Frames flex and engines move: a gap on the drawing is smaller on the road.";
        Element element =
                foreign(p.firstElement()) && !foreign(p.secondElement()) ? p.secondElement() : p.firstElement();
        return new Finding(
                        p.touches() ? Fault.TOUCHES : Fault.GAP_SHORT,
                        severity,
                        element,
                        p.label(),
                        what,
                        Phrase.of(why),
                        remedies(f, p))
                .titled(capital(p.first()) + (p.touches() ? " hits " : " too close to ") + p.second())
                .by(Quantity.length(p.gap()))
                .at(
                        p.where().steeringWheelDeg(),
                        p.where().travelLeft(),
                        p.where().travelRight());
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    private List<Remedy> remedies(ClearanceFigures f, PairGap p) {
        List<Remedy> all = new ArrayList<>();
        f.lock().ifPresent(l -> stops(l, p).ifPresent(all::add));
        moveJoint(p).ifPresent(all::add);
        f.notches().stream()
                .filter(n -> !n.through()
                        && n.rail().id().equals(p.secondId())
                        && n.by().id().equals(p.firstId()))
                .findFirst()
                .ifPresent(n -> all.add(notch(n)));
        moveObstacle(p).ifPresent(all::add);
        if (own(p) || p.atRest() <= 0) {
            all.add(new Remedy(
                    Phrase.of("Leave this pair out: they are meant to be this close, or the real parts differ"),
                    j -> j.editSurroundings(s -> own(p)
                            ? s.leavingOut(p.firstId(), p.secondId())
                                    .leavingOut(FixedPart.otherSide(p.firstId()), FixedPart.otherSide(p.secondId()))
                            : s.leavingOut(p.firstId(), p.secondId()))));
        }
        return all;
    }

    /** Stops that act before this pair comes too near, where it is this pair that asks for the earliest. */
    private Optional<Remedy> stops(LockKept lock, PairGap p) {
        List<LockKept.KeptLock> ways = Arrays.stream(Side.values())
                .flatMap(s -> lock.stop(s).stream())
                .filter(w -> w.pair().filter(p.two()::equals).isPresent())
                .toList();
        if (ways.isEmpty()) {
            return Optional.empty();
        }
        double inner = Math.floor(ways.stream()
                                .mapToDouble(LockKept.KeptLock::keptDeg)
                                .min()
                                .orElseThrow()
                        * 10)
                / 10;
        return inner < 5
                ? Optional.empty()
                : Optional.of(new Remedy(
                        Phrase.of(
                                "Set the knuckle stops at {0} with the wheel inside, so that the lock ends before",
                                Quantity.angle(inner)),
                        j -> StopMoves.withInnerStopsBy(j, inner)));
    }

    /** The joint moved straight away from what it is too near to. */
    private Optional<Remedy> moveJoint(PairGap p) {
        boolean first = p.firstElement() instanceof Element.JointAt;
        if (!first || p.where().column().length() > 0 || !(p.firstElement() instanceof Element.JointAt joint)) {
            return Optional.empty();
        }
        Vector away =
                p.gap() > 0 ? p.onFirst().minus(p.onSecond()) : p.onSecond().minus(p.onFirst());
        if (away.norm() < 1e-3) {
            return Optional.empty();
        }
        Vector by = away.direction().times(Math.max(0, p.need() - p.gap()) + SPARE);
        return Optional.of(new Remedy(
                Phrase.of(
                        "Move " + Phrase.name(p.first()) + " {0} away from " + Phrase.name(p.second()),
                        Quantity.length(by.norm())),
                j -> j.editColumn(c -> {
                    Point to = c.joints().get(joint.index()).centre().plus(by);
                    return c.withJoint(
                            joint.index(), c.joints().get(joint.index()).withCentre(to));
                })));
    }

    private Remedy notch(Notch n) {
        Phrase action = Phrase.of(
                "Notch " + Phrase.name(n.rail().name()) + " in its " + n.face().label()
                        + ", {0} deep and {1} long, and box the notch in with plate {2} long",
                Quantity.length(n.depth()),
                Quantity.length(n.width()),
                Quantity.length(n.boxing()));
        return new Remedy(
                action,
                j -> j.editSurroundings(s -> {
                    Obstacle rail = s.obstacles().get(n.obstacle());
                    Surroundings changed = s;
                    for (int i = 0; i < n.left().size(); i++) {
                        Obstacle piece = rail.withShape(n.left().get(i));
                        changed = i == 0
                                ? changed.edit(n.obstacle(), _ -> piece)
                                : changed.with(piece.withName(rail.name() + ", piece"));
                    }
                    return changed;
                }));
    }

    /** What can be unbolted may be moved. */
    private Optional<Remedy> moveObstacle(PairGap p) {
        if (!(p.secondElement() instanceof Element.InTheWay i) || foreign(p.firstElement())) {
            return Optional.empty();
        }
        Obstacle o = job.surroundings().obstacles().get(i.index());
        Vector away =
                p.gap() > 0 ? p.onSecond().minus(p.onFirst()) : p.onFirst().minus(p.onSecond());
        if (o.may() != Obstacle.May.MOVED
                || !(o.sweep() instanceof Sweep.Still || o.sweep() instanceof Sweep.Wanders)
                || away.norm() < 1e-3) {
            return Optional.empty();
        }
        Vector by = away.direction().times(Math.max(0, p.need() - p.gap()) + SPARE);
        return Optional.of(new Remedy(
                Phrase.of(
                        "Move " + Phrase.name(o.name()) + " {0} away, if it can be moved", Quantity.length(by.norm())),
                j -> j.editSurroundings(
                        s -> s.edit(i.index(), x -> x.withShape(x.shape().shifted(by))))));
    }
}
