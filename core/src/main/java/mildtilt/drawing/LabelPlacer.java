package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds room for figures beside the places they belong to, so that none hides another or a line that
 * matters; where there is no room near by, farther off, with a line that leads there. Works in the units of the surface
 * drawn on, y downward.
 */
public final class LabelPlacer {

    private static final double[] DISTANCES = {7, 16, 28, 42, 60, 84, 112};
    private static final int DIRECTIONS = 16;
    /** Farther from its place than this a figure wants a line that leads to it. */
    private static final double LED = 40;

    private final Box surface;
    private final List<Box> taken = new ArrayList<>();
    private final List<double[]> lines = new ArrayList<>();

    public LabelPlacer(Box surface) {
        this.surface = surface;
    }

    /** A rectangle, its corner at the top left. */
    public record Box(double x, double y, double w, double h) {

        boolean meets(Box o) {
            return x < o.x + o.w && o.x < x + w && y < o.y + o.h && o.y < y + h;
        }

        Box grown(double by) {
            return new Box(x - by, y - by, w + 2 * by, h + 2 * by);
        }

        boolean holds(Box o) {
            return o.x >= x && o.y >= y && o.x + o.w <= x + w && o.y + o.h <= y + h;
        }

        /** Whether a straight line passes through: clipped against each side in turn (Liang and Barsky). */
        public boolean crossedBy(double x1, double y1, double x2, double y2) {
            double dx = x2 - x1;
            double dy = y2 - y1;
            double[] p = {-dx, dx, -dy, dy};
            double[] q = {x1 - x, x + w - x1, y1 - y, y + h - y1};
            double enter = 0;
            double leave = 1;
            for (int i = 0; i < 4; i++) {
                if (p[i] == 0) {
                    if (q[i] < 0) {
                        return false;
                    }
                } else if (p[i] < 0) {
                    enter = Math.max(enter, q[i] / p[i]);
                } else {
                    leave = Math.min(leave, q[i] / p[i]);
                }
            }
            return enter <= leave;
        }
    }

    /** Keeps a line free of figures. */
    public void keepClear(double x1, double y1, double x2, double y2) {
        keepClear(x1, y1, x2, y2, 0);
    }

    /** Keeps a bar free of figures. @param half of its width */
    public void keepClear(double x1, double y1, double x2, double y2, double half) {
        lines.add(new double[] {x1, y1, x2, y2, half});
    }

    /** Whether a place is free of lines and of other figures, within the surface. */
    public boolean free(Box box) {
        return surface.holds(box) && taken.stream().noneMatch(box::meets) && clear(box);
    }

    /** Whether a thin line crosses none of those that are kept clear, nor a figure. */
    public boolean freeLine(double x1, double y1, double x2, double y2) {
        return taken.stream().noneMatch(b -> b.crossedBy(x1, y1, x2, y2))
                && lines.stream().noneMatch(l -> meet(x1, y1, x2, y2, l[0], l[1], l[2], l[3]));
    }

    /** Whether two stretches cross: the ends of each lie on different sides of the other. */
    private static boolean meet(
            double ax, double ay, double bx, double by, double cx, double cy, double dx, double dy) {
        return turn(ax, ay, bx, by, cx, cy) * turn(ax, ay, bx, by, dx, dy) < 0
                && turn(cx, cy, dx, dy, ax, ay) * turn(cx, cy, dx, dy, bx, by) < 0;
    }

    private static double turn(double ax, double ay, double bx, double by, double cx, double cy) {
        return (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    }

    private boolean clear(Box box) {
        return lines.stream().noneMatch(l -> box.grown(l[4]).crossedBy(l[0], l[1], l[2], l[3]));
    }

    /** Where a figure goes. @param led whether a line should lead from its place to it */
    public record Spot(Box box, boolean led) {}

    /** Keeps a place free of figures. */
    public void keepClear(Box box) {
        taken.add(box);
    }

    /**
     * The nearest place for a figure of a given size that hides no other figure and no line that is to be kept clear,
     * which is
     * then taken; empty where there is none.
     */
    public Optional<Spot> place(double anchorX, double anchorY, double w, double h) {
        for (double d : DISTANCES) {
            for (int i = 0; i < DIRECTIONS; i++) {
                // First to the upper right, then round.
                double a = 2 * Math.PI * i / DIRECTIONS - Math.PI / 6;
                double cx = anchorX + Math.cos(a) * (d + w / 2);
                double cy = anchorY + Math.sin(a) * (d + h / 2);
                Box box = new Box(cx - w / 2, cy - h / 2, w, h);
                if (free(box)) {
                    taken.add(box);
                    return Optional.of(new Spot(box, d >= LED));
                }
            }
        }
        return Optional.empty();
    }
}
