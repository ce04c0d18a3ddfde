package mildtilt.app.part;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.job.Job;

/**
 * One size of a part that can be typed.
 *
 * @param id what it is found by, whatever it is called: one for each size of a part
 * @param meaning how it is counted, where the label alone does not say; may be empty
 * @param value mm, degrees or a plain number, as the measure says; empty where it is not known
 * @param set the job with the size changed
 * @param clear the job with the size not known any more; empty where it must be known
 */
record PartField(
        String id,
        String label,
        String meaning,
        Measure measure,
        Optional<Double> value,
        BiFunction<Job, Double, Job> set,
        Optional<UnaryOperator<Job>> clear) {

    enum Measure {
        LENGTH,
        ANGLE,
        NUMBER
    }

    static PartField length(String id, String label, double mm, BiFunction<Job, Double, Job> set) {
        return new PartField(id, label, "", Measure.LENGTH, Optional.of(mm), set, Optional.empty());
    }

    static PartField angle(String id, String label, double deg, BiFunction<Job, Double, Job> set) {
        return new PartField(id, label, "", Measure.ANGLE, Optional.of(deg), set, Optional.empty());
    }

    static PartField number(String id, String label, double value, BiFunction<Job, Double, Job> set) {
        return new PartField(id, label, "", Measure.NUMBER, Optional.of(value), set, Optional.empty());
    }

    /** One that need not be known. */
    static PartField optional(
            String id,
            String label,
            Measure measure,
            Optional<Double> value,
            BiFunction<Job, Optional<Double>, Job> set) {
        return new PartField(
                id,
                label,
                "",
                measure,
                value,
                (j, v) -> set.apply(j, Optional.of(v)),
                Optional.of(j -> set.apply(j, Optional.empty())));
    }

    PartField meaning(String text) {
        return new PartField(id, label, text, measure, value, set, clear);
    }
}
