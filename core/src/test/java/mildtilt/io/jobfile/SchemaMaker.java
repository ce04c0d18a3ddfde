package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.describe.Range;
import mildtilt.describe.Ranges;
import mildtilt.id.Id;
import mildtilt.io.JsonTree;

/**
 * The JSON Schema of a part, for programs of other people: made from the description that the reader itself goes by.
 */
public final class SchemaMaker {

    private static final String DAY = "^[0-9]{4}-[0-9]{2}-[0-9]{2}$";
    private static final String MOMENT = "^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}:[0-9]{2}.*$";

    private static final String NUMBER = "[1-9][0-9]{0,8}";

    private final ObjectNode defs = JsonNodeFactory.instance.objectNode();
    private final Map<Form<?>, String> names = new IdentityHashMap<>();
    private final Map<String, TreeSet<String>> keysOfRanges = new TreeMap<>();

    /** One way in which a form can be written. */
    private record Variant(ObjectNode properties, List<String> required) {}

    public ObjectNode schema(Part<?> part, String id, String title) {
        ObjectNode o = object(part);
        ObjectNode all = JsonNodeFactory.instance
                .objectNode()
                .put("$schema", "https://json-schema.org/draft/2020-12/schema")
                .put("$id", id)
                .put("title", title);
        all.setAll(o);
        ObjectNode sorted = all.putObject("$defs");
        new TreeSet<>(names(defs)).forEach(n -> sorted.set(n, defs.get(n)));
        return all;
    }

    /** Which keys hold sizes of a range, by the range's name; of all that was made so far. */
    public Map<String, TreeSet<String>> keysOfRanges() {
        return keysOfRanges;
    }

    private static List<String> names(ObjectNode o) {
        List<String> all = new ArrayList<>();
        o.fieldNames().forEachRemaining(all::add);
        return all;
    }

    private ObjectNode object(Form<?> form) {
        List<Variant> ways = ways(form);
        if (ways.size() == 1) {
            return object(ways.getFirst());
        }
        ObjectNode o = JsonNodeFactory.instance.objectNode();
        ArrayNode any = o.putArray("anyOf");
        ways.forEach(w -> any.add(object(w)));
        return o;
    }

    private static ObjectNode object(Variant way) {
        ObjectNode o = JsonNodeFactory.instance.objectNode().put("type", "object");
        o.set("properties", way.properties());
        ArrayNode required = o.putArray("required");
        way.required().forEach(required::add);
        return o.put("additionalProperties", false);
    }

    private List<Variant> ways(Form<?> form) {
        return switch (form) {
            case Part<?> p -> ways(p);
            case Form.Kinds<?> k ->
                k.kinds().entrySet().stream()
                        .flatMap(e -> ways(e.getValue()).stream().map(w -> {
                            ObjectNode with = JsonNodeFactory.instance.objectNode();
                            with.putObject(k.key())
                                    .put("const", e.getKey())
                                    .put("description", e.getValue().help());
                            with.setAll(w.properties());
                            List<String> required = new ArrayList<>(w.required());
                            if (k.usual().filter(e.getKey()::equals).isEmpty()) {
                                required.addFirst(k.key());
                            }
                            return new Variant(with, required);
                        }))
                        .toList();
            case Form.Either<?> e -> {
                List<Variant> all = new ArrayList<>();
                e.ways().forEach(w -> all.addAll(ways(w.form())));
                e.otherwise().ifPresent(w -> all.addAll(ways(w.form())));
                yield all;
            }
            case Form.Under<?> u -> {
                ObjectNode one = JsonNodeFactory.instance.objectNode();
                one.set(u.key(), value(new Kind.Group<>(u.part())));
                yield List.of(new Variant(one, List.of(u.key())));
            }
            case Form.Packed _ -> {
                ObjectNode two = JsonNodeFactory.instance.objectNode();
                two.putObject("corners").put("type", "string").put("description", "of its triangles, packed");
                two.putObject("triangles").put("type", "string").put("description", "which corners each has, packed");
                yield List.of(new Variant(two, List.of("corners", "triangles")));
            }
        };
    }

