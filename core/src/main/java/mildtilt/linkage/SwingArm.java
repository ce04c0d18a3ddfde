package mildtilt.linkage;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** An arm that swings freely about an axis fixed to the body, such as an idler arm. Points in mm. */
public record SwingArm(Axis axis, Point end) {

    /** @throws ImpossibleGeometryException if the arm has no length */
    public SwingArm {
        if (axis.distanceTo(end) < 1) {
            throw new ImpossibleGeometryException("The idler arm has no length: its end lies on its axis.");
        }
    }

    public SwingArm placed(Placing placing) {
        return new SwingArm(placing.axis(axis), placing.point(end));
    }

    /** Whether it is all but the same as another. */
    boolean near(SwingArm other) {
        return end.distanceTo(other.end) < 1e-9
                && axis.origin().distanceTo(other.axis.origin()) < 1e-9
                && axis.direction().dot(other.axis.direction().vector()) > 1 - 1e-12;
    }

    public SwingArm moved(Vector by) {
        return new SwingArm(axis.moved(by), end.plus(by));
    }
}
