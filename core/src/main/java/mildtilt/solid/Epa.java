package mildtilt.solid;

import java.util.ArrayList;
import java.util.List;

/**
 * How deep two convex solids stand in each other: the least move that parts them, exact for flat-sided ones and to
 * {@link #CLOSE}
 * of their size for round ones. G. van den Bergen's expanding polytope, "Proximity queries and penetration depth
 * computation on 3D
 * game objects", 2001: what the corners of one solid less those of the other span holds the origin where they overlap,
 * and its
 * surface is nearest to it where they overlap least. A polytope inside of it is grown toward that place, face by face.
 * Swapped,
 * mirrored, turned or scaled solids give the same depth. One thread at a time.
 */
final class Epa {

    /** Of the solids' size: the depth is known to this. */
    static final double CLOSE = 1e-9;

    private static final double FLAT = 1e-10;
    private static final int MOST_STEPS = 400;
    /** A polytope of so many faces is no longer closed: rounding has spoilt it. */
    private static final int MOST_FACES = 2 * MOST_STEPS + 4;

    private final double[] a = new double[3];
    private final double[] b = new double[3];
    private final List<double[]> points = new ArrayList<>();
    private final List<Face> faces = new ArrayList<>();
    private final List<int[]> rim = new ArrayList<>();

    /** The direction along which the two are parted by the least move, from the second to the first. */
    final double[] way = new double[3];

    private record Face(int i, int j, int k, double nx, double ny, double nz, double off) {

        double above(double[] p) {
            return nx * p[0] + ny * p[1] + nz * p[2] - off;
        }
    }

    /**
     * Of two cores that overlap or touch: the least move of one that parts them, mm. Their rounding is left out.
     *
     * @param floor as soon as the depth is known to be no more than this, what is known is the answer, mm; 0 to have it
     * in any case
     */
    double depth(Convex p, Convex q, double floor) {
        points.clear();
        faces.clear();
        double size = Math.max(1e-6, Math.max(span(p), span(q)));
        if (!start(p, q, size * FLAT)) {
            // All in one plane or line: a push square to it parts them at once.
            return 0;
        }
        Face best = nearest();
        for (int step = 0; step < MOST_STEPS; step++) {
            double[] s = support(p, q, best.nx, best.ny, best.nz);
            // A push along any direction as far as both reach along it parts them.
            double push = best.nx * s[0] + best.ny * s[1] + best.nz * s[2];
            if (push <= floor) {
                return Math.max(0, push);
            }
            if (best.above(s) <= CLOSE * size || !grow(s, FLAT * size)) {
                break;
            }
            best = nearest();
        }
        way[0] = -best.nx;
        way[1] = -best.ny;
        way[2] = -best.nz;
        return Math.max(0, best.off);
    }

    private static double span(Convex c) {
        Bounds b = c.bounds;
        return Math.max(b.maxX() - b.minX(), Math.max(b.maxY() - b.minY(), b.maxZ() - b.minZ()));
    }

    /** The farthest of q less p along a direction. */
    private double[] support(Convex p, Convex q, double x, double y, double z) {
        q.support(x, y, z, b);
        p.support(-x, -y, -z, a);
        return new double[] {b[0] - a[0], b[1] - a[1], b[2] - a[2]};
    }

