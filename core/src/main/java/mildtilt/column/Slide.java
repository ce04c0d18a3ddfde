package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A shaft of two parts that slide in each other.
 *
 * @param overlap how far one part stands in the other as planned, mm
 * @param leastOverlap below which it must never come, mm
 * @param closes how far it can be pushed together from the planned length before it bottoms, mm
 */
@Withers
public record Slide(double overlap, double leastOverlap, double closes) implements SlideBuilder.With {

    /** @throws ImpossibleGeometryException if a size is negative */
    public Slide {
        if (!(overlap >= 0 && leastOverlap >= 0 && closes >= 0)) {
            throw new ImpossibleGeometryException("Overlap and stroke of a sliding shaft can't be negative.");
        }
    }
}
