package mildtilt.io.scan;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/**
 * A scan of too many triangles with corners that lie near to each other joined: space is parted into cubes, and all
 * corners in one become their middle (J. Rossignac and P. Borrel, Multi-resolution 3D approximations, 1993). What then
 * has no area goes.
 *
 * @param corners x, y, z of each
 * @param triangles three corners each
 * @param farthest a corner was moved, in the numbers of the file
 */
record ThinnedScan(float[] corners, int[] triangles, double farthest) {

    /** Of a side of the cubes, from one try to the next. */
    private static final double COARSER = 1.3;

    private record Cube(int x, int y, int z) {}

    /** Thinned until it has no more than so many triangles. */
    static ThinnedScan of(float[] corners, int[] triangles, int most) {
        double side = 0.6 * meanEdge(corners, triangles);
        ThinnedScan thinned = joined(corners, triangles, side);
        while (thinned.triangles.length / 3 > most) {
            side *= COARSER;
            thinned = joined(corners, triangles, side);
        }
        return thinned;
    }

    private static double meanEdge(float[] c, int[] triangles) {
        double sum = 0;
        for (int t = 0; t < triangles.length; t += 3) {
            sum += distance(c, triangles[t], c, triangles[t + 1]);
        }
        // Of a scan whose triangles are all specks, something above 0.
        return Math.max(1e-6, sum / (triangles.length / 3.0));
    }

    private static ThinnedScan joined(float[] corners, int[] triangles, double side) {
        int n = corners.length / 3;
        Map<Cube, Integer> cubes = new HashMap<>();
        int[] to = new int[n];
        for (int i = 0; i < n; i++) {
            Cube cube = new Cube(
                    cell(corners[3 * i], side), cell(corners[3 * i + 1], side), cell(corners[3 * i + 2], side));
            Integer known = cubes.putIfAbsent(cube, cubes.size());
            to[i] = known == null ? cubes.size() - 1 : known;
        }
        double[] sums = new double[3 * cubes.size()];
        int[] counts = new int[cubes.size()];
        for (int i = 0; i < n; i++) {
            counts[to[i]]++;
            for (int k = 0; k < 3; k++) {
                sums[3 * to[i] + k] += corners[3 * i + k];
            }
        }
        float[] middles = new float[sums.length];
        for (int i = 0; i < sums.length; i++) {
            middles[i] = (float) (sums[i] / counts[i / 3]);
        }
        double farthest = 0;
        for (int i = 0; i < n; i++) {
            farthest = Math.max(farthest, distance(corners, i, middles, to[i]));
        }
        int[] kept = new int[triangles.length];
        int m = 0;
        for (int t = 0; t < triangles.length; t += 3) {
            int a = to[triangles[t]];
            int b = to[triangles[t + 1]];
            int c = to[triangles[t + 2]];
            if (a != b && b != c && c != a) {
                kept[m++] = a;
                kept[m++] = b;
                kept[m++] = c;
            }
        }
        return new ThinnedScan(middles, Arrays.copyOf(kept, m), farthest);
    }

    private static int cell(float v, double side) {
        return (int) Math.clamp(Math.floor(v / side), Integer.MIN_VALUE, Integer.MAX_VALUE);
    }

    private static double distance(float[] a, int i, float[] b, int j) {
        double x = (double) a[3 * i] - b[3 * j];
        double y = (double) a[3 * i + 1] - b[3 * j + 1];
        double z = (double) a[3 * i + 2] - b[3 * j + 2];
        return Math.sqrt(x * x + y * y + z * z);
    }
}
