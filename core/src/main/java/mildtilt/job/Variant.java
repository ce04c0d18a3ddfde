package mildtilt.job;

import mildtilt.id.Id;

/** Another plan for the same vehicle, kept beside the job's own. */
public record Variant(Id id, String name, Plan plan) {}
