package mildtilt.photograph;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * A made-up scene of which pictures are drawn, to practise on and to try the measuring against: every place in it is
 * known. A picture has the lens's distortion, some blur, noise, and light that rolls over it from top to bottom as a
 * lamp's does.
 */
public record PracticeScene(List<Thing> things, Lens lens, int width, int height) {

    private static final Vector LIGHT = new Vector(0.35, 0.4, 0.85);
    /** So many shades of noise, one standard deviation. */
    private static final double NOISE = 4;
    /** Samples a pixel, each way; they reach beyond it by half a pixel, as a lens that is not quite sharp does. */
    private static final int SAMPLES = 4;

    private static final double REACH = 1.5;
    private static final double NEAREST = 20;

    public PracticeScene {
        things = List.copyOf(things);
    }

    /** What stands there. */
    public sealed interface Thing {}

    /**
     * A flat sheet that faces the third direction of its frame.
     *
     * @param width along the first direction, mm
     * @param height along the second, mm
     * @param marks where in its frame each mark's dot is
     * @param paper how light it is, 0 to 255
     */
    public record Sheet(Frame place, double width, double height, Map<Integer, Point> marks, double paper)
            implements Thing {
        public Sheet {
            marks = Map.copyOf(marks);
        }

        /** The printed sheet with all its marks. */
        public static Sheet target(Frame place) {
            return new Sheet(
                    place,
                    200,
                    280,
                    IntStream.rangeClosed(1, TargetSheet.ON_SHEET)
                            .boxed()
                            .collect(Collectors.toMap(m -> m, TargetSheet::place)),
                    235);
        }

        /** One mark on a square of paper. */
        public static Sheet single(int mark, Frame place) {
            double side = 2 * TargetSheet.DOT_RADIUS * MarkCode.WHITE_OUTSIDE;
            return new Sheet(place, side, side, Map.of(mark, Point.ORIGIN), 235);
        }
    }

    /** A round bar. @param from and to where it ends, mm */
    public record Bar(Point from, Point to, double radius, double shade) implements Thing {}

    public record Ball(Point centre, double radius, double shade) implements Thing {}

    private record Hit(double at, double shade) {}

    /** A picture. @param camera its directions to the right and down in the picture, and ahead; @param seed of noise */
    public GreyPicture picture(Frame camera, long seed) {
        float[][] once = new float[height][width];
        IntStream.range(0, height).parallel().forEach(row -> {
            for (int column = 0; column < width; column++) {
                once[row][column] = (float) shade(camera, lens.sight(new Lens.Pixel(column + 0.5, row + 0.5)));
            }
        });
        byte[] grey = new byte[width * height];
        IntStream.range(0, height).parallel().forEach(row -> {
            Random random = new Random(seed * 1_000_003 + row);
            double rolling = 1 + 0.12 * Math.sin(2 * Math.PI * (row / (0.6 * height) + seed * 0.37));
            for (int column = 0; column < width; column++) {
                double sharp = even(once, row, column) ? once[row][column] : blurred(camera, row, column);
                double shade = sharp * rolling + NOISE * random.nextGaussian();
                grey[row * width + column] = (byte) Math.clamp(Math.round(shade), 0, 255);
            }
        });
        return new GreyPicture(width, height, grey);
    }

    /** Whether nothing changes round a pixel: then one ray of it is as good as many. */
    private boolean even(float[][] once, int row, int column) {
        float c = once[row][column];
        for (int y = Math.max(0, row - 1); y <= Math.min(height - 1, row + 1); y++) {
            for (int x = Math.max(0, column - 1); x <= Math.min(width - 1, column + 1); x++) {
                if (Math.abs(once[y][x] - c) > 1) {
                    return false;
                }
            }
        }
        return true;
    }

    private double blurred(Frame camera, int row, int column) {
        double sum = 0;
        for (int i = 0; i < SAMPLES; i++) {
            for (int j = 0; j < SAMPLES; j++) {
                double across = column + 0.5 + REACH * ((i + 0.5) / SAMPLES - 0.5);
                double down = row + 0.5 + REACH * ((j + 0.5) / SAMPLES - 0.5);
                sum += shade(camera, lens.sight(new Lens.Pixel(across, down)));
            }
        }
        return sum / (SAMPLES * SAMPLES);
    }

