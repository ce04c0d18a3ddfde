package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.io.JobFileException;
import mildtilt.io.JsonText;
import mildtilt.job.Job;
import mildtilt.parts.JobParts;

/**
 * Reads a job from JSON text: first as JSON, then brought up to this version, then by its description ({@link
 * JobParts}), and at last by what
 * its parts themselves refuse. Every refusal names the place in the file.
 */
public final class JobReader {

    private JobReader() {}

    /** @throws JobFileException if the text is not a job, saying what is wrong and where */
    public static Job read(String text) throws JobFileException {
        JsonNode root = JsonText.parse(text);
        mustBeJob(root);
        Migrations.bringUp((ObjectNode) root);
        return FormReader.read(JobParts.JOB, root, "job");
    }

    private static void mustBeJob(JsonNode root) throws JobFileException {
        if (!root.isObject() || !JobParts.FORMAT.equals(root.path("format").asText())) {
            throw new JobFileException(
                    "This is not a Mild Tilt job: a job begins with \"format\": \"" + JobParts.FORMAT + "\".");
        }
        JsonNode version = root.path("version");
        if (version.isIntegralNumber() && version.asLong() > JobParts.VERSION) {
            throw new JobFileException("This job was saved by a newer Mild Tilt (job version " + version.asLong()
                    + "; this one reads up to " + JobParts.VERSION + "). Open it with the newer program.");
        }
    }
}
