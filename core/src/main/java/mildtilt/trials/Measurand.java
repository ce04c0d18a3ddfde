package mildtilt.trials;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.linkage.rods.Rod;
import mildtilt.units.Unit;

/** One figure that is read at a trial and that the plan has too, or that should be nothing. */
public sealed interface Measurand {

    /** Operating angle of a joint, 0 straight. */
    record JointAngle(Id joint) implements Measurand {}

    /** A shaft from joint centre to joint centre, hub or gear input. */
    record ShaftLength(Id shaft) implements Measurand {}

    /** A rod from joint centre to joint centre. */
    record RodLength(Rod rod) implements Measurand {}

    /** How far a wheel is turned where the lock ends, counted from straight ahead into the turn. */
    record LockAngle(Side way, Side wheel) implements Measurand {}

    /** The least gap between two parts over the whole range of steering and travel. */
    record Gap(Id first, Id second) implements Measurand {}

    /** Turns of the steering wheel from straight ahead to where the lock ends. */
    record TurnsTo(Side way) implements Measurand {}

    /** How far the gear's input is turned to the left of the middle of its travel with the road wheels straight. */
    record GearOffCentre() implements Measurand {}

    /** How far the steering wheel's spokes are turned to the left with the road wheels straight. */
    record SpokesOffStraight() implements Measurand {}

    /**
     * Most force at the rim to turn the wheels. @param onGround the tyres on the ground, standing still; else raised
     */
    record RimForce(boolean onGround) implements Measurand {}

    /** Free movement of the rim before a road wheel stirs. @param onGround the tyres on the ground; else raised */
    record RimPlay(boolean onGround) implements Measurand {}

    /** Where the steering wheel comes to rest by itself, turned and let go at walking pace; + still turned left. */
    record FreeReturn() implements Measurand {}

    /** The parts it is read of, as far as a job has several such. */
    default List<Id> parts() {
        return switch (this) {
            case JointAngle g -> List.of(g.joint);
            case ShaftLength g -> List.of(g.shaft);
            case Gap g -> List.of(g.first, g.second);
            case RodLength _,
                    LockAngle _,
                    TurnsTo _,
                    GearOffCentre _,
                    SpokesOffStraight _,
                    RimForce _,
                    RimPlay _,
                    FreeReturn _ -> List.of();
        };
    }

    /** What the bench calls it. @param names what parts are called */
    default String label(Function<Id, String> names) {
        return switch (this) {
            case JointAngle g -> "angle of " + names.apply(g.joint);
            case ShaftLength g -> "length of " + names.apply(g.shaft);
            case RodLength g -> "length of the " + g.rod.label();
            case LockAngle g -> g.wheel.label() + " wheel at full " + g.way.label() + " lock";
            case Gap g -> "gap of " + names.apply(g.first) + " and " + names.apply(g.second);
            case TurnsTo g -> "turns to full " + g.way.label() + " lock";
            case GearOffCentre _ -> "gear off the middle of its travel, wheels straight";
            case SpokesOffStraight _ -> "spokes off straight, wheels straight";
            case RimForce g -> "force at the rim, " + (g.onGround ? "on its tyres, parked" : "raised");
            case RimPlay g -> "play at the rim, " + (g.onGround ? "on its tyres" : "raised");
            case FreeReturn _ -> "left over after free return";
        };
    }

    default Unit unit() {
        return switch (this) {
            case JointAngle _, LockAngle _, GearOffCentre _, SpokesOffStraight _, FreeReturn _ -> Unit.ANGLE;
            case ShaftLength _, RodLength _, Gap _, RimPlay _ -> Unit.LENGTH;
            case TurnsTo _ -> Unit.TURNS;
            case RimForce _ -> Unit.FORCE;
        };
    }

    /** How well it is usually read, ± one standard deviation, in its unit. */
    default double usualSpread() {
        return switch (this) {
            case JointAngle _, LockAngle _ -> 0.3;
            case ShaftLength _, RodLength _, Gap _ -> 0.5;
            case TurnsTo _ -> 0.02;
            case GearOffCentre _, FreeReturn _ -> 2;
            case SpokesOffStraight _, RimPlay _ -> 1;
            case RimForce _ -> 5;
        };
    }
}
