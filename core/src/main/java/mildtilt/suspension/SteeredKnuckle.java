package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;

/**
 * A knuckle turned about its steer axis by one rod of fixed length, in closed form: the rod's point on the
 * knuckle runs on a circle about the steer axis and must stand at the rod's length from its other end.
 *
 * <p>The knuckle's own directions are d along the strut (for other suspensions: along the steer axis), e
 * from the lower joint square to the strut's axis, n = d × e. On a strut the steer axis lies in the d-e
 * plane, leaning by an angle that depends on how far the strut stands out.
 */
final class SteeredKnuckle {

    private static final double SHORTEST = 1;

    private final Side side;
    private final Knuckle knuckle;
    private final Frame design;
    /** Lower joint square to the strut's axis; 0 where the steer axis is fixed in the knuckle, mm. */
    private final double strutOffset;

    private final Vector rodLocal;
    private final Vector tieRodLocal;
    private final Vector wheelLocal;
    private final Vector spinLocal;
    private final double rodLength;
    private final int branch;

    /**
     * @param rodPoint where the rod that turns the knuckle meets it, design position
     * @param anchor the rod's other end, design position
     * @param rod what the rod is called
     * @throws ImpossibleGeometryException if the arm or the rod has no length
     */
    SteeredKnuckle(Side side, Suspension suspension, Knuckle knuckle, Point rodPoint, Point anchor, String rod) {
        this.side = side;
        this.knuckle = knuckle;
        rodLength = rodPoint.distanceTo(anchor);
        if (rodLength < SHORTEST) {
            throw new ImpossibleGeometryException("The " + rod + " has no length.");
        }
        Axis steer = suspension.steerAxis();
        if (steer.distanceTo(rodPoint) < SHORTEST) {
            throw new ImpossibleGeometryException("The " + side.label() + " steering arm has no length: its " + rod
                    + " point lies on the steer axis.");
        }
        branch = Orbit.of(steer, rodPoint).branchAt(0, anchor);
        Vector d;
        Vector toAxis;
        switch (suspension) {
            case Strut s -> {
                Axis strut = s.strutAxis();
                d = strut.direction().vector();
                toAxis = strut.footOf(s.lowerBallJoint()).minus(s.lowerBallJoint());
            }
            case DoubleWishbone _, SplitLinks _, TrailingArms _, SwingBeam _, Kingpin _ -> {
                d = steer.direction().vector();
                toAxis = new Vector(0, 0, 0);
            }
        }
        strutOffset = toAxis.norm();
        Vector e = strutOffset > 1e-9
                ? toAxis.times(1 / strutOffset)
                : steer.direction().anySquare().vector();
        design = new Frame(steer.origin(), d, e, d.cross(e));
        rodLocal = local(rodPoint);
        tieRodLocal = local(knuckle.tieRodPoint());
        wheelLocal = local(knuckle.wheelCentre());
        spinLocal = design.local(
                knuckle.spinAxisPoint().minus(knuckle.wheelCentre()).direction().vector());
    }

    private Vector local(Point p) {
        return design.local(p.minus(design.origin()));
    }

    double rodLength() {
        return rodLength;
    }

    Knuckle knuckle() {
        return knuckle;
    }

    /**
     * Where a knuckle stands.
     *
     * @param missing 0 when the rod reaches; else how much longer (+) or shorter (−) it would have to be, mm
     */
    record Held(Frame frame, double missing) {}

    /** The knuckle held with its steer axis through two points and its rod's other end at an anchor. */
    Held heldBy(Point low, Point high, Point anchor) {
        Turning t = turning(low, high);
        Orbit.Reach reach = t.orbit.atReach(anchor, rodLength, branch);
        return new Held(frame(t, reach.point()), reach.missing());
    }

    /** The same turned to an angle on the circle of its rod's point, rad, whether or not its rod reaches the anchor. */
    Held turnedTo(Point low, Point high, double angle, Point anchor) {
        Turning t = turning(low, high);
        Point rodPoint = t.orbit.at(angle);
        return new Held(frame(t, rodPoint), rodPoint.distanceTo(anchor) - rodLength);
    }

    /** Where its rod's point is on its circle, rad, as the knuckle is held. */
    double angleHeldBy(Point low, Point high, Point anchor) {
        Orbit orbit = turning(low, high).orbit;
        return orbit.angleOf(orbit.atReach(anchor, rodLength, branch).point());
    }

    /**
     * The circle of the rod's point about a steer axis.
     *
     * @param k unit vector along the steer axis
     * @param lean sine of the angle between the strut and the steer axis
     * @param upright its cosine
     * @param pm of the rod's point from the axis, in the d-e plane, mm
     * @param pn of the rod's point from the axis, square to that, mm
     */
    private record Turning(Point low, Vector k, double lean, double upright, double pm, double pn, Orbit orbit) {}

    private Turning turning(Point low, Point high) {
        Vector k = high.minus(low);
        double apart = k.norm();
        k = apart > 0 ? k.times(1 / apart) : Vector.Z;
        double lean = strutOffset == 0 ? 0 : Math.min(1, strutOffset / apart);
        double upright = strutOffset == 0 ? 1 : Math.sqrt((1 - lean) * (1 + lean));
        // The rod's point in directions k along the steer axis, m square to it in the d-e plane, n.
        double pk = upright * rodLocal.x() + lean * rodLocal.y();
        double pm = upright * rodLocal.y() - lean * rodLocal.x();
        double pn = rodLocal.z();
        double radius = Math.sqrt(pm * pm + pn * pn);
        Vector square = Math.abs(k.x()) < 0.9 ? Vector.X : Vector.Y;
        Vector u = square.minus(k.times(square.dot(k)));
        u = u.times(1 / u.norm());
        return new Turning(low, k, lean, upright, pm, pn, new Orbit(low.plus(k.times(pk)), u, k.cross(u), radius));
    }

    private static Frame frame(Turning t, Point rodPoint) {
        double radius = t.orbit.radius();
        Vector w = rodPoint.minus(t.orbit.centre()).times(1 / radius);
        Vector m = w.times(t.pm / radius).minus(t.k.cross(w).times(t.pn / radius));
        Vector n = t.k.cross(m);
        Vector d = t.k.times(t.upright).minus(m.times(t.lean));
        Vector e = t.k.times(t.lean).plus(m.times(t.upright));
        return new Frame(t.low, d, e, n);
    }

    /** The knuckle turned by an angle, rad, from the design position about a steer axis that holds it there. */
    Frame turned(Frame from, Axis steer, double angle) {
        return new Frame(
                steer.turned(from.origin(), angle),
                steer.direction().turn(from.e(), angle),
                steer.direction().turn(from.f(), angle),
                steer.direction().turn(from.g(), angle));
    }

    Frame design() {
        return design;
    }

    double wheelHeight(Frame now) {
        return now.origin().z()
                + wheelLocal.x() * now.e().z()
                + wheelLocal.y() * now.f().z()
                + wheelLocal.z() * now.g().z();
    }

    Point tieRodPoint(Frame now) {
        return now.origin().plus(now.world(tieRodLocal));
    }

    KnucklePose pose(Frame now, Point low, Point high, Point tieRodInner) {
        return new KnucklePose(
                side,
                design,
                now,
                low,
                high,
                tieRodPoint(now),
                tieRodInner,
                now.origin().plus(now.world(wheelLocal)),
                now.world(spinLocal));
    }
}
