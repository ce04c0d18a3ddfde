package mildtilt.steer;

import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.suspension.KnucklePose;

/**
 * What the steering does over its range, the grid of travel apart ({@link TravelMap}).
 *
 * @param tieRodLeft centre to centre, mm
 * @param tieRodRight centre to centre, mm
 * @param left the left knuckle straight ahead at ride height
 * @param right the right knuckle straight ahead at ride height
 * @param axisSpacing between the steer axes at the ground, mm
 * @param leftReach how far the wheel can be turned left at ride height
 * @param rightReach how far the wheel can be turned right at ride height
 * @param rows at ride height, from the right end to the left end
 * @param ratioAtCentre d(steering wheel)/d(mean steer angle); negative when the wheels turn the wrong way;
 *     empty when the wheels do not turn
 * @param sense which way the wheels turn
 * @param atInner20 where the inner wheel stands at exactly 20 degrees, turning left and right, if it does
 * @param bump straight ahead over the travel, from droop to bump
 */
public record SteerFigures(
        double tieRodLeft,
        double tieRodRight,
        KnucklePose left,
        KnucklePose right,
        double axisSpacing,
        Reach leftReach,
        Reach rightReach,
        List<SteerRow> rows,
        Optional<Double> ratioAtCentre,
        Sense sense,
        Optional<Turn> leftAtInner20,
        Optional<Turn> rightAtInner20,
        List<BumpRow> bump) {

    public SteerFigures {
        rows = List.copyOf(rows);
        bump = List.copyOf(bump);
    }

    /** Which way the road wheels go when the steering wheel goes left. */
    public enum Sense {
        RIGHT_WAY,
        WRONG_WAY,
        /** One wheel goes left and the other right. */
        AGAINST_EACH_OTHER,
        /** Neither wheel moves to speak of. */
        NONE
    }

    /**
     * @param stopDeg steering-wheel angle at the gear's end, + left
     * @param reachedDeg the largest steering-wheel angle that can be reached, + left
     * @param byToggle whether the linkage runs out before the gear does
     * @param turn the wheels there
     */
    public record Reach(double stopDeg, double reachedDeg, boolean byToggle, Turn turn) {}

    /**
     * @param gearInputDeg rotation of the gear's input, + left
     * @param turn both wheels; empty where the pose can't be assembled
     * @param ratio d(steering wheel)/d(mean steer angle) there
     */
    public record SteerRow(
            double steeringWheelDeg, double gearInputDeg, Optional<Turn> turn, Optional<Double> ratio) {}

    /** @param knuckles both wheels at this travel; empty where the pose can't be assembled */
    public record BumpRow(double travel, Optional<AxlePose.Assembled> knuckles) {}

    public KnucklePose knuckle(Side side) {
        return side == Side.LEFT ? left : right;
    }

    public double tieRod(Side side) {
        return side == Side.LEFT ? tieRodLeft : tieRodRight;
    }

    public Reach reach(Side way) {
        return way == Side.LEFT ? leftReach : rightReach;
    }

    /** Steering-wheel turns from end to end. */
    public double turnsLockToLock() {
        return (leftReach.reachedDeg - rightReach.reachedDeg) / 360;
    }

    /** Steering-wheel angle over mean steer angle, straight ahead to one lock. */
    public Optional<Double> averageRatio(Side way) {
        return quotient(reach(way).reachedDeg, reach(way).turn.meanDeg() - (left.steerDeg() + right.steerDeg()) / 2);
    }

    /** Steering-wheel angle over mean steer angle, lock to lock. */
    public Optional<Double> averageRatio() {
        return quotient(leftReach.reachedDeg - rightReach.reachedDeg,
                leftReach.turn.meanDeg() - rightReach.turn.meanDeg());
    }

    static Optional<Double> quotient(double steeringWheel, double mean) {
        return Math.abs(mean) < 1e-9 ? Optional.empty() : Optional.of(steeringWheel / mean);
    }

    /** Toe change of one wheel over the whole travel, straight ahead, peak to peak, degrees. */
    public double bumpSteerDeg(Side side) {
        double[] toe = bump.stream().flatMap(r -> r.knuckles().stream())
                .mapToDouble(k -> (side == Side.LEFT ? k.left() : k.right()).toeInDeg()).toArray();
        double max = Double.NEGATIVE_INFINITY;
        double min = Double.POSITIVE_INFINITY;
        for (double t : toe) {
            max = Math.max(max, t);
            min = Math.min(min, t);
        }
        return toe.length == 0 ? 0 : max - min;
    }

    public double worstBumpSteerDeg() {
        return Math.max(bumpSteerDeg(Side.LEFT), bumpSteerDeg(Side.RIGHT));
    }

    /** Ackermann at 20 degrees of inner wheel, the way that is further from true; empty if never reached. */
    public Optional<Double> ackermannAt20Pct() {
        Optional<Double> l = leftAtInner20.flatMap(Turn::ackermannPct);
        Optional<Double> r = rightAtInner20.flatMap(Turn::ackermannPct);
        if (l.isPresent() && r.isPresent()) {
            return Math.abs(l.get() - 100) >= Math.abs(r.get() - 100) ? l : r;
        }
        return l.or(() -> r);
    }

    /** The wider of both turning circles at full lock, mm. */
    public Optional<Double> turningCircle() {
        Optional<Double> l = leftReach.turn.turningCircle();
        Optional<Double> r = rightReach.turn.turningCircle();
        return l.isPresent() && r.isPresent() ? Optional.of(Math.max(l.get(), r.get())) : l.or(() -> r);
    }
}
