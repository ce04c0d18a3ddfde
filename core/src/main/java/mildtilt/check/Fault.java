package mildtilt.check;

/** The kinds of fault, the gravest first: this is the order they are shown in among equals. */
public enum Fault {
    WRONG_WAY,
    WHEELS_DO_NOT_FOLLOW,
    JOINT_LOCKED,
    JOINT_OVER_LIMIT,
    NO_ROOM_FOR_SHAFT,
    TRAVEL_NOT_REACHED,
    LOCK_NOT_REACHED,
    NEAR_TOGGLE,
    ROD_END_OVER_LIMIT,
    TYRE_TOUCHES,
    ROD_BUCKLES,
    ROD_BENDS,
    RIPPLE,
    SHAFT_FLOATS,
    REVERSED_ACKERMANN,
    ACKERMANN,
    LOCK_SHORT,
    GEAR_OVERTRAVELS,
    BUMP_STEER,
    RAKED_ROD,
    HEAVY,
    GEAR_TAKES_THE_BLOW
}
