package mildtilt.app.draw;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import mildtilt.app.controls.ColorToken;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.clearance.bodies.VehicleSolids.Kind;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Point;
import mildtilt.job.Element;
import mildtilt.solid.Bounds;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;

/**
 * Draws parts in their true widths with a fill by what they are, farther ones first; what the stage is about over all
 * else. Keeps
 * what it drew, to tell what is under the pointer.
 */
public final class PartPainter {

    private static final int ROUND = 40;
    /** As many for what is large on the sheet. */
    private static final int LARGE_ROUND = 72;

    /** What was drawn, last on top. @param reach half of a bar's width, pixels; 0 for an area */
    private record Shape(Element element, double[] xs, double[] ys, double reach) {

        boolean holds(double x, double y) {
            if (reach > 0) {
                for (int i = 1; i < xs.length; i++) {
                    if (distance(xs[i - 1], ys[i - 1], xs[i], ys[i], x, y) <= Math.max(reach, 4)) {
                        return true;
                    }
                }
                return false;
            }
            boolean in = false;
            for (int i = 0, j = xs.length - 1; i < xs.length; j = i++) {
                if (ys[i] > y != ys[j] > y && x < (xs[j] - xs[i]) * (y - ys[i]) / (ys[j] - ys[i]) + xs[i]) {
                    in = !in;
                }
            }
            return in;
        }
    }

    private record Draft(VehicleSolids.Part part, boolean about, double near) {}

    private final GraphicsContext g;
    private final SheetView v;
    private final Elevation elevation;
    private final Function<ColorToken, Color> ink;
    private final Optional<Element> selected;
    private final Predicate<Element> about;
    private final List<Shape> drawn = new ArrayList<>();
    private final List<double[]> dark = new ArrayList<>();
    private final List<Cover> covers = new ArrayList<>();

    public PartPainter(
            GraphicsContext g,
            SheetView v,
            Function<ColorToken, Color> ink,
            Optional<Element> selected,
            Predicate<Element> about) {
        this.g = g;
        this.v = v;
        this.elevation = v.elevation();
        this.ink = ink;
        this.selected = selected;
        this.about = about;
    }

    public static double distance(double ax, double ay, double bx, double by, double x, double y) {
        double dx = bx - ax;
        double dy = by - ay;
        double n = dx * dx + dy * dy;
        double t = n == 0 ? 0 : Math.clamp(((x - ax) * dx + (y - ay) * dy) / n, 0, 1);
        return Math.hypot(x - ax - t * dx, y - ay - t * dy);
    }

    /** The bars that figures keep off, as {x1, y1, x2, y2, half width}, pixels. */
    public List<double[]> darkBars() {
        return List.copyOf(dark);
    }

    /** The part on top at a place of the sheet. */
    public Optional<Element> at(double x, double y) {
        for (int i = drawn.size() - 1; i >= 0; i--) {
            if (drawn.get(i).holds(x, y)) {
                return Optional.of(drawn.get(i).element);
            }
        }
        return Optional.empty();
    }

    /** @param placer that is to keep figures off the steering train */
    public void draw(List<VehicleSolids.Part> parts, List<Yokes.Yoke> yokes, LabelPlacer placer) {
        List<Draft> drafts = new ArrayList<>();
        for (VehicleSolids.Part p : parts) {
            if (p.kind() != Kind.JOINT_SWEEP && !(p.solid() instanceof Solid.Skin)) {
                drafts.add(new Draft(p, about.test(p.element()), near(p.solid())));
            }
        }
        drafts.sort(Comparator.comparing(Draft::about)
                .thenComparing(d -> d.part.kind().layer())
                .thenComparingDouble(Draft::near));
        g.save();
        g.setLineJoin(StrokeLineJoin.ROUND);
        for (Draft d : drafts) {
            part(d, placer);
        }
        hidden(drafts);
        for (Yokes.Yoke y : yokes) {
            yoke(y);
        }
        g.restore();
    }

