package mildtilt.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.RulesFile;
import org.jspecify.annotations.Nullable;

/** Asks the user for a file or folder. Behind an interface so that a test can answer for the user. */
public interface FilePrompt {

    /** A kind of file, as the user sees it and as it ends. */
    enum Kind {
        JOB("Mild Tilt jobs", JobFile.ENDING),
        CARD("PDF", ".pdf"),
        RULES("Mild Tilt rule sets", RulesFile.ENDING),
        CATALOGUE("Mild Tilt catalogues", ".json"),
        POINTS("CSV", ".csv"),
        PICTURE("PNG", ".png"),
        MODEL("3-D models: GLB, OBJ or STL", ".glb", ".obj", ".stl"),
        MOVING_MODEL("GLB", ".glb"),
        PHOTO("Photos", ".jpg", ".jpeg", ".png"),
        READINGS("Readings", ".txt", ".log", ".csv"),
        SCAN("Scans: STL, OBJ, PLY or GLB", ".stl", ".obj", ".ply", ".glb", ".gltf");

        private final String label;
        private final String ending;
        private final List<String> patterns;

        Kind(String label, String... endings) {
            this.label = label;
            ending = endings[0];
            patterns = Arrays.stream(endings)
                    .flatMap(e -> Stream.of("*" + e, "*" + e.toUpperCase(Locale.ROOT)))
                    .toList();
        }
    }

    Optional<Path> open(Window owner, String title, Kind kind);

    /** Several at once. */
    default List<Path> openAll(Window owner, String title, Kind kind) {
        return open(owner, title, kind).stream().toList();
    }

    /** @param suggested name without ending */
    Optional<Path> save(Window owner, String title, Kind kind, String suggested);

    Optional<Path> folder(Window owner, String title);

    /** The system's own dialogues. */
    static FilePrompt system() {
        return new FilePrompt() {
            @Override
            public Optional<Path> open(Window owner, String title, Kind kind) {
                return path(chooser(title, kind).showOpenDialog(owner));
            }

            @Override
            public List<Path> openAll(Window owner, String title, Kind kind) {
                List<File> files = chooser(title, kind).showOpenMultipleDialog(owner);
                return files == null
                        ? List.of()
                        : files.stream().map(File::toPath).toList();
            }

            @Override
            public Optional<Path> save(Window owner, String title, Kind kind, String suggested) {
                FileChooser chooser = chooser(title, kind);
                chooser.setInitialFileName(suggested + kind.ending);
                return path(chooser.showSaveDialog(owner))
                        .map(p -> p.getFileName().toString().contains(".")
                                ? p
                                : p.resolveSibling(p.getFileName() + kind.ending));
            }

            @Override
            public Optional<Path> folder(Window owner, String title) {
                DirectoryChooser chooser = new DirectoryChooser();
                chooser.setTitle(title);
                return path(chooser.showDialog(owner));
            }

            private FileChooser chooser(String title, Kind kind) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(title);
                chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind.label, kind.patterns));
                return chooser;
            }

            private Optional<Path> path(@Nullable File file) {
                return Optional.ofNullable(file).map(File::toPath);
            }
        };
    }
}
