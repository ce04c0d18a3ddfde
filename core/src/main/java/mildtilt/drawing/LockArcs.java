package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.job.Vehicle;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Quantity;

/**
 * For the plan: the arcs of the arms' ends, the sector each wheel turns through up to where something stops it, and the
 * axes to the turning centre. Worked out once for a job, drawn for any position.
 *
 * @param over the whole lock at ride height, from the right to the left
 * @param travelled straight ahead and at either lock, at the ends of the travel
 * @param tyreHalf half of a tyre's width, mm
 */
record LockArcs(List<AxlePose.Assembled> over, List<AxlePose.Assembled> travelled, double tyreHalf) {

    static final LockArcs NONE = new LockArcs(List.of(), List.of(), 0);

    private static final int STEPS = 8;
    private static final double AXIS_LENGTH = 40_000;

    static LockArcs of(Job job, SteeringTrain train) {
        if (train.axle().isEmpty()
                || train.locked().isPresent()
                || train.pose(0, 0, 0).assembled().isEmpty()) {
            return NONE;
        }
        List<AxlePose.Assembled> over = new ArrayList<>();
        double right = LockLimits.stop(train, job, Side.RIGHT).steeringWheelDeg();
        double left = LockLimits.stop(train, job, Side.LEFT).steeringWheelDeg();
        for (int i = -STEPS; i <= STEPS; i++) {
            train.pose((i < 0 ? right : left) * Math.abs(i) / STEPS, 0, 0)
                    .assembled()
                    .ifPresent(over::add);
        }
        List<AxlePose.Assembled> travelled = new ArrayList<>();
        for (double[] travel : ends(job.vehicle(), train.requireAxle().wheelTravel())) {
            for (double turn : new double[] {right, 0, left}) {
                train.pose(turn, travel[0], travel[1]).assembled().ifPresent(travelled::add);
            }
        }
        return new LockArcs(over, travelled, job.vehicle().tyreWidth() / 2);
    }

    /** Travel of the left and of the right wheel at its ends, mm. */
    private static List<double[]> ends(Vehicle v, WheelTravel travel) {
        return switch (travel) {
            case FREE -> List.of(new double[] {v.bump(), v.bump()}, new double[] {-v.droop(), -v.droop()});
            case ROLL_ONLY -> List.of(new double[] {v.bump(), -v.bump()}, new double[] {-v.bump(), v.bump()});
            case NONE -> List.of();
        };
    }

    Sketch.Construction construction(AxlePose pose) {
        if (over.size() < 2 || pose.assembled().isEmpty()) {
            return Sketch.Construction.NONE;
        }
        List<Stroke> all = new ArrayList<>();
        List<Note> notes = new ArrayList<>();
        Optional<Element> arms = Optional.of(new Element.SteeringArms());
        Optional<Element> tyres = Optional.of(new Element.Tyres());
        for (Side side : Side.values()) {
            List<Point> sector = sector(side);
            all.add(new Stroke.Line(
                    arms,
                    Pen.LOCK_ARC,
                    over.stream().map(a -> a.knuckle(side).tieRodPoint()).toList()));
            all.add(new Stroke.Line(tyres, Pen.LOCK_ARC, sector));
            // Where the tyre stands at either lock: between them it sweeps.
            for (AxlePose.Assembled end : List.of(over.getFirst(), over.getLast())) {
                all.add(new Stroke.Outline(tyres, Pen.LOCK_ARC, tyre(end.knuckle(side))));
            }
            travelled.forEach(end -> all.add(new Stroke.Outline(tyres, Pen.ENVELOPE, tyre(end.knuckle(side)))));
            notes.add(lock(over.getFirst(), side, sector.get(1)));
            notes.add(lock(over.getLast(), side, sector.get(sector.size() - 2)));
            KnucklePose k = pose.assembled().get().knuckle(side);
            Vector flat = new Vector(k.spin().x(), k.spin().y(), 0);
            all.add(new Stroke.Line(
                    tyres,
                    Pen.TURN_AXIS,
                    List.of(
                            k.wheelCentre().plus(flat.times(AXIS_LENGTH)),
                            k.wheelCentre().plus(flat.times(-AXIS_LENGTH)))));
        }
        return new Sketch.Construction(all, notes);
    }

    private List<Point> tyre(KnucklePose at) {
        Vector half = at.spin().times(tyreHalf);
        // The tyre's radius is the height of its middle at ride height.
        double radius =
                over.get(over.size() / 2).knuckle(Side.LEFT).wheelCentre().z();
        return Sketch.cylinder(at.wheelCentre().plus(half), at.wheelCentre().plus(half.negated()), radius);
    }

    private static Note lock(AxlePose.Assembled at, Side side, Point where) {
        return new Note(
                new Element.Tyres(),
                where,
                Quantity.angle(Math.abs(at.knuckle(side).steerDeg())));
    }

    /** From the wheel's middle out to the tread, along the treads of all headings, and back. */
    private List<Point> sector(Side side) {
        List<Point> points = new ArrayList<>();
        KnucklePose middle = over.get(over.size() / 2).knuckle(side);
        points.add(middle.wheelCentre());
        for (AxlePose.Assembled a : over) {
            KnucklePose k = a.knuckle(side);
            Vector forward = k.spin().times(side.sign()).cross(Vector.Z);
            points.add(k.wheelCentre()
                    .plus(forward.times(1.12 * middle.wheelCentre().z() / forward.norm())));
        }
        points.add(middle.wheelCentre());
        return points;
    }
}
