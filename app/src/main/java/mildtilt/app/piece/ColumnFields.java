package mildtilt.app.piece;

import static mildtilt.app.piece.PieceField.angle;
import static mildtilt.app.piece.PieceField.length;
import static mildtilt.app.piece.PieceField.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.piece.PieceField.Measure;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.ForkFit;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Hold;
import mildtilt.column.SteeringWheel;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.routing.JointBend;

/** The sizes and choices of each element of the column. */
final class ColumnFields {

    private static final String TAKE_OFF = "From the joint centre to the face the shaft enters.";
    private static final String ENGAGEMENT = "How far the shaft goes in past that face.";
    private static final Slide USUAL_SLIDE = new Slide(80, 50, 40);
    private static final List<JointKind> KINDS = List.of(new JointKind.Single(), new JointKind.Double(false), new JointKind.Double(true), new JointKind.Coupling());

    private final Column c;

    ColumnFields(Column c) {
        this.c = c;
    }

    /** Sizes to type; none for an element that is not the column's. */
    List<PieceField> of(Element element) {
        return switch (element) {
            case Element.Wheel _ -> wheel();
            case Element.ShaftAt s -> shaft(s.index());
            case Element.JointAt j -> joint(j.index());
            case Element.Tube _ -> c.tube().map(this::tube).orElse(List.of());
            case Element.BearingAt b -> bearing(b.index());
            case Element.GearElement _, Element.GearArm _, Element.DrivenRod _, Element.Relay _, Element.TieRods _,
                    Element.SteeringArms _, Element.Knuckles _, Element.BeamElement _, Element.Tyres _, Element.InTheWay _, Element.AtTheWheel _ -> List.of();
        };
    }

    /** The job with an element renamed, for one whose name is the user's own. */
    static Optional<BiFunction<Job, String, Job>> rename(Element element) {
        return switch (element) {
            case Element.ShaftAt s -> Optional.of((j, n) -> shaft(j, s.index(), x -> x.withName(n)));
            case Element.JointAt i -> Optional.of((j, n) -> joint(j, i.index(), x -> x.withName(n)));
            case Element.InTheWay i -> Optional.of((j, n) -> j.editSurroundings(x -> x.edit(i.index(), o -> o.withName(n))));
            case Element.BearingAt b -> Optional.of((j, n) -> bearing(j, b.index(), x -> x.withName(n)));
            case Element.Wheel _, Element.Tube _, Element.GearElement _, Element.GearArm _, Element.DrivenRod _, Element.Relay _, Element.TieRods _,
                    Element.SteeringArms _, Element.Knuckles _, Element.BeamElement _, Element.Tyres _, Element.AtTheWheel _ -> Optional.empty();
        };
    }

    /** What is chosen from a few; none for an element that is not the column's. */
    List<PieceChoice> choices(Element element) {
        return switch (element) {
            case Element.Wheel _ -> {
                List<PieceChoice> all = new ArrayList<>(socketChoices("", c.wheel().fit(), c.shafts().getFirst().diameter(), (j, f) -> wheel(j, w -> w.withFit(f))));
                all.add(axisChoice("Column is", c.installation().columnAxis(), c.axis(0), (j, d) -> installation(j, i -> i.withColumnAxis(d))));
                yield all;
            }
            case Element.ShaftAt s -> shaftChoices(s.index());
            case Element.JointAt j -> jointChoices(j.index());
            case Element.BearingAt b -> bearingChoices(b.index());
            case Element.Tube _, Element.GearElement _, Element.GearArm _, Element.DrivenRod _, Element.Relay _, Element.TieRods _,
                    Element.SteeringArms _, Element.Knuckles _, Element.BeamElement _, Element.Tyres _, Element.InTheWay _, Element.AtTheWheel _ -> List.of();
        };
    }

    private static Job wheel(Job job, UnaryOperator<SteeringWheel> edit) {
        return job.editColumn(k -> k.withWheel(edit.apply(k.wheel())));
    }

