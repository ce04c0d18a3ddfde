package mildtilt.steer.forces;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.column.Column;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * What the hands feel of one wheel alone, straight ahead, nothing lost on the way: as a force at the rim where it is
 * held, as a turn where it is let go. By virtual work.
 *
 * @param wheels what each does
 */
public record KickBack(Map<Side, Wheel> wheels) {

    /** How much higher the wheel goes than the other, mm; less where the vehicle has less bump. */
    public static final double RISE = 25;

    /** Part of a wheel's load that it is braked with while the other is not. */
    public static final double BRAKED = 0.5;

    private static final double SETTLED_DEG = 1e-7;
    private static final int MOST_STEPS = 20;

    public KickBack {
        wheels = Map.copyOf(wheels);
    }

    public Wheel wheel(Side side) {
        return Objects.requireNonNull(wheels.get(side));
    }

    /**
     * @param rise how much higher than the other the wheel goes, mm
     * @param turn of the steering wheel, + left, where tyres hold both wheels on the way they point on average,
     *     degrees; empty where the wheel can't rise
     * @param pull at the rim, if there are loads and a rim to pull at
     */
    public record Wheel(double rise, Optional<Double> turn, Optional<Pull> pull) {}

    /**
     * Pull of the rim on hands that hold it, + to the left, N.
     *
     * @param blow the wheel is pushed back with its own load; as it rolls, its bearing passes that on at its centre
     * @param braked with {@link #BRAKED} of its load, by a brake on the knuckle, the other not
     */
    public record Pull(double blow, double braked) {

        /** The larger of both, without sign. */
        public double most() {
            return Math.max(Math.abs(blow), Math.abs(braked));
        }
    }

    /** The pull of the worse wheel's blow, without sign, N; empty without loads. */
    public Optional<Double> worstBlow() {
        return worstBlow(wheels.values().stream().flatMap(w -> w.pull().stream()));
    }

    /** The same, without working out what else a wheel does. */
    public static Optional<Double> worstBlow(SteeringTrain train, Job job) {
        return SmallTurn.at(train, 0)
                .flatMap(t -> worstBlow(Arrays.stream(Side.values()).flatMap(side -> pull(t, job, side).stream())));
    }

    private static Optional<Double> worstBlow(Stream<Pull> pulls) {
        return pulls.map(p -> Math.abs(p.blow())).reduce(Math::max);
    }

    /** Empty without an axle, and where it can't stand straight ahead. */
    public static Optional<KickBack> of(SteeringTrain train, Job job) {
        return of(train, job, Math.min(RISE, job.vehicle().bump()));
    }

    /** @param rise how much higher one wheel goes than the other, mm */
    public static Optional<KickBack> of(SteeringTrain train, Job job, double rise) {
        return SmallTurn.at(train, 0).map(t -> {
            Map<Side, Wheel> all = new EnumMap<>(Side.class);
            for (Side side : Side.values()) {
                all.put(side, new Wheel(rise, turn(train, t, side, rise), pull(t, job, side)));
            }
            return new KickBack(all);
        });
    }

    private static Optional<Pull> pull(SmallTurn t, Job job, Side side) {
        KnucklePose k = t.here().knuckle(side);
        return job.vehicle()
                .loads()
                .flatMap(l -> job.column().map(Column::handRadius).map(rim -> {
                    double blow = KerbLoad.torque(k, l.wheelLoad(), 0);
                    Vector back = k.ahead().times(-BRAKED * l.wheelLoad());
                    return new Pull(atRim(t, side, blow) / rim, atRim(t, side, Effort.torque(k, back)) / rim);
                }));
    }

    private static double atRim(SmallTurn t, Side side, double torque) {
        return side == Side.LEFT ? t.torqueIn(torque, 0) : t.torqueIn(0, torque);
    }

    /** Newton's steps from straight ahead, along the rate there. */
    private static Optional<Double> turn(SteeringTrain train, SmallTurn t, Side side, double rise) {
        WheelTravel travel = train.requireAxle().wheelTravel();
        double rate = (t.left().heading() + t.right().heading()) / 2;
        if (travel == WheelTravel.NONE || rate == 0 || rise == 0) {
            return Optional.empty();
        }
        double own = travel == WheelTravel.ROLL_ONLY ? rise / 2 : rise;
        double other = travel == WheelTravel.ROLL_ONLY ? -rise / 2 : 0;
        double was = t.here().meanSteerDeg();
        double turned = 0;
        for (int i = 0; i < MOST_STEPS; i++) {
            Optional<AxlePose.Assembled> now = train.pose(
                            turned, side == Side.LEFT ? own : other, side == Side.LEFT ? other : own)
                    .assembled();
            if (now.isEmpty()) {
                return Optional.empty();
            }
            double off = now.get().meanSteerDeg() - was;
            if (Math.abs(off) < SETTLED_DEG) {
                return Optional.of(turned);
            }
            turned -= off / rate;
        }
        return Optional.empty();
    }
}