    private double shade(Frame camera, Vector sight) {
        Vector ray = camera.world(sight);
        Hit near = new Hit(Double.POSITIVE_INFINITY, 70);
        for (Thing t : things) {
            Hit h =
                    switch (t) {
                        case Sheet s -> sheet(s, camera.origin(), ray);
                        case Bar b -> bar(b, camera.origin(), ray);
                        case Ball b -> ball(b, camera.origin(), ray);
                    };
            if (h.at > NEAREST && h.at < near.at) {
                near = h;
            }
        }
        return near.shade;
    }

    private static final Hit NONE = new Hit(Double.POSITIVE_INFINITY, 0);

    private static Hit sheet(Sheet s, Point from, Vector ray) {
        Vector o = s.place.local(from.minus(s.place.origin()));
        Vector d = s.place.local(ray);
        if (o.z() <= 0 || d.z() >= 0) {
            return NONE;
        }
        double at = -o.z() / d.z();
        double x = o.x() + at * d.x();
        double y = o.y() + at * d.y();
        if (Math.abs(x) > s.width / 2 || Math.abs(y) > s.height / 2) {
            return NONE;
        }
        for (Map.Entry<Integer, Point> m : s.marks.entrySet()) {
            double u = (x - m.getValue().x()) / TargetSheet.DOT_RADIUS;
            double v = (y - m.getValue().y()) / TargetSheet.DOT_RADIUS;
            double r = Math.hypot(u, v);
            if (r < MarkCode.RING_OUTSIDE) {
                int part = Math.floorMod(
                        (int) Math.floor(Math.atan2(v, u) / (2 * Math.PI) * MarkCode.PARTS), MarkCode.PARTS);
                boolean ring = r > MarkCode.RING_INSIDE && MarkCode.isBlack(m.getKey(), part);
                return new Hit(at, r < 1 || ring ? 30 : s.paper);
            }
        }
        return new Hit(at, s.paper);
    }

    private static Hit bar(Bar b, Point from, Vector ray) {
        Vector axis = b.to.minus(b.from);
        double length = axis.norm();
        Vector a = axis.times(1 / length);
        Vector o = from.minus(b.from);
        Vector oSide = o.minus(a.times(o.dot(a)));
        Vector dSide = ray.minus(a.times(ray.dot(a)));
        double at = firstRoot(dSide.dot(dSide), oSide.dot(dSide), oSide.dot(oSide) - b.radius * b.radius);
        double along = o.dot(a) + at * ray.dot(a);
        if (!(along >= 0 && along <= length)) {
            return NONE;
        }
        return new Hit(at, lit(oSide.plus(dSide.times(at)).times(1 / b.radius), b.shade));
    }

    private static Hit ball(Ball b, Point from, Vector ray) {
        Vector o = from.minus(b.centre);
        double at = firstRoot(ray.dot(ray), o.dot(ray), o.dot(o) - b.radius * b.radius);
        return Double.isFinite(at) ? new Hit(at, lit(o.plus(ray.times(at)).times(1 / b.radius), b.shade)) : NONE;
    }

    /** Where {@code a t² + 2 b t + c} is nought first; infinite if nowhere. */
    private static double firstRoot(double a, double b, double c) {
        double d = b * b - a * c;
        return d < 0 || a <= 0 ? Double.POSITIVE_INFINITY : (-b - Math.sqrt(d)) / a;
    }

    private static double lit(Vector out, double shade) {
        return shade * (0.35 + 0.65 * Math.max(0, out.dot(LIGHT) / LIGHT.norm()));
    }

    /** A camera's frame, looking from one place at another, its picture as upright as that allows. */
    public static Frame looking(Point at, Point toward) {
        Vector v = toward.minus(at);
        Vector ahead = v.times(1 / v.norm());
        Vector side = ahead.cross(Vector.Z);
        Vector right = side.norm() < 1e-6 ? Vector.Y.negated() : side.times(1 / side.norm());
        return new Frame(at, right, ahead.cross(right), ahead);
    }
}
