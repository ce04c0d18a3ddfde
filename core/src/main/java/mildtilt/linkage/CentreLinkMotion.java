package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Orbit;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/** The idler arm's end is where its circle is met at the centre link's length from the pitman arm's end. */
final class CentreLinkMotion implements Motion {

    private final CentreLink link;
    private final ArmEnd arm;
    private final SwingArm idler;
    private final Orbit follows;
    private final int branch;
    private final double length;
    private final Corners corners;

    CentreLinkMotion(CentreLink link, ArmGear gear, SteeredAxle axle) {
        this.link = link;
        arm = new ArmEnd(gear);
        idler = link.idler(gear);
        follows = Orbit.of(idler.axis(), idler.end());
        corners = Corners.onTieRods(
                axle,
                link.innerAt(Side.LEFT, gear.armEnd(), idler.end()),
                link.innerAt(Side.RIGHT, gear.armEnd(), idler.end()));
        branch = follows.branchAt(0, gear.armEnd());
        length = Motion.length(Rod.CENTRE_LINK, gear.armEnd(), idler.end());
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return Map.of(Rod.CENTRE_LINK, length);
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        Mechanism.Broken at = arm.at(gearInputLeft, gearMove);
        Orbit.Reach reach = follows.atReach(at.armEnd(), length, branch);
        if (Math.abs(reach.missing()) > REACH_TOLERANCE) {
            return Motion.broken(Rod.CENTRE_LINK, reach.missing(), at, footing);
        }
        return Motion.onTieRods(
                new Mechanism.CentreLinkAt(
                        link,
                        at.gear(),
                        at.armAngle(),
                        at.armEnd(),
                        idler,
                        follows.angleOf(reach.point()),
                        reach.point()),
                footing);
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(arm.at(gearInputLeft, RigidMove.NONE));
    }
}
