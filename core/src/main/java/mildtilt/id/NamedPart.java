package mildtilt.id;

/** A part as it is referred to, and as people call it today. */
public record NamedPart(Id id, String name) {}
