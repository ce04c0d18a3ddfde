package mildtilt.solve;

import java.util.List;
import java.util.Optional;
import mildtilt.job.Job;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.QuickFigures.Until;

/**
 * What may move and how far, and what is wanted. The margins to over-centre and of the rod ends are kept without
 * asking.
 */
public record SolveQuestion(List<VariableBounds> freedoms, List<Target> wants) {

    public SolveQuestion {
        freedoms = List.copyOf(freedoms);
        wants = List.copyOf(wants);
    }

    /**
     * With a wanted lock or turns the stops can be set again afterwards; otherwise they end the lock. What forces there
     * are is asked of the vehicle as it stands.
     */
    Until until() {
        return !forces() && wants.stream().anyMatch(w -> w.wish().endsTheLock()) ? Until.GEAR_END : Until.FIRST_STOP;
    }

    /** What is asked about, of a job; empty if it can't be built or does not steer the right way. */
    Optional<QuickFigures> measured(Job job) {
        return forces() ? QuickFigures.withForces(job, until()) : QuickFigures.of(job, until());
    }

    private boolean forces() {
        return wants.stream().anyMatch(w -> w.wish().isForce());
    }

    /** A goal with its usual reaches and values. */
    public static SolveQuestion usual(Goal goal, Job job) {
        return new SolveQuestion(
                goal.variables(job).stream()
                        .map(k -> VariableBounds.either(k, k.usualReach()))
                        .toList(),
                goal.wants(job));
    }
}
