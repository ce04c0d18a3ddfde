package mildtilt.steer.range;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import mildtilt.geometry.Side;
import mildtilt.job.Targets;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.KnucklePose;
import org.jspecify.annotations.Nullable;

/**
 * How far a pose is from each thing that could end it. Margins are degrees of the part that would be
 * stopped: of the road wheel for stops and tyres, of the rod for rod ends and over-centre; mm for a shuttle.
 */
public final class LimitGauge {

    /** @param amount left until the limit, below 0 past it */
    public record Margin(double amount, Limit limit, String where) {}

    private final AxleSolver axle;
    private final double toggleDeg;
    private static final RodEnd[] ENDS = RodEnd.values();

    /** The text for each rod end, made once: a margin is asked for thousands of times. */
    private static final String[] WHERE = Arrays.stream(ENDS)
            .map(e -> e.label() + " end of the " + e.rod().label())
            .toArray(String[]::new);

    private final double[] allowedTilt = new double[ENDS.length];
    /** Left inner, left outer, right inner, right outer. */
    private final double[] stops = new double[4];

    private final double[] tyres = new double[4];
    private final double shuttleTravel;

    public LimitGauge(AxleSolver axle, Targets targets) {
        this.axle = axle;
        toggleDeg = targets.toggleDeg();
        for (RodEnd end : ENDS) {
            allowedTilt[end.ordinal()] = allowed(end).orElse(Double.POSITIVE_INFINITY);
        }
        for (Side side : Side.values()) {
            WheelLimits limits = axle.axle().corner(side).limits();
            for (int i = 0; i < 2; i++) {
                stops[2 * side.ordinal() + i] = limits.stop(i == 0).orElse(Double.POSITIVE_INFINITY);
                tyres[2 * side.ordinal() + i] = limits.tyre(i == 0).orElse(Double.POSITIVE_INFINITY);
            }
        }
        shuttleTravel = axle.axle().linkage() instanceof Shuttle s
                ? s.travelEachWay().orElse(Double.POSITIVE_INFINITY)
                : Double.POSITIVE_INFINITY;
    }

    private Optional<Double> allowed(RodEnd end) {
        // A single tie rod's ends each belong to the corner they sit on.
        return end == RodEnd.TIE_RIGHT
                ? axle.axle().corner(Side.RIGHT).rodEnds().allowedDeg()
                : axle.axle().rodEnds(end.rod()).flatMap(RodEnds::allowedDeg);
    }

    /** The tilt a rod end allows, degrees; infinite where that is not known. */
    public double allowedTiltDeg(RodEnd end) {
        return allowedTilt[end.ordinal()];
    }

    /** The tightest margin of each kind; empty if the pose can't be assembled. */
    public Map<Limit, Margin> margins(AxlePose pose) {
        Map<Limit, Margin> all = new EnumMap<>(Limit.class);
        if (pose.assembled().isPresent()) {
            each(
                    pose,
                    RodEndTilts.of(axle, pose.stance()),
                    m -> all.merge(m.limit, m, (a, b) -> b.amount < a.amount ? b : a));
        }
        return all;
    }

    /** The tightest of all margins in degrees; a shuttle's, in mm, only where it is past. */
    @Nullable
    Margin tightest(AxlePose pose, RodEndTilts reading) {
        if (pose.assembled().isEmpty()) {
            return null;
        }
        Margin[] least = {null};
        each(pose, reading, m -> {
            // Degrees and mm can't be weighed against each other, but past is past.
            if ((m.limit != Limit.SHUTTLE_END || m.amount < 0) && (least[0] == null || m.amount < least[0].amount)) {
                least[0] = m;
            }
        });
        return least[0];
    }

    private void each(AxlePose pose, RodEndTilts reading, Consumer<Margin> to) {
        for (int i = 0; i < ENDS.length; i++) {
            if (Double.isFinite(allowedTilt[i]) && !Double.isNaN(reading.tilt[i])) {
                to.accept(new Margin(allowedTilt[i] - reading.tilt[i], Limit.ROD_END, WHERE[i]));
            }
            if (!Double.isNaN(reading.offCentre[i])) {
                to.accept(new Margin(reading.offCentre[i] - toggleDeg, Limit.OVER_CENTRE, WHERE[i]));
            }
        }
        AxlePose.Assembled a = pose.assembled().orElseThrow();
        for (Side side : Side.values()) {
            KnucklePose k = a.knuckle(side);
            boolean inner = inner(k);
            double turned = Math.abs(k.steerDeg());
            double stop = limit(stops, side, inner);
            if (Double.isFinite(stop)) {
                to.accept(new Margin(stop - turned, Limit.KNUCKLE_STOP, side.label() + " knuckle"));
            }
            double tyre = limit(tyres, side, inner);
            if (Double.isFinite(tyre)) {
                to.accept(new Margin(tyre - turned, Limit.TYRE, side.label() + " tyre"));
            }
        }
        if (shuttleTravel < Double.POSITIVE_INFINITY
                && pose.stance().mechanism().orElse(null) instanceof Mechanism.ShuttleAt at) {
            to.accept(new Margin(shuttleTravel - Math.abs(at.displacement()), Limit.SHUTTLE_END, "shuttle"));
        }
    }

    /** A left turn has the left wheel inside. The wheel's true direction decides, not the steering wheel. */
    private static boolean inner(KnucklePose k) {
        return k.steerDeg() * k.side().sign() >= 0;
    }

    /** Whether knuckle stops, tyres and a shuttle's mounts let the wheels go there. */
    public boolean withinStops(AxlePose pose) {
        return solidMargin(pose) >= 0;
    }

    /**
     * What is left until the first knuckle stop, tyre contact or shuttle mount, degrees of wheel or mm of shuttle,
     * below 0 past
     * it; infinite where there is none, NaN where the pose can't be assembled.
     */
    double solidMargin(AxlePose pose) {
        if (pose.assembled().isEmpty()) {
            return Double.NaN;
        }
        double least = Double.POSITIVE_INFINITY;
        if (shuttleTravel < Double.POSITIVE_INFINITY
                && pose.stance().mechanism().orElse(null) instanceof Mechanism.ShuttleAt at) {
            least = shuttleTravel - Math.abs(at.displacement());
        }
        for (Side side : Side.values()) {
            KnucklePose k = pose.assembled().get().knuckle(side);
            boolean inner = inner(k);
            least = Math.min(
                    least, Math.min(limit(stops, side, inner), limit(tyres, side, inner)) - Math.abs(k.steerDeg()));
        }
        return least;
    }

    private static double limit(double[] limits, Side side, boolean inner) {
        return limits[2 * side.ordinal() + (inner ? 0 : 1)];
    }
}