    private List<Variant> ways(Part<?> part) {
        List<Variant> all = List.of(new Variant(JsonNodeFactory.instance.objectNode(), List.of()));
        for (Field<?, ?> f : part.fields()) {
            List<Variant> of = ways(f);
            all = all.stream()
                    .flatMap(a -> of.stream().map(b -> {
                        List<String> required = new ArrayList<>(a.required());
                        required.addAll(b.required());
                        return new Variant(a.properties().deepCopy().setAll(b.properties()), required);
                    }))
                    .toList();
        }
        return all;
    }

    private List<Variant> ways(Field<?, ?> f) {
        ObjectNode one = JsonNodeFactory.instance.objectNode();
        return switch (f.shape()) {
            case Shape.Keyed<?> k -> {
                note(k.kind(), k.key());
                one.set(k.key(), value(k.kind()).put("description", f.help()));
                yield List.of(
                        new Variant(one, k.presence() instanceof Presence.Required<?> ? List.of(k.key()) : List.of()));
            }
            case Shape.Inline<?> i -> ways(i.form());
            case Shape.Constant c -> {
                one.putObject(c.key()).set("const", new ObjectMapper().valueToTree(c.value()));
                yield List.of(new Variant(one, List.of(c.key())));
            }
            case Shape.Fixed _ -> List.of(new Variant(one, List.of()));
        };
    }

    private void note(Kind<?> kind, String key) {
        switch (kind) {
            case Kind.Size s ->
                keysOfRanges
                        .computeIfAbsent(s.range().name(), _ -> new TreeSet<>())
                        .add(key);
            case Kind.Many<?> m -> note(m.of(), key);
            case Kind.Place p -> note(new Kind.Size(p.z()), key);
            default -> {}
        }
    }

    private ObjectNode value(Kind<?> kind) {
        ObjectNode o = JsonNodeFactory.instance.objectNode();
        return switch (kind) {
            case Kind.Size s -> ref(s.range());
            case Kind.Whole w ->
                o.put("type", "integer").put("minimum", w.least()).put("maximum", w.most());
            case Kind.Text t -> {
                o.put("type", "string");
                if (t.least() > 0) {
                    o.put("minLength", t.least());
                }
                yield o.put("maxLength", t.most());
            }
            case Kind.Flag _ -> o.put("type", "boolean");
            case Kind.Choice<?> c -> words(o, c.of());
            case Kind.Choices<?> c -> {
                o.put("type", "array").put("minItems", 1);
                words(o.putObject("items"), c.of());
                yield o;
            }
            case Kind.Reference r -> r.kind().map(this::ref).orElseGet(() -> pattern("id", Id.PATTERN));
            case Kind.StepKey _ -> pattern("step key", FormReader.STEP_KEY.pattern());
            case Kind.Place p ->
                three(
                        p == Kind.Place.ANYWHERE ? "point" : "point: " + p.z().name(),
                        Ranges.COORDINATE,
                        Ranges.COORDINATE,
                        p.z());
            case Kind.Heading _ ->
                three("direction", Ranges.DIRECTION_PART, Ranges.DIRECTION_PART, Ranges.DIRECTION_PART);
            case Kind.Day _ -> o.put("type", "string").put("pattern", DAY);
            case Kind.Moment _ -> o.put("type", "string").put("pattern", MOMENT);
            case Kind.Many<?> m -> {
                list(o, m.least(), m.most());
                o.set("items", value(m.of()));
                yield o;
            }
            case Kind.Group<?> g -> ref(g.form());
            case Kind.Row<?> r -> {
                list(o, r.part().fields().size(), r.part().fields().size());
                ArrayNode items = o.putArray("prefixItems");
                r.part()
                        .fields()
                        .forEach(f -> items.add(
                                value(((Shape.Keyed<?>) f.shape()).kind()).put("description", f.help())));
                yield o;
            }
            case Kind.ByKey<?, ?> b -> {
                list(o, 0, b.most());
                Variant w = ways(b.part()).getFirst();
                ObjectNode with = JsonNodeFactory.instance.objectNode();
                with.set(b.key(), value(b.of()).put("description", b.help()));
                with.setAll(w.properties());
                List<String> required = new ArrayList<>(w.required());
                required.addFirst(b.key());
                o.set("items", object(new Variant(with, required)));
                yield o;
            }
            case Kind.ByConstant<?, ?> b -> {
                ObjectNode properties = JsonNodeFactory.instance.objectNode();
                Arrays.stream(b.of().getEnumConstants()).forEach(e -> properties.set(word(e), ref(b.part())));
                yield object(new Variant(properties, List.of()));
            }
        };
    }

