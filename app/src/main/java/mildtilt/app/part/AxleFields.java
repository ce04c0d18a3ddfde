package mildtilt.app.part;

import static mildtilt.app.forms.SizeField.length;
import static mildtilt.app.forms.SizeField.optional;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.forms.ChoiceField;
import mildtilt.app.forms.PartFields;
import mildtilt.app.forms.SizeField;
import mildtilt.arms.KnuckleChange;
import mildtilt.arms.KnuckleEdits;
import mildtilt.describe.JobPlace;
import mildtilt.describe.Ranges;
import mildtilt.gear.ArmGear;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.gear.WormAndRoller;
import mildtilt.geometry.Side;
import mildtilt.id.Id;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.job.Vehicle;
import mildtilt.linkage.ArmTieRods;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.Linkage;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.ShuttleBar;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.BarTilt;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.BeamKind;
import mildtilt.linkage.beam.SidewaysKind;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.corner.JointTilt;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.parts.AxleParts;
import mildtilt.parts.PlanParts;
import mildtilt.suspension.CornerPoint;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;

/** Which sizes, points apart, each element from the gear to the tyres has to type. */
final class AxleFields {

    private static final JobPlace AXLE = JobPlace.WHOLE.in("axle");
    private static final JobPlace LINKAGE = AXLE.in("linkage");

    private AxleFields() {}

    static List<SizeField> of(Job job, Element element) {
        SteeredAxle axle = job.axle().orElseThrow();
        return switch (element) {
            case Element.GearElement _ ->
                PartFields.of(
                        AXLE.in("gear"),
                        AxleParts.GEAR,
                        axle.gear(),
                        "",
                        (j, change) -> j.editAxle(a -> a.withGear(change.apply(a.gear()))));
            case Element.GearArm _ ->
                axle.armGear()
                        .map(ArmGear::armLength)
                        .map(now -> List.of(length(
                                "gear-arm-length",
                                "Arm length",
                                now,
                                (j, v) -> KnuckleEdits.scaledGearArm(j, v / now))))
                        .orElse(List.of());
            case Element.DrivenRod _ -> drivenRod(axle);
            case Element.Relay _ -> relay(axle.linkage());
            case Element.TieRods _ -> tieRods(axle);
            case Element.SteeringArms _ -> arms(axle);
            case Element.Knuckles _ -> knuckles(axle);
            case Element.BeamElement _ -> beam(axle);
            case Element.Tyres _ -> tyres(job.vehicle());
            case Element.Wheel _,
                    Element.ShaftAt _,
                    Element.JointAt _,
                    Element.Tube _,
                    Element.BearingAt _,
                    Element.InTheWay _,
                    Element.AtTheWheel _ -> List.of();
        };
    }

