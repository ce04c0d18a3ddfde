package mildtilt.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Headline;
import mildtilt.app.shell.FindField.Found;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.glossary.Glossary;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;

/** Everything the search field can find in the open job. */
final class SearchIndex {

    private final Workbench bench;
    private final Commands commands;

    SearchIndex(Workbench bench, Commands commands) {
        this.bench = bench;
        this.commands = commands;
    }

    List<Found> all() {
        List<Found> all = new ArrayList<>();
        Job job = bench.job();
        for (Element e : Element.of(job)) {
            all.add(new Found("part", Element.label(job, e), () -> bench.showPart(Optional.of(e))));
        }
        bench.analysisProperty().get().ifPresent(w -> w.now()
                .findings()
                .forEach(f -> all.add(new Found("finding", f.headline(w.now().job()), () -> {
                    bench.sideTabProperty().set(SideTab.FINDINGS);
                    bench.requestedFindingProperty().set(Optional.of(f));
                    bench.requestedFindingProperty().set(Optional.empty());
                }))));
        all.addAll(commands.found());
        for (PointId p : JobPoints.of(job)) {
            all.add(new Found("point", Element.capital(JobPoints.label(job, p)), () -> point(p)));
        }
        bench.analysisProperty().get().ifPresent(w -> {
            for (Headline h : Headline.values()) {
                w.now()
                        .headlines()
                        .get(h)
                        .ifPresent(v -> all.add(new Found(
                                "figure  " + h.unit().format(v, bench.lengthUnit()),
                                h.label(),
                                () -> bench.glossaryTermProperty().set(Optional.of(h.label())))));
            }
        });
        Glossary.terms()
                .forEach(t -> all.add(new Found(
                        "glossary", t.name(), () -> bench.glossaryTermProperty().set(Optional.of(t.name())))));
        return all;
    }

    private void point(PointId p) {
        if (bench.stageProperty().get() == WorkStage.MAKE
                || bench.stageProperty().get() == WorkStage.TRIAL) {
            bench.stageProperty().set(WorkStage.COLUMN);
        }
        Element.of(bench.job()).stream()
                .filter(e -> Element.points(bench.job(), e).contains(p.onLeft()))
                .findFirst()
                .ifPresent(e -> bench.showPart(Optional.of(e)));
        bench.spotlightProperty()
                .set(Optional.of(new Workbench.Spotlight(List.of(JobPoints.position(bench.job(), p)))));
    }
}
