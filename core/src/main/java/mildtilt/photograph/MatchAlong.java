package mildtilt.photograph;

import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Where something that was pressed in one photograph is seen in another, by how both look there. It lies on the line of
 * sight; for every distance along that a small patch about it, thought to face both cameras, is drawn into the other
 * photograph, and the two are compared by their correlation, which brightness and contrast do not change.
 */
public final class MatchAlong {

    /** Samples of a patch to each side of its middle. */
    private static final int HALF = 12;

    private static final int SIDE = 2 * HALF + 1;
    /** As many samples lie across a picture, however many pixels it has. */
    private static final double ACROSS = 1500;

    private static final double NEAREST = 250;
    private static final double FURTHEST = 8000;
    private static final int STEPS = 2500;
    private static final int FINER = 16;

    /** How well a place is found so, ± px: what is round looks a little other from elsewhere. */
    public static final double SPREAD = 4;

    /** A patch whose shades scatter less than this looks like any other. */
    private static final double LEAST_CONTRAST = 6;

    private static final double LEAST_ALIKE = 0.8;
    /** Another place farther off than so many samples must be less alike by so much. */
    private static final double APART = 12;

    private static final double CLEARLY = 0.06;

    private MatchAlong() {}

    /** A photograph whose camera and lens are known. */
    public record View(GreyPicture picture, Frame camera, Lens lens) {

        private double step() {
            return Math.max(1, picture.width() / ACROSS);
        }
    }

    /** @param alike 1 for patches that look the same, 0 for such as have nothing to do with each other */
    public record Match(Lens.Pixel at, double alike) {}

    /** @return empty where nothing there looks the same, or two places do */
    public static Optional<Match> of(View seen, Lens.Pixel pressed, View other) {
        double step = seen.step();
        double[] patch = new double[SIDE * SIDE];
        Vector[] sights = new Vector[SIDE * SIDE];
        for (int i = 0; i < SIDE; i++) {
            for (int j = 0; j < SIDE; j++) {
                Lens.Pixel at =
                        new Lens.Pixel(pressed.across() + (i - HALF) * step, pressed.down() + (j - HALF) * step);
                patch[i * SIDE + j] = seen.picture.shade(at.across(), at.down());
                sights[i * SIDE + j] = seen.camera.world(seen.lens.sight(at));
            }
        }
        if (!(contrast(patch) > LEAST_CONTRAST)) {
            return Optional.empty();
        }
        Sweep sweep = new Sweep(seen, other, patch, sights);
        return sweep.best();
    }

    private static final class Sweep {
        private final View seen;
        private final View other;
        private final double[] patch;
        private final Vector[] sights;
        private final double[] drawn = new double[SIDE * SIDE];

        Sweep(View seen, View other, double[] patch, Vector[] sights) {
            this.seen = seen;
            this.other = other;
            this.patch = patch;
            this.sights = sights;
        }

        private Point at(double far) {
            Vector middle = sights[HALF * SIDE + HALF];
            return seen.camera.origin().plus(middle.times(far / middle.norm()));
        }

        private static double far(double step) {
            return NEAREST * Math.pow(FURTHEST / NEAREST, step / STEPS);
        }

        Optional<Match> best() {
            double[] alike = new double[STEPS + 1];
            Lens.Pixel[] pixels = new Lens.Pixel[STEPS + 1];
            int best = -1;
            Lens.Pixel last = new Lens.Pixel(-1e9, -1e9);
            for (int k = 0; k <= STEPS; k++) {
                Optional<Lens.Pixel> at = pixel(at(far(k)));
                // What has hardly moved in the other picture is compared already.
                if (at.isEmpty() || at.get().distanceTo(last) < 0.7 * other.step()) {
                    continue;
                }
                last = at.get();
                pixels[k] = last;
                alike[k] = alike(far(k));
                if (best < 0 || alike[k] > alike[best]) {
                    best = k;
                }
            }
            if (best < 0 || alike[best] < LEAST_ALIKE) {
                return Optional.empty();
            }
            for (int k = 0; k <= STEPS; k++) {
                Lens.Pixel p = pixels[k];
                if (p != null
                        && p.distanceTo(pixels[best]) > APART * other.step()
                        && alike[k] > alike[best] - CLEARLY) {
                    return Optional.empty();
                }
            }
            double far = best;
            double most = alike[best];
            for (int k = -2 * FINER; k <= 2 * FINER; k++) {
                double step = best + (double) k / FINER;
                double a = alike(far(step));
                if (a > most) {
                    most = a;
                    far = step;
                }
            }
            double alikeness = most;
            return pixel(at(far(far))).map(p -> new Match(p, alikeness));
        }

        /** Where a place is drawn in the other photograph, with its patch whole in it. */
        private Optional<Lens.Pixel> pixel(Point p) {
            Vector v = other.camera.local(p.minus(other.camera.origin()));
            if (v.z() < NEAREST / 2) {
                return Optional.empty();
            }
            Lens.Pixel at = other.lens.drawn(v);
            double room = HALF * other.step();
            return at.across() > room
                            && at.down() > room
                            && at.across() < other.picture.width() - room
                            && at.down() < other.picture.height() - room
                    ? Optional.of(at)
                    : Optional.empty();
        }

        /** How alike both look if the point is at this distance from the first camera, mm. */
        private double alike(double far) {
            Point p = at(far);
            Vector toSeen = seen.camera.origin().minus(p);
            Vector toOther = other.camera.origin().minus(p);
            Vector facing = toSeen.times(1 / toSeen.norm()).plus(toOther.times(1 / toOther.norm()));
            double distance = facing.dot(p.minus(seen.camera.origin()));
            for (int i = 0; i < sights.length; i++) {
                Point q = seen.camera.origin().plus(sights[i].times(distance / facing.dot(sights[i])));
                Vector v = other.camera.local(q.minus(other.camera.origin()));
                Lens.Pixel at = other.lens.drawn(v);
                drawn[i] = other.picture.shade(at.across(), at.down());
            }
            return correlation(patch, drawn);
        }
    }

    private static double contrast(double[] shades) {
        double mean = mean(shades);
        double sum = 0;
        for (double s : shades) {
            sum += (s - mean) * (s - mean);
        }
        return Math.sqrt(sum / shades.length);
    }

    private static double mean(double[] shades) {
        double sum = 0;
        for (double s : shades) {
            sum += s;
        }
        return sum / shades.length;
    }

    private static double correlation(double[] a, double[] b) {
        double ma = mean(a);
        double mb = mean(b);
        double aa = 0;
        double ab = 0;
        double bb = 0;
        for (int i = 0; i < a.length; i++) {
            aa += (a[i] - ma) * (a[i] - ma);
            ab += (a[i] - ma) * (b[i] - mb);
            bb += (b[i] - mb) * (b[i] - mb);
        }
        return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0;
    }
}
