package mildtilt.app.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.application.Platform;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Label;
import javafx.stage.Window;
import mildtilt.app.shell.FilePrompt.Kind;
import mildtilt.app.trial.TrialStagePane;
import mildtilt.app.workbench.Workbench;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.FileStamp;
import mildtilt.io.FileUnit;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.csv.PointsCsv;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.jobfile.RulesFile;
import mildtilt.io.scan.ScanFile;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.obstacle.Obstacle;
import mildtilt.rules.Rules;
import mildtilt.start.StartingVehicle;
import mildtilt.survey.Survey;
import mildtilt.units.UnreadableMeasureException;

/** Opening, saving and exporting. Shows any error, and keeps what was open. */
public final class Documents {

    private final Workbench bench;
    private final Recovery recovery;
    private final FilePrompt prompt;
    private final OwnCatalogue own;
    private final CatalogueActions catalogue;
    private final RecentJobs recent;
    private final Clock clock;
    /** What the file of the open job held when it was opened or saved here; empty for a job that has none. */
    private Optional<FileStamp> stamp = Optional.empty();

    public Documents(
            Workbench bench, Recovery recovery, OwnCatalogue own, RecentJobs recent, FilePrompt prompt, Clock clock) {
        this.bench = bench;
        this.recovery = recovery;
        this.own = own;
        catalogue = new CatalogueActions(bench, own, prompt, this::put);
        this.recent = recent;
        this.prompt = prompt;
        this.clock = clock;
        bench.jobProperty().addListener((_, _, _) -> keep());
        bench.fileProperty().addListener((_, _, _) -> keep());
    }

    private void keep() {
        if (bench.unsaved()) {
            recovery.changed(bench.job(), bench.fileProperty().get(), stamp);
        } else {
            recovery.allSaved();
        }
    }

    public void open(Window owner) {
        if (confirmDiscard(owner)) {
            prompt.open(owner, "Open a job", Kind.JOB).ifPresent(p -> open(owner, p));
        }
    }

    /** The jobs of before that are still there, the newest first. */
    public List<Path> recent() {
        return recent.all();
    }

    /** Opens a file if what is open may be let go. */
    public void openInstead(Window owner, Path file) {
        if (confirmDiscard(owner)) {
            open(owner, file);
        }
    }

    /** Opens a file in place of what is open, if it is a job. */
    public boolean open(Window owner, Path file) {
        try {
            Optional<FileStamp> as = FileStamp.of(file);
            Job job = JobFile.open(file);
            bench.open(job, Optional.of(file));
            stamp = as;
            recent.add(file);
            bench.say("Opened " + file.getFileName() + ".");
            return true;
        } catch (JobFileException e) {
            tell(owner, "That file was not opened. What was open is untouched.", e.getMessage());
            return false;
        }
    }

    /** Puts a demo vehicle on the bench, as a job not saved anywhere yet. */
    public boolean openDemo(Window owner, DemoJob demo) {
        boolean may = confirmDiscard(owner);
        if (may) {
            bench.open(demo.job(), Optional.empty());
            stamp = Optional.empty();
            bench.say("Opened the demo " + demo.title() + ": " + demo.steering() + ".");
        }
        return may;
    }

    /** A new job with a demo's kind of steering and sizes to begin with, to be typed over with one's own. */
    public void newLike(Window owner, DemoJob demo) {
        if (confirmDiscard(owner)) {
            Job like = demo.job();
            began(
                    Job.of("New job", like.plan()).withRules(like.rules()).withSurroundings(like.surroundings()),
                    demo.steering(),
                    "Every size is still the demo's: type or drag each to your own.");
        }
    }

    /** A new job that begins from what its builder says of the vehicle. */
    public void begin(Window owner, StartingVehicle vehicle) {
        if (!confirmDiscard(owner)) {
            return;
        }
        bench.say("Laying out: " + vehicle.described() + " …");
        // Putting right what the new sizes would make wrong takes a second or two: not on the interface thread.
        CompletableFuture.supplyAsync(() -> vehicle.job(LocalDate.now(clock)))
                .whenComplete((job, trouble) -> Platform.runLater(() -> {
                    if (trouble == null) {
                        began(
                                job.withTitle("New job"),
                                vehicle.described(),
                                "It works as it is: type or drag each point to where yours is.");
                    } else {
                        Throwable cause =
                                Optional.ofNullable(trouble.getCause()).orElse(trouble);
                        bench.refuse(vehicle.described() + " can't have those sizes. " + cause.getMessage());
                    }
                }));
    }

    private void began(Job job, String described, String then) {
        bench.open(job, Optional.empty());
        stamp = Optional.empty();
        bench.markUnsaved();
        bench.say("A new job: " + described + ". " + then);
    }

