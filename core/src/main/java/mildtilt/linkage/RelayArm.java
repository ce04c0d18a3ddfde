package mildtilt.linkage;

import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.withers.Withers;

/**
 * An arm, or two, on a pivot of its own, that takes the movement of the gear's arm further: a link from the gear's arm
 * turns
 * it, and the drag link begins on it.
 *
 * @param pivot its axis, pointing up
 * @param linkPoint where the link from the gear's arm meets it, where it really is, mm
 * @param dragLinkPoint where the drag link begins, mm
 * @param linkEnds that link's joints: outer at the relay arm, inner at the gear's arm
 */
@Withers
public record RelayArm(Axis pivot, Point linkPoint, Point dragLinkPoint, RodEnds linkEnds)
        implements RelayArmBuilder.With {

    private static final double SHORTEST = 1;
    /** Of a relay arm that nobody has measured yet, mm. */
    private static final double USUAL_ARM = 150;

    /** @throws ImpossibleGeometryException naming the point that lies on the pivot */
    public RelayArm {
        if (pivot.distanceTo(linkPoint) < SHORTEST || pivot.distanceTo(dragLinkPoint) < SHORTEST) {
            throw new ImpossibleGeometryException(
                    "The relay arm has no length: one of its two points lies on its pivot.");
        }
    }

    public RelayArm placed(Placing placing) {
        return new RelayArm(placing.axis(pivot), placing.point(linkPoint), placing.point(dragLinkPoint), linkEnds);
    }

    /**
     * A relay arm to begin with, half-way along a drag link that has none yet: both rods at one point of a single arm
     * that
     * stands as the gear's arm does.
     *
     * @param gearPivot the gear's shaft
     * @param from the gear's arm's end
     * @param to what the drag link drives
     */
    static RelayArm between(Axis gearPivot, Point from, Point to) {
        Point middle = from.midwayTo(to);
        Vector arm = from.minus(gearPivot.footOf(from)).direction().times(USUAL_ARM);
        return new RelayArm(
                new Axis(middle.plus(arm.negated()), gearPivot.direction()), middle, middle, RodEnds.UNKNOWN);
    }
}
