package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.suspension.CannotAssemble.Reason;
import org.jspecify.annotations.Nullable;

/**
 * Finds how a double-wishbone knuckle stands for a travel of its wheel and a place of its tie rod's inner
 * pivot. Made ready once for a corner, then asked for any number of poses.
 *
 * <p>For a given rise of the lower arm everything follows in closed form: the upper ball joint turns about
 * the upper pivots at a fixed distance from the lower ball joint, the tie-rod point turns about the steer
 * axis at a fixed distance from the inner pivot. The rise that puts the wheel centre at the wanted height
 * is then a root in one variable. A link that can't reach is held at its nearest, which keeps that
 * function continuous; what is missing is reported at the end.
 */
public final class CornerSolver {

    private static final double HEIGHT_TOLERANCE = 1e-11;
    private static final double REACH_TOLERANCE = 1e-9;
    private static final double WIDEST_SWING = 1.5;
    private static final double SCAN_STEP = 0.02;
    private static final double PROBE = 0.02;

    private final Side side;
    private final Knuckle knuckle;
    private final double tieRodLength;
    private final Orbit lower;
    private final Orbit upper;
    private final int upperBranch;
    private final double ballJointDistance;
    private final double armHeight;
    private final double armRadius;
    private final int armBranch;
    private final Frame design;
    private final Vector wheelLocal;
    private final Vector spinLocal;
    /** Rise of the wheel for a swing of the lower arm in the design position, mm/rad, and how that changes. */
    private final double heightPerSwing;
    private final double heightPerSwingSquared;

    /**
     * @param tieRodInner the tie rod's inner pivot in the design position, which settles the rod's length
     * @throws ImpossibleGeometryException if the steering arm or the tie rod has no length
     */
    public CornerSolver(Side side, DoubleWishbone arms, Knuckle knuckle, Point tieRodInner) {
        this.side = side;
        this.knuckle = knuckle;
        tieRodLength = knuckle.tieRodPoint().distanceTo(tieRodInner);
        if (tieRodLength < 1) {
            throw new ImpossibleGeometryException("The " + side.label() + " tie rod has no length.");
        }
        Point low = arms.lowerBallJoint();
        Point high = arms.upperBallJoint();
        lower = Orbit.of(Axis.through(arms.lowerInnerRear(), arms.lowerInnerFront()), low);
        upper = Orbit.of(Axis.through(arms.upperInnerRear(), arms.upperInnerFront()), high);
        upperBranch = upper.branchAt(0, low);
        ballJointDistance = low.distanceTo(high);

        Axis steerAxis = arms.steerAxis();
        Point foot = steerAxis.footOf(knuckle.tieRodPoint());
        Vector arm = knuckle.tieRodPoint().minus(foot);
        if (arm.norm() < 1) {
            throw new ImpossibleGeometryException("The " + side.label()
                    + " steering arm has no length: its tie-rod point lies on the steer axis.");
        }
        armHeight = foot.minus(low).dot(steerAxis.direction().vector());
        armRadius = arm.norm();
        armBranch = Orbit.of(steerAxis, knuckle.tieRodPoint()).branchAt(0, tieRodInner);
        design = frame(low, high, knuckle.tieRodPoint());
        wheelLocal = design.local(knuckle.wheelCentre().minus(design.origin()));
        spinLocal = design.local(knuckle.spinAxisPoint().minus(knuckle.wheelCentre()).direction().vector());
        double up = at(PROBE, tieRodInner).wheelHeight - knuckle.wheelCentre().z();
        double down = at(-PROBE, tieRodInner).wheelHeight - knuckle.wheelCentre().z();
        double rate = (up - down) / (2 * PROBE);
        heightPerSwing = Math.abs(rate) < 1 ? 1 : rate;
        heightPerSwingSquared = Math.abs(rate) < 1 ? 0 : (up + down) / (PROBE * PROBE);
    }

    public double tieRodLength() {
        return tieRodLength;
    }

    /** What is found on the way for one rise of the lower arm. */
    private record Trial(Point low, Point high, Point tieRodPoint, Frame frame,
            double upperMissing, double rodMissing, double wheelHeight) {}

    private static Frame frame(Point low, Point high, Point tieRodPoint) {
        Vector k = high.minus(low);
        k = k.times(1 / k.norm());
        Vector out = tieRodPoint.minus(low);
        Vector e = out.minus(k.times(out.dot(k)));
        e = e.times(1 / e.norm());
        return new Frame(low, e, k.cross(e), k);
    }

