package mildtilt.travel;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;

/**
 * What straps and bump stops leave of the travel that a vehicle states, both wheels travelling together: the most
 * there is
 * at any lock, so that nothing is left out of what is judged over it.
 *
 * @param bump mm
 * @param droop mm
 * @param bumpBy the part that ends bump short of what is stated
 * @param droopBy the same for droop
 */
public record HeldTravel(double bump, double droop, Optional<String> bumpBy, Optional<String> droopBy) {

    private static final int STEPS = 24;
    private static final int HALVINGS = 40;

    /** As stated where nothing ends it sooner. */
    public static HeldTravel of(Job job, SteeringTrain train) {
        HeldTravel stated =
                new HeldTravel(job.vehicle().bump(), job.vehicle().droop(), Optional.empty(), Optional.empty());
        if (job.axle().isEmpty()
                || train.locked().isPresent()
                || train.requireAxle().wheelTravel() == WheelTravel.NONE) {
            return stated;
        }
        List<Bound> ends = Bounds.of(job, train).stream()
                .filter(Bound::endsTravel)
                // One that is past at ride height is a fault of its own, and leaves no travel to speak of.
                .filter(b -> past(train, 0, 0, List.of(b)).isEmpty())
                .toList();
        if (ends.isEmpty()) {
            return stated;
        }
        double[] locks = {
            0,
            LockLimits.stop(train, job, Side.LEFT).steeringWheelDeg(),
            LockLimits.stop(train, job, Side.RIGHT).steeringWheelDeg()
        };
        FirstEnd<Bound> up = most(train, ends, locks, stated.bump);
        FirstEnd<Bound> down = most(train, ends, locks, -stated.droop);
        return new HeldTravel(
                up.free(), -down.free(), up.by().map(Bound::name), down.by().map(Bound::name));
    }

    /** All of it. */
    public static HeldTravel stated(Job job) {
        return new HeldTravel(job.vehicle().bump(), job.vehicle().droop(), Optional.empty(), Optional.empty());
    }

    /** The same job with the travel that is left. */
    public Job held(Job job) {
        return bumpBy.isEmpty() && droopBy.isEmpty()
                ? job
                : job.withVehicle(job.vehicle().withBump(bump).withDroop(droop));
    }

    /** Where one bound ends the travel straight ahead, mm; as stated where it does not. */
    static double straightAhead(SteeringTrain train, Bound bound, double stated) {
        return first(train, List.of(bound), 0, stated).free();
    }

    private static FirstEnd<Bound> most(SteeringTrain train, List<Bound> ends, double[] locks, double stated) {
        FirstEnd<Bound> most = new FirstEnd<>(0, Optional.empty());
        for (double lock : locks) {
            FirstEnd<Bound> here = first(train, ends, lock, stated);
            if (here.by().isEmpty()) {
                return here;
            }
            if (most.by().isEmpty() || Math.abs(here.free()) > Math.abs(most.free())) {
                most = here;
            }
        }
        return most;
    }

    private static FirstEnd<Bound> first(
            SteeringTrain train, List<Bound> ends, double steeringWheelDeg, double stated) {
        return FirstEnd.of(stated, STEPS, HALVINGS, z -> past(train, steeringWheelDeg, z, ends));
    }

    private static Optional<Bound> past(SteeringTrain train, double steeringWheelDeg, double z, List<Bound> ends) {
        AxlePose pose = train.pose(
                steeringWheelDeg, z, train.requireAxle().wheelTravel().rightWith(z));
        return pose.assembled().isEmpty()
                ? Optional.empty()
                : ends.stream().filter(b -> b.ends(pose)).findFirst();
    }
}
