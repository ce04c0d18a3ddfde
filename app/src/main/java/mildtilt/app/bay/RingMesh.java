package mildtilt.app.bay;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.shape.TriangleMesh;

/** A ring about the y axis, as one mesh: a rim or a tyre's edge is then one node instead of dozens. */
final class RingMesh {

    private static final int AROUND = 40;
    private static final int ACROSS = 8;

    /** Rings of one size are asked for at every frame. */
    private static final Map<Size, TriangleMesh> MADE = new ConcurrentHashMap<>();

    private record Size(double radius, double thickness) {}

    private RingMesh() {}

    /**
     * @param radius of the ring's middle line, mm
     * @param thickness radius of the bar the ring is bent from, mm
     */
    static TriangleMesh of(double radius, double thickness) {
        return MADE.computeIfAbsent(new Size(radius, thickness), RingMesh::make);
    }

    private static TriangleMesh make(Size size) {
        TriangleMesh mesh = new TriangleMesh();
        mesh.getTexCoords().addAll(0, 0);
        for (int i = 0; i < AROUND; i++) {
            double a = 2 * Math.PI * i / AROUND;
            for (int j = 0; j < ACROSS; j++) {
                double b = 2 * Math.PI * j / ACROSS;
                double r = size.radius + size.thickness * Math.cos(b);
                mesh.getPoints().addAll((float) (r * Math.cos(a)), (float) (size.thickness * Math.sin(b)), (float) (r * Math.sin(a)));
            }
        }
        for (int i = 0; i < AROUND; i++) {
            for (int j = 0; j < ACROSS; j++) {
                int p = at(i, j);
                int q = at(i + 1, j);
                int r = at(i + 1, j + 1);
                int s = at(i, j + 1);
                mesh.getFaces().addAll(p, 0, s, 0, q, 0, q, 0, s, 0, r, 0);
            }
        }
        // One smooth surface.
        for (int i = 0; i < mesh.getFaces().size() / 6; i++) {
            mesh.getFaceSmoothingGroups().addAll(1);
        }
        return mesh;
    }

    private static int at(int i, int j) {
        return i % AROUND * ACROSS + j % ACROSS;
    }
}
