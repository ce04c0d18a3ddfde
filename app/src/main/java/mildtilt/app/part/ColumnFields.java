package mildtilt.app.part;

import static mildtilt.app.forms.SizeField.angle;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import mildtilt.app.forms.ChoiceField;
import mildtilt.app.forms.PartFields;
import mildtilt.app.forms.SizeField;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTube;
import mildtilt.column.HandBar;
import mildtilt.column.Installation;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.JointBend;
import mildtilt.describe.JobPlace;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.parts.ColumnParts;

/** The sizes and choices of each element of the column. */
final class ColumnFields {

    private static final JobPlace COLUMN = JobPlace.WHOLE.in("column");
    private static final JobPlace WHEEL = COLUMN.in("steering_wheel");
    private static final Slide USUAL_SLIDE = new Slide(80, 50, 40);
    private static final List<JointKind> KINDS = List.of(
            new JointKind.Single(), new JointKind.Double(false), new JointKind.Double(true), new JointKind.Coupling());

    private final Column c;

    ColumnFields(Column c) {
        this.c = c;
    }

    /** Sizes to type; none for an element that is not the column's. */
    List<SizeField> of(Element element) {
        return switch (element) {
            case Element.Wheel _ -> wheel();
            case Element.ShaftAt s -> shaft(s.index());
            case Element.JointAt j -> joint(j.index());
            case Element.Tube _ ->
                c.tube()
                        .map(t -> PartFields.of(COLUMN.in("tube"), ColumnParts.TUBE, t, "", ColumnFields::tube))
                        .orElse(List.of());
            case Element.BearingAt b -> bearing(b.index());
            case Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.InTheWay _,
                    Element.AtTheWheel _ -> List.of();
        };
    }

    /** The job with an element renamed, for one whose name is the user's own. */
    static Optional<BiFunction<Job, String, Job>> rename(Element element) {
        return switch (element) {
            case Element.ShaftAt s -> Optional.of((j, n) -> shaft(j, s.index(), x -> x.withName(n)));
            case Element.JointAt i -> Optional.of((j, n) -> joint(j, i.index(), x -> x.withName(n)));
            case Element.InTheWay i ->
                Optional.of((j, n) -> j.editSurroundings(x -> x.edit(i.index(), o -> o.withName(n))));
            case Element.BearingAt b -> Optional.of((j, n) -> bearing(j, b.index(), x -> x.withName(n)));
            case Element.Wheel _,
                    Element.Tube _,
                    Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.AtTheWheel _ -> Optional.empty();
        };
    }

    /** What is chosen from a few; none for an element that is not the column's. */
    List<ChoiceField> choices(Element element) {
        return switch (element) {
            case Element.Wheel _ -> {
                List<ChoiceField> all = new ArrayList<>(List.of(held()));
                all.addAll(socketChoices(
                        "hub",
                        "",
                        c.wheel().fit(),
                        c.shafts().getFirst().diameter(),
                        (j, f) -> wheel(j, w -> w.withFit(f))));
                all.add(axisChoice(
                        "column-axis",
                        "Column is",
                        c.installation().columnAxis(),
                        c.axis(0),
                        (j, d) -> installation(j, i -> i.withColumnAxis(d))));
                yield all;
            }
            case Element.ShaftAt s -> shaftChoices(s.index());
            case Element.JointAt j -> jointChoices(j.index());
            case Element.BearingAt b -> bearingChoices(b.index());
            case Element.Tube _,
                    Element.GearElement _,
                    Element.GearArm _,
                    Element.DrivenRod _,
                    Element.Relay _,
                    Element.TieRods _,
                    Element.SteeringArms _,
                    Element.Knuckles _,
                    Element.BeamElement _,
                    Element.Tyres _,
                    Element.InTheWay _,
                    Element.AtTheWheel _ -> List.of();
        };
    }

    private static Job wheel(Job job, UnaryOperator<SteeringWheel> edit) {
        return job.editColumn(k -> k.withWheel(edit.apply(k.wheel())));
    }

    private static Job installation(Job job, UnaryOperator<Installation> edit) {
        return job.editColumn(k -> k.withInstallation(edit.apply(k.installation())));
    }

