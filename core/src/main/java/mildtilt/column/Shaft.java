package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A shaft between two joints, or between a joint and the hub or gear.
 *
 * @param diameter outside diameter where the forks sit, mm
 * @param clockingDeg from wheel-end fork pin to gear-end fork pin, degrees, + clockwise seen from the
 *     wheel end; 0 on the first and last shaft, which have one fork only
 * @param setting at which angles the gear-end fork can be set
 * @param toCut whether the fabricator cuts this shaft to length; false for a part used as it comes
 */
public record Shaft(String name, double diameter, double clockingDeg, ForkSetting setting, boolean toCut) {

    /** @throws ImpossibleGeometryException if the diameter is not above 0 or the clocking not finite */
    public Shaft {
        if (!(diameter > 0)) {
            throw new ImpossibleGeometryException("The diameter of \"" + name + "\" must be above 0.");
        }
        if (!Double.isFinite(clockingDeg)) {
            throw new ImpossibleGeometryException("The clocking of \"" + name + "\" is not a number.");
        }
    }

    public Shaft withClockingDeg(double deg) {
        return new Shaft(name, diameter, deg, setting, toCut);
    }

    public Shaft withDiameter(double mm) {
        return new Shaft(name, mm, clockingDeg, setting, toCut);
    }

    /** Arc on this shaft's surface for an angle, mm: what is measured round the shaft with a strip of tape. */
    public double arcFor(double deg) {
        return Math.toRadians(deg) * diameter / 2;
    }
}
