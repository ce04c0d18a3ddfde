package mildtilt.workout;

import java.util.List;
import mildtilt.job.Job;

/** What may move and how far, and what is wanted. The margins to over-centre and of the rod ends are kept without asking. */
public record Question(List<Freedom> freedoms, List<Want> wants) {

    public Question {
        freedoms = List.copyOf(freedoms);
        wants = List.copyOf(wants);
    }

    /** A goal with its usual reaches and values. */
    public static Question usual(Goal goal, Job job) {
        return new Question(goal.knobs(job).stream().map(k -> Freedom.either(k, k.usualReach())).toList(), goal.wants(job));
    }
}
