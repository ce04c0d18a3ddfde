package mildtilt.solid;

import java.util.Arrays;
import mildtilt.geometry.Point;

/**
 * The distance between two convex solids: E. G. Gilbert, D. W. Johnson and S. S. Keerthi, "A fast procedure for
 * computing the
 * distance between complex objects in three-dimensional space", 1988. The nearest point of a simplex to the origin is
 * found by
 * the regions of C. Ericson, Real-time collision detection, 5.1. How deep solids that overlap stand in each other is
 * {@link Epa}'s.
 * One thread at a time.
 */
final class Gjk {

    private static final int MOST_STEPS = 60;
    private static final double CLOSE = 1e-8;

    private final double[] a = new double[3];
    private final double[] b = new double[3];
    /** Of the simplex: the difference and the points of both solids. */
    private final double[][] w = new double[4][3];

    private final double[][] onA = new double[4][3];
    private final double[][] onB = new double[4][3];
    private final double[] share = new double[4];
    private int size;
    /** Cores farther apart than this do not overlap, mm. */
    private static final double APART = 1e-9;

    private final Epa epa = new Epa();
    private double vx;
    private double vy;
    private double vz;

    /**
     * The gap alone, mm; of two in each other how deep they are, below 0.
     *
     * @param enough as soon as the gap is known to be no smaller, what is known is the answer, mm
     */
    double gap(Convex p, Convex q, double enough) {
        // Whether the cores overlap must be known in any case: then they may be deeper than all rounding.
        double core = core(p, q, Math.max(APART, enough + p.rounding + q.rounding));
        return (core > 0 ? core : -overlap(p, q, -enough - p.rounding - q.rounding)) - p.rounding - q.rounding;
    }

    /** Whether the gap is below some mm, 0 or more; two that touch are nearer than any. */
    boolean nearer(Convex p, Convex q, double mm) {
        double core = core(p, q, mm + p.rounding + q.rounding);
        return core <= 0 || core - p.rounding - q.rounding < mm;
    }

    Gap nearest(Convex p, Convex q) {
        double core = core(p, q, Double.POSITIVE_INFINITY);
        if (core <= 0) {
            double depth = overlap(p, q, 0);
            // Along (vx, vy, vz), which points from q to p, the two are in each other least.
            p.support(-vx, -vy, -vz, a);
            q.support(vx, vy, vz, b);
            return new Gap(-depth - p.rounding - q.rounding, new Point(a[0], a[1], a[2]), new Point(b[0], b[1], b[2]));
        }
        double[] at = new double[6];
        for (int i = 0; i < size; i++) {
            for (int k = 0; k < 3; k++) {
                at[k] += share[i] * onA[i][k];
                at[3 + k] += share[i] * onB[i][k];
            }
        }
        double nx = vx / core;
        double ny = vy / core;
        double nz = vz / core;
        return new Gap(
                core - p.rounding - q.rounding,
                new Point(at[0] - nx * p.rounding, at[1] - ny * p.rounding, at[2] - nz * p.rounding),
                new Point(at[3] + nx * q.rounding, at[4] + ny * q.rounding, at[5] + nz * q.rounding));
    }

    /**
     * Distance between the cores; 0 where they overlap. Leaves the vector from q to p in (vx, vy, vz).
     *
     * @param enough once a plane parts them by this much, by how much it does is the answer, and nothing of use is left
     */
    private double core(Convex p, Convex q, double enough) {
        size = 0;
        vx = p.mx - q.mx;
        vy = p.my - q.my;
        vz = p.mz - q.mz;
        double square = vx * vx + vy * vy + vz * vz;
        for (int step = 0; step < MOST_STEPS; step++) {
            if (square < 1e-18) {
                return 0;
            }
            p.support(-vx, -vy, -vz, a);
            q.support(vx, vy, vz, b);
            double x = a[0] - b[0];
            double y = a[1] - b[1];
            double z = a[2] - b[2];
            double along = vx * x + vy * y + vz * z;
            if (along > 0 && along * along >= enough * enough * square) {
                return along / Math.sqrt(square);
            }
            if (square - along <= CLOSE * square || known(x, y, z)) {
                if (size == 0) {
                    a[0] = p.mx;
                    a[1] = p.my;
                    a[2] = p.mz;
                    b[0] = q.mx;
                    b[1] = q.my;
                    b[2] = q.mz;
                    put(vx, vy, vz);
                    share[0] = 1;
                }
                break;
            }
            put(x, y, z);
            if (!reduce()) {
                return 0;
            }
            double next = vx * vx + vy * vy + vz * vz;
            if (next >= square * (1 - 1e-14) && step > 3) {
                square = next;
                break;
            }
            square = next;
        }
        return Math.sqrt(square);
    }

