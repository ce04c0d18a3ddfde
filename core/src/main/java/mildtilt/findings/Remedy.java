package mildtilt.findings;

import java.util.function.UnaryOperator;
import mildtilt.job.Job;
import mildtilt.units.Phrase;

/**
 * A change that cures or eases a fault.
 *
 * @param action what to do, as an order to the bench
 * @param edit the job with it done
 */
public record Remedy(Phrase action, UnaryOperator<Job> edit) {}
