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
import mildtilt.format.DemoJob;
import mildtilt.job.Job;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RecoveryTest {

    /** Edits a job, says so, and waits to be killed. */
    static final class Victim {
        public static void main(String[] args) throws Exception {
            Recovery recovery = new Recovery(Path.of(args[0]));
            Job job = DemoJob.MARSH_CARRIER.job();
            for (int i = 0; i < 20; i++) {
                job = job.withTitle("edit " + i);
                recovery.changed(job, Optional.of(Path.of("carrier.tilt")));
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
    void unsavedWorkSurvivesAKillAndIsOfferedOnce(@TempDir Path folder) throws Exception {
        Process victim = new ProcessBuilder(ProcessHandle.current().info().command().orElse("java"),
                "-cp", System.getProperty("java.class.path"), Victim.class.getName(), folder.toString())
                .redirectError(ProcessBuilder.Redirect.INHERIT).start();
        try (BufferedReader out = new BufferedReader(new InputStreamReader(victim.getInputStream(), StandardCharsets.UTF_8))) {
            assertThat(out.readLine()).isEqualTo("kept");
            try (Recovery other = new Recovery(folder)) {
                // While it runs its work is its own.
                assertThat(other.left()).isEmpty();
                victim.destroyForcibly().waitFor();
                List<Recovery.Left> left = other.left();
                assertThat(left).singleElement().satisfies(l -> {
                    assertThat(l.job()).isEqualTo(DemoJob.MARSH_CARRIER.job().withTitle("edit 19"));
                    assertThat(l.from().orElseThrow()).hasFileName("carrier.tilt");
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
            recovery.keepNow(DemoJob.MARSH_CARRIER.job(), Optional.empty());
            recovery.allSaved();
        }
        try (var files = Files.list(folder)) {
            assertThat(files).isEmpty();
        }
    }

    @Test
    void whatCannotBeKeptIsToldOnceUntilItCanBe(@TempDir Path folder) throws Exception {
        Path state = folder.resolve("state");
        List<String> told = new ArrayList<>();
        try (Recovery recovery = new Recovery(state)) {
            recovery.onTrouble(told::add);
            Path aside = folder.resolve("aside");
            Files.move(state, aside);
            recovery.keepNow(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
            recovery.keepNow(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
            assertThat(told).singleElement().asString().contains("can't be kept safe in " + state).contains("no such file or folder").contains("Save the job");
            Files.move(aside, state);
            recovery.keepNow(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
            Files.move(state, aside);
            recovery.keepNow(DemoJob.GREENHOUSE_TUG.job(), Optional.empty());
            assertThat(told).hasSize(2);
            Files.move(aside, state);
        }
    }
}
