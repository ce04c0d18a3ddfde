package mildtilt.machined;

import java.util.ArrayList;
import java.util.List;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternMark.Layer;
import mildtilt.template.PatternPoint;

/** Shapes that drawings of parts are made of. */
final class Outlines {

    /** Points of a quarter turn. */
    private static final int QUARTER = 24;

    private Outlines() {}

    /** With corners from left bottom to right top. */
    static PatternMark box(Layer layer, double left, double bottom, double right, double top) {
        return new PatternMark.Path(
                layer,
                List.of(
                        new PatternPoint(left, bottom),
                        new PatternPoint(right, bottom),
                        new PatternPoint(right, top),
                        new PatternPoint(left, top)),
                true);
    }

    /** A box from 0, 0 with rounded corners. */
    static PatternMark roundedBox(Layer layer, double wide, double high, double r) {
        if (r <= 0) {
            return box(layer, 0, 0, wide, high);
        }
        List<PatternPoint> spots = new ArrayList<>();
        spots.addAll(arc(wide - r, r, r, -90, 0));
        spots.addAll(arc(wide - r, high - r, r, 0, 90));
        spots.addAll(arc(r, high - r, r, 90, 180));
        spots.addAll(arc(r, r, r, 180, 270));
        return new PatternMark.Path(layer, spots, true);
    }

    /** Points of an arc, angles from the right against the clock. */
    static List<PatternPoint> arc(double x, double y, double r, double fromDeg, double toDeg) {
        int n = Math.max(2, (int) Math.ceil(Math.abs(toDeg - fromDeg) / 90 * QUARTER));
        List<PatternPoint> all = new ArrayList<>();
        for (int i = 0; i <= n; i++) {
            double a = Math.toRadians(fromDeg + (toDeg - fromDeg) * i / n);
            all.add(new PatternPoint(x + r * Math.cos(a), y + r * Math.sin(a)));
        }
        return all;
    }

    static PatternMark line(Layer layer, double x1, double y1, double x2, double y2) {
        return PatternMark.line(layer, x1, y1, x2, y2);
    }

    static PatternMark circle(Layer layer, double x, double y, double r) {
        return new PatternMark.Circle(layer, new PatternPoint(x, y), r);
    }

    /** Middle lines through a circle. */
    static List<PatternMark> cross(double x, double y, double half) {
        return List.of(line(Layer.CENTRE, x - half, y, x + half, y), line(Layer.CENTRE, x, y - half, x, y + half));
    }
}
