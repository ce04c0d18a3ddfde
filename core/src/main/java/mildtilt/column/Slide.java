package mildtilt.column;

import java.util.Optional;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A shaft of two parts that slide in each other.
 *
 * @param overlap how far one part stands in the other as planned, mm
 * @param leastOverlap below which it must never come, mm
 * @param closes how far it can be pushed together from the planned length before it bottoms, mm
 * @param middle from the shaft's wheel-end centre to the overlap's middle as planned, mm; in the shaft's middle if
 *     empty
 */
@Withers
public record Slide(double overlap, double leastOverlap, double closes, Optional<Double> middle)
        implements SlideBuilder.With {

    /** @throws ImpossibleGeometryException if a size is negative */
    public Slide {
        if (!(overlap >= 0 && leastOverlap >= 0 && closes >= 0)) {
            throw new ImpossibleGeometryException("Overlap and stroke of a sliding shaft can't be negative.");
        }
        if (middle.filter(m -> !(m > 0)).isPresent()) {
            throw new ImpossibleGeometryException("The overlap of a sliding shaft lies on it, past its wheel end.");
        }
    }

    /** With its overlap in the shaft's middle. */
    public Slide(double overlap, double leastOverlap, double closes) {
        this(overlap, leastOverlap, closes, Optional.empty());
    }
}
