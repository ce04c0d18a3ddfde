package mildtilt.analysis;

import java.util.List;
import java.util.Optional;
import mildtilt.findings.remedies.StopMoves;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.solve.ArmMatching;
import mildtilt.solve.Goal;
import mildtilt.solve.LockStops;
import mildtilt.solve.Progress;
import mildtilt.solve.SolveAnswer;
import mildtilt.solve.SolveQuestion;
import mildtilt.solve.Solver;
import mildtilt.units.Phrase;

/**
 * What came of asking for something.
 *
 * @param notes to be read before any answer
 * @param met whether what is wanted is met as it stands
 * @param answers the best first
 */
public record SolveOutcome(List<Phrase> notes, boolean met, List<Priced> answers) {

    /** An answer, and all else that it changes. */
    public record Priced(SolveAnswer answer, Effect effect) {}

    /**
     * How stops are set.
     *
     * @param beforeDeg how far before anything else ends the lock they act, degrees of inner wheel
     * @param boltRadius from the steer axis to where the bolt meets, mm
     */
    public record Stops(double beforeDeg, double boltRadius) {

        /** @throws ImpossibleGeometryException if a stop can't be set so */
        public Stops {
            if (!(beforeDeg >= 0 && beforeDeg < 30)) {
                throw new ImpossibleGeometryException(
                        "A stop can act from 0° up to 30° before anything else ends the lock.");
            }
            if (!(boltRadius >= 10 && boltRadius <= 500)) {
                throw new ImpossibleGeometryException(
                        "A stop's bolt can meet from 10 mm up to 500 mm from the steer axis.");
            }
        }

        public static final Stops USUAL = new Stops(StopMoves.BEFORE_DEG, 60);

        public Stops withBeforeDeg(double deg) {
            return new Stops(deg, boltRadius);
        }

        public Stops withBoltRadius(double mm) {
            return new Stops(beforeDeg, mm);
        }
    }

    public SolveOutcome {
        notes = List.copyOf(notes);
        answers = List.copyOf(answers);
    }

    /** @param stops for {@link Goal#LOCK_STOPS} alone */
    public static SolveOutcome of(Job job, Goal goal, SolveQuestion question, Stops stops, Progress progress) {
        Analysis now = Analysis.of(job);
        List<Priced> answers = answers(now, goal, question, stops, progress).stream()
                .map(a -> new Priced(a, now.effectOf(a.job())))
                .toList();
        return new SolveOutcome(
                notes(now, goal), !question.wants().isEmpty() && Solver.alreadyMet(job, question), answers);
    }

    private static List<SolveAnswer> answers(
            Analysis now, Goal goal, SolveQuestion question, Stops stops, Progress progress) {
        return switch (goal) {
            case LOCK_STOPS -> LockStops.of(now.job(), stops.beforeDeg, stops.boltRadius);
            case ARM_MATCH ->
                now.match().map(m -> ArmMatching.answers(now.job(), m)).orElse(List.of());
            case LEAST_BUMP_STEER, ARM_SHAPE, RATIO, FULL_TRAVEL, LIGHT_STEERING ->
                Solver.search(now.job(), question, progress);
        };
    }

    private static List<Phrase> notes(Analysis now, Goal goal) {
        return goal == Goal.ARM_MATCH
                ? now.match()
                        .map(ArmMatching::describe)
                        .orElse(List.of(Phrase.of(
                                "Nothing but the gear ends the lock, or the wheels do not follow it: say which "
                                        + "lock is wanted (Vehicle), or where stops and tyres are (Knuckles).")))
                : List.of();
    }

    /** What to say where there is no answer to a goal that is searched for; empty where there is nothing to say. */
    public Optional<String> nothing(Goal goal) {
        return met
                ? Optional.of("Already meets all targets.")
                : answers.isEmpty() && goal != Goal.ARM_MATCH
                        ? Optional.of(
                                "Nothing within these limits comes much closer. Widen the limits, let more change, "
                                        + "or lower the target.")
                        : Optional.empty();
    }
}
