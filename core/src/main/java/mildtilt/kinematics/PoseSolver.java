package mildtilt.kinematics;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;

/**
 * The poses of a {@link BodySystem}. Keeps the pose it is in and goes from there to the next by prediction along the tangent and
 * Newton's steps, halved wherever they would leave the branch: the sign of the Jacobian's determinant must not change, and the
 * correction must stay small beside the step. Where a mechanism can go no further the determinant falls to 0 as the root of the
 * way left (a fold), which gives the end to the last digits without ever standing on it.
 *
 * <p>(J. G. de Jalón, E. Bayo, Kinematic and Dynamic Simulation of Multibody Systems, chapters 2 and 3; E. Allgower, K. Georg,
 * Numerical Continuation Methods, chapter 2.)
 *
 * <p>Not for several threads at once.
 */
public final class PoseSolver {

    private static final int MOST_STEPS = 8;
    /** Newton's steps below this leave an error of its square, mm and radians times {@link #LEVER}. */
    private static final double SETTLED = 1e-7;

    /** Equations between directions count as if they were read at this lever, mm: all rows are then of one size. */
    private static final double LEVER = 100;

    /** A correction larger than this part of the prediction may have left the branch. */
    private static final double MOST_CORRECTION = 0.3;

    private static final double LEAST_STEP = 1e-10;
    private static final double MOST_LONGER = 400;

    private final BodySystem system;
    private final List<Point> references;
    private final Equation[] equations;
    private final int n;
    private final double[] place;
    private final double[] turn;
    private final double[] inputs;
    private final double[] keptPlace;
    private final double[] keptTurn;
    private final double[][] jacobian;
    private final double[] residual;
    private final double[] tangent;
    private final LuSolver lu;
    private final double[] pa = new double[3];
    private final double[] pb = new double[3];
    private final double[] va = new double[3];
    private final double[] vb = new double[3];
    private final double[] byInput;
    private final double[] scratch = new double[3];
    private final double branch;

    /** @throws IllegalArgumentException if there are more or fewer equations than unknowns, or they depend on each other */
    public PoseSolver(BodySystem system) {
        this.system = system;
        references = List.copyOf(system.references());
        equations = system.equations().toArray(Equation[]::new);
        n = 6 * references.size();
        int rows = Arrays.stream(equations).mapToInt(Equation::rows).sum();
        if (rows != n) {
            throw new IllegalArgumentException("The mechanism has " + rows + " equations for " + n
                    + " unknowns: a joint is missing, or there is one too many.");
        }
        place = new double[3 * references.size()];
        turn = new double[9 * references.size()];
        keptPlace = place.clone();
        keptTurn = turn.clone();
        inputs = new double[system.inputs()];
        jacobian = new double[n][n];
        residual = new double[n];
        tangent = new double[n];
        byInput = new double[n];
        lu = new LuSolver(jacobian);
        toDesign();
        write(inputs);
        if (!lu.factor()) {
            throw new IllegalArgumentException("The joints of the mechanism depend on each other in the design pose.");
        }
        branch = lu.determinantSign();
    }

    /** Back to the design pose, all inputs 0. */
    public void toDesign() {
        Arrays.fill(place, 0);
        Arrays.fill(turn, 0);
        for (int b = 0; b < references.size(); b++) {
            for (int i = 0; i < 3; i++) {
                turn[9 * b + 4 * i] = 1;
            }
        }
        Arrays.fill(inputs, 0);
    }

    /**
     * Goes from the present pose to other inputs.
     *
     * @param target the inputs by their numbers; those at the end that are left out are 0
     * @return 1 if it got there; else which part of the way the mechanism goes, and the pose is just short of that end
     */
    public double go(double... target) {
        double[] from = inputs.clone();
        double[] way = Arrays.copyOf(target, inputs.length);
        for (int i = 0; i < way.length; i++) {
            way[i] -= from[i];
        }
        double at = 0;
        double step = 1;
        while (at < 1) {
            double next = Math.min(1, at + step);
            if (next + LEAST_STEP >= 1) {
                next = 1;
            }
            keep();
            if (predict(way, next - at) && correct(from, way, next)) {
                at = next;
                set(from, way, at);
                step = Math.min(1, 2 * step);
            } else {
                restore();
                set(from, way, at);
                step /= 2;
                if (step < LEAST_STEP) {
                    return fold(from, way, at);
                }
            }
        }
        return 1;
    }

