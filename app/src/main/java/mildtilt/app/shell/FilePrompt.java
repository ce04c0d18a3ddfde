package mildtilt.app.shell;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import mildtilt.format.JobFile;
import org.jspecify.annotations.Nullable;

/** Asks the user for a file or folder. Behind an interface so that a test can answer for the user. */
public interface FilePrompt {

    Optional<Path> openJob(Window owner);

    Optional<Path> saveJob(Window owner, String suggested);

    Optional<Path> savePdf(Window owner, String suggested);

    Optional<Path> folder(Window owner, String title);

    /** The system's own dialogues. */
    static FilePrompt system() {
        return new FilePrompt() {
            @Override
            public Optional<Path> openJob(Window owner) {
                return path(chooser("Open a job", "Mild Tilt jobs", JobFile.ENDING).showOpenDialog(owner));
            }

            @Override
            public Optional<Path> saveJob(Window owner, String suggested) {
                return save(owner, chooser("Save the job", "Mild Tilt jobs", JobFile.ENDING), suggested, JobFile.ENDING);
            }

            @Override
            public Optional<Path> savePdf(Window owner, String suggested) {
                return save(owner, chooser("Save the job card", "PDF", ".pdf"), suggested, ".pdf");
            }

            @Override
            public Optional<Path> folder(Window owner, String title) {
                DirectoryChooser chooser = new DirectoryChooser();
                chooser.setTitle(title);
                return path(chooser.showDialog(owner));
            }

            private FileChooser chooser(String title, String kind, String ending) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(title);
                chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind, "*" + ending));
                return chooser;
            }

            private Optional<Path> save(Window owner, FileChooser chooser, String suggested, String ending) {
                chooser.setInitialFileName(suggested + ending);
                return path(chooser.showSaveDialog(owner)).map(p ->
                        p.getFileName().toString().contains(".") ? p : p.resolveSibling(p.getFileName() + ending));
            }

            private Optional<Path> path(@Nullable File file) {
                return Optional.ofNullable(file).map(File::toPath);
            }
        };
    }
}
