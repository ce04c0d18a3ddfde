package mildtilt.clearance.bodies;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.id.NamedPart;
import mildtilt.job.Element;
import mildtilt.obstacle.Carrier;
import mildtilt.solid.Solid;

/**
 * One thing that could touch another.
 *
 * @param id of the part it is
 * @param name as the user reads it
 * @param element what it belongs to
 * @param need gap it wants to anything, mm
 * @param extra by how much it may be nearer than drawn, mm
 * @param onPose whether steering or wheel travel moves it
 * @param onColumn whether the steering wheel's adjustment moves it
 * @param onPart whether it moves by itself
 * @param carriers of an obstacle, what it is fixed to; of a part bolted to the axle, that
 * @param markers points that follow it: it is nowhere carried farther than the farthest of them
 * @param solid as it stands
 * @param guess what its sizes are worth
 */
public record Body(
        Id id,
        String name,
        Element element,
        Sort sort,
        Optional<Side> side,
        double need,
        double extra,
        boolean onPose,
        boolean onColumn,
        boolean onPart,
        Set<Carrier> carriers,
        Function<Configuration, List<Point>> markers,
        Function<Configuration, Solid> solid,
        Guess guess) {

    /** What the sizes of a body are worth. */
    public sealed interface Guess {

        /** All of them were given. */
        record None() implements Guess {}

        /** A size of it was guessed: as it stands if it takes up as little room as such a part ever does. */
        record Size(Function<Configuration, Solid> least) implements Guess {}

        /** Its form was guessed, too, and among parts made for each other that says nothing. */
        record Form(Function<Configuration, Solid> least) implements Guess {}
    }

    static final Guess GIVEN = new Guess.None();

    /** As it stands if it takes up as little room as it may. */
    public Solid least(Configuration s) {
        return switch (guess) {
            case Guess.None _ -> solid.apply(s);
            case Guess.Size g -> g.least.apply(s);
            case Guess.Form g -> g.least.apply(s);
        };
    }

    /** What kind of part, which settles what it is looked at against. */
    public enum Sort {
        /** From outside: a drum as wide as the tyre. */
        TYRE,
        /** From inside: rim and tyre as rings, for what reaches into the wheel. */
        WHEEL_RING,
        /** What a wheel hangs on and is steered by: arms, strut, knuckle, steering arm. */
        CORNER,
        /** A tie rod, drag link, centre link. */
        ROD,
        /** Gear, its arm, idler, bell crank, shuttle. */
        GEAR,
        BEAM,
        TRACK_BAR,
        STEERING_WHEEL,
        HANDS,
        SHAFT,
        /** The last shaft, which ends in the gear. */
        STUB,
        JOINT,
        TUBE,
        LEG,
        OBSTACLE;

        public boolean ofColumn() {
            return switch (this) {
                case STEERING_WHEEL, HANDS, SHAFT, STUB, JOINT, TUBE -> true;
                case TYRE, WHEEL_RING, CORNER, ROD, GEAR, BEAM, TRACK_BAR, LEG, OBSTACLE -> false;
            };
        }
    }

    public NamedPart called() {
        return new NamedPart(id, name);
    }

    /** Whether it is a part of axle, gear or linkage. */
    public boolean ofAxle() {
        return switch (sort) {
            case TYRE, WHEEL_RING, CORNER, ROD, GEAR, BEAM, TRACK_BAR -> true;
            case STEERING_WHEEL, HANDS, SHAFT, STUB, JOINT, TUBE, LEG, OBSTACLE -> false;
        };
    }

    public boolean moves() {
        return onPose || onColumn || onPart;
    }
}
