package mildtilt.job;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * What the fabricator wants of this vehicle. They are aims, not rules: practice differs, and local codes
 * come first.
 *
 * @param ripplePct most ripple wanted of the column, percent
 * @param ackermannMinPct least Ackermann wanted at 20 degrees of inner wheel, percent
 * @param ackermannMaxPct most Ackermann wanted there, percent
 * @param bumpSteerDeg most toe change of a wheel wanted over the normal travel, peak to peak, degrees
 * @param lockDeg inner wheel's angle wanted at full lock, degrees, if one is wanted
 * @param toggleDeg least angle wanted between any rod and arm and their being in line, degrees
 * @param rakeDeg most rake of a tie rod in plan wanted, degrees
 * @param rimForce most force at the rim wanted, parked, N
 * @param bucklingMargin least wanted of a rod's buckling load over its force, parked
 * @param outerTable wanted outer angles, if the builder has a table; it then goes before the Ackermann band
 */
@Withers
public record Targets(
        double ripplePct,
        double ackermannMinPct,
        double ackermannMaxPct,
        double bumpSteerDeg,
        Optional<Double> lockDeg,
        double toggleDeg,
        double rakeDeg,
        double rimForce,
        double bucklingMargin,
        Optional<OuterWheelTable> outerTable)
        implements TargetsBuilder.With {

    /** Even to the hand, towards true Ackermann for walking-pace turns on grip, toe held within half a degree. */
    public static final Targets USUAL = new Targets(10, 60, 110, 0.5);

    /** @throws ImpossibleGeometryException naming the aim that can't be */
    public Targets {
        if (!(ripplePct > 0) || !(bumpSteerDeg > 0)) {
            throw new ImpossibleGeometryException("The ripple and bump-steer targets must be above 0.");
        }
        if (!(ackermannMinPct < ackermannMaxPct)) {
            throw new ImpossibleGeometryException("The least wanted Ackermann must be below the most wanted.");
        }
        if (lockDeg.filter(l -> !(l > 0 && l < 90)).isPresent()) {
            throw new ImpossibleGeometryException("The wanted lock must be between 0 and 90 degrees.");
        }
        if (!(toggleDeg > 0 && toggleDeg < 90) || !(rakeDeg > 0 && rakeDeg < 90)) {
            throw new ImpossibleGeometryException(
                    "The margin to over-centre and the rake must be between 0 and 90 degrees.");
        }
        if (!(rimForce > 0) || !(bucklingMargin > 0)) {
            throw new ImpossibleGeometryException("The rim force and the buckling margin must be above 0.");
        }
    }

    /** With the usual aims for the rest. */
    public Targets(double ripplePct, double ackermannMinPct, double ackermannMaxPct, double bumpSteerDeg) {
        this(
                ripplePct,
                ackermannMinPct,
                ackermannMaxPct,
                bumpSteerDeg,
                Optional.empty(),
                25,
                20,
                250,
                4,
                Optional.empty());
    }

    public Targets withAckermann(double minPct, double maxPct) {
        return new Targets(
                ripplePct,
                minPct,
                maxPct,
                bumpSteerDeg,
                lockDeg,
                toggleDeg,
                rakeDeg,
                rimForce,
                bucklingMargin,
                outerTable);
    }
}
