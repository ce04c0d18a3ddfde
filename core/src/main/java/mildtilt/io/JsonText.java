package mildtilt.io;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mildtilt.describe.JobPlace;
import mildtilt.describe.RefusalText;

/**
 * JSON text as a tree, refused in plain words where it is damaged or larger than any job. Bounded before the tree is
 * made, so
 * that memory stays in proportion to the file.
 */
public final class JsonText {

    /** A job of 200 obstacles, 100 vehicles' trials and every list full stays well under it. */
    private static final int MOST_VALUES = 1_000_000;

    /** A packed scan of as many triangles as can be taken is one long string. */
    private static final int LONGEST_TEXT = 34 << 20;

    private static final int DEEPEST = 60;
    private static final int LONGEST_NUMBER = 400;
    private static final Pattern DOUBLED = Pattern.compile("Duplicate [fF]ield '(.*)'.*", Pattern.DOTALL);

    static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    static {
        MAPPER.getFactory()
                .setStreamReadConstraints(StreamReadConstraints.builder()
                        .maxStringLength(LONGEST_TEXT)
                        .maxNestingDepth(DEEPEST)
                        .maxNumberLength(LONGEST_NUMBER)
                        .maxNameLength(1000)
                        .build());
    }

    private JsonText() {}

    /** @throws JobFileException if it is no JSON, holds a number that no computer can, or is larger than any job */
    public static JsonNode parse(String text) throws JobFileException {
        String whole = text.startsWith("\uFEFF") ? text.substring(1) : text;
        try {
            // A value takes a character at least: a short text need not be gone through twice.
            if (whole.length() > MOST_VALUES) {
                count(whole);
            }
            JsonNode root = MAPPER.readTree(whole);
            if (root.isMissingNode()) {
                throw new JobFileException("The file is empty.");
            }
            finite(root, "");
            return root;
        } catch (JsonProcessingException e) {
            throw new JobFileException(sentence(e));
        } catch (IOException e) {
            throw new JobFileException("The file is damaged or is not JSON.");
        }
    }

    private static void count(String text) throws IOException, JobFileException {
        int values = 0;
        try (JsonParser p = MAPPER.createParser(text)) {
            for (JsonToken t = p.nextToken(); t != null; t = p.nextToken()) {
                if (++values > MOST_VALUES) {
                    throw new JobFileException("The file holds more than " + MOST_VALUES
                            + " values, which no job does. It is damaged, or it is something else.");
                }
            }
        }
    }

    private static void finite(JsonNode node, String place) throws JobFileException {
        if (node.isFloatingPointNumber() && !Double.isFinite(node.asDouble())) {
            throw new JobFileException(
                    RefusalText.capital(place.isEmpty() ? "the file" : place) + " is far too large a number.");
        }
        if (node.isArray()) {
            for (int i = 0; i < node.size(); i++) {
                finite(node.get(i), place + " number " + (i + 1));
            }
        } else if (node.isObject()) {
            for (Map.Entry<String, JsonNode> e : node.properties()) {
                finite(e.getValue(), place + (place.isEmpty() ? "" : ", ") + JobPlace.plain(e.getKey()));
            }
        }
    }

    private static String sentence(JsonProcessingException e) {
        JsonLocation at = e.getLocation();
        String place = at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
        Matcher doubled = DOUBLED.matcher(e.getOriginalMessage());
        if (e instanceof StreamConstraintsException) {
            return "The file holds a text, a number or a nesting far larger than any job's" + place
                    + ". It is damaged, or it is something else.";
        }
        if (e instanceof JsonEOFException) {
            return "The file is cut short: it ends in the middle" + place + ".";
        }
        if (doubled.matches()) {
            return "The file says \"" + RefusalText.cut(doubled.group(1)) + "\" twice in one place" + place
                    + ". Delete one of the two.";
        }
        return "The file is damaged or is not JSON: it can't be read any further" + place + ".";
    }
}
