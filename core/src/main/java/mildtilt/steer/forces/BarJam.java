package mildtilt.steer.forces;

import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.ShuttleBar;
import mildtilt.steer.position.PeakSearch;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;

/**
 * Where a shuttle comes nearest to jamming on its bar, over the lock at ride height.
 *
 * @param friction the least at which the push of the short link alone jams it ({@link BarFriction}); infinite where
 *     none does
 * @param steeringWheelDeg where that is
 */
public record BarJam(double friction, double steeringWheelDeg) {

    /** Whether any friction would jam it: not where the short link pulls along the bar itself. */
    public boolean canJam() {
        return Double.isFinite(friction);
    }

    /** Empty where no shuttle slides, or its bushes are not known. @param lockRight steering wheel there, degrees */
    public static Optional<BarJam> of(SteeringTrain train, double lockRight, double lockLeft) {
        return bar(train).flatMap(b -> of(train, b, lockRight, lockLeft));
    }

    /** Whether the shuttle jams anywhere up to where the lock ends. */
    static boolean jams(SteeringTrain train, Job job) {
        return bar(train)
                .filter(b -> of(
                                train,
                                b,
                                LockLimits.stop(train, job, Side.RIGHT).steeringWheelDeg(),
                                LockLimits.stop(train, job, Side.LEFT).steeringWheelDeg())
                        .filter(j -> j.friction <= b.friction())
                        .isPresent())
                .isPresent();
    }

    private static Optional<ShuttleBar> bar(SteeringTrain train) {
        return train.axle().flatMap(a -> a.axle().linkage() instanceof Shuttle s ? s.bar() : Optional.empty());
    }

    /** The same with other bushes. */
    public static Optional<BarJam> of(SteeringTrain train, ShuttleBar bar, double lockRight, double lockLeft) {
        return PeakSearch.of(
                        sw -> train.pose(sw, 0, 0).stance().mechanism().orElse(null) instanceof Mechanism.ShuttleAt s
                                ? -BarFriction.jamsAt(s, bar)
                                : Double.NaN,
                        lockRight,
                        lockLeft)
                .map(p -> new BarJam(-p.value(), p.at()));
    }
}
