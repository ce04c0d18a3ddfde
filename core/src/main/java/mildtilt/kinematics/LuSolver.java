package mildtilt.kinematics;

/**
 * Solves small dense systems by elimination with row exchanges, in place: a pose takes a handful of these, so that
 * nothing is
 * allocated. (G. Golub, C. Van Loan, Matrix Computations, section 3.4.)
 */
public final class LuSolver {

    private final int n;
    private final double[][] m;
    private final int[] row;
    private double determinantSign;
    private double logDeterminant;

    /** @param m the matrix; overwritten by {@link #factor} */
    public LuSolver(double[][] m) {
        this.m = m;
        n = m.length;
        row = new int[n];
    }

    /** @return false where the matrix is singular to the last digit */
    public boolean factor() {
        determinantSign = 1;
        logDeterminant = 0;
        for (int k = 0; k < n; k++) {
            int best = k;
            for (int i = k + 1; i < n; i++) {
                if (Math.abs(m[i][k]) > Math.abs(m[best][k])) {
                    best = i;
                }
            }
            row[k] = best;
            if (best != k) {
                double[] swap = m[k];
                m[k] = m[best];
                m[best] = swap;
                determinantSign = -determinantSign;
            }
            double pivot = m[k][k];
            if (!(Math.abs(pivot) > 1e-300)) {
                determinantSign = 0;
                return false;
            }
            determinantSign *= Math.signum(pivot);
            logDeterminant += Math.log(Math.abs(pivot));
            double[] mk = m[k];
            for (int i = k + 1; i < n; i++) {
                double[] mi = m[i];
                double f = mi[k] / pivot;
                mi[k] = f;
                if (f != 0) {
                    for (int j = k + 1; j < n; j++) {
                        mi[j] -= f * mk[j];
                    }
                }
            }
        }
        return true;
    }

    /** Solves for one right side, overwritten by the answer. */
    public void solve(double[] x) {
        for (int k = 0; k < n; k++) {
            double swap = x[k];
            x[k] = x[row[k]];
            x[row[k]] = swap;
        }
        for (int i = 1; i < n; i++) {
            double s = x[i];
            double[] mi = m[i];
            for (int j = 0; j < i; j++) {
                s -= mi[j] * x[j];
            }
            x[i] = s;
        }
        for (int i = n - 1; i >= 0; i--) {
            double s = x[i];
            double[] mi = m[i];
            for (int j = i + 1; j < n; j++) {
                s -= mi[j] * x[j];
            }
            x[i] = s / mi[i];
        }
    }

    /** −1, 0 or 1. */
    public double determinantSign() {
        return determinantSign;
    }

    /** Natural logarithm of the determinant without its sign. */
    public double logDeterminant() {
        return logDeterminant;
    }
}
