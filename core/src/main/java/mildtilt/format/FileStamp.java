package mildtilt.format;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.zip.CRC32C;

/** What a file held when it was last looked at: enough to see that someone else has written it since. */
public record FileStamp(long size, long checksum) {

    /** Empty where there is no such file, or it can't be read. */
    public static Optional<FileStamp> of(Path file) {
        try {
            if (!Files.isRegularFile(file)) {
                return Optional.empty();
            }
            byte[] bytes = Files.readAllBytes(file);
            CRC32C sum = new CRC32C();
            sum.update(bytes);
            return Optional.of(new FileStamp(bytes.length, sum.getValue()));
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
