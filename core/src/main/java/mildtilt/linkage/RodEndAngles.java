package mildtilt.linkage;

import java.util.Optional;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.suspension.KnucklePose;

/** How every rod end of an axle tilts on its bolt and stands to the arm it pushes. */
public final class RodEndAngles {

    private final SteeredAxle axle;

    RodEndAngles(SteeredAxle axle) {
        this.axle = axle;
    }

    /** Told every rod end's tilt and, where it pushes an arm, its angle to that arm. */
    public interface Visitor {

        /** @param deg |90° − angle between bolt and rod|; only where the bolt is known */
        void tilt(RodEnd end, double deg);

        /** @param deg in space between rod and arm; 180 stretched, 0 folded */
        void arm(RodEnd end, double deg);

        /**
         * How far a rod is from having no lever on what it pushes: on an arm, from being in line with it in the plane
         * the arm
         * turns in; on a slide, from standing square to it.
         *
         * @param deg 0 no lever, 90 the most
         */
        void offCentre(RodEnd end, double deg);
    }

    /** Goes through the rod ends of an axle that stands. */
    void visit(AxleConfiguration stance, Visitor visitor) {
        if (!(stance.left() instanceof KnucklePose l)
                || !(stance.right() instanceof KnucklePose r)
                || stance.mechanism().isEmpty()) {
            return;
        }
        RigidMove gear = stance.gearMove();
        RigidMove relay = stance.relayMove();
        boolean one = axle.oneTieRod();
        atKnuckle(l, one ? RodEnd.TIE_LEFT : RodEnd.LEFT_OUTER, visitor);
        atKnuckle(r, one ? RodEnd.TIE_RIGHT : RodEnd.RIGHT_OUTER, visitor);
        switch (stance.mechanism().get()) {
            case Mechanism.RackAt m -> {
                inners(l, r, relay::turned, visitor);
                onSlide(m.rack().axis(), l, r, visitor);
            }
            case Mechanism.ShuttleAt m -> {
                inners(l, r, relay::turned, visitor);
                Shuttle s = m.shuttle();
                Vector rod = m.linkPoint().minus(m.armEnd());
                s.linkEnds()
                        .outerBolt()
                        .ifPresent(b -> visitor.tilt(RodEnd.SHORT_SHUTTLE, tilt(relay.turned(b.vector()), rod)));
                s.linkEnds()
                        .innerBolt()
                        .ifPresent(b -> visitor.tilt(
                                RodEnd.SHORT_PITMAN,
                                tilt(m.gear().axis().direction().turn(gear.turned(b.vector()), m.armAngle()), rod)));
                arm(visitor, RodEnd.SHORT_PITMAN, m.gear().axis(), m.armEnd(), m.linkPoint());
                visitor.offCentre(RodEnd.SHORT_SHUTTLE, offSlide(s.slide(), rod));
                onSlide(s.slide(), l, r, visitor);
            }
            case Mechanism.CentreLinkAt m -> {
                Vector was = m.idler().end().minus(m.gear().armEnd());
                Vector now = m.idlerEnd().minus(m.armEnd());
                inners(l, r, v -> swung(relay.turned(v), was, now), visitor);
                arm(visitor, RodEnd.LINK_PITMAN, m.gear().axis(), m.armEnd(), m.idlerEnd());
                arm(visitor, RodEnd.LINK_IDLER, m.idler().axis(), m.idlerEnd(), m.armEnd());
            }
            case Mechanism.BellCrankAt m -> {
                BellCrank b = m.crank();
                Direction pivot = b.pivot().direction();
                inners(l, r, v -> pivot.turn(relay.turned(v), m.crankAngle()), visitor);
                arm(visitor, RodEnd.LEFT_INNER, b.pivot(), m.left(), l.tieRodPoint());
                arm(visitor, RodEnd.RIGHT_INNER, b.pivot(), m.right(), r.tieRodPoint());
                Vector rod = m.crankPoint().minus(m.armEnd());
                b.dragRodEnds()
                        .outerBolt()
                        .ifPresent(d -> visitor.tilt(
                                RodEnd.ROD_CRANK, tilt(pivot.turn(relay.turned(d.vector()), m.crankAngle()), rod)));
                b.dragRodEnds()
                        .innerBolt()
                        .ifPresent(d -> visitor.tilt(
                                RodEnd.ROD_SHAFT_ARM,
                                tilt(m.gear().axis().direction().turn(gear.turned(d.vector()), m.armAngle()), rod)));
                arm(visitor, RodEnd.ROD_CRANK, b.pivot(), m.crankPoint(), m.armEnd());
                arm(visitor, RodEnd.ROD_SHAFT_ARM, m.gear().axis(), m.armEnd(), m.crankPoint());
            }
            case Mechanism.ArmTieRodsAt m -> {
                Axis axis = m.gear().axis();
                inners(l, r, v -> axis.direction().turn(gear.turned(v), m.armAngle()), visitor);
                arm(visitor, RodEnd.LEFT_INNER, axis, m.left(), l.tieRodPoint());
                arm(visitor, RodEnd.RIGHT_INNER, axis, m.right(), r.tieRodPoint());
            }
            case Mechanism.DragLinkAt m -> {
                DragLink d = m.dragLink();
                Vector rod = m.drivenPoint().minus(m.start());
                Carry arm = v -> m.gear().axis().direction().turn(gear.turned(v), m.armAngle());
                if (m.relayArm().isPresent()) {
                    relayArm(m, m.relayArm().get(), arm, relay, visitor);
                } else {
                    d.ends()
                            .innerBolt()
                            .ifPresent(b -> visitor.tilt(RodEnd.DRAG_PITMAN, tilt(arm.now(b.vector()), rod)));
                    arm(visitor, RodEnd.DRAG_PITMAN, m.gear().axis(), m.armEnd(), m.drivenPoint());
                }
                switch (d.attachment()) {
                    case Attachment.OnKnuckle k -> {
                        KnucklePose driving = k.side() == Side.LEFT ? l : r;
                        RodEnd end = k.side() == Side.LEFT ? RodEnd.DRAG_LEFT : RodEnd.DRAG_RIGHT;
                        d.ends()
                                .outerBolt()
                                .ifPresent(b -> visitor.tilt(
                                        end, tilt(driving.now().carried(b.vector(), driving.design()), rod)));
                        visitor.arm(end, driving.armAngleDeg(m.drivenPoint(), m.start()));
                        visitor.offCentre(end, driving.offCentreDeg(m.drivenPoint(), m.start()));
                    }
                    case Attachment.OnTieRod _ -> {
                        Vector now = r.tieRodPoint().minus(l.tieRodPoint());
                        Vector was = axle.corner(Side.RIGHT)
                                .knuckle()
                                .tieRodPoint()
                                .minus(axle.corner(Side.LEFT).knuckle().tieRodPoint());
                        d.ends()
                                .outerBolt()
                                .ifPresent(b ->
                                        visitor.tilt(RodEnd.DRAG_ON_TIE_ROD, tilt(swung(b.vector(), was, now), rod)));
                    }
                }
            }
            case Mechanism.Broken _ -> {}
        }
    }

