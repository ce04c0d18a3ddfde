package mildtilt.photograph;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A printed mark in a photograph: where its dot's middle is.
 *
 * @param mark its number
 * @param across px
 * @param down px
 */
public record MarkSeen(int mark, double across, double down) {

    /** How well a middle is found, ± px each way: the picture's noise, and paper that is not quite flat. */
    public static final double SPREAD = 0.3;

    /** @throws ImpossibleGeometryException if there is no such mark, or its place is no number */
    public MarkSeen {
        if (mark < 1 || mark > MarkCode.count()) {
            throw new ImpossibleGeometryException(
                    "Marks are numbered from 1 to " + MarkCode.count() + "; there is no mark " + mark + ".");
        }
        if (!Double.isFinite(across) || !Double.isFinite(down)) {
            throw new ImpossibleGeometryException("A place in a photograph must be two numbers.");
        }
    }
}
