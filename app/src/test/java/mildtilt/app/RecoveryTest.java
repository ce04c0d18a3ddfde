package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.app.shell.Recovery;
import mildtilt.io.FileStamp;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RecoveryTest {

    private static final FileStamp STAMP = new FileStamp(7, 11);

    private static Recovery.Whole work(Job job) {
        return new Recovery.Whole(job, Optional.empty(), Optional.empty(), Path.of("none"));
    }

    /** Edits a job, says so, and waits to be killed. */
    static final class Victim {
        public static void main(String[] args) throws Exception {
            Recovery recovery = new Recovery(Path.of(args[0]));
            Job job = DemoJob.MARSH_CARRIER.job();
            for (int i = 0; i < 20; i++) {
                job = job.withTitle("edit " + i);
                recovery.changed(job, Optional.of(Path.of("carrier.tilt")), Optional.of(STAMP));
            }
            while (true) {
                try (var files = Files.list(Path.of(args[0]))) {
                    if (files.anyMatch(f -> f.toString().endsWith(".tilt"))) {
                        System.out.println("kept");
                    }
                }
                Thread.sleep(50);
            }
        }
    }

    @Test
    void unsavedWorkSurvivesKillAndIsOfferedOnce(@TempDir Path folder) throws Exception {
        Process victim = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Victim.class.getName(),
                        folder.toString())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (BufferedReader out =
                new BufferedReader(new InputStreamReader(victim.getInputStream(), StandardCharsets.UTF_8))) {
            assertThat(out.readLine()).isEqualTo("kept");
            try (Recovery other = new Recovery(folder)) {
                // While it runs its work is its own.
                assertThat(other.left()).isEmpty();
                victim.destroyForcibly().waitFor();
                List<Recovery.Left> left = other.left();
                assertThat(left).singleElement().isInstanceOfSatisfying(Recovery.Whole.class, l -> {
                    assertThat(l.job()).isEqualTo(DemoJob.MARSH_CARRIER.job().withTitle("edit 19"));
                    assertThat(l.from().orElseThrow()).hasFileName("carrier.tilt");
                    assertThat(l.stamp()).contains(STAMP);
                });
                other.forget(left.getFirst());
                assertThat(other.left()).isEmpty();
            }
        } finally {
            victim.destroyForcibly();
        }
        try (var files = Files.list(folder)) {
            assertThat(files).isEmpty();
        }
    }

    @Test
    void savedWorkLeavesNothing(@TempDir Path folder) throws Exception {
        try (Recovery recovery = new Recovery(folder)) {
            recovery.keepNow(work(DemoJob.MARSH_CARRIER.job()));
            recovery.allSaved();
        }
        try (var files = Files.list(folder)) {
            assertThat(files).isEmpty();
        }
    }

    @Test
    void failedRecoveryWriteIsReportedOnce(@TempDir Path folder) throws Exception {
        Path state = folder.resolve("state");
        List<String> reported = new ArrayList<>();
        try (Recovery recovery = new Recovery(state)) {
            recovery.onTrouble(reported::add);
            Path aside = folder.resolve("aside");
            Files.move(state, aside);
            recovery.keepNow(work(DemoJob.GREENHOUSE_TUG.job()));
            recovery.keepNow(work(DemoJob.GREENHOUSE_TUG.job()));
            assertThat(reported)
                    .singleElement()
                    .asString()
                    .contains("can't be kept safe in " + state)
                    .contains("no such file or folder")
                    .contains("Save the job");
            Files.move(aside, state);
            recovery.keepNow(work(DemoJob.GREENHOUSE_TUG.job()));
            Files.move(state, aside);
            recovery.keepNow(work(DemoJob.GREENHOUSE_TUG.job()));
            assertThat(reported).hasSize(2);
            Files.move(aside, state);
        }
    }

    /** The copy of the job before is taken away by the writer some time later: not the one that was just recovered. */
    @Test
    void recoveredWorkIsKeptBesideOtherCopies(@TempDir Path folder) throws Exception {
        for (int i = 0; i < 50; i++) {
            try (Recovery recovery = new Recovery(folder)) {
                recovery.allSaved();
                assertThat(recovery.keepNow(work(DemoJob.GREENHOUSE_TUG.job()))).isTrue();
                try (var files = Files.list(folder)) {
                    assertThat(files.filter(f -> f.toString().endsWith(".tilt")))
                            .hasSize(1);
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\0", "-\n-", "x\ny\nz", "12\n13\nbad\0name", "9999999999999999999999\n1\n/a.tilt"})
    void brokenRecoveryNoteLosesNoWork(String note, @TempDir Path folder) throws Exception {
        left(folder, JobWriter.write(DemoJob.GREENHOUSE_TUG.job()), note);
        try (Recovery recovery = new Recovery(folder)) {
            assertThat(recovery.left()).singleElement().isInstanceOfSatisfying(Recovery.Whole.class, l -> {
                assertThat(l.job()).isEqualTo(DemoJob.GREENHOUSE_TUG.job());
                assertThat(l.stamp()).isEmpty();
            });
        }
    }

    @Test
    void oldRecoveryNoteIsReadAsPath(@TempDir Path folder) throws Exception {
        left(folder, JobWriter.write(DemoJob.GREENHOUSE_TUG.job()), "/somewhere/tug.tilt");
        try (Recovery recovery = new Recovery(folder)) {
            assertThat(recovery.left()).singleElement().isInstanceOfSatisfying(Recovery.Whole.class, l -> assertThat(
                            l.from().orElseThrow())
                    .hasFileName("tug.tilt"));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{", "{\"format\":\"mild-tilt-job\"}"})
    void damagedRecoveryCopyIsReportedAndKept(String text, @TempDir Path folder) throws Exception {
        left(folder, text, "");
        try (Recovery recovery = new Recovery(folder)) {
            assertThat(recovery.left()).singleElement().isInstanceOfSatisfying(Recovery.Damaged.class, d -> {
                assertThat(d.why()).hasSizeGreaterThan(10).doesNotContain("java");
                assertThat(d.copy()).hasContent(text);
            });
        }
    }

    /** As a program that died leaves it: nobody holds the lock. */
    private static void left(Path folder, String job, String note) throws Exception {
        Files.writeString(folder.resolve("dead.lock"), "");
        Files.writeString(folder.resolve("dead.tilt"), job);
        Files.writeString(folder.resolve("dead.origin"), note);
    }
}
