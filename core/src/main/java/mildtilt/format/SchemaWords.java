package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.JsonNodePath;
import com.networknt.schema.ValidationMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What does not fit a schema, as a sentence for the shop: where, what stands there, what can stand there. */
final class SchemaWords {

    private static final int LONGEST_SHOWN = 40;
    private static final int MOST_WORDS = 8;
    private static final double ALL_BUT_0 = 1e-6;
    private static final double HUGE = 1e12;
    private static final Pattern UNIT = Pattern.compile("(.*)_(mm|deg|pct|n|nm|kg|mpa|c)");
    private static final Map<String, String> UNITS = Map.of("mm", " mm", "deg", "°", "pct", " %", "n", " N", "nm", " N·m", "kg", " kg", "mpa", " N/mm²", "c", " °C");

    private SchemaWords() {}

    /** @param schema the whole that was checked against; @param root what was checked */
    static String sentence(ValidationMessage m, JsonNode schema, JsonNode root) {
        JsonNode value = at(root, m.getInstanceLocation());
        JsonNode rule = within(schema, m.getSchemaLocation().getFragment());
        String place = place(m.getInstanceLocation(), root);
        String unit = unit(m.getInstanceLocation());
        String keyword = m.getType();
        return capital(place) + switch (keyword == null ? "" : keyword) {
            case "minimum", "maximum", "exclusiveMinimum", "exclusiveMaximum" -> " is " + shown(value) + unit + "; it can be " + range(rule, unit) + ".";
            case "not" -> " is " + shown(value) + unit + "; it can't be nearer to 0 than " + shown(rule.path("not").path("exclusiveMaximum")) + unit + ".";
            case "type" -> " should be " + kind(rule.path("type").asText()) + " and is " + found(value) + ".";
            case "required" -> ": \"" + cut(String.valueOf(m.getProperty())) + "\" is missing.";
            case "additionalProperties" -> ": nothing is called \"" + cut(String.valueOf(m.getProperty())) + "\" here. Is it misspelt?";
            case "enum" -> " is " + found(value) + "; it can be " + words(rule.path("enum")) + ".";
            case "const" -> " is " + found(value) + (m.getEvaluationPath().toString().contains("oneOf") ? ", which is none of the kinds there are." : " and should be " + found(rule.path("const")) + ".");
            case "minLength" -> value.asText().isEmpty() ? " is empty." : " is too short.";
            case "maxLength" -> " has " + value.asText().length() + " characters; up to " + rule.path("maxLength").asText() + " can be taken.";
            case "minItems" -> " has " + value.size() + " entries; it needs at least " + rule.path("minItems").asText() + ".";
            case "maxItems" -> " has " + value.size() + " entries; up to " + rule.path("maxItems").asText() + " can be taken.";
            case "pattern" -> " is " + found(value) + ", which is not how it is written.";
            default -> " is none of the kinds that can stand there.";
        };
    }

    private static String range(JsonNode rule, String unit) {
        String from = rule.has("minimum") ? rule.get("minimum").asText() : rule.has("exclusiveMinimum") ? "above " + rule.get("exclusiveMinimum").asText() : "";
        String to = rule.has("maximum") ? rule.get("maximum").asText() : rule.has("exclusiveMaximum") ? "below " + rule.get("exclusiveMaximum").asText() : "";
        return from.isEmpty() ? "up to " + to + unit : to.isEmpty() ? from + unit + " or more" : from + " to " + to + unit;
    }

    private static String kind(String type) {
        return switch (type) {
            case "number" -> "a number";
            case "integer" -> "a whole number";
            case "string" -> "a text";
            case "boolean" -> "true or false";
            case "array" -> "a list";
            default -> "a group of sizes";
        };
    }

    private static String found(JsonNode value) {
        return switch (value.getNodeType()) {
            case STRING -> "\"" + cut(value.asText()) + "\"";
            case NUMBER -> shown(value);
            case BOOLEAN -> value.asText();
            case ARRAY -> "a list";
            case OBJECT, POJO -> "a group";
            case NULL, MISSING, BINARY -> "empty";
        };
    }

    /** A number as it stands, but for the point and the nought after it that a whole one may have. */
    private static String shown(JsonNode value) {
        double v = value.asDouble();
        return v != 0 && Math.abs(v) < ALL_BUT_0 ? "all but 0"
                : cut(Math.abs(v) < HUGE && value.isNumber() ? value.decimalValue().stripTrailingZeros().toPlainString() : value.asText().replaceFirst("\\.0$", ""));
    }

    private static String words(JsonNode all) {
        List<String> words = new ArrayList<>();
        all.forEach(w -> words.add(w.asText()));
        if (words.size() > MOST_WORDS) {
            return words.stream().limit(MOST_WORDS).collect(Collectors.joining(", ")) + " …";
        }
        int last = words.size() - 1;
        return last < 1 ? String.join("", words) : String.join(", ", words.subList(0, last)) + " or " + words.get(last);
    }

    /** {@code $.column.joints[1].centre_mm[2]} as {@code column, joints number 2, centre, z}. */
    private static String place(JsonNodePath path, JsonNode root) {
        StringBuilder said = new StringBuilder();
        JsonNode node = root;
        for (int i = 0; i < path.getNameCount(); i++) {
            if (path.getElement(i) instanceof Integer n) {
                boolean point = i == path.getNameCount() - 1 && node.size() == 3 && !node.path(n).isContainerNode();
                said.append(point ? ", " + "xyz".charAt(n) : " number " + (n + 1));
                node = node.path(n);
            } else {
                said.append(said.isEmpty() ? "" : ", ").append(plain(path.getName(i)));
                node = node.path(path.getName(i));
            }
        }
        return said.isEmpty() ? "the file itself" : said.toString();
    }

    /** The key of a file without its unit and its strokes. */
    static String plain(String key) {
        Matcher m = UNIT.matcher(key);
        return cut((m.matches() ? m.group(1) : key).replace('_', ' '));
    }

    /** The unit of the number there, as its key or that of the list round it says. */
    private static String unit(JsonNodePath path) {
        for (int i = path.getNameCount() - 1; i >= 0; i--) {
            if (!(path.getElement(i) instanceof Integer)) {
                Matcher m = UNIT.matcher(path.getName(i));
                return m.matches() ? UNITS.getOrDefault(m.group(2), "") : "";
            }
        }
        return "";
    }

    private static JsonNode at(JsonNode root, JsonNodePath path) {
        JsonNode node = root;
        for (int i = 0; i < path.getNameCount(); i++) {
            node = path.getElement(i) instanceof Integer n ? node.path(n) : node.path(path.getName(i));
        }
        return node;
    }

    /** The part of the schema that holds the rule. */
    private static JsonNode within(JsonNode schema, JsonNodePath path) {
        JsonNode node = schema;
        for (int i = 0; i < path.getNameCount() - 1; i++) {
            Object e = path.getElement(i);
            node = node.isArray() ? node.path(e instanceof Integer n ? n : Integer.parseInt(String.valueOf(e))) : node.path(String.valueOf(e));
        }
        return node;
    }

    static String capital(String place) {
        return place.substring(0, 1).toUpperCase(Locale.ROOT) + place.substring(1);
    }

    /** No longer than can be shown, and nothing in it that does not print. */
    static String cut(String text) {
        String one = text.replaceAll("\\p{Cntrl}", "\u00b7");
        return one.length() > LONGEST_SHOWN ? one.substring(0, one.offsetByCodePoints(0, Math.min(LONGEST_SHOWN, one.codePointCount(0, one.length())))) + "…" : one;
    }
}
