package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.JobFaults;
import mildtilt.describe.JobPlace;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.describe.Range;
import mildtilt.describe.Ranges;
import mildtilt.describe.RefusalText;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.io.JobFileException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads a part from JSON by its description. Everything that is wrong is gathered before anything is said; what the
 * parts themselves refuse is
 * said only where nothing else is wrong.
 */
final class FormReader {

    private static final double UNIT_LENGTH_TOLERANCE = 1e-12;
    static final Pattern STEP_KEY = Pattern.compile("[a-z]+(-[1-9][0-9]{0,8})?");
    private static final Logger LOG = LoggerFactory.getLogger(FormReader.class);

    private final JobFaults faults = new JobFaults();
    private Optional<String> refusal = Optional.empty();

    private FormReader() {}

    /**
     * @param what it is, for a person: "job"
     * @throws JobFileException saying what is wrong, and where
     */
    static <T> T read(Part<T> part, JsonNode root, String what) throws JobFileException {
        FormReader reader = new FormReader();
        Object value = null;
        try {
            value = reader.group(part, root, JobPlace.WHOLE);
        } catch (JobFaults.TooManyFaults e) {
            // What there is will do.
        } catch (RuntimeException e) {
            // Whatever was not thought of must still not end the program.
            LOG.error("a {} could not be read", what, e);
            throw new JobFileException(
                    "This " + what + " holds something that can't be read: Mild Tilt itself has a fault here.");
        }
        if (!reader.faults.isEmpty()) {
            throw new JobFileException(reader.faults.text());
        }
        if (value == null) {
            throw new JobFileException("This " + what + " can't exist as written. " + reader.refusal.orElseThrow());
        }
        return part.type().cast(value);
    }

    private void refused(JobPlace at, ImpossibleGeometryException e) {
        refusal = refusal.or(
                () -> Optional.of((at.equals(JobPlace.WHOLE) ? "" : "At " + at.words() + ": ") + e.getMessage()));
    }

    /** A form in braces of its own; null where something is wrong with it. */
    private @Nullable Object group(Form<?> form, JsonNode node, JobPlace at) {
        if (!(node instanceof ObjectNode o)) {
            faults.wrong(RefusalText.wrongType(at, "a group of sizes", found(node)));
            return null;
        }
        mustBeKnown(keys(form, o), o, at);
        return form(form, o, at);
    }

    private void mustBeKnown(Set<String> known, ObjectNode o, JobPlace at) {
        o.fieldNames().forEachRemaining(k -> {
            if (!known.contains(k)) {
                faults.misspelt(RefusalText.unknown(at, k));
            }
        });
    }

    /** The keys that a form has in this object; all of a form's where the object does not say which it is. */
    private static Set<String> keys(Form<?> form, ObjectNode o) {
        return switch (form) {
            case Part<?> p -> {
                Set<String> all = new HashSet<>();
                p.fields().forEach(f -> {
                    switch (f.shape()) {
                        case Shape.Keyed<?> k -> all.add(k.key());
                        case Shape.Inline<?> i -> all.addAll(keys(i.form(), o));
                        case Shape.Constant c -> all.add(c.key());
                        case Shape.Fixed _ -> {}
                    }
                });
                yield all;
            }
            case Form.Kinds<?> k -> {
                Set<String> all = new HashSet<>();
                chosen(k, o).ifPresentOrElse(p -> all.addAll(keys(p, o)), () -> k.kinds()
                        .values()
                        .forEach(p -> all.addAll(keys(p, o))));
                all.add(k.key());
                yield all;
            }
            case Form.Either<?> e -> {
                List<? extends Form.Either.Variant<?>> ways = written(e, o);
                Set<String> all = new HashSet<>();
                Stream<? extends Form.Either.Variant<?>> meant = ways.size() == 1
                        ? ways.stream()
                        : ways.isEmpty() && e.otherwise().isPresent()
                                ? e.otherwise().stream()
                                : Stream.concat(e.ways().stream(), e.otherwise().stream());
                meant.forEach(w -> all.addAll(keys(w.form(), o)));
                yield all;
            }
            case Form.Under<?> u -> Set.of(u.key());
            case Form.Packed _ -> Set.of("corners", "triangles");
        };
    }

