package mildtilt.format;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import mildtilt.job.Job;

/** The demo vehicles that ship with the program. All of them are invented. */
public final class DemoJob {

    private DemoJob() {}

    /** A rescue carrier for tidal marshes, with faults planted in its steering. */
    public static Job marshCarrier() {
        return load("marsh-carrier");
    }

    private static Job load(String name) {
        try (InputStream in = DemoJob.class.getResourceAsStream("/mildtilt/demo/" + name + JobFile.ENDING)) {
            return JobReader.readShipped(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (JobFileException e) {
            throw new IllegalStateException("the demo " + name + " is damaged", e);
        }
    }
}
