package mildtilt.app.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.arms.ArmFigures;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.BuiltVehicle;
import mildtilt.job.Job;
import mildtilt.job.Trial;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.machined.MachinedParts;
import mildtilt.report.DrawingTable;
import mildtilt.report.FigureTables;
import mildtilt.report.FoundTable;
import mildtilt.report.SetTables;
import mildtilt.report.SurveyTables;
import mildtilt.report.Table;
import mildtilt.shop.FoundFigures;
import mildtilt.trials.compare.CheckSheet;
import mildtilt.trials.compare.TrialFigures;
import mildtilt.trials.compare.TrialTables;
import mildtilt.trials.diagnose.CauseTable;
import mildtilt.trials.diagnose.Diagnosis;
import mildtilt.units.LengthUnit;
import mildtilt.units.Phrase;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * What the window shows in tables: {@code variants}, {@code compare}, {@code knuckle}, {@code found}, {@code
 * drawings}, {@code set},
 * {@code survey}, {@code trial}, {@code runout}.
 */
final class TableCommands {

    private TableCommands() {}

    /** Of one job: makes tables of it and prints them. */
    private abstract static class OfAJob implements Callable<Integer> {
        @Parameters(index = "0", paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Mixin
        private TableOutput output = new TableOutput();

        /** Empty where the job has none of it. */
        abstract List<Table> tables(Job job) throws JobFileException;

        /** What to say where there is none. */
        abstract String none();

        @Override
        public Integer call() {
            try {
                List<Table> tables = tables(JobFile.open(file));
                if (tables.isEmpty()) {
                    System.err.println(file.getFileName() + ": " + none());
                    return Main.NOTHING_FOUND;
                }
                output.print(tables);
                return 0;
            } catch (JobFileException | ImpossibleGeometryException e) {
                System.err.println(e.getMessage());
                return Main.BAD_INPUT;
            }
        }
    }

    @Command(
            name = "variants",
            mixinStandardHelpOptions = true,
            description = "Every headline figure of a job's plan beside its variants.")
    static final class Variants extends OfAJob {
        @Override
        List<Table> tables(Job job) {
            return FigureTables.variants(Analysis.of(job)).stream().toList();
        }

        @Override
        String none() {
            return "no variant is kept beside the plan.";
        }
    }

    @Command(
            name = "found",
            mixinStandardHelpOptions = true,
            description = "What is taken off the parts of the column that are there already, what limits it, and what "
                    + "would free more; and what is cut and moved on the arms of used knuckles.")
    static final class Found extends OfAJob {
        @Override
        List<Table> tables(Job job) {
            return Stream.of(FoundTable.of(FoundFigures.of(job)), FoundTable.arms(ArmFigures.of(job)))
                    .filter(t -> !t.rows().isEmpty())
                    .toList();
        }

        @Override
        String none() {
            return "no part is given as found (making.as_found).";
        }
    }

    @Command(
            name = "drawings",
            mixinStandardHelpOptions = true,
            description = "Every size, with its limits, of the parts that are drawn for the machinist.")
    static final class Drawings extends OfAJob {
        @Override
        List<Table> tables(Job job) {
            MachinedParts parts = MachinedParts.of(job);
            parts.open().forEach(o -> System.err.println("Not drawn: " + o.text(LengthUnit.MM)));
            parts.cautions().forEach(c -> System.err.println("Caution: " + c.text(LengthUnit.MM)));
            return Stream.of(DrawingTable.of(parts))
                    .filter(t -> !t.rows().isEmpty())
                    .toList();
        }

        @Override
        String none() {
            return "no part is drawn (making.pieces: turned_shaft, bearing_housing, adapter_plate, steady_post).";
        }
    }

