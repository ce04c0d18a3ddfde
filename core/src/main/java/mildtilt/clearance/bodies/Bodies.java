package mildtilt.clearance.bodies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.id.NamedPart;
import mildtilt.job.Element;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.RelayPart;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.OwnParts;
import mildtilt.solid.Bounds;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.Knuckle;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SuspensionLink;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * The vehicle's own parts as solids, made from the sizes the job has, and what is in their way. Sizes that are not in
 * the job are
 * taken from {@link OwnParts} or as usual, and said to be.
 */
public final class Bodies {

    private static final double RIM_WALL = 9;

    /** Part of a tyre's width that its shoulders are rounded by. */
    private static final double SHOULDER = 0.15;

    private final Job job;
    private final OwnParts own;
    private final List<Body> all = new ArrayList<>();
    private final List<Phrase> assumed = new ArrayList<>();

    public Bodies(Job job) {
        this.job = job;
        own = job.surroundings().own();
        job.axle().ifPresent(this::axle);
        job.column().ifPresent(c -> {
            ColumnBodies column = new ColumnBodies(job, c);
            all.addAll(column.all());
            assumed.addAll(column.assumed());
        });
        job.surroundings().driver().ifPresent(this::driver);
        all.addAll(new ObstacleBodies(job).all());
    }

    public List<Body> all() {
        return all;
    }

    /** Sizes that were taken for want of the job's own. */
    public List<Phrase> assumed() {
        return assumed;
    }

    private void onPose(
            NamedPart part,
            Element element,
            Sort sort,
            Optional<Side> side,
            double need,
            Function<Configuration, List<Point>> markers,
            Function<Configuration, Solid> solid,
            Body.Guess guess) {
        all.add(new Body(
                part.id(),
                part.name(),
                element,
                sort,
                side,
                need,
                0,
                true,
                false,
                false,
                Set.of(),
                markers,
                solid,
                guess));
    }

    /** What a bar's thickness is worth. */
    private enum Known {
        GIVEN,
        /** A straight bar whose thickness was guessed. */
        STRAIGHT,
        /** A part whose thickness was guessed, and which hardly is a straight bar. */
        SHAPED;

        static Known of(Optional<Double> given, Known otherwise) {
            return given.isPresent() ? GIVEN : otherwise;
        }
    }

    /** Round bars along a line of points that the pose settles. */
    private void bars(
            NamedPart part,
            Element element,
            Sort sort,
            Optional<Side> side,
            double diameter,
            Known known,
            Function<Configuration, List<Point>> line) {
        Function<Configuration, Solid> least = s -> bars(line.apply(s), diameter * OwnParts.LEAST_PART);
        onPose(
                part,
                element,
                sort,
                side,
                own.gap(),
                line,
                s -> bars(line.apply(s), diameter),
                switch (known) {
                    case GIVEN -> Body.GIVEN;
                    case STRAIGHT -> new Body.Guess.Size(least);
                    case SHAPED -> new Body.Guess.Form(least);
                });
    }

    private Known arms(Known otherwise) {
        return Known.of(own.arm(), otherwise);
    }

    private Known steeringArms() {
        return Known.of(own.steeringArm(), Known.SHAPED);
    }

    /** Round bars along a line of points. */
    static Solid.Parts bars(List<Point> line, double diameter) {
        List<Convex> parts = new ArrayList<>();
        for (int i = 1; i < line.size(); i++) {
            parts.add(Convex.bar(line.get(i - 1), line.get(i), diameter / 2));
        }
        return new Solid.Parts(parts);
    }

    private static KnucklePose knuckle(Configuration s, Side side) {
        return (KnucklePose) s.pose().orElseThrow().corner(side);
    }

    private void axle(SteeredAxle axle) {
        for (Side side : Side.values()) {
            wheel(axle, side);
            corner(axle, side);
        }
        gear(axle);
        linkage(axle);
        axle.beam().ifPresent(b -> beam(axle, b));
        if (own.rim().isEmpty()) {
            assumed.add(Phrase.of("rims {0} across", Quantity.length(rimRadius(job, Side.LEFT) * 2)));
        }
        assume("arms and track bar", own.arm(), own.armDiameter());
        assume("steering arms", own.steeringArm(), own.steeringArmDiameter());
        assume("gear", own.gear(), own.gearDiameter());
    }

