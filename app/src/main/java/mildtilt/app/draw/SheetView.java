package mildtilt.app.draw;

import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.geometry.Point;

/**
 * From the vehicle to the pixels of a pane and back.
 *
 * @param pixelsPerMm scale
 * @param originX pixel where across = 0
 * @param originY pixel where up = 0
 */
public record SheetView(Elevation elevation, double pixelsPerMm, double originX, double originY) {

    private static final double MARGIN = 26;

    public static SheetView fitting(Elevation elevation, Extent extent, double width, double height) {
        double w = Math.max(1, extent.width());
        double h = Math.max(1, extent.height());
        double margin = Math.min(MARGIN, 0.09 * Math.min(width, height));
        double k = Math.max(0.01, Math.min((width - 2 * margin) / w, (height - 2 * margin) / h));
        return new SheetView(elevation, k, width / 2 - extent.middleAcross() * k, height / 2 + extent.middleUp() * k);
    }

    public double x(Point p) {
        return originX + elevation.across(p) * pixelsPerMm;
    }

    public double y(Point p) {
        return originY - elevation.up(p) * pixelsPerMm;
    }

    public SheetView zoomed(double factor, double atX, double atY) {
        double k = Math.clamp(pixelsPerMm * factor, 0.02, 20);
        double f = k / pixelsPerMm;
        return new SheetView(elevation, k, atX + (originX - atX) * f, atY + (originY - atY) * f);
    }

    public SheetView moved(double dx, double dy) {
        return new SheetView(elevation, pixelsPerMm, originX + dx, originY + dy);
    }
}
