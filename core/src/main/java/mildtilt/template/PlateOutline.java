package mildtilt.template;

import java.util.ArrayList;
import java.util.List;

/** Outlines round circles and corners, as closed paths with arcs of short chords. */
final class PlateOutline {

    /** Chords of an arc turn by no more than this, rad: a hundredth of a millimetre on a radius of 65. */
    private static final double CHORD = Math.toRadians(2);

    private PlateOutline() {}

    /**
     * Round two circles, with the tangents between them: the first at the origin, the second on the x axis.
     * {@code cos α = (r1 − r2) / length} is where the tangents leave, from the line of centres.
     */
    static List<PatternPoint> roundTwo(double r1, double r2, double length) {
        double a = Math.acos(Math.clamp((r1 - r2) / length, -1, 1));
        List<PatternPoint> all = new ArrayList<>();
        arc(all, 0, 0, r1, a, 2 * Math.PI - a);
        arc(all, length, 0, r2, -a, a);
        return all;
    }

    /**
     * Round a circle at the origin and along a foot below it: tangents from the foot's ends to the circle.
     *
     * @param foot from left to right, all below the circle
     */
    static List<PatternPoint> roundAndFoot(double r, List<PatternPoint> foot) {
        PatternPoint left = foot.getFirst();
        PatternPoint right = foot.getLast();
        List<PatternPoint> all = new ArrayList<>(foot);
        double from = tangent(right, r, 1);
        double to = tangent(left, r, -1);
        arc(all, 0, 0, r, from, to < from ? to + 2 * Math.PI : to);
        return all;
    }

    /**
     * Direction of the point where the tangent from a spot touches the circle, rad. @param way 1 to the right of the
     * line from the spot to the middle
     */
    private static double tangent(PatternPoint s, double r, int way) {
        double d = Math.hypot(s.x(), s.y());
        return Math.atan2(s.y(), s.x()) + way * Math.acos(Math.min(1, r / d));
    }

    private static void arc(List<PatternPoint> all, double x, double y, double r, double from, double to) {
        int n = Math.max(1, (int) Math.ceil((to - from) / CHORD));
        for (int i = 0; i <= n; i++) {
            double at = from + (to - from) * i / n;
            all.add(new PatternPoint(x + r * Math.cos(at), y + r * Math.sin(at)));
        }
    }
}
