package mildtilt.bearings;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Column;
import mildtilt.column.Shaft;
import mildtilt.shaftload.Steel;

/**
 * The longest stretch of a shaft between two places that hold it, and how slowly it can shake there.
 *
 * <p>First frequency of a beam resting on both ends: {@code f = (π/2) k c / L²} with k the section's radius of gyration
 * and c = sqrt(E/ρ) the speed of sound in it (Euler and Bernoulli's beam). Forks and joints are left out; their weight
 * brings it lower, so it is taken with the rule's margin.
 *
 * @param shaft 0 the first
 * @param from mm from the shaft's wheel end
 * @param to mm from the shaft's wheel end
 * @param hertz first frequency of that stretch
 */
public record Span(int shaft, double from, double to, double hertz) {

    public double length() {
        return to - from;
    }

    /**
     * Between the places that hold the shaft: its joints, the gear and its bearings; what hangs over at the steering
     * wheel counts double.
     */
    public static Span longest(Column c, int shaft) {
        List<Double> places = new ArrayList<>(c.supportsOn(shaft));
        if (shaft > 0) {
            places.addFirst(0.0);
        }
        places.addLast(c.length(shaft));
        if (shaft == 0 && places.size() > 1) {
            // The hub end is free: what hangs over there shakes no faster than a span of twice its length.
            places.addFirst(-places.getFirst());
        } else if (shaft == 0) {
            places.addFirst(0.0);
        }
        double from = 0;
        double to = 0;
        for (int i = 1; i < places.size(); i++) {
            if (places.get(i) - places.get(i - 1) > to - from) {
                from = places.get(i - 1);
                to = places.get(i);
            }
        }
        return new Span(shaft, from, to, hertz(c.shafts().get(shaft), to - from));
    }

    /** Of a stretch of this length, mm. */
    public static double hertz(Shaft s, double length) {
        double k = Math.hypot(s.profile().roundNoStronger(), s.bore()) / 4;
        return Math.PI / 2 * k * Steel.SOUND_MM_PER_S / (length * length);
    }

    /** The longest stretch that shakes no slower, mm. */
    public static double longestFor(Shaft s, double hertz) {
        double k = Math.hypot(s.profile().roundNoStronger(), s.bore()) / 4;
        return Math.sqrt(Math.PI / 2 * k * Steel.SOUND_MM_PER_S / hertz);
    }
}
