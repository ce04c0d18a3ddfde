package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.geometry.Vector;

/**
 * A bearing that its shaft is carried away from: the body, with the column tube and what is fixed to the bulkhead,
 * moves against
 * the frame, or the wheel is tilted, while the bearing stays where it is bolted. All that moves any way is taken at its
 * worst way.
 *
 * @param bearing index among the column's bearings
 * @param off how far the shaft would be carried off its middle if it did not hold it, mm; 0 where the shaft needs it
 * @param tiltDeg how far the shaft is made to lean in it, degrees
 * @param sideLoad with which it then presses, N
 * @param byFrame whether the frame's movement alone does more of it than the wheel's tilt
 */
public record ForcedBearing(int bearing, double off, double tiltDeg, double sideLoad, boolean byFrame) {

    /** Every bearing that is forced at all. */
    public static List<ForcedBearing> of(Column c) {
        Adjustment a = c.wheel().adjustment();
        double moves = c.installation().frameMovement();
        double tilt = Math.toRadians(Math.max(a.tiltUpDeg(), a.tiltDownDeg()));
        boolean tilts = tilt > 0 && c.tube().isPresent();
        if (c.bearings().isEmpty() || moves == 0 && !tilts) {
            return List.of();
        }
        ShaftBeams beams = new ShaftBeams(c, -1);
        double pivot = a.pivot().orElse(c.length(0));
        List<ForcedBearing> all = new ArrayList<>();
        for (int s = 0; s < beams.supports().size(); s++) {
            ShaftBeams.Support at = beams.supports().get(s);
            if (at.bearing() < 0) {
                continue;
            }
            int support = s;
            double frameTilt = worst(moves, m -> beams.shifted(beams.moved(m)).slope(support));
            double wheelTilt =
                    tilts ? length(beams.shifted(beams.tilted(pivot, tilt)).slope(support)) : 0;
            double frameOff = 0;
            double wheelOff = 0;
            double load = 0;
            if (OutOfLine.heldWithout(c, at)) {
                ShaftBeams without = new ShaftBeams(c, support);
                frameOff = worst(moves, m -> away(without, without.moved(m), support));
                wheelOff = tilts ? length(away(without, without.tilted(pivot, tilt), support)) : 0;
                load = worst(moves, m -> beams.shifted(beams.moved(m)).pressing(support))
                        + (tilts
                                ? length(
                                        beams.shifted(beams.tilted(pivot, tilt)).pressing(support))
                                : 0);
            }
            ForcedBearing f = new ForcedBearing(
                    at.bearing(),
                    frameOff + wheelOff,
                    Math.toDegrees(Math.atan(frameTilt + wheelTilt)),
                    load,
                    frameOff + c.length(at.shaft()) * frameTilt >= wheelOff + c.length(at.shaft()) * wheelTilt);
            if (f.off > 1e-6 || f.tiltDeg > 1e-6) {
                all.add(f);
            }
        }
        return List.copyOf(all);
    }

    public boolean pastItsAlignment(Column c) {
        return tiltDeg > c.bearings().get(bearing).kind().selfAlignDeg();
    }

    /** From where the bearing is carried to where the shaft runs without it. */
    private static double[] away(ShaftBeams without, ShaftBeams.Shift shifts, int support) {
        double[] runs = without.shifted(shifts).shift(support);
        return new double[] {runs[0] - shifts.supports()[support][0], runs[1] - shifts.supports()[support][1]};
    }

    private static double length(double[] v) {
        return Math.hypot(v[0], v[1]);
    }

    /**
     * The most of what goes in proportion to a movement, over all ways to move so far: the larger singular value of the
     * 2 × 3 matrix of what movements along the axes do.
     */
    private static double worst(double by, Function<Vector, double[]> of) {
        if (by == 0) {
            return 0;
        }
        double aa = 0;
        double bb = 0;
        double ab = 0;
        for (Vector way : new Vector[] {Vector.X, Vector.Y, Vector.Z}) {
            double[] r = of.apply(way);
            aa += r[0] * r[0];
            bb += r[1] * r[1];
            ab += r[0] * r[1];
        }
        return by * Math.sqrt((aa + bb) / 2 + Math.hypot((aa - bb) / 2, ab));
    }

    /** The same bearing bolted to the other of frame and bulkhead. */
    public static Bearing otherMount(Bearing b) {
        return b.withMount(b.mount() == Bearing.Mount.FRAME ? Bearing.Mount.BULKHEAD : Bearing.Mount.FRAME);
    }
}
