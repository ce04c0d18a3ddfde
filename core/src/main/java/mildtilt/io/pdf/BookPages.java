package mildtilt.io.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.units.LengthUnit;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** Text and tables that flow from sheet to sheet of a book, with the same head and foot on each. */
final class BookPages {

    static final double SIZE = 9;
    private static final double LINE = 11.5;
    private static final double CELL_GAP = 7;
    private static final double HEAD = 26;
    private static final double FOOT = TitleBlock.HEIGHT + 6;
    private static final double BOX = 8;

    final PdfSheet sheet;
    final LengthUnit unit;
    private final TitleBlock block;
    private final Map<Integer, Integer> scales = new HashMap<>();
    private int sheets;
    private double y;

    BookPages(PdfSheet sheet, LengthUnit unit, TitleBlock block) throws IOException {
        this.sheet = sheet;
        this.unit = unit;
        this.block = block;
        begin();
    }

    private void begin() throws IOException {
        sheets++;
        sheet.text(
                sheet.bold, SIZE, left(), PdfSheet.MARGIN + 8, sheet.fit(sheet.bold, SIZE, wide() * 0.6, block.job()));
        sheet.textRight(sheet.regular, SIZE, left() + wide(), PdfSheet.MARGIN + 8, block.kind());
        sheet.pen(0.5, 0.4);
        sheet.line(left(), PdfSheet.MARGIN + 13, left() + wide(), PdfSheet.MARGIN + 13);
        y = PdfSheet.MARGIN + HEAD;
    }

    /** The scale of what is drawn on this sheet: one to so much. */
    void scale(int of) {
        scales.put(sheets, of);
    }

    /**
     * Writes the title block on every sheet of these, once it is known how many there are; sheets that follow have
     * their own foot.
     */
    void finish() throws IOException {
        int all = sheet.pages();
        for (int i = 1; i <= all; i++) {
            sheet.onto(i);
            if (i <= sheets) {
                block.draw(
                        sheet,
                        left(),
                        sheet.height - PdfSheet.MARGIN - TitleBlock.HEIGHT + 8,
                        wide(),
                        i,
                        all,
                        Optional.ofNullable(scales.get(i)));
            } else {
                sheet.textRight(
                        sheet.bold,
                        SIZE,
                        left() + wide(),
                        sheet.height - PdfSheet.MARGIN + 8,
                        block.kind() + " · sheet " + i + " of " + all);
            }
        }
    }

    double left() {
        return PdfSheet.MARGIN;
    }

    double wide() {
        return sheet.width - 2 * PdfSheet.MARGIN;
    }

    double bottom() {
        return sheet.height - PdfSheet.MARGIN - FOOT;
    }

    double y() {
        return y;
    }

    void down(double by) {
        y += by;
    }

    void nextPage() throws IOException {
        sheet.nextPage();
        begin();
    }

    /** A new sheet unless so much is left on this one. */
    void need(double height) throws IOException {
        if (y + height > bottom()) {
            nextPage();
        }
    }

    void heading(String text) throws IOException {
        heading(text, 30);
    }

    /** @param with height of what must not be parted from it */
    private void heading(String text, double with) throws IOException {
        need(30 + with);
        y += 16;
        sheet.text(sheet.bold, 12, left(), y, text);
        sheet.pen(0.5, 0.5);
        sheet.line(left(), y + 3, left() + wide(), y + 3);
        y += 14;
    }

    /** A box to tick at the left of this line, ticked or not. */
    void tickBox(boolean ticked) throws IOException {
        sheet.pen(0.8, 0);
        sheet.path(
                new double[] {left(), y - BOX + 1, left() + BOX, y - BOX + 1, left() + BOX, y + 1, left(), y + 1},
                true);
        if (ticked) {
            sheet.path(new double[] {left() + 1.5, y - 3, left() + 3.5, y - 0.5, left() + BOX + 2, y - BOX - 1}, false);
        }
    }

    void say(String text) throws IOException {
        say(sheet.regular, left(), wide(), text);
    }

    void strong(String text) throws IOException {
        say(sheet.bold, left(), wide(), text);
    }

    void say(PDFont font, double x, double within, String text) throws IOException {
        for (String line : sheet.wrap(font, SIZE, within, text)) {
            need(LINE);
            sheet.text(font, SIZE, x, y, line);
            y += LINE;
        }
    }

