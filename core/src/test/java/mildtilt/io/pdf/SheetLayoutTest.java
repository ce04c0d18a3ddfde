package mildtilt.io.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import mildtilt.analysis.Analysis;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.template.FlatPattern;
import mildtilt.template.PatternMark;
import mildtilt.template.PatternPoint;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Papers as a shop expects them: type that can be read, a title block on every sheet, tables with their headings, words
 * off the lines.
 */
class SheetLayoutTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);
    private static final double SMALLEST = 9;

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "BOG_TENDER"})
    void sheetsAreReadableAndTitled(DemoJob demo) throws IOException {
        Papers p = Papers.of(Analysis.of(demo.job()), DAY);
        int patterns = TemplatePdfSheets.of(p);
        check(JobCardPdf.write(p.analysis(), LengthUnit.INCH_FRACTION, DAY, "x.tilt"), "Job card", 0, p);
        check(RunSheetPdf.write(p, LengthUnit.MM, DAY, "x.tilt"), "Run sheet", 0, p);
        check(JobBookPdf.write(p, LengthUnit.INCH_FRACTION, DAY, "x.tilt"), "Job book", patterns, p);
    }

    /** @param last sheets that have their own foot */
    private static void check(byte[] pdf, String kind, int last, Papers papers) throws IOException {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            int all = d.getNumberOfPages();
            for (int i = 1; i <= all; i++) {
                Type type = new Type(i);
                String text = type.getText(d);
                assertThat(type.smallest)
                        .as(kind + ", sheet " + i + ": the smallest type")
                        .isGreaterThanOrEqualTo(SMALLEST - 0.01);
                assertThat(text).contains(i + " of " + all);
                if (i <= all - last) {
                    assertThat(text).contains(kind, "A plan, not an approval", DAY.toString(), "Lengths in");
                }
                List<String> lines = text.lines()
                        .map(String::strip)
                        .filter(l -> !l.isEmpty())
                        .toList();
                for (Table t : papers.tables()) {
                    int at = lines.indexOf(t.title());
                    assertThat(at < 0 || at + 2 < lines.size())
                            .as("\"" + t.title() + "\" has its table on the sheet")
                            .isTrue();
                }
            }
        }
    }

    private static final class Type extends PDFTextStripper {
        private double smallest = Double.POSITIVE_INFINITY;

        Type(int page) {
            setStartPage(page);
            setEndPage(page);
        }

        @Override
        protected void processTextPosition(TextPosition text) {
            smallest = Math.min(smallest, text.getFontSizeInPt());
            super.processTextPosition(text);
        }
    }

    /** How many sheets the templates of a job take at the end of its book. */
    private static final class TemplatePdfSheets {
        static int of(Papers p) throws IOException {
            if (p.templates().patterns().isEmpty()) {
                return 0;
            }
            try (PdfSheet sheet = new PdfSheet("x", new PDRectangle(842, 595))) {
                new TemplatePdf(sheet, LengthUnit.MM).patterns(p.templates().patterns());
                return sheet.pages();
            }
        }
    }

    /** Nothing that is written on a template lies across one of its lines, or across another word. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void templateTextAvoidsLines(DemoJob demo) {
        for (FlatPattern pattern :
                Papers.of(Analysis.of(demo.job()), DAY).templates().patterns()) {
            List<Box> words = new ArrayList<>();
            List<double[]> lines = new ArrayList<>();
            for (PatternMark ink : pattern.inks()) {
                switch (ink) {
                    case PatternMark.Words w -> words.add(box(w));
                    case PatternMark.Circle _ -> {}
                    case PatternMark.Path p ->
                        IntStream.range(1, p.spots().size())
                                .forEach(i -> lines.add(new double[] {
                                    p.spots().get(i - 1).x(),
                                    -p.spots().get(i - 1).y(),
                                    p.spots().get(i).x(),
                                    -p.spots().get(i).y()
                                }));
                }
            }
            assertThat(words).isNotEmpty();
            for (Box b : words) {
                assertThat(lines).as(pattern.name() + ": " + b).noneMatch(l -> b.crossedBy(l[0], l[1], l[2], l[3]));
            }
        }
    }

    /** Half as wide as high for each letter, a little less than it is, so that touching counts only when it is seen. */
    private static Box box(PatternMark.Words w) {
        double length = w.text().text(LengthUnit.MM).length() * w.height() * 0.42;
        double high = w.height() * 0.6;
        PatternPoint at = w.at();
        return w.upward()
                ? new Box(at.x() - high, -at.y() - length, high, length)
                : new Box(at.x(), -at.y() - high, length, high);
    }
}
