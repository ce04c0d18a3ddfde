package mildtilt.clearance;

import java.util.Set;
import mildtilt.clearance.bodies.Body;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.obstacle.Carrier;

/**
 * Which bodies are looked at against each other: not those that are joined, nor two that never move against each other.
 */
final class PairsToCheck {

    private PairsToCheck() {}

    static boolean matters(Body a, Body b) {
        if (fixedTo(a, b) || fixedTo(b, a)) {
            return false;
        }
        return a.sort().compareTo(b.sort()) <= 0 ? ordered(a, b) : ordered(b, a);
    }

    /** @param a of the earlier sort */
    private static boolean ordered(Body a, Body b) {
        boolean sameSide = a.side().isPresent() && a.side().equals(b.side());
        return switch (a.sort()) {
            case TYRE ->
                switch (b.sort()) {
                    case TYRE, WHEEL_RING -> false;
                    // A wheel's own parts and what is fixed to them reach into it: they meet its rings.
                    case CORNER, ROD, BEAM, TRACK_BAR -> false;
                    case OBSTACLE -> !reachesIn(a, b);
                    case GEAR, STEERING_WHEEL, HANDS, SHAFT, STUB, JOINT, TUBE, LEG -> true;
                };
            case WHEEL_RING ->
                switch (b.sort()) {
                    case CORNER -> sameSide;
                    case ROD -> b.side().isEmpty() || sameSide;
                    case BEAM, TRACK_BAR -> true;
                    case OBSTACLE -> reachesIn(a, b);
                    case TYRE, WHEEL_RING, GEAR, STEERING_WHEEL, HANDS, SHAFT, STUB, JOINT, TUBE, LEG -> false;
                };
            case CORNER ->
                switch (b.sort()) {
                    case ROD -> !joined(a, b);
                    case GEAR, TRACK_BAR, SHAFT, STUB, JOINT, TUBE, STEERING_WHEEL, OBSTACLE -> true;
                    case TYRE, WHEEL_RING, CORNER, BEAM, HANDS, LEG -> false;
                };
            case ROD ->
                switch (b.sort()) {
                    case ROD, GEAR -> !joined(a, b);
                    case BEAM, TRACK_BAR, SHAFT, STUB, JOINT, TUBE, STEERING_WHEEL, OBSTACLE -> true;
                    case TYRE, WHEEL_RING, CORNER, HANDS, LEG -> false;
                };
            case GEAR ->
                switch (b.sort()) {
                    case BEAM -> !onAxle(a);
                    case TRACK_BAR, STEERING_WHEEL, TUBE -> true;
                    case SHAFT, JOINT -> a.onPose() && !together(a, b);
                    case STUB -> false;
                    case OBSTACLE -> (a.onPose() || b.moves()) && !together(a, b);
                    case TYRE, WHEEL_RING, CORNER, ROD, GEAR, HANDS, LEG -> false;
                };
            case BEAM, TRACK_BAR ->
                switch (b.sort()) {
                    case SHAFT, STUB, JOINT, TUBE -> !onAxle(b);
                    case OBSTACLE -> !b.carriers().contains(Carrier.AXLE);
                    case TYRE, WHEEL_RING, CORNER, ROD, GEAR, BEAM, TRACK_BAR, STEERING_WHEEL, HANDS, LEG -> false;
                };
            case STEERING_WHEEL -> b.sort() == Sort.LEG || b.sort() == Sort.OBSTACLE;
            case HANDS -> b.sort() == Sort.OBSTACLE;
            case SHAFT, STUB, JOINT ->
                switch (b.sort()) {
                    case SHAFT, STUB, JOINT -> apart(a.element(), b.element());
                    case LEG -> true;
                    case OBSTACLE -> !together(a, b);
                    case TYRE, WHEEL_RING, CORNER, ROD, GEAR, BEAM, TRACK_BAR, STEERING_WHEEL, HANDS, TUBE -> false;
                };
            case TUBE -> b.sort() == Sort.LEG || b.sort() == Sort.OBSTACLE;
            case LEG -> false;
            // Two things on one part only meet where one of them moves by itself.
            case OBSTACLE ->
                a.onPart()
                        || b.onPart()
                        || a.carriers().size() > 1
                        || !a.carriers().equals(b.carriers())
                        || a.onPose() && !b.onPose()
                        || b.onPose() && !a.onPose();
        };
    }

    /** A thing in the way and the rod or arm that an end of it, or all of it, is fixed to. */
    private static boolean fixedTo(Body part, Body obstacle) {
        return obstacle.sort() == Sort.OBSTACLE
                && obstacle.carriers().stream().anyMatch(c -> switch (c) {
                    case FRAME, AXLE -> false;
                    case LEFT_KNUCKLE, RIGHT_KNUCKLE ->
                        obstacle.carriers().size() > 1
                                && part.element() instanceof Element.SteeringArms
                                && part.side().equals(c.side());
                    case LEFT_LOWER_ARM,
                            RIGHT_LOWER_ARM,
                            LEFT_UPPER_ARM,
                            RIGHT_UPPER_ARM,
                            LEFT_TIE_ROD,
                            RIGHT_TIE_ROD,
                            TIE_ROD,
                            CENTRE_LINK,
                            DRAG_LINK,
                            RACK_BAR -> part.id().equals(Id.of(c));
                    case GEAR_ARM -> part.element() instanceof Element.GearArm;
                });
    }

    private static boolean onAxle(Body b) {
        return b.carriers().equals(Set.of(Carrier.AXLE));
    }

    /** Both are bolted to the axle and never move against each other. */
    private static boolean together(Body a, Body b) {
        return onAxle(a) && onAxle(b);
    }

    /** Whether something is fixed to what carries the wheel, so that it may stand inside of it. */
    private static boolean reachesIn(Body wheel, Body obstacle) {
        boolean sided = obstacle.carriers().stream().anyMatch(c -> c.side().isPresent());
        return sided
                ? obstacle.carriers().stream().anyMatch(c -> c.side().equals(wheel.side()))
                : obstacle.carriers().contains(Carrier.AXLE);
    }

    /**
     * A rod and what it is bolted to: its own steering arm and knuckle, the gear, idler or rod that drives it, and its
     * fellow there.
     */
    private static boolean joined(Body a, Body b) {
        if (a.sort() == Sort.CORNER) {
            boolean endsThere = a.element() instanceof Element.SteeringArms;
            return endsThere && (b.side().isEmpty() || b.side().equals(a.side()));
        }
        return true;
    }

    /** Two parts of the column that are not neighbours: a joint's neighbours are both its shafts. */
    private static boolean apart(Element a, Element b) {
        return Math.abs(place(a) - place(b)) > 2;
    }

    /** Shafts count even, joints odd. */
    private static int place(Element e) {
        return switch (e) {
            case Element.ShaftAt s -> 2 * s.index();
            case Element.JointAt j -> 2 * j.index() + 1;
            case Element.Wheel _,
                    Element.Tube _,
                    Element.BearingAt _,
                    Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.InTheWay _,
                    Element.AtTheWheel _ -> throw new IllegalArgumentException("not of the column's line: " + e);
        };
    }

    /** The gap wanted between two. */
    static double need(Body a, Body b) {
        return Math.max(a.need(), b.need());
    }
}
