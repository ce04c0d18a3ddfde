package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * A joint between two shafts.
 *
 * @param id a joint's of its column
 * @param maxAngleDeg the largest operating angle the joint allows, degrees
 * @param torqueNm the most torque its maker allows, N·m, if known
 * @param swingDiameter of the circle its ears and screws sweep, mm, if known
 * @param typical whether its sizes are still typical ones that nobody has measured on the part itself
 */
@Withers
public record Joint(
        Id id,
        String name,
        JointKind kind,
        Point centre,
        double maxAngleDeg,
        YokeDimensions wheelSide,
        YokeDimensions gearSide,
        Optional<Double> torqueNm,
        Optional<Double> swingDiameter,
        boolean typical)
        implements JointBuilder.With {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Joint {
        if (!(maxAngleDeg > 0 && maxAngleDeg <= 180)) {
            throw new ImpossibleGeometryException(
                    "The largest angle of \"" + name + "\" must be above 0 and at most 180 degrees.");
        }
        if (torqueNm.filter(t -> !(t > 0)).isPresent()
                || swingDiameter.filter(d -> !(d > 0)).isPresent()) {
            throw new ImpossibleGeometryException(
                    "Torque and swing diameter of \"" + name + "\" must be above 0 where they are known.");
        }
    }

    /** With its strength and swing not known. */
    public Joint(
            Id id,
            String name,
            JointKind kind,
            Point centre,
            double maxAngleDeg,
            YokeDimensions wheelSide,
            YokeDimensions gearSide) {
        this(id, name, kind, centre, maxAngleDeg, wheelSide, gearSide, Optional.empty(), Optional.empty(), false);
    }

    public static Joint single(
            Id id, String name, Point centre, double maxAngleDeg, YokeDimensions wheelSide, YokeDimensions gearSide) {
        return new Joint(id, name, new JointKind.Single(), centre, maxAngleDeg, wheelSide, gearSide);
    }

    public Joint withFits(YokeDimensions wheel, YokeDimensions gear) {
        return withWheelSide(wheel).withGearSide(gear);
    }
}
