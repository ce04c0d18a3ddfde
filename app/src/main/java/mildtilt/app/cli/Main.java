package mildtilt.app.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.analysis.Analysis;
import mildtilt.app.shell.MildTilt;
import mildtilt.app.shell.OwnCatalogue;
import mildtilt.build.EndPart;
import mildtilt.catalogue.Catalogue;
import mildtilt.catalogue.OwnParts;
import mildtilt.describe.RangeCheck;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.csv.CsvFiles;
import mildtilt.io.csv.PositionsCsv;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.jobfile.RulesFile;
import mildtilt.io.json.AnalysisJson;
import mildtilt.io.json.RouteJson;
import mildtilt.io.papers.PapersFiles;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.parts.JobParts;
import mildtilt.report.AnswerTables;
import mildtilt.report.Papers;
import mildtilt.routes.RouteAnswer;
import mildtilt.routes.RouteFinder;
import mildtilt.routes.RouteProgress;
import mildtilt.routes.RouteQuestion;
import mildtilt.rules.ShippedRules;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringInput;
import mildtilt.units.LengthUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import picocli.AutoComplete;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The command line, every command of it; docs/commands.md tells what each is for. */
@Command(
        name = "mild-tilt",
        mixinStandardHelpOptions = true,
        versionProvider = Version.class,
        description = "Lays out steering from the wheel to the tyres.",
        subcommands = {
            Main.Demo.class,
            Main.Open.class,
            Main.Analyse.class,
            Main.PrintRules.class,
            Main.PrintCatalogue.class,
            Main.FindRoute.class,
            RoomCommand.class,
            SolveCommand.class,
            TableCommands.Knuckle.class,
            TableCommands.Variants.class,
            TableCommands.Found.class,
            TableCommands.Drawings.class,
            TableCommands.SetOfVehicles.class,
            TableCommands.Compare.class,
            TableCommands.Survey.class,
            TableCommands.Trials.class,
            TableCommands.RunOut.class,
            Main.Completion.class,
            ScanCommand.class,
            Main.Make.class,
            ModelCommand.class,
            PhotographCommands.Sheet.class,
            PhotographCommands.Add.class,
            PhotographCommands.Practice.class,
            TrialCommands.Sure.class,
            TrialCommands.Fit.class,
            TrialCommands.Instruments.class,
            Main.Shots.class,
            Rehearsal.class
        })
public final class Main implements Callable<Integer> {

    private static final Logger LOG = LoggerFactory.getLogger(Main.class);

    static final int BAD_INPUT = 2;

    static final int NOTHING_FOUND = 3;
    private static final int OWN_FAULT = 1;
    private static final int NO_MEMORY = 4;

    public static void main(String[] args) {
        System.exit(run(args));
    }

    /**
     * Runs a command and returns its exit code: 0 done, 1 a fault of the program itself, 2 unusable input, 3 nothing
     * found, 4 not enough memory.
     */
    public static int run(String... args) {
        try {
            return new CommandLine(new Main())
                    .setExecutionExceptionHandler((e, _, _) -> ownFault(e))
                    .execute(args);
        } catch (OutOfMemoryError e) {
            System.err.println(
                    "There is not enough memory for that. Thin the largest scans out, or give the program more: MILD_TILT_JAVA_OPTS=-Xmx2g.");
            return NO_MEMORY;
        }
    }

    private static int ownFault(Exception e) {
        String where = Arrays.stream(e.getStackTrace())
                .filter(f -> f.getClassName().startsWith("mildtilt."))
                .findFirst()
                .map(f -> " (" + f.getFileName() + ", line " + f.getLineNumber() + ")")
                .orElse("");
        System.err.println(
                "Mild Tilt itself has a fault here" + where + ". Please report it with the file. Nothing was changed.");
        LOG.debug("own fault", e);
        return OWN_FAULT;
    }

    @Parameters(
            paramLabel = "FILE",
            arity = "0..1",
            description = "a job file to open; without one the start page is shown")
    private Optional<Path> file = Optional.empty();