    /** @return whether it was saved */
    public boolean save(Window owner) {
        Optional<Path> file = bench.fileProperty().get();
        if (file.isEmpty()) {
            return saveAs(owner);
        }
        return switch (othersWrote(owner, file.get())) {
            case MINE -> saveTo(owner, file.get(), stamp);
            case BESIDE -> saveAs(owner);
            case NEITHER -> false;
        };
    }

    /** What to do where a file is not as it was left here. */
    private enum Whose {
        MINE,
        BESIDE,
        NEITHER
    }

    /**
     * Asks, if someone else has written the job's file since it was opened or saved here: another window, another
     * program, another machine.
     */
    private Whose othersWrote(Window owner, Path file) {
        Optional<FileStamp> now = FileStamp.of(file);
        // A file that is gone is simply written anew: nothing of anybody's is lost by that.
        if (now.isEmpty() || now.equals(stamp)) {
            return mayReplace(owner, file);
        }
        return ask(
                owner,
                file.getFileName() + " was changed by someone else since you opened it.",
                "It may be open in another window, or come from another machine. If you save over it, what is in it now is kept beside it as "
                        + JobFile.othersVersion(file).getFileName() + ".",
                "Save mine over it",
                "Don't save now");
    }

    /** Asks, if a file is marked as not to be written. */
    private static Whose mayReplace(Window owner, Path file) {
        return !JobFile.writeProtected(file)
                ? Whose.MINE
                : ask(
                        owner,
                        file.getFileName() + " is write-protected.",
                        "Somebody marked it as not to be changed. If you replace it, what is in it now is kept beside it as "
                                + JobFile.previous(file).getFileName() + ".",
                        "Replace it",
                        "Cancel");
    }

    /** @param replace the button that writes over the file; @param leave the one that saves nothing */
    private static Whose ask(Window owner, String head, String text, String replace, String leave) {
        ButtonType beside = new ButtonType("Save under another name", ButtonBar.ButtonData.YES);
        ButtonType over = new ButtonType(replace, ButtonBar.ButtonData.NO);
        ButtonType stay = new ButtonType(leave, ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.WARNING, text, beside, over, stay);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText(head);
        ButtonType answer = alert.showAndWait().orElse(stay);
        return answer == beside ? Whose.BESIDE : answer == over ? Whose.MINE : Whose.NEITHER;
    }

    public boolean saveAs(Window owner) {
        Optional<Path> file = prompt.save(owner, "Save the job", Kind.JOB, suggested(bench));
        if (file.isEmpty()) {
            return false;
        }
        // That there is a file of this name the system's own dialogue has asked about.
        return switch (mayReplace(owner, file.get())) {
            case MINE -> saveTo(owner, file.get(), FileStamp.of(file.get()));
            case BESIDE -> saveAs(owner);
            case NEITHER -> false;
        };
    }

    /**
     * @param known what the file held when it was last looked at: anything else there was written by another program,
     * and is kept
     */
    private boolean saveTo(Window owner, Path file, Optional<FileStamp> known) {
        try {
            Optional<Path> before = bench.fileProperty().get();
            boolean gone = stamp.isPresent() && before.equals(Optional.of(file)) && Files.notExists(file);
            JobFile.Saved saved = JobFile.save(file, bench.job(), known);
            stamp = Optional.of(saved.stamp());
            bench.savedAs(file);
            recent.add(file);
            recovery.allSaved();
            saved.others()
                    .ifPresentOrElse(
                            o -> bench.say("Saved " + file.getFileName()
                                    + ". What somebody else had written there is in " + o.getFileName() + "."),
                            () -> bench.say(
                                    gone
                                            ? file.getFileName()
                                                    + " was deleted since it was opened; it is written again."
                                            : "Saved " + file.getFileName() + "."));
            before.filter(b -> !b.equals(file)).ifPresent(b -> takePhotosAlong(b, file));
            return true;
        } catch (JobFileException e) {
            tell(owner, "The job was not saved.", e.getMessage());
            return false;
        }
    }

    private void takePhotosAlong(Path from, Path to) {
        try {
            PhotoFile.copyAlong(bench.job(), from, to);
        } catch (IOException e) {
            bench.refuse("The job is saved, but its photos could not be copied beside it: " + SafeFiles.reason(e));
        }
    }

    /** A file name for what is open, without ending. */
    static String suggested(Workbench bench) {
        String name = bench.job()
                .title()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        return name.isEmpty() ? "job" : name;
    }

    /** What the Make stage can take out. */
    public PaperSaving papers(Window owner) {
        return new PaperSaving(owner, bench, prompt, clock, put -> put(owner, put));
    }

