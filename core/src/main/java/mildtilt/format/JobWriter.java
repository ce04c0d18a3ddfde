package mildtilt.format;

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
import mildtilt.job.Job;
import mildtilt.parts.JobParts;

/** A job as JSON text: always the same text for the same job, every field written. */
public final class JobWriter {

    private static final JsonMapper MAPPER = new JsonMapper();

    private JobWriter() {}

    public static String write(Job job) {
        return print(tree(job));
    }

    /** JSON text with two-space indents and a line feed at the end, on every platform. */
    static String print(ObjectNode tree) {
        try {
            return MAPPER.writer(layout()).writeValueAsString(tree) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Writes the same layout piece by piece. */
    static JsonGenerator generator(Writer out) throws IOException {
        return MAPPER.writer(layout()).createGenerator(out).disable(JsonGenerator.Feature.AUTO_CLOSE_TARGET);
    }

    private static DefaultPrettyPrinter layout() {
        return new DefaultPrettyPrinter().withObjectIndenter(new DefaultIndenter("  ", "\n"));
    }

    static ObjectNode tree(Job job) {
        return FormWriter.write(JobParts.JOB, job);
    }

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static ArrayNode point(Point p) {
        return numbers(p.x(), p.y(), p.z());
    }

    static ArrayNode direction(Direction d) {
        return numbers(d.x(), d.y(), d.z());
    }

    static ArrayNode numbers(double... values) {
        ArrayNode a = JsonNodeFactory.instance.arrayNode();
        for (double v : values) {
            add(a, v);
        }
        return a;
    }

    static void add(ArrayNode a, double v) {
        if (isWhole(v)) {
            a.add((long) v);
        } else {
            a.add(v);
        }
    }

    /** Whole numbers without ".0", as a person would write them; all others in the shortest exact form. */
    static void number(ObjectNode o, String key, double v) {
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
