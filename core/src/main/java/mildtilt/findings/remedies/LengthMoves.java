package mildtilt.findings.remedies;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.findings.Remedy;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.TwoEnded;
import mildtilt.travel.Bound;
import mildtilt.travel.BoundUse;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * Dampers, springs, shafts and hoses of the length that is asked of them, and brackets turned to where an end tilts
 * less.
 */
public final class LengthMoves {

    /** Left over at the end of a part's travel, mm. */
    private static final double SPARE = 5;

    private LengthMoves() {}

    /** Empty where no other size of the part would help. */
    public static List<Remedy> of(BoundUse use) {
        if (use.bound().kind() == Bound.Kind.TILT) {
            return turned(use);
        }
        return use.bound().element() instanceof Element.InTheWay at ? longer(use, at) : List.of();
    }

    private static List<Remedy> longer(BoundUse use, Element.InTheWay at) {
        boolean more = use.bound().margin(use.nearest() + 1) < use.bound().margin(use.nearest());
        double to = more ? Math.ceil(use.nearest() + SPARE) : Math.floor(use.nearest() - SPARE);
        if (to < 1) {
            return List.of();
        }
        String words =
                switch (use.bound().kind()) {
                    case LONGEST -> "Fit one that is {0} long pulled out";
                    case SHORTEST -> "Fit one that goes down to {0}";
                    case LOOSE -> "Fit one with a free length of {0}";
                    case STRETCHED -> "Make it {0} long";
                    case TAUT -> "Make it {0} long, taut";
                    case MET -> "Make it meet at {0}";
                    case BENT, TILT, IN_LINE -> "";
                };
        return words.isEmpty()
                ? List.of()
                : List.of(new Remedy(
                        Phrase.of(words, Quantity.length(to)),
                        edit(at, t -> withLimit(t, use.bound().kind(), to))));
    }

    private static TwoEnded withLimit(TwoEnded t, Bound.Kind kind, double mm) {
        boolean most = kind != Bound.Kind.SHORTEST && kind != Bound.Kind.MET;
        return switch (t) {
            case TwoEnded.Damper d ->
                new TwoEnded.Damper(d.from(), d.to(), d.diameter(), most ? d.closed() : mm, most ? mm : d.open());
            case TwoEnded.CoilSpring c ->
                new TwoEnded.CoilSpring(c.from(), c.to(), c.diameter(), most ? c.block() : mm, most ? mm : c.free());
            case TwoEnded.DrivenShaft s ->
                new TwoEnded.DrivenShaft(
                        s.from(), s.to(), s.diameter(), most ? s.pushedIn() : mm, most ? mm : s.pulledOut());
            case TwoEnded.Hose h -> new TwoEnded.Hose(h.from(), h.to(), h.diameter(), mm, h.leastRadius());
            case TwoEnded.Strap s -> s.withLength(mm);
            case TwoEnded.BumpStop b -> b.withHeight(mm);
        };
    }

    private static List<Remedy> turned(BoundUse use) {
        Optional<Bound.Tilting> tilting = use.bound().tilting();
        if (use.bracket().isEmpty() || tilting.isEmpty() || use.bracket().get().mostDeg() > use.nearest() - 1) {
            return List.of();
        }
        EndFit was = tilting.get().fit();
        EndFit fit = use.bracket().get().fit();
        String words =
                switch (fit) {
                    case EndFit.Eye _ -> "Turn its bracket by {0}, so that its bolt stands ";
                    case EndFit.Ball _ -> "Lean its seat by {0}, so that its axis stands ";
                    case EndFit.Fitting _ -> "Turn its fitting by {0}, so that it points ";
                };
        return List.of(new Remedy(
                Phrase.of(
                        words
                                + RodEndMoves.describe(fit.direction())
                                + (use.bracket().get().mostDeg() > use.bound().limit()
                                        ? " (less tilt, still over)"
                                        : ""),
                        Quantity.angle(Math.toDegrees(was.direction().angleTo(fit.direction())))),
                j -> tilting.get().with().apply(j, fit)));
    }

    private static UnaryOperator<Job> edit(Element.InTheWay at, UnaryOperator<TwoEnded> change) {
        return j -> j.editSurroundings(
                s -> s.edit(at.index(), o -> o.shape() instanceof TwoEnded t ? o.withShape(change.apply(t)) : o));
    }
}
