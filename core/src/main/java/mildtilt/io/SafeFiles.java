package mildtilt.io;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads whole text files, refusing what is no plain file or far too large, and replaces files in one step: the bytes go
 * to a
 * temporary file beside it, are flushed to the disk, and take the file's name.
 */
public final class SafeFiles {

    private static final long LARGEST_BYTES = 80L << 20;
    private static final String PART = ".mild-tilt-";
    private static final String PART_ENDING = ".part";
    private static final Pattern HALF_WRITTEN =
            Pattern.compile("(?:\\.mild-tilt-|\\..*\\.tilt(?:\\.previous)?\\.)(\\d{1,18})(?:-\\d+)?\\.part");
    private static final AtomicInteger PARTS = new AtomicInteger();

    private SafeFiles() {}

    /** Makes something of a file's text. */
    public interface Reader<T> {
        T read(String text) throws JobFileException;
    }

    /** @param what the file should be, in a word or two */
    public static <T> T read(Path file, String what, Reader<T> reader) throws JobFileException {
        try {
            needPlain(file, "a " + what + " file");
            if (Files.size(file) > LARGEST_BYTES) {
                throw new JobFileException("it is far too large for a " + what + " (over 80 MB).");
            }
            return reader.read(Files.readString(file));
        } catch (JobFileException e) {
            throw new JobFileException(name(file) + ": " + e.getMessage());
        } catch (CharacterCodingException e) {
            throw new JobFileException(name(file) + ": The file is damaged or is not a " + what + ": it is not text.");
        } catch (IOException e) {
            throw new JobFileException(file + " can't be read: " + reason(e));
        }
    }

    /** Of a file, or all of a path that has none, such as the root. */
    private static String name(Path file) {
        return String.valueOf(file.getFileName() == null ? file : file.getFileName());
    }

    /**
     * Folders, pipes and devices are refused before they are read: some have no end. What is not there at all is
     * reported by whoever reads it.
     */
    public static void needPlain(Path file, String what) throws JobFileException {
        if (Files.isDirectory(file)) {
            throw new JobFileException("it is a folder, not " + what + ".");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new JobFileException("it is a pipe or a device, not " + what + ".");
        }
    }

    /** The same, naming the file. */
    public static void needPlainNamed(Path file, String what) throws JobFileException {
        try {
            needPlain(file, what);
        } catch (JobFileException e) {
            throw new JobFileException(name(file) + ": " + e.getMessage());
        }
    }

    /** Puts bytes in a file's place in one step, after they have reached the disk. Who may read it stays as it was. */
    public static void replace(Path file, byte[] bytes) throws IOException {
        replace(file, bytes, file, () -> true);
    }

    /**
     * The same, unless the file is no longer what it should be at the last moment.
     *
     * @param like whose permissions a new file gets
     * @return whether it was replaced
     */
    public static boolean replace(Path file, byte[] bytes, Path like, BooleanSupplier stillRight) throws IOException {
        if (Files.isSymbolicLink(file) && !Files.exists(file)) {
            throw new IOException("it is a link to " + Files.readSymbolicLink(file) + ", which is not there");
        }
        // A job reached through a link stays where the link points.
        Path target = Files.exists(file) ? file.toRealPath() : file.toAbsolutePath();
        Path folder = Objects.requireNonNull(target.getParent(), "a file lies in a folder");
        Optional<Set<PosixFilePermission>> permissions = permissions(Files.exists(target) ? target : like);
        clearParts(folder);
        Path part = folder.resolve(PART + ProcessHandle.current().pid() + "-" + PARTS.incrementAndGet() + PART_ENDING);
        try {
            try (FileChannel channel = FileChannel.open(
                    part, StandardOpenOption.WRITE, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING)) {
                // Before there is anything in it to be read.
                if (permissions.isPresent()) {
                    Files.setPosixFilePermissions(part, permissions.get());
                }
                ByteBuffer left = ByteBuffer.wrap(bytes);
                while (left.hasRemaining()) {
                    channel.write(left);
                }
                channel.force(true);
            }
            if (!stillRight.getAsBoolean()) {
                return false;
            }
            Files.move(part, target, StandardCopyOption.ATOMIC_MOVE);
            flushFolder(folder);
            return true;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static Optional<Set<PosixFilePermission>> permissions(Path file) throws IOException {
        PosixFileAttributeView posix =
                Files.exists(file) ? Files.getFileAttributeView(file, PosixFileAttributeView.class) : null;
        return posix == null
                ? Optional.empty()
                : Optional.of(posix.readAttributes().permissions());
    }

    /** Takes away what programs that were killed in the middle of a save left half written. */
    private static void clearParts(Path folder) {
        try (DirectoryStream<Path> parts = Files.newDirectoryStream(folder, ".*" + PART_ENDING)) {
            for (Path p : parts) {
                // Up to version 0.1 the name of the file stood first.
                Matcher m = HALF_WRITTEN.matcher(p.getFileName().toString());
                if (m.matches() && (ProcessHandle.of(Long.parseLong(m.group(1))).isEmpty() || isOld(p))) {
                    Files.deleteIfExists(p);
                }
            }
        } catch (IOException e) {
            // They take up room and nothing else.
        }
    }

    /** A number of a process is given again after a while; no save takes so long. */
    private static boolean isOld(Path part) throws IOException {
        return Files.getLastModifiedTime(part)
                .toInstant()
                .isBefore(Instant.now().minus(1, ChronoUnit.DAYS));
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
            case FileSystemException f
            when f.getReason() != null ->
                f.getReason().substring(0, 1).toLowerCase(Locale.ROOT)
                        + f.getReason().substring(1) + ".";
            default -> String.valueOf(e.getMessage()) + ".";
        };
    }
}
