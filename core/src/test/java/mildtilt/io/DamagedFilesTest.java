package mildtilt.io;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import mildtilt.io.csv.PointsCsv;
import mildtilt.io.csv.PositionsCsv;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.Job;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Disks that are full, files that are none, folders that can't be written. */
class DamagedFilesTest {

    @TempDir
    private Path folder = Path.of("");

    /** Saves over a job in a process that may write no more than a few kilobytes to any file. */
    static final class Cramped {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[0]);
            Job job = JobFile.open(file).withTitle("changed");
            try {
                JobFile.save(file, job);
                System.out.println("saved");
            } catch (JobFileException e) {
                System.out.println(e.getMessage());
            }
        }
    }

    @Test
    void fullDiskLosesNothing() throws Exception {
        assumeThat(Path.of("/bin/bash")).isExecutable();
        Path file = folder.resolve("carrier.tilt");
        JobFile.save(file, DemoJob.MARSH_CARRIER.job());
        byte[] before = Files.readAllBytes(file);
        Process p = new ProcessBuilder(
                        "/bin/bash",
                        "-c",
                        "ulimit -f 16; exec \"$0\" -XX:-UsePerfData -XX:TieredStopAtLevel=1 -cp \"$1\" \"$2\" \"$3\"",
                        ProcessHandle.current().info().command().orElse("java"),
                        System.getProperty("java.class.path"),
                        Cramped.class.getName(),
                        file.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(said)
                .contains("carrier.tilt can't be saved")
                .contains("too large")
                .contains("still open and unsaved");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        try (var left = Files.list(folder)) {
            assertThat(left).as("nothing half written").containsExactly(file);
        }
    }

    @Test
    void endlessFilesAreRefused() throws Exception {
        List<Path> endless = List.of(Path.of("/dev/zero"), Path.of("/dev/random"));
        for (Path p : endless) {
            assumeThat(p).exists();
            assertThatThrownBy(() -> JobFile.open(p))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining("a pipe or a device, not a job file");
            assertThatThrownBy(() -> PointsCsv.read(p))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining("not a list of points");
            assertThatThrownBy(() -> ScanFile.read(p))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining("not a scan");
            assertThatThrownBy(() -> PositionsCsv.read(p))
                    .isInstanceOf(JobFileException.class)
                    .hasMessageContaining("not a list of positions");
            assertThat(FileStamp.of(p)).isEmpty();
        }
        assertThatThrownBy(() -> PositionsCsv.read(folder))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("a folder");
    }

    @Test
    void unwritableFoldersAreReported() throws Exception {
        Job job = DemoJob.GREENHOUSE_TUG.job();
        Path inAFile = Files.writeString(folder.resolve("file"), "no folder").resolve("x.tilt");
        assertThatThrownBy(() -> JobFile.save(inAFile, job))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("can't be saved")
                .hasMessageContaining("save it somewhere else");
        assumeThat(Path.of("/proc/version")).exists();
        assertThatThrownBy(() -> JobFile.save(Path.of("/proc/x.tilt"), job))
                .isInstanceOf(JobFileException.class)
                .hasMessageContaining("can't be saved");
    }
}
