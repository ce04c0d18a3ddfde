package mildtilt.column;

import mildtilt.geometry.Point;

/**
 * A double joint, taken as an ideal constant-velocity joint: two crosses and a centring yoke that
 * halves the angle between them.
 *
 * @param maxAngleDeg largest operating angle it allows, degrees
 */
public record DoubleJoint(String name, Point centre, double maxAngleDeg, ForkFit wheelSide, ForkFit gearSide)
        implements Joint {

    @Override
    public DoubleJoint withCentre(Point c) {
        return new DoubleJoint(name, c, maxAngleDeg, wheelSide, gearSide);
    }

    @Override
    public DoubleJoint withMaxAngleDeg(double deg) {
        return new DoubleJoint(name, centre, deg, wheelSide, gearSide);
    }

    @Override
    public DoubleJoint withFits(ForkFit wheel, ForkFit gear) {
        return new DoubleJoint(name, centre, maxAngleDeg, wheel, gear);
    }

    @Override
    public double unevenness(double angle) {
        return 0;
    }

    @Override
    public double pinAdvance() {
        return 0;
    }

    @Override
    public double lockUpAngle() {
        return Math.PI;
    }
}
