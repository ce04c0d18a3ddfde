package mildtilt.steer;

import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;

/** Toe over the travel, straight ahead: just that, for searches. */
public final class BumpSteer {

    private static final int SAMPLES = 8;

    private BumpSteer() {}

    /** Largest peak to peak of either wheel's toe, degrees; without end where a place can't be assembled. */
    public static double worstDeg(SteeringTrain train, double droop, double bump) {
        WheelTravel travel = train.requireAxle().wheelTravel();
        if (travel == WheelTravel.NONE) {
            return 0;
        }
        double[] least = {Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY};
        double[] most = {Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY};
        for (int i = 0; i <= SAMPLES; i++) {
            double z = -droop + (droop + bump) * i / SAMPLES;
            Optional<AxlePose.Assembled> pose =
                    train.pose(0, z, travel.rightWith(z)).assembled();
            if (pose.isEmpty()) {
                return Double.POSITIVE_INFINITY;
            }
            for (Side side : Side.values()) {
                double toe = pose.get().knuckle(side).toeInDeg();
                least[side.ordinal()] = Math.min(least[side.ordinal()], toe);
                most[side.ordinal()] = Math.max(most[side.ordinal()], toe);
            }
        }
        return Math.max(most[0] - least[0], most[1] - least[1]);
    }

    /** Toe-in of the left wheel at normal bump less that at normal droop, degrees. */
    private static Optional<Double> gainDeg(SteeringTrain train, Job job) {
        WheelTravel travel = train.requireAxle().wheelTravel();
        double up = job.vehicle().normalBump();
        double down = -job.vehicle().normalDroop();
        Optional<AxlePose.Assembled> high =
                train.pose(0, up, travel.rightWith(up)).assembled();
        Optional<AxlePose.Assembled> low =
                train.pose(0, down, travel.rightWith(down)).assembled();
        return high.isPresent() && low.isPresent()
                ? Optional.of(high.get().left().toeInDeg() - low.get().left().toeInDeg())
                : Optional.empty();
    }

    /**
     * How much that changes for each mm the gear is raised, degrees; empty where wheels do not travel or it can't be.
     */
    public static Optional<Double> perMmOfGearHeight(Job job, SteeringTrain train) {
        if (train.requireAxle().wheelTravel() == WheelTravel.NONE) {
            return Optional.empty();
        }
        try {
            Job raised = job.editAxle(a -> a.withGearMoved(Vector.Z));
            Optional<Double> now = gainDeg(train, job);
            Optional<Double> then = gainDeg(new SteeringTrain(raised), raised);
            return now.isPresent() && then.isPresent() ? Optional.of(then.get() - now.get()) : Optional.empty();
        } catch (ImpossibleGeometryException e) {
            return Optional.empty();
        }
    }

    /** The drag link from the gear's arm to what it drives, in the design position, mm. */
    public static Vector dragLink(SteeredAxle axle, DragLink link, ArmGear gear) {
        return link.driven(axle).minus(link.start(gear));
    }
}
