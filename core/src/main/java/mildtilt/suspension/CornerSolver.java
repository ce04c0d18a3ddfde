package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.suspension.CannotAssemble.Reason;
import org.jspecify.annotations.Nullable;

/**
 * Finds how the knuckle of a wheel that moves on its own stands (double wishbones or a strut) for a travel
 * of that wheel and a place of its rod's other end. Made ready once for a corner, then asked for any number
 * of poses.
 *
 * <p>For a given swing of the lower arm everything follows in closed form: the steer axis from the arms,
 * the knuckle about it from the rod ({@link SteeredKnuckle}). The swing that puts the wheel centre at the
 * wanted height is then a root in one variable. A link that can't reach is held at its nearest, which keeps
 * that function continuous; what is missing is reported at the end.
 */
public final class CornerSolver {

    private static final double HEIGHT_TOLERANCE = 1e-11;
    private static final double REACH_TOLERANCE = 1e-9;
    private static final double WIDEST_SWING = 1.5;
    private static final double SCAN_STEP = 0.02;
    private static final double PROBE = 0.02;

    private final Side side;
    private final SteeredKnuckle knuckle;
    private final String rod;
    private final Orbit lower;
    private final Upper upper;
    private final double designHeight;
    /** Rise of the wheel for a swing of the lower arm in the design position, mm/rad, and how that changes. */
    private final double heightPerSwing;
    private final double heightPerSwingSquared;

    /** What settles the upper end of the steer axis for a place of the lower ball joint. */
    private sealed interface Upper {

        /** @param branch which of the two places the upper wishbone's ball joint could take */
        record Wishbone(Orbit orbit, int branch, double ballJointDistance) implements Upper {}

        record TopMount(Point mount) implements Upper {}
    }

    /**
     * @param rodPoint where the rod that steers this knuckle meets it, design position
     * @param anchor that rod's other end in the design position, which settles its length
     * @param rod what that rod is called
     * @throws ImpossibleGeometryException if the steering arm or the rod has no length, or a kingpin is
     *     given, which does not travel by itself
     */
    public CornerSolver(Side side, Suspension suspension, Knuckle knuckle, Point rodPoint, Point anchor, String rod) {
        this.side = side;
        this.rod = rod;
        this.knuckle = new SteeredKnuckle(side, suspension, knuckle, rodPoint, anchor, rod);
        switch (suspension) {
            case DoubleWishbone w -> {
                lower = Orbit.of(Axis.through(w.lowerInnerRear(), w.lowerInnerFront()), w.lowerBallJoint());
                Orbit high = Orbit.of(Axis.through(w.upperInnerRear(), w.upperInnerFront()), w.upperBallJoint());
                upper = new Upper.Wishbone(high, high.branchAt(0, w.lowerBallJoint()),
                        w.lowerBallJoint().distanceTo(w.upperBallJoint()));
            }
            case Strut s -> {
                lower = Orbit.of(Axis.through(s.lowerInnerRear(), s.lowerInnerFront()), s.lowerBallJoint());
                upper = new Upper.TopMount(s.topMount());
            }
            case Kingpin _ -> throw new ImpossibleGeometryException("A kingpin does not travel by itself.");
        }
        designHeight = knuckle.wheelCentre().z();
        double up = at(PROBE, anchor).wheelHeight - designHeight;
        double down = at(-PROBE, anchor).wheelHeight - designHeight;
        double rate = (up - down) / (2 * PROBE);
        heightPerSwing = Math.abs(rate) < 1 ? 1 : rate;
        heightPerSwingSquared = Math.abs(rate) < 1 ? 0 : (up + down) / (PROBE * PROBE);
    }

    public double rodLength() {
        return knuckle.rodLength();
    }

    /** What is found on the way for one swing of the lower arm. */
    private record Trial(Point low, Point high, SteeredKnuckle.Held held, double upperMissing, double wheelHeight) {}

    private Trial at(double swing, Point inner) {
        Point low = lower.at(swing);
        Point high;
        double upperMissing;
        switch (upper) {
            case Upper.Wishbone w -> {
                Orbit.Reach up = w.orbit.atReach(low, w.ballJointDistance, w.branch);
                high = up.point();
                upperMissing = up.missing();
            }
            case Upper.TopMount t -> {
                high = t.mount;
                upperMissing = 0;
            }
        }
        SteeredKnuckle.Held held = knuckle.heldBy(low, high, inner);
        return new Trial(low, high, held, upperMissing, knuckle.wheelHeight(held.frame()));
    }

    /**
     * @param inner place of the rod's other end
     * @param tieRodInner place of the tie rod's inner end; the same unless another rod steers this knuckle
     * @param travel rise of the wheel centre from its design height, mm
     */
    public CornerPose solve(Point inner, Point tieRodInner, double travel) {
        double target = designHeight + travel;
        Trial trial = bySecant(inner, target);
        if (trial == null) {
            Swing swing = byScan(inner, target, travel >= 0 ? 1 : -1);
            if (!swing.found) {
                return new CannotAssemble(side.label() + " suspension", target - at(swing.angle, inner).wheelHeight,
                        Reason.WHEEL_TRAVEL);
            }
            trial = at(swing.angle, inner);
        }
        if (Math.abs(trial.upperMissing) > REACH_TOLERANCE) {
            return new CannotAssemble(side.label() + " upper wishbone", trial.upperMissing, Reason.LINK);
        }
        if (Math.abs(trial.held.missing()) > REACH_TOLERANCE) {
            return new CannotAssemble(rod, trial.held.missing(), Reason.LINK);
        }
        return knuckle.pose(trial.held.frame(), trial.low, trial.high, tieRodInner);
    }

    /** The root near the design position by the secant rule; null where it leads astray. */
    private @Nullable Trial bySecant(Point inner, double target) {
        // Where the arm would stand if the height went with the swing as a parabola, straight ahead.
        double linear = (target - designHeight) / heightPerSwing;
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
