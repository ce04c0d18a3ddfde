package mildtilt.io.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A waved sheet of 80 000 triangles, 0.5 mm apart. */
class ThinnedScanTest {

    private static final int SIDE = 200;
    private static final double STEP = 0.5;

    private static double height(double x, double y) {
        return 6 * Math.sin(x / 9) * Math.cos(y / 11);
    }

    private static float[] corners() {
        float[] c = new float[3 * (SIDE + 1) * (SIDE + 1)];
        int n = 0;
        for (int i = 0; i <= SIDE; i++) {
            for (int j = 0; j <= SIDE; j++) {
                c[n++] = (float) (i * STEP);
                c[n++] = (float) (j * STEP);
                c[n++] = (float) height(i * STEP, j * STEP);
            }
        }
        return c;
    }

    private static int[] triangles() {
        int[] t = new int[6 * SIDE * SIDE];
        int n = 0;
        for (int i = 0; i < SIDE; i++) {
            for (int j = 0; j < SIDE; j++) {
                int a = i * (SIDE + 1) + j;
                for (int c : new int[] {a, a + 1, a + SIDE + 2, a, a + SIDE + 2, a + SIDE + 1}) {
                    t[n++] = c;
                }
            }
        }
        return t;
    }

    @Test
    void itIsNoMoreThanIsTakenAndNoPlaceMovedFartherThanIsTold() {
        float[] before = corners();
        ThinnedScan s = ThinnedScan.of(before, triangles(), 10_000);
        assertThat(s.triangles().length / 3).isLessThanOrEqualTo(10_000).isGreaterThan(4_000);
        assertThat(s.farthest()).isBetween(0.3, 3.0);
        // Every corner that is left is as near to the sheet as the result says, and the sheet is covered to its edge.
        Set<Integer> used = new HashSet<>();
        for (int c : s.triangles()) {
            used.add(c);
        }
        double left = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        for (int c : used) {
            double x = s.corners()[3 * c];
            double y = s.corners()[3 * c + 1];
            assertThat(Math.abs(s.corners()[3 * c + 2] - height(x, y))).isLessThanOrEqualTo(s.farthest());
            left = Math.min(left, x);
            right = Math.max(right, x);
        }
        assertThat(left).isLessThanOrEqualTo(s.farthest());
        assertThat(right).isGreaterThanOrEqualTo(SIDE * STEP - s.farthest());
    }

    /** Neighbours keep going round the same way. */
    @Test
    void theSkinStaysRightSideOut() {
        ThinnedScan s = ThinnedScan.of(corners(), triangles(), 10_000);
        float[] c = s.corners();
        int down = 0;
        for (int t = 0; t < s.triangles().length; t += 3) {
            int i = 3 * s.triangles()[t];
            int j = 3 * s.triangles()[t + 1];
            int k = 3 * s.triangles()[t + 2];
            double z = (c[j] - c[i]) * (c[k + 1] - c[i + 1]) - (c[j + 1] - c[i + 1]) * (c[k] - c[i]);
            down += z < 0 ? 1 : 0;
        }
        // Joining corners may fold a triangle over here and there; the scan's faults then say so.
        int all = s.triangles().length / 3;
        assertThat(Math.min(down, all - down)).isLessThan(all / 100);
    }
}