    private boolean known(double x, double y, double z) {
        for (int i = 0; i < size; i++) {
            if (w[i][0] == x && w[i][1] == y && w[i][2] == z) {
                return true;
            }
        }
        return false;
    }

    private void put(double x, double y, double z) {
        w[size][0] = x;
        w[size][1] = y;
        w[size][2] = z;
        System.arraycopy(a, 0, onA[size], 0, 3);
        System.arraycopy(b, 0, onB[size], 0, 3);
        size++;
    }

    /** Keeps of the simplex what carries the point nearest to the origin; false if the origin is inside. */
    private boolean reduce() {
        switch (size) {
            case 1 -> share[0] = 1;
            case 2 -> segment();
            case 3 -> triangle(0, 1, 2);
            default -> {
                if (!tetrahedron()) {
                    return false;
                }
            }
        }
        int kept = 0;
        vx = 0;
        vy = 0;
        vz = 0;
        for (int i = 0; i < size; i++) {
            if (share[i] > 0) {
                swap(kept, i);
                vx += share[kept] * w[kept][0];
                vy += share[kept] * w[kept][1];
                vz += share[kept] * w[kept][2];
                kept++;
            }
        }
        size = kept;
        return true;
    }

    private void swap(int i, int j) {
        if (i != j) {
            double[] t = w[i];
            w[i] = w[j];
            w[j] = t;
            t = onA[i];
            onA[i] = onA[j];
            onA[j] = t;
            t = onB[i];
            onB[i] = onB[j];
            onB[j] = t;
            double s = share[i];
            share[i] = share[j];
            share[j] = s;
        }
    }

    private static double dot(double[] p, double[] q) {
        return p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
    }

    private void segment() {
        double dx = w[1][0] - w[0][0];
        double dy = w[1][1] - w[0][1];
        double dz = w[1][2] - w[0][2];
        double n = dx * dx + dy * dy + dz * dz;
        double t = n == 0 ? 0 : Math.clamp(-(w[0][0] * dx + w[0][1] * dy + w[0][2] * dz) / n, 0, 1);
        share[0] = 1 - t;
        share[1] = t;
    }

