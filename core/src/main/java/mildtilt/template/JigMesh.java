package mildtilt.template;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import mildtilt.build.Piece.CentringJig;
import mildtilt.solid.TriangleMesh;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The surface of a centring jig: two half shells round the shafts' axis z, each bored for one shaft below and the other
 * above the
 * middle, with windows to tack through and two grooves for clamps.
 *
 * <p>Made of cells between steps of radius, angle and length, filled or not; the surface is every face between a filled
 * cell and an
 * empty one. Faces share their corners, so that it is closed whatever the sizes.
 */
final class JigMesh {

    /** Room between shaft and plastic, in diameter, mm. */
    private static final double SLIP = 0.2;
    /** Room in diameter round the weld, mm. */
    private static final double RELIEF = 8;
    /** Between the halves, mm at the bore. */
    private static final double SPLIT = 1.2;

    private static final double GROOVE_WIDTH = 10;
    private static final double GROOVE_DEPTH = 1.5;
    private static final int WINDOWS = 4;
    private static final int SECTORS = 96;

    private final double[] radii;
    private final double[] angles;
    private final double[] lengths;
    private final List<Float> corners = new ArrayList<>();
    private final Map<Integer, Integer> numbered = new HashMap<>();
    private final List<Integer> triangles = new ArrayList<>();
    private final CentringJig jig;
    private final double outer;
    private final double relief;
    private final double windowHalf;

    private JigMesh(CentringJig jig) {
        this.jig = jig;
        double one = (jig.one() + SLIP) / 2;
        double other = (jig.other() + SLIP) / 2;
        double larger = Math.max(one, other);
        relief = larger + RELIEF / 2;
        outer = Math.max(relief + 3, larger + jig.wall());
        windowHalf = Math.min(jig.length() / 5, Math.max(8, larger * 0.8));
        double half = jig.length() / 2;
        double groove = (windowHalf + half) / 2;
        radii = DoubleStream.of(one, other, relief, outer - GROOVE_DEPTH, outer)
                .sorted()
                .distinct()
                .toArray();
        lengths = DoubleStream.of(
                        -half,
                        -groove - GROOVE_WIDTH / 2,
                        -groove + GROOVE_WIDTH / 2,
                        -windowHalf,
                        0,
                        windowHalf,
                        groove - GROOVE_WIDTH / 2,
                        groove + GROOVE_WIDTH / 2,
                        half)
                .filter(z -> Math.abs(z) <= half)
                .sorted()
                .distinct()
                .toArray();
        double gap = SPLIT / larger / 2;
        angles = DoubleStream.concat(
                        DoubleStream.of(gap, Math.PI - gap, Math.PI + gap, 2 * Math.PI - gap),
                        DoubleStream.iterate(0, i -> i < SECTORS, i -> i + 1)
                                .map(i -> 2 * Math.PI * i / SECTORS)
                                .filter(a -> Math.abs(Math.sin(a)) > Math.sin(gap) + 1e-6))
                .sorted()
                .toArray();
    }

    static TriangleMesh of(CentringJig jig) {
        JigMesh m = new JigMesh(jig);
        m.build();
        float[] c = new float[m.corners.size()];
        for (int i = 0; i < c.length; i++) {
            c[i] = m.corners.get(i);
        }
        return new TriangleMesh(
                c, m.triangles.stream().mapToInt(Integer::intValue).toArray());
    }

    static Phrase how(CentringJig j) {
        return Phrase.of(
                "Two halves in one file: bored {0} below the middle and {1} above, " + WINDOWS
                        + " windows to tack through, two grooves for clamps or wire. Print lying, full infill. "
                        + "Tack a pair of windows across, turn, tack the other pair, and take it off before the weld is run: it is plastic.",
                Quantity.fine(j.one() + SLIP),
                Quantity.fine(j.other() + SLIP));
    }

    private boolean filled(int r, int a, int z) {
        if (r < 0 || r >= radii.length - 1 || z < 0 || z >= lengths.length - 1) {
            return false;
        }
        double radius = (radii[r] + radii[r + 1]) / 2;
        double length = (lengths[z] + lengths[z + 1]) / 2;
        int next = (a + 1) % angles.length;
        double angle = (angles[a] + angles[next] + (next == 0 ? 2 * Math.PI : 0)) / 2;
        // The split between the halves.
        if (Math.abs(Math.sin(angle)) < 1e-6) {
            return false;
        }
        boolean window = Math.abs(length) < windowHalf;
        double bore = window ? relief : (length < 0 ? jig.one() + SLIP : jig.other() + SLIP) / 2;
        if (radius < bore) {
            return false;
        }
        double groove = (windowHalf + jig.length() / 2) / 2;
        if (radius > outer - GROOVE_DEPTH && Math.abs(Math.abs(length) - groove) < GROOVE_WIDTH / 2) {
            return false;
        }
        // A window in the middle of each quarter; posts between them, the split through two of the posts.
        double inQuarter = Math.toDegrees(angle) % (360.0 / WINDOWS);
        return !(window && inQuarter > 20 && inQuarter < 70);
    }

    private void build() {
        for (int r = 0; r < radii.length - 1; r++) {
            for (int a = 0; a < angles.length; a++) {
                for (int z = 0; z < lengths.length - 1; z++) {
                    if (filled(r, a, z)) {
                        cell(r, a, z);
                    }
                }
            }
        }
    }

    private void cell(int r, int a, int z) {
        int n = (a + 1) % angles.length;
        int before = (a + angles.length - 1) % angles.length;
        face(!filled(r + 1, a, z), at(r + 1, a, z), at(r + 1, n, z), at(r + 1, n, z + 1), at(r + 1, a, z + 1));
        face(!filled(r - 1, a, z), at(r, a, z), at(r, a, z + 1), at(r, n, z + 1), at(r, n, z));
        face(!filled(r, n, z), at(r, n, z), at(r, n, z + 1), at(r + 1, n, z + 1), at(r + 1, n, z));
        face(!filled(r, before, z), at(r, a, z), at(r + 1, a, z), at(r + 1, a, z + 1), at(r, a, z + 1));
        face(!filled(r, a, z + 1), at(r, a, z + 1), at(r + 1, a, z + 1), at(r + 1, n, z + 1), at(r, n, z + 1));
        face(!filled(r, a, z - 1), at(r, a, z), at(r, n, z), at(r + 1, n, z), at(r + 1, a, z));
    }

    private void face(boolean open, int a, int b, int c, int d) {
        if (open) {
            triangles.addAll(List.of(a, b, c, a, c, d));
        }
    }

    private int at(int r, int a, int z) {
        return numbered.computeIfAbsent((r * angles.length + a) * lengths.length + z, _ -> {
            corners.add((float) (radii[r] * Math.cos(angles[a])));
            corners.add((float) (radii[r] * Math.sin(angles[a])));
            corners.add((float) lengths[z]);
            return corners.size() / 3 - 1;
        });
    }
}
