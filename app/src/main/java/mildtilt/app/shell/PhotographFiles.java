package mildtilt.app.shell;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.stage.Window;
import mildtilt.app.shell.Documents.Put;
import mildtilt.app.shell.FilePrompt.Kind;
import mildtilt.app.survey.PhotographsPane;
import mildtilt.app.workbench.Workbench;
import mildtilt.build.Workshop.Paper;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.pdf.TargetSheetPdf;
import mildtilt.io.picture.FoundPhotograph;
import mildtilt.survey.Survey;

/** Asks for photographs, reads them in the background, and puts them into the survey; writes the printed sheet. */
final class PhotographFiles implements PhotographsPane.Files {

    private final Window owner;
    private final Workbench bench;
    private final FilePrompt prompt;
    private final Consumer<Put> put;
    private final BiConsumer<String, String> tell;

    /** @param tell shows a heading and what is wrong */
    PhotographFiles(
            Window owner, Workbench bench, FilePrompt prompt, Consumer<Put> put, BiConsumer<String, String> tell) {
        this.owner = owner;
        this.bench = bench;
        this.prompt = prompt;
        this.put = put;
        this.tell = tell;
    }

    @Override
    public void sheet() {
        Paper paper = bench.job().making().workshop().paper();
        prompt.save(owner, "Save the sheet for photographs", Kind.CARD, "sheet-for-photographs")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, TargetSheetPdf.write(paper));
                    return "The sheet is in " + p.getFileName() + ". Print it at 100 %.";
                }));
    }

    /** @param beside how its copy is named from the job's folder */
    private record Taken(FoundPhotograph found, String beside) {}

    @Override
    public void add() {
        Optional<Path> job = bench.fileProperty().get();
        if (job.isEmpty()) {
            bench.refuse("Save the job first: photographs are copied beside it.");
            return;
        }
        List<Path> files = prompt.openAll(owner, "Add photographs", Kind.PHOTO);
        if (files.isEmpty()) {
            return;
        }
        bench.say("Looking for marks in " + files.size() + (files.size() == 1 ? " photograph …" : " photographs …"));
        List<String> refused = new ArrayList<>();
        CompletableFuture.supplyAsync(() -> {
                    List<Taken> all = new ArrayList<>();
                    for (Path f : files) {
                        try {
                            FoundPhotograph found = FoundPhotograph.in(f);
                            all.add(new Taken(found, PhotoFile.copyBeside(job.get(), f)));
                        } catch (JobFileException e) {
                            refused.add(e.getMessage());
                        }
                    }
                    return all;
                })
                .whenComplete((all, problem) -> Platform.runLater(() -> {
                    bench.say("");
                    if (problem != null) {
                        refused.add("Mild Tilt itself has a fault here.");
                    } else {
                        take(all, refused);
                    }
                    if (!refused.isEmpty()) {
                        tell.accept("Not every photograph was added.", String.join("\n", refused));
                    }
                }));
    }

    private void take(List<Taken> all, List<String> refused) {
        Survey survey = bench.job().survey();
        int marks = 0;
        for (Taken t : all) {
            try {
                survey = t.found.into(survey, t.beside);
                marks += t.found.marks().size();
            } catch (ImpossibleGeometryException e) {
                refused.add(t.found.photograph().name() + ": " + e.getMessage());
            }
        }
        Survey now = survey;
        if (!all.isEmpty()) {
            int found = marks;
            if (bench.edit("Add photographs", j -> j.withSurvey(now))) {
                bench.say(
                        found + " marks found in " + all.size() + (all.size() == 1 ? " photograph." : " photographs."));
            }
        }
    }
}
