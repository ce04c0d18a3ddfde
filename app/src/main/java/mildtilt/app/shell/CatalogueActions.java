package mildtilt.app.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.function.BiConsumer;
import java.util.function.UnaryOperator;
import javafx.stage.Window;
import mildtilt.app.shell.FilePrompt.Kind;
import mildtilt.app.workbench.Workbench;
import mildtilt.catalogue.Catalogue;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.CatalogueFile;

/** Where parts come from: the user's own, and after them those of a catalogue. */
public final class CatalogueActions {

    private final Workbench bench;
    private final OwnCatalogue own;
    private final FilePrompt prompt;
    private final BiConsumer<Window, Documents.Put> put;

    /** @param put writes a file and says so */
    CatalogueActions(Workbench bench, OwnCatalogue own, FilePrompt prompt, BiConsumer<Window, Documents.Put> put) {
        this.bench = bench;
        this.own = own;
        this.prompt = prompt;
        this.put = put;
    }

    /** Takes up the user's own parts and catalogue, if there are any. */
    public void load(Window owner) {
        bench.keepPartsBy(edit -> keepParts(owner, edit));
        try {
            bench.ownPartsProperty().set(own.ownParts());
        } catch (JobFileException e) {
            Documents.tell(owner, "Your own parts can't be used. Their file stays as it is.", e.getMessage());
        }
        try {
            use(own.load());
        } catch (JobFileException e) {
            Documents.tell(
                    owner, "Your own catalogue can't be used. The built-in one is used instead.", e.getMessage());
            use(CatalogueFile.shipped());
        }
    }

    private void use(Catalogue catalogue) {
        bench.catalogueProperty().set(bench.ownPartsProperty().get().and(catalogue));
    }

    /** Edits what is in the file now: another window of the program may have kept a part meanwhile. */
    private boolean keepParts(Window owner, UnaryOperator<Catalogue> edit) {
        try {
            Catalogue mine = edit.apply(own.ownParts());
            own.keepParts(mine);
            bench.ownPartsProperty().set(mine);
            use(own.load());
            return true;
        } catch (JobFileException e) {
            Documents.tell(owner, "Your own parts stay as they are.", e.getMessage());
        } catch (IOException e) {
            Documents.tell(owner, "Your own parts stay as they are.", SafeFiles.reason(e));
        }
        return false;
    }

    public void saveCopy(Window owner) {
        prompt.save(owner, "Save a copy of the catalogue to edit", Kind.CATALOGUE, "catalogue")
                .ifPresent(p -> put.accept(owner, () -> {
                    SafeFiles.replace(p, own.text().getBytes(StandardCharsets.UTF_8));
                    return "The catalogue is in " + p.getFileName() + ". Edit it, then choose Job, Use a catalogue.";
                }));
    }

    public void open(Window owner) {
        prompt.open(owner, "Use a catalogue", Kind.CATALOGUE).ifPresent(p -> {
            try {
                use(own.adopt(p));
                bench.say("Parts now come from " + p.getFileName() + ".");
            } catch (JobFileException e) {
                Documents.tell(owner, "That catalogue was not opened. The one in use stays.", e.getMessage());
            } catch (IOException e) {
                Documents.tell(owner, "That catalogue could not be kept.", SafeFiles.reason(e));
            }
        });
    }

    public void useBuiltIn(Window owner) {
        try {
            use(own.drop());
            bench.say("Parts come from the built-in catalogue.");
        } catch (IOException e) {
            Documents.tell(owner, "Your own catalogue could not be removed.", SafeFiles.reason(e));
        }
    }
}
