package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.rods.Rod;

/** The tie rods' inner ends go with the rack. */
record RackMotion(RackAndPinion rack, Corners corners) implements Motion {

    RackMotion(RackAndPinion rack, SteeredAxle axle) {
        this(rack, Corners.onTieRods(axle, rack.innerPivot(Side.LEFT, 0), rack.innerPivot(Side.RIGHT, 0)));
    }

    @Override
    public Map<Rod, Double> lengths() {
        return Map.of();
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        RackAndPinion at = gearMove.stays() ? rack : rack.placed(gearMove);
        return Motion.onTieRods(new Mechanism.RackAt(at, at.displacementAt(gearInputLeft)), footing);
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.empty();
    }
}
