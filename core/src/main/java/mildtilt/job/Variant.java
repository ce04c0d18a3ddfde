package mildtilt.job;

import java.util.List;
import mildtilt.making.Making;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.Rules;
import mildtilt.survey.Survey;

/**
 * Another way to build the same vehicle, kept beside the plan.
 *
 * @param job without variants, changes, survey, making or log of its own: those are the plan's
 */
public record Variant(String name, Job job) {

    public Variant {
        if (!job.variants().isEmpty() || !job.changes().isEmpty() || !job.making().equals(Making.NONE) || !job.survey().equals(Survey.NONE) || !job.log().equals(FitLog.NONE)) {
            job = job.withVariants(List.of()).withChanges(List.of()).withMaking(Making.NONE).withSurvey(Survey.NONE).withLog(FitLog.NONE);
        }
    }

    Variant of(String title, String about, Rules rules, Surroundings surroundings) {
        return job.title().equals(title) && job.about().equals(about) && job.rules().equals(rules) && job.surroundings().equals(surroundings)
                ? this
                : new Variant(name, new Job(title, about, job.vehicle(), job.column(), job.axle(), job.targets(), rules, surroundings, Survey.NONE, Making.NONE, FitLog.NONE, List.of(), List.of()));
    }
}
