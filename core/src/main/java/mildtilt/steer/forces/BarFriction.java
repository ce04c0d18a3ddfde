package mildtilt.steer.forces;

import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.ShuttleBar;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.KnucklePose;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * What the bushes of a shuttle do on its bar at one place, by dry friction.
 *
 * <p>Each force on the shuttle presses the bushes on the bar as a load on a beam does its two supports: by what of it
 * is square to the bar, and by what is along the bar times its distance from it. The bushes hold the shuttle along the
 * bar with their friction times the sum of both presses. Pushed past a certain friction the press grows faster than
 * the push: it jams, and no force moves it. What keeps the shuttle from turning about its bar is left out.
 *
 * @param pushFactor times the push of the short link that the same loads would take without friction; infinite where it
 *     jams
 * @param returnFactor the part of what the wheels push back with that comes through the short link; 0 where friction
 *     holds it
 */
public record BarFriction(double pushFactor, double returnFactor) {

    private static final int MOST_STEPS = 200;
    private static final double SETTLED = 1e-9;

    /** Radial loads on both bushes, N or for 1 N. */
    private record Press(Vector one, Vector other) {

        Press plus(Press o) {
            return new Press(one.plus(o.one), other.plus(o.other));
        }

        Press times(double f) {
            return new Press(one.times(f), other.times(f));
        }

        double sum() {
            return one.norm() + other.norm();
        }
    }

    /**
     * Empty where no shuttle slides, or where its bushes are not known.
     *
     * @param held force along each rod, N, + pulling
     */
    static Optional<BarFriction> of(SmallTurn t, Map<Rod, Double> held) {
        return t.pose().stance().mechanism().orElseThrow() instanceof Mechanism.ShuttleAt s
                ? s.shuttle().bar().map(bar -> of(s, bar, onShuttle(t, held)))
                : Optional.empty();
    }

    /** What both tie rods do to the shuttle as it is pushed: force at each end, in order left, right. */
    private static Map<Side, Vector> onShuttle(SmallTurn t, Map<Rod, Double> held) {
        return Map.of(
                Side.LEFT, pull(t.here().left(), held.getOrDefault(Rod.LEFT_TIE_ROD, 0.0)),
                Side.RIGHT, pull(t.here().right(), held.getOrDefault(Rod.RIGHT_TIE_ROD, 0.0)));
    }

    private static Vector pull(KnucklePose k, double force) {
        return k.tieRodPoint().minus(k.tieRodInner()).direction().times(force);
    }

    /** The friction at which the push of the short link alone jams it; infinite where it never does. */
    static double jamsAt(Mechanism.ShuttleAt s, ShuttleBar bar) {
        double press = link(s, bar).sum();
        return press > 0 ? Math.abs(along(s)) / press : Double.POSITIVE_INFINITY;
    }

    /** What of a pull of the short link of 1 is along the bar. */
    private static double along(Mechanism.ShuttleAt s) {
        return s.shuttle().slide().dot(pull(s));
    }

    private static Vector pull(Mechanism.ShuttleAt s) {
        return s.armEnd().minus(s.linkPoint()).direction().vector();
    }

    /** What a pull of the short link of 1 presses the bushes with. */
    private static Press link(Mechanism.ShuttleAt s, ShuttleBar bar) {
        return press(s.shuttle().slide().vector(), middle(s, bar), bar.span(), s.linkPoint(), pull(s));
    }

    private static Point middle(Mechanism.ShuttleAt s, ShuttleBar bar) {
        return bar.middle().plus(s.shuttle().slide().times(s.displacement()));
    }

    static BarFriction of(Mechanism.ShuttleAt s, ShuttleBar bar, Map<Side, Vector> rods) {
        Vector along = s.shuttle().slide().vector();
        Point middle = middle(s, bar);
        double c = along(s);
        Press push = link(s, bar);
        double load = 0;
        Press loads = new Press(new Vector(0, 0, 0), new Vector(0, 0, 0));
        for (Side side : Side.values()) {
            Vector f = rods.getOrDefault(side, new Vector(0, 0, 0));
            load += f.dot(along);
            loads = loads.plus(press(along, middle, bar.span(), side == Side.LEFT ? s.left() : s.right(), f));
        }
        if (Math.abs(load) < SETTLED || c == 0) {
            return new BarFriction(1, 1);
        }
        // Along the bar, the same way round as what the link has to give without friction.
        Press perNewton = push.times(-Math.signum(load) / c);
        double needed = Math.abs(load);
        return new BarFriction(
                pushing(needed, bar.friction(), loads, perNewton) / needed,
                returning(needed, bar.friction(), loads, perNewton) / needed);
    }

    /** Push along the bar = load + friction × press of load and push. Infinite where none is enough. */
    private static double pushing(double load, double friction, Press loads, Press perNewton) {
        double growth = friction * perNewton.sum();
        return growth >= 1
                ? Double.POSITIVE_INFINITY
                : balance(load, friction, loads, perNewton, load, (load + friction * loads.sum()) / (1 - growth));
    }

    /** The same with the load moving it and the push holding on. 0 where friction alone holds it. */
    private static double returning(double load, double friction, Press loads, Press perNewton) {
        return friction * Math.max(perNewton.sum(), loads.sum() / load) >= 1
                ? 0
                : balance(load, -friction, loads, perNewton, 0, load);
    }

    private static double balance(double load, double friction, Press loads, Press perNewton, double low, double high) {
        DoubleUnaryOperator off = push ->
                push - load - friction * loads.plus(perNewton.times(push)).sum();
        if (off.applyAsDouble(low) >= 0 || low == high) {
            return low;
        }
        return new BracketingNthOrderBrentSolver(SETTLED, SETTLED * load, 5)
                .solve(MOST_STEPS, off::applyAsDouble, low, high * (1 + SETTLED));
    }

    /** What one force on the shuttle presses each bush against the bar with. */
    private static Press press(Vector along, Point middle, double span, Point at, Vector force) {
        Vector from = at.minus(middle);
        double x = from.dot(along);
        Vector off = from.minus(along.times(x));
        double a = force.dot(along);
        Vector square = force.minus(along.times(a));
        Vector tips = square.times(x).minus(off.times(a)).times(2 / span);
        return new Press(square.plus(tips).times(0.5), square.minus(tips).times(0.5));
    }
}
