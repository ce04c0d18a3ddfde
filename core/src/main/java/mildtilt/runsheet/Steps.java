package mildtilt.runsheet;

import java.util.List;
import mildtilt.geometry.Point;
import mildtilt.runsheet.RunStep.Need;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Steps in the making: each with what must come before it, what must be held and which measure proves it. */
abstract class Steps {

    protected final StepList.Basis b;
    private final List<RunStep> steps;

    /** @param steps the list that they are added to */
    Steps(StepList.Basis basis, List<RunStep> steps) {
        b = basis;
        this.steps = steps;
    }

    protected final void step(
            String key,
            String title,
            double hours,
            double wait,
            String tools,
            List<Need> needs,
            List<Phrase> measure,
            List<String> cautions) {
        steps.add(new RunStep(key, title, needs, measure, tools, wait, cautions, hours, false, "", Phrase.of("")));
    }

    /** Of the step made last. @param held what must be held meanwhile @param proof which measure proves it */
    protected final void proven(String held, Phrase proof) {
        steps.add(steps.removeLast().withProof(held, proof));
    }

    protected static Need need(String key, String why) {
        return new Need(key, why);
    }

    protected static Phrase at(String what, Point p) {
        return Phrase.of(
                what + " at x {0}, y {1}, z {2}.",
                Quantity.length(p.x()),
                Quantity.length(p.y()),
                Quantity.length(p.z()));
    }

    protected static Phrase at(String what, Point p, double along) {
        return Phrase.of(
                what + " at x {0}, y {1}, z {2}.",
                Quantity.length(p.x()),
                Quantity.length(p.y()),
                Quantity.length(p.z()),
                Quantity.length(along));
    }
}