    /** The square of the determinant is straight in the way left: from two poses a little apart, the end. */
    private double fold(double[] from, double[] way, double at) {
        double back = Math.max(at * 1e-6, 64 * LEAST_STEP);
        write(inputs);
        lu.factor();
        double here = Math.exp(2 * lu.logDeterminant());
        keep();
        double earlier = Math.max(0, at - back);
        if (!(predict(way, earlier - at) && correct(from, way, earlier))) {
            restore();
            return at;
        }
        double there = Math.exp(2 * lu.logDeterminant());
        restore();
        set(from, way, at);
        return there > here ? at + here * (at - earlier) / (there - here) : at;
    }

    private void set(double[] from, double[] way, double at) {
        for (int i = 0; i < inputs.length; i++) {
            inputs[i] = from[i] + at * way[i];
        }
    }

    private void keep() {
        System.arraycopy(place, 0, keptPlace, 0, place.length);
        System.arraycopy(turn, 0, keptTurn, 0, turn.length);
    }

    private void restore() {
        System.arraycopy(keptPlace, 0, place, 0, place.length);
        System.arraycopy(keptTurn, 0, turn, 0, turn.length);
    }

    /** Along the tangent. */
    private boolean predict(double[] way, double step) {
        write(inputs);
        if (!lu.factor()) {
            return false;
        }
        sensitivity(way);
        lu.solve(tangent);
        for (int i = 0; i < n; i++) {
            tangent[i] *= step;
        }
        move(tangent);
        return true;
    }

    /** What the inputs do to the equations, with the sign that moves the bodies to make up for it. */
    private void sensitivity(double[] way) {
        int row = 0;
        for (Equation e : equations) {
            switch (e) {
                case Equation.Coincident _ -> {
                    tangent[row] = 0;
                    tangent[row + 1] = 0;
                    tangent[row + 2] = 0;
                }
                case Equation.Square s -> tangent[row] = s.input() < 0 ? 0 : -byInput[row] * way[s.input()];
                case Equation.Along a -> tangent[row] = a.input() < 0 ? 0 : -byInput[row] * way[a.input()];
                case Equation.Distance d -> tangent[row] = d.input() < 0 ? 0 : -byInput[row] * way[d.input()];
            }
            row += e.rows();
        }
    }

    private boolean correct(double[] from, double[] way, double at) {
        double[] wanted = new double[inputs.length];
        for (int i = 0; i < wanted.length; i++) {
            wanted[i] = from[i] + at * way[i];
        }
        double predicted = size(tangent);
        double last = Double.POSITIVE_INFINITY;
        for (int k = 0; k < MOST_STEPS; k++) {
            write(wanted);
            if (!lu.factor() || lu.determinantSign() != branch) {
                return false;
            }
            for (int i = 0; i < n; i++) {
                residual[i] = -residual[i];
            }
            lu.solve(residual);
            double now = size(residual);
            if (!(now <= Math.max(1e-6, MOST_CORRECTION * predicted)) || now > 0.6 * last && now > 1e-9) {
                return false;
            }
            move(residual);
            if (now < SETTLED) {
                return true;
            }
            last = now;
        }
        return false;
    }

    private double size(double[] change) {
        double most = 0;
        for (int b = 0; b < references.size(); b++) {
            for (int i = 0; i < 3; i++) {
                most = Math.max(most, Math.abs(change[6 * b + i]));
                most = Math.max(most, LEVER * Math.abs(change[6 * b + 3 + i]));
            }
        }
        return most;
    }

    /** Rodrigues' formula for the turn of each body. */
    private void move(double[] change) {
        for (int b = 0; b < references.size(); b++) {
            for (int i = 0; i < 3; i++) {
                place[3 * b + i] += change[6 * b + i];
            }
            double x = change[6 * b + 3];
            double y = change[6 * b + 4];
            double z = change[6 * b + 5];
            double angle = Math.sqrt(x * x + y * y + z * z);
            if (angle == 0) {
                continue;
            }
            double s = angle < 1e-4 ? 1 - angle * angle / 6 : Math.sin(angle) / angle;
            double h = Math.sin(angle / 2) / angle;
            double c = 2 * h * h;
            for (int column = 0; column < 3; column++) {
                int at = 9 * b + column;
                double vx = turn[at];
                double vy = turn[at + 3];
                double vz = turn[at + 6];
                double cx = y * vz - z * vy;
                double cy = z * vx - x * vz;
                double cz = x * vy - y * vx;
                turn[at] = vx + s * cx + c * (y * cz - z * cy);
                turn[at + 3] = vy + s * cy + c * (z * cx - x * cz);
                turn[at + 6] = vz + s * cz + c * (x * cy - y * cx);
            }
        }
    }

