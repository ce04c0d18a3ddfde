package mildtilt.suspension;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.suspension.CannotAssemble.Reason;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;
import org.jspecify.annotations.Nullable;

/**
 * Finds how the knuckle of a wheel that moves on its own stands (double wishbones, trailing arms with ball joints, or
 * a strut) for a travel
 * of that wheel and a place of its rod's other end. Made ready once for a corner, then asked for any number
 * of poses.
 *
 * <p>For a given swing of the lower arm everything follows in closed form: the steer axis from the arms,
 * the knuckle about it from the rod ({@link SteeredKnuckle}). The swing that puts the wheel centre at the
 * wanted height is then a root in one variable. A link that can't reach is held at its nearest, which keeps
 * that function continuous; what is missing is reported at the end.
 *
 * <p>Where rod and arm come near to being in line that way fails a little too early: as the knuckle turns on, the
 * suspension moves too, and with it the place where the rod runs out. There the knuckle's turn is taken as given
 * instead, the
 * swing follows from the height, and the rod's length is the root; the linkage ends exactly where that length is at its
 * greatest or least ({@link #byTurn}).
 */
public final class CornerSolver implements TravellingCorner {

    private static final double HEIGHT_TOLERANCE = 1e-11;
    private static final double ROOT = 1e-8;
    private static final double REACH_TOLERANCE = 1e-9;
    private static final double WIDEST_SWING = 1.5;
    private static final double SCAN_STEP = 0.02;
    private static final double PROBE = 0.02;
    private static final double TURN_PROBE = 1e-5;
    private static final double TURN_STEP = 0.03;

    private final Side side;
    private final SteeredKnuckle knuckle;
    private final String rod;
    private final Orbit lower;
    private final Upper upper;
    private final double designHeight;
    /**
     * Whether the rod's point comes nearer to its other end (−1) or goes away from it (1) as it turns on, in the design
     * position.
     */
    private final double rodSense;
    /** Rise of the wheel for a swing of the lower arm in the design position, mm/rad, and how that changes. */
    private final double heightPerSwing;

    private final double heightPerSwingSquared;

    /** What settles the upper end of the steer axis for a place of the lower ball joint. */
    private sealed interface Upper {

        /** @param branch which of the two places the upper wishbone's ball joint could take */
        record Wishbone(Orbit orbit, int branch, double ballJointDistance) implements Upper {}

        record TopMount(Point mount) implements Upper {}

        /** An upper arm as it stands in the design position. */
        static Wishbone arm(Orbit orbit, Point lowerBallJoint) {
            return new Wishbone(orbit, orbit.branchAt(0, lowerBallJoint), lowerBallJoint.distanceTo(orbit.at(0)));
        }

        /** @param missing 0 where the upper wishbone reaches, else by how much it does not, mm */
        record Top(Point point, double missing) {}

