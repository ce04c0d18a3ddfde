package mildtilt.io.scan;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.solid.MeshFaults;
import mildtilt.solid.TriangleMesh;

/**
 * Scans from STL and PLY, binary or text, from OBJ, and from glTF with all of it in one file. Only the last says in
 * which unit its numbers are: metres.
 */
public final class ScanFile {

    private static final long LARGEST_BYTES = 400L << 20;
    private static final int STL_HEAD = 84;
    private static final int STL_TRIANGLE = 50;

    private ScanFile() {}

    /**
     * A scan as read, its numbers as in the file.
     *
     * @param file its name
     * @param corners x, y, z of each, those in one place joined
     * @param triangles three corners each; those without area are left out
     * @param faults what is wrong with it; flat triangles as they were in the file, or as they were left by thinning
     * @param before how many triangles the file has
     * @param moved how far at most a corner was moved when it was thinned out; 0 if it was not
     */
    public record Read(String file, float[] corners, int[] triangles, MeshFaults faults, int before, double moved) {

        public int count() {
            return triangles.length / 3;
        }

        /** Length, width and height in the numbers of the file. */
        public double[] size() {
            float[] low = {Float.POSITIVE_INFINITY, Float.POSITIVE_INFINITY, Float.POSITIVE_INFINITY};
            float[] high = {Float.NEGATIVE_INFINITY, Float.NEGATIVE_INFINITY, Float.NEGATIVE_INFINITY};
            for (int t : triangles) {
                for (int k = 0; k < 3; k++) {
                    low[k] = Math.min(low[k], corners[3 * t + k]);
                    high[k] = Math.max(high[k], corners[3 * t + k]);
                }
            }
            return new double[] {high[0] - low[0], high[1] - low[1], high[2] - low[2]};
        }

        /**
         * The unit in which the scan's longest side is most like a part of a vehicle: nearest to a quarter of the
         * wheelbase.
         */
        public FileUnit likely(double wheelbase) {
            double longest = Arrays.stream(size()).max().orElse(1);
            return Arrays.stream(FileUnit.values())
                    .min((a, b) -> Double.compare(
                            Math.abs(Math.log(longest * a.mm() / (wheelbase / 4))),
                            Math.abs(Math.log(longest * b.mm() / (wheelbase / 4)))))
                    .orElseThrow();
        }

        public TriangleMesh mesh(FileUnit unit) {
            float[] scaled = corners.clone();
            for (int i = 0; i < scaled.length; i++) {
                scaled[i] = (float) (scaled[i] * unit.mm());
            }
            return new TriangleMesh(scaled, triangles);
        }

        /** What is wrong with it, each as a sentence; none if nothing is. */
        public List<String> warnings() {
            List<String> all = new ArrayList<>();
            if (moved > 0) {
                all.add(String.format(
                        Locale.ROOT,
                        "It has %d triangles, too many to turn and measure: it was thinned out to %d. No place of its "
                                + "skin moved by more than %.3g in the file's own unit, and what is finer than that "
                                + "is gone.",
                        before,
                        count(),
                        moved));
            }
            if (faults.flat() > 0) {
                all.add(faults.flat() + (faults.flat() == 1 ? " triangle has" : " triangles have")
                        + " no area and will be left out; nothing is lost by that.");
            }
            if (faults.openEdges() > 0) {
                all.add(
                        "It has holes: " + faults.openEdges()
                                + " edges belong to one triangle alone, or to more than two. Gaps to its skin are right, but "
                                + "a part that lies wholly inside it, or passes through a hole, is not found. Close the holes if it is a solid part.");
            }
            if (faults.flipped() > 0) {
                all.add(
                        faults.flipped()
                                + " neighbouring triangles are turned against each other. Gaps do not depend on that; the picture may have dark spots.");
            }
            return all;
        }
    }

    /** @throws JobFileException if the file can't be read or holds no scan, saying what is wrong */
    public static Read read(Path file) throws JobFileException {
        String name = String.valueOf(file.getFileName() == null ? file : file.getFileName());
        try {
            SafeFiles.needPlain(file, "a scan");
            long size = Files.size(file);
            if (size > LARGEST_BYTES) {
                throw new JobFileException("it is far too large (" + (size >> 20)
                        + " MB). Thin the scan out to a few hundred thousand triangles first.");
            }
            if (size == 0) {
                throw new JobFileException("it is empty.");
            }
            TriangleSoup soup = new TriangleSoup();
            String ending = name.toLowerCase(Locale.ROOT).replaceFirst("^.*\\.", "");
            switch (ending) {
                case "obj" -> obj(file, soup);
                case "ply" -> PlyScan.read(file, soup);
                case "glb", "gltf" -> GltfScan.read(file, soup);
                default -> stl(file, size, soup);
            }
            return soup.joined(name);
        } catch (JobFileException e) {
            throw new JobFileException(name + ": " + e.getMessage() + " Nothing was imported.");
        } catch (CharacterCodingException e) {
            throw new JobFileException(
                    name + ": the file is damaged or is no scan: it should be text, and is not. Nothing was imported.");
        } catch (IOException e) {
            throw new JobFileException(name + " can't be read: " + e.getMessage() + ". Nothing was imported.");
        }
    }

