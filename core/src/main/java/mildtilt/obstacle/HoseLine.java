package mildtilt.obstacle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * How a hose lies between its ends. Where no fitting tells how it leaves them it hangs as an arc of a circle: no curve
 * of
 * its length between the same ends is bent less at its sharpest (Schur's comparison of arcs and chords), so that a
 * radius
 * that is too small for the arc is too small for any hose there. From fittings it leaves straight along them, as a
 * cubic
 * whose two end tangents are made as long as its length asks.
 *
 * @param points along its middle
 * @param leastRadius of its bends, mm; 100 m where it is straighter than that
 */
public record HoseLine(List<Point> points, double leastRadius) {

    private static final int PIECES = 16;
    private static final int SAMPLES = 64;
    private static final int HALVINGS = 50;
    /** What is bent less is straight for any hose. */
    static final double STRAIGHT_RADIUS = 100_000;

    /** Longer than the straight line by less than this part it is taken to be straight. */
    private static final double STRAIGHT = 1e-9;

    public HoseLine {
        leastRadius = Math.min(leastRadius, STRAIGHT_RADIUS);
    }

    static HoseLine of(TwoEnded.Hose hose) {
        Point a = hose.from().at();
        Point b = hose.to().at();
        double apart = a.distanceTo(b);
        boolean slack = hose.length() > apart * (1 + STRAIGHT);
        Optional<Vector> out = leaves(hose.from());
        Optional<Vector> in = leaves(hose.to());
        if (out.isPresent() || in.isPresent()) {
            return cubic(a, b, out, in, hose.length());
        }
        return slack ? arc(a, b, hose.length()) : straight(a, b);
    }

    /** Of as many points as any other, so that a hose is one body whether it is taut or not. */
    private static HoseLine straight(Point a, Point b) {
        List<Point> line = new ArrayList<>();
        for (int i = 0; i <= PIECES; i++) {
            line.add(a.plus(b.minus(a).times((double) i / PIECES)));
        }
        line.set(PIECES, b);
        return new HoseLine(List.copyOf(line), Double.POSITIVE_INFINITY);
    }

    private static Optional<Vector> leaves(PartEnd end) {
        return end.fit().map(f -> f.direction().vector());
    }

    /** Half the arc's angle t has sin t / t = chord / length; it hangs in the upright plane through both ends. */
    private static HoseLine arc(Point a, Point b, double length) {
        Vector chord = b.minus(a);
        double apart = chord.norm();
        double t = halfAngle(apart / length);
        double radius = length / (2 * t);
        Vector along = apart < 1e-9 ? Vector.X : chord.times(1 / apart);
        Vector level = along.times(along.dot(Vector.Z));
        Vector down = level.minus(Vector.Z);
        // Straight up or down it bows outward.
        Vector bow = down.norm() > 1e-6 ? down.direction().vector() : Vector.Y.times(a.y() < 0 ? -1 : 1);
        Point middle = a.plus(chord.times(0.5));
        List<Point> line = new ArrayList<>();
        for (int i = 0; i <= PIECES; i++) {
            double s = t * (2.0 * i / PIECES - 1);
            line.add(middle.plus(along.times(radius * Math.sin(s)))
                    .plus(bow.times(radius * (Math.cos(s) - Math.cos(t)))));
        }
        line.set(0, a);
        line.set(PIECES, b);
        return new HoseLine(List.copyOf(line), radius);
    }

    /** The t from 0 to π with sin t / t as given, by halving. */
    private static double halfAngle(double sinc) {
        double low = 0;
        double high = Math.PI;
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (low + high) / 2;
            if (Math.sin(mid) / mid > sinc) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return (low + high) / 2;
    }

    /** An end without a fitting is free to turn: there the line is not bent. */
    private static HoseLine cubic(Point a, Point b, Optional<Vector> out, Optional<Vector> in, double length) {
        double low = 0;
        double high = 1;
        while (lengthOf(a, b, out, in, high) < length && high < 1e6) {
            low = high;
            high *= 2;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double mid = (low + high) / 2;
            if (lengthOf(a, b, out, in, mid) < length) {
                low = mid;
            } else {
                high = mid;
            }
        }
        Vector[] v = tangents(a, b, out, in, low);
        List<Point> line = new ArrayList<>();
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i <= SAMPLES; i++) {
            double u = (double) i / SAMPLES;
            if (i % (SAMPLES / PIECES) == 0) {
                line.add(at(a, b, v, u));
            }
            least = Math.min(least, radius(a, b, v, u));
        }
        return new HoseLine(List.copyOf(line), least);
    }

    /** Of both ends, pointing along the line; one without a fitting is such that the line is not bent there. */
    private static Vector[] tangents(Point a, Point b, Optional<Vector> out, Optional<Vector> in, double pull) {
        Vector chord = b.minus(a);
        if (out.isPresent() && in.isPresent()) {
            return new Vector[] {out.get().times(pull), in.get().times(-pull)};
        }
        // The second derivative at a free end, 6 (b − a) − 4 of its own tangent − 2 of the other's, is nothing.
        if (out.isPresent()) {
            Vector first = out.get().times(pull);
            return new Vector[] {first, chord.times(1.5).minus(first.times(0.5))};
        }
        Vector second = in.orElseThrow().times(-pull);
        return new Vector[] {chord.times(1.5).minus(second.times(0.5)), second};
    }

    private static double lengthOf(Point a, Point b, Optional<Vector> out, Optional<Vector> in, double pull) {
        Vector[] v = tangents(a, b, out, in, pull);
        double sum = 0;
        Point before = a;
        for (int i = 1; i <= SAMPLES; i++) {
            Point now = at(a, b, v, (double) i / SAMPLES);
            sum += before.distanceTo(now);
            before = now;
        }
        return sum;
    }

    private static Point at(Point a, Point b, Vector[] v, double u) {
        double w = 1 - u;
        return a.plus(b.minus(a).times(u * u * (3 - 2 * u)))
                .plus(v[0].times(u * w * w))
                .plus(v[1].times(-u * u * w));
    }

    private static double radius(Point a, Point b, Vector[] v, double u) {
        Vector chord = b.minus(a);
        Vector d = chord.times(6 * u * (1 - u))
                .plus(v[0].times(1 - 4 * u + 3 * u * u))
                .plus(v[1].times(3 * u * u - 2 * u));
        Vector dd = chord.times(6 - 12 * u).plus(v[0].times(6 * u - 4)).plus(v[1].times(6 * u - 2));
        double bent = d.cross(dd).norm();
        double speed = d.norm();
        return bent < 1e-12 ? Double.POSITIVE_INFINITY : speed * speed * speed / bent;
    }
}