    private void assume(String what, Optional<Double> given, double taken) {
        if (given.isEmpty()) {
            assumed.add(Phrase.of(what + " {0} across", Quantity.length(taken)));
        }
    }

    /** Of the room inside a wheel, mm. */
    public static double innerRadius(Job job, Side side) {
        return rimRadius(job, side) - RIM_WALL;
    }

    public static double rimRadius(Job job, Side side) {
        double tyre = 2
                * job.axle().orElseThrow().corner(side).knuckle().wheelCentre().z();
        return Math.min(job.surroundings().own().rim().orElse(tyre * OwnParts.USUAL_RIM_PART) / 2, tyre / 2 - 5);
    }

    private void wheel(SteeredAxle axle, Side side) {
        double radius = axle.corner(side).knuckle().wheelCentre().z();
        double half = job.vehicle().tyreWidth() / 2;
        onPose(
                FixedPart.TYRE.called(side),
                new Element.Tyres(),
                Sort.TYRE,
                Optional.of(side),
                own.tyreGap(),
                drumMarkers(axle, side, half, radius),
                s -> drum(knuckle(s, side), half, radius),
                Body.GIVEN);
        double inner = innerRadius(job, side);
        // Rim and tyre are one ring to what stands inside.
        onPose(
                FixedPart.WHEEL_INSIDE.called(side),
                new Element.Tyres(),
                Sort.WHEEL_RING,
                Optional.of(side),
                own.gap(),
                drumMarkers(axle, side, half, radius),
                s -> ring(knuckle(s, side), half, inner, radius),
                own.rim().isPresent()
                        ? Body.GIVEN
                        : new Body.Guess.Size(s ->
                                ring(knuckle(s, side), half, radius * OwnParts.LARGEST_RIM_PART - RIM_WALL, radius)));
    }

    public static Solid drum(KnucklePose k, double half, double radius) {
        Vector out = k.spin().times(half);
        return Solid.of(Convex.cylinder(
                k.wheelCentre().plus(out.negated()), k.wheelCentre().plus(out), radius, 2 * half * SHOULDER));
    }

    /** The corners of a box round a drum, fixed to the knuckle: they are carried farther than any point of the drum. */
    private static Function<Configuration, List<Point>> drumMarkers(
            SteeredAxle axle, Side side, double half, double radius) {
        Knuckle design = axle.corner(side).knuckle();
        Direction axis = design.spinAxisPoint().minus(design.wheelCentre()).direction();
        Vector u = axis.anySquare().times(radius);
        List<Point> corners = Convex.box(design.wheelCentre(), axis.times(half), u, axis.cross(u))
                .core();
        return s -> {
            KnucklePose k = knuckle(s, side);
            return corners.stream().map(k::carried).toList();
        };
    }

    public static Solid ring(KnucklePose k, double half, double inner, double outer) {
        return new Solid.Ring(k.wheelCentre(), k.spin(), half, inner, outer);
    }

