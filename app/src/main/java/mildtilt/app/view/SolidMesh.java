package mildtilt.app.view;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.shape.TriangleMesh;
import javafx.scene.shape.VertexFormat;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * Bars, balls and flat-faced bodies of one colour gathered into one mesh: hundreds of shapes of their own would take
 * longer to draw than all they
 * are made of.
 */
final class SolidMesh {

    private float[] points = new float[3 * 256];
    private float[] normals = new float[3 * 256];
    private int corners;
    private int[] faces = new int[9 * 256];
    private int ends;
    private final Set<Point> balls = new HashSet<>();

    boolean isEmpty() {
        return ends == 0;
    }

    /** The side of a round bar. @param round how many flats it has; @param capped whether its ends are closed */
    void bar(Point from, Point to, double radius, int round, boolean capped) {
        Vector along = to.minus(from);
        if (along.norm() < 1e-6) {
            return;
        }
        Direction axis = along.direction();
        Vector u = axis.anySquare().vector();
        Vector v = axis.vector().cross(u);
        int first = corners;
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            Vector out = u.times(Math.cos(a)).plus(v.times(Math.sin(a)));
            corner(from.plus(out.times(radius)), out);
            corner(to.plus(out.times(radius)), out);
        }
        for (int i = 0; i < round; i++) {
            int a = first + 2 * i;
            int b = first + 2 * ((i + 1) % round);
            face(a, b, b + 1);
            face(a, b + 1, a + 1);
        }
        if (capped) {
            cap(from, axis.vector().negated(), u, v, radius, round);
            cap(to, axis.vector(), u, v, radius, round);
        }
    }

    private void cap(Point at, Vector normal, Vector u, Vector v, double radius, int round) {
        int middle = corner(at, normal);
        for (int i = 0; i < round; i++) {
            double a = 2 * Math.PI * i / round;
            corner(at.plus(u.times(radius * Math.cos(a))).plus(v.times(radius * Math.sin(a))), normal);
        }
        for (int i = 0; i < round; i++) {
            face(middle, middle + 1 + i, middle + 1 + (i + 1) % round);
        }
    }

    /** One where several bars meet is made once. @param round how many flats it has at its widest */
    void ball(Point at, double radius, int round) {
        if (!balls.add(at)) {
            return;
        }
        int rings = round / 2;
        int first = corners;
        for (int r = 0; r <= rings; r++) {
            double up = Math.PI * r / rings;
            for (int i = 0; i < round; i++) {
                double a = 2 * Math.PI * i / round;
                Vector out = new Vector(Math.sin(up) * Math.cos(a), Math.sin(up) * Math.sin(a), Math.cos(up));
                corner(at.plus(out.times(radius)), out);
            }
        }
        for (int r = 0; r < rings; r++) {
            for (int i = 0; i < round; i++) {
                int a = first + r * round + i;
                int b = first + r * round + (i + 1) % round;
                face(a, a + round, b + round);
                face(a, b + round, b);
            }
        }
    }

    /** A flat face by its corners in turn, seen from outside of a body about a middle. */
    void flat(List<Point> around, Point middle) {
        Vector normal = around.get(1).minus(around.get(0)).cross(around.get(2).minus(around.get(0)));
        if (normal.norm() < 1e-9) {
            return;
        }
        Vector unit = normal.direction().vector();
        Vector out = unit.dot(around.getFirst().minus(middle)) < 0 ? unit.negated() : unit;
        int first = corners;
        around.forEach(p -> corner(p, out));
        for (int i = 1; i + 1 < around.size(); i++) {
            face(first, first + i, first + i + 1);
        }
    }

    private int corner(Point p, Vector normal) {
        if (3 * corners + 3 > points.length) {
            points = Arrays.copyOf(points, 2 * points.length);
            normals = Arrays.copyOf(normals, 2 * normals.length);
        }
        int at = 3 * corners;
        points[at] = (float) p.x();
        points[at + 1] = (float) p.y();
        points[at + 2] = (float) p.z();
        normals[at] = (float) normal.x();
        normals[at + 1] = (float) normal.y();
        normals[at + 2] = (float) normal.z();
        return corners++;
    }

    /** Each corner as its point, its normal, and the one place of a texture there is. */
    private void face(int a, int b, int c) {
        if (ends + 9 > faces.length) {
            faces = Arrays.copyOf(faces, 2 * faces.length);
        }
        for (int corner : new int[] {a, b, c}) {
            faces[ends++] = corner;
            faces[ends++] = corner;
            faces[ends++] = 0;
        }
    }

    TriangleMesh mesh() {
        TriangleMesh mesh = new TriangleMesh(VertexFormat.POINT_NORMAL_TEXCOORD);
        mesh.getTexCoords().addAll(0, 0);
        mesh.getPoints().addAll(points, 0, 3 * corners);
        mesh.getNormals().addAll(normals, 0, 3 * corners);
        mesh.getFaces().addAll(faces, 0, ends);
        return mesh;
    }
}
