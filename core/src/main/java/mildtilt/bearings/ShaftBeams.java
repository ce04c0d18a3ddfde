package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Vector;
import mildtilt.shaftload.Steel;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A column's shafts as beams over all that holds them, with a hinge at every joint: what each bearing presses, and how
 * each shaft
 * stands, when bearings are off their line or joints load them with a couple.
 *
 * <p>Each shaft bends in two planes as Euler and Bernoulli's beam, {@code E I} of its own section all along. A joint
 * that keeps
 * both shafts in one place passes a force and no couple; a double joint that does not centre itself passes neither. The
 * gear
 * holds the last shaft's end in place and in line, a bearing and either end of the column tube hold it in place only.
 * The column
 * holds the first shaft along itself; other shafts are as long as they are, but for one that slides. N, mm, N·mm, rad.
 */
final class ShaftBeams {

    /** Holds what nothing else holds, so that a floating shaft does no harm to the sums; of the stiffest entry. */
    private static final double TRACE = 1e-12;

    private static final double APART = 1e-6;

    /**
     * A place that holds a shaft.
     *
     * @param bearing index among the column's bearings; below 0 for the tube's upper end ({@link #TUBE_UPPER}) and
     * lower end
     * @param along from the shaft's wheel end, mm
     */
    record Support(int bearing, int shaft, double along) {}

    static final int TUBE_UPPER = -1;
    static final int TUBE_LOWER = -2;

    private final Column column;
    /** A rotation counts as a shift of so much for each radian, which evens out the numbers, mm. */
    private final double lever;

    private final List<Support> supports;
    private final Vector[] across;
    private final Vector[] up;
    private final List<Node> nodes = new ArrayList<>();
    private final int size;
    private final RealMatrix stiffness;
    private final boolean[] fixed;
    private final int[] free;
    private final DecompositionSolver solver;

    /**
     * A place of a shaft. @param shift first of its shifts (two across the shaft, or three at a joint). @param turn
     * first of its two rotations
     */
    private record Node(int shaft, double along, int shift, boolean atJoint, int turn, int support) {}

    /** What holds the column's shafts; bearings off their shaft hold nothing. */
    static List<Support> supportsOf(Column c) {
        List<Support> all = new ArrayList<>();
        c.tube().ifPresent(t -> {
            all.add(new Support(TUBE_UPPER, 0, t.from()));
            all.add(new Support(TUBE_LOWER, 0, t.to()));
        });
        IntStream.range(0, c.bearings().size())
                .forEach(i -> all.add(new Support(
                        i, c.bearings().get(i).shaft(), c.bearings().get(i).along())));
        return all.stream()
                .filter(s -> s.along > APART && s.along < c.length(s.shaft) - APART)
                .toList();
    }

    /** @param released index among the supports of one that does not hold; −1 where all do */
    ShaftBeams(Column column, int released) {
        this.column = column;
        lever = IntStream.range(0, column.shafts().size())
                .mapToDouble(column::length)
                .average()
                .orElseThrow();
        supports = supportsOf(column);
        int shafts = column.shafts().size();
        across = new Vector[shafts];
        up = new Vector[shafts];
        int next = 0;
        int last = -1;
        for (int i = 0; i < shafts; i++) {
            across[i] = across(column.axis(i)).vector();
            up[i] = column.axis(i).cross(across[i]);
            boolean linked = i > 0 && column.joints().get(i - 1).kind().locates();
            int start = linked ? last : next;
            next += linked ? 0 : 3;
            nodes.add(new Node(i, 0, start, true, next, -1));
            next += 2;
            double at = 0;
            for (int s : inOrder(i)) {
                if (supports.get(s).along > at + APART) {
                    at = supports.get(s).along;
                    nodes.add(new Node(i, at, next, false, next + 2, s));
                    next += 4;
                }
            }
            last = next;
            nodes.add(new Node(i, column.length(i), next, true, next + 3, -1));
            next += 5;
        }
        size = next;
        double[][] k = new double[size][size];
        for (int n = 1; n < nodes.size(); n++) {
            if (nodes.get(n).shaft == nodes.get(n - 1).shaft) {
                beam(k, nodes.get(n - 1), nodes.get(n));
            }
        }
        along(k);
        double stiffest = 0;
        for (int i = 0; i < size; i++) {
            stiffest = Math.max(stiffest, k[i][i]);
        }
        for (int i = 0; i < size; i++) {
            k[i][i] += TRACE * stiffest;
        }
        stiffness = new Array2DRowRealMatrix(k, false);
        fixed = new boolean[size];
        for (Node n : nodes) {
            if (n.support >= 0 && n.support != released) {
                fixed[n.shift] = true;
                fixed[n.shift + 1] = true;
            }
        }
        // The gear holds the last end in place and in line.
        Node gear = nodes.getLast();
        for (int i = 0; i < 3; i++) {
            fixed[gear.shift + i] = true;
        }
        fixed[gear.turn] = true;
        fixed[gear.turn + 1] = true;
        free = IntStream.range(0, size).filter(i -> !fixed[i]).toArray();
        solver = new LUDecomposition(stiffness.getSubMatrix(free, free)).getSolver();
    }