    private void corner(SteeredAxle axle, Side side) {
        Optional<Side> on = Optional.of(side);
        switch (axle.corner(side).suspension()) {
            case DoubleWishbone w -> {
                suspensionBars(
                        FixedPart.LOWER_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(w.lowerInnerFront(), knuckle(s, side).steerAxisLow(), w.lowerInnerRear()));
                suspensionBars(
                        FixedPart.UPPER_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(w.upperInnerFront(), knuckle(s, side).steerAxisHigh(), w.upperInnerRear()));
            }
            case Strut t -> {
                suspensionBars(
                        FixedPart.LOWER_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(t.lowerInnerFront(), knuckle(s, side).steerAxisLow(), t.lowerInnerRear()));
                suspensionBars(
                        FixedPart.STRUT,
                        side,
                        own.armDiameter() * 1.8,
                        s -> List.of(t.topMount(), knuckle(s, side).carried(t.axisLowerPoint())));
            }
            case SplitLinks l -> {
                link(FixedPart.LOWER_FRONT_LINK, side, l.lowerFront());
                link(FixedPart.LOWER_REAR_LINK, side, l.lowerRear());
                switch (l.upper()) {
                    case SplitLinks.Upper.TwoLinks u -> {
                        link(FixedPart.UPPER_FRONT_LINK, side, u.front());
                        link(FixedPart.UPPER_REAR_LINK, side, u.rear());
                    }
                    case SplitLinks.Upper.StrutTop u ->
                        suspensionBars(
                                FixedPart.STRUT,
                                side,
                                own.armDiameter() * 1.8,
                                s -> List.of(u.topMount(), knuckle(s, side).carried(u.axisLowerPoint())));
                }
            }
            case TrailingArms t -> {
                suspensionBars(
                        FixedPart.LOWER_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(t.lowerAxis().footOf(t.lowerEnd()), t.lowerEndAt(knuckle(s, side))));
                suspensionBars(
                        FixedPart.UPPER_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(t.upperAxis().footOf(t.upperEnd()), t.upperEndAt(knuckle(s, side))));
            }
            case SwingBeam b -> {
                suspensionBars(
                        FixedPart.SWING_BEAM,
                        side,
                        own.armDiameter() * 2,
                        s -> List.of(b.pivot(), kingpinMiddle(s, side)));
                suspensionBars(
                        FixedPart.RADIUS_ARM,
                        side,
                        own.armDiameter(),
                        s -> List.of(b.armEnd(), b.armOnBeam(kingpinMiddle(s, side))));
            }
            case Kingpin _ -> {}
        }
        bars(
                FixedPart.STEERING_ARM.called(side),
                new Element.SteeringArms(),
                Sort.CORNER,
                on,
                own.steeringArmDiameter(),
                steeringArms(),
                s -> {
                    KnucklePose k = knuckle(s, side);
                    Point foot = axle.corner(side).suspension().root(k, k.tieRodPoint());
                    return foot.distanceTo(k.tieRodPoint()) < 1
                            ? List.of(foot, k.tieRodPoint().plus(Vector.Z))
                            : List.of(foot, k.tieRodPoint());
                });
    }

    private void link(FixedPart part, Side side, SuspensionLink l) {
        suspensionBars(
                part,
                side,
                own.armDiameter(),
                s -> List.of(l.inner(), knuckle(s, side).carried(l.outer())));
    }

    private void suspensionBars(FixedPart part, Side side, double diameter, Function<Configuration, List<Point>> line) {
        bars(
                part.called(side),
                new Element.Knuckles(),
                Sort.CORNER,
                Optional.of(side),
                diameter,
                arms(Known.SHAPED),
                line);
    }

    private static Point kingpinMiddle(Configuration s, Side side) {
        KnucklePose k = knuckle(s, side);
        return k.steerAxisLow().midwayTo(k.steerAxisHigh());
    }

    private double rodDiameter(SteeredAxle axle, Rod rod) {
        return axle.rodEnds(rod).flatMap(RodEnds::tube).map(RodTube::outside).orElse(own.rodDiameter());
    }

    private double crank(SteeredAxle axle, Rod rod) {
        return axle.rodEnds(rod).flatMap(RodEnds::tube).map(RodTube::crank).orElse(0.0);
    }

