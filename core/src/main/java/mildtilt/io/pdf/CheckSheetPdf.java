package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.job.Job;
import mildtilt.report.Cell;
import mildtilt.report.SetTables;
import mildtilt.report.Table;
import mildtilt.trials.compare.CheckSheet;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** A check sheet for each vehicle of a set, to be filled with a pen; the fixture and the class before them. */
public final class CheckSheetPdf {

    private CheckSheetPdf() {}

    /** The PDF's bytes. @param file name of the job's file, as printed */
    public static byte[] write(Analysis analysis, LengthUnit unit, LocalDate date, String file) throws IOException {
        Job job = analysis.job();
        PDRectangle paper = TemplatePdf.size(job.making().workshop().paper());
        List<String> vehicles = SetTables.vehicles(job);
        try (PdfSheet sheet = new PdfSheet("Check sheets: " + job.title(), paper)) {
            BookPages pages = new BookPages(sheet, unit, new TitleBlock(job.title(), "Check sheets", file, date, unit));
            title(sheet, pages, vehicles.size() + (vehicles.size() == 1 ? " vehicle" : " vehicles") + " from one plan");
            pages.say("Set the fixture up by the first three columns, then try every place with a tape from the "
                    + "three pins. One sheet for each vehicle follows.");
            for (Table t : List.of(SetTables.fixture(job), SetTables.classes(job))) {
                if (!t.rows().isEmpty()) {
                    pages.table(t);
                }
            }
            Table checks = CheckSheet.of(analysis);
            for (int i = 0; i < vehicles.size(); i++) {
                pages.nextPage();
                title(sheet, pages, vehicles.get(i) + ", " + (i + 1) + " of " + vehicles.size());
                pages.say("Read each on the vehicle, loaded as planned, and write what you read. What is outside "
                        + "its limits goes to whoever planned it before anyone drives it.");
                pages.table(toFill(checks));
                pages.need(70);
                pages.down(26);
                for (String who : List.of("Read by", "Looked over by (not the builder)", "Day")) {
                    pages.say(who + ":  ______________________________");
                    pages.down(8);
                }
            }
            pages.finish();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    private static void title(PdfSheet sheet, BookPages pages, String text) throws IOException {
        sheet.text(sheet.bold, 16, pages.left(), pages.y() + 14, sheet.fit(sheet.bold, 16, pages.wide(), text));
        pages.down(30);
    }

    /** Without what only a program needs, and with room for what is read. */
    private static Table toFill(Table checks) {
        List<List<Cell>> rows = new ArrayList<>();
        for (List<Cell> r : checks.rows()) {
            rows.add(List.of(r.get(1), r.get(3), r.get(4), r.get(5), Cell.of("______________")));
        }
        return new Table(
                checks.file(),
                "What is read",
                List.of("what", "plan", "least", "most", "read"),
                List.of("What", "Plan", "Least", "Most", "Read"),
                rows);
    }
}
