package mildtilt.app.cli;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import mildtilt.analysis.SolveOutcome;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.io.jobfile.JobFile;
import mildtilt.job.Job;
import mildtilt.report.FigureTables;
import mildtilt.solve.DesignVariable;
import mildtilt.solve.Goal;
import mildtilt.solve.SolveAnswer;
import mildtilt.solve.SolveQuestion;
import mildtilt.solve.Target;
import mildtilt.solve.VariableBounds;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What to change for what is wanted. */
@Command(
        name = "solve",
        mixinStandardHelpOptions = true,
        description =
                "Says what to change for a goal, the fewest changes first, and all else that each answer changes.")
final class SolveCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "FILE", description = "a job file")
    private Path file = Path.of("");

    @Parameters(
            index = "1",
            paramLabel = "GOAL",
            description = "which: ${COMPLETION-CANDIDATES}",
            completionCandidates = GoalNames.class)
    private String goal = "";

    @Option(
            names = "--want",
            paramLabel = "WHAT=VALUE",
            description = "a target instead of the goal's own, such as rim-force=250, lock=32, normal-bump-steer=0.1")
    private Map<String, Double> wants = new LinkedHashMap<>();

    @Option(
            names = "--may",
            paramLabel = "WHAT=REACH",
            description =
                    "what may change, and how far either way, such as arm-length=20 (mm or degrees); only what is "
                            + "named then does")
    private Map<String, Double> may = new LinkedHashMap<>();

    @Option(names = "--before", paramLabel = "DEG", description = "lock stops act so far before anything else (1)")
    private double before = SolveOutcome.Stops.USUAL.beforeDeg();

    @Option(names = "--bolt", paramLabel = "MM", description = "lock-stop bolt from the steer axis (60)")
    private double bolt = SolveOutcome.Stops.USUAL.boltRadius();

    @Option(names = "--take", paramLabel = "FILE", description = "write the job with an answer applied there")
    private Optional<Path> take = Optional.empty();

    @Option(names = "--answer", paramLabel = "N", description = "which answer --take applies (1)")
    private int which = 1;

    @Mixin
    private TableOutput output = new TableOutput();

    @Override
    public Integer call() {
        try {
            Job job = JobFile.open(file);
            Goal asked = named(goal, Goal.values(), "goal");
            SolveQuestion question = question(job, asked);
            Progress progress = new Progress("Solving");
            SolveOutcome found = SolveOutcome.of(job, asked, question, new SolveOutcome.Stops(before, bolt), done -> {
                progress.at(done);
                return true;
            });
            output.print(List.of(FigureTables.answers(asked, found)));
            if (take.isPresent()) {
                return taken(job, found);
            }
            return found.answers().isEmpty() && !found.met() ? Main.NOTHING_FOUND : 0;
        } catch (JobFileException | ImpossibleGeometryException e) {
            System.err.println(e.getMessage());
            return Main.BAD_INPUT;
        }
    }

    private int taken(Job job, SolveOutcome found) throws JobFileException {
        Path to = take.orElseThrow();
        if (which < 1 || which > found.answers().size()) {
            System.err.println("There is no answer " + which + ", so nothing was written to " + to + ".");
            return Main.NOTHING_FOUND;
        }
        SolveAnswer answer = found.answers().get(which - 1).answer();
        JobFile.save(to, Main.checked(job.withPlan(answer.job().plan())));
        return 0;
    }

    private SolveQuestion question(Job job, Goal asked) throws JobFileException {
        if (!asked.isSearched() && !(wants.isEmpty() && may.isEmpty())) {
            throw new JobFileException("The goal " + code(asked) + " takes neither --want nor --may.");
        }
        Map<Target.Wish, Target> all = new LinkedHashMap<>();
        asked.wants(job).forEach(t -> all.put(t.wish(), t));
        List<DesignVariable> variables = asked.variables(job);
        if (job.axle().isEmpty() || asked.isSearched() && (all.isEmpty() || variables.isEmpty())) {
            throw new JobFileException(file.getFileName() + ": " + asked.needs());
        }
        for (Map.Entry<String, Double> w : wants.entrySet()) {
            Target.Wish wish = named(w.getKey(), Target.Wish.values(), "--want");
            all.put(wish, Target.of(wish, w.getValue()));
        }
        List<VariableBounds> freedoms = new ArrayList<>();
        for (Map.Entry<String, Double> m : may.entrySet()) {
            DesignVariable variable = named(m.getKey(), variables.toArray(DesignVariable[]::new), "--may");
            if (!VariableBounds.canReach(m.getValue())) {
                throw new JobFileException("--may " + m.getKey() + " needs a reach above 0, and up to "
                        + (int) VariableBounds.FURTHEST + ".");
            }
            freedoms.add(VariableBounds.either(variable, m.getValue()));
        }
        if (may.isEmpty()) {
            variables.forEach(v -> freedoms.add(VariableBounds.either(v, v.usualReach())));
        }
        return new SolveQuestion(freedoms, List.copyOf(all.values()));
    }

    private static <E extends Enum<E>> E named(String typed, E[] all, String what) throws JobFileException {
        return Arrays.stream(all)
                .filter(e -> code(e).equals(typed))
                .findFirst()
                .orElseThrow(() -> new JobFileException("There is no " + what + " \"" + typed + "\" here. There are: "
                        + Arrays.stream(all).map(SolveCommand::code).collect(Collectors.joining(", ")) + "."));
    }

    static final class GoalNames extends ArrayList<String> {
        private static final long serialVersionUID = 1L;

        GoalNames() {
            super(Arrays.stream(Goal.values()).map(SolveCommand::code).toList());
        }
    }

    private static String code(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
