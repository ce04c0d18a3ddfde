package mildtilt.steer;

import java.util.Optional;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;

/**
 * Both wheels turned, told apart as inner and outer by where they really point. Where the rear wheels steer as well
 * the vehicle turns about a line between both axles, and all that follows from the wheelbase follows from the way to
 * that line.
 *
 * @param steeringWheelDeg + left
 * @param leftDeg steer angle of the left wheel, + left
 * @param rightDeg steer angle of the right wheel, + left
 * @param wheelbase mm
 * @param rearSteer as {@link mildtilt.job.Vehicle} has it
 * @param axisSpacing between the two steer axes at the ground, straight ahead, mm
 * @param track mm
 */
public record TurnGeometry(
        double steeringWheelDeg,
        double leftDeg,
        double rightDeg,
        double wheelbase,
        double rearSteer,
        double axisSpacing,
        double track) {

    /** Of a job's vehicle. */
    public static TurnGeometry of(
            double steeringWheelDeg,
            double leftDeg,
            double rightDeg,
            Vehicle vehicle,
            double axisSpacing,
            double track) {
        return new TurnGeometry(
                steeringWheelDeg, leftDeg, rightDeg, vehicle.wheelbase(), vehicle.rearSteer(), axisSpacing, track);
    }

    /** Below this inner angle neither Ackermann nor a turning circle means anything, degrees. */
    private static final double SMALLEST = 0.5;

    private static final double FARTHEST = 80;

    /** Below this mean angle the line turned about is where it tends to, degrees. */
    private static final double STRAIGHT = 1e-6;

    public double meanDeg() {
        return (leftDeg + rightDeg) / 2;
    }

    /** Where the road wheels point. */
    public Side turned() {
        return meanDeg() >= 0 ? Side.LEFT : Side.RIGHT;
    }

    public double innerDeg() {
        return turned() == Side.LEFT ? leftDeg : -rightDeg;
    }

    public double outerDeg() {
        return turned() == Side.LEFT ? rightDeg : -leftDeg;
    }

    /**
     * The mean angle of the rear wheels, degrees, + to the right: the other way than the front wheels' +. No wheel
     * steers farther than 80.
     */
    public double rearMeanDeg() {
        return Math.clamp(rearSteer * meanDeg(), -FARTHEST, FARTHEST);
    }

    /**
     * From the front axle back to the line the vehicle turns about, mm: {@code wheelbase tan f / (tan f + tan r)}, of
     * the mean angles in front and behind, r + the other way. It is the wheelbase where the rear wheels stay straight,
     * half of it where they steer as far the other way, and beyond the rear axle where they steer the same way.
     */
    public double turnsAbout() {
        if (rearSteer == 0) {
            return wheelbase;
        }
        if (Math.abs(meanDeg()) < STRAIGHT) {
            return wheelbase / (1 + rearSteer);
        }
        double front = Math.tan(Math.toRadians(meanDeg()));
        return wheelbase * front / (front + Math.tan(Math.toRadians(rearMeanDeg())));
    }

    /**
     * Outer angle at which both wheels would roll about one point: cot outer = cot inner + w / way to the line turned
     * about.
     */
    public double idealOuterDeg() {
        double cot = 1 / Math.tan(Math.toRadians(innerDeg())) + axisSpacing / turnsAbout();
        return Math.toDegrees(Math.atan2(1, cot));
    }

    /**
     * Angle of the inner or outer rear wheel that rolls about the front wheels' point, degrees, + the other way than
     * in front; the rear steer axes as far apart as in front. None where the rear wheels stay straight, or there is no
     * such point.
     */
    public Optional<Double> rearDeg(boolean inner) {
        return rearSteer == 0
                ? Optional.empty()
                : turnRadius()
                        .map(r -> Math.toDegrees(
                                Math.atan2(wheelbase - turnsAbout(), r + (inner ? -axisSpacing : axisSpacing) / 2)));
    }

    /** Outer angle less the ideal one, degrees: + where the outer wheel is turned too much. */
    public Optional<Double> outerErrorDeg() {
        return innerDeg() < SMALLEST ? Optional.empty() : Optional.of(outerDeg() - idealOuterDeg());
    }

    /**
     * (inner − outer) / (inner − ideal outer), percent: 0 parallel, 100 true, below 0 reversed. None where both wheels
     * stand on one line: they want the same angle.
     */
    public Optional<Double> ackermannPct() {
        double wanted = innerDeg() - idealOuterDeg();
        return innerDeg() < SMALLEST || Math.abs(wanted) < 1e-9
                ? Optional.empty()
                : Optional.of((innerDeg() - outerDeg()) / wanted * 100);
    }

    /** Way to the line turned about · (cot inner + cot outer) / 2, mm, from there to the vehicle's middle line. */
    public Optional<Double> turnRadius() {
        if (innerDeg() < SMALLEST || outerDeg() < SMALLEST) {
            return Optional.empty();
        }
        return Optional.of(turnsAbout()
                * (1 / Math.tan(Math.toRadians(innerDeg())) + 1 / Math.tan(Math.toRadians(outerDeg())))
                / 2);
    }

    /**
     * Kerb to kerb, mm: 2 · sqrt((R + track/2)² + way from the line turned about²), of the outer wheel of the axle that
     * is farther from it; both tracks alike.
     */
    public Optional<Double> turningCircle() {
        double way = Math.max(turnsAbout(), wheelbase - turnsAbout());
        return turnRadius().map(r -> 2 * Math.hypot(r + track / 2, way));
    }
}
