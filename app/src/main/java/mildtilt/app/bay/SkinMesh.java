package mildtilt.app.bay;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.WeakHashMap;
import javafx.scene.shape.TriangleMesh;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.obstacle.Shape;
import mildtilt.solid.Solid;

/** The skins of boxes, plates and scans as meshes to be looked at. */
final class SkinMesh {

    /** A scan of more triangles is drawn coarser: corners in one cell of a lattice become one. */
    private static final int MOST_DRAWN = 20_000;

    private static final int[][] BOX_FACES = {{0, 1, 3, 2}, {4, 6, 7, 5}, {0, 4, 5, 1}, {2, 3, 7, 6}, {0, 2, 6, 4}, {1, 5, 7, 3}};

    private final Map<Shape, TriangleMesh> made = new WeakHashMap<>();

    /** Where the shape stands in the design position. */
    TriangleMesh of(Shape shape) {
        return made.computeIfAbsent(shape, s -> switch (s) {
            case Shape.Box b -> box(b);
            case Shape.Plate p -> plate(p);
            case Shape.Scan scan -> scan(scan);
            case Shape.Tube _, Shape.Cylinder _, Shape.Sphere _ -> throw new IllegalArgumentException("round things are drawn as such");
        });
    }

    private static TriangleMesh box(Shape.Box b) {
        TriangleMesh mesh = empty();
        ((Solid.Parts) b.solid()).parts().getFirst().core().forEach(p -> add(mesh, p));
        for (int[] f : BOX_FACES) {
            face(mesh, f[0], f[1], f[2]);
            face(mesh, f[0], f[2], f[3]);
        }
        return mesh;
    }

    private static TriangleMesh plate(Shape.Plate p) {
        TriangleMesh mesh = empty();
        List<Point> core = ((Solid.Parts) p.solid()).parts().getFirst().core();
        core.forEach(c -> add(mesh, c));
        int n = core.size() / 2;
        // The two sides lie beside each other in pairs.
        for (int i = 1; i + 1 < n; i++) {
            face(mesh, 0, 2 * i, 2 * (i + 1));
            face(mesh, 1, 2 * (i + 1) + 1, 2 * i + 1);
        }
        for (int i = 0; i < n; i++) {
            int next = (i + 1) % n;
            face(mesh, 2 * i, 2 * i + 1, 2 * next + 1);
            face(mesh, 2 * i, 2 * next + 1, 2 * next);
        }
        return mesh;
    }

    private static TriangleMesh scan(Shape.Scan s) {
        TriangleMesh mesh = empty();
        RigidMove place = s.place();
        boolean whole = s.mesh().count() <= MOST_DRAWN;
        double cell = whole ? 0 : s.mesh().bounds().size().norm() / Math.sqrt(MOST_DRAWN);
        Map<List<Long>, Integer> cells = new HashMap<>();
        int[] corner = new int[s.mesh().cornerCount()];
        for (int i = 0; i < corner.length; i++) {
            Point p = s.mesh().corner(i);
            if (whole) {
                corner[i] = i;
                add(mesh, place.moved(p));
                continue;
            }
            List<Long> key = new ArrayList<>(List.of(Math.round(p.x() / cell), Math.round(p.y() / cell), Math.round(p.z() / cell)));
            Integer known = cells.get(key);
            if (known == null) {
                known = cells.size();
                cells.put(key, known);
                add(mesh, place.moved(p));
            }
            corner[i] = known;
        }
        for (int t = 0; t < s.mesh().count(); t++) {
            int a = corner[s.mesh().cornerOf(t, 0)];
            int b = corner[s.mesh().cornerOf(t, 1)];
            int c = corner[s.mesh().cornerOf(t, 2)];
            if (a != b && b != c && c != a) {
                face(mesh, a, b, c);
            }
        }
        return mesh;
    }

    private static TriangleMesh empty() {
        TriangleMesh mesh = new TriangleMesh();
        mesh.getTexCoords().addAll(0, 0);
        return mesh;
    }

    private static void add(TriangleMesh mesh, Point p) {
        mesh.getPoints().addAll((float) p.x(), (float) p.y(), (float) p.z());
    }

    private static void face(TriangleMesh mesh, int a, int b, int c) {
        mesh.getFaces().addAll(a, 0, b, 0, c, 0);
    }
}