    /** A table with as much room for each column as its words need; one too wide for the sheet is written as a list. */
    void table(Table t) throws IOException {
        double[] widths = widths(t);
        if (widths.length == 0) {
            heading(t.title(), 3 * LINE);
            list(t);
            return;
        }
        List<List<List<String>>> rows = new ArrayList<>();
        for (List<Cell> row : t.rows()) {
            List<List<String>> cells = new ArrayList<>();
            for (int c = 0; c < widths.length; c++) {
                cells.add(sheet.wrap(sheet.regular, SIZE, widths[c], row.get(c).text(unit)));
            }
            rows.add(cells);
        }
        // A heading goes with its heads and the first two rows.
        heading(
                t.title(),
                3 * LINE + rows.stream().limit(2).mapToDouble(BookPages::height).sum());
        heads(t, widths);
        for (List<List<String>> cells : rows) {
            if (y + height(cells) > bottom()) {
                nextPage();
                heads(t, widths);
            }
            double x = left();
            for (int c = 0; c < widths.length; c++) {
                for (int i = 0; i < cells.get(c).size(); i++) {
                    String text = cells.get(c).get(i);
                    if (t.figures(c)) {
                        sheet.textRight(sheet.regular, SIZE, x + widths[c], y + i * LINE, text);
                    } else {
                        sheet.text(sheet.regular, SIZE, x, y + i * LINE, text);
                    }
                }
                x += widths[c] + CELL_GAP;
            }
            double below = y + height(cells) - LINE + 1.2;
            sheet.pen(0.25, 0.8);
            sheet.line(left(), below, left() + wide(), below);
            y += height(cells) + 1;
        }
    }

    private static double height(List<List<String>> row) {
        return row.stream().mapToInt(List::size).max().orElse(1) * LINE + 2;
    }

    private void heads(Table t, double[] widths) throws IOException {
        double x = left();
        int lines = 1;
        for (int c = 0; c < widths.length; c++) {
            List<String> words =
                    sheet.wrap(sheet.bold, SIZE, widths[c], t.heads().get(c));
            for (int i = 0; i < words.size(); i++) {
                if (t.figures(c)) {
                    sheet.textRight(sheet.bold, SIZE, x + widths[c], y + i * LINE, words.get(i));
                } else {
                    sheet.text(sheet.bold, SIZE, x, y + i * LINE, words.get(i));
                }
            }
            lines = Math.max(lines, words.size());
            x += widths[c] + CELL_GAP;
        }
        y += lines * LINE + 3;
    }

    /** Empty where even the longest words do not go beside each other. */
    private double[] widths(Table t) throws IOException {
        int n = t.heads().size();
        double[] least = new double[n];
        double[] most = new double[n];
        for (int c = 0; c < n; c++) {
            least[c] = longestWord(sheet.bold, SIZE, t.heads().get(c));
            most[c] = sheet.textWidth(sheet.bold, SIZE, t.heads().get(c));
            for (List<Cell> row : t.rows()) {
                String text = row.get(c).text(unit);
                // A figure and its unit are not parted.
                double word = row.get(c).figure()
                        ? sheet.textWidth(sheet.regular, SIZE, text)
                        : longestWord(sheet.regular, SIZE, text);
                least[c] = Math.max(least[c], Math.min(word, 110));
                most[c] = Math.max(most[c], sheet.textWidth(sheet.regular, SIZE, text));
            }
            most[c] = Math.max(most[c], least[c]);
        }
        double room = wide() - CELL_GAP * (n - 1);
        double sumLeast = sum(least);
        double sumMost = sum(most);
        if (sumLeast > room) {
            return new double[0];
        }
        double part = sumMost <= room ? 1 : (room - sumLeast) / (sumMost - sumLeast);
        double[] w = new double[n];
        for (int c = 0; c < n; c++) {
            w[c] = least[c] + (most[c] - least[c]) * part + 0.01;
        }
        return w;
    }

    private double longestWord(PDFont font, double size, String text) throws IOException {
        double longest = 0;
        for (String w : text.split("\\s+")) {
            longest = Math.max(longest, sheet.textWidth(font, size, w));
        }
        return longest;
    }

    private static double sum(double[] all) {
        double s = 0;
        for (double v : all) {
            s += v;
        }
        return s;
    }

    private void list(Table t) throws IOException {
        for (List<Cell> row : t.rows()) {
            need(3 * LINE);
            strong(row.getFirst().text(unit));
            StringBuilder rest = new StringBuilder();
            for (int c = 1; c < row.size(); c++) {
                String text = row.get(c).text(unit);
                if (!text.isEmpty()) {
                    rest.append(rest.isEmpty() ? "" : " · ")
                            .append(t.heads().get(c))
                            .append(": ")
                            .append(text);
                }
            }
            say(sheet.regular, left() + 10, wide() - 10, rest.toString());
            y += 3;
        }
    }
}