    private List<SizeField> wheel() {
        List<SizeField> all = new ArrayList<>();
        c.wheel()
                .bar()
                .ifPresentOrElse(
                        b -> all.addAll(handBar(b)),
                        () -> all.add(PartFields.one(
                                WHEEL, ColumnParts.WHEEL, "diameter_mm", c.wheel(), ColumnFields::wheel)));
        all.add(PartFields.one(COLUMN, ColumnParts.COLUMN, "first_fork_deg", c, Job::editColumn));
        all.addAll(PartFields.of(
                WHEEL.in("adjustment"),
                ColumnParts.ADJUSTMENTS,
                c.wheel().adjustment(),
                "",
                (j, change) -> wheel(j, w -> w.withAdjustment(change.apply(w.adjustment())))));
        all.addAll(PartFields.of(
                COLUMN.in("installation"), ColumnParts.INSTALLATION, c.installation(), "", ColumnFields::installation));
        all.addAll(axis(
                "column-axis",
                "Column",
                c.installation().columnAxis(),
                (j, d) -> installation(j, i -> i.withColumnAxis(Optional.of(d)))));
        all.addAll(fit(WHEEL, "hub", c.wheel().fit(), (j, change) -> wheel(j, w -> w.withFit(change.apply(w.fit())))));
        return all;
    }

    private static List<SizeField> handBar(HandBar bar) {
        return PartFields.of(
                WHEEL.in("hand_bar"),
                ColumnParts.HAND_BAR,
                bar,
                "",
                (j, change) -> wheel(j, w -> w.withBar(w.bar().map(change))),
                bar.kind() == HandBar.Kind.TILLER ? new String[] {"grips_apart_mm"} : new String[0]);
    }

    /** What the hands hold: a wheel, or one of the bars. */
    private ChoiceField held() {
        List<Optional<HandBar.Kind>> all = new ArrayList<>(List.of(Optional.empty()));
        Arrays.stream(HandBar.Kind.values()).map(Optional::of).forEach(all::add);
        return new ChoiceField(
                WHEEL.in("hand_bar").in("kind").id(),
                "Hands hold",
                "A bar goes with the first shaft as it is turned, and hands follow it only so far.",
                all.stream()
                        .map(k -> k.map(HandBar.Kind::label).orElse("a steering wheel"))
                        .toList(),
                all.indexOf(c.wheel().bar().map(HandBar::kind)),
                (j, i) -> wheel(j, w -> w.withBar(all.get(i).map(HandBar.Kind::usual))));
    }

    private static Job tube(Job job, UnaryOperator<ColumnTube> edit) {
        return job.editColumn(k -> k.withTube(k.tube().map(edit)));
    }

    private static Job shaft(Job job, int index, UnaryOperator<Shaft> edit) {
        return job.editColumn(k -> k.editShaft(index, edit));
    }

    private List<SizeField> shaft(int index) {
        Shaft s = c.shafts().get(index);
        JobPlace at = COLUMN.in("shafts").at(index);
        PartFields.Edit<Shaft> edit = (j, change) -> shaft(j, index, change);
        // Only a shaft between two joints can be clocked.
        String[] leftOut =
                c.liesBetweenJoints(index) ? new String[0] : new String[] {"clocking_deg", "clocking_index_deg"};
        List<SizeField> all = PartFields.of(at, ColumnParts.SHAFT, s, "", edit, leftOut);
        s.wheelEnd()
                .ifPresent(e -> all.addAll(PartFields.of(
                        at.in("wheel_end"),
                        ColumnParts.SEAT,
                        e,
                        ", wheel end",
                        (j, change) ->
                                shaft(j, index, x -> x.withEnds(x.wheelEnd().map(change), x.gearEnd())))));
        s.gearEnd()
                .ifPresent(e -> all.addAll(PartFields.of(
                        at.in("gear_end"),
                        ColumnParts.SEAT,
                        e,
                        ", gear end",
                        (j, change) -> shaft(
                                j,
                                index,
                                x -> x.withEnds(x.wheelEnd(), x.gearEnd().map(change))))));
        s.slide()
                .ifPresent(slide -> all.addAll(PartFields.of(
                        at.in("slide"),
                        ColumnParts.SLIDE,
                        slide,
                        "",
                        (j, change) ->
                                shaft(j, index, x -> x.withSlide(x.slide().map(change))))));
        if (index == c.joints().size()) {
            all.addAll(axis(
                    "gear-axis",
                    "Gear input",
                    c.gear().axis(),
                    (j, d) -> j.editColumn(k -> k.withGear(k.gear().withAxis(Optional.of(d))))));
            all.addAll(fit(
                    COLUMN.in("gear_input"),
                    "gear",
                    c.gear().fit(),
                    (j, change) -> j.editColumn(k ->
                            k.withGear(k.gear().withFit(change.apply(k.gear().fit()))))));
        }
        return all;
    }

