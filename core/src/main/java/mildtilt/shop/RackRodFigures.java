package mildtilt.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.build.RackRod;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.rods.Rod;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * A rack's own rod with an outer end screwed onto it: what is cut off, how much thread holds, and how far toe can be
 * set.
 *
 * <p>Along the rod from the inner ball: the thread begins at length − threaded and ends at the tip, at length. The
 * mouth of the end stands at centres − reach, and the tip is in it by what is left. It holds on too little thread if
 * it is in by less than the least. It does not go on far enough if the tip meets the ground of the socket, which
 * cutting the tip off cures, or if the jam nut, on the mouth, meets the end of the thread, which only more thread does.
 *
 * @param rod it stands for
 * @param it as it is there
 * @param centres wanted between both balls' centres, mm
 * @param cut taken off its tip, mm: as little as leaves {@link #SET} to shorten it by, less in a shallow socket
 * @param engaged thread in the end then, mm
 * @param least that it must never go under, mm
 * @param longer how far it can still be lengthened, mm; below 0 where it is over that already
 * @param shorter how far it can still be shortened, mm; below 0 where it is past that already
 * @param byThread whether the end of the thread is what ends shortening it, not the socket's ground
 * @param toePerMm change of toe-in for a mm that it is lengthened, degrees
 */
public record RackRodFigures(
        Rod rod,
        RackRod it,
        double centres,
        double cut,
        double engaged,
        double least,
        double longer,
        double shorter,
        boolean byThread,
        Optional<Double> toePerMm) {

    /** What toe is set by either way, mm, that a plan leaves. */
    public static final double SET = 3;

    private static final double ROUNDING = 1e-6;

    /** Whether it will do. */
    public enum Verdict {
        GOES_ON("goes on as it is"),
        CUT("is to be cut"),
        SHALLOW("goes into too shallow a socket"),
        TOO_SHORT("is too short"),
        LACKS_THREAD("lacks thread");

        private final String label;

        Verdict(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Of every tie rod that is a rack's own, where the axle can be assembled. */
    public static List<RackRodFigures> of(Job job, Optional<AxleSolver> solver) {
        List<RackRodFigures> all = new ArrayList<>();
        solver.ifPresent(s -> job.making().rackRods().forEach((rod, it) -> {
            Double centres = s.lengths().get(rod);
            if (centres != null) {
                all.add(of(
                        rod,
                        it,
                        centres,
                        job.making().workshop().engagementTimes(),
                        RodFigures.degreesPerMm(s.axle(), rod)));
            }
        }));
        return List.copyOf(all);
    }

    static RackRodFigures of(Rod rod, RackRod it, double centres, double engagementTimes, Optional<Double> toePerMm) {
        double least = engagementTimes * it.thread().major();
        double mouth = centres - it.endReach();
        double in = it.length() - mouth;
        double kept = Math.min(SET, Math.max(0, (it.endDeep() - least) / 2));
        double cut = Math.max(0, in - (it.endDeep() - kept));
        double toGround = it.endDeep() - (in - cut);
        double toThreadsEnd = mouth - it.jamNut() - (it.length() - it.threaded());
        return new RackRodFigures(
                rod,
                it,
                centres,
                cut,
                in - cut,
                least,
                in - cut - least,
                Math.min(toGround, toThreadsEnd),
                toThreadsEnd < toGround,
                toePerMm);
    }

    /** Of its tip from the inner ball's centre, once it is cut, mm. */
    public double finished() {
        return it.length() - cut;
    }

    /** Thread that is left on it, mm. */
    public double threadLeft() {
        return Math.max(0, it.threaded() - cut);
    }

    /** Thread in the end with the rod at its shortest, mm. */
    public double engagedShort() {
        return engaged + Math.max(0, shorter);
    }

    public Verdict verdict() {
        if (it.endDeep() < least - ROUNDING) {
            return Verdict.SHALLOW;
        }
        return longer < -ROUNDING
                ? Verdict.TOO_SHORT
                : shorter < -ROUNDING ? Verdict.LACKS_THREAD : cut > 0 ? Verdict.CUT : Verdict.GOES_ON;
    }

    /** Change of toe-in for a turn of the rod in the end, the one that lengthens it, degrees. */
    public Optional<Double> toePerTurn() {
        return toePerMm.map(t -> t * it.thread().pitch());
    }

    /** Whether toe can be set both ways by {@link #SET}. */
    public boolean canBeSet() {
        return longer >= SET - ROUNDING && shorter >= SET - ROUNDING;
    }

    /** What makes it do, where it does not, or can't be set. */
    public Optional<Phrase> cure() {
        if (it.endDeep() < least + 2 * SET - ROUNDING) {
            return Optional.of(Phrase.of(
                    "Take an end whose socket is at least {0} deep: {1} must hold, and toe is set {2} either way.",
                    Quantity.length(least + 2 * SET), Quantity.length(least), Quantity.length(SET)));
        }
        if (longer < SET - ROUNDING && shorter < SET - ROUNDING) {
            return Optional.of(Phrase.of(
                    "Take a rod with at least {0} of thread: {1} must hold, the jam nut takes {2}, and toe is set "
                            + "{3} either way.",
                    Quantity.length(least + 2 * SET + it.jamNut()),
                    Quantity.length(least),
                    Quantity.length(it.jamNut()),
                    Quantity.length(SET)));
        }
        if (longer < SET - ROUNDING) {
            Quantity by = Quantity.length(SET - longer);
            return Optional.of(Phrase.of(
                    "Take an end that is {0} longer from ball to mouth, a rod that is {0} longer, or move the inner "
                            + "pivot {0} out. A threaded spacer between rod and end is one more joint to come loose: "
                            + "some rules forbid it.",
                    by));
        }
        if (shorter < SET - ROUNDING) {
            double by = SET - shorter;
            String end = it.endReach() - by > it.endDeep()
                    ? "or take an end {0} shorter from ball to mouth, or move the inner pivot {0} in"
                    : "or move the inner pivot {0} in";
            return Optional.of(Phrase.of(
                    "The thread must reach {0} further up the rod, where that is as thick as its thread; " + end
                            + ". Cutting the tip does not help.",
                    Quantity.length(by)));
        }
        return Optional.empty();
    }

    /** What is done at the bench. */
    public Phrase order() {
        return cut > 0
                ? Phrase.of(
                        "Cut {0} off the tip: {1} stay from the inner ball to the tip, {2} of it thread.",
                        Quantity.length(cut), Quantity.length(finished()), Quantity.length(threadLeft()))
                : Phrase.of(
                        "Nothing is cut off: it is {0} from the inner ball to the tip.", Quantity.length(finished()));
    }
}
