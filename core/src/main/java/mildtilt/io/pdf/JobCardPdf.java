package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.clocking.ForkMark;
import mildtilt.drawing.Elevation;
import mildtilt.drawing.Extent;
import mildtilt.drawing.Sketch;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.obstacle.Surroundings;
import mildtilt.shop.BenchSheet;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;
import mildtilt.units.Quantity;

/** The job card: one A4 page with what to set, mark and cut, the drawing to scale, and what is still wrong. */
public final class JobCardPdf {

    private static final double ROW = 12.5;
    private static final double TEXT = 9;
    private static final double FOOT_LINE = 11;
    private static final double WRITING_LINE = 20;

    private static final String CAUTION =
            "Plan figures from the sizes given, not an approval. Tack, then turn from lock to lock "
                    + "at full bump and droop before anything is welded for good. Keep heat off bearings and joints. Welding a "
                    + "steering shaft or arm is forbidden in some places and judged by inspectors in others: ask first, and have "
                    + "critical welds made and tested by someone licensed to.";

    private final Analysis analysis;
    private final LengthUnit unit;
    private final PdfSheet sheet;
    private double y = PdfSheet.MARGIN;

    private JobCardPdf(Analysis analysis, LengthUnit unit, PdfSheet sheet) {
        this.analysis = analysis;
        this.unit = unit;
        this.sheet = sheet;
    }