        default Top above(Point low) {
            return switch (this) {
                case Wishbone w -> {
                    Orbit.Reach up = w.orbit.atReach(low, w.ballJointDistance, w.branch);
                    yield new Top(up.point(), up.missing());
                }
                case TopMount t -> new Top(t.mount, 0);
            };
        }
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
                upper = Upper.arm(
                        Orbit.of(Axis.through(w.upperInnerRear(), w.upperInnerFront()), w.upperBallJoint()),
                        w.lowerBallJoint());
            }
            case TrailingArms t -> {
                if (t.kingpin().isPresent()) {
                    throw new ImpossibleGeometryException("Trailing arms on link pins have a solver of their own.");
                }
                lower = Orbit.of(t.lowerAxis(), t.lowerEnd());
                upper = Upper.arm(Orbit.of(t.upperAxis(), t.upperEnd()), t.lowerEnd());
            }
            case Strut s -> {
                lower = Orbit.of(Axis.through(s.lowerInnerRear(), s.lowerInnerFront()), s.lowerBallJoint());
                upper = new Upper.TopMount(s.topMount());
            }
            case SplitLinks _ -> throw new ImpossibleGeometryException("Separate links have a solver of their own.");
            case SwingBeam _ -> throw new ImpossibleGeometryException("A swing beam has a solver of its own.");
            case Kingpin _ -> throw new ImpossibleGeometryException("A kingpin does not travel by itself.");
        }
        designHeight = knuckle.wheelCentre().z();
        double up = at(PROBE, anchor).wheelHeight - designHeight;
        double down = at(-PROBE, anchor).wheelHeight - designHeight;
        double rate = (up - down) / (2 * PROBE);
        heightPerSwing = Math.abs(rate) < 1 ? 1 : rate;
        heightPerSwingSquared = Math.abs(rate) < 1 ? 0 : (up + down) / (PROBE * PROBE);
        Trial design = at(0, anchor);
        double angle = this.knuckle.angleHeldBy(design.low, design.high, anchor);
        rodSense = this.knuckle
                                .turnedTo(design.low, design.high, angle + TURN_PROBE, anchor)
                                .missing()
                        >= this.knuckle
                                .turnedTo(design.low, design.high, angle - TURN_PROBE, anchor)
                                .missing()
                ? 1
                : -1;
    }

    @Override
    public double rodLength() {
        return knuckle.rodLength();
    }

    /** What is found on the way for one swing of the lower arm. */
    private record Trial(Point low, Point high, SteeredKnuckle.Held held, double upperMissing, double wheelHeight) {

        /** With the rest that rounding leaves of the rod's gap taken as nothing. */
        Trial reaching() {
            return new Trial(low, high, new SteeredKnuckle.Held(held.frame(), 0), upperMissing, wheelHeight);
        }
    }

    private Trial at(double swing, Point inner) {
        Point low = lower.at(swing);
        Upper.Top top = upper.above(low);
        SteeredKnuckle.Held held = knuckle.heldBy(low, top.point, inner);
        return new Trial(low, top.point, held, top.missing, knuckle.wheelHeight(held.frame()));
    }

    /**
     * @param inner place of the rod's other end
     * @param tieRodInner place of the tie rod's inner end; the same unless another rod steers this knuckle
     * @param travel rise of the wheel centre from its design height, mm
     */
    @Override
    public CornerPose solve(Point inner, Point tieRodInner, double travel) {
        double target = designHeight + travel;
        Trial trial = bySecant(inner, target);
        if (trial == null || Math.abs(trial.held.missing()) > REACH_TOLERANCE) {
            Optional<Trial> turned = byTurn(inner, target, trial);
            if (turned.isPresent()) {
                trial = turned.get();
            }
        }
        if (trial == null) {
            Swing swing = byScan(inner, target, travel >= 0 ? 1 : -1);
            if (!swing.found) {
                return new CannotAssemble(
                        side.label() + " suspension", target - at(swing.angle, inner).wheelHeight, Reason.WHEEL_TRAVEL);
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

    /**
     * The same with the knuckle's turn as the unknown. Seen from its other end the rod's point is farther away the more
     * the
     * knuckle turns, up to where rod and arm are in line, or the other way about; {@code gap} is how much farther than
     * the
     * rod is long. A turn before that place is a pose; where even that place is not reached, what is missing there is
     * the answer.
     *
     * @param near a trial to begin from, if there is one
     * @return empty if the wheel can't be brought to the height
     */
    private Optional<Trial> byTurn(Point inner, double target, @Nullable Trial near) {
        try {
            return turned(inner, target, near);
        } catch (MathRuntimeException e) {
            // Found from elsewhere the end lies on another branch, or the gap jumps there: no way leads on from here.
            return Optional.empty();
        }
    }

    private Optional<Trial> turned(Point inner, double target, @Nullable Trial near) {
        Trial start = near != null ? near : at((target - designHeight) / heightPerSwing, inner);
        TurnedSwing swings = new TurnedSwing(inner, target, (target - designHeight) / heightPerSwing);
        double from = knuckle.angleHeldBy(start.low, start.high, inner);
        // Turned so that the gap grows on the design side of where it ends.
        DoubleUnaryOperator gap =
                a -> swings.at(rodSense * a).map(t -> t.held.missing()).orElse(Double.NaN);
        double a = rodSense * from;
        double g = gap.applyAsDouble(a);
        double want = g < 0 ? 1 : -1;
        // Uphill (or downhill) by growing steps to the far side of the end, then to it.
        double step = TURN_STEP;
        double way = (gap.applyAsDouble(a + TURN_PROBE) - gap.applyAsDouble(a - TURN_PROBE)) * want >= 0 ? 1 : -1;
        double behind = a;
        double middle = a;
        double best = g;
        double ahead = a + way * step;
        double there = gap.applyAsDouble(ahead);
        while ((there - best) * want > 0 && Math.abs(ahead - a) < WIDEST_SWING) {
            behind = middle;
            middle = ahead;
            best = there;
            step *= 1.6;
            ahead += way * step;
            there = gap.applyAsDouble(ahead);
        }
        if (Double.isNaN(g) || Double.isNaN(there)) {
            return Optional.empty();
        }
        double low = Math.min(Math.min(behind, ahead), a - way * TURN_STEP);
        double high = Math.max(Math.max(behind, ahead), a - way * TURN_STEP);
        UnivariatePointValuePair end = new BrentOptimizer(1e-10, 1e-12)
                .optimize(
                        new MaxEval(200),
                        want > 0 ? GoalType.MAXIMIZE : GoalType.MINIMIZE,
                        new UnivariateObjectiveFunction(x -> finite(gap.applyAsDouble(x), want)),
                        new SearchInterval(low, high, Math.clamp(middle, low, high)));
        if (end.getValue() * want < 0) {
            return end.getValue() * want < -REACH_TOLERANCE
                    ? swings.at(rodSense * end.getPoint())
                    : swings.at(rodSense * end.getPoint()).map(Trial::reaching);
        }
        // Back from the end, on the design side, to where the gap has the other sign.
        double back = end.getPoint();
        step = TURN_STEP;
        do {
            back -= want * step;
            step *= 1.6;
            there = gap.applyAsDouble(back);
        } while (there * want > 0 && Math.abs(back - end.getPoint()) < 2 * WIDEST_SWING);
        if (!(there * want <= 0)) {
            return Optional.empty();
        }
        // Each trial is found from the last, so that a gap of next to nothing may come out on either side of 0.
        double root = Math.abs(there) <= ROOT
                ? back
                : Math.abs(end.getValue()) <= ROOT
                        ? end.getPoint()
                        : new BracketingNthOrderBrentSolver(1e-15, 1e-15, 1e-13, 5)
                                .solve(
                                        200,
                                        x -> finite(gap.applyAsDouble(x), want),
                                        Math.min(back, end.getPoint()),
                                        Math.max(back, end.getPoint()));
        return swings.at(rodSense * root).map(Trial::reaching);
    }

    /** A place that can't be reached at all counts as far on the wrong side. */
    private static double finite(double gap, double want) {
        return Double.isNaN(gap) ? -want * 1e6 : gap;
    }

    /**
     * The swing of the lower arm that keeps the wheel at its height for a given turn of the knuckle, each found from
     * the last.
     */
    private final class TurnedSwing {
        private final Point inner;
        private final double target;
        private double swing;

        TurnedSwing(Point inner, double target, double swing) {
            this.inner = inner;
            this.target = target;
            this.swing = swing;
        }

        Optional<Trial> at(double angle) {
            double a0 = swing;
            Trial t0 = turned(a0, angle);
            double f0 = t0.wheelHeight - target;
            double a1 = a0 - f0 / heightPerSwing;
            for (int i = 0; i < 30; i++) {
                if (Math.abs(f0) <= HEIGHT_TOLERANCE) {
                    swing = a0;
                    return Math.abs(t0.upperMissing) > REACH_TOLERANCE ? Optional.empty() : Optional.of(t0);
                }
                if (!(Math.abs(a1) < WIDEST_SWING) || a1 == a0) {
                    break;
                }
                Trial t1 = turned(a1, angle);
                double f1 = t1.wheelHeight - target;
                double next = f1 == f0 ? a1 : a1 - f1 * (a1 - a0) / (f1 - f0);
                if (Math.abs(f1) >= Math.abs(f0) && Math.abs(f0) < 1e-9) {
                    // As near as the numbers go.
                    swing = a0;
                    return Math.abs(t0.upperMissing) > REACH_TOLERANCE ? Optional.empty() : Optional.of(t0);
                }
                a0 = a1;
                f0 = f1;
                t0 = t1;
                a1 = next;
            }
            return Math.abs(f0) < 1e-9 && Math.abs(t0.upperMissing) <= REACH_TOLERANCE
                    ? Optional.of(t0)
                    : Optional.empty();
        }

        private Trial turned(double swing, double angle) {
            Point low = lower.at(swing);
            Upper.Top top = upper.above(low);
            SteeredKnuckle.Held held = knuckle.turnedTo(low, top.point, angle, inner);
            return new Trial(low, top.point, held, top.missing, knuckle.wheelHeight(held.frame()));
        }
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
