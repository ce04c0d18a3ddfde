package mildtilt.geometry;

import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/**
 * The turn and shift that carry points nearest to others, by least squares; by the singular values of their
 * covariance, after W. Kabsch (A solution for the best rotation to relate two sets of vectors, 1976).
 */
public final class RigidFit {

    /** Points are on one line if across it they spread less than this part of what they do along it. */
    private static final double ON_ONE_LINE = 1e-3;

    /** Two places nearer to each other than this in plan give no direction, mm. */
    private static final double LEAST_SPREAD = 10;

    private RigidFit() {}

    /** @return empty with fewer than three points, or if they are all on one line. @param to in the order of from */
    public static Optional<RigidMove> of(List<Point> from, List<Point> to) {
        if (from.size() != to.size()) {
            throw new IllegalArgumentException(from.size() + " points can't be carried to " + to.size());
        }
        if (from.size() < 3) {
            return Optional.empty();
        }
        Point a = middle(from);
        Point b = middle(to);
        double[][] c = new double[3][3];
        for (int i = 0; i < from.size(); i++) {
            double[] u = parts(from.get(i).minus(a));
            double[] v = parts(to.get(i).minus(b));
            for (int j = 0; j < 3; j++) {
                for (int k = 0; k < 3; k++) {
                    c[j][k] += v[j] * u[k];
                }
            }
        }
        SingularValueDecomposition svd = new SingularValueDecomposition(new Array2DRowRealMatrix(c));
        double[] s = svd.getSingularValues();
        if (!(s[1] > ON_ONE_LINE * ON_ONE_LINE * s[0])) {
            return Optional.empty();
        }
        RealMatrix u = svd.getU();
        RealMatrix v = svd.getV();
        // Never a mirror image: the weakest direction is turned about instead.
        if (det(u) * det(v) < 0) {
            u.setColumnMatrix(2, u.getColumnMatrix(2).scalarMultiply(-1));
        }
        RealMatrix r = u.multiply(v.transpose());
        RigidMove turn = new RigidMove(column(r, 0), column(r, 1), column(r, 2), new Vector(0, 0, 0));
        return Optional.of(turn.then(RigidMove.by(b.minus(turn.moved(a)))));
    }

    /**
     * The turn and shift that lay a floor level at height 0 and then carry points nearest to others as seen from above:
     * two are enough, such as both wheel centres.
     *
     * @param floor a place of it, and the direction square to it, either way: the points lie above it
     * @return empty with fewer than two points, or if they all lie above one place
     */
    public static Optional<RigidMove> onFloor(List<Point> from, List<Point> to, Point floor, Direction square) {
        if (from.size() != to.size()) {
            throw new IllegalArgumentException(from.size() + " points can't be carried to " + to.size());
        }
        if (from.size() < 2) {
            return Optional.empty();
        }
        Point a = middle(from);
        Vector up = square.vector().times(Math.signum(square.dot(a.minus(floor))));
        if (!(up.norm() > 0.5)) {
            return Optional.empty();
        }
        Vector u = up.direction().anySquare().vector();
        // Level, with any direction in plan.
        RigidMove level = RigidMove.between(
                new Frame(floor, u, up.cross(u), up), new Frame(Point.ORIGIN, Vector.X, Vector.Y, Vector.Z));
        Point b = middle(to);
        double along = 0;
        double across = 0;
        for (int i = 0; i < from.size(); i++) {
            Vector p = level.turned(from.get(i).minus(a));
            Vector q = to.get(i).minus(b);
            along += p.x() * q.x() + p.y() * q.y();
            across += p.x() * q.y() - p.y() * q.x();
        }
        if (!(Math.hypot(along, across) > LEAST_SPREAD * LEAST_SPREAD)) {
            return Optional.empty();
        }
        double turn = Math.atan2(across, along);
        Vector x = new Vector(Math.cos(turn), Math.sin(turn), 0);
        RigidMove turned = level.then(RigidMove.between(
                new Frame(Point.ORIGIN, Vector.X, Vector.Y, Vector.Z),
                new Frame(Point.ORIGIN, x, Vector.Z.cross(x), Vector.Z)));
        Vector left = b.minus(turned.moved(a));
        return Optional.of(turned.then(RigidMove.by(new Vector(left.x(), left.y(), 0))));
    }

    private static Point middle(List<Point> all) {
        double n = all.size();
        return new Point(
                all.stream().mapToDouble(Point::x).sum() / n,
                all.stream().mapToDouble(Point::y).sum() / n,
                all.stream().mapToDouble(Point::z).sum() / n);
    }

    private static double[] parts(Vector v) {
        return new double[] {v.x(), v.y(), v.z()};
    }

    private static Vector column(RealMatrix m, int i) {
        return new Vector(m.getEntry(0, i), m.getEntry(1, i), m.getEntry(2, i));
    }

    private static double det(RealMatrix m) {
        return column(m, 0).dot(column(m, 1).cross(column(m, 2)));
    }
}
