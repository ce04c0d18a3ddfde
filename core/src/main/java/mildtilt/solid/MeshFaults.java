package mildtilt.solid;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * What is wrong with a skin of triangles.
 *
 * @param flat triangles without area; they are left out where a scan is read
 * @param openEdges edges that one triangle alone has, or more than two: the rim of a hole
 * @param flipped pairs of neighbours that go round their common edge the same way, so that one of them is inside out
 */
public record MeshFaults(int flat, int openEdges, int flipped) {

    private static final double NO_AREA = 1e-9;

    public static MeshFaults of(float[] corners, int[] triangles) {
        // Of each edge, low corner first: how often it is gone along forwards and backwards, in two halves of one
        // number.
        Map<Long, Integer> edges = HashMap.newHashMap(triangles.length / 2 + 1);
        int flat = 0;
        for (int t = 0; t < triangles.length; t += 3) {
            if (flat(corners, triangles, t)) {
                flat++;
                continue;
            }
            for (int k = 0; k < 3; k++) {
                int from = triangles[t + k];
                int to = triangles[t + (k + 1) % 3];
                long key = (long) Math.min(from, to) << 32 | Math.max(from, to);
                edges.merge(key, from < to ? 1 : 1 << 16, Integer::sum);
            }
        }
        int open = 0;
        int flipped = 0;
        for (int uses : edges.values()) {
            int forwards = uses & 0xffff;
            int backwards = uses >>> 16;
            if (forwards + backwards != 2) {
                open++;
            } else if (forwards != 1) {
                flipped++;
            }
        }
        return new MeshFaults(flat, open, flipped);
    }

    /** The triangles that have an area. */
    public static int[] withArea(float[] corners, int[] triangles) {
        int[] kept = new int[triangles.length];
        int n = 0;
        for (int t = 0; t < triangles.length; t += 3) {
            if (!flat(corners, triangles, t)) {
                System.arraycopy(triangles, t, kept, n, 3);
                n += 3;
            }
        }
        return Arrays.copyOf(kept, n);
    }

    /** Whether a triangle has no area to speak of: two corners are one, or all three lie in a line. */
    private static boolean flat(float[] c, int[] triangles, int t) {
        int i = 3 * triangles[t];
        int j = 3 * triangles[t + 1];
        int k = 3 * triangles[t + 2];
        double ux = (double) c[j] - c[i];
        double uy = (double) c[j + 1] - c[i + 1];
        double uz = (double) c[j + 2] - c[i + 2];
        double vx = (double) c[k] - c[i];
        double vy = (double) c[k + 1] - c[i + 1];
        double vz = (double) c[k + 2] - c[i + 2];
        double nx = uy * vz - uz * vy;
        double ny = uz * vx - ux * vz;
        double nz = ux * vy - uy * vx;
        double longest = Math.max(ux * ux + uy * uy + uz * uz, vx * vx + vy * vy + vz * vz);
        return nx * nx + ny * ny + nz * nz <= NO_AREA * NO_AREA * longest * longest;
    }
}
