package mildtilt.steer.position;

import mildtilt.geometry.Side;
import mildtilt.job.Vehicle;
import mildtilt.linkage.corner.WheelTravel;

/**
 * Where the driver holds the steering wheel and how far each wheel has travelled.
 *
 * @param steeringWheelDeg + left
 * @param travelLeft mm, + bump
 * @param travelRight mm, + bump
 */
public record SteeringInput(double steeringWheelDeg, double travelLeft, double travelRight) {

    public static final SteeringInput STRAIGHT_AHEAD = new SteeringInput(0, 0, 0);

    /**
     * The nearest that gear and travel allow. @param before the input before this: which lever leads where one wheel
     * goes up as the other goes down
     */
    public SteeringInput within(SteeringTrain train, Vehicle v, WheelTravel travel, SteeringInput before) {
        double left = train.stopDeg(Side.LEFT).orElse(360.0);
        double right = train.stopDeg(Side.RIGHT).orElse(-360.0);
        double bump = v.bump();
        double droop = v.droop();
        double steer = Math.clamp(steeringWheelDeg(), right, left);
        return switch (travel) {
            case FREE ->
                new SteeringInput(
                        steer, Math.clamp(travelLeft(), -droop, bump), Math.clamp(travelRight(), -droop, bump));
            case ROLL_ONLY -> {
                // The lever that was moved leads; the other wheel goes the other way.
                boolean rightLeads = travelRight() != before.travelRight() && travelLeft() == before.travelLeft();
                double most = Math.min(bump, droop);
                double up = Math.clamp(rightLeads ? -travelRight() : travelLeft(), -most, most);
                yield new SteeringInput(steer, up, up == 0 ? 0 : -up);
            }
            case NONE -> new SteeringInput(steer, 0, 0);
        };
    }

    public boolean straightAhead() {
        return equals(STRAIGHT_AHEAD);
    }
}
