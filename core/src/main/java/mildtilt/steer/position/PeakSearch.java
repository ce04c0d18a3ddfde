package mildtilt.steer.position;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;

/**
 * The greatest value of a function over a stretch, both ends with it: some samples, then looked for between the
 * neighbours of each that can be next to the greatest. So no figure hangs on how finely something is drawn.
 *
 * @param at where
 * @param value there
 */
public record PeakSearch(double at, double value) {

    private static final int SAMPLES = 48;

    /** @param f NaN where there is no value. Empty where there is none at all */
    public static Optional<PeakSearch> of(DoubleUnaryOperator f, double from, double to) {
        double[] v = new double[SAMPLES + 1];
        int highest = -1;
        for (int i = 0; i <= SAMPLES; i++) {
            v[i] = f.applyAsDouble(sample(from, to, i));
            if (!Double.isNaN(v[i]) && (highest < 0 || v[i] > v[highest])) {
                highest = i;
            }
        }
        if (highest < 0) {
            return Optional.empty();
        }
        PeakSearch best = new PeakSearch(sample(from, to, highest), v[highest]);
        if (from == to) {
            return Optional.of(best);
        }
        best = higher(f, from, to, highest, best);
        // The top of a lower sample's peak can be above that of the highest sample.
        for (int i = 0; i <= SAMPLES; i++) {
            if (i != highest && isPeak(v, i) && !(v[i] + mostAbove(v, i) <= best.value)) {
                best = higher(f, from, to, i, best);
            }
        }
        return Optional.of(best);
    }

    private static boolean isPeak(double[] v, int i) {
        return !Double.isNaN(v[i]) && !(i > 0 && v[i - 1] > v[i]) && !(i < SAMPLES && v[i + 1] >= v[i]);
    }

    /** How far a peak can be above its sample: four times what a parabola of its bend can; NaN where none is known. */
    private static double mostAbove(double[] v, int i) {
        int middle = Math.clamp(i, 1, SAMPLES - 1);
        return Math.abs(v[middle - 1] - 2 * v[middle] + v[middle + 1]) / 2;
    }

    /** Looked for between the neighbours of a sample. */
    private static PeakSearch higher(DoubleUnaryOperator f, double from, double to, int i, PeakSearch best) {
        double a = sample(from, to, Math.max(0, i - 1));
        double b = sample(from, to, Math.min(SAMPLES, i + 1));
        double low = Math.min(a, b);
        double high = Math.max(a, b);
        try {
            UnivariatePointValuePair found = new BrentOptimizer(1e-10, 1e-12)
                    .optimize(
                            new MaxEval(200),
                            GoalType.MAXIMIZE,
                            new UnivariateObjectiveFunction(x -> number(f.applyAsDouble(x))),
                            new SearchInterval(low, high, (low + high) / 2));
            return found.getValue() > best.value ? new PeakSearch(found.getPoint(), found.getValue()) : best;
        } catch (MathRuntimeException e) {
            // It jumps about between two samples: the greatest of the samples stands.
            return best;
        }
    }

    /** How far apart the greatest and the least value are. Empty where there is no value at all */
    public static Optional<Double> spread(DoubleUnaryOperator f, double from, double to) {
        return of(f, from, to)
                .flatMap(high -> of(x -> -f.applyAsDouble(x), from, to).map(low -> high.value + low.value));
    }

    /** The middle and both ends are always among the samples. */
    private static double sample(double from, double to, int i) {
        return i == SAMPLES ? to : from + (to - from) * i / SAMPLES;
    }

    private static double number(double v) {
        return Double.isNaN(v) ? -Double.MAX_VALUE : v;
    }
}
