package mildtilt.gear;

import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.withers.Withers;

/**
 * A rack moved by a pinion.
 *
 * @param centre midway between the inner tie-rod pivots, straight ahead
 * @param axis along the rack, toward the left
 * @param pivotSpacing between the inner tie-rod pivots, mm
 * @param travelPerLeftTurn along {@code axis} for one turn of the pinion to the left, mm; negative where a
 *     left turn moves the rack to the right, as a rack behind the axle needs
 * @param travelEachWay from straight ahead to the end of the rack, mm
 */
@Withers
public record RackAndPinion(
        Point centre, Direction axis, double pivotSpacing, double travelPerLeftTurn, double travelEachWay)
        implements Gear, RackAndPinionBuilder.With {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public RackAndPinion {
        if (!(axis.y() > 0)) {
            throw new ImpossibleGeometryException("The rack's axis must point toward the left (y above 0).");
        }
        if (!(pivotSpacing > 0)) {
            throw new ImpossibleGeometryException("The rack's inner pivot spacing must be above 0.");
        }
        if (!(Math.abs(travelPerLeftTurn) > 0) || !Double.isFinite(travelPerLeftTurn)) {
            throw new ImpossibleGeometryException("The rack's travel per turn must not be 0.");
        }
        if (!(travelEachWay > 0)) {
            throw new ImpossibleGeometryException("The rack's travel each way must be above 0.");
        }
    }

    /** Inner tie-rod pivot of one side with the rack displaced, mm. */
    public Point innerPivot(Side side, double displacement) {
        return centre.plus(axis.times(side.sign() * pivotSpacing / 2 + displacement));
    }

    /** Displacement, mm, with the pinion turned left by an angle in rad. */
    public double displacementAt(double pinionLeft) {
        return travelPerLeftTurn * pinionLeft / (2 * Math.PI);
    }

    @Override
    public double inputStop() {
        return 2 * Math.PI * travelEachWay / Math.abs(travelPerLeftTurn);
    }

    @Override
    public RackAndPinion reversed() {
        return withTravelPerLeftTurn(-travelPerLeftTurn);
    }

    @Override
    public String label() {
        return "Rack";
    }

    @Override
    public String howToReverse() {
        return "Use a rack whose pinion drives it the other way (pinion on its other side, rack turned over)";
    }

    @Override
    public RackAndPinion placed(Placing placing) {
        return withCentre(placing.point(centre)).withAxis(placing.direction(axis));
    }
}