    private static Job adjustment(Job job, UnaryOperator<Adjustment> edit) {
        return wheel(job, w -> w.withAdjustment(edit.apply(w.adjustment())));
    }

    private static Job installation(Job job, UnaryOperator<Installation> edit) {
        return job.editColumn(k -> k.withInstallation(edit.apply(k.installation())));
    }

    private List<PieceField> wheel() {
        Adjustment a = c.wheel().adjustment();
        List<PieceField> all = new ArrayList<>(List.of(
                length("Rim diameter", c.wheel().diameter(), (j, v) -> wheel(j, w -> w.withDiameter(v))),
                angle("First fork, straight ahead", c.firstForkDeg(), (j, v) -> j.editColumn(k -> k.withFirstForkDeg(v)))
                        .meaning("Where the first fork's pin stands, from square to the plane of the first two shafts."),
                angle("Tilt up", a.tiltUpDeg(), (j, v) -> adjustment(j, x -> x.withTilt(v, x.tiltDownDeg())))
                        .meaning("How far the driver can lift the wheel from where it is planned."),
                angle("Tilt down", a.tiltDownDeg(), (j, v) -> adjustment(j, x -> x.withTilt(x.tiltUpDeg(), v))),
                PieceField.optional("Tilt pivot, from hub", Measure.LENGTH, a.pivot(), (j, v) -> adjustment(j, x -> x.withPivot(v)))
                        .meaning("Along the first shaft; none where the wheel tilts about the first joint."),
                length("Reach in", a.reachIn(), (j, v) -> adjustment(j, x -> x.withReach(v, x.reachOut()))).meaning("Toward the gear, from where it is planned."),
                length("Reach out", a.reachOut(), (j, v) -> adjustment(j, x -> x.withReach(x.reachIn(), v))).meaning("Toward the driver."),
                length("Frame moves", c.installation().frameMovement(), (j, v) -> installation(j, i -> i.withFrameMovement(v)))
                        .meaning("How far the frame, with gear and lower joints, moves against the body that carries the column, any way."),
                PieceField.optional("Bulkhead at x", Measure.LENGTH, c.installation().bulkhead(), (j, v) -> installation(j, i -> i.withBulkhead(v)))
                        .meaning("Between cabin and front; none where there is none.")));
        all.addAll(axis("Column", c.installation().columnAxis(), (j, d) -> installation(j, i -> i.withColumnAxis(Optional.of(d)))));
        all.addAll(fit("hub", c.wheel().fit(), (j, f) -> wheel(j, w -> w.withFit(f))));
        return all;
    }

    private List<PieceField> tube(ColumnTube t) {
        return List.of(
                length("Outside diameter", t.outside(), (j, v) -> tube(j, x -> x.withOutside(v))),
                length("Upper bearing, from hub", t.from(), (j, v) -> tube(j, x -> x.withFrom(v))),
                length("Lower bearing, from hub", t.to(), (j, v) -> tube(j, x -> x.withTo(v))),
                length("Collapses by", t.collapse(), (j, v) -> tube(j, x -> x.withCollapse(v))).meaning("How far a blow can push the column together; 0 for one that can't."),
                length("Stands out beyond the bearings", t.beyond(), (j, v) -> tube(j, x -> x.withBeyond(v))).meaning("At each end, from the middle of the bearing to the end of the tube: what the saw has to leave."));
    }

    private static Job tube(Job job, UnaryOperator<ColumnTube> edit) {
        return job.editColumn(k -> k.withTube(k.tube().map(edit)));
    }

    private static Job shaft(Job job, int index, UnaryOperator<Shaft> edit) {
        return job.editColumn(k -> k.editShaft(index, edit));
    }

