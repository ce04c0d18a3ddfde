package mildtilt.job;

import java.util.List;
import mildtilt.obstacle.Surroundings;
import mildtilt.rules.Rules;

/**
 * Another way to build the same vehicle, kept beside the plan.
 *
 * @param job without variants of its own
 */
public record Variant(String name, Job job) {

    public Variant {
        if (!job.variants().isEmpty()) {
            job = job.withVariants(List.of());
        }
    }

    Variant of(String title, String about, Rules rules, Surroundings surroundings) {
        return job.title().equals(title) && job.about().equals(about) && job.rules().equals(rules) && job.surroundings().equals(surroundings)
                ? this
                : new Variant(name, new Job(title, about, job.vehicle(), job.column(), job.axle(), job.targets(), rules, surroundings, List.of()));
    }
}
