package mildtilt.steer;

import java.util.Optional;
import mildtilt.geometry.Side;

/**
 * Both wheels turned, told apart as inner and outer by where they really point.
 *
 * @param steeringWheelDeg + left
 * @param leftDeg steer angle of the left wheel, + left
 * @param rightDeg steer angle of the right wheel, + left
 * @param wheelbase mm
 * @param axisSpacing between the two steer axes at the ground, straight ahead, mm
 * @param track mm
 */
public record TurnGeometry(
        double steeringWheelDeg, double leftDeg, double rightDeg, double wheelbase, double axisSpacing, double track) {

    /** Below this inner angle neither Ackermann nor a turning circle means anything, degrees. */
    private static final double SMALLEST = 0.5;

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

    /** Outer angle at which both wheels would roll about one point: cot outer = cot inner + w / wheelbase. */
    public double idealOuterDeg() {
        double cot = 1 / Math.tan(Math.toRadians(innerDeg())) + axisSpacing / wheelbase;
        return Math.toDegrees(Math.atan2(1, cot));
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

    /** wheelbase · (cot inner + cot outer) / 2, mm, at the rear axle's middle. */
    public Optional<Double> turnRadius() {
        if (innerDeg() < SMALLEST || outerDeg() < SMALLEST) {
            return Optional.empty();
        }
        return Optional.of(
                wheelbase * (1 / Math.tan(Math.toRadians(innerDeg())) + 1 / Math.tan(Math.toRadians(outerDeg()))) / 2);
    }

    /** Kerb to kerb: 2 · sqrt((R + track/2)² + wheelbase²), mm. */
    public Optional<Double> turningCircle() {
        return turnRadius().map(r -> 2 * Math.hypot(r + track / 2, wheelbase));
    }
}