    /** What lies behind something in the way is shown through it, its edges dashed. */
    private void hidden(List<Draft> drafts) {
        if (covers.isEmpty()) {
            return;
        }
        for (Draft d : drafts) {
            boolean train =
                    switch (d.part.kind()) {
                        case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM, TUBE -> true;
                        case GEAR, JOINT_SWEEP, SUSPENSION, BEAM, TYRE, WHEEL_RING, DRIVER, OBSTACLE, HOT_OBSTACLE ->
                            false;
                    };
            if (train && d.part.solid() instanceof Solid.Parts p) {
                p.parts().stream()
                        .filter(Convex::isBar)
                        .forEach(c -> covered(c, covers, edge(d.part.element(), d.part.kind(), d.about)));
            }
        }
    }

    /** @param near of its face toward the viewer, mm */
    private record Cover(double near, Shape shape, Color fill) {}

    private double nearest(Convex c) {
        Bounds b = c.bounds();
        return Math.max(
                elevation.near(new Point(b.minX(), b.minY(), b.minZ())),
                elevation.near(new Point(b.maxX(), b.maxY(), b.maxZ())));
    }

    /** A bar is followed along its middle; each stretch behind one cover is veiled by it and gets its edges dashed. */
    private void covered(Convex bar, List<Cover> covers, Color edge) {
        Point a = bar.core().getFirst();
        Point b = bar.core().getLast();
        double pixels = Math.hypot(v.x(b) - v.x(a), v.y(b) - v.y(a));
        int steps = Math.clamp(Math.round(pixels / 3), 4, 120);
        int from = -1;
        Optional<Cover> over = Optional.empty();
        for (int i = 0; i <= steps + 1; i++) {
            Optional<Cover> now = Optional.empty();
            if (i <= steps) {
                Point at = a.plus(b.minus(a).times((double) i / steps));
                now = covers.stream()
                        .filter(c -> elevation.near(at) < c.near && c.shape.holds(v.x(at), v.y(at)))
                        .findFirst();
            }
            if (!now.equals(over)) {
                int begun = from;
                int end = i - 1;
                over.filter(_ -> end > begun)
                        .ifPresent(c -> veil(
                                a,
                                b,
                                (double) begun / steps,
                                (double) end / steps,
                                bar.rounding() * v.pixelsPerMm(),
                                c,
                                edge));
                from = i;
                over = now;
            }
        }
    }

    private void veil(Point a, Point b, double from, double to, double half, Cover cover, Color edge) {
        double x1 = v.x(a) + (v.x(b) - v.x(a)) * from;
        double y1 = v.y(a) + (v.y(b) - v.y(a)) * from;
        double x2 = v.x(a) + (v.x(b) - v.x(a)) * to;
        double y2 = v.y(a) + (v.y(b) - v.y(a)) * to;
        double length = Math.hypot(x2 - x1, y2 - y1);
        double reach = Math.max(half, 1.2);
        double nx = -(y2 - y1) / length * reach;
        double ny = (x2 - x1) / length * reach;
        g.setLineCap(StrokeLineCap.BUTT);
        g.setGlobalAlpha(0.7);
        g.setStroke(cover.fill);
        g.setLineWidth(2 * reach + 2);
        g.strokeLine(x1, y1, x2, y2);
        g.setGlobalAlpha(1);
        g.setStroke(edge);
        g.setLineWidth(1.1);
        g.setLineDashes(5, 3);
        g.strokeLine(x1 + nx, y1 + ny, x2 + nx, y2 + ny);
        g.strokeLine(x1 - nx, y1 - ny, x2 - nx, y2 - ny);
        g.setLineDashes();
    }

    private double near(Solid solid) {
        Point low = new Point(
                solid.bounds().minX(), solid.bounds().minY(), solid.bounds().minZ());
        Point high = new Point(
                solid.bounds().maxX(), solid.bounds().maxY(), solid.bounds().maxZ());
        return elevation.near(low.midwayTo(high));
    }

    private boolean chosen(Element e) {
        return selected.equals(Optional.of(e));
    }

