package mildtilt.linkage;

/** A tie rod from each end of the rack to the steering arm on that side. */
public record RackTieRods() implements Linkage {}
