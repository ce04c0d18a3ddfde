package mildtilt.app.shell;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Stream;
import mildtilt.io.FileStamp;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps a copy of unsaved work where a killed program leaves it behind, and finds what others left. Each
 * running program holds a lock beside its copy; a copy without a held lock was left by one that died.
 */
public final class Recovery implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(Recovery.class);
    private static final Duration DELAY = Duration.ofMillis(400);

    private final Path folder;
    private final Path copy;
    private final Path origin;
    private final FileChannel lockChannel;
    private final FileLock lock;
    private final ScheduledExecutorService writer = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "recovery");
        t.setDaemon(true);
        return t;
    });
    private @Nullable ScheduledFuture<?> pending;
    private @Nullable Unsaved newest;
    private Consumer<String> trouble = _ -> {};
    private boolean troubled;

    private record Unsaved(Job job, Optional<Path> from, Optional<FileStamp> stamp) {}

    /** What a program that died left behind. */
    public sealed interface Left {
        Path copy();
    }

    /**
     * Unsaved work that can be taken up.
     *
     * @param from where the job was last saved, if it was
     * @param stamp what that file held then; empty if that is not known
     */
    public record Whole(Job job, Optional<Path> from, Optional<FileStamp> stamp, Path copy) implements Left {}

    /** Unsaved work that can't be read. */
    public record Damaged(String why, Path copy) implements Left {}

    public Recovery(Path folder) throws IOException {
        this.folder = Files.createDirectories(folder);
        keepFromOthers(folder);
        String id = UUID.randomUUID().toString();
        copy = folder.resolve(id + JobFile.ENDING);
        origin = folder.resolve(id + ".origin");
        lockChannel =
                FileChannel.open(folder.resolve(id + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        lock = lockChannel.lock();
    }

    /** A job that only its owner may read must not lie open here. */
    private static void keepFromOthers(Path folder) throws IOException {
        PosixFileAttributeView posix = Files.getFileAttributeView(folder, PosixFileAttributeView.class);
        if (posix != null) {
            posix.setPermissions(PosixFilePermissions.fromString("rwx------"));
        }
    }

    /** Where this user's copies are kept. */
    public static Path usualFolder() {
        String set = System.getProperty("mildtilt.state");
        return set != null ? Path.of(set) : Path.of(System.getProperty("user.home"), ".mild-tilt", "unsaved");
    }

    /** Called on the writer's thread when unsaved work can't be kept; again only after it could be. */
    public synchronized void onTrouble(Consumer<String> description) {
        trouble = description;
    }

    /** Notes the job's present state, not saved yet; written within half a second, off the interface thread. */
    public synchronized void changed(Job job, Optional<Path> from, Optional<FileStamp> stamp) {
        newest = new Unsaved(job, from, stamp);
        // One that waits is not put off by the next change: a drag changes the job for as long as it lasts.
        if (pending == null || pending.isDone()) {
            pending = writer.schedule(this::writeNewest, DELAY.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    private void writeNewest() {
        Unsaved now;
        synchronized (this) {
            now = newest;
            pending = null;
        }
        if (now != null) {
            write(now);
        }
    }

    /**
     * The same at once, for work that was just taken over from a dead program's copy.
     *
     * @return whether it is kept: else what was left must stay where it is
     */
    public boolean keepNow(Whole left) {
        try {
            // After whatever the writer still has to do, such as taking away the copy of the job before.
            return writer.submit(() -> write(new Unsaved(left.job, left.from, left.stamp)))
                    .get();
        } catch (ExecutionException | RejectedExecutionException e) {
            LOG.warn("recovered work could not be kept: {}", e.toString());
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** @return whether it is kept */
    private boolean write(Unsaved now) {
        // Packing a large scan takes a second or two; do it outside this lock.
        byte[] bytes = JobWriter.write(now.job).getBytes(StandardCharsets.UTF_8);
        synchronized (this) {
            try {
                SafeFiles.replace(origin, OriginNote.write(now.from, now.stamp));
                SafeFiles.replace(copy, bytes);
                troubled = false;
                return true;
            } catch (IOException e) {
                LOG.warn("unsaved work could not be kept: {}", e.toString());
                if (!troubled) {
                    trouble.accept("What is not saved can't be kept safe in " + folder + ": " + SafeFiles.reason(e)
                            + " Save the job, or make room there.");
                }
                troubled = true;
                return false;
            }
        }
    }

    /** Notes that all is saved: there is nothing to recover. */
    public synchronized void allSaved() {
        newest = null;
        if (pending != null) {
            pending.cancel(false);
            pending = null;
        }
        writer.execute(this::deleteCopy);
    }

    private void deleteCopy() {
        try {
            Files.deleteIfExists(copy);
            Files.deleteIfExists(origin);
        } catch (IOException e) {
            LOG.warn("a kept copy could not be removed: {}", e.toString());
        }
    }

    /** The unsaved work that programs now dead left behind, newest first. */
    public List<Left> left() {
        List<Left> all = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path lockFile :
                    files.filter(p -> p.toString().endsWith(".lock")).toList()) {
                String id = lockFile.getFileName().toString().replace(".lock", "");
                if (!lockFile.equals(
                                folder.resolve(copy.getFileName().toString().replace(JobFile.ENDING, ".lock")))
                        && abandoned(lockFile)) {
                    collect(id, lockFile).ifPresent(all::add);
                }
            }
        } catch (IOException e) {
            LOG.warn("unsaved work could not be looked for: {}", e.toString());
        }
        all.sort((a, b) ->
                Long.compare(b.copy().toFile().lastModified(), a.copy().toFile().lastModified()));
        return all;
    }

    private static boolean abandoned(Path lockFile) {
        try (FileChannel channel = FileChannel.open(lockFile, StandardOpenOption.WRITE);
                FileLock free = channel.tryLock()) {
            return free != null;
        } catch (IOException | OverlappingFileLockException e) {
            return false;
        }
    }

    private Optional<Left> collect(String id, Path lockFile) throws IOException {
        Path itsCopy = folder.resolve(id + JobFile.ENDING);
        if (!Files.exists(itsCopy)) {
            Files.deleteIfExists(lockFile);
            return Optional.empty();
        }
        try {
            Job job = JobReader.read(Files.readString(itsCopy));
            OriginNote note = OriginNote.read(folder.resolve(id + ".origin"));
            return Optional.of(new Whole(job, note.from(), note.stamp(), itsCopy));
        } catch (JobFileException e) {
            return Optional.of(new Damaged(e.getMessage(), itsCopy));
        } catch (CharacterCodingException e) {
            return Optional.of(new Damaged("It is not text.", itsCopy));
        }
    }

    /** Forgets what was left, after it was taken over or turned down. */
    public void forget(Left left) {
        String id = left.copy().getFileName().toString().replace(JobFile.ENDING, "");
        for (String ending : new String[] {JobFile.ENDING, ".origin", ".lock"}) {
            try {
                Files.deleteIfExists(folder.resolve(id + ending));
            } catch (IOException e) {
                LOG.warn("a kept copy could not be removed: {}", e.toString());
            }
        }
    }

    /** Ends in good order: nothing is left behind. */
    @Override
    public void close() {
        writer.shutdownNow();
        try {
            if (!writer.awaitTermination(2, TimeUnit.SECONDS)) {
                LOG.warn("a copy was still being written at the end");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        deleteCopy();
        try {
            lock.close();
            lockChannel.close();
            Files.deleteIfExists(folder.resolve(copy.getFileName().toString().replace(JobFile.ENDING, ".lock")));
        } catch (IOException e) {
            LOG.warn("the lock could not be removed: {}", e.toString());
        }
    }
}
