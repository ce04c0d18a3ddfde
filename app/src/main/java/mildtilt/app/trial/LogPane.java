package mildtilt.app.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Headline;
import mildtilt.analysis.Headlines;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Change;
import mildtilt.job.Trial;

/** Every change of the plan with its reason, and the plan of a trial beside the plan of today. */
final class LogPane extends TrialPane {

    private static final int SHOWN = 40;

    LogPane(Workbench bench, TrialDesk desk) {
        super(bench, desk, "trial-log");
        refresh();
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        return List.of(super.basis(worked), new SameOnly(worked.now()));
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        title(
                "Log",
                "What was done to the plan and why, newest first. Readings, ticks and reasons have their own dates and don't change the plan.");
        desk.trial().ifPresent(t -> desk.result().ifPresent(d -> show(t, d)));
        head("Changes of the plan");
        List<Change> all = bench.job().changes();
        if (all.isEmpty()) {
            hint("No changes logged yet.");
        }
        for (int i = all.size() - 1; i >= Math.max(0, all.size() - SHOWN); i--) {
            int at = i;
            Change c = all.get(i);
            row(words(c.at().toString().replace('T', ' ') + "   " + c.what(), "log-why-" + i, c.why(), 420, (j, t) -> {
                List<Change> changed = new ArrayList<>(j.changes());
                changed.set(at, changed.get(at).withWhy(t));
                return j.withChanges(changed);
            }));
        }
        if (all.size() > SHOWN) {
            hint((all.size() - SHOWN) + " older ones are in the job book and in the CSV.");
        }
    }

    @Override
    protected void show(Trial t, TrialDesk.TrialResult result) {
        head("The plan of " + t.sheet().name() + " beside the plan now");
        Headlines then = result.figures().then().headlines();
        List<List<String>> rows = new ArrayList<>();
        bench.analysisProperty().get().map(AnalysisUpdate::now).ifPresent(now -> {
            for (Headlines.Change c : then.against(now.headlines())) {
                if (c.notable()) {
                    Headline h = c.headline();
                    rows.add(List.of(
                            h.label(),
                            c.before()
                                    .map(v -> h.unit().format(v, bench.lengthUnit()))
                                    .orElse("none"),
                            c.after()
                                    .map(v -> h.unit().format(v, bench.lengthUnit()))
                                    .orElse("none")));
                }
            }
        });
        if (rows.isEmpty()) {
            say("No headline figure differs.");
        } else {
            table(List.of("", "Then", "Now"), rows);
        }
        row(
                small(
                        "Keep that plan as a variant",
                        "log-keep",
                        () -> bench.edit(
                                "Keep the plan of " + t.sheet().name() + " as a variant",
                                j -> j.editVariants(v -> v.keeping("as at " + t.name(), t.plan())))),
                small(
                        "Go back to that plan",
                        "log-back",
                        () -> bench.edit("Back to the plan of " + t.sheet().name(), "", t::back)));
        hint("A variant can be laid beside the plan, figure for figure, in the Linkage stage.");
    }
}
