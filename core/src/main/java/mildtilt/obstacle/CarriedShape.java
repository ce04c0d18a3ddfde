package mildtilt.obstacle;

import java.util.Set;
import java.util.function.Function;
import mildtilt.geometry.RigidMove;

/** A shape whose parts go along with several things: its form follows them. */
public sealed interface CarriedShape extends Shape permits TwoEnded, AntiRollBar {

    /** What its ends are fixed to. */
    Set<Carrier> carriers();

    /** As it stands where those have moved. */
    CarriedShape carried(Function<Carrier, RigidMove> moves);
}
