package mildtilt.clearance.bodies;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import mildtilt.clearance.bodies.Body.Sort;
import mildtilt.column.Column;
import mildtilt.column.FollowingColumn;
import mildtilt.column.Joint;
import mildtilt.columnrange.ColumnRange;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.NamedPart;
import mildtilt.job.Element;
import mildtilt.job.FixedPart;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.OwnParts;
import mildtilt.solid.Convex;
import mildtilt.solid.Solid;
import mildtilt.steer.position.AxlePose;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** The column's parts as solids: what the hands hold, tube, shafts and joints. */
final class ColumnBodies {

    /** Sectors that a ring is made of. */
    private static final int SECTORS = 24;

    private static final double BAR_RADIUS = 12.5;
    private static final double HALF_HAND = 45;
    /** Of the steering wheel's rim, mm. */
    private static final double RIM_RADIUS = 14;

    private final Job job;
    private final Column c;
    private final OwnParts own;
    /** The first point of the column that goes with a gear on the axle; past the last one where none does. */
    private final int firstWithGear;

    private final List<Body> all = new ArrayList<>();
    private final List<Phrase> assumed = new ArrayList<>();

    ColumnBodies(Job job, Column column) {
        this.job = job;
        c = column;
        own = job.surroundings().own();
        firstWithGear = job.axle()
                .filter(SteeredAxle::gearOnAxle)
                .filter(_ -> FollowingColumn.canFollow(column))
                .map(_ -> FollowingColumn.firstToFollow(column) + 1)
                .orElse(Integer.MAX_VALUE);
        column();
    }

    List<Body> all() {
        return all;
    }

    /** Sizes that were taken for want of the job's own. */
    List<Phrase> assumed() {
        return assumed;
    }

    private void column() {
        double moves = c.installation().frameMovement();
        int joints = c.joints().size();
        if (c.wheel().bar().isPresent()) {
            handBar(moves);
        } else {
            steeringWheel(moves);
        }
        c.tube()
                .ifPresent(t -> onColumn(
                        FixedPart.COLUMN_TUBE.called(),
                        new Element.Tube(),
                        Sort.TUBE,
                        own.gap(),
                        moves,
                        s -> List.of(at(s, 0), at(s, 1)),
                        s -> {
                            Vector along = at(s, 1).minus(at(s, 0)).direction().vector();
                            return Solid.of(Convex.cylinder(
                                    at(s, 0).plus(along.times(t.from() - t.beyond())),
                                    at(s, 0).plus(along.times(t.to() + t.beyond())),
                                    t.outside() / 2,
                                    0));
                        }));
        for (int i = 0; i <= joints; i++) {
            int shaft = i;
            // The first shaft and the first joint hang on the body, all that follows on the frame.
            ofColumn(
                    follows(i + 1),
                    onAxle(i),
                    moved(i) || moved(i + 1),
                    new NamedPart(c.shafts().get(i).id(), c.shafts().get(i).name()),
                    new Element.ShaftAt(i),
                    i == joints ? Sort.STUB : Sort.SHAFT,
                    own.gap(),
                    i < 2 ? moves : 0,
                    s -> List.of(at(s, shaft), at(s, shaft + 1)),
                    s -> Solid.of(Convex.bar(
                            at(s, shaft),
                            at(s, shaft + 1),
                            c.shafts().get(shaft).diameter() / 2)),
                    Body.GIVEN);
        }
        for (int i = 0; i < joints; i++) {
            joint(i, i == 0 ? moves : 0);
        }
    }

    /** A point of the column: hub, joints, gear input. Where the gear is on the axle, the last ones go with it. */
    private Point at(Configuration s, int point) {
        Point p = s.columnPoint(point);
        return point >= firstWithGear ? Bodies.gearMove(s).moved(p) : p;
    }

    /** Whether a part of the column goes with a gear on the axle. @param lastPoint its end toward the gear */
    private boolean follows(int lastPoint) {
        return lastPoint >= firstWithGear;
    }

    /** What a part of the column is fixed to, where all of it goes with the axle. */
    private Set<Carrier> onAxle(int firstPoint) {
        return firstPoint >= firstWithGear ? Set.of(Carrier.AXLE) : Set.of();
    }

    /** Whether the steering wheel's adjustment carries a point of the column. */
    private boolean moved(int point) {
        return ColumnRange.placings(c).stream()
                .anyMatch(p -> p.points().get(point).distanceTo(c.points().get(point)) > 1e-9);
    }

    private void onColumn(
            NamedPart part,
            Element element,
            Sort sort,
            double need,
            double extra,
            Function<Configuration, List<Point>> markers,
            Function<Configuration, Solid> solid) {
        ofColumn(follows(1), Set.of(), true, part, element, sort, need, extra, markers, solid, Body.GIVEN);
    }

    private void ofColumn(
            boolean follows,
            Set<Carrier> carriers,
            boolean moves,
            NamedPart part,
            Element element,
            Sort sort,
            double need,
            double extra,
            Function<Configuration, List<Point>> markers,
            Function<Configuration, Solid> solid,
            Body.Guess guess) {
        all.add(new Body(
                part.id(),
                part.name(),
                element,
                sort,
                Optional.empty(),
                need,
                extra,
                follows,
                moves,
                false,
                carriers,
                markers,
                solid,
                guess));
    }

