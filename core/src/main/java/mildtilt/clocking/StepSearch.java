package mildtilt.clocking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Transfer;

/**
 * The best of all combinations of steps, exactly, without trying each.
 *
 * <p>The train is cut at one shaft into two halves. Each half, for each combination of its own steps, is one stretch of
 * length p or q with a turn beside the cut; joined at an angle ψ the whole has the length l of
 * {@code cosh l = cosh p cosh q + sinh p sinh q cos 2ψ} (the hyperbolic law of cosines; see {@link LeastRipple}). So
 * l is never below |p − q|: with the second half's combinations in order of length, those too far from p to beat the
 * best so far need not be looked at. For each pair that is, the best step of the cut shaft is the one that brings ψ
 * nearest to a right angle.
 *
 * <p>Where a half has too many combinations to hold, three shafts at a time are set to their best among the others as
 * they are, until no three gain: good, but not proven.
 */
final class StepSearch {

    /** Pairs looked at before giving up the proof: about a second. */
    private static final long MOST_PAIRS = 40_000_000;

    private static final int LARGEST_HALF = 400_000;
    private static final double TIE = 1e-13;

    /** @param clockings rad */
    record Found(double[] clockings, boolean proven) {}

    /** One combination of the steps of a half, and what it makes of it. */
    private record Half(int[] pick, double stretch, double turn, double turned) {}

    private StepSearch() {}

    /** @param choices for each shaft between two joints, rad; one that can't be set has one */
    static Found best(ColumnTrain train, List<double[]> choices) {
        int cut = cut(choices);
        if (product(choices, 0, cut) > LARGEST_HALF || product(choices, cut + 1, choices.size()) > LARGEST_HALF) {
            return new Found(threeAtATime(train, choices), false);
        }
        List<Half> first = halves(train, choices, 0, cut);
        List<Half> second = halves(train, choices, cut + 1, choices.size());
        second.sort(Comparator.comparingDouble(Half::stretch));
        double[] lengths = second.stream().mapToDouble(Half::stretch).toArray();
        Search s = new Search(train.phase(cut), choices.get(cut));
        for (Half p : first) {
            int from = Arrays.binarySearch(lengths, p.stretch);
            int up = from < 0 ? -from - 1 : from;
            int down = up - 1;
            boolean more = true;
            while (more && s.pairs < MOST_PAIRS) {
                boolean upward = up < lengths.length && lengths[up] - p.stretch <= s.length + TIE;
                boolean downward = down >= 0 && p.stretch - lengths[down] <= s.length + TIE;
                if (upward) {
                    s.look(p, second.get(up++));
                }
                if (downward) {
                    s.look(p, second.get(down--));
                }
                more = upward || downward;
            }
        }
        double[] all = new double[choices.size()];
        fill(all, choices, 0, s.bestFirst.pick);
        all[cut] = choices.get(cut)[s.bestCut];
        fill(all, choices, cut + 1, s.bestSecond.pick);
        return new Found(all, s.pairs < MOST_PAIRS);
    }

    private static final class Search {
        private final double phase;
        private final double[] steps;
        private long pairs;
        private double length = Double.POSITIVE_INFINITY;
        private double turned = Double.POSITIVE_INFINITY;
        private Half bestFirst = new Half(new int[0], 0, 0, 0);
        private Half bestSecond = bestFirst;
        private int bestCut;

        Search(double phase, double[] steps) {
            this.phase = phase;
            this.steps = steps;
        }

        void look(Half p, Half q) {
            pairs++;
            double angle = p.turn + phase + q.turn;
            int k = nearestToRightAngle(angle);
            double cos = Math.cos(2 * (angle + steps[k]));
            double l = length(p.stretch, q.stretch, cos);
            double t = p.turned + q.turned + turning(steps[k]);
            // Of settings as good as each other, the one with the forks nearest to in line.
            if (l < length - TIE || l < length + TIE && t < turned - 1e-9) {
                length = Math.min(l, length);
                turned = t;
                bestFirst = p;
                bestSecond = q;
                bestCut = k;
            }
        }

        private int nearestToRightAngle(double angle) {
            if (steps.length == 1) {
                return 0;
            }
            // The steps divide half a turn evenly.
            double step = Math.PI / steps.length;
            int k = (int) Math.rint((Math.PI / 2 - angle - steps[0]) / step);
            return Math.floorMod(k, steps.length);
        }

