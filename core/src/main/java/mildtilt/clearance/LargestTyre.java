package mildtilt.clearance;

/**
 * The largest tyre that keeps its gaps to all round it, the wheel centre staying where it is.
 *
 * @param diameter at the width as it is, mm
 * @param width at the diameter as it is, grown alike on both sides, mm
 * @param diameterBy what stops a larger one
 * @param widthBy what stops a wider one
 */
public record LargestTyre(double diameter, double width, String diameterBy, String widthBy) {}
