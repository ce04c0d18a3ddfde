package mildtilt.solid;

import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** An upright box round something, mm. */
public record Bounds(double minX, double minY, double minZ, double maxX, double maxY, double maxZ) {

    static Bounds of(double[] points) {
        double[] b = {
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            Double.NEGATIVE_INFINITY,
            Double.NEGATIVE_INFINITY,
            Double.NEGATIVE_INFINITY
        };
        for (int i = 0; i < points.length; i += 3) {
            for (int k = 0; k < 3; k++) {
                b[k] = Math.min(b[k], points[i + k]);
                b[3 + k] = Math.max(b[3 + k], points[i + k]);
            }
        }
        return new Bounds(b[0], b[1], b[2], b[3], b[4], b[5]);
    }

    public Bounds grown(double x, double y, double z) {
        return new Bounds(minX - x, minY - y, minZ - z, maxX + x, maxY + y, maxZ + z);
    }

    public Bounds grown(double by) {
        return grown(by, by, by);
    }

    public Bounds with(Bounds o) {
        return new Bounds(
                Math.min(minX, o.minX),
                Math.min(minY, o.minY),
                Math.min(minZ, o.minZ),
                Math.max(maxX, o.maxX),
                Math.max(maxY, o.maxY),
                Math.max(maxZ, o.maxZ));
    }

    /** Between two boxes, mm; 0 where they overlap. */
    public double distanceTo(Bounds o) {
        double x = Math.max(0, Math.max(minX - o.maxX, o.minX - maxX));
        double y = Math.max(0, Math.max(minY - o.maxY, o.minY - maxY));
        double z = Math.max(0, Math.max(minZ - o.maxZ, o.minZ - maxZ));
        return Math.sqrt(x * x + y * y + z * z);
    }

    /**
     * No smaller gap than this can be between what two boxes hold, mm: below 0 the least move that parts the boxes
     * along an axis.
     */
    public double leastGap(Bounds o) {
        double in = Math.min(
                Math.min(o.maxX - minX, maxX - o.minX),
                Math.min(Math.min(o.maxY - minY, maxY - o.minY), Math.min(o.maxZ - minZ, maxZ - o.minZ)));
        return in > 0 ? -in : distanceTo(o);
    }

    public Point middle() {
        return new Point((minX + maxX) / 2, (minY + maxY) / 2, (minZ + maxZ) / 2);
    }

    /** From the middle to the side that lies along an axis. @param along that axis, of length 1 */
    public double toSide(Vector along) {
        Vector half = size().times(0.5);
        return Math.abs(along.x()) * half.x() + Math.abs(along.y()) * half.y() + Math.abs(along.z()) * half.z();
    }

    /** Length, width and height. */
    public Vector size() {
        return new Vector(maxX - minX, maxY - minY, maxZ - minZ);
    }
}
