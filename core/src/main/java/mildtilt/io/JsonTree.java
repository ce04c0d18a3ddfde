package mildtilt.io;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.Writer;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;

/** Builds and prints JSON: whole numbers as a person writes them, the same layout on every platform. */
public final class JsonTree {

    private static final JsonMapper MAPPER = new JsonMapper();

    private JsonTree() {}

    /** JSON text with two-space indents and a line feed at the end, on every platform. */
    public static String print(ObjectNode tree) {
        try {
            return MAPPER.writer(layout()).writeValueAsString(tree) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Writes the same layout piece by piece. */
    public static JsonGenerator generator(Writer out) throws IOException {
        return MAPPER.writer(layout()).createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
    }

    private static DefaultPrettyPrinter layout() {
        return new DefaultPrettyPrinter().withObjectIndenter(new DefaultIndenter("  ", "\n"));
    }

    public static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    public static ArrayNode point(Point p) {
        return numbers(p.x(), p.y(), p.z());
    }

    public static ArrayNode direction(Direction d) {
        return numbers(d.x(), d.y(), d.z());
    }

    public static ArrayNode numbers(double... values) {
        ArrayNode a = JsonNodeFactory.instance.arrayNode();
        for (double v : values) {
            add(a, v);
        }
        return a;
    }

    public static void add(ArrayNode a, double v) {
        if (isWhole(v)) {
            a.add((long) v);
        } else {
            a.add(v);
        }
    }

    /** Whole numbers without ".0", as a person would write them; all others in the shortest exact form. */
    public static void number(ObjectNode o, String key, double v) {
        if (isWhole(v)) {
            o.put(key, (long) v);
        } else {
            o.put(key, v);
        }
    }

    private static boolean isWhole(double v) {
        return v == Math.rint(v) && Math.abs(v) < 1e15;
    }
}
