package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.linkage.rods.Rod;

/** Where a drag link begins: at the end of the gear's arm, or on a relay arm that a link from there turns. */
final class DragLinkStart {

    private final ArmEnd arm;
    private final Optional<Follower> follower;

    /** @param branch which of the two places the relay arm could take */
    private record Follower(RelayArm relay, Orbit orbit, double length, int branch) {

        static Follower of(RelayArm relay, Point armEnd) {
            Orbit orbit = Orbit.of(relay.pivot(), relay.linkPoint());
            return new Follower(
                    relay,
                    orbit,
                    Motion.length(Rod.INTERMEDIATE_LINK, armEnd, relay.linkPoint()),
                    orbit.branchAt(0, armEnd));
        }

        Orbit.Reach reach(Point armEnd) {
            return orbit.atReach(armEnd, length, branch);
        }

        Mechanism.RelayAt at(Point linkPoint) {
            double turned = orbit.angleOf(linkPoint);
            return new Mechanism.RelayAt(relay, turned, linkPoint, relay.pivot().turned(relay.dragLinkPoint(), turned));
        }
    }

    /**
     * @param gear as it stands
     * @param relay as it stands, if there is one
     * @param missing 0 where the link from the gear's arm reaches; otherwise how much it is too short (+) or long, mm
     */
    record Place(Mechanism.Broken gear, Optional<Mechanism.RelayAt> relay, double missing) {

        Point at() {
            return relay.map(Mechanism.RelayAt::dragLinkPoint).orElseGet(gear::armEnd);
        }
    }

    DragLinkStart(DragLink link, ArmGear gear) {
        arm = new ArmEnd(gear);
        follower = link.relayArm().map(r -> Follower.of(r, gear.armEnd()));
    }

    /** Of the link between gear and relay arm, if there is one, and of the drag link. */
    Map<Rod, Double> lengths(double dragLink) {
        Map<Rod, Double> all = new TreeMap<>(Map.of(Rod.DRAG_LINK, dragLink));
        follower.ifPresent(f -> all.put(Rod.INTERMEDIATE_LINK, f.length));
        return all;
    }

    /** @param gearMove where the gear has gone against what the relay arm's pivot is bolted to */
    Place at(double gearInputLeft, RigidMove gearMove) {
        Mechanism.Broken alone = arm.at(gearInputLeft, gearMove);
        if (follower.isEmpty()) {
            return new Place(alone, Optional.empty(), 0);
        }
        Orbit.Reach reach = follower.get().reach(alone.armEnd());
        return new Place(alone, Optional.of(follower.get().at(reach.point())), reach.missing());
    }

    /** Where the drag link begins with the gear's arm swung from straight ahead, rad. */
    Point swung(double armAngle) {
        Point end = arm.orbit().at(armAngle);
        return follower.map(f -> f.at(f.reach(end).point()).dragLinkPoint()).orElse(end);
    }

    Mechanism gearAlone(double gearInputLeft) {
        return arm.at(gearInputLeft, RigidMove.NONE);
    }
}