    private void linkage(SteeredAxle axle) {
        if (axle.oneTieRod()) {
            rod(
                    axle,
                    Rod.TIE_ROD,
                    new Element.TieRods(),
                    Optional.empty(),
                    s -> knuckle(s, Side.LEFT).tieRodPoint(),
                    s -> knuckle(s, Side.LEFT).tieRodInner());
        } else {
            rod(
                    axle,
                    Rod.LEFT_TIE_ROD,
                    new Element.TieRods(),
                    Optional.of(Side.LEFT),
                    s -> knuckle(s, Side.LEFT).tieRodInner(),
                    s -> knuckle(s, Side.LEFT).tieRodPoint());
            rod(
                    axle,
                    Rod.RIGHT_TIE_ROD,
                    new Element.TieRods(),
                    Optional.of(Side.RIGHT),
                    s -> knuckle(s, Side.RIGHT).tieRodInner(),
                    s -> knuckle(s, Side.RIGHT).tieRodPoint());
        }
        Element driven = new Element.DrivenRod();
        Element relay = new Element.Relay();
        axle.linkage()
                .drivenRods()
                .forEach(rod -> rod(
                        axle, rod, driven, Optional.empty(), s -> link(s, rod).from(), s -> link(s, rod)
                                .to()));
        axle.linkage().relay().ifPresent(part -> {
            boolean slides = part == RelayPart.SHUTTLE;
            bars(
                    FixedPart.called(part),
                    relay,
                    Sort.GEAR,
                    Optional.empty(),
                    slides ? own.gearDiameter() : own.steeringArmDiameter(),
                    slides ? Known.of(own.gear(), Known.STRAIGHT) : steeringArms(),
                    s -> mechanism(s).relay().orElseThrow().line());
        });
    }

    private static Mechanism.Link link(Configuration s, Rod rod) {
        return mechanism(s).links().stream()
                .filter(l -> l.rod() == rod)
                .findFirst()
                .orElseThrow();
    }

    private void rod(
            SteeredAxle axle,
            Rod rod,
            Element element,
            Optional<Side> side,
            Function<Configuration, Point> from,
            Function<Configuration, Point> to) {
        double crank = crank(axle, rod);
        boolean given = axle.rodEnds(rod).flatMap(RodEnds::tube).isPresent()
                || own.rod().isPresent();
        bars(
                FixedPart.called(rod),
                element,
                Sort.ROD,
                side,
                rodDiameter(axle, rod),
                given ? Known.GIVEN : Known.STRAIGHT,
                s -> RodTube.line(from.apply(s), to.apply(s), crank));
        if (!given && side.orElse(Side.LEFT) == Side.LEFT) {
            assumed.add(Phrase.of(rod.label() + " {0} across", Quantity.length(own.rodDiameter())));
        }
    }

    private static Mechanism mechanism(Configuration s) {
        return s.pose().orElseThrow().stance().mechanism().orElseThrow();
    }

    /** The gear's housing. */
    private void housing(SteeredAxle axle, NamedPart part, Solid solid, Solid least) {
        boolean onAxle = axle.gearOnAxle();
        all.add(new Body(
                part.id(),
                part.name(),
                new Element.GearElement(),
                Sort.GEAR,
                Optional.empty(),
                own.gap(),
                0,
                onAxle,
                false,
                false,
                onAxle ? Set.of(Carrier.AXLE) : Set.of(),
                s -> onAxle
                        ? corners(solid.bounds()).stream()
                                .map(gearMove(s)::moved)
                                .toList()
                        : List.of(),
                s -> onAxle ? solid.moved(gearMove(s)) : solid,
                own.gear().isPresent()
                        ? Body.GIVEN
                        : new Body.Guess.Form(s -> onAxle ? least.moved(gearMove(s)) : least)));
    }