        /** By the half-length form of the law of cosines, which keeps its digits where l is nearly nought. */
        private static double length(double p, double q, double cos2psi) {
            double d = Math.sinh((p - q) / 2);
            double half = Math.sqrt(Math.max(0, d * d + Math.sinh(p) * Math.sinh(q) * (1 + cos2psi) / 2));
            return 2 * Math.log(half + Math.sqrt(half * half + 1));
        }
    }

    private static double turning(double rad) {
        return Math.abs(BestClocking.normalDeg(rad));
    }

    /** The shaft at which the two halves have most nearly as many combinations each. */
    private static int cut(List<double[]> choices) {
        int best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < choices.size(); i++) {
            double larger = Math.max(product(choices, 0, i), product(choices, i + 1, choices.size()));
            if (larger < least) {
                least = larger;
                best = i;
            }
        }
        return best;
    }

    private static double product(List<double[]> choices, int from, int to) {
        double n = 1;
        for (int i = from; i < to; i++) {
            n *= choices.get(i).length;
        }
        return n;
    }

    /**
     * All combinations of the shafts from one to before another, each as one stretch: joints {@code from} to {@code
     * to}.
     */
    private static List<Half> halves(ColumnTrain train, List<double[]> choices, int from, int to) {
        List<Half> all = new ArrayList<>();
        boolean before = from == 0;
        int[] pick = new int[to - from];
        grow(train, choices, from, to, pick, 0, Transfer.ofUnevenness(train.unevenness(from)), 0, before, all);
        return all;
    }

    private static void grow(
            ColumnTrain train,
            List<double[]> choices,
            int from,
            int to,
            int[] pick,
            int depth,
            Transfer so,
            double turned,
            boolean before,
            List<Half> all) {
        int gap = from + depth;
        if (gap == to) {
            all.add(new Half(pick.clone(), so.stretch(), before ? so.turnAfter() : so.turnBefore(), turned));
            return;
        }
        for (int k = 0; k < choices.get(gap).length; k++) {
            pick[depth] = k;
            double c = choices.get(gap)[k];
            grow(
                    train,
                    choices,
                    from,
                    to,
                    pick,
                    depth + 1,
                    so.thenTurn(train.phase(gap) + c).then(Transfer.ofUnevenness(train.unevenness(gap + 1))),
                    turned + turning(c),
                    before,
                    all);
        }
    }

    private static void fill(double[] all, List<double[]> choices, int from, int[] pick) {
        for (int i = 0; i < pick.length; i++) {
            all[from + i] = choices.get(from + i)[pick[i]];
        }
    }

    private static double[] threeAtATime(ColumnTrain train, List<double[]> choices) {
        double[] set = nearestToClosedForm(train, choices);
        double least = train.transfer(set).unevenness();
        for (boolean gained = true; gained; ) {
            gained = false;
            for (int a = 0; a < set.length; a++) {
                for (int b = a + 1; b < set.length; b++) {
                    for (int c = b + 1; c < set.length; c++) {
                        List<double[]> some = new ArrayList<>();
                        for (int i = 0; i < set.length; i++) {
                            some.add(i == a || i == b || i == c ? choices.get(i) : new double[] {set[i]});
                        }
                        double[] found = best(train, some).clockings();
                        double u = train.transfer(found).unevenness();
                        if (u < least - TIE) {
                            least = u;
                            set = found;
                            gained = true;
                        }
                    }
                }
            }
        }
        return set;
    }

    private static double[] nearestToClosedForm(ColumnTrain train, List<double[]> choices) {
        boolean[] free = new boolean[choices.size()];
        for (int i = 0; i < free.length; i++) {
            free[i] = choices.get(i).length > 1;
        }
        double[] ideal = LeastRipple.clockings(train, free, train.clockings());
        double[] set = new double[free.length];
        for (int i = 0; i < set.length; i++) {
            double want = ideal[i];
            set[i] = Arrays.stream(choices.get(i))
                    .boxed()
                    .min(Comparator.comparingDouble(c -> turning(c - want)))
                    .orElseThrow();
        }
        return set;
    }
}
