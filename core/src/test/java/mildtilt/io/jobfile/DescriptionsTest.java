package mildtilt.io.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import mildtilt.describe.Field;
import mildtilt.describe.Field.Presence;
import mildtilt.describe.Field.Shape;
import mildtilt.describe.Form;
import mildtilt.describe.Kind;
import mildtilt.describe.Part;
import mildtilt.describe.Range;
import mildtilt.describe.RangeCheck;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.JobFileException;
import mildtilt.job.Job;
import mildtilt.parts.JobParts;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The reader, the schema and the check of an edit all go by the same descriptions: they refuse the same. */
class DescriptionsTest {

    private static final int TIMES = 240;
    private static final ObjectMapper MAPPER = new ObjectMapper();

    /** What a job is refused for: empty if it is not. */
    private static String refusal(JsonNode job) {
        try {
            JobReader.read(job.toString());
            return "";
        } catch (JobFileException e) {
            return e.getMessage();
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void readerAndSchemaRefuseTheSame(DemoJob demo) throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(new SchemaMaker().schema(JobParts.JOB, "urn:test", "test"));
        Random random = new Random(demo.ordinal());
        JsonNode good = MAPPER.readTree(JobWriter.write(demo.job()));
        assertThat(schema.validate(good)).isEmpty();
        int refused = 0;
        for (int i = 0; i < TIMES; i++) {
            JsonNode spoilt = good.deepCopy();
            String what = spoil(spoilt, random);
            String refusal = refusal(spoilt);
            boolean valid = schema.validate(spoilt).isEmpty();
            // That a day is none in the calendar a schema can't say.
            // Nor what parts refuse that are each well written; of what it can say, it says no as well.
            boolean byPartsThemselves = valid
                    && (refusal.startsWith("This job can't exist as written.") || refusal.contains("is not a day"));
            assertThat(refusal.isEmpty() || byPartsThemselves)
                    .as("%s: %s, by the schema %s", what, refusal, valid)
                    .isEqualTo(valid);
            refused += valid ? 0 : 1;
        }
        assertThat(refused).isBetween(TIMES / 4, TIMES - 10);
    }

    /** Takes a value away, puts another in its place or adds one; not where what the file is stands. */
    private static String spoil(JsonNode root, Random random) {
        List<Runnable> ways = new ArrayList<>();
        List<String> said = new ArrayList<>();
        gather(root, "", ways, said, random);
        int n = random.nextInt(ways.size());
        ways.get(n).run();
        return said.get(n);
    }

    private static void gather(JsonNode node, String at, List<Runnable> ways, List<String> said, Random random) {
        if (node instanceof ObjectNode o) {
            o.properties().stream()
                    .filter(e -> !at.isEmpty() || !e.getKey().matches("format|version"))
                    .forEach(e -> {
                        String place = at + "." + e.getKey();
                        JsonNode other = other(e.getValue(), random);
                        add(ways, said, place + " = " + other, () -> o.set(e.getKey(), other));
                        if (random.nextInt(4) == 0) {
                            add(ways, said, place + " gone", () -> o.remove(e.getKey()));
                        }
                        gather(e.getValue(), place, ways, said, random);
                    });
            if (random.nextInt(4) == 0) {
                add(ways, said, at + ".nonsense", () -> o.put("nonsense", 1));
            }
        } else if (node instanceof ArrayNode a) {
            for (int i = 0; i < a.size(); i++) {
                int n = i;
                JsonNode other = other(a.get(i), random);
                add(ways, said, at + "[" + i + "] = " + other, () -> a.set(n, other));
                gather(a.get(i), at + "[" + i + "]", ways, said, random);
            }
        }
    }

    private static void add(List<Runnable> ways, List<String> said, String what, Runnable way) {
        ways.add(way);
        said.add(what);
    }

    private static JsonNode other(JsonNode value, Random random) {
        JsonNodeFactory f = JsonNodeFactory.instance;
        if (random.nextInt(3) > 0) {
            if (value.isNumber()) {
                double v = value.asDouble();
                return f.numberNode(new double[] {v * 1.5, v + 3, -v, v * 1e3, 0, 1e-9, -1e6, Math.rint(v) + 0.5}
                        [random.nextInt(8)]);
            }
            if (value.isTextual()) {
                return f.textNode(new String[] {
                            "",
                            value.asText() + "x",
                            "shaft-1",
                            "joint-01",
                            "left",
                            "round",
                            "x".repeat(3000),
                            "2026-02-01",
                            "😀"
                        }
                        [random.nextInt(9)]);
            }
        }
        return switch (random.nextInt(6)) {
            case 0 -> f.nullNode();
            case 1 -> f.booleanNode(random.nextBoolean());
            case 2 -> f.objectNode();
            case 3 -> f.arrayNode();
            case 4 -> f.textNode("what");
            default -> f.numberNode(random.nextInt(100));
        };
    }

    /**
     * A size changed through its description, past its range, is refused with the words with which its file would be.
     */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void editAndFileRefusalsMatch(DemoJob demo) throws Exception {
        Random random = new Random(demo.ordinal());
        int refused = 0;
        int changed = 0;
        for (int i = 0; i < TIMES / 4; i++) {
            Job edited;
            try {
                AtomicInteger sizes = new AtomicInteger();
                changed(JobParts.JOB, demo.job(), sizes, -1, random);
                edited = changed(JobParts.JOB, demo.job(), new AtomicInteger(), random.nextInt(sizes.get()), random);
            } catch (ImpossibleGeometryException e) {
                continue;
            }
            changed += edited.equals(demo.job()) ? 0 : 1;
            Optional<String> fault = RangeCheck.fault(JobParts.JOB, edited);
            String file = refusal(MAPPER.readTree(JobWriter.write(edited)));
            assertThat(fault.orElse(""))
                    .isEqualTo(file.replaceFirst("^This job can't exist as written\\. (At .*?: )?", ""));
            refused += file.isEmpty() ? 0 : 1;
        }
        assertThat(changed).isGreaterThan(TIMES / 10);
        assertThat(refused).isGreaterThan(TIMES / 40);
    }

    @SuppressWarnings("unchecked")
    private static <T> T changedAs(Form<?> form, T value, AtomicInteger count, int number, Random random) {
        return (T) changed(cast(form), value, count, number, random);
    }

    /** The same value with the size of that number changed, counted through all that its description tells. */
    private static <T> T changed(Form<T> form, T value, AtomicInteger count, int number, Random random) {
        return switch (form) {
            case Part<T> p -> {
                T now = value;
                for (Field<T, ?> f : p.fields()) {
                    now = changed(p, f, now, count, number, random);
                }
                yield now;
            }
            case Form.Kinds<T> k -> changedAs(k.kinds().get(k.word(value)), value, count, number, random);
            case Form.Either<T> e -> changedAs(e.of(value).form(), value, count, number, random);
            case Form.Under<T> u -> changed(u.part(), value, count, number, random);
            case Form.Packed _ -> value;
        };
    }

    private static <T, V> T changed(
            Part<T> part, Field<T, V> f, T value, AtomicInteger count, int number, Random random) {
        Object before = f.of(value);
        boolean leftOut = before == null
                || f.shape() instanceof Shape.Keyed<V> k
                        && k.presence() instanceof Presence.Usual<V> u
                        && !u.written()
                        && before.equals(u.usual().apply(null));
        if (leftOut) {
            return value;
        }
        Object after =
                switch (f.shape()) {
                    case Shape.Keyed<V> k -> changed(k.kind(), before, count, number, random);
                    case Shape.Inline<V> i -> changed(cast(i.form()), before, count, number, random);
                    case Shape.Constant _, Shape.Fixed _ -> before;
                };
        return after.equals(before) ? value : part.with(value, f, Optional.of(after));
    }

    private static Object changed(Kind<?> kind, Object before, AtomicInteger count, int number, Random random) {
        return switch (kind) {
            case Kind.Size s -> count.getAndIncrement() == number ? past(s.range(), (Double) before, random) : before;
            case Kind.Group<?> g -> changed(cast(g.form()), before, count, number, random);
            case Kind.Many<?> m ->
                ((Collection<?>) before)
                        .stream()
                                .map(x -> changed(m.of(), x, count, number, random))
                                .toList();
            default -> before;
        };
    }

    private static double past(Range r, double before, Random random) {
        return new double[] {r.most() + 1, r.least() - 1, (r.least() + r.most()) / 2, before * 1.01}[random.nextInt(4)];
    }

    @SuppressWarnings("unchecked")
    private static Form<Object> cast(Form<?> form) {
        return (Form<Object>) form;
    }
}
