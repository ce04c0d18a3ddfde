package mildtilt.gear;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * A steering box with a pitman arm on its sector shaft.
 *
 * @param axis the sector shaft, at any angle
 * @param armEnd centre of the joint at the pitman arm's end, straight ahead, mm
 * @param ratio turns of the input for one of the sector shaft; above 0 a left turn of the input swings the
 *     arm right-handed about {@code axis}, below 0 the other way
 * @param sweepEachWayDeg of the sector shaft from straight ahead to its end, degrees
 */
public record SteeringBox(Axis axis, Point armEnd, double ratio, double sweepEachWayDeg) implements ArmGear {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public SteeringBox {
        ArmGear.check(axis, armEnd, sweepEachWayDeg);
        if (!(Math.abs(ratio) >= 0.1 && Math.abs(ratio) <= 1000)) {
            throw new ImpossibleGeometryException("The steering box's ratio must be between 0.1 and 1000.");
        }
    }

    @Override
    public double armAngleAt(double inputLeft) {
        return inputLeft / ratio;
    }

    @Override
    public double inputStop() {
        return Math.toRadians(sweepEachWayDeg) * Math.abs(ratio);
    }

    @Override
    public SteeringBox reversed() {
        return withRatio(-ratio);
    }

    @Override
    public SteeringBox placed(Axis a, Point end) {
        return new SteeringBox(a, end, ratio, sweepEachWayDeg);
    }

    @Override
    public SteeringBox withArmEnd(Point p) {
        return new SteeringBox(axis, p, ratio, sweepEachWayDeg);
    }

    @Override
    public SteeringBox withAxis(Axis a) {
        return new SteeringBox(a, armEnd, ratio, sweepEachWayDeg);
    }

    @Override
    public SteeringBox withSweepEachWay(double deg) {
        return new SteeringBox(axis, armEnd, ratio, deg);
    }

    public SteeringBox withRatio(double r) {
        return new SteeringBox(axis, armEnd, r, sweepEachWayDeg);
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