    private void gear(SteeredAxle axle) {
        Element gear = new Element.GearElement();
        switch (axle.gear()) {
            case RackAndPinion r -> {
                Vector half = r.axis().times(r.pivotSpacing() * 0.4);
                housing(
                        axle,
                        FixedPart.RACK_HOUSING.called(),
                        Solid.of(Convex.cylinder(
                                r.centre().plus(half.negated()), r.centre().plus(half), own.gearDiameter() / 2, 0)),
                        Solid.of(Convex.cylinder(
                                r.centre().plus(half.negated()),
                                r.centre().plus(half),
                                own.gearDiameter() / 2 * OwnParts.LEAST_PART,
                                0)));
                bars(
                        FixedPart.RACK_BAR.called(),
                        gear,
                        Sort.GEAR,
                        Optional.empty(),
                        own.gearDiameter() / 2,
                        Known.of(own.gear(), Known.STRAIGHT),
                        s -> {
                            double d = r.displacementAt(
                                    Math.toRadians(s.pose().orElseThrow().gearInputDeg()));
                            return List.of(
                                    gearMove(s).moved(r.innerPivot(Side.LEFT, d)),
                                    gearMove(s).moved(r.innerPivot(Side.RIGHT, d)));
                        });
            }
            case ArmGear g -> {
                Axis axis = g.axis();
                Point foot = axis.footOf(g.armEnd());
                if (g.boxed()) {
                    Vector away = axis.origin().minus(foot);
                    double reach = Math.max(away.norm(), 1.5 * own.gearDiameter());
                    Vector along = axis.direction().times(axis.direction().dot(away) >= 0 ? 1 : -1);
                    Vector half = along.times(own.gearDiameter() * 0.9);
                    Point middle = foot.plus(along.times(reach));
                    housing(
                            axle,
                            FixedPart.STEERING_BOX.called(),
                            Solid.of(Convex.cylinder(
                                    middle.plus(half.negated()), middle.plus(half), own.gearDiameter() * 0.9, 0)),
                            Solid.of(Convex.cylinder(
                                    middle.plus(half.times(-OwnParts.LEAST_PART)),
                                    middle.plus(half.times(OwnParts.LEAST_PART)),
                                    own.gearDiameter() * 0.9 * OwnParts.LEAST_PART,
                                    0)));
                }
                bars(
                        (g.boxed() ? FixedPart.PITMAN_ARM : FixedPart.COLUMN_ARM).called(),
                        new Element.GearArm(),
                        Sort.GEAR,
                        Optional.empty(),
                        own.steeringArmDiameter(),
                        steeringArms(),
                        s -> mechanism(s) instanceof Mechanism.ByArm a
                                ? a.armLine()
                                : List.of(gearMove(s).moved(foot), gearMove(s).moved(g.armEnd())));
            }
        }
    }

    private void beam(SteeredAxle axle, Beam beam) {
        Frame design = axle.beamDesign();
        Element element = new Element.BeamElement();
        bars(
                FixedPart.AXLE_BEAM.called(),
                element,
                Sort.BEAM,
                Optional.empty(),
                own.armDiameter() * 2,
                arms(Known.SHAPED),
                s -> {
                    Frame now = s.pose().orElseThrow().stance().beam().orElse(design);
                    return List.of(
                            now.carried(pin(axle, Side.LEFT), design), now.carried(pin(axle, Side.RIGHT), design));
                });
        for (Bar bar : beam.bars()) {
            bars(
                    FixedPart.called(bar.part()),
                    element,
                    Sort.TRACK_BAR,
                    Optional.empty(),
                    own.armDiameter(),
                    arms(Known.STRAIGHT),
                    s -> bar.line(RigidMove.between(
                            design, s.pose().orElseThrow().stance().beam().orElse(design))));
        }
    }

    private static Point pin(SteeredAxle axle, Side side) {
        return axle.corner(side)
                .suspension()
                .steerAxis()
                .footOf(axle.corner(side).knuckle().wheelCentre());
    }

    static RigidMove gearMove(Configuration s) {
        return s.pose().map(p -> p.stance().gearMove()).orElse(RigidMove.NONE);
    }

    private void driver(Driver d) {
        boolean pedals = d.pedals().isPresent();
        for (Side side : Side.values()) {
            Solid leg = d.leg(side);
            all.add(new Body(
                    FixedPart.LEG.called(side).id(),
                    FixedPart.LEG.called(side).name(),
                    new Element.AtTheWheel(),
                    Sort.LEG,
                    Optional.empty(),
                    own.driverGap(),
                    0,
                    false,
                    false,
                    pedals,
                    Set.of(),
                    pedals ? s -> d.legPoints(side, s.part()) : _ -> List.of(),
                    pedals ? s -> d.leg(side, s.part()) : _ -> leg,
                    Body.GIVEN));
        }
    }

    /** Of the box round a body. */
    static List<Point> corners(Bounds b) {
        return Stream.of(b.minX(), b.maxX())
                .flatMap(x -> Stream.of(b.minY(), b.maxY())
                        .flatMap(y -> Stream.of(b.minZ(), b.maxZ()).map(z -> new Point(x, y, z))))
                .toList();
    }
}
