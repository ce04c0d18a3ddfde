package mildtilt.io.jobfile;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Base64;
import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.solid.TriangleMesh;

/** A scan packed into two strings of a job file: numbers low byte first, gzip, base64. */
public final class MeshText {

    private static final int MOST_BYTES = 12 * TriangleMesh.MOST_TRIANGLES;

    /**
     * Numbers of a real surface pack to a fifth or a tenth; what unpacks to more than this many times its size is no
     * scan.
     */
    private static final int MOST_TIMES = 200;

    /** A small scan of a flat plate may pack very tightly. */
    private static final int SMALL_BYTES = 1 << 20;

    /** Packing a large scan takes a second; a job is written after every change. */
    private static final Map<TriangleMesh, Packed> MADE = Collections.synchronizedMap(new WeakHashMap<>());

    private MeshText() {}

    record Packed(String corners, String triangles) {}

    static Packed of(TriangleMesh mesh) {
        return MADE.computeIfAbsent(mesh, m -> {
            float[] corners = m.cornersCopy();
            int[] triangles = m.trianglesCopy();
            ByteBuffer c = ByteBuffer.allocate(4 * corners.length).order(ByteOrder.LITTLE_ENDIAN);
            c.asFloatBuffer().put(corners);
            ByteBuffer t = ByteBuffer.allocate(4 * triangles.length).order(ByteOrder.LITTLE_ENDIAN);
            t.asIntBuffer().put(triangles);
            return new Packed(pack(c.array()), pack(t.array()));
        });
    }

    /** @throws ImpossibleGeometryException if the strings hold no scan */
    static TriangleMesh read(String corners, String triangles) {
        ByteBuffer c = ByteBuffer.wrap(unpack(corners)).order(ByteOrder.LITTLE_ENDIAN);
        ByteBuffer t = ByteBuffer.wrap(unpack(triangles)).order(ByteOrder.LITTLE_ENDIAN);
        float[] points = new float[c.remaining() / 4];
        c.asFloatBuffer().get(points);
        int[] corner = new int[t.remaining() / 4];
        t.asIntBuffer().get(corner);
        TriangleMesh mesh = new TriangleMesh(points, corner);
        MADE.put(mesh, new Packed(corners, triangles));
        return mesh;
    }

    public static String pack(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
            zip.write(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Base64.getEncoder().encodeToString(out.toByteArray());
    }

    private static byte[] unpack(String text) {
        byte[] packed;
        try {
            packed = Base64.getDecoder().decode(text);
        } catch (IllegalArgumentException e) {
            throw damaged();
        }
        int most = (int) Math.min(MOST_BYTES, Math.max(SMALL_BYTES, (long) MOST_TIMES * packed.length));
        try (GZIPInputStream zip = new GZIPInputStream(new ByteArrayInputStream(packed))) {
            byte[] bytes = zip.readNBytes(most + 1);
            if (bytes.length > most && most < MOST_BYTES) {
                throw damaged();
            }
            if (bytes.length > most) {
                throw new ImpossibleGeometryException(
                        "The scan is far too large: up to " + TriangleMesh.MOST_TRIANGLES + " triangles can be taken.");
            }
            return bytes;
        } catch (IOException e) {
            throw damaged();
        }
    }

    private static ImpossibleGeometryException damaged() {
        return new ImpossibleGeometryException("The scan in the file is damaged: its packed numbers can't be read.");
    }
}
