package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.measure.Quantity;
import mildtilt.steer.AxlePose;
import mildtilt.steer.SteeringTrain;
import mildtilt.suspension.KnucklePose;

/** For the plan: the arcs of the arms' ends, the sector each wheel turns through, and the axes to the turning centre. */
final class LockSketch {

    private static final int STEPS = 8;
    private static final double AXIS_LENGTH = 40_000;

    private LockSketch() {}

    static Sketch.Construction of(SteeringTrain train, AxlePose pose) {
        List<Stroke> all = new ArrayList<>();
        List<Note> notes = new ArrayList<>();
        if (train.axle().isEmpty() || train.locked().isPresent() || pose.assembled().isEmpty()) {
            return Sketch.Construction.NONE;
        }
        List<AxlePose.Assembled> over = new ArrayList<>();
        for (int i = -STEPS; i <= STEPS; i++) {
            double stop = train.stopDeg(i < 0 ? Side.RIGHT : Side.LEFT).orElseThrow();
            train.pose(stop * Math.abs(i) / STEPS, 0, 0).assembled().ifPresent(over::add);
        }
        for (Side side : Side.values()) {
            Optional<Element> arms = Optional.of(new Element.SteeringArms());
            Optional<Element> tyres = Optional.of(new Element.Tyres());
            if (over.size() > 1) {
                all.add(new Stroke.Line(arms, Pen.LOCK_ARC, over.stream().map(a -> a.knuckle(side).tieRodPoint()).toList()));
                List<Point> sector = sector(over, side);
                all.add(new Stroke.Line(tyres, Pen.LOCK_ARC, sector));
                notes.add(new Note(new Element.Tyres(), sector.get(1), Quantity.angle(over.getFirst().knuckle(side).steerDeg())));
                notes.add(new Note(new Element.Tyres(), sector.get(sector.size() - 2), Quantity.angle(over.getLast().knuckle(side).steerDeg())));
            }
            KnucklePose k = pose.assembled().get().knuckle(side);
            Vector flat = new Vector(k.spin().x(), k.spin().y(), 0);
            all.add(new Stroke.Line(tyres, Pen.TURN_AXIS, List.of(k.wheelCentre().plus(flat.times(AXIS_LENGTH)),
                    k.wheelCentre().plus(flat.times(-AXIS_LENGTH)))));
        }
        return new Sketch.Construction(all, notes);
    }

    /** From the wheel's middle out to the tread, along the treads of all headings, and back. */
    private static List<Point> sector(List<AxlePose.Assembled> over, Side side) {
        List<Point> points = new ArrayList<>();
        KnucklePose middle = over.get(over.size() / 2).knuckle(side);
        points.add(middle.wheelCentre());
        for (AxlePose.Assembled a : over) {
            KnucklePose k = a.knuckle(side);
            Vector forward = k.spin().times(side.sign()).cross(Vector.Z);
            points.add(k.wheelCentre().plus(forward.times(1.12 * middle.wheelCentre().z() / forward.norm())));
        }
        points.add(middle.wheelCentre());
        return points;
    }
}