    /** Both ends of the link that turns a relay arm, and the drag link's end on it. */
    private static void relayArm(
            Mechanism.DragLinkAt m, Mechanism.RelayAt at, Carry gearArm, RigidMove moved, Visitor visitor) {
        RelayArm r = at.relay();
        Direction pivot = r.pivot().direction();
        Carry relayArm = v -> pivot.turn(moved.turned(v), at.angle());
        Vector link = at.linkPoint().minus(m.armEnd());
        r.linkEnds()
                .innerBolt()
                .ifPresent(b -> visitor.tilt(RodEnd.INTERMEDIATE_PITMAN, tilt(gearArm.now(b.vector()), link)));
        r.linkEnds()
                .outerBolt()
                .ifPresent(b -> visitor.tilt(RodEnd.INTERMEDIATE_RELAY, tilt(relayArm.now(b.vector()), link)));
        arm(visitor, RodEnd.INTERMEDIATE_PITMAN, m.gear().axis(), m.armEnd(), at.linkPoint());
        arm(visitor, RodEnd.INTERMEDIATE_RELAY, r.pivot(), at.linkPoint(), m.armEnd());
        m.dragLink()
                .ends()
                .innerBolt()
                .ifPresent(b -> visitor.tilt(
                        RodEnd.DRAG_RELAY,
                        tilt(relayArm.now(b.vector()), m.drivenPoint().minus(m.start()))));
        arm(visitor, RodEnd.DRAG_RELAY, r.pivot(), at.dragLinkPoint(), m.drivenPoint());
    }

