package mildtilt.clearance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.clearance.Notch.Face;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.NamedPart;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.solid.Convex;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;

/**
 * How large a notch must be. What passes, grown by the gap it needs, cuts a convex piece out of the rail; how far that
 * piece
 * reaches along each of the rail's directions is found by slicing the rail square to it: the distance to a slice is a
 * convex
 * function of where the slice is.
 */
final class NotchPlan {

    /** Reach is found to this, mm. */
    private static final double CLOSE = 0.05;
    /**
     * So many places of what passes are cut, the nearest ones; those between reach no farther than their neighbours.
     */
    private static final int MOST_PLACES = 40;

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    private NotchPlan() {}

    /** @param gap that it needs, mm; @param places of what passes. Empty if it does not reach the rail after all */
    static Optional<Notch> of(int index, Obstacle rail, NamedPart by, double gap, List<Solid> places) {
        Shape.Box box = (Shape.Box) rail.shape();
        RigidMove place = box.place();
        Vector[] axes = {place.ex(), place.ey(), place.ez()};
        double[] half = {box.length() / 2, box.width() / 2, box.height() / 2};
        double[] low = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] high = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        int step = Math.max(1, places.size() / MOST_PLACES);
        for (int i = places.size() - 1; i >= 0; i -= step) {
            if (places.get(i) instanceof Solid.Parts parts) {
                for (Convex c : parts.parts()) {
                    if (Gaps.between(Solid.of(c), box.solid(), gap).mm() < gap) {
                        for (int k = 0; k < 3; k++) {
                            reach(c, box.centre(), axes, half, k, gap, low, high);
                        }
                    }
                }
            }
        }
        return low[0] > high[0]
                ? Optional.empty()
                : Optional.of(notch(index, new NamedPart(rail.id(), rail.name()), box, by, axes, half, low, high));
    }

    /** Widens low and high along one direction to what a solid cuts there. */
    private static void reach(
            Convex c, Point centre, Vector[] axes, double[] half, int axis, double gap, double[] low, double[] high) {
        double a = -half[axis];
        double b = half[axis];
        double x = b - GOLDEN * (b - a);
        double y = a + GOLDEN * (b - a);
        double fx = far(c, centre, axes, half, axis, x);
        double fy = far(c, centre, axes, half, axis, y);
        while (b - a > CLOSE && Math.min(fx, fy) >= gap) {
            if (fx < fy) {
                b = y;
                y = x;
                fy = fx;
                x = b - GOLDEN * (b - a);
                fx = far(c, centre, axes, half, axis, x);
            } else {
                a = x;
                x = y;
                fx = fy;
                y = a + GOLDEN * (b - a);
                fy = far(c, centre, axes, half, axis, y);
            }
        }
        double in = fx < fy ? x : y;
        if (Math.min(fx, fy) < gap) {
            low[axis] = Math.min(low[axis], edge(c, centre, axes, half, axis, gap, in, -half[axis]));
            high[axis] = Math.max(high[axis], edge(c, centre, axes, half, axis, gap, in, half[axis]));
        }
    }

    private static double edge(
            Convex c, Point centre, Vector[] axes, double[] half, int axis, double gap, double inside, double end) {
        if (far(c, centre, axes, half, axis, end) < gap) {
            return end;
        }
        double in = inside;
        double out = end;
        while (Math.abs(out - in) > CLOSE) {
            double mid = (in + out) / 2;
            if (far(c, centre, axes, half, axis, mid) < gap) {
                in = mid;
            } else {
                out = mid;
            }
        }
        return out;
    }

    /** From a solid to the slice of the box at one place along an axis. */
    private static double far(Convex c, Point centre, Vector[] axes, double[] half, int axis, double at) {
        Vector u = axes[(axis + 1) % 3].times(half[(axis + 1) % 3]);
        Vector v = axes[(axis + 2) % 3].times(half[(axis + 2) % 3]);
        Point m = centre.plus(axes[axis].times(at));
        Convex slice = Convex.hull(
                List.of(
                        m.plus(u).plus(v),
                        m.plus(u).plus(v.negated()),
                        m.plus(u.negated()).plus(v),
                        m.plus(u.negated()).plus(v.negated())),
                0);
        return Gaps.between(c, slice).mm();
    }

    private static Notch notch(
            int index,
            NamedPart rail,
            Shape.Box box,
            NamedPart by,
            Vector[] axes,
            double[] half,
            double[] low,
            double[] high) {
        int along = half[0] >= half[1] && half[0] >= half[2] ? 0 : half[1] >= half[2] ? 1 : 2;
        int best = -1;
        int sign = 1;
        double depth = Double.POSITIVE_INFINITY;
        for (int k = 0; k < 3; k++) {
            if (k != along) {
                for (int s = -1; s <= 1; s += 2) {
                    double d = s > 0 ? half[k] - low[k] : high[k] + half[k];
                    if (d < depth) {
                        depth = d;
                        best = k;
                        sign = s;
                    }
                }
            }
        }
        int across = 3 - along - best;
        double width = high[along] - low[along];
        double whole = 2 * half[best];
        Point mouth = box.centre()
                .plus(axes[along].times((low[along] + high[along]) / 2))
                .plus(axes[best].times(sign * half[best]))
                .plus(axes[across].times((low[across] + high[across]) / 2));
        return new Notch(
                index,
                rail,
                by,
                face(axes[best].times(sign)),
                depth,
                width,
                high[across] - low[across],
                depth > Notch.MOST_PART * whole,
                width + 2 * whole,
                mouth,
                left(box, axes, half, along, best, sign, depth, low[along], high[along]));
    }

    private static Face face(Vector out) {
        double x = Math.abs(out.x());
        double y = Math.abs(out.y());
        double z = Math.abs(out.z());
        if (y >= x && y >= z) {
            return out.y() > 0 ? Face.LEFT : Face.RIGHT;
        }
        if (z >= x) {
            return out.z() > 0 ? Face.TOP : Face.BOTTOM;
        }
        return out.x() > 0 ? Face.FRONT : Face.REAR;
    }

    /** The rail on either side of the notch, and what is left behind it; pieces without size are left out. */
    private static List<Shape.Box> left(
            Shape.Box box,
            Vector[] axes,
            double[] half,
            int along,
            int deep,
            int sign,
            double depth,
            double low,
            double high) {
        List<Shape.Box> all = new ArrayList<>();
        piece(all, box, axes, half, along, -half[along], low, deep, -half[deep], half[deep]);
        piece(all, box, axes, half, along, high, half[along], deep, -half[deep], half[deep]);
        piece(
                all,
                box,
                axes,
                half,
                along,
                low,
                high,
                deep,
                sign > 0 ? -half[deep] : -half[deep] + depth,
                sign > 0 ? half[deep] - depth : half[deep]);
        return List.copyOf(all);
    }

    private static void piece(
            List<Shape.Box> all,
            Shape.Box box,
            Vector[] axes,
            double[] half,
            int along,
            double a0,
            double a1,
            int deep,
            double d0,
            double d1) {
        if (a1 - a0 < 1 || d1 - d0 < 1) {
            return;
        }
        double[] size = {2 * half[0], 2 * half[1], 2 * half[2]};
        size[along] = a1 - a0;
        size[deep] = d1 - d0;
        all.add(box.sized(size[0], size[1], size[2])
                .withPoint(
                        0, box.centre().plus(axes[along].times((a0 + a1) / 2)).plus(axes[deep].times((d0 + d1) / 2))));
    }
}
