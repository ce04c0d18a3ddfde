package mildtilt.column;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * The tube round the first shaft, with a bearing at either end.
 *
 * @param outside diameter, mm
 * @param from from the hub to the upper bearing, along the first shaft, mm
 * @param to from the hub to the lower bearing, mm
 * @param collapse how far the column can be pushed together by a blow, mm; 0 for one that can't
 */
public record ColumnTube(double outside, double from, double to, double collapse) {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public ColumnTube {
        if (!(outside > 0)) {
            throw new ImpossibleGeometryException("The column tube's diameter must be above 0.");
        }
        if (!(from >= 0 && to > from)) {
            throw new ImpossibleGeometryException("The column tube's upper bearing must lie below the hub, and its lower bearing below the upper.");
        }
        if (!(collapse >= 0)) {
            throw new ImpossibleGeometryException("The stroke the column collapses by can't be negative.");
        }
    }

    public ColumnTube withOutside(double mm) {
        return new ColumnTube(mm, from, to, collapse);
    }

    public ColumnTube withFrom(double mm) {
        return new ColumnTube(outside, mm, to, collapse);
    }

    public ColumnTube withTo(double mm) {
        return new ColumnTube(outside, from, mm, collapse);
    }

    public ColumnTube withCollapse(double mm) {
        return new ColumnTube(outside, from, to, mm);
    }
}
