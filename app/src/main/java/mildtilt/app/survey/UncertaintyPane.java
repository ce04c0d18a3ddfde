package mildtilt.app.survey;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.ProgressBar;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.app.controls.Wrap;
import mildtilt.app.forms.FormPane;
import mildtilt.app.workbench.AnalysisUpdate;
import mildtilt.app.workbench.SideTab;
import mildtilt.app.workbench.WorkStage;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import mildtilt.survey.StatedUncertainty;
import mildtilt.uncertainty.MonteCarlo;
import mildtilt.uncertainty.UncertaintyReport;
import mildtilt.uncertainty.UncertaintyReport.Again;
import mildtilt.uncertainty.UncertaintyReport.Figure;
import mildtilt.uncertainty.UncertaintyReport.Gain;
import org.jspecify.annotations.Nullable;

/**
 * How sure every headline figure is, and what to measure once more first. Worked out beside the interface while it is
 * looked at.
 */
public final class UncertaintyPane extends FormPane {

    private static final int TOLD = 8;

    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "sureness");
        t.setDaemon(true);
        t.setPriority(Thread.MIN_PRIORITY);
        return t;
    });
    private AtomicBoolean stop = new AtomicBoolean();
    private @Nullable Job asked;
    private Optional<UncertaintyReport> sure = Optional.empty();
    private Optional<Headline> about = Optional.empty();

    public UncertaintyPane(Workbench bench) {
        super(bench, "uncertainty-pane");
        Stream.<ObservableValue<?>>of(bench.analysisProperty(), bench.stageProperty(), bench.sideTabProperty())
                .forEach(o -> o.addListener((_, _, _) -> ask()));
        ask();
        refresh();
    }

    private boolean reviewed() {
        return bench.stageProperty().get() == WorkStage.SURVEY
                && bench.sideTabProperty().get() == SideTab.UNCERTAINTY;
    }

    private void ask() {
        Optional<Analysis> plan = bench.analysisProperty().get().map(AnalysisUpdate::now);
        if (asked != null && (asked != bench.job() || !reviewed())) {
            stop.set(true);
        }
        if (!reviewed() || plan.filter(a -> a.job() == bench.job()).isEmpty() || asked == bench.job()) {
            return;
        }
        start(plan.get());
    }

    private void start(Analysis plan) {
        stop.set(true);
        AtomicBoolean mine = new AtomicBoolean();
        stop = mine;
        Job job = plan.job();
        asked = job;
        sure = Optional.empty();
        worker.execute(() -> {
            try {
                tell(
                        mine,
                        MonteCarlo.of(job, plan.headlines(), MonteCarlo.Settings.USUAL, s -> tell(mine, s), mine::get));
            } catch (RuntimeException e) {
                Platform.runLater(() -> bench.refuse("The uncertainty could not be worked out: " + e.getMessage()));
            }
        });
        showAgain();
    }

    private void tell(AtomicBoolean mine, UncertaintyReport s) {
        Platform.runLater(() -> {
            if (mine == stop && asked == bench.job()) {
                sure = Optional.of(s);
                refresh();
            }
        });
    }

    @Override
    protected Optional<String> missing(AnalysisUpdate worked) {
        return Optional.empty();
    }

    @Override
    protected Object basis(AnalysisUpdate worked) {
        // A field that is being typed in is not taken away every second: while it works the figures follow by tenths of
        // the way.
        return List.of(
                new SameOnly(bench.job()), sure.map(s -> (int) (s.done() * 20)).orElse(-1), stop.get());
    }

    @Override
    protected void show(AnalysisUpdate worked) {
        StatedUncertainty stated = bench.job().survey().stated();
        hint(
                "The plan is recalculated a thousand times with every point moved within its ±: surveyed points by the survey, all others as stated here. Two results in three lie within the ± shown.");
        row(
                length(
                        "Points not surveyed ±",
                        "sure-point",
                        stated.point(),
                        (j, v) -> j.editSurvey(s -> s.withStated(s.stated().withPoint(v)))),
                angle(
                        "Forks clocked ±",
                        "sure-clocking",
                        stated.clockingDeg(),
                        (j, v) -> j.editSurvey(s -> s.withStated(s.stated().withClockingDeg(v)))),
                length(
                        "Measured again to ±",
                        "sure-again",
                        stated.again(),
                        (j, v) -> j.editSurvey(s -> s.withStated(s.stated().withAgain(v)))));
        progress();
        sure.ifPresent(s -> {
            if (s.impossible() > 0) {
                add(Wrap.text(
                        "! In " + s.impossible() + " of " + s.draws()
                                + " the wheels or the column could not be put together: their ± is larger than the room to their limits.",
                        "brings"));
            }
            again(s);
            figures(s);
        });
    }

    private void progress() {
        double done = sure.map(UncertaintyReport::done).orElse(0.0);
        if (done >= 1) {
            return;
        }
        ProgressBar bar = new ProgressBar(done);
        bar.setMaxWidth(Double.MAX_VALUE);
        bar.setAccessibleText("Worked out so far");
        add(bar);
        if (stop.get()) {
            row(small("Go on from the beginning", "sure-start", () -> bench.analysisProperty()
                    .get()
                    .ifPresent(w -> start(w.now()))));
        } else {
            row(
                    named(
                            " ",
                            Wrap.text(sure.map(s -> s.draws() + " times so far").orElse("Working it out …"), "hint")),
                    small("Stop", "sure-stop", () -> {
                        stop.set(true);
                        showAgain();
                    }));
        }
    }

    private void again(UncertaintyReport s) {
        head("Measure again first");
        if (s.again().isEmpty()) {
            hint(
                    s.finished()
                            ? "Measuring any one point again would not narrow any figure noticeably."
                            : "Shown when the run is finished.");
            return;
        }
        List<Headline> from =
                s.figures().keySet().stream().filter(h -> s.best(h).isPresent()).toList();
        row(named(
                "To narrow",
                choiceBox(
                        "sure-about",
                        Stream.concat(
                                        Stream.of(Optional.<Headline>empty()),
                                        from.stream().map(Optional::of))
                                .toList(),
                        Optional.of(about.filter(from::contains)),
                        h -> h.map(Headline::label).orElse("all figures together"),
                        h -> {
                            about = h;
                            showAgain();
                        })));
        List<Again> ranked = about.filter(from::contains)
                .map(h -> s.again().stream()
                        .filter(a -> a.of(h).isPresent())
                        .sorted((a, b) -> Double.compare(
                                b.of(h).orElseThrow().part(),
                                a.of(h).orElseThrow().part()))
                        .toList())
                .orElse(s.again());
        int n = 0;
        for (Again a : ranked.stream().limit(TOLD).toList()) {
            say(++n + ". " + a.what() + (a.surveyed() ? " (surveyed)" : ""));
            List<Gain> gains = about.flatMap(a::of)
                    .map(List::of)
                    // A spread that shows as 0 before and after says nothing.
                    .orElse(a.gains().stream()
                            .filter(g -> !shown(g, g.before()).equals(shown(g, g.after())))
                            .limit(3)
                            .toList());
            hint(gains.stream().map(this::words).collect(Collectors.joining("; ")));
        }
    }

    private String words(Gain g) {
        return g.headline().label() + " ± " + shown(g, g.before()) + " → ± " + shown(g, g.after());
    }

    private String shown(Gain g, double spread) {
        return g.headline().unit().format(spread, bench.lengthUnit());
    }

    private void figures(UncertaintyReport s) {
        head("Every figure");
        table(
                List.of("", "Plan", "±"),
                s.figures().entrySet().stream()
                        .map(e -> {
                            Headline h = e.getKey();
                            Figure f = e.getValue();
                            return List.of(
                                    h.label() + "\n" + h.unit().format(f.least(), bench.lengthUnit()) + " to "
                                            + h.unit().format(f.most(), bench.lengthUnit()),
                                    h.unit().format(f.plan(), bench.lengthUnit()),
                                    h.unit().format(f.spread(), bench.lengthUnit()));
                        })
                        .toList());
        hint(
                "Under each figure: the range that holds nine results in ten. A planned figure outside it, as with peak-to-peak figures, is reached only if every point is exactly as planned.");
    }
}
