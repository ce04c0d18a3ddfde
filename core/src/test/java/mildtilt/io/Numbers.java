package mildtilt.io;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DoubleNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.function.ToDoubleFunction;

/** A file's numbers changed by the names they stand under. */
public final class Numbers {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private Numbers() {}

    /** A copy with each number times the factor for its name; those of a list stand under the list's name. */
    public static JsonNode times(JsonNode node, ToDoubleFunction<String> factor) {
        return times("", node, factor);
    }

    private static JsonNode times(String key, JsonNode node, ToDoubleFunction<String> factor) {
        if (node instanceof ObjectNode o) {
            ObjectNode out = MAPPER.createObjectNode();
            o.properties().forEach(e -> out.set(e.getKey(), times(e.getKey(), e.getValue(), factor)));
            return out;
        }
        if (node instanceof ArrayNode a) {
            ArrayNode out = MAPPER.createArrayNode();
            a.forEach(n -> out.add(times(key, n, factor)));
            return out;
        }
        double by = node.isNumber() ? factor.applyAsDouble(key) : 1;
        return by == 1 ? node : DoubleNode.valueOf(node.asDouble() * by);
    }
}
