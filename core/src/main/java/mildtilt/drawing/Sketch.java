package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Quantity;

/**
 * A job's steering at one position, as strokes and figures in space.
 *
 * @param construction lines that explain rather than show parts: arcs of the arms, lock sectors, axes to the
 *     turning centre; they do not settle how far a view reaches
 */
public record Sketch(List<Stroke> strokes, List<Note> notes, Construction construction) {

    /** Strokes and figures that explain. */
    public record Construction(List<Stroke> strokes, List<Note> notes) {

        static final Construction NONE = new Construction(List.of(), List.of());

        public Construction {
            strokes = List.copyOf(strokes);
            notes = List.copyOf(notes);
        }
    }

    private static final int CIRCLE_POINTS = 48;
    private static final double JOINT_RADIUS = 26;
    /** Figures that are shown alike, mm or degrees. */
    private static final double ALIKE = 0.05;

    private static final double BEARING_WIDTH = 16;
    private static final double BEARING_WALL = 11;

    public Sketch {
        strokes = List.copyOf(strokes);
        notes = List.copyOf(notes);
    }

    public Sketch(List<Stroke> strokes, List<Note> notes) {
        this(strokes, notes, Construction.NONE);
    }

    /** Whether a figure of the right lies behind the same one of the left, as seen from the side. */
    public boolean hides(Note note, Elevation elevation) {
        return elevation == Elevation.SIDE
                && note.at().y() < 0
                && notes.stream()
                        .anyMatch(n -> n != note
                                && n.element().equals(note.element())
                                && n.at().y() > 0
                                && Math.abs(n.figure().value() - note.figure().value()) < ALIKE);
    }

    /** Straight ahead at ride height, without construction. */
    public static Sketch ofDesign(Job job, SteeringTrain train) {
        return of(job, train, 0, 0, 0, train.axle().map(_ -> train.pose(0, 0, 0)), Backdrop.withoutArcs(job, train));
    }

    /**
     * @param pose of the axle, if the job has one; a corner that can't be assembled is left out
     * @param backdrop of this job and train
     */
    public static Sketch of(
            Job job,
            SteeringTrain train,
            double steeringWheelDeg,
            double travelLeft,
            double travelRight,
            Optional<AxlePose> pose,
            Backdrop backdrop) {
        Builder b = new Builder();
        train.columnAt(pose.map(p -> p.stance().gearMove()).orElse(RigidMove.NONE))
                .ifPresent(c -> b.column(c, steeringWheelDeg));
        pose.ifPresent(p -> new AxleSketch(b, job, train.requireAxle(), p).draw());
        b.strokes.addAll(backdrop.standing());
        ObstacleSketch.drawMoving(b, job, train, pose, travelLeft, travelRight);
        Construction construction =
                pose.map(p -> backdrop.arcs().construction(p)).orElse(Construction.NONE);
        return new Sketch(b.strokes, b.notes, construction);
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

    static List<Point> cylinder(Point from, Point to, double radius) {
        Direction axis = to.minus(from).direction();
        List<Point> all = circle(from, axis, radius);
        all.addAll(circle(to, axis, radius));
        return all;
    }

    /** Gathers strokes and figures. */
    static final class Builder {
        final List<Stroke> strokes = new ArrayList<>();
        final List<Note> notes = new ArrayList<>();

        void line(Element e, Pen pen, Point... points) {
            strokes.add(new Stroke.Line(Optional.of(e), pen, List.of(points)));
        }

        void outline(Element e, Pen pen, List<Point> points) {
            strokes.add(new Stroke.Outline(Optional.of(e), pen, points));
        }

        private void rim(Column c, Direction axis, double steeringWheelDeg) {
            Element wheel = new Element.Wheel();
            strokes.add(new Stroke.Line(
                    Optional.of(wheel),
                    Pen.STEERING_WHEEL,
                    circle(c.hub(), axis, c.wheel().diameter() / 2)));
            // The spoke that stands at the top straight ahead shows how far the wheel is turned.
            Vector top = Vector.Z.minus(axis.times(axis.z()));
            Vector up = top.norm() > 1e-6
                    ? top.direction().vector()
                    : axis.anySquare().vector();
            Vector spoke = axis.turn(up, -Math.toRadians(steeringWheelDeg))
                    .times(c.wheel().diameter() / 2);
            line(wheel, Pen.STEERING_WHEEL, c.hub(), c.hub().plus(spoke));
        }

        void column(ColumnTrain train, double steeringWheelDeg) {
            Column c = train.column();
            Element wheel = new Element.Wheel();
            Direction axis = c.axis(0);
            if (c.wheel().bar().isPresent()) {
                c.handRuns(c.hub(), c.end(0), steeringWheelDeg)
                        .forEach(run -> line(wheel, Pen.STEERING_WHEEL, run.toArray(Point[]::new)));
            } else {
                rim(c, axis, steeringWheelDeg);
            }
            for (int i = 0; i < c.shafts().size(); i++) {
                Element shaft = new Element.ShaftAt(i);
                line(shaft, Pen.SHAFT, c.start(i), c.end(i));
                notes.add(Note.between(shaft, c.start(i), c.end(i)));
            }
            c.tube()
                    .ifPresent(t -> outline(
                            new Element.Tube(),
                            Pen.TUBE,
                            cylinder(
                                    c.hub().plus(axis.times(t.from())),
                                    c.hub().plus(axis.times(t.to())),
                                    t.outside() / 2)));
            for (int i = 0; i < c.bearings().size(); i++) {
                bearing(c, i);
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

        private void bearing(Column c, int index) {
            Bearing b = c.bearings().get(index);
            Vector half = c.axis(b.shaft()).times(BEARING_WIDTH / 2);
            Point at = c.place(b);
            outline(
                    new Element.BearingAt(index),
                    Pen.BEARING,
                    cylinder(at.plus(half.negated()), at.plus(half), b.bore() / 2 + BEARING_WALL));
        }

        private void pin(Element joint, Point centre, Direction along) {
            line(joint, Pen.FORK_PIN, centre.plus(along.times(JOINT_RADIUS)), centre.plus(along.times(-JOINT_RADIUS)));
        }
    }
}