    private Color fill(Element e, Kind kind, boolean about) {
        if (chosen(e)) {
            return ink.apply(ColorToken.ACCENT)
                    .interpolate(
                            ink.apply(ColorToken.PAPER),
                            kind == Kind.TYRE
                                            || kind == Kind.OBSTACLE
                                            || kind == Kind.HOT_OBSTACLE
                                            || kind == Kind.DRIVER
                                    ? 0.75
                                    : 0.35);
        }
        Color full = ink.apply(
                switch (kind) {
                    case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM -> ColorToken.TRAIN;
                    case GEAR -> ColorToken.YOKE;
                    case JOINT_SWEEP -> ColorToken.YOKE;
                    case TUBE -> ColorToken.METAL;
                    case SUSPENSION, BEAM -> ColorToken.SUSPENSION;
                    case TYRE, WHEEL_RING -> ColorToken.TYRE;
                    case OBSTACLE -> ColorToken.OBSTACLE;
                    case HOT_OBSTACLE -> ColorToken.HOT;
                    case DRIVER -> ColorToken.DRIVER;
                });
        // What the stage is not about steps back into the paper.
        return about ? full : full.interpolate(ink.apply(ColorToken.PAPER), 0.55);
    }

    private Color edge(Element e, Kind kind, boolean about) {
        if (chosen(e)) {
            return ink.apply(ColorToken.ACCENT);
        }
        boolean light = kind == Kind.TYRE
                || kind == Kind.WHEEL_RING
                || kind == Kind.OBSTACLE
                || kind == Kind.DRIVER
                || kind == Kind.HOT_OBSTACLE;
        Color line = ink.apply(light ? ColorToken.FAINT : ColorToken.LINE);
        return light
                ? line.interpolate(ink.apply(ColorToken.PAPER), 0.35)
                : about ? line : ink.apply(ColorToken.FAINT).interpolate(ink.apply(ColorToken.PAPER), 0.2);
    }

    private void part(Draft d, LabelPlacer placer) {
        Element e = d.part.element();
        Kind kind = d.part.kind();
        Color fill = fill(e, kind, d.about);
        Color edge = edge(e, kind, d.about);
        boolean dark = d.about
                && switch (kind) {
                    case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM, GEAR -> true;
                    case TYRE, WHEEL_RING, SUSPENSION, BEAM, JOINT_SWEEP, TUBE, DRIVER, OBSTACLE, HOT_OBSTACLE -> false;
                };
        switch (d.part.solid()) {
            case Solid.Parts p -> {
                g.setGlobalAlpha(kind == Kind.TYRE ? 0.72 : 1);
                List<Convex> bars = p.parts().stream().filter(Convex::isBar).toList();
                bars(e, bars, fill, edge, dark ? Optional.of(placer) : Optional.empty());
                boolean inTheWay = kind == Kind.OBSTACLE || kind == Kind.HOT_OBSTACLE;
                for (Convex c : p.parts()) {
                    // A round bar in the way is painted as a stroke, but covers what lies behind it as its outline
                    // does.
                    Optional<Shape> painted = c.isBar() ? Optional.empty() : Optional.of(area(e, c, fill, edge));
                    if (inTheWay) {
                        covers.add(new Cover(nearest(c), painted.orElseGet(() -> outline(e, c)), fill));
                    }
                }
                g.setGlobalAlpha(1);
            }
            case Solid.Ring r -> rim(e, r, edge);
            case Solid.Skin _ -> {}
        }
    }

