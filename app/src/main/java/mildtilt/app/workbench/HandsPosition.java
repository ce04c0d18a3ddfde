package mildtilt.app.workbench;
import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.linkage.WheelTravel;
import mildtilt.steer.SteeringTrain;

/**
 * Where the hands hold the wheel and the wheels' travel levers.
 *
 * @param steeringWheelDeg + left
 * @param travelLeft mm, + bump
 * @param travelRight mm, + bump
 */
public record HandsPosition(double steeringWheelDeg, double travelLeft, double travelRight) {

    public static final HandsPosition CENTRED = new HandsPosition(0, 0, 0);

    /** The nearest that gear and travel allow. @param before where the hands were: which lever leads where one wheel goes up as the other goes down */
    HandsPosition within(SteeringTrain train, Vehicle v, WheelTravel travel, HandsPosition before) {
        double left = train.stopDeg(Side.LEFT).orElse(360.0);
        double right = train.stopDeg(Side.RIGHT).orElse(-360.0);
        double bump = v.bump();
        double droop = v.droop();
        double steer = Math.clamp(steeringWheelDeg(), right, left);
        return switch (travel) {
            case FREE -> new HandsPosition(steer, Math.clamp(travelLeft(), -droop, bump), Math.clamp(travelRight(), -droop, bump));
            case ROLL_ONLY -> {
                // The lever that was moved leads; the other wheel goes the other way.
                boolean rightLeads = travelRight() != before.travelRight() && travelLeft() == before.travelLeft();
                double most = Math.min(bump, droop);
                double up = Math.clamp(rightLeads ? -travelRight() : travelLeft(), -most, most);
                yield new HandsPosition(steer, up, up == 0 ? 0 : -up);
            }
            case NONE -> new HandsPosition(steer, 0, 0);
        };
    }

    public boolean centred() {
        return equals(CENTRED);
    }
}
