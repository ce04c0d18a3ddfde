package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * @param diameter of the rim, mm
 * @param hub its centre, where the first shaft begins
 * @param fit how the first shaft sits in the hub
 */
@Withers
public record SteeringWheel(double diameter, Point hub, YokeDimensions fit, Adjustment adjustment)
        implements SteeringWheelBuilder.With {

    /** @throws ImpossibleGeometryException if the rim has no diameter */
    public SteeringWheel {
        if (!(diameter > 0)) {
            throw new ImpossibleGeometryException("The steering wheel's diameter must be above 0.");
        }
    }

    public SteeringWheel(double diameter, Point hub, YokeDimensions fit) {
        this(diameter, hub, fit, Adjustment.NONE);
    }
}
