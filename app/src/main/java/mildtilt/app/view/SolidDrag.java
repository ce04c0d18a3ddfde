package mildtilt.app.view;

import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Dragging a point in the solid view: looked at square, it moves in the plane of the picture; looked at askew, along
 * the axis of the vehicle that
 * the pointer follows best.
 *
 * @param from where the point was
 * @param axes how far one mm along x, y and z goes on the screen, pixels right and down
 */
record SolidDrag(Point from, List<double[]> axes) {

    /** An axis that is seen shorter than this part of the longest is looked along. */
    private static final double ALONG = 0.18;

    private static final List<Vector> UNIT = List.of(Vector.X, Vector.Y, Vector.Z);
    private static final List<String> NAMES = List.of("x, fore and aft", "y, across", "z, up and down");

    SolidDrag {
        axes = List.copyOf(axes);
    }

    /**
     * Where the point goes, and how it is held to go.
     *
     * @param words as the user reads it
     */
    record Held(Point at, String words) {}

    /** @param step whole multiples of this are kept to along each axis that is moved along, mm */
    Held target(double right, double down, double step) {
        double longest =
                axes.stream().mapToDouble(a -> Math.hypot(a[0], a[1])).max().orElseThrow();
        for (int i = 0; i < 3; i++) {
            if (Math.hypot(axes.get(i)[0], axes.get(i)[1]) < ALONG * longest) {
                return inPlane((i + 1) % 3, (i + 2) % 3, right, down, step);
            }
        }
        int best = 0;
        double most = -1;
        for (int i = 0; i < 3; i++) {
            double[] a = axes.get(i);
            double with = Math.abs(a[0] * right + a[1] * down) / Math.hypot(a[0], a[1]);
            if (with > most) {
                most = with;
                best = i;
            }
        }
        double[] a = axes.get(best);
        double mm = (a[0] * right + a[1] * down) / (a[0] * a[0] + a[1] * a[1]);
        return new Held(moved(best, mm, step), "along " + NAMES.get(best));
    }

    private Held inPlane(int i, int j, double right, double down, double step) {
        double[] a = axes.get(i);
        double[] b = axes.get(j);
        double det = a[0] * b[1] - a[1] * b[0];
        double alongI = (right * b[1] - down * b[0]) / det;
        double alongJ = (a[0] * down - a[1] * right) / det;
        Point one = moved(i, alongI, step);
        return new Held(new SolidDrag(one, axes).moved(j, alongJ, step), "in the plane of the picture");
    }

    private Point moved(int axis, double mm, double step) {
        double was = axis == 0 ? from.x() : axis == 1 ? from.y() : from.z();
        double to = Math.rint((was + mm) / step) * step;
        return from.plus(UNIT.get(axis).times(to - was));
    }
}
