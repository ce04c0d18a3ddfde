package mildtilt.routes;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.routes.RouteQuestion.Hole;
import mildtilt.solid.Convex;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;

/** A hole that a route must go through, in a bulkhead that stands across the vehicle. */
final class RouteHole {

    /** So far from its middle is too far to be worth narrowing, mm. */
    static final double NEAR = 80;

    /** Of a way that does not cross the bulkhead at all. */
    private static final double NEVER = 400;

    private RouteHole() {}

    /** What is in the hole's place: it has the hole, so that a route goes through it. */
    static Set<Id> holed(Job job, Hole hole) {
        Solid middle = Solid.of(Convex.sphere(hole.centre(), 0));
        return job.surroundings().obstacles().stream()
                .filter(o -> Gaps.between(middle, o.shape().solid()).mm() <= 0.5)
                .map(Obstacle::id)
                .collect(Collectors.toCollection(HashSet::new));
    }

    /** Where a way goes through the bulkhead. @param shaft 0 the first; @param off from the hole's middle, mm */
    record Crossing(int shaft, double along, double off, double lean) {}

    /** The first place where a way crosses, or one far away. */
    static Crossing crossing(List<Point> p, Hole hole) {
        for (int i = 1; i < p.size(); i++) {
            Point a = p.get(i - 1);
            Point b = p.get(i);
            double part = (hole.centre().x() - a.x()) / (b.x() - a.x());
            if (part >= 0 && part <= 1) {
                Point at = a.plus(b.minus(a).times(part));
                double length = a.distanceTo(b);
                return new Crossing(
                        i - 1, part * length, at.distanceTo(hole.centre()), Math.abs(b.x() - a.x()) / length);
            }
        }
        return new Crossing(-1, 0, NEVER, 1);
    }

    /** The job with the shaft that goes through no longer held against what has the hole. */
    static Job leftOut(Job job, Hole hole, List<Point> points) {
        int shaft = crossing(points, hole).shaft();
        Job left = job;
        if (shaft >= 0) {
            Id through = job.column().orElseThrow().shafts().get(shaft).id();
            for (Id id : holed(job, hole)) {
                left = left.withSurroundings(left.surroundings().leavingOut(through, id));
            }
        }
        return left;
    }
}