    private List<PieceField> shaft(int index) {
        Shaft s = c.shafts().get(index);
        List<PieceField> all = new ArrayList<>();
        if (c.liesBetweenJoints(index)) {
            all.add(angle("Clocking, + clockwise", s.clockingDeg(), (j, v) -> shaft(j, index, x -> x.withClockingDeg(v)))
                    .meaning("From the wheel-end fork pin to the gear-end fork pin, + clockwise seen from the wheel end."));
            all.add(angle("Clocking at index", s.indexDeg(), (j, v) -> shaft(j, index, x -> x.withIndexDeg(v)))
                    .meaning("One clocking that splined, flatted or keyed ends allow as they are made; all others are whole steps from it."));
        }
        all.addAll(SeatForm.sizes("", s.profile(), true, (j, seat) -> shaft(j, index, x -> x.withProfile(seat))));
        all.add(length("Bore", s.bore(), (j, v) -> shaft(j, index, x -> x.withBore(v))).meaning("Inside of a tube; 0 for a solid shaft."));
        all.add(number("Yields at, MPa", s.yieldMpa(), (j, v) -> shaft(j, index, x -> x.withYieldMpa(v))));
        s.wheelEnd().ifPresent(e -> all.addAll(SeatForm.sizes(", wheel end", e, true,
                (j, seat) -> shaft(j, index, x -> x.withEnds(Optional.of(seat), x.gearEnd())))));
        s.gearEnd().ifPresent(e -> all.addAll(SeatForm.sizes(", gear end", e, true,
                (j, seat) -> shaft(j, index, x -> x.withEnds(x.wheelEnd(), Optional.of(seat))))));
        s.slide().ifPresent(slide -> {
            all.add(length("Overlap", slide.overlap(), (j, v) -> slide(j, index, x -> x.withOverlap(v))).meaning("How far one part stands in the other, as planned."));
            all.add(length("Least overlap", slide.leastOverlap(), (j, v) -> slide(j, index, x -> x.withLeastOverlap(v))).meaning("Below which it must never come."));
            all.add(length("Closes by", slide.closes(), (j, v) -> slide(j, index, x -> x.withCloses(v))).meaning("How far it can be pushed together before it bottoms."));
        });
        if (index == c.joints().size()) {
            all.addAll(axis("Gear input", c.gear().axis(), (j, d) -> j.editColumn(k -> k.withGear(k.gear().withAxis(Optional.of(d))))));
            all.addAll(fit("gear", c.gear().fit(), (j, f) -> j.editColumn(k -> k.withGear(k.gear().withFit(f)))));
        }
        return all;
    }

    /** An axis as measured where it is bolted down; nothing where it is free. */
    private static List<PieceField> axis(String whose, Optional<Direction> axis, BiFunction<Job, Direction, Job> set) {
        return axis.map(d -> List.of(
                angle(whose + " slopes down", d.downDeg(), (j, v) -> set.apply(j, Direction.ofSlope(v, d.leftDeg())))
                        .meaning("With an angle finder on the shaft, against level, going forward."),
                angle(whose + " points left", d.leftDeg(), (j, v) -> set.apply(j, Direction.ofSlope(d.downDeg(), v)))
                        .meaning("In plan, from straight forward; − to the right."))).orElse(List.of());
    }

    private static PieceChoice axisChoice(String label, Optional<Direction> axis, Direction drawn, BiFunction<Job, Optional<Direction>, Job> set) {
        return PieceChoice.yesNo(label, "free to be set", "bolted down", axis.isEmpty(), (j, free) -> set.apply(j, free ? Optional.empty() : Optional.of(drawn)))
                .meaning("Bolted down, its axis is kept as measured, and joints that stand off it are told.");
    }

    private static Job slide(Job job, int index, UnaryOperator<Slide> edit) {
        return shaft(job, index, s -> s.withSlide(s.slide().map(edit)));
    }

