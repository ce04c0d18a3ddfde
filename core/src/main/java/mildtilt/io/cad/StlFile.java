package mildtilt.io.cad;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import mildtilt.solid.TriangleMesh;

/** A surface as binary STL, mm. */
public final class StlFile {

    private static final int HEADER = 80;
    private static final int FACET = 50;

    private StlFile() {}

    public static byte[] write(TriangleMesh mesh) {
        float[] p = mesh.cornersCopy();
        int[] t = mesh.trianglesCopy();
        ByteBuffer out =
                ByteBuffer.allocate(HEADER + 4 + FACET * (t.length / 3)).order(ByteOrder.LITTLE_ENDIAN);
        out.put("Mild Tilt, millimetres".getBytes(StandardCharsets.US_ASCII));
        out.position(HEADER);
        out.putInt(t.length / 3);
        for (int i = 0; i < t.length; i += 3) {
            int a = 3 * t[i];
            int b = 3 * t[i + 1];
            int c = 3 * t[i + 2];
            double ux = p[b] - p[a];
            double uy = p[b + 1] - p[a + 1];
            double uz = p[b + 2] - p[a + 2];
            double vx = p[c] - p[a];
            double vy = p[c + 1] - p[a + 1];
            double vz = p[c + 2] - p[a + 2];
            double nx = uy * vz - uz * vy;
            double ny = uz * vx - ux * vz;
            double nz = ux * vy - uy * vx;
            double n = Math.sqrt(nx * nx + ny * ny + nz * nz);
            // A triangle without area has no direction; readers work it out anew.
            double by = n > 0 ? 1 / n : 0;
            out.putFloat((float) (nx * by)).putFloat((float) (ny * by)).putFloat((float) (nz * by));
            for (int corner : new int[] {a, b, c}) {
                out.putFloat(p[corner]).putFloat(p[corner + 1]).putFloat(p[corner + 2]);
            }
            out.putShort((short) 0);
        }
        return out.array();
    }
}
