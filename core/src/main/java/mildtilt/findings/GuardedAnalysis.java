package mildtilt.findings;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.units.Phrase;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Works an analysis out part by part. A part that fails becomes one finding that names it, and all other parts go on:
 * one bad
 * size must not hide what is known of the rest. May be used from several threads.
 */
public final class GuardedAnalysis {

    private static final Logger LOG = LoggerFactory.getLogger(GuardedAnalysis.class);

    private final List<Finding> findings = Collections.synchronizedList(new ArrayList<>());

    /**
     * Works one part out.
     *
     * @param part its name, as the beginning of "… could not be worked out"
     * @param at where in the train its failure is shown
     * @param instead what the rest goes on with if it fails
     */
    public <T> T attempt(String part, Element at, Supplier<T> work, T instead) {
        try {
            return work.get();
        } catch (RuntimeException | StackOverflowError e) {
            failed(part, at, e);
            return instead;
        }
    }

    /** Makes one check, which adds what it finds to the list it is given. What it found before it failed is kept. */
    public void check(String part, Element at, Consumer<List<Finding>> check) {
        List<Finding> found = new ArrayList<>();
        try {
            check.accept(found);
        } catch (RuntimeException | StackOverflowError e) {
            failed(part, at, e);
        } finally {
            findings.addAll(found);
        }
    }

    /** What was found and what failed, the gravest first. */
    public List<Finding> sorted() {
        List<Finding> all = new ArrayList<>(findings);
        all.sort(Comparator.comparing(Finding::severity).reversed().thenComparing(Finding::fault));
        return List.copyOf(all);
    }

    private void failed(String part, Element at, Throwable e) {
        String cause;
        if (e instanceof ImpossibleGeometryException) {
            cause = e.getMessage() + " ";
        } else {
            LOG.error("{} could not be worked out", part, e);
            cause = "Mild Tilt itself has a fault here. ";
        }
        findings.add(new Finding(
                Fault.NOT_WORKED_OUT,
                Severity.STOP,
                at,
                part,
                Phrase.of(Phrase.name(part) + " could not be worked out."),
                Phrase.of(
                        Phrase.name(cause)
                                + "This part was not checked: do not assume it is good. Everything else on this page is worked out. "
                                + "Look for a size or point that no real vehicle has, most likely the last one changed, and correct it."),
                List.of()));
    }
}
