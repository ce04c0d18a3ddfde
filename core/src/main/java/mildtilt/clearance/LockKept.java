package mildtilt.clearance;

import java.util.List;
import java.util.Optional;
import mildtilt.clearance.bodies.BodyPair;
import mildtilt.geometry.Side;

/**
 * How much of the steering the gaps leave, at each wheel travel: whichever of both wheels' parts meets something first.
 *
 * @param rows from droop to bump
 * @param freeBumpAtLock the rise up to which nothing comes too near at full lock either way, mm; empty where nothing
 * does at all
 * @param freeDroopAtLock the same for the fall, mm
 */
public record LockKept(List<Row> rows, Optional<Double> freeBumpAtLock, Optional<Double> freeDroopAtLock) {

    /** @param travel of the left wheel, mm */
    public record Row(double travel, KeptLock left, KeptLock right) {

        public KeptLock way(Side side) {
            return side == Side.LEFT ? left : right;
        }
    }

    /**
     * One way of turning at one travel.
     *
     * @param lockDeg the inner wheel's angle at which the steering ends as the job has it
     * @param keptDeg the inner wheel's angle up to which every gap is kept; the same as the lock where nothing comes
     * too near
     * @param outerDeg the outer wheel's angle then
     * @param steeringWheelDeg then, + left
     * @param pair what comes too near first
     */
    public record KeptLock(
            double lockDeg, double keptDeg, double outerDeg, double steeringWheelDeg, Optional<BodyPair> pair) {

        public boolean costs() {
            return pair.isPresent();
        }
    }

    /**
     * Where the lock must end, turning one way, so that every gap is kept at any travel; empty where nothing comes too
     * near.
     * What comes too near straight ahead at some travel is not cured by a stop and does not count.
     */
    public Optional<KeptLock> stop(Side way) {
        return rows.stream()
                .map(r -> r.way(way))
                .filter(w -> w.costs() && w.keptDeg > 0)
                .min((a, b) -> Double.compare(a.keptDeg, b.keptDeg));
    }

    /** The row at full bump, ride height or full droop. */
    public Row at(double travel) {
        return rows.stream()
                .min((a, b) -> Double.compare(Math.abs(a.travel - travel), Math.abs(b.travel - travel)))
                .orElseThrow();
    }
}