    /** Bars as strokes as wide as they are: first all edges, then all fills, so that a bent bar is of one piece. */
    private void bars(Element e, List<Convex> bars, Color fill, Color edge, Optional<LabelPlacer> placer) {
        if (bars.isEmpty()) {
            return;
        }
        g.setLineCap(StrokeLineCap.ROUND);
        double grown = chosen(e) ? 3 : 2;
        for (int pass = 0; pass < 2; pass++) {
            g.setStroke(pass == 0 ? edge : fill);
            for (Convex c : bars) {
                double w = 2 * c.rounding() * v.pixelsPerMm();
                g.setLineWidth(Math.max(pass == 0 ? 2.4 : 1, pass == 0 ? w : w - grown));
                List<Point> ends = c.core();
                g.strokeLine(v.x(ends.getFirst()), v.y(ends.getFirst()), v.x(ends.getLast()), v.y(ends.getLast()));
            }
        }
        for (Convex c : bars) {
            List<Point> ends = c.core();
            double[] xs = {v.x(ends.getFirst()), v.x(ends.getLast())};
            double[] ys = {v.y(ends.getFirst()), v.y(ends.getLast())};
            drawn.add(new Shape(e, xs, ys, c.rounding() * v.pixelsPerMm()));
            placer.ifPresent(l -> {
                double half = Math.max(2, c.rounding() * v.pixelsPerMm());
                l.keepClear(xs[0], ys[0], xs[1], ys[1], half);
                dark.add(new double[] {xs[0], ys[0], xs[1], ys[1], half});
            });
        }
    }

    private Shape area(Element e, Convex c, Color fill, Color edge) {
        Shape s = outline(e, c);
        g.setFill(fill);
        g.fillPolygon(s.xs, s.ys, s.xs.length);
        g.setStroke(edge);
        g.setLineWidth(chosen(e) ? 2 : 1.1);
        g.strokePolygon(s.xs, s.ys, s.xs.length);
        drawn.add(s);
        return s;
    }

    private Shape outline(Element e, Convex c) {
        double across = Math.max(
                c.bounds().maxX() - c.bounds().minX(),
                Math.max(
                        c.bounds().maxY() - c.bounds().minY(),
                        c.bounds().maxZ() - c.bounds().minZ()));
        List<Point> round =
                c.outline(elevation.right(), elevation.upward(), across * v.pixelsPerMm() > 90 ? LARGE_ROUND : ROUND);
        double[] xs = round.stream().mapToDouble(v::x).toArray();
        double[] ys = round.stream().mapToDouble(v::y).toArray();
        return new Shape(e, xs, ys, 0);
    }

    /** The edge of the rim on a tyre that is drawn already. */
    private void rim(Element e, Solid.Ring r, Color edge) {
        Convex hole = Convex.cylinder(
                r.centre().plus(r.axis().times(-r.half())),
                r.centre().plus(r.axis().times(r.half())),
                r.inner(),
                0);
        List<Point> round = hole.outline(elevation.right(), elevation.upward(), LARGE_ROUND);
        double[] xs = round.stream().mapToDouble(v::x).toArray();
        double[] ys = round.stream().mapToDouble(v::y).toArray();
        g.setFill(ink.apply(ColorToken.PAPER).deriveColor(0, 1, 1, 0.55));
        g.fillPolygon(xs, ys, xs.length);
        g.setStroke(edge);
        g.setLineWidth(chosen(e) ? 1.6 : 0.9);
        g.strokePolygon(xs, ys, xs.length);
    }

    private void yoke(Yokes.Yoke y) {
        Element e = y.joint();
        boolean strong = about.test(e);
        Color fork = fill(e, Kind.JOINT_SWEEP, strong);
        Color edge = edge(e, Kind.JOINT_SWEEP, strong);
        // The fork that is nearer covers the other.
        boolean gearNearer = near(y.gearSide()) > near(y.wheelSide());
        for (List<Convex> side :
                gearNearer ? List.of(y.wheelSide(), y.gearSide()) : List.of(y.gearSide(), y.wheelSide())) {
            List<Convex> sorted = new ArrayList<>(side);
            sorted.sort(Comparator.comparingDouble(c -> near(Solid.of(c))));
            sorted.forEach(c -> area(e, c, fork, edge));
        }
        y.cross()
                .forEach(c -> area(e, c, chosen(e) ? ink.apply(ColorToken.ACCENT) : ink.apply(ColorToken.TRAIN), edge));
    }

    private double near(List<Convex> parts) {
        return near(new Solid.Parts(parts));
    }
}
