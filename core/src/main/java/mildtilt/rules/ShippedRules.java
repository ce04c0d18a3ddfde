package mildtilt.rules;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The rule sets that ship with the program, to be used as they are or copied and edited. */
public enum ShippedRules {
    CAUTIOUS_ROAD("cautious-road"),
    CLOSED_COURSE("closed-course"),
    SLOW_WORKPLACE("slow-workplace");

    private final String file;

    ShippedRules(String file) {
        this.file = file;
    }

    /** Name of its file, without ending. */
    public String file() {
        return file;
    }

    /** As it ships, for those who copy it. */
    public JsonNode json() {
        try (InputStream in = ShippedRules.class.getResourceAsStream(file + ".rules.json")) {
            return new JsonMapper().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public Rules rules() {
        return Held.ALL[ordinal()];
    }

    /** Read once. */
    private static final class Held {
        static final Rules[] ALL = new Rules[values().length];

        static {
            for (ShippedRules s : values()) {
                ALL[s.ordinal()] = RulesJson.read(s.json());
            }
        }
    }
}