    private void joint(int index, double moves) {
        Joint j = c.joints().get(index);
        double swing = SweptJoint.swing(j, c.shafts().get(index), c.shafts().get(index + 1));
        if (j.swingDiameter().isEmpty()) {
            assumed.add(Phrase.of(Phrase.name(j.name()) + " swinging {0}", Quantity.length(swing)));
        }
        ofColumn(
                follows(index + 2),
                onAxle(index + 1),
                moved(index) || moved(index + 1) || moved(index + 2),
                new NamedPart(j.id(), j.name()),
                new Element.JointAt(index),
                Sort.JOINT,
                own.gap(),
                moves,
                s -> List.of(at(s, index), at(s, index + 1), at(s, index + 2)),
                s -> swept(s, index, j, swing),
                j.swingDiameter().isPresent()
                        ? Body.GIVEN
                        : new Body.Guess.Size(s -> swept(s, index, j, swing * OwnParts.LEAST_PART)));
    }

    private Solid swept(Configuration s, int index, Joint j, double swing) {
        return new Solid.Parts(SweptJoint.parts(at(s, index), at(s, index + 1), at(s, index + 2), j, swing));
    }

    private void steeringWheel(double moves) {
        onColumn(
                FixedPart.STEERING_WHEEL.called(),
                new Element.Wheel(),
                Sort.STEERING_WHEEL,
                own.gap(),
                moves,
                s -> rimMarkers(s),
                s -> rim(s, RIM_RADIUS));
        if (job.surroundings().driver().isPresent()) {
            onColumn(
                    FixedPart.HANDS.called(),
                    new Element.Wheel(),
                    Sort.HANDS,
                    0,
                    moves,
                    s -> rimMarkers(s),
                    s -> rim(s, Driver.KNUCKLES));
        }
    }

    /** Unlike a rim, a bar takes other room with every turn of it. */
    private void handBar(double moves) {
        if (job.axle().isEmpty()) {
            assumed.add(
                    Phrase.of("the " + c.wheel().label() + " straight ahead, for without an axle no lock is known"));
        }
        Function<Configuration, List<List<Point>>> runs = s -> c.handRuns(
                at(s, 0), at(s, 1), s.pose().map(AxlePose::steeringWheelDeg).orElse(0.0));
        Function<Configuration, List<Point>> markers =
                s -> runs.apply(s).stream().flatMap(List::stream).toList();
        ofColumn(
                true,
                Set.of(),
                true,
                new NamedPart(
                        FixedPart.STEERING_WHEEL.called().id(),
                        c.wheel().bar().orElseThrow().kind().part()),
                new Element.Wheel(),
                Sort.STEERING_WHEEL,
                own.gap(),
                moves,
                markers,
                s -> new Solid.Parts(runs.apply(s).stream()
                        .flatMap(run -> Bodies.bars(run, 2 * BAR_RADIUS).parts().stream())
                        .toList()),
                Body.GIVEN);
        if (job.surroundings().driver().isPresent()) {
            ofColumn(
                    true,
                    Set.of(),
                    true,
                    FixedPart.HANDS.called(),
                    new Element.Wheel(),
                    Sort.HANDS,
                    0,
                    moves,
                    markers,
                    s -> new Solid.Parts(
                            runs.apply(s).stream().map(ColumnBodies::hand).toList()),
                    Body.GIVEN);
        }
    }

    /** A closed hand about the end of a bar. */
    private static Convex hand(List<Point> run) {
        Point grip = run.getLast();
        Vector along = grip.minus(run.get(run.size() - 2)).direction().times(HALF_HAND);
        return Convex.bar(grip.plus(along.negated()), grip.plus(along), Driver.KNUCKLES);
    }

    /** A square about the rim. */
    private List<Point> rimMarkers(Configuration s) {
        Direction axis = at(s, 1).minus(at(s, 0)).direction();
        Vector u = axis.anySquare().times(c.wheel().diameter() / 2);
        Vector v = axis.cross(u);
        return List.of(
                at(s, 0).plus(u.plus(v)),
                at(s, 0).plus(u.minus(v)),
                at(s, 0).plus(v.minus(u)),
                at(s, 0).plus(u.plus(v).negated()));
    }

    private Solid rim(Configuration s, double thickness) {
        Direction axis = at(s, 1).minus(at(s, 0)).direction();
        Vector u = axis.anySquare().vector();
        Vector v = axis.cross(u);
        // Chords that swing as far outside the circle as inside it.
        double r = c.wheel().diameter() / 2 * 2 / (1 + Math.cos(Math.PI / SECTORS));
        List<Point> round = IntStream.rangeClosed(0, SECTORS)
                .mapToObj(i -> {
                    double a = 2 * Math.PI * i / SECTORS;
                    return at(s, 0).plus(u.times(r * Math.cos(a))).plus(v.times(r * Math.sin(a)));
                })
                .toList();
        return Bodies.bars(round, 2 * thickness);
    }
}
