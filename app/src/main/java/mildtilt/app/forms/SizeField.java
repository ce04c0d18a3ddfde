package mildtilt.app.forms;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.controls.MeasureField;
import mildtilt.app.workbench.Workbench;
import mildtilt.job.Job;
import mildtilt.units.LengthText;
import mildtilt.units.LengthUnit;

/**
 * One size that can be typed: of a part, or of how something is made or measured.
 *
 * @param id what it is found by, whatever it is called: one for each size of a part
 * @param meaning how it is counted, where the label alone does not say; may be empty
 * @param value mm, degrees or a plain number, as the measure says; empty where it is not known
 * @param set the job with the size changed
 * @param clear the job with the size not known any more; empty where it must be known
 */
public record SizeField(
        String id,
        String label,
        String meaning,
        Measure measure,
        Optional<Double> value,
        BiFunction<Job, Double, Job> set,
        Optional<UnaryOperator<Job>> clear) {

    private static final int DECIMALS = 3;

    public enum Measure {
        LENGTH,
        ANGLE,
        NUMBER
    }

    public static SizeField length(String id, String label, double mm, BiFunction<Job, Double, Job> set) {
        return new SizeField(id, label, "", Measure.LENGTH, Optional.of(mm), set, Optional.empty());
    }

    public static SizeField angle(String id, String label, double deg, BiFunction<Job, Double, Job> set) {
        return new SizeField(id, label, "", Measure.ANGLE, Optional.of(deg), set, Optional.empty());
    }

    public static SizeField number(String id, String label, double value, BiFunction<Job, Double, Job> set) {
        return new SizeField(id, label, "", Measure.NUMBER, Optional.of(value), set, Optional.empty());
    }

    /** One that need not be known. */
    public static SizeField optional(
            String id,
            String label,
            Measure measure,
            Optional<Double> value,
            BiFunction<Job, Optional<Double>, Job> set) {
        return new SizeField(
                id,
                label,
                "",
                measure,
                value,
                (j, v) -> set.apply(j, Optional.of(v)),
                Optional.of(j -> set.apply(j, Optional.empty())));
    }

    public SizeField meaning(String text) {
        return new SizeField(id, label, text, measure, value, set, clear);
    }

    /** As it stands in the field. */
    public String text(LengthUnit unit) {
        return value.map(v -> text(v, unit)).orElse(MeasureField.NONE);
    }

    private String text(double v, LengthUnit unit) {
        return switch (measure) {
            case LENGTH -> LengthText.inField(v, unit);
            case ANGLE -> LengthText.trimmed(v, DECIMALS) + "°";
            case NUMBER -> LengthText.trimmed(v, DECIMALS);
        };
    }

    /** Of what was typed: mm, degrees or a number. @throws UnreadableMeasureException with a sentence for the user */
    private double read(String typed, LengthUnit unit) {
        return switch (measure) {
            case LENGTH -> LengthText.parse(typed, unit);
            case ANGLE -> LengthText.parseDegrees(typed);
            case NUMBER -> LengthText.parseNumber(typed);
        };
    }

    /**
     * The field to type it in, found by this size's id; what is typed changes the job.
     *
     * @param whose name of the part, for the list of changes; empty where the label says it
     */
    public MeasureField control(Workbench bench, String whose) {
        LengthUnit unit = bench.lengthUnit();
        String what = whose.isEmpty() ? label : label + " of " + whose;
        MeasureField field = clear.map(none -> MeasureField.optional(
                        text(unit),
                        t -> read(t, unit),
                        v -> bench.edit(
                                what + ": " + v.map(x -> text(x, unit)).orElse(MeasureField.NONE),
                                j -> v.map(x -> set.apply(j, x)).orElseGet(() -> none.apply(j))),
                        bench::refuse))
                .orElseGet(() -> new MeasureField(
                        text(unit),
                        t -> read(t, unit),
                        v -> bench.edit(what + ": " + text(v, unit), j -> set.apply(j, v)),
                        bench::refuse));
        field.setId(id);
        field.setAccessibleText(label);
        if (measure == Measure.LENGTH) {
            value.ifPresent(v -> field.exact(LengthText.editable(v, unit)));
        }
        return field;
    }
}
