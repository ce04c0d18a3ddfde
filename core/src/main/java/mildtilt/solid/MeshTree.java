package mildtilt.solid;

import java.util.Arrays;
import mildtilt.geometry.Point;

/** A binary tree of upright boxes over the triangles of a skin, split at the middle of the longest side. */
final class MeshTree {

    private static final int LEAF = 4;

    private final float[] corners;
    private final int[] triangles;
    /** Triangles in the order of the leaves. */
    private final int[] order;
    /** Of each node: its box, six numbers. */
    private float[] boxes = new float[0];
    /**
     * Of each node: its second child, the first being the next node; or, below 0, the leaf's first triangle, as ~first.
     */
    private int[] link = new int[0];

    private int[] counts = new int[0];
    private int nodes;

    MeshTree(float[] corners, int[] triangles) {
        this.corners = corners;
        this.triangles = triangles;
        int n = triangles.length / 3;
        order = new int[n];
        float[] middles = new float[3 * n];
        for (int t = 0; t < n; t++) {
            order[t] = t;
            for (int k = 0; k < 3; k++) {
                middles[3 * t + k] = (corners[3 * triangles[3 * t] + k]
                                + corners[3 * triangles[3 * t + 1] + k]
                                + corners[3 * triangles[3 * t + 2] + k])
                        / 3;
            }
        }
        int most = Math.max(1, 4 * (n / LEAF + 1));
        boxes = new float[6 * most];
        link = new int[most];
        counts = new int[most];
        build(0, n, middles);
    }

    private int build(int from, int to, float[] middles) {
        int node = nodes++;
        if (node == link.length) {
            boxes = Arrays.copyOf(boxes, 2 * boxes.length);
            link = Arrays.copyOf(link, 2 * link.length);
            counts = Arrays.copyOf(counts, 2 * counts.length);
        }
        float[] m = {
            Float.POSITIVE_INFINITY,
            Float.POSITIVE_INFINITY,
            Float.POSITIVE_INFINITY,
            Float.NEGATIVE_INFINITY,
            Float.NEGATIVE_INFINITY,
            Float.NEGATIVE_INFINITY
        };
        for (int i = 0; i < 3; i++) {
            boxes[6 * node + i] = Float.POSITIVE_INFINITY;
            boxes[6 * node + 3 + i] = Float.NEGATIVE_INFINITY;
        }
        for (int i = from; i < to; i++) {
            for (int k = 0; k < 3; k++) {
                m[k] = Math.min(m[k], middles[3 * order[i] + k]);
                m[3 + k] = Math.max(m[3 + k], middles[3 * order[i] + k]);
                for (int c = 0; c < 3; c++) {
                    float v = corners[3 * triangles[3 * order[i] + c] + k];
                    boxes[6 * node + k] = Math.min(boxes[6 * node + k], v);
                    boxes[6 * node + 3 + k] = Math.max(boxes[6 * node + 3 + k], v);
                }
            }
        }
        int axis = 0;
        for (int k = 1; k < 3; k++) {
            if (m[3 + k] - m[k] > m[3 + axis] - m[axis]) {
                axis = k;
            }
        }
        if (to - from <= LEAF || m[3 + axis] <= m[axis]) {
            link[node] = ~from;
            counts[node] = to - from;
            return node;
        }
        int middle = part(from, to, axis, (m[axis] + m[3 + axis]) / 2, middles);
        build(from, middle, middles);
        link[node] = build(middle, to, middles);
        return node;
    }

    /** Puts what lies below a value first; never leaves a side empty. */
    private int part(int from, int to, int axis, float at, float[] middles) {
        int i = from;
        for (int j = from; j < to; j++) {
            if (middles[3 * order[j] + axis] < at) {
                int t = order[i];
                order[i++] = order[j];
                order[j] = t;
            }
        }
        return i == from || i == to ? (from + to) / 2 : i;
    }

    /** What is looked for, and the best so far. */
    private static final class Search {
        final Gjk gjk = Gaps.gjk();
        final Convex solid;
        double best;
        int triangle = -1;

        Search(Convex solid, double enough) {
            this.solid = solid;
            best = enough;
        }
    }

    /**
     * The gap from a convex solid to the skin, if below a bound.
     *
     * @param enough a gap that need not be exact, mm
     * @return a gap of {@code enough} without places that mean anything where none is smaller
     */
    Gap gap(Convex solid, double enough) {
        Search s = new Search(solid, enough);
        look(s, 0);
        return s.triangle < 0
                ? new Gap(enough, Point.ORIGIN, Point.ORIGIN)
                : s.gjk.nearest(solid, triangle(s.triangle));
    }

    private void look(Search s, int node) {
        if (leastGap(node, s.solid.bounds) >= s.best) {
            return;
        }
        if (link[node] < 0) {
            int first = ~link[node];
            for (int i = first; i < first + counts[node]; i++) {
                Convex t = triangle(order[i]);
                if (t.bounds.leastGap(s.solid.bounds) < s.best) {
                    double d = s.gjk.gap(s.solid, t, s.best);
                    if (d < s.best) {
                        s.best = d;
                        s.triangle = order[i];
                    }
                }
            }
            return;
        }
        int first = node + 1;
        int second = link[node];
        double toFirst = atLeast(s, first);
        double toSecond = atLeast(s, second);
        boolean other = toSecond < toFirst;
        if (Math.min(toFirst, toSecond) < s.best) {
            look(s, other ? second : first);
        }
        if (Math.max(toFirst, toSecond) < s.best) {
            look(s, other ? first : second);
        }
    }

