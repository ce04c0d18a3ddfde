package mildtilt.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.id.Id;
import mildtilt.withers.Withers;

/**
 * Everything from the steering wheel to the gear's input shaft.
 *
 * @param shafts one more than there are joints, from wheel to gear
 * @param joints from wheel to gear
 * @param firstForkDeg straight ahead, where the first fork pin stands about its shaft, from the direction
 *     axis0 × axis1; degrees
 * @param tube round the first shaft, if it has one
 * @param bearings besides those of the tube and of the gear
 */
@Withers
public record Column(
        SteeringWheel wheel,
        List<Shaft> shafts,
        List<Joint> joints,
        GearInput gear,
        double firstForkDeg,
        Optional<ColumnTube> tube,
        List<Bearing> bearings,
        Installation installation)
        implements ColumnBuilder.With {

    /** Shorter than this a shaft has no reliable direction, mm. */
    public static final double SHORTEST_SHAFT = 0.01;

    public static final int MOST_JOINTS = 8;

    private static final double SHORTEST_HAND = 30;

    /** @throws ImpossibleGeometryException naming the shaft that has no length, or the miscount */
    public Column {
        shafts = List.copyOf(shafts);
        joints = List.copyOf(joints);
        bearings = List.copyOf(bearings);
        if (joints.size() > MOST_JOINTS) {
            throw new ImpossibleGeometryException(
                    "A column can have up to " + MOST_JOINTS + " joints, not " + joints.size() + ".");
        }
        if (shafts.size() != joints.size() + 1) {
            throw new ImpossibleGeometryException("A column with " + joints.size() + " joints needs "
                    + (joints.size() + 1) + " shafts, but has " + shafts.size() + ".");
        }
        for (int i = 0; i < shafts.size(); i++) {
            Point from = i == 0 ? wheel.hub() : joints.get(i - 1).centre();
            Point to = i == joints.size() ? gear.point() : joints.get(i).centre();
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
        mustTurn(wheel, end(0, joints, gear));
        mustDiffer("shafts", shafts, Shaft::id);
        mustDiffer("joints", joints, Joint::id);
        mustDiffer("bearings", bearings, Bearing::id);
        for (Bearing b : bearings) {
            if (b.shaft() >= shafts.size()) {
                throw new ImpossibleGeometryException("\"" + b.name() + "\" sits on shaft " + (b.shaft() + 1)
                        + ", but there are only " + shafts.size() + ".");
            }
        }
    }

    private static <T> void mustDiffer(String what, List<T> parts, Function<T, Id> id) {
        // A column that follows a moving gear is made anew at every place, so no set is made for a handful of parts.
        for (int i = 1; i < parts.size(); i++) {
            Id one = id.apply(parts.get(i));
            for (int j = 0; j < i; j++) {
                if (id.apply(parts.get(j)).equals(one)) {
                    throw new ImpossibleGeometryException(
                            "Two " + what + " have the id \"" + one + "\"; give each its own.");
                }
            }
        }
    }

    /** With nothing said of what holds it. */
    public Column(SteeringWheel wheel, List<Shaft> shafts, List<Joint> joints, GearInput gear) {
        this(wheel, shafts, joints, gear, 0, Optional.empty(), List.of(), Installation.FREE);
    }

    /** Of all shafts, joints and bearings. */
    public Stream<Id> partIds() {
        return Stream.of(
                        shafts.stream().map(Shaft::id),
                        joints.stream().map(Joint::id),
                        bearings.stream().map(Bearing::id))
                .flatMap(s -> s);
    }

    /** The place of a shaft in the row, 0 the one at the wheel. */
    public Optional<Integer> shaft(Id id) {
        return IntStream.range(0, shafts.size())
                .boxed()
                .filter(i -> shafts.get(i).id().equals(id))
                .findFirst();
    }

    /** The place of a joint in the row, 0 the one nearest the wheel. */
    public Optional<Integer> joint(Id id) {
        return IntStream.range(0, joints.size())
                .boxed()
                .filter(i -> joints.get(i).id().equals(id))
                .findFirst();
    }

    public Optional<Bearing> bearing(Id id) {
        return bearings.stream().filter(b -> b.id().equals(id)).findFirst();
    }

    /** With other ids where {@code to} gives one. */
    public Column renamed(UnaryOperator<Id> to) {
        return withTrain(
                shafts.stream().map(s -> s.withId(to.apply(s.id()))).toList(),
                joints.stream().map(j -> j.withId(to.apply(j.id()))).toList(),
                bearings.stream().map(b -> b.withId(to.apply(b.id()))).toList());
    }

    public Point hub() {
        return wheel.hub();
    }

    /** @param next where the first shaft ends */
    private static void mustTurn(SteeringWheel wheel, Point next) {
        wheel.bar().ifPresent(b -> {
            if (b.grips().stream().anyMatch(g -> offAxis(g, wheel.hub(), next) < SHORTEST_HAND)) {
                throw new ImpossibleGeometryException("The " + b.kind().held() + " of the "
                        + b.kind().label() + " must lie at least " + (int) SHORTEST_HAND
                        + " mm off the line of the column: nearer to it a hand turns nothing.");
            }
        });
    }

    private static Point end(int shaft, List<Joint> joints, GearInput gear) {
        return shaft == joints.size() ? gear.point() : joints.get(shaft).centre();
    }

    private static double offAxis(Vector grip, Point hub, Point next) {
        return Axis.through(hub, next).distanceTo(hub.plus(grip));
    }

    /**
     * From the axis of the first shaft to where the hands pull, mm; the mean of both grips, which stand unequally far
     * where
     * the shaft does not point straight fore and aft, for both hands pull alike.
     */
    public double handRadius() {
        return wheel.bar()
                .flatMap(b -> b.grips().stream().mapToDouble(g -> offAxis(g, hub(), end(0))).average().stream()
                        .boxed()
                        .findFirst())
                .orElse(wheel.diameter() / 2);
    }

    /**
     * How a bar runs from the hub to each grip as it is turned, the hub first, the left side before the right; none
     * where it
     * is a wheel.
     *
     * @param hub as the driver has set it
     * @param next the first joint, or the gear, as the driver has set it
     * @param leftDeg turned to the left from straight ahead, degrees
     */
    public List<List<Point>> handRuns(Point hub, Point next, double leftDeg) {
        Direction now = next.minus(hub).direction();
        return wheel.bar().stream()
                .flatMap(b -> b.runs(axis(0), now, leftDeg).stream())
                .map(run -> run.stream().map(hub::plus).toList())
                .toList();
    }

    /** The middles of the grips as designed, the bar turned to the left, degrees; the left one first. */
    public List<Point> grips(double leftDeg) {
        return handRuns(hub(), end(0), leftDeg).stream().map(List::getLast).toList();
    }

    public Point gearInput() {
        return gear.point();
    }

    /** Hub, joint centres in order, gear input. */
    public List<Point> points() {
        List<Point> all = new ArrayList<>(joints.size() + 2);
        all.add(hub());
        joints.forEach(j -> all.add(j.centre()));
        all.add(gearInput());
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
        return shaft == 0 ? hub() : joints.get(shaft - 1).centre();
    }

    public Point end(int shaft) {
        return shaft == joints.size() ? gearInput() : joints.get(shaft).centre();
    }

    public boolean liesBetweenJoints(int shaft) {
        return shaft > 0 && shaft < joints.size();
    }

    /** What the shaft's end toward the wheel sits in. */
    public YokeDimensions wheelEndFit(int shaft) {
        return shaft == 0 ? wheel.fit() : joints.get(shaft - 1).gearSide();
    }

    /** What the shaft's end toward the gear sits in. */
    public YokeDimensions gearEndFit(int shaft) {
        return shaft == joints.size() ? gear.fit() : joints.get(shaft).wheelSide();
    }

    /**
     * Length to cut a shaft to, mm: between joint centres, less each end's take-off, plus its engagement.
     * Zero or less means that there is no room for a shaft.
     */
    public double cutLength(int shaft) {
        return length(shaft)
                - wheelEndFit(shaft).shortening()
                - gearEndFit(shaft).shortening();
    }

    /** Between the faces of what a shaft's ends sit in, mm; below 0 where they stand in each other. */
    public double faceGap(int shaft) {
        return length(shaft) - wheelEndFit(shaft).takeOff() - gearEndFit(shaft).takeOff();
    }

    /**
     * How far a sliding shaft can really be pushed together, mm: until it bottoms or its outer half meets the other
     * fork. Halves of
     * a shaft that is cut are alike, unless it says where they overlap; of a bought one that does not say it, the outer
     * half is at least as long as the overlap. 0 for a shaft that does not slide.
     */
    public double freeToClose(int shaft) {
        return shafts.get(shaft)
                .slide()
                .map(s -> {
                    double toFork = shafts.get(shaft).toCut() || s.middle().isPresent()
                            ? length(shaft) - gearEndFit(shaft).takeOff() - overlapMiddle(shaft, s) - s.overlap() / 2
                            : faceGap(shaft) - s.overlap();
                    return Math.max(0, Math.min(s.closes(), toFork));
                })
                .orElse(0.0);
    }

    /**
     * Where a sliding shaft's halves meet, mm from its wheel-end centre: as planned, and so far either way as one half
     * goes into the other. A weld or a sleeve there would stop it. Empty for a shaft that does not slide.
     */
    public Optional<Stretch> slidesOver(int shaft) {
        return shafts.get(shaft).slide().map(s -> {
            double middle = overlapMiddle(shaft, s);
            double half = s.overlap() / 2 + s.closes();
            return new Stretch(middle - half, middle + half);
        });
    }

    /** Of the overlap, mm from the shaft's wheel-end centre; in the middle of the shaft as cut where it is not said. */
    private double overlapMiddle(int shaft, Slide slide) {
        return slide.middle().orElse(wheelEndFit(shaft).shortening() + cutLength(shaft) / 2);
    }

    /** Along a shaft, mm from its wheel-end centre. */
    public record Stretch(double from, double to) {

        /** From a place to the nearer end of it, mm; 0 within it. */
        public double distance(double at) {
            return Math.max(0, Math.max(from - at, at - to));
        }
    }

    /** At which clock angles the forks of a shaft between two joints can be set against each other. */
    public ForkSetting setting(int shaft) {
        Shaft s = shafts.get(shaft);
        if (s.forksFixed()) {
            return new ForkSetting.Fixed();
        }
        List<Integer> ways = Stream.of(wheelEndFit(shaft), gearEndFit(shaft))
                .flatMap(f -> f.socket().stream())
                .map(Socket::waysPerTurn)
                .toList();
        return ForkSetting.of(ways, s.indexDeg());
    }

    /** Where a bearing's middle is as planned. */
    public Point place(Bearing b) {
        return start(b.shaft()).plus(axis(b.shaft()).times(b.along()));
    }

    /** Where on a shaft bearings hold it, those of the tube too, mm from its wheel end, rising. */
    public List<Double> supportsOn(int shaft) {
        Stream<Double> ofTube = shaft == 0 ? tube.stream().flatMap(t -> Stream.of(t.from(), t.to())) : Stream.of();
        return Stream.concat(
                        ofTube,
                        bearings.stream().filter(b -> b.shaft() == shaft).map(Bearing::along))
                .sorted()
                .toList();
    }

    public Column withHub(Point p) {
        return withWheel(wheel.withHub(p));
    }

    public Column withGearInput(Point p) {
        return withGear(gear.withPoint(p));
    }

    /** Other shafts and joints, the bearings as they should sit on them. */
    public Column withTrain(List<Shaft> s, List<Joint> j, List<Bearing> b) {
        return new Column(wheel, s, j, gear, firstForkDeg, tube, b, installation);
    }

    public Column withJoint(int index, Joint joint) {
        List<Joint> changed = new ArrayList<>(joints);
        changed.set(index, joint);
        return withTrain(shafts, changed, bearings);
    }

    public Column withShaft(int index, Shaft shaft) {
        List<Shaft> changed = new ArrayList<>(shafts);
        changed.set(index, shaft);
        return withTrain(changed, joints, bearings);
    }

    public Column editShaft(int index, UnaryOperator<Shaft> edit) {
        return withShaft(index, edit.apply(shafts.get(index)));
    }

    public Column editJoint(int index, UnaryOperator<Joint> edit) {
        return withJoint(index, edit.apply(joints.get(index)));
    }

    public Column editBearing(int index, UnaryOperator<Bearing> edit) {
        List<Bearing> changed = new ArrayList<>(bearings);
        changed.set(index, edit.apply(bearings.get(index)));
        return withBearings(changed);
    }

    public Column withBearings(List<Bearing> b) {
        return withTrain(shafts, joints, b);
    }

    /** The shaft's wheel-end fit changed: the hub's, or the gear side of the joint before it. */
    public Column editWheelEndFit(int shaft, UnaryOperator<YokeDimensions> edit) {
        return shaft == 0
                ? withWheel(wheel.withFit(edit.apply(wheel.fit())))
                : editJoint(shaft - 1, j -> j.withFits(j.wheelSide(), edit.apply(j.gearSide())));
    }

    /** The shaft's gear-end fit changed: the gear's, or the wheel side of the joint after it. */
    public Column editGearEndFit(int shaft, UnaryOperator<YokeDimensions> edit) {
        return shaft == joints.size()
                ? withGear(gear.withFit(edit.apply(gear.fit())))
                : editJoint(shaft, j -> j.withFits(edit.apply(j.wheelSide()), j.gearSide()));
    }
}
