package mildtilt.steer.forces;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * What a kerb or a hole does to the rods, hit by one front wheel at a time, the driver holding the steering wheel
 * still.
 *
 * <p>The wheel is pushed straight back with so many times its own load as the rule set says, at the tyre's outer or
 * inner edge.
 * As it rolls, its bearing passes the push on at the height of the wheel's centre, so that the torque about the steer
 * axis k is
 * {@code k · ((c ± w/2 s − o) × F)}: c the wheel's centre, s along the spin axis, w the tyre's width, o on the steer
 * axis. Static:
 * speed makes it more, give in tyre and springs less. Our own load case, like the parking loads.
 *
 * @param push N
 * @param rodForce the largest along each rod, straight ahead and at nine tenths of either lock (at the very end a stop
 * takes the
 *     blow), N, without sign
 */
public record KerbLoad(double push, Map<Rod, Double> rodForce) {

    /** Part of a lock that a kerb is met at. */
    private static final double SHORT_OF_LOCK = 0.9;

    public KerbLoad {
        rodForce = Collections.unmodifiableMap(new TreeMap<>(rodForce));
    }

    /** Empty without loads, or where the rule set asks for no kerb. */
    public static Optional<KerbLoad> of(SteeringTrain train, Job job, double lockRight, double lockLeft) {
        double times = job.rules().kerbTimes();
        return job.vehicle()
                .loads()
                .filter(_ -> times > 0)
                .map(l -> of(train, times * l.wheelLoad(), job.vehicle().tyreWidth(), lockRight, lockLeft));
    }

    private static KerbLoad of(SteeringTrain train, double push, double width, double lockRight, double lockLeft) {
        Map<Rod, Double> worst = new EnumMap<>(Rod.class);
        for (double steeringWheelDeg : new double[] {0, SHORT_OF_LOCK * lockRight, SHORT_OF_LOCK * lockLeft}) {
            AxlePose pose = train.pose(steeringWheelDeg, 0, 0);
            pose.assembled().ifPresent(at -> {
                for (double edge : new double[] {-width / 2, width / 2}) {
                    for (Side side : Side.values()) {
                        double t = torque(at.knuckle(side), push, edge);
                        RodForces.of(
                                        train.axle().orElseThrow(),
                                        pose,
                                        at,
                                        side == Side.LEFT ? t : 0,
                                        side == Side.RIGHT ? t : 0)
                                .forEach((rod, f) -> worst.merge(rod, Math.abs(f), Math::max));
                    }
                }
            });
        }
        return new KerbLoad(push, worst);
    }

    /** About the steer axis, N·mm. @param outward of the wheel's centre that the tyre is hit, mm */
    static double torque(KnucklePose k, double push, double outward) {
        Vector spin = k.spin();
        Vector lever =
                k.wheelCentre().plus(spin.times(outward)).minus(k.steerAxis().origin());
        return k.steerAxis().direction().dot(lever.cross(k.ahead().times(-push)));
    }
}
