package mildtilt.gear;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * A steering box whose ratio changes with the swing of its arm, as that of a worm and roller does: i(θ) = i₀ + (i₁ −
 * i₀) (θ/θ₁)² up to θ₁ either
 * way, i₁ beyond. So the input for a swing is i₀ θ + (i₁ − i₀) θ³ / (3 θ₁²), and the swing for an input is the one real
 * root of that cubic
 * on the branch through straight ahead (Cardano's, in hyperbolic form where the ratio rises, in Viète's trigonometric
 * form where it falls).
 *
 * @param axis the sector shaft, at any angle
 * @param armEnd centre of the joint at the pitman arm's end, straight ahead, mm
 * @param ratio turns of the input for one of the sector shaft, straight ahead; above 0 a left turn of the input swings
 * the arm right-handed about
 *     {@code axis}, below 0 the other way
 * @param ratioTurned the same with the arm turned by {@code turnedDeg}, and beyond
 * @param turnedDeg swing of the arm at which that ratio was taken, degrees
 * @param sweepEachWayDeg of the sector shaft from straight ahead to its end, degrees
 */
public record WormAndRoller(
        Axis axis, Point armEnd, double ratio, double ratioTurned, double turnedDeg, double sweepEachWayDeg)
        implements ArmGear {

    /** Ratios nearer to each other than this part are one. */
    private static final double ALIKE = 1e-9;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public WormAndRoller {
        ArmGear.check(axis, armEnd, sweepEachWayDeg);
        if (!(Math.abs(ratio) >= 0.1 && Math.abs(ratio) <= 1000)
                || !(Math.abs(ratioTurned) >= 0.1 && Math.abs(ratioTurned) <= 1000)) {
            throw new ImpossibleGeometryException("The steering box's ratios must be between 0.1 and 1000.");
        }
        if (ratio * ratioTurned < 0) {
            throw new ImpossibleGeometryException(
                    "The steering box's ratios straight ahead and turned must both be above 0 or both below.");
        }
        if (!(turnedDeg > 0 && turnedDeg < 180)) {
            throw new ImpossibleGeometryException(
                    "The swing at which the turned ratio was taken must be between 0 and 180 degrees.");
        }
    }

    /** Turns of the input for one of the sector shaft where the arm has swung so far, rad; without sign. */
    double localRatio(double armAngle) {
        double part = Math.min(1, Math.abs(armAngle) / Math.toRadians(turnedDeg));
        return Math.abs(ratio) + (Math.abs(ratioTurned) - Math.abs(ratio)) * part * part;
    }

    /** Turn of the input for a swing of the arm from straight ahead, rad; without sign. */
    private double inputFor(double swing) {
        double most = Math.toRadians(turnedDeg);
        double within = Math.min(swing, most);
        return Math.abs(ratio) * within + cubic() * within * within * within + Math.abs(ratioTurned) * (swing - within);
    }

    /** (i₁ − i₀) / (3 θ₁²). */
    private double cubic() {
        double most = Math.toRadians(turnedDeg);
        return (Math.abs(ratioTurned) - Math.abs(ratio)) / (3 * most * most);
    }

    @Override
    public double armAngleAt(double inputLeft) {
        double most = Math.toRadians(turnedDeg);
        double input = Math.abs(inputLeft);
        double atMost = inputFor(most);
        double swing = input > atMost ? most + (input - atMost) / Math.abs(ratioTurned) : root(input);
        return Math.signum(inputLeft) * Math.signum(ratio) * swing;
    }

    /** Of i₀ θ + c θ³ = input, the root that grows from 0 with the input. */
    private double root(double input) {
        double first = Math.abs(ratio);
        double c = cubic();
        if (Math.abs(Math.abs(ratioTurned) - first) < ALIKE * first) {
            return input / first;
        }
        double scale = Math.sqrt(first / (3 * Math.abs(c)));
        double x = 1.5 * input / (first * scale);
        return 2 * scale * (c > 0 ? Math.sinh(inverseSinh(x) / 3) : Math.sin(Math.asin(Math.min(1, x)) / 3));
    }

    private static double inverseSinh(double x) {
        return Math.log1p(x + x * x / (1 + Math.sqrt(1 + x * x)));
    }

    @Override
    public double inputStop() {
        return inputFor(Math.toRadians(sweepEachWayDeg));
    }

    @Override
    public WormAndRoller reversed() {
        return new WormAndRoller(axis, armEnd, -ratio, -ratioTurned, turnedDeg, sweepEachWayDeg);
    }

    @Override
    public WormAndRoller placed(Axis a, Point end) {
        return new WormAndRoller(a, end, ratio, ratioTurned, turnedDeg, sweepEachWayDeg);
    }

    @Override
    public WormAndRoller withArmEnd(Point p) {
        return placed(axis, p);
    }

    @Override
    public WormAndRoller withAxis(Axis a) {
        return placed(a, armEnd);
    }

    @Override
    public WormAndRoller withSweepEachWay(double deg) {
        return new WormAndRoller(axis, armEnd, ratio, ratioTurned, turnedDeg, deg);
    }

    @Override
    public String label() {
        return "Steering box";
    }

    @Override
    public String armLabel() {
        return "Pitman arm";
    }

    @Override
    public String shaftLabel() {
        return "box's sector shaft";
    }

    @Override
    public String howToReverse() {
        return "Use a steering box that swings its arm the other way (worm of the other hand, or the box turned over)";
    }

    @Override
    public boolean boxed() {
        return true;
    }
}
