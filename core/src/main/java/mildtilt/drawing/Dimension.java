package mildtilt.drawing;

import java.util.Optional;
import mildtilt.drawing.LabelPlacer.Box;

/**
 * Where a dimension goes that is drawn beside what it measures, in the units of the surface drawn on, y downward.
 *
 * @param lines x and y of the start and of the end of each: the two extension lines, then the dimension line itself
 * @param figure where its figure is written, across the dimension line
 */
public record Dimension(double[][] lines, Box figure) {

    /** From the line measured to its dimension line, in heights of the figure. */
    private static final double[] OFFSETS = {1.65, -1.65, 2.5, -2.5, 3.5, -3.5, 4.75, -4.75};

    private static final double[] ALONG = {0.5, 0.36, 0.64};
    private static final double FROM_PART = 0.56;
    private static final double OVER = 0.25;
    /** A length seen shorter than this part of itself is not measured on this sheet. */
    private static final double FORESHORTENED = 0.6;

    /**
     * The nearest free place beside the stretch from a to b; taken in the placer if there is one.
     *
     * @param trueLength of what is measured, on the surface, were it seen square
     * @param w width of the figure
     * @param h height of the figure
     * @param arrow length of an arrowhead
     * @param above whether above the stretch is better than below it
     */
    public static Optional<Dimension> place(
            LabelPlacer placer,
            double ax,
            double ay,
            double bx,
            double by,
            double trueLength,
            double w,
            double h,
            double arrow,
            boolean above) {
        double length = Math.hypot(bx - ax, by - ay);
        if (length < w + 2 * arrow || length < FORESHORTENED * trueLength) {
            return Optional.empty();
        }
        double way = (above ? -1 : 1) * (bx >= ax ? 1 : -1);
        double nx = -(by - ay) / length * way;
        double ny = (bx - ax) / length * way;
        for (double factor : OFFSETS) {
            double off = factor * h;
            double x1 = ax + nx * off;
            double y1 = ay + ny * off;
            double x2 = bx + nx * off;
            double y2 = by + ny * off;
            if (!placer.freeLine(x1, y1, x2, y2)) {
                continue;
            }
            for (double along : ALONG) {
                Box box = new Box(x1 + (x2 - x1) * along - w / 2, y1 + (y2 - y1) * along - h / 2, w, h);
                if (placer.free(box)) {
                    placer.keepClear(box);
                    // Later figures stay off this line as they do off the parts.
                    placer.keepClear(x1, y1, x2, y2);
                    double from = FROM_PART * h * Math.signum(off);
                    double to = off + OVER * h * Math.signum(off);
                    return Optional.of(new Dimension(
                            new double[][] {
                                {ax + nx * from, ay + ny * from, ax + nx * to, ay + ny * to},
                                {bx + nx * from, by + ny * from, bx + nx * to, by + ny * to},
                                {x1, y1, x2, y2}
                            },
                            box));
                }
            }
        }
        return Optional.empty();
    }

    /** The dimension line: x and y of its start, then of its end. */
    public double[] line() {
        return lines[2];
    }

    /** The three corners of the arrowhead at one end of the dimension line, x and y in turn. */
    public double[] arrow(boolean atStart, double size) {
        double[] l = line();
        double x = atStart ? l[0] : l[2];
        double y = atStart ? l[1] : l[3];
        double back = atStart ? Math.atan2(l[3] - l[1], l[2] - l[0]) : Math.atan2(l[1] - l[3], l[0] - l[2]);
        return new double[] {
            x,
            y,
            x + size * Math.cos(back + 0.26),
            y + size * Math.sin(back + 0.26),
            x + size * Math.cos(back - 0.26),
            y + size * Math.sin(back - 0.26)
        };
    }
}
