package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.stream.Collectors;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.runsheet.RunSheet;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;

/**
 * The run sheet on paper: a box to tick at each step, what to measure with room for what was read, and who did it when.
 */
public final class RunSheetPdf {

    private static final double IN = 16;
    private static final double STATE = 150;
    private static final double READ = 90;

    private final RunSheet run;
    private final LengthUnit unit;
    private final PdfSheet sheet;
    private final BookPages pages;

    RunSheetPdf(RunSheet run, LengthUnit unit, PdfSheet sheet, BookPages pages) {
        this.run = run;
        this.unit = unit;
        this.sheet = sheet;
        this.pages = pages;
    }

    /** The PDF's bytes, standing sheets. @param file name of the job's file, as printed */
    public static byte[] write(Papers papers, LengthUnit unit, LocalDate date, String file) throws IOException {
        Job job = papers.analysis().job();
        try (PdfSheet sheet = new PdfSheet(
                "Run sheet: " + job.title(),
                TemplatePdf.size(job.making().workshop().paper()))) {
            BookPages pages = new BookPages(sheet, unit, new TitleBlock(job.title(), "Run sheet", file, date, unit));
            new RunSheetPdf(papers.run(), unit, sheet, pages).steps();
            pages.finish();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    /** Every step of it, from where the pages are now. */
    void steps() throws IOException {
        pages.heading("Order of work");
        int n = 0;
        for (RunSheet.Line l : run.lines()) {
            step(l, ++n);
        }
    }

    private void step(RunSheet.Line l, int n) throws IOException {
        pages.need(60);
        double y = pages.y();
        double in = pages.left() + IN;
        double w = pages.wide() - IN;
        pages.tickBox(l.mark().done().isPresent());
        sheet.textRight(
                sheet.regular,
                BookPages.SIZE,
                pages.left() + pages.wide(),
                y,
                LengthText.trimmed(l.hours(), 1) + " h · "
                        + l.mark()
                                .done()
                                .map(d -> d
                                        + (l.mark().by().isBlank()
                                                ? ""
                                                : ", " + l.mark().by()))
                                .orElse("day ________ by ________"));
        pages.say(sheet.bold, in, w - STATE, n + ". " + l.step().title());
        if (!l.step().needs().isEmpty()) {
            pages.say(
                    sheet.regular,
                    in,
                    w,
                    l.step().needs().stream()
                            .map(x -> "\""
                                    + run.line(x.key())
                                            .map(o -> o.step().title())
                                            .orElse(x.key()) + "\": " + x.why())
                            .collect(Collectors.joining("; ", "After ", "")));
        }
        if (!l.step().held().isEmpty()) {
            pages.say(sheet.regular, in, w, "Hold: " + l.step().held());
        }
        for (Phrase m : l.step().measure()) {
            // Its last line has room for what was read.
            pages.say(sheet.regular, in, w - READ, "– " + m.text(unit));
            sheet.pen(0.4, 0.5);
            sheet.line(in + w - READ + 12, pages.y() - 9, in + w, pages.y() - 9);
        }
        if (!l.step().proof().pattern().isEmpty()) {
            pages.say(sheet.regular, in, w, "Proof: " + l.step().proof().text(unit));
        }
        if (!l.step().tools().isEmpty()) {
            pages.say(sheet.regular, in, w, "At hand: " + l.step().tools());
        }
        for (String c : l.step().cautions()) {
            pages.say(sheet.bold, in, w, "! " + c);
        }
        if (!l.mark().note().isBlank()) {
            pages.say(sheet.regular, in, w, "Noted: " + l.mark().note());
        }
        pages.down(5);
    }
}
