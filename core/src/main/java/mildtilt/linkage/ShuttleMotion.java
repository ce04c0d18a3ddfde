package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.rods.Rod;

/** The shuttle's link point slides along a line and stands at the short link's length from the arm's end. */
final class ShuttleMotion implements Motion {

    private final Shuttle shuttle;
    private final ArmEnd arm;
    private final int branch;
    private final double length;
    private final Corners corners;

    ShuttleMotion(Shuttle shuttle, ArmGear gear, SteeredAxle axle) {
        this.shuttle = shuttle;
        arm = new ArmEnd(gear);
        corners = Corners.onTieRods(axle, shuttle.inner(Side.LEFT), shuttle.inner(Side.RIGHT));
        branch = shuttle.slide().dot(shuttle.linkPoint().minus(gear.armEnd())) >= 0 ? 1 : -1;
        length = Motion.length(Rod.SHORT_LINK, gear.armEnd(), shuttle.linkPoint());
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return Map.of(Rod.SHORT_LINK, length);
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        Mechanism.Broken at = arm.at(gearInputLeft, gearMove);
        Vector w = shuttle.linkPoint().minus(at.armEnd());
        double along = shuttle.slide().dot(w);
        double square = length * length - (w.dot(w) - along * along);
        if (square < 0) {
            return Motion.broken(Rod.SHORT_LINK, Math.sqrt(w.dot(w) - along * along) - length, at, footing);
        }
        double displacement = branch * Math.sqrt(square) - along;
        Vector slid = shuttle.slide().times(displacement);
        return Motion.onTieRods(
                new Mechanism.ShuttleAt(
                        shuttle,
                        at.gear(),
                        at.armAngle(),
                        at.armEnd(),
                        displacement,
                        shuttle.linkPoint().plus(slid),
                        shuttle.inner(Side.LEFT).plus(slid),
                        shuttle.inner(Side.RIGHT).plus(slid)),
                footing);
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(arm.at(gearInputLeft, RigidMove.NONE));
    }
}
