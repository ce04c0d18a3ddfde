package mildtilt.format;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.LabelPlacer;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.drawing.Note;
import mildtilt.drawing.Outlines;
import mildtilt.drawing.Pen;
import mildtilt.drawing.Sketch;
import mildtilt.drawing.Stroke;
import mildtilt.measure.LengthUnit;

/** Elevations of a sketch on a sheet, to one scale that is said beside them. */
final class PdfDrawing {

    private static final int[] SCALES = {1, 2, 5, 10, 15, 20, 25, 30, 40, 50, 75, 100, 200, 500, 1000, 2000, 5000};
    private static final double ROOM_FOR_TEXT = 12;
    private static final double SIZE = 7.5;

    private final PdfSheet sheet;
    private final Sketch sketch;
    private final LengthUnit unit;

    PdfDrawing(PdfSheet sheet, Sketch sketch, LengthUnit unit) {
        this.sheet = sheet;
        this.sketch = sketch;
        this.unit = unit;
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
        return elevations.stream().mapToDouble(e -> Extent.of(sketch, e).height() / scale * PdfSheet.MM + 2 * ROOM_FOR_TEXT)
                .max().orElse(0);
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
        for (Stroke stroke : sketch.strokes()) {
            ink(stroke.pen());
            switch (stroke) {
                case Stroke.Line line -> sheet.path(flat(line.points().stream()
                        .flatMap(p -> Stream.of(x0 + e.across(p) * k, y0 - e.up(p) * k)).toList()), false);
                case Stroke.Outline outline -> sheet.path(flat(Outlines.of(outline, e).stream()
                        .flatMap(f -> Stream.of(x0 + f.across() * k, y0 - f.up() * k)).toList()), true);
            }
            sheet.dash();
        }
        labels(e, k, x0, y0, new Box(x, y, w, h));
        sheet.text(sheet.bold, 8, x, y + h + 8, e.label());
        sheet.text(sheet.regular, 8, x + sheet.textWidth(sheet.bold, 8, e.label() + "  "), y + h + 8, e.sense());
    }

    private void labels(Elevation e, double k, double x0, double y0, Box surface) throws IOException {
        LabelPlacer placer = new LabelPlacer(surface);
        for (Stroke stroke : sketch.strokes()) {
            for (int i = 1; i < stroke.points().size() && stroke.pen().matters(); i++) {
                placer.keepClear(
                        x0 + e.across(stroke.points().get(i - 1)) * k, y0 - e.up(stroke.points().get(i - 1)) * k,
                        x0 + e.across(stroke.points().get(i)) * k, y0 - e.up(stroke.points().get(i)) * k);
            }
        }
        for (Note note : sketch.notes()) {
            if (!note.belongsIn(e)) {
                continue;
            }
            String text = note.figure().text(unit);
            Optional<Box> box = placer.place(x0 + e.across(note.at()) * k, y0 - e.up(note.at()) * k,
                    sheet.textWidth(sheet.bold, SIZE, text), SIZE).map(LabelPlacer.Spot::box);
            if (box.isPresent()) {
                sheet.text(sheet.bold, SIZE, box.get().x(), box.get().y() + SIZE - 1, text);
            }
        }
    }

    private static double[] flat(List<Double> xy) {
        return xy.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private void ink(Pen pen) throws IOException {
        switch (pen) {
            case GROUND, CENTRE_LINE, LOCK_ARC, TURN_AXIS -> sheet.pen(0.4, 0.7);
            case TYRE, WISHBONE, STRUT, SPINDLE, BEAM, TRACK_BAR, GUIDE, GEAR_BOX, TUBE, BEARING -> sheet.pen(0.7, 0.55);
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
