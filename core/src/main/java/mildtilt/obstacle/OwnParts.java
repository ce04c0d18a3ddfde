package mildtilt.obstacle;

import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * Sizes of the vehicle's own parts that only clearances ask for, and the gaps its parts need among themselves. Lengths
 * mm. A size that is not given gets a usual value, and findings that depend on it say so.
 *
 * @param rim diameter of the wheel's rim, as given
 * @param arm diameter of suspension arms, track bar and axle beam, as given
 * @param rod diameter of rods whose tube is not chosen, as given
 * @param steeringArm diameter of steering arms and of the gear's and idler's arms, as given
 * @param gear diameter of the rack's or shuttle's housing, and across a steering box, as given
 * @param gap between own parts
 * @param tyreGap between a tyre and anything
 * @param driverGap between the driver and the steering wheel or column
 */
@Withers
public record OwnParts(
        Optional<Double> rim,
        Optional<Double> arm,
        Optional<Double> rod,
        Optional<Double> steeringArm,
        Optional<Double> gear,
        double gap,
        double tyreGap,
        double driverGap)
        implements OwnPartsBuilder.With {

    /** With no size given. */
    public static final OwnParts USUAL = new OwnParts(
            Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), 6, 15, 25);

    /** Part of a tyre's diameter taken as its rim's where that is not known. */
    public static final double USUAL_RIM_PART = 0.6;
    /** No rim is a larger part of its tyre than this. */
    public static final double LARGEST_RIM_PART = 0.8;

    public static final double USUAL_ARM = 30;
    public static final double USUAL_ROD = 24;
    public static final double USUAL_STEERING_ARM = 26;
    public static final double USUAL_GEAR = 50;
    /** A part is hardly ever slimmer than this part of the size that is usual. */
    public static final double LEAST_PART = 0.6;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public OwnParts {
        if (Stream.of(rim, arm, rod, steeringArm, gear)
                .flatMap(Optional::stream)
                .anyMatch(d -> !(d > 0))) {
            throw new ImpossibleGeometryException("The diameters of rim, arms, rods and gear must be above 0.");
        }
        if (!(gap >= 0 && tyreGap >= 0 && driverGap >= 0)) {
            throw new ImpossibleGeometryException("A wanted gap can't be negative.");
        }
    }

    public double armDiameter() {
        return arm.orElse(USUAL_ARM);
    }

    public double rodDiameter() {
        return rod.orElse(USUAL_ROD);
    }

    public double steeringArmDiameter() {
        return steeringArm.orElse(USUAL_STEERING_ARM);
    }

    public double gearDiameter() {
        return gear.orElse(USUAL_GEAR);
    }

    public OwnParts withDiameters(double a, double r, double s, double g) {
        return new OwnParts(
                rim, Optional.of(a), Optional.of(r), Optional.of(s), Optional.of(g), gap, tyreGap, driverGap);
    }

    public OwnParts withGaps(double own, double tyre, double driver) {
        return new OwnParts(rim, arm, rod, steeringArm, gear, own, tyre, driver);
    }
}
