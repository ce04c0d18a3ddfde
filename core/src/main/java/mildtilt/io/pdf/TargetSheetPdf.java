package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import mildtilt.build.Workshop.Paper;
import mildtilt.geometry.Point;
import mildtilt.photograph.MarkCode;
import mildtilt.photograph.TargetSheet;

/**
 * The sheet to lay into photographs, and the marks to stick on the vehicle, at full size: {@link TargetSheet} says
 * where each mark is.
 */
public final class TargetSheetPdf {

    private static final double STEP = Math.toRadians(2);
    /** Marks to stick on, in rows of four. */
    private static final double SINGLE_ACROSS = 45;

    private static final double SINGLE_DOWN = 46;

    private final PdfSheet sheet;
    private final double middle;
    private final double high;

    private TargetSheetPdf(PdfSheet sheet) {
        this.sheet = sheet;
        middle = sheet.width / PdfSheet.MM / 2;
        high = sheet.height / PdfSheet.MM;
    }

    public static byte[] write(Paper paper) throws IOException {
        try (PdfSheet sheet = new PdfSheet("Sheet for photographs", TemplatePdf.size(paper))) {
            TargetSheetPdf pdf = new TargetSheetPdf(sheet);
            pdf.target();
            sheet.nextPage();
            pdf.singles();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void target() throws IOException {
        double down = high / 2 + 2;
        for (int m = 1; m <= TargetSheet.ON_SHEET; m++) {
            Point p = TargetSheet.place(m);
            mark(m, middle + p.x(), down - p.y());
        }
        // The lines to lay it by, where no mark is.
        sheet.pen(0.4, 0.45);
        double half = (TargetSheet.DOWN - 1) * TargetSheet.PITCH / 2 + TargetSheet.DOT_RADIUS * MarkCode.WHITE_OUTSIDE;
        line(middle, down - half, middle, down + half);
        double wide = (TargetSheet.ACROSS - 1) * TargetSheet.PITCH / 2 + 17;
        line(middle - wide, down, middle + wide, down);
        area(0, middle - 3, down - half, middle + 3, down - half, middle, down - half - 7);
        text(9, middle + 6, down - half - 2, "forward");
        text(9, middle - wide, down - half - 2, "Mild Tilt: sheet for photographs");
        double bar = middle + wide + 5;
        sheet.pen(0.6, 0);
        line(bar, down - TargetSheet.BAR / 2, bar, down + TargetSheet.BAR / 2);
        for (double end : new double[] {-1, 1}) {
            line(bar - 3, down + end * TargetSheet.BAR / 2, bar + 3, down + end * TargetSheet.BAR / 2);
        }
        sheet.textTurned(
                sheet.regular,
                8,
                (bar + 4) * PdfSheet.MM,
                (down + 60) * PdfSheet.MM,
                Math.PI / 2,
                "Measure this bar: it should be " + (int) TargetSheet.BAR + " mm. Type what it is.");
        List<String> lines = List.of(
                "Print at 100 %, glue it flat to a board, and lay or clamp it where every photograph shows it.",
                "Lines on the floor grid, arrow forward, and the sheet tells where the vehicle's axes are.");
        for (int i = 0; i < lines.size(); i++) {
            text(8, middle - wide, down + half + 3 + 4 * i, lines.get(i));
        }
    }

    private void singles() throws IOException {
        text(
                11,
                middle - 85,
                16,
                "Marks to stick on the vehicle: cut them out with their white edge, each once, flat on the metal.");
        int n = 0;
        for (int m = TargetSheet.ON_SHEET + 1; m <= MarkCode.count(); m++, n++) {
            double x = middle + (n % TargetSheet.ACROSS - (TargetSheet.ACROSS - 1) / 2.0) * SINGLE_ACROSS;
            double y = 45 + n / TargetSheet.ACROSS * SINGLE_DOWN;
            double edge = TargetSheet.DOT_RADIUS * MarkCode.WHITE_OUTSIDE;
            sheet.pen(0.2, 0.6);
            sheet.path(mm(x - edge, y - edge, x + edge, y - edge, x + edge, y + edge, x - edge, y + edge), true);
            mark(m, x, y);
            text(7, x - edge + 1, y + edge - 1, String.valueOf(m));
        }
    }

    private void mark(int mark, double x, double y) throws IOException {
        sheet.pen(0.01, 0);
        ring(x, y, 0, 1, 0, 2 * Math.PI);
        double part = 2 * Math.PI / MarkCode.PARTS;
        for (int k = 0; k < MarkCode.PARTS; k++) {
            if (MarkCode.isBlack(mark, k)) {
                ring(x, y, MarkCode.RING_INSIDE, MarkCode.RING_OUTSIDE, k * part, (k + 1) * part);
            }
        }
    }

    /** A part of a ring, black. @param inside and outside in radii of the dot; @param from and to anticlockwise, rad */
    private void ring(double x, double y, double inside, double outside, double from, double to) throws IOException {
        int n = (int) Math.ceil((to - from) / STEP);
        int back = inside > 0 ? n + 1 : 0;
        double[] xy = new double[2 * (n + 1 + back)];
        for (int i = 0; i < n + 1 + back; i++) {
            boolean out = i <= n;
            double t = from + (to - from) * (out ? i : 2 * n + 1 - i) / n;
            double r = (out ? outside : inside) * TargetSheet.DOT_RADIUS;
            xy[2 * i] = x + r * Math.cos(t);
            xy[2 * i + 1] = y - r * Math.sin(t);
        }
        sheet.area(mm(xy), 0);
    }

    private void area(double fill, double... xy) throws IOException {
        sheet.area(mm(xy), fill);
    }

    private void line(double x1, double y1, double x2, double y2) throws IOException {
        sheet.line(x1 * PdfSheet.MM, y1 * PdfSheet.MM, x2 * PdfSheet.MM, y2 * PdfSheet.MM);
    }

    private void text(double size, double x, double y, String text) throws IOException {
        sheet.text(sheet.regular, size, x * PdfSheet.MM, y * PdfSheet.MM, text);
    }

    private static double[] mm(double... xy) {
        double[] points = new double[xy.length];
        for (int i = 0; i < xy.length; i++) {
            points[i] = xy[i] * PdfSheet.MM;
        }
        return points;
    }
}
