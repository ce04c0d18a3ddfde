package mildtilt.routes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.clearance.bodies.SweptJoint;
import mildtilt.column.Adjustment;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.GearInput;
import mildtilt.column.Joint;
import mildtilt.column.JointKind;
import mildtilt.column.Shaft;
import mildtilt.column.YokeDimensions;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.columnrange.ColumnRange;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.job.Job;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/**
 * What a route begins and ends with, and the parts it is made of: those of the job's column, its first and last joint
 * and shaft in
 * their places, more of the first joint and of the shaft between where more are needed.
 */
final class RouteEnds {

    /** Room between the faces of two hubs, or of a hub and a bearing, mm. */
    static final double ROOM = 12;

    /** Two axes this near to parallel are one, rad. */
    private static final double STRAIGHT = Math.toRadians(1);

    final Job job;
    final Column column;
    final RouteQuestion question;
    final List<WheelSet> sets;
    final Optional<Axis> rack;
    /** For joints and shafts that the column does not have yet, by their place. */
    private final List<Id> spareJoints;

    private final List<Id> spareShafts;

    /** A setting of the steering wheel. @param words empty as planned */
    record WheelSet(String words, double tiltUp, Point hub, Direction axis) {}

    RouteEnds(Job job, RouteQuestion question) {
        this.job = job;
        this.question = question;
        column = job.column().orElseThrow();
        rack = job.axle()
                .flatMap(a -> a.gear() instanceof RackAndPinion r
                        ? Optional.of(new Axis(r.centre(), r.axis()))
                        : Optional.empty());
        sets = sets();
        spareJoints = spare(Id.Kind.JOINT);
        spareShafts = spare(Id.Kind.SHAFT);
    }

    private List<Id> spare(Id.Kind kind) {
        List<Id> all = column.partIds().collect(Collectors.toCollection(ArrayList::new));
        int there = all.size();
        for (int i = 0; i <= Column.MOST_JOINTS; i++) {
            all.add(kind.next(all));
        }
        return List.copyOf(all.subList(there, all.size()));
    }

    private List<WheelSet> sets() {
        Adjustment a = column.wheel().adjustment();
        List<WheelSet> all = new ArrayList<>();
        Stream<Double> tilts = question.wheelFree()
                ? Stream.of(0.0, a.tiltUpDeg(), -a.tiltDownDeg()).distinct()
                : Stream.of(0.0);
        tilts.forEach(t -> {
            List<Point> p = ColumnRange.pointsAt(column, 0, t);
            all.add(new WheelSet(
                    t == 0 ? "" : t > 0 ? "wheel planned tilted up" : "wheel planned tilted down",
                    t,
                    p.get(0),
                    p.get(1).minus(p.get(0)).direction()));
        });
        return all;
    }

    /** The way the gear's input points, into the gear: as measured, else as planned. */
    Direction gearAxis() {
        return column.gear().axis().orElseGet(() -> column.axis(column.shafts().size() - 1));
    }

    /** Whether the wheel's axis as planned runs into the gear's input, and along it, without a joint. */
    boolean straight() {
        return column.joints().isEmpty()
                && column.gear()
                        .axis()
                        .map(a -> a.angleTo(column.axis(0)) < STRAIGHT)
                        .orElse(true);
    }

    RigidMove tilt(double deg) {
        return deg == 0
                ? RigidMove.NONE
                : rack.map(r -> RigidMove.about(r, Math.toRadians(deg))).orElse(RigidMove.NONE);
    }

    Point gearInput(double tiltDeg) {
        return tilt(tiltDeg).moved(column.gearInput());
    }

    /** Whether one joint may stand anywhere: only where the column is still free to be aimed at it. */
    boolean columnFree() {
        return column.installation().columnAxis().isEmpty();
    }

    /** From the hub to the nearest place of the first joint, mm. */
    double leastAlongColumn() {
        double tube = column.tube().map(t -> t.to() + ROOM / 2).orElse(0.3 * column.length(0));
        return tube + joint(0, 2).wheelSide().takeOff();
    }

    double leastAlongGear() {
        return joint(1, 2).gearSide().takeOff() + column.gear().fit().takeOff() + ROOM;
    }

    /** The joint at a place of a route, its centre as it may be. */
    Joint joint(int index, int joints) {
        List<Joint> all = column.joints();
        if (all.isEmpty()) {
            return Joint.single(
                            spareJoints.get(index),
                            "Joint " + (index + 1),
                            column.gearInput(),
                            new JointKind.Single().usualLimitDeg(),
                            new YokeDimensions(40, 26),
                            new YokeDimensions(40, 26))
                    .withTypical(true);
        }
        Joint first = all.getFirst();
        Joint last = all.getLast();
        if (joints == 1) {
            return first.withFits(first.wheelSide(), last.gearSide())
                    .withMaxAngleDeg(Math.min(first.maxAngleDeg(), last.maxAngleDeg()));
        }
        if (index == 0) {
            return all.size() == 1 ? first.withFits(first.wheelSide(), first.wheelSide()) : first;
        }
        if (index == joints - 1) {
            return all.size() == 1
                    ? last.withId(spareJoints.get(index))
                            .withName(last.name() + " 2")
                            .withFits(last.gearSide(), last.gearSide())
                    : last;
        }
        if (joints == all.size()) {
            return all.get(index);
        }
        return first.withId(spareJoints.get(index))
                .withName(joints == 3 ? "Middle joint" : "Middle joint " + index)
                .withFits(first.gearSide(), first.gearSide());
    }

