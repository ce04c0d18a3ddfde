package mildtilt.format;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.survey.Reading;
import mildtilt.survey.Survey;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Points from a CSV: a name and three coordinates a line. Which column is which is guessed from the heads and shown before anything is taken. */
public final class PointsCsv {

    private static final int MOST_ROWS = 150;
    private static final long MOST_BYTES = 1 << 20;

    private PointsCsv() {}

    /** @param lines of the file each row stands on */
    public record Read(String file, List<String> heads, List<List<String>> rows, List<Long> lines) {}

    /** Which column is which, by its place; what one unit is; and how well all were measured, ± mm. */
    public record Match(int name, int x, int y, int z, FileUnit unit, double spread) {}

    /** @throws JobFileException if it is no CSV with a head and at least four columns */
    public static Read read(Path file) throws JobFileException {
        CSVFormat format = CSVFormat.DEFAULT.builder().setIgnoreSurroundingSpaces(true).setIgnoreEmptyLines(true).get();
        List<List<String>> rows = new ArrayList<>();
        List<Long> lines = new ArrayList<>();
        try {
            JobFile.needPlainNamed(file, "a list of points");
            if (Files.size(file) > MOST_BYTES) {
                throw new JobFileException(file.getFileName() + " is far too large for a list of points.");
            }
            String text = Files.readString(file, StandardCharsets.UTF_8);
            // Where commas are decimals, semicolons part the columns.
            char parts = text.lines().findFirst().orElse("").contains(";") ? ';' : ',';
            try (CSVParser parser = CSVParser.parse(text.startsWith("\uFEFF") ? text.substring(1) : text, format.builder().setDelimiter(parts).get())) {
                for (CSVRecord r : parser) {
                    rows.add(r.toList());
                    lines.add(parser.getCurrentLineNumber());
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            throw new JobFileException(file.getFileName() + " can't be read as CSV: " + e.getMessage());
        }
        if (rows.size() < 2 || rows.getFirst().size() < 4) {
            throw new JobFileException(file.getFileName() + ": the first line must name at least four columns (a name, x, y, z), and a point must follow.");
        }
        if (rows.size() - 1 > MOST_ROWS) {
            throw new JobFileException(file.getFileName() + " holds " + (rows.size() - 1) + " points; up to " + MOST_ROWS + " can be measured.");
        }
        return new Read(String.valueOf(file.getFileName()), rows.removeFirst(), rows, lines.subList(1, lines.size()));
    }

    /** What the heads look like: "x_mm", "Y (in)", "height". */
    public static Match guess(Read read) {
        List<String> heads = read.heads().stream().map(h -> h.toLowerCase(Locale.ROOT)).toList();
        int x = find(heads, h -> h.matches("x\\b.*|x_.*|forward.*"), 1);
        int y = find(heads, h -> h.matches("y\\b.*|y_.*|left.*"), 2);
        int z = find(heads, h -> h.matches("z\\b.*|z_.*|up\\b.*|height.*"), 3);
        int name = find(heads, h -> h.matches("name.*|point.*|label.*|mark.*"), 0);
        String said = heads.get(x);
        FileUnit unit = said.matches(".*\\bcm\\b.*|.*_cm") ? FileUnit.CM : said.matches(".*(inch|\"|\\bin\\b|_in).*") ? FileUnit.INCH : said.matches(".*(\\bm\\b|_m)") ? FileUnit.M : FileUnit.MM;
        return new Match(name, x, y, z, unit, 1.5);
    }

    private static int find(List<String> heads, Predicate<String> like, int otherwise) {
        for (int i = 0; i < heads.size(); i++) {
            if (like.test(heads.get(i))) {
                return i;
            }
        }
        return otherwise;
    }

    /**
     * The survey with these points in it, each as dropped to the floor grid with a height; one of the same name is measured anew.
     *
     * @throws JobFileException naming the line that can't be taken
     */
    public static Survey take(Survey survey, Read read, Match match) throws JobFileException {
        Survey all = survey;
        for (int i = 0; i < read.rows().size(); i++) {
            List<String> row = read.rows().get(i);
            String where = read.file() + ", line " + read.lines().get(i);
            String name = cell(row, match.name());
            if (name.isEmpty()) {
                throw new JobFileException(where + ": the point has no name.");
            }
            double x = number(where, cell(row, match.x()), match.unit());
            double y = number(where, cell(row, match.y()), match.unit());
            double z = number(where, cell(row, match.z()), match.unit());
            try {
                all = all.without(name).edit(name, p -> p.with(new Reading.Plumb(x, y, match.spread())).with(new Reading.Height(z, match.spread())));
            } catch (ImpossibleGeometryException e) {
                throw new JobFileException(where + ": " + e.getMessage());
            }
        }
        return all;
    }

    private static String cell(List<String> row, int at) {
        return at < row.size() ? row.get(at).strip() : "";
    }

    private static double number(String where, String text, FileUnit unit) throws JobFileException {
        try {
            double v = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
            if (Double.isFinite(v)) {
                return v * unit.mm();
            }
        } catch (NumberFormatException e) {
            // Told below, together with numbers that are none.
        }
        throw new JobFileException(where + ": \"" + text + "\" is not a usable number.");
    }
}