    private static void list(ObjectNode o, int least, int most) {
        o.put("type", "array").put("minItems", least).put("maxItems", most);
    }

    private static ObjectNode words(ObjectNode o, Class<? extends Enum<?>> of) {
        ArrayNode words = o.putArray("enum");
        Arrays.stream(of.getEnumConstants()).forEach(e -> words.add(word(e)));
        return o;
    }

    private static String word(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private ObjectNode ref(Range range) {
        String name = key(range.name());
        if (!defs.has(name)) {
            ObjectNode o = defs.putObject(name).put("type", "number");
            JsonTree.number(o, "minimum", range.least());
            JsonTree.number(o, "maximum", range.most());
            if (range.nearest() > 0) {
                ArrayNode any = o.putArray("anyOf");
                JsonTree.number(any.addObject(), "maximum", -range.nearest());
                JsonTree.number(any.addObject(), "minimum", range.nearest());
            }
            if (!range.help().isEmpty()) {
                o.put("description", range.help());
            }
        }
        return ref(name);
    }

    private ObjectNode ref(Id.Kind kind) {
        return pattern(
                kind.name().toLowerCase(Locale.ROOT) + " id",
                "^" + kind.first().text().replace("1", NUMBER) + "$");
    }

    private ObjectNode pattern(String name, String pattern) {
        if (!defs.has(key(name))) {
            defs.putObject(key(name))
                    .put("type", "string")
                    .put("pattern", pattern.startsWith("^") ? pattern : "^" + pattern + "$")
                    .put("maxLength", Id.LONGEST);
        }
        return ref(key(name));
    }

    private ObjectNode three(String name, Range... ranges) {
        if (!defs.has(key(name))) {
            ObjectNode o = defs.putObject(key(name));
            list(o, 3, 3);
            ArrayNode items = o.putArray("prefixItems");
            Arrays.stream(ranges).forEach(r -> items.add(ref(r)));
        }
        return ref(key(name));
    }

    /** A form stands in the definitions under the name of what it describes, each only once. */
    private ObjectNode ref(Form<?> form) {
        String name = names.get(form);
        if (name == null) {
            name = free(type(form).getSimpleName());
            names.put(form, name);
            defs.putObject(name);
            defs.set(name, object(form).put("description", form.help()));
        }
        return ref(name);
    }

    private String free(String wanted) {
        String name = wanted;
        for (int n = 2; defs.has(name); n++) {
            name = wanted + n;
        }
        return name;
    }

    /** The record or the sealed kind that a form describes. */
    public static Class<?> type(Form<?> form) {
        return switch (form) {
            case Part<?> p -> p.type();
            case Form.Kinds<?> k -> common(k.kinds().values().iterator().next().type());
            case Form.Either<?> e -> common(e.ways().getFirst().type());
            case Form.Under<?> u -> u.part().type();
            case Form.Packed p -> p.getClass();
        };
    }

    private static Class<?> common(Class<?> one) {
        return one.getInterfaces()[0];
    }

    private static String key(String name) {
        return name.replace(": ", "_").replace(' ', '_');
    }

    private static ObjectNode ref(String name) {
        return JsonNodeFactory.instance.objectNode().put("$ref", "#/$defs/" + name);
    }
}
