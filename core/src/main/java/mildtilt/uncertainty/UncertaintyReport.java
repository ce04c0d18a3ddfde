package mildtilt.uncertainty;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mildtilt.analysis.Headline;

/**
 * How sure the headline figures are.
 *
 * @param figures every headline that the plan has and that could be worked out often enough
 * @param again what to measure once more, the most helpful first
 * @param draws how often the plan was worked out so far
 * @param done part of the whole work that is done, 0 to 1
 * @param impossible how many of them could not be put together
 */
public record UncertaintyReport(
        Map<Headline, Figure> figures, List<Again> again, int draws, double done, int impossible) {

    /**
     * @param plan as the plan has it
     * @param spread ± of it, one standard deviation
     * @param least 5 % of the draws are below
     * @param most 5 % of the draws are above
     * @param draws it was worked out in; clearances take longer and are in fewer
     */
    public record Figure(double plan, double spread, double least, double most, int draws) {}

    /** What measuring one thing once more would do. @param gains the figures that it helps, most first */
    public record Again(String what, boolean surveyed, List<Gain> gains) {

        public Again {
            gains = gains.stream()
                    .sorted(Comparator.comparingDouble(Gain::part).reversed())
                    .toList();
        }

        /** How much it helps all figures together. */
        public double help() {
            return gains.stream().mapToDouble(Gain::part).sum();
        }

        public Optional<Gain> of(Headline h) {
            return gains.stream().filter(g -> g.headline == h).findFirst();
        }
    }

    /** @param before ± as it is now; @param after ± as it would be */
    public record Gain(Headline headline, double before, double after) {

        /** The part of the doubt that goes, 0 to 1. */
        public double part() {
            return before > 0 ? 1 - after / before : 0;
        }
    }

    public boolean finished() {
        return done >= 1;
    }

    /** What would help one figure most. */
    public Optional<Again> best(Headline h) {
        return again.stream()
                .filter(a -> a.of(h).isPresent())
                .max(Comparator.comparingDouble(a -> a.of(h).orElseThrow().part()));
    }
}
