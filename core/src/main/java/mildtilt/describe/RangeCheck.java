package mildtilt.describe;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;

/** A part that is already made held against its description: what could not be written and read again is a fault. */
public final class RangeCheck {

    private final JobFaults faults = new JobFaults();
    private Optional<String> refusal = Optional.empty();

    private RangeCheck() {}

    /** What is wrong with a value, place by place; empty if it may be in a file. */
    public static <T> Optional<String> fault(Form<T> form, T value) {
        RangeCheck check = new RangeCheck();
        try {
            check.form(form, value, JobPlace.WHOLE);
        } catch (JobFaults.TooManyFaults e) {
            return Optional.of(check.faults.text());
        }
        return check.faults.isEmpty() ? check.refusal : Optional.of(check.faults.text());
    }

    private void refusedBy(Runnable check) {
        try {
            check.run();
        } catch (ImpossibleGeometryException e) {
            refusal = refusal.or(() -> Optional.of(e.getMessage()));
        }
    }

    private <T> void form(Form<T> form, T value, JobPlace at) {
        switch (form) {
            case Part<T> p -> {
                p.fields().forEach(f -> field(f, value, at));
                refusedBy(() -> p.check().accept(value));
            }
            case Form.Kinds<T> k -> form(cast(Objects.requireNonNull(k.kinds().get(k.word(value)))), value, at);
            case Form.Either<T> e -> form(cast(e.of(value).form()), value, at);
            case Form.Under<T> u -> form(u.part(), value, at.in(u.key()));
            case Form.Packed _ -> {}
        }
    }

    private <T, V> void field(Field<T, V> field, T part, JobPlace at) {
        switch (field.shape()) {
            case Shape.Keyed<V> k -> {
                Object v = field.of(part);
                // What is left out where it is as usual is never written: it need not be of a kind that can be.
                if (v != null && !(k.presence() instanceof Presence.Usual<V> u && !u.written() && v.equals(usual(u)))) {
                    kind(k.kind(), v, at.in(k.key()));
                }
            }
            case Shape.Inline<V> i -> form(i.form(), field.get().apply(part), at);
            case Shape.Constant _, Shape.Fixed _ -> {}
        }
    }

    private static <V> V usual(Presence.Usual<V> u) {
        return u.usual().apply(new Field.Found() {
            @Override
            public <X> X get(String component) {
                throw new IllegalStateException("what is left out where it is as usual can't hang on " + component);
            }
        });
    }

    private void kind(Kind<?> kind, Object v, JobPlace at) {
        switch (kind) {
            case Kind.Size s -> size(s.range(), (Double) v, at);
            case Kind.Whole w -> {
                int n = (Integer) v;
                if (n < w.least() || n > w.most()) {
                    faults.wrong(RefusalText.outOfRange(at, n, w.least(), w.most()));
                }
            }
            case Kind.Text t -> {
                String text = (String) v;
                int n = text.codePointCount(0, text.length());
                if (n < t.least() || n > t.most()) {
                    faults.wrong(RefusalText.length(at, n, t.least(), t.most()));
                }
            }
            case Kind.Place p -> {
                Point q = (Point) v;
                size(Ranges.COORDINATE, q.x(), at.axis(0));
                size(Ranges.COORDINATE, q.y(), at.axis(1));
                size(p.z(), q.z(), at.axis(2));
            }
            case Kind.Reference r -> {
                if (r.kind().filter(k -> !((Id) v).is(k)).isPresent()) {
                    faults.wrong(RefusalText.notSoWritten(at, RefusalText.quoted(((Id) v).text())));
                }
            }
            case Kind.Many<?> m -> many(m, cast((List<?>) v), at);
            case Kind.Group<?> g -> form(cast(g.form()), v, at);
            case Kind.Row<?> r -> row(r.part(), v, at);
            case Kind.ByKey<?, ?> b -> {
                Map<?, ?> all = (Map<?, ?>) v;
                entries(all.size(), 0, b.most(), at);
                int n = 0;
                for (Object x : all.values()) {
                    form(cast(b.part()), x, at.at(n++));
                }
            }
            case Kind.ByConstant<?, ?> b ->
                ((Map<?, ?>) v)
                        .forEach((k, x) ->
                                form(cast(b.part()), x, at.in(k.toString().toLowerCase(Locale.ROOT))));
            case Kind.Choices<?> _ -> entries(((Collection<?>) v).size(), 1, Integer.MAX_VALUE, at);
            case Kind.Flag _, Kind.Choice<?> _, Kind.StepKey _, Kind.Heading _, Kind.Day _, Kind.Moment _ -> {}
        }
    }

    private void size(Range range, double v, JobPlace at) {
        if (!range.holds(v)) {
            faults.wrong(RefusalText.outOfRange(at, v, range));
        }
    }

    private <V> void many(Kind.Many<V> m, List<V> all, JobPlace at) {
        entries(all.size(), m.least(), m.most(), at);
        refusedBy(() -> m.soFar().accept(all));
        int n = 0;
        for (Object x : all) {
            kind(m.of(), x, at.at(n++));
        }
    }

    private <T> void row(Part<T> part, Object value, JobPlace at) {
        List<Field<T, ?>> fields = part.fields();
        for (int i = 0; i < fields.size(); i++) {
            Object v = fields.get(i).of(part.type().cast(value));
            if (fields.get(i).shape() instanceof Shape.Keyed<?> k && v != null) {
                kind(k.kind(), v, at.at(i));
            }
        }
    }

    private void entries(int n, int least, int most, JobPlace at) {
        if (n < least || n > most) {
            faults.wrong(RefusalText.entries(at, n, least, most));
        }
    }

    @SuppressWarnings("unchecked")
    private static <V> List<V> cast(List<?> all) {
        return (List<V>) all;
    }

    @SuppressWarnings("unchecked")
    private static Form<Object> cast(Form<?> form) {
        return (Form<Object>) form;
    }
}
