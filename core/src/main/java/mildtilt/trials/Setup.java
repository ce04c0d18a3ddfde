package mildtilt.trials;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * How the vehicle stood.
 *
 * @param onGround its weight on its tyres; else raised
 * @param springsOff so that the hubs go freely through their travel
 * @param stopsOff bump stops off
 * @param steeringWheelDeg + left
 * @param travelLeft of the left wheel, mm, + up
 * @param travelRight of the right wheel, mm, + up
 * @param wall from the wheel centres forward to the wall the laser draws on, mm
 */
@Withers
public record Setup(
        boolean onGround,
        boolean springsOff,
        boolean stopsOff,
        double steeringWheelDeg,
        double travelLeft,
        double travelRight,
        double wall)
        implements SetupBuilder.With {

    public static final Setup RAISED = new Setup(false, false, false, 0, 0, 0, 3000);

    public Setup {
        if (!(Math.abs(steeringWheelDeg) <= 3600)
                || !(Math.abs(travelLeft) <= 2000)
                || !(Math.abs(travelRight) <= 2000)) {
            throw new ImpossibleGeometryException(
                    "The steering wheel must be within ten turns, and a wheel's travel within 2 m.");
        }
        if (!(wall >= 200 && wall <= 50_000)) {
            throw new ImpossibleGeometryException(
                    "The wall must be between 200 mm and 50 m ahead of the wheel centres.");
        }
    }

    public Setup withOff(boolean springs, boolean stops) {
        return new Setup(onGround, springs, stops, steeringWheelDeg, travelLeft, travelRight, wall);
    }

    public Setup at(double steering, double left, double right) {
        return new Setup(onGround, springsOff, stopsOff, steering, left, right, wall);
    }
}
