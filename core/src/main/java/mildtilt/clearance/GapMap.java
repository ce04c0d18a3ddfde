package mildtilt.clearance;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The tightest margin in each place of steering wheel against travel, of the pairs that either changes.
 *
 * @param steeringWheelDeg of the grid, from right to left
 * @param travels of the left wheel, from droop to bump, mm
 * @param cells row by row of travel
 */
public record GapMap(List<Double> steeringWheelDeg, List<Double> travels, List<Cell> cells) {

    /** Margins over this are not reported one by one, mm. */
    public static final double AMPLE = 20;

    /**
     * @param margin mm, {@link #AMPLE} or less
     * @param pair whose margin it is; null where nothing is near
     * @param reachable whether knuckle stops and tyres as set let the wheels go there, and the linkage does
     */
    public record Cell(double margin, @Nullable String pair, boolean reachable) {}

    public Cell cell(int steer, int travel) {
        return cells.get(travel * steeringWheelDeg.size() + steer);
    }
}
