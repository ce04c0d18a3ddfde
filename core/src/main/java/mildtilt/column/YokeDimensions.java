package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * How a shaft end sits in a fork, hub or gear input.
 *
 * @param takeOff from the joint centre (or the named end point) to the face the shaft enters, mm
 * @param engagement how far the shaft goes in past that face, mm
 * @param socket the bore and what keeps the end in it, if known
 */
@Withers
public record YokeDimensions(double takeOff, double engagement, Optional<Socket> socket)
        implements YokeDimensionsBuilder.With {

    public static final YokeDimensions NONE = new YokeDimensions(0, 0);

    /** @throws ImpossibleGeometryException if either is negative */
    public YokeDimensions {
        if (!(takeOff >= 0) || !(engagement >= 0)) {
            throw new ImpossibleGeometryException("Take-off and engagement can't be negative.");
        }
    }

    /** With the bore not known. */
    public YokeDimensions(double takeOff, double engagement) {
        this(takeOff, engagement, Optional.empty());
    }

    public YokeDimensions withSocket(Socket s) {
        return new YokeDimensions(takeOff, engagement, Optional.of(s));
    }

    /** What the fit takes off a shaft measured to the joint centre, mm. */
    public double shortening() {
        return takeOff - engagement;
    }
}
