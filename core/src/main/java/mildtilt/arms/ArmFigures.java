package mildtilt.arms;

import java.util.ArrayList;
import java.util.List;
import mildtilt.build.AsFound;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.units.Phrase;

/**
 * What to do to the arm of a used knuckle, so that it becomes the planned one.
 *
 * @param name with its side
 * @param steps in the order of the bench
 */
public record ArmFigures(KnuckleArm arm, String name, List<Phrase> steps) {

    /** Of every arm that was found and that the axle has; none without an axle. */
    public static List<ArmFigures> of(Job job) {
        List<ArmFigures> all = new ArrayList<>();
        AsFound found = job.making().asFound();
        job.axle().ifPresent(axle -> KnuckleArm.of(axle).forEach(arm -> {
            AsFound.ArmAsFound was = found.arms().get(arm);
            if (was != null) {
                Job before = job.withAxle(arm.with(axle, was.end(), arm.stud(axle)));
                all.add(new ArmFigures(arm, arm.label(axle), CutAndMove.steps(arm, before, job)));
            }
        }));
        return List.copyOf(all);
    }
}
