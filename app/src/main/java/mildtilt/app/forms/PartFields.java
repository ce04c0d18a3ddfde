package mildtilt.app.forms;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.forms.SizeField.Measure;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.JobPlace;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.describe.Range;
import mildtilt.describe.RefusalText;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Job;

/**
 * The sizes of a part that can be typed: every one that its description has a label for, in the order of the
 * description.
 */
public final class PartFields {

    private final JobPlace at;
    private final String after;
    private final Set<String> leftOut;
    private final List<SizeField> all = new ArrayList<>();

    private PartFields(JobPlace at, String after, Set<String> leftOut) {
        this.at = at;
        this.after = after;
        this.leftOut = leftOut;
    }

    /** How a part is changed where it stands in the job. */
    public interface Edit<T> {
        Job apply(Job job, UnaryOperator<T> change);
    }

    /**
     * @param at where the part stands in a job, for the sentence that refuses a size
     * @param after each label, such as ", left"
     * @param leftOut keys of sizes that are not shown
     */
    public static <T> List<SizeField> of(
            JobPlace at, Form<T> form, T value, String after, Edit<T> edit, String... leftOut) {
        PartFields fields = new PartFields(at, after, Set.of(leftOut));
        fields.add(form, value, edit);
        return fields.all;
    }

    /** One size of a part, by its key. */
    public static <T> SizeField one(JobPlace at, Part<T> part, String key, T value, Edit<T> edit) {
        PartFields fields = new PartFields(at, "", Set.of());
        fields.add(part, part.field(key), value, edit);
        return fields.all.getFirst();
    }

    @SuppressWarnings("unchecked")
    private <T> void add(Form<T> form, T value, Edit<T> edit) {
        switch (form) {
            case Part<T> p -> p.fields().forEach(f -> add(p, f, value, edit));
            case Form.Kinds<T> k ->
                add((Form<T>) Objects.requireNonNull(k.kinds().get(k.word(value))), value, edit);
            case Form.Either<T> e -> add((Form<T>) e.of(value).form(), value, edit);
            case Form.Under<T> u -> add(u.part(), value, edit);
            case Form.Packed _ -> {}
        }
    }

    private <T, V> void add(Part<T> part, Field<T, V> f, T value, Edit<T> edit) {
        switch (f.shape()) {
            case Shape.Keyed<V> k -> {
                if (!f.label().isEmpty() && !leftOut.contains(k.key())) {
                    keyed(part, f, k, value, edit);
                }
            }
            case Shape.Inline<V> i ->
                add(
                        i.form(),
                        f.get().apply(value),
                        (j, change) -> edit.apply(
                                j,
                                t -> part.with(
                                        t, f, Optional.of(change.apply(f.get().apply(t))))));
            case Shape.Constant _, Shape.Fixed _ -> {}
        }
    }

    private <T, V> void keyed(Part<T> part, Field<T, V> f, Shape.Keyed<V> k, T value, Edit<T> edit) {
        Optional<Object> now = Optional.ofNullable(f.of(value));
        String id = at.in(k.key()).id();
        String label = f.label() + after;
        BiFunction<Job, Optional<?>, Job> set = (j, v) -> edit.apply(j, t -> part.with(t, f, v));
        Optional<UnaryOperator<Job>> clear = k.presence() instanceof Presence.May<V>
                ? Optional.of(j -> set.apply(j, Optional.empty()))
                : Optional.empty();
        String meaning = RefusalText.capital(f.help()) + ".";
        switch (k.kind()) {
            case Kind.Size s ->
                all.add(new SizeField(
                        id,
                        label,
                        meaning,
                        measure(k.key()),
                        now.map(Double.class::cast),
                        (j, v) -> set.apply(j, Optional.of(within(at.in(k.key()), v, s.range()))),
                        clear));
            case Kind.Whole w ->
                all.add(new SizeField(
                        id,
                        label,
                        meaning,
                        Measure.NUMBER,
                        now.map(n -> ((Integer) n).doubleValue()),
                        (j, v) -> set.apply(j, Optional.of(whole(w, f.label(), v, k.key()))),
                        clear));
            case Kind.Heading _ ->
                now.map(Direction.class::cast)
                        .ifPresent(d ->
                                all.addAll(direction(id, f.label(), after, d, (j, n) -> set.apply(j, Optional.of(n)))));
            default -> throw new IllegalStateException("a label on " + k.key() + ", which is no size");
        }
    }

    private static Measure measure(String key) {
        return key.endsWith("_mm") ? Measure.LENGTH : key.endsWith("_deg") ? Measure.ANGLE : Measure.NUMBER;
    }

    /** Refused as in a file, before the part is built. */
    public static double within(JobPlace at, double v, Range range) {
        if (!range.holds(v)) {
            throw new ImpossibleGeometryException(RefusalText.outOfRange(at, v, range));
        }
        return v;
    }

    private int whole(Kind.Whole kind, String label, double v, String key) {
        if (v != Math.rint(v)) {
            throw new ImpossibleGeometryException(label + " come whole.");
        }
        if (v < kind.least() || v > kind.most()) {
            throw new ImpossibleGeometryException(
                    RefusalText.outOfRange(at.in(key), (int) v, kind.least(), kind.most()));
        }
        return (int) v;
    }

    /** A direction as an angle finder and a compass on the floor tell it. */
    private static List<SizeField> direction(
            String id, String what, String after, Direction d, BiFunction<Job, Direction, Job> set) {
        double lean = Math.toDegrees(Math.atan2(Math.hypot(d.x(), d.y()), d.z()));
        double toward = Math.toDegrees(Math.atan2(d.y(), d.x()));
        List<SizeField> all = new ArrayList<>(List.of(SizeField.angle(
                        id + "-lean",
                        what + after + " leans from upright",
                        lean,
                        (j, v) -> set.apply(j, leaning(v, toward)))
                .meaning("0° points straight up, 90° lies level, 180° points down.")));
        if (lean > 0.01 && lean < 179.99) {
            all.add(SizeField.angle(
                            id + "-toward",
                            what + after + " leans toward",
                            toward,
                            (j, v) -> set.apply(j, leaning(lean, v)))
                    .meaning("Seen from above: 0° forward, 90° to the left, −90° to the right, 180° back."));
        }
        return all;
    }

    private static Direction leaning(double lean, double toward) {
        double l = Math.toRadians(lean);
        double t = Math.toRadians(toward);
        return Direction.along(Math.sin(l) * Math.cos(t), Math.sin(l) * Math.sin(t), Math.cos(l));
    }
}
