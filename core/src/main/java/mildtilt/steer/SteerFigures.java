package mildtilt.steer;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.forces.BarJam;
import mildtilt.steer.forces.DrivePull;
import mildtilt.steer.forces.Effort;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.forces.RodLoad;
import mildtilt.steer.forces.RodPlay;
import mildtilt.steer.forces.WeightLift;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.range.LockLimits;
import mildtilt.steer.range.TravelMap;
import mildtilt.suspension.KnucklePose;

/**
 * What the steering does over its range, the grid of travel apart ({@link TravelMap}).
 *
 * @param lengths of every rod, centre to centre, mm
 * @param tieRodLeft the tie rod that ends at the left steering arm, centre to centre, mm
 * @param tieRodRight the same on the right; one and the same rod where one joins both arms
 * @param left the left knuckle straight ahead at ride height
 * @param right the right knuckle straight ahead at ride height
 * @param axisSpacing between the steer axes at the ground, mm
 * @param leftReach how far the wheel can be turned left at ride height
 * @param rightReach how far the wheel can be turned right at ride height
 * @param rows at ride height, from the right end to the left end, as fine as requested, for tables and curves only
 * @param ratioAtCentre d(steering wheel)/d(mean steer angle); negative when the wheels turn the wrong way;
 *     empty when the wheels do not turn
 * @param sense which way the wheels turn
 * @param atInner20 where the inner wheel stands at exactly 20 degrees, turning left and right, if it does
 * @param ackermannWithoutToePct Ackermann at 20 degrees of inner wheel with the static toe taken out of both wheels,
 * the way that
 *     is further from true; empty if never reached
 * @param lift what turning to either lock lifts the axle's weight by
 * @param bump straight ahead over the travel, from droop to bump; both wheels alike, or against each other
 *     where the axle only rolls
 * @param roll straight ahead, the left wheel up as the right goes down, over the travel that both allow
 * @param rollSteer degrees both wheels steer on average for a degree of roll at ride height, + to the left as the left
 * wheel
 *     rises (the body leaning left, as in a turn to the right: above 0 it steers out of the turn, roll understeer);
 * empty
 *     where the wheels do not roll
 * @param brakeSteer as {@link BrakeSteer} has it; empty where the axle does not wind up on springs
 * @param bumpSteer toe change of each wheel over the whole travel, straight ahead, peak to peak, degrees
 * @param normalBumpSteer the same over the normal travel alone
 * @param worstMiss largest miss of the job's own table of outer angles over the angles it covers, both ways, degrees;
 * empty
 *     without one or where none of it is reached
 * @param rake of each tie rod in plan; empty where one tie rod joins both arms
 * @param limits what stops the lock
 * @param locks where the lock really ends at ride height, each way, stops and tyres with it
 * @param effort empty without a known load or a steering wheel
 * @param rodLoads what each rod carries, where the effort is known
 * @param hands where a bar takes the hands; empty where they hold a wheel
 * @param barJam where a shuttle comes nearest to jamming on its bar; empty where its bushes are not known
 * @param kickBack what one wheel alone does to the hands
 * @param drivePull what driven wheels do to them; empty where none is driven
 * @param play what rods that give along their length free; empty where none does
 */
