package mildtilt.app.view;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.app.draw.SheetView;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Sketch;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;

/**
 * Dragging a point: a pure function from the job as it was, and how far the pointer went, to the job.
 *
 * @param start the job when the drag began
 * @param id the point dragged
 * @param ends the other ends of all lengths that end in the point
 */
record PointDrag(Job start, PointId id, List<Point> ends) {

    /** So near to a place it snaps there, pixels. */
    private static final double NEAR = 5;

    private static final double SAME = 0.5;

    PointDrag(Job start, PointId id) {
        this(start, id, otherEnds(start, JobPoints.position(start, id)));
    }

    /**
     * @param pixelsRight how far the pointer went on the sheet
     * @param pixelsDown how far the pointer went on the sheet
     * @param snap whole multiples of this are kept to in the directions moved, mm
     */
    Point target(SheetView view, double pixelsRight, double pixelsDown, double snap) {
        Vector by = view.elevation().inSpace(pixelsRight / view.pixelsPerMm(), -pixelsDown / view.pixelsPerMm());
        Point from = JobPoints.position(start, id);
        return new Point(
                snapped(from.x(), by.x(), snap), snapped(from.y(), by.y(), snap), snapped(from.z(), by.z(), snap));
    }

    /**
     * Where a point snaps to.
     *
     * @param words what holds there, as the user reads it; empty where nothing does
     */
    record Snapped(Point at, String words) {}

    /**
     * As {@link #target}, and near to a place that builders look for right onto it: level or plumb with the other end
     * of what
     * the point is an end of; seen from the front, in line with the pivots of the arms, or with its rod parallel to the
     * lower arm.
     */
    Snapped snapped(SheetView view, double pixelsRight, double pixelsDown, double snap) {
        Point to = target(view, pixelsRight, pixelsDown, snap);
        Elevation e = view.elevation();
        if (e == Elevation.FRONT) {
            Optional<Snapped> arms = toArms(view, to);
            if (arms.isPresent()) {
                return arms.get();
            }
        }
        for (Point other : ends) {
            double up = e.up(other) - e.up(to);
            if (pixelsDown != 0 && Math.abs(up) * view.pixelsPerMm() < NEAR) {
                return new Snapped(
                        to.plus(e.inSpace(0, up)),
                        e == Elevation.PLAN ? "straight across from its other end" : "level with its other end");
            }
            double across = e.across(other) - e.across(to);
            if (pixelsRight != 0 && Math.abs(across) * view.pixelsPerMm() < NEAR) {
                return new Snapped(
                        to.plus(e.inSpace(across, 0)),
                        e == Elevation.PLAN ? "straight ahead of its other end" : "plumb with its other end");
            }
        }
        return new Snapped(to, "");
    }

    private static List<Point> otherEnds(Job job, Point from) {
        return Sketch.ofDesign(job, new SteeringTrain(job)).notes().stream()
                .flatMap(n -> n.span().stream())
                .flatMap(s -> s.from().distanceTo(from) < SAME
                        ? Stream.of(s.to())
                        : s.to().distanceTo(from) < SAME ? Stream.of(s.from()) : Stream.empty())
                .toList();
    }

    private Optional<Snapped> toArms(SheetView view, Point to) {
        boolean ofRod = id instanceof PointId.InnerPivot
                || id instanceof PointId.OnCorner c && c.which() == CornerPoint.TIE_ROD_POINT;
        if (!ofRod
                || start.axle().isEmpty()
                || !(start.axle()
                                .get()
                                .corner(to.y() >= 0 ? Side.LEFT : Side.RIGHT)
                                .suspension()
                        instanceof DoubleWishbone w)) {
            return Optional.empty();
        }
        Point lower = w.lowerInnerFront().midwayTo(w.lowerInnerRear());
        Point upper = w.upperInnerFront().midwayTo(w.upperInnerRear());
        if (id instanceof PointId.InnerPivot) {
            Optional<Point> onPivots = onto(view, to, lower, upper.minus(lower));
            if (onPivots.isPresent()) {
                return Optional.of(new Snapped(onPivots.get(), "in line with the pivots of the arms"));
            }
        }
        Vector arm = w.lowerBallJoint().minus(lower);
        return ends.stream()
                .flatMap(o -> onto(view, to, o, arm).stream())
                .findFirst()
                .map(p -> new Snapped(p, "parallel with the lower arm"));
    }

    /** The nearest place on a line as seen on the sheet, if it is near; what lies toward the viewer stays. */
    private static Optional<Point> onto(SheetView view, Point p, Point on, Vector along) {
        Elevation e = view.elevation();
        double ax = e.across(Point.ORIGIN.plus(along));
        double ay = e.up(Point.ORIGIN.plus(along));
        double n = ax * ax + ay * ay;
        if (n < 1e-6) {
            return Optional.empty();
        }
        double dx = e.across(p) - e.across(on);
        double dy = e.up(p) - e.up(on);
        double t = (dx * ax + dy * ay) / n;
        double offX = t * ax - dx;
        double offY = t * ay - dy;
        return Math.hypot(offX, offY) * view.pixelsPerMm() < NEAR
                ? Optional.of(p.plus(e.inSpace(offX, offY)))
                : Optional.empty();
    }

    Job moved(Job job, Point to) {
        return JobPoints.moved(job, id, to);
    }

    /** A coordinate that is not moved is not rounded either. */
    private static double snapped(double from, double by, double snap) {
        return by == 0 ? from : Math.rint((from + by) / snap) * snap;
    }
}
