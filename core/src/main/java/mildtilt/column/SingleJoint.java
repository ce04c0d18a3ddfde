package mildtilt.column;

import mildtilt.geometry.Point;

/**
 * A single universal joint: one cross in two forks.
 *
 * @param maxAngleDeg largest operating angle it allows, degrees
 */
public record SingleJoint(String name, Point centre, double maxAngleDeg, ForkFit wheelSide, ForkFit gearSide)
        implements Joint {

    @Override
    public SingleJoint withCentre(Point c) {
        return new SingleJoint(name, c, maxAngleDeg, wheelSide, gearSide);
    }

    @Override
    public SingleJoint withMaxAngleDeg(double deg) {
        return new SingleJoint(name, centre, deg, wheelSide, gearSide);
    }

    @Override
    public SingleJoint withFits(ForkFit wheel, ForkFit gear) {
        return new SingleJoint(name, centre, maxAngleDeg, wheel, gear);
    }

    @Override
    public double unevenness(double angle) {
        double t = Math.tan(angle / 2);
        return t * t;
    }

    @Override
    public double pinAdvance() {
        return Math.PI / 2;
    }

    @Override
    public double lockUpAngle() {
        return Math.PI / 2;
    }
}