    /** The PDF's bytes. @param file name of the job's file, as printed on the card */
    public static byte[] write(Analysis analysis, LengthUnit unit, LocalDate date, String file) throws IOException {
        try (PdfSheet sheet = new PdfSheet("Job card: " + analysis.job().title())) {
            new JobCardPdf(analysis, unit, sheet).page(date, file);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    private double right() {
        return sheet.width - PdfSheet.MARGIN;
    }

    private double inside() {
        return sheet.width - 2 * PdfSheet.MARGIN;
    }

    private void page(LocalDate date, String file) throws IOException {
        header();
        List<String> foot = foot();
        double tables = tablesHeight();
        double footHeight = foot.size() * FOOT_LINE + 10 + TitleBlock.HEIGHT;
        double room = sheet.height - PdfSheet.MARGIN - footHeight - tables - y;
        int scale = drawing(Math.max(60, room - 40));
        tables();
        double at = sheet.height - PdfSheet.MARGIN - footHeight + 14;
        linesToWriteOn(at - 16);
        sheet.pen(0.6, 0);
        sheet.line(PdfSheet.MARGIN, at - 12, right(), at - 12);
        for (String line : foot) {
            boolean strong = line.startsWith("STOP") || line.startsWith("CHECK");
            sheet.text(strong ? sheet.bold : sheet.regular, TEXT, PdfSheet.MARGIN, at, line);
            at += FOOT_LINE;
        }
        new TitleBlock(analysis.job().title(), "Job card", file, date, unit)
                .draw(
                        sheet,
                        PdfSheet.MARGIN,
                        sheet.height - PdfSheet.MARGIN - TitleBlock.HEIGHT + 8,
                        inside(),
                        1,
                        1,
                        Optional.of(scale));
    }

    private void header() throws IOException {
        y += 14;
        sheet.text(
                sheet.bold,
                18,
                PdfSheet.MARGIN,
                y,
                sheet.fit(sheet.bold, 18, inside() - 150, analysis.job().title()));
        sheet.textRight(sheet.bold, 12, right(), y, "Job card");
        y += 6;
        sheet.pen(1, 0);
        sheet.line(PdfSheet.MARGIN, y, right(), y);
        y += 4;
    }

    /** What room is left is ruled, for what is found and changed at the bench. */
    private void linesToWriteOn(double bottom) throws IOException {
        if (bottom - y < 3 * WRITING_LINE) {
            return;
        }
        y += 5;
        heading("Found and changed at the bench", PdfSheet.MARGIN);
        sheet.pen(0.3, 0.7);
        for (double line = y + WRITING_LINE; line < bottom; line += WRITING_LINE) {
            sheet.line(PdfSheet.MARGIN, line, right(), line);
        }
    }

    /** @return its scale: one to so much */
    private int drawing(double room) throws IOException {
        // The steering alone: what is in the way would hide it and make it smaller.
        PdfDrawing drawing =
                new PdfDrawing(sheet, analysis.job().withSurroundings(Surroundings.NONE), analysis.train(), unit);
        Sketch sketch = drawing.sketch();
        List<Elevation> two = List.of(Elevation.SIDE, Elevation.PLAN);
        int scale = drawing.scaleFor(two, inside(), room);
        double h = Math.min(room, drawing.heightAt(scale, two));
        double side = Extent.of(sketch, Elevation.SIDE).width();
        double plan = Extent.of(sketch, Elevation.PLAN).width();
        double first = inside() * side / (side + plan);
        drawing.draw(Elevation.SIDE, scale, PdfSheet.MARGIN, y, first, h);
        drawing.draw(Elevation.PLAN, scale, PdfSheet.MARGIN + first, y, inside() - first, h);
        y += h + 20;
        scaleBar(scale);
        y += 14;
        return scale;
    }

    /** A bar of known length, so that a print that was shrunk to fit shows itself. */
    private void scaleBar(int scale) throws IOException {
        double mm = 50;
        double x = right() - mm * PdfSheet.MM;
        sheet.pen(0.8, 0);
        sheet.line(x, y, right(), y);
        for (int i = 0; i <= 5; i++) {
            double at = x + i * mm / 5 * PdfSheet.MM;
            sheet.line(at, y - 3, at, y);
        }
        sheet.textRight(
                sheet.regular,
                TEXT,
                right(),
                y + 8,
                "Scale 1:" + scale + " · this bar is 50 mm on paper, " + LengthText.format(mm * scale, unit)
                        + " on the vehicle");
    }

    private double tablesHeight() {
        BenchSheet b = analysis.bench();
        double h = 0;
        if (!b.shafts().isEmpty()) {
            boolean typical = b.shafts().stream().anyMatch(s -> s.cut().isPresent() && s.typical());
            long toothed = b.shafts().stream().filter(s -> !teeth(s).isEmpty()).count();
            h += (b.joints().size() + b.shafts().size() + toothed + 2 + (typical ? 1 : 0)) * ROW + 16;
        }
        long figures = headlines().size();
        return h + (Math.max(b.rods().size() + 1, 0) + (figures + 1) / 2) * ROW + 30;
    }

    private List<Headline> headlines() {
        List<Headline> all = new ArrayList<>();
        for (Headline h : Headline.values()) {
            if (h != Headline.TIE_ROD && analysis.headlines().get(h).isPresent()) {
                all.add(h);
            }
        }
        return all;
    }

    private void tables() throws IOException {
        BenchSheet b = analysis.bench();
        double x = PdfSheet.MARGIN;
        double w = inside();
        if (!b.shafts().isEmpty()) {
            heading("Joints", x);
            sheet.textRight(
                    sheet.regular,
                    TEXT,
                    right(),
                    y - 1,
                    sheet.fit(
                            sheet.regular,
                            TEXT,
                            w * 0.28,
                            "rule set: " + analysis.job().rules().name()));
            columnHeads(x + w * 0.40, "set to", x + w * 0.55, "worst in use", x + w * 0.70, "limit");
            for (BenchSheet.JointLine j : b.joints()) {
                row(x, w * 0.4, j.name());
                sheet.textRight(sheet.bold, TEXT, x + w * 0.40, y, angle(j.angleDeg()));
                sheet.textRight(sheet.regular, TEXT, x + w * 0.55, y, angle(j.worstDeg()));
                sheet.textRight(sheet.regular, TEXT, x + w * 0.70, y, angle(j.limitDeg()));
                if (j.worstDeg() > j.limitDeg()) {
                    sheet.textRight(sheet.bold, TEXT, right(), y, "OVER LIMIT");
                }
            }
            y += 5;
            heading("Shafts", x);
            columnHeads(
                    x + w * 0.40,
                    "between centres",
                    x + w * 0.55,
                    "cut to",
                    right(),
                    "gear-end fork from wheel-end fork, seen from the wheel end");
            for (BenchSheet.ShaftLine s : b.shafts()) {
                row(x, w * 0.26, s.name());
                sheet.textRight(sheet.regular, TEXT, x + w * 0.40, y, LengthText.format(s.centres(), unit));
                sheet.textRight(
                        sheet.bold,
                        TEXT,
                        x + w * 0.55,
                        y,
                        s.cut()
                                .map(c -> LengthText.format(c, unit) + (s.typical() ? " *" : ""))
                                .orElse("as it comes"));
                sheet.textRight(
                        sheet.bold, TEXT, right(), y, s.mark().map(m -> mark(m)).orElse("one fork"));
                if (!teeth(s).isEmpty()) {
                    y += ROW;
                    sheet.textRight(sheet.regular, TEXT, right(), y, teeth(s));
                }
            }
            if (b.shafts().stream().anyMatch(s -> s.cut().isPresent() && s.typical())) {
                y += ROW;
                sheet.text(
                        sheet.regular,
                        TEXT,
                        x,
                        y,
                        "* from typical sizes of a catalogue: measure the parts in hand before you cut");
            }
            y += 5;
        }
        if (!b.rods().isEmpty()) {
            heading("Rods, joint centre to joint centre", x);
            for (BenchSheet.RodLine r : b.rods()) {
                row(x, w * 0.3, r.rod().label());
                sheet.textRight(sheet.bold, TEXT, x + w * 0.40, y, LengthText.format(r.length(), unit));
            }
            y += 5;
        }
        figures(x, w);
    }

    private String mark(ForkMark m) {
        return ForkMark.isInLine(m.deg())
                ? "in line (0°)"
                : angle(Math.abs(m.deg())) + " " + m.way() + " · "
                        + Quantity.fine(m.arc()).text(unit) + " round Ø" + LengthText.format(m.diameter(), unit);
    }

    /** On a line of its own, as there is no room beside the mark. */
    private static String teeth(BenchSheet.ShaftLine s) {
        return s.mark().map(ForkMark::teethText).orElse("");
    }

    private void figures(double x, double w) throws IOException {
        heading("What it does", x);
        List<Headline> all = headlines();
        for (int i = 0; i < all.size(); i += 2) {
            y += ROW;
            figure(all.get(i), x, w * 0.46);
            if (i + 1 < all.size()) {
                figure(all.get(i + 1), x + w * 0.54, w * 0.46);
            }
        }
    }

    private void figure(Headline h, double x, double w) throws IOException {
        sheet.text(sheet.regular, TEXT, x, y, h.label());
        sheet.textRight(
                sheet.bold,
                TEXT,
                x + w,
                y,
                h.unit().format(analysis.headlines().get(h).orElseThrow(), unit));
    }

    private void heading(String text, double x) throws IOException {
        y += ROW;
        sheet.text(sheet.bold, TEXT + 1, x, y, text);
        sheet.pen(0.4, 0.5);
        sheet.line(x, y + 2.5, right(), y + 2.5);
        y += 1;
    }

    private void columnHeads(double x1, String a, double x2, String b, double x3, String c) throws IOException {
        sheet.textRight(sheet.regular, TEXT, x1, y - 1, a);
        sheet.textRight(sheet.regular, TEXT, x2, y - 1, b);
        sheet.textRight(sheet.regular, TEXT, x3, y - 1, c);
    }

    private void row(double x, double w, String name) throws IOException {
        y += ROW;
        sheet.text(sheet.regular, TEXT, x, y, sheet.fit(sheet.regular, TEXT, w, name));
    }

    private static String angle(double deg) {
        return LengthText.decimal(deg, 1) + "°";
    }

    private List<String> foot() throws IOException {
        List<String> lines = new ArrayList<>();
        List<Finding> open = analysis.findings();
        for (Finding f : open.stream().limit(6).toList()) {
            String word = f.severity() == Severity.STOP ? "STOP  " : "CHECK  ";
            lines.addAll(sheet.wrap(sheet.bold, TEXT, inside(), word + f.what().text(unit)));
        }
        if (open.size() > 6) {
            lines.add("… and " + (open.size() - 6) + " more found; see the job.");
        }
        if (open.isEmpty()) {
            lines.add("The checks of this program found nothing. That is no proof that all is well.");
        }
        lines.addAll(sheet.wrap(sheet.regular, TEXT, inside(), CAUTION));
        return lines;
    }
}
