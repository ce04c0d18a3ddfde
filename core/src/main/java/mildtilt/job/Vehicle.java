package mildtilt.job;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * @param wheelbase mm
 * @param bump largest rise of a wheel from ride height, mm
 * @param droop largest fall of a wheel from ride height, mm, as a positive number
 * @param normalBump the rise that everyday driving uses, mm; within {@code bump}
 * @param normalDroop the fall that everyday driving uses, mm; within {@code droop}
 * @param tyreWidth mm
 * @param loads if known
 * @param rearSteer how many degrees the rear wheels steer, on average, for each degree the front wheels do: + the
 *     other way, 0 where they stay straight
 */
@Withers
public record Vehicle(
        double wheelbase,
        double bump,
        double droop,
        double normalBump,
        double normalDroop,
        double tyreWidth,
        Optional<Loads> loads,
        double rearSteer)
        implements VehicleBuilder.With {

    /** Part of the travel taken as normal where nothing is said. */
    public static final double USUAL_NORMAL_PART = 0.4;

    public static final double LEAST_REAR_STEER = -0.9;
    public static final double MOST_REAR_STEER = 2.5;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Vehicle {
        if (!(wheelbase > 0)) {
            throw new ImpossibleGeometryException("The wheelbase must be above 0.");
        }
        if (!(bump >= 0) || !(droop >= 0)) {
            throw new ImpossibleGeometryException("Bump and droop travel can't be negative.");
        }
        if (!(normalBump >= 0 && normalBump <= bump) || !(normalDroop >= 0 && normalDroop <= droop)) {
            throw new ImpossibleGeometryException("The normal travel must lie within the whole bump and droop travel.");
        }
        if (!(rearSteer >= LEAST_REAR_STEER && rearSteer <= MOST_REAR_STEER)) {
            throw new ImpossibleGeometryException(
                    "The rear wheels can steer up to 2.5 times as far as the front wheels the other way, and up to 0.9 "
                            + "times the same way (−0.9).");
        }
        if (!(tyreWidth > 0)) {
            throw new ImpossibleGeometryException("The tyre width must be above 0.");
        }
    }

    /** With two fifths of the travel taken as normal, loads not known. */
    public Vehicle(double wheelbase, double bump, double droop, double tyreWidth) {
        this(
                wheelbase,
                bump,
                droop,
                bump * USUAL_NORMAL_PART,
                droop * USUAL_NORMAL_PART,
                tyreWidth,
                Optional.empty(),
                0);
    }

    /** The normal travel shrinks too where it would no longer fit. */
    public Vehicle withBump(double mm) {
        return new Vehicle(
                wheelbase, mm, droop, Math.min(normalBump, Math.max(0, mm)), normalDroop, tyreWidth, loads, rearSteer);
    }

    public Vehicle withDroop(double mm) {
        return new Vehicle(
                wheelbase, bump, mm, normalBump, Math.min(normalDroop, Math.max(0, mm)), tyreWidth, loads, rearSteer);
    }

    public Vehicle withNormal(double bumpMm, double droopMm) {
        return new Vehicle(wheelbase, bump, droop, bumpMm, droopMm, tyreWidth, loads, rearSteer);
    }
}
