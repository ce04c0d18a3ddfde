package mildtilt.trials.diagnose;

import java.util.List;
import mildtilt.job.Job;
import mildtilt.report.Cell;
import mildtilt.report.Table;
import mildtilt.units.Quantity;

/** Causes as a table. */
public final class CauseTable {

    private CauseTable() {}

    public static Table of(String trial, Diagnosis d, Job plan) {
        return new Table(
                "trial-causes",
                "Diagnosis: " + trial,
                List.of("trial", "cause", "confidence_pct", "left_times_spread"),
                List.of("Trial", "Cause", "Confidence", "Left unexplained"),
                d.causes().stream()
                        .map(c -> List.of(
                                Cell.of(trial),
                                Cell.of(c.describe(plan)),
                                Cell.of(Quantity.percent(100 * c.confidence())),
                                Cell.of(Quantity.times(c.left()))))
                        .toList());
    }
}
