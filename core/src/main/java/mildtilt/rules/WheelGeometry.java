package mildtilt.rules;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * What is usual of a steered wheel's geometry. A vehicle outside of it may be intended; it still gets a finding, and
 * never as something
 * else. Angles and lengths as the static figures have them, straight ahead at ride height.
 *
 * @param casterMinDeg least caster, degrees
 * @param casterMaxDeg most caster, degrees
 * @param trailMin least mechanical trail, mm
 * @param trailMax most mechanical trail, mm
 * @param kingpinMinDeg least kingpin inclination, degrees
 * @param kingpinMaxDeg most kingpin inclination, degrees
 * @param scrubMax most scrub radius either way, mm
 * @param toeDeg most static toe of one wheel either way, degrees
 * @param apartDeg most that caster or kingpin inclination of left and right may differ, degrees
 * @param rollSteer most that both wheels may steer for a degree of roll either way, degrees
 * @param lockApartDeg most that the inner wheel's lock to the left may differ from the one to the right, degrees
 * @param brakeSteer most that both wheels may steer for a degree that braking winds the axle up on its springs, either
 *     way, degrees
 */
public record WheelGeometry(
        double casterMinDeg,
        double casterMaxDeg,
        double trailMin,
        double trailMax,
        double kingpinMinDeg,
        double kingpinMaxDeg,
        double scrubMax,
        double toeDeg,
        double apartDeg,
        double rollSteer,
        double lockApartDeg,
        double brakeSteer) {

    public static final WheelGeometry USUAL = new WheelGeometry(1, 10, 5, 80, 0, 20, 120, 0.5, 0.5, 0.15, 3, 0.2);

    /** @throws ImpossibleGeometryException naming the limit that can't be */
    public WheelGeometry {
        if (!(casterMinDeg < casterMaxDeg && trailMin < trailMax && kingpinMinDeg < kingpinMaxDeg)) {
            throw new ImpossibleGeometryException(
                    "Of caster, trail and kingpin inclination the least must be below the most.");
        }
        if (!(scrubMax > 0 && toeDeg > 0 && apartDeg > 0 && rollSteer > 0 && lockApartDeg > 0 && brakeSteer > 0)) {
            throw new ImpossibleGeometryException(
                    "The limits of scrub, toe, roll steer, brake steer and of what may differ from left to right "
                            + "must be above 0.");
        }
    }
}