    @Command(
            name = "set",
            mixinStandardHelpOptions = true,
            description = "For several vehicles from one plan: the fixture's lengths, what is checked on each, and "
                    + "how the plan stands to the classes of its rule set.")
    static final class SetOfVehicles extends OfAJob {
        @Override
        List<Table> tables(Job job) {
            return Stream.of(SetTables.fixture(job), CheckSheet.of(Analysis.of(job)), SetTables.classes(job))
                    .filter(t -> !t.rows().isEmpty())
                    .toList();
        }

        @Override
        String none() {
            return "the job has neither column nor axle, nor a class.";
        }
    }

    @Command(
            name = "survey",
            mixinStandardHelpOptions = true,
            description = "Where the measured points are and how sure that is, which reading looks wrong, and how far "
                    + "left and right differ.")
    static final class Survey extends OfAJob {
        @Override
        List<Table> tables(Job job) {
            return SurveyTables.of(job);
        }

        @Override
        String none() {
            return "nothing is measured yet.";
        }
    }

    /** Tables of every trial of every vehicle. */
    private abstract static class OfTrials extends OfAJob {
        abstract List<Table> tables(Job job, BuiltVehicle vehicle, Trial trial);

        @Override
        List<Table> tables(Job job) {
            List<Table> all = new ArrayList<>();
            for (BuiltVehicle v : job.log().vehicles()) {
                for (Trial t : v.trials()) {
                    all.addAll(tables(job, v, t));
                }
            }
            return all;
        }
    }

    @Command(
            name = "trial",
            mixinStandardHelpOptions = true,
            description = "Planned against measured, of every trial in a job's log, and what explains the difference.")
    static final class Trials extends OfTrials {
        @Override
        List<Table> tables(Job job, BuiltVehicle vehicle, Trial trial) {
            List<Table> all = new ArrayList<>(TrialTables.of(vehicle.name(), TrialFigures.of(trial, job)));
            Job then = Job.of("", trial.plan());
            Diagnosis.of(trial.sheet(), then)
                    .ifPresent(d -> all.add(
                            CauseTable.of(vehicle.name() + ", " + trial.sheet().name(), d, then)));
            return all;
        }

        @Override
        String none() {
            return "no trial has a reading yet.";
        }
    }

    @Command(
            name = "runout",
            mixinStandardHelpOptions = true,
            description = "What the dial says of each shaft: true, eccentric, askew or bent, and whether the bearings "
                    + "stand it.")
    static final class RunOut extends OfTrials {
        @Override
        List<Table> tables(Job job, BuiltVehicle vehicle, Trial trial) {
            TrialFigures f = TrialFigures.of(trial, job);
            return f.runOuts().isEmpty()
                    ? List.of()
                    : List.of(TrialTables.verdicts(vehicle.name(), f), TrialTables.runOut(vehicle.name(), f));
        }

        @Override
        String none() {
            return "no dial is read yet.";
        }
    }

    /** Which arms are changed. */
    enum Arms {
        BOTH,
        LEFT,
        RIGHT,
        DRAG_LINK;

        private List<KnuckleArm> of(Job job) {
            return switch (this) {
                case BOTH -> KnuckleEdits.steeringArms(job);
                case LEFT -> List.of(KnuckleArm.LEFT_STEERING);
                case RIGHT -> List.of(KnuckleArm.RIGHT_STEERING);
                case DRAG_LINK -> List.of(KnuckleArm.DRAG_LINK);
            };
        }
    }

    @Command(
            name = "knuckle",
            mixinStandardHelpOptions = true,
            description = "What to cut and move for a change of a steering arm, and every figure that it changes.")
    static final class Knuckle extends OfAJob {
        @Option(names = "--arm", paramLabel = "ARM", description = "which: ${COMPLETION-CANDIDATES} (BOTH)")
        private Arms arms = Arms.BOTH;

        @Option(names = "--longer", paramLabel = "MM", description = "along the arm; below 0 shorter")
        private double longer;

        @Option(names = "--outward", paramLabel = "MM", description = "its end toward the wheel; below 0 inward")
        private double outward;

        @Option(names = "--up", paramLabel = "MM", description = "its end along the steer axis; below 0 down")
        private double up;

