package mildtilt.io.pdf;

import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.clearance.bodies.VehicleSolids.Kind;
import mildtilt.drawing.Dimension;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.drawing.Note;
import mildtilt.drawing.Outlines;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.drawing.Yokes;
import mildtilt.geometry.Point;
import mildtilt.job.Job;
import mildtilt.solid.Bounds;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.LengthUnit;

/** Elevations of a sketch on a sheet, to one scale that is said beside them. */
final class PdfDrawing {

    private static final int[] SCALES = {1, 2, 5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 200, 500, 1000, 2000, 5000};
    private static final double ROOM_FOR_TEXT = 12;
    private static final double SIZE = 9;
    private static final double ARROW = 5;
    private static final int ROUND = 32;

    private final PdfSheet sheet;
    private final Sketch sketch;
    private final List<VehicleSolids.Part> parts;
    private final List<Yokes.Yoke> yokes;
    private final boolean assembled;
    private final LengthUnit unit;

    /** Straight ahead at ride height. @param job what is drawn of it */
    PdfDrawing(PdfSheet sheet, Job job, SteeringTrain train, LengthUnit unit) {
        this.sheet = sheet;
        this.unit = unit;
        sketch = Sketch.ofDesign(job, train);
        Optional<AxlePose> pose = train.axle().map(_ -> train.pose(0, 0, 0));
        assembled = pose.flatMap(AxlePose::assembled).isPresent();
        parts = VehicleSolids.of(job).at(pose, 0, 0).stream()
                .filter(p ->
                        p.kind() != Kind.JOINT_SWEEP && p.kind() != Kind.WHEEL_RING && p.solid() instanceof Solid.Parts)
                .toList();
        yokes = train.column().map(c -> Yokes.of(c, 0)).orElse(List.of());
    }

    Sketch sketch() {
        return sketch;
    }

    /** The largest usual scale at which these elevations fit side by side. */
    int scaleFor(List<Elevation> elevations, double width, double height) {
        for (int scale : SCALES) {
            double across = 0;
            double up = 0;
            for (Elevation e : elevations) {
                Extent x = Extent.of(sketch, e);
                across += x.width() / scale * PdfSheet.MM + ROOM_FOR_TEXT;
                up = Math.max(up, x.height() / scale * PdfSheet.MM + 2 * ROOM_FOR_TEXT);
            }
            if (across <= width && up <= height) {
                return scale;
            }
        }
        return SCALES[SCALES.length - 1];
    }

    /** Height that elevations side by side take at a scale. */
    double heightAt(int scale, List<Elevation> elevations) {
        return elevations.stream()
                .mapToDouble(e -> Extent.of(sketch, e).height() / scale * PdfSheet.MM + 2 * ROOM_FOR_TEXT)
                .max()
                .orElse(0);
    }

    /** Draws one elevation in the middle of a box. */
    void draw(Elevation e, int scale, double x, double y, double w, double h) throws IOException {
        Extent extent = Extent.of(sketch, e);
        double k = PdfSheet.MM / scale;
        double x0 = x + w / 2 - extent.middleAcross() * k;
        double y0 = y + h / 2 + extent.middleUp() * k;
        sheet.pen(0.4, 0.75);
        if (e == Elevation.PLAN) {
            sheet.dash(6, 2, 1, 2);
            sheet.line(x0, y0 - extent.bottom() * k + 6, x0, y0 - extent.top() * k - 6);
        } else {
            sheet.line(x0 + extent.left() * k - 6, y0, x0 + extent.right() * k + 6, y0);
        }
        sheet.dash();
        parts(e, k, x0, y0);
        for (Stroke stroke : sketch.strokes()) {
            if (stroke.pen().solid() && (assembled || !stroke.pen().onAxle())) {
                continue;
            }
            ink(stroke.pen());
            switch (stroke) {
                case Stroke.Line line ->
                    sheet.path(
                            flat(line.points().stream()
                                    .flatMap(p -> Stream.of(x0 + e.across(p) * k, y0 - e.up(p) * k))
                                    .toList()),
                            false);
                case Stroke.Outline outline ->
                    sheet.path(
                            flat(Outlines.of(outline, e).stream()
                                    .flatMap(f -> Stream.of(x0 + f.across() * k, y0 - f.up() * k))
                                    .toList()),
                            true);
            }
            sheet.dash();
        }
        labels(e, k, x0, y0, new Box(x, y, w, h));
        sheet.text(sheet.bold, SIZE, x, y + h + 8, e.label());
        sheet.text(sheet.regular, SIZE, x + sheet.textWidth(sheet.bold, SIZE, e.label() + "  "), y + h + 8, e.sense());
    }

    /** In their widths, filled by what they are, farther ones first: as in the window. */
    private void parts(Elevation e, double k, double x0, double y0) throws IOException {
        List<VehicleSolids.Part> sorted = parts.stream()
                .sorted(Comparator.comparingInt(
                                (VehicleSolids.Part p) -> p.kind().layer())
                        .thenComparingDouble(p -> near(e, p)))
                .toList();
        for (VehicleSolids.Part p : sorted) {
            sheet.pen(p.kind().layer() < 3 ? 0.4 : 0.55, p.kind().layer() < 3 ? 0.6 : 0.1);
            for (Convex c : ((Solid.Parts) p.solid()).parts()) {
                sheet.area(outline(c, e, k, x0, y0), grey(p.kind()));
            }
        }
        sheet.pen(0.5, 0);
        for (Yokes.Yoke y : yokes) {
            for (List<Convex> side : List.of(y.wheelSide(), y.gearSide(), y.cross())) {
                for (Convex c : side) {
                    sheet.area(outline(c, e, k, x0, y0), side == y.cross() ? 0.35 : 0.72);
                }
            }
        }
    }

