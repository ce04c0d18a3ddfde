package mildtilt.solve;

import java.util.ArrayList;
import java.util.List;
import mildtilt.findings.remedies.ArmMoves;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.steer.ArmMatch;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** How the gear-side arm and the knuckle-side arms fit each other, and what would bring their ends together. */
public final class ArmMatching {

    private ArmMatching() {}

    /** The match in words, a sentence for each way. */
    public static List<Phrase> describe(ArmMatch match) {
        List<Phrase> all = new ArrayList<>();
        for (Side way : Side.values()) {
            ArmMatch.Toward w = match.toward(way);
            Phrase p = Phrase.of(
                    "Turning " + way.label() + ", the inner wheel's end is at {0} (" + Phrase.name(w.allowedBy())
                            + "), which takes {1} of the " + "gear's travel.",
                    Quantity.angle(w.innerAllowed()),
                    Quantity.percent(100 * w.gearUsed()));
            if (w.lockUnused() > ArmMatch.FITS_DEG) {
                p = p.then(Phrase.of(
                        " The gear ends at {0}: {1} of lock is lost.",
                        Quantity.angle(w.innerAtGearEnd()), Quantity.angle(w.lockUnused())));
            } else if (w.gearUsed() < 1) {
                p = p.then(Phrase.of(
                        " The gear would go on for {0} of steering wheel.", Quantity.angle(w.gearUnusedDeg())));
            }
            all.add(p);
        }
        return all;
    }

    /** Arm lengths, drillings or gear travel that put it right. */
    public static List<SolveAnswer> answers(Job job, ArmMatch match) {
        return ArmMoves.forMatch(job, match).stream()
                .map(r -> new SolveAnswer(
                        List.of(r.action()), true, List.of(), r.edit().apply(job)))
                .toList();
    }
}
