package mildtilt.trials.diagnose;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * One thing that may be wrong, as far as it fits.
 *
 * @param armsSwapped whether each arm is assumed to be on the other side
 * @param amounts what is off, and by how much
 * @param misfit sum of squares of what is left, each reading over its ±
 * @param left root of the same for each reading to spare, so in times the ± of the readings: about 1 where all is
 * explained
 * @param confidence 0 to 1, among all causes that are known
 * @param built the plan with this wrong
 */
public record Cause(
        boolean armsSwapped, List<Amount> amounts, double misfit, double left, double confidence, Job built) {

    /** @param mm the vehicle less the plan; @param sd its ± */
    public record Amount(Deviation what, double mm, double sd) {}

    public boolean asPlanned() {
        return !armsSwapped && amounts.isEmpty();
    }

    /** A plan with all of this wrong as well. @throws ImpossibleGeometryException if its parts can't be so */
    public Job onto(Job plan) {
        Job job = armsSwapped ? Deviation.armsSwapped(plan) : plan;
        for (Amount a : amounts) {
            job = a.what().apply(job, a.mm());
        }
        return job;
    }

    /** Whether it says all that another says, if nearly by the same amounts, and maybe more. */
    boolean alsoSays(Cause other) {
        return armsSwapped == other.armsSwapped
                && other.amounts.stream().allMatch(o -> amounts.stream()
                        .anyMatch(a -> a.what() == o.what()
                                && Math.abs(a.mm() - o.mm())
                                        < 2 * Math.hypot(a.sd(), o.sd()) + 0.1 * Math.abs(o.mm())));
    }

    /** "a rack 3.1 mm low and 1.4 mm to the left", with each ±. */
    public Phrase describe(Job plan) {
        if (asPlanned()) {
            return Phrase.of("the plan as it is");
        }
        Phrase p = armsSwapped ? Phrase.of("left and right steering arms swapped") : Phrase.of("");
        Map<Deviation.Part, List<Amount>> parts = amounts.stream()
                .collect(Collectors.groupingBy(a -> a.what().part(), LinkedHashMap::new, Collectors.toList()));
        boolean first = !armsSwapped;
        for (Map.Entry<Deviation.Part, List<Amount>> e : parts.entrySet()) {
            p = p.then((first ? "" : ", and ") + "the " + e.getKey().label(plan) + " ");
            first = false;
            boolean and = false;
            for (Amount a : e.getValue()) {
                p = p.then(and ? " and " : "")
                        .then(Phrase.of(
                                "{0} (± {1}) " + a.what().way(a.mm()),
                                Quantity.length(Math.abs(a.mm())),
                                Quantity.length(a.sd())));
                and = true;
            }
        }
        return p;
    }
}
