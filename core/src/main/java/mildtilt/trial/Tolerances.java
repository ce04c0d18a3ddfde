package mildtilt.trial;

import mildtilt.geometry.ImpossibleGeometryException;

/**
 * How far what is measured may be from the plan; a builder's own, not a standard.
 *
 * @param jointDeg joint angles
 * @param length shafts and rods, mm
 * @param lockDeg wheels at full lock, and on turn plates
 * @param gap how much less than planned a gap may be, mm
 * @param toeDeg toe over the travel
 * @param turns turns to lock
 * @param centreDeg gear and spokes off the middle
 * @param play at the rim, mm
 * @param returnDeg left over after free return
 */
public record Tolerances(
        double jointDeg, double length, double lockDeg, double gap, double toeDeg, double turns, double centreDeg, double play, double returnDeg) {

    public static final Tolerances USUAL = new Tolerances(1, 1.5, 1, 2, 0.1, 0.1, 5, 15, 10);

    /** A scale pulled by hand, N. */
    private static final double PULL = 20;

    public Tolerances {
        for (double t : new double[] {jointDeg, length, lockDeg, gap, toeDeg, turns, centreDeg, play, returnDeg}) {
            if (!(t > 0 && t <= 1000)) {
                throw new ImpossibleGeometryException("A tolerance must be above 0.");
            }
        }
    }

    /** How far a figure may be off, in its unit. */
    public double of(Gauge g) {
        return switch (g) {
            case Gauge.JointAngle _ -> jointDeg;
            case Gauge.ShaftLength _, Gauge.RodLength _ -> length;
            case Gauge.LockAngle _ -> lockDeg;
            case Gauge.Gap _ -> gap;
            case Gauge.TurnsTo _ -> turns;
            case Gauge.GearOffCentre _, Gauge.SpokesOffStraight _ -> centreDeg;
            case Gauge.RimForce _ -> PULL;
            case Gauge.RimPlay _ -> play;
            case Gauge.FreeReturn _ -> returnDeg;
        };
    }

    public Tolerances withJointDeg(double v) {
        return new Tolerances(v, length, lockDeg, gap, toeDeg, turns, centreDeg, play, returnDeg);
    }

    public Tolerances withLength(double v) {
        return new Tolerances(jointDeg, v, lockDeg, gap, toeDeg, turns, centreDeg, play, returnDeg);
    }

    public Tolerances withLockDeg(double v) {
        return new Tolerances(jointDeg, length, v, gap, toeDeg, turns, centreDeg, play, returnDeg);
    }

    public Tolerances withGap(double v) {
        return new Tolerances(jointDeg, length, lockDeg, v, toeDeg, turns, centreDeg, play, returnDeg);
    }

    public Tolerances withToeDeg(double v) {
        return new Tolerances(jointDeg, length, lockDeg, gap, v, turns, centreDeg, play, returnDeg);
    }

    public Tolerances withTurns(double v) {
        return new Tolerances(jointDeg, length, lockDeg, gap, toeDeg, v, centreDeg, play, returnDeg);
    }

    public Tolerances withCentreDeg(double v) {
        return new Tolerances(jointDeg, length, lockDeg, gap, toeDeg, turns, v, play, returnDeg);
    }

    public Tolerances withPlay(double v) {
        return new Tolerances(jointDeg, length, lockDeg, gap, toeDeg, turns, centreDeg, v, returnDeg);
    }

    public Tolerances withReturnDeg(double v) {
        return new Tolerances(jointDeg, length, lockDeg, gap, toeDeg, turns, centreDeg, play, v);
    }
}
