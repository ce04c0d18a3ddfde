package mildtilt.template;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.units.Phrase;

/**
 * One pattern at full size.
 *
 * @param name what it is for
 * @param how to use it, in a sentence or two
 * @param thickness of the plate it is cut from, mm; empty for a paper strip or a mark on what is there
 */
public record FlatPattern(String name, Phrase how, Optional<Double> thickness, List<PatternMark> inks) {

    public FlatPattern {
        inks = List.copyOf(inks);
    }

    /** @param left least x, mm, and so on */
    public record Bounds(double left, double bottom, double right, double top) {
        public double width() {
            return right - left;
        }

        public double height() {
            return top - bottom;
        }
    }

    /** Round all lines; words may stand out of it. */
    public Bounds bounds() {
        double[] b = {
            Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY
        };
        for (PatternMark ink : inks) {
            switch (ink) {
                case PatternMark.Path p -> p.spots().forEach(s -> reach(b, s.x(), s.y()));
                case PatternMark.Circle c -> {
                    reach(b, c.centre().x() - c.radius(), c.centre().y() - c.radius());
                    reach(b, c.centre().x() + c.radius(), c.centre().y() + c.radius());
                }
                case PatternMark.Words _ -> {}
            }
        }
        return new Bounds(b[0], b[1], b[2], b[3]);
    }

    private static void reach(double[] b, double x, double y) {
        b[0] = Math.min(b[0], x);
        b[1] = Math.min(b[1], y);
        b[2] = Math.max(b[2], x);
        b[3] = Math.max(b[3], y);
    }

    /** Of the plate, mm²: the largest outline that is cut, less all that is cut out of it. */
    public double area() {
        List<Double> areas = new ArrayList<>();
        for (PatternMark ink : inks) {
            switch (ink) {
                case PatternMark.Path p
                when p.layer() == PatternMark.Layer.CUT && p.closed() -> areas.add(area(p.spots()));
                case PatternMark.Circle c
                when c.layer() == PatternMark.Layer.CUT -> areas.add(Math.PI * c.radius() * c.radius());
                case PatternMark.Path _, PatternMark.Circle _, PatternMark.Words _ -> {}
            }
        }
        double largest = areas.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        return 2 * largest - areas.stream().mapToDouble(Double::doubleValue).sum();
    }

    private static double area(List<PatternPoint> s) {
        double twice = 0;
        for (int i = 0; i < s.size(); i++) {
            PatternPoint a = s.get(i);
            PatternPoint b = s.get((i + 1) % s.size());
            twice += a.x() * b.y() - b.x() * a.y();
        }
        return Math.abs(twice) / 2;
    }
}
