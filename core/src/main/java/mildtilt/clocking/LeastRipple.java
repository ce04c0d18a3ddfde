package mildtilt.clocking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Transfer;

/**
 * The clockings that leave the least ripple, in closed form, for any number of joints.
 *
 * <p>Up to rotations, a joint at operating angle b stretches the plane of (cos, sin) along one line by
 * 1/cos b. Trains of such stretches compose like moves of length {@code ln(1/cos b)} in the hyperbolic
 * plane, and a fork turned by an angle c turns the path by 2c. An even train is therefore a closed
 * polygon of given side lengths. It closes unless one side is longer than all others together; then
 * folding all others back against that one leaves the least. Where it closes, the sides are gathered,
 * in order, into three straight runs that make a triangle, whose corners follow from the hyperbolic law
 * of cosines.
 */
final class LeastRipple {

    private LeastRipple() {}

    /**
     * @param free which of the shafts between joints may be set to any angle
     * @param set clockings of the others, rad; those of the free ones say which of two equally good
     *     answers to prefer: the one with less turning of forks
     * @return all clockings, rad
     */
    static double[] clockings(ColumnTrain train, boolean[] free, double[] set) {
        int freeCount = 0;
        for (boolean f : free) {
            freeCount += f ? 1 : 0;
        }
        if (freeCount == 0) {
            return set;
        }
        // Between two free shafts everything is rigid and acts as one stretch with a phase before and after it.
        List<Transfer> blocks = new ArrayList<>();
        int[] gapShaft = new int[freeCount];
        Transfer block = Transfer.ofUnevenness(train.unevenness(0));
        for (int i = 0; i < free.length; i++) {
            Transfer next = Transfer.ofUnevenness(train.unevenness(i + 1));
            if (free[i]) {
                gapShaft[blocks.size()] = i;
                blocks.add(block);
                block = next;
            } else {
                block = block.thenTurn(train.phase(i) + set[i]).then(next);
            }
        }
        blocks.add(block);

        double[] length = blocks.stream().mapToDouble(Transfer::stretch).toArray();
        double[] turn = cornerTurns(length);
        double[] one = assemble(train, blocks, gapShaft, turn, set);
        double[] mirrored = assemble(
                train, blocks, gapShaft, Arrays.stream(turn).map(t -> -t).toArray(), set);
        return turning(one, set) <= turning(mirrored, set) ? one : mirrored;
    }

    private static double[] assemble(
            ColumnTrain train, List<Transfer> blocks, int[] gapShaft, double[] turn, double[] set) {
        double[] all = set.clone();
        for (int k = 0; k < gapShaft.length; k++) {
            int i = gapShaft[k];
            all[i] = turn[k] - blocks.get(k).turnAfter() - blocks.get(k + 1).turnBefore() - train.phase(i);
        }
        return all;
    }

    private static double turning(double[] clockings, double[] from) {
        double sum = 0;
        for (int i = 0; i < clockings.length; i++) {
            sum += Math.abs(BestClocking.normalDeg(clockings[i] - from[i]));
        }
        return sum;
    }

    /** Half the turn of the path at the corner between side k and side k+1, rad. */
    private static double[] cornerTurns(double[] side) {
        int n = side.length;
        int longest = 0;
        double total = 0;
        for (int i = 0; i < n; i++) {
            total += side[i];
            if (side[i] > side[longest]) {
                longest = i;
            }
        }
        double a = side[longest];
        int[] run = new int[n];
        double b = 0;
        double c = total - a;
        if (a < total - a) {
            // Move sides, in the order they follow the longest, from run C to run B until a triangle can close.
            for (int k = 1; k < n && c - b > a; k++) {
                int i = (longest + k) % n;
                run[i] = 1;
                b += side[i];
                c -= side[i];
            }
        }
        for (int i = 0; i < n; i++) {
            if (i != longest && run[i] == 0) {
                run[i] = 2;
            }
        }
        double[] corner = {halfExterior(a, b, c), halfExterior(b, c, a), halfExterior(c, a, b)};
        double[] turn = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            if (run[i] != run[i + 1]) {
                // Corner 0 joins runs A and B, 1 joins B and C, 2 joins C and A; without run B, C meets A at both.
                turn[i] = b == 0 ? Math.PI / 2 : corner[run[i] == 0 && run[i + 1] == 2 ? 2 : run[i]];
            }
        }
        return turn;
    }

    /** Half the exterior angle between sides p and q of a hyperbolic triangle with third side r, rad. */
    private static double halfExterior(double p, double q, double r) {
        double s = Math.sinh(p) * Math.sinh(q);
        if (s == 0) {
            return 0;
        }
        double cos = (Math.cosh(p) * Math.cosh(q) - Math.cosh(r)) / s;
        return (Math.PI - Math.acos(Math.clamp(cos, -1, 1))) / 2;
    }
}
