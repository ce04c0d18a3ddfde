package mildtilt.suspension;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;

/**
 * A knuckle as it stands.
 *
 * @param design the knuckle's frame in the design position
 * @param now the same frame as it stands
 * @param steerAxisLow a point on the steer axis, mm
 * @param steerAxisHigh a point on the steer axis above it, mm
 * @param tieRodPoint outer end of the tie rod, mm
 * @param tieRodInner inner end of the tie rod, mm
 * @param wheelCentre mm
 * @param spin unit vector along the spin axis, outboard
 */
public record KnucklePose(
        Side side,
        Frame design,
        Frame now,
        Point steerAxisLow,
        Point steerAxisHigh,
        Point tieRodPoint,
        Point tieRodInner,
        Point wheelCentre,
        Vector spin)
        implements CornerPose {

    public KnucklePose withTieRodInner(Point p) {
        return new KnucklePose(side, design, now, steerAxisLow, steerAxisHigh, tieRodPoint, p, wheelCentre, spin);
    }

    /** With the wheel carried along its own axis, as a spacer does. */
    public KnucklePose withWheelCentre(Point p) {
        return new KnucklePose(side, design, now, steerAxisLow, steerAxisHigh, tieRodPoint, tieRodInner, p, spin);
    }

    @Override
    public KnucklePose carried(RigidMove by) {
        return new KnucklePose(
                side,
                design,
                by.frame(now),
                by.point(steerAxisLow),
                by.point(steerAxisHigh),
                by.point(tieRodPoint),
                by.point(tieRodInner),
                by.point(wheelCentre),
                by.turned(spin));
    }

    /** A point fixed in the knuckle, given in the design position, as it stands. */
    public Point carried(Point p) {
        return now.carried(p, design);
    }

    /** Steer angle seen from above, degrees, + left; static toe included. */
    public double steerDeg() {
        return Math.toDegrees(Math.atan2(-side.sign() * spin.x(), side.sign() * spin.y()));
    }

    /** Degrees, + in. */
    public double toeInDeg() {
        return -side.sign() * steerDeg();
    }

    /** Degrees, − with the top leaning inward. */
    public double camberDeg() {
        return -Math.toDegrees(Math.asin(Math.clamp(spin.z(), -1, 1)));
    }

    public Axis steerAxis() {
        return Axis.through(steerAxisLow, steerAxisHigh);
    }

    /** Degrees in the y-z plane, + with the top leaning inward. */
    public double kingpinInclinationDeg() {
        Vector k = steerAxisHigh.minus(steerAxisLow);
        return Math.toDegrees(Math.atan2(-side.sign() * k.y(), k.z()));
    }

    /** Degrees in the x-z plane, + with the top leaning back. */
    public double casterDeg() {
        Vector k = steerAxisHigh.minus(steerAxisLow);
        return Math.toDegrees(Math.atan2(-k.x(), k.z()));
    }

    /** Height of the ground under this wheel in the body's frame, mm: it goes up and down with the wheel. */
    public double groundHeight() {
        return wheelCentre.z() - design.carried(wheelCentre, now).z();
    }

    /** Where the tyre meets the ground: down the steepest line in the wheel plane from the centre, mm. */
    public Point contactPoint() {
        Vector down = spin.times(spin.z()).minus(Vector.Z);
        return wheelCentre.plus(down.times((groundHeight() - wheelCentre.z()) / down.z()));
    }

    /** Where the steer axis meets that ground, mm. */
    public Point axisOnGround() {
        return steerAxis().atHeight(groundHeight());
    }

    /** mm, + with the contact point outboard of the steer axis at the ground. */
    public double scrubRadius() {
        return side.sign() * (contactPoint().y() - axisOnGround().y());
    }

    /** mm, + with the steer axis ahead of the contact point at the ground. */
    public double mechanicalTrail() {
        return axisOnGround().x() - contactPoint().x();
    }

    /** Scrub radius across the wheel as it is turned, mm; the same as {@link #scrubRadius} with the wheel straight. */
    public double scrubAcrossWheel() {
        Vector flat = new Vector(spin.x(), spin.y(), 0).direction().vector();
        return contactPoint().minus(axisOnGround()).dot(flat);
    }

    /**
     * Mechanical trail along the wheel as it is turned, mm; the same as {@link #mechanicalTrail} with the wheel
     * straight.
     */
    public double trailAlongWheel() {
        return axisOnGround().minus(contactPoint()).dot(ahead());
    }

    /** Level, of length 1, the way the wheel rolls. */
    public Vector ahead() {
        return new Vector(spin.y(), -spin.x(), 0).direction().times(side.sign());
    }

    /** From the foot of the steering arm on the steer axis to the tie-rod point, mm. */
    public Vector steeringArm() {
        return tieRodPoint.minus(steerAxis().footOf(tieRodPoint));
    }

    /** In space, between tie rod and steering arm at the knuckle; 180 stretched, 0 folded; degrees. */
    public double rodToArmDeg() {
        return armAngleDeg(tieRodPoint, tieRodInner);
    }

    /**
     * How far a rod is from going over centre on this knuckle, in the plane square to the steer axis: 0 in line, 90
     * square; degrees.
     */
    public double offCentreDeg(Point rodPoint, Point otherEnd) {
        return steerAxis().offCentreDeg(rodPoint, otherEnd);
    }

    /** The same for any rod, from its point on the knuckle as it stands to its other end. */
    public double armAngleDeg(Point rodPoint, Point otherEnd) {
        Vector arm = rodPoint.minus(steerAxis().footOf(rodPoint));
        return Math.toDegrees(otherEnd.minus(rodPoint).angleTo(arm.negated()));
    }
}