        @Option(names = "--roll", paramLabel = "DEG", description = "the boss's top outward; below 0 inward")
        private double roll;

        @Option(names = "--pitch", paramLabel = "DEG", description = "the boss's top along the arm")
        private double pitch;

        @Option(names = "--take", paramLabel = "FILE", description = "write the job with it done there")
        private Optional<Path> take = Optional.empty();

        @Override
        List<Table> tables(Job job) throws JobFileException {
            KnuckleChange change = new KnuckleChange(longer, outward, up, roll, pitch);
            if (job.axle().isEmpty()) {
                throw new JobFileException("This job has no axle, so it has no steering arms.");
            }
            if (arms == Arms.DRAG_LINK
                    && job.axle().flatMap(SteeredAxle::dragLinkSide).isEmpty()) {
                throw new JobFileException("This job has no drag link on a knuckle.");
            }
            if (change.equals(KnuckleChange.NONE)) {
                return List.of();
            }
            Job changed = job;
            for (KnuckleArm arm : arms.of(job)) {
                changed = Main.checked(KnuckleEdits.changed(changed, arm, change));
            }
            if (take.isPresent()) {
                JobFile.save(take.get(), changed);
            }
            return List.of(FigureTables.knuckle(
                    job, changed, arms.of(job), Analysis.of(job).effectOf(changed)));
        }

        @Override
        String none() {
            return "say what is changed with --longer, --outward, --up, --roll or --pitch.";
        }
    }

    @Command(
            name = "compare",
            mixinStandardHelpOptions = true,
            description =
                    "How several jobs stand, and their headline figures side by side. A folder stands for the job "
                            + "files in it.")
    static final class Compare implements Callable<Integer> {
        @Parameters(arity = "1..*", paramLabel = "FILE", description = "job files and folders")
        private List<Path> given = List.of();

        @Mixin
        private TableOutput output = new TableOutput();

        @Override
        public Integer call() {
            try {
                List<FigureTables.Column> columns = new ArrayList<>();
                List<FigureTables.Standing> standing = new ArrayList<>();
                for (Path file : files()) {
                    Analysis a = Analysis.of(JobFile.open(file));
                    String name = String.valueOf(file.getFileName());
                    columns.add(new FigureTables.Column(file.toString(), name, a.headlines()));
                    standing.add(standing(file, a));
                }
                output.print(List.of(
                        FigureTables.standing(standing),
                        FigureTables.sideBySide("figures", "Figures side by side", columns)));
                return 0;
            } catch (JobFileException e) {
                System.err.println(e.getMessage());
            } catch (IOException e) {
                System.err.println("The folder could not be read: " + SafeFiles.reason(e));
            }
            return Main.BAD_INPUT;
        }

        private List<Path> files() throws IOException, JobFileException {
            List<Path> all = new ArrayList<>();
            for (Path p : given) {
                if (Files.isDirectory(p)) {
                    try (Stream<Path> in = Files.list(p)) {
                        in.filter(f -> f.toString().toLowerCase(Locale.ROOT).endsWith(".tilt"))
                                .sorted()
                                .forEach(all::add);
                    }
                } else {
                    all.add(p);
                }
            }
            if (all.isEmpty()) {
                throw new JobFileException("There is no job file (.tilt) in " + given.getFirst() + ".");
            }
            return all;
        }

        private static FigureTables.Standing standing(Path file, Analysis a) {
            Optional<Finding> first = a.findings().stream()
                    .filter(f -> f.severity() != Severity.FINE)
                    .findFirst();
            return new FigureTables.Standing(
                    file.toString(),
                    a.job().title(),
                    count(a, Severity.STOP),
                    count(a, Severity.LOOK),
                    first.map(f -> f.fault().code()).orElse(""),
                    first.map(Finding::what).orElse(Phrase.of("")));
        }

        private static long count(Analysis a, Severity s) {
            return a.findings().stream().filter(f -> f.severity() == s).count();
        }
    }
}
