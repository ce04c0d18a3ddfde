package mildtilt.format;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonNodePath;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** JSON held against the schema that ships, which holds the range of every size; every refusal names the place. */
final class SchemaCheck {

    /** Rules that only say that another kind stands there. */
    private static final Set<String> CHOICE = Set.of("const", "oneOf", "anyOf", "allOf");

    private static final int MOST_SHOWN = 3;
    private static final int LONGEST_REFUSAL = 280;

    /** So many faults are weighed against each other; of a list with thousands of the same the first tell all. */
    private static final int MOST_WEIGHED = 300;

    /** Up to here all faults of a file are gathered; of a larger one only the first, or a long list of the same fault takes ages. */
    private static final int SMALL = 20_000;

    private SchemaCheck() {}

    /** Compiled once, at the first file of the kind: a demo or a new job needs none. */
    private static final class Job {
        static final JsonSchema SCHEMA = compile(tree());
    }

    private static final class Rules {
        static final JsonSchema SCHEMA = compile(part("rules_file"));
    }

    private static final class Catalogue {
        static final JsonSchema SCHEMA = compile(part("catalogue_file"));
    }

    private static JsonSchema compile(JsonNode tree) {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(tree);
    }

    private static ObjectNode tree() {
        try (InputStream in = SchemaCheck.class.getResourceAsStream("job.schema.json")) {
            return (ObjectNode) JsonText.MAPPER.readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One definition of the schema as the whole. */
    private static JsonNode part(String name) {
        ObjectNode whole = JsonText.MAPPER.createObjectNode();
        whole.put("$schema", tree().get("$schema").asText());
        whole.put("$ref", "#/$defs/" + name);
        whole.set("$defs", tree().get("$defs"));
        return whole;
    }

    /** Makes the schema of jobs ready ahead of the first file, which else waits for it. */
    static void prepare() {
        Job.SCHEMA.initializeValidators();
    }

    static void mustBeJob(JsonNode root) throws JobFileException {
        mustFit(Job.SCHEMA, root);
    }

    static void mustBeRules(JsonNode root) throws JobFileException {
        mustFit(Rules.SCHEMA, root);
    }

    static void mustBeCatalogue(JsonNode root) throws JobFileException {
        mustFit(Catalogue.SCHEMA, root);
    }

    private static void mustFit(JsonSchema schema, JsonNode root) throws JobFileException {
        boolean small = values(root, SMALL) < SMALL;
        Set<ValidationMessage> problems = schema.validate(root, c -> c.getExecutionConfig().setFailFast(!small));
        if (problems.isEmpty()) {
            return;
        }
        List<ValidationMessage> first = problems.stream().limit(MOST_WEIGHED).toList();
        List<String> sentences = worst(first).stream().map(p -> SchemaWords.sentence(p, schema.getSchemaNode(), root)).distinct().toList();
        StringBuilder said = new StringBuilder();
        int shown = 0;
        while (shown < Math.min(MOST_SHOWN, sentences.size()) && (shown == 0 || said.length() + sentences.get(shown).length() < LONGEST_REFUSAL - 30)) {
            said.append(shown == 0 ? "" : " ").append(sentences.get(shown++));
        }
        int more = sentences.size() - shown;
        throw new JobFileException(said + (problems.size() > first.size() ? " And many more." : more > 0 ? " And " + more + " more." : ""));
    }

    /**
     * The rules of a kind, and a thing that is of another kind by its own word.
     *
     * @param rules where in the schema
     * @param thing where in the file
     */
    private record OtherKind(String rules, JsonNodePath thing) {

        static Optional<OtherKind> of(ValidationMessage p) {
            String way = p.getEvaluationPath().toString();
            int from = way.lastIndexOf("oneOf[");
            return "const".equals(p.getType()) && from >= 0 && p.getInstanceLocation().getNameCount() > 0
                    ? Optional.of(new OtherKind(way.substring(0, way.indexOf(']', from) + 1), p.getInstanceLocation().getParent())) : Optional.empty();
        }

        boolean says(ValidationMessage p) {
            return p.getEvaluationPath().toString().startsWith(rules) && p.getInstanceLocation().startsWith(thing);
        }
    }

    /** Without what is wrong by the rules of a kind that a thing does not even want to be. */
    private static List<ValidationMessage> ofTheirKind(List<ValidationMessage> problems) {
        List<OtherKind> others = problems.stream().map(OtherKind::of).flatMap(Optional::stream).toList();
        List<ValidationMessage> own = problems.stream().filter(p -> others.stream().noneMatch(o -> o.says(p))).toList();
        if (!own.isEmpty() && !own.stream().allMatch(p -> CHOICE.contains(p.getType()))) {
            return own;
        }
        List<ValidationMessage> kinds = problems.stream().filter(p -> "const".equals(p.getType())).toList();
        return kinds.isEmpty() ? problems : kinds;
    }

    /** One fault for each place: where a place fits none of several kinds, what is wrong deepest inside is what was meant. */
    private static List<ValidationMessage> worst(List<ValidationMessage> problems) {
        List<ValidationMessage> told = new ArrayList<>();
        ofTheirKind(problems).stream().sorted(Comparator.comparing((ValidationMessage p) -> rank(p.getType())).thenComparing(p -> -p.getInstanceLocation().getNameCount())).forEach(p -> {
            JsonNodePath place = p.getInstanceLocation();
            // That another kind could stand there says nothing where something of this kind is wrong already.
            JsonNodePath of = CHOICE.contains(p.getType()) && place.getNameCount() > 0 ? place.getParent() : place;
            if (told.stream().noneMatch(t -> within(of, t.getInstanceLocation()))) {
                told.add(p);
            }
        });
        return told;
    }

    /** What says most comes first: a name that is misspelt explains the one that is missing. */
    private static int rank(String keyword) {
        return CHOICE.contains(keyword) ? 2 : "required".equals(keyword) ? 1 : 0;
    }

    /** Whether a place is another's, or one round it. */
    private static boolean within(JsonNodePath place, JsonNodePath of) {
        return place.getNameCount() < of.getNameCount() && of.startsWith(place) || place.equals(of);
    }

    private static int values(JsonNode node, int most) {
        int n = 1;
        for (JsonNode child : node) {
            if (n >= most) {
                return n;
            }
            n += values(child, most - n);
        }
        return n;
    }
}
