package mildtilt.io;

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
            return Optional.of(of(Files.readAllBytes(file)));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Of a file that holds these bytes. */
    public static FileStamp of(byte[] bytes) {
        CRC32C sum = new CRC32C();
        sum.update(bytes);
        return new FileStamp(bytes.length, sum.getValue());
    }
}
