package mildtilt.app.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import mildtilt.io.FileStamp;

/**
 * The note beside a kept copy: which file its job was opened from, and what that file held then. Three lines: the size
 * and the checksum of what it
 * held, each "-" if not known, then the path. Notes of up to version 0.1 are the path alone.
 */
record OriginNote(Optional<Path> from, Optional<FileStamp> stamp) {

    private static final OriginNote NONE = new OriginNote(Optional.empty(), Optional.empty());

    static byte[] write(Optional<Path> from, Optional<FileStamp> stamp) {
        String path = from.map(p -> p.toAbsolutePath().toString()).orElse("");
        return (stamp.map(s -> s.size() + "\n" + s.checksum()).orElse("-\n-") + "\n" + path)
                .getBytes(StandardCharsets.UTF_8);
    }

    /** A note that is lost or damaged costs where the job came from, not the job. */
    static OriginNote read(Path file) {
        try {
            String text = Files.readString(file);
            List<String> parts = List.of(text.split("\n", 3));
            if (parts.size() < 3) {
                return text.isBlank() ? NONE : new OriginNote(Optional.of(Path.of(text)), Optional.empty());
            }
            Optional<Path> from = parts.get(2).isBlank() ? Optional.empty() : Optional.of(Path.of(parts.get(2)));
            return new OriginNote(
                    from,
                    parts.get(0).equals("-")
                            ? Optional.empty()
                            : Optional.of(new FileStamp(Long.parseLong(parts.get(0)), Long.parseLong(parts.get(1)))));
        } catch (IOException | InvalidPathException | NumberFormatException e) {
            return NONE;
        }
    }
}
