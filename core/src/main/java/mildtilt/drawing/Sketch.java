package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.Corner;
import mildtilt.measure.Quantity;
import mildtilt.steer.AxlePose;
import mildtilt.steer.SteeringTrain;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.KnucklePose;

/** A job's steering in one position of the hands, as strokes and figures in space. */
public record Sketch(List<Stroke> strokes, List<Note> notes) {

    private static final int CIRCLE_POINTS = 48;
    private static final double JOINT_RADIUS = 26;
    private static final double RACK_RADIUS = 22;
    private static final double AXIS_OVERHANG = 40;

    public Sketch {
        strokes = List.copyOf(strokes);
        notes = List.copyOf(notes);
    }

    /** Straight ahead at ride height. */
    public static Sketch ofDesign(Job job, SteeringTrain train) {
        return of(job, train, 0, train.axle().map(_ -> train.pose(0, 0, 0)));
    }

    /**
     * @param pose of the axle, if the job has one; a corner that can't be assembled is left out
     */
    public static Sketch of(Job job, SteeringTrain train, double steeringWheelDeg, Optional<AxlePose> pose) {
        Builder b = new Builder();
        train.column().ifPresent(c -> b.column(c, steeringWheelDeg));
        pose.ifPresent(p -> b.axle(job, train, p));
        return new Sketch(b.strokes, b.notes);
    }

    /** Points on a circle about an axis. */
    static List<Point> circle(Point centre, Direction axis, double radius) {
        Vector u = axis.anySquare().vector();
        Vector v = axis.cross(u);
        List<Point> all = new ArrayList<>();
        for (int i = 0; i <= CIRCLE_POINTS; i++) {
            double a = 2 * Math.PI * i / CIRCLE_POINTS;
            all.add(centre.plus(u.times(radius * Math.cos(a))).plus(v.times(radius * Math.sin(a))));
        }
        return all;
    }

    private static List<Point> cylinder(Point from, Point to, double radius) {
        Direction axis = to.minus(from).direction();
        List<Point> all = circle(from, axis, radius);
        all.addAll(circle(to, axis, radius));
        return all;
    }

    private static final class Builder {
        final List<Stroke> strokes = new ArrayList<>();
        final List<Note> notes = new ArrayList<>();

        void line(Element e, Pen pen, Point... points) {
            strokes.add(new Stroke.Line(Optional.of(e), pen, List.of(points)));
        }

        void outline(Element e, Pen pen, List<Point> points) {
            strokes.add(new Stroke.Outline(Optional.of(e), pen, points));
        }

        void column(ColumnTrain train, double steeringWheelDeg) {
            Column c = train.column();
            Element wheel = new Element.Wheel();
            Direction axis = c.axis(0);
            strokes.add(new Stroke.Line(Optional.of(wheel), Pen.STEERING_WHEEL, circle(c.hub(), axis, c.wheelDiameter() / 2)));
            // The spoke that stands at the top straight ahead shows how far the wheel is turned.
            Vector top = Vector.Z.minus(axis.times(axis.z()));
            Vector up = top.norm() > 1e-6 ? top.direction().vector() : axis.anySquare().vector();
            Vector spoke = axis.turn(up, -Math.toRadians(steeringWheelDeg)).times(c.wheelDiameter() / 2);
            line(wheel, Pen.STEERING_WHEEL, c.hub(), c.hub().plus(spoke));
            for (int i = 0; i < c.shafts().size(); i++) {
                Element shaft = new Element.ShaftAt(i);
                line(shaft, Pen.SHAFT, c.start(i), c.end(i));
                notes.add(new Note(shaft, c.start(i).midwayTo(c.end(i)), Quantity.length(c.length(i))));
            }
            List<ColumnTrain.Pins> pins = train.pinsAt(-Math.toRadians(steeringWheelDeg));
            for (int i = 0; i < pins.size(); i++) {
                Element joint = new Element.JointAt(i);
                Point centre = c.joints().get(i).centre();
                pin(joint, centre, pins.get(i).wheelSide());
                pin(joint, centre, pins.get(i).gearSide());
                notes.add(new Note(joint, centre, Quantity.angle(train.jointAngleDeg(i))));
            }
        }

        private void pin(Element joint, Point centre, Direction along) {
            line(joint, Pen.FORK_PIN, centre.plus(along.times(JOINT_RADIUS)), centre.plus(along.times(-JOINT_RADIUS)));
        }

        void axle(Job job, SteeringTrain train, AxlePose pose) {
            switch (train.requireAxle().gear()) {
                case RackAndPinion rack -> {
                    double displacement = rack.displacementAt(Math.toRadians(pose.gearInputDeg()));
                    Point left = rack.innerPivot(Side.LEFT, displacement);
                    Point right = rack.innerPivot(Side.RIGHT, displacement);
                    double half = rack.pivotSpacing() / 2 * 0.8;
                    outline(new Element.GearElement(), Pen.RACK, cylinder(
                            rack.centre().plus(rack.axis().times(half)),
                            rack.centre().plus(rack.axis().times(-half)), RACK_RADIUS));
                    line(new Element.GearElement(), Pen.RACK, left, right);
                }
            }
            corner(job, train, Side.LEFT, pose);
            corner(job, train, Side.RIGHT, pose);
        }

        private void corner(Job job, SteeringTrain train, Side side, AxlePose pose) {
            Corner corner = train.requireAxle().corner(side);
            if (!((side == Side.LEFT ? pose.left() : pose.right()) instanceof KnucklePose k)) {
                return;
            }
            Element knuckle = new Element.Knuckles();
            switch (corner.suspension()) {
                case DoubleWishbone w -> {
                    line(knuckle, Pen.WISHBONE, w.lowerInnerFront(), k.steerAxisLow(), w.lowerInnerRear());
                    line(knuckle, Pen.WISHBONE, w.upperInnerFront(), k.steerAxisHigh(), w.upperInnerRear());
                }
            }
            Vector over = k.steerAxis().direction().times(AXIS_OVERHANG);
            line(knuckle, Pen.STEER_AXIS, k.steerAxis().onGround(), k.steerAxisHigh().plus(over));
            line(new Element.SteeringArms(), Pen.STEERING_ARM, k.steerAxis().footOf(k.tieRodPoint()), k.tieRodPoint());
            line(new Element.TieRods(), Pen.TIE_ROD, k.tieRodInner(), k.tieRodPoint());
            Vector half = k.spin().times(job.vehicle().tyreWidth() / 2);
            double radius = corner.knuckle().wheelCentre().z();
            outline(new Element.Tyres(), Pen.TYRE,
                    cylinder(k.wheelCentre().plus(half), k.wheelCentre().plus(half.negated()), radius));
            if (side == Side.LEFT) {
                notes.add(new Note(new Element.TieRods(), k.tieRodInner().midwayTo(k.tieRodPoint()),
                        Quantity.length(k.tieRodInner().distanceTo(k.tieRodPoint()))));
                notes.add(new Note(new Element.SteeringArms(), k.tieRodPoint(), Quantity.length(k.steeringArm().norm())));
            }
            notes.add(new Note(new Element.Tyres(), k.contactPoint(), Quantity.angle(k.steerDeg())));
        }
    }
}
