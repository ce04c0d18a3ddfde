package mildtilt.job;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import mildtilt.id.Id;
import mildtilt.photograph.TargetSheet;
import mildtilt.survey.PlacedSheet;

/** What the parts and points of a job are called today, for everything that refers to them by id. */
public final class Names implements Function<Id, String> {

    private final Map<Id, String> names;

    private Names(Map<Id, String> names) {
        this.names = names;
    }

    public static Names of(Job job) {
        Map<Id, String> all = new HashMap<>();
        // What was measured once and is gone is called as it was then.
        job.survey().points().forEach(p -> all.put(p.id(), p.name()));
        job.survey().photographs().forEach(p -> {
            all.put(p.id(), p.name());
            p.rectangle().ifPresent(r -> {
                for (int c = 0; c < r.corners().size(); c++) {
                    all.put(p.corner(c), "Corner " + (c + 1) + " of the rectangle");
                }
            });
        });
        if (!job.survey().photographs().isEmpty()) {
            for (int m = 1; m <= TargetSheet.ON_SHEET; m++) {
                all.put(PlacedSheet.mark(m), "Mark " + m + " of the sheet");
            }
        }
        all.putAll(FixedPart.names());
        job.column().ifPresent(c -> {
            c.shafts().forEach(s -> all.put(s.id(), s.name()));
            c.joints().forEach(j -> all.put(j.id(), j.name()));
            c.bearings().forEach(b -> all.put(b.id(), b.name()));
        });
        job.surroundings().obstacles().forEach(o -> all.put(o.id(), o.name()));
        JobPoints.of(job).forEach(p -> all.put(JobPoints.id(job, p), JobPoints.label(job, p)));
        return new Names(all);
    }

    /** As {@link #of(Job)}; what the plan of a trial alone has is called as in that plan. */
    public static Names of(Job job, Plan then) {
        Map<Id, String> all = new HashMap<>(of(job.withPlan(then)).names);
        all.putAll(of(job).names);
        return new Names(all);
    }

    @Override
    public String apply(Id id) {
        return names.getOrDefault(id, id + " (taken out)");
    }
}
