package mildtilt.app.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import mildtilt.catalogue.Catalogue;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.CatalogueFile;

/**
 * The catalogue in use, kept in the program's folder: the user's own parts, and after them those of a catalogue of the
 * user's choice, or the shipped one.
 */
public final class OwnCatalogue {

    private static final String PARTS = "my-parts.json";

    private final Path folder;
    private final Path file;
    private final Path parts;

    public OwnCatalogue(Path folder) {
        this.folder = folder;
        file = folder.resolve(CatalogueFile.NAME);
        parts = folder.resolve(PARTS);
    }

    /** Where the program keeps what is this user's. */
    Path folder() {
        return folder;
    }

    /** In the user's home, or where the property {@code mildtilt.state} says. */
    public static Path usualFolder() {
        String set = System.getProperty("mildtilt.state");
        return set != null ? Path.of(set) : Path.of(System.getProperty("user.home"), ".mild-tilt");
    }

    /** @throws JobFileException if there is one that can't be used, saying why; the shipped one holds then */
    public Catalogue load() throws JobFileException {
        return Files.exists(file) ? CatalogueFile.open(file) : CatalogueFile.shipped();
    }

    /** Where the user's own parts are kept. */
    public Path partsFile() {
        return parts;
    }

    /** The user's own parts. @throws JobFileException if there are some that can't be used, saying why */
    public Catalogue ownParts() throws JobFileException {
        return Files.exists(parts) ? CatalogueFile.open(parts) : Catalogue.NONE;
    }

    /** Keeps these as the user's own parts from now on. */
    public void keepParts(Catalogue mine) throws IOException {
        Files.createDirectories(folder);
        SafeFiles.replace(parts, CatalogueFile.write(mine).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Takes another file as the user's own from now on.
     *
     * @throws JobFileException if it is not a catalogue; the present one stays
     */
    public Catalogue adopt(Path from) throws JobFileException, IOException {
        Catalogue taken = CatalogueFile.open(from);
        Files.createDirectories(file.getParent());
        if (!Files.exists(file) || !Files.isSameFile(from, file)) {
            SafeFiles.replace(file, Files.readAllBytes(from));
        }
        return taken;
    }

    /** Goes back to the shipped one. */
    public Catalogue drop() throws IOException {
        Files.deleteIfExists(file);
        return CatalogueFile.shipped();
    }

    /** The catalogue in use as text, to be copied and edited. */
    public String text() throws IOException {
        return Files.exists(file) ? Files.readString(file, StandardCharsets.UTF_8) : CatalogueFile.shippedText();
    }
}
