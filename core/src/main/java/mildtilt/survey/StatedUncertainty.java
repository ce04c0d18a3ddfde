package mildtilt.survey;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * How well the plan is known where nothing was surveyed; all one standard deviation.
 *
 * @param point ± of each coordinate of a point that no reading settles, mm
 * @param clockingDeg ± to which a fork is clocked on its shaft, degrees
 * @param again ± to which a point would be known if it were measured once more with care, mm
 */
@Withers
public record StatedUncertainty(double point, double clockingDeg, double again)
        implements StatedUncertaintyBuilder.With {

    /** A tape under a vehicle; a fork held by eye against a scribed line; a plumb bob on a marked floor. */
    public static final StatedUncertainty USUAL = new StatedUncertainty(2, 1, 0.5);

    /** @throws ImpossibleGeometryException if one of them is not above 0, or is beyond any use */
    public StatedUncertainty {
        if (!(point > 0 && point <= 100) || !(clockingDeg > 0 && clockingDeg <= 30) || !(again > 0 && again <= 100)) {
            throw new ImpossibleGeometryException(
                    "A stated ± must be above 0 and within 100 mm, or 30 degrees for a fork.");
        }
    }
}
