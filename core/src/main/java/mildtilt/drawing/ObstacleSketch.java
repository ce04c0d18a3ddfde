package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import mildtilt.drawing.Sketch.Builder;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Sweep;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.solid.TriangleMesh;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;

/** The obstacles at the current position; one that moves by itself is drawn as given, with its ends in thin line. */
public final class ObstacleSketch {

    /** Places of a pedalling leg that are drawn. */
    private static final int LEGS_ROUND = 6;

    /** Of a scan so many triangles are drawn. */
    private static final int DRAWN = 140;

    private ObstacleSketch() {}

    /** A shape and where it has been carried from there. */
    private record Carried(Shape shape, RigidMove by) {}

    /** What stands where it is however the wheel is turned and whatever the wheels travel, and the driver's legs. */
    static void drawStanding(Builder out, Job job) {
        draw(out, job, false, (o, part) -> new Carried(o.shape(), o.sweep().at(part)));
        job.surroundings().driver().ifPresent(d -> {
            for (Side side : Side.values()) {
                leg(out, d, side);
            }
        });
    }

    static void drawMoving(
            Builder out, Job job, SteeringTrain train, Optional<AxlePose> pose, double travelLeft, double travelRight) {
        Function<Carrier, RigidMove> carriers = train.carriers()
                .flatMap(m -> pose.map(p -> (Function<Carrier, RigidMove>) c -> m.move(p, c)))
                .orElse(_ -> RigidMove.NONE);
        draw(out, job, true, (o, part) -> carried(o, carriers, travelLeft, travelRight, part));
    }

    /** @param part of its own way, a half as given */
    private static Carried carried(
            Obstacle o, Function<Carrier, RigidMove> carriers, double travelLeft, double travelRight, double part) {
        if (o.shape() instanceof CarriedShape t) {
            return new Carried(t.carried(carriers), RigidMove.NONE);
        }
        RigidMove own = o.sweep() instanceof Sweep.FollowsWheel f
                ? RigidMove.about(
                        f.axis(), Math.toRadians(f.degPerMm() * (f.side() == Side.LEFT ? travelLeft : travelRight)))
                : o.sweep().at(part);
        return new Carried(o.shape(), own.then(carriers.apply(o.carrier())));
    }

    private static boolean moves(Obstacle o) {
        return o.carriers().stream().anyMatch(c -> c != Carrier.FRAME) || o.sweep() instanceof Sweep.FollowsWheel;
    }

    private static void draw(Builder out, Job job, boolean moving, BiFunction<Obstacle, Double, Carried> at) {
        for (int i = 0; i < job.surroundings().obstacles().size(); i++) {
            Obstacle o = job.surroundings().obstacles().get(i);
            if (moves(o) != moving) {
                continue;
            }
            Element e = new Element.InTheWay(i);
            draw(out, e, o.hot() ? Pen.HOT : Pen.OBSTACLE, at.apply(o, 0.5));
            if (o.sweep().free() && !(o.shape() instanceof Shape.Scan)) {
                draw(out, e, Pen.SWEPT, at.apply(o, 0.0));
                draw(out, e, Pen.SWEPT, at.apply(o, 1.0));
            }
        }
    }

    /** Where it rests; a leg that pedals also a few times round its turn. */
    private static void leg(Builder out, Driver d, Side side) {
        if (d.pedals().isPresent()) {
            for (int i = 1; i < LEGS_ROUND; i++) {
                leg(out, Pen.SWEPT, d.leg(side, (double) i / LEGS_ROUND));
            }
        }
        leg(out, Pen.DRIVER, d.leg(side));
    }

    private static void leg(Builder out, Pen pen, Solid leg) {
        Element e = new Element.AtTheWheel();
        for (Convex c : ((Solid.Parts) leg).parts()) {
            List<Point> ends = c.core();
            out.outline(e, pen, capsule(ends.getFirst(), ends.getLast(), c.rounding()));
        }
    }

    private static void draw(Builder out, Element e, Pen pen, Carried carried) {
        RigidMove m = carried.by;
        switch (carried.shape) {
            case Shape.Tube t -> {
                for (int i = 1; i < t.line().size(); i++) {
                    out.outline(
                            e,
                            pen,
                            capsule(
                                    m.moved(t.line().get(i - 1)),
                                    m.moved(t.line().get(i)),
                                    t.diameter() / 2));
                }
            }
            case Shape.Box _, Shape.Plate _ ->
                out.outline(
                        e,
                        pen,
                        ((Solid.Parts) carried.shape.solid())
                                .parts().getFirst().core().stream()
                                        .map(m::moved)
                                        .toList());
            case Shape.Cylinder c ->
                out.outline(e, pen, Sketch.cylinder(m.moved(c.from()), m.moved(c.to()), c.diameter() / 2));
            case Shape.Sphere s -> out.outline(e, pen, ball(m.moved(s.centre()), s.diameter() / 2));
            case CarriedShape t ->
                ((Solid.Parts) t.solid())
                        .parts()
                        .forEach(c -> out.outline(
                                e, pen, capsule(c.core().getFirst(), c.core().getLast(), c.rounding())));
            case Shape.Scan s -> scan(out, e, pen, s, s.place().then(m));
        }
    }

    private static void scan(Builder out, Element e, Pen pen, Shape.Scan s, RigidMove m) {
        TriangleMesh mesh = s.mesh();
        List<Point> hull = new ArrayList<>();
        int corners = Math.max(1, mesh.cornerCount() / 4000);
        for (int i = 0; i < mesh.cornerCount(); i += corners) {
            hull.add(m.moved(mesh.corner(i)));
        }
        out.outline(e, Pen.SWEPT, hull);
        int step = Math.max(1, mesh.count() / DRAWN);
        for (int t = 0; t < mesh.count(); t += step) {
            Point a = m.moved(mesh.corner(mesh.cornerOf(t, 0)));
            out.line(
                    e, pen, a, m.moved(mesh.corner(mesh.cornerOf(t, 1))), m.moved(mesh.corner(mesh.cornerOf(t, 2))), a);
        }
    }

    private static List<Point> capsule(Point from, Point to, double radius) {
        List<Point> all = new ArrayList<>(ball(from, radius));
        all.addAll(ball(to, radius));
        return all;
    }

    /** Three rings, which have the right outline seen square on. */
    private static List<Point> ball(Point centre, double radius) {
        List<Point> all = new ArrayList<>();
        for (Vector axis : List.of(Vector.X, Vector.Y, Vector.Z)) {
            List<Point> ring = Sketch.circle(centre, axis.direction(), radius);
            for (int i = 0; i < ring.size(); i += 3) {
                all.add(ring.get(i));
            }
        }
        return all;
    }
}
