package mildtilt.steer.forces;

import java.util.EnumMap;
import java.util.Map;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.KnucklePose;

/**
 * Force along each rod that holds given torques about the steer axes, by statics: each rod is loaded at its
 * ends only, so that a torque about an axis is the rod's force times its lever about that axis.
 */
public final class RodForces {

    /** A lever shorter than this holds nothing, mm. */
    private static final double SHORTEST_LEVER = 0.1;

    private RodForces() {}

    /**
     * @param torqueLeft held about the left steer axis, to the left, N·mm
     * @param torqueRight the same on the right
     * @return N, + pulling; a rod with no lever is left out
     */
    public static Map<Rod, Double> of(
            AxleSolver axle, AxlePose pose, AxlePose.Assembled a, double torqueLeft, double torqueRight) {
        Map<Rod, Double> forces = new EnumMap<>(Rod.class);
        KnucklePose l = a.left();
        KnucklePose r = a.right();
        Mechanism mechanism = pose.stance().mechanism().orElseThrow();
        if (mechanism instanceof Mechanism.DragLinkAt d) {
            oneTieRod(forces, d, l, r, torqueLeft, torqueRight);
            relayed(forces, d);
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
            case Mechanism.RackAt _, Mechanism.ArmTieRodsAt _, Mechanism.Broken _, Mechanism.DragLinkAt _ -> {}
            case Mechanism.ShuttleAt s -> {
                Direction slide = s.shuttle().slide();
                double along = slide.dot(unit(s.linkPoint(), s.armEnd()));
                put(forces, Rod.SHORT_LINK, along, -slide.dot(onLeft.plus(onRight)), 1e-3);
            }
            case Mechanism.BellCrankAt b -> {
                Axis pivot = b.crank().pivot();
                double moment = moment(pivot, b.left(), onLeft) + moment(pivot, b.right(), onRight);
                put(
                        forces,
                        Rod.DRAG_ROD,
                        moment(pivot, b.crankPoint(), unit(b.crankPoint(), b.armEnd())),
                        -moment,
                        SHORTEST_LEVER);
            }
            case Mechanism.CentreLinkAt c -> {
                Vector push = onCentreLink(c, onLeft, onRight);
                forces.put(Rod.CENTRE_LINK, push.dot(unit(c.idlerEnd(), c.armEnd())));
            }
        }
        return forces;
    }

    /**
     * What the gear has to hold against its rods: along a rack toward its left end, N, or about the axis of its arm,
     * N·mm.
     *
     * @param forces N, + pulling
     */
    static double onGear(AxlePose pose, AxlePose.Assembled a, Map<Rod, Double> forces) {
        Vector left =
                unit(a.left().tieRodInner(), a.left().tieRodPoint()).times(forces.getOrDefault(Rod.LEFT_TIE_ROD, 0.0));
        Vector right = unit(a.right().tieRodInner(), a.right().tieRodPoint())
                .times(forces.getOrDefault(Rod.RIGHT_TIE_ROD, 0.0));
        return switch (pose.stance().mechanism().orElseThrow()) {
            case Mechanism.RackAt r -> -r.rack().axis().dot(left.plus(right));
            case Mechanism.ArmTieRodsAt t ->
                -moment(t.gear().axis(), t.left(), left) - moment(t.gear().axis(), t.right(), right);
            case Mechanism.CentreLinkAt c -> moment(c.gear().axis(), c.armEnd(), onCentreLink(c, left, right));
            case Mechanism.DragLinkAt d -> onArm(d, forces);
            case Mechanism.BellCrankAt b -> onArm(b, forces);
            case Mechanism.ShuttleAt s -> onArm(s, forces);
            case Mechanism.Broken _ -> 0;
        };
    }

    /** Of an arm that pushes one rod. */
    private static double onArm(Mechanism.ByArm arm, Map<Rod, Double> forces) {
        Mechanism.Link link = arm.links().getFirst();
        return forces.getOrDefault(link.rod(), 0.0)
                * moment(arm.gear().axis(), link.from(), unit(link.to(), link.from()));
    }

    /**
     * What the pitman arm does to a centre link that two tie rods pull at: the idler holds it square to the link as a
     * beam
     * on two supports, and along it only so far that nothing turns the idler.
     */
    public static Vector onCentreLink(Mechanism.CentreLinkAt c, Vector onLeft, Vector onRight) {
        Vector along = unit(c.armEnd(), c.idlerEnd());
        double length = c.armEnd().distanceTo(c.idlerEnd());
        Vector idler = squareTo(along, onLeft)
                .times(-c.inner(Side.LEFT).distanceTo(c.armEnd()) / length)
                .plus(squareTo(along, onRight).times(-c.inner(Side.RIGHT).distanceTo(c.armEnd()) / length));
        Axis axis = c.idler().axis();
        Vector swings = axis.direction().cross(c.idlerEnd().minus(axis.footOf(c.idlerEnd())));
        double lever = along.dot(swings);
        if (Math.abs(lever) > 1e-6 * swings.norm()) {
            idler = idler.plus(along.times(-idler.dot(swings) / lever));
        }
        return idler.plus(onLeft).plus(onRight).negated();
    }

