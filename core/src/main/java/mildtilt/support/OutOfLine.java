package mildtilt.support;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.strength.Steel;

/**
 * Bearings that fight each other: more places hold a shaft than two, and they do not lie on one line.
 *
 * @param bearing index among the column's bearings of the one that is off
 * @param off from the line through the outermost two other supports, mm
 * @param tiltDeg how far the shaft leans in it against its mount, degrees
 * @param sideLoad with which the shaft, bent back into it, presses on it, N; 0 with only two supports
 */
public record OutOfLine(int bearing, double off, double tiltDeg, double sideLoad) {

    /** A place that holds the shaft, and how far it lies off the planned line. */
    private record Place(double along, double across, double up, int bearing) {}

    /** Every bearing that was measured off its shaft's line or is leant on. */
    public static List<OutOfLine> of(Column c) {
        List<OutOfLine> all = new ArrayList<>();
        for (int shaft = 0; shaft < c.shafts().size(); shaft++) {
            List<Place> places = places(c, shaft);
            for (Place p : places) {
                if (p.bearing >= 0) {
                    all.add(of(c, c.shafts().get(shaft), p, places));
                }
            }
        }
        return all.stream().filter(o -> o.off > 1e-9 || o.tiltDeg > 1e-9).toList();
    }

    private static List<Place> places(Column c, int shaft) {
        List<Place> places = new ArrayList<>();
        if (shaft == 0) {
            c.tube().ifPresent(t -> {
                places.add(new Place(t.from(), 0, 0, -1));
                places.add(new Place(t.to(), 0, 0, -1));
            });
        }
        for (int i = 0; i < c.bearings().size(); i++) {
            Bearing b = c.bearings().get(i);
            if (b.shaft() == shaft) {
                places.add(new Place(b.along(), b.offAcross(), b.offUp(), i));
            }
        }
        // A joint holds its end of the shaft only where the shaft beyond it is held; the gear always does.
        List<Boolean> held = Supports.of(c).held();
        if (shaft > 0 && held.get(shaft - 1) && c.joints().get(shaft - 1).kind().locates()) {
            places.add(new Place(0, 0, 0, -1));
        }
        if (shaft == c.joints().size() || held.get(shaft + 1) && c.joints().get(shaft).kind().locates()) {
            places.add(new Place(c.length(shaft), 0, 0, -1));
        }
        places.sort(Comparator.comparingDouble(Place::along));
        return places;
    }

    private static OutOfLine of(Column c, Shaft s, Place p, List<Place> places) {
        List<Place> others = places.stream().filter(o -> o != p && Math.abs(o.along - p.along) > 1e-6).toList();
        if (others.isEmpty()) {
            return new OutOfLine(p.bearing, 0, 0, 0);
        }
        if (others.size() == 1) {
            // Two places only: the shaft leans, it is not bent.
            Place o = others.getFirst();
            double lean = Math.hypot(p.across - o.across, p.up - o.up) / Math.abs(p.along - o.along);
            return new OutOfLine(p.bearing, 0, Math.toDegrees(Math.atan(lean)), 0);
        }
        Place a = others.getFirst();
        Place b = others.getLast();
        double t = (p.along - a.along) / (b.along - a.along);
        double across = p.across - (a.across + t * (b.across - a.across));
        double up = p.up - (a.up + t * (b.up - a.up));
        double off = Math.hypot(across, up);
        double lean = Math.hypot(b.across - a.across, b.up - a.up) / (b.along - a.along);
        return new OutOfLine(p.bearing, off, Math.toDegrees(Math.atan(lean)), off * stiffness(s, p.along - a.along, b.along - p.along));
    }

    /** Of a beam on two supports, pressed at a from one and b from the other: {@code 3 E I L / (a² b²)}; past its end {@code 3 E I / (a² (a + L))}. */
    private static double stiffness(Shaft s, double a, double b) {
        double d = s.profile().roundNoStronger();
        double ei = Steel.E * Math.PI / 64 * (Math.pow(d, 4) - Math.pow(s.bore(), 4));
        if (a > 0 && b > 0) {
            return 3 * ei * (a + b) / (a * a * b * b);
        }
        double over = Math.min(Math.abs(a), Math.abs(b));
        double span = Math.abs(a + b);
        return 3 * ei / (over * over * (over + span));
    }

    public boolean pastItsAlignment(Column c) {
        return tiltDeg > c.bearings().get(bearing).kind().selfAlignDeg();
    }
}
