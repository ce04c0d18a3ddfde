package mildtilt.columnrange;

import mildtilt.column.Column;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** A joint moved to a wanted operating angle. */
public final class JointBend {

    private static final double STRAIGHT = 1e-9;

    private JointBend() {}

    /**
     * The joint moved square to the line between its two neighbours, in the plane it bends in; up or down where it is
     * straight. With a and b from the foot on that line to the neighbours and h off it, the angle is
     * {@code atan(h/a) + atan(h/b)}, so {@code h² tan + h (a + b) − a b tan = 0}.
     *
     * @param deg from 0 to below 90
     * @throws ImpossibleGeometryException for another angle, or where the joint does not stand between its neighbours
     */
    public static Column withAngle(Column c, int joint, double deg) {
        if (!(deg >= 0 && deg < 90)) {
            throw new ImpossibleGeometryException("The operating angle must be at least 0 and below 90 degrees.");
        }
        Point from = c.start(joint);
        Point to = c.end(joint + 1);
        Point centre = c.joints().get(joint).centre();
        if (from.distanceTo(to) < Column.SHORTEST_SHAFT) {
            throw new ImpossibleGeometryException(
                    "The two neighbours of this joint are in one place, so it can't be bent to an angle.");
        }
        Axis line = Axis.through(from, to);
        Point foot = line.footOf(centre);
        double a = line.direction().dot(foot.minus(from));
        double b = from.distanceTo(to) - a;
        if (!(a > 0 && b > 0)) {
            throw new ImpossibleGeometryException(
                    "This joint does not lie between its neighbours, so it can't be bent to an angle; move its centre.");
        }
        Vector off = centre.minus(foot);
        Vector square = off.norm() > STRAIGHT ? off : upward(line);
        double t = Math.tan(Math.toRadians(deg));
        // The form of the root that keeps its digits near nought.
        double h = 2 * a * b * t / (a + b + Math.sqrt((a + b) * (a + b) + 4 * a * b * t * t));
        return c.editJoint(joint, j -> j.withCentre(foot.plus(square.direction().times(h))));
    }

    private static Vector upward(Axis line) {
        Vector up = Vector.Z.minus(line.direction().times(line.direction().z()));
        return up.norm() > 1e-6 ? up : line.direction().anySquare().vector();
    }
}
