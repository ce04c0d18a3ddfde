package mildtilt.survey;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.survey.Surveyed.Place;

/**
 * How far a vehicle's two sides differ, as measured.
 *
 * @param pairs each left point against the mirror image of its right one
 * @param axleDeg how far the line between both wheel centres is from square to the frame, degrees; + with the left wheel ahead; empty if they
 *     are not both measured
 * @param axleSd its ±, degrees
 */
public record Skew(List<Pair> pairs, Optional<Double> axleDeg, double axleSd) {

    private static final String LEFT = "left ";
    private static final String RIGHT = "right ";
    private static final String WHEEL = "wheel centre";

    /** @param off left less mirrored right, mm; @param sd ± of its length, mm */
    public record Pair(String what, Vector off, double sd) {

        /** Whether it is more than the measuring itself. */
        public boolean real() {
            return off.norm() > 2 * sd;
        }
    }

    public static Skew of(Surveyed s) {
        List<Pair> all = new ArrayList<>();
        s.places().forEach((name, left) -> {
            if (name.startsWith(LEFT)) {
                Optional.ofNullable(s.places().get(RIGHT + name.substring(LEFT.length()))).ifPresent(right ->
                        all.add(new Pair(name.substring(LEFT.length()), left.at().minus(right.at().mirrored()), Math.hypot(left.sd(), right.sd()))));
            }
        });
        Place l = s.places().get(LEFT + WHEEL);
        Place r = s.places().get(RIGHT + WHEEL);
        if (l == null || r == null) {
            return new Skew(List.copyOf(all), Optional.empty(), 0);
        }
        Point a = l.at();
        Point b = r.at();
        double apart = Math.hypot(a.x() - b.x(), a.y() - b.y());
        return new Skew(List.copyOf(all), Optional.of(Math.toDegrees(Math.atan2(a.x() - b.x(), a.y() - b.y()))), Math.toDegrees(Math.hypot(l.sdX(), r.sdX()) / apart));
    }
}
