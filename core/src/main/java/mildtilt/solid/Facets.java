package mildtilt.solid;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Bars, balls and flat-faced bodies gathered into one skin of triangles to be looked at: corners with the direction out
 * of the body there, and three corners a triangle. What is round has flats.
 */
public final class Facets {

    private static final int[][] BOX_FACES = {
        {0, 1, 3, 2}, {4, 6, 7, 5}, {0, 4, 5, 1}, {2, 3, 7, 6}, {0, 2, 6, 4}, {1, 5, 7, 3}
    };

    private float[] points = new float[3 * 256];
    private float[] normals = new float[3 * 256];
    private int corners;
    private int[] triangles = new int[3 * 256];
    private int ends;
    private final Set<Point> balls = new HashSet<>();

    public boolean isEmpty() {
        return ends == 0;
    }

    /** The side of a round bar. @param round how many flats it has; @param capped whether its ends are closed */
    public void bar(Point from, Point to, double radius, int round, boolean capped) {
        Vector along = to.minus(from);
        if (along.norm() < 1e-6) {
            return;
        }
        Direction axis = along.direction();
        Vector u = axis.anySquare().vector();
        Vector v = axis.vector().cross(u);
        int first = corners;
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            Vector out = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
            corner(from.plus(out.times(radius)), out);
            corner(to.plus(out.times(radius)), out);
        }
        for (int i = 0; i < round; i++) {
            int a = first + 2 * i;
            int b = first + 2 * ((i + 1) % round);
            face(a, b, b + 1);
            face(a, b + 1, a + 1);
        }
        if (capped) {
            cap(from, axis.vector().negated(), u, v, radius, round);
            cap(to, axis.vector(), u, v, radius, round);
        }
    }

    private void cap(Point at, Vector normal, Vector u, Vector v, double radius, int round) {
        int middle = corner(at, normal);
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            corner(at.plus(u.times(radius * Math.cos(a))).plus(v.times(radius * Math.sin(a))), normal);
        }
        boolean back = normal.dot(u.cross(v)) < 0;
        for (int i = 0; i < round; i++) {
            int one = middle + 1 + i;
            int next = middle + 1 + (i + 1) % round;
            face(middle, back ? next : one, back ? one : next);
        }
    }

    /** One where several bars meet is made once. @param round how many flats it has at its widest */
    public void ball(Point at, double radius, int round) {
        if (!balls.add(at)) {
            return;
        }
        int rings = round / 2;
        int first = corners;
        for (int r = 0; r <= rings; r++) {
            double up = Math.PI * r / rings;
            for (int i = 0; i < round; i++) {
                double a = 2 * Math.PI * i / round;
                Vector out = new Vector(Math.sin(up) * Math.cos(a), Math.sin(up) * Math.sin(a), Math.cos(up));
                corner(at.plus(out.times(radius)), out);
            }
        }
        for (int r = 0; r < rings; r++) {
            for (int i = 0; i < round; i++) {
                int a = first + r * round + i;
                int b = first + r * round + (i + 1) % round;
                face(a, a + round, b + round);
                face(a, b + round, b);
            }
        }
    }

    /** A flat face by its corners in turn, seen from outside of a body about a middle. */
    public void flat(List<Point> around, Point middle) {
        Vector normal = around.get(1).minus(around.get(0)).cross(around.get(2).minus(around.get(0)));
        if (normal.norm() < 1e-9) {
            return;
        }
        Vector unit = normal.direction().vector();
        boolean inward = unit.dot(around.getFirst().minus(middle)) < 0;
        Vector out = inward ? unit.negated() : unit;
        int first = corners;
        around.forEach(p -> corner(p, out));
        for (int i = 1; i + 1 < around.size(); i++) {
            face(first, first + (inward ? i + 1 : i), first + (inward ? i : i + 1));
        }
    }

    private int corner(Point p, Vector normal) {
        if (3 * corners + 3 > points.length) {
            points = Arrays.copyOf(points, 2 * points.length);
            normals = Arrays.copyOf(normals, 2 * normals.length);
        }
        int at = 3 * corners;
        points[at] = (float) p.x();
        points[at + 1] = (float) p.y();
        points[at + 2] = (float) p.z();
        normals[at] = (float) normal.x();
        normals[at + 1] = (float) normal.y();
        normals[at + 2] = (float) normal.z();
        return corners++;
    }

    private void face(int a, int b, int c) {
        if (ends + 3 > triangles.length) {
            triangles = Arrays.copyOf(triangles, 2 * triangles.length);
        }
        triangles[ends++] = a;
        triangles[ends++] = b;
        triangles[ends++] = c;
    }

    /** x, y and z of each corner, mm. */
    public float[] points() {
        return Arrays.copyOf(points, 3 * corners);
    }

    /** At each corner out of the body, of length 1. */
    public float[] normals() {
        return Arrays.copyOf(normals, 3 * corners);
    }

    /** Three corners each, anticlockwise seen from outside where the body is closed. */
    public int[] triangles() {
        return Arrays.copyOf(triangles, ends);
    }

    /** A body as it is drawn. @param round flats for a radius, mm */
    public void add(Convex c, IntByRadius round) {
        List<Point> core = c.core();
        if (c.isBar()) {
            int n = round.flats(c.rounding());
            bar(core.getFirst(), core.getLast(), c.rounding(), n, false);
            ball(core.getFirst(), c.rounding(), n);
            ball(core.getLast(), c.rounding(), n);
        } else if (c.isCylinder()) {
            Vector end = core.getLast().minus(core.getFirst());
            Vector over = end.norm() < 1e-9 ? end : end.direction().times(c.rounding());
            bar(
                    core.getFirst().plus(over.negated()),
                    core.getLast().plus(over),
                    c.radius(),
                    round.flats(c.radius()),
                    true);
        } else if (core.size() == 1) {
            ball(core.getFirst(), c.rounding(), round.flats(c.rounding()));
        } else if (core.size() == 8) {
            Point middle = core.getFirst().midwayTo(core.getLast());
            for (int[] f : BOX_FACES) {
                flat(IntStream.of(f).mapToObj(core::get).toList(), middle);
            }
        } else if (core.size() % 2 == 0) {
            plate(core);
        }
    }

    /** How many flats something round has. */
    public interface IntByRadius {
        int flats(double radius);
    }

    /** Two sides whose corners lie beside each other in pairs. */
    private void plate(List<Point> core) {
        int n = core.size() / 2;
        Point middle = core.getFirst().midwayTo(core.get(2 * (n / 2) + 1));
        flat(IntStream.range(0, n).mapToObj(i -> core.get(2 * i)).toList(), middle);
        flat(IntStream.range(0, n).mapToObj(i -> core.get(2 * i + 1)).toList(), middle);
        for (int i = 0; i < n; i++) {
            int next = (i + 1) % n;
            flat(List.of(core.get(2 * i), core.get(2 * i + 1), core.get(2 * next + 1), core.get(2 * next)), middle);
        }
    }

    /** A ring of square section, such as a tyre. */
    public void ring(Solid.Ring r, int round) {
        Vector half = r.axis().times(r.half() / r.axis().norm());
        Point one = r.centre().plus(half.negated());
        Point other = r.centre().plus(half);
        Direction axis = r.axis().direction();
        Vector u = axis.anySquare().vector();
        Vector v = axis.vector().cross(u);
        int first = corners;
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            Vector out = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
            corner(one.plus(out.times(r.outer())), out);
            corner(other.plus(out.times(r.outer())), out);
            corner(other.plus(out.times(r.outer())), axis.vector());
            corner(other.plus(out.times(r.inner())), axis.vector());
            corner(other.plus(out.times(r.inner())), out.negated());
            corner(one.plus(out.times(r.inner())), out.negated());
            corner(one.plus(out.times(r.inner())), axis.vector().negated());
            corner(one.plus(out.times(r.outer())), axis.vector().negated());
        }
        for (int i = 0; i < round; i++) {
            int a = first + 8 * i;
            int b = first + 8 * ((i + 1) % round);
            for (int side = 0; side < 8; side += 2) {
                face(a + side, b + side, b + side + 1);
                face(a + side, b + side + 1, a + side + 1);
            }
        }
    }

    /** A scan as it stands, each triangle flat. */
    public void skin(Solid.Skin skin) {
        TriangleMesh mesh = skin.mesh();
        for (int t = 0; t < mesh.count(); t++) {
            Point a = skin.place().moved(mesh.corner(mesh.cornerOf(t, 0)));
            Point b = skin.place().moved(mesh.corner(mesh.cornerOf(t, 1)));
            Point c = skin.place().moved(mesh.corner(mesh.cornerOf(t, 2)));
            Vector out = b.minus(a).cross(c.minus(a));
            if (out.norm() > 1e-9) {
                Vector n = out.direction().vector();
                face(corner(a, n), corner(b, n), corner(c, n));
            }
        }
    }
}
