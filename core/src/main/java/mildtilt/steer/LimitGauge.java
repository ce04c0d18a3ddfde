package mildtilt.steer;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Targets;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.WheelLimits;
import mildtilt.suspension.KnucklePose;
import org.jspecify.annotations.Nullable;

/**
 * How far a pose is from each thing that could end it. Margins are degrees of the part that would be
 * stopped: of the road wheel for stops and tyres, of the rod for rod ends and over-centre; mm for a shuttle.
 */
final class LimitGauge {

    /** @param amount left until the limit, below 0 past it */
    record Margin(double amount, Limit limit, String where) {}

    private final AxleSolver axle;
    private final double toggleDeg;
    private final double[] allowedTilt = new double[RodEnd.values().length];

    LimitGauge(AxleSolver axle, Targets targets) {
        this.axle = axle;
        toggleDeg = targets.toggleDeg();
        for (RodEnd end : RodEnd.values()) {
            allowedTilt[end.ordinal()] = allowed(end).orElse(Double.POSITIVE_INFINITY);
        }
    }

    private Optional<Double> allowed(RodEnd end) {
        // A single tie rod's ends each belong to the corner they sit on.
        return end == RodEnd.TIE_RIGHT
                ? axle.axle().corner(Side.RIGHT).rodEnds().allowedDeg()
                : axle.axle().rodEnds(end.rod()).flatMap(RodEnds::allowedDeg);
    }

    double allowedTiltDeg(RodEnd end) {
        return allowedTilt[end.ordinal()];
    }

    /** The tightest margin of each kind; empty if the pose can't be assembled. */
    Map<Limit, Margin> margins(AxlePose pose) {
        Map<Limit, Margin> all = new EnumMap<>(Limit.class);
        if (pose.assembled().isEmpty()) {
            return all;
        }
        axle.atRodEnds(pose.stance(), new AxleSolver.AtRodEnd() {
            @Override
            public void tilt(RodEnd end, double deg) {
                if (Double.isFinite(allowedTilt[end.ordinal()])) {
                    put(all, Limit.ROD_END, allowedTilt[end.ordinal()] - deg, end, "end of the ");
                }
            }

            @Override
            public void arm(RodEnd end, double deg) {
                put(all, Limit.OVER_CENTRE, Math.min(deg, 180 - deg) - toggleDeg, end, "end of the ");
            }
        });
        wheel(all, pose.assembled().get().left(), pose);
        wheel(all, pose.assembled().get().right(), pose);
        if (axle.axle().linkage() instanceof Shuttle s && s.travelEachWay().isPresent()
                && pose.stance().mechanism().orElse(null) instanceof Mechanism.ShuttleAt at) {
            put(all, Limit.SHUTTLE_END, s.travelEachWay().get() - Math.abs(at.displacement()), "shuttle");
        }
        return all;
    }

    private void wheel(Map<Limit, Margin> all, KnucklePose k, AxlePose pose) {
        WheelLimits limits = axle.axle().corner(k.side()).limits();
        // A left turn has the left wheel inside. Where the wheels truly point decides, not the hands.
        double intoLeft = k.steerDeg();
        boolean inner = intoLeft * k.side().sign() >= 0;
        double turned = Math.abs(intoLeft);
        limits.stop(inner).ifPresent(s -> put(all, Limit.KNUCKLE_STOP, s - turned, k.side().label() + " knuckle"));
        limits.tyre(inner).ifPresent(t -> put(all, Limit.TYRE, t - turned, k.side().label() + " tyre"));
    }

    private static void put(Map<Limit, Margin> all, Limit limit, double amount, RodEnd end, String words) {
        Margin was = all.get(limit);
        if (was == null || amount < was.amount) {
            all.put(limit, new Margin(amount, limit, end.label() + " " + words + end.rod().label()));
        }
    }

    private static void put(Map<Limit, Margin> all, Limit limit, double amount, String where) {
        Margin was = all.get(limit);
        if (was == null || amount < was.amount) {
            all.put(limit, new Margin(amount, limit, where));
        }
    }

    /** The tightest of all margins in degrees; a shuttle's, in mm, is told in {@link #margins} alone. */
    static @Nullable Margin tightest(Map<Limit, Margin> margins) {
        Margin least = null;
        for (Margin m : margins.values()) {
            if (m.limit != Limit.SHUTTLE_END && (least == null || m.amount < least.amount)) {
                least = m;
            }
        }
        return least;
    }
}
