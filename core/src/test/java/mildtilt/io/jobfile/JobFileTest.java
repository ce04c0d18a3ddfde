package mildtilt.io.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.fail;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.column.Adjustment;
import mildtilt.column.Column;
import mildtilt.column.ForkSetting;
import mildtilt.geometry.Vector;
import mildtilt.io.FileStamp;
import mildtilt.io.JobFileException;
import mildtilt.io.ReferenceCases;
import mildtilt.io.SafeFiles;
import mildtilt.io.json.AnalysisJson;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.steer.position.SteeringInput;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JobFileTest {

    private static final String DEMO = JobWriter.write(DemoJob.MARSH_CARRIER.job());

    @TempDir
    private Path folder = Path.of("");

    @Test
    void savingIsIdempotent() throws Exception {
        Path first = folder.resolve("a.tilt");
        Path second = folder.resolve("b.tilt");
        for (String text : List.of(
                DEMO,
                ReferenceCases.linkageJob(
                        ReferenceCases.load("double_wishbone_rack").get("input")),
                ReferenceCases.columnJob(
                        ReferenceCases.load("double-joint-then-single").get("input")))) {
            Job job = JobReader.read(text);
            JobFile.save(first, job);
            Job again = JobFile.open(first);
            JobFile.save(second, again);
            assertThat(again).isEqualTo(job);
            assertThat(Files.readAllBytes(second)).isEqualTo(Files.readAllBytes(first));
        }
    }

    @Test
    void saveKeepsPreviousCopyOnly() throws Exception {
        Path file = folder.resolve("carrier.tilt");
        Job job = DemoJob.MARSH_CARRIER.job();
        JobFile.save(file, job);
        Job changed = JobPoints.moved(
                job, new PointId.Hub(), job.column().orElseThrow().hub().plus(new Vector(1, 2, 3)));
        JobFile.save(file, changed);
        assertThat(JobFile.open(file)).isEqualTo(changed);
        assertThat(JobFile.open(JobFile.previous(file))).isEqualTo(job);
        try (var files = Files.list(folder)) {
            assertThat(files).containsExactlyInAnyOrder(file, JobFile.previous(file));
        }
        Path nowhere = folder.resolve("no/such/folder/x.tilt");
        assertThatThrownBy(() -> JobFile.save(nowhere, job))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("x.tilt")
                .hasMessageContaining("still open");
    }

    @Test
    void saveKeepsPermissions() throws Exception {
        Path file = folder.resolve("own.tilt");
        assumeThat(Files.getFileStore(folder).supportsFileAttributeView(PosixFileAttributeView.class))
                .isTrue();
        Job job = DemoJob.GREENHOUSE_TUG.job();
        JobFile.save(file, job);
        for (String who : List.of("rw-------", "rw-rw-r--", "r--------")) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString(who));
            assertThat(JobFile.writeProtected(file)).isEqualTo(who.startsWith("r-"));
            JobFile.save(file, job);
            assertThat(Files.getPosixFilePermissions(file)).isEqualTo(PosixFilePermissions.fromString(who));
            Files.delete(JobFile.previous(file));
            JobFile.save(file, job.withTitle("again"));
            assertThat(Files.getPosixFilePermissions(JobFile.previous(file)))
                    .as("the copy beside it is as private")
                    .isEqualTo(PosixFilePermissions.fromString(who));
        }
    }

    @Test
    void linksAreFollowedOrRefused() throws Exception {
        Path file = folder.resolve("real.tilt");
        Path link = Files.createSymbolicLink(folder.resolve("link.tilt"), Path.of("real.tilt"));
        assertThatThrownBy(() -> JobFile.save(link, DemoJob.GREENHOUSE_TUG.job()))
                .hasMessageContaining("it is a link to real.tilt, which is not there");
        assertThat(Files.isSymbolicLink(link)).isTrue();
        JobFile.save(file, DemoJob.GREENHOUSE_TUG.job());
        JobFile.save(link, DemoJob.GREENHOUSE_TUG.job().withTitle("by the link"));
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(JobFile.open(file).title()).isEqualTo("by the link");
    }

    @Test
    void longestNamesCanBeSaved() throws Exception {
        Job job = DemoJob.GREENHOUSE_TUG.job();
        byte[] text = JobWriter.write(job).getBytes(StandardCharsets.UTF_8);
        for (String name : List.of(
                "x".repeat(250) + ".tilt",
                "ä".repeat(120) + ".tilt",
                " .tilt",
                "no ending",
                "two\nlines.tilt",
                ".tilt")) {
            Path file = Files.write(folder.resolve(name), text);
            JobFile.save(file, JobFile.open(file).withTitle("first"));
            JobFile.save(file, JobFile.open(file).withTitle("second"), Optional.empty());
            assertThat(JobFile.open(file).title()).isEqualTo("second");
            assertThat(JobFile.open(JobFile.previous(file)).title()).isEqualTo("first");
        }
    }

    /** What somebody else wrote has a name of its own, which the saves that follow leave alone. */
    @Test
    void concurrentChangesAreKept() throws Exception {
        Path file = folder.resolve("carrier.tilt");
        Job mine = DemoJob.GREENHOUSE_TUG.job().withTitle("mine");
        Optional<FileStamp> known =
                Optional.of(JobFile.save(file, mine, Optional.empty()).stamp());
        for (int n = 1; n <= 2; n++) {
            SafeFiles.replace(
                    file, JobWriter.write(mine.withTitle("theirs " + n)).getBytes(StandardCharsets.UTF_8));
            JobFile.Saved saved = JobFile.save(file, mine, known);
            assertThat(JobFile.open(saved.others().orElseThrow()).title()).isEqualTo("theirs " + n);
            known = Optional.of(saved.stamp());
            assertThat(JobFile.save(file, mine, known).others())
                    .as("a second save has nothing to keep")
                    .isEmpty();
        }
        assertThat(JobFile.open(folder.resolve("carrier.theirs.tilt")).title()).isEqualTo("theirs 1");
        assertThat(JobFile.open(folder.resolve("carrier.theirs-2.tilt")).title())
                .isEqualTo("theirs 2");
    }

    @Test
    void stalePartFilesAreRemoved() throws Exception {
        Process dead = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"), "-version")
                .redirectErrorStream(true)
                .start();
        dead.getInputStream().readAllBytes();
        dead.waitFor();
        long alive = ProcessHandle.current().pid();
        Path old = Files.writeString(folder.resolve(".mild-tilt-" + alive + "-1.part"), "x");
        Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(2, ChronoUnit.DAYS)));
        List<Path> gone = List.of(
                old,
                Files.writeString(folder.resolve(".mild-tilt-" + dead.pid() + "-4.part"), "x"),
                Files.writeString(folder.resolve(".carrier.tilt." + dead.pid() + ".part"), "x"));
        List<Path> kept = List.of(
                Files.writeString(folder.resolve(".mild-tilt-" + alive + "-999999.part"), "x"),
                Files.writeString(folder.resolve("film.part"), "x"),
                Files.writeString(folder.resolve(".other.12.part"), "x"));
        JobFile.save(folder.resolve("carrier.tilt"), DemoJob.GREENHOUSE_TUG.job());
        assertThat(gone).noneMatch(Files::exists);
        assertThat(kept).allMatch(Files::exists);
    }

    /** Each: what is replaced in the demo's file, by what, and what the refusal must say. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            nullValues = "null",
            value = {
                "\"format\" : \"mild-tilt-job\" | \"format\" : \"other\" | not a Mild Tilt job",
                "\"version\" : 8 | \"version\" : 9 | newer Mild Tilt (job version 9",
                "\"bump_mm\" : 70 | \"bump_mm\" : -70 | Vehicle, bump is -70 mm; it can be 0 to 1000 mm.",
                "\"bump_mm\" : 70 | \"bump_mm\" : \"seventy\" | Vehicle, bump should be a number and is \"seventy\".",
                "\"bump_mm\" : 70 | \"bump_mm\" : 1e999 | Vehicle, bump is far too large a number",
                "\"bump_mm\" : 70 | \"bumps_mm\" : 70 | bumps_mm",
                "\"bump_mm\" : 70 | \"bump_mm\" : 70, \"bump_mm\" : 71 | line 8",
                "[ -285, 215, 535 ] | [ -285, 215 ] | Column, joints number 2, centre has 2 entries; it needs at least 3.",
                "[ -285, 215, 535 ] | [ -570, 380, 700 ] | \"Lower shaft\" has no length",
                "\"kind\" : \"single\" | \"kind\" : \"triple\" | Column, joints number 1, kind is \"triple\"; it can be single, double or coupling.",
                "\"travel_per_left_turn_mm\" : -55 | \"travel_per_left_turn_mm\" : 0 | travel per left turn is 0 mm; it can't be nearer to 0 than 1 mm.",
                "[ -158, 612, 330 ] | [ 1.5909090909090908, 632.9545454545455, 330 ] | left steering arm has no length",
                "[ 5, 640, 280 ] | [ 5, 640, 580 ] | At axle, left, suspension: The upper ball joint must stand above",
                "[ 0, 760, 390 ] | [ 0, -760, 390 ] | axle, left",
                "\"clocking_deg\" : 20 | \"clocking_deg\" : 20, \"fork\" : \"stepped\" | Column, shafts number 2: nothing is called \"fork\" here",
                "\"hold\" : \"nut\" | \"hold\" : \"glue\" | Column, steering wheel, socket, hold is \"glue\"",
                "\"to_mm\" : 510 | \"to_mm\" : 50 | lower bearing below the upper",
                "\"bore_mm\" : 0 | \"bore_mm\" : 22 | The bore of \"Column shaft\" must be smaller",
                "\"name\" : \"Column shaft\", | \"name\" : \"Column shaft\", \"clocking_deg\" : 4, | has one fork only",
                "\"about\" : | \"about\"  | line 5"
            })
    void aFileThatWillNotDoIsRefusedWithThePlace(String part, String by, String says) {
        assertThat(DEMO).contains(part);
        assertThatThrownBy(() -> JobReader.read(DEMO.replaceFirst("\\Q" + part + "\\E", by.replace("\\", "\\\\"))))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining(says);
    }

    @Test
    void earlierVersionsReadWithoutInventedValues() throws Exception {
        String old = new String(
                JobFileTest.class
                        .getResourceAsStream("/jobs/version-2/bog-tender.tilt")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
        Column c = JobReader.read(old).column().orElseThrow();
        assertThat(c.tube()).isEmpty();
        assertThat(c.wheel().adjustment()).isEqualTo(Adjustment.NONE);
        assertThat(c.joints())
                .allMatch(j -> j.wheelSide().socket().isEmpty() && j.torqueNm().isEmpty());
        assertThat(c.setting(1)).isEqualTo(new ForkSetting.AnyAngle());
        String stepped = old.replace("\"fork\" : \"any\"", "\"fork\" : \"stepped\", \"fork_step_deg\" : 7.5");
        assertThat(JobReader.read(stepped).column().orElseThrow().setting(1)).isEqualTo(new ForkSetting.Stepped(48));
        assertThat(JobReader.read(old.replace("\"fork\" : \"any\"", "\"fork\" : \"fixed\""))
                        .column()
                        .orElseThrow()
                        .setting(1))
                .isEqualTo(new ForkSetting.Fixed());
        assertThatThrownBy(() -> JobReader.read(stepped.replace("7.5", "7"))).hasMessageContaining("evenly");
        // Kept again it is of this version and the same.
        assertThat(JobReader.read(JobWriter.write(JobReader.read(stepped)))).isEqualTo(JobReader.read(stepped));
    }

    @Test
    void nonJobFilesAreRefused() throws IOException {
        Path binary =
                Files.write(folder.resolve("photo.tilt"), new byte[] {(byte) 0x89, 'P', 'N', 'G', (byte) 0xff, 0});
        assertThatThrownBy(() -> JobFile.open(binary))
                .hasMessageStartingWith("photo.tilt: ")
                .hasMessageContaining("not text");
        assertThatThrownBy(() -> JobFile.open(folder.resolve("gone.tilt"))).hasMessageContaining("no such file");
        assertThatThrownBy(() -> JobFile.open(folder)).hasMessageContaining("folder");
        assertThatThrownBy(() -> JobReader.read("")).isInstanceOf(JobFileException.class);
        assertThatThrownBy(() -> JobReader.read("[".repeat(100_000))).isInstanceOf(JobFileException.class);
        assertThatThrownBy(() -> JobReader.read(DEMO + "{}")).isInstanceOf(JobFileException.class);
    }

    /** Damaged files end in a refusal or a job whose every figure is a number; never in anything else. */
    @Test
    void corruptJobsAreRejected() {
        Random random = new Random(20);
        String[] swaps = {"0", "-1", "1e5", "99999", "null", "true", "\"x\"", "[]", "{}", "0.0001", "-0.0", "90"};
        String[] demos = Arrays.stream(DemoJob.values())
                .map(d -> JobWriter.write(d.job()))
                .toArray(String[]::new);
        int read = 0;
        for (int i = 0; i < 150; i++) {
            StringBuilder text = new StringBuilder(demos[i % demos.length]);
            for (int n = 1 + random.nextInt(2); n > 0; n--) {
                if (random.nextInt(4) == 0) {
                    text.setCharAt(random.nextInt(text.length()), (char) (32 + random.nextInt(95)));
                } else {
                    var number =
                            java.util.regex.Pattern.compile("-?\\d+(\\.\\d+)?").matcher(text);
                    int from = random.nextInt(text.length());
                    if (number.find(from)) {
                        text.replace(number.start(), number.end(), swaps[random.nextInt(swaps.length)]);
                    }
                }
            }
            try {
                Job job = JobReader.read(text.toString());
                read++;
                finite(
                        AnalysisJson.tree(
                                Analysis.of(job, new mildtilt.steer.position.Grid(4, 3)),
                                List.of(new SteeringInput(40, 10, -10))),
                        text);
            } catch (JobFileException e) {
                assertThat(e.getMessage()).isNotBlank().doesNotContain("Exception");
            }
        }
        assertThat(read).isBetween(10, 140);
    }

    private static void finite(JsonNode node, CharSequence text) {
        if (node.isDouble() && !Double.isFinite(node.asDouble())) {
            fail("a figure is not a number, from:\n" + text);
        }
        node.forEach(child -> finite(child, text));
    }
}
