package mildtilt.io;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DecimalNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import mildtilt.describe.Range;
import mildtilt.describe.Ranges;
import mildtilt.io.jobfile.MeshText;
import mildtilt.io.jobfile.SchemaMaker;
import mildtilt.parts.CatalogueParts;
import mildtilt.parts.JobParts;
import mildtilt.parts.RuleParts;

/**
 * Damages files knowing what they are made of: wrong types, keys lost, doubled and misspelt, sizes at their extremes,
 * lists of other lengths, names that
 * bite, deep nesting, packed data that is none; and bytes at random. The same damage for the same seed.
 */
final class Mutator {

    private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
    private static final JsonMapper MAPPER = new JsonMapper();

    /** What a size is set to, or what it is multiplied by. */
    static final double[] EXTREMES = {0, -1, 4.9e-324, 1e-9, 1e5, 1e9, 1.7e308, 90, 180};

    private static final double[] FACTORS = {-1, 0.01, 0.3, 0.8, 1.25, 3, 100};

    /**
     * The ends of the ranges that a size of each key can be in, and what lies just beyond them: from the descriptions.
     */
    private static final Map<String, List<Double>> ENDS = ends();

    private static final List<String> NAMES = List.of(
            "",
            " ",
            "\u0000",
            "a\nb",
            "{0} {1}",
            "../../etc/x",
            "/",
            "=1+1",
            " =1+1",
            "\uFF1D1",
            "\uD83D\uDE00\uD83D\uDE00",
            "\uD83D",
            "\uFFFF",
            "\u202Egnp.exe",
            "%n%s%d",
            "<b>&amp;",
            "null",
            "con",
            "x".repeat(199),
            "x".repeat(30_000),
            "\"",
            "\\",
            "\u0001{",
            "0",
            "Upper joint");

    private final Random r;

    private static Map<String, List<Double>> ends() {
        SchemaMaker maker = new SchemaMaker();
        List.of(JobParts.JOB, RuleParts.FILE, CatalogueParts.FILE).forEach(part -> maker.schema(part, "", ""));
        Map<String, List<Double>> all = new HashMap<>();
        for (Range range : Ranges.all()) {
            for (String key : maker.keysOfRanges().getOrDefault(range.name(), new TreeSet<>())) {
                all.computeIfAbsent(key, _ -> new ArrayList<>())
                        .addAll(List.of(
                                range.least(),
                                range.most(),
                                Math.nextDown(range.least()),
                                Math.nextUp(range.most()),
                                range.nearest(),
                                -range.nearest()));
            }
        }
        return all;
    }

    Mutator(long seed) {
        r = new Random(seed);
    }

    /** A place in a tree: a key of an object or an index of an array. */
    private record Spot(JsonNode in, String key, int index) {
        JsonNode value() {
            return in.isArray() ? in.get(index) : in.get(key);
        }

        void set(JsonNode v) {
            if (in instanceof ArrayNode a) {
                a.set(index, v);
            } else {
                ((ObjectNode) in).set(key, v);
            }
        }
    }

    private static void gather(JsonNode node, List<Spot> all) {
        if (node instanceof ObjectNode o) {
            o.properties().forEach(e -> all.add(new Spot(o, e.getKey(), 0)));
        } else if (node instanceof ArrayNode a) {
            for (int i = 0; i < a.size(); i++) {
                all.add(new Spot(a, "", i));
            }
        }
        node.forEach(child -> gather(child, all));
    }

    /** A whole job, rule set or catalogue damaged in one to three places. */
    String json(JsonNode whole) {
        JsonNode root = whole.deepCopy();
        String text = null;
        for (int n = r.nextInt(3); n >= 0 && text == null; n--) {
            List<Spot> spots = new ArrayList<>();
            gather(root, spots);
            if (spots.isEmpty()) {
                break;
            }
            text = damage(root, spots, spots.get(r.nextInt(spots.size())));
        }
        return text == null ? root.toString() : text;
    }

    /** @return the text where the damage is one that no tree can hold */
    private String damage(JsonNode root, List<Spot> spots, Spot s) {
        switch (r.nextInt(12)) {
            case 0 -> s.set(other(s.value()));
            case 1 -> remove(s);
            case 2 -> {
                return doubled(root, s);
            }
            case 3 -> misspelt(s);
            case 4, 5, 6, 7 -> number(spots);
            case 8 -> list(spots);
            case 9 -> name(spots);
            case 10 -> s.set(spots.get(r.nextInt(spots.size())).value().deepCopy());
            default -> {
                return rare(root, s);
            }
        }
        return null;
    }

    private JsonNode other(JsonNode v) {
        List<JsonNode> all = List.of(
                MAKE.nullNode(),
                MAKE.booleanNode(true),
                MAKE.textNode("x"),
                MAKE.textNode(v.asText()),
                MAKE.numberNode(3),
                MAKE.arrayNode(),
                MAKE.objectNode(),
                MAKE.arrayNode().add(v.deepCopy()));
        return all.get(r.nextInt(all.size()));
    }

    private static void remove(Spot s) {
        if (s.in instanceof ArrayNode a) {
            a.remove(s.index);
        } else {
            ((ObjectNode) s.in).remove(s.key);
        }
    }

    private static String doubled(JsonNode root, Spot s) {
        if (s.in instanceof ArrayNode a) {
            a.insert(s.index, s.value().deepCopy());
            return null;
        }
        String entry = MAKE.textNode(s.key) + ":" + s.value();
        return root.toString().replace(entry, entry + "," + entry);
    }

    private static void misspelt(Spot s) {
        if (s.in instanceof ObjectNode o) {
            o.set(s.key + "s", o.remove(s.key));
        }
    }

