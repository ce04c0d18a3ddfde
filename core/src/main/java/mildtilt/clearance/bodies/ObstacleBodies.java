package mildtilt.clearance.bodies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.obstacle.CarriedShape;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Sweep;
import mildtilt.solid.Solid;
import mildtilt.steer.position.CarrierMotion;

/** What is in the way, as solids that go along with what they are fixed to and on ways of their own. */
final class ObstacleBodies {

    private final Job job;
    private final Optional<CarrierMotion> carriers;
    private final List<Body> all = new ArrayList<>();

    ObstacleBodies(Job job) {
        this.job = job;
        List<Obstacle> obstacles = job.surroundings().obstacles();
        carriers = obstacles.isEmpty() ? Optional.empty() : job.axle().map(a -> new CarrierMotion(new AxleSolver(a)));
        for (int i = 0; i < obstacles.size(); i++) {
            Obstacle o = obstacles.get(i);
            if (o.shape() instanceof CarriedShape c) {
                carried(i, o, c);
            } else {
                rigid(i, o);
            }
        }
    }

    List<Body> all() {
        return all;
    }

    private void rigid(int index, Obstacle o) {
        Solid design = o.shape().solid();
        Sweep sweep = o.sweep();
        boolean rides = rides(o);
        boolean follows = job.axle().isPresent() && sweep instanceof Sweep.FollowsWheel;
        Function<Configuration, RigidMove> move = s -> {
            RigidMove m = sweep instanceof Sweep.FollowsWheel f && follows
                    ? RigidMove.about(
                            f.axis(),
                            Math.toRadians(f.degPerMm() * (f.side() == Side.LEFT ? s.travelLeft() : s.travelRight())))
                    : sweep.at(s.part());
            return rides ? m.then(carrierMove(s, o.carrier())) : m;
        };
        List<Point> corners = Bodies.corners(design.bounds());
        boolean moves = rides || follows || sweep.free();
        inTheWay(
                index,
                o,
                rides || follows,
                rides ? o.carriers() : Set.of(Carrier.FRAME),
                moves
                        ? s -> {
                            RigidMove m = move.apply(s);
                            return corners.stream().map(m::moved).toList();
                        }
                        : _ -> List.of(),
                moves ? s -> design.moved(move.apply(s)) : _ -> design);
    }

    /** A damper, a strap, an anti-roll bar: its ends go with what they are fixed to. */
    private void carried(int index, Obstacle o, CarriedShape t) {
        boolean rides = rides(o);
        Function<Configuration, CarriedShape> now = rides ? s -> t.carried(c -> carrierMove(s, c)) : _ -> t;
        inTheWay(
                index, o, rides, o.carriers(), rides ? s -> ends(now.apply(s).solid()) : _ -> List.of(), s -> now.apply(
                                s)
                        .solid());
    }

    private void inTheWay(
            int index,
            Obstacle o,
            boolean onPose,
            Set<Carrier> carriers,
            Function<Configuration, List<Point>> markers,
            Function<Configuration, Solid> solid) {
        all.add(new Body(
                o.id(),
                o.name(),
                new Element.InTheWay(index),
                Sort.OBSTACLE,
                o.carriers().stream().flatMap(c -> c.side().stream()).findFirst(),
                o.gap(),
                o.sweep() instanceof Sweep.Wanders w ? w.by() : 0,
                onPose,
                false,
                o.sweep().free(),
                carriers,
                markers,
                solid,
                Body.GIVEN));
    }

    /** Whether it goes along with a part that this axle has. */
    private boolean rides(Obstacle o) {
        return job.axle()
                .map(a -> o.carriers().stream().anyMatch(c -> c != Carrier.FRAME && CarrierMotion.exists(a, c)))
                .orElse(false);
    }

    private RigidMove carrierMove(Configuration s, Carrier carrier) {
        return carriers.map(c -> c.move(s.pose().orElseThrow(), carrier)).orElse(RigidMove.NONE);
    }

    /** Of the bars that a solid is made of. */
    private static List<Point> ends(Solid bars) {
        return ((Solid.Parts) bars)
                .parts().stream().flatMap(c -> c.core().stream()).toList();
    }
}
