package mildtilt.app.cli;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine.IVersionProvider;

/** The program's version, as the build says it. */
final class Version implements IVersionProvider {

    @Override
    public String[] getVersion() {
        try (InputStream in = Version.class.getResourceAsStream("/mildtilt/app/version.txt")) {
            return new String[] {"Mild Tilt " + new String(in.readAllBytes(), StandardCharsets.UTF_8).strip()};
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
