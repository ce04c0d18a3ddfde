package mildtilt.io.pdf;

import java.io.IOException;
import mildtilt.template.PatternMark;
import mildtilt.units.LengthUnit;

/** Draws the marks of patterns and drawings on a sheet. */
final class PdfMarks {

    private final PdfSheet sheet;
    private final LengthUnit unit;

    PdfMarks(PdfSheet sheet, LengthUnit unit) {
        this.sheet = sheet;
        this.unit = unit;
    }

    /** Where a spot of a pattern is on the sheet, mm from its left top corner. */
    interface Place {

        double x(double x, double y);

        double y(double x, double y);

        /** Whether it is laid on its side. */
        default boolean turned() {
            return false;
        }

        /** mm on the sheet for one of the pattern. */
        default double scale() {
            return 1;
        }
    }

    /** One mark where its place says. */
    void draw(PatternMark ink, Place place) throws IOException {
        double mm = PdfSheet.MM;
        switch (ink) {
            case PatternMark.Path p -> {
                pen(p.layer());
                double[] xy = new double[2 * p.spots().size()];
                for (int i = 0; i < p.spots().size(); i++) {
                    xy[2 * i] = place.x(p.spots().get(i).x(), p.spots().get(i).y()) * mm;
                    xy[2 * i + 1] =
                            place.y(p.spots().get(i).x(), p.spots().get(i).y()) * mm;
                }
                sheet.path(xy, p.closed());
            }
            case PatternMark.Circle c -> {
                pen(c.layer());
                int n = 120;
                double[] xy = new double[2 * n];
                for (int i = 0; i < n; i++) {
                    double x = c.centre().x() + c.radius() * Math.cos(2 * Math.PI * i / n);
                    double y = c.centre().y() + c.radius() * Math.sin(2 * Math.PI * i / n);
                    xy[2 * i] = place.x(x, y) * mm;
                    xy[2 * i + 1] = place.y(x, y) * mm;
                }
                sheet.path(xy, true);
            }
            case PatternMark.Words w -> {
                double x = place.x(w.at().x(), w.at().y()) * mm;
                double y = place.y(w.at().x(), w.at().y()) * mm;
                String text = w.text().text(unit);
                // Laid on its side, what ran along runs down and what ran up runs along.
                double turn = (w.upward() ? Math.PI / 2 : 0) - (place.turned() ? Math.PI / 2 : 0);
                double size = w.height() * place.scale() * mm;
                double back =
                        switch (w.anchor()) {
                            case START -> 0;
                            case MIDDLE -> sheet.textWidth(sheet.regular, size, text) / 2;
                            case END -> sheet.textWidth(sheet.regular, size, text);
                        };
                sheet.textTurned(sheet.regular, size, x - back * Math.cos(turn), y + back * Math.sin(turn), turn, text);
            }
        }
        sheet.dash();
    }

    private void pen(PatternMark.Layer layer) throws IOException {
        switch (layer) {
            case CUT -> sheet.pen(0.7, 0);
            case OUTLINE -> sheet.pen(1, 0);
            case MARK, HIDDEN -> {
                sheet.pen(0.5, 0.35);
                sheet.dash(4, 2);
            }
            case CENTRE -> {
                sheet.pen(0.4, 0.45);
                sheet.dash(9, 2, 2, 2);
            }
            case SIZE -> sheet.pen(0.4, 0.25);
        }
    }
}
