package mildtilt.linkage;

import java.util.List;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/** Where the parts between gear and tie rods stand. Angles rad, right-handed about their axes; points mm. */
public sealed interface Mechanism {

    /** Inner end of a side's tie rod; where one rod joins both knuckles, what the gear pushes at. */
    Point inner(Side side);

    /** The rods between the gear's arm and what the tie rods begin on, the one that the gear's arm pushes first. */
    List<Link> links();

    /** What passes the movement on from it to the tie rods. */
    Optional<Relay> relay();

    /** All of it carried elsewhere. */
    Mechanism placed(Placing by);

    /** A rod between two joints. */
    record Link(Rod rod, Point from, Point to) {}

    /** One that an arm drives. */
    sealed interface ByArm extends Mechanism {

        @Override
        ByArm placed(Placing by);

        ArmGear gear();

        /** From straight ahead. */
        double armAngle();

        Point armEnd();

        /** A line of points along the arm. */
        default List<Point> armLine() {
            return List.of(gear().axis().footOf(armEnd()), armEnd());
        }
    }

    /** @param displacement toward the left, mm */
    record RackAt(RackAndPinion rack, double displacement) implements Mechanism {

        @Override
        public RackAt placed(Placing by) {
            return new RackAt(rack.placed(by), displacement);
        }

        @Override
        public Point inner(Side side) {
            return rack.innerPivot(side, displacement);
        }

        @Override
        public List<Link> links() {
            return List.of();
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.empty();
        }
    }

    record CentreLinkAt(
            CentreLink centreLink,
            ArmGear gear,
            double armAngle,
            Point armEnd,
            SwingArm idler,
            double idlerAngle,
            Point idlerEnd)
            implements ByArm {

        @Override
        public CentreLinkAt placed(Placing by) {
            return new CentreLinkAt(
                    centreLink,
                    gear.placed(by),
                    armAngle,
                    by.point(armEnd),
                    idler.placed(by),
                    idlerAngle,
                    by.point(idlerEnd));
        }

        @Override
        public Point inner(Side side) {
            return centreLink.innerAt(side, armEnd, idlerEnd);
        }

        @Override
        public List<Link> links() {
            return List.of(new Link(Rod.CENTRE_LINK, armEnd, idlerEnd));
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.of(new Relay.Lever(RelayPart.IDLER_ARM, idler.axis(), idlerEnd, List.of()));
        }
    }

    /**
     * A relay arm.
     *
     * @param angle from straight ahead
     */
    record RelayAt(RelayArm relay, double angle, Point linkPoint, Point dragLinkPoint) {

        RelayAt placed(Placing by) {
            return new RelayAt(relay.placed(by), angle, by.point(linkPoint), by.point(dragLinkPoint));
        }
    }

    /**
     * @param relayArm where the drag link begins on one
     * @param drivenPoint where the drag link drives the knuckle or the tie rod
     */
    record DragLinkAt(
            DragLink dragLink,
            ArmGear gear,
            double armAngle,
            Point armEnd,
            Optional<RelayAt> relayArm,
            Point drivenPoint)
            implements ByArm {

        @Override
        public DragLinkAt placed(Placing by) {
            return new DragLinkAt(
                    dragLink,
                    gear.placed(by),
                    armAngle,
                    by.point(armEnd),
                    relayArm.map(r -> r.placed(by)),
                    by.point(drivenPoint));
        }

        /** Where the drag link begins. */
        public Point start() {
            return relayArm.map(RelayAt::dragLinkPoint).orElse(armEnd);
        }

        @Override
        public Point inner(Side side) {
            return drivenPoint;
        }

        @Override
        public List<Link> links() {
            Link drag = new Link(Rod.DRAG_LINK, start(), drivenPoint);
            return relayArm.map(r -> List.of(new Link(Rod.INTERMEDIATE_LINK, armEnd, r.linkPoint()), drag))
                    .orElse(List.of(drag));
        }

        @Override
        public Optional<Relay> relay() {
            return relayArm.map(r ->
                    new Relay.Lever(RelayPart.RELAY_ARM, r.relay().pivot(), r.linkPoint(), List.of(r.dragLinkPoint())));
        }
    }

    /** @param left where the left tie rod begins on the arm */
    record ArmTieRodsAt(ArmTieRods rods, ArmGear gear, double armAngle, Point armEnd, Point left, Point right)
            implements ByArm {

        @Override
        public ArmTieRodsAt placed(Placing by) {
            return new ArmTieRodsAt(rods, gear.placed(by), armAngle, by.point(armEnd), by.point(left), by.point(right));
        }

        @Override
        public Point inner(Side side) {
            return side == Side.LEFT ? left : right;
        }

        @Override
        public List<Point> armLine() {
            Point foot = gear.axis().footOf(armEnd);
            return List.of(left, foot, right);
        }

        @Override
        public List<Link> links() {
            return List.of();
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.empty();
        }
    }

    record BellCrankAt(
            BellCrank crank,
            ArmGear gear,
            double armAngle,
            Point armEnd,
            double crankAngle,
            Point crankPoint,
            Point left,
            Point right)
            implements ByArm {

        @Override
        public BellCrankAt placed(Placing by) {
            return new BellCrankAt(
                    crank.placed(gear, by),
                    gear.placed(by),
                    armAngle,
                    by.point(armEnd),
                    crankAngle,
                    by.point(crankPoint),
                    by.point(left),
                    by.point(right));
        }

        @Override
        public Point inner(Side side) {
            return side == Side.LEFT ? left : right;
        }

        @Override
        public List<Link> links() {
            return List.of(new Link(Rod.DRAG_ROD, armEnd, crankPoint));
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.of(new Relay.Lever(RelayPart.BELL_CRANK, crank.pivot(), crankPoint, List.of(left, right)));
        }
    }

    /** @param displacement of the shuttle toward the left, mm */
    record ShuttleAt(
            Shuttle shuttle,
            ArmGear gear,
            double armAngle,
            Point armEnd,
            double displacement,
            Point linkPoint,
            Point left,
            Point right)
            implements ByArm {

        @Override
        public ShuttleAt placed(Placing by) {
            return new ShuttleAt(
                    shuttle.placed(gear, by),
                    gear.placed(by),
                    armAngle,
                    by.point(armEnd),
                    displacement,
                    by.point(linkPoint),
                    by.point(left),
                    by.point(right));
        }

        @Override
        public Point inner(Side side) {
            return side == Side.LEFT ? left : right;
        }

        @Override
        public List<Link> links() {
            return List.of(new Link(Rod.SHORT_LINK, armEnd, linkPoint));
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.of(new Relay.Slider(shuttle, left, right, linkPoint));
        }
    }

    /** The gear's arm alone moved; what follows it can't be assembled. */
    record Broken(ArmGear gear, double armAngle, Point armEnd) implements ByArm {

        @Override
        public Broken placed(Placing by) {
            return new Broken(gear.placed(by), armAngle, by.point(armEnd));
        }

        @Override
        public Point inner(Side side) {
            return armEnd;
        }

        @Override
        public List<Link> links() {
            return List.of();
        }

        @Override
        public Optional<Relay> relay() {
            return Optional.empty();
        }
    }
}
