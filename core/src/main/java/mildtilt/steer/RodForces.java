package mildtilt.steer;

import java.util.EnumMap;
import java.util.Map;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.Rod;
import mildtilt.linkage.Shuttle;
import mildtilt.suspension.KnucklePose;

/**
 * Force along each rod that holds given torques about the steer axes, by statics: each rod is loaded at its
 * ends only, so that a torque about an axis is the rod's force times its lever about that axis.
 */
final class RodForces {

    /** A lever shorter than this holds nothing, mm. */
    private static final double SHORTEST_LEVER = 0.1;

    private RodForces() {}

    /**
     * @param torqueLeft held about the left steer axis, to the left, N·mm
     * @param torqueRight the same on the right
     * @return N, + pulling; a rod with no lever is left out
     */
    static Map<Rod, Double> of(AxleSolver axle, AxlePose pose, AxlePose.Assembled a, double torqueLeft, double torqueRight) {
        Map<Rod, Double> forces = new EnumMap<>(Rod.class);
        KnucklePose l = a.left();
        KnucklePose r = a.right();
        Mechanism mechanism = pose.stance().mechanism().orElseThrow();
        if (mechanism instanceof Mechanism.DragLinkAt d) {
            oneTieRod(forces, (DragLink) axle.axle().linkage(), d, l, r, torqueLeft, torqueRight);
            return forces;
        }
        double left = pull(lever(l, l.tieRodPoint(), l.tieRodInner()), torqueLeft);
        double right = pull(lever(r, r.tieRodPoint(), r.tieRodInner()), torqueRight);
        forces.put(Rod.LEFT_TIE_ROD, left);
        forces.put(Rod.RIGHT_TIE_ROD, right);
        // What the tie rods do to the part their inner ends sit on.
        Vector onLeft = unit(l.tieRodInner(), l.tieRodPoint()).times(left);
        Vector onRight = unit(r.tieRodInner(), r.tieRodPoint()).times(right);
        switch (mechanism) {
            case Mechanism.RackAt _, Mechanism.Broken _, Mechanism.DragLinkAt _ -> { }
            case Mechanism.ShuttleAt s -> {
                Direction slide = ((Shuttle) axle.axle().linkage()).slide();
                double along = slide.dot(unit(s.linkPoint(), s.armEnd()));
                put(forces, Rod.SHORT_LINK, along, -slide.dot(onLeft.plus(onRight)), 1e-3);
            }
            case Mechanism.BellCrankAt b -> {
                Axis pivot = ((BellCrank) axle.axle().linkage()).pivot();
                double moment = moment(pivot, b.left(), onLeft) + moment(pivot, b.right(), onRight);
                put(forces, Rod.DRAG_ROD, moment(pivot, b.crankPoint(), unit(b.crankPoint(), b.armEnd())), -moment, SHORTEST_LEVER);
            }
            case Mechanism.CentreLinkAt c ->
                    forces.put(Rod.CENTRE_LINK, -onLeft.plus(onRight).dot(unit(c.idlerEnd(), c.pitmanEnd())));
        }
        return forces;
    }

    private static void oneTieRod(Map<Rod, Double> forces, DragLink link, Mechanism.DragLinkAt at,
            KnucklePose l, KnucklePose r, double torqueLeft, double torqueRight) {
        double leverLeft = lever(l, l.tieRodPoint(), l.tieRodInner());
        double leverRight = lever(r, r.tieRodPoint(), r.tieRodInner());
        switch (link.attachment()) {
            case Attachment.OnKnuckle k -> {
                boolean fromLeft = k.side() == Side.LEFT;
                double tie = fromLeft ? pull(leverRight, torqueRight) : pull(leverLeft, torqueLeft);
                KnucklePose driving = fromLeft ? l : r;
                double rest = fromLeft ? torqueLeft - tie * leverLeft : torqueRight - tie * leverRight;
                forces.put(Rod.TIE_ROD, tie);
                put(forces, Rod.DRAG_LINK, lever(driving, at.drivenPoint(), at.armEnd()), rest, SHORTEST_LEVER);
            }
            case Attachment.OnTieRod _ -> {
                double left = pull(leverLeft, torqueLeft);
                double right = pull(leverRight, torqueRight);
                forces.put(Rod.TIE_ROD, Math.abs(left) > Math.abs(right) ? left : right);
                Vector rightward = unit(l.tieRodPoint(), r.tieRodPoint());
                put(forces, Rod.DRAG_LINK, rightward.dot(unit(at.drivenPoint(), at.armEnd())), left - right, 1e-3);
            }
        }
    }

    private static void put(Map<Rod, Double> forces, Rod rod, double lever, double load, double shortest) {
        if (Math.abs(lever) > shortest) {
            forces.put(rod, load / lever);
        }
    }

    private static double pull(double lever, double torque) {
        return Math.abs(lever) > SHORTEST_LEVER ? torque / lever : Math.copySign(torque / SHORTEST_LEVER, lever * torque);
    }

    /** Torque about the knuckle's steer axis, upward, of a unit pull along a rod at its point on the knuckle, mm. */
    static double lever(KnucklePose k, Point rodPoint, Point otherEnd) {
        return moment(k.steerAxis(), rodPoint, unit(rodPoint, otherEnd));
    }

    private static double moment(Axis axis, Point at, Vector force) {
        return axis.direction().dot(at.minus(axis.origin()).cross(force));
    }

    private static Vector unit(Point from, Point to) {
        return to.minus(from).direction().vector();
    }
}