    /** An axis as measured where it is bolted down; nothing where it is free. */
    private static List<SizeField> axis(
            String id, String whose, Optional<Direction> axis, BiFunction<Job, Direction, Job> set) {
        return axis.map(d -> List.of(
                        angle(
                                        id + "-down",
                                        whose + " slopes down",
                                        d.downDeg(),
                                        (j, v) -> set.apply(j, Direction.ofSlope(v, d.leftDeg())))
                                .meaning("With an angle finder on the shaft, against level, going forward."),
                        angle(
                                        id + "-left",
                                        whose + " points left",
                                        d.leftDeg(),
                                        (j, v) -> set.apply(j, Direction.ofSlope(d.downDeg(), v)))
                                .meaning("In plan, from straight forward; − to the right.")))
                .orElse(List.of());
    }

    private static ChoiceField axisChoice(
            String id,
            String label,
            Optional<Direction> axis,
            Direction drawn,
            BiFunction<Job, Optional<Direction>, Job> set) {
        return ChoiceField.yesNo(
                        id,
                        label,
                        "free to be set",
                        "bolted down",
                        axis.isEmpty(),
                        (j, free) -> set.apply(j, free ? Optional.empty() : Optional.of(drawn)))
                .meaning(
                        "If the gear is bolted down, its axis stays as measured, and joints off that axis are reported.");
    }

    private List<ChoiceField> shaftChoices(int index) {
        Shaft s = c.shafts().get(index);
        List<ChoiceField> all = new ArrayList<>();
        all.add(ProfileForm.choice(
                "form",
                "Form",
                Optional.of(s.profile()),
                "",
                s.diameter(),
                (j, f) -> shaft(j, index, x -> x.withProfile(f.orElseThrow()))));
        all.add(ProfileForm.choice(
                "wheel-end",
                "Wheel end",
                s.wheelEnd(),
                "as the shaft",
                s.diameter(),
                (j, f) -> shaft(j, index, x -> x.withEnds(f, x.gearEnd()))));
        all.add(ProfileForm.choice(
                "gear-end",
                "Gear end",
                s.gearEnd(),
                "as the shaft",
                s.diameter(),
                (j, f) -> shaft(j, index, x -> x.withEnds(x.wheelEnd(), f))));
        all.add(ChoiceField.yesNo(
                "sliding",
                "Length",
                "rigid",
                "sliding",
                s.slide().isEmpty(),
                (j, rigid) -> shaft(j, index, x -> x.withSlide(rigid ? Optional.empty() : Optional.of(USUAL_SLIDE)))));
        all.add(ChoiceField.yesNo(
                "to-cut",
                "Made",
                "cut to length",
                "used as it comes",
                s.toCut(),
                (j, cut) -> shaft(j, index, x -> x.withToCut(cut))));
        if (c.liesBetweenJoints(index)) {
            all.add(ChoiceField.yesNo(
                    "clockable",
                    "Forks",
                    "can be clocked",
                    "fixed",
                    !s.forksFixed(),
                    (j, free) -> shaft(j, index, x -> x.withForksFixed(!free))));
        }
        if (index == c.joints().size()) {
            all.add(axisChoice(
                    "gear-axis",
                    "Gear is",
                    c.gear().axis(),
                    c.axis(index),
                    (j, d) -> j.editColumn(k -> k.withGear(k.gear().withAxis(d)))));
            all.addAll(socketChoices(
                    "gear",
                    ", gear",
                    c.gear().fit(),
                    s.diameter(),
                    (j, f) -> j.editColumn(k -> k.withGear(k.gear().withFit(f)))));
        }
        all.add(typical(s.typical(), (j, t) -> shaft(j, index, x -> x.withTypical(t))));
        return all;
    }

    private static ChoiceField typical(boolean is, BiFunction<Job, Boolean, Job> set) {
        return ChoiceField.yesNo("typical", "Sizes are", "typical", "measured", is, set)
                .meaning(
                        "Typical sizes come from a catalogue. Measure the part in your hand, type what differs, then say measured.");
    }

    private static Job joint(Job job, int index, UnaryOperator<Joint> edit) {
        return job.editColumn(k -> k.editJoint(index, edit));
    }

    private List<SizeField> joint(int index) {
        Joint joint = c.joints().get(index);
        JobPlace at = COLUMN.in("joints").at(index);
        List<SizeField> all = new ArrayList<>(
                List.of(
                        angle(
                                        "joint-angle",
                                        "Operating angle",
                                        Math.toDegrees(c.axis(index).angleTo(c.axis(index + 1))),
                                        (j, v) -> j.editColumn(k -> JointBend.withAngle(k, index, v)))
                                .meaning(
                                        "Type one, and the joint moves square to the line between its neighbours until it has that angle.")));
        all.addAll(PartFields.of(at, ColumnParts.JOINT, joint, "", (j, change) -> joint(j, index, change)));
        all.addAll(fit(
                at.in("wheel_side"),
                "wheel side",
                joint.wheelSide(),
                (j, change) -> joint(j, index, x -> x.withFits(change.apply(x.wheelSide()), x.gearSide()))));
        all.addAll(fit(
                at.in("gear_side"),
                "gear side",
                joint.gearSide(),
                (j, change) -> joint(j, index, x -> x.withFits(x.wheelSide(), change.apply(x.gearSide())))));
        return all;
    }

