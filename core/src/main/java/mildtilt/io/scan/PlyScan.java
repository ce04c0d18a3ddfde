package mildtilt.io.scan;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mildtilt.io.JobFileException;

/**
 * Scans in PLY, as text or binary of either byte order: what it says of corners and faces is taken, the rest passed
 * over.
 */
final class PlyScan {

    private static final int LONGEST_LINE = 1 << 16;
    private static final int MOST_LINES = 300;
    private static final int MOST_FACE = 255;

    private PlyScan() {}

    private enum Type {
        INT8(1),
        UINT8(1),
        INT16(2),
        UINT16(2),
        INT32(4),
        UINT32(4),
        FLOAT32(4),
        FLOAT64(8);

        private final int bytes;

        Type(int bytes) {
            this.bytes = bytes;
        }

        static Type of(String word) throws JobFileException {
            return switch (word) {
                case "char", "int8" -> INT8;
                case "uchar", "uint8" -> UINT8;
                case "short", "int16" -> INT16;
                case "ushort", "uint16" -> UINT16;
                case "int", "int32" -> INT32;
                case "uint", "uint32" -> UINT32;
                case "float", "float32" -> FLOAT32;
                case "double", "float64" -> FLOAT64;
                default -> throw new JobFileException("its head names \"" + word + "\", which is no kind of number.");
            };
        }
    }

    /** @param count of a list, how its length is written; empty of a single number */
    private record Property(String name, Type type, Optional<Type> count) {}

    private record Element(String name, int count, List<Property> properties) {

        int place(String property) {
            for (int i = 0; i < properties.size(); i++) {
                if (properties.get(i).name.equals(property)) {
                    return i;
                }
            }
            return -1;
        }
    }

