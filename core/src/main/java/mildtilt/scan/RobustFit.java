package mildtilt.scan;

import java.util.Arrays;
import java.util.function.Function;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.jspecify.annotations.Nullable;

/**
 * Least squares that a minority of points that do not belong can't pull away: Gauss–Newton with J. W. Tukey's biweight,
 * its scale from the median of the absolute residuals (P. J. Huber, Robust Statistics, 1981).
 */
final class RobustFit {

    private static final int TURNS = 25;
    private static final double STEP = 1e-5;
    /** Steps shorter than this change nothing any more, mm. */
    private static final double SETTLED = 1e-4;
    /** Of normal noise the median absolute residual is this part of its standard deviation. */
    private static final double MEDIAN = 0.6745;
    /** Beyond so many standard deviations a point does not count. */
    static final double CUT = 4;

    /**
     * @param covariance of the parameters
     * @param sigma of the residuals
     * @param used how many points count
     */
    record Fitted(double[] parameters, RealMatrix covariance, double sigma, int used) {

        double spread(int parameter) {
            return Math.sqrt(Math.max(0, covariance.getEntry(parameter, parameter)));
        }
    }

    private RobustFit() {}

    /**
     * @param residuals of all points for parameters, mm
     * @param least no scale is taken finer than this, mm
     * @return null if it does not settle
     */
    static @Nullable Fitted fit(double[] start, Function<double[], double[]> residuals, double least) {
        double[] x = start.clone();
        int n = x.length;
        for (int turn = 0; ; turn++) {
            double[] r = residuals.apply(x);
            double sigma = Math.max(least, scale(r));
            double[][] j = new double[n][];
            for (int k = 0; k < n; k++) {
                double was = x[k];
                x[k] = was + STEP;
                double[] more = residuals.apply(x);
                x[k] = was - STEP;
                double[] less = residuals.apply(x);
                x[k] = was;
                j[k] = new double[r.length];
                for (int i = 0; i < r.length; i++) {
                    j[k][i] = (more[i] - less[i]) / (2 * STEP);
                }
            }
            double[][] normal = new double[n][n];
            double[] right = new double[n];
            int used = 0;
            double square = 0;
            for (int i = 0; i < r.length; i++) {
                double u = r[i] / (CUT * sigma);
                if (Math.abs(u) >= 1) {
                    continue;
                }
                double w = (1 - u * u) * (1 - u * u);
                used++;
                square += r[i] * r[i];
                for (int a = 0; a < n; a++) {
                    right[a] -= w * j[a][i] * r[i];
                    for (int b = 0; b <= a; b++) {
                        normal[a][b] += w * j[a][i] * j[b][i];
                    }
                }
            }
            if (used <= n) {
                return null;
            }
            // The same number on both sides, to the last bit: else it is taken for no symmetric matrix.
            for (int a = 0; a < n; a++) {
                for (int b = 0; b < a; b++) {
                    normal[b][a] = normal[a][b];
                }
            }
            RealMatrix inverse;
            double[] by;
            try {
                CholeskyDecomposition c = new CholeskyDecomposition(new Array2DRowRealMatrix(normal), 1e-9, 1e-14);
                by = c.getSolver().solve(new ArrayRealVector(right)).toArray();
                inverse = c.getSolver().getInverse();
            } catch (MathRuntimeException e) {
                return null;
            }
            double longest = 0;
            for (int k = 0; k < n; k++) {
                x[k] += by[k];
                longest = Math.max(longest, Math.abs(by[k]));
            }
            if (!Double.isFinite(longest)) {
                return null;
            }
            if (longest < SETTLED || turn == TURNS) {
                double s = Math.sqrt(square / (used - n));
                return new Fitted(x, inverse.scalarMultiply(s * s), s, used);
            }
        }
    }

    private static double scale(double[] r) {
        double[] a = Arrays.stream(r).map(Math::abs).sorted().toArray();
        return a[a.length / 2] / MEDIAN;
    }
}
