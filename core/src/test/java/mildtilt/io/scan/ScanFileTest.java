package mildtilt.io.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.OwnParts;
import mildtilt.obstacle.Shape;
import mildtilt.obstacle.Surroundings;
import mildtilt.obstacle.Sweep;
import mildtilt.solid.TriangleMesh;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Scans from files, sound and damaged, and all that is in the way through the job file. */
class ScanFileTest {

    @TempDir
    private Path folder = Path.of("");

    /** A block of 20 x 30 x 40, four corners to a side. */
    private static final float[][] CORNERS = {
        {0, 0, 0}, {20, 0, 0}, {0, 30, 0}, {20, 30, 0}, {0, 0, 40}, {20, 0, 40}, {0, 30, 40}, {20, 30, 40}
    };

    private static final int[][] SIDES = {
        {0, 2, 3, 1}, {4, 5, 7, 6}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 4, 6, 2}, {1, 3, 7, 5}
    };

    private Path put(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name), text);
    }

    private static String textStl(int sides) {
        StringBuilder s = new StringBuilder("solid block\n");
        for (int[] q : Arrays.copyOf(SIDES, sides)) {
            for (int[] t : new int[][] {{q[0], q[1], q[2]}, {q[0], q[2], q[3]}}) {
                s.append(" facet normal 0 0 0\n  outer loop\n");
                for (int c : t) {
                    s.append("   vertex ")
                            .append(CORNERS[c][0])
                            .append(' ')
                            .append(CORNERS[c][1])
                            .append(' ')
                            .append(CORNERS[c][2])
                            .append('\n');
                }
                s.append("  endloop\n endfacet\n");
            }
        }
        return s.append("endsolid block\n").toString();
    }

    private static byte[] binaryStl(int sides, int saidTriangles) {
        ByteBuffer b = ByteBuffer.allocate(84 + sides * 100).order(ByteOrder.LITTLE_ENDIAN);
        b.put("solid by name only".getBytes(StandardCharsets.US_ASCII))
                .position(80)
                .putInt(saidTriangles);
        for (int[] q : Arrays.copyOf(SIDES, sides)) {
            for (int[] t : new int[][] {{q[0], q[1], q[2]}, {q[0], q[2], q[3]}}) {
                b.position(b.position() + 12);
                for (int c : t) {
                    for (float v : CORNERS[c]) {
                        b.putFloat(v);
                    }
                }
                b.putShort((short) 0);
            }
        }
        return b.array();
    }

    private static String obj() {
        StringBuilder s = new StringBuilder("# a block\n");
        for (float[] c : CORNERS) {
            s.append("v ")
                    .append(c[0])
                    .append(' ')
                    .append(c[1])
                    .append(' ')
                    .append(c[2])
                    .append('\n');
        }
        for (int[] q : SIDES) {
            s.append("f ")
                    .append(q[0] + 1)
                    .append("/1 ")
                    .append(q[1] + 1)
                    .append("//2 ")
                    .append(q[2] - 8)
                    .append(' ')
                    .append(q[3] + 1)
                    .append('\n');
        }
        return s.toString();
    }

    @Test
    void scanFormatsReadTheSameBlock() throws Exception {
        List<ScanFile.Read> all = List.of(
                ScanFile.read(put("a.stl", textStl(6))),
                ScanFile.read(Files.write(folder.resolve("b.STL"), binaryStl(6, 12))),
                ScanFile.read(put("c.obj", obj())));
        for (ScanFile.Read r : all) {
            assertThat(r.count()).isEqualTo(12);
            assertThat(r.corners()).hasSize(24);
            assertThat(r.size()).containsExactly(20, 30, 40);
            assertThat(r.warnings()).as(r.file()).isEmpty();
            TriangleMesh inches = r.mesh(FileUnit.INCH);
            assertThat(inches.closed()).isTrue();
            assertThat(inches.bounds().size().z()).isCloseTo(40 * 25.4, within(1e-3));
        }
        // Forty by thirty by twenty of which unit would be a part of a vehicle with a wheelbase of 4000?
        assertThat(all.getFirst().likely(4000)).isEqualTo(FileUnit.INCH);
        assertThat(all.getFirst().likely(160)).isEqualTo(FileUnit.MM);
    }

    @Test
    void meshFaultsAreReportedAndRead() throws Exception {
        ScanFile.Read open = ScanFile.read(put("open.stl", textStl(5)));
        assertThat(open.faults().openEdges()).isEqualTo(4);
        assertThat(open.warnings()).singleElement().asString().contains("It has holes: 4 edges");
        String flipped = textStl(6)
                .replaceFirst(
                        "vertex 0.0 0.0 0.0\n   vertex 0.0 30.0 0.0", "vertex 0.0 30.0 0.0\n   vertex 0.0 0.0 0.0");
        assertThat(ScanFile.read(put("flipped.stl", flipped)).faults().flipped())
                .isEqualTo(3);
        String flat = obj() + "f 1 2 2\nf 1 1 1\n";
        ScanFile.Read with = ScanFile.read(put("flat.obj", flat));
        assertThat(with.faults().flat()).isEqualTo(2);
        assertThat(with.count()).as("those without area are left out").isEqualTo(12);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a.stl | solid x\\nfacet\\nvertex 1 2 3\\nvertex 1 2 4\\nvertex 2 2 4\\nendfacet\\n | cut short",
                "a.stl | solid x\\nvertex 1 2 3\\nvertex 1 2 4\\nendfacet\\nendsolid | has 2 corners instead of three",
                "a.stl | solid x\\nvertex 1 2\\nendsolid | line 2 should give three numbers",
                "a.stl | solid x\\nvertex 1 2 NaN\\nvertex 1 2 4\\nvertex 2 2 4\\nendfacet\\nendsolid | not a number",
                "a.stl | short | too short to be an STL",
                "a.stl | solid x\\nendsolid | no triangle",
                "a.obj | v 1 2 3\\nf 1 2 9\\n | names corner \"2\"",
                "a.obj | v 1 2 3\\nv 1 1 1\\nf 1 2\\n | fewer than three corners",
                "a.obj | v 0 0 0\\nv 1 1 1\\nv 2 2 2\\nf 1 2 3\\n | none of its triangles has any area",
                "a.obj | x | no triangle"
            })
    void aDamagedFileIsRefusedWithASentence(String name, String text, String why) throws Exception {
        Path file = put(name, text.replace("\\n", "\n"));
        assertThatThrownBy(() -> ScanFile.read(file))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(why)
                .hasMessageStartingWith(name)
                .hasMessageEndingWith("Nothing was imported.");
    }

    @Test
    void truncatedOrOversizedBinariesAreRefused() throws Exception {
        assertThatThrownBy(() -> ScanFile.read(Files.write(folder.resolve("cut.stl"), binaryStl(5, 12))))
                .hasMessageContaining("says 12 triangles and holds 10");
        assertThatThrownBy(() -> ScanFile.read(Files.write(folder.resolve("long.stl"), binaryStl(6, 4))))
                .hasMessageContaining("longer than that");
        assertThatThrownBy(() -> ScanFile.read(Files.write(folder.resolve("none.stl"), new byte[0])))
                .hasMessageContaining("empty");
        assertThatThrownBy(() -> ScanFile.read(folder)).hasMessageContaining("a folder");
        assertThatThrownBy(() -> ScanFile.read(folder.resolve("gone.stl"))).hasMessageContaining("can't be read");
        assertThatThrownBy(() -> ScanFile.read(
                        Files.write(folder.resolve("x.obj"), new byte[] {'v', ' ', (byte) 0xff, (byte) 0xfe})))
                .hasMessageContaining("should be text");
    }

    private Surroundings everything() throws Exception {
        TriangleMesh mesh = ScanFile.read(put("block.stl", textStl(6))).mesh(FileUnit.MM);
        Axis axis = new Axis(new Point(1, 2, 3), Direction.along(0, 1, 1));
        List<Shape> shapes = List.of(
                new Shape.Tube(List.of(new Point(0, 0, 0), new Point(10, 0, 5), new Point(20, 5, 5)), 12),
                new Shape.Box(new Point(1, 2, 3), 10, 20, 30, 5, -6, 7.5),
                new Shape.Plate(List.of(new Point(0, 0, 0), new Point(9, 0, 0), new Point(9, 9, 0)), 3),
                new Shape.Cylinder(new Point(0, 0, 0), new Point(0, 0, 50), 33.25),
                new Shape.Sphere(new Point(4, 4, 4), 8),
                new Shape.Scan(mesh, "block.stl", new Point(7, 8, 9), 10, 20, 30));
        List<Sweep> sweeps = List.of(
                new Sweep.Still(),
                new Sweep.Turns(axis, -12, 30),
                new Sweep.Slides(Direction.along(1, 0, 0), -5, 6),
                new Sweep.Wanders(4),
                new Sweep.FollowsWheel(Side.RIGHT, axis, 0.25),
                new Sweep.Still());
        Surroundings s = Surroundings.NONE
                .withDriver(Optional.of(Driver.behind(new Point(-1000, 300, 1000))))
                .withOwn(OwnParts.USUAL.withRim(Optional.of(381.0)));
        for (int i = 0; i < shapes.size(); i++) {
            s = s.with(new Obstacle(
                    Id.Kind.OBSTACLE.first(),
                    "thing " + i,
                    shapes.get(i),
                    5 + i,
                    i % 2 == 0,
                    Carrier.values()[i],
                    sweeps.get(i),
                    i == 1,
                    i == 0 ? Optional.empty() : Optional.of(Obstacle.May.values()[i % 3])));
        }
        return s.leavingOut(s.named("thing 1").orElseThrow().id(), new Id("shaft-2"));
    }

    @Test
    void obstaclesRoundTripAndMirror() throws Exception {
        Job job = DemoJob.LIBRARY_BUS.job().withSurroundings(everything());
        Job again = JobReader.read(JobWriter.write(job));
        assertThat(again).isEqualTo(job);
        assertThat(JobWriter.write(again)).isEqualTo(JobWriter.write(job));
        for (Obstacle o : job.surroundings().obstacles()) {
            assertThat(o.mirrored(o.name()).mirrored(o.name())).isEqualTo(o);
            assertThat(o.mirrored("m").shape().solid().bounds().minY())
                    .isCloseTo(-o.shape().solid().bounds().maxY(), within(1e-3));
        }
        Surroundings renamed = job.surroundings().edit(1, o -> o.withName("bin"));
        assertThat(renamed.meant())
                .as("a name is no key")
                .isEqualTo(job.surroundings().meant());
        assertThat(renamed.without(1).meant())
                .as("what is gone touches nothing")
                .isEmpty();
        assertThat(Set.of(job.surroundings().free("thing 1"))).containsExactly("thing 1 2");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"diameter_mm\" : 8 | \"diameter_mm\" : 0 | number 5, shape, diameter is 0 mm; it can be 0.1 to 2000 mm.",
                "\"name\" : \"thing 2\" | \"name\" : \"thing 1\" | same name",
                "\"kind\" : \"sphere\" | \"kind\" : \"egg\" | number 5, shape, kind",
                "\"fixed_to\" : \"axle\" | \"fixed_to\" : \"roof\" | number 2, fixed to is",
                "\"from_deg\" : -12 | \"from_deg\" : 12 | from is 12°; it can be -360 to 0°.",
                "\"thigh_mm\" : 440 | \"thigh_mm\" : 144 | Thigh and shin do not go",
                "\"corners\" : \" | \"corners\" : \"AAAA | damaged"
            })
    void whatCantBeInTheWayIsRefusedWithThePlace(String what, String by, String why) throws Exception {
        String text = JobWriter.write(DemoJob.LIBRARY_BUS.job().withSurroundings(everything()));
        assertThat(text).contains(what);
        assertThatThrownBy(() -> JobReader.read(text.replaceFirst(Pattern.quote(what), by)))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(why);
    }
}