    private static Optional<? extends Part<?>> chosen(Form.Kinds<?> k, ObjectNode o) {
        JsonNode word = o.path(k.key());
        return Optional.<Part<?>>ofNullable(
                k.kinds().get(word.isMissingNode() ? k.usual().orElse("") : word.isTextual() ? word.asText() : ""));
    }

    private static <T> List<Form.Either.Variant<? extends T>> written(Form.Either<T> e, ObjectNode o) {
        return e.ways().stream().filter(w -> o.has(w.key())).toList();
    }

    private @Nullable Object form(Form<?> form, ObjectNode o, JobPlace at) {
        return switch (form) {
            case Part<?> p -> part(p, o, at);
            case Form.Kinds<?> k -> kinds(k, o, at);
            case Form.Either<?> e -> either(e, o, at);
            case Form.Under<?> u -> group(u.part(), o.path(u.key()), at.in(u.key()));
            case Form.Packed _ -> packed(o, at);
        };
    }

    private @Nullable Object kinds(Form.Kinds<?> k, ObjectNode o, JobPlace at) {
        Optional<? extends Part<?>> part = chosen(k, o);
        if (part.isPresent()) {
            return part(part.get(), o, at);
        }
        if (o.has(k.key())) {
            faults.wrong(RefusalText.noneOf(
                    at.in(k.key()), found(o.get(k.key())), List.copyOf(k.kinds().keySet())));
        } else {
            faults.missing(RefusalText.missing(at, k.key()));
        }
        return null;
    }

    private @Nullable Object either(Form.Either<?> e, ObjectNode o, JobPlace at) {
        List<? extends Form.Either.Variant<?>> ways = written(e, o);
        if (ways.size() == 1) {
            return form(ways.getFirst().form(), o, at);
        }
        if (ways.isEmpty() && e.otherwise().isPresent()) {
            return form(e.otherwise().get().form(), o, at);
        }
        refused(at, new ImpossibleGeometryException(e.refusal()));
        return null;
    }

    private @Nullable Object packed(ObjectNode o, JobPlace at) {
        Object corners = value(new Kind.Text(0, Integer.MAX_VALUE), o.path("corners"), at, "corners");
        Object triangles = value(new Kind.Text(0, Integer.MAX_VALUE), o.path("triangles"), at, "triangles");
        return corners == null || triangles == null
                ? null
                : made(at, () -> MeshText.read((String) corners, (String) triangles));
    }

    private <T> @Nullable T made(JobPlace at, Supplier<T> maker) {
        try {
            return maker.get();
        } catch (Field.Missing e) {
            return null;
        } catch (ImpossibleGeometryException e) {
            refused(at, e);
            return null;
        }
    }

    /** The values of one part while it is read: one may hang on another, whichever comes first. */
    private final class Values<T> implements Field.Found {
        private final Part<T> part;
        private final ObjectNode o;
        private final JobPlace at;
        private final Map<String, Optional<Object>> read = new HashMap<>();

        Values(Part<T> part, ObjectNode o, JobPlace at) {
            this.part = part;
            this.o = o;
            this.at = at;
        }

        /** Whether every value is there. */
        boolean all() {
            boolean good = true;
            for (Field<T, ?> f : part.fields()) {
                good &= f.component().isEmpty() ? field(f) != null : of(f).isPresent();
            }
            return good;
        }

        private Optional<Object> of(Field<T, ?> f) {
            Optional<Object> there = read.get(f.component());
            if (there == null) {
                there = Optional.ofNullable(field(f));
                read.put(f.component(), there);
            }
            return there;
        }

        @Override
        @SuppressWarnings("unchecked")
        public <X> X get(String component) {
            Field<T, ?> f = part.fields().stream()
                    .filter(x -> x.component().equals(component))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException(part.type() + " has no " + component));
            return (X) of(f).orElseThrow(Field.Missing::new);
        }

        private <V> @Nullable Object field(Field<T, V> f) {
            return switch (f.shape()) {
                case Shape.Keyed<V> k -> keyed(f, k);
                case Shape.Inline<V> i -> form(i.form(), o, at);
                case Shape.Constant c -> constant(c);
                case Shape.Fixed x -> x.value();
            };
        }

