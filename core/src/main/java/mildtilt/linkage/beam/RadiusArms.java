package mildtilt.linkage.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * On springs that hold nothing, and two radius arms that are fixed to it as one piece, each with one joint on the frame. As it
 * rises it winds up about the line through those joints. As it rolls the arms would twist it; their bushes take that up evenly:
 * both joints stay where they are fore and aft, and the mean of their heights does.
 *
 * @param ownRight the right arm where it differs; empty if it is the mirror image of the left
 * @param sideways unaided where something else holds it, taken as rigid
 */
@Withers
public record RadiusArms(Link left, Optional<Link> ownRight, Sideways sideways)
        implements Beam, RadiusArmsBuilder.With {

    public Link arm(Side side) {
        return side == Side.LEFT ? left : ownRight.orElseGet(left::mirrored);
    }

    @Override
    public String label() {
        return "beam axle on radius arms";
    }

    @Override
    public BeamPlacer placer(Frame design, double track) {
        Point l = arm(Side.LEFT).bodyEnd();
        Point r = arm(Side.RIGHT).bodyEnd();
        return new HeldBeam(
                        design,
                        track,
                        (s, beam, _) -> {
                            s.held(beam, l, Vector.X.direction())
                                    .held(beam, r, Vector.X.direction())
                                    .held(beam, l.midwayTo(r), Vector.Z.direction());
                            sideways.hold(s, beam, l.midwayTo(r));
                        },
                        (_, _) -> 0)
                .checked(
                        "The radius arms leave the axle free to turn: their frame ends must be apart, and away from the axle.");
    }

    @Override
    public List<BeamPoint> points() {
        List<BeamPoint> all = new ArrayList<>(List.of(
                new BeamPoint(BeamPoint.Which.LEFT_ARM_BODY, left.bodyEnd(), p -> withLeft(left.withBodyEnd(p))),
                new BeamPoint(BeamPoint.Which.LEFT_ARM_AXLE, left.axleEnd(), p -> withLeft(left.withAxleEnd(p)))));
        ownRight.ifPresent(r -> all.addAll(List.of(
                new BeamPoint(BeamPoint.Which.RIGHT_ARM_BODY, r.bodyEnd(), p -> withRight(r.withBodyEnd(p))),
                new BeamPoint(BeamPoint.Which.RIGHT_ARM_AXLE, r.axleEnd(), p -> withRight(r.withAxleEnd(p))))));
        all.addAll(sideways.points(this::withSideways));
        return all;
    }

    private RadiusArms withRight(Link r) {
        return withOwnRight(Optional.of(r));
    }

    @Override
    public List<Bar> bars() {
        List<Bar> all = new ArrayList<>(List.of(
                new Bar(BeamPart.LEFT_RADIUS_ARM, arm(Side.LEFT)),
                new Bar(BeamPart.RIGHT_RADIUS_ARM, arm(Side.RIGHT))));
        all.addAll(sideways.bars());
        return all;
    }

    @Override
    public RadiusArms withSideways(Sideways by) {
        return RadiusArmsBuilder.With.super.withSideways(by);
    }
}
