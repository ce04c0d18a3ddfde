package mildtilt.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import mildtilt.build.Workshop.Paper;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.PhotoFile;
import mildtilt.io.pdf.TargetSheetPdf;
import mildtilt.io.picture.FoundPhotograph;
import mildtilt.io.picture.PracticeSet;
import mildtilt.job.Job;
import mildtilt.report.SurveyTables;
import mildtilt.survey.PlacedSheet;
import mildtilt.survey.Survey;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Measuring by photographs: {@code target-sheet}, {@code photographs}, {@code practice}. */
final class PhotographCommands {

    private PhotographCommands() {}

    @Command(
            name = "target-sheet",
            mixinStandardHelpOptions = true,
            description = "Writes the sheet to lay into photographs, and the marks to stick on the vehicle, as a PDF.")
    static final class Sheet implements Callable<Integer> {
        @Parameters(paramLabel = "PDF", description = "where to write it")
        private Path to = Path.of("");

        @Option(
                names = "--paper",
                paramLabel = "PAPER",
                description = "A4 or LETTER; A4 if left out",
                defaultValue = "A4")
        private Paper paper = Paper.A4;

        @Override
        public Integer call() {
            try {
                SafeFiles.replace(to, TargetSheetPdf.write(paper));
                return 0;
            } catch (IOException e) {
                System.err.println(to.getFileName() + " could not be written: " + SafeFiles.reason(e));
                return Main.BAD_INPUT;
            }
        }
    }

    @Command(
            name = "photographs",
            mixinStandardHelpOptions = true,
            description = "Adds photographs to a job's survey, finds the printed marks in them, and prints where "
                    + "every point is. The job is written under another name, the photographs are copied beside it.")
    static final class Add implements Callable<Integer> {
        @Parameters(index = "0", paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Parameters(index = "1..*", arity = "1..*", paramLabel = "PICTURE", description = "JPEG or PNG files")
        private List<Path> pictures = new ArrayList<>();

        @Option(names = "--out", required = true, paramLabel = "NEW", description = "the job to write")
        private Path out = Path.of("");

        @Option(
                names = "--laid",
                split = ",",
                arity = "1",
                paramLabel = "X,Y,Z,DEG",
                description = "where the sheet's cross lies, mm, and how far its arrow points to the left of forward")
        private List<Double> laid = new ArrayList<>();

        @Option(names = "--bar", paramLabel = "MM", description = "how long the sheet's bar came out of the printer")
        private Optional<Double> bar = Optional.empty();

        @Mixin
        private TableOutput output = new TableOutput();

        @Override
        public Integer call() {
            try {
                Job job = JobFile.open(file);
                Survey survey = job.survey().withSheet(sheet(job.survey().sheet()));
                // All are read before one is copied: what can't be used leaves nothing behind.
                List<FoundPhotograph> all = new ArrayList<>();
                for (Path p : pictures) {
                    all.add(FoundPhotograph.in(p));
                }
                for (int i = 0; i < all.size(); i++) {
                    FoundPhotograph found = all.get(i);
                    survey = found.into(survey, PhotoFile.copyBeside(out, pictures.get(i)));
                    int marks = found.marks().size();
                    System.err.println(pictures.get(i).getFileName() + ": " + marks
                            + (marks == 1 ? " mark found." : " marks found."));
                }
                Job with = job.withSurvey(survey);
                PhotoFile.copyAlong(with, file, out);
                JobFile.save(out, with);
                output.print(SurveyTables.of(with));
                return 0;
            } catch (JobFileException | ImpossibleGeometryException e) {
                System.err.println(e.getMessage());
                return Main.BAD_INPUT;
            } catch (IOException e) {
                System.err.println(out.getFileName() + " could not be written: " + SafeFiles.reason(e));
                return Main.BAD_INPUT;
            }
        }

        private PlacedSheet sheet(PlacedSheet was) {
            PlacedSheet now = bar.isPresent() ? was.withBar(bar.get()) : was;
            if (laid.isEmpty()) {
                return now;
            }
            if (laid.size() != 4) {
                throw new ImpossibleGeometryException(
                        "--laid takes four numbers: x, y and z of the sheet's cross, and the degrees its arrow "
                                + "points to the left of forward.");
            }
            PlacedSheet.Laid byEye = PlacedSheet.Laid.BY_EYE;
            return now.withLaid(Optional.of(new PlacedSheet.Laid(
                    new Point(laid.get(0), laid.get(1), laid.get(2)), laid.get(3), byEye.spread(), byEye.spreadDeg())));
        }
    }

    @Command(
            name = "practice",
            mixinStandardHelpOptions = true,
            description = "Draws photographs to practise on, of a job's column with the printed sheet beside it, and "
                    + "writes them with the truth of every point into a folder.")
    static final class Practice implements Callable<Integer> {
        @Parameters(index = "0", paramLabel = "FOLDER", description = "where to write them")
        private Path folder = Path.of("");

        @Parameters(
                index = "1",
                arity = "0..1",
                paramLabel = "FILE",
                description = "a job file; the first demo if left out")
        private Optional<Path> file = Optional.empty();

        @Option(
                names = "--width",
                paramLabel = "PX",
                description = "of a picture; 2400 if left out",
                defaultValue = "2400")
        private int width = 2400;

        @Override
        public Integer call() {
            try {
                Job job = file.isPresent() ? JobFile.open(file.get()) : DemoJob.MARSH_CARRIER.job();
                if (width < 400 || width > 8000) {
                    throw new ImpossibleGeometryException("A picture can be 400 to 8000 pixels wide.");
                }
                new PracticeSet(job, width, width * 3 / 4).write(folder).forEach(System.out::println);
                return 0;
            } catch (JobFileException | ImpossibleGeometryException e) {
                System.err.println(e.getMessage());
                return Main.BAD_INPUT;
            } catch (IOException e) {
                System.err.println(folder + " can't be written to: " + SafeFiles.reason(e));
                return Main.BAD_INPUT;
            }
        }
    }
}
