package mildtilt.io.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.util.Matrix;

/** Sheets written from the top down, in points of 1/72 inch; y counts from the top edge. */
final class PdfSheet implements AutoCloseable {

    static final double MM = 72 / 25.4;
    static final double MARGIN = 14 * MM;

    private final PDDocument document = new PDDocument();
    private final PDRectangle size;
    private PDPageContentStream out;
    private int pages;
    final PDFont regular;
    final PDFont bold;
    final double width;
    final double height;

    /** One sheet of A4. */
    PdfSheet(String title) throws IOException {
        this(title, PDRectangle.A4);
    }

    PdfSheet(String title, PDRectangle size) throws IOException {
        this.size = size;
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator("Mild Tilt");
        width = size.getWidth();
        height = size.getHeight();
        regular = font("SourceSans3_400Regular.ttf");
        bold = font("SourceSans3_600SemiBold.ttf");
        out = page();
    }

    private PDPageContentStream page() throws IOException {
        PDPage page = new PDPage(size);
        document.addPage(page);
        pages++;
        return new PDPageContentStream(document, page);
    }

    /** Goes on to another sheet. */
    void nextPage() throws IOException {
        out.close();
        out = page();
    }

    /** Goes back to a sheet that is drawn already, to write more onto it. @param sheet from 1 */
    void onto(int sheet) throws IOException {
        out.close();
        out = new PDPageContentStream(
                document, document.getPage(sheet - 1), PDPageContentStream.AppendMode.APPEND, true, true);
    }

    /** How many sheets there are so far. */
    int pages() {
        return pages;
    }

    /** What is drawn until {@link #unclip} is cut off outside this box. */
    void clip(double x, double y, double w, double h) throws IOException {
        out.saveGraphicsState();
        out.addRect((float) x, (float) (height - y - h), (float) w, (float) h);
        out.clip();
    }

    void unclip() throws IOException {
        out.restoreGraphicsState();
    }

    /** Text that runs otherwise than along the sheet. @param turn against the clock, rad */
    void textTurned(PDFont font, double fontSize, double x, double y, double turn, String text) throws IOException {
        out.beginText();
        out.setFont(font, (float) fontSize);
        out.setTextMatrix(Matrix.getRotateInstance(turn, (float) x, (float) (height - y)));
        out.showText(writable(font, text));
        out.endText();
    }

    private PDFont font(String name) throws IOException {
        try (InputStream in = PdfSheet.class.getResourceAsStream("/mildtilt/fonts/" + name)) {
            // Ligatures print well, but are lost when the text is searched or copied.
            TrueTypeFont ttf = new TTFParser().parse(new RandomAccessReadBuffer(in));
            ttf.setEnableGsub(false);
            return PDType0Font.load(document, ttf, true);
        }
    }

    double textWidth(PDFont font, double size, String text) throws IOException {
        return font.getStringWidth(writable(font, text)) / 1000 * size;
    }

    void text(PDFont font, double size, double x, double y, String text) throws IOException {
        out.beginText();
        out.setFont(font, (float) size);
        out.newLineAtOffset((float) x, (float) (height - y));
        out.showText(writable(font, text));
        out.endText();
    }

    void textRight(PDFont font, double size, double right, double y, String text) throws IOException {
        text(font, size, right - textWidth(font, size, text), y, text);
    }

    void textMiddle(PDFont font, double size, double middle, double y, String text) throws IOException {
        text(font, size, middle - textWidth(font, size, text) / 2, y, text);
    }

    /**
     * A name typed by a user may hold signs the font lacks: those are spelled, so that two names that differ also
     * differ on paper.
     */
    private static String writable(PDFont font, String text) {
        StringBuilder kept = new StringBuilder();
        text.codePoints().forEach(c -> {
            String letter = Character.toString(c);
            try {
                font.encode(letter);
                kept.append(letter);
            } catch (IOException | IllegalArgumentException e) {
                kept.append(spelled(c));
            }
        });
        return kept.toString();
    }

