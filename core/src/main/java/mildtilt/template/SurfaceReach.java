package mildtilt.template;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Shape;

/** Where a straight line first meets the surface of a shape, in closed form. */
public final class SurfaceReach {

    /** @param far along the line, mm; @param square to the surface there, outward */
    public record Hit(double far, Direction square) {}

    private static final double NEAR = 1e-9;

    private SurfaceReach() {}

    /** A way square to a shaft on which a surface is met. */
    public record Reach(Direction way, Hit hit) {}

    /** From a place on a shaft, square to it, a degree apart all round: where the surface is met, the nearest first. */
    public static List<Reach> square(Point middle, Direction axis, Shape shape) {
        Vector u = axis.anySquare().vector();
        Vector v = axis.cross(u);
        return IntStream.range(0, 360)
                .mapToObj(deg -> {
                    Direction way = u.times(Math.cos(Math.toRadians(deg)))
                            .plus(v.times(Math.sin(Math.toRadians(deg))))
                            .direction();
                    return from(middle, way, shape).map(h -> new Reach(way, h));
                })
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingDouble(x -> x.hit.far()))
                .toList();
    }

    /** Whether a plate can be stood on a shape: not on a ball or a scan. */
    public static boolean carries(Shape shape) {
        return switch (shape) {
            case Shape.Box _, Shape.Plate _, Shape.Cylinder _, Shape.Tube _ -> true;
            case Shape.Sphere _, Shape.Scan _, CarriedShape _ -> false;
        };
    }

    static Optional<Hit> from(Point p, Direction way, Shape shape) {
        return switch (shape) {
            case Shape.Box b -> box(p, way.vector(), b);
            case Shape.Cylinder c -> round(p, way.vector(), c.from(), c.to(), c.diameter() / 2);
            case Shape.Tube t -> {
                Optional<Hit> best = Optional.empty();
                for (int i = 1; i < t.line().size(); i++) {
                    best = nearer(
                            best,
                            round(p, way.vector(), t.line().get(i - 1), t.line().get(i), t.diameter() / 2));
                }
                yield best;
            }
            case Shape.Plate q -> plate(p, way.vector(), q);
            case Shape.Sphere _, Shape.Scan _, CarriedShape _ -> Optional.empty();
        };
    }

    private static Optional<Hit> nearer(Optional<Hit> a, Optional<Hit> b) {
        return a.isEmpty() || b.isPresent() && b.get().far < a.get().far ? b : a;
    }

    private static Optional<Hit> box(Point p, Vector way, Shape.Box b) {
        RigidMove place = b.place();
        Vector[] axes = {place.ex(), place.ey(), place.ez()};
        double[] half = {b.length() / 2, b.width() / 2, b.height() / 2};
        Vector off = p.minus(b.centre());
        double in = Double.NEGATIVE_INFINITY;
        double out = Double.POSITIVE_INFINITY;
        Vector square = axes[0];
        for (int k = 0; k < 3; k++) {
            double at = off.dot(axes[k]);
            double v = way.dot(axes[k]);
            if (Math.abs(v) < NEAR) {
                if (Math.abs(at) > half[k]) {
                    return Optional.empty();
                }
                continue;
            }
            double enters = (-Math.signum(v) * half[k] - at) / v;
            if (enters > in) {
                in = enters;
                square = axes[k].times(-Math.signum(v));
            }
            out = Math.min(out, (Math.signum(v) * half[k] - at) / v);
        }
        return in >= 0 && in <= out ? Optional.of(new Hit(in, square.direction())) : Optional.empty();
    }

    private static Optional<Hit> round(Point p, Vector way, Point from, Point to, double r) {
        Vector axis = to.minus(from).direction().vector();
        Vector off = p.minus(from);
        Vector w = way.minus(axis.times(way.dot(axis)));
        Vector o = off.minus(axis.times(off.dot(axis)));
        double a = w.dot(w);
        double b = o.dot(w);
        double d = b * b - a * (o.dot(o) - r * r);
        if (a < NEAR || d < 0) {
            return Optional.empty();
        }
        double far = (-b - Math.sqrt(d)) / a;
        double along = off.dot(axis) + far * way.dot(axis);
        return far >= 0 && along >= 0 && along <= to.distanceTo(from)
                ? Optional.of(new Hit(far, o.plus(w.times(far)).direction()))
                : Optional.empty();
    }

    private static Optional<Hit> plate(Point p, Vector way, Shape.Plate q) {
        Vector square = q.corners()
                .get(1)
                .minus(q.corners().get(0))
                .cross(q.corners().get(2).minus(q.corners().get(1)))
                .direction()
                .vector();
        double v = way.dot(square);
        double at = p.minus(q.corners().getFirst()).dot(square);
        if (Math.abs(v) < NEAR || at * v > 0) {
            return Optional.empty();
        }
        double far = (Math.abs(at) - q.thickness() / 2) / Math.abs(v);
        Point hit = p.plus(way.times(far));
        int n = q.corners().size();
        for (int i = 0; i < n; i++) {
            Vector edge = q.corners().get((i + 1) % n).minus(q.corners().get(i));
            if (edge.cross(hit.minus(q.corners().get(i))).dot(square) < -NEAR) {
                return Optional.empty();
            }
        }
        return far >= 0 ? Optional.of(new Hit(far, square.times(-Math.signum(v)).direction())) : Optional.empty();
    }
}
