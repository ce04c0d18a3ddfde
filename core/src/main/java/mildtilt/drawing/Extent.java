package mildtilt.drawing;

import mildtilt.geometry.Point;

/** How much room a sketch takes in an elevation, mm. */
public record Extent(double left, double bottom, double right, double top) {

    public static Extent of(Sketch sketch, Elevation elevation) {
        double left = Double.POSITIVE_INFINITY;
        double bottom = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double top = Double.NEGATIVE_INFINITY;
        for (Stroke stroke : sketch.strokes()) {
            for (Point p : stroke.points()) {
                left = Math.min(left, elevation.across(p));
                right = Math.max(right, elevation.across(p));
                bottom = Math.min(bottom, elevation.up(p));
                top = Math.max(top, elevation.up(p));
            }
        }
        return left > right ? new Extent(-500, -500, 500, 500) : new Extent(left, bottom, right, top);
    }

    public double width() {
        return right - left;
    }

    public double height() {
        return top - bottom;
    }

    public double middleAcross() {
        return (left + right) / 2;
    }

    public double middleUp() {
        return (bottom + top) / 2;
    }
}
