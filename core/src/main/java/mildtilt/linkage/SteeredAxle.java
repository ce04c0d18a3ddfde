package mildtilt.linkage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import mildtilt.gear.ArmGear;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Placing;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.BeamPart;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.suspension.Kingpin;
import mildtilt.withers.Withers;

/**
 * The gear, the linkage and the two corners it turns.
 *
 * @param statedGearOn what the gear's housing is bolted to; empty where nobody has said, which counts as the frame
 * @param statedRelayOn what the pivot of a bell crank or relay arm, or a shuttle's bar, is bolted to; empty if it is
 *     what the gear is on
 * @param beam the axle beam that carries both kingpins; empty for wheels that travel on their own, and for
 *     kingpins fixed to the frame
 * @param ownRight the right corner where it differs; empty if it is the mirror image of the left
 * @param barTilts what is known of how far the ends of the beam's bars may tilt
 */
@Withers
public record SteeredAxle(
        Gear gear,
        Linkage linkage,
        Optional<MountedOn> statedGearOn,
        Optional<MountedOn> statedRelayOn,
        Optional<Beam> beam,
        Corner left,
        Optional<Corner> ownRight,
        List<BarTilt> barTilts)
        implements SteeredAxleBuilder.With {

    private static void check(Optional<Beam> beam, List<BarTilt> tilts) {
        List<BeamPart> parts =
                beam.stream().flatMap(b -> b.bars().stream()).map(Bar::part).toList();
        for (BarTilt t : tilts) {
            if (!parts.contains(t.part()) || !BarTilt.tilts(t.part(), t.onAxle())) {
                throw new ImpossibleGeometryException(
                        "This axle has no end of a bar that tilts at: " + t.label() + ". Leave its tilt out.");
            }
            if (tilts.stream()
                            .filter(o -> o.part() == t.part() && o.onAxle() == t.onAxle())
                            .count()
                    > 1) {
                throw new ImpossibleGeometryException("The tilt of one end is given twice: " + t.label() + ".");
            }
        }
    }

    static final String ONE_KINGPIN = "Either both wheels turn on kingpins or neither does.";

    /** @throws ImpossibleGeometryException if a wheel stands on the wrong side, or the parts do not go together */
    public SteeredAxle {
        if (!(left.knuckle().wheelCentre().y() > 0)) {
            throw new ImpossibleGeometryException("The left wheel centre must lie on the left (y above 0).");
        }
        if (ownRight.isPresent() && !(ownRight.get().knuckle().wheelCentre().y() < 0)) {
            throw new ImpossibleGeometryException("The right wheel centre must lie on the right (y below 0).");
        }
        boolean leftPin = left.suspension() instanceof Kingpin;
        boolean rightPin = ownRight.map(r -> r.suspension() instanceof Kingpin).orElse(leftPin);
        if (leftPin != rightPin) {
            throw new ImpossibleGeometryException(ONE_KINGPIN);
        }
        if (beam.isPresent() && !leftPin) {
            throw new ImpossibleGeometryException("A beam axle carries kingpins: give both corners a kingpin.");
        }
        barTilts = List.copyOf(barTilts);
        check(beam, barTilts);
        linkage.mustSuit(gear, leftPin);
        if (statedRelayOn.isPresent() && !linkage.relayOnItsOwn()) {
            throw new ImpossibleGeometryException("This linkage (" + linkage.label()
                    + ") has nothing between gear and tie rods that could be bolted to something else than the gear; "
                    + "only a bell crank, a shuttle and a relay arm have.");
        }
        if (beam.isEmpty()
                && Stream.of(statedGearOn, statedRelayOn)
                        .flatMap(Optional::stream)
                        .anyMatch(on -> on == MountedOn.AXLE)) {
            throw new ImpossibleGeometryException(
                    "Steering parts can be bolted to the axle only where there is an axle beam; say what beam it is, or "
                            + "bolt them to the frame.");
        }
        if (statedGearOn.equals(Optional.of(MountedOn.AXLE)) && gear instanceof ColumnArm) {
            throw new ImpossibleGeometryException(
                    "An arm on the column itself goes with the column, not with the axle: bolt it to the frame.");
        }
    }

    /** With the gear on the frame, and all that stands between it and the tie rods. */
    public SteeredAxle(Gear gear, Linkage linkage, Optional<Beam> beam, Corner left, Optional<Corner> ownRight) {
        this(gear, linkage, Optional.empty(), Optional.empty(), beam, left, ownRight, List.of());
    }

    public MountedOn gearOn() {
        return statedGearOn.orElse(MountedOn.FRAME);
    }

    /** What bell crank, relay arm or shuttle is bolted to, or whatever else stands on the body the gear stands on. */
    public MountedOn relayOn() {
        return statedRelayOn.orElseGet(this::gearOn);
    }

    /** Whether a column has to follow the axle. */
    public boolean gearOnAxle() {
        return gearOn() == MountedOn.AXLE;
    }

    /** A rack with a tie rod to each steering arm. */
    public static SteeredAxle rack(RackAndPinion rack, Corner left, Optional<Corner> ownRight) {
        return new SteeredAxle(rack, new RackTieRods(), Optional.empty(), left, ownRight);
    }

    public Corner corner(Side side) {
        return side == Side.LEFT ? left : ownRight.orElseGet(left::mirrored);
    }

    /** Every rod there is, from the gear outward. */
    public List<Rod> rods() {
        List<Rod> all = new ArrayList<>(linkage.drivenRods());
        all.addAll(oneTieRod() ? List.of(Rod.TIE_ROD) : List.of(Rod.LEFT_TIE_ROD, Rod.RIGHT_TIE_ROD));
        return all;
    }

    /** Both ends of a rod and what it is made of; empty for a centre link, whose ends turn on its arms. */
    public Optional<RodEnds> rodEnds(Rod rod) {
        return switch (rod) {
            case LEFT_TIE_ROD, TIE_ROD -> Optional.of(left.rodEnds());
            case RIGHT_TIE_ROD -> Optional.of(corner(Side.RIGHT).rodEnds());
            case CENTRE_LINK -> Optional.empty();
            case INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK -> linkage.drivenEnds(rod);
        };
    }

    /** Where an end of a rod is, the outer or the inner one. */
    public RodEnd rodEnd(Rod rod, boolean outer) {
        return switch (rod) {
            case LEFT_TIE_ROD -> outer ? RodEnd.LEFT_OUTER : RodEnd.LEFT_INNER;
            case RIGHT_TIE_ROD -> outer ? RodEnd.RIGHT_OUTER : RodEnd.RIGHT_INNER;
            case TIE_ROD -> outer ? RodEnd.TIE_LEFT : RodEnd.TIE_RIGHT;
            case CENTRE_LINK -> outer ? RodEnd.LINK_IDLER : RodEnd.LINK_PITMAN;
            case INTERMEDIATE_LINK -> outer ? RodEnd.INTERMEDIATE_RELAY : RodEnd.INTERMEDIATE_PITMAN;
            case DRAG_LINK ->
                outer
                        ? dragLinkSide()
                                .map(s -> s == Side.LEFT ? RodEnd.DRAG_LEFT : RodEnd.DRAG_RIGHT)
                                .orElse(RodEnd.DRAG_ON_TIE_ROD)
                        : linkage.relay().isPresent() ? RodEnd.DRAG_RELAY : RodEnd.DRAG_PITMAN;
            case DRAG_ROD -> outer ? RodEnd.ROD_CRANK : RodEnd.ROD_SHAFT_ARM;
            case SHORT_LINK -> outer ? RodEnd.SHORT_SHUTTLE : RodEnd.SHORT_PITMAN;
        };
    }

    /** A rod's ends changed; a rod without any, or that is not there, stays as it is. */
    public SteeredAxle editRodEnds(Rod rod, UnaryOperator<RodEnds> edit) {
        return switch (rod) {
            case LEFT_TIE_ROD, TIE_ROD -> withCorner(Side.LEFT, left.withRodEnds(edit.apply(left.rodEnds())));
            case RIGHT_TIE_ROD ->
                withCorner(
                        Side.RIGHT,
                        corner(Side.RIGHT)
                                .withRodEnds(edit.apply(corner(Side.RIGHT).rodEnds())));
            case CENTRE_LINK -> this;
            case INTERMEDIATE_LINK, DRAG_LINK, DRAG_ROD, SHORT_LINK ->
                linkage.drivenEnds(rod)
                        .map(e -> withLinkage(linkage.withDrivenEnds(rod, edit.apply(e))))
                        .orElse(this);
        };
    }

    /** Both wheel centres apart across the vehicle, mm. */
    public double track() {
        return left.knuckle().wheelCentre().y()
                - corner(Side.RIGHT).knuckle().wheelCentre().y();
    }

    public WheelTravel wheelTravel() {
        if (beam.isEmpty()) {
            return left.suspension() instanceof Kingpin ? WheelTravel.NONE : WheelTravel.FREE;
        }
        return beam.get() instanceof Beam.CentrePin ? WheelTravel.ROLL_ONLY : WheelTravel.FREE;
    }

    /** The frame that beam and kingpins are given in: midway between the wheel centres, square to the vehicle. */
    public Frame beamDesign() {
        Point middle = left.knuckle()
                .wheelCentre()
                .midwayTo(corner(Side.RIGHT).knuckle().wheelCentre());
        return new Frame(middle, Vector.X, Vector.Y, Vector.Z);
    }

    /** One tie rod joins both knuckles, instead of one from each to something between. */
    public boolean oneTieRod() {
        return linkage instanceof DragLink;
    }

    /** A tie rod's inner end, straight ahead; empty where one rod joins both knuckles. */
    public Optional<Point> innerEnd(Side side) {
        return linkage.inner(gear, side);
    }

    /** The gear, if it is a rack. */
    public Optional<RackAndPinion> rack() {
        return gear instanceof RackAndPinion r ? Optional.of(r) : Optional.empty();
    }

    /** The gear, if it has an arm. */
    public Optional<ArmGear> armGear() {
        return gear instanceof ArmGear g ? Optional.of(g) : Optional.empty();
    }

    /** The rack changed; any other gear stays as it is. */
    public SteeredAxle editRack(UnaryOperator<RackAndPinion> edit) {
        return rack().map(r -> withGear(edit.apply(r))).orElse(this);
    }

    /** A gear with an arm changed; a rack stays as it is. */
    public SteeredAxle editArmGear(UnaryOperator<ArmGear> edit) {
        return armGear().map(g -> withGear(edit.apply(g))).orElse(this);
    }

    /** The gear moved, with all that stands on the body between it and the rods: idler, bell crank, shuttle bar. */
    public SteeredAxle withGearMoved(Vector by) {
        return withGearPlaced(Placing.moved(by));
    }

    /** The gear put elsewhere, with all that stands on the body between it and the rods. */
    public SteeredAxle withGearPlaced(Placing placing) {
        return withGear(gear.placed(placing)).withLinkage(linkage.placed(gear, placing));
    }

    /**
     * With a gear that drives the other way. Holes in an arm on the column go to the other side of its shaft with it.
     */
    public SteeredAxle withGearReversed() {
        SteeredAxle reversed = withGear(gear.reversed());
        return gear instanceof ColumnArm c && linkage instanceof ArmTieRods r
                ? reversed.withLinkage(r.onOtherSide(c))
                : reversed;
    }

    /** The knuckle that a drag link drives, if one does. */
    public Optional<Side> dragLinkSide() {
        return linkage instanceof DragLink d && d.attachment() instanceof DragLink.Attachment.OnKnuckle k
                ? Optional.of(k.side())
                : Optional.empty();
    }

    /** The drag link's end on what it drives farther up; the same without a drag link. @param up mm */
    public SteeredAxle withDrivenEndRaised(double up) {
        return linkage.points(this).stream()
                .filter(p -> p.which() == LinkagePoint.Which.DRIVEN)
                .findFirst()
                .map(p -> p.moved().apply(p.at().plus(new Vector(0, 0, up))))
                .orElse(this);
    }

    public SteeredAxle withBeam(Beam b) {
        return withBeam(Optional.of(b));
    }

    /** On another beam or none; what was given of bars that it then has not goes. */
    @Override
    public SteeredAxle withBeam(Optional<Beam> b) {
        return new SteeredAxle(
                gear,
                linkage,
                statedGearOn,
                statedRelayOn,
                b,
                left,
                ownRight,
                b.map(x -> BarTilt.those(barTilts, x)).orElse(List.of()));
    }

    public Optional<BarTilt> barTilt(BeamPart part, boolean onAxle) {
        return barTilts.stream()
                .filter(t -> t.part() == part && t.onAxle() == onAxle)
                .findFirst();
    }

    /** With what is known of one end of a bar; empty where that is nothing. */
    public SteeredAxle withBarTilt(BeamPart part, boolean onAxle, Optional<BarTilt> now) {
        return withBarTilts(
                Stream.concat(barTilts.stream().filter(t -> t.part() != part || t.onAxle() != onAxle), now.stream())
                        .toList());
    }

    /** One corner changed; where the right is the mirror of the left, both are. */
    public SteeredAxle withCorner(Side side, Corner corner) {
        if (ownRight.isEmpty()) {
            return withLeft(side == Side.LEFT ? corner : corner.mirrored());
        }
        return side == Side.LEFT ? withLeft(corner) : withOwnRight(Optional.of(corner));
    }
}
