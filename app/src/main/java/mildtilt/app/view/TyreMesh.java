package mildtilt.app.view;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javafx.scene.shape.TriangleMesh;

/** A tyre on its rim about the y axis as one mesh: a hollow drum with rounded shoulders. */
final class TyreMesh {

    private static final int AROUND = 48;
    /** Parts of the width that the shoulders and the rim's edge take. */
    private static final double SHOULDER = 0.24;

    /** Tyres of one size are needed at every frame. */
    private static final Map<Size, TriangleMesh> MADE = new ConcurrentHashMap<>();

    private record Size(double half, double inner, double outer) {}

    private TyreMesh() {}

    /**
     * @param half of the width, mm
     * @param inner radius of the room inside the rim, mm
     * @param outer radius of the tread, mm
     */
    static TriangleMesh of(double half, double inner, double outer) {
        return MADE.computeIfAbsent(new Size(half, inner, outer), TyreMesh::make);
    }

    private static TriangleMesh make(Size s) {
        double in = s.half * SHOULDER;
        // Across the wheel from the inside of one face round the tread to the other, and back inside the rim: y,
        // radius.
        double[][] profile = {
            {-s.half * 0.9, s.inner},
            {-s.half * 0.9, s.inner + 12},
            {-s.half, (s.inner + s.outer) / 2},
            {-s.half + in * 0.25, s.outer - in * 0.9},
            {-s.half + in, s.outer - in * 0.15},
            {-s.half * 0.4, s.outer},
            {s.half * 0.4, s.outer},
            {s.half - in, s.outer - in * 0.15},
            {s.half - in * 0.25, s.outer - in * 0.9},
            {s.half, (s.inner + s.outer) / 2},
            {s.half * 0.9, s.inner + 12},
            {s.half * 0.9, s.inner}
        };
        TriangleMesh mesh = new TriangleMesh();
        mesh.getTexCoords().addAll(0, 0);
        for (int i = 0; i < AROUND; i++) {
            double a = 2 * Math.PI * i / AROUND;
            for (double[] p : profile) {
                mesh.getPoints().addAll((float) (p[1] * Math.cos(a)), (float) p[0], (float) (p[1] * Math.sin(a)));
            }
        }
        int n = profile.length;
        for (int i = 0; i < AROUND; i++) {
            int here = i * n;
            int next = (i + 1) % AROUND * n;
            for (int j = 0; j < n; j++) {
                int k = (j + 1) % n;
                mesh.getFaces().addAll(here + j, 0, here + k, 0, next + j, 0, next + j, 0, here + k, 0, next + k, 0);
                mesh.getFaceSmoothingGroups().addAll(1 << j, 1 << j);
            }
        }
        return mesh;
    }
}