    private static String spelled(int codePoint) {
        return switch (Character.getType(codePoint)) {
            case Character.SPACE_SEPARATOR,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR,
                    Character.CONTROL -> " ";
            // They join or colour the sign before them, and have no look of their own.
            case Character.FORMAT, Character.NON_SPACING_MARK, Character.ENCLOSING_MARK, Character.MODIFIER_SYMBOL ->
                "";
            default -> {
                String name = Character.getName(codePoint);
                yield name == null ? "?" : "[" + name.toLowerCase(Locale.ROOT) + "]";
            }
        };
    }

    /** Text cut at word ends to lines that fit a width. */
    List<String> wrap(PDFont font, double size, double within, String text) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words(font, size, within, text)) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && textWidth(font, size, longer) > within) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** The words of a text; one wider than a line in pieces that fit. */
    private List<String> words(PDFont font, double size, double within, String text) throws IOException {
        List<String> all = new ArrayList<>();
        for (String word : text.strip().split("\\s+")) {
            if (textWidth(font, size, word) <= within) {
                all.add(word);
                continue;
            }
            StringBuilder piece = new StringBuilder();
            for (int c : word.codePoints().toArray()) {
                String next = Character.toString(c);
                if (!piece.isEmpty() && textWidth(font, size, piece + next) > within) {
                    all.add(piece.toString());
                    piece.setLength(0);
                }
                piece.append(next);
            }
            all.add(piece.toString());
        }
        return all;
    }

    /** Text shortened with an ellipsis to fit a width. */
    String fit(PDFont font, double size, double within, String text) throws IOException {
        String kept = text.strip();
        if (textWidth(font, size, kept) <= within) {
            return kept;
        }
        while (!kept.isEmpty() && textWidth(font, size, kept + "…") > within) {
            kept = kept.substring(0, kept.offsetByCodePoints(kept.length(), -1));
        }
        return kept + "…";
    }

    void pen(double lineWidth, double grey) throws IOException {
        out.setLineWidth((float) lineWidth);
        out.setStrokingColor((float) grey, (float) grey, (float) grey);
    }

    void dash(float... pattern) throws IOException {
        out.setLineDashPattern(pattern, 0);
    }

    void line(double x1, double y1, double x2, double y2) throws IOException {
        out.moveTo((float) x1, (float) (height - y1));
        out.lineTo((float) x2, (float) (height - y2));
        out.stroke();
    }

    /** A path through x, y pairs. */
    void path(double[] xy, boolean closed) throws IOException {
        out.moveTo((float) xy[0], (float) (height - xy[1]));
        for (int i = 2; i < xy.length; i += 2) {
            out.lineTo((float) xy[i], (float) (height - xy[i + 1]));
        }
        if (closed) {
            out.closeAndStroke();
        } else {
            out.stroke();
        }
    }

    /** An area with its edge. @param fill grey, 0 black to 1 white */
    void area(double[] xy, double fill) throws IOException {
        out.setNonStrokingColor((float) fill, (float) fill, (float) fill);
        out.moveTo((float) xy[0], (float) (height - xy[1]));
        for (int i = 2; i < xy.length; i += 2) {
            out.lineTo((float) xy[i], (float) (height - xy[i + 1]));
        }
        out.closeAndFillAndStroke();
        // Text is written in black.
        out.setNonStrokingColor(0f, 0f, 0f);
    }

    /** Makes a place white again, to write on. */
    void blank(double x, double y, double w, double h) throws IOException {
        out.setNonStrokingColor(1f, 1f, 1f);
        out.addRect((float) x, (float) (height - y - h), (float) w, (float) h);
        out.fill();
        out.setNonStrokingColor(0f, 0f, 0f);
    }

    void save(OutputStream to) throws IOException {
        out.close();
        document.save(to);
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
