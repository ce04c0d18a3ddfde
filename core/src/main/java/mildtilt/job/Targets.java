package mildtilt.job;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * What the fabricator wants of this vehicle. They are aims, not rules: practice differs, and local codes
 * come first.
 *
 * @param ripplePct most ripple wanted of the column, percent
 * @param ackermannMinPct least Ackermann wanted at 20 degrees of inner wheel, percent
 * @param ackermannMaxPct most Ackermann wanted there, percent
 * @param bumpSteerDeg most toe change of a wheel wanted over the whole travel, peak to peak, degrees
 */
public record Targets(double ripplePct, double ackermannMinPct, double ackermannMaxPct, double bumpSteerDeg) {

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
    }
}
