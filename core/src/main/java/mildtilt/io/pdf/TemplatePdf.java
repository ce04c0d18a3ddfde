package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import mildtilt.build.Workshop.Paper;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * Patterns at full size on sheets of paper. One larger than a sheet is laid over several that overlap, with crosses to
 * lay upon each other. Every sheet
 * has a bar to measure: if it is not as long as it says, the sheet was printed too small.
 */
public final class TemplatePdf {

    private static final double EDGE = 10;
    private static final double FOOT = 20;
    private static final double HEAD = 20;
    private static final double OVERLAP = 12;
    private static final double BAR = 100;
    /** Room round a pattern for the words that stand out of it, mm. */
    private static final double ROUND = 8;

    private final PdfSheet sheet;
    private final LengthUnit unit;
    private final PdfMarks marks;
    private final double wide;
    private final double high;

    TemplatePdf(PdfSheet sheet, LengthUnit unit) {
        this.sheet = sheet;
        this.unit = unit;
        marks = new PdfMarks(sheet, unit);
        wide = sheet.width / PdfSheet.MM - 2 * EDGE;
        high = sheet.height / PdfSheet.MM - 2 * EDGE - FOOT - HEAD;
    }

    static PDRectangle size(Paper paper) {
        return new PDRectangle((float) (paper.width() * PdfSheet.MM), (float) (paper.height() * PdfSheet.MM));
    }

