package mildtilt.findings.checks;

import java.util.Locale;
import java.util.Optional;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.findings.Severity;
import mildtilt.findings.remedies.LengthMoves;
import mildtilt.job.Element;
import mildtilt.travel.Bound;
import mildtilt.travel.BoundUse;
import mildtilt.travel.TravelFigures;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Dampers, springs, straps, hoses and driven shafts at their lengths, and ends at their tilt. */
final class TravelChecks {

    private final TravelFigures figures;

    TravelChecks(TravelFigures figures) {
        this.figures = figures;
    }

    void look(GuardedAnalysis w) {
        w.check("What ends the travel", new Element.Knuckles(), all -> figures.uses().stream()
                .filter(u -> u.margin() < 0)
                .flatMap(u -> finding(u).stream())
                .forEach(all::add));
    }

    private Optional<Finding> finding(BoundUse u) {
        Bound b = u.bound();
        boolean atRest = b.margin(u.atRest()) < 0;
        // What is there to end the travel may do so, only not with the wheels at ride height.
        if (b.endsTravel() && !atRest) {
            return Optional.empty();
        }
        double shown = atRest ? u.atRest() : u.nearest();
        Finding f = new Finding(
                        fault(b.kind()),
                        b.kind() == Bound.Kind.LOOSE ? Severity.LOOK : Severity.STOP,
                        b.element(),
                        b.part() + "." + b.kind().name().toLowerCase(Locale.ROOT) + "." + b.name(),
                        Phrase.of(
                                        Phrase.name(Element.capital(b.name())) + " " + sentence(b.kind()),
                                        b.quantity(shown),
                                        b.quantity(b.limit()))
                                .then(where(u, atRest)),
                        Phrase.of(why(b.kind())),
                        LengthMoves.of(u))
                .by(b.quantity(-b.margin(shown)));
        return Optional.of(atRest ? f.at(0, 0, 0) : f.at(u.at().steeringWheelDeg(), u.at().left(), u.at().right()));
    }

    private static Phrase where(BoundUse u, boolean atRest) {
        return atRest
                ? Phrase.of(", straight ahead at ride height already.")
                : Phrase.of(
                        ", at {0} of steering wheel with the left wheel at {1} of travel and the right one at {2}.",
                        Quantity.angle(u.at().steeringWheelDeg()),
                        Quantity.length(u.at().left()),
                        Quantity.length(u.at().right()));
    }

    private static Fault fault(Bound.Kind kind) {
        return switch (kind) {
            case LONGEST, SHORTEST, TAUT, MET, STRETCHED -> Fault.LENGTH_RUNS_OUT;
            case LOOSE -> Fault.SPRING_LOOSE;
            case BENT -> Fault.HOSE_BENT;
            case TILT -> Fault.END_OVER_LIMIT;
            case IN_LINE -> Fault.LINK_IN_LINE;
        };
    }

    private static String sentence(Bound.Kind kind) {
        return switch (kind) {
            case LONGEST -> "would have to be {0} long and is {1} pulled out to its end";
            case SHORTEST -> "would have to be {0} long and is {1} pushed in to its end";
            case LOOSE -> "has {0} between its ends, more than its free length of {1}";
            case TAUT -> "would have to be {0} long and is {1}, taut";
            case MET -> "has {0} between its ends and meets at {1}";
            case STRETCHED -> "would have to be {0} long and is {1}";
            case BENT -> "is bent to a radius of {0}; it may be bent to {1}";
            case TILT -> "tilts {0}, allowed {1}";
            case IN_LINE -> "comes within {0} of being in line with its arm (limit {1})";
        };
    }

    private static String why(Bound.Kind kind) {
        return switch (kind) {
            case LONGEST, SHORTEST ->
                "A part at its end stops the wheel dead, and in steering it holds the wheels where they are; its "
                        + "ends and brackets take the "
                        + "blow and break. A longer stroke, other places for its ends, or a strap or bump stop "
                        + "that ends the travel first.";
            case LOOSE ->
                "A spring that comes loose can turn or fall out of its seats and comes down crooked. A longer "
                        + "spring, a helper spring, a "
                        + "retainer, or a strap that ends droop first.";
            case TAUT, MET ->
                "It has ended the travel before there is any. Its length, or where its ends are, is wrong.";
            case STRETCHED ->
                "A hose that is pulled tight tears out of its fitting: a brake or the power steering is lost. "
                        + "Make it longer, or bring its ends "
                        + "nearer to each other, and see that the slack does not reach a tyre.";
            case BENT ->
                "Bent sharper than it may be, a hose kinks, closes and cracks. A longer hose, or fittings that "
                        + "point along its way.";
            case IN_LINE ->
                "Near there the link pulls along the arm instead of turning it; past it the arm flips over, and "
                        + "the bar jams or breaks its links. "
                        + "A longer link, a longer arm or another place of the bar keeps away from it.";
            case TILT ->
                "An end past its angle levers on its bolt and bends the part each time, and breaks. Turn its "
                        + "bracket to the middle of the "
                        + "movement, use an end with more angle, or less travel.";
        };
    }
}
