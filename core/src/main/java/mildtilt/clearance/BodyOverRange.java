package mildtilt.clearance;

import java.util.Arrays;
import java.util.List;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Configuration;
import mildtilt.geometry.Point;
import mildtilt.solid.Solid;
import org.jspecify.annotations.Nullable;

/** One body through all positions of a range: its solids and the points that follow it, each made once. */
final class BodyOverRange {

    /** Over what the markers tell, for edges that stand a little outside of them. */
    private static final double SPARE = 1.1;

    /** What the sums may be off by, mm. */
    private static final double RIGID = 1e-7;

    final Body body;
    private final SweptPositions range;
    private final int columns;
    private final int parts;
    private final @Nullable Solid[] solids;
    private final double[][] markers;

    BodyOverRange(Body body, SweptPositions range) {
        this.body = body;
        this.range = range;
        columns = body.onColumn() ? range.columns.size() : 1;
        parts = body.onPart() ? range.parts.length : 1;
        int n = (body.onPose() ? range.positions.size() : 1) * columns * parts;
        solids = new Solid[n];
        markers = new double[n][];
    }

    private int index(int position, int column, int part) {
        return ((body.onPose() ? position : 0) * columns + (body.onColumn() ? column : 0)) * parts
                + (body.onPart() ? part : 0);
    }

    static Configuration stand(SweptPositions range, int position, int column, int part) {
        Configuration s = range.positions.get(position).stand();
        return new Configuration(
                s.pose(), s.travelLeft(), s.travelRight(), range.columns.get(column), range.parts[part]);
    }

    Solid solid(int position, int column, int part) {
        int i = index(position, column, part);
        Solid s = solids[i];
        if (s == null) {
            s = body.solid().apply(stand(range, position, column, part));
            solids[i] = s;
        }
        return s;
    }

    private double[] markers(int i, int position, int column, int part) {
        double[] m = markers[i];
        if (m == null) {
            List<Point> points = body.markers().apply(stand(range, position, column, part));
            m = new double[3 * points.size()];
            for (int k = 0; k < points.size(); k++) {
                m[3 * k] = points.get(k).x();
                m[3 * k + 1] = points.get(k).y();
                m[3 * k + 2] = points.get(k).z();
            }
            markers[i] = m;
        }
        return m;
    }

    /** How far any point of the body is carried, at the most, from one position to another, mm. */
    double carried(int p0, int c0, int k0, int p1, int c1, int k1) {
        int i = index(p0, c0, k0);
        int j = index(p1, c1, k1);
        if (i == j) {
            return 0;
        }
        double[] a = markers(i, p0, c0, k0);
        double[] b = markers(j, p1, c1, k1);
        double most = 0;
        for (int m = 0; m < a.length; m += 3) {
            double x = a[m] - b[m];
            double y = a[m + 1] - b[m + 1];
            double z = a[m + 2] - b[m + 2];
            most = Math.max(most, x * x + y * y + z * z);
        }
        return SPARE * Math.sqrt(most);
    }

    /**
     * How far this and another are carried, at the most, from one position to another, mm, seen from something that is
     * shifted as the one or the other is on the whole: a shift of both changes no gap.
     */
    double carriedAgainst(BodyOverRange other, int p0, int c0, int k0, int p1, int c1, int k1) {
        double[] a = markers(index(p0, c0, k0), p0, c0, k0);
        double[] b = markers(index(p1, c1, k1), p1, c1, k1);
        double[] c = other.markers(other.index(p0, c0, k0), p0, c0, k0);
        double[] d = other.markers(other.index(p1, c1, k1), p1, c1, k1);
        return Math.min(aside(a, b, a, b) + aside(c, d, a, b), aside(a, b, c, d) + aside(c, d, c, d));
    }

    /** How far markers are carried from one place to another, at the most, beside the mean of what others are. */
    private static double aside(double[] from, double[] to, double[] othersFrom, double[] othersTo) {
        double x = 0;
        double y = 0;
        double z = 0;
        for (int m = 0; m < othersFrom.length; m += 3) {
            x += othersTo[m] - othersFrom[m];
            y += othersTo[m + 1] - othersFrom[m + 1];
            z += othersTo[m + 2] - othersFrom[m + 2];
        }
        int n = othersFrom.length / 3;
        x /= n;
        y /= n;
        z /= n;
        double most = 0;
        for (int m = 0; m < from.length; m += 3) {
            double dx = to[m] - from[m] - x;
            double dy = to[m + 1] - from[m + 1] - y;
            double dz = to[m + 2] - from[m + 2] - z;
            most = Math.max(most, dx * dx + dy * dy + dz * dz);
        }
        return SPARE * Math.sqrt(most);
    }

    /** The farthest it is carried anywhere from one position, mm. */
    double carriedFrom(int p0, int c0, int k0) {
        double most = 0;
        for (int p = 0; p < (body.onPose() ? range.positions.size() : 1); p++) {
            for (int c = 0; c < columns; c++) {
                for (int k = 0; k < parts; k++) {
                    most = Math.max(most, carried(p0, c0, k0, p, c, k));
                }
            }
        }
        return most;
    }

    /** Whether this and another are carried as one rigid thing: no marker of either nears or leaves any other. */
    boolean together(BodyOverRange other) {
        if (!body.onPose()
                || !other.body.onPose()
                || body.onColumn()
                || body.onPart()
                || other.body.onColumn()
                || other.body.onPart()) {
            return false;
        }
        double[] first = all(other, 0);
        for (int p = 1; p < range.positions.size(); p++) {
            double[] m = all(other, p);
            for (int i = 3; i < m.length; i += 3) {
                for (int j = 0; j < i; j += 3) {
                    if (Math.abs(distance(m, i, j) - distance(first, i, j)) > RIGID) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    /** The markers of this and another at one position. */
    private double[] all(BodyOverRange other, int position) {
        double[] mine = markers(position, position, 0, 0);
        double[] others = other.markers(position, position, 0, 0);
        double[] all = Arrays.copyOf(mine, mine.length + others.length);
        System.arraycopy(others, 0, all, mine.length, others.length);
        return all;
    }

    private static double distance(double[] m, int i, int j) {
        return Math.sqrt((m[i] - m[j]) * (m[i] - m[j])
                + (m[i + 1] - m[j + 1]) * (m[i + 1] - m[j + 1])
                + (m[i + 2] - m[j + 2]) * (m[i + 2] - m[j + 2]));
    }
}
