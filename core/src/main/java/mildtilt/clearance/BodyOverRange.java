package mildtilt.clearance;

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
}
