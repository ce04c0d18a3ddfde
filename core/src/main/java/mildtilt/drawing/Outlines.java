package mildtilt.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Flat outlines. */
public final class Outlines {

    private Outlines() {}

    /** A place on the sheet, mm. */
    public record Flat(double across, double up) {}

    /** The outline a stroke's points have in an elevation: their convex hull, by Andrew's monotone chain. */
    public static List<Flat> of(Stroke.Outline stroke, Elevation elevation) {
        List<Flat> sorted = stroke.points().stream()
                .map(p -> new Flat(elevation.across(p), elevation.up(p)))
                .sorted(Comparator.comparingDouble(Flat::across).thenComparingDouble(Flat::up))
                .toList();
        List<Flat> hull = new ArrayList<>(half(sorted));
        hull.removeLast();
        hull.addAll(half(sorted.reversed()));
        return hull;
    }

    private static List<Flat> half(List<Flat> points) {
        List<Flat> chain = new ArrayList<>();
        for (Flat p : points) {
            while (chain.size() >= 2 && !turnsLeft(chain.get(chain.size() - 2), chain.getLast(), p)) {
                chain.removeLast();
            }
            chain.add(p);
        }
        return chain;
    }

    private static boolean turnsLeft(Flat a, Flat b, Flat c) {
        return (b.across - a.across) * (c.up - a.up) - (b.up - a.up) * (c.across - a.across) > 0;
    }
}
