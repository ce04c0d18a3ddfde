package mildtilt.format;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Collectors;

/** JSON text read and held against the schema that ships; every refusal names the place in the file. */
final class SchemaCheck {

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    static {
        // A packed scan is one long string.
        MAPPER.getFactory().setStreamReadConstraints(StreamReadConstraints.builder().maxStringLength(80 << 20).build());
    }

    private static final int PROBLEMS_SHOWN = 5;

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
            return (ObjectNode) MAPPER.readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One definition of the schema as the whole. */
    private static JsonNode part(String name) {
        ObjectNode whole = MAPPER.createObjectNode();
        whole.put("$schema", tree().get("$schema").asText());
        whole.put("$ref", "#/$defs/" + name);
        whole.set("$defs", tree().get("$defs"));
        return whole;
    }

    /** Makes the schema of jobs ready ahead of the first file, which else waits for it. */
    static void prepare() {
        Job.SCHEMA.initializeValidators();
    }

    static JsonNode parse(String text) throws JobFileException {
        try {
            return MAPPER.readTree(text);
        } catch (JsonProcessingException e) {
            JsonLocation at = e.getLocation();
            String place = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
            throw new JobFileException("The file is damaged or is not JSON: it can't be read" + place + " ("
                    + e.getOriginalMessage().lines().findFirst().orElse("") + ").");
        }
    }

    static void mustBeJob(JsonNode root) throws JobFileException {
        mustFit(Job.SCHEMA, root, "job");
    }

    static void mustBeRules(JsonNode root) throws JobFileException {
        mustFit(Rules.SCHEMA, root, "rule set");
    }

    static void mustBeCatalogue(JsonNode root) throws JobFileException {
        mustFit(Catalogue.SCHEMA, root, "catalogue");
    }

    private static void mustFit(JsonSchema schema, JsonNode root, String what) throws JobFileException {
        List<ValidationMessage> problems = List.copyOf(schema.validate(root));
        if (problems.isEmpty()) {
            return;
        }
        String shown = problems.stream().limit(PROBLEMS_SHOWN)
                .map(p -> place(p.getInstanceLocation().toString()) + ": "
                        + p.getMessage().replaceFirst("^\\Q" + p.getInstanceLocation() + "\\E:? *", ""))
                .collect(Collectors.joining("\n"));
        int more = problems.size() - PROBLEMS_SHOWN;
        throw new JobFileException("The file does not say a whole " + what + ". " + shown
                + (more > 0 ? "\n… and " + more + " more." : ""));
    }

    /** {@code $.column.joints[1].centre_mm} as {@code column, joints number 2, centre_mm}. */
    private static String place(String path) {
        StringBuilder said = new StringBuilder();
        for (String part : path.replaceAll("\\[(\\d+)]", ".#$1").split("[./]")) {
            if (part.startsWith("#")) {
                said.append(" number ").append(Integer.parseInt(part.substring(1)) + 1);
            } else if (!part.isEmpty() && !part.equals("$")) {
                said.append(said.isEmpty() ? "" : ", ").append(part);
            }
        }
        return said.isEmpty() ? "the file itself" : said.toString();
    }
}
