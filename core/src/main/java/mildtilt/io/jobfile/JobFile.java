package mildtilt.io.jobfile;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Optional;
import mildtilt.io.FileStamp;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.job.Job;

/**
 * Job files on disk. Saving never leaves a half-written job: the text goes to a temporary file beside it,
 * is flushed to the disk, and takes the job's name in one step; the copy it replaces is kept.
 */
public final class JobFile {

    /** Ending of a job file's name. */
    public static final String ENDING = ".tilt";

    private static final int LONGEST_NAME = 250;
    private static final int MOST_TRIES = 20;

    private JobFile() {}

    /** @throws JobFileException if the file can't be read or holds no job; the message names the file */
    public static Job open(Path file) throws JobFileException {
        try {
            return SafeFiles.read(file, "job", JobReader::read);
        } catch (JobFileException e) {
            throw Files.isRegularFile(previous(file))
                    ? new JobFileException(e.getMessage() + " The copy that the last save replaced is beside it: "
                            + previous(file).getFileName() + ".")
                    : e;
        }
    }

    /** Where the copy that the last save replaced is kept. */
    public static Path previous(Path file) {
        return beside(file, ".previous", "");
    }

    /** A name beside a file, made of its own, that no system finds too long. */
    private static Path beside(Path file, String mark, String ending) {
        String name = String.valueOf(file.getFileName());
        String stem =
                !ending.isEmpty() && name.endsWith(ending) ? name.substring(0, name.length() - ending.length()) : name;
        while ((stem + mark + ending).getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME) {
            stem = stem.substring(0, stem.offsetByCodePoints(stem.length(), -1));
        }
        return file.resolveSibling(stem + mark + ending);
    }

    /**
     * The result of saving.
     *
     * @param stamp of what was written; the file may be changed by another program a moment later
     * @param others where another's version is kept, the last if there were several; empty if there was none
     */
    public record Saved(FileStamp stamp, Optional<Path> others) {}

    /** @throws JobFileException if it can't be written; what was in the file before is still there */
    public static void save(Path file, Job job) throws JobFileException {
        save(file, job, FileStamp.of(file));
    }

    /**
     * Saves a job over the file that it was opened from. What another program wrote there in the meantime is kept under
     * a name of its own,
     * which no later save replaces.
     *
     * @param known what the file held when it was last looked at; empty if that is not known
     * @throws JobFileException if it can't be written; what was in the file before is still there
     */
    public static Saved save(Path file, Job job, Optional<FileStamp> known) throws JobFileException {
        try {
            byte[] text = JobWriter.write(job).getBytes(StandardCharsets.UTF_8);
            Optional<Path> others = Optional.empty();
            Optional<FileStamp> expected = known;
            for (int tries = 0; tries < MOST_TRIES; tries++) {
                if (Files.isRegularFile(file)) {
                    byte[] there = Files.readAllBytes(file);
                    FileStamp now = FileStamp.of(there);
                    if (!Optional.of(now).equals(expected)) {
                        Path kept = othersVersion(file);
                        SafeFiles.replace(kept, there, file, () -> true);
                        others = Optional.of(kept);
                        expected = Optional.of(now);
                    }
                    SafeFiles.replace(previous(file), there, file, () -> true);
                }
                Optional<FileStamp> replaced = expected;
                if (SafeFiles.replace(file, text, file, () -> FileStamp.of(file)
                        .map(s -> Optional.of(s).equals(replaced))
                        .orElse(true))) {
                    return new Saved(FileStamp.of(text), others);
                }
            }
            throw new IOException("another program keeps writing to it");
        } catch (IOException e) {
            throw new JobFileException(file + " can't be saved: " + SafeFiles.reason(e)
                    + " The job is still open and unsaved; save it somewhere else.");
        }
    }

    /** Where another's version of a file would be kept: a name that is free. */
    public static Path othersVersion(Path file) {
        Path free = beside(file, ".theirs", ENDING);
        for (int n = 2; Files.exists(free, LinkOption.NOFOLLOW_LINKS); n++) {
            free = beside(file, ".theirs-" + n, ENDING);
        }
        return free;
    }

    /** Whether a file is marked as not to be written, also for those who could all the same. */
    public static boolean writeProtected(Path file) {
        if (!Files.isRegularFile(file)) {
            return false;
        }
        try {
            PosixFileAttributeView posix = Files.getFileAttributeView(file, PosixFileAttributeView.class);
            return !Files.isWritable(file)
                    || posix != null && !posix.readAttributes().permissions().contains(PosixFilePermission.OWNER_WRITE);
        } catch (IOException e) {
            return false;
        }
    }
}
