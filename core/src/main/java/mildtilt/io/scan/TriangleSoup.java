package mildtilt.io.scan;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.solid.MeshFaults;
import mildtilt.solid.TriangleMesh;

/** Triangles as they come from a file, three corners each. */
final class TriangleSoup {
    private float[] numbers = new float[9000];
    private int n;

    /** One corner more; every three are a triangle. */
    void corner(float x, float y, float z) throws JobFileException {
        if (!Float.isFinite(x) || !Float.isFinite(y) || !Float.isFinite(z)) {
            throw new JobFileException(
                    "triangle " + (n / 9 + 1) + " has a corner that is not a number. The file is damaged.");
        }
        if (n + 3 > numbers.length) {
            if (n / 9 >= TriangleMesh.MOST_TRIANGLES) {
                throw new JobFileException(
                        "it has more than " + TriangleMesh.MOST_TRIANGLES + " triangles. Thin the scan out first.");
            }
            numbers = Arrays.copyOf(numbers, 2 * numbers.length);
        }
        // Minus nought and nought are one place.
        numbers[n++] = x + 0f;
        numbers[n++] = y + 0f;
        numbers[n++] = z + 0f;
    }

    private record Place(float x, float y, float z) {}

    /** With corners in one place joined. */
    ScanFile.Read joined(String name) throws JobFileException {
        if (n == 0) {
            throw new JobFileException("there is no triangle in it.");
        }
        Map<Place, Integer> places = HashMap.newHashMap(n / 12);
        float[] corners = new float[n];
        int[] all = new int[n / 3];
        for (int i = 0; i < all.length; i++) {
            Place p = new Place(numbers[3 * i], numbers[3 * i + 1], numbers[3 * i + 2]);
            Integer known = places.get(p);
            if (known == null) {
                known = places.size();
                places.put(p, known);
                corners[3 * known] = p.x;
                corners[3 * known + 1] = p.y;
                corners[3 * known + 2] = p.z;
            }
            all[i] = known;
        }
        corners = Arrays.copyOf(corners, 3 * places.size());
        MeshFaults faults = MeshFaults.of(corners, all);
        int[] kept = MeshFaults.withArea(corners, all);
        if (kept.length == 0) {
            throw new JobFileException("none of its triangles has any area.");
        }
        try {
            new TriangleMesh(corners, kept);
        } catch (ImpossibleGeometryException e) {
            throw new JobFileException(e.getMessage());
        }
        return new ScanFile.Read(name, corners, kept, faults);
    }
}
