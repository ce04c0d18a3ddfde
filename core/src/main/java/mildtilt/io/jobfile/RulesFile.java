package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import mildtilt.io.JobFileException;
import mildtilt.io.JsonText;
import mildtilt.io.JsonTree;
import mildtilt.io.SafeFiles;
import mildtilt.parts.RuleParts;
import mildtilt.rules.Rules;

/** A rule set in a file of its own, to be copied, edited and passed on. */
public final class RulesFile {

    public static final String ENDING = ".rules.json";
    private static final String FORMAT = "mild-tilt-rules";

    private RulesFile() {}

    /** @throws JobFileException if the file is not a rule set, saying what is wrong and where */
    public static Rules open(Path file) throws JobFileException {
        return SafeFiles.read(file, "rule set", RulesFile::read);
    }

    static Rules read(String text) throws JobFileException {
        JsonNode root = JsonText.parse(text);
        if (!root.isObject() || !FORMAT.equals(root.path("format").asText())) {
            throw new JobFileException(
                    "This is not a Mild Tilt rule set: one begins with \"format\": \"" + FORMAT + "\".");
        }
        return FormReader.read(RuleParts.FILE, root, "rule set");
    }

    public static void save(Rules rules, Path file) throws IOException {
        SafeFiles.replace(file, write(rules).getBytes(StandardCharsets.UTF_8));
    }

    public static String write(Rules rules) {
        return JsonTree.print(FormWriter.write(RuleParts.FILE, rules));
    }
}