    public static byte[] write(List<FlatPattern> patterns, Paper paper, LengthUnit unit, String title)
            throws IOException {
        try (PdfSheet sheet = new PdfSheet("Templates: " + title, size(paper))) {
            TemplatePdf pdf = new TemplatePdf(sheet, unit);
            pdf.patterns(patterns);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    /**
     * How many sheets a pattern takes across and up. @param turned whether it is laid on its side, for fewer of them
     */
    record Tiles(int across, int up, boolean turned) {
        int count() {
            return across * up;
        }
    }

    /** How many sheets of paper a pattern takes. */
    public static int sheets(FlatPattern p, Paper paper) {
        return tiles(p, paper.width() - 2 * EDGE, paper.height() - 2 * EDGE - FOOT - HEAD)
                .count();
    }

    private static Tiles tiles(FlatPattern p, double wide, double high) {
        FlatPattern.Bounds b = p.bounds();
        Tiles upright = new Tiles(along(b.width() + 2 * ROUND, wide), along(b.height() + 2 * ROUND, high), false);
        Tiles turned = new Tiles(along(b.height() + 2 * ROUND, wide), along(b.width() + 2 * ROUND, high), true);
        return turned.count() < upright.count() ? turned : upright;
    }

    private static int along(double length, double sheet) {
        return length <= sheet ? 1 : (int) Math.ceil((length - OVERLAP) / (sheet - OVERLAP) - 1e-9);
    }

    /**
     * Draws them from the present sheet on, which must be empty: several on one sheet where they fit below each other.
     */
    void patterns(List<FlatPattern> all) throws IOException {
        double full = HEAD + high;
        double used = 0;
        boolean footed = false;
        for (FlatPattern p : all) {
            Tiles t = tiles(p, wide, high);
            FlatPattern.Bounds b = p.bounds();
            double takes = t.count() > 1 ? full : HEAD + 2 * ROUND + (t.turned ? b.width() : b.height());
            if (used > 0 && used + takes > full + 1e-6) {
                sheet.nextPage();
                used = 0;
                footed = false;
            }
            for (int row = 0; row < t.up; row++) {
                for (int column = 0; column < t.across; column++) {
                    if (row + column > 0) {
                        sheet.nextPage();
                        footed = false;
                    }
                    if (!footed) {
                        foot();
                        footed = true;
                    }
                    tile(p, t, column, row, EDGE + used, Math.min(takes, full) - HEAD);
                }
            }
            used += takes;
        }
    }

    /**
     * @param column from the left; @param row from the top; @param at where it begins, and how much height it has, mm
     */
    private void tile(FlatPattern p, Tiles t, int column, int row, double at, double height) throws IOException {
        FlatPattern.Bounds b = p.bounds();
        double mm = PdfSheet.MM;
        double y0 = at + HEAD;
        // What of the pattern's own sheet lies at the tile's left top corner.
        double left = column * (wide - OVERLAP);
        double top = row * (high - OVERLAP);
        sheet.text(sheet.bold, 11, EDGE * mm, (at + 4) * mm, sheet.fit(sheet.bold, 11, (wide - 50) * mm, p.name()));
        String plate = p.thickness()
                .map(th -> " · plate " + LengthText.format(th, unit))
                .orElse("");
        sheet.textRight(
                sheet.regular,
                9,
                (EDGE + wide) * mm,
                (at + 4) * mm,
                "full size" + plate
                        + (t.count() == 1 ? "" : " · sheet " + (row * t.across + column + 1) + " of " + t.count()));
        if (row + column == 0) {
            List<String> how = sheet.wrap(sheet.regular, 9, wide * mm, p.how().text(unit));
            for (int i = 0; i < Math.min(3, how.size()); i++) {
                sheet.text(sheet.regular, 9, EDGE * mm, (at + 8.5 + 4 * i) * mm, how.get(i));
            }
        } else {
            sheet.text(
                    sheet.regular,
                    9,
                    EDGE * mm,
                    (at + 8.5) * mm,
                    "Row " + (row + 1) + ", column " + (column + 1) + ": lay the crosses upon those of the sheet "
                            + (column > 0 ? "to the left." : "above."));
        }
        sheet.clip(EDGE * mm, y0 * mm, wide * mm, height * mm);
        Place place = new Place(b, t.turned, EDGE - left + ROUND, y0 - top + ROUND);
        for (PatternMark ink : p.inks()) {
            marks.draw(ink, place);
        }
        sheet.unclip();
        if (t.count() > 1) {
            crosses(t, column, row, EDGE, y0);
        }
    }

    /** Where a spot of a pattern is on the sheet, mm from its left top corner. */
    private record Place(FlatPattern.Bounds b, boolean turned, double dx, double dy) implements PdfMarks.Place {

        @Override
        public double x(double x, double y) {
            return dx + (turned ? y - b.bottom() : x - b.left());
        }

        @Override
        public double y(double x, double y) {
            return dy + (turned ? x - b.left() : b.top() - y);
        }
    }

    /** In the middle of every overlap, at a third and two thirds of the sheet. */
    private void crosses(Tiles t, int column, int row, double x0, double y0) throws IOException {
        sheet.pen(0.4, 0.3);
        for (int side = 0; side < 2; side++) {
            boolean across = side == 0 ? column > 0 : column < t.across - 1;
            boolean up = side == 0 ? row > 0 : row < t.up - 1;
            for (int third = 1; third < 3; third++) {
                if (across) {
                    cross(x0 + (side == 0 ? OVERLAP / 2 : wide - OVERLAP / 2), y0 + high * third / 3);
                }
                if (up) {
                    cross(x0 + wide * third / 3, y0 + (side == 0 ? OVERLAP / 2 : high - OVERLAP / 2));
                }
            }
        }
    }

    private void cross(double x, double y) throws IOException {
        double mm = PdfSheet.MM;
        sheet.line((x - 4) * mm, y * mm, (x + 4) * mm, y * mm);
        sheet.line(x * mm, (y - 4) * mm, x * mm, (y + 4) * mm);
    }

    private void foot() throws IOException {
        double mm = PdfSheet.MM;
        double y = (sheet.height / PdfSheet.MM - EDGE - 8) * mm;
        sheet.pen(0.8, 0);
        sheet.line(EDGE * mm, y, (EDGE + BAR) * mm, y);
        for (int i = 0; i <= 10; i++) {
            double x = (EDGE + BAR * i / 10) * mm;
            sheet.line(x, y - (i % 5 == 0 ? 6 : 3.5), x, y);
        }
        sheet.text(
                sheet.regular,
                9,
                (EDGE + BAR + 4) * mm,
                y,
                "Measure this bar: " + LengthText.format(BAR, LengthUnit.MM)
                        + (unit == LengthUnit.MM ? "" : " (" + LengthText.format(BAR, unit) + ")")
                        + ". If it is not, print again at 100 %.");
        sheet.text(
                sheet.regular,
                9,
                EDGE * mm,
                y + 12,
                "Full line: cut. Dashed: mark, do not cut. Plan figures, not an approval: try it in card first.");
    }
}