    private Trial at(double swing, Point inner) {
        Point low = lower.at(swing);
        Orbit.Reach up = upper.atReach(low, ballJointDistance, upperBranch);
        Point high = up.point();
        Vector k = high.minus(low);
        double kn = k.norm();
        k = kn > 0 ? k.times(1 / kn) : Vector.Z;
        Vector square = Math.abs(k.x()) < 0.9 ? Vector.X : Vector.Y;
        Vector u = square.minus(k.times(square.dot(k)));
        u = u.times(1 / u.norm());
        Orbit armEnd = new Orbit(low.plus(k.times(armHeight)), u, k.cross(u), armRadius);
        Orbit.Reach rod = armEnd.atReach(inner, tieRodLength, armBranch);
        Vector e = rod.point().minus(armEnd.centre()).times(1 / armRadius);
        Frame frame = new Frame(low, e, k.cross(e), k);
        double height = low.z() + wheelLocal.x() * frame.e().z()
                + wheelLocal.y() * frame.f().z() + wheelLocal.z() * frame.g().z();
        return new Trial(low, high, rod.point(), frame, up.missing(), rod.missing(), height);
    }

    /**
     * @param inner place of the tie rod's inner pivot
     * @param travel rise of the wheel centre from its design height, mm
     */
    public CornerPose solve(Point inner, double travel) {
        double target = knuckle.wheelCentre().z() + travel;
        Trial trial = bySecant(inner, target);
        if (trial == null) {
            Swing swing = byScan(inner, target, travel >= 0 ? 1 : -1);
            if (!swing.found) {
                return new CannotAssemble("suspension", target - at(swing.angle, inner).wheelHeight,
                        Reason.WHEEL_TRAVEL);
            }
            trial = at(swing.angle, inner);
        }
        if (Math.abs(trial.upperMissing) > REACH_TOLERANCE) {
            return new CannotAssemble("upper wishbone", trial.upperMissing, Reason.LINK);
        }
        if (Math.abs(trial.rodMissing) > REACH_TOLERANCE) {
            return new CannotAssemble("tie rod", trial.rodMissing, Reason.LINK);
        }
        Frame now = trial.frame;
        return new KnucklePose(side, design, now, trial.low, trial.high, trial.tieRodPoint, inner,
                now.origin().plus(now.world(wheelLocal)), now.world(spinLocal));
    }

    /** The root near the design position by the secant rule; null where it leads astray. */
    private @Nullable Trial bySecant(Point inner, double target) {
        // Where the arm would stand if the height went with the swing as a parabola, straight ahead.
        double linear = (target - knuckle.wheelCentre().z()) / heightPerSwing;
        double a0 = linear - heightPerSwingSquared * linear * linear / (2 * heightPerSwing);
        if (!(Math.abs(a0) < WIDEST_SWING)) {
            return null;
        }
        Trial t0 = at(a0, inner);
        double f0 = t0.wheelHeight - target;
        if (Math.abs(f0) <= HEIGHT_TOLERANCE) {
            return t0;
        }
        double a1 = a0 - f0 / (heightPerSwing + heightPerSwingSquared * a0);
        for (int i = 0; i < 14; i++) {
            if (!(Math.abs(a1) < WIDEST_SWING)) {
                return null;
            }
            Trial t1 = at(a1, inner);
            double f1 = t1.wheelHeight - target;
            double slope = (f1 - f0) / (a1 - a0);
            if (Math.abs(f1) <= HEIGHT_TOLERANCE || Math.abs(f1 / slope) < 1e-15) {
                // A root where the wheel falls as the arm rises lies beyond the arm's dead point.
                return slope * heightPerSwing > 0 ? t1 : null;
            }
            double next = a1 - f1 / slope;
            a0 = a1;
            f0 = f1;
            a1 = next;
            if (a1 == a0) {
                return t1;
            }
        }
        return null;
    }

    private record Swing(double angle, boolean found) {}

    /** Step out from the design position until the height is passed, then halve. */
    private Swing byScan(Point inner, double target, int way) {
        double step = SCAN_STEP * way * Math.signum(heightPerSwing);
        double from = 0;
        double f = at(0, inner).wheelHeight - target;
        double nearest = Math.abs(f);
        double nearestAt = 0;
        if (f * way > 0) {
            step = -step;
        }
        for (double to = step; Math.abs(to) < WIDEST_SWING; to += step) {
            double ft = at(to, inner).wheelHeight - target;
            if (f * ft <= 0) {
                return new Swing(halve(inner, target, from, to), true);
            }
            if (Math.abs(ft) < nearest) {
                nearest = Math.abs(ft);
                nearestAt = to;
            }
            from = to;
            f = ft;
        }
        return new Swing(nearestAt, false);
    }

    private double halve(Point inner, double target, double from, double to) {
        double f = at(from, inner).wheelHeight - target;
        double a = from;
        double b = to;
        for (int i = 0; i < 80; i++) {
            double mid = (a + b) / 2;
            double fm = at(mid, inner).wheelHeight - target;
            if (f * fm <= 0) {
                b = mid;
            } else {
                a = mid;
                f = fm;
            }
        }
        return (a + b) / 2;
    }
}
