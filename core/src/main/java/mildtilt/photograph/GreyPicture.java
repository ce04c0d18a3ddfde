package mildtilt.photograph;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * A picture in shades of grey.
 *
 * @param grey row by row from the top, 0 black to 255 white
 */
public record GreyPicture(int width, int height, byte[] grey) {

    /** So many pixels at most. */
    public static final int MOST_PIXELS = 64_000_000;

    /** @throws ImpossibleGeometryException if it is empty, too large, or its shades are not as many as its pixels */
    public GreyPicture {
        if (width < 1 || height < 1 || (long) width * height > MOST_PIXELS || grey.length != width * height) {
            throw new ImpossibleGeometryException("A picture needs 1 to " + MOST_PIXELS + " pixels.");
        }
    }

    /** The shade of a pixel, 0 to 255. */
    int shade(int x, int y) {
        return grey[y * width + x] & 0xff;
    }

    /** The shade at a place, between its four pixels; at the edge that of the edge. */
    double shade(double across, double down) {
        double x = Math.clamp(across - 0.5, 0, width - 1.0);
        double y = Math.clamp(down - 0.5, 0, height - 1.0);
        int i = Math.min((int) x, width - 1);
        int j = Math.min((int) y, height - 1);
        int i2 = Math.min(i + 1, width - 1);
        int j2 = Math.min(j + 1, height - 1);
        double u = x - i;
        double v = y - j;
        return (1 - v) * ((1 - u) * shade(i, j) + u * shade(i2, j)) + v * ((1 - u) * shade(i, j2) + u * shade(i2, j2));
    }
}
