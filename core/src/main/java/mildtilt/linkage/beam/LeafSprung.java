package mildtilt.linkage.beam;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.withers.Withers;

/**
 * On leaf springs that hold it fore and aft. The seat swings as on a link of three quarters of the fixed half's length (the
 * usual equivalent of a leaf of even strength), so a beam on springs goes fore and aft as it rises, and turns as it rolls
 * where the springs are not level. Halves of unlike length wind it up.
 *
 * @param ownRight the right spring where it differs; empty if it is the mirror image of the left
 * @param sideways unaided where the springs alone hold it, taken as rigid
 */
@Withers
public record LeafSprung(Leaf left, Optional<Leaf> ownRight, Sideways sideways)
        implements Beam, LeafSprungBuilder.With {

    public Leaf spring(Side side) {
        return side == Side.LEFT ? left : ownRight.orElseGet(left::mirrored);
    }

    @Override
    public String label() {
        return "beam axle on leaf springs";
    }

    @Override
    public BeamPlacer placer(Frame design, double track) {
        return placer(design, track, 0);
    }

    /** Both springs bend to an S, their seats turning where they are. */
    @Override
    public Optional<BeamPlacer> woundUp(Frame design, double track, double noseUp) {
        return Optional.of(placer(design, track, noseUp));
    }

    private BeamPlacer placer(Frame design, double track, double noseUp) {
        Leaf l = spring(Side.LEFT);
        Leaf r = spring(Side.RIGHT);
        double tilt = (l.tiltPerRise() + r.tiltPerRise()) / 2;
        return new HeldBeam(
                        design,
                        track,
                        (s, beam, windUp) -> {
                            HeldBeam.link(s, beam, BeamPart.LEFT_SPRING, new Link(l.pivot(), l.seat()));
                            HeldBeam.link(s, beam, BeamPart.RIGHT_SPRING, new Link(r.pivot(), r.seat()));
                            // Nose up is left-handed about the vehicle's left.
                            s.drivenSquare(Vector.X, Vector.Y.direction(), windUp, beam, Vector.Z);
                            sideways.hold(s, beam, l.seat().midwayTo(r.seat()));
                        },
                        (up, upRight) -> -tilt * (up + upRight) / 2 - noseUp)
                .checked("The leaf springs leave the axle free to turn: spread them apart.");
    }

    @Override
    public List<BeamPoint> points() {
        List<BeamPoint> all = new ArrayList<>(List.of(
                new BeamPoint(BeamPoint.Which.LEFT_EYE, left.eye(), p -> withLeft(left.withEye(p))),
                new BeamPoint(BeamPoint.Which.LEFT_SEAT, left.seat(), p -> withLeft(left.withSeat(p))),
                new BeamPoint(BeamPoint.Which.LEFT_SHACKLE, left.shackle(), p -> withLeft(left.withShackle(p)))));
        ownRight.ifPresent(r -> all.addAll(List.of(
                new BeamPoint(BeamPoint.Which.RIGHT_EYE, r.eye(), p -> withRight(r.withEye(p))),
                new BeamPoint(BeamPoint.Which.RIGHT_SEAT, r.seat(), p -> withRight(r.withSeat(p))),
                new BeamPoint(BeamPoint.Which.RIGHT_SHACKLE, r.shackle(), p -> withRight(r.withShackle(p))))));
        all.addAll(sideways.points(this::withSideways));
        return all;
    }

    private LeafSprung withRight(Leaf r) {
        return withOwnRight(Optional.of(r));
    }

    @Override
    public List<Bar> bars() {
        List<Bar> all = new ArrayList<>();
        for (Side side : Side.values()) {
            Leaf s = spring(side);
            all.add(new Bar(
                    side == Side.LEFT ? BeamPart.LEFT_SPRING : BeamPart.RIGHT_SPRING,
                    s.eye(),
                    s.seat(),
                    List.of(s.shackle())));
        }
        all.addAll(sideways.bars());
        return all;
    }

    @Override
    public LeafSprung withSideways(Sideways by) {
        return LeafSprungBuilder.With.super.withSideways(by);
    }
}
