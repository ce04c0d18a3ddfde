package mildtilt.obstacle;

import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;

/**
 * How one end of a part between two ends is held. Directions are in the vehicle frame in the design position and go
 * along
 * with what the end is fixed to.
 */
public sealed interface EndFit {

    /** What the bench calls it. */
    String label();

    /** The same on the other side of the vehicle. */
    EndFit mirrored();

    /**
     * An eye or a rod end on a bolt.
     *
     * @param bolt the part stands square to it where it does not tilt
     * @param allowedDeg largest tilt from square
     */
    record Eye(Direction bolt, double allowedDeg) implements EndFit {

        public Eye {
            mustBeAbove0(allowedDeg);
        }

        @Override
        public String label() {
            return "eye on a bolt";
        }

        @Override
        public Eye mirrored() {
            return new Eye(bolt.mirrored(), allowedDeg);
        }

        @Override
        public Eye carried(RigidMove by) {
            return new Eye(by.direction(bolt), allowedDeg);
        }
    }

    /**
     * A ball, a spherical top mount, the joint of a driven shaft.
     *
     * @param axis the part runs along it where it does not tilt
     * @param allowedDeg largest angle to it
     */
    record Ball(Direction axis, double allowedDeg) implements EndFit {

        public Ball {
            mustBeAbove0(allowedDeg);
        }

        @Override
        public String label() {
            return "ball or top mount";
        }

        @Override
        public Ball mirrored() {
            return new Ball(axis.mirrored(), allowedDeg);
        }

        @Override
        public Ball carried(RigidMove by) {
            return new Ball(by.direction(axis), allowedDeg);
        }
    }

    /** A hose's fitting. @param leaves the way the hose leaves it */
    record Fitting(Direction leaves) implements EndFit {

        @Override
        public String label() {
            return "fitting";
        }

        @Override
        public Fitting mirrored() {
            return new Fitting(leaves.mirrored());
        }

        @Override
        public Fitting carried(RigidMove by) {
            return new Fitting(by.direction(leaves));
        }
    }

    /** The same on what has been carried elsewhere. */
    EndFit carried(RigidMove by);

    /**
     * How far the part tilts on this end, degrees; 0 for a fitting, which does not.
     *
     * @param part from this end to the other
     */
    default double tiltDeg(Vector part) {
        double between = Math.toDegrees(direction().vector().angleTo(part));
        return switch (this) {
            case Eye _ -> Math.abs(90 - between);
            // Whichever way round the axis was given.
            case Ball _ -> Math.min(between, 180 - between);
            case Fitting _ -> 0;
        };
    }

    default Direction direction() {
        return switch (this) {
            case Eye e -> e.bolt;
            case Ball b -> b.axis;
            case Fitting f -> f.leaves;
        };
    }

    /** Degrees; infinite for a fitting. */
    default double mostTiltDeg() {
        return switch (this) {
            case Eye e -> e.allowedDeg;
            case Ball b -> b.allowedDeg;
            case Fitting _ -> Double.POSITIVE_INFINITY;
        };
    }

    private static void mustBeAbove0(double deg) {
        if (!(deg > 0 && deg < 90)) {
            throw new ImpossibleGeometryException("The tilt that an end allows must be between 0° and 90°.");
        }
    }
}