    private List<PieceChoice> shaftChoices(int index) {
        Shaft s = c.shafts().get(index);
        List<PieceChoice> all = new ArrayList<>();
        all.add(SeatForm.choice("Form", Optional.of(s.profile()), "", s.diameter(), (j, f) -> shaft(j, index, x -> x.withProfile(f.orElseThrow()))));
        all.add(SeatForm.choice("Wheel end", s.wheelEnd(), "as the shaft", s.diameter(), (j, f) -> shaft(j, index, x -> x.withEnds(f, x.gearEnd()))));
        all.add(SeatForm.choice("Gear end", s.gearEnd(), "as the shaft", s.diameter(), (j, f) -> shaft(j, index, x -> x.withEnds(x.wheelEnd(), f))));
        all.add(PieceChoice.yesNo("Length", "rigid", "sliding", s.slide().isEmpty(),
                (j, rigid) -> shaft(j, index, x -> x.withSlide(rigid ? Optional.empty() : Optional.of(USUAL_SLIDE)))));
        all.add(PieceChoice.yesNo("Made", "cut to length", "used as it comes", s.toCut(), (j, cut) -> shaft(j, index, x -> x.withToCut(cut))));
        if (c.liesBetweenJoints(index)) {
            all.add(PieceChoice.yesNo("Forks", "can be clocked", "on for good", !s.forksFixed(), (j, free) -> shaft(j, index, x -> x.withForksFixed(!free))));
        }
        if (index == c.joints().size()) {
            all.add(axisChoice("Gear is", c.gear().axis(), c.axis(index), (j, d) -> j.editColumn(k -> k.withGear(k.gear().withAxis(d)))));
            all.addAll(socketChoices(", gear", c.gear().fit(), s.diameter(), (j, f) -> j.editColumn(k -> k.withGear(k.gear().withFit(f)))));
        }
        all.add(typical(s.typical(), (j, t) -> shaft(j, index, x -> x.withTypical(t))));
        return all;
    }

    private static PieceChoice typical(boolean is, BiFunction<Job, Boolean, Job> set) {
        return PieceChoice.yesNo("Sizes are", "typical", "measured", is, set)
                .meaning("Typical sizes come from a catalogue. Measure the part in your hand, type what differs, then say measured.");
    }

    private static Job joint(Job job, int index, UnaryOperator<Joint> edit) {
        return job.editColumn(k -> k.editJoint(index, edit));
    }

    private List<PieceField> joint(int index) {
        Joint joint = c.joints().get(index);
        List<PieceField> all = new ArrayList<>(List.of(
                angle("Angle it stands at", Math.toDegrees(c.axis(index).angleTo(c.axis(index + 1))), (j, v) -> j.editColumn(k -> JointBend.withAngle(k, index, v)))
                        .meaning("Its operating angle. Typed, the joint moves square to the line between its neighbours until it stands so."),
                angle("Largest angle allowed", joint.maxAngleDeg(), (j, v) -> joint(j, index, x -> x.withMaxAngleDeg(v)))));
        all.addAll(fit("wheel side", joint.wheelSide(), (j, f) -> joint(j, index, x -> x.withFits(f, x.gearSide()))));
        all.addAll(fit("gear side", joint.gearSide(), (j, f) -> joint(j, index, x -> x.withFits(x.wheelSide(), f))));
        all.add(PieceField.optional("Torque allowed, N·m", Measure.NUMBER, joint.torqueNm(), (j, v) -> joint(j, index, x -> x.withTorqueNm(v)))
                .meaning("By its maker; none if not known."));
        all.add(PieceField.optional("Swing diameter", Measure.LENGTH, joint.swingDiameter(), (j, v) -> joint(j, index, x -> x.withSwingDiameter(v)))
                .meaning("Of the circle that its ears and screws sweep."));
        return all;
    }

    private static List<PieceField> fit(String where, ForkFit fit, BiFunction<Job, ForkFit, Job> set) {
        List<PieceField> all = new ArrayList<>(List.of(
                length("Take-off, " + where, fit.takeOff(), (j, v) -> set.apply(j, fit.withTakeOff(v))).meaning(TAKE_OFF),
                length("Engagement, " + where, fit.engagement(), (j, v) -> set.apply(j, fit.withEngagement(v))).meaning(ENGAGEMENT)));
        fit.socket().ifPresent(s -> all.addAll(SeatForm.sizes(", " + where + " bore", s.seat(), true, (j, seat) -> set.apply(j, fit.withSocket(s.withSeat(seat))))));
        return all;
    }

