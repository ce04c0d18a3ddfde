package mildtilt.obstacle;

import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;

/** How something moves by itself, besides what it is fixed to. */
public sealed interface Sweep {

    /** It stays where it is. */
    record Still() implements Sweep {}

    /**
     * A pedal on its pivot, an engine that rocks in its mounts.
     *
     * @param axis it turns about
     * @param fromDeg right-handed about the axis, at or below 0
     * @param toDeg at or above 0
     */
    record Turns(Axis axis, double fromDeg, double toDeg) implements Sweep {

        /** @throws ImpossibleGeometryException if it does not go through where it stands, or goes right round */
        public Turns {
            if (!(fromDeg <= 0 && toDeg >= 0 && toDeg - fromDeg <= 360)) {
                throw new ImpossibleGeometryException(
                        "What turns by itself must turn from 0 or less to 0 or more, and not more than once round.");
            }
        }
    }

    /** @param from along the direction, at or below 0, mm; @param to at or above 0, mm */
    record Slides(Direction along, double from, double to) implements Sweep {

        /** @throws ImpossibleGeometryException if it does not go through where it stands */
        public Slides {
            if (!(from <= 0 && to >= 0 && Double.isFinite(to - from))) {
                throw new ImpossibleGeometryException("What slides by itself must slide from 0 or less to 0 or more.");
            }
        }
    }

    /** A hose or a harness that wanders any way. @param by up to, mm */
    record Wanders(double by) implements Sweep {

        /** @throws ImpossibleGeometryException if it is below 0 */
        public Wanders {
            if (!(by >= 0 && Double.isFinite(by))) {
                throw new ImpossibleGeometryException("How far a hose wanders can't be negative.");
            }
        }
    }

    /**
     * An anti-roll bar that a wheel turns in its bushes.
     *
     * @param side of the wheel
     * @param axis it turns about
     * @param degPerMm right-handed about the axis for a mm of that wheel's rise
     */
    record FollowsWheel(Side side, Axis axis, double degPerMm) implements Sweep {

        /** @throws ImpossibleGeometryException if it is not a number */
        public FollowsWheel {
            if (!Double.isFinite(degPerMm)) {
                throw new ImpossibleGeometryException("How far an anti-roll bar turns with its wheel is not a number.");
            }
        }
    }

    default String label() {
        return switch (this) {
            case Still _ -> "stays";
            case Turns _ -> "turns by itself";
            case Slides _ -> "slides by itself";
            case Wanders _ -> "wanders";
            case FollowsWheel _ -> "turns with a wheel";
        };
    }

    /** Whether it has places of its own choosing, whatever steering and wheels do. */
    default boolean free() {
        return this instanceof Turns || this instanceof Slides;
    }

    /**
     * Where it has gone at a part of its own way: 0 at one end, a half where it stands as given, 1 at the other end.
     */
    default RigidMove at(double part) {
        return switch (this) {
            case Still _, Wanders _, FollowsWheel _ -> RigidMove.NONE;
            case Turns t -> RigidMove.about(t.axis, Math.toRadians(amount(t.fromDeg, t.toDeg, part)));
            case Slides s -> RigidMove.by(s.along.times(amount(s.from, s.to, part)));
        };
    }

    private static double amount(double from, double to, double part) {
        return part < 0.5 ? from * (1 - 2 * part) : to * (2 * part - 1);
    }

    /** The same on the other side of the vehicle. */
    default Sweep mirrored() {
        return switch (this) {
            case Still s -> s;
            case Wanders w -> w;
            // In a mirror a turn goes the other way round.
            case Turns t -> new Turns(t.axis.mirrored(), t.toDeg == 0 ? 0 : -t.toDeg, t.fromDeg == 0 ? 0 : -t.fromDeg);
            case Slides s -> new Slides(s.along.mirrored(), s.from, s.to);
            case FollowsWheel f -> new FollowsWheel(f.side.other(), f.axis.mirrored(), -f.degPerMm);
        };
    }
}
