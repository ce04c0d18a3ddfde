package mildtilt.solid;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import org.jspecify.annotations.Nullable;

/** A skin of triangles, such as a scan of an engine bay, mm. Two with the same triangles are equal. */
public final class TriangleMesh {

    /** A scan with more triangles than this is to be thinned out first. */
    public static final int MOST_TRIANGLES = 2_000_000;

    /**
     * No corner of a scan lies farther than this from its origin along an axis, mm: a vehicle is smaller, and farther
     * out a float is too coarse.
     */
    public static final float FARTHEST = 100_000;

    private final float[] corners;
    private final int[] triangles;
    private final String id;
    private final Bounds bounds;
    private @Nullable MeshTree tree;
    private @Nullable Boolean closed;

    /**
     * @param corners x, y, z of each, mm; kept, not copied
     * @param triangles three corners each, by their place; kept, not copied
     * @throws ImpossibleGeometryException if a triangle names a corner that is not there, a corner is no number, or
     * there is none
     */
    public TriangleMesh(float[] corners, int[] triangles) {
        if (triangles.length < 3 || triangles.length % 3 != 0 || corners.length % 3 != 0) {
            throw new ImpossibleGeometryException("A scan needs at least one whole triangle.");
        }
        if (triangles.length / 3 > MOST_TRIANGLES) {
            throw new ImpossibleGeometryException(
                    "A scan may have up to " + MOST_TRIANGLES + " triangles; thin it out first.");
        }
        for (int t : triangles) {
            if (t < 0 || t >= corners.length / 3) {
                throw new ImpossibleGeometryException("A triangle of the scan names a corner that is not there.");
            }
        }
        double[] all = new double[corners.length];
        for (int i = 0; i < corners.length; i++) {
            if (!Float.isFinite(corners[i])) {
                throw new ImpossibleGeometryException("A corner of the scan is not a finite number.");
            }
            if (Math.abs(corners[i]) > FARTHEST) {
                throw new ImpossibleGeometryException(
                        "A corner of the scan lies more than 100 m from the scan's origin. Is the unit right? Else move the scan near its origin first.");
            }
            all[i] = corners[i];
        }
        this.corners = corners;
        this.triangles = triangles;
        bounds = Bounds.of(all);
        id = digest(corners, triangles);
    }

    private static String digest(float[] corners, int[] triangles) {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            ByteBuffer bytes =
                    ByteBuffer.allocate(4 * (corners.length + triangles.length)).order(ByteOrder.LITTLE_ENDIAN);
            for (float f : corners) {
                bytes.putFloat(f);
            }
            for (int t : triangles) {
                bytes.putInt(t);
            }
            return HexFormat.of().formatHex(sha.digest(bytes.array()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    public int count() {
        return triangles.length / 3;
    }

    public int cornerCount() {
        return corners.length / 3;
    }

    public Bounds bounds() {
        return bounds;
    }

    public Point corner(int i) {
        return new Point(corners[3 * i], corners[3 * i + 1], corners[3 * i + 2]);
    }

    /** Which corner a triangle has first, second or third. @param which 0 to 2 */
    public int cornerOf(int triangle, int which) {
        return triangles[3 * triangle + which];
    }

    public float[] cornersCopy() {
        return corners.clone();
    }

    public int[] trianglesCopy() {
        return triangles.clone();
    }

    /** The tree over its triangles, made the first time it is wanted. */
    synchronized MeshTree tree() {
        if (tree == null) {
            tree = new MeshTree(corners, triangles);
        }
        return tree;
    }

    /** Whether every edge joins exactly two triangles, so that it has an inside. */
    public synchronized boolean closed() {
        if (closed == null) {
            closed = MeshFaults.of(corners, triangles).openEdges() == 0;
        }
        return closed;
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof TriangleMesh m && m.id.equals(id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    @Override
    public String toString() {
        return "scan of " + count() + " triangles " + Arrays.asList(bounds);
    }
}
