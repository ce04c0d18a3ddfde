package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/**
 * The crank's driven point is where its circle is met at the drag rod's length from the arm's end; the tie rods' points
 * turn with it.
 */
final class BellCrankMotion implements Motion {

    private final BellCrank crank;
    private final ArmEnd arm;
    private final Orbit follows;
    private final int branch;
    private final double length;
    private final Corners corners;

    BellCrankMotion(BellCrank crank, ArmGear gear, SteeredAxle axle) {
        this.crank = crank;
        arm = new ArmEnd(gear);
        follows = Orbit.of(crank.pivot(), crank.dragRodPoint());
        corners = Corners.onTieRods(axle, crank.tieRodPoint(Side.LEFT), crank.tieRodPoint(Side.RIGHT));
        branch = follows.branchAt(0, gear.armEnd());
        length = Motion.length(Rod.DRAG_ROD, gear.armEnd(), crank.dragRodPoint());
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return Map.of(Rod.DRAG_ROD, length);
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        Mechanism.Broken at = arm.at(gearInputLeft, gearMove);
        Orbit.Reach reach = follows.atReach(at.armEnd(), length, branch);
        if (Math.abs(reach.missing()) > REACH_TOLERANCE) {
            return Motion.broken(Rod.DRAG_ROD, reach.missing(), at, footing);
        }
        double turned = follows.angleOf(reach.point());
        Point l = crank.pivot().turned(crank.tieRodPoint(Side.LEFT), turned);
        Point r = crank.pivot().turned(crank.tieRodPoint(Side.RIGHT), turned);
        return Motion.onTieRods(
                new Mechanism.BellCrankAt(crank, at.gear(), at.armAngle(), at.armEnd(), turned, reach.point(), l, r),
                footing);
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(arm.at(gearInputLeft, RigidMove.NONE));
    }
}
