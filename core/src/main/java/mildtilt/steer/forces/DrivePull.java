package mildtilt.steer.forces;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.TwoEnded;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/**
 * What driven front wheels do to the steering while they pull, at right lock, straight ahead and left lock.
 *
 * <p>The tyre is pushed ahead where it meets the ground; its shaft turns it. A joint that is bent passes its torque on
 * along the line halfway between both shafts, 1 / cos of half the bend of it ({@code M = T / cos(β/2)}): the part of
 * that along the steer axis turns the knuckle. With no bend only the wheel centre's distance from the steer axis is
 * left.
 *
 * @param rows in that order
 */
public record DrivePull(List<Row> rows) {

    /** Part of its load that each driven wheel pulls with. */
    public static final double DRIVEN = 0.3;

    public DrivePull {
        rows = List.copyOf(rows);
    }

    /**
     * @param bentDeg how far the joint at the wheel is bent, of each wheel that is driven, degrees
     * @param pull of the rim on hands that hold it, + to the left, N; nothing lost on the way
     */
    public record Row(double steeringWheelDeg, Map<Side, Double> bentDeg, double pull) {}

    /**
     * Empty without a driven shaft to a front wheel, without loads or a rim, and where the steering can't stand.
     *
     * @param lockRight steering wheel there, degrees
     */
    public static Optional<DrivePull> of(SteeringTrain train, Job job, double lockRight, double lockLeft) {
        Map<Side, TwoEnded.DrivenShaft> shafts = shafts(job);
        Optional<Loads> loads = job.vehicle().loads();
        Optional<Double> rim = job.column().map(Column::handRadius);
        if (shafts.isEmpty()
                || loads.isEmpty()
                || rim.isEmpty()
                || train.carriers().isEmpty()) {
            return Optional.empty();
        }
        List<Row> rows = new ArrayList<>();
        for (double sw : new double[] {lockRight, 0, lockLeft}) {
            SmallTurn.at(train, sw)
                    .ifPresent(t -> rows.add(row(
                            t,
                            train.carriers().get(),
                            shafts,
                            DRIVEN * loads.get().wheelLoad(),
                            rim.get())));
        }
        return rows.isEmpty() ? Optional.empty() : Optional.of(new DrivePull(rows));
    }

    /** Each wheel's, as it runs outward. */
    private static Map<Side, TwoEnded.DrivenShaft> shafts(Job job) {
        Map<Side, TwoEnded.DrivenShaft> all = new EnumMap<>(Side.class);
        for (Obstacle o : job.surroundings().obstacles()) {
            if (o.shape() instanceof TwoEnded.DrivenShaft s) {
                for (Side side : Side.values()) {
                    Carrier knuckle = side == Side.LEFT ? Carrier.LEFT_KNUCKLE : Carrier.RIGHT_KNUCKLE;
                    if (s.to().on() == knuckle) {
                        all.putIfAbsent(side, s);
                    } else if (s.from().on() == knuckle) {
                        all.putIfAbsent(side, (TwoEnded.DrivenShaft) s.between(s.to(), s.from()));
                    }
                }
            }
        }
        return all;
    }

    private static Row row(
            SmallTurn t, CarrierMotion motion, Map<Side, TwoEnded.DrivenShaft> shafts, double force, double rim) {
        Map<Side, Double> bent = new EnumMap<>(Side.class);
        Map<Side, Double> torque = new EnumMap<>(Side.class);
        shafts.forEach((side, shaft) -> {
            KnucklePose k = t.here().knuckle(side);
            TwoEnded now = shaft.carried(c -> motion.move(t.pose(), c));
            Vector along = now.to().at().minus(now.from().at()).direction().vector();
            bent.put(side, Math.toDegrees(along.angleTo(k.spin())));
            torque.put(side, torque(k, along, force));
        });
        return new Row(
                t.pose().steeringWheelDeg(),
                bent,
                t.torqueIn(torque.getOrDefault(Side.LEFT, 0.0), torque.getOrDefault(Side.RIGHT, 0.0)) / rim);
    }

    /** About the steer axis, to the left, N·mm. @param shaft outward along it, of length 1 @param force ahead, N */
    static double torque(KnucklePose k, Vector shaft, double force) {
        Vector ahead = k.ahead().times(force);
        Vector half = shaft.plus(k.spin()).direction().vector();
        double turning = -k.spin().dot(k.contactPoint().minus(k.wheelCentre()).cross(ahead));
        return Effort.torque(k, ahead) + k.steerAxis().direction().dot(half.times(turning / half.dot(k.spin())));
    }
}
