package mildtilt.linkage;

import java.util.Map;
import java.util.Optional;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.linkage.DragLink.Attachment;
import mildtilt.linkage.rods.Rod;
import mildtilt.suspension.CornerPose;
import mildtilt.suspension.KnucklePose;

/** The drag link turns one knuckle, the tie rod takes the other along. */
final class DragLinkOnKnuckle implements Motion {

    private final DragLink link;
    private final Attachment.OnKnuckle at;
    private final DragLinkStart start;
    private final Map<Rod, Double> lengths;
    private final Corners corners;

    DragLinkOnKnuckle(DragLink link, Attachment.OnKnuckle at, ArmGear gear, SteeredAxle axle) {
        this.link = link;
        this.at = at;
        start = new DragLinkStart(link, gear);
        Point tieLeft = axle.corner(Side.LEFT).knuckle().tieRodPoint();
        Point tieRight = axle.corner(Side.RIGHT).knuckle().tieRodPoint();
        double drag = Motion.length(Rod.DRAG_LINK, link.start(gear), at.point());
        Corners.RodAt driving = new Corners.RodAt(at.point(), link.start(gear), Rod.DRAG_LINK.label());
        corners = at.side() == Side.LEFT
                ? Corners.of(axle, driving, new Corners.RodAt(tieRight, tieLeft, Rod.TIE_ROD.label()))
                : Corners.of(axle, new Corners.RodAt(tieLeft, tieRight, Rod.TIE_ROD.label()), driving);
        lengths = start.lengths(drag);
        lengths.put(Rod.TIE_ROD, Motion.length(Rod.TIE_ROD, tieLeft, tieRight));
    }

    @Override
    public Corners corners() {
        return corners;
    }

    @Override
    public Map<Rod, Double> lengths() {
        return lengths;
    }

    @Override
    public AxleConfiguration stance(double gearInputLeft, CornerPair footing, RigidMove gearMove) {
        DragLinkStart.Place from = start.at(gearInputLeft, gearMove);
        Mechanism.Broken alone = from.gear();
        if (Math.abs(from.missing()) > REACH_TOLERANCE) {
            return Motion.broken(Rod.INTERMEDIATE_LINK, from.missing(), alone, footing);
        }
        Point end = from.at();
        CornerPose first = footing.corner(at.side(), end, end);
        if (!(first instanceof KnucklePose driving)) {
            return new AxleConfiguration(first, first, Optional.of(alone), footing.beam());
        }
        CornerPose second = footing.corner(at.side().other(), driving.tieRodPoint(), driving.tieRodPoint());
        CornerPose firstWhole =
                driving.withTieRodInner(second instanceof KnucklePose s ? s.tieRodPoint() : driving.tieRodPoint());
        Mechanism mechanism = new Mechanism.DragLinkAt(
                link, alone.gear(), alone.armAngle(), alone.armEnd(), from.relay(), driving.carried(at.point()));
        return at.side() == Side.LEFT
                ? new AxleConfiguration(firstWhole, second, Optional.of(mechanism), footing.beam())
                : new AxleConfiguration(second, firstWhole, Optional.of(mechanism), footing.beam());
    }

    @Override
    public Optional<Mechanism> gearAlone(double gearInputLeft) {
        return Optional.of(start.gearAlone(gearInputLeft));
    }
}
