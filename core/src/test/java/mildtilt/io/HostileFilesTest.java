package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import mildtilt.findings.Fault;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.io.jobfile.MeshText;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.solid.TriangleMesh;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that once crashed the program, gave figures that are none, or took all memory; each with others like it. */
class HostileFilesTest {

    @TempDir
    private Path folder = Path.of("");

    private static String hostile(String name) throws Exception {
        try (InputStream in = HostileFilesTest.class.getResourceAsStream("/hostile/" + name + ".tilt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "crash-log-rod-name | Log, vehicles number 1, trials number 2, readings number 29, part is \"Upper joint\"; it can be left_tie_rod, right_tie_rod,",
                "crash-version-1e400 | Version is far too large a number.",
                "infinity-column.shafts0 | Column, shafts number 1, diameter is all but 0 mm; it can be 3 to 200 mm.",
                "infinity-eff | Vehicle, loads, efficiency is all but 0; it can be 0.05 to 1.",
                "tyre-radius-minus-50 | Axle, left, knuckle, wheel centre, z is -50 mm; it can be 50 to 1500 mm.",
                "wheelbase-0.001 | Vehicle, wheelbase is 0.001 mm; it can be 300 to 20000 mm."
            })
    void whatCanNotBeIsRefused(String name, String says) throws Exception {
        String text = hostile(name);
        assertThatThrownBy(() -> JobReader.read(text))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(says)
                .matches(e -> AllThatIsSaid.isASentence(e.getMessage()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"crash-rack-travel-remedy", "crash-taper", "rim-larger-than-0.64-of-tyre"})
    void hostileButPossibleJobsAreAnalysed(String name) throws Exception {
        AllThatIsSaid said = AllThatIsSaid.of(JobReader.read(hostile(name)));
        assertThat(said.cannot()).isEmpty();
        assertThat(said.findings()).isNotEmpty().noneMatch(f -> f.fault() == Fault.NOT_WORKED_OUT);
    }

    /** Any rim from a hub to all of its tyre: worked out, or refused with both sizes. */
    @Test
    void rimsOfAnySize() throws Exception {
        JsonNode tree = Mutator.tree(hostile("rim-larger-than-0.64-of-tyre"));
        for (int rim = 60; rim <= 900; rim += 35) {
            ((ObjectNode) tree.at("/surroundings/own_parts")).put("rim_diameter_mm", rim);
            if (rim <= 790) {
                assertThat(AllThatIsSaid.of(JobReader.read(tree.toString())).findings())
                        .isNotEmpty();
            } else {
                assertThatThrownBy(() -> JobReader.read(tree.toString()))
                        .hasMessageContaining("is too large for the left tyre of 800 mm");
            }
        }
    }

    /** Studs and holes of any taper: no way out is offered that can't be. */
    @Test
    void tapersOfAnyRate() throws Exception {
        JsonNode tree = Mutator.tree(hostile("crash-taper"));
        List<ObjectNode> tapers = new ArrayList<>();
        gather(tree, tapers);
        assertThat(tapers).isNotEmpty();
        for (double small : new double[] {1, 4, 8, 12, 15.9}) {
            tapers.forEach(t -> t.put("small_mm", small));
            try {
                assertThat(AllThatIsSaid.of(JobReader.read(tree.toString())).analysisFailed())
                        .isEmpty();
            } catch (JobFileException e) {
                assertThat(e.getMessage()).contains("must be above its small one");
            }
        }
    }

    private static void gather(JsonNode node, List<ObjectNode> tapers) {
        if (node instanceof ObjectNode o && o.has("small_mm")) {
            tapers.add(o);
        }
        node.forEach(n -> gather(n, tapers));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "f // 2 3",
                "f /",
                "f / / /",
                "f 1// 2// 9//",
                "f 1/ 2",
                "f 0 1 2",
                "f -9 1 2",
                "f 99999999999 1 2",
                "v 1e9 0 0\nf 1 2 4",
                "v 1e39 0 0\nf 1 2 4",
                "v 1 2\nf 1 2 3",
                "f 1 1 1"
            })
    void facesThatNameNoCorner(String line) throws Exception {
        Path obj = Files.writeString(folder.resolve("a.obj"), "v 0 0 0\nv 1 0 0\nv 0 1 0\n" + line + "\n");
        assertThatThrownBy(() -> ScanFile.read(obj))
                .isInstanceOf(JobFileException.class)
                .hasMessageEndingWith("Nothing was imported.")
                .matches(e -> AllThatIsSaid.isASentence(e.getMessage()));
    }

    @Test
    void folderIsRefusedAsFile() {
        assertThatThrownBy(() -> ScanFile.read(Path.of("/"))).hasMessageContaining("/: it is a folder");
        assertThatThrownBy(() -> JobFile.open(Path.of("/"))).hasMessageContaining("/: it is a folder");
        assertThatThrownBy(() -> PhotoFile.copyBeside(folder.resolve("a.tilt"), Path.of("/")))
                .isInstanceOf(JobFileException.class);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "a\u0000b.jpg",
                "/etc/passwd",
                "../out.jpg",
                "x/../../out.jpg",
                "..",
                "a\nb.jpg",
                "\\\\server\\x.jpg",
                "c:x.jpg"
            })
    void photosOutsideOfTheJobsFolder(String name) throws Exception {
        JsonNode tree = Mutator.tree(JobWriter.write(DemoJob.MARSH_CARRIER.job()));
        ((ObjectNode) tree.at("/log/vehicles/0/trials/0")).putArray("photos").add(name);
        assertThatThrownBy(() -> JobReader.read(tree.toString()))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("A photo must be in the job's folder");
    }