public record SteerFigures(
        Map<Rod, Double> lengths,
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
        Optional<TurnGeometry> leftAtInner20,
        Optional<TurnGeometry> rightAtInner20,
        Optional<Double> ackermannWithoutToePct,
        Map<Side, WeightLift> lift,
        List<BumpRow> bump,
        List<BumpRow> roll,
        Optional<Double> rollSteer,
        Optional<Double> brakeSteer,
        Map<Side, Double> bumpSteer,
        Map<Side, Double> normalBumpSteer,
        Optional<Double> worstMiss,
        Map<Side, Rake> rake,
        LockLimits limits,
        Map<Side, Lock> locks,
        Optional<Effort> effort,
        List<RodLoad> rodLoads,
        Optional<HandSwing> hands,
        Optional<BarJam> barJam,
        Optional<KickBack> kickBack,
        Optional<DrivePull> drivePull,
        Optional<RodPlay> play) {

    public SteerFigures {
        lengths = Collections.unmodifiableMap(new TreeMap<>(lengths));
        roll = List.copyOf(roll);
        bumpSteer = Collections.unmodifiableMap(new TreeMap<>(bumpSteer));
        normalBumpSteer = Collections.unmodifiableMap(new TreeMap<>(normalBumpSteer));
        rake = Collections.unmodifiableMap(new TreeMap<>(rake));
        locks = Collections.unmodifiableMap(new TreeMap<>(locks));
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
    public record Reach(double stopDeg, double reachedDeg, boolean byToggle, TurnGeometry turn) {}

    /**
     * The end of the lock one way, at ride height.
     *
     * @param turn the wheels there
     * @param hit what ends it
     */
    public record Lock(TurnGeometry turn, LockLimits.Hit hit) {}

    /**
     * @param turn both wheels; empty where the pose can't be assembled
     * @param ratio d(steering wheel)/d(mean steer angle) there
     */
    public record SteerRow(AxlePose pose, Optional<TurnGeometry> turn, Optional<Double> ratio) {

        public double steeringWheelDeg() {
            return pose.steeringWheelDeg();
        }

        public double gearInputDeg() {
            return pose.gearInputDeg();
        }
    }

    /**
     * How far a tie rod stands, in plan, from the way its inner end moves.
     *
     * @param designDeg straight ahead, degrees
     * @param worstDeg over the lock at ride height, degrees
     * @param steeringWheelDeg where that is
     */
    public record Rake(double designDeg, double worstDeg, double steeringWheelDeg) {

        /**
         * From here on the rod pulls so nearly along what it should pull across that no figure of its force means
         * anything, degrees.
         */
        private static final double ALL_BUT_ALONG_DEG = 89.9;

        /** How many times the rod's force grows against a square pull: 1 / cos. Empty where it all but pulls along. */
        public Optional<Double> forceFactor() {
            return worstDeg < ALL_BUT_ALONG_DEG
                    ? Optional.of(1 / Math.cos(Math.toRadians(worstDeg)))
                    : Optional.empty();
        }
    }

    /**
     * @param travel of the left wheel, mm
     * @param knuckles both wheels there; empty where the pose can't be assembled
     */
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

    public Lock lock(Side way) {
        return Objects.requireNonNull(locks.get(way));
    }

    /** Steering-wheel turns from where the lock really ends to where it ends the other way. */
    public double turnsAvailable() {
        return (lock(Side.LEFT).turn.steeringWheelDeg() - lock(Side.RIGHT).turn.steeringWheelDeg()) / 360;
    }

    /** The wider of both turning circles where the lock really ends, mm. */
    public Optional<Double> circleAvailable() {
        Optional<Double> l = lock(Side.LEFT).turn.turningCircle();
        Optional<Double> r = lock(Side.RIGHT).turn.turningCircle();
        return l.isPresent() && r.isPresent() ? Optional.of(Math.max(l.get(), r.get())) : l.or(() -> r);
    }

    /** Steering-wheel turns from one end of the gear, or of the linkage, to the other. */
    public double turnsLockToLock() {
        return (leftReach.reachedDeg - rightReach.reachedDeg) / 360;
    }

    /** Steering-wheel angle over mean steer angle, straight ahead to one lock. */
    public Optional<Double> averageRatio(Side way) {
        return quotient(reach(way).reachedDeg, reach(way).turn.meanDeg() - (left.steerDeg() + right.steerDeg()) / 2);
    }

    /** Steering-wheel angle over mean steer angle, lock to lock. */
    public Optional<Double> averageRatio() {
        return quotient(
                leftReach.reachedDeg - rightReach.reachedDeg, leftReach.turn.meanDeg() - rightReach.turn.meanDeg());
    }

    static Optional<Double> quotient(double steeringWheel, double mean) {
        return Math.abs(mean) < 1e-9 ? Optional.empty() : Optional.of(steeringWheel / mean);
    }

    /** Toe change of one wheel over the whole travel, straight ahead, peak to peak, degrees. */
    public double bumpSteerDeg(Side side) {
        return Objects.requireNonNull(bumpSteer.get(side));
    }

    /** The same over the normal travel alone. */
    public double normalBumpSteerDeg(Side side) {
        return Objects.requireNonNull(normalBumpSteer.get(side));
    }

    public double worstBumpSteerDeg() {
        return Math.max(bumpSteerDeg(Side.LEFT), bumpSteerDeg(Side.RIGHT));
    }

    public double worstNormalBumpSteerDeg() {
        return Math.max(normalBumpSteerDeg(Side.LEFT), normalBumpSteerDeg(Side.RIGHT));
    }

    /** Contact points apart across the vehicle at a place of the travel, mm. */
    public static double track(AxlePose.Assembled at) {
        return at.left().contactPoint().y() - at.right().contactPoint().y();
    }

    /** Ackermann at 20 degrees of inner wheel, the way that is further from true; empty if never reached. */
    public Optional<Double> ackermannAt20Pct() {
        Optional<Double> l = leftAtInner20.flatMap(TurnGeometry::ackermannPct);
        Optional<Double> r = rightAtInner20.flatMap(TurnGeometry::ackermannPct);
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
