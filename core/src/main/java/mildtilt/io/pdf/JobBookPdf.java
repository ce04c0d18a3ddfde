package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.build.WeldRecord;
import mildtilt.curve.Curve;
import mildtilt.drawing.Elevation;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.findings.checks.NotJudged;
import mildtilt.job.Job;
import mildtilt.machined.PartDrawing;
import mildtilt.obstacle.Surroundings;
import mildtilt.report.FigureTables;
import mildtilt.report.Papers;
import mildtilt.report.Table;
import mildtilt.runsheet.Cautions;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The job book: the whole job on paper, lying sheets. Its figures are those of the screen, by the same words. */
public final class JobBookPdf {

    private static final String CUT_LIST = "cut-list";

    /** Written by hands of their own. */
    private static final Set<String> NOT_AS_TABLES = Set.of("run-sheet");

    private final Papers papers;
    private final Analysis analysis;
    private final LengthUnit unit;
    private final PdfSheet sheet;
    private final BookPages pages;

    private JobBookPdf(Papers papers, LengthUnit unit, PdfSheet sheet, LocalDate date, String file) throws IOException {
        this.papers = papers;
        analysis = papers.analysis();
        this.unit = unit;
        this.sheet = sheet;
        pages = new BookPages(sheet, unit, new TitleBlock(analysis.job().title(), "Job book", file, date, unit));
    }