    /** Level, to the left of a shaft that points forward, as misalignment is measured. */
    static Direction across(Direction axis) {
        Vector left = Vector.Z.cross(axis.vector());
        return left.norm() < 1e-9 ? Vector.Y.direction() : left.direction();
    }

    private int[] inOrder(int shaft) {
        return IntStream.range(0, supports.size())
                .filter(s -> supports.get(s).shaft == shaft)
                .boxed()
                .sorted((a, b) -> Double.compare(supports.get(a).along, supports.get(b).along))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    List<Support> supports() {
        return supports;
    }

    /** Both planes of one stretch of a shaft. */
    private void beam(double[][] k, Node a, Node b) {
        Shaft s = column.shafts().get(a.shaft);
        double d = s.profile().roundNoStronger();
        double ei = Steel.E * Math.PI / 64 * (Math.pow(d, 4) - Math.pow(s.bore(), 4));
        double l = b.along - a.along;
        double[][] beam = {
            {12, 6 * l, -12, 6 * l},
            {6 * l, 4 * l * l, -6 * l, 2 * l * l},
            {-12, -6 * l, 12, -6 * l},
            {6 * l, 2 * l * l, -6 * l, 4 * l * l}
        };
        for (int plane = 0; plane < 2; plane++) {
            Vector way = plane == 0 ? across[a.shaft] : up[a.shaft];
            double[][] rows = {
                row(a, plane, way, false), row(a, plane, way, true), row(b, plane, way, false), row(b, plane, way, true)
            };
            for (int i = 0; i < 4; i++) {
                for (int j = 0; j < 4; j++) {
                    add(k, rows[i], rows[j], ei / (l * l * l) * beam[i][j]);
                }
            }
        }
    }

    /**
     * What holds shafts along themselves: the body the first, and every one that does not slide its two ends, E A / L.
     */
    private void along(double[][] k) {
        if (column.joints().isEmpty()) {
            return;
        }
        Node first = nodes.stream()
                .filter(n -> n.shaft == 0 && n.atJoint && n.along > 0)
                .findFirst()
                .orElseThrow();
        double[] hold = row(first, 0, column.axis(0).vector(), false);
        add(k, hold, hold, axial(0));
        for (int i = 1; i < column.shafts().size(); i++) {
            if (column.shafts().get(i).slide().isEmpty()) {
                int shaft = i;
                Vector axis = column.axis(i).vector();
                List<Node> ends = nodes.stream()
                        .filter(n -> n.shaft == shaft && n.atJoint)
                        .toList();
                double[] one = row(ends.getFirst(), 0, axis, false);
                double[] other = row(ends.getLast(), 0, axis, false);
                add(k, one, one, axial(i));
                add(k, other, other, axial(i));
                add(k, one, other, -axial(i));
                add(k, other, one, -axial(i));
            }
        }
    }

    private double axial(int shaft) {
        Shaft s = column.shafts().get(shaft);
        double d = s.profile().roundNoStronger();
        return Steel.E * Math.PI / 4 * (d * d - s.bore() * s.bore()) / column.length(shaft);
    }

    /** A shift or a rotation in one plane as index and factor of the unknowns that it is made of. */
    private double[] row(Node n, int plane, Vector way, boolean turn) {
        if (turn) {
            return new double[] {n.turn + plane, 1 / lever};
        }
        return n.atJoint
                ? new double[] {n.shift, way.x(), n.shift + 1, way.y(), n.shift + 2, way.z()}
                : new double[] {n.shift + plane, 1};
    }

    private static void add(double[][] k, double[] a, double[] b, double value) {
        for (int i = 0; i < a.length; i += 2) {
            for (int j = 0; j < b.length; j += 2) {
                k[(int) a[i]][(int) b[j]] += a[i + 1] * b[j + 1] * value;
            }
        }
    }

    /** How everything stands for a set of shifts and couples. */
    final class Bent {
        private final double[] u;
        private final double[] force;

        private Bent(double[] u, double[] force) {
            this.u = u;
            this.force = force;
        }

        private Node node(int support) {
            Support s = supports.get(support);
            return nodes.stream()
                    .filter(n -> n.shaft == s.shaft && Math.abs(n.along - s.along) <= APART && !n.atJoint)
                    .findFirst()
                    .orElseThrow();
        }

        /** Across and up, mm, of the shaft at a support. */
        double[] shift(int support) {
            Node n = node(support);
            return new double[] {u[n.shift], u[n.shift + 1]};
        }

        /** Of the shaft against its line as planned, across and up, rad. */
        double[] slope(int support) {
            Node n = node(support);
            return new double[] {u[n.turn] / lever, u[n.turn + 1] / lever};
        }

        /** With which the support presses on the shaft, across and up, N. */
        double[] pressing(int support) {
            Node n = node(support);
            return new double[] {force[n.shift], force[n.shift + 1]};
        }
    }

    /**
     * How what holds the shafts is shifted.
     *
     * @param supports of each, across and up, mm
     * @param anchor of the body, that holds the first shaft along itself, mm
     */
    record Shift(double[][] supports, Vector anchor) {}

    Bent shifted(Shift shift) {
        double[][] by = shift.supports;
        double[] u = new double[size];
        for (int s = 0; s < supports.size(); s++) {
            for (Node n : nodes) {
                if (n.support == s && fixed[n.shift]) {
                    u[n.shift] = by[s][0];
                    u[n.shift + 1] = by[s][1];
                }
            }
        }
        double[] load = new double[size];
        if (!column.joints().isEmpty()) {
            Vector axis = column.axis(0).vector();
            double[] hold = row(
                    nodes.stream()
                            .filter(n -> n.shaft == 0 && n.atJoint && n.along > 0)
                            .findFirst()
                            .orElseThrow(),
                    0,
                    axis,
                    false);
            for (int i = 0; i < hold.length; i += 2) {
                load[(int) hold[i]] += hold[i + 1] * axial(0) * shift.anchor.dot(axis);
            }
        }
        return solved(u, load);
    }

    /**
     * A couple on the end of a shaft at a joint, in one plane of that shaft, N·mm.
     *
     * @param gearEnd whether at its end toward the gear
     * @param plane 0 bends it across, 1 up
     */
    Bent coupled(int shaft, boolean gearEnd, int plane, double couple) {
        double[] load = new double[size];
        Node end = nodes.stream()
                .filter(n -> n.shaft == shaft && n.atJoint && (n.along > 0) == gearEnd)
                .findFirst()
                .orElseThrow();
        load[end.turn + plane] = couple / lever;
        return solved(new double[size], load);
    }

    private Bent solved(double[] u, double[] load) {
        RealVector held = stiffness.operate(new ArrayRealVector(u, false));
        double[] rest = new double[free.length];
        for (int i = 0; i < free.length; i++) {
            rest[i] = load[free[i]] - held.getEntry(free[i]);
        }
        RealVector x = solver.solve(new ArrayRealVector(rest, false));
        for (int i = 0; i < free.length; i++) {
            u[free[i]] = x.getEntry(i);
        }
        double[] force = stiffness.operate(u);
        for (int i = 0; i < size; i++) {
            force[i] -= load[i];
        }
        return new Bent(u, force);
    }

    /** How far the bearings were measured off their shafts' lines, across and up; nothing for the tube. */
    Shift measured() {
        double[][] by = new double[supports.size()][];
        for (int s = 0; s < by.length; s++) {
            int bearing = supports.get(s).bearing;
            by[s] = bearing < 0 ? new double[2] : offOf(column.bearings().get(bearing));
        }
        return new Shift(by, new Vector(0, 0, 0));
    }

    private static double[] offOf(Bearing b) {
        return new double[] {b.offAcross(), b.offUp()};
    }

    /** A shift of the body as each support of it feels it that hangs on the body, across and up. */
    Shift moved(Vector by) {
        double[][] all = new double[supports.size()][];
        for (int s = 0; s < all.length; s++) {
            Support at = supports.get(s);
            boolean onBody = at.bearing < 0 || column.bearings().get(at.bearing).mount() == Bearing.Mount.BULKHEAD;
            all[s] = onBody ? new double[] {by.dot(across[at.shaft]), by.dot(up[at.shaft])} : new double[2];
        }
        return new Shift(all, by);
    }

    /** The column tube tilted about a place along the first shaft: up on the driver's side, rad; all else stays. */
    Shift tilted(double pivot, double angle) {
        double[][] all = new double[supports.size()][];
        for (int s = 0; s < all.length; s++) {
            Support at = supports.get(s);
            all[s] = at.bearing < 0 ? new double[] {0, (pivot - at.along) * Math.tan(angle)} : new double[2];
        }
        return new Shift(all, new Vector(0, 0, 0));
    }
}
