package mildtilt.linkage;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
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

    public SwingArm moved(Vector by) {
        return new SwingArm(axis.moved(by), end.plus(by));
    }
}
