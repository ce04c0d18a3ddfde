package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/** The tie rods' points turn with the gear's arm. */
final class ArmTieRodsMotion implements Motion {

    private final ArmTieRods linkage;
    private final ArmEnd arm;
    private final Corners corners;

    ArmTieRodsMotion(ArmTieRods linkage, ArmGear gear, SteeredAxle axle) {
        this.linkage = linkage;
        arm = new ArmEnd(gear);
        corners = Corners.onTieRods(axle, linkage.point(Side.LEFT), linkage.point(Side.RIGHT));
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return Map.of();
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        Mechanism.Broken at = arm.at(gearInputLeft, gearMove);
        return Motion.onTieRods(
                new Mechanism.ArmTieRodsAt(
                        linkage,
                        at.gear(),
                        at.armAngle(),
                        at.armEnd(),
                        turned(Side.LEFT, at.armAngle(), gearMove),
                        turned(Side.RIGHT, at.armAngle(), gearMove)),
                footing);
    }

    private Point turned(Side side, double armAngle, RigidMove gearMove) {
        Axis axis = arm.gear().axis();
        return gearMove.point(axis.turned(linkage.point(side), armAngle));
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(arm.at(gearInputLeft, RigidMove.NONE));
    }
}
