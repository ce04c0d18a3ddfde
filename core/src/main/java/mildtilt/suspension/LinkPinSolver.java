package mildtilt.suspension;

import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.suspension.CannotAssemble.Reason;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * Finds how the knuckle of trailing arms with link pins stands: arms and carrier are a four-bar linkage in the plane
 * square
 * to the pivots, which is swung until the wheel centre, carried with it straight ahead, has risen as asked (as on a
 * beam
 * axle, steering does not count); then the knuckle turns on its kingpin.
 */
public final class LinkPinSolver implements TravellingCorner {

    private static final double REACH_TOLERANCE = 1e-9;
    private static final double WIDEST_SWING = 1.5;
    private static final double STEP = 0.05;
    private static final double ROOT = 1e-14;

    private final Side side;
    private final TrailingArms arms;
    private final Frame design;
    private final KingpinSolver kingpin;
    private final Orbit lower;
    private final Orbit upper;
    private final double apart;
    private final int branch;
    private final Point wheel;
    /** Which way the lower arm swings to lift the wheel: 1 or −1. */
    private final double lifts;

    /**
     * @param rodPoint where the rod that steers this knuckle meets it, design position
     * @param anchor that rod's other end in the design position, which settles its length
     * @param rod what that rod is called
     * @throws ImpossibleGeometryException if the steering arm or the rod has no length, or there is no kingpin
     */
    public LinkPinSolver(Side side, TrailingArms arms, Knuckle knuckle, Point rodPoint, Point anchor, String rod) {
        this.side = side;
        this.arms = arms;
        Kingpin pin = arms.kingpin()
                .orElseThrow(() -> new ImpossibleGeometryException("Trailing arms on link pins need a kingpin."));
        design = new Frame(arms.lowerEnd(), Vector.X, Vector.Y, Vector.Z);
        kingpin = new KingpinSolver(side, pin, knuckle, rodPoint, anchor, rod, design);
        lower = Orbit.of(arms.lowerAxis(), arms.lowerEnd());
        upper = Orbit.of(arms.upperAxis(), arms.upperEnd());
        apart = arms.lowerEnd().distanceTo(arms.upperEnd());
        branch = upper.branchAt(0, arms.lowerEnd());
        wheel = knuckle.wheelCentre();
        lifts = rise(STEP) >= rise(-STEP) ? 1 : -1;
    }

    @Override
    public double rodLength() {
        return kingpin.rodLength();
    }

    /** @param swing of the lower arm from the design position, rad */
    private RigidMove carrier(double swing) {
        Point low = lower.at(swing);
        return arms.carrierMove(low, upper.atReach(low, apart, branch).point());
    }

    private double rise(double swing) {
        return carrier(swing).point(wheel).z() - wheel.z();
    }

    private boolean reaches(double swing) {
        return Math.abs(upper.atReach(lower.at(swing), apart, branch).missing()) <= REACH_TOLERANCE;
    }

    @Override
    public CornerPose solve(Point anchor, Point tieRodInner, double travel) {
        double way = travel >= 0 ? lifts : -lifts;
        double from = 0;
        double to = 0;
        double best = 0;
        // By steps to past the height; the first crossing on the way from the design position is the pose.
        while (travel != 0) {
            from = to;
            to += way * STEP;
            double there = rise(to);
            if (Math.abs(to) > WIDEST_SWING || !reaches(to) || Math.abs(there) < Math.abs(best)) {
                return lastBefore(from, to, travel, anchor, tieRodInner);
            }
            best = there;
            if (Math.abs(there) >= Math.abs(travel)) {
                break;
            }
        }
        return at(from, to, travel, anchor, tieRodInner);
    }

    private CornerPose at(double from, double to, double travel, Point anchor, Point tieRodInner) {
        double swing = from == to
                ? from
                : new BracketingNthOrderBrentSolver(ROOT, ROOT, ROOT, 5)
                        .solve(200, s -> rise(s) - travel, Math.min(from, to), Math.max(from, to));
        return kingpin.solve(carrier(swing).frame(design), anchor, tieRodInner);
    }

    /**
     * The wheel turns back, or the arms come into line, within one step: the height may still lie before that place.
     */
    private CornerPose lastBefore(double from, double to, double travel, Point anchor, Point tieRodInner) {
        double low = from;
        double high = to;
        double way = Math.signum(to - from);
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            double slope = (rise(middle + way * 1e-7) - rise(middle)) * Math.signum(travel);
            if (reaches(middle) && slope > 0) {
                low = middle;
            } else {
                high = middle;
            }
        }
        double most = rise(low);
        return Math.abs(most) >= Math.abs(travel)
                ? at(from, low, travel, anchor, tieRodInner)
                : new CannotAssemble(side.label() + " trailing arms", travel - most, Reason.WHEEL_TRAVEL);
    }
}
