package mildtilt.gear;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * An arm fixed on the column's last shaft, with no gear between.
 *
 * @param axis that shaft, pointing up it toward the driver, so that a left turn is right-handed about it
 * @param armEnd centre of the joint at the arm's end, straight ahead, mm
 * @param sweepEachWayDeg from straight ahead to its stop, degrees
 */
public record ColumnArm(Axis axis, Point armEnd, double sweepEachWayDeg) implements ArmGear {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public ColumnArm {
        ArmGear.check(axis, armEnd, sweepEachWayDeg);
    }

    @Override
    public double armAngleAt(double inputLeft) {
        return inputLeft;
    }

    @Override
    public double inputStop() {
        return Math.toRadians(sweepEachWayDeg);
    }

    /** An arm on a shaft is driven the other way by standing on the shaft's other side. */
    @Override
    public ColumnArm reversed() {
        Point foot = axis.footOf(armEnd);
        return withArmEnd(foot.plus(foot.minus(armEnd)));
    }

    @Override
    public ColumnArm placed(Axis a, Point end) {
        return new ColumnArm(a, end, sweepEachWayDeg);
    }

    @Override
    public ColumnArm withArmEnd(Point p) {
        return new ColumnArm(axis, p, sweepEachWayDeg);
    }

    @Override
    public ColumnArm withAxis(Axis a) {
        return new ColumnArm(a, armEnd, sweepEachWayDeg);
    }

    @Override
    public ColumnArm withSweepEachWay(double deg) {
        return new ColumnArm(axis, armEnd, deg);
    }

    @Override
    public String label() {
        return "Column arm's shaft";
    }

    @Override
    public String armLabel() {
        return "Column arm";
    }

    @Override
    public String shaftLabel() {
        return "column's arm and the bell crank's pivot";
    }

    @Override
    public String howToReverse() {
        return "Put the column's arm on the other side of its shaft";
    }

    @Override
    public boolean boxed() {
        return false;
    }
}