    private void atKnuckle(KnucklePose k, RodEnd end, Visitor visitor) {
        visitor.arm(end, k.rodToArmDeg());
        visitor.offCentre(end, k.offCentreDeg(k.tieRodPoint(), k.tieRodInner()));
        Optional<Direction> bolt = axle.corner(k.side()).rodEnds().outerBolt();
        if (bolt.isPresent()) {
            visitor.tilt(
                    end,
                    tilt(
                            k.now().carried(bolt.get().vector(), k.design()),
                            k.tieRodInner().minus(k.tieRodPoint())));
        }
    }

    private interface Carry {
        Vector now(Vector design);
    }

    private void inners(KnucklePose l, KnucklePose r, Carry carry, Visitor visitor) {
        inner(l, RodEnd.LEFT_INNER, carry, visitor);
        inner(r, RodEnd.RIGHT_INNER, carry, visitor);
    }

    private void inner(KnucklePose k, RodEnd end, Carry carry, Visitor visitor) {
        Optional<Direction> bolt = axle.corner(k.side()).rodEnds().innerBolt();
        if (bolt.isPresent()) {
            visitor.tilt(
                    end, tilt(carry.now(bolt.get().vector()), k.tieRodInner().minus(k.tieRodPoint())));
        }
    }

    private static double tilt(Vector bolt, Vector rod) {
        return Math.abs(90 - Math.toDegrees(bolt.angleTo(rod)));
    }

    private static void arm(Visitor visitor, RodEnd end, Axis axis, Point joint, Point otherEnd) {
        visitor.arm(end, armAngle(axis, joint, otherEnd));
        visitor.offCentre(end, axis.offCentreDeg(joint, otherEnd));
    }

    private static void onSlide(Direction slide, KnucklePose l, KnucklePose r, Visitor visitor) {
        visitor.offCentre(RodEnd.LEFT_INNER, offSlide(slide, l.tieRodPoint().minus(l.tieRodInner())));
        visitor.offCentre(RodEnd.RIGHT_INNER, offSlide(slide, r.tieRodPoint().minus(r.tieRodInner())));
    }

    /** How far a rod is from standing square to a slide, degrees. */
    private static double offSlide(Direction slide, Vector rod) {
        return Math.toDegrees(
                Math.atan2(Math.abs(slide.dot(rod)), slide.cross(rod).norm()));
    }

    /** Angle in space between a rod and the arm that holds its end. */
    private static double armAngle(Axis axis, Point end, Point otherEnd) {
        return Math.toDegrees(otherEnd.minus(end).angleTo(axis.footOf(end).minus(end)));
    }

    /** A vector turned with a link by the smallest rotation that takes the link from where it was to where it is. */
    private static Vector swung(Vector v, Vector was, Vector now) {
        Vector about = was.cross(now);
        double sine = about.norm();
        return sine < 1e-12 * was.norm() * now.norm() ? v : about.direction().turn(v, was.angleTo(now));
    }
}