    /** What the Fit stage asks files for. */
    public TrialStagePane.Files fitFiles(Window owner) {
        return new TrialStagePane.Files() {
            @Override
            public Optional<String> photo() {
                Optional<Path> job = bench.fileProperty().get();
                if (job.isEmpty()) {
                    bench.refuse("Save the job first: photos are copied beside it.");
                    return Optional.empty();
                }
                return prompt.open(owner, "Add a photo", Kind.PHOTO).flatMap(p -> {
                    try {
                        return Optional.of(PhotoFile.copyBeside(job.get(), p));
                    } catch (JobFileException e) {
                        tell(owner, "That photo was not added.", e.getMessage());
                        return Optional.empty();
                    }
                });
            }

            @Override
            public Optional<Path> readings() {
                return prompt.open(owner, "The file an instrument writes", Kind.READINGS);
            }

            @Override
            public void inspection(BuiltVehicle vehicle) {
                papers(owner).inspection(vehicle);
            }

            @Override
            public Window owner() {
                return owner;
            }
        };
    }

    public void saveRules(Window owner) {
        Rules rules = bench.job().rules();
        String name = rules.name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        prompt.save(owner, "Save the rule set", Kind.RULES, name.isEmpty() ? "rules" : name)
                .ifPresent(p -> put(owner, () -> {
                    RulesFile.save(rules, p);
                    return "The rule set is in " + p.getFileName() + ".";
                }));
    }

    /** Judges the job by a rule set from a file. */
    public void openRules(Window owner) {
        prompt.open(owner, "Open a rule set", Kind.RULES).ifPresent(p -> {
            try {
                Rules rules = RulesFile.open(p);
                bench.edit("Judge by the rule set \"" + rules.name() + "\"", j -> j.withRules(rules));
            } catch (JobFileException e) {
                tell(owner, "That rule set was not opened. The job keeps the one it had.", e.getMessage());
            }
        });
    }

    /** Asks for a CSV of points, shows how it is understood, and puts them into the survey. */
    public void openPoints(Window owner) {
        prompt.open(owner, "Import points", Kind.POINTS).ifPresent(p -> {
            try {
                PointsCsv.Read read = PointsCsv.read(p);
                Optional<PointsCsv.Match> match = new PointsQuestion(owner, read, bench.lengthUnit()).ask();
                if (match.isPresent()) {
                    Survey survey = PointsCsv.take(bench.job(), read, match.get());
                    bench.edit("Import the points of " + read.file(), j -> j.withSurvey(survey));
                }
            } catch (JobFileException | ImpossibleGeometryException | UnreadableMeasureException e) {
                tell(
                        owner,
                        "Those points were not imported. The survey is as it was.",
                        Objects.requireNonNull(e.getMessage()));
            }
        });
    }

    /** What the photographs of a survey ask files for. */
    PhotographFiles photographs(Window owner) {
        return new PhotographFiles(owner, bench, prompt, put -> put(owner, put), (head, why) -> tell(owner, head, why));
    }

    /** Asks for a scan, in which unit it is and whether what is wrong with it matters, and puts it in the way. */
    public void openScan(Window owner) {
        prompt.open(owner, "Import a scan", Kind.SCAN).ifPresent(p -> {
            bench.say("Reading " + p.getFileName() + " …");
            CompletableFuture.supplyAsync(() -> {
                        try {
                            return ScanFile.read(p);
                        } catch (JobFileException e) {
                            throw new CompletionException(e);
                        }
                    })
                    .whenComplete((read, problem) -> Platform.runLater(() -> {
                        bench.say("");
                        if (problem != null) {
                            importRefused(owner, problem);
                        } else {
                            new ScanQuestion(owner, read, bench.job().vehicle().wheelbase(), bench.lengthUnit())
                                    .ask()
                                    .ifPresent(unit -> takeScan(owner, read, unit));
                        }
                    }));
        });
    }

    private void importRefused(Window owner, Throwable problem) {
        tell(
                owner,
                "That scan was not imported. The job is as it was.",
                String.valueOf((problem.getCause() == null ? problem : problem.getCause()).getMessage()));
    }

    private void takeScan(Window owner, ScanFile.Read read, FileUnit unit) {
        bench.say("Taking in " + read.file() + " …");
        CompletableFuture.supplyAsync(() -> ScanQuestion.placed(read, unit))
                .whenComplete((scan, problem) -> Platform.runLater(() -> {
                    bench.say("");
                    if (problem != null) {
                        importRefused(owner, problem);
                        return;
                    }
                    String name = read.file().replaceFirst("\\.[^.]*$", "");
                    int index = bench.job().surroundings().obstacles().size();
                    if (bench.edit(
                            "Import the scan " + read.file(),
                            j -> j.editSurroundings(s -> s.with(Obstacle.fixed(s.free(name), scan))))) {
                        bench.selectionProperty().set(Optional.of(new Element.InTheWay(index)));
                    }
                }));
    }