    /** Where a point is, in {@code to}; and its arm from the body's reference in {@code arm}. */
    private void point(Body b, Point design, double[] to, double[] arm) {
        if (!b.moves()) {
            to[0] = design.x();
            to[1] = design.y();
            to[2] = design.z();
            return;
        }
        Point r = references.get(b.index());
        rotate(b, design.x() - r.x(), design.y() - r.y(), design.z() - r.z(), arm);
        to[0] = r.x() + place[3 * b.index()] + arm[0];
        to[1] = r.y() + place[3 * b.index() + 1] + arm[1];
        to[2] = r.z() + place[3 * b.index() + 2] + arm[2];
    }

    private void rotate(Body b, double x, double y, double z, double[] to) {
        if (!b.moves()) {
            to[0] = x;
            to[1] = y;
            to[2] = z;
            return;
        }
        int at = 9 * b.index();
        to[0] = turn[at] * x + turn[at + 1] * y + turn[at + 2] * z;
        to[1] = turn[at + 3] * x + turn[at + 4] * y + turn[at + 5] * z;
        to[2] = turn[at + 6] * x + turn[at + 7] * y + turn[at + 8] * z;
    }

    /** Residuals and Jacobian at the present pose with the given inputs. */
    private void write(double[] at) {
        for (double[] r : jacobian) {
            Arrays.fill(r, 0);
        }
        int row = 0;
        for (Equation e : equations) {
            switch (e) {
                case Equation.Coincident c -> coincident(row, c);
                case Equation.Square s -> square(row, s, at);
                case Equation.Along a -> along(row, a, at);
                case Equation.Distance d -> distance(row, d, at);
            }
            row += e.rows();
        }
    }

    private void coincident(int row, Equation.Coincident c) {
        point(c.a(), c.onA(), pa, va);
        point(c.b(), c.onB(), pb, vb);
        for (int i = 0; i < 3; i++) {
            residual[row + i] = pa[i] - pb[i];
        }
        for (int i = 0; i < 3; i++) {
            double[] r = jacobian[row + i];
            int j = (i + 1) % 3;
            int k = (i + 2) % 3;
            if (c.a().moves()) {
                int at = 6 * c.a().index();
                r[at + i] += 1;
                r[at + 3 + j] += va[k];
                r[at + 3 + k] -= va[j];
            }
            if (c.b().moves()) {
                int at = 6 * c.b().index();
                r[at + i] -= 1;
                r[at + 3 + j] -= vb[k];
                r[at + 3 + k] += vb[j];
            }
        }
    }

    private void square(int row, Equation.Square s, double[] at) {
        Vector u = s.ofA();
        Vector turned = u;
        if (s.input() >= 0) {
            turned = s.turnedAbout().direction().turn(u, at[s.input()]);
        }
        rotate(s.a(), turned.x(), turned.y(), turned.z(), va);
        rotate(s.b(), s.ofB().x(), s.ofB().y(), s.ofB().z(), vb);
        residual[row] = LEVER * dot(va, vb);
        double[] r = jacobian[row];
        double cx = LEVER * (va[1] * vb[2] - va[2] * vb[1]);
        double cy = LEVER * (va[2] * vb[0] - va[0] * vb[2]);
        double cz = LEVER * (va[0] * vb[1] - va[1] * vb[0]);
        add(r, s.a(), cx, cy, cz);
        add(r, s.b(), -cx, -cy, -cz);
        if (s.input() >= 0) {
            // (axis × u) · w
            rotate(
                    s.a(),
                    s.turnedAbout().x(),
                    s.turnedAbout().y(),
                    s.turnedAbout().z(),
                    pa);
            byInput[row] = pa[0] * cx + pa[1] * cy + pa[2] * cz;
        }
    }

    private void along(int row, Equation.Along a, double[] at) {
        point(a.a(), a.onA(), pa, va);
        point(a.b(), a.onB(), pb, vb);
        double[] normal = scratch;
        rotate(a.a(), a.normal().x(), a.normal().y(), a.normal().z(), normal);
        double x = pb[0] - pa[0];
        double y = pb[1] - pa[1];
        double z = pb[2] - pa[2];
        residual[row] = normal[0] * x + normal[1] * y + normal[2] * z - (a.input() < 0 ? 0 : at[a.input()]);
        byInput[row] = -1;
        double[] r = jacobian[row];
        add(r, a.a(), normal[1] * z - normal[2] * y, normal[2] * x - normal[0] * z, normal[0] * y - normal[1] * x);
        push(r, a.a(), va, normal, -1);
        push(r, a.b(), vb, normal, 1);
    }