    /** Four points that are not in one plane; false, with a direction square to all, where there are none. */
    private boolean start(Convex p, Convex q, double flat) {
        double[] one = new double[3];
        double[] two = new double[3];
        double longest = -1;
        for (int k = 0; k < 3; k++) {
            double[] high = support(p, q, k == 0 ? 1 : 0, k == 1 ? 1 : 0, k == 2 ? 1 : 0);
            double[] low = support(p, q, k == 0 ? -1 : 0, k == 1 ? -1 : 0, k == 2 ? -1 : 0);
            double d = distance(high, low);
            if (d > longest) {
                longest = d;
                one = high;
                two = low;
            }
        }
        if (longest <= flat) {
            set(way, 0, 0, 1);
            return false;
        }
        double[] along = unit(minus(two, one));
        double[] u = anySquare(along);
        double[] v = cross(along, u);
        double[] three = one;
        double widest = -1;
        for (int i = 0; i < 8; i++) {
            double turn = Math.PI * i / 4;
            double[] s = support(
                    p,
                    q,
                    u[0] * Math.cos(turn) + v[0] * Math.sin(turn),
                    u[1] * Math.cos(turn) + v[1] * Math.sin(turn),
                    u[2] * Math.cos(turn) + v[2] * Math.sin(turn));
            double[] off = cross(along, minus(s, one));
            double d = length(off);
            if (d > widest) {
                widest = d;
                three = s;
            }
        }
        if (widest <= flat) {
            set(way, u[0], u[1], u[2]);
            return false;
        }
        double[] n = unit(cross(along, minus(three, one)));
        double[] up = support(p, q, n[0], n[1], n[2]);
        double[] down = support(p, q, -n[0], -n[1], -n[2]);
        double above = dot(n, minus(up, one));
        double below = -dot(n, minus(down, one));
        if (Math.max(above, below) <= flat) {
            set(way, n[0], n[1], n[2]);
            return false;
        }
        points.add(one);
        points.add(two);
        points.add(three);
        points.add(above >= below ? up : down);
        double[] middle = new double[3];
        for (double[] c : points) {
            for (int k = 0; k < 3; k++) {
                middle[k] += c[k] / 4;
            }
        }
        for (int[] f : new int[][] {{0, 1, 2}, {0, 1, 3}, {0, 2, 3}, {1, 2, 3}}) {
            Face face = face(f[0], f[1], f[2]);
            faces.add(face.above(middle) > 0 ? face(f[0], f[2], f[1]) : face);
        }
        return true;
    }

    private Face face(int i, int j, int k) {
        double[] p = points.get(i);
        double[] n = cross(minus(points.get(j), p), minus(points.get(k), p));
        double l = length(n);
        double f = l > 0 ? 1 / l : 0;
        return new Face(i, j, k, n[0] * f, n[1] * f, n[2] * f, f == 0 ? Double.MAX_VALUE : dot(n, p) * f);
    }

    /** The face whose plane is nearest to the origin; where that lies beyond one, the one it lies farthest beyond. */
    private Face nearest() {
        Face best = faces.getFirst();
        for (Face f : faces) {
            if (f.off < best.off) {
                best = f;
            }
        }
        return best;
    }

    /** Takes in one more point; false if it lies on what there is. */
    private boolean grow(double[] s, double flat) {
        rim.clear();
        boolean any = false;
        for (int i = faces.size() - 1; i >= 0; i--) {
            Face f = faces.get(i);
            if (f.above(s) > flat) {
                edge(f.i, f.j);
                edge(f.j, f.k);
                edge(f.k, f.i);
                faces.remove(i);
                any = true;
            }
        }
        if (!any || rim.isEmpty() || faces.size() + rim.size() > MOST_FACES) {
            return false;
        }
        points.add(s);
        int last = points.size() - 1;
        for (int[] e : rim) {
            faces.add(face(e[0], e[1], last));
        }
        return true;
    }

    /** An edge of a removed face: two such faces have it in common, or it is part of the rim. */
    private void edge(int i, int j) {
        for (int n = rim.size() - 1; n >= 0; n--) {
            if (rim.get(n)[0] == j && rim.get(n)[1] == i) {
                rim.remove(n);
                return;
            }
        }
        rim.add(new int[] {i, j});
    }

    private static void set(double[] v, double x, double y, double z) {
        v[0] = x;
        v[1] = y;
        v[2] = z;
    }

    private static double[] minus(double[] p, double[] q) {
        return new double[] {p[0] - q[0], p[1] - q[1], p[2] - q[2]};
    }

    private static double[] cross(double[] p, double[] q) {
        return new double[] {p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]};
    }

    private static double dot(double[] p, double[] q) {
        return p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
    }

    private static double length(double[] p) {
        return Math.sqrt(dot(p, p));
    }

    private static double distance(double[] p, double[] q) {
        return length(minus(p, q));
    }

    private static double[] unit(double[] p) {
        double l = length(p);
        return new double[] {p[0] / l, p[1] / l, p[2] / l};
    }

    private static double[] anySquare(double[] p) {
        double[] away = Math.abs(p[2]) < 0.9 ? new double[] {0, 0, 1} : new double[] {1, 0, 0};
        return unit(cross(away, p));
    }
}
