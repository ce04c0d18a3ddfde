package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.io.JsonTree;
import mildtilt.solid.TriangleMesh;

/** Writes a part as JSON by its description, as {@link FormReader} reads it. */
public final class FormWriter {

    private FormWriter() {}

    static <T> ObjectNode write(Form<T> form, T value) {
        ObjectNode o = JsonNodeFactory.instance.objectNode();
        write(form, value, o);
        return o;
    }

    private static <T> void write(Form<T> form, T value, ObjectNode o) {
        switch (form) {
            case Part<T> p -> p.fields().forEach(f -> field(f, value, o));
            case Form.Kinds<T> k -> {
                String word = k.word(value);
                if (k.savedWord() || !k.usual().filter(word::equals).isPresent()) {
                    o.put(k.key(), word);
                }
                write(cast(Objects.requireNonNull(k.kinds().get(word))), value, o);
            }
            case Form.Either<T> e -> write(cast(e.of(value).form()), value, o);
            case Form.Under<T> u -> o.set(u.key(), write(u.part(), value));
            case Form.Packed _ -> {
                MeshText.Packed packed = MeshText.of((TriangleMesh) value);
                o.put("corners", packed.corners());
                o.put("triangles", packed.triangles());
            }
        }
    }

    private static <T, V> void field(Field<T, V> f, T part, ObjectNode o) {
        switch (f.shape()) {
            case Shape.Keyed<V> k -> {
                Object v = f.of(part);
                if (v != null
                        && !(k.presence() instanceof Presence.Usual<V> u
                                && !u.written()
                                && v.equals(u.usual().apply(NOTHING)))) {
                    put(o, k.key(), k.kind(), v);
                }
            }
            case Shape.Inline<V> i -> write(i.form(), f.get().apply(part), o);
            case Shape.Constant c -> o.putPOJO(c.key(), c.value());
            case Shape.Fixed _ -> {}
        }
    }

    /** What is left out where it is as usual hangs on nothing else. */
    private static final Field.Found NOTHING = new Field.Found() {
        @Override
        public <X> X get(String component) {
            throw new IllegalStateException("nothing is read of " + component);
        }
    };

    private static void put(ObjectNode o, String key, Kind<?> kind, Object v) {
        o.set(key, value(kind, v));
    }

    public static JsonNode value(Kind<?> kind, Object v) {
        ArrayNode one = JsonNodeFactory.instance.arrayNode(1);
        add(one, kind, v);
        return one.get(0);
    }

    private static void add(ArrayNode a, Kind<?> kind, Object v) {
        switch (kind) {
            case Kind.Size _ -> JsonTree.add(a, (Double) v);
            case Kind.Whole _ -> a.add((Integer) v);
            case Kind.Text _, Kind.StepKey _, Kind.Reference _, Kind.Day _, Kind.Moment _ -> a.add(v.toString());
            case Kind.Flag _ -> a.add((Boolean) v);
            case Kind.Choice<?> _ -> a.add(word((Enum<?>) v));
            case Kind.Choices<?> _ -> {
                ArrayNode all = a.addArray();
                ((Collection<?>) v)
                        .stream()
                                .map(x -> (Enum<?>) x)
                                .sorted((x, y) -> Integer.compare(x.ordinal(), y.ordinal()))
                                .forEach(x -> all.add(word(x)));
            }
            case Kind.Place _ -> a.add(JsonTree.point((Point) v));
            case Kind.Heading _ -> a.add(JsonTree.direction((Direction) v));
            case Kind.Many<?> m -> {
                ArrayNode all = a.addArray();
                ((Collection<?>) v).forEach(x -> add(all, m.of(), x));
            }
            case Kind.Group<?> g -> a.add(write(cast(g.form()), v));
            case Kind.Row<?> r -> row(r.part(), v, a.addArray());
            case Kind.ByKey<?, ?> b -> {
                ArrayNode all = a.addArray();
                ((Map<?, ?>) v).forEach((k, x) -> {
                    ObjectNode o = all.addObject();
                    put(o, b.key(), b.of(), k);
                    write(cast(b.part()), x, o);
                });
            }
            case Kind.ByConstant<?, ?> b -> {
                ObjectNode o = a.addObject();
                ((Map<?, ?>) v).forEach((k, x) -> o.set(word((Enum<?>) k), write(cast(b.part()), x)));
            }
        }
    }

    private static <T> void row(Part<T> part, Object value, ArrayNode all) {
        part.fields().forEach(f -> {
            Object v = f.of(part.type().cast(value));
            if (f.shape() instanceof Shape.Keyed<?> k && v != null) {
                add(all, k.kind(), v);
            }
        });
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    @SuppressWarnings("unchecked")
    private static Form<Object> cast(Form<?> form) {
        return (Form<Object>) form;
    }
}
