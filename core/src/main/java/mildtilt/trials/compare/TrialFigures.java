package mildtilt.trials.compare;

import java.util.List;
import mildtilt.analysis.Analysis;
import mildtilt.job.Job;
import mildtilt.job.Names;
import mildtilt.job.Trial;

/**
 * What the readings of one trial come to.
 *
 * @param names what parts are called; those of the plan as it was that are there no more as they were called then
 * @param then the plan as it was at the trial, among what is in the way now
 */
public record TrialFigures(
        Trial trial,
        Names names,
        Analysis then,
        List<AgainstPlan> figures,
        List<WallTrace> traces,
        List<PlateAngles.Row> plates,
        List<RunOutFit> runOuts) {

    public static TrialFigures of(Trial trial, Job job) {
        return of(trial, job, Analysis.of(trial.back(job)));
    }

    /** @param then of the trial's plan in this job: it takes longer than all else, and does not hang on the readings */
    public static TrialFigures of(Trial trial, Job job, Analysis then) {
        Job was = then.job();
        return new TrialFigures(
                trial,
                Names.of(job, trial.plan()),
                then,
                AgainstPlan.of(trial.sheet().figures(), then, job.log().tolerances()),
                WallTrace.of(trial.sheet(), then.train()),
                PlateAngles.of(trial.sheet(), was, then.train()),
                RunOutFit.of(trial.sheet().runOuts(), was.column(), job.rules().outOfLine()));
    }

    /** How many figures are not as planned, or past a limit. */
    public long out() {
        return figures.stream()
                .filter(f -> f.state() == AgainstPlan.State.OUT || f.state() == AgainstPlan.State.PAST_LIMIT)
                .count();
    }
}
