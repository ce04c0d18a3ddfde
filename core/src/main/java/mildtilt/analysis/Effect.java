package mildtilt.analysis;

import java.util.List;
import mildtilt.findings.Finding;

/**
 * What a change of a job would do.
 *
 * @param changes of the headlines, in their order
 * @param brings what it would stop that was not stopped before: a cure of one thing may be the fault of another
 */
public record Effect(List<Headlines.Change> changes, List<Finding> brings) {

    /** Of a change that leaves parts that can't be. */
    public static final Effect NONE = new Effect(List.of(), List.of());

    public Effect {
        changes = List.copyOf(changes);
        brings = List.copyOf(brings);
    }

    public List<Headlines.Change> notable() {
        return changes.stream().filter(Headlines.Change::notable).toList();
    }
}
