package mildtilt.io.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.job.BuiltVehicle;
import mildtilt.trials.Inspection;
import mildtilt.trials.compare.InspectionList;
import mildtilt.trials.compare.TrialTables;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The inspection sheet of one vehicle, with boxes for what is still open: to be ticked on screen or with a pen. */
public final class InspectionPdf {

    private static final double LINE = 13;

    private InspectionPdf() {}

    /** The PDF's bytes. @param file name of the job's file, as printed */
    public static byte[] write(BuiltVehicle vehicle, Analysis analysis, LengthUnit unit, LocalDate date, String file)
            throws IOException {
        PDRectangle paper = TemplatePdf.size(analysis.job().making().workshop().paper());
        try (PdfSheet sheet = new PdfSheet("Inspection: " + analysis.job().title() + ", " + vehicle.name(), paper)) {
            BookPages pages = new BookPages(
                    sheet,
                    unit,
                    new TitleBlock(analysis.job().title() + ", " + vehicle.name(), "Inspection", file, date, unit));
            sheet.text(
                    sheet.bold,
                    18,
                    pages.left(),
                    pages.y() + 16,
                    sheet.fit(sheet.bold, 18, pages.wide(), "Inspection: " + vehicle.name()));
            pages.down(28);
            pages.strong(InspectionList.CAUTION);
            List<InspectionList.Item> items = InspectionList.of(analysis, vehicle.inspection());
            pages.say(TrialTables.signed(vehicle, items).text(unit));
            for (InspectionList.Group g : InspectionList.Group.values()) {
                pages.heading(g.label());
                for (InspectionList.Item i :
                        items.stream().filter(x -> x.group() == g).toList()) {
                    item(sheet, pages, i.what().text(unit), vehicle.inspection().tick(i.id()));
                }
            }
            pages.need(70);
            pages.down(26);
            for (String who : List.of("Built by", "Looked over by (not the builder)", "Day")) {
                pages.say(who + ":  ______________________________");
                pages.down(8);
            }
            pages.finish();
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            sheet.save(bytes);
            return bytes.toByteArray();
        }
    }

    private static void item(PdfSheet sheet, BookPages pages, String what, Optional<Inspection.Tick> tick)
            throws IOException {
        pages.need(3 * LINE);
        pages.tickBox(tick.filter(Inspection.Tick::found).isPresent());
        pages.say(sheet.regular, pages.left() + 16, pages.wide() - 16, what);
        if (tick.isPresent()) {
            Inspection.Tick t = tick.get();
            pages.say(
                    sheet.bold,
                    pages.left() + 16,
                    pages.wide() - 16,
                    (t.found() ? "Passed" : "FAILED") + (t.by().isBlank() ? "" : ", " + t.by()) + ", " + t.day()
                            + (t.note().isBlank() ? "" : ": " + t.note()));
        }
        pages.down(3);
    }
}
