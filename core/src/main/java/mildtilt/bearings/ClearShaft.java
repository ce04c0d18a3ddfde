package mildtilt.bearings;

import mildtilt.column.Column;

/**
 * The part of a shaft that is clear of the forks at its ends, where a bearing can sit.
 *
 * @param from mm from its wheel-end centre
 * @param to mm from its wheel-end centre
 */
public record ClearShaft(double from, double to) {

    private static final double ROUNDING = 1e-6;

    public static ClearShaft of(Column c, int shaft) {
        return new ClearShaft(
                c.wheelEndFit(shaft).takeOff(),
                c.length(shaft) - c.gearEndFit(shaft).takeOff());
    }

    public boolean holds(double along) {
        return along >= from - ROUNDING && along <= to + ROUNDING;
    }

    /** Whether every bearing, and the lower one of the tube, sits on its shaft. */
    public static boolean holdsAll(Column c) {
        return c.tube().map(t -> t.to() <= of(c, 0).to + ROUNDING).orElse(true)
                && c.bearings().stream().allMatch(b -> of(c, b.shaft()).holds(b.along()));
    }
}
