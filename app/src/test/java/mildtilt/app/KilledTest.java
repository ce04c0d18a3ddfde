package mildtilt.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import mildtilt.app.shell.Recovery;
import mildtilt.io.FileStamp;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A program killed at any moment while it saves and edits loses no saved job and no more than the last moments of
 * editing; and where somebody else writes
 * the same file in between, what they wrote is kept, too.
 */
class KilledTest {

    /** A few in every test run; more with -Dmildtilt.kills=200. */
    private static final int KILLS = Integer.getInteger("mildtilt.kills", 3);
    /** After so long what was edited is kept, ms: its delay, and what a disk takes that others write to as well. */
    private static final int LATEST = 2000;

    /** Edits all the time as a drag does, saves now and then, and says what it has done. */
    static final class Victim {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[1]);
            Recovery recovery = new Recovery(Path.of(args[0]));
            Optional<FileStamp> stamp = FileStamp.of(file);
            Job job = JobFile.open(file);
            int from = number(job);
            for (int i = from + 1; ; i++) {
                job = job.withTitle("edit " + i);
                recovery.changed(job, Optional.of(file), stamp);
                System.out.println("edited " + i + " " + System.currentTimeMillis());
                if (i % 20 == 0) {
                    stamp = Optional.of(JobFile.save(file, job, stamp).stamp());
                    recovery.allSaved();
                    System.out.println("saved " + i + " " + System.currentTimeMillis());
                }
                Thread.sleep(10);
            }
        }
    }

    private static int number(Job job) {
        return Integer.parseInt(job.title().substring(job.title().lastIndexOf(' ') + 1));
    }

    /** Another program, which knows nothing of ours and writes over what it finds there. */
    private static final class Other {
        private final Path file;
        private final Set<String> written = ConcurrentHashMap.newKeySet();
        private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor();

        Other(Path file) {
            this.file = file;
            clock.scheduleWithFixedDelay(this::write, 100, 170, TimeUnit.MILLISECONDS);
        }

        private void write() {
            try {
                Job job = JobFile.open(file);
                // It does not write over its own: that would be its own loss.
                if (job.title().startsWith("edit")) {
                    String title = "other " + written.size() + " after " + number(job);
                    SafeFiles.replace(
                            file, JobWriter.write(job.withTitle(title)).getBytes(StandardCharsets.UTF_8));
                    written.add(title);
                }
            } catch (Exception e) {
                throw new AssertionError(e);
            }
        }

        void stop() throws Exception {
            clock.shutdown();
            assertThat(clock.awaitTermination(10, TimeUnit.SECONDS)).isTrue();
        }
    }

    private static Set<String> titles(Path folder) throws Exception {
        Set<String> all = new TreeSet<>();
        try (var files = Files.list(folder)) {
            for (Path p : files.filter(
                            f -> f.toString().contains(".tilt") && !f.toString().endsWith(".part"))
                    .toList()) {
                all.add(JobFile.open(p).title());
            }
        }
        return all;
    }

    @Test
    void killLosesOnlyTheLastMoments(@TempDir Path folder) throws Exception {
        Path state = folder.resolve("state");
        Path file = folder.resolve("carrier.tilt");
        JobFile.save(file, DemoJob.GREENHOUSE_TUG.job().withTitle("edit 0"));
        Random random = new Random(6);
        for (int kill = 0; kill < KILLS; kill++) {
            Process victim = new ProcessBuilder(
                            ProcessHandle.current().info().command().orElse("java"),
                            "-XX:TieredStopAtLevel=1",
                            "-cp",
                            System.getProperty("java.class.path"),
                            Victim.class.getName(),
                            state.toString(),
                            file.toString())
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            try (BufferedReader out =
                    new BufferedReader(new InputStreamReader(victim.getInputStream(), StandardCharsets.UTF_8))) {
                int saved = number(JobFile.open(file));
                int editedLongAgo = 0;
                assertThat(out.readLine()).startsWith("edited");
                // What was there when it opened the file is its own to change.
                Other other = new Other(file);
                long until = System.currentTimeMillis() + LATEST + 1000 + random.nextInt(1500);
                int edited = 0;
                while (System.currentTimeMillis() < until) {
                    String[] w = out.readLine().split(" ");
                    if (w[0].equals("saved")) {
                        saved = Integer.parseInt(w[1]);
                    } else {
                        edited = Integer.parseInt(w[1]);
                    }
                    if (Long.parseLong(w[2]) < until - LATEST) {
                        editedLongAgo = edited;
                    }
                }
                // By its handle: the process's own way closes what it said last.
                victim.toHandle().destroyForcibly();
                victim.waitFor();
                // What it said in its last moments counts, too.
                for (String line = out.readLine(); line != null; line = out.readLine()) {
                    String[] w = line.split(" ");
                    if (w.length == 3 && w[0].equals("saved")) {
                        saved = Integer.parseInt(w[1]);
                    }
                }
                other.stop();
                Job there = JobFile.open(file);
                int inFile = number(there);
                if (there.title().startsWith("edit")) {
                    assertThat(inFile)
                            .as("a save that was told of is in the file")
                            .isGreaterThanOrEqualTo(saved);
                }
                assertThat(titles(folder)).as("what somebody else wrote").containsAll(other.written);
                try (Recovery next = new Recovery(state)) {
                    List<Recovery.Left> left = next.left();
                    int kept = left.stream()
                            .mapToInt(l -> l instanceof Recovery.Whole w ? number(w.job()) : 0)
                            .max()
                            .orElse(inFile);
                    assertThat(editedLongAgo).as("some edits are that old").isPositive();
                    assertThat(Math.max(kept, inFile))
                            .as("edits older than two seconds are kept")
                            .isGreaterThanOrEqualTo(editedLongAgo);
                    left.forEach(next::forget);
                }
            } finally {
                victim.destroyForcibly();
            }
        }
        // The next save clears what was left half written.
        JobFile.save(file, JobFile.open(file));
        try (var files = Files.list(folder)) {
            assertThat(files.map(p -> p.getFileName().toString())).allMatch(n -> !n.endsWith(".part"));
        }
    }
}
