package mildtilt.app.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.WeakHashMap;
import javafx.scene.shape.TriangleMesh;
import mildtilt.geometry.Point;

/** The skins of scans as meshes to be looked at, made once each: a large scan is slow to make. */
final class SkinMesh {

    /** A scan of more triangles is drawn coarser: corners in one cell of a lattice become one. */
    private static final int MOST_DRAWN = 20_000;

    private static final Map<mildtilt.solid.TriangleMesh, TriangleMesh> MADE = new WeakHashMap<>();

    private SkinMesh() {}

    /** In the scan's own place. Used on the interface thread only. */
    static TriangleMesh of(mildtilt.solid.TriangleMesh scan) {
        return MADE.computeIfAbsent(scan, SkinMesh::make);
    }

    private static TriangleMesh make(mildtilt.solid.TriangleMesh scan) {
        TriangleMesh mesh = new TriangleMesh();
        mesh.getTexCoords().addAll(0, 0);
        boolean whole = scan.count() <= MOST_DRAWN;
        double cell = whole ? 0 : scan.bounds().size().norm() / Math.sqrt(MOST_DRAWN);
        Map<List<Long>, Integer> cells = new HashMap<>();
        int[] corner = new int[scan.cornerCount()];
        for (int i = 0; i < corner.length; i++) {
            Point p = scan.corner(i);
            if (whole) {
                corner[i] = i;
                add(mesh, p);
                continue;
            }
            List<Long> key = new ArrayList<>(
                    List.of(Math.round(p.x() / cell), Math.round(p.y() / cell), Math.round(p.z() / cell)));
            Integer known = cells.get(key);
            if (known == null) {
                known = cells.size();
                cells.put(key, known);
                add(mesh, p);
            }
            corner[i] = known;
        }
        for (int t = 0; t < scan.count(); t++) {
            int a = corner[scan.cornerOf(t, 0)];
            int b = corner[scan.cornerOf(t, 1)];
            int c = corner[scan.cornerOf(t, 2)];
            if (a != b && b != c && c != a) {
                mesh.getFaces().addAll(a, 0, b, 0, c, 0);
            }
        }
        return mesh;
    }

    private static void add(TriangleMesh mesh, Point p) {
        mesh.getPoints().addAll((float) p.x(), (float) p.y(), (float) p.z());
    }
}