    static void read(Path file, TriangleSoup to) throws IOException, JobFileException {
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
            if (!line(in).equals("ply")) {
                throw new JobFileException("it is no PLY file: it should begin with \"ply\".");
            }
            Optional<ByteOrder> order = Optional.empty();
            List<Element> elements = new ArrayList<>();
            for (int n = 0; ; n++) {
                String line = line(in);
                String[] w = line.split("\\s+");
                if (line.equals("end_header")) {
                    break;
                }
                if (n > MOST_LINES) {
                    throw new JobFileException("its head has no end. The file is damaged.");
                }
                switch (w[0]) {
                    case "format" -> order = order(w.length > 1 ? w[1] : "");
                    case "element" -> elements.add(new Element(word(w, 1), count(word(w, 2)), new ArrayList<>()));
                    case "property" -> {
                        if (elements.isEmpty()) {
                            throw new JobFileException("its head is damaged: a property belongs to nothing.");
                        }
                        elements.getLast().properties.add(property(w));
                    }
                    default -> {}
                }
            }
            Numbers numbers = order.isPresent() ? new Binary(in, order.get()) : new Text(in);
            try {
                elements(elements, numbers, to);
            } catch (EOFException e) {
                throw new JobFileException("the file was cut short. Copy it again from where it came.");
            }
        }
    }

    private static void elements(List<Element> elements, Numbers numbers, TriangleSoup to)
            throws IOException, JobFileException {
        float[] corners = new float[0];
        boolean faces = false;
        for (Element e : elements) {
            switch (e.name) {
                case "vertex" -> corners = corners(e, numbers);
                case "face" -> {
                    faces(e, numbers, corners, to);
                    faces = true;
                }
                default -> pass(e, numbers);
            }
        }
        if (!faces) {
            throw new JobFileException(
                    "it holds points only, without a skin. Have the program that made it make a mesh of them.");
        }
    }

    private static String word(String[] words, int i) throws JobFileException {
        if (i >= words.length) {
            throw new JobFileException("its head is damaged: \"" + String.join(" ", words) + "\" is not whole.");
        }
        return words[i];
    }

    private static int count(String word) throws JobFileException {
        try {
            int n = Integer.parseInt(word);
            if (n >= 0 && n <= 3 * TriangleSoup.MOST_READ) {
                return n;
            }
        } catch (NumberFormatException e) {
            // Told below, with a number that is too large.
        }
        throw new JobFileException("its head says \"" + word + "\" of something; up to " + 3 * TriangleSoup.MOST_READ
                + " can be taken. Thin the scan out first.");
    }

    private static Optional<ByteOrder> order(String word) throws JobFileException {
        return switch (word) {
            case "ascii" -> Optional.empty();
            case "binary_little_endian" -> Optional.of(ByteOrder.LITTLE_ENDIAN);
            case "binary_big_endian" -> Optional.of(ByteOrder.BIG_ENDIAN);
            default -> throw new JobFileException("it is written as \"" + word + "\", which can't be read.");
        };
    }

    private static Property property(String[] w) throws JobFileException {
        return word(w, 1).equals("list")
                ? new Property(word(w, 4), Type.of(word(w, 3)), Optional.of(Type.of(word(w, 2))))
                : new Property(word(w, 2), Type.of(word(w, 1)), Optional.empty());
    }

    private static float[] corners(Element e, Numbers numbers) throws IOException, JobFileException {
        int[] xyz = {e.place("x"), e.place("y"), e.place("z")};
        for (int i : xyz) {
            if (i < 0) {
                throw new JobFileException("its corners have no x, y and z.");
            }
        }
        float[] corners = new float[3 * e.count];
        for (int n = 0; n < e.count; n++) {
            for (int p = 0; p < e.properties.size(); p++) {
                double v = one(e.properties.get(p), numbers);
                for (int k = 0; k < 3; k++) {
                    if (xyz[k] == p) {
                        corners[3 * n + k] = (float) v;
                    }
                }
            }
            numbers.end();
        }
        return corners;
    }

    /** A single number; of a list the last. */
    private static double one(Property p, Numbers numbers) throws IOException, JobFileException {
        if (p.count.isEmpty()) {
            return numbers.next(p.type);
        }
        double last = 0;
        for (int n = length(p, numbers); n > 0; n--) {
            last = numbers.next(p.type);
        }
        return last;
    }

    private static int length(Property p, Numbers numbers) throws IOException, JobFileException {
        double n = numbers.next(p.count.orElseThrow());
        if (!(n >= 0 && n <= MOST_FACE && n == Math.rint(n))) {
            throw new JobFileException("a list in it says that it has " + n + " entries. The file is damaged.");
        }
        return (int) n;
    }

    private static void faces(Element e, Numbers numbers, float[] corners, TriangleSoup to)
            throws IOException, JobFileException {
        int list = Math.max(e.place("vertex_indices"), e.place("vertex_index"));
        if (list < 0 || e.properties.get(list).count.isEmpty()) {
            throw new JobFileException("its faces name no corners.");
        }
        for (int n = 0; n < e.count; n++) {
            for (int p = 0; p < e.properties.size(); p++) {
                if (p != list) {
                    one(e.properties.get(p), numbers);
                    continue;
                }
                int[] of = new int[length(e.properties.get(p), numbers)];
                for (int k = 0; k < of.length; k++) {
                    double c = numbers.next(e.properties.get(p).type);
                    if (!(c >= 0 && c < corners.length / 3.0 && c == Math.rint(c))) {
                        throw new JobFileException(
                                "face " + (n + 1) + " names a corner that is not there. The file is damaged.");
                    }
                    of[k] = (int) c;
                }
                // A face of more corners is fanned from its first.
                for (int k = 1; k + 1 < of.length; k++) {
                    for (int c : new int[] {of[0], of[k], of[k + 1]}) {
                        to.corner(corners[3 * c], corners[3 * c + 1], corners[3 * c + 2]);
                    }
                }
            }
            numbers.end();
        }
    }

    private static void pass(Element e, Numbers numbers) throws IOException, JobFileException {
        for (int n = 0; n < e.count; n++) {
            for (Property p : e.properties) {
                one(p, numbers);
            }
            numbers.end();
        }
    }

    private static String line(InputStream in) throws IOException, JobFileException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        for (int c = in.read(); c != '\n'; c = in.read()) {
            if (c < 0 || line.size() > LONGEST_LINE) {
                if (c < 0 && line.size() > 0) {
                    break;
                }
                throw new JobFileException("the file was cut short, or is no PLY file.");
            }
            line.write(c);
        }
        return line.toString(StandardCharsets.ISO_8859_1).strip();
    }

    private interface Numbers {
        double next(Type type) throws IOException, JobFileException;

        /** After one corner or face. */
        void end() throws IOException, JobFileException;
    }

    private static final class Binary implements Numbers {
        private final InputStream in;
        private final ByteBuffer bytes;

        Binary(InputStream in, ByteOrder order) {
            this.in = in;
            bytes = ByteBuffer.allocate(8).order(order);
        }

        @Override
        public double next(Type type) throws IOException {
            if (in.readNBytes(bytes.array(), 0, type.bytes) < type.bytes) {
                throw new EOFException();
            }
            return switch (type) {
                case INT8 -> bytes.get(0);
                case UINT8 -> bytes.get(0) & 0xff;
                case INT16 -> bytes.getShort(0);
                case UINT16 -> bytes.getShort(0) & 0xffff;
                case INT32 -> bytes.getInt(0);
                case UINT32 -> Integer.toUnsignedLong(bytes.getInt(0));
                case FLOAT32 -> bytes.getFloat(0);
                case FLOAT64 -> bytes.getDouble(0);
            };
        }

        @Override
        public void end() {}
    }

    private static final class Text implements Numbers {
        private final InputStream in;
        private String[] words = {};
        private int at;

        Text(InputStream in) {
            this.in = in;
        }

        @Override
        public double next(Type type) throws IOException, JobFileException {
            while (at >= words.length) {
                if (at > 0 && words.length > 0) {
                    throw new JobFileException("a line in it has too few numbers: \""
                            + String.join(" ", words).toLowerCase(Locale.ROOT) + "\".");
                }
                String line = line(in);
                words = line.isEmpty() ? new String[0] : line.split("\\s+");
                at = 0;
            }
            try {
                return Double.parseDouble(words[at++]);
            } catch (NumberFormatException e) {
                throw new JobFileException("\"" + words[at - 1] + "\" in it should be a number.");
            }
        }

        @Override
        public void end() {
            words = new String[0];
            at = 0;
        }
    }
}
