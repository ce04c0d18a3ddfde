package mildtilt.photograph;

import mildtilt.geometry.Vector;

/**
 * How a camera's lens draws, after D. C. Brown (Close-range camera calibration, 1971), with two terms of radial
 * distortion: what stands at X, Y, Z before the camera (right, down, ahead) is drawn at
 * {@code centre + focal · (1 + k1 r² + k2 r⁴) · (X/Z, Y/Z)} with r² the sum of the squares of the last two.
 *
 * @param focal px
 * @param across of the centre, px
 * @param down of the centre, px
 */
public record Lens(double focal, double across, double down, double k1, double k2) {

    /** A place in a picture. */
    public record Pixel(double across, double down) {

        public double distanceTo(Pixel o) {
            return Math.hypot(across - o.across, down - o.down);
        }
    }

    /** Of a picture whose lens is not known otherwise: about that of a phone. */
    public static Lens usual(double width, double height, double focal) {
        return new Lens(focal, width / 2, height / 2, 0, 0);
    }

    /**
     * Where something is drawn. @param v right, down and ahead of the camera; what is not ahead is drawn far out, so
     * that a fit is driven back
     */
    public Pixel drawn(Vector v) {
        double z = Math.max(v.z(), 1e-3);
        double u = v.x() / z;
        double w = v.y() / z;
        double r2 = u * u + w * w;
        double d = focal * (1 + r2 * (k1 + r2 * k2));
        return new Pixel(across + d * u, down + d * w);
    }

    /** The line of sight of a place in the picture: right, down and 1 ahead. */
    public Vector sight(Pixel p) {
        double u = (p.across - across) / focal;
        double w = (p.down - down) / focal;
        double x = u;
        double y = w;
        // The distortion is small: taking it off again and again comes to rest within a few turns.
        for (int i = 0; i < 30; i++) {
            double r2 = x * x + y * y;
            double d = 1 + r2 * (k1 + r2 * k2);
            double off = Math.abs(u / d - x) + Math.abs(w / d - y);
            x = u / d;
            y = w / d;
            if (off < 1e-12) {
                break;
            }
        }
        return new Vector(x, y, 1);
    }
}
