package mildtilt.column;

import java.util.ArrayList;
import java.util.List;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;

/**
 * Everything from the steering wheel to the gear's input shaft.
 *
 * @param wheelDiameter rim diameter, mm
 * @param hub centre of the steering wheel hub, where the first shaft begins
 * @param hubFit how the first shaft sits in the hub
 * @param shafts one more than there are joints, from wheel to gear
 * @param joints from wheel to gear
 * @param gearInput where the last shaft ends in the gear
 * @param gearFit how the last shaft sits in the gear
 * @param firstForkDeg straight ahead, where the first fork pin stands about its shaft, from the direction
 *     axis0 × axis1; degrees
 */
public record Column(
        double wheelDiameter,
        Point hub,
        ForkFit hubFit,
        List<Shaft> shafts,
        List<Joint> joints,
        Point gearInput,
        ForkFit gearFit,
        double firstForkDeg) {

    /** Shorter than this a shaft has no reliable direction, mm. */
    public static final double SHORTEST_SHAFT = 0.01;

    /** @throws ImpossibleGeometryException naming the shaft that has no length, or the miscount */
    public Column {
        shafts = List.copyOf(shafts);
        joints = List.copyOf(joints);
        if (shafts.size() != joints.size() + 1) {
            throw new ImpossibleGeometryException("A column with " + joints.size() + " joints needs "
                    + (joints.size() + 1) + " shafts, but has " + shafts.size() + ".");
        }
        if (!(wheelDiameter > 0)) {
            throw new ImpossibleGeometryException("The steering wheel's diameter must be above 0.");
        }
        for (int i = 0; i < shafts.size(); i++) {
            Point from = i == 0 ? hub : joints.get(i - 1).centre();
            Point to = i == joints.size() ? gearInput : joints.get(i).centre();
            if (from.distanceTo(to) < SHORTEST_SHAFT) {
                throw new ImpossibleGeometryException(
                        "\"" + shafts.get(i).name() + "\" has no length: both its ends are in one place.");
            }
            boolean oneFork = i == 0 || i == joints.size();
            if (oneFork && shafts.get(i).clockingDeg() != 0) {
                throw new ImpossibleGeometryException("\"" + shafts.get(i).name()
                        + "\" has one fork only, so it has no clocking: only a shaft between two joints has.");
            }
        }
    }

    /** Hub, joint centres in order, gear input. */
    public List<Point> points() {
        List<Point> all = new ArrayList<>(joints.size() + 2);
        all.add(hub);
        joints.forEach(j -> all.add(j.centre()));
        all.add(gearInput);
        return all;
    }

    public double length(int shaft) {
        return start(shaft).distanceTo(end(shaft));
    }

    /** Axis of a shaft, pointing from wheel to gear. */
    public Direction axis(int shaft) {
        return end(shaft).minus(start(shaft)).direction();
    }

    public Point start(int shaft) {
        return shaft == 0 ? hub : joints.get(shaft - 1).centre();
    }

    public Point end(int shaft) {
        return shaft == joints.size() ? gearInput : joints.get(shaft).centre();
    }

    public boolean liesBetweenJoints(int shaft) {
        return shaft > 0 && shaft < joints.size();
    }

    /**
     * Length to cut a shaft to, mm: between joint centres, less each end's take-off, plus its engagement.
     * Zero or less means that there is no room for a shaft.
     */
    public double cutLength(int shaft) {
        ForkFit wheelEnd = shaft == 0 ? hubFit : joints.get(shaft - 1).gearSide();
        ForkFit gearEnd = shaft == joints.size() ? gearFit : joints.get(shaft).wheelSide();
        return length(shaft) - wheelEnd.shortening() - gearEnd.shortening();
    }

    public Column withHub(Point p) {
        return new Column(wheelDiameter, p, hubFit, shafts, joints, gearInput, gearFit, firstForkDeg);
    }

    public Column withGearInput(Point p) {
        return new Column(wheelDiameter, hub, hubFit, shafts, joints, p, gearFit, firstForkDeg);
    }

    public Column withJoint(int index, Joint joint) {
        List<Joint> changed = new ArrayList<>(joints);
        changed.set(index, joint);
        return new Column(wheelDiameter, hub, hubFit, shafts, changed, gearInput, gearFit, firstForkDeg);
    }

    public Column withShaft(int index, Shaft shaft) {
        List<Shaft> changed = new ArrayList<>(shafts);
        changed.set(index, shaft);
        return new Column(wheelDiameter, hub, hubFit, changed, joints, gearInput, gearFit, firstForkDeg);
    }

    public Column withFirstForkDeg(double deg) {
        return new Column(wheelDiameter, hub, hubFit, shafts, joints, gearInput, gearFit, deg);
    }

    public Column withWheelDiameter(double mm) {
        return new Column(mm, hub, hubFit, shafts, joints, gearInput, gearFit, firstForkDeg);
    }
}
