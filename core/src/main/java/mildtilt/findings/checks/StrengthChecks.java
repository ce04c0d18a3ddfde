package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;
import mildtilt.build.Piece;
import mildtilt.build.Piece.Groove;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.rules.Rules;
import mildtilt.shaftload.ShaftLoad;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** What a heavy pull at the rim does to shafts and joints. */
final class StrengthChecks {

    private static final double ONE_LARGER = 1.02;

    /** The assumed ratio of a joint's yield torque to its rated torque: the smallest usual one. */
    private static final double RATING_UNDER_YIELD = 1.2;

    /** Of a groove that still holds a bolt, mm. */
    private static final double LEAST_GROOVE = 0.5;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;

    StrengthChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        figures.load().ifPresent(load -> {
            for (int i = 0; i < load.shafts().size(); i++) {
                int shaft = i;
                w.check(
                        "The strength of " + column.shafts().get(i).name(),
                        new Element.ShaftAt(i),
                        all -> shaft(shaft, load.shafts().get(shaft), all));
            }
            for (int i = 0; i < load.joints().size(); i++) {
                int joint = i;
                w.check(
                        "The strength of " + column.joints().get(i).name(),
                        new Element.JointAt(i),
                        all -> joint(joint, load.joints().get(joint), all));
            }
            w.check("The strength over grooves", new Element.Wheel(), all -> grooves(load, all));
            w.check("How far the column winds up", new Element.Wheel(), all -> windUp(load, all));
        });
    }

    /** A groove for a pinch bolt cuts a turned shaft down. */
    private void grooves(ShaftLoad.All load, List<Finding> all) {
        for (int i = 0; i < job.making().pieces().size(); i++) {
            if (job.making().pieces().get(i) instanceof Piece.TurnedShaft t) {
                int piece = i;
                int shaft = column.shafts().stream().map(Shaft::id).toList().indexOf(t.shaft());
                if (shaft >= 0) {
                    ShaftLoad carried = load.shafts().get(shaft);
                    Shaft s = column.shafts().get(shaft);
                    t.wheelEnd()
                            .groove()
                            .ifPresent(g -> groove(
                                    shaft,
                                    carried,
                                    s.wheelEndSeat(),
                                    g,
                                    "wheel end",
                                    all,
                                    deep -> j -> j.editMaking(m -> m.editPiece(
                                            piece,
                                            _ -> t.withWheelEnd(t.wheelEnd().withGroove(shallow(g, deep)))))));
                    t.gearEnd()
                            .groove()
                            .ifPresent(g -> groove(
                                    shaft,
                                    carried,
                                    s.gearEndSeat(),
                                    g,
                                    "gear end",
                                    all,
                                    deep -> j -> j.editMaking(m -> m.editPiece(
                                            piece,
                                            _ -> t.withGearEnd(t.gearEnd().withGroove(shallow(g, deep)))))));
                }
            }
        }
    }

    private static Optional<Groove> shallow(Groove g, double deep) {
        return Optional.of(new Groove(g.fromEnd(), g.width(), deep));
    }

    private void groove(
            int shaft,
            ShaftLoad load,
            ShaftProfile seat,
            Groove g,
            String end,
            List<Finding> all,
            DoubleFunction<UnaryOperator<Job>> edit) {
        Shaft s = column.shafts().get(shaft);
        double left = seat.diameter() - 2 * g.depth();
        double margin = left > s.bore() ? load.marginAt(left, s) : 0;
        double wanted = job.rules().strengthMargin();
        // No weaker than the end is anyway: that is judged with the shaft.
        if (margin >= wanted || left >= seat.roundNoStronger()) {
            return;
        }
        double deep = (seat.diameter() - left * Math.cbrt(wanted / Math.max(margin, 1e-9)) * ONE_LARGER) / 2;
        all.add(new Finding(
                Fault.SHAFT_WEAK,
                margin < 1 ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(shaft),
                "groove " + s.id() + " " + end,
                Phrase.of(
                        "The groove at the " + end + " of " + Phrase.name(s.name())
                                + " leaves Ø {0}, which carries a heavy pull with a margin of {1}; the rule set "
                                + "wants {2}.",
                        Quantity.length(left),
                        Quantity.times(margin),
                        Quantity.times(wanted)),
                Phrase.of(
                        "{0} at the rim twists it with up to {1}, and a shaft breaks where it is thinnest. A "
                                + "sharp corner in a groove has less still.",
                        Quantity.force(job.rules().heavyPull()), Quantity.torque(load.torque())),
                margin > 0 && deep >= LEAST_GROOVE
                        ? List.of(new Remedy(
                                Phrase.of("Turn the groove {0} deep", Quantity.fine(deep)), edit.apply(deep)))
                        : List.of()));
    }

    private void shaft(int index, ShaftLoad load, List<Finding> all) {
        Rules rules = job.rules();
        if (load.margin() >= rules.strengthMargin()) {
            return;
        }
        Shaft s = column.shafts().get(index);
        List<Remedy> remedies = new ArrayList<>();
        // Stress goes with the third power of the diameter.
        double factor = Math.cbrt(rules.strengthMargin() / load.margin()) * ONE_LARGER;
        if (s.toCut()
                && s.profile() instanceof ShaftProfile.Round
                && s.wheelEnd().isEmpty()
                && s.gearEnd().isEmpty()) {
            double d = Math.ceil(s.diameter() * factor);
            double bore = s.bore() * d / s.diameter();
            remedies.add(new Remedy(
                    Phrase.of(
                            "Make " + Phrase.name(s.name()) + " {0} thick" + (s.bore() > 0 ? ", bored {1}" : ""),
                            Quantity.length(d),
                            Quantity.length(bore)),
                    j -> j.editColumn(c -> c.editShaft(
                            index, x -> x.withBore(0).withDiameter(d).withBore(bore)))));
        }
        all.add(new Finding(
                Fault.SHAFT_WEAK,
                load.margin() < 1 ? Severity.STOP : Severity.LOOK,
                new Element.ShaftAt(index),
                Phrase.of(
                        Phrase.name(s.name()) + " carries a heavy pull with a margin of {0} " + load.weakest()
                                + "; the rule set wants {1}.",
                        Quantity.times(load.margin()),
                        Quantity.times(rules.strengthMargin())),
                Phrase.of(
                        "{0} at the rim twists it with up to {1} and, by the joints' angles, bends it with up to {2}: {3} in steel that yields at {4}. "
                                + "Welds and threads have less.",
                        Quantity.force(rules.heavyPull()),
                        Quantity.torque(load.torque()),
                        Quantity.torque(load.bending()),
                        Quantity.stress(load.stressMpa()),
                        Quantity.stress(s.yieldMpa())),
                remedies));
    }

    /** A maker's limit is under yield already: the rule set's margin is kept against yield, as of shafts. */
    private void joint(int index, ShaftLoad.JointLoad load, List<Finding> all) {
        double wanted = job.rules().strengthMargin() / RATING_UNDER_YIELD;
        load.margin()
                .filter(m -> m < Math.max(1, wanted))
                .ifPresent(m -> all.add(new Finding(
                        Fault.JOINT_WEAK,
                        m < 1 ? Severity.STOP : Severity.LOOK,
                        new Element.JointAt(index),
                        Phrase.of(
                                Phrase.name(column.joints().get(index).name())
                                        + " passes up to {0} under a heavy pull, and is made for {1}"
                                        + (m < 1 ? "." : ": a margin of {2}, wanted {3}."),
                                Quantity.torque(load.torque()),
                                Quantity.torque(load.torque() * m),
                                Quantity.times(m),
                                Quantity.times(wanted)),
                        Phrase.of(
                                "{0} at the rim, made larger by the angles of the joints before it. Take a larger joint, or take some of their angle away.",
                                Quantity.force(job.rules().heavyPull())),
                        List.of())));
    }

    private void windUp(ShaftLoad.All load, List<Finding> all) {
        double most = job.rules().windUpDeg();
        if (load.twistDeg() <= most) {
            return;
        }
        int worst = 0;
        for (int i = 1; i < load.shafts().size(); i++) {
            worst = load.shafts().get(i).twistDeg() > load.shafts().get(worst).twistDeg() ? i : worst;
        }
        all.add(new Finding(
                Fault.WIND_UP,
                Severity.LOOK,
                new Element.ShaftAt(worst),
                Phrase.of(
                        "Under a heavy pull the shafts wind up {0}; the rule set takes {1}.",
                        Quantity.angle(load.twistDeg()), Quantity.angle(most)),
                Phrase.of(
                        Phrase.name(column.shafts().get(worst).name())
                                + " gives most of it, {0}. Twist goes with the length and against the fourth power of the "
                                + "diameter: a thicker shaft or a tube is felt at once.",
                        Quantity.angle(load.shafts().get(worst).twistDeg())),
                List.of()));
    }
}
