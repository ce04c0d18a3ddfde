package mildtilt.routes;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import mildtilt.column.Column;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.routes.RouteQuestion.Hole;
import mildtilt.solid.Convex;
import mildtilt.solid.Gaps;
import mildtilt.solid.Solid;

/** A hole that a route must go through, in a bulkhead that stands across the vehicle. */
public final class RouteHole {

    /** So far from its middle is too far to be worth narrowing, mm. */
    static final double NEAR = 80;

    /** Of a way that does not cross the bulkhead at all. */
    private static final double NEVER = 400;

    private RouteHole() {}

    /** Of a usual grommet or bearing in a bulkhead, mm. */
    private static final double USUAL = 60;

    private static final int STEPS = 400;

    /** A hole measured on a sheet may be so far off it, mm. */
    private static final double NEAR_SHEET = 5;

    /**
     * A hole to begin with: where the column as planned meets what is in its way, else where it goes through the
     * bulkhead, else half-way. @throws java.util.NoSuchElementException if the job has no column
     */
    public static Hole first(Job job) {
        Column c = job.column().orElseThrow();
        List<Solid> all = job.surroundings().obstacles().stream()
                .map(o -> o.shape().solid())
                .toList();
        for (int i = 0; i < c.shafts().size(); i++) {
            for (int k = 0; k <= STEPS; k++) {
                Point at = c.start(i).plus(c.end(i).minus(c.start(i)).times((double) k / STEPS));
                Solid spot = Solid.of(Convex.sphere(at, 0));
                // A scan of many triangles is looked at only where the column is within its bounds.
                if (all.stream()
                        .anyMatch(o -> o.bounds().distanceTo(spot.bounds()) <= 0
                                && Gaps.between(spot, o).mm() <= 0)) {
                    return rounded(at);
                }
            }
        }
        Point from = c.hub();
        Point to = c.gearInput();
        double x = c.installation().bulkhead().orElse((from.x() + to.x()) / 2);
        double part = from.x() == to.x() ? 0.5 : Math.clamp((x - from.x()) / (to.x() - from.x()), 0, 1);
        Point at = from.plus(to.minus(from).times(part));
        return rounded(new Point(x, at.y(), at.z()));
    }

    private static Hole rounded(Point p) {
        return new Hole(new Point(Math.rint(p.x()), Math.rint(p.y()), Math.rint(p.z())), USUAL);
    }

    /** What is in the hole's place: it has the hole, so that a route goes through it. */
    static Set<Id> holed(Job job, Hole hole) {
        Solid middle = Solid.of(Convex.sphere(hole.centre(), 0));
        return job.surroundings().obstacles().stream()
                .filter(o -> Gaps.between(middle, o.shape().solid()).mm() <= NEAR_SHEET)
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
