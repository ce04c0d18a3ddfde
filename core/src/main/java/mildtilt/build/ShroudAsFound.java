package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * The cover round a column as it was found.
 *
 * @param from from the hub to its edge at the wheel, along the first shaft, mm
 */
@Withers
public record ShroudAsFound(double from, PartAsFound part) implements ShroudAsFoundBuilder.With {

    /** @throws ImpossibleGeometryException if it begins before the hub */
    public ShroudAsFound {
        if (!(from >= 0)) {
            throw new ImpossibleGeometryException("A shroud begins at the hub or past it.");
        }
    }
}
