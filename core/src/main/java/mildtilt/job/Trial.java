package mildtilt.job;

import java.util.function.UnaryOperator;
import mildtilt.trial.TrialSheet;

/**
 * One trial with the plan as it was then.
 *
 * @param plan vehicle, column, axle and wants only: what is in the way, and how it is made, are the job's
 */
public record Trial(TrialSheet sheet, Job plan) {

    public Trial {
        plan = plan.planAlone();
    }

    public Trial edit(UnaryOperator<TrialSheet> edit) {
        return new Trial(edit.apply(sheet), plan);
    }

    /** The job with this trial's plan in it again, everything else as it is. */
    public Job back(Job job) {
        return job.withSolution(plan);
    }
}