    /** What turns the relay arm against the drag link that it pushes, if there is one. */
    private static void relayed(Map<Rod, Double> forces, Mechanism.DragLinkAt d) {
        Double drag = forces.get(Rod.DRAG_LINK);
        if (d.relayArm().isPresent() && drag != null) {
            Mechanism.RelayAt relay = d.relayArm().get();
            Axis pivot = relay.relay().pivot();
            put(
                    forces,
                    Rod.INTERMEDIATE_LINK,
                    moment(pivot, relay.linkPoint(), unit(relay.linkPoint(), d.armEnd())),
                    -drag * moment(pivot, d.start(), unit(d.start(), d.drivenPoint())),
                    SHORTEST_LEVER);
        }
    }

    private static Vector squareTo(Vector along, Vector v) {
        return v.minus(along.times(along.dot(v)));
    }

    private static void oneTieRod(
            Map<Rod, Double> forces,
            Mechanism.DragLinkAt at,
            KnucklePose l,
            KnucklePose r,
            double torqueLeft,
            double torqueRight) {
        double leverLeft = lever(l, l.tieRodPoint(), l.tieRodInner());
        double leverRight = lever(r, r.tieRodPoint(), r.tieRodInner());
        switch (at.dragLink().attachment()) {
            case Attachment.OnKnuckle k -> {
                boolean fromLeft = k.side() == Side.LEFT;
                double tie = fromLeft ? pull(leverRight, torqueRight) : pull(leverLeft, torqueLeft);
                KnucklePose driving = fromLeft ? l : r;
                double rest = fromLeft ? torqueLeft - tie * leverLeft : torqueRight - tie * leverRight;
                forces.put(Rod.TIE_ROD, tie);
                put(forces, Rod.DRAG_LINK, lever(driving, at.drivenPoint(), at.start()), rest, SHORTEST_LEVER);
            }
            case Attachment.OnTieRod t ->
                onTieRod(forces, t.fraction(), unit(at.drivenPoint(), at.start()), l, r, torqueLeft, torqueRight);
        }
    }

    /**
     * A drag link that pulls at the tie rod between its ends: square to the rod its pull is shared as on a beam on two
     * supports, along it so that both knuckles have their torque. Two equations for the pull on the left end and the
     * drag
     * link's force.
     */
    private static void onTieRod(
            Map<Rod, Double> forces,
            double part,
            Vector pulled,
            KnucklePose l,
            KnucklePose r,
            double torqueLeft,
            double torqueRight) {
        Vector along = unit(l.tieRodPoint(), r.tieRodPoint());
        Vector square = squareTo(along, pulled);
        double alongLeft = moment(l.steerAxis(), l.tieRodPoint(), along);
        double alongRight = moment(r.steerAxis(), r.tieRodPoint(), along);
        // On the left knuckle: along · a + square · (1 − part) · d; on the right: along · (d (pulled · along) − a) +
        // square · part · d.
        double a11 = alongLeft;
        double a12 = (1 - part) * moment(l.steerAxis(), l.tieRodPoint(), square);
        double a21 = -alongRight;
        double a22 = pulled.dot(along) * alongRight + part * moment(r.steerAxis(), r.tieRodPoint(), square);
        double det = a11 * a22 - a12 * a21;
        if (Math.abs(det) < SHORTEST_LEVER * SHORTEST_LEVER) {
            return;
        }
        double left = (torqueLeft * a22 - a12 * torqueRight) / det;
        double drag = (a11 * torqueRight - a21 * torqueLeft) / det;
        double right = drag * pulled.dot(along) - left;
        // Pulling at the left knuckle is toward the right along the rod, at the right knuckle toward the left.
        forces.put(Rod.TIE_ROD, Math.abs(left) > Math.abs(right) ? left : -right);
        forces.put(Rod.DRAG_LINK, drag);
    }

    private static void put(Map<Rod, Double> forces, Rod rod, double lever, double load, double shortest) {
        if (Math.abs(lever) > shortest) {
            forces.put(rod, load / lever);
        }
    }

    private static double pull(double lever, double torque) {
        return Math.abs(lever) > SHORTEST_LEVER
                ? torque / lever
                : Math.copySign(torque / SHORTEST_LEVER, lever * torque);
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
