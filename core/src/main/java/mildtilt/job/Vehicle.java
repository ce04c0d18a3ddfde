package mildtilt.job;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * @param wheelbase mm
 * @param bump largest rise of a wheel from ride height, mm
 * @param droop largest fall of a wheel from ride height, mm, as a positive number
 * @param tyreWidth mm
 */
public record Vehicle(double wheelbase, double bump, double droop, double tyreWidth) {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public Vehicle {
        if (!(wheelbase > 0)) {
            throw new ImpossibleGeometryException("The wheelbase must be above 0.");
        }
        if (!(bump >= 0) || !(droop >= 0)) {
            throw new ImpossibleGeometryException("Bump and droop travel can't be negative.");
        }
        if (!(tyreWidth > 0)) {
            throw new ImpossibleGeometryException("The tyre width must be above 0.");
        }
    }

    public Vehicle withWheelbase(double mm) {
        return new Vehicle(mm, bump, droop, tyreWidth);
    }

    public Vehicle withBump(double mm) {
        return new Vehicle(wheelbase, mm, droop, tyreWidth);
    }

    public Vehicle withDroop(double mm) {
        return new Vehicle(wheelbase, bump, mm, tyreWidth);
    }

    public Vehicle withTyreWidth(double mm) {
        return new Vehicle(wheelbase, bump, droop, mm);
    }
}
