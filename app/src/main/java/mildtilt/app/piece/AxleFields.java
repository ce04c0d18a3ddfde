package mildtilt.app.piece;

import static mildtilt.app.piece.PieceField.angle;
import static mildtilt.app.piece.PieceField.length;
import static mildtilt.app.piece.PieceField.number;
import static mildtilt.app.piece.PieceField.optional;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import mildtilt.gear.ArmGear;
import mildtilt.gear.ColumnArm;
import mildtilt.gear.Gear;
import mildtilt.gear.RackAndPinion;
import mildtilt.gear.SteeringBox;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Side;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Loads;
import mildtilt.job.Vehicle;
import mildtilt.knuckle.KnuckleChange;
import mildtilt.knuckle.KnuckleEdits;
import mildtilt.linkage.Beam;
import mildtilt.linkage.BellCrank;
import mildtilt.linkage.CentreLink;
import mildtilt.linkage.Corner;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.Linkage;
import mildtilt.linkage.RackTieRods;
import mildtilt.linkage.Rod;
import mildtilt.linkage.RodEnds;
import mildtilt.linkage.RodTube;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.WheelLimits;

/** Which sizes, points apart, each element from the gear to the tyres has to type. */
final class AxleFields {

    private AxleFields() {}

    static List<PieceField> of(Job job, Element element) {
        SteeredAxle axle = job.axle().orElseThrow();
        return switch (element) {
            case Element.GearElement _ -> gear(axle.gear());
            case Element.GearArm _ -> List.of(length("Arm length", ((ArmGear) axle.gear()).armLength(),
                    (j, v) -> KnuckleEdits.scaledGearArm(j, v / ((ArmGear) axle.gear()).armLength())));
            case Element.DrivenRod _ -> drivenRod(axle);
            case Element.Relay _ -> relay(axle.linkage());
            case Element.TieRods _ -> tieRods(axle);
            case Element.SteeringArms _ -> arms(job, axle);
            case Element.Knuckles _ -> knuckles(axle);
            case Element.BeamElement _ -> beam(axle.beam().orElseThrow());
            case Element.Tyres _ -> tyres(job.vehicle());
            case Element.Wheel _, Element.ShaftAt _, Element.JointAt _, Element.Tube _, Element.BearingAt _,
                    Element.InTheWay _, Element.AtTheWheel _ -> List.of();
        };
    }

    private static List<PieceField> gear(Gear gear) {
        return switch (gear) {
            case RackAndPinion r -> List.of(
                    length("Inner pivot spacing", r.pivotSpacing(), (j, v) -> withRack(j, x -> x.withPivotSpacing(v))),
                    length("Travel per left turn", r.travelPerLeftTurn(), (j, v) -> withRack(j, x -> x.withTravelPerLeftTurn(v)))
                            .meaning("How far the rack moves to the left for one turn of the pinion to the left. Below 0 it moves "
                                    + "to the right, as a rack behind the axle must."),
                    length("Travel each way", r.travelEachWay(), (j, v) -> withRack(j, x -> x.withTravelEachWay(v))));
            case SteeringBox b -> {
                List<PieceField> all = new ArrayList<>(List.of(
                        number("Ratio of the box", b.ratio(), (j, v) -> withGear(j, SteeringBox.class, x -> x.withRatio(v)))
                                .meaning("Turns of the input for one of the sector shaft. Below 0 the arm swings the other way.")));
                all.addAll(armGear(b));
                yield all;
            }
            case ColumnArm c -> armGear(c);
        };
    }

    private static List<PieceField> armGear(ArmGear g) {
        List<PieceField> all = new ArrayList<>(List.of(angle("Swing each way", g.sweepEachWayDeg(),
                (j, v) -> withGear(j, ArmGear.class, x -> x.withSweepEachWay(v)))));
        all.addAll(direction("Shaft", g.axis().direction(),
                (j, d) -> withGear(j, ArmGear.class, x -> x.withAxis(new Axis(x.axis().origin(), d)))));
        return all;
    }

