package mildtilt.steer;

import java.util.Optional;
import java.util.OptionalDouble;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LockLimits;

/**
 * The gear-side arm against the knuckle-side arm, sweep against sweep: whether the gear runs out before the
 * wheel has its lock, or the wheel meets something while the gear would go on.
 *
 * @param gearArm length of the arm on the gear, mm; 0 for a rack
 * @param gearGives how far the gear moves the linkage each way: a rack's travel, or the chord of the arm's swing, mm
 */
public record ArmMatch(double gearArm, double gearGives, Toward left, Toward right) {

    /** How much longer the gear is assumed to be, to see what would end the lock without its stop. */
    private static final double LONGER = 2.5;

    private static final double WIDEST_SWEEP_DEG = 150;
    private static final int STEPS = 80;
    private static final int HALVINGS = 40;

    private static final String WANTED = "wanted lock";

    /** Below this the two sweeps fit each other, degrees of road wheel. */
    public static final double FITS_DEG = 1;

    /**
     * One way of turning.
     *
     * @param innerAtGearEnd the inner wheel's angle with the gear at its end, degrees
     * @param innerAllowed the inner wheel's angle at which the wanted lock is reached, or something but the gear
     *     ends it, whichever is first, degrees
     * @param allowedBy what that is, in words
     * @param limit what that is; empty where it is the wanted lock
     * @param where at which part; empty where it is the wanted lock
     * @param steeringWheelDeg steering wheel from straight ahead to that place, if the gear were long enough, degrees
     * @param stopDeg steering wheel from straight ahead to the gear's end, degrees
     * @param gearUsed the gear's travel to that place over what it has; above 1 where the gear is too short
     */
    public record Toward(
            double innerAtGearEnd,
            double innerAllowed,
            String allowedBy,
            Optional<Limit> limit,
            String where,
            double steeringWheelDeg,
            double stopDeg,
            double gearUsed) {

        /** Lock that the gear is too short to give, degrees of the inner wheel. */
        public double lockUnused() {
            return Math.max(0, innerAllowed - innerAtGearEnd);
        }

        /** How far the gear would go on after the wheel has met its end, degrees of steering wheel. */
        public double gearUnusedDeg() {
            return Math.max(0, stopDeg - steeringWheelDeg);
        }
    }

    public Toward toward(Side way) {
        return way == Side.LEFT ? left : right;
    }

    /** The part of the gear's travel that the tighter way uses; above 1 where the gear is too short for both. */
    public double gearUsed() {
        return Math.min(left.gearUsed, right.gearUsed);
    }

    /** Empty where nothing but the gear ever ends the lock, or the wheels do not follow it. */
    public static Optional<ArmMatch> of(SteeringTrain train, Job job, SteerFigures figures) {
        Gear gear = train.requireAxle().gear();
        Job longer = job.editAxle(a -> a.withGear(longer(gear)));
        SteeringTrain free = new SteeringTrain(longer);
        Optional<SteerFigures> ok = Optional.of(figures).filter(f -> f.sense() == SteerFigures.Sense.RIGHT_WAY);
        Optional<Toward> left = ok.flatMap(f -> way(Side.LEFT, f, free, longer));
        Optional<Toward> right = ok.flatMap(f -> way(Side.RIGHT, f, free, longer));
        return left.isPresent() && right.isPresent()
                ? Optional.of(new ArmMatch(
                        gear instanceof ArmGear a ? a.armLength() : 0, gives(gear), left.get(), right.get()))
                : Optional.empty();
    }

    static Gear longer(Gear gear) {
        return switch (gear) {
            case RackAndPinion r -> r.withTravelEachWay(r.travelEachWay() * LONGER);
            case ArmGear a ->
                a.withSweepEachWay(
                        Math.max(a.sweepEachWayDeg(), Math.min(WIDEST_SWEEP_DEG, a.sweepEachWayDeg() * LONGER)));
        };
    }

    private static double gives(Gear gear) {
        return switch (gear) {
            case RackAndPinion r -> r.travelEachWay();
            case ArmGear a -> a.armLength() * Math.sin(Math.toRadians(Math.min(90, a.sweepEachWayDeg())));
        };
    }

    private static Optional<Toward> way(Side way, SteerFigures figures, SteeringTrain free, Job longer) {
        Optional<LockLimits.Hit> met = LockLimits.firstBeforeGear(free, longer, way);
        double farthest = met.map(LockLimits.Hit::steeringWheelDeg)
                .orElse(free.stopDeg(way).orElseThrow());
        double inner = innerAt(free, farthest).orElse(Double.NaN);
        String by = met.map(h -> h.limit().label() + (h.where().isEmpty() ? "" : ", " + h.where()))
                .orElse("");
        Optional<Double> wanted = longer.targets().lockDeg();
        if (wanted.isPresent() && !(inner <= wanted.get())) {
            OptionalDouble at = steeringWheelAt(free, wanted.get(), farthest);
            if (at.isPresent()) {
                farthest = at.getAsDouble();
                inner = wanted.get();
                by = WANTED;
                met = Optional.empty();
            }
        }
        if (by.isEmpty() || Double.isNaN(inner)) {
            return Optional.empty();
        }
        // By the gear's own travel: the column's unevenness lies between it and the steering wheel.
        double used = free.gearInputDeg(farthest)
                / free.gearInputDeg(figures.reach(way).stopDeg());
        return Optional.of(new Toward(
                figures.reach(way).turn().innerDeg(),
                inner,
                by,
                met.map(LockLimits.Hit::limit),
                met.map(LockLimits.Hit::where).orElse(""),
                Math.abs(farthest),
                Math.abs(figures.reach(way).stopDeg()),
                used));
    }

    private static OptionalDouble innerAt(SteeringTrain train, double sw) {
        return train.pose(sw, 0, 0)
                .assembled()
                .map(a -> OptionalDouble.of(
                        sw >= 0 ? a.left().steerDeg() : -a.right().steerDeg()))
                .orElseGet(OptionalDouble::empty);
    }

    /** The first steering-wheel angle at which the inner wheel stands at an angle. */
    static OptionalDouble steeringWheelAt(SteeringTrain train, double innerDeg, double farthest) {
        double from = 0;
        for (int i = 1; i <= STEPS; i++) {
            double to = farthest * i / STEPS;
            OptionalDouble inner = innerAt(train, to);
            if (inner.isEmpty()) {
                return OptionalDouble.empty();
            }
            if (inner.getAsDouble() >= innerDeg) {
                for (int h = 0; h < HALVINGS; h++) {
                    double mid = (from + to) / 2;
                    if (innerAt(train, mid).orElse(0) >= innerDeg) {
                        to = mid;
                    } else {
                        from = mid;
                    }
                }
                return OptionalDouble.of(to);
            }
            from = to;
        }
        return OptionalDouble.empty();
    }
}