    /** What is chosen from a few: whether a box's ratio stays the same. */
    static List<ChoiceField> choices(SteeredAxle axle, Element element) {
        List<ChoiceField> all = new ArrayList<>();
        if (element instanceof Element.GearElement) {
            switch (axle.gear()) {
                case SteeringBox b ->
                    all.add(ratioChoice(
                            true,
                            new WormAndRoller(
                                    b.axis(),
                                    b.armEnd(),
                                    b.ratio(),
                                    b.ratio(),
                                    b.sweepEachWayDeg(),
                                    b.sweepEachWayDeg())));
                case WormAndRoller w ->
                    all.add(ratioChoice(false, new SteeringBox(w.axis(), w.armEnd(), w.ratio(), w.sweepEachWayDeg())));
                case RackAndPinion _, ColumnArm _ -> {}
            }
            if (axle.beam().isPresent() && !(axle.gear() instanceof ColumnArm)) {
                all.add(
                        mounted(
                                        AXLE.in("gear_on").id(),
                                        "Bolted to",
                                        "not said: the frame",
                                        axle.statedGearOn(),
                                        (a, on) -> a.withStatedGearOn(on))
                                .meaning(
                                        "A gear on the axle goes with it over the whole travel, and the column has to follow: a sliding shaft and two joints."));
            }
        }
        if (element instanceof Element.BeamElement) {
            axle.beam()
                    .ifPresent(
                            b -> all.add(
                                    ChoiceField.of(
                                                    AXLE.in("beam").in("kind").id(),
                                                    "Held by",
                                                    BeamKind.values(),
                                                    BeamKind::label,
                                                    BeamKind.of(b),
                                                    (j, kind) -> j.editAxle(a -> a.withBeam(
                                                            kind.usual(a.beamDesign(), a.track(), b.sideways()))))
                                            .meaning(
                                                    "What takes the axle fore and aft, sideways and in twist. Another one comes in usual sizes: move its points to where yours are.")));
            axle.beam().ifPresent(b -> {
                List<SidewaysKind> kinds = SidewaysKind.thatHold(b, axle.beamDesign(), axle.track());
                if (kinds.size() > 1) {
                    all.add(sideways(b, kinds));
                }
            });
        }
        if (element instanceof Element.DrivenRod && axle.linkage() instanceof DragLink d) {
            all.add(
                    ChoiceField.yesNo(
                                    LINKAGE.in("relay_arm").id(),
                                    "Drag link begins",
                                    "at the gear's arm",
                                    "on a relay arm",
                                    d.relayArm().isEmpty(),
                                    (j, direct) -> j.editAxle(a -> a.linkage() instanceof DragLink now
                                            ? a.withLinkage(
                                                    direct
                                                            ? now.withRelayArm(Optional.empty())
                                                            : now.withUsualRelayArm(a))
                                            : a))
                            .meaning(
                                    "A relay arm on its own pivot takes the movement of the gear's arm further. It comes half-way between both, in a usual size: move its points to where yours are."));
        }
        if (element instanceof Element.Knuckles) {
            for (Side side : sides(axle)) {
                splitLinks(axle, side).ifPresent(all::add);
                if (axle.corner(side).suspension() instanceof TrailingArms t) {
                    all.add(
                            ChoiceField.yesNo(
                                            AXLE.in(side.code())
                                                    .in("suspension")
                                                    .in("kingpin")
                                                    .id(),
                                            "Trailing arms end in" + of(axle, side),
                                            "ball joints",
                                            "link pins, with a kingpin between",
                                            t.kingpin().isEmpty(),
                                            (j, balls) -> withCorner(
                                                    j,
                                                    side,
                                                    c -> c.withSuspension(
                                                            balls
                                                                    ? t.withKingpin(Optional.empty())
                                                                    : t.withUsualKingpin(c.knuckle()
                                                                            .wheelCentre()))))
                                    .meaning(
                                            "With ball joints the wheel steers about the line through both. Link pins hold a carrier, and the wheel steers on the kingpin in it."));
                }
            }
        }
        if (element instanceof Element.Relay
                && axle.beam().isPresent()
                && axle.linkage().relayOnItsOwn()) {
            all.add(mounted(
                            AXLE.in("relay_on").id(),
                            "Bolted to",
                            "what the gear is on",
                            axle.statedRelayOn(),
                            (a, on) -> a.withStatedRelayOn(on))
                    .meaning(
                            "What the pivot of the bell crank or relay arm, or the bar of the shuttle, is bolted to."));
        }
        return all;
    }

    private static ChoiceField sideways(Beam beam, List<SidewaysKind> kinds) {
        return ChoiceField.of(
                        AXLE.in("beam").in("sideways").id(),
                        "Held sideways by",
                        kinds.toArray(SidewaysKind[]::new),
                        SidewaysKind::label,
                        SidewaysKind.of(beam.sideways()),
                        (j, kind) -> j.editAxle(a ->
                                a.withBeam(a.beam().orElseThrow().withSideways(kind.usual(a.beamDesign(), a.track())))))
                .meaning("With a track bar the axle swings sideways as it rises, and the drag link should swing with "
                        + "it. A Watt linkage takes it nearly straight up. It comes in usual sizes: move "
                        + "its points to where yours are.");
    }

    /** Whether an arm is one piece or two separate links. */
    private static Optional<ChoiceField> splitLinks(SteeredAxle axle, Side side) {
        Optional<Suspension> other =
                switch (axle.corner(side).suspension()) {
                    case DoubleWishbone w -> Optional.of(SplitLinks.of(w));
                    case Strut s -> Optional.of(SplitLinks.of(s));
                    case SplitLinks l -> Optional.of(l.withArms());
                    case TrailingArms _, SwingBeam _, Kingpin _ -> Optional.empty();
                };
        return other.map(
                o -> ChoiceField.yesNo(
                                AXLE.in(side.code()).in("suspension").in("kind").id(),
                                "Arms are" + of(axle, side),
                                "one piece, with a ball joint",
                                "separate links",
                                !(axle.corner(side).suspension() instanceof SplitLinks),
                                (j, _) -> withCorner(j, side, c -> c.withSuspension(o)))
                        .meaning(
                                "Where each of two links has a joint of its own at the knuckle, the wheel steers about no joint: the steer axis is found from all links and moves as the wheel turns. Both links begin in the arm's ball joint: move their joints to where yours are."));
    }

