package mildtilt.photograph;

import boofcv.alg.filter.binary.GThresholdImageOps;
import boofcv.alg.shapes.ellipse.BinaryEllipseDetector;
import boofcv.factory.shape.ConfigEllipseDetector;
import boofcv.factory.shape.FactoryShapeDetector;
import boofcv.struct.ConfigLength;
import boofcv.struct.image.GrayU8;
import georegression.struct.curve.EllipseRotated_F64;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * Finds the printed marks in a picture. Dots are found as dark ellipses whose edges are fitted to a part of a pixel;
 * each is a mark if a white gap and a ring of a known code lie round it. The middle of a dot's ellipse stands for its
 * middle: seen from 500 mm at 60° the two are 0.05 px apart, from further off less.
 */
public final class MarkFinder {

    /** Samples round a ring. */
    private static final int ROUND = 24 * MarkCode.PARTS;
    /** Black and white must differ by this many shades. */
    private static final double CONTRAST = 50;
    /** In radii of the dot: the middle of the gap, and three circles within the ring. */
    private static final double GAP = (1 + MarkCode.RING_INSIDE) / 2;

    private static final double[] RING = {1.8, 1.95, 2.1};

    private MarkFinder() {}

    /** All marks in a picture, by their numbers. Of a number that is there twice none is taken. */
    public static List<MarkSeen> find(GreyPicture picture) {
        GrayU8 image = new GrayU8(1, 1);
        image.data = picture.grey();
        image.width = picture.width();
        image.height = picture.height();
        image.stride = picture.width();
        GrayU8 dark = new GrayU8(picture.width(), picture.height());
        int block = Math.clamp(Math.max(picture.width(), picture.height()) / 70, 16, 80);
        GThresholdImageOps.blockMinMax(image, dark, ConfigLength.fixed(block), 1.0, true, CONTRAST);
        ConfigEllipseDetector config = new ConfigEllipseDetector();
        config.maxDistanceFromEllipse = 3;
        config.minimumContour = ConfigLength.fixed(16);
        config.maxMajorToMinorRatio = 6;
        config.processInternal = false;
        BinaryEllipseDetector<GrayU8> detector = FactoryShapeDetector.ellipse(config, GrayU8.class);
        detector.process(image, dark);
        Map<Integer, List<MarkSeen>> found = new TreeMap<>();
        for (EllipseRotated_F64 e : detector.getFoundEllipses(null)) {
            OptionalInt mark = read(picture, e);
            if (mark.isPresent()) {
                int m = mark.getAsInt();
                found.computeIfAbsent(m, _ -> new ArrayList<>())
                        .add(new MarkSeen(m, kept(e.center.x), kept(e.center.y)));
            }
        }
        return found.values().stream()
                .filter(s -> s.size() == 1)
                .map(List::getFirst)
                .toList();
    }

    /** To a thousandth of a pixel, far finer than it is found. */
    private static double kept(double px) {
        return Math.rint(1000 * px) / 1000;
    }

    /** The mark whose dot this is, by the ring round it. */
    private static OptionalInt read(GreyPicture p, EllipseRotated_F64 e) {
        double reach = e.a * MarkCode.RING_OUTSIDE;
        if (e.center.x < reach
                || e.center.y < reach
                || e.center.x > p.width() - reach
                || e.center.y > p.height() - reach) {
            return OptionalInt.empty();
        }
        double black = 0;
        double white = 0;
        for (int i = 0; i < ROUND; i += 8) {
            black += shade(p, e, 0.5, i) / (ROUND / 8);
            white += shade(p, e, GAP, i) / (ROUND / 8);
        }
        if (white - black < CONTRAST) {
            return OptionalInt.empty();
        }
        double middle = (black + white) / 2;
        // How much white lies round the ring, sample by sample; then the turn at which its parts are cleanest.
        double[] light = new double[ROUND];
        for (int i = 0; i < ROUND; i++) {
            for (double r : RING) {
                light[i] += (shade(p, e, r, i) - middle) / RING.length;
            }
            if (shade(p, e, GAP, i) < middle) {
                return OptionalInt.empty();
            }
        }
        int part = ROUND / MarkCode.PARTS;
        int best = 0;
        double most = -1;
        for (int from = 0; from < part; from++) {
            double clean = 0;
            for (int k = 0; k < MarkCode.PARTS; k++) {
                clean += Math.abs(sum(light, from + k * part, part));
            }
            if (clean > most) {
                most = clean;
                best = from;
            }
        }
        int ring = 0;
        for (int k = 0; k < MarkCode.PARTS; k++) {
            double sum = sum(light, best + k * part, part);
            // A part that is neither is no part of a mark.
            if (Math.abs(sum) < 0.15 * part * (white - black)) {
                return OptionalInt.empty();
            }
            ring |= sum < 0 ? 1 << k : 0;
        }
        return MarkCode.number(ring);
    }

    private static double sum(double[] light, int from, int count) {
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += light[(from + i) % light.length];
        }
        return sum;
    }

    /**
     * The shade so many radii out of a dot's middle. Round the picture of a circle equal steps of the circle are equal
     * steps of the ellipse's parameter; anticlockwise as printed is anticlockwise to the eye, which is backward where
     * the picture's second axis points down.
     */
    private static double shade(GreyPicture p, EllipseRotated_F64 e, double radii, int sample) {
        double t = -2 * Math.PI * sample / ROUND;
        double u = radii * e.a * Math.cos(t);
        double v = radii * e.b * Math.sin(t);
        double cos = Math.cos(e.phi);
        double sin = Math.sin(e.phi);
        return p.shade(e.center.x + cos * u - sin * v, e.center.y + sin * u + cos * v);
    }
}
