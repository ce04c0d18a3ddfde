package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * How a shaft end sits in a fork, hub or gear input.
 *
 * @param takeOff from the joint centre (or the named end point) to the face the shaft enters, mm
 * @param engagement how far the shaft goes in past that face, mm
 */
public record ForkFit(double takeOff, double engagement) {

    public static final ForkFit NONE = new ForkFit(0, 0);

    /** @throws ImpossibleGeometryException if either is negative */
    public ForkFit {
        if (!(takeOff >= 0) || !(engagement >= 0)) {
            throw new ImpossibleGeometryException("Take-off and engagement can't be negative.");
        }
    }

    /** What the fit takes off a shaft measured to the joint centre, mm. */
    public double shortening() {
        return takeOff - engagement;
    }
}
