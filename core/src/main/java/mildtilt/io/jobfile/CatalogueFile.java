package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import mildtilt.catalogue.Catalogue;
import mildtilt.io.JobFileException;
import mildtilt.io.JsonText;
import mildtilt.io.JsonTree;
import mildtilt.io.SafeFiles;
import mildtilt.parts.CatalogueParts;

/**
 * The catalogue of generic parts: one ships, a user's own copy takes its place. Its parts are written as in a job,
 * without their places.
 */
public final class CatalogueFile {

    /** Name of the user's own in the folder the program keeps its state in. */
    public static final String NAME = "catalogue.json";

    private static final String FORMAT = "mild-tilt-catalogue";

    private CatalogueFile() {}

    private static final class Held {
        static final Catalogue SHIPPED = load();

        private static Catalogue load() {
            try {
                return FormReader.read(CatalogueParts.FILE, JsonText.parse(shippedText()), "catalogue");
            } catch (JobFileException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    public static Catalogue shipped() {
        return Held.SHIPPED;
    }

    /** As it ships, for those who copy it. */
    public static String shippedText() {
        try (InputStream in = CatalogueFile.class.getResourceAsStream("/mildtilt/catalogue/" + NAME)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws JobFileException if the file is not a catalogue, saying what is wrong and where */
    public static Catalogue open(Path file) throws JobFileException {
        return SafeFiles.read(file, "catalogue", CatalogueFile::read);
    }

    /** A catalogue as text that {@link #read} takes. */
    public static String write(Catalogue catalogue) {
        return JsonTree.print(FormWriter.write(CatalogueParts.FILE, catalogue));
    }

    public static Catalogue read(String text) throws JobFileException {
        JsonNode root = JsonText.parse(text);
        if (!root.isObject() || !FORMAT.equals(root.path("format").asText())) {
            throw new JobFileException(
                    "This is not a Mild Tilt catalogue: one begins with \"format\": \"" + FORMAT + "\".");
        }
        return FormReader.read(CatalogueParts.FILE, root, "catalogue");
    }
}
