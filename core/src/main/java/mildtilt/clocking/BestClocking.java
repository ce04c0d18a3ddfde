package mildtilt.clocking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.ForkSetting.AnyAngle;
import mildtilt.column.ForkSetting.Fixed;
import mildtilt.column.ForkSetting.Stepped;

/**
 * The clocking of each shaft that leaves the least ripple.
 *
 * @param clockingDeg one for each shaft between two joints, degrees in (−90, 90]: half a turn brings a
 *     fork's pin back into line
 * @param ripplePct ripple that is left, percent
 * @param proven whether no other setting can leave less; false only where there were too many to rule all out
 */
public record BestClocking(List<Double> clockingDeg, double ripplePct, boolean proven) {

    /** Up to this many combinations of steps are all tried beside shafts that are free to be set to any angle. */
    private static final long EXHAUSTIVE = 120_000;

    public BestClocking {
        clockingDeg = List.copyOf(clockingDeg);
    }

    /** With each shaft set only as its own ends allow. */
    public static BestClocking asMade(ColumnTrain train) {
        return of(
                train,
                IntStream.range(0, train.gaps())
                        .mapToObj(i -> train.column().setting(i + 1))
                        .toList());
    }

    /** With the same setting for every shaft, whatever the job says of them. */
    public static BestClocking withAll(ColumnTrain train, ForkSetting setting) {
        return of(train, IntStream.range(0, train.gaps()).mapToObj(_ -> setting).toList());
    }

    /** With one shaft free to be set as it allows, all others left as they are. */
    public static BestClocking ofOne(ColumnTrain train, int shaft) {
        return of(
                train,
                IntStream.range(0, train.gaps())
                        .mapToObj(i -> i + 1 == shaft ? train.column().setting(shaft) : new Fixed())
                        .toList());
    }

    private static BestClocking of(ColumnTrain train, List<ForkSetting> settings) {
        double[] now = train.clockings();
        boolean[] free = new boolean[now.length];
        boolean anyFree = false;
        List<double[]> choices = new ArrayList<>();
        long combinations = 1;
        for (int i = 0; i < now.length; i++) {
            double[] choice =
                    switch (settings.get(i)) {
                        case AnyAngle _ -> {
                            free[i] = true;
                            yield new double[] {now[i]};
                        }
                        case Fixed _ -> new double[] {now[i]};
                        case Stepped s ->
                            Arrays.stream(s.settings()).map(Math::toRadians).toArray();
                    };
            anyFree |= free[i];
            choices.add(choice);
            combinations = Math.min(EXHAUSTIVE + 1, combinations * choice.length);
        }
        if (!anyFree && now.length > 0) {
            StepSearch.Found found = StepSearch.best(train, choices);
            return found(train, found.clockings(), found.proven());
        }
        return combinations <= EXHAUSTIVE
                ? found(train, tryAll(train, free, choices), true)
                : found(train, improveEach(train, free, choices), false);
    }

    private static BestClocking found(ColumnTrain train, double[] rad, boolean proven) {
        double ripple = train.transfer(rad).ripplePct();
        // A train that is as even as arithmetic can tell can't be beaten, however it was found.
        return new BestClocking(
                Arrays.stream(rad).mapToObj(BestClocking::normalDeg).toList(), ripple, proven || ripple < 1e-9);
    }

    private static double[] tryAll(ColumnTrain train, boolean[] free, List<double[]> choices) {
        int[] pick = new int[choices.size()];
        double[] best = {};
        double least = Double.POSITIVE_INFINITY;
        while (true) {
            double[] candidate = fill(train, free, choices, pick);
            double u = train.transfer(candidate).unevenness();
            if (u < least - 1e-15) {
                least = u;
                best = candidate;
            }
            int i = 0;
            while (i < pick.length && ++pick[i] == choices.get(i).length) {
                pick[i++] = 0;
            }
            if (i == pick.length) {
                return best;
            }
        }
    }

    /** From the closed form rounded to steps, one shaft at a time until none gains. Not proven the least. */
    private static double[] improveEach(ColumnTrain train, boolean[] free, List<double[]> choices) {
        boolean[] allFree = free.clone();
        for (int i = 0; i < free.length; i++) {
            allFree[i] |= choices.get(i).length > 1;
        }
        double[] ideal = LeastRipple.clockings(train, allFree, train.clockings());
        int[] pick = new int[choices.size()];
        for (int i = 0; i < pick.length; i++) {
            double want = ideal[i];
            double[] choice = choices.get(i);
            pick[i] = IntStream.range(0, choice.length)
                    .boxed()
                    .min((p, q) -> Double.compare(apart(choice[p], want), apart(choice[q], want)))
                    .orElseThrow();
        }
        double least = train.transfer(fill(train, free, choices, pick)).unevenness();
        for (boolean gained = true; gained; ) {
            gained = false;
            for (int i = 0; i < pick.length; i++) {
                int kept = pick[i];
                for (int k = 0; k < choices.get(i).length; k++) {
                    pick[i] = k;
                    double u = train.transfer(fill(train, free, choices, pick)).unevenness();
                    if (u < least - 1e-15) {
                        least = u;
                        kept = k;
                        gained = true;
                    }
                }
                pick[i] = kept;
            }
        }
        return fill(train, free, choices, pick);
    }

    private static double apart(double a, double b) {
        return Math.abs(Math.toRadians(normalDeg(a - b)));
    }

    private static double[] fill(ColumnTrain train, boolean[] free, List<double[]> choices, int[] pick) {
        double[] set = new double[pick.length];
        for (int i = 0; i < pick.length; i++) {
            set[i] = choices.get(i)[pick[i]];
        }
        return LeastRipple.clockings(train, free, set);
    }

    /** A clocking in rad as degrees in (−90, 90]. */
    static double normalDeg(double rad) {
        return ForkMark.withinHalfTurn(Math.toDegrees(rad));
    }
}
