package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;

/**
 * How one linkage on one axle carries the turn of the gear's input to both knuckles: each kind of linkage has its own.
 */
interface Motion {

    /** How far past its end the gear may be asked to go and still counts as at its end, mm or rad. */
    double GEAR_END_TOLERANCE = 1e-6;

    double REACH_TOLERANCE = 1e-9;

    Corners corners();

    /** Between centres, mm, of every rod but the tie rods that steer a knuckle by themselves. */
    Map<Rod, Double> lengths();

    /**
     * @param gearInputLeft rotation of the gear's input to the left, rad, no further than its end
     * @param gearMove where the gear has gone against what stands between it and the tie rods
     */
    AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove);

    /** Where the gear itself stands, for wheels that can't follow it. */
    Optional<Mechanism> gearAlone(double gearInputLeft);

    /** That the gear's input is turned past its end, if it is. */
    static Optional<CannotAssemble> pastEnd(Gear gear, double gearInputLeft) {
        return switch (gear) {
            case RackAndPinion r -> {
                double past = Math.abs(r.displacementAt(gearInputLeft)) - r.travelEachWay();
                yield past > GEAR_END_TOLERANCE
                        ? Optional.of(new CannotAssemble("rack", past, Reason.GEAR_END))
                        : Optional.empty();
            }
            case ArmGear g -> {
                double past = Math.abs(gearInputLeft) - g.inputStop();
                yield past > GEAR_END_TOLERANCE
                        ? Optional.of(new CannotAssemble("steering gear", Math.toDegrees(past), Reason.GEAR_TURNED_OUT))
                        : Optional.empty();
            }
        };
    }

    /** @throws ImpossibleGeometryException if there is all but none */
    static double length(Rod rod, Point a, Point b) {
        double mm = a.distanceTo(b);
        if (mm < 1) {
            throw new ImpossibleGeometryException("The " + rod.label() + " has no length.");
        }
        return mm;
    }

    /** The rod that the gear pushes does not reach. */
    static AxleConfiguration broken(Rod rod, double missing, Mechanism.Broken mechanism, CornerPair footing) {
        CannotAssemble no = new CannotAssemble(rod.label(), missing, Reason.LINK);
        return new AxleConfiguration(no, no, Optional.of(mechanism), footing.beam());
    }

    /** Both wheels with a tie rod each from where the mechanism has its inner end. */
    static AxleConfiguration onTieRods(Mechanism m, CornerPair footing) {
        Point l = m.inner(Side.LEFT);
        Point r = m.inner(Side.RIGHT);
        return new AxleConfiguration(
                footing.corner(Side.LEFT, l, l), footing.corner(Side.RIGHT, r, r), Optional.of(m), footing.beam());
    }
}
