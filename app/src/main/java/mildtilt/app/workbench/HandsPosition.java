package mildtilt.app.workbench;

/**
 * Where the hands hold the wheel and the wheels' travel levers.
 *
 * @param steeringWheelDeg + left
 * @param travelLeft mm, + bump
 * @param travelRight mm, + bump
 */
public record HandsPosition(double steeringWheelDeg, double travelLeft, double travelRight) {

    public static final HandsPosition CENTRED = new HandsPosition(0, 0, 0);

    public boolean centred() {
        return equals(CENTRED);
    }
}