    Shaft shaft(int index, int joints) {
        List<Shaft> all = column.shafts();
        if (index == 0) {
            return all.getFirst();
        }
        if (index == joints) {
            return all.size() == 1
                    ? all.getFirst()
                            .withId(spareShafts.get(index))
                            .withName("Gear stub")
                            .withEnds(Optional.empty(), all.getFirst().gearEnd())
                    : all.getLast();
        }
        if (joints == column.joints().size()) {
            return all.get(index);
        }
        Shaft model = all.size() > 2
                ? all.get(1)
                : all.getFirst()
                        .withId(spareShafts.get(index))
                        .withEnds(Optional.empty(), Optional.empty())
                        .withToCut(true)
                        .withName("Lower shaft");
        return index == 1
                ? model
                : model.withId(spareShafts.get(index))
                        .withName(joints == 3 ? "Middle shaft" : "Middle shaft " + (index - 1))
                        .withSlide(Optional.empty());
    }

    double limitDeg(int index, int joints) {
        return ColumnFigures.limitDeg(joint(index, joints), job.rules());
    }

    double swing(int index, int joints) {
        return SweptJoint.swing(joint(index, joints), shaft(index, joints), shaft(index + 1, joints));
    }

    /** Hub, joints and gear input of a way. */
    List<Point> points(RouteParameters way) {
        WheelSet set = sets.get(way.set());
        double tilt = way.numbers()[RouteParameters.TILT];
        RigidMove move = tilt(tilt);
        Point input = move.moved(column.gearInput());
        Point last = input.plus(move.turned(gearAxis().vector()).times(-way.numbers()[RouteParameters.ALONG_GEAR]));
        List<Point> all = new ArrayList<>();
        Point hub = hub(way);
        all.add(hub);
        if (way.numbers()[RouteParameters.ALONG_COLUMN] > 0) {
            all.add(hub.plus(set.axis.times(way.numbers()[RouteParameters.ALONG_COLUMN])));
        }
        for (int i = 0; i < way.between(); i++) {
            all.add(way.point(i));
        }
        all.add(last);
        all.add(input);
        return all;
    }

    /** The wheel's hub, set by spacers and brackets as a way has it. */
    private Point hub(RouteParameters way) {
        WheelSet set = sets.get(way.set());
        return set.hub
                .plus(Vector.Z.times(way.numbers()[RouteParameters.WHEEL_UP]))
                .plus(set.axis.times(way.numbers()[RouteParameters.WHEEL_ALONG]));
    }

    /** How the wheel is set, in words; empty as planned. */
    Phrase wheel(RouteParameters way) {
        String set = sets.get(way.set()).words;
        List<Phrase> spacers = spacers(way);
        return joined(
                set.isEmpty()
                        ? spacers
                        : Stream.concat(Stream.of(Phrase.of(set)), spacers.stream())
                                .toList());
    }

    /** What spacers and brackets do to the wheel, one for each way; none as planned. */
    List<Phrase> spacers(RouteParameters way) {
        double up = way.numbers()[RouteParameters.WHEEL_UP];
        double along = way.numbers()[RouteParameters.WHEEL_ALONG];
        List<Phrase> all = new ArrayList<>();
        if (up != 0) {
            all.add(Phrase.of("wheel {0} " + (up > 0 ? "higher" : "lower"), Quantity.length(Math.abs(up))));
        }
        if (along != 0) {
            all.add(Phrase.of(
                    "wheel {0} " + (along > 0 ? "farther from" : "nearer to") + " the driver",
                    Quantity.length(Math.abs(along))));
        }
        return all;
    }

    static Phrase joined(List<Phrase> all) {
        Phrase one = Phrase.of("");
        for (int i = 0; i < all.size(); i++) {
            one = one.then(i == 0 ? "" : ", ").then(all.get(i));
        }
        return one;
    }

    /** Bearings of the first shaft stay where they are. */
    private List<Bearing> onFirstShaft(double length) {
        return column.bearings().stream()
                .filter(b -> b.shaft() == 0 && b.along() < length - ROOM)
                .toList();
    }

    /** The job with the column led so: parts, wheel and gear in place; neither bearings nor clocking. */
    Job built(RouteParameters way) {
        List<Point> p = points(way);
        int joints = p.size() - 2;
        List<Joint> all = new ArrayList<>();
        List<Shaft> shafts = new ArrayList<>();
        for (int i = 0; i < joints; i++) {
            all.add(joint(i, joints).withCentre(p.get(i + 1)));
        }
        for (int i = 0; i <= joints; i++) {
            boolean between = i > 0 && i < joints;
            shafts.add(between ? shaft(i, joints) : shaft(i, joints).withClockingDeg(0));
        }
        WheelSet set = sets.get(way.set());
        Adjustment a = column.wheel().adjustment();
        RigidMove move = tilt(way.numbers()[RouteParameters.TILT]);
        GearInput gear = column.gear()
                .withPoint(p.getLast())
                .withAxis(column.gear().axis().map(d -> move.turned(d.vector()).direction()));
        Column c = new Column(
                column.wheel()
                        .withHub(hub(way))
                        .withAdjustment(a.withTilt(a.tiltUpDeg() - set.tiltUp, a.tiltDownDeg() + set.tiltUp)),
                shafts,
                all,
                gear,
                column.firstForkDeg(),
                column.tube(),
                onFirstShaft(p.get(0).distanceTo(p.get(1))),
                column.installation()
                        .withColumnAxis(column.installation().columnAxis().map(_ -> set.axis)));
        Job built = job.withColumn(question.hole()
                .map(h -> c.withInstallation(c.installation()
                        .withBulkhead(c.installation()
                                .bulkhead()
                                .or(() -> Optional.of(h.centre().x())))))
                .orElse(c));
        return question.hole()
                .map(h -> RouteHole.leftOut(built, h, points(way)))
                .orElse(built);
    }
}
