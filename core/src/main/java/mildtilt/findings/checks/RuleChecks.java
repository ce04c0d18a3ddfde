package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mildtilt.column.Column;
import mildtilt.column.Slide;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.FrontPush;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.rules.Rules;
import mildtilt.shop.ClassFigures;
import mildtilt.shop.ClassFigures.Limit;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What the rule set asks of the whole: a blow from the front, joints in the cabin, the vehicle's class. Advice, never a
 * verdict.
 */
final class RuleChecks {

    private static final double SPEAR = 12;

    private final Job job;
    private final Column column;
    private final ColumnFigures figures;
    private final Rules rules;

    RuleChecks(Job job, ColumnFigures figures) {
        this.job = job;
        this.column = job.column().orElseThrow();
        this.figures = figures;
        this.rules = job.rules();
    }

    void look(GuardedAnalysis w) {
        w.check(
                "What the column does when it is pushed from the front",
                new Element.Wheel(),
                all -> push(figures.push(), all));
        w.check("Joints inside the cabin", new Element.Wheel(), all -> cabin(figures.push(), all));
        w.check("The rule set's class of vehicle", new Element.Wheel(), this::vehicleClass);
    }

    /** Two schools: a column that shortens, or one that is kinked so that it folds aside. */
    private void push(FrontPush push, List<Finding> all) {
        double wanted = rules.collapse().stroke();
        Optional<Double> kink = rules.collapse().kinkDeg();
        boolean shortens = push.stroke() >= wanted;
        boolean folds = kink.map(k -> push.kinkDeg() >= k).orElse(false);
        if (wanted == 0 || shortens || folds) {
            return;
        }
        Phrase asks = kink.map(k -> Phrase.of(
                        " The rule set \"" + Phrase.name(rules.name())
                                + "\" asks for {0} of free stroke, or {1} of kink instead.",
                        Quantity.length(wanted),
                        Quantity.angle(k)))
                .orElseGet(() -> Phrase.of(
                        " The rule set \"" + Phrase.name(rules.name()) + "\" asks for {0} of free stroke.",
                        Quantity.length(wanted)));
        boolean spear = push.kinkDeg() < SPEAR;
        String straight = spear
                ? "From gear to driver it is all but a straight bar: pushed from the front it comes at the driver like a spear. "
                : "";
        all.add(new Finding(
                Fault.FRONT_PUSH,
                spear && rules.collapse().straightForbidden() ? Severity.STOP : Severity.LOOK,
                new Element.Wheel(),
                spear
                        ? Phrase.of(
                                "The column is a spear: all but straight from gear to driver, with {1} of kink and {0} of free stroke.",
                                Quantity.length(push.stroke()), Quantity.angle(push.kinkDeg()))
                        : Phrase.of(
                                "Advice: a blow that drives the gear back reaches the wheel after {0}, with {1} of kink on the way.",
                                Quantity.length(push.stroke()), Quantity.angle(push.kinkDeg())),
                Phrase.of(
                                straight
                                        + "A column that shortens keeps the wheel where it is but needs a part made for it; a kinked one folds aside with plain parts, "
                                        + "and only as far as its bearings let it. What a blow really does is not worked out here.")
                        .then(asks),
                moreStroke(wanted)));
    }

    /** A shaft made to slide together farther, where that really gives the stroke wanted. */
    private List<Remedy> moreStroke(double wanted) {
        return FrontPush.shortened(column, wanted, rules.overlap())
                .map(x -> {
                    Slide slide = x.column().shafts().get(x.shaft()).slide().orElseThrow();
                    return List.of(new Remedy(
                            Phrase.of(
                                    "Let "
                                            + Phrase.name(column.shafts()
                                                    .get(x.shaft())
                                                    .name()) + " slide together by {0}",
                                    Quantity.length(slide.closes())),
                            j -> j.editColumn(c -> c.editShaft(x.shaft(), s -> s.withSlide(Optional.of(slide))))));
                })
                .orElse(List.of());
    }

    private void cabin(FrontPush push, List<Finding> all) {
        if (push.inCabin().isEmpty() || rules.jointInCabin()) {
            return;
        }
        String names =
                push.inCabin().stream().map(i -> column.joints().get(i).name()).collect(Collectors.joining(", "));
        all.add(new Finding(
                Fault.JOINT_IN_CABIN,
                Severity.LOOK,
                new Element.JointAt(push.inCabin().getFirst()),
                Phrase.of("Inside the cabin: " + names + "."),
                "The rule set \"" + Phrase.name(rules.name())
                        + "\" wants joints ahead of the bulkhead. Inside they stay dry and are looked at, but feet, hoses and "
                        + "carpets come near them; outside they need boots and a sealed bearing in the bulkhead.",
                List.of()));
    }

    private void vehicleClass(List<Finding> all) {
        if (rules.classes().isEmpty()) {
            return;
        }
        double wheelbase = job.vehicle().wheelbase();
        List<ClassFigures> fitting = ClassFigures.of(job).stream()
                .filter(c -> !c.breaks(Limit.WHEELBASE))
                .toList();
        if (fitting.isEmpty()) {
            all.add(new Finding(
                    Fault.OUT_OF_CLASS,
                    Severity.LOOK,
                    new Element.Wheel(),
                    Phrase.of(
                            "A wheelbase of {0} is in none of the classes of the rule set \""
                                    + Phrase.name(rules.name()) + "\".",
                            Quantity.length(wheelbase)),
                    "Its limits may not be meant for this vehicle. Put the class you are inspected in into a copy of the rule set.",
                    List.of()));
            return;
        }
        outside(
                fitting,
                Limit.WIDTH,
                new Element.Tyres(),
                "{0} over the tyres is wider than the class \"%s\" takes: {1}.",
                "Width and wheelbase of a class differ from one organiser to the next: check theirs.",
                all);
        outside(
                fitting,
                Limit.SHAFT_HOLE,
                new Element.Wheel(),
                "What goes through the bulkhead needs a hole of {0}; the class \"%s\" takes {1} at most.",
                "A hole is as long as the shaft leans, with its gap all round. Let the column go through more "
                        + "squarely, go through with a thinner shaft, or seal it with a bearing or a boot as the class wants.",
                all);
    }

    /** Where no class that takes the wheelbase takes this as well. */
    private void outside(
            List<ClassFigures> fitting, Limit limit, Element at, String what, String why, List<Finding> all) {
        if (fitting.stream().allMatch(c -> c.breaks(limit))) {
            ClassFigures.Line line = fitting.getFirst().lines().stream()
                    .filter(l -> l.limit() == limit)
                    .findFirst()
                    .orElseThrow();
            all.add(new Finding(
                    Fault.OUT_OF_CLASS,
                    Severity.LOOK,
                    at,
                    limit == Limit.WIDTH ? "" : limit.name(),
                    Phrase.of(
                            what.formatted(Phrase.name(fitting.getFirst().of().name())),
                            Quantity.length(line.has().orElseThrow()),
                            Quantity.length(line.most())),
                    Phrase.of(why),
                    List.of()));
        }
    }
}
