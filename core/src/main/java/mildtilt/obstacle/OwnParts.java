package mildtilt.obstacle;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;

/**
 * Sizes of the vehicle's own parts that only clearances ask for, and the gaps its parts need among themselves. Lengths mm.
 *
 * @param rimDiameter of the wheel's rim; taken as a part of the tyre's if not known
 * @param armDiameter of suspension arms, track bar and axle beam
 * @param rodDiameter of rods whose tube is not chosen
 * @param steeringArmDiameter of steering arms and of the gear's and idler's arms
 * @param gearDiameter of the rack's or shuttle's housing, and across a steering box
 * @param gap between own parts
 * @param tyreGap between a tyre and anything
 * @param driverGap between the driver and the steering wheel or column
 */
public record OwnParts(
        Optional<Double> rimDiameter, double armDiameter, double rodDiameter, double steeringArmDiameter, double gearDiameter,
        double gap, double tyreGap, double driverGap) {

    public static final OwnParts USUAL = new OwnParts(Optional.empty(), 30, 24, 26, 50, 6, 15, 25);

    /** Part of a tyre's diameter taken as its rim's where that is not known. */
    public static final double USUAL_RIM_PART = 0.6;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public OwnParts {
        if (rimDiameter.filter(d -> !(d > 0)).isPresent() || !(armDiameter > 0 && rodDiameter > 0 && steeringArmDiameter > 0 && gearDiameter > 0)) {
            throw new ImpossibleGeometryException("The diameters of rim, arms, rods and gear must be above 0.");
        }
        if (!(gap >= 0 && tyreGap >= 0 && driverGap >= 0)) {
            throw new ImpossibleGeometryException("A wanted gap can't be negative.");
        }
    }

    public OwnParts withRimDiameter(Optional<Double> d) {
        return new OwnParts(d, armDiameter, rodDiameter, steeringArmDiameter, gearDiameter, gap, tyreGap, driverGap);
    }

    public OwnParts withDiameters(double arm, double rod, double steeringArm, double gear) {
        return new OwnParts(rimDiameter, arm, rod, steeringArm, gear, gap, tyreGap, driverGap);
    }

    public OwnParts withGaps(double own, double tyre, double driver) {
        return new OwnParts(rimDiameter, armDiameter, rodDiameter, steeringArmDiameter, gearDiameter, own, tyre, driver);
    }
}