    private static List<SizeField> fit(
            JobPlace at, String where, YokeDimensions fit, PartFields.Edit<YokeDimensions> edit) {
        List<SizeField> all = PartFields.of(at, ColumnParts.FIT, fit, ", " + where, edit);
        fit.socket()
                .ifPresent(s -> all.addAll(PartFields.of(
                        at.in("socket"),
                        ColumnParts.SEAT,
                        s.seat(),
                        ", " + where + " bore",
                        (j, change) -> edit.apply(j, f -> f.withSocket(s.withSeat(change.apply(s.seat())))))));
        return all;
    }

    private static List<ChoiceField> socketChoices(
            String id, String where, YokeDimensions fit, double diameter, BiFunction<Job, YokeDimensions, Job> set) {
        List<ChoiceField> all = new ArrayList<>();
        Retention hold = fit.socket().map(Socket::hold).orElse(Retention.PINCH_BOLT);
        all.add(ProfileForm.choice(
                id + "-bore",
                "Bore" + where,
                fit.socket().map(Socket::seat),
                "not known",
                diameter,
                (j, seat) -> set.apply(
                        j, new YokeDimensions(fit.takeOff(), fit.engagement(), seat.map(s -> new Socket(s, hold))))));
        fit.socket()
                .ifPresent(s -> all.add(ChoiceField.of(
                        id + "-retention",
                        "Kept by" + where,
                        Retention.values(),
                        Retention::label,
                        s.hold(),
                        (j, h) -> set.apply(j, fit.withSocket(s.withHold(h))))));
        return all;
    }

    private List<ChoiceField> jointChoices(int index) {
        Joint joint = c.joints().get(index);
        List<ChoiceField> all = new ArrayList<>();
        all.add(new ChoiceField(
                "kind",
                "Kind",
                "",
                KINDS.stream().map(JointKind::label).toList(),
                KINDS.indexOf(joint.kind()),
                (j, i) -> joint(j, index, x -> x.withKind(KINDS.get(i))
                        .withMaxAngleDeg(KINDS.get(i).usualLimitDeg()))));
        all.addAll(socketChoices(
                "wheel-side",
                ", wheel side",
                joint.wheelSide(),
                c.shafts().get(index).gearEndSeat().diameter(),
                (j, f) -> joint(j, index, x -> x.withFits(f, x.gearSide()))));
        all.addAll(socketChoices(
                "gear-side",
                ", gear side",
                joint.gearSide(),
                c.shafts().get(index + 1).wheelEndSeat().diameter(),
                (j, f) -> joint(j, index, x -> x.withFits(x.wheelSide(), f))));
        all.add(typical(joint.typical(), (j, t) -> joint(j, index, x -> x.withTypical(t))));
        return all;
    }

    private static Job bearing(Job job, int index, UnaryOperator<Bearing> edit) {
        return job.editColumn(k -> k.editBearing(index, edit));
    }

    private List<SizeField> bearing(int index) {
        return PartFields.of(
                COLUMN.in("bearings").at(index),
                ColumnParts.BEARING,
                c.bearings().get(index),
                "",
                (j, change) -> bearing(j, index, b -> {
                    Bearing after = change.apply(b);
                    if (after.along() != b.along() && !(after.along() >= 0 && after.along() <= c.length(b.shaft()))) {
                        throw new ImpossibleGeometryException(
                                "A bearing sits on its shaft: from 0 to the shaft's length.");
                    }
                    return after;
                }));
    }

    private List<ChoiceField> bearingChoices(int index) {
        Bearing b = c.bearings().get(index);
        return List.of(
                ChoiceField.of(
                        "kind",
                        "Kind",
                        Bearing.Kind.values(),
                        Bearing.Kind::label,
                        b.kind(),
                        (j, k) -> bearing(j, index, x -> x.withKind(k))),
                ChoiceField.of(
                        "mount",
                        "Fixed to",
                        Bearing.Mount.values(),
                        Bearing.Mount::label,
                        b.mount(),
                        (j, m) -> bearing(j, index, x -> x.withMount(m))),
                typical(b.typical(), (j, t) -> bearing(j, index, x -> x.withTypical(t))));
    }
}
