package mildtilt.solid;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;

/**
 * A convex solid: the hull of points, or of discs about those points, all grown by a sphere. One point is a sphere, two
 * a bar
 * with round ends, two discs a cylinder, eight points a box.
 */
public final class Convex {

    /** x, y, z of each point. */
    final double[] points;

    final int count;
    /** Of the discs about the points, square to the axis; 0 for plain points. */
    final double disc;

    final double ax;
    final double ay;
    final double az;
    /** Of the sphere that the core is grown by. */
    final double rounding;

    final Bounds bounds;
    /** The mean of the points: inside of the core. */
    final double mx;

    final double my;
    final double mz;

    private Convex(double[] points, double disc, double ax, double ay, double az, double rounding) {
        this.points = points;
        count = points.length / 3;
        this.disc = disc;
        this.ax = ax;
        this.ay = ay;
        this.az = az;
        this.rounding = rounding;
        double x = 0;
        double y = 0;
        double z = 0;
        for (int i = 0; i < points.length; i += 3) {
            x += points[i];
            y += points[i + 1];
            z += points[i + 2];
        }
        mx = x / count;
        my = y / count;
        mz = z / count;
        bounds = bounds(this);
    }

    private static Bounds bounds(Convex c) {
        double ox = c.rounding + c.disc * Math.sqrt(Math.max(0, 1 - c.ax * c.ax));
        double oy = c.rounding + c.disc * Math.sqrt(Math.max(0, 1 - c.ay * c.ay));
        double oz = c.rounding + c.disc * Math.sqrt(Math.max(0, 1 - c.az * c.az));
        return Bounds.of(c.points).grown(ox, oy, oz);
    }

    /** The hull of points, grown by a sphere. */
    public static Convex hull(List<Point> points, double rounding) {
        double[] p = new double[3 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            p[3 * i] = points.get(i).x();
            p[3 * i + 1] = points.get(i).y();
            p[3 * i + 2] = points.get(i).z();
        }
        return new Convex(p, 0, 0, 0, 1, rounding);
    }

    /** The hull of points given as x, y, z of each. */
    static Convex points(double... xyz) {
        return new Convex(xyz, 0, 0, 0, 1, 0);
    }

    public static Convex sphere(Point centre, double radius) {
        return hull(List.of(centre), radius);
    }

    /** A bar with round ends. */
    public static Convex bar(Point from, Point to, double radius) {
        return hull(List.of(from, to), radius);
    }

    /**
     * A cylinder.
     *
     * @param edge radius its edges are rounded by, within the size given
     */
    public static Convex cylinder(Point from, Point to, double radius, double edge) {
        Direction axis = to.minus(from).direction();
        double inset = Math.min(edge, from.distanceTo(to) / 2);
        Point a = from.plus(axis.times(inset));
        Point b = to.plus(axis.times(-inset));
        return new Convex(
                new double[] {a.x(), a.y(), a.z(), b.x(), b.y(), b.z()},
                radius - inset,
                axis.x(),
                axis.y(),
                axis.z(),
                inset);
    }

    /** A box about a middle, half as long each way as the vectors. */
    public static Convex box(Point middle, Vector u, Vector v, Vector w) {
        List<Point> corners = new ArrayList<>(8);
        for (int i = 0; i < 8; i++) {
            corners.add(middle.plus(u.times((i & 1) == 0 ? -1 : 1))
                    .plus(v.times((i & 2) == 0 ? -1 : 1))
                    .plus(w.times((i & 4) == 0 ? -1 : 1)));
        }
        return hull(corners, 0);
    }

    public Bounds bounds() {
        return bounds;
    }

    public double rounding() {
        return rounding;
    }

    /** The points it is the hull of, without discs and rounding. */
    public List<Point> core() {
        List<Point> all = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            all.add(new Point(points[3 * i], points[3 * i + 1], points[3 * i + 2]));
        }
        return all;
    }

    /** Whether it is a bar with round ends between two points. */
    public boolean isBar() {
        return count == 2 && disc == 0;
    }

    /** Whether it is a cylinder between two points. */
    public boolean isCylinder() {
        return count == 2 && disc > 0;
    }

    /** Of a bar or a cylinder with its rounded edge. */
    public double radius() {
        return disc + rounding;
    }

    /**
     * Points all round the outline that it shows square on, in order: of each direction in the sheet the farthest
     * point. Sharp
     * corners come out exact, rounds as chords.
     *
     * @param right unit vector to the right on the sheet
     * @param up unit vector upward on the sheet
     * @param directions how many directions are looked along
     */
    public List<Point> outline(Vector right, Vector up, int directions) {
        List<Point> all = new ArrayList<>(directions);
        double[] at = new double[3];
        for (int i = 0; i < directions; i++) {
            double a = 2 * Math.PI * (i + 0.5) / directions;
            Vector d = right.times(Math.cos(a)).plus(up.times(Math.sin(a)));
            support(d.x(), d.y(), d.z(), at);
            Point p = new Point(at[0] + rounding * d.x(), at[1] + rounding * d.y(), at[2] + rounding * d.z());
            if (all.isEmpty() || all.getLast().distanceTo(p) > 1e-6) {
                all.add(p);
            }
        }
        return all;
    }

    public Convex grown(double by) {
        return new Convex(points, disc, ax, ay, az, rounding + by);
    }

    public Convex moved(RigidMove m) {
        double[] p = new double[points.length];
        for (int i = 0; i < points.length; i += 3) {
            double x = points[i];
            double y = points[i + 1];
            double z = points[i + 2];
            p[i] = x * m.ex().x() + y * m.ey().x() + z * m.ez().x() + m.shift().x();
            p[i + 1] =
                    x * m.ex().y() + y * m.ey().y() + z * m.ez().y() + m.shift().y();
            p[i + 2] =
                    x * m.ex().z() + y * m.ey().z() + z * m.ez().z() + m.shift().z();
        }
        return new Convex(
                p,
                disc,
                ax * m.ex().x() + ay * m.ey().x() + az * m.ez().x(),
                ax * m.ex().y() + ay * m.ey().y() + az * m.ez().y(),
                ax * m.ex().z() + ay * m.ey().z() + az * m.ez().z(),
                rounding);
    }

    /** Writes the farthest point of the core along a direction of any length. */
    void support(double dx, double dy, double dz, double[] out) {
        int best = 0;
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < points.length; i += 3) {
            double along = points[i] * dx + points[i + 1] * dy + points[i + 2] * dz;
            if (along > most) {
                most = along;
                best = i;
            }
        }
        out[0] = points[best];
        out[1] = points[best + 1];
        out[2] = points[best + 2];
        if (disc > 0) {
            double along = dx * ax + dy * ay + dz * az;
            double rx = dx - along * ax;
            double ry = dy - along * ay;
            double rz = dz - along * az;
            double n = Math.sqrt(rx * rx + ry * ry + rz * rz);
            if (n > 1e-12) {
                out[0] += disc * rx / n;
                out[1] += disc * ry / n;
                out[2] += disc * rz / n;
            }
        }
    }
}
