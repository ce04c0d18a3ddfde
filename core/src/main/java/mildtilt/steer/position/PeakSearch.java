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
 * The greatest value of a function over a stretch, both ends with it: the best of some samples, then looked for between
 * the
 * neighbours of that one. So no figure hangs on how finely something is drawn.
 *
 * @param at where
 * @param value there
 */
public record PeakSearch(double at, double value) {

    private static final int SAMPLES = 48;

    /** @param f NaN where there is no value. Empty where there is none at all */
    public static Optional<PeakSearch> of(DoubleUnaryOperator f, double from, double to) {
        double best = Double.NaN;
        int where = -1;
        for (int i = 0; i <= SAMPLES; i++) {
            double v = f.applyAsDouble(sample(from, to, i));
            if (!Double.isNaN(v) && !(v <= best)) {
                best = v;
                where = i;
            }
        }
        if (where < 0) {
            return Optional.empty();
        }
        PeakSearch sampled = new PeakSearch(sample(from, to, where), best);
        if (from == to) {
            return Optional.of(sampled);
        }
        double a = sample(from, to, Math.max(0, where - 1));
        double b = sample(from, to, Math.min(SAMPLES, where + 1));
        double low = Math.min(a, b);
        double high = Math.max(a, b);
        UnivariatePointValuePair found;
        try {
            found = new BrentOptimizer(1e-10, 1e-12)
                    .optimize(
                            new MaxEval(200),
                            GoalType.MAXIMIZE,
                            new UnivariateObjectiveFunction(x -> number(f.applyAsDouble(x))),
                            new SearchInterval(low, high, (low + high) / 2));
        } catch (MathRuntimeException e) {
            // It jumps about between two samples: the greatest of the samples stands.
            return Optional.of(sampled);
        }
        return Optional.of(found.getValue() > best ? new PeakSearch(found.getPoint(), found.getValue()) : sampled);
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
