package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.withers.Withers;

/**
 * What the hands hold: a wheel, or a bar instead of its rim.
 *
 * @param diameter of the rim, mm; of no account where there is a bar
 * @param hub its centre, where the first shaft begins
 * @param fit how the first shaft sits in the hub
 * @param bar handlebar, levers or tiller, where it is no wheel
 */
@Withers
public record SteeringWheel(
        double diameter, Point hub, YokeDimensions fit, Adjustment adjustment, Optional<HandBar> bar)
        implements SteeringWheelBuilder.With {

    /** @throws ImpossibleGeometryException if the rim has no diameter */
    public SteeringWheel {
        if (!(diameter > 0)) {
            throw new ImpossibleGeometryException("The steering wheel's diameter must be above 0.");
        }
    }

    /** What the trade calls it. */
    public String label() {
        return bar.map(b -> b.kind().label()).orElse("steering wheel");
    }

    /** What the hands hold of it. */
    public String held() {
        return bar.map(b -> b.kind().held()).orElse("rim");
    }

    public SteeringWheel(double diameter, Point hub, YokeDimensions fit) {
        this(diameter, hub, fit, Adjustment.NONE, Optional.empty());
    }
}