    private static double near(Elevation e, VehicleSolids.Part p) {
        Bounds b = p.solid().bounds();
        return e.near(new Point((b.minX() + b.maxX()) / 2, (b.minY() + b.maxY()) / 2, (b.minZ() + b.maxZ()) / 2));
    }

    private static double[] outline(Convex c, Elevation e, double k, double x0, double y0) {
        return flat(c.outline(e.right(), e.upward(), ROUND).stream()
                .flatMap(p -> Stream.of(x0 + e.across(p) * k, y0 - e.up(p) * k))
                .toList());
    }

    private static double grey(Kind kind) {
        return switch (kind) {
            case SHAFT, STEERING_WHEEL, ROD, STEERING_ARM -> 0.45;
            case GEAR, JOINT_SWEEP -> 0.65;
            case TUBE -> 0.82;
            case SUSPENSION, BEAM -> 0.85;
            case TYRE, WHEEL_RING -> 0.94;
            case OBSTACLE, HOT_OBSTACLE -> 0.95;
            case DRIVER -> 0.98;
        };
    }

    private void labels(Elevation e, double k, double x0, double y0, Box surface) throws IOException {
        LabelPlacer placer = new LabelPlacer(surface);
        for (Stroke stroke : sketch.strokes()) {
            for (int i = 1; i < stroke.points().size() && stroke.pen().matters(); i++) {
                placer.keepClear(
                        x0 + e.across(stroke.points().get(i - 1)) * k,
                                y0 - e.up(stroke.points().get(i - 1)) * k,
                        x0 + e.across(stroke.points().get(i)) * k,
                                y0 - e.up(stroke.points().get(i)) * k);
            }
        }
        for (VehicleSolids.Part part : parts) {
            if (part.kind().layer() >= 5) {
                ((Solid.Parts) part.solid())
                        .parts().stream()
                                .filter(Convex::isBar)
                                .forEach(c -> placer.keepClear(
                                        x0 + e.across(c.core().getFirst()) * k,
                                        y0 - e.up(c.core().getFirst()) * k,
                                        x0 + e.across(c.core().getLast()) * k,
                                        y0 - e.up(c.core().getLast()) * k,
                                        c.radius() * k));
            }
        }
        for (Note note : sketch.notes()) {
            if (!note.belongsIn(e) || sketch.hides(note, e)) {
                continue;
            }
            String text = note.figure().text(unit);
            if (dimension(note, text, e, k, x0, y0, placer)) {
                continue;
            }
            Optional<Box> box = placer.place(
                            x0 + e.across(note.at()) * k,
                            y0 - e.up(note.at()) * k,
                            sheet.textWidth(sheet.bold, SIZE, text),
                            SIZE)
                    .map(LabelPlacer.Spot::box);
            if (box.isPresent()) {
                sheet.text(sheet.bold, SIZE, box.get().x(), box.get().y() + SIZE - 1, text);
            }
        }
    }

    /** Whether it is a length and there was room for a dimension line. */
    private boolean dimension(Note note, String text, Elevation e, double k, double x0, double y0, LabelPlacer placer)
            throws IOException {
        if (note.span().isEmpty()) {
            return false;
        }
        Note.Span s = note.span().get();
        Optional<Dimension> placed = Dimension.place(
                placer,
                x0 + e.across(s.from()) * k,
                y0 - e.up(s.from()) * k,
                x0 + e.across(s.to()) * k,
                y0 - e.up(s.to()) * k,
                s.from().distanceTo(s.to()) * k,
                sheet.textWidth(sheet.bold, SIZE, text) + 4,
                SIZE + 1,
                ARROW,
                e == Elevation.SIDE);
        if (placed.isEmpty()) {
            return false;
        }
        Dimension d = placed.get();
        sheet.pen(0.4, 0.3);
        for (double[] l : d.lines()) {
            sheet.line(l[0], l[1], l[2], l[3]);
        }
        sheet.area(d.arrow(true, ARROW), 0.3);
        sheet.area(d.arrow(false, ARROW), 0.3);
        Box box = d.figure();
        sheet.blank(box.x(), box.y(), box.w(), box.h());
        sheet.text(sheet.bold, SIZE, box.x() + 2, box.y() + SIZE - 1, text);
        return true;
    }

    private static double[] flat(List<Double> xy) {
        return xy.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private void ink(Pen pen) throws IOException {
        switch (pen) {
            case GROUND, CENTRE_LINE, LOCK_ARC, ENVELOPE, TURN_AXIS -> sheet.pen(0.4, 0.7);
            case TYRE, WISHBONE, STRUT, SPINDLE, BEAM, TRACK_BAR, GUIDE, GEAR_BOX, TUBE, BEARING ->
                sheet.pen(0.7, 0.55);
            case STEER_AXIS -> {
                sheet.pen(0.4, 0.5);
                sheet.dash(5, 2, 1, 2);
            }
            case FORK_PIN -> sheet.pen(0.8, 0.2);
            case STEERING_WHEEL, RACK, JOINT, SHUTTLE -> sheet.pen(0.8, 0.15);
            case SHAFT, TIE_ROD, STEERING_ARM, GEAR_ARM, DRIVEN_ROD -> sheet.pen(1.6, 0);
        }
    }
}
