package mildtilt.app.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import mildtilt.analysis.Headlines;
import mildtilt.io.JobFileException;
import mildtilt.io.SafeFiles;
import mildtilt.io.jobfile.JobFile;
import mildtilt.io.json.UncertaintyJson;
import mildtilt.io.papers.TrialFiles;
import mildtilt.job.Job;
import mildtilt.report.AnswerTables;
import mildtilt.trials.instruments.InstrumentException;
import mildtilt.trials.instruments.SimulatedVehicle;
import mildtilt.trials.instruments.StandIn;
import mildtilt.uncertainty.MonteCarlo;
import mildtilt.uncertainty.UncertaintyReport;
import mildtilt.units.LengthUnit;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The command line of surveying and fitting: {@code sure}, {@code fit}, {@code instruments}. */
final class TrialCommands {

    private TrialCommands() {}

    @Command(
            name = "sure",
            mixinStandardHelpOptions = true,
            description =
                    "Recalculates a job many times with every point moved within its ±, and prints the uncertainty of each headline figure and what to measure again, as JSON.")
    static final class Sure implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Option(names = "--draws", paramLabel = "N", description = "how many times, from 20 to 100000 (1000)")
        private int draws = MonteCarlo.Settings.USUAL.draws();

        @Mixin
        private PlainOutput output = new PlainOutput();

        @Override
        public Integer call() {
            try {
                Job job = JobFile.open(file);
                Progress progress = new Progress("Draws");
                MonteCarlo.Settings settings = MonteCarlo.Settings.USUAL.withDraws(draws);
                Optional<Headlines> plan = Headlines.of(job);
                if (plan.isEmpty()) {
                    System.err.println(
                            file.getFileName() + ": the plan can't be assembled as it is, so it has no figures.");
                    return Main.BAD_INPUT;
                }
                UncertaintyReport report =
                        MonteCarlo.of(job, plan.get(), settings, so -> progress.at(so.done()), () -> false);
                if (output.plain()) {
                    output.print(AnswerTables.uncertainty(report));
                } else {
                    Main.print(UncertaintyJson.write(report));
                }
                return 0;
            } catch (JobFileException | IllegalArgumentException e) {
                System.err.println(e.getMessage());
                return Main.BAD_INPUT;
            }
        }
    }

    @Command(
            name = "fit",
            mixinStandardHelpOptions = true,
            description =
                    "Writes the log of a job's trials: planned against measured, wall traces, turn plates, run-out and what fits them as CSV, and an inspection sheet a vehicle as PDF.")
    static final class Fit implements Callable<Integer> {
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
                description = "lengths on paper in: ${COMPLETION-CANDIDATES} (MM); CSV is always in mm")
        private LengthUnit unit = LengthUnit.MM;

        @Override
        public Integer call() {
            try {
                Main.print(
                        TrialFiles.write(
                                        JobFile.open(file),
                                        unit,
                                        LocalDate.now(),
                                        String.valueOf(file.getFileName()),
                                        out)
                                .stream()
                                .map(p -> p + System.lineSeparator())
                                .collect(Collectors.joining()));
                return 0;
            } catch (JobFileException e) {
                System.err.println(e.getMessage());
            } catch (IOException e) {
                System.err.println("The log could not be written into " + out + ": " + SafeFiles.reason(e));
            }
            return Main.BAD_INPUT;
        }
    }

    @Command(
            name = "instruments",
            mixinStandardHelpOptions = true,
            description =
                    "Simulates instruments on this machine, measuring a vehicle built almost to a job's plan, until stopped.")
    static final class Instruments implements Callable<Integer> {
        @Parameters(paramLabel = "FILE", description = "a job file")
        private Path file = Path.of("");

        @Option(names = "--port", paramLabel = "N", description = "to listen on; 0 for any that is free (47110)")
        private int port = 47_110;

        @Option(
                names = "--seed",
                paramLabel = "N",
                description = "the same seed gives the same errors (default: from the clock)")
        private long seed = System.nanoTime();

        @Option(names = "--for", paramLabel = "SECONDS", description = "stop after this many seconds")
        private Optional<Integer> seconds = Optional.empty();

        @Override
        public Integer call() throws InterruptedException {
            if (port < 0 || port > 65_535) {
                System.err.println("A port is a whole number from 0 to 65535, not " + port + ".");
                return Main.BAD_INPUT;
            }
            try (StandIn standIn = new StandIn(SimulatedVehicle.builtTo(JobFile.open(file), seed), port, seed + 1)) {
                Main.print("Instruments answer on port " + standIn.port() + " of this machine. Ctrl-C stops them."
                        + System.lineSeparator());
                TimeUnit.SECONDS.sleep(seconds.orElse(Integer.MAX_VALUE));
                return 0;
            } catch (JobFileException | InstrumentException e) {
                System.err.println(e.getMessage());
                return Main.BAD_INPUT;
            }
        }
    }
}