    private void number(List<Spot> spots) {
        List<Spot> numbers = spots.stream()
                .filter(s -> s.value() != null && s.value().isNumber())
                .toList();
        if (!numbers.isEmpty()) {
            Spot s = numbers.get(r.nextInt(numbers.size()));
            double is = s.value().asDouble();
            List<Double> ends = ENDS.getOrDefault(s.key, List.of());
            s.set(
                    switch (r.nextInt(4)) {
                        case 0 -> MAKE.numberNode(EXTREMES[r.nextInt(EXTREMES.length)]);
                        case 1 -> MAKE.numberNode(ends.isEmpty() ? -is : ends.get(r.nextInt(ends.size())));
                        case 2 -> MAKE.numberNode(is * FACTORS[r.nextInt(FACTORS.length)]);
                        default -> MAKE.numberNode(is + 50 * r.nextGaussian());
                    });
        }
    }

    private void list(List<Spot> spots) {
        List<Spot> lists =
                spots.stream().filter(s -> s.value() instanceof ArrayNode).toList();
        if (!lists.isEmpty()) {
            ArrayNode a = (ArrayNode) lists.get(r.nextInt(lists.size())).value();
            switch (r.nextInt(4)) {
                case 0 -> a.removeAll();
                case 1 -> a.addAll(a.deepCopy());
                case 2 -> {
                    for (int i = 0; i < 700 && !a.isEmpty(); i++) {
                        a.add(a.get(0));
                    }
                }
                default -> a.remove(a.size() - 1);
            }
        }
    }

    private void name(List<Spot> spots) {
        List<Spot> names = spots.stream()
                .filter(s -> s.value() != null && s.value().isTextual())
                .toList();
        if (!names.isEmpty()) {
            names.get(r.nextInt(names.size())).set(MAKE.textNode(NAMES.get(r.nextInt(NAMES.size()))));
        }
    }

    private String rare(JsonNode root, Spot s) {
        switch (r.nextInt(5)) {
            case 0 -> s.set(new DecimalNode(new BigDecimal("1e400")));
            case 1 -> s.set(new DecimalNode(new BigDecimal("9".repeat(30))));
            case 2 -> {
                JsonNode v = s.value().deepCopy();
                for (int i = 0; i < 200; i++) {
                    v = MAKE.arrayNode().add(v);
                }
                s.set(v);
            }
            case 3 -> scan(root);
            default -> {
                return new String(bytes(root.toString().getBytes(StandardCharsets.UTF_8)), StandardCharsets.UTF_8);
            }
        }
        return null;
    }

    /** A scan whose packed numbers are damaged, are none, or unpack to far more than they are. */
    private void scan(JsonNode root) {
        if (root instanceof ObjectNode o && !o.path("surroundings").has("obstacles")) {
            String[] packs = {
                "",
                "AAAA",
                MeshText.pack(new byte[0]),
                MeshText.pack(new byte[7]),
                MeshText.pack(new byte[3_000_000]),
                MeshText.pack(random(36 * 4)),
                "not base 64"
            };
            ObjectNode shape = MAKE.objectNode()
                    .put("kind", "scan")
                    .put("file", "a.stl")
                    .put("corners", packs[r.nextInt(packs.length)])
                    .put("triangles", packs[r.nextInt(packs.length)]);
            shape.putArray("at_mm").add(0).add(0).add(0);
            o.putObject("surroundings")
                    .putArray("obstacles")
                    .addObject()
                    .put("name", "scan")
                    .set("shape", shape);
        }
    }

    private byte[] random(int n) {
        byte[] b = new byte[n];
        r.nextBytes(b);
        return b;
    }

    private static final List<String> WORDS = List.of(
            "0",
            "-0",
            "1e308",
            "1e-308",
            "NaN",
            "null",
            "true",
            "[]",
            "{}",
            "\"\"",
            "\"\\u0000\"",
            "1e400",
            "00",
            "-1",
            "99999999999999999999",
            "\"a\"",
            "{\"a\":1}",
            "[[[[",
            "\\",
            "\n",
            ",",
            ";",
            "\t",
            "\"",
            "5d",
            "0x1p3",
            "1,234",
            "solid",
            "facet normal",
            "f 1 2 3",
            "f // 2 3",
            "f /",
            "v 1 2",
            "v 1e30 0 0",
            "f -1 -2 -3",
            "f 1/1/1 99999999/2/3 0",
            "\uFEFF");

    /** One to four wounds: bytes changed, stretches cut out, doubled, moved or cut off, words put elsewhere. */
    byte[] bytes(byte[] whole) {
        byte[] b = whole;
        for (int n = r.nextInt(4); n >= 0; n--) {
            int at = b.length == 0 ? 0 : r.nextInt(b.length);
            int length = Math.min(b.length - at, 1 + r.nextInt(1 + r.nextInt(60)));
            b = switch (r.nextInt(6)) {
                case 0 -> put(b, at, Math.min(1, length), new byte[] {(byte) r.nextInt(256)});
                case 1 -> put(b, at, length, new byte[0]);
                case 2 -> put(b, at, 0, Arrays.copyOfRange(b, at, at + length));
                case 3 -> Arrays.copyOf(b, at);
                case 4 -> put(b, at, length, Arrays.copyOfRange(b, Math.max(0, at - length), at));
                default ->
                    put(
                            b,
                            at,
                            r.nextInt(2) * length,
                            WORDS.get(r.nextInt(WORDS.size())).getBytes(StandardCharsets.UTF_8));
            };
        }
        return b;
    }

    private static byte[] put(byte[] b, int at, int instead, byte[] what) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(b, 0, at);
        out.write(what, 0, what.length);
        out.write(b, at + instead, b.length - at - instead);
        return out.toByteArray();
    }

    static JsonNode tree(String text) throws IOException {
        return MAPPER.readTree(text);
    }
}
