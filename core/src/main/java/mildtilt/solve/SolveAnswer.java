package mildtilt.solve;

import java.util.List;
import mildtilt.job.Job;
import mildtilt.units.Phrase;

/**
 * One way to do it.
 *
 * @param orders what to do, each an order to the bench
 * @param meets whether all that was wanted is met
 * @param missing what is not met, if anything
 * @param job with it done
 */
public record SolveAnswer(List<Phrase> orders, boolean meets, List<Phrase> missing, Job job) {

    public SolveAnswer {
        orders = List.copyOf(orders);
        missing = List.copyOf(missing);
    }

    /** The orders as one sentence. */
    public Phrase sentence() {
        Phrase all = Phrase.of("");
        for (int i = 0; i < orders.size(); i++) {
            all = all.then(i == 0 ? "" : "; ").then(i == 0 ? orders.get(i) : lower(orders.get(i)));
        }
        return all;
    }

    private static Phrase lower(Phrase p) {
        return new Phrase(
                Character.toLowerCase(p.pattern().charAt(0)) + p.pattern().substring(1), p.measures());
    }
}
