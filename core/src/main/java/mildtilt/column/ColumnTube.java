package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * The tube round the first shaft, with a bearing at either end.
 *
 * @param outside diameter, mm
 * @param from from the hub to the upper bearing, along the first shaft, mm
 * @param to from the hub to the lower bearing, mm
 * @param collapse how far the column can be pushed together by a blow, mm; 0 for one that can't
 * @param beyond how far the tube stands out beyond the middle of each bearing, mm
 */
@Withers
public record ColumnTube(double outside, double from, double to, double collapse, double beyond)
        implements ColumnTubeBuilder.With {

    /** Half a usual bearing's width, mm. */
    public static final double USUAL_BEYOND = 10;

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public ColumnTube {
        if (!(outside > 0)) {
            throw new ImpossibleGeometryException("The column tube's diameter must be above 0.");
        }
        if (!(from >= 0 && to > from)) {
            throw new ImpossibleGeometryException(
                    "The column tube's upper bearing must lie below the hub, and its lower bearing below the upper.");
        }
        if (!(collapse >= 0)) {
            throw new ImpossibleGeometryException("The stroke the column collapses by can't be negative.");
        }
        if (!(beyond >= 0)) {
            throw new ImpossibleGeometryException("A column tube can't end before the middle of its bearings.");
        }
    }

    /** Standing out by half a usual bearing. */
    public ColumnTube(double outside, double from, double to, double collapse) {
        this(outside, from, to, collapse, USUAL_BEYOND);
    }

    /** From end to end, mm. */
    public double length() {
        return to - from + 2 * beyond;
    }
}
