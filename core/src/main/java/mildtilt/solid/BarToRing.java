package mildtilt.solid;

import java.util.Arrays;
import mildtilt.geometry.Point;

/**
 * The place of a round bar's middle line nearest to a ring. The line is parted where it goes from the hole into the
 * material and
 * out of it again. Within the hole the distance to its wall can only be least at an end of such a stretch, since the
 * distance from
 * the axis is a convex function along a line; on the others it is looked for by golden sections.
 */
final class BarToRing {

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final int STEPS = 40;
    private static final int PARTED = 4;

    private final Convex bar;
    private final Solid.Ring ring;
    private final double length;
    private double best;
    private double at = -1;

    /** @param enough a gap that need not be exact, mm */
    BarToRing(Convex bar, Solid.Ring ring, double enough) {
        this.bar = bar;
        this.ring = ring;
        best = enough + bar.rounding;
        length = point(0).distanceTo(point(1));
    }

    private Point point(double t) {
        double[] p = bar.points;
        int last = p.length - 3;
        return new Point(p[0] + t * (p[last] - p[0]), p[1] + t * (p[last + 1] - p[1]), p[2] + t * (p[last + 2] - p[2]));
    }

    private double distance(double t) {
        double[] p = bar.points;
        int last = p.length - 3;
        double d = ring.distance(
                p[0] + t * (p[last] - p[0]), p[1] + t * (p[last + 1] - p[1]), p[2] + t * (p[last + 2] - p[2]));
        if (d < best) {
            best = d;
            at = t;
        }
        return d;
    }

    Gap gap() {
        double[] ends = hopeless(0, distance(0), 1, distance(1)) ? new double[0] : ends();
        for (int i = 1; i < ends.length; i++) {
            stretch(ends[i - 1], ends[i]);
        }
        if (at < 0) {
            return new Gap(best - bar.rounding, Point.ORIGIN, Point.ORIGIN);
        }
        Point p = point(at);
        Point q = ring.nearest(p);
        double d = p.distanceTo(q);
        Point onBar = d > 1e-9 ? p.plus(q.minus(p).times(Math.signum(best) * bar.rounding / d)) : p;
        return new Gap(best - bar.rounding, onBar, q);
    }

    /** Where the line crosses the planes of the faces and the two walls, with both its ends, in order. */
    private double[] ends() {
        double[] p = bar.points;
        int last = p.length - 3;
        double ux = p[last] - p[0];
        double uy = p[last + 1] - p[1];
        double uz = p[last + 2] - p[2];
        double wx = p[0] - ring.centre().x();
        double wy = p[1] - ring.centre().y();
        double wz = p[2] - ring.centre().z();
        double ua =
                ux * ring.axis().x() + uy * ring.axis().y() + uz * ring.axis().z();
        double wa =
                wx * ring.axis().x() + wy * ring.axis().y() + wz * ring.axis().z();
        // Square of the distance from the axis: a t² + 2 b t + c.
        double a = ux * ux + uy * uy + uz * uz - ua * ua;
        double b = ux * wx + uy * wy + uz * wz - ua * wa;
        double c = wx * wx + wy * wy + wz * wz - wa * wa;
        double[] all = new double[8];
        int n = 0;
        all[n++] = 0;
        all[n++] = 1;
        for (int s = -1; s <= 1 && Math.abs(ua) > 1e-12; s += 2) {
            all[n++] = Math.clamp((s * ring.half() - wa) / ua, 0, 1);
        }
        for (double r : new double[] {ring.inner(), ring.outer()}) {
            double square = b * b - a * (c - r * r);
            if (a > 1e-12 && square > 0) {
                all[n++] = Math.clamp((-b - Math.sqrt(square)) / a, 0, 1);
                all[n++] = Math.clamp((-b + Math.sqrt(square)) / a, 0, 1);
            }
        }
        for (int i = 1; i < n; i++) {
            for (int j = i; j > 0 && all[j] < all[j - 1]; j--) {
                double t = all[j];
                all[j] = all[j - 1];
                all[j - 1] = t;
            }
        }
        return Arrays.copyOf(all, n);
    }

    private void stretch(double from, double to) {
        double dFrom = distance(from);
        double dTo = distance(to);
        if (hopeless(from, dFrom, to, dTo)) {
            return;
        }
        Point middle = point((from + to) / 2);
        double along = middle.minus(ring.centre()).dot(ring.axis());
        boolean hole =
                middle.minus(ring.centre()).minus(ring.axis().times(along)).norm() < ring.inner();
        if (hole && Math.abs(along) < ring.half()) {
            return;
        }
        int parts = hole || ring.distance(middle.x(), middle.y(), middle.z()) < 0 ? PARTED : 1;
        for (int i = 0; i < parts; i++) {
            golden(from + (to - from) * i / parts, from + (to - from) * (i + 1) / parts);
        }
    }

    /** Whether a stretch can't come nearer than what is known: the distance changes no faster than the line goes on. */
    private boolean hopeless(double from, double dFrom, double to, double dTo) {
        return (dFrom + dTo - (to - from) * length) / 2 >= best - 1e-9;
    }

    private void golden(double from, double to) {
        double a = from;
        double b = to;
        if (hopeless(a, distance(a), b, distance(b))) {
            return;
        }
        double x = b - GOLDEN * (b - a);
        double y = a + GOLDEN * (b - a);
        double dx = distance(x);
        double dy = distance(y);
        for (int i = 0; i < STEPS; i++) {
            if (dx < dy) {
                b = y;
                y = x;
                dy = dx;
                x = b - GOLDEN * (b - a);
                dx = distance(x);
            } else {
                a = x;
                x = y;
                dx = dy;
                y = a + GOLDEN * (b - a);
                dy = distance(y);
            }
        }
    }
}