    @Override
    public Integer call() {
        if (file.filter(f -> !Files.exists(f)).isPresent()) {
            System.err.println("\"" + file.get() + "\" is neither a command nor a job file that is there. Try --help.");
            return BAD_INPUT;
        }
        MildTilt.run(new MildTilt.Start(MildTilt::empty, file, Optional.empty()));
        return 0;
    }

    @Command(name = "demo", description = "Opens a demo vehicle.", mixinStandardHelpOptions = true)
    static final class Demo implements Callable<Integer> {
        @Parameters(
                paramLabel = "NAME",
                arity = "0..1",
                description = "which one: ${COMPLETION-CANDIDATES}",
                completionCandidates = DemoNames.class)
        private String name = DemoJob.MARSH_CARRIER.file();

        @Override
        public Integer call() {
            Optional<DemoJob> demo = Arrays.stream(DemoJob.values())
                    .filter(d -> d.file().equals(name))
                    .findFirst();
            if (demo.isEmpty()) {
                System.err.println("There is no demo \"" + name + "\". There are: "
                        + Arrays.stream(DemoJob.values()).map(DemoJob::file).collect(Collectors.joining(", ")) + ".");
                return BAD_INPUT;
            }
            MildTilt.run(new MildTilt.Start(demo.get()::job, Optional.empty(), Optional.empty()));
            return 0;
        }
    }

    static final class DemoNames extends ArrayList<String> {
        private static final long serialVersionUID = 1L;

        DemoNames() {
            super(Arrays.stream(DemoJob.values()).map(DemoJob::file).toList());
        }
    }

