package mildtilt.app.view;

import javafx.scene.shape.TriangleMesh;
import javafx.scene.shape.VertexFormat;
import mildtilt.solid.Facets;

/**
 * A skin of triangles as the window's own kind of mesh. Bodies of one colour are gathered into one: hundreds of shapes
 * of their own would take longer to draw than all they are made of.
 */
final class SolidMesh {

    private SolidMesh() {}

    static TriangleMesh of(Facets facets) {
        TriangleMesh mesh = new TriangleMesh(VertexFormat.POINT_NORMAL_TEXCOORD);
        mesh.getTexCoords().addAll(0, 0);
        mesh.getPoints().addAll(facets.points());
        mesh.getNormals().addAll(facets.normals());
        int[] corners = facets.triangles();
        // Each corner as its point, its normal, and the one place of a texture there is.
        int[] faces = new int[3 * corners.length];
        for (int i = 0; i < corners.length; i++) {
            faces[3 * i] = corners[i];
            faces[3 * i + 1] = corners[i];
        }
        mesh.getFaces().addAll(faces);
        return mesh;
    }
}