    private static ChoiceField mounted(
            String id,
            String label,
            String none,
            Optional<MountedOn> now,
            BiFunction<SteeredAxle, Optional<MountedOn>, SteeredAxle> set) {
        List<Optional<MountedOn>> all =
                List.of(Optional.empty(), Optional.of(MountedOn.FRAME), Optional.of(MountedOn.AXLE));
        return new ChoiceField(
                id,
                label,
                "",
                all.stream()
                        .map(m -> m.map(on -> "the " + on.label()).orElse(none))
                        .toList(),
                all.indexOf(now),
                (j, i) -> j.editAxle(a -> set.apply(a, all.get(i))));
    }

    private static ChoiceField ratioChoice(boolean same, Gear other) {
        return ChoiceField.yesNo(
                        "constant-ratio",
                        "Ratio of the box",
                        "the same all the way",
                        "changes with the swing",
                        same,
                        (j, _) -> j.editAxle(a -> a.withGear(other)))
                .meaning(
                        "A worm and roller is quicker or slower in the middle than near the locks. Turn its input and read the arm's swing in the middle and near an end.");
    }

    private static List<SizeField> drivenRod(SteeredAxle axle) {
        List<SizeField> all = PartFields.of(
                LINKAGE,
                AxleParts.LINKAGE,
                axle.linkage(),
                "",
                AxleFields::linkage,
                "slide",
                "pivot_axis",
                "travel_each_way_mm");
        switch (axle.linkage()) {
            case DragLink d -> {
                d.relayArm()
                        .ifPresent(r -> all.addAll(rodEnds(
                                LINKAGE.in("relay_arm").in("link_ends"),
                                r.linkEnds(),
                                ", link",
                                (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.INTERMEDIATE_LINK, e)))));
                all.addAll(rodEnds(
                        LINKAGE.in("ends"),
                        d.ends(),
                        d.relayArm().isPresent() ? ", drag link" : "",
                        (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.DRAG_LINK, e))));
            }
            case BellCrank b ->
                all.addAll(rodEnds(
                        LINKAGE.in("drag_rod_ends"),
                        b.dragRodEnds(),
                        "",
                        (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.DRAG_ROD, e))));
            case Shuttle s ->
                all.addAll(rodEnds(
                        LINKAGE.in("link_ends"),
                        s.linkEnds(),
                        "",
                        (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.SHORT_LINK, e))));
            case CentreLink _, RackTieRods _, ArmTieRods _ -> {}
        }
        return all;
    }

    private static List<SizeField> relay(Linkage linkage) {
        return switch (linkage) {
            case BellCrank _ -> PartFields.of(LINKAGE, AxleParts.LINKAGE, linkage, "", AxleFields::linkage);
            case Shuttle s -> {
                List<SizeField> all =
                        new ArrayList<>(PartFields.of(LINKAGE, AxleParts.LINKAGE, s, "", AxleFields::linkage));
                all.addAll(bushes(s));
                yield all;
            }
            case CentreLink _, RackTieRods _, ArmTieRods _, DragLink _ -> List.of();
        };
    }

    /** How far its bushes are apart; with it, how they rub. */
    private static List<SizeField> bushes(Shuttle s) {
        JobPlace bar = LINKAGE.in("bar");
        List<SizeField> all = new ArrayList<>();
        all.add(optional(
                        bar.in("bush_span_mm").id(),
                        "Bushes apart",
                        SizeField.Measure.LENGTH,
                        s.bar().map(ShuttleBar::span),
                        (j, v) -> j.editAxle(a -> a.linkage() instanceof Shuttle x
                                ? a.withLinkage(x.withBushSpan(
                                        v.map(mm -> PartFields.within(bar.in("bush_span_mm"), mm, Ranges.GEAR_TRAVEL))))
                                : a))
                .meaning("Middle to middle, or a long one's length. Without it jamming isn't judged."));
        s.bar()
                .ifPresent(b -> all.addAll(PartFields.of(
                        bar,
                        AxleParts.SHUTTLE_BAR,
                        b,
                        "",
                        (j, change) -> j.editAxle(a -> a.linkage() instanceof Shuttle x
                                ? a.withLinkage(x.withBar(x.bar().map(change)))
                                : a),
                        "bush_span_mm")));
        return all;
    }

    private static Job linkage(Job job, UnaryOperator<Linkage> change) {
        return job.editAxle(a -> a.withLinkage(change.apply(a.linkage())));
    }

    private static List<SizeField> tieRods(SteeredAxle axle) {
        List<SizeField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            all.addAll(rodEnds(
                    AXLE.in(side.code()).in("rod_ends"),
                    axle.corner(side).rodEnds(),
                    of(axle, side),
                    (j, e) -> withCorner(j, side, c -> c.withRodEnds(e.apply(c.rodEnds())))));
        }
        return all;
    }

    private static List<SizeField> rodEnds(JobPlace at, RodEnds ends, String of, PartFields.Edit<RodEnds> edit) {
        List<SizeField> all = PartFields.of(at, AxleParts.ROD_ENDS, ends, of, edit, "outer_bolt", "inner_bolt");
        RodTube tube = ends.tube().orElse(new RodTube(22, 3, 0, RodTube.USUAL_YIELD));
        all.add(optional(
                        at.in("tube").in("outside_mm").id(),
                        "Tube outside" + of,
                        SizeField.Measure.LENGTH,
                        ends.tube().map(RodTube::outside),
                        (j, v) -> edit.apply(
                                j,
                                e -> e.withTube(v.map(o ->
                                        new RodTube(o, Math.min(tube.wall(), o / 2), tube.crank(), tube.yield())))))
                .meaning("Steel tube. Without it no buckling can be worked out."));
        ends.tube()
                .ifPresent(t -> all.addAll(PartFields.of(
                        at.in("tube"),
                        AxleParts.ROD_TUBE,
                        t,
                        of,
                        (j, change) -> edit.apply(j, e -> e.withTube(e.tube().map(change))),
                        "outside_mm")));
        all.addAll(PartFields.of(at, AxleParts.ROD_ENDS, ends, of, edit, "allowed_deg", "play_mm"));
        return all;
    }

    private static SizeField arm(String id, String label, SteeredAxle axle, KnuckleArm arm) {
        double now = arm.length(axle);
        return length(id, label, now, (j, v) -> KnuckleEdits.changed(j, arm, new KnuckleChange(v - now, 0, 0, 0, 0)));
    }

    private static List<SizeField> arms(SteeredAxle axle) {
        List<SizeField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            all.add(arm("arm-length-" + side.code(), "Arm length" + of(axle, side), axle, KnuckleArm.steering(side))
                    .meaning("From the steer axis, square, to the tie rod's joint."));
        }
        axle.dragLinkSide()
                .ifPresent(
                        _ -> all.add(arm("arm-length-drag-link", "Drag-link arm's length", axle, KnuckleArm.DRAG_LINK)
                                .meaning("From the steer axis, square, to the drag link's joint.")));
        return all;
    }

    private static List<SizeField> knuckles(SteeredAxle axle) {
        List<SizeField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            all.addAll(PartFields.of(
                    AXLE.in(side.code()).in("limits"),
                    AxleParts.LIMITS,
                    axle.corner(side).limits(),
                    of(axle, side),
                    (j, change) -> withCorner(j, side, c -> c.withLimits(change.apply(c.limits())))));
        }
        for (Side side : sides(axle)) {
            JointTilt.joints(axle.corner(side).suspension()).forEach(at -> joint(all, axle, side, at));
        }
        return all;
    }

    private static List<SizeField> beam(SteeredAxle axle) {
        Beam beam = axle.beam().orElseThrow();
        List<SizeField> all = PartFields.of(
                AXLE.in("beam"),
                AxleParts.BEAM,
                beam,
                "",
                (j, change) -> j.editAxle(a -> a.withBeam(change.apply(a.beam().orElseThrow()))));
        for (Bar bar : beam.bars()) {
            for (boolean onAxle : new boolean[] {false, true}) {
                if (BarTilt.tilts(bar.part(), onAxle)) {
                    barEnd(all, axle, bar, onAxle);
                }
            }
        }
        return all;
    }

    /** The tilt that an end of a bar allows; with it, how its bolt lies. */
    private static void barEnd(List<SizeField> all, SteeredAxle axle, Bar bar, boolean onAxle) {
        JobPlace place = AXLE.in("bar_ends").in(Id.of(bar.part()).text()).in(onAxle ? "axle" : "frame");
        Optional<BarTilt> now = axle.barTilt(bar.part(), onAxle);
        all.add(mostTilt(
                place,
                BarTilt.label(bar.part(), onAxle),
                "",
                now.map(BarTilt::allowedDeg),
                (j, v) -> j.editAxle(a -> a.withBarTilt(bar.part(), onAxle, v.map(deg -> a.barTilt(bar.part(), onAxle)
                        .map(x -> x.withAllowedDeg(deg))
                        .orElseGet(() -> BarTilt.square(bar, onAxle, deg)))))));
        now.ifPresent(x -> all.addAll(PartFields.of(
                place,
                AxleParts.BAR_TILT,
                x,
                "",
                (j, change) -> j.editAxle(a -> a.withBarTilt(
                        bar.part(), onAxle, a.barTilt(bar.part(), onAxle).map(change))))));
    }

    /** The tilt that a joint allows; with it, how its stud or bolt stands. */
    private static void joint(List<SizeField> all, SteeredAxle axle, Side side, CornerPoint at) {
        JobPlace place = AXLE.in(side.code()).in("joints").in(Id.of(at).text());
        Optional<JointTilt> now = axle.corner(side).joint(at);
        all.add(mostTilt(
                place,
                JointTilt.shortLabel(at),
                of(axle, side),
                now.map(JointTilt::allowedDeg),
                (j, v) -> withCorner(
                        j,
                        side,
                        c -> c.withJoint(at, v.map(deg -> c.joint(at)
                                .map(x -> x.withAllowedDeg(deg))
                                .orElseGet(() -> JointTilt.square(c, at, deg)))))));
        now.ifPresent(x -> all.addAll(PartFields.of(
                place,
                AxleParts.JOINT_TILT,
                x,
                of(axle, side),
                (j, change) ->
                        withCorner(j, side, c -> c.withJoint(at, c.joint(at).map(change))))));
    }

    private static SizeField mostTilt(
            JobPlace place,
            String what,
            String after,
            Optional<Double> now,
            BiFunction<Job, Optional<Double>, Job> set) {
        JobPlace at = place.in("allowed_deg");
        return optional(
                        at.id(),
                        Element.capital(what) + ", most tilt" + after,
                        SizeField.Measure.ANGLE,
                        now,
                        (j, v) -> set.apply(j, v.map(deg -> PartFields.within(at, deg, Ranges.STEER_ANGLE))))
                .meaning("Without it this tilt over lock and travel is not looked at. It is taken to stand square "
                        + "at ride height.");
    }

    private static List<SizeField> tyres(Vehicle v) {
        Loads usual = v.loads().orElse(Loads.of(600));
        List<SizeField> all = new ArrayList<>(List.of(optional(
                        "vehicle-loads-front-axle-kg",
                        "Front axle load, kg",
                        SizeField.Measure.NUMBER,
                        v.loads().map(Loads::frontAxleKg),
                        (j, x) -> j.withVehicle(j.vehicle()
                                .withLoads(x.map(kg -> new Loads(
                                        kg, usual.friction(), usual.rollingResistance(), usual.efficiency())))))
                .meaning("On both steered wheels together. Without it no effort can be worked out.")));
        all.add(0, vehicle(v, "tyre_width_mm"));
        all.add(
                1,
                vehicle(v, "rear_steer_times")
                        .meaning("0 where the rear wheels stay straight, 1 where they steer as far the other way as "
                                + "the front ones, −0.5 half "
                                + "as far the same way. The vehicle then turns about another point."));
        v.loads()
                .ifPresent(l -> all.addAll(PartFields.of(
                        JobPlace.WHOLE.in("vehicle").in("loads"),
                        PlanParts.LOADS,
                        l,
                        "",
                        (j, change) -> j.withVehicle(
                                j.vehicle().withLoads(j.vehicle().loads().map(change))),
                        "front_axle_kg")));
        return all;
    }

    private static SizeField vehicle(Vehicle v, String key) {
        return PartFields.one(
                JobPlace.WHOLE.in("vehicle"),
                PlanParts.VEHICLE,
                key,
                v,
                (j, change) -> j.withVehicle(change.apply(j.vehicle())));
    }

    private static List<Side> sides(SteeredAxle axle) {
        return axle.ownRight().isPresent() ? List.of(Side.LEFT, Side.RIGHT) : List.of(Side.LEFT);
    }

    private static String of(SteeredAxle axle, Side side) {
        return axle.ownRight().isPresent() ? ", " + side.label() : "";
    }

    private static Job withCorner(Job job, Side side, UnaryOperator<Corner> edit) {
        return job.editAxle(a -> a.withCorner(side, edit.apply(a.corner(side))));
    }
}
