package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.drawing.Sketch.Builder;
import mildtilt.gear.ArmGear;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Frame;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.Relay;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Bar;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodEnds;
import mildtilt.linkage.rods.RodTube;
import mildtilt.steer.position.AxlePose;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import mildtilt.units.Quantity;

/** Gear, linkage, corners and beam as they stand. */
final class AxleSketch {

    private static final double RACK_RADIUS = 22;
    private static final double AXIS_OVERHANG = 40;
    private static final double BOX_HALF = 45;
    private static final double SHUTTLE_RADIUS = 24;
    private static final double PIVOT_OVERHANG = 28;
    private static final double PIVOT_TUBE = 160;

    private static final Element GEAR = new Element.GearElement();
    private static final Element ARM = new Element.GearArm();
    private static final Element DRIVEN = new Element.DrivenRod();
    private static final Element RELAY = new Element.Relay();
    private static final Element RODS = new Element.TieRods();
    private static final Element STEERING_ARMS = new Element.SteeringArms();
    private static final Element KNUCKLES = new Element.Knuckles();
    private static final Element BEAM = new Element.BeamElement();

    private final Builder out;
    private final Job job;
    private final SteeredAxle axle;
    private final AxlePose pose;

    AxleSketch(Builder out, Job job, SteeredAxle axle, AxlePose pose) {
        this.out = out;
        this.job = job;
        this.axle = axle;
        this.pose = pose;
    }

    void draw() {
        gear();
        pose.stance().mechanism().ifPresent(this::mechanism);
        beam();
        for (Side side : Side.values()) {
            if (pose.corner(side) instanceof KnucklePose k) {
                corner(axle.corner(side), k);
            }
        }
        if (axle.oneTieRod() && pose.assembled().isPresent()) {
            KnucklePose l = pose.assembled().get().left();
            rod(RODS, Pen.TIE_ROD, Rod.TIE_ROD, l.tieRodPoint(), l.tieRodInner());
        }
    }

    private void gear() {
        switch (axle.gear().placed(pose.stance().gearMove())) {
            case RackAndPinion rack -> {
                double displacement = rack.displacementAt(Math.toRadians(pose.gearInputDeg()));
                double half = rack.pivotSpacing() / 2 * 0.8;
                out.outline(
                        GEAR,
                        Pen.RACK,
                        Sketch.cylinder(
                                rack.centre().plus(rack.axis().times(half)),
                                rack.centre().plus(rack.axis().times(-half)),
                                RACK_RADIUS));
                out.line(
                        GEAR,
                        Pen.RACK,
                        rack.innerPivot(Side.LEFT, displacement),
                        rack.innerPivot(Side.RIGHT, displacement));
            }
            case ArmGear arm -> {
                Axis axis = arm.axis();
                Point foot = axis.footOf(arm.armEnd());
                if (!arm.boxed()) {
                    out.line(
                            GEAR,
                            Pen.GUIDE,
                            foot.plus(axis.direction().times(-PIVOT_OVERHANG)),
                            axis.origin(),
                            foot.plus(axis.direction().times(PIVOT_OVERHANG)));
                } else {
                    // The box stands on the side of the arm where the shaft's given point is.
                    Vector away = axis.origin().minus(foot);
                    double reach = Math.max(away.norm(), 1.5 * BOX_HALF);
                    Vector along = axis.direction().times(axis.direction().dot(away) >= 0 ? 1 : -1);
                    out.line(GEAR, Pen.GUIDE, foot, foot.plus(along.times(reach)));
                    out.outline(GEAR, Pen.GEAR_BOX, box(foot.plus(along.times(reach)), axis));
                }
            }
        }
    }

