package mildtilt.app.shell;

import java.io.ByteArrayOutputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.function.Consumer;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.image.Image;
import javafx.stage.Window;
import javax.imageio.ImageIO;
import mildtilt.analysis.Analysis;
import mildtilt.app.make.MakeStagePane;
import mildtilt.app.shell.Documents.Put;
import mildtilt.app.shell.FilePrompt.Kind;
import mildtilt.app.workbench.Workbench;
import mildtilt.catalogue.Catalogue;
import mildtilt.drawing.VehicleModel;
import mildtilt.io.SafeFiles;
import mildtilt.io.cad.ModelFile;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.papers.PapersFiles;
import mildtilt.io.papers.TrialFiles;
import mildtilt.io.pdf.CheckSheetPdf;
import mildtilt.io.pdf.InspectionPdf;
import mildtilt.io.pdf.JobBookPdf;
import mildtilt.io.pdf.JobCardPdf;
import mildtilt.io.pdf.RunSheetPdf;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.report.Papers;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;

/** Asks where to, and writes what goes to the bench, of the job as it stands then. */
public final class PaperSaving implements MakeStagePane.Saving {

    private final Window owner;
    private final Workbench bench;
    private final FilePrompt prompt;
    private final Clock clock;
    private final Consumer<Put> put;

    /** @param put writes on a background thread and reports the result */
    PaperSaving(Window owner, Workbench bench, FilePrompt prompt, Clock clock, Consumer<Put> put) {
        this.owner = owner;
        this.bench = bench;
        this.prompt = prompt;
        this.clock = clock;
        this.put = put;
    }

    /** What is written, made ready on the interface thread: what is changed after is not in it. */
    private record Now(Job job, Catalogue catalogue, LengthUnit unit, String file, LocalDate day) {}

    private Now now() {
        return new Now(
                bench.job(),
                bench.catalogueProperty().get(),
                bench.lengthUnit(),
                bench.fileProperty().get().map(f -> f.getFileName().toString()).orElse("not saved yet"),
                LocalDate.now(clock));
    }

    private static Papers papers(Now now) {
        return Papers.of(Analysis.of(now.job, Grid.USUAL, now.catalogue), now.day);
    }

    private String suggested() {
        return Documents.suggested(bench);
    }

    @Override
    public void jobCard() {
        Now now = now();
        prompt.save(owner, "Save the job card", Kind.CARD, suggested() + "-job-card")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, JobCardPdf.write(papers(now).analysis(), now.unit, now.day, now.file));
                    return "The job card is in " + p.getFileName() + ".";
                }));
    }

    @Override
    public void checkSheets() {
        Now now = now();
        prompt.save(owner, "Save the check sheets", Kind.CARD, suggested() + "-check-sheets")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, CheckSheetPdf.write(papers(now).analysis(), now.unit, now.day, now.file));
                    return "The check sheets are in " + p.getFileName() + ".";
                }));
    }

    @Override
    public void jobBook() {
        Now now = now();
        prompt.save(owner, "Save the job book", Kind.CARD, suggested() + "-job-book")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, JobBookPdf.write(papers(now), now.unit, now.day, now.file));
                    return "The job book is in " + p.getFileName() + ".";
                }));
    }

    @Override
    public void runSheet() {
        Now now = now();
        prompt.save(owner, "Save the run sheet", Kind.CARD, suggested() + "-run-sheet")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, RunSheetPdf.write(papers(now), now.unit, now.day, now.file));
                    return "The run sheet is in " + p.getFileName() + ".";
                }));
    }

    /** A picture of the solid view. */
    void picture(Image image) {
        prompt.save(owner, "Save the picture", Kind.PICTURE, suggested())
                .ifPresent(p -> put.accept(() -> {
                    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
                    ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", bytes);
                    SafeFiles.replace(p, bytes.toByteArray());
                    return "The picture is in " + p.getFileName() + ".";
                }));
    }

    @Override
    public void csv() {
        Now now = now();
        prompt.folder(owner, "Folder for the CSV files")
                .ifPresent(p -> put.accept(() -> {
                    Papers papers = papers(now);
                    return description(
                            CsvFiles.curves(papers.analysis(), p).size()
                                    + PapersFiles.tables(papers, p).size(),
                            "CSV files",
                            p);
                }));
    }

    @Override
    public void drawings() {
        Now now = now();
        prompt.folder(owner, "Folder for the drawings")
                .ifPresent(p -> put.accept(() -> {
                    int n = PapersFiles.drawings(papers(now), now.unit, now.day, now.file, p)
                            .size();
                    return n == 0 ? "There is no drawing to save yet." : description(n, "drawing files", p);
                }));
    }

    @Override
    public void templates() {
        Now now = now();
        prompt.folder(owner, "Folder for the templates")
                .ifPresent(p -> put.accept(() -> {
                    int n = PapersFiles.templates(papers(now), now.unit, p).size();
                    return n == 0 ? "There is no template to save yet." : description(n, "template files", p);
                }));
    }

    @Override
    public void model() {
        Job job = bench.job();
        SteeringInput hands = bench.steeringInput();
        prompt.save(owner, "Save a 3-D model", Kind.MODEL, suggested())
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(
                            p, ModelFile.write(String.valueOf(p.getFileName()), new VehicleModel(job).at(hands)));
                    return "The model is in " + p.getFileName() + ", at the position on screen.";
                }));
    }

    @Override
    public void movingModel() {
        Job job = bench.job();
        prompt.save(owner, "Save the steering from lock to lock", Kind.MOVING_MODEL, suggested() + "-moving")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(p, ModelFile.moving(new VehicleModel(job).lockToLock()));
                    return "The steering from lock to lock is in " + p.getFileName() + ".";
                }));
    }

    @Override
    public void everything() {
        Now now = now();
        prompt.folder(owner, "Folder for everything the bench needs")
                .ifPresent(p -> put.accept(() -> {
                    Papers papers = papers(now);
                    return description(
                            PapersFiles.write(papers, now.unit, now.day, now.file, p)
                                            .size()
                                    + CsvFiles.curves(papers.analysis(), p).size(),
                            "files",
                            p);
                }));
    }

    /** The inspection sheet of one vehicle. */
    void inspection(BuiltVehicle vehicle) {
        Now now = now();
        prompt.save(owner, "Save the inspection sheet", Kind.CARD, suggested() + "-inspection")
                .ifPresent(p -> put.accept(() -> {
                    SafeFiles.replace(
                            p,
                            InspectionPdf.write(
                                    vehicle,
                                    Analysis.of(now.job, Grid.USUAL, now.catalogue),
                                    now.unit,
                                    now.day,
                                    now.file));
                    return "The inspection sheet is in " + p.getFileName() + ".";
                }));
    }

    /** The log of all trials as tables, and every inspection sheet. */
    void log() {
        Now now = now();
        prompt.folder(owner, "Folder for the log of trials")
                .ifPresent(p -> put.accept(() -> description(
                        TrialFiles.write(now.job, now.unit, now.day, now.file, p)
                                .size(),
                        "files",
                        p)));
    }

    private static String description(int n, String what, Path folder) {
        return n + " " + what + " are in " + folder.getFileName() + ".";
    }
}