    /** Reads each file with less memory than a lavish reading of it would take, and says what comes of it. */
    static final class Poor {
        public static void main(String[] args) {
            for (String file : args) {
                String said;
                try {
                    JobFile.open(Path.of(file));
                    said = "read";
                } catch (JobFileException e) {
                    said = e.getMessage();
                } catch (OutOfMemoryError e) {
                    said = "OUT OF MEMORY " + file;
                }
                System.out.println(said);
            }
        }
    }

    @Test
    void expandingFilesAreRefused() throws Exception {
        String base = "{\"format\":\"mild-tilt-job\",\"version\":6,\"title\":\"x\",\"vehicle\":{\"wheelbase_mm\":2380}";
        List<String> files = new ArrayList<>();
        files.add(file("bomb", base + ",\"surroundings\":{\"obstacles\":[" + scans(100) + "]}}"));
        files.add(file("deep", base + ",\"x\":" + "[".repeat(100_000) + "]".repeat(100_000) + "}"));
        files.add(file("keys", base + many(600_000, i -> ",\"k" + i + "\":1") + "}"));
        files.add(file("wrong", base + ",\"variants\":[1" + ",1".repeat(450_000) + "]}"));
        files.add(file(
                "digits",
                "{\"format\":\"mild-tilt-job\",\"version\":6,\"title\":\"x\",\"vehicle\":{\"wheelbase_mm\":"
                        + "1".repeat(500_000) + "}}"));
        files.add(file("text", base + ",\"about\":\"" + "x".repeat(36 << 20) + "\"}"));
        List<String> command = new ArrayList<>(List.of(
                ProcessHandle.current().info().command().orElse("java"),
                "-Xmx256m",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("java.class.path"),
                Poor.class.getName()));
        command.addAll(files);
        Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
        // Not a measure of speed: a reader that never ends fails here instead of holding up the run.
        CompletableFuture<Process> ended =
                p.onExit().completeOnTimeout(p, 5, TimeUnit.MINUTES).whenComplete((x, e) -> p.destroyForcibly());
        List<String> said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
                .lines()
                .toList();
        assertThat(ended.join().exitValue()).isZero();
        assertThat(said).hasSize(files.size());
        assertThat(said.get(0)).contains("bomb.tilt: ").contains("packed numbers can't be read");
        assertThat(said.get(1)).contains("far larger than any job's");
        assertThat(said.get(2)).contains("more than 1000000 values");
        assertThat(said.get(3)).contains("Variants has 450001 entries; up to 200 can be taken.");
        assertThat(said.get(4)).contains("far larger than any job's");
        assertThat(said.get(5)).contains("far larger than any job's");
        assertThat(said).allMatch(AllThatIsSaid::isASentence);
    }

    private String file(String name, String text) throws Exception {
        return Files.writeString(folder.resolve(name + ".tilt"), text).toString();
    }

    private interface Piece {
        String of(int i);
    }

    private static String many(int n, Piece piece) {
        StringBuilder s = new StringBuilder();
        for (int i = 0; i < n; i++) {
            s.append(piece.of(i));
        }
        return s.toString();
    }

    private static String scans(int n) {
        String zeros = MeshText.pack(new byte[24_000_000]);
        return many(
                n,
                i -> (i == 0 ? "" : ",") + "{\"name\":\"s" + i
                        + "\",\"shape\":{\"kind\":\"scan\",\"at_mm\":[0,0,0],\"file\":\"a.stl\",\"corners\":\"" + zeros
                        + "\",\"triangles\":\"" + zeros + "\"}}");
    }

    /** Tubes that would take minutes are refused; as many as are taken are gone through in seconds. */
    @Test
    void rotatingTubesAreLimited() throws Exception {
        JsonNode tree = Mutator.tree(hostile("slow-5-tubes-turning-14s"));
        ArrayNode obstacles = (ArrayNode) tree.at("/surroundings/obstacles");
        assertThat(AllThatIsSaid.of(JobReader.read(tree.toString())).findings()).isNotEmpty();
        for (int i = 5; i < 20; i++) {
            ObjectNode more = obstacles.get(0).deepCopy();
            obstacles.add(more.put("name", "more " + i));
        }
        assertThatThrownBy(() -> JobReader.read(tree.toString()))
                .hasMessageContaining("up to 10000 straight pieces together")
                .hasMessageContaining("Give them fewer points");
    }

    /** Scans that hold more triangles together than a machine can hold. */
    @Test
    void totalScanSizeIsLimited() {
        Job job = DemoJob.MARSH_CARRIER.job();
        float[] corners = new float[9];
        corners[3] = 10;
        corners[7] = 10;
        int[] triangles = new int[3 * 1_600_000];
        for (int i = 0; i < triangles.length; i++) {
            triangles[i] = i % 3;
        }
        TriangleMesh mesh = new TriangleMesh(corners, triangles);
        Shape scan = new Shape.Scan(mesh, "a.stl", Point.ORIGIN, 0, 0, 0);
        Job one = job.editSurroundings(s -> s.with(Obstacle.fixed("one", scan)));
        assertThatThrownBy(() -> one.editSurroundings(s -> s.with(Obstacle.fixed("two", scan))))
                .hasMessageContaining("up to 3000000 triangles together; these have");
    }
}
