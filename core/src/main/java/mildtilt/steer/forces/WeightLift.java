package mildtilt.steer.forces;

import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * How far the axle's own weight has to be lifted to turn the wheels, at ride height: what the tyres do against the body
 * as each
 * knuckle turns about its inclined steer axis, integrated from straight ahead. Below 0 the axle sinks as it is turned:
 * its weight
 * then turns the wheels away from straight ahead, and holds them there.
 *
 * @param leastMm least lift anywhere on the way to the lock, both wheels' mean, mm; 0 where it only rises
 * @param atDeg steering wheel there, degrees
 * @param atLockMm at the lock, mm
 */
public record WeightLift(double leastMm, double atDeg, double atLockMm) {

    private static final int STEPS = 48;

    /** @param lock steering wheel at the lock, degrees, + left */
    public static WeightLift of(SteeringTrain train, double lock) {
        double lift = 0;
        double least = 0;
        double at = 0;
        AxlePose.Assembled before = train.pose(0, 0, 0).assembled().orElseThrow();
        for (int i = 1; i <= STEPS; i++) {
            double sw = lock * i / STEPS;
            AxlePose.Assembled now = train.pose(sw, 0, 0).assembled().orElse(null);
            if (now == null) {
                break;
            }
            for (Side side : Side.values()) {
                KnucklePose a = before.knuckle(side);
                KnucklePose b = now.knuckle(side);
                lift -= (lever(a) + lever(b)) / 4 * Math.toRadians(b.steerDeg() - a.steerDeg());
            }
            if (lift < least) {
                least = lift;
                at = sw;
            }
            before = now;
        }
        return new WeightLift(least, at, lift);
    }

    /** Moment about the steer axis, to the left, of a unit load straight up at the contact point, mm. */
    private static double lever(KnucklePose k) {
        return k.steerAxis()
                .direction()
                .dot(k.contactPoint().minus(k.steerAxis().origin()).cross(Vector.Z));
    }
}
