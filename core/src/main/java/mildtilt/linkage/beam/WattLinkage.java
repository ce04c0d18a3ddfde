package mildtilt.linkage.beam;

import java.util.List;
import java.util.function.Function;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.kinematics.Body;
import mildtilt.kinematics.BodySystem;
import mildtilt.withers.Withers;

/**
 * A crank that turns on a pin, and two rods that hold its ends from either side. What one rod's swing pulls the pin to
 * its side the other pulls it back, so that the axle goes nearly straight up and down.
 *
 * @param pin what the crank turns on, in the design position: fore and aft where the crank stands up, upright where it
 *     lies flat
 * @param left the rod that goes out to the left
 * @param right the rod that goes out to the right
 * @param pinOnFrame whether the crank is on the frame and the rods go to the axle; else the crank is on the axle, and
 *     the rods go to the frame
 */
@Withers
public record WattLinkage(Axis pin, Rod left, Rod right, boolean pinOnFrame)
        implements Sideways, WattLinkageBuilder.With {

    /** @param outer the end away from the crank, mm; @param crank the end on it, mm */
    public record Rod(Point outer, Point crank) {

        /** @throws ImpossibleGeometryException if it has no length */
        public Rod {
            if (outer.distanceTo(crank) < 1) {
                throw new ImpossibleGeometryException("A rod of the Watt linkage has no length.");
            }
        }

        double length() {
            return outer.distanceTo(crank);
        }
    }

    /** Least hold, as a part of what rods straight across at the crank's ends would have. */
    private static final double LEAST_HOLD = 0.05;

    /** @throws ImpossibleGeometryException if it would leave the axle free to go sideways */
    public WattLinkage {
        double l = lever(pin, left);
        double r = lever(pin, right);
        // The crank is at rest where the pulls are as the other rod's lever, against each other.
        Vector hold = pull(left).times(r).minus(pull(right).times(l));
        double reach = arm(pin, left).norm() + arm(pin, right).norm();
        if (reach < 1 || Math.abs(hold.y()) < LEAST_HOLD * reach) {
            throw new ImpossibleGeometryException(
                    "The Watt linkage leaves the axle free to go sideways: its two rods must meet opposite ends of "
                            + "the crank and go out to either side.");
        }
    }

    private static Vector pull(Rod rod) {
        return rod.crank.minus(rod.outer).direction().vector();
    }

    /** From the pin's line to where a rod meets the crank. */
    private static Vector arm(Axis pin, Rod rod) {
        return rod.crank.minus(pin.footOf(rod.crank));
    }

    /** What a rod's pull of 1 turns the crank with, mm. */
    private static double lever(Axis pin, Rod rod) {
        return arm(pin, rod).cross(pull(rod)).dot(pin.direction().vector());
    }

    @Override
    public void hold(BodySystem system, Body beam, Point springs) {
        Body crank = system.body(pin.origin());
        Body carries = pinOnFrame ? Body.FRAME : beam;
        Body outer = pinOnFrame ? beam : Body.FRAME;
        system.hinge(carries, crank, pin)
                .rod(BeamPart.LEFT_WATT_ROD.label(), outer, left.outer, crank, left.crank)
                .rod(BeamPart.RIGHT_WATT_ROD.label(), outer, right.outer, crank, right.crank);
    }

    /** Along one of its parts with the beam gone somewhere; the rods from outside to the crank. */
    List<Point> line(BeamPart part, RigidMove beam) {
        // Seen from what carries the pin, it is the outer ends that move.
        RigidMove outer = pinOnFrame ? beam : beam.inverse();
        RigidMove back = pinOnFrame ? RigidMove.NONE : beam;
        Orbit orbit = Orbit.of(pin, left.crank);
        Point leftOuter = outer.moved(left.outer);
        Point leftCrank = orbit.atReach(leftOuter, left.length(), orbit.branchAt(0, left.outer))
                .point();
        Point rightCrank = pin.turned(right.crank, orbit.angleOf(leftCrank));
        List<Point> at =
                switch (part) {
                    case LEFT_WATT_ROD -> List.of(leftOuter, leftCrank);
                    case RIGHT_WATT_ROD -> List.of(outer.moved(right.outer), rightCrank);
                    default -> List.of(leftCrank, pin.footOf(leftCrank), pin.footOf(rightCrank), rightCrank);
                };
        return at.stream().map(back::moved).toList();
    }

    @Override
    public List<BeamPoint> points(Function<Sideways, Beam> into) {
        return List.of(
                new BeamPoint(
                        BeamPoint.Which.WATT_PIN, pin.origin(), p -> into.apply(withPin(new Axis(p, pin.direction())))),
                new BeamPoint(
                        BeamPoint.Which.LEFT_WATT_OUTER, left.outer, p -> into.apply(withLeft(new Rod(p, left.crank)))),
                new BeamPoint(
                        BeamPoint.Which.LEFT_WATT_CRANK, left.crank, p -> into.apply(withLeft(new Rod(left.outer, p)))),
                new BeamPoint(
                        BeamPoint.Which.RIGHT_WATT_OUTER,
                        right.outer,
                        p -> into.apply(withRight(new Rod(p, right.crank)))),
                new BeamPoint(
                        BeamPoint.Which.RIGHT_WATT_CRANK,
                        right.crank,
                        p -> into.apply(withRight(new Rod(right.outer, p)))));
    }

    @Override
    public List<Bar> bars() {
        return List.of(
                Bar.of(this, BeamPart.WATT_CRANK, left.crank, right.crank),
                Bar.of(this, BeamPart.LEFT_WATT_ROD, left.outer, left.crank),
                Bar.of(this, BeamPart.RIGHT_WATT_ROD, right.outer, right.crank));
    }
}