    /**
     * No triangle of a node is nearer than this: the distance to the ball round its box. A long or slanting solid fills
     * its own box badly.
     */
    private double atLeast(Search s, int node) {
        int i = 6 * node;
        double x = (boxes[i + 3] - boxes[i]) / 2.0;
        double y = (boxes[i + 4] - boxes[i + 1]) / 2.0;
        double z = (boxes[i + 5] - boxes[i + 2]) / 2.0;
        double boxed = leastGap(node, s.solid.bounds);
        if (boxed >= s.best) {
            return boxed;
        }
        double ball = Math.sqrt(x * x + y * y + z * z);
        Convex middle = Convex.points(boxes[i] + x, boxes[i + 1] + y, boxes[i + 2] + z);
        // Within the solid the depth is no distance: only the boxes tell then.
        if (boxed <= 0 && s.gjk.nearer(s.solid, middle, ball)) {
            return boxed;
        }
        return Math.max(boxed, s.gjk.gap(s.solid, middle, Math.max(0, s.best) + ball) - ball);
    }

    private double leastGap(int node, Bounds b) {
        int i = 6 * node;
        double in = Math.min(
                Math.min(b.maxX() - boxes[i], boxes[i + 3] - b.minX()),
                Math.min(
                        Math.min(b.maxY() - boxes[i + 1], boxes[i + 4] - b.minY()),
                        Math.min(b.maxZ() - boxes[i + 2], boxes[i + 5] - b.minZ())));
        return in > 0 ? -in : distance(node, b);
    }

    private double distance(int node, Bounds b) {
        int i = 6 * node;
        double x = Math.max(0, Math.max(boxes[i] - b.maxX(), b.minX() - boxes[i + 3]));
        double y = Math.max(0, Math.max(boxes[i + 1] - b.maxY(), b.minY() - boxes[i + 4]));
        double z = Math.max(0, Math.max(boxes[i + 2] - b.maxZ(), b.minZ() - boxes[i + 5]));
        return Math.sqrt(x * x + y * y + z * z);
    }

    Convex triangle(int t) {
        int i = 3 * triangles[3 * t];
        int j = 3 * triangles[3 * t + 1];
        int k = 3 * triangles[3 * t + 2];
        return Convex.points(
                corners[i],
                corners[i + 1],
                corners[i + 2],
                corners[j],
                corners[j + 1],
                corners[j + 2],
                corners[k],
                corners[k + 1],
                corners[k + 2]);
    }

    /** How many triangles a ray from a point along a fixed, crooked direction goes through. */
    int crossings(Point from) {
        return crossings(from, 0);
    }

    /** Crooked, so that no ray runs along the edges of a tidy mesh. */
    private static final double[] RAY = {0.5144957554275265, 0.3086974532565159, 0.8};

    private int crossings(Point p, int node) {
        double near = 0;
        double far = Double.POSITIVE_INFINITY;
        double[] o = {p.x(), p.y(), p.z()};
        for (int k = 0; k < 3; k++) {
            double a = (boxes[6 * node + k] - o[k]) / RAY[k];
            double b = (boxes[6 * node + 3 + k] - o[k]) / RAY[k];
            near = Math.max(near, Math.min(a, b));
            far = Math.min(far, Math.max(a, b));
        }
        if (near > far) {
            return 0;
        }
        if (link[node] < 0) {
            int n = 0;
            for (int i = ~link[node]; i < ~link[node] + counts[node]; i++) {
                n += crosses(o, order[i]) ? 1 : 0;
            }
            return n;
        }
        return crossings(p, node + 1) + crossings(p, link[node]);
    }

    /** Ray against triangle (T. Moeller and B. Trumbore, 1997). */
    private boolean crosses(double[] o, int t) {
        int i = 3 * triangles[3 * t];
        int j = 3 * triangles[3 * t + 1];
        int k = 3 * triangles[3 * t + 2];
        double ax = (double) corners[j] - corners[i];
        double ay = (double) corners[j + 1] - corners[i + 1];
        double az = (double) corners[j + 2] - corners[i + 2];
        double bx = (double) corners[k] - corners[i];
        double by = (double) corners[k + 1] - corners[i + 1];
        double bz = (double) corners[k + 2] - corners[i + 2];
        double px = RAY[1] * bz - RAY[2] * by;
        double py = RAY[2] * bx - RAY[0] * bz;
        double pz = RAY[0] * by - RAY[1] * bx;
        double det = ax * px + ay * py + az * pz;
        if (det == 0) {
            return false;
        }
        double tx = o[0] - corners[i];
        double ty = o[1] - corners[i + 1];
        double tz = o[2] - corners[i + 2];
        double u = (tx * px + ty * py + tz * pz) / det;
        double qx = ty * az - tz * ay;
        double qy = tz * ax - tx * az;
        double qz = tx * ay - ty * ax;
        double v = (RAY[0] * qx + RAY[1] * qy + RAY[2] * qz) / det;
        return u >= 0 && v >= 0 && u + v <= 1 && (bx * qx + by * qy + bz * qz) / det > 0;
    }
}
