package mildtilt.runsheet;

import java.util.List;
import mildtilt.units.Phrase;
import mildtilt.withers.Withers;

/**
 * One step of the work.
 *
 * @param key the same in every job, so that what was ticked stays with its step
 * @param needs what must be done before it, and why
 * @param measure what to measure, with the plan's figures
 * @param tools to have at hand
 * @param waitDays before the next can begin: cooling, drying, an inspector
 * @param cautions that this step needs
 * @param hours it usually takes
 * @param own whether it was added by hand
 * @param held what must be held meanwhile; empty for nothing
 * @param proof the measure that proves it done; empty for a step added by hand
 */
@Withers
public record RunStep(
        String key,
        String title,
        List<Need> needs,
        List<Phrase> measure,
        String tools,
        double waitDays,
        List<String> cautions,
        double hours,
        boolean own,
        String held,
        Phrase proof)
        implements RunStepBuilder.With {

    /** @param key of the step that comes first */
    public record Need(String key, String why) {}

    public RunStep {
        needs = List.copyOf(needs);
        measure = List.copyOf(measure);
        cautions = List.copyOf(cautions);
    }

    public RunStep withProof(String hold, Phrase measure) {
        return withHeld(hold).withProof(measure);
    }
}
