package mildtilt.solve;

import java.util.List;
import mildtilt.job.Job;
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

    /** With a wanted lock or turns the stops can be set again afterwards; otherwise they end the lock. */
    Until until() {
        return wants.stream().anyMatch(w -> switch (w.wish()) {
                    case LOCK, TURNS -> true;
                    case BUMP_STEER, NORMAL_BUMP_STEER, ACKERMANN, OUTER_TABLE, RATIO, TOGGLE, ROD_END -> false;
                })
                ? Until.GEAR_END
                : Until.FIRST_STOP;
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
