package mildtilt.steer;

import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.HandBar;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.obstacle.Driver;

/**
 * Where a handlebar, levers or a tiller take the hands from lock to lock, with the bar set as designed.
 *
 * @param leftDeg turned to the left for full lock, degrees
 * @param rightDeg turned to the right for full lock, degrees
 * @param radius from the column's line to the middle of a grip, mm
 * @param ahead how far a grip goes forward of where it is straight ahead, at the most, mm
 * @param back how far it comes back, at the most, mm
 * @param reach farthest from the driver's shoulder that a grip is, and where, if there is a driver
 */
public record HandSwing(
        HandBar bar, double leftDeg, double rightDeg, double radius, double ahead, double back, Optional<Reach> reach) {

    /** Steps from straight ahead to a lock: a grip is then known to less than a tenth of a mm. */
    private static final int STEPS = 90;

    /**
     * @param side of the shoulder
     * @param turnedDeg to the left, degrees
     * @param mm from the shoulder to the middle of the grip
     */
    public record Reach(Side side, double turnedDeg, double mm) {}

    /**
     * Empty where the hands hold a wheel, or there is no column.
     *
     * @param leftDeg turned to the left for full lock, degrees
     * @param rightDeg turned to the right for full lock, degrees
     */
    static Optional<HandSwing> of(Job job, double leftDeg, double rightDeg) {
        return job.column().flatMap(c -> c.wheel()
                .bar()
                .map(b -> of(c, b, leftDeg, rightDeg, job.surroundings().driver())));
    }

    /** The same turns of another bar on the same column: what the wheels need does not change with it. */
    public HandSwing withBar(Job job, HandBar other) {
        Column c = job.column().orElseThrow();
        return of(
                c.withWheel(c.wheel().withBar(Optional.of(other))),
                other,
                leftDeg,
                rightDeg,
                job.surroundings().driver());
    }

    private static HandSwing of(Column c, HandBar bar, double leftDeg, double rightDeg, Optional<Driver> driver) {
        List<Point> rest = c.grips(0);
        double ahead = 0;
        double back = 0;
        Optional<Reach> reach = Optional.empty();
        for (int i = -STEPS; i <= STEPS; i++) {
            double turned = i < 0 ? rightDeg * i / STEPS : leftDeg * i / STEPS;
            List<Point> now = c.grips(turned);
            for (int g = 0; g < now.size(); g++) {
                double forward = now.get(g).x() - rest.get(g).x();
                ahead = Math.max(ahead, forward);
                back = Math.max(back, -forward);
                if (driver.isPresent()) {
                    Reach here = reach(driver.get(), now, g, turned);
                    reach = reach.filter(r -> r.mm >= here.mm).or(() -> Optional.of(here));
                }
            }
        }
        return new HandSwing(bar, leftDeg, rightDeg, c.handRadius(), ahead, back, reach);
    }

    /** Each hand on its own grip; on a single grip the hand that has it nearer. */
    private static Reach reach(Driver d, List<Point> grips, int grip, double turned) {
        Point at = grips.get(grip);
        if (grips.size() > 1) {
            Side side = grip == 0 ? Side.LEFT : Side.RIGHT;
            return new Reach(side, turned, distance(d, side, at));
        }
        double left = distance(d, Side.LEFT, at);
        double right = distance(d, Side.RIGHT, at);
        return left <= right ? new Reach(Side.LEFT, turned, left) : new Reach(Side.RIGHT, turned, right);
    }

    private static double distance(Driver d, Side side, Point grip) {
        Vector arm = grip.minus(d.shoulder(side));
        return arm.norm();
    }

    /** The most it must be turned, degrees. */
    public double mostDeg() {
        return Math.max(leftDeg, rightDeg);
    }
}
