package mildtilt.app.workbench;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
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

    /** So many analyses are kept: the present one, the one it is compared with, and the one before. */
    private static final int KEPT = 3;

    /**
     * @param looked at findings: what their remedies would do is worked out, too
     * @param tilt whether how far the rack may be turned in its clamps is looked at, too
     */
    private record Order(Job job, Optional<Job> before, Catalogue catalogue, List<Finding> looked, boolean tilt) {

        boolean looksAt(Finding f) {
            return looked.stream().anyMatch(l -> l.same(f) && l.element().equals(f.element()));
        }
    }

    private final ExecutorService worker = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "analysis");
        t.setDaemon(true);
        return t;
    });
    private final AtomicReference<@Nullable Order> waiting = new AtomicReference<>();
    private final Consumer<AnalysisUpdate> done;
    private final Consumer<String> failed;
    private final Consumer<Boolean> busy;
    /** On the worker alone; the latest first. */
    private final Deque<Analysis> kept = new ArrayDeque<>();

    private final Map<Remedy, Effect> effects = new HashMap<>();
    private @Nullable Analysis effectsOf;

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

    void request(Job job, Optional<Job> before, Catalogue catalogue, List<Finding> looked, boolean tilt) {
        if (waiting.getAndSet(new Order(job, before, catalogue, List.copyOf(looked), tilt)) == null) {
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

    /** Tells the figures as soon as they are there, then again with what the remedies looked at would do. */
    private void analyse(Order order) {
        Analysis now = analysis(order.job, order.catalogue);
        Optional<Analysis> before = order.before.flatMap(b -> analysisOfBefore(b, order.catalogue));
        if (order.tilt) {
            tiltOfRack(now);
        }
        if (effectsOf != now) {
            effects.clear();
            effectsOf = now;
        }
        List<Remedy> missing = now.findings().stream()
                .filter(order::looksAt)
                .flatMap(f -> f.remedies().stream())
                .filter(r -> !effects.containsKey(r))
                .toList();
        tell(new AnalysisUpdate(now, before, Map.copyOf(effects), missing.isEmpty()));
        for (Remedy remedy : missing) {
            // A newer job makes these effects idle work: its own follow at once.
            if (waiting.get() != null) {
                return;
            }
            effects.put(remedy, now.effectOf(remedy));
        }
        if (!missing.isEmpty()) {
            tell(new AnalysisUpdate(now, before, Map.copyOf(effects), true));
        }
    }

    /** Where it can't be worked out the pane that shows it says so; all other figures stand. */
    private static void tiltOfRack(Analysis now) {
        try {
            now.column().ifPresent(c -> c.tilt().get());
        } catch (RuntimeException e) {
            LOG.warn("how far the rack may be turned could not be worked out", e);
        }
    }

    /** As it was worked out before, else anew, with the gaps of one that has the same. */
    private Analysis analysis(Job job, Catalogue catalogue) {
        Optional<Analysis> known = kept.stream()
                .filter(a -> a.job() == job && a.catalogue() == catalogue)
                .findFirst();
        Analysis a = known.or(() -> kept.stream()
                        .filter(k -> k.catalogue() == catalogue && k.sharesGaps(job))
                        .findFirst()
                        .map(k -> k.ofNext(job)))
                .orElseGet(() -> Analysis.of(job, Grid.USUAL, catalogue));
        kept.removeIf(k -> k == a);
        kept.addFirst(a);
        while (kept.size() > KEPT) {
            kept.removeLast();
        }
        return a;
    }

    private void tell(AnalysisUpdate worked) {
        Platform.runLater(() -> done.accept(worked));
    }

    /** Empty where it can't be worked out: what is compared with must not hinder what is there now. */
    private Optional<Analysis> analysisOfBefore(Job job, Catalogue catalogue) {
        try {
            return Optional.of(analysis(job, catalogue));
        } catch (RuntimeException e) {
            LOG.warn("what is compared with could not be worked out", e);
            return Optional.empty();
        }
    }

    @Override
    public void close() {
        worker.shutdownNow();
    }
}