    @Command(name = "open", description = "Opens a job.", mixinStandardHelpOptions = true)
    static final class Open implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Override
        public Integer call() {
            MildTilt.run(new MildTilt.Start(MildTilt::empty, Optional.of(file), Optional.empty()));
            return 0;
        }
    }

    @Command(
            name = "shots",
            description = "Takes the pictures of the documentation from the demo.",
            mixinStandardHelpOptions = true)
    static final class Shots implements Callable<Integer> {
        @Option(names = "--out", paramLabel = "DIR", description = "where to put them (docs/screenshots)")
        private Path out = Path.of("docs", "screenshots");

        @Override
        public Integer call() {
            MildTilt.run(new MildTilt.Start(
                    DemoJob.MARSH_CARRIER::job, Optional.empty(), Optional.of(new ShotList(out)::take)));
            return 0;
        }
    }

    @Command(
            name = "analyse",
            mixinStandardHelpOptions = true,
            description = "Prints every computed figure of a job as JSON. No window is opened.")
    static final class Analyse implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Option(names = "--out", paramLabel = "DIR", description = "write the curves and points there as CSV")
        private Optional<Path> out = Optional.empty();

        @Option(
                names = "--positions",
                paramLabel = "FILE.csv",
                description = "work out the whole pose at each steering_wheel_deg, travel_left_mm, travel_right_mm")
        private Optional<Path> positions = Optional.empty();

        @Option(
                names = "--grid",
                paramLabel = "STEERxTRAVEL",
                description = "odd numbers of samples over steer and travel (61x41)")
        private String grid = "61x41";

        @Option(names = "--rules", paramLabel = "FILE", description = "judge by this rule set instead of the job's own")
        private Optional<Path> rules = Optional.empty();

        @Option(
                names = "--catalogue",
                paramLabel = "FILE",
                description = "take parts from this catalogue instead of the built-in one")
        private Optional<Path> catalogue = Optional.empty();

        @Mixin
        private PlainOutput output = new PlainOutput();

        @Override
        public Integer call() {
            try {
                List<SteeringInput> at = positions.isPresent() ? PositionsCsv.read(positions.get()) : List.of();
                Job job = JobFile.open(file);
                if (rules.isPresent()) {
                    job = job.withRules(RulesFile.open(rules.get()));
                }
                Analysis analysis = Analysis.of(
                        job,
                        grid(),
                        catalogue.isPresent() ? CatalogueFile.open(catalogue.get()) : CatalogueFile.shipped());
                if (output.plain()) {
                    output.print(AnswerTables.analysis(analysis, output.unit()));
                } else {
                    PrintWriter to = new PrintWriter(System.out, false, StandardCharsets.UTF_8);
                    Progress progress = new Progress("Positions");
                    AnalysisJson.write(analysis, at, to, n -> progress.at((double) n / at.size()));
                    to.flush();
                }
                if (out.isPresent()) {
                    CsvFiles.write(analysis, out.get());
                }
                return 0;
            } catch (JobFileException e) {
                System.err.println(e.getMessage());
            } catch (IOException | UncheckedIOException e) {
                System.err.println("The CSV files could not be written: "
                        + SafeFiles.reason(
                                e instanceof UncheckedIOException u
                                        ? Objects.requireNonNull(u.getCause())
                                        : (IOException) e));
            }
            return BAD_INPUT;
        }

        private Grid grid() throws JobFileException {
            String[] n = grid.split("x", -1);
            try {
                int steer = Integer.parseInt(n[0]);
                int travel = n.length == 2 ? Integer.parseInt(n[1]) : 0;
                if (steer % 2 == 1 && travel % 2 == 1) {
                    return new Grid(steer / 2, travel / 2);
                }
            } catch (IllegalArgumentException e) {
                // Told below, together with even numbers.
            }
            throw new JobFileException(
                    "--grid \"" + grid + "\" is not valid: give two odd numbers from 3 to 2001, like 61x41.");
        }
    }

    /** A job that was changed here. @throws JobFileException if it has a size that no vehicle has */
    static Job checked(Job changed) throws JobFileException {
        Optional<String> fault = RangeCheck.fault(JobParts.JOB, changed);
        if (fault.isPresent()) {
            throw new JobFileException(fault.get());
        }
        return changed;
    }

    static void print(String text) {
        PrintWriter out = new PrintWriter(System.out, false, StandardCharsets.UTF_8);
        out.print(text);
        out.flush();
    }

    @Command(
            name = "completion",
            mixinStandardHelpOptions = true,
            description =
                    "Prints a script with which bash or zsh completes the commands: source <(mild-tilt completion)")
    static final class Completion implements Callable<Integer> {
        @Override
        public Integer call() {
            print(AutoComplete.bash("mild-tilt", new CommandLine(new Main())));
            return 0;
        }
    }

    @Command(
            name = "rules",
            mixinStandardHelpOptions = true,
            description = "Prints a built-in rule set, to copy and edit.")
    static final class PrintRules implements Callable<Integer> {
        @Parameters(
                paramLabel = "NAME",
                description = "which one: ${COMPLETION-CANDIDATES}",
                completionCandidates = RuleNames.class)
        private String name = "";

        @Override
        public Integer call() {
            Optional<ShippedRules> set = Arrays.stream(ShippedRules.values())
                    .filter(s -> s.file().equals(name))
                    .findFirst();
            if (set.isEmpty()) {
                System.err.println("There is no rule set \"" + name + "\". There are: "
                        + String.join(", ", new RuleNames()) + ".");
                return BAD_INPUT;
            }
            print(RulesFile.write(set.get().rules()));
            return 0;
        }
    }

    static final class RuleNames extends ArrayList<String> {
        private static final long serialVersionUID = 1L;

        RuleNames() {
            super(Arrays.stream(ShippedRules.values()).map(ShippedRules::file).toList());
        }
    }

    @Command(
            name = "catalogue",
            mixinStandardHelpOptions = true,
            description = "Prints the built-in catalogue, to copy and edit; or shows and fills your own parts.")
    static final class PrintCatalogue implements Callable<Integer> {
        @Option(names = "--mine", description = "print your own parts, kept between jobs")
        private boolean mine;

        @Option(
                names = "--keep",
                paramLabel = "ID",
                description = "keep this part of the column of --from: shaft-1, joint-2, bearing-1 or tube")
        private Optional<String> keep = Optional.empty();

        @Option(names = "--from", paramLabel = "FILE", description = "the job that the part is in")
        private Optional<Path> from = Optional.empty();

        @Option(names = "--delete", paramLabel = "NAME", description = "delete a part of your own")
        private Optional<String> delete = Optional.empty();

        @Override
        public Integer call() {
            OwnCatalogue own = new OwnCatalogue(OwnCatalogue.usualFolder());
            try {
                if (keep.isPresent()) {
                    return keep(own, keep.get());
                }
                if (delete.isPresent()) {
                    Catalogue all = own.ownParts();
                    if (all.names().noneMatch(delete.get()::equals)) {
                        System.err.println("You have no part \"" + delete.get() + "\" of your own.");
                        return NOTHING_FOUND;
                    }
                    own.keepParts(OwnParts.without(all, delete.get()));
                    return 0;
                }
                print(mine ? CatalogueFile.write(own.ownParts()) : CatalogueFile.shippedText());
                return 0;
            } catch (JobFileException e) {
                System.err.println(e.getMessage());
            } catch (IOException e) {
                System.err.println("Your own parts could not be kept: " + SafeFiles.reason(e));
            }
            return BAD_INPUT;
        }

        private int keep(OwnCatalogue own, String id) throws JobFileException, IOException {
            if (from.isEmpty()) {
                throw new JobFileException("Say which job the part is in with --from FILE.");
            }
            Job job = JobFile.open(from.get());
            Optional<EndPart> end = OwnParts.rodEnd(job, id);
            if (end.isPresent()) {
                own.keepParts(OwnParts.with(own.ownParts(), end.get()));
                System.out.println("Kept: " + end.get().name());
                return 0;
            }
            Element part = OwnParts.part(job, id)
                    .orElseThrow(
                            () -> new JobFileException(
                                    "\"" + id + "\" is no shaft, joint or bearing of that "
                                            + "job's column, nor its tube, nor an end of a rod: write its id as the file has it, or tube, or left_tie_rod.outer."));
            own.keepParts(OwnParts.with(own.ownParts(), job, part));
            System.out.println("Kept: " + OwnParts.name(job, part).orElseThrow());
            return 0;
        }
    }

    @Command(
            name = "route",
            mixinStandardHelpOptions = true,
            description =
                    "Looks for routes from the column's end to the gear past what is in the way, and prints them as JSON.")
    static final class FindRoute implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Option(names = "--joints", paramLabel = "FEWEST-MOST", description = "how many joints, from 1 to 4 (1-3)")
        private String joints = "1-3";

        @Option(names = "--gap", paramLabel = "MM", description = "gap wanted to everything (10)")
        private double gap = RouteQuestion.USUAL.gap();

        @Option(
                names = "--tilt",
                paramLabel = "DEG",
                description = "how far either way the rack may be turned in its clamps (0)")
        private double tilt;

        @Option(names = "--wheel-free", description = "the steering wheel may be planned anywhere in its adjustment")
        private boolean wheelFree;

        @Option(
                names = "--bracket",
                paramLabel = "MM",
                description = "how far a bearing may stand from the surface its bracket is fixed to (120)")
        private double bracket = RouteQuestion.USUAL.bracketReach();

        @Mixin
        private PlainOutput output = new PlainOutput();

        @Option(
                names = "--front",
                description = "it must keep the rule set's rule for a blow from the front, by a stroke or by a kink")
        private boolean front;

        @Option(
                names = "--wheel-height",
                paramLabel = "MM",
                description = "how far wheel and column may be set higher or lower by spacers or a bracket (0)")
        private double wheelHeight;

        @Option(
                names = "--wheel-reach",
                paramLabel = "MM",
                description = "how far they may be set nearer to the driver or farther (0)")
        private double wheelReach;

        @Option(
                names = "--hole",
                paramLabel = "X,Y,Z,DIAMETER",
                description = "a hole in the bulkhead that it must go through, mm")
        private Optional<String> hole = Optional.empty();

        @Option(names = "--take", paramLabel = "FILE", description = "write the job with the first route taken there")
        private Optional<Path> take = Optional.empty();

        @Override
        public Integer call() {
            try {
                Job job = JobFile.open(file);
                if (job.column().isEmpty()) {
                    throw new JobFileException(file.getFileName()
                            + ": this job has no column, so a route has nothing to begin and end with.");
                }
                RouteAnswer answer = RouteFinder.search(job, question(), telling(new Progress("Routes")));
                if (output.plain()) {
                    output.print(AnswerTables.routes(answer, output.unit()));
                } else {
                    print(RouteJson.write(answer));
                }
                if (take.isPresent()) {
                    if (answer.routes().isEmpty()) {
                        System.err.println("There is no such route, so nothing was written to " + take.get()
                                + ". Allow more joints or a smaller gap.");
                        return NOTHING_FOUND;
                    }
                    JobFile.save(take.get(), answer.routes().getFirst().job());
                }
                return 0;
            } catch (JobFileException | ImpossibleGeometryException e) {
                System.err.println(e.getMessage());
                return BAD_INPUT;
            }
        }

        private static RouteProgress telling(Progress progress) {
            return (done, _) -> {
                progress.at(done);
                return true;
            };
        }

        private static RouteQuestion.Hole hole(String text) throws JobFileException {
            String[] n = text.split(",", -1);
            try {
                if (n.length == 4) {
                    double[] v = Arrays.stream(n)
                            .mapToDouble(t -> Double.parseDouble(t.strip()))
                            .toArray();
                    return new RouteQuestion.Hole(new Point(v[0], v[1], v[2]), v[3]);
                }
            } catch (NumberFormatException e) {
                // Said below, as of too few.
            }
            throw new JobFileException(
                    "--hole \"" + text + "\" is not valid: give its middle and its diameter, like 250,330,700,60.");
        }

        private RouteQuestion question() throws JobFileException {
            String[] n = joints.split("-", -1);
            try {
                int from = Integer.parseInt(n[0].strip());
                return new RouteQuestion(
                        from,
                        n.length > 1 ? Integer.parseInt(n[1].strip()) : from,
                        gap,
                        -Math.abs(tilt),
                        Math.abs(tilt),
                        wheelFree,
                        bracket,
                        front,
                        wheelHeight,
                        wheelReach,
                        hole.isPresent() ? Optional.of(hole(hole.get())) : Optional.empty());
            } catch (NumberFormatException e) {
                throw new JobFileException(
                        "--joints \"" + joints + "\" is not valid: give the fewest and the most, like 1-3.");
            }
        }
    }

    @Command(
            name = "make",
            mixinStandardHelpOptions = true,
            description =
                    "Writes everything the bench needs of a job: job book, job card, tables as CSV, templates as PDF, SVG and DXF, jigs as STL.")
    static final class Make implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Option(
                names = "--out",
                paramLabel = "DIR",
                required = true,
                description = "the folder to write into; what has the same names there is replaced")
        private Path out = Path.of("");

        @Option(
                names = "--unit",
                paramLabel = "UNIT",
                description = "lengths on paper in: ${COMPLETION-CANDIDATES} (MM); CSV, SVG and DXF are always in mm")
        private LengthUnit unit = LengthUnit.MM;

        @Option(
                names = "--catalogue",
                paramLabel = "FILE",
                description = "take parts from this catalogue instead of the built-in one")
        private Optional<Path> catalogue = Optional.empty();

        @Override
        public Integer call() {
            try {
                Analysis analysis = Analysis.of(
                        JobFile.open(file),
                        Grid.USUAL,
                        catalogue.isPresent() ? CatalogueFile.open(catalogue.get()) : CatalogueFile.shipped());
                LocalDate today = LocalDate.now();
                StringBuilder said = new StringBuilder();
                Papers papers = Papers.of(analysis, today);
                for (Path p : PapersFiles.write(papers, unit, today, String.valueOf(file.getFileName()), out)) {
                    said.append(p).append(System.lineSeparator());
                }
                print(said.toString());
                Stream.concat(papers.cuts().open().stream(), papers.templates().open().stream())
                        .forEach(o -> System.err.println("Open: " + o.text(unit)));
                return 0;
            } catch (JobFileException e) {
                System.err.println(e.getMessage());
            } catch (IOException e) {
                System.err.println("The papers could not be written into " + out + ": " + SafeFiles.reason(e));
            }
            return BAD_INPUT;
        }
    }
}
