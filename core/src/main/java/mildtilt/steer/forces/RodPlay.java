package mildtilt.steer.forces;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * What free length in the rods costs, straight ahead at ride height: a slot, or spring seats before they are solid.
 *
 * <p>A rod that holds the force F against a torque T about a steer axis lets the knuckle go dδ for a length dL that it
 * gives:
 * by virtual work {@code F dL = T dδ}. So {@link RodForces} for a torque of one tells how far each knuckle is free for
 * each
 * rod.
 *
 * @param rods those that give, and by how much in all, mm
 * @param leftDeg how far the left wheel turns by itself with the gear held, in all, degrees
 * @param rightDeg the same of the right wheel
 * @param steeringWheelDeg how far the steering wheel turns before either wheel follows, in all, degrees
 */
public record RodPlay(Map<Rod, Double> rods, double leftDeg, double rightDeg, double steeringWheelDeg) {

    private static final double STEP_DEG = 0.5;

    public RodPlay {
        rods = Map.copyOf(rods);
    }

    /** Empty where no rod gives, or the axle can't stand straight ahead. */
    public static Optional<RodPlay> of(SteeringTrain train) {
        return train.axle().flatMap(solver -> {
            Map<Rod, Double> rods = given(solver.axle());
            AxlePose ahead = train.pose(0, 0, 0);
            return rods.isEmpty()
                    ? Optional.empty()
                    : ahead.assembled().flatMap(a -> of(train, solver, ahead, a, rods));
        });
    }

    private static Map<Rod, Double> given(SteeredAxle axle) {
        Map<Rod, Double> all = new EnumMap<>(Rod.class);
        for (Rod rod : axle.rods()) {
            axle.rodEnds(rod).flatMap(RodEnds::play).filter(p -> p > 0).ifPresent(p -> all.put(rod, p));
        }
        return all;
    }

    private static Optional<RodPlay> of(
            SteeringTrain train, AxleSolver solver, AxlePose pose, AxlePose.Assembled a, Map<Rod, Double> rods) {
        Optional<AxlePose.Assembled> more = train.pose(STEP_DEG, 0, 0).assembled();
        Optional<AxlePose.Assembled> less = train.pose(-STEP_DEG, 0, 0).assembled();
        if (more.isEmpty() || less.isEmpty()) {
            return Optional.empty();
        }
        Map<Side, Double> free = new EnumMap<>(Side.class);
        double hands = Double.POSITIVE_INFINITY;
        for (Side side : Side.values()) {
            boolean left = side == Side.LEFT;
            Map<Rod, Double> held = RodForces.of(solver, pose, a, left ? 1 : 0, left ? 0 : 1);
            KnucklePose k = a.knuckle(side);
            double turn = rods.entrySet().stream()
                    .mapToDouble(r -> Math.abs(held.getOrDefault(r.getKey(), 0.0)) * r.getValue())
                    .sum();
            double deg =
                    Math.toDegrees(turn) * Math.abs(k.steerAxis().direction().headingPerTurn(k.spin()));
            double follows = Math.abs(more.get().knuckle(side).steerDeg()
                            - less.get().knuckle(side).steerDeg())
                    / (2 * STEP_DEG);
            free.put(side, deg);
            hands = Math.min(hands, follows > 0 ? deg / follows : Double.POSITIVE_INFINITY);
        }
        return Optional.of(
                new RodPlay(rods, free.getOrDefault(Side.LEFT, 0.0), free.getOrDefault(Side.RIGHT, 0.0), hands));
    }
}
