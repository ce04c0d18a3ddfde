package mildtilt.steer;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;

/**
 * A corner as the plain geometry of bump steer sees it: cut by the cross plane through the tie rod's outer end.
 * A knuckle that does not steer turns, to first order, about the line in which the planes of its arms meet; a tie
 * rod aimed at that line neither pushes nor pulls. The toe then keeps still where that line is level; arms whose pivots
 * slope fore and aft leave a little.
 *
 * @param instantCentre where the arms' planes and the cross plane meet; empty where the arms are parallel
 * @param rodToLowerArmDeg slope of the tie rod less that of the lower arm, both toward the middle, degrees
 * @param innerAboveAim how far the tie rod's inner end stands above the line from its outer end to the instant
 *     centre (or, with parallel arms, along them), mm
 * @param innerOutboardOfPivots how far the tie rod's inner end stands outboard of the line through the arms' inner
 *     pivots, mm; empty for a strut
 */
public record FrontView(
        Optional<Point> instantCentre,
        double rodToLowerArmDeg,
        double innerAboveAim,
        Optional<Double> innerOutboardOfPivots) {

    private static final double PARALLEL = 1e-9;

    /** A plane through a point. */
    private record Plane(Point through, Vector normal) {

        /** Slope dz/dy of its cut by a cross plane; empty where it stands upright. */
        Optional<Double> slope() {
            return Math.abs(normal.z()) < PARALLEL ? Optional.empty() : Optional.of(-normal.y() / normal.z());
        }

        double heightAt(double x, double y) {
            return through.z() - (normal.x() * (x - through.x()) + normal.y() * (y - through.y())) / normal.z();
        }
    }

    /**
     * Empty for a kingpin, a swing beam, trailing arms and separate links, where one rod joins both arms, and where
     * the plane of an arm stands upright: it turns about
     * no line then.
     */
    public static Optional<FrontView> of(SteeredAxle axle, Side side) {
        Optional<Point> inner = axle.innerEnd(side);
        Corner corner = axle.corner(side);
        if (inner.isEmpty()) {
            return Optional.empty();
        }
        return switch (corner.suspension()) {
            case Kingpin _, SwingBeam _, TrailingArms _, SplitLinks _ -> Optional.empty();
            case DoubleWishbone w ->
                of(
                        side,
                        corner,
                        inner.get(),
                        arm(w.lowerInnerFront(), w.lowerInnerRear(), w.lowerBallJoint()),
                        arm(w.upperInnerFront(), w.upperInnerRear(), w.upperBallJoint()),
                        w.lowerBallJoint(),
                        Axis.through(w.lowerInnerRear(), w.lowerInnerFront()),
                        Optional.of(Axis.through(w.upperInnerRear(), w.upperInnerFront())));
            case Strut s ->
                of(
                        side,
                        corner,
                        inner.get(),
                        arm(s.lowerInnerFront(), s.lowerInnerRear(), s.lowerBallJoint()),
                        // A sliding strut moves its top square to itself, as an endless arm there would.
                        new Plane(s.topMount(), s.strutAxis().direction().vector()),
                        s.lowerBallJoint(),
                        Axis.through(s.lowerInnerRear(), s.lowerInnerFront()),
                        Optional.empty());
        };
    }

    private static Plane arm(Point front, Point rear, Point ball) {
        return new Plane(ball, front.minus(rear).cross(ball.minus(rear)));
    }

    private static Optional<FrontView> of(
            Side side,
            Corner corner,
            Point inner,
            Plane lower,
            Plane upper,
            Point ball,
            Axis lowerPivots,
            Optional<Axis> upperPivots) {
        if (lower.slope().isEmpty() || upper.slope().isEmpty()) {
            return Optional.empty();
        }
        Point outer = corner.knuckle().tieRodPoint();
        double x = outer.x();
        Optional<Point> centre = Optional.empty();
        double aimed;
        double across = inner.y() - outer.y();
        double lowerSlope = lower.slope().get();
        double upperSlope = upper.slope().get();
        if (Math.abs(upperSlope - lowerSlope) > PARALLEL) {
            double y = outer.y()
                    + (lower.heightAt(x, outer.y()) - upper.heightAt(x, outer.y())) / (upperSlope - lowerSlope);
            centre = Optional.of(new Point(x, y, lower.heightAt(x, y)));
            aimed = outer.z() + (centre.get().z() - outer.z()) * across / (y - outer.y());
        } else {
            aimed = outer.z() + lowerSlope * across;
        }
        Point lowerInner = atX(lowerPivots, ball.x());
        double rodSlope = slopeDeg(inner.minus(outer));
        double armSlope = slopeDeg(lowerInner.minus(ball));
        Optional<Double> outboard = upperPivots.map(u -> {
            Point low = atX(lowerPivots, inner.x());
            Point high = atX(u, inner.x());
            double y = low.y() + (high.y() - low.y()) * (inner.z() - low.z()) / (high.z() - low.z());
            return side.sign() * (inner.y() - y);
        });
        return Optional.of(
                new FrontView(centre, rodSlope - armSlope, inner.z() - aimed, outboard.filter(Double::isFinite)));
    }

    /** Where a line passes a cross plane; its nearest given point where it runs in that plane. */
    private static Point atX(Axis line, double x) {
        Direction d = line.direction();
        return Math.abs(d.x()) < 1e-6
                ? line.origin()
                : line.origin().plus(d.times((x - line.origin().x()) / d.x()));
    }

    /** Rise toward the middle (or along the way given) against level, seen from the front, degrees. */
    public static double slopeDeg(Vector v) {
        return Math.toDegrees(Math.atan2(v.z(), Math.abs(v.y())));
    }
}
