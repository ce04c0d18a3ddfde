package mildtilt.io.pdf;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.units.LengthUnit;

/** What stands at the foot of every sheet, as on any shop drawing. */
record TitleBlock(String job, String kind, String file, LocalDate date, LengthUnit unit) {

    static final double HEIGHT = 30;
    private static final double TYPE = 9;
    private static final double PAD = 4;
    /** On a sheet narrower than this the file's name has no cell of its own. */
    private static final double NARROW = 560;

    private static final String NOTE = "A plan, not an approval";

    /** One cell of the block, as wide as its part of the sheet. */
    private record Cell(String name, String says, double part) {}

    /** @param scale one to so much, where something is drawn to scale; @param y its top edge */
    void draw(PdfSheet sheet, double x, double y, double wide, int n, int of, Optional<Integer> scale)
            throws IOException {
        List<Cell> cells = new ArrayList<>(List.of(
                new Cell(wide > NARROW ? "Job" : "Job · " + file, job, 2.3),
                new Cell("Paper", kind, 1.2),
                new Cell("Sheet", n + " of " + of, 0.9),
                new Cell("Scale", scale.map(s -> "1:" + s).orElse("–"), 0.7),
                new Cell("Lengths in", unit.label(), 1.35),
                new Cell("Date", date.toString(), 1.1)));
        if (wide > NARROW) {
            cells.add(new Cell("File", file, 2));
        }
        cells.add(new Cell(NOTE, "local rules come first", 2.2));
        double parts = cells.stream().mapToDouble(Cell::part).sum();
        sheet.pen(0.6, 0.2);
        sheet.path(new double[] {x, y, x + wide, y, x + wide, y + HEIGHT, x, y + HEIGHT}, true);
        double at = x;
        for (Cell c : cells) {
            double w = wide * c.part / parts;
            if (at > x) {
                sheet.line(at, y, at, y + HEIGHT);
            }
            boolean note = c.name.equals(NOTE);
            sheet.text(
                    note ? sheet.bold : sheet.regular,
                    TYPE,
                    at + PAD,
                    y + 11,
                    sheet.fit(note ? sheet.bold : sheet.regular, TYPE, w - 2 * PAD, c.name));
            sheet.text(
                    note ? sheet.regular : sheet.bold,
                    TYPE,
                    at + PAD,
                    y + 24,
                    sheet.fit(note ? sheet.regular : sheet.bold, TYPE, w - 2 * PAD, c.says));
            at += w;
        }
    }
}
