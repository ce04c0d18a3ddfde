package mildtilt.gear;

/** A steering gear. */
public sealed interface Gear permits RackAndPinion {}
