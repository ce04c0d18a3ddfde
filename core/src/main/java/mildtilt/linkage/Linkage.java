package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;

/**
 * What carries the gear's movement to the steering arms. Each kind says itself which gear it needs, which rods and
 * points it has, how it moves
 * and what stands between gear and tie rods ({@link Mechanism}); whoever draws it, keeps clear of it or surveys it asks
 * it.
 */
public sealed interface Linkage permits RackTieRods, ArmTieRods, CentreLink, DragLink, BellCrank, Shuttle {

    /** What the trade calls it. */
    String label();

    /** What is moved when the gear is moved and the linkage with it. */
    String movedWithGear();

    /**
     * @param onKingpins whether both knuckles are
     * @throws ImpossibleGeometryException if it can't go with such a gear or such knuckles
     */
    void mustSuit(Gear gear, boolean onKingpins);

    /** How it moves. */
    Motion motion(SteeredAxle axle);

    /** A tie rod's inner end, straight ahead; empty where one rod joins both knuckles. */
    Optional<Point> inner(Gear gear, Side side);

    /** Whether the tie rods begin on a part that slides rather than turns. */
    default boolean innersSlide() {
        return false;
    }

    /** The rods between the gear's arm and what the tie rods begin on, the one that the gear's arm pushes first. */
    default List<Rod> drivenRods() {
        return List.of();
    }

    /** What passes the movement on from that rod to the tie rods, if anything does. */
    default Optional<RelayPart> relay() {
        return Optional.empty();
    }

    /** Whether that stands on mounts of its own, which can be on another body than the gear's. */
    default boolean relayOnItsOwn() {
        return false;
    }

    /** Both ends of such a rod, and what it is made of; empty where its ends turn on the arms themselves. */
    default Optional<RodEnds> drivenEnds(Rod rod) {
        return Optional.empty();
    }

    /** With other ends; as it is if it has no such rod. */
    default Linkage withDrivenEnds(Rod rod, RodEnds ends) {
        return this;
    }

    /** Points of its own that can be measured and moved, in the order of the train; the tie rods' inner ends last. */
    List<LinkagePoint> points(SteeredAxle axle);

    /** With all of it that stands on the body put elsewhere. @param gear it is driven by, before that is moved */
    Linkage placed(Gear gear, Placing placing);

    /** With a right side of its own even where that is the mirror image. */
    Linkage sidesApart(Gear gear);

    /**
     * With the right side the mirror image of the left, where this one's was. @param was before the sides were apart
     */
    Linkage sidesAlike(Linkage was);

    /** An axle of this linkage with the inner pivots further apart, mm; the same where there are none. */
    SteeredAxle innersSpread(SteeredAxle axle, double by);

    /** The gear as one with an arm. @throws ImpossibleGeometryException if it has none */
    default ArmGear armOf(Gear gear) {
        if (gear instanceof ArmGear g) {
            return g;
        }
        throw new ImpossibleGeometryException("This linkage (" + label() + ") needs a gear with an arm, not a rack.");
    }
}
