package mildtilt.scan;

import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;

/**
 * Something regular that was fitted to a scan about a place on it, in the scan's own axes, mm. Every ± is one standard
 * deviation, from the scatter about the fit.
 */
public sealed interface ScanShape {

    /** The same carried elsewhere with the scan. */
    ScanShape moved(RigidMove by);

    /** How far the scan scatters about it, mm. */
    double scatter();

    /** How many corners of the scan it was fitted to. */
    int corners();

    /**
     * A tube or a round bar.
     *
     * @param from and to its axis, where the scan of it ends
     * @param spread ± of the axis, mm
     * @param spreadDeg ± of its direction
     * @param diameterSpread ± mm
     */
    record Tube(
            Point from,
            Point to,
            double diameter,
            double spread,
            double spreadDeg,
            double diameterSpread,
            double scatter,
            int corners)
            implements ScanShape {
        @Override
        public Tube moved(RigidMove by) {
            return new Tube(
                    by.moved(from), by.moved(to), diameter, spread, spreadDeg, diameterSpread, scatter, corners);
        }
    }

    /** A ball, or a part of one. @param spread ± of its centre, mm */
    record Ball(Point centre, double diameter, double spread, double diameterSpread, double scatter, int corners)
            implements ScanShape {
        @Override
        public Ball moved(RigidMove by) {
            return new Ball(by.moved(centre), diameter, spread, diameterSpread, scatter, corners);
        }
    }

    /**
     * A flat.
     *
     * @param middle of what was scanned of it
     * @param out square to it, out of the metal where the scan's triangles are turned so
     * @param spread ± along that, mm
     * @param spreadDeg ± of it
     */
    record Flat(Point middle, Direction out, double spread, double spreadDeg, double scatter, int corners)
            implements ScanShape {
        @Override
        public Flat moved(RigidMove by) {
            return new Flat(by.moved(middle), by.direction(out), spread, spreadDeg, scatter, corners);
        }
    }

    /**
     * What spins, such as a rim: its axis, and the circle round it through the pressed place.
     *
     * @param centre of that circle
     * @param spread ± of its centre, mm
     * @param spreadDeg ± of the axis
     * @param diameterSpread ± mm
     */
    record Rim(
            Point centre,
            Direction axis,
            double diameter,
            double spread,
            double spreadDeg,
            double diameterSpread,
            double scatter,
            int corners)
            implements ScanShape {
        @Override
        public Rim moved(RigidMove by) {
            return new Rim(
                    by.moved(centre),
                    by.direction(axis),
                    diameter,
                    spread,
                    spreadDeg,
                    diameterSpread,
                    scatter,
                    corners);
        }
    }

    /**
     * A box.
     *
     * @param first square to the pressed side; the others along it, right-handed
     * @param deep along the first, mm
     * @param wide along the second
     * @param high along the third
     * @param sides how many of its sides were scanned; where the others are is where these end
     * @param spread ± of its centre, mm
     */
    record Box(
            Point centre,
            Direction first,
            Direction second,
            Direction third,
            double deep,
            double wide,
            double high,
            int sides,
            double spread,
            double spreadDeg,
            double scatter,
            int corners)
            implements ScanShape {
        @Override
        public Box moved(RigidMove by) {
            return new Box(
                    by.moved(centre),
                    by.direction(first),
                    by.direction(second),
                    by.direction(third),
                    deep,
                    wide,
                    high,
                    sides,
                    spread,
                    spreadDeg,
                    scatter,
                    corners);
        }
    }

    /** A round hole in a flat. @param spread ± of its centre, mm; @param axis square to the flat */
    record Hole(
            Point centre,
            Direction axis,
            double diameter,
            double spread,
            double diameterSpread,
            double scatter,
            int corners)
            implements ScanShape {
        @Override
        public Hole moved(RigidMove by) {
            return new Hole(by.moved(centre), by.direction(axis), diameter, spread, diameterSpread, scatter, corners);
        }
    }
}
