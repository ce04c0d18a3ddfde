package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds room for figures beside the places they belong to, so that none hides another or a line that
 * matters. Works in the units of the surface drawn on, y downward.
 */
public final class LabelPlacer {

    private static final double[] DISTANCES = {7, 16, 28, 42};
    private static final int DIRECTIONS = 12;

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
        lines.add(new double[] {x1, y1, x2, y2});
    }

    /** Keeps a place free of figures. */
    public void keepClear(Box box) {
        taken.add(box);
    }

    /**
     * The nearest free place for a figure of a given size, which is then taken. Rather than be left out a
     * figure may cross a line; it is left out only where it would hide another figure.
     */
    public Optional<Box> place(double anchorX, double anchorY, double w, double h) {
        Box fallback = null;
        for (double d : DISTANCES) {
            for (int i = 0; i < DIRECTIONS; i++) {
                // First to the upper right, then round.
                double a = 2 * Math.PI * i / DIRECTIONS - Math.PI / 6;
                double cx = anchorX + Math.cos(a) * (d + w / 2);
                double cy = anchorY + Math.sin(a) * (d + h / 2);
                Box box = new Box(cx - w / 2, cy - h / 2, w, h);
                if (!surface.holds(box) || taken.stream().anyMatch(box::meets)) {
                    continue;
                }
                if (lines.stream().noneMatch(l -> box.crossedBy(l[0], l[1], l[2], l[3]))) {
                    taken.add(box);
                    return Optional.of(box);
                }
                if (fallback == null) {
                    fallback = box;
                }
            }
        }
        if (fallback != null) {
            taken.add(fallback);
        }
        return Optional.ofNullable(fallback);
    }
}
