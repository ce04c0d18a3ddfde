package mildtilt.photograph;

import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** A photograph drawn as if one plane in it were looked at square on, its lens straightened. */
public final class SquareOn {

    private SquareOn() {}

    /** A picture, row by row from the top. @param argb a pixel each, its opacity in the highest byte */
    public record Picture(int width, int height, int[] argb) {}

    /** What place of the plane a pixel of the drawing shows. */
    public interface Place {
        Point at(double across, double down);
    }

    /**
     * @param taken the photograph; it may be smaller than the lens is counted for
     * @param lens for a picture as wide as {@code counted}
     * @param counted px
     * @param place of each pixel of what is drawn
     * @return clear where the photograph shows nothing
     */
    public static Picture drawn(
            Picture taken, Frame camera, Lens lens, double counted, int width, int height, Place place) {
        int[] to = new int[width * height];
        double smaller = taken.width / counted;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                Point p = place.at(x + 0.5, y + 0.5);
                Vector v = camera.local(p.minus(camera.origin()));
                if (v.z() > 1) {
                    Lens.Pixel at = lens.drawn(v);
                    to[y * width + x] = mixed(taken, at.across() * smaller - 0.5, at.down() * smaller - 0.5);
                }
            }
        }
        return new Picture(width, height, to);
    }

    /** Between the four pixels about a place. */
    private static int mixed(Picture p, double across, double down) {
        int x = (int) Math.floor(across);
        int y = (int) Math.floor(down);
        if (x < 0 || y < 0 || x + 1 >= p.width || y + 1 >= p.height) {
            return 0;
        }
        double u = across - x;
        double w = down - y;
        int a = p.argb[y * p.width + x];
        int b = p.argb[y * p.width + x + 1];
        int c = p.argb[(y + 1) * p.width + x];
        int d = p.argb[(y + 1) * p.width + x + 1];
        int all = 0;
        for (int shift = 0; shift <= 24; shift += 8) {
            double v = (1 - w) * ((1 - u) * (a >>> shift & 255) + u * (b >>> shift & 255))
                    + w * ((1 - u) * (c >>> shift & 255) + u * (d >>> shift & 255));
            all |= (int) Math.round(v) << shift;
        }
        return all;
    }
}
