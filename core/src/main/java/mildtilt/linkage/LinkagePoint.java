package mildtilt.linkage;

import java.util.function.Function;
import mildtilt.geometry.Point;

/**
 * A point of what stands between gear and tie rods.
 *
 * @param label what a fabricator calls it
 * @param moved the axle with it elsewhere, and what hangs on it
 */
public record LinkagePoint(Which which, String label, Point at, Function<Point, SteeredAxle> moved) {

    /** Which it is. */
    public enum Which {
        /** On the idler arm's axis; the whole idler goes with it. */
        IDLER_PIVOT,
        IDLER_END,
        /** On the bell crank's pivot; the whole crank goes with it. */
        CRANK_PIVOT,
        /** On the relay arm's pivot; the whole arm goes with it. */
        RELAY_PIVOT,
        RELAY_LINK,
        RELAY_DRAG_LINK,
        /** Of a shuttle on its bar. */
        BUSHES,
        /** Where the rod from the gear's arm drives. */
        DRIVEN,
        LEFT_INNER,
        RIGHT_INNER
    }
}