    /** Shares of the corners i, j, k in the point of their triangle nearest to the origin. */
    private void triangle(int i, int j, int k) {
        double[] p = w[i];
        double[] q = w[j];
        double[] r = w[k];
        double abx = q[0] - p[0];
        double aby = q[1] - p[1];
        double abz = q[2] - p[2];
        double acx = r[0] - p[0];
        double acy = r[1] - p[1];
        double acz = r[2] - p[2];
        double d1 = -(abx * p[0] + aby * p[1] + abz * p[2]);
        double d2 = -(acx * p[0] + acy * p[1] + acz * p[2]);
        if (d1 <= 0 && d2 <= 0) {
            set(i, 1, j, 0, k, 0);
            return;
        }
        double d3 = -(abx * q[0] + aby * q[1] + abz * q[2]);
        double d4 = -(acx * q[0] + acy * q[1] + acz * q[2]);
        if (d3 >= 0 && d4 <= d3) {
            set(i, 0, j, 1, k, 0);
            return;
        }
        double vc = d1 * d4 - d3 * d2;
        if (vc <= 0 && d1 >= 0 && d3 <= 0) {
            double t = d1 == d3 ? 0 : d1 / (d1 - d3);
            set(i, 1 - t, j, t, k, 0);
            return;
        }
        double d5 = -(abx * r[0] + aby * r[1] + abz * r[2]);
        double d6 = -(acx * r[0] + acy * r[1] + acz * r[2]);
        if (d6 >= 0 && d5 <= d6) {
            set(i, 0, j, 0, k, 1);
            return;
        }
        double vb = d5 * d2 - d1 * d6;
        if (vb <= 0 && d2 >= 0 && d6 <= 0) {
            double t = d2 == d6 ? 0 : d2 / (d2 - d6);
            set(i, 1 - t, j, 0, k, t);
            return;
        }
        double va = d3 * d6 - d5 * d4;
        if (va <= 0 && d4 - d3 >= 0 && d5 - d6 >= 0) {
            double span = d4 - d3 + (d5 - d6);
            double t = span == 0 ? 0 : (d4 - d3) / span;
            set(i, 0, j, 1 - t, k, t);
            return;
        }
        double sum = va + vb + vc;
        set(i, 1 - vb / sum - vc / sum, j, vb / sum, k, vc / sum);
    }

    private void set(int i, double si, int j, double sj, int k, double sk) {
        share[i] = si;
        share[j] = sj;
        share[k] = sk;
    }

    private static final int[][] FACES = {{0, 1, 2, 3}, {0, 2, 3, 1}, {0, 3, 1, 2}, {1, 3, 2, 0}};

    /** False if the origin lies inside; otherwise the shares of the nearest face. */
    private boolean tetrahedron() {
        double best = Double.POSITIVE_INFINITY;
        double[] kept = new double[4];
        boolean outside = false;
        for (int[] f : FACES) {
            if (beyond(f)) {
                outside = true;
                triangle(f[0], f[1], f[2]);
                double x = 0;
                double y = 0;
                double z = 0;
                for (int c = 0; c < 3; c++) {
                    x += share[f[c]] * w[f[c]][0];
                    y += share[f[c]] * w[f[c]][1];
                    z += share[f[c]] * w[f[c]][2];
                }
                double square = x * x + y * y + z * z;
                if (square < best) {
                    best = square;
                    Arrays.fill(kept, 0);
                    for (int c = 0; c < 3; c++) {
                        kept[f[c]] = share[f[c]];
                    }
                }
            }
        }
        if (outside) {
            System.arraycopy(kept, 0, share, 0, 4);
        }
        return outside;
    }

    /**
     * Whether the origin lies on the other side of a face than the corner opposite; true too where they are in one
     * plane.
     */
    private boolean beyond(int[] f) {
        double[] p = w[f[0]];
        double ux = w[f[1]][0] - p[0];
        double uy = w[f[1]][1] - p[1];
        double uz = w[f[1]][2] - p[2];
        double tx = w[f[2]][0] - p[0];
        double ty = w[f[2]][1] - p[1];
        double tz = w[f[2]][2] - p[2];
        double nx = uy * tz - uz * ty;
        double ny = uz * tx - ux * tz;
        double nz = ux * ty - uy * tx;
        double origin = -(nx * p[0] + ny * p[1] + nz * p[2]);
        double corner = nx * (w[f[3]][0] - p[0]) + ny * (w[f[3]][1] - p[1]) + nz * (w[f[3]][2] - p[2]);
        double scale = Math.sqrt(nx * nx + ny * ny + nz * nz) * Math.sqrt(dot(w[f[3]], w[f[3]]) + dot(p, p));
        return Math.abs(corner) <= 1e-12 * scale || origin * corner < 0;
    }

    /**
     * The least move, mm, that parts two overlapping cores; its direction, from the second to the first, is left in
     * (vx, vy, vz).
     */
    private double overlap(Convex p, Convex q, double floor) {
        double depth = epa.depth(p, q, Math.max(0, floor));
        vx = epa.way[0];
        vy = epa.way[1];
        vz = epa.way[2];
        return depth;
    }
}
