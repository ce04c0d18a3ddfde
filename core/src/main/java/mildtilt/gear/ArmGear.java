package mildtilt.gear;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;

/** A gear whose output is an arm that swings about a shaft. */
public sealed interface ArmGear extends Gear permits SteeringBox, WormAndRoller, ColumnArm {

    /** The shaft the arm sits on. */
    Axis axis();

    /** The end of the arm straight ahead. */
    Point armEnd();

    /** How far the arm swings from straight ahead to either end, degrees. */
    double sweepEachWayDeg();

    /** Swing of the arm, right-handed about {@link #axis()}, rad, for a rotation of the input to the left, rad. */
    double armAngleAt(double inputLeft);

    /** What its arm is called: "Pitman arm". */
    String armLabel();

    /** What its arm's shaft is called, for an order to the bench. */
    String shaftLabel();

    /** Whether it has a housing of its own. */
    boolean boxed();

    @Override
    default ArmGear placed(Placing placing) {
        return placed(placing.axis(axis()), placing.point(armEnd()));
    }

    /** The same gear with its shaft and its arm's end elsewhere. */
    ArmGear placed(Axis axis, Point armEnd);

    ArmGear withArmEnd(Point p);

    ArmGear withAxis(Axis a);

    ArmGear withSweepEachWay(double deg);

    /** The circle on which the arm's end swings, angle 0 straight ahead. */
    default Orbit orbit() {
        return Orbit.of(axis(), armEnd());
    }

    /** From the shaft to the arm's end, square to the shaft, mm. */
    default double armLength() {
        return axis().distanceTo(armEnd());
    }

    /** @throws ImpossibleGeometryException naming what can't be */
    static void check(Axis axis, Point armEnd, double sweepEachWayDeg) {
        if (axis.distanceTo(armEnd) < 1) {
            throw new ImpossibleGeometryException("The gear's arm has no length: its end lies on its shaft's axis.");
        }
        if (!(sweepEachWayDeg > 0 && sweepEachWayDeg < 180)) {
            throw new ImpossibleGeometryException("The arm's sweep each way must be between 0 and 180 degrees.");
        }
    }
}
