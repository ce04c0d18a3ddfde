package mildtilt.io.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mildtilt.describe.RefusalText;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table of text as any program writes it: UTF-8, UTF-16 or Latin-1, with or without a mark at its start; columns
 * parted by
 * commas, semicolons or tabs; decimals with a point or a comma; thousands grouped or not; units in the headings.
 *
 * @param file its name
 * @param heads of the columns, the first line
 * @param lines of the file each row begins on
 * @param numbers how numbers are written in it
 */
record CsvText(String file, List<String> heads, List<List<String>> rows, List<Long> lines, CsvNumber numbers) {

    private static final char BOM = '\uFEFF';

    /**
     * @param what it should be, as "a list of points"; @param mostRows beside the headings; @param mostBytes of the
     * file
     */
    static CsvText read(Path file, String what, int mostRows, long mostBytes) throws JobFileException {
        String name = String.valueOf(file.getFileName());
        try {
            SafeFiles.needPlainNamed(file, what);
            if (Files.size(file) > mostBytes) {
                throw new JobFileException(
                        name + " is far too large for " + what + ": up to " + (mostBytes >> 20) + " MB can be read.");
            }
            return parsed(name, decoded(Files.readAllBytes(file)), what, mostRows);
        } catch (IOException e) {
            throw new JobFileException(name + " can't be read: " + SafeFiles.reason(e));
        }
    }

    /**
     * By its mark if it has one; else UTF-16 where every other byte is empty, else UTF-8 if it is that, else Latin-1
     * with the marks of office programs.
     */
    static String decoded(byte[] bytes) {
        if (starts(bytes, 0xFF, 0xFE)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (starts(bytes, 0xFE, 0xFF)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        if (bytes.length > 3 && bytes[1] == 0 && bytes[3] == 0) {
            return new String(bytes, StandardCharsets.UTF_16LE);
        }
        if (bytes.length > 3 && bytes[0] == 0 && bytes[2] == 0) {
            return new String(bytes, StandardCharsets.UTF_16BE);
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return !text.isEmpty() && text.charAt(0) == BOM ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }

    private static boolean starts(byte[] bytes, int first, int second) {
        return bytes.length > 1 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }

    private static CsvText parsed(String name, String text, String what, int mostRows) throws JobFileException {
        char parts = parts(text);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .setDelimiter(parts)
                .get();
        List<List<String>> rows = new ArrayList<>();
        List<Long> lines = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(text, format)) {
            long before = 0;
            for (CSVRecord r : parser) {
                rows.add(r.toList());
                lines.add(before + 1);
                before = parser.getCurrentLineNumber();
                if (rows.size() - 1 > mostRows) {
                    throw new JobFileException(name + " has more than " + mostRows
                            + " lines below its headings, the most that can be read.");
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw new JobFileException(name + ", line " + (lines.isEmpty() ? 1 : lines.getLast() + 1)
                    + ": a quotation mark is out of place, or missing. Inside quotes it is written twice.");
        }
        if (rows.isEmpty()) {
            throw new JobFileException(name + " is empty: it should be " + what + ".");
        }
        List<String> heads = rows.removeFirst();
        Set<String> seen = new HashSet<>();
        for (String h : heads) {
            if (!h.isBlank() && !seen.add(h.strip().toLowerCase(Locale.ROOT))) {
                throw new JobFileException(name + ": two columns are called \"" + RefusalText.cut(h)
                        + "\". Take one out, or give it another name.");
            }
        }
        return new CsvText(name, List.copyOf(heads), rows, lines.subList(1, lines.size()), CsvNumber.of(rows, parts));
    }

    /** What parts the columns: that of the three that the headings hold most of outside quotes. */
    private static char parts(String text) {
        int[] count = new int[3];
        boolean quoted = false;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '"') {
                quoted = !quoted;
            } else if (!quoted
                    && (c == '\n' || c == '\r')
                    && Arrays.stream(count).sum() > 0) {
                break;
            } else if (!quoted && ",;\t".indexOf(c) >= 0) {
                count[",;\t".indexOf(c)]++;
            }
        }
        return count[1] >= count[0] && count[1] >= count[2] && count[1] > 0
                ? ';'
                : count[2] > 0 && count[2] >= count[0] ? '\t' : ',';
    }

    /** Where a row stands, for a refusal. */
    String where(int row) {
        return file + ", line " + lines.get(row);
    }

    /** What stands there; empty if the row ends before it. */
    String cell(int row, int column) {
        List<String> r = rows.get(row);
        return column < r.size() ? r.get(column).strip() : "";
    }

    /**
     * A number.
     *
     * @throws JobFileException naming the line, the column and what stands there instead
     */
    double number(int row, int column) throws JobFileException {
        String text = cell(row, column);
        try {
            return numbers.value(text);
        } catch (NumberFormatException e) {
            throw new JobFileException(where(row) + ": " + "\"" + RefusalText.cut(text) + "\" is not a usable number"
                    + " in the column \"" + RefusalText.cut(heads.get(column)) + "\""
                    + (e.getMessage() == null ? "." : ": " + e.getMessage()));
        }
    }

    /** What a heading says before its unit, in small letters: "X (mm)", "x_mm" and "x in mm" are all "x". */
    static String name(String head) {
        List<String> words = words(head);
        int n = unitOf(words).isPresent() ? words.size() - 1 : words.size();
        if (n > 1 && n < words.size() && words.get(n - 1).equals("in")) {
            n--;
        }
        return String.join("_", words.subList(0, n));
    }

    /**
     * The unit a heading names; empty if it names none.
     *
     * @throws JobFileException if it names one that can't be read
     */
    static Optional<FileUnit> unit(String head) throws JobFileException {
        List<String> words = words(head);
        if (words.size() > 1
                && Set.of("ft", "feet", "foot", "yd", "km", "um", "µm", "thou", "mil")
                        .contains(words.getLast())) {
            throw new JobFileException("The heading \"" + RefusalText.cut(head) + "\" gives its lengths in "
                    + words.getLast() + "; give them in mm, cm, m or inches.");
        }
        return unitOf(words);
    }

    private static Optional<FileUnit> unitOf(List<String> words) {
        if (words.size() < 2) {
            return Optional.empty();
        }
        return Optional.ofNullable(
                switch (words.getLast()) {
                    case "mm", "millimetre", "millimetres", "millimeter", "millimeters" -> FileUnit.MM;
                    case "cm", "centimetre", "centimetres", "centimeter", "centimeters" -> FileUnit.CM;
                    case "m", "metre", "metres", "meter", "meters" -> FileUnit.M;
                    case "in", "inch", "inches", "\"", "zoll" -> FileUnit.INCH;
                    default -> null;
                });
    }

    private static List<String> words(String head) {
        return Arrays.stream(head.strip()
                        .toLowerCase(Locale.ROOT)
                        .replace("\"", " \" ")
                        .split("[^\\p{L}\\p{N}\"µ]+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }
}
