package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A shaft of two parts that slide in each other.
 *
 * @param overlap how far one part stands in the other as planned, mm
 * @param leastOverlap below which it must never come, mm
 * @param closes how far it can be pushed together from the planned length before it bottoms, mm
 */
public record Slide(double overlap, double leastOverlap, double closes) {

    /** @throws ImpossibleGeometryException if a size is negative */
    public Slide {
        if (!(overlap >= 0 && leastOverlap >= 0 && closes >= 0)) {
            throw new ImpossibleGeometryException("Overlap and stroke of a sliding shaft can't be negative.");
        }
    }

    public Slide withOverlap(double mm) {
        return new Slide(mm, leastOverlap, closes);
    }

    public Slide withLeastOverlap(double mm) {
        return new Slide(overlap, mm, closes);
    }

    public Slide withCloses(double mm) {
        return new Slide(overlap, leastOverlap, mm);
    }
}
