package mildtilt.trials.instruments;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mildtilt.trials.Setup;

/**
 * Instruments that write their readings to the end of a text file, a line each; the last whole line of a kind is its
 * reading.
 */
public final class FileInstruments implements Instruments {

    /** So much of the file's end is looked at. */
    private static final int TAIL = 64 << 10;

    private final Path file;

    /** @throws InstrumentException if there is no such file */
    public FileInstruments(Path file) throws InstrumentException {
        this.file = file;
        if (!Files.isRegularFile(file)) {
            throw new InstrumentException("There is no file " + file.getFileName()
                    + " that an instrument could write to. Choose the file it writes.");
        }
    }

    @Override
    public InstrumentReading read(InstrumentKind kind) throws InstrumentException {
        String end;
        try (RandomAccessFile f = new RandomAccessFile(file.toFile(), "r")) {
            long from = Math.max(0, f.length() - TAIL);
            byte[] bytes = new byte[(int) (f.length() - from)];
            f.seek(from);
            f.readFully(bytes);
            end = new String(bytes, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new InstrumentException(
                    file.getFileName() + " can't be read: " + e.getMessage() + ". Type what the instrument shows.");
        }
        // A line that is still being written is left for the next time.
        String whole = end.substring(0, end.lastIndexOf('\n') + 1);
        Optional<InstrumentReading> last = whole.lines()
                .map(InstrumentReading::parse)
                .flatMap(Optional::stream)
                .filter(t -> t.kind() == kind)
                .reduce((_, b) -> b);
        return last.orElseThrow(() -> new InstrumentException(file.getFileName() + " holds no reading of the "
                + kind.label() + " yet: it would be a line like \"value " + kind.key() + " " + kind.unit() + " "
                + LineText.number(kind.spread()) + " free" + " 0".repeat(kind.figures()) + "\"."));
    }

    /** The button is on the instrument. */
    @Override
    public void hold(InstrumentKind kind, boolean held) {}

    @Override
    public boolean put(InstrumentKind kind, InstrumentPlacement mark) {
        return false;
    }

    @Override
    public boolean stand(Setup setup, boolean rodOn) {
        return false;
    }

    @Override
    public void close() {}
}
