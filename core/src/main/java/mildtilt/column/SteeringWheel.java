package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * @param diameter of the rim, mm
 * @param hub its centre, where the first shaft begins
 * @param fit how the first shaft sits in the hub
 */
public record SteeringWheel(double diameter, Point hub, ForkFit fit, Adjustment adjustment) {

    /** @throws ImpossibleGeometryException if the rim has no diameter */
    public SteeringWheel {
        if (!(diameter > 0)) {
            throw new ImpossibleGeometryException("The steering wheel's diameter must be above 0.");
        }
    }

    public SteeringWheel(double diameter, Point hub, ForkFit fit) {
        this(diameter, hub, fit, Adjustment.NONE);
    }

    public SteeringWheel withDiameter(double mm) {
        return new SteeringWheel(mm, hub, fit, adjustment);
    }

    public SteeringWheel withHub(Point p) {
        return new SteeringWheel(diameter, p, fit, adjustment);
    }

    public SteeringWheel withFit(ForkFit f) {
        return new SteeringWheel(diameter, hub, f, adjustment);
    }

    public SteeringWheel withAdjustment(Adjustment a) {
        return new SteeringWheel(diameter, hub, fit, a);
    }
}
