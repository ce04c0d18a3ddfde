package mildtilt.format;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import mildtilt.job.Job;

/**
 * Job files on disk. Saving never leaves a half-written job: the text goes to a temporary file beside it,
 * is flushed to the disk, and takes the job's name in one step; the copy it replaces is kept.
 */
public final class JobFile {

    /** Ending of a job file's name. */
    public static final String ENDING = ".tilt";

    private static final long LARGEST_BYTES = 80L << 20;

    private JobFile() {}

    /** @throws JobFileException if the file can't be read or holds no job; the message names the file */
    public static Job open(Path file) throws JobFileException {
        return open(file, "job", JobReader::read);
    }

    /** Makes something of a file's text. */
    interface Reader<T> {
        T read(String text) throws JobFileException;
    }

    /** @param what the file should be, in a word or two */
    static <T> T open(Path file, String what, Reader<T> reader) throws JobFileException {
        try {
            needPlain(file, "a " + what + " file");
            if (Files.size(file) > LARGEST_BYTES) {
                throw new JobFileException("it is far too large for a " + what + " (over 80 MB).");
            }
            return reader.read(Files.readString(file));
        } catch (JobFileException e) {
            throw new JobFileException(file.getFileName() + ": " + e.getMessage());
        } catch (CharacterCodingException e) {
            throw new JobFileException(file.getFileName() + ": The file is damaged or is not a " + what + ": it is not text.");
        } catch (IOException e) {
            throw new JobFileException(file + " can't be read: " + reason(e));
        }
    }

    /** Folders, pipes and devices are turned down before they are read: some have no end. What is not there at all is told by whoever reads it. */
    static void needPlain(Path file, String what) throws JobFileException {
        if (Files.isDirectory(file)) {
            throw new JobFileException("it is a folder, not " + what + ".");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new JobFileException("it is a pipe or a device, not " + what + ".");
        }
    }

    /** The same, naming the file. */
    static void needPlainNamed(Path file, String what) throws JobFileException {
        try {
            needPlain(file, what);
        } catch (JobFileException e) {
            throw new JobFileException(file.getFileName() + ": " + e.getMessage());
        }
    }

    /** Where the copy that the last save replaced is kept. */
    public static Path previous(Path file) {
        return file.resolveSibling(file.getFileName() + ".previous");
    }

    /** @throws JobFileException if it can't be written; what was in the file before is still there */
    public static void save(Path file, Job job) throws JobFileException {
        try {
            if (Files.isRegularFile(file)) {
                replace(previous(file), Files.readAllBytes(file));
            }
            replace(file, JobWriter.write(job).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new JobFileException(file + " can't be saved: " + reason(e)
                    + " The job is still open and unsaved; save it somewhere else.");
        }
    }

    /** Puts bytes in a file's place in one step, after they have reached the disk. */
    public static void replace(Path file, byte[] bytes) throws IOException {
        // A job reached through a link stays where the link points.
        Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
        Path folder = target.getParent();
        Path part = folder.resolve(partName(target, Long.toString(ProcessHandle.current().pid())));
        clearParts(folder, target);
        try {
            try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE,
                    StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING)) {
                ByteBuffer left = ByteBuffer.wrap(bytes);
                while (left.hasRemaining()) {
                    channel.write(left);
                }
                channel.force(true);
            }
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
            flushFolder(folder);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static String partName(Path target, String pid) {
        return "." + target.getFileName() + "." + pid + ".part";
    }

    /** Takes away what programs that were killed in the middle of a save left half written. */
    private static void clearParts(Path folder, Path target) {
        String begins = partName(target, "").replace("..part", ".");
        try (DirectoryStream<Path> parts = Files.newDirectoryStream(folder, f -> f.getFileName().toString().startsWith(begins) && f.getFileName().toString().endsWith(".part"))) {
            for (Path p : parts) {
                String pid = p.getFileName().toString().substring(begins.length()).replace(".part", "");
                if (pid.matches("\\d{1,18}") && ProcessHandle.of(Long.parseLong(pid)).isEmpty()) {
                    Files.deleteIfExists(p);
                }
            }
        } catch (IOException e) {
            // They take up room and nothing else.
        }
    }

    /** Makes the rename itself lasting. Windows can't open a folder so, and needs no such step. */
    private static void flushFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // The file itself is already whole and in place.
        }
    }

    /** In words, as a sentence. */
    public static String reason(IOException e) {
        return switch (e) {
            case NoSuchFileException _ -> "there is no such file or folder.";
            case AccessDeniedException _ -> "it is not permitted there.";
            default -> String.valueOf(e.getMessage()) + ".";
        };
    }
}
