package mildtilt.findings.checks;

import java.util.ArrayList;
import java.util.List;
import mildtilt.bearings.ClearShaft;
import mildtilt.build.ShaftJoin.School;
import mildtilt.column.Column;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Remedy;
import mildtilt.findings.Severity;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.rules.Rules.Welding;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.FoundFigures.Verdict;
import mildtilt.shop.Lengthening;
import mildtilt.shop.ReachedByHeat;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Parts of the column as they were found. */
final class FoundChecks {

    private final Job job;
    private final Column column;

    FoundChecks(Job job, Column column) {
        this.job = job;
        this.column = column;
    }

    void look(GuardedAnalysis w) {
        w.check("The parts as found", new Element.Wheel(), all -> FoundFigures.of(job)
                .forEach(f -> found(f, all)));
    }

    private void found(FoundFigures f, List<Finding> all) {
        if (!f.verdict().bad()) {
            return;
        }
        boolean tooLong = f.verdict() == Verdict.TOO_LONG;
        all.add(new Finding(
                        tooLong ? Fault.FOUND_TOO_LONG : Fault.FOUND_TOO_SHORT,
                        canStay(f) ? Severity.LOOK : Severity.STOP,
                        f.at(),
                        f.which().name(),
                        Phrase.of(Phrase.name(f.name()) + " as found "
                                        + f.verdict().label() + ". ")
                                .then(f.order()),
                        f.cure().orElse(Phrase.of("")),
                        switch (f.which()) {
                            case TUBE -> tube(f);
                            case SHAFT -> tooLong ? farther(f) : longer(f);
                            case SHROUD -> List.of();
                        })
                .by(Quantity.length(Math.abs(f.over()))));
    }

    /** A tube too long only wants its lower bearing elsewhere, a shroud only looks wrong, as long as both end clear. */
    private boolean canStay(FoundFigures f) {
        return switch (f.which()) {
            case SHAFT -> false;
            case TUBE ->
                f.lowerBearing(column) <= ClearShaft.of(column, 0).to()
                        && f.lowerBearing(column) > column.tube().orElseThrow().from();
            case SHROUD -> f.toJoint().orElseThrow() >= 0;
        };
    }

    /** The lower bearing where the tube as found ends, and the joint further on where it would sit in its fork. */
    private List<Remedy> tube(FoundFigures f) {
        double to = f.lowerBearing(column);
        if (to <= column.tube().orElseThrow().from()) {
            return List.of();
        }
        if (canStay(f)) {
            return List.of(new Remedy(
                    Phrase.of("Let the tube end there: its lower bearing {0} from the hub", Quantity.length(to)),
                    j -> j.editColumn(c -> c.withTube(c.tube().map(t -> t.withTo(to))))));
        }
        if (column.joints().isEmpty()) {
            return List.of();
        }
        double by = Math.ceil(to
                + column.tube().orElseThrow().beyond()
                - ClearShaft.of(column, 0).to());
        return List.of(new Remedy(
                Phrase.of(
                        "Let the tube end there, and move " + Phrase.name(f.next())
                                + " {0} along the shaft, away from it",
                        Quantity.length(by)),
                j -> j.editColumn(c -> c.withTube(c.tube().map(t -> t.withTo(to)))
                        .editJoint(0, x -> x.withCentre(x.centre().plus(along(0, by)))))));
    }

    /** The joint after it further along. */
    private List<Remedy> farther(FoundFigures f) {
        return f.shaft() < column.joints().size()
                ? List.of(new Remedy(
                        Phrase.of(
                                "Move " + Phrase.name(f.next()) + " {0} along the shaft, away from it",
                                Quantity.length(f.over())),
                        j -> j.editColumn(c -> c.editJoint(
                                f.shaft(), x -> x.withCentre(x.centre().plus(along(f.shaft(), f.over())))))))
                : List.of();
    }

    private Vector along(int shaft, double mm) {
        return column.axis(shaft).times(mm);
    }

    private List<Remedy> longer(FoundFigures f) {
        List<Remedy> all = new ArrayList<>();
        School school = job.rules().welding() == Welding.FORBIDDEN ? School.COUPLING : School.SLEEVE;
        Lengthening.of(job, f.shaft(), school)
                .ifPresent(l -> all.add(new Remedy(
                        Phrase.of("Lengthen it by a join at {0}, " + school.label(), Quantity.length(l.along())),
                        j -> l.apply(j, f.shaft(), school))));
        if (f.shaft() < column.joints().size() && -f.over() < column.length(f.shaft()) / 2) {
            all.add(new Remedy(
                    Phrase.of(
                            "Move " + Phrase.name(f.next()) + " {0} along the shaft, toward it",
                            Quantity.length(-f.over())),
                    j -> j.editColumn(c ->
                            c.editJoint(f.shaft(), x -> x.withCentre(x.centre().plus(along(f.shaft(), f.over())))))));
        }
        return all;
    }

    /** @param where what is welded, up to what it reaches */
    static Finding spoiled(int shaft, String about, Phrase where, List<ReachedByHeat> hot, List<Remedy> remedies) {
        Phrase what = where;
        for (ReachedByHeat h : hot) {
            what = what.then(h == hot.getFirst() ? "" : " ").then(h.sentence());
        }
        return new Finding(
                Fault.HEAT_SPOILS,
                Severity.LOOK,
                new Element.ShaftAt(shaft),
                about,
                what,
                Phrase.of("Heat boils grease out, hardens seals and melts plastic pins long before the part looks hot. "
                        + "Weld before it goes on, take it off, or let every run cool, with a wet rag between."),
                remedies);
    }
}
