package mildtilt.app.workbench;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.application.Platform;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Effect;
import mildtilt.catalogue.Catalogue;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;
import mildtilt.steer.position.Grid;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Analyses jobs off the interface thread, one at a time; of those waiting only the newest is done. */
final class AnalysisRunner implements AutoCloseable {

    private static final Logger LOG = LoggerFactory.getLogger(AnalysisRunner.class);

    /** @param effects whether those of the remedies are worked out too: not while something is dragged */
    private record Order(Job job, Optional<Job> before, Catalogue catalogue, boolean effects) {}

    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "analysis");
        t.setDaemon(true);
        return t;
    });
    private final AtomicReference<@Nullable Order> waiting = new AtomicReference<>();
    private final Consumer<AnalysisUpdate> done;
    private final Consumer<String> failed;
    private final Consumer<Boolean> busy;
    private @Nullable Analysis lastBefore;

    /**
     * All are called on the interface thread.
     *
     * @param busy told when work begins and when there is none left
     */
    AnalysisRunner(Consumer<AnalysisUpdate> done, Consumer<String> failed, Consumer<Boolean> busy) {
        this.done = done;
        this.failed = failed;
        this.busy = busy;
    }

    void request(Job job, Optional<Job> before, Catalogue catalogue, boolean effects) {
        if (waiting.getAndSet(new Order(job, before, catalogue, effects)) == null) {
            worker.execute(this::work);
        }
    }

    private void work() {
        Order order = waiting.getAndSet(null);
        if (order == null) {
            return;
        }
        Platform.runLater(() -> busy.accept(true));
        try {
            analyse(order);
        } catch (RuntimeException | Error e) {
            LOG.error("analysis failed", e);
            Platform.runLater(() -> failed.accept(sentence(e)));
        } finally {
            boolean more = waiting.get() != null;
            Platform.runLater(() -> busy.accept(more));
        }
    }

    private static String sentence(Throwable e) {
        return switch (e) {
            case OutOfMemoryError _ ->
                "There is not enough memory to work this job out. Take out or thin the largest scans; nothing of the job is lost.";
            case ImpossibleGeometryException g ->
                "This job can't be worked out. " + g.getMessage() + " Undo the last change, or correct it.";
            default ->
                "This job can't be worked out: Mild Tilt itself has a fault here. Undo the last change; the job is as you left it.";
        };
    }

    /** Tells the figures as soon as they are there, then again with the effects. */
    private void analyse(Order order) {
        Analysis now = Analysis.of(order.job, Grid.USUAL, order.catalogue);
        Optional<Analysis> before = order.before.flatMap(b -> analysisOfBefore(b, order.catalogue));
        boolean none = now.findings().stream().allMatch(f -> f.remedies().isEmpty());
        tell(new AnalysisUpdate(now, before, Map.of(), none));
        if (none || !order.effects) {
            return;
        }
        Map<Remedy, Effect> effects = new HashMap<>();
        for (Finding finding : now.findings()) {
            for (Remedy remedy : finding.remedies()) {
                // A newer job makes these effects idle work: its own follow at once.
                if (waiting.get() != null) {
                    return;
                }
                effects.put(remedy, now.effectOf(remedy));
            }
        }
        tell(new AnalysisUpdate(now, before, effects, true));
    }

    private void tell(AnalysisUpdate worked) {
        Platform.runLater(() -> done.accept(worked));
    }

    /** Empty where it can't be worked out: what is compared with must not hinder what is there now. */
    private Optional<Analysis> analysisOfBefore(Job job, Catalogue catalogue) {
        if (lastBefore == null || lastBefore.job() != job || lastBefore.catalogue() != catalogue) {
            try {
                lastBefore = Analysis.of(job, Grid.USUAL, catalogue);
            } catch (RuntimeException e) {
                LOG.warn("what is compared with could not be worked out", e);
                lastBefore = null;
            }
        }
        return Optional.ofNullable(lastBefore);
    }

    @Override
    public void close() {
        worker.shutdownNow();
    }
}
