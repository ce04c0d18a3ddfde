package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Column;

/**
 * A bearing that was measured off its shaft's line, or that the shaft leans in for it.
 *
 * @param bearing index among the column's bearings of the one that is off
 * @param off from where the shaft would run without it, the others as measured, mm; 0 where the shaft needs it to be
 * held at all
 * @param tiltDeg how far the shaft leans in it against its mount, degrees
 * @param sideLoad with which the shaft, bent back into it, presses on it, N; 0 where no more places hold the shaft than
 * it needs
 */
public record OutOfLine(int bearing, double off, double tiltDeg, double sideLoad) {

    /**
     * Every bearing that was measured off its shaft's line or is leant on, those that stay so with nothing off left
     * out.
     */
    public static List<OutOfLine> of(Column c) {
        if (c.bearings().stream().allMatch(b -> b.off() == 0)) {
            return List.of();
        }
        ShaftBeams beams = new ShaftBeams(c, -1);
        ShaftBeams.Bent bent = beams.shifted(beams.measured());
        List<OutOfLine> all = new ArrayList<>();
        for (int s = 0; s < beams.supports().size(); s++) {
            ShaftBeams.Support at = beams.supports().get(s);
            if (at.bearing() >= 0) {
                double tilt = Math.toDegrees(Math.atan(Math.hypot(bent.slope(s)[0], bent.slope(s)[1])));
                boolean spare = heldWithout(c, at);
                double off = spare ? off(c, s) : 0;
                all.add(new OutOfLine(
                        at.bearing(), off, tilt, spare ? Math.hypot(bent.pressing(s)[0], bent.pressing(s)[1]) : 0));
            }
        }
        return all.stream().filter(o -> o.off > 1e-6 || o.tiltDeg > 1e-6).toList();
    }

    private static double off(Column c, int support) {
        ShaftBeams without = new ShaftBeams(c, support);
        double[] is = without.measured().supports()[support];
        double[] would = without.shifted(without.measured()).shift(support);
        return Math.hypot(is[0] - would[0], is[1] - would[1]);
    }

    /** Whether its shaft would be held without it. */
    static boolean heldWithout(Column c, ShaftBeams.Support support) {
        Column without = support.bearing() >= 0
                ? c.withBearings(c.bearings().stream()
                        .filter(b -> b != c.bearings().get(support.bearing()))
                        .toList())
                : c;
        return Supports.of(without).held().get(support.shaft());
    }

    public boolean pastItsAlignment(Column c) {
        return tiltDeg > c.bearings().get(bearing).kind().selfAlignDeg();
    }
}