    private void distance(int row, Equation.Distance d, double[] at) {
        point(d.a(), d.onA(), pa, va);
        point(d.b(), d.onB(), pb, vb);
        double[] e = scratch;
        double length = 0;
        for (int i = 0; i < 3; i++) {
            e[i] = pb[i] - pa[i];
            length += e[i] * e[i];
        }
        length = Math.sqrt(length);
        for (int i = 0; i < 3; i++) {
            e[i] /= length;
        }
        residual[row] = length - d.length() - (d.input() < 0 ? 0 : at[d.input()]);
        byInput[row] = -1;
        push(jacobian[row], d.a(), va, e, -1);
        push(jacobian[row], d.b(), vb, e, 1);
    }

    /** How a point of a body moves along a direction. */
    private static void push(double[] r, Body b, double[] arm, double[] along, double sign) {
        if (b.moves()) {
            int at = 6 * b.index();
            for (int i = 0; i < 3; i++) {
                int j = (i + 1) % 3;
                int k = (i + 2) % 3;
                r[at + i] += sign * along[i];
                r[at + 3 + i] += sign * (arm[j] * along[k] - arm[k] * along[j]);
            }
        }
    }

    private static void add(double[] r, Body b, double x, double y, double z) {
        if (b.moves()) {
            int at = 6 * b.index() + 3;
            r[at] += x;
            r[at + 1] += y;
            r[at + 2] += z;
        }
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    /** Where a point of a body is now. @param design where it is in the design pose */
    public Point at(Body b, Point design) {
        double[] to = new double[3];
        point(b, design, to, new double[3]);
        return new Point(to[0], to[1], to[2]);
    }

    /** Where a vector of a body points now. */
    public Vector turned(Body b, Vector design) {
        double[] to = new double[3];
        rotate(b, design.x(), design.y(), design.z(), to);
        return new Vector(to[0], to[1], to[2]);
    }

    /** How a body has moved since the design pose. */
    public RigidMove moved(Body b) {
        Point zero = at(b, new Point(0, 0, 0));
        return new RigidMove(
                turned(b, Vector.X),
                turned(b, Vector.Y),
                turned(b, Vector.Z),
                new Vector(zero.x(), zero.y(), zero.z()));
    }

    /** How fast a point moves as an input changes: mm for each mm or radian of it. */
    public Vector rate(Body b, Point design, int input) {
        if (!b.moves()) {
            return new Vector(0, 0, 0);
        }
        write(inputs);
        lu.factor();
        double[] way = new double[inputs.length];
        way[input] = 1;
        sensitivity(way);
        lu.solve(tangent);
        double[] to = new double[3];
        double[] arm = new double[3];
        point(b, design, to, arm);
        int at = 6 * b.index();
        Vector spin = new Vector(tangent[at + 3], tangent[at + 4], tangent[at + 5]);
        return new Vector(tangent[at], tangent[at + 1], tangent[at + 2])
                .plus(spin.cross(new Vector(arm[0], arm[1], arm[2])));
    }

    /**
     * A rod that would have to have another length.
     *
     * @param longer how much, mm; below 0 shorter
     */
    public record Shortfall(String rod, double longer) {}

    /** The rod that with the smallest change of its length lets the mechanism reach these inputs from the design pose; empty if it does as it is. */
    public Optional<Shortfall> missing(double... target) {
        toDesign();
        if (go(target) == 1) {
            return Optional.empty();
        }
        return system.rods().stream()
                .flatMap(r -> change(r, target).stream())
                .min(Comparator.comparingDouble(s -> Math.abs(s.longer())));
    }

    private List<Shortfall> change(BodySystem.Rod rod, double[] target) {
        double best = Double.NaN;
        for (int sign = -1; sign <= 1; sign += 2) {
            double no = 0;
            double yes = sign * 0.5;
            while (!reached(rod, yes, target) && Math.abs(yes) < MOST_LONGER) {
                no = yes;
                yes *= 2;
            }
            if (Math.abs(yes) >= MOST_LONGER) {
                continue;
            }
            while (Math.abs(yes - no) > 1e-6) {
                double middle = (yes + no) / 2;
                if (reached(rod, middle, target)) {
                    yes = middle;
                } else {
                    no = middle;
                }
            }
            if (Double.isNaN(best) || Math.abs(yes) < Math.abs(best)) {
                best = yes;
            }
        }
        return Double.isNaN(best) ? List.of() : List.of(new Shortfall(rod.name(), best));
    }

    private boolean reached(BodySystem.Rod rod, double longer, double[] target) {
        toDesign();
        double[] first = new double[inputs.length];
        first[rod.input()] = longer;
        double[] then = Arrays.copyOf(target, inputs.length);
        then[rod.input()] += longer;
        return go(first) == 1 && go(then) == 1;
    }
}