    private static List<PieceChoice> socketChoices(String where, ForkFit fit, double diameter, BiFunction<Job, ForkFit, Job> set) {
        List<PieceChoice> all = new ArrayList<>();
        Hold hold = fit.socket().map(Socket::hold).orElse(Hold.PINCH_BOLT);
        all.add(SeatForm.choice("Bore" + where, fit.socket().map(Socket::seat), "not known", diameter, (j, seat) ->
                set.apply(j, new ForkFit(fit.takeOff(), fit.engagement(), seat.map(s -> new Socket(s, hold))))));
        fit.socket().ifPresent(s -> all.add(PieceChoice.of("Kept by" + where, Hold.values(), Hold::label, s.hold(),
                (j, h) -> set.apply(j, fit.withSocket(s.withHold(h))))));
        return all;
    }

    private List<PieceChoice> jointChoices(int index) {
        Joint joint = c.joints().get(index);
        List<PieceChoice> all = new ArrayList<>();
        all.add(new PieceChoice("Kind", "", KINDS.stream().map(JointKind::label).toList(), KINDS.indexOf(joint.kind()),
                (j, i) -> joint(j, index, x -> x.withKind(KINDS.get(i)).withMaxAngleDeg(KINDS.get(i).usualLimitDeg()))));
        all.addAll(socketChoices(", wheel side", joint.wheelSide(), c.shafts().get(index).gearEndSeat().diameter(),
                (j, f) -> joint(j, index, x -> x.withFits(f, x.gearSide()))));
        all.addAll(socketChoices(", gear side", joint.gearSide(), c.shafts().get(index + 1).wheelEndSeat().diameter(),
                (j, f) -> joint(j, index, x -> x.withFits(x.wheelSide(), f))));
        all.add(typical(joint.typical(), (j, t) -> joint(j, index, x -> x.withTypical(t))));
        return all;
    }

    private static Job bearing(Job job, int index, UnaryOperator<Bearing> edit) {
        return job.editColumn(k -> k.editBearing(index, edit));
    }

    private List<PieceField> bearing(int index) {
        Bearing b = c.bearings().get(index);
        return List.of(
                length("Along the shaft", b.along(), (j, v) -> bearing(j, index, x -> x.on(x.shaft(), within(v, c.length(x.shaft())))))
                        .meaning("From the shaft's wheel-end centre to the bearing's middle."),
                length("Bore", b.bore(), (j, v) -> bearing(j, index, x -> x.withBore(v))),
                length("Measured off, to the left", b.offAcross(), (j, v) -> bearing(j, index, x -> x.withOff(v, x.offUp())))
                        .meaning("How far its middle was found to the left of the shaft's line; − to the right."),
                length("Measured off, up", b.offUp(), (j, v) -> bearing(j, index, x -> x.withOff(x.offAcross(), v)))
                        .meaning("How far its middle was found above the shaft's line, square to it; − below."));
    }

    private static double within(double along, double length) {
        if (along < 0 || along > length) {
            throw new ImpossibleGeometryException("A bearing sits on its shaft: from 0 to the shaft's length.");
        }
        return along;
    }

    private List<PieceChoice> bearingChoices(int index) {
        Bearing b = c.bearings().get(index);
        return List.of(
                PieceChoice.of("Kind", Bearing.Kind.values(), Bearing.Kind::label, b.kind(), (j, k) -> bearing(j, index, x -> x.withKind(k))),
                PieceChoice.of("Fixed to", Bearing.Mount.values(), Bearing.Mount::label, b.mount(), (j, m) -> bearing(j, index, x -> x.withMount(m))),
                typical(b.typical(), (j, t) -> bearing(j, index, x -> x.withTypical(t))));
    }
}