    /** The catalogue in use and the user's own parts. */
    public CatalogueActions catalogue() {
        return catalogue;
    }

    /** Writes something and reports it. */
    interface Put {
        String write() throws IOException;
    }

    /** Off the interface thread: a first page takes a second or two. The result is reported when it is done. */
    void put(Window owner, Put put) {
        CompletableFuture.supplyAsync(() -> {
                    try {
                        return put.write();
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                })
                .whenComplete((said, problem) -> Platform.runLater(() -> {
                    if (problem == null) {
                        bench.say(said);
                    } else {
                        String why = rootOf(problem) instanceof IOException e
                                ? SafeFiles.reason(e)
                                : "Mild Tilt itself has a fault here.";
                        tell(owner, "It was not written.", why + "\nChoose another place.");
                    }
                }));
    }

    private static Throwable rootOf(Throwable e) {
        return (e instanceof CompletionException || e instanceof UncheckedIOException) && e.getCause() != null
                ? rootOf(e.getCause())
                : e;
    }

    /** Whether what is open may be let go: it is saved, or the user says so. */
    public boolean confirmDiscard(Window owner) {
        if (!bench.unsaved()) {
            return true;
        }
        ButtonType save = new ButtonType("Save", ButtonBar.ButtonData.YES);
        ButtonType drop = new ButtonType("Don't save", ButtonBar.ButtonData.NO);
        ButtonType stay = new ButtonType("Cancel", ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.CONFIRMATION, "", save, drop, stay);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText("\"" + bench.job().title() + "\" has changes that are not saved.");
        ButtonType answer = alert.showAndWait().orElse(stay);
        return answer == drop || answer == save && save(owner);
    }

    /** Offers back the unsaved work that a program which died left behind. */
    public void offerRecovered(Window owner) {
        for (Recovery.Left left : recovery.left()) {
            boolean taken =
                    switch (left) {
                        case Recovery.Whole whole -> offer(owner, whole);
                        case Recovery.Damaged damaged -> {
                            reportDamaged(owner, damaged);
                            yield false;
                        }
                    };
            if (taken) {
                return;
            }
        }
    }

    /** @return whether it was taken up */
    private boolean offer(Window owner, Recovery.Whole left) {
        ButtonType take = new ButtonType("Recover it", ButtonBar.ButtonData.YES);
        ButtonType drop = new ButtonType("Delete it", ButtonBar.ButtonData.NO);
        ButtonType later = new ButtonType("Ask me next time", ButtonBar.ButtonData.CANCEL_CLOSE);
        Alert alert = new Alert(Alert.AlertType.CONFIRMATION, "", take, drop, later);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText(
                "Unsaved work on \"" + left.job().title() + "\" was kept when the program last ended without warning.");
        boolean changed = left.from()
                .flatMap(FileStamp::of)
                .filter(now -> left.stamp().filter(then -> !then.equals(now)).isPresent())
                .isPresent();
        alert.setContentText(left.from()
                .map(f -> "It belongs to " + f
                        + (changed
                                ? ".\nThat file has been written by someone else since. Saving will ask before it replaces theirs."
                                : "."))
                .orElse("It was never saved to a file."));
        ButtonType answer = alert.showAndWait().orElse(later);
        if (answer == take) {
            // What the file held when this work began: if it holds something else by now, saving asks.
            stamp = left.stamp();
            bench.open(left.job(), left.from());
            bench.markUnsaved();
            if (recovery.keepNow(left)) {
                recovery.forget(left);
            }
            bench.say("Recovered. It is not saved yet.");
            return true;
        }
        if (answer == drop) {
            recovery.forget(left);
        }
        return false;
    }

    private void reportDamaged(Window owner, Recovery.Damaged left) {
        ButtonType drop = new ButtonType("Delete it", ButtonBar.ButtonData.NO);
        ButtonType keep = new ButtonType("Keep it", ButtonBar.ButtonData.OK_DONE);
        Alert alert = new Alert(Alert.AlertType.WARNING, "", drop, keep);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText("Unsaved work was kept when the program last ended without warning, but it can't be read.");
        alert.setContentText(left.why() + "\nIt is in " + left.copy()
                + ".\nKept, it can be looked at with a text editor, or handed to somebody who can mend it.");
        if (alert.showAndWait().orElse(keep) == drop) {
            recovery.forget(left);
        }
    }

    static void tell(Window owner, String head, String text) {
        Alert alert = new Alert(Alert.AlertType.ERROR);
        alert.initOwner(owner);
        alert.setTitle("Mild Tilt");
        alert.setHeaderText(head);
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMaxWidth(560);
        label.setId("problem-text");
        alert.getDialogPane().setContent(label);
        alert.showAndWait();
    }
}
