package mildtilt.io.scan;

import java.util.Arrays;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.solid.MeshFaults;
import mildtilt.solid.TriangleMesh;

/** Triangles as they come from a file, three corners each. */
final class TriangleSoup {
    /** So many are read; what is over {@link TriangleMesh#MOST_TRIANGLES} is thinned out. */
    static final int MOST_READ = 6_000_000;

    private float[] numbers = new float[9000];
    private int n;

    /** One corner more; every three are a triangle. */
    void corner(float x, float y, float z) throws JobFileException {
        if (!Float.isFinite(x) || !Float.isFinite(y) || !Float.isFinite(z)) {
            throw new JobFileException(
                    "triangle " + (n / 9 + 1) + " has a corner that is not a number. The file is damaged.");
        }
        if (n + 3 > numbers.length) {
            if (n / 9 >= MOST_READ) {
                throw tooMany();
            }
            numbers = Arrays.copyOf(numbers, Math.min(2 * numbers.length, 9 * MOST_READ));
        }
        // Minus nought and nought are one place.
        numbers[n++] = x + 0f;
        numbers[n++] = y + 0f;
        numbers[n++] = z + 0f;
    }

    static JobFileException tooMany() {
        return new JobFileException("it has more than " + MOST_READ + " triangles. Thin the scan out first.");
    }

    /** With corners in one place joined. */
    ScanFile.Read joined(String name) throws JobFileException {
        if (n == 0) {
            throw new JobFileException("there is no triangle in it.");
        }
        Corners places = new Corners();
        int[] all = new int[n / 3];
        for (int i = 0; i < all.length; i++) {
            all[i] = places.place(numbers[3 * i], numbers[3 * i + 1], numbers[3 * i + 2]);
        }
        // A scan of millions must fit beside what is left to do.
        numbers = new float[0];
        float[] corners = places.all();
        int before = all.length / 3;
        double moved = 0;
        if (before > TriangleMesh.MOST_TRIANGLES) {
            ThinnedScan thinned = ThinnedScan.of(corners, all, TriangleMesh.MOST_TRIANGLES);
            corners = thinned.corners();
            all = thinned.triangles();
            moved = thinned.farthest();
        }
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
        return new ScanFile.Read(name, corners, kept, faults, before, moved);
    }

    /** Places, each once; a table of their indices by what the three numbers hash to, with room for twice as many. */
    private static final class Corners {
        private float[] at = new float[3000];
        private int[] table = new int[1 << 12];
        private int count;

        /** The index of a place, new or known. */
        int place(float x, float y, float z) {
            int slot = slot(x, y, z);
            if (table[slot] != 0) {
                return table[slot] - 1;
            }
            if (3 * count == at.length) {
                at = Arrays.copyOf(at, 2 * at.length);
            }
            at[3 * count] = x;
            at[3 * count + 1] = y;
            at[3 * count + 2] = z;
            table[slot] = ++count;
            if (2 * count > table.length) {
                table = new int[2 * table.length];
                for (int i = 0; i < count; i++) {
                    table[slot(at[3 * i], at[3 * i + 1], at[3 * i + 2])] = i + 1;
                }
            }
            return count - 1;
        }

        /** Where a place stands in the table, or would; 0 there means free. */
        private int slot(float x, float y, float z) {
            int hash = Float.hashCode(x);
            hash = 31 * hash + Float.hashCode(y);
            hash = 31 * hash + Float.hashCode(z);
            hash *= 0x9e3779b9;
            int i = hash >>> 7 & table.length - 1;
            while (table[i] != 0) {
                int k = 3 * (table[i] - 1);
                if (at[k] == x && at[k + 1] == y && at[k + 2] == z) {
                    return i;
                }
                i = i + 1 & table.length - 1;
            }
            return i;
        }

        float[] all() {
            return Arrays.copyOf(at, 3 * count);
        }
    }
}
