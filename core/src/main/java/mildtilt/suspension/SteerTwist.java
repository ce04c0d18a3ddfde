package mildtilt.suspension;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.suspension.SplitLinks.Upper;

/**
 * The axis a knuckle begins to turn about when it is steered, its links kept where they are.
 *
 * <p>Each link keeps the knuckle's joint from moving along it: {@code u · (v + ω × p) = 0} for the velocity v of the
 * origin and
 * the turn ω. Four such rows leave two motions; of what they make up the two pure turns (v · ω = 0, a quadratic) are
 * the two
 * lines that meet all four links, and the one that stands upright is the steer axis. (J. Phillips, Freedom in
 * Machinery,
 * chapters 6 and 15.) A strut stands for two links through its top mount, square to it and to each other.
 */
final class SteerTwist {

    /** Of the turn's upright part: a line that lies flatter is no steer axis. */
    private static final double UPRIGHT = 0.5;

    private static final double NOTHING = 1e-9;

    private SteerTwist() {}

    /**
     * Upward. Empty where there is no such axis.
     *
     * @param knuckle where the knuckle has gone from the design position
     */
    static Optional<Axis> of(SuspensionLink lowerFront, SuspensionLink lowerRear, Upper upper, Placing knuckle) {
        List<double[]> rows = new ArrayList<>();
        Point near = knuckle.point(lowerFront.outer());
        Stream.concat(Stream.of(lowerFront, lowerRear), upper.links().stream()).forEach(l -> {
            Point outer = knuckle.point(l.outer());
            row(rows, near, outer.minus(l.inner()).direction().vector(), outer);
        });
        if (upper instanceof Upper.StrutTop s) {
            Direction along = knuckle.direction(s.axis().direction());
            Vector one = along.anySquare().vector();
            row(rows, near, one, s.topMount());
            row(rows, near, along.cross(one), s.topMount());
        }
        return axis(rows, near);
    }

    /** A row for no velocity along u at a point. @param near where the velocity is counted from */
    private static void row(List<double[]> rows, Point near, Vector u, Point at) {
        Vector turn = at.minus(near).cross(u);
        rows.add(new double[] {u.x(), u.y(), u.z(), turn.x() / SCALE, turn.y() / SCALE, turn.z() / SCALE});
    }

    /** A turn counts by how far it carries a point at this distance, mm, so that it weighs as much as a shift. */
    private static final double SCALE = 200;

    private static Optional<Axis> axis(List<double[]> rows, Point near) {
        double[][] free = free(rows);
        if (free.length != 2) {
            return Optional.empty();
        }
        Vector v1 = shift(free[0]);
        Vector v2 = shift(free[1]);
        Vector w1 = turn(free[0]);
        Vector w2 = turn(free[1]);
        // (c1 v1 + c2 v2) · (c1 w1 + c2 w2) = 0
        double a = v1.dot(w1);
        double b = v1.dot(w2) + v2.dot(w1);
        double c = v2.dot(w2);
        double d = b * b - 4 * a * c;
        // No pure turn: the one that slides least along itself.
        double root = Math.sqrt(Math.max(0, d));
        double[][] mixes = Math.abs(a) > Math.abs(c)
                ? new double[][] {{-b + root, 2 * a}, {-b - root, 2 * a}}
                : new double[][] {{2 * c, -b + root}, {2 * c, -b - root}};
        Optional<Axis> best = Optional.empty();
        double upright = UPRIGHT;
        for (double[] mix : mixes) {
            Vector w = w1.times(mix[0]).plus(w2.times(mix[1]));
            Vector v = v1.times(mix[0]).plus(v2.times(mix[1]));
            double norm = w.norm();
            if (norm > NOTHING * (Math.abs(mix[0]) + Math.abs(mix[1])) && Math.abs(w.z()) / norm > upright) {
                upright = Math.abs(w.z()) / norm;
                Direction along = w.times(Math.signum(w.z())).direction();
                best = Optional.of(new Axis(near.plus(w.cross(v).times(SCALE / (norm * norm))), along));
            }
        }
        return best;
    }

    private static Vector shift(double[] x) {
        return new Vector(x[0], x[1], x[2]);
    }

    private static Vector turn(double[] x) {
        return new Vector(x[3], x[4], x[5]);
    }

    /** A base of what the rows leave free, by elimination with row and column exchanges. */
    private static double[][] free(List<double[]> rows) {
        int n = 6;
        double[][] m = rows.stream().map(double[]::clone).toArray(double[][]::new);
        int[] column = {0, 1, 2, 3, 4, 5};
        int rank = 0;
        for (int k = 0; k < m.length; k++) {
            int pr = k;
            int pc = k;
            for (int i = k; i < m.length; i++) {
                for (int j = k; j < n; j++) {
                    if (Math.abs(m[i][column[j]]) > Math.abs(m[pr][column[pc]])) {
                        pr = i;
                        pc = j;
                    }
                }
            }
            double[] swap = m[k];
            m[k] = m[pr];
            m[pr] = swap;
            int c = column[k];
            column[k] = column[pc];
            column[pc] = c;
            double pivot = m[k][column[k]];
            if (Math.abs(pivot) < NOTHING) {
                break;
            }
            rank++;
            for (int i = 0; i < m.length; i++) {
                double f = m[i][column[k]] / pivot;
                if (i != k && f != 0) {
                    for (int j = 0; j < n; j++) {
                        m[i][j] -= f * m[k][j];
                    }
                }
            }
        }
        if (rank != m.length) {
            return new double[0][];
        }
        double[][] base = new double[n - rank][n];
        for (int b = 0; b < base.length; b++) {
            int freeColumn = column[rank + b];
            base[b][freeColumn] = 1;
            for (int k = 0; k < rank; k++) {
                base[b][column[k]] = -m[k][freeColumn] / m[k][column[k]];
            }
        }
        return base;
    }
}