    private static List<PieceField> drivenRod(SteeredAxle axle) {
        return switch (axle.linkage()) {
            case CentreLink c -> List.of(
                    number("Left tie rod, part of the link", c.leftFraction(), (j, v) -> withLinkage(j, CentreLink.class,
                            x -> new CentreLink(x.ownIdler(), v, x.rightFraction())))
                            .meaning("Where the tie rod's inner end sits: 0 at its own arm's end, 0.5 in the middle of the link."),
                    number("Right tie rod, part of the link", c.rightFraction(), (j, v) -> withLinkage(j, CentreLink.class,
                            x -> new CentreLink(x.ownIdler(), x.leftFraction(), v))));
            case DragLink d -> {
                List<PieceField> all = new ArrayList<>();
                if (d.attachment() instanceof DragLink.Attachment.OnTieRod t) {
                    all.add(number("Along the tie rod", t.fraction(), (j, v) -> withLinkage(j, DragLink.class,
                            x -> x.withAttachment(new DragLink.Attachment.OnTieRod(v))))
                            .meaning("Where the drag link meets the tie rod: 0 at its left end, 1 at its right."));
                }
                all.addAll(rodEnds(d.ends(), "", (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.DRAG_LINK, e))));
                yield all;
            }
            case BellCrank b -> rodEnds(b.dragRodEnds(), "", (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.DRAG_ROD, e)));
            case Shuttle s -> rodEnds(s.linkEnds(), "", (j, e) -> j.editAxle(x -> x.editRodEnds(Rod.SHORT_LINK, e)));
            case RackTieRods _ -> List.of();
        };
    }

    private static List<PieceField> relay(Linkage linkage) {
        return switch (linkage) {
            case BellCrank b -> direction("Pivot", b.pivot().direction(), (j, d) -> withLinkage(j, BellCrank.class,
                    x -> x.withPivot(new Axis(x.pivot().origin(), d))));
            case Shuttle s -> {
                List<PieceField> all = new ArrayList<>(List.of(optional("Travel each way", PieceField.Measure.LENGTH, s.travelEachWay(),
                        (j, v) -> withLinkage(j, Shuttle.class, x -> new Shuttle(x.slide(), x.linkPoint(), x.leftInner(),
                                x.ownRightInner(), v, x.linkEnds())))));
                all.addAll(direction("Bar", s.slide(), (j, d) -> withLinkage(j, Shuttle.class, x -> new Shuttle(d, x.linkPoint(),
                        x.leftInner(), x.ownRightInner(), x.travelEachWay(), x.linkEnds()))));
                yield all;
            }
            case CentreLink _, RackTieRods _, DragLink _ -> List.of();
        };
    }

    private static List<PieceField> tieRods(SteeredAxle axle) {
        List<PieceField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            all.addAll(rodEnds(axle.corner(side).rodEnds(), of(axle, side),
                    (j, e) -> withCorner(j, side, c -> c.withRodEnds(e.apply(c.rodEnds())))));
        }
        return all;
    }

    private static List<PieceField> rodEnds(RodEnds ends, String of, BiFunction<Job, UnaryOperator<RodEnds>, Job> set) {
        List<PieceField> all = new ArrayList<>();
        all.add(optional("Tilt its ends allow" + of, PieceField.Measure.ANGLE, ends.allowedDeg(), (j, v) -> set.apply(j, e -> e.withAllowed(v)))
                .meaning("The largest tilt from square to the stud or bolt."));
        RodTube tube = ends.tube().orElse(new RodTube(22, 3, 0, RodTube.USUAL_YIELD));
        all.add(optional("Tube outside" + of, PieceField.Measure.LENGTH, ends.tube().map(RodTube::outside), (j, v) -> set.apply(j,
                e -> e.withTube(v.map(o -> new RodTube(o, Math.min(tube.wall(), o / 2), tube.crank(), tube.yield())))))
                .meaning("Steel tube. Without it no buckling can be worked out."));
        if (ends.tube().isPresent()) {
            all.add(length("Tube wall" + of, tube.wall(),
                    (j, v) -> set.apply(j, e -> e.withTube(Optional.of(new RodTube(tube.outside(), v, tube.crank(), tube.yield()))))));
            all.add(length("Crank off its line" + of, tube.crank(),
                    (j, v) -> set.apply(j, e -> e.withTube(Optional.of(new RodTube(tube.outside(), tube.wall(), v, tube.yield())))))
                    .meaning("How far the rod's middle stands off the straight line between its ends; 0 for a straight rod."));
            all.add(number("Yield of the tube, MPa" + of, tube.yield(),
                    (j, v) -> set.apply(j, e -> e.withTube(Optional.of(new RodTube(tube.outside(), tube.wall(), tube.crank(), v))))));
        }
        ends.outerBolt().ifPresent(d -> all.addAll(direction("Outer stud" + of, d, (j, n) -> set.apply(j, e -> e.withOuterBolt(Optional.of(n))))));
        ends.innerBolt().ifPresent(d -> all.addAll(direction("Inner stud" + of, d, (j, n) -> set.apply(j, e -> e.withInnerBolt(Optional.of(n))))));
        return all;
    }

    private static List<PieceField> arms(Job job, SteeredAxle axle) {
        List<PieceField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            double now = KnuckleEdits.armLength(job, side);
            all.add(length("Arm length" + of(axle, side), now,
                    (j, v) -> KnuckleEdits.changed(j, side, new KnuckleChange(v - now, 0, 0, 0, 0)))
                    .meaning("From the steer axis, square, to the tie rod's joint."));
        }
        return all;
    }

    private static List<PieceField> knuckles(SteeredAxle axle) {
        List<PieceField> all = new ArrayList<>();
        for (Side side : sides(axle)) {
            WheelLimits l = axle.corner(side).limits();
            String of = of(axle, side);
            all.add(limit("Lock stop, wheel inside" + of, l.stopInner(), side, (x, v) -> x.withStops(v, x.stopOuter())));
            all.add(limit("Lock stop, wheel outside" + of, l.stopOuter(), side, (x, v) -> x.withStops(x.stopInner(), v)));
            all.add(limit("Tyre touches, wheel inside" + of, l.tyreInner(), side, (x, v) -> x.withTyre(v, x.tyreOuter()))
                    .meaning("Steer angle at which the tyre touches something, found by turning the bare wheel by hand."));
            all.add(limit("Tyre touches, wheel outside" + of, l.tyreOuter(), side, (x, v) -> x.withTyre(x.tyreInner(), v)));
        }
        return all;
    }

    private static PieceField limit(String label, Optional<Double> deg, Side side,
            BiFunction<WheelLimits, Optional<Double>, WheelLimits> set) {
        return optional(label, PieceField.Measure.ANGLE, deg,
                (j, v) -> withCorner(j, side, c -> c.withLimits(set.apply(c.limits(), v))));
    }

    private static List<PieceField> beam(Beam beam) {
        return switch (beam) {
            case Beam.CentrePin c -> direction("Pin", c.pin().direction(),
                    (j, d) -> j.editAxle(a -> a.withBeam(new Beam.CentrePin(new Axis(c.pin().origin(), d)))));
            case Beam.Sprung _ -> List.of();
        };
    }

    private static List<PieceField> tyres(Vehicle v) {
        Loads loads = v.loads().orElse(Loads.of(600));
        List<PieceField> all = new ArrayList<>(List.of(
                length("Tyre width", v.tyreWidth(), (j, x) -> j.withVehicle(j.vehicle().withTyreWidth(x))),
                optional("Front axle load, kg", PieceField.Measure.NUMBER, v.loads().map(Loads::frontAxleKg),
                        (j, x) -> j.withVehicle(j.vehicle().withLoads(x.map(kg ->
                                new Loads(kg, loads.friction(), loads.rollingResistance(), loads.efficiency())))))
                        .meaning("On both steered wheels together. Without it no effort can be worked out.")));
        if (v.loads().isPresent()) {
            all.add(number("Friction of the tyre", loads.friction(), (j, x) -> withLoads(j,
                    new Loads(loads.frontAxleKg(), x, loads.rollingResistance(), loads.efficiency()))).meaning("Sliding on the ground; about 0.8 on dry concrete."));
            all.add(number("Rolling resistance", loads.rollingResistance(), (j, x) -> withLoads(j,
                    new Loads(loads.frontAxleKg(), loads.friction(), x, loads.efficiency()))).meaning("As a part of the load; about 0.02 on a hard floor."));
            all.add(number("Efficiency", loads.efficiency(), (j, x) -> withLoads(j,
                    new Loads(loads.frontAxleKg(), loads.friction(), loads.rollingResistance(), x)))
                    .meaning("The part of the hands' work that reaches the knuckles; about 0.85."));
        }
        return all;
    }

    private static Job withLoads(Job job, Loads loads) {
        return job.withVehicle(job.vehicle().withLoads(Optional.of(loads)));
    }

    /** A direction as an angle finder and a compass on the floor tell it. */
    private static List<PieceField> direction(String what, Direction d, BiFunction<Job, Direction, Job> set) {
        double lean = Math.toDegrees(Math.atan2(Math.hypot(d.x(), d.y()), d.z()));
        double toward = Math.toDegrees(Math.atan2(d.y(), d.x()));
        List<PieceField> all = new ArrayList<>(List.of(
                angle(what + " leans from upright", lean, (j, v) -> set.apply(j, leaning(v, toward)))
                        .meaning("0° points straight up, 90° lies level, 180° points down.")));
        if (lean > 0.01 && lean < 179.99) {
            all.add(angle(what + " leans toward", toward, (j, v) -> set.apply(j, leaning(lean, v)))
                    .meaning("Seen from above: 0° forward, 90° to the left, −90° to the right, 180° back."));
        }
        return all;
    }

    private static Direction leaning(double lean, double toward) {
        double l = Math.toRadians(lean);
        double t = Math.toRadians(toward);
        return Direction.along(Math.sin(l) * Math.cos(t), Math.sin(l) * Math.sin(t), Math.cos(l));
    }

    private static List<Side> sides(SteeredAxle axle) {
        return axle.ownRight().isPresent() ? List.of(Side.LEFT, Side.RIGHT) : List.of(Side.LEFT);
    }

    private static String of(SteeredAxle axle, Side side) {
        return axle.ownRight().isPresent() ? ", " + side.label() : "";
    }

    private static Job withRack(Job job, UnaryOperator<RackAndPinion> edit) {
        return withGear(job, RackAndPinion.class, edit::apply);
    }

    private static <G extends Gear> Job withGear(Job job, Class<G> kind, Function<G, Gear> edit) {
        return job.editAxle(a -> a.withGear(edit.apply(kind.cast(a.gear()))));
    }

    private static <L extends Linkage> Job withLinkage(Job job, Class<L> kind, Function<L, Linkage> edit) {
        return job.editAxle(a -> a.withLinkage(edit.apply(kind.cast(a.linkage()))));
    }

    private static Job withCorner(Job job, Side side, UnaryOperator<Corner> edit) {
        return job.editAxle(a -> a.withCorner(side, edit.apply(a.corner(side))));
    }
}
