package mildtilt.io.scan;

import de.javagl.jgltf.model.AccessorData;
import de.javagl.jgltf.model.AccessorFloatData;
import de.javagl.jgltf.model.AccessorModel;
import de.javagl.jgltf.model.GltfModel;
import de.javagl.jgltf.model.MeshModel;
import de.javagl.jgltf.model.MeshPrimitiveModel;
import de.javagl.jgltf.model.NodeModel;
import de.javagl.jgltf.model.SceneModel;
import de.javagl.jgltf.model.io.GltfModelReader;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import mildtilt.io.JobFileException;

/**
 * Scans in glTF 2.0 that are all in one file; nothing that a file refers to elsewhere is fetched. glTF has y up; here
 * its z is forward, its x to the left and its y up, as in the models that are written.
 */
final class GltfScan {

    private static final int TRIANGLES = 4;
    /** As deep as parts may hang on each other. */
    private static final int DEEPEST = 100;

    private GltfScan() {}

    static void read(Path file, TriangleSoup to) throws IOException, JobFileException {
        GltfModel model;
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            model = new GltfModelReader().readWithoutReferences(in);
        } catch (RuntimeException | IOException e) {
            throw new JobFileException("it is no glTF file that is all in one, or it is damaged. Save it as .glb.");
        }
        try {
            for (SceneModel scene : model.getSceneModels()) {
                for (NodeModel node : scene.getNodeModels()) {
                    node(node, to, 0);
                }
            }
        } catch (IndexOutOfBoundsException | IllegalArgumentException | NullPointerException | ClassCastException e) {
            throw new JobFileException("the file is damaged: a part of it is not where it says.");
        }
    }

    private static void node(NodeModel node, TriangleSoup to, int depth) throws JobFileException {
        if (depth > DEEPEST) {
            throw new JobFileException("its parts hang on each other in a circle. The file is damaged.");
        }
        float[] by = node.computeGlobalTransform(null);
        for (MeshModel mesh : node.getMeshModels()) {
            for (MeshPrimitiveModel p : mesh.getMeshPrimitiveModels()) {
                if (p.getMode() == TRIANGLES) {
                    triangles(p, by, to);
                }
            }
        }
        for (NodeModel child : node.getChildren()) {
            node(child, to, depth + 1);
        }
    }

    private static void triangles(MeshPrimitiveModel p, float[] by, TriangleSoup to) throws JobFileException {
        AccessorModel places = p.getAttributes().get("POSITION");
        if (places == null || !(places.getAccessorData() instanceof AccessorFloatData at)) {
            return;
        }
        AccessorModel named = p.getIndices();
        int count = named == null ? at.getNumElements() : named.getCount();
        AccessorData indices = named == null ? null : named.getAccessorData();
        ByteBuffer corners = indices == null ? ByteBuffer.allocate(0) : indices.createByteBuffer();
        int size = count == 0 ? 4 : indices == null ? 0 : corners.capacity() / count;
        for (int i = 0; i + 2 < count; i += 3) {
            for (int k = i; k < i + 3; k++) {
                int c =
                        switch (size) {
                            case 0 -> k;
                            case 1 -> corners.get(k) & 0xff;
                            case 2 -> corners.getShort(2 * k) & 0xffff;
                            default -> corners.getInt(4 * k);
                        };
                if (c < 0 || c >= at.getNumElements()) {
                    throw new JobFileException("a triangle names a corner that is not there. The file is damaged.");
                }
                corner(at.get(c, 0), at.get(c, 1), at.get(c, 2), by, to);
            }
        }
    }

    /** @param by the node's transform, column by column */
    private static void corner(float x, float y, float z, float[] by, TriangleSoup to) throws JobFileException {
        float left = by[0] * x + by[4] * y + by[8] * z + by[12];
        float up = by[1] * x + by[5] * y + by[9] * z + by[13];
        float forward = by[2] * x + by[6] * y + by[10] * z + by[14];
        to.corner(forward, left, up);
    }
}
