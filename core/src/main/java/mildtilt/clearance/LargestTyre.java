package mildtilt.clearance;

import java.util.List;

/**
 * The largest tyre that keeps its gaps to all round it, the wheel centre staying where it is. Never smaller than the
 * rim it stands on.
 *
 * @param diameter at the width as it is, mm
 * @param width at the diameter as it is, grown alike on both sides, mm
 * @param diameterBy what stops a larger one
 * @param widthBy what stops a wider one
 * @param spaced what wheel spacers would give
 */
public record LargestTyre(double diameter, double width, String diameterBy, String widthBy, List<Spaced> spaced) {

    public LargestTyre {
        spaced = List.copyOf(spaced);
    }

    /**
     * With a spacer behind each wheel, which carries it outboard and makes the scrub radius larger by as much.
     *
     * @param spacer its thickness, mm
     * @param diameter of the largest tyre then, at the width as it is, mm
     * @param width of the widest then, at the diameter as it is, mm
     */
    public record Spaced(double spacer, double diameter, double width) {}
}
