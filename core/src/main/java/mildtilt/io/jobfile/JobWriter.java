package mildtilt.io.jobfile;

import com.fasterxml.jackson.databind.node.ObjectNode;
import mildtilt.io.JsonTree;
import mildtilt.job.Job;
import mildtilt.parts.JobParts;

/** A job as JSON text: always the same text for the same job, every field written. */
public final class JobWriter {

    private JobWriter() {}

    public static String write(Job job) {
        return JsonTree.print(tree(job));
    }

    public static ObjectNode tree(Job job) {
        return FormWriter.write(JobParts.JOB, job);
    }
}
