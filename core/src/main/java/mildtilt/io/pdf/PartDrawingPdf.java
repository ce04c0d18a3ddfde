package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import mildtilt.build.Workshop.Paper;
import mildtilt.job.Job;
import mildtilt.machined.PartDrawing;
import mildtilt.machined.PartSize;
import mildtilt.report.DrawingTable;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Drawings for the machinist, each on a sheet of its own laid on its side, with sizes, notes and a title block. */
public final class PartDrawingPdf {

    private static final double LINE = 11.5;

    private PartDrawingPdf() {}

    /** The PDF's bytes. @param file name of the job's file, as printed */
    public static byte[] write(List<PartDrawing> drawings, Job job, LengthUnit unit, LocalDate date, String file)
            throws IOException {
        PDRectangle size = TemplatePdf.size(job.making().workshop().paper());
        PDRectangle lying = new PDRectangle(size.getHeight(), size.getWidth());
        try (PdfSheet sheet = new PdfSheet("Drawings: " + job.title(), lying)) {
            BookPages pages = new BookPages(sheet, unit, new TitleBlock(job.title(), "Drawings", file, date, unit));
            for (int i = 0; i < drawings.size(); i++) {
                if (i > 0) {
                    pages.nextPage();
                }
                drawing(sheet, pages, drawings.get(i));
            }
            pages.finish();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    /** The scale a drawing is printed at, one to so many. */
    public static int scale(PartDrawing d, Paper paper) {
        double margins = 2 * PdfSheet.MARGIN / PdfSheet.MM;
        return d.scaleFor(paper.height() - margins, (paper.width() - margins) * SHARE);
    }

    /** Of a sheet's height, what the drawing has. */
    private static final double SHARE = 0.62;

    /** One drawing from where the pages stand, which is the top of one that lies on its side. */
    static void drawing(PdfSheet sheet, BookPages pages, PartDrawing d) throws IOException {
        LengthUnit unit = pages.unit;
        pages.down(8);
        sheet.text(sheet.bold, 15, pages.left(), pages.y(), sheet.fit(sheet.bold, 15, pages.wide(), d.name()));
        pages.down(LINE + 4);
        pages.say(d.howMany().then(Phrase.of(" From ")).then(d.from()).then(".").text(unit));
        for (Phrase c : d.cautions()) {
            pages.strong("! " + capital(c.text(unit)));
        }
        double wide = sheet.width / PdfSheet.MM - 2 * PdfSheet.MARGIN / PdfSheet.MM;
        double high = (sheet.height / PdfSheet.MM - 2 * PdfSheet.MARGIN / PdfSheet.MM) * SHARE;
        int scale = d.scaleFor(wide, high);
        pages.scale(scale);
        FlatPattern drawn = d.at(scale);
        FlatPattern.Bounds b = PartDrawing.round(drawn);
        double left = PdfSheet.MARGIN / PdfSheet.MM + (wide - b.width() / scale) / 2;
        double top = pages.y() / PdfSheet.MM;
        PdfMarks marks = new PdfMarks(sheet, unit);
        PdfMarks.Place place = new PdfMarks.Place() {
            @Override
            public double x(double x, double y) {
                return left + (x - b.left()) / scale;
            }

            @Override
            public double y(double x, double y) {
                return top + (b.top() - y) / scale;
            }

            @Override
            public double scale() {
                return 1.0 / scale;
            }
        };
        for (PatternMark m : drawn.inks()) {
            marks.draw(m, place);
        }
        pages.down(b.height() / scale * PdfSheet.MM + 2 * LINE);
        for (Phrase n : d.notes()) {
            pages.say(n.text(unit));
        }
        pages.say("Limits without a fit are those of ISO 2768-1 m. Plan figures, not an approval.");
        for (PartSize size : d.more()) {
            pages.say(capital(size.name()) + ": " + size.text().text(unit));
        }
        if (!d.holes().isEmpty()) {
            pages.table(DrawingTable.holes(d));
        }
    }

    private static String capital(String s) {
        return s.isEmpty() ? s : Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