    private static List<Point> box(Point middle, Axis axis) {
        Vector w = axis.direction().times(BOX_HALF);
        Vector u = axis.direction().anySquare().times(BOX_HALF);
        Vector v = axis.direction().cross(u);
        List<Point> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            all.add(middle.plus(u.times((i & 1) == 0 ? 1 : -1))
                    .plus(v.times((i & 2) == 0 ? 1 : -1))
                    .plus(w.times((i & 4) == 0 ? 1 : -1)));
        }
        return all;
    }

    private void mechanism(Mechanism m) {
        if (m instanceof Mechanism.ByArm a) {
            Axis axis = a.gear().axis();
            out.line(ARM, Pen.GEAR_ARM, a.armLine().toArray(Point[]::new));
            out.notes.add(Note.between(ARM, axis.footOf(a.armEnd()), a.armEnd()));
        }
        m.relay().ifPresent(r -> {
            switch (r) {
                case Relay.Lever l -> lever(l);
                case Relay.Slider s -> shuttle(s);
            }
        });
        m.links().forEach(l -> rod(DRIVEN, Pen.DRIVEN_ROD, l.rod(), l.from(), l.to()));
        if (m instanceof Mechanism.DragLinkAt d) {
            dragLinkArm(d.drivenPoint());
        }
    }

    private void lever(Relay.Lever l) {
        pivot(l.pivot(), l.driven());
        for (Point p : Stream.concat(Stream.of(l.driven()), l.others().stream()).toList()) {
            out.line(RELAY, Pen.GEAR_ARM, l.pivot().footOf(p), p);
        }
    }

    private void pivot(Axis axis, Point level) {
        Point foot = axis.footOf(level);
        out.line(
                RELAY,
                Pen.GUIDE,
                foot.plus(axis.direction().times(-PIVOT_OVERHANG)),
                foot.plus(axis.direction().times(PIVOT_OVERHANG)));
    }

    /** The arm on the knuckle that the drag link pushes, where it is not the tie rod that it pushes. */
    private void dragLinkArm(Point driven) {
        if (axle.dragLinkSide().map(pose::corner).orElse(null) instanceof KnucklePose k) {
            Point foot = axle.corner(k.side()).suspension().root(k, driven);
            out.line(STEERING_ARMS, Pen.STEERING_ARM, foot, driven);
            out.notes.add(Note.between(STEERING_ARMS, foot, driven));
        }
    }

    private void shuttle(Relay.Slider at) {
        Shuttle s = at.shuttle();
        Point middle = s.onBar();
        double reach = s.travelEachWay().orElse(90.0);
        double half = Math.max(60, s.inner(Side.LEFT).distanceTo(s.inner(Side.RIGHT)) / 2);
        out.line(
                RELAY,
                Pen.GUIDE,
                middle.plus(s.slide().times(-half - reach)),
                middle.plus(s.slide().times(half + reach)));
        Point centre = middle.plus(at.driven().minus(s.linkPoint()));
        out.outline(
                RELAY,
                Pen.SHUTTLE,
                Sketch.cylinder(
                        centre.plus(s.slide().times(half * 0.6)),
                        centre.plus(s.slide().times(-half * 0.6)),
                        SHUTTLE_RADIUS));
        out.line(RELAY, Pen.GEAR_ARM, centre, at.driven());
        out.line(RELAY, Pen.GEAR_ARM, at.left(), centre);
        out.line(RELAY, Pen.GEAR_ARM, centre, at.right());
    }

    private void beam() {
        axle.beam().ifPresent(b -> pose.stance().beam().ifPresent(now -> {
            Frame design = axle.beamDesign();
            Point left = now.carried(axis(Side.LEFT), design);
            Point right = now.carried(axis(Side.RIGHT), design);
            out.line(BEAM, Pen.BEAM, left, right);
            for (Bar bar : b.bars()) {
                out.line(
                        BEAM,
                        Pen.TRACK_BAR,
                        bar.line(RigidMove.between(design, now)).toArray(Point[]::new));
            }
            if (b instanceof Beam.CentrePin c) {
                out.line(
                        BEAM,
                        Pen.GUIDE,
                        c.pin().origin().plus(c.pin().direction().times(-60)),
                        c.pin().origin().plus(c.pin().direction().times(60)));
            }
        }));
    }

    /** The middle of a kingpin as designed. */
    private Point axis(Side side) {
        Axis a = axle.corner(side).suspension().steerAxis();
        return a.footOf(axle.corner(side).knuckle().wheelCentre());
    }

    private void corner(Corner corner, KnucklePose k) {
        switch (corner.suspension()) {
            case DoubleWishbone w -> {
                out.line(KNUCKLES, Pen.WISHBONE, w.lowerInnerFront(), k.steerAxisLow(), w.lowerInnerRear());
                out.line(KNUCKLES, Pen.WISHBONE, w.upperInnerFront(), k.steerAxisHigh(), w.upperInnerRear());
            }
            case Strut s -> {
                out.line(KNUCKLES, Pen.WISHBONE, s.lowerInnerFront(), k.steerAxisLow(), s.lowerInnerRear());
                out.line(KNUCKLES, Pen.STRUT, s.topMount(), k.carried(s.axisLowerPoint()));
                out.line(KNUCKLES, Pen.WISHBONE, k.carried(s.axisLowerPoint()), k.steerAxisLow());
            }
            case SplitLinks l -> {
                l.links().forEach(x -> out.line(KNUCKLES, Pen.WISHBONE, x.inner(), k.carried(x.outer())));
                if (l.upper() instanceof SplitLinks.Upper.StrutTop s) {
                    out.line(KNUCKLES, Pen.STRUT, s.topMount(), k.carried(s.axisLowerPoint()));
                }
            }
            case TrailingArms t -> {
                Point low = t.lowerEndAt(k);
                Point high = t.upperEndAt(k);
                out.line(KNUCKLES, Pen.WISHBONE, t.lowerAxis().footOf(t.lowerEnd()), low);
                out.line(KNUCKLES, Pen.WISHBONE, t.upperAxis().footOf(t.upperEnd()), high);
                out.line(KNUCKLES, Pen.WISHBONE, pivotTube(t.lowerAxis(), t.lowerEnd(), k.side()));
                out.line(KNUCKLES, Pen.WISHBONE, pivotTube(t.upperAxis(), t.upperEnd(), k.side()));
                if (t.kingpin().isPresent()) {
                    out.line(KNUCKLES, Pen.SPINDLE, low, high);
                }
            }
            case SwingBeam b -> {
                Point end = k.steerAxis().footOf(k.wheelCentre());
                out.line(KNUCKLES, Pen.BEAM, b.pivot(), end);
                out.line(KNUCKLES, Pen.WISHBONE, b.armEnd(), b.armOnBeam(end));
            }
            case Kingpin _ -> {}
        }
        Axis axis = k.steerAxis();
        Vector over = axis.direction().times(AXIS_OVERHANG);
        out.line(KNUCKLES, Pen.STEER_AXIS, k.axisOnGround(), k.steerAxisHigh().plus(over));
        out.line(KNUCKLES, Pen.SPINDLE, corner.suspension().root(k, k.wheelCentre()), k.wheelCentre());
        Point root = corner.suspension().root(k, k.tieRodPoint());
        out.line(STEERING_ARMS, Pen.STEERING_ARM, root, k.tieRodPoint());
        if (!axle.oneTieRod()) {
            line(
                    RODS,
                    Pen.TIE_ROD,
                    k.tieRodInner(),
                    k.tieRodPoint(),
                    crank(k.side() == Side.LEFT ? Rod.LEFT_TIE_ROD : Rod.RIGHT_TIE_ROD));
        }
        Vector half = k.spin().times(job.vehicle().tyreWidth() / 2);
        double radius = corner.knuckle().wheelCentre().z();
        out.outline(
                new Element.Tyres(),
                Pen.TYRE,
                Sketch.cylinder(k.wheelCentre().plus(half), k.wheelCentre().plus(half.negated()), radius));
        if (!axle.oneTieRod()) {
            out.notes.add(Note.between(RODS, k.tieRodInner(), k.tieRodPoint()));
        }
        out.notes.add(new Note(
                STEERING_ARMS,
                k.tieRodPoint(),
                Quantity.length(k.steeringArm().norm()),
                Optional.of(new Note.Span(axis.footOf(k.tieRodPoint()), k.tieRodPoint()))));
        out.notes.add(new Note(new Element.Tyres(), k.contactPoint(), Quantity.angle(k.steerDeg())));
    }

    /** A stretch of the pivot, inward from the arm. */
    private static Point[] pivotTube(Axis pivot, Point end, Side side) {
        Point foot = pivot.footOf(end);
        return new Point[] {foot, foot.plus(pivot.direction().times(-side.sign() * PIVOT_TUBE))};
    }

    private void rod(Element element, Pen pen, Rod rod, Point from, Point to) {
        line(element, pen, from, to, crank(rod));
        out.notes.add(Note.between(element, from, to));
    }

    private double crank(Rod rod) {
        return axle.rodEnds(rod).flatMap(RodEnds::tube).map(RodTube::crank).orElse(0.0);
    }

    private void line(Element element, Pen pen, Point from, Point to, double crank) {
        out.line(element, pen, RodTube.line(from, to, crank).toArray(Point[]::new));
    }
}