    /** The PDF's bytes. @param file name of the job's file, as printed */
    public static byte[] write(Papers papers, LengthUnit unit, LocalDate date, String file) throws IOException {
        PDRectangle paper =
                TemplatePdf.size(papers.analysis().job().making().workshop().paper());
        try (PdfSheet sheet = new PdfSheet(
                "Job book: " + papers.analysis().job().title(), new PDRectangle(paper.getHeight(), paper.getWidth()))) {
            new JobBookPdf(papers, unit, sheet, date, file).book();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    private void book() throws IOException {
        summary();
        // What the saw needs stands with what is found, before all else.
        for (Table t : papers.tables()) {
            if (t.file().equals(CUT_LIST)) {
                pages.nextPage();
                pages.table(t);
                after(t);
            }
        }
        drawings();
        curves();
        pages.nextPage();
        new RunSheetPdf(papers.run(), unit, sheet, pages).steps();
        for (Table t : papers.tables()) {
            if (!NOT_AS_TABLES.contains(t.file()) && !t.file().equals(CUT_LIST)) {
                pages.table(t);
                after(t);
            }
        }
        Optional<Table> variants = FigureTables.variants(analysis);
        if (variants.isPresent()) {
            pages.table(variants.get().without("figure"));
        }
        for (PartDrawing d : papers.machined().drawings()) {
            pages.nextPage();
            PartDrawingPdf.drawing(sheet, pages, d);
        }
        open();
        heat();
        cautions();
        if (!papers.templates().patterns().isEmpty()) {
            sheet.nextPage();
            new TemplatePdf(sheet, unit).patterns(papers.templates().patterns());
        }
        pages.finish();
    }

    private void summary() throws IOException {
        sheet.text(
                sheet.bold,
                20,
                pages.left(),
                pages.y() + 18,
                sheet.fit(sheet.bold, 20, pages.wide(), analysis.job().title()));
        pages.down(32);
        if (!analysis.job().about().isBlank()) {
            pages.say(analysis.job().about());
        }
        pages.say("Rule set: " + analysis.job().rules().name() + ". "
                + analysis.job().rules().about());
        pages.heading("What it does");
        List<Headline> all = new ArrayList<>();
        for (Headline h : Headline.values()) {
            if (analysis.headlines().get(h).isPresent()) {
                all.add(h);
            }
        }
        int columns = 3;
        double w = pages.wide() / columns;
        for (int i = 0; i < all.size(); i += columns) {
            pages.need(15);
            for (int c = 0; c < columns && i + c < all.size(); c++) {
                Headline h = all.get(i + c);
                sheet.text(sheet.regular, BookPages.SIZE, pages.left() + c * w, pages.y(), h.label());
                sheet.textRight(
                        sheet.bold,
                        BookPages.SIZE,
                        pages.left() + c * w + w - 20,
                        pages.y(),
                        h.unit().format(analysis.headlines().get(h).orElseThrow(), unit));
            }
            pages.down(13);
        }
        pages.heading("Found by the checks");
        if (analysis.findings().isEmpty()) {
            pages.say("The checks of this program found nothing. That is no proof that all is well.");
        }
        for (Finding f : analysis.findings()) {
            pages.say(
                    f.severity() == Severity.STOP ? sheet.bold : sheet.regular,
                    pages.left(),
                    pages.wide(),
                    (f.severity() == Severity.STOP ? "STOP  " : "CHECK  ")
                            + f.what().text(unit));
        }
        pages.say("The cautions at the end of the book belong to every step.");
        pages.heading("Not judged, and what is missing for it");
        for (NotJudged n : analysis.notJudged()) {
            pages.say(
                    sheet.regular,
                    pages.left(),
                    pages.wide(),
                    n.matter() + ": " + n.missing().text(unit) + ".");
        }
    }

    private void drawings() throws IOException {
        // The steering alone first; then, where there is something in the way, with it.
        drawings(analysis.job().withSurroundings(Surroundings.NONE), Elevation.values());
        if (!analysis.job().surroundings().equals(Surroundings.NONE)) {
            drawings(analysis.job(), Elevation.SIDE, Elevation.PLAN);
        }
    }

    private void drawings(Job job, Elevation... elevations) throws IOException {
        PdfDrawing drawing = new PdfDrawing(sheet, job, analysis.train(), unit);
        if (drawing.sketch().strokes().isEmpty()) {
            return;
        }
        for (Elevation e : elevations) {
            pages.nextPage();
            double h = pages.bottom() - pages.y() - 30;
            int scale = drawing.scaleFor(List.of(e), pages.wide(), h);
            pages.scale(scale);
            drawing.draw(e, scale, pages.left(), pages.y(), pages.wide(), h);
            pages.down(h + 24);
            double bar = 50 * PdfSheet.MM;
            double right = pages.left() + pages.wide();
            sheet.pen(0.8, 0);
            sheet.line(right - bar, pages.y() - 8, right, pages.y() - 8);
            sheet.textRight(
                    sheet.regular,
                    BookPages.SIZE,
                    right,
                    pages.y() + 2,
                    "Scale 1:" + scale + " · this bar is 50 mm on paper, " + LengthText.format(50.0 * scale, unit)
                            + " on the vehicle");
        }
    }

    private void curves() throws IOException {
        List<Curve> all = List.of(Curve.values()).stream()
                .filter(c -> !c.series(analysis).isEmpty())
                .toList();
        CurvePdf pdf = new CurvePdf(sheet, unit);
        for (int i = 0; i < all.size(); i++) {
            if (i % 4 == 0) {
                pages.nextPage();
            }
            double w = pages.wide() / 2;
            double h = (pages.bottom() - pages.y()) / 2;
            pdf.draw(all.get(i), analysis, pages.left() + (i % 2) * w, pages.y() + i % 4 / 2 * h, w - 12, h - 8);
        }
    }

    private void after(Table t) throws IOException {
        switch (t.file()) {
            case "cut-list" ->
                pages.strong("All of it: " + Quantity.mass(papers.cuts().mass()).text(unit)
                        + " of finished metal, sliding halves not counted.");
            case "buying" ->
                pages.strong(
                        "Priced so far: " + LengthText.decimal(papers.buying().price(), 2) + "; "
                                + papers.buying().unpriced() + " without a price.");
            default -> {}
        }
    }

    private void open() throws IOException {
        List<String> all = new ArrayList<>();
        papers.cuts().open().forEach(p -> all.add(p.text(unit)));
        papers.templates().open().forEach(p -> all.add(p.text(unit)));
        papers.stock()
                .tooLong()
                .forEach(c -> all.add(
                        c.name() + " finds no bar that is long enough: " + LengthText.format(c.saw(), unit) + "."));
        if (!papers.cuts().asTheyCome().isEmpty()) {
            all.add("Used as they come: " + String.join(", ", papers.cuts().asTheyCome()) + ".");
        }
        if (all.isEmpty()) {
            return;
        }
        pages.heading("Still open");
        for (String s : all) {
            pages.say(s);
        }
    }

    /** Temperature over time of each weld that was read. */
    private void heat() throws IOException {
        for (WeldRecord w : analysis.job().making().welds()) {
            if (w.readings().size() < 2) {
                continue;
            }
            pages.need(190);
            pages.heading("Heat of " + w.piece());
            double left = pages.left() + 40;
            double right = pages.left() + pages.wide() * 0.7;
            double top = pages.y();
            double bottom = top + 110;
            double last = Math.max(1, w.readings().getLast().minutes());
            double hottest = Math.max(
                            w.mostBetween(),
                            w.readings().stream()
                                    .mapToDouble(WeldRecord.Reading::celsius)
                                    .max()
                                    .orElse(0))
                    * 1.05;
            sheet.pen(0.5, 0.6);
            sheet.line(left, bottom, right, bottom);
            sheet.line(left, top, left, bottom);
            for (double c : new double[] {w.preheat(), w.mostBetween()}) {
                double y = bottom - (bottom - top) * c / hottest;
                sheet.dash(3, 2);
                sheet.line(left, y, right, y);
                sheet.dash();
                sheet.textRight(
                        sheet.regular,
                        BookPages.SIZE,
                        left - 3,
                        y + 2,
                        Quantity.temperature(c).text(unit));
            }
            double[] xy = new double[2 * w.readings().size()];
            for (int i = 0; i < w.readings().size(); i++) {
                xy[2 * i] = left + (right - left) * w.readings().get(i).minutes() / last;
                xy[2 * i + 1] = bottom
                        - (bottom - top) * Math.max(0, w.readings().get(i).celsius()) / hottest;
            }
            sheet.pen(1.2, 0);
            sheet.path(xy, false);
            sheet.text(sheet.regular, BookPages.SIZE, left, bottom + 11, "0");
            sheet.textRight(sheet.regular, BookPages.SIZE, right, bottom + 11, Math.round(last) + " minutes");
            pages.down(128);
        }
    }

    private void cautions() throws IOException {
        pages.heading("Cautions");
        for (String c : List.of(
                Cautions.STANDS,
                Cautions.DISCS,
                Cautions.CURRENT,
                Cautions.HEAT,
                Cautions.SEALED,
                Cautions.ZINC,
                Cautions.CHARGE,
                Cautions.QUALIFIED,
                Cautions.NOT_DRIVEN)) {
            pages.say("– " + c);
        }
        pages.strong("Nothing in this book approves a design. Local rules and licensed practice come first.");
    }
}
