package mildtilt.clearance;

import java.util.List;
import java.util.Optional;
import mildtilt.lazy.Lazy;
import mildtilt.units.Phrase;

/**
 * What is worked out of the room round the steering.
 *
 * @param pairs whose smallest gap leaves less than {@link #NEAR} over what is needed, the tightest first
 * @param looked how many pairs were looked at
 * @param positions how many positions of steering, travel and adjustment
 * @param map empty without an axle that can be turned
 * @param lock how much of it the gaps leave; empty without an axle that can be turned
 * @param notches rails that would have to be notched
 * @param largestTyre worked out on first use; empty where nothing is near enough to the tyres to stop a larger one
 * within reason
 * @param assumed sizes assumed where the job gives none
 */
public record ClearanceFigures(
        List<PairGap> pairs,
        int looked,
        int positions,
        Optional<GapMap> map,
        Optional<LockKept> lock,
        List<Notch> notches,
        Lazy<Optional<LargestTyre>> largestTyre,
        List<Phrase> assumed) {

    /** Pairs with a margin over this are not reported, mm. */
    public static final double NEAR = 40;

    public Optional<LargestTyre> tyre() {
        return largestTyre.get();
    }

    /** The tightest that is not so by guessed sizes only. */
    public Optional<PairGap> tightest() {
        return pairs.stream().filter(p -> !p.guessed()).findFirst();
    }
}