    private static void stl(Path file, long size, TriangleSoup to) throws IOException, JobFileException {
        byte[] start = new byte[(int) Math.min(size, STL_HEAD)];
        try (var in = Files.newInputStream(file)) {
            in.readNBytes(start, 0, start.length);
        }
        long count = start.length < STL_HEAD
                ? -1
                : Integer.toUnsignedLong(ByteBuffer.wrap(start, 80, 4)
                        .order(ByteOrder.LITTLE_ENDIAN)
                        .getInt());
        boolean fits = count >= 0 && STL_HEAD + count * STL_TRIANGLE == size;
        if (!fits
                && new String(start, StandardCharsets.ISO_8859_1).stripLeading().startsWith("solid")
                && looksLikeText(start)) {
            textStl(file, to);
            return;
        }
        if (count < 0) {
            throw new JobFileException("it is too short to be an STL file.");
        }
        if (!fits) {
            long whole = (size - STL_HEAD) / STL_TRIANGLE;
            throw new JobFileException(
                    STL_HEAD + count * STL_TRIANGLE > size
                            ? "the file was cut short, or is no STL: it says " + count + " triangles and holds " + whole
                                    + ". Copy it again from where it came."
                            : "the file is damaged: it says " + count
                                    + " triangles and is longer than that. Copy it again from where it came.");
        }
        if (count > TriangleSoup.MOST_READ) {
            throw TriangleSoup.tooMany();
        }
        byte[] one = new byte[STL_TRIANGLE];
        ByteBuffer b = ByteBuffer.wrap(one).order(ByteOrder.LITTLE_ENDIAN);
        try (var in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
            in.skipNBytes(STL_HEAD);
            for (long t = 0; t < count; t++) {
                in.readNBytes(one, 0, STL_TRIANGLE);
                for (int c = 0; c < 3; c++) {
                    int at = 12 + 12 * c;
                    to.corner(b.getFloat(at), b.getFloat(at + 4), b.getFloat(at + 8));
                }
            }
        }
    }

    private static boolean looksLikeText(byte[] start) {
        for (byte b : start) {
            if (b == 0) {
                return false;
            }
        }
        return true;
    }

    private static void textStl(Path file, TriangleSoup to) throws IOException, JobFileException {
        int line = 0;
        int corners = 0;
        boolean ended = false;
        try (BufferedReader in = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            for (String text = in.readLine(); text != null; text = in.readLine()) {
                line++;
                String t = text.strip();
                if (t.startsWith("vertex")) {
                    float[] p = numbers(t.substring(6), line);
                    to.corner(p[0], p[1], p[2]);
                    corners++;
                } else if (t.startsWith("endfacet")) {
                    if (corners != 3) {
                        throw new JobFileException("the triangle that ends at line " + line + " has " + corners
                                + " corners instead of three.");
                    }
                    corners = 0;
                } else if (t.startsWith("endsolid")) {
                    ended = true;
                }
            }
        }
        if (!ended || corners != 0) {
            throw new JobFileException("the file was cut short: it ends at line " + line
                    + " without \"endsolid\". Copy it again from where it came.");
        }
    }

    private static void obj(Path file, TriangleSoup to) throws IOException, JobFileException {
        List<float[]> corners = new ArrayList<>();
        int line = 0;
        try (BufferedReader in = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            for (String text = in.readLine(); text != null; text = in.readLine()) {
                line++;
                String t = text.strip();
                if (t.startsWith("v ")) {
                    corners.add(numbers(t.substring(2), line));
                } else if (t.startsWith("f ")) {
                    String[] of = t.substring(2).strip().split("\\s+");
                    if (of.length < 3) {
                        throw new JobFileException("the face in line " + line + " has fewer than three corners.");
                    }
                    // A face of more corners is fanned from its first.
                    for (int i = 1; i + 1 < of.length; i++) {
                        for (String c : List.of(of[0], of[i], of[i + 1])) {
                            float[] p = corner(corners, c, line);
                            to.corner(p[0], p[1], p[2]);
                        }
                    }
                }
            }
        }
    }

    private static float[] corner(List<float[]> corners, String text, int line) throws JobFileException {
        try {
            int i = Integer.parseInt(text.split("/", 2)[0]);
            int at = i < 0 ? corners.size() + i : i - 1;
            if (at >= 0 && at < corners.size()) {
                return corners.get(at);
            }
        } catch (NumberFormatException e) {
            // Told below, together with a corner that is not there.
        }
        throw new JobFileException("the face in line " + line + " names corner \"" + text
                + "\", which is not there. The file may have been cut short.");
    }

    private static float[] numbers(String text, int line) throws JobFileException {
        String[] parts = text.strip().split("\\s+");
        float[] p = new float[3];
        try {
            for (int i = 0; i < 3; i++) {
                p[i] = Float.parseFloat(parts[i]);
            }
            return p;
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw new JobFileException(
                    "line " + line + " should give three numbers and says \"" + text.strip() + "\".");
        }
    }
}
