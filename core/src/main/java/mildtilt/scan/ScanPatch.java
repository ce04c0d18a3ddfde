package mildtilt.scan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.solid.TriangleMesh;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;

/** The corners of a scan, and which way the metal faces at some of them. */
final class ScanPatch {

    /** So many corners speak for or against a guess. */
    private static final int JURY = 700;
    /** Corners by which the direction out at one is found; noise is less over many, a small radius shows over few. */
    private static final int NEIGHBOURS = 30;

    private static final int LEAST_NEIGHBOURS = 6;

    private final Point[] corners;

    /** A corner and the direction square to the skin there, its sign left open. */
    record Sample(Point at, Vector out) {}

    /**
     * Where the lines out of two corners come nearest to each other.
     *
     * @param one how far along the first, mm, + as its direction points
     * @param other how far along the second
     * @param square to both, of length the sine between them
     */
    record Meeting(double one, double other, Vector square) {

        /** Two directions that are nearer than this to one line meet nowhere. */
        private static final double LEAST_SINE = 0.3;

        static Optional<Meeting> of(Sample a, Sample b) {
            Vector cross = a.out.cross(b.out);
            double sine = cross.norm();
            if (sine < LEAST_SINE) {
                return Optional.empty();
            }
            Vector between = b.at.minus(a.at);
            return Optional.of(new Meeting(
                    between.cross(b.out).dot(cross) / (sine * sine),
                    between.cross(a.out).dot(cross) / (sine * sine),
                    cross));
        }

        double radius() {
            return (Math.abs(one) + Math.abs(other)) / 2;
        }
    }

    ScanPatch(TriangleMesh mesh) {
        corners = new Point[mesh.cornerCount()];
        for (int i = 0; i < corners.length; i++) {
            corners[i] = mesh.corner(i);
        }
    }

    List<Point> near(Point middle, double reach) {
        List<Point> all = new ArrayList<>();
        for (Point p : corners) {
            if (Math.abs(p.x() - middle.x()) <= reach && p.distanceTo(middle) <= reach) {
                all.add(p);
            }
        }
        return all;
    }

    Point nearest(Point to) {
        Point best = corners[0];
        for (Point p : corners) {
            if (p.distanceTo(to) < best.distanceTo(to)) {
                best = p;
            }
        }
        return best;
    }

    List<Point> all() {
        return Arrays.asList(corners);
    }

    /** Some of the corners, evenly drawn, each with its direction out by the plane through its neighbours. */
    static List<Sample> jury(List<Point> of, Random random) {
        if (of.size() < LEAST_NEIGHBOURS) {
            return List.of();
        }
        // Cells that hold about as many corners as make a plane.
        double size = spread(of) * Math.sqrt((double) NEIGHBOURS / of.size());
        Map<Long, List<Point>> cells = new HashMap<>();
        for (Point p : of) {
            cells.computeIfAbsent(cell(p, size, 0, 0, 0), _ -> new ArrayList<>())
                    .add(p);
        }
        List<Sample> all = new ArrayList<>();
        int wanted = Math.min(JURY, of.size());
        for (int n = 0; n < wanted; n++) {
            Point at = of.get(of.size() <= JURY ? n : random.nextInt(of.size()));
            List<Point> round = new ArrayList<>();
            for (int i = -1; i <= 1; i++) {
                for (int j = -1; j <= 1; j++) {
                    for (int k = -1; k <= 1; k++) {
                        round.addAll(cells.getOrDefault(cell(at, size, i, j, k), List.of()));
                    }
                }
            }
            if (round.size() > NEIGHBOURS) {
                round.sort(Comparator.comparingDouble(p -> p.distanceTo(at)));
                round = round.subList(0, NEIGHBOURS);
            }
            if (round.size() >= LEAST_NEIGHBOURS) {
                all.add(new Sample(at, weakest(round)));
            }
        }
        return all;
    }

    private static long cell(Point p, double size, int i, int j, int k) {
        long x = (long) Math.floor(p.x() / size) + i + (1 << 20);
        long y = (long) Math.floor(p.y() / size) + j + (1 << 20);
        long z = (long) Math.floor(p.z() / size) + k + (1 << 20);
        return x << 42 | y << 21 | z;
    }

    private static double spread(List<Point> of) {
        Point middle = middle(of);
        return Math.max(
                1, of.stream().mapToDouble(p -> p.distanceTo(middle)).average().orElse(1) * 1.5);
    }

    static Point middle(List<Point> of) {
        double n = of.size();
        return new Point(
                of.stream().mapToDouble(Point::x).sum() / n,
                of.stream().mapToDouble(Point::y).sum() / n,
                of.stream().mapToDouble(Point::z).sum() / n);
    }

    /** The direction along which points spread least: square to the plane through them. */
    static Vector weakest(List<Point> of) {
        Point middle = middle(of);
        double[][] c = new double[3][3];
        for (Point p : of) {
            Vector v = p.minus(middle);
            double[] d = {v.x(), v.y(), v.z()};
            for (int i = 0; i < 3; i++) {
                for (int j = 0; j < 3; j++) {
                    c[i][j] += d[i] * d[j];
                }
            }
        }
        var eigen = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(c));
        var v = eigen.getEigenvector(2);
        return new Vector(v.getEntry(0), v.getEntry(1), v.getEntry(2));
    }
}
