package mildtilt.suspension;

/** Where a corner stands, or why it can't. */
public sealed interface CornerPose permits KnucklePose, CannotAssemble {}
