package mildtilt.job;

import java.util.function.UnaryOperator;
import mildtilt.id.Id;
import mildtilt.trials.TrialSheet;

/**
 * One trial with the plan as it was then.
 *
 * @param plan only: what is in the way, and how it is made, are the job's
 */
public record Trial(Id id, TrialSheet sheet, Plan plan) {

    public Trial edit(UnaryOperator<TrialSheet> edit) {
        return new Trial(id, edit.apply(sheet), plan);
    }

    public String name() {
        return sheet.name();
    }

    /** The job with this trial's plan in it again, everything else as it is. */
    public Job back(Job job) {
        return job.withPlan(plan);
    }
}