        private <V> @Nullable Object keyed(Field<T, V> f, Shape.Keyed<V> k) {
            boolean there = o.has(k.key());
            return switch (k.presence()) {
                case Presence.Required<V> _ -> {
                    if (!there) {
                        faults.missing(RefusalText.missing(at, k.key()));
                        yield null;
                    }
                    yield into(f, value(k.kind(), o.get(k.key()), at, k.key()));
                }
                case Presence.Usual<V> u ->
                    into(
                            f,
                            there
                                    ? value(k.kind(), o.get(k.key()), at, k.key())
                                    : made(at, () -> u.usual().apply(this)));
                case Presence.May<V> _ -> {
                    Object v = there ? value(k.kind(), o.get(k.key()), at, k.key()) : Optional.empty();
                    yield v == null ? null : there ? Optional.of(v) : v;
                }
            };
        }

        @SuppressWarnings("unchecked")
        private <V> @Nullable Object into(Field<T, V> f, @Nullable Object v) {
            return v == null ? null : made(at, () -> f.into().apply(this, (V) v));
        }

        private @Nullable Object constant(Shape.Constant c) {
            JsonNode n = o.path(c.key());
            if (n.isMissingNode()) {
                faults.missing(RefusalText.missing(at, c.key()));
                return null;
            }
            boolean same = c.value() instanceof Integer i
                    ? n.isIntegralNumber() && n.asLong() == i
                    : c.value() instanceof Boolean b
                            ? n.isBoolean() && n.asBoolean() == b
                            : n.isTextual() && n.asText().equals(c.value());
            if (!same) {
                faults.wrong(RefusalText.noneOf(at.in(c.key()), found(n), List.of(String.valueOf(c.value()))));
                return null;
            }
            return c.value();
        }
    }

    private <T> @Nullable Object part(Part<T> part, ObjectNode o, JobPlace at) {
        Values<T> values = new Values<>(part, o, at);
        if (!values.all()) {
            return null;
        }
        return made(at, () -> {
            T made = part.make().apply(values);
            part.check().accept(made);
            return made;
        });
    }

    /** What stands behind a key; null where something is wrong with it. */
    private @Nullable Object value(Kind<?> kind, JsonNode node, JobPlace around, String key) {
        if (node.isMissingNode()) {
            faults.missing(RefusalText.missing(around, key));
            return null;
        }
        return value(kind, node, around.in(key));
    }

    private @Nullable Object value(Kind<?> kind, JsonNode node, JobPlace at) {
        return switch (kind) {
            case Kind.Size s -> size(s.range(), node, at);
            case Kind.Whole w -> whole(w, node, at);
            case Kind.Text t ->
                text(node, at)
                        .filter(x -> {
                            int n = x.codePointCount(0, x.length());
                            boolean fits = n >= t.least() && n <= t.most();
                            if (!fits) {
                                faults.wrong(RefusalText.length(at, n, t.least(), t.most()));
                            }
                            return fits;
                        })
                        .orElse(null);
            case Kind.Flag _ -> {
                if (!node.isBoolean()) {
                    faults.wrong(RefusalText.wrongType(at, "true or false", found(node)));
                    yield null;
                }
                yield node.asBoolean();
            }
            case Kind.Choice<?> c -> choice(c.of(), node, at);
            case Kind.Choices<?> c -> choices(c.of(), node, at);
            case Kind.Reference r -> reference(r, node, at);
            case Kind.StepKey _ ->
                text(node, at)
                        .filter(x -> {
                            boolean fits = STEP_KEY.matcher(x).matches();
                            if (!fits) {
                                faults.wrong(RefusalText.notSoWritten(at, RefusalText.quoted(x)));
                            }
                            return fits;
                        })
                        .orElse(null);
            case Kind.Place p -> place(p, node, at);
            case Kind.Heading _ -> heading(node, at);
            case Kind.Day _ -> parsed(node, at, LocalDate::parse, "a day: write it like 2026-03-28");
            case Kind.Moment _ ->
                parsed(node, at, LocalDateTime::parse, "a day and time: write it like 2026-03-28T14:05");
            case Kind.Many<?> m -> many(m, node, at);
            case Kind.Group<?> g -> group(g.form(), node, at);
            case Kind.Row<?> r -> row(r.part(), node, at);
            case Kind.ByKey<?, ?> b -> byKey(b, node, at);
            case Kind.ByConstant<?, ?> b -> byConstant(b.of(), b.part(), node, at);
        };
    }

    private @Nullable Double size(Range range, JsonNode node, JobPlace at) {
        if (!node.isNumber()) {
            faults.wrong(RefusalText.wrongType(at, "a number", found(node)));
            return null;
        }
        double v = node.asDouble();
        if (!range.holds(v)) {
            faults.wrong(RefusalText.outOfRange(at, v, range));
            return null;
        }
        return v;
    }

    private @Nullable Integer whole(Kind.Whole w, JsonNode node, JobPlace at) {
        double v = node.asDouble();
        if (!node.isNumber() || v != Math.rint(v)) {
            faults.wrong(RefusalText.wrongType(at, "a whole number", found(node)));
            return null;
        }
        if (!(v >= w.least() && v <= w.most())) {
            faults.wrong(RefusalText.outOfRange(at, v, new Range("", w.least(), w.most(), 0, "")));
            return null;
        }
        return (int) v;
    }

    private Optional<String> text(JsonNode node, JobPlace at) {
        if (!node.isTextual()) {
            faults.wrong(RefusalText.wrongType(at, "a text", found(node)));
            return Optional.empty();
        }
        return Optional.of(node.asText());
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private <E extends Enum<E>> @Nullable E choice(Class<E> of, JsonNode node, JobPlace at) {
        Optional<E> found = node.isTextual()
                ? Arrays.stream(of.getEnumConstants())
                        .filter(e -> word(e).equals(node.asText()))
                        .findFirst()
                : Optional.empty();
        if (found.isEmpty()) {
            faults.wrong(RefusalText.noneOf(
                    at,
                    found(node),
                    Arrays.stream(of.getEnumConstants()).map(FormReader::word).toList()));
        }
        return found.orElse(null);
    }

    private <E extends Enum<E>> @Nullable Set<E> choices(Class<E> of, JsonNode node, JobPlace at) {
        Object all = many(new Kind.Many<>(new Kind.Choice<>(of), 1, Integer.MAX_VALUE), node, at);
        if (!(all instanceof List<?> list)) {
            return null;
        }
        Set<E> set = EnumSet.noneOf(of);
        list.forEach(x -> set.add(of.cast(x)));
        return set;
    }

    private @Nullable Id reference(Kind.Reference r, JsonNode node, JobPlace at) {
        Optional<String> text = text(node, at);
        if (text.isEmpty()) {
            return null;
        }
        try {
            Id id = new Id(text.get());
            if (r.kind().isEmpty() || id.is(r.kind().get())) {
                return id;
            }
        } catch (ImpossibleGeometryException e) {
            // Said below.
        }
        faults.wrong(RefusalText.notSoWritten(at, RefusalText.quoted(text.get())));
        return null;
    }

    private <X> @Nullable X parsed(JsonNode node, JobPlace at, Function<String, X> parser, String like) {
        Optional<String> text = text(node, at);
        if (text.isEmpty()) {
            return null;
        }
        try {
            return parser.apply(text.get());
        } catch (DateTimeException e) {
            faults.wrong(RefusalText.capital(at.words()) + " is " + RefusalText.quoted(text.get()) + ", which is not "
                    + like + ".");
            return null;
        }
    }

    private boolean entries(JsonNode node, int least, int most, JobPlace at) {
        if (!node.isArray()) {
            faults.wrong(RefusalText.wrongType(at, "a list", found(node)));
            return false;
        }
        if (node.size() < least || node.size() > most) {
            faults.wrong(RefusalText.entries(at, node.size(), least, most));
            return false;
        }
        return true;
    }

    private @Nullable Point place(Kind.Place p, JsonNode node, JobPlace at) {
        if (!entries(node, 3, 3, at)) {
            return null;
        }
        Double x = size(Ranges.COORDINATE, node.get(0), at.axis(0));
        Double y = size(Ranges.COORDINATE, node.get(1), at.axis(1));
        Double z = size(p.z(), node.get(2), at.axis(2));
        return x == null || y == null || z == null ? null : new Point(x, y, z);
    }

    /** Any length will do, but one that is already one is kept to the last bit, so that saving changes nothing. */
    private @Nullable Direction heading(JsonNode node, JobPlace at) {
        if (!entries(node, 3, 3, at)) {
            return null;
        }
        Double x = size(Ranges.DIRECTION_PART, node.get(0), at.axis(0));
        Double y = size(Ranges.DIRECTION_PART, node.get(1), at.axis(1));
        Double z = size(Ranges.DIRECTION_PART, node.get(2), at.axis(2));
        return x == null || y == null || z == null
                ? null
                : made(
                        at,
                        () -> Math.abs(x * x + y * y + z * z - 1) < UNIT_LENGTH_TOLERANCE
                                ? new Direction(x, y, z)
                                : Direction.along(x, y, z));
    }

    private <V> @Nullable Object many(Kind.Many<V> m, JsonNode node, JobPlace at) {
        if (!entries(node, m.least(), m.most(), at)) {
            return null;
        }
        List<V> all = new ArrayList<>();
        boolean good = true;
        for (int i = 0; i < node.size(); i++) {
            Object v = value(m.of(), node.get(i), at.at(i));
            good &= v != null;
            if (good) {
                add(all, v);
                good = made(at, () -> {
                            m.soFar().accept(all);
                            return all;
                        })
                        != null;
            }
        }
        return good ? all : null;
    }

    @SuppressWarnings("unchecked")
    private static <V> void add(List<V> all, @Nullable Object v) {
        all.add((V) v);
    }

    private <T> @Nullable Object row(Part<T> part, JsonNode node, JobPlace at) {
        int n = part.fields().size();
        if (!entries(node, n, n, at)) {
            return null;
        }
        Map<String, Object> values = new HashMap<>();
        for (int i = 0; i < n; i++) {
            Field<T, ?> f = part.fields().get(i);
            Object v = f.shape() instanceof Shape.Keyed<?> k ? value(k.kind(), node.get(i), at.at(i)) : null;
            if (v != null) {
                values.put(f.component(), v);
            }
        }
        return values.size() < n
                ? null
                : made(at, () -> part.make().apply(new Field.Found() {
                    @Override
                    @SuppressWarnings("unchecked")
                    public <X> X get(String component) {
                        return (X) Objects.requireNonNull(values.get(component));
                    }
                }));
    }

    private <K, V> @Nullable Object byKey(Kind.ByKey<K, V> b, JsonNode node, JobPlace at) {
        if (!entries(node, 0, b.most(), at)) {
            return null;
        }
        Map<Object, Object> all = new LinkedHashMap<>();
        boolean good = true;
        for (int i = 0; i < node.size(); i++) {
            JobPlace here = at.at(i);
            if (!(node.get(i) instanceof ObjectNode o)) {
                faults.wrong(RefusalText.wrongType(here, "a group of sizes", found(node.get(i))));
                return null;
            }
            Set<String> known = new HashSet<>(keys(b.part(), o));
            known.add(b.key());
            mustBeKnown(known, o, here);
            Object k = value(b.of(), o.path(b.key()), here, b.key());
            Object v = part(b.part(), o, here);
            good &= k != null && v != null;
            if (k != null && v != null && all.put(k, v) != null) {
                faults.wrong(RefusalText.capital(here.in(b.key()).words()) + " is " + RefusalText.quoted(k.toString())
                        + ", as another is.");
            }
        }
        return good ? all : null;
    }

    private <E extends Enum<E>> @Nullable Object byConstant(Class<E> of, Part<?> part, JsonNode node, JobPlace at) {
        if (!(node instanceof ObjectNode o)) {
            faults.wrong(RefusalText.wrongType(at, "a group of sizes", found(node)));
            return null;
        }
        Map<E, Object> all = new LinkedHashMap<>();
        Set<String> known = new HashSet<>();
        boolean good = true;
        for (E e : of.getEnumConstants()) {
            known.add(word(e));
            if (o.has(word(e))) {
                Object v = group(part, o.get(word(e)), at.in(word(e)));
                good &= v != null;
                if (v != null) {
                    all.put(e, v);
                }
            }
        }
        mustBeKnown(known, o, at);
        return good ? all : null;
    }

    private static String found(JsonNode value) {
        return switch (value.getNodeType()) {
            case STRING -> RefusalText.quoted(value.asText());
            case NUMBER -> RefusalText.shown(value.asDouble());
            case BOOLEAN -> value.asText();
            case ARRAY -> "a list";
            case OBJECT, POJO -> "a group";
            case NULL, MISSING, BINARY -> "empty";
        };
    }
}
