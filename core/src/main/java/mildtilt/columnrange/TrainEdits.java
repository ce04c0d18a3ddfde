package mildtilt.columnrange;

import static mildtilt.id.Id.Kind.BEARING;
import static mildtilt.id.Id.Kind.JOINT;
import static mildtilt.id.Id.Kind.SHAFT;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ColumnTube;
import mildtilt.column.GearInput;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.ShaftProfile;
import mildtilt.column.SteeringWheel;
import mildtilt.column.YokeDimensions;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/** Parts of a column put in, split, swapped for others and taken out. What stays keeps its id, name and place. */
public final class TrainEdits {

    /** How far from either end of the first shaft a new tube's bearings are put, mm; less on a short shaft. */
    private static final double TUBE_INSET = 60;

    private TrainEdits() {}

    /** How far ahead of and below the hub a gear's input stands in a column begun with nothing, mm. */
    private static final double AHEAD = 700;

    private static final double BELOW = 600;

    /**
     * A column to begin with: a wheel, a shaft, a joint and a stub into the gear. Every size is to be changed to one's
     * own.
     *
     * @param gear where the gear's input is, if that is known
     */
    public static Column begun(Optional<Point> gear, Joint part) {
        Point input = gear.orElse(new Point(-200, 300, 400));
        Point hub = input.plus(new Vector(-AHEAD, 100, BELOW));
        Point centre = input.plus(new Vector(-110, 12, 130));
        ShaftProfile seat = part.wheelSide().socket().map(s -> s.seat()).orElse(new ShaftProfile.Round(20));
        return TrainEdits.withTube(
                new Column(
                        new SteeringWheel(360, hub, YokeDimensions.NONE),
                        List.of(
                                Shaft.round(SHAFT.first(), "Column shaft", seat.diameter(), 0, true)
                                        .withProfile(seat),
                                Shaft.round(SHAFT.number(2), "Gear stub", seat.diameter(), 0, false)
                                        .withProfile(seat)),
                        List.of(part.withId(JOINT.first())
                                .withName("First joint")
                                .withCentre(centre)),
                        new GearInput(input, YokeDimensions.NONE)),
                45,
                0);
    }

    /**
     * A shaft parted in its middle by a joint. Bearings stay where they are; the part toward the gear is a shaft of its
     * own, its forks set so that the column turns as it did, or as nearly as its ends allow. A sliding part stays with
     * the
     * part toward the wheel.
     *
     * @param part its sizes; its id, place and name mean nothing
     * @throws ImpossibleGeometryException if the column has all the joints it can have
     */
    public static Column split(Column c, int shaft, Joint part) {
        Point middle = c.start(shaft).midwayTo(c.end(shaft));
        double at = c.length(shaft) / 2;
        Shaft was = c.shafts().get(shaft);
        boolean wheelPartBetween = shaft > 0;
        boolean gearPartBetween = shaft < c.joints().size();
        List<Shaft> shafts = new ArrayList<>(c.shafts());
        shafts.set(
                shaft,
                was.withEnds(was.wheelEnd(), Optional.empty())
                        .withClockingDeg(wheelPartBetween && gearPartBetween ? was.clockingDeg() : 0));
        shafts.add(
                shaft + 1,
                was.withId(SHAFT.next(c.partIds()))
                        .withName(free(was.name(), c.shafts().stream().map(Shaft::name)))
                        .withEnds(Optional.empty(), was.gearEnd())
                        .withClockingDeg(0)
                        .withIndexDeg(0)
                        .withSlide(Optional.empty()));
        List<Joint> joints = new ArrayList<>(c.joints());
        joints.add(
                shaft,
                part.withId(JOINT.next(c.partIds()))
                        .withCentre(middle)
                        .withName(free("Joint", c.joints().stream().map(Joint::name))));
        List<Bearing> bearings = c.bearings().stream()
                .map(b -> b.shaft() > shaft
                        ? b.on(b.shaft() + 1, b.along())
                        : b.shaft() == shaft && b.along() > at ? b.on(shaft + 1, b.along() - at) : b)
                .toList();
        return turningAs(
                c,
                c.withTube(shaft == 0 ? c.tube().map(t -> within(t, at)) : c.tube())
                        .withTrain(shafts, joints, bearings),
                shaft);
    }

    /** A split column, still straight at its new joint, with the pin of the joint after the split where it was. */
    private static Column turningAs(Column before, Column split, int shaft) {
        if (shaft == before.joints().size()) {
            return split;
        }
        Direction pin = new ColumnTrain(before).pinsAt(0).get(shaft).wheelSide();
        Direction axis = split.axis(shaft);
        Column changed = split;
        if (shaft == 0) {
            Direction zero = new ColumnTrain(split.withFirstForkDeg(0))
                    .pinsAt(0)
                    .getFirst()
                    .wheelSide();
            changed = split.withFirstForkDeg(turned(axis, zero, pin));
        }
        double clocking =
                turned(axis, new ColumnTrain(changed).pinsAt(0).get(shaft).gearSide(), pin);
        double set = changed.setting(shaft + 1).nearestTo(clocking).orElse(clocking);
        return changed.editShaft(shaft + 1, s -> s.withClockingDeg(set));
    }

    /** From one pin to another about their shaft, degrees within a quarter turn: half a turn brings a pin back. */
    private static double turned(Direction axis, Direction from, Direction to) {
        double deg = Math.toDegrees(Math.atan2(axis.dot(from.cross(to.vector())), from.dot(to.vector())));
        return Math.IEEEremainder(deg, 180);
    }

    /** A tube no longer than the shaft that is left. */
    private static ColumnTube within(ColumnTube t, double length) {
        double to = Math.min(t.to(), 0.9 * length);
        return new ColumnTube(t.outside(), Math.min(t.from(), to / 2), to, t.collapse(), t.beyond());
    }

    /**
     * A joint taken out: the two shafts it joined become one straight one, the one toward the wheel going on to the
     * next
     * centre. Bearings of both are put on it at their nearest place.
     *
     * @throws ImpossibleGeometryException if what is left can't be
     */
    public static Column withoutJoint(Column c, int joint) {
        List<Joint> joints = new ArrayList<>(c.joints());
        joints.remove(joint);
        List<Shaft> shafts = new ArrayList<>(c.shafts());
        Shaft gone = shafts.remove(joint + 1);
        boolean between = joint > 0 && joint < joints.size();
        Shaft kept = shafts.get(joint);
        shafts.set(
                joint,
                kept.withEnds(kept.wheelEnd(), gone.gearEnd())
                        .withClockingDeg(between ? kept.clockingDeg() : 0)
                        .withSlide(kept.slide().or(gone::slide))
                        .withToCut(kept.toCut() || gone.toCut()));
        Point from = c.start(joint);
        Point to = c.end(joint + 1);
        if (from.distanceTo(to) < Column.SHORTEST_SHAFT) {
            throw new ImpossibleGeometryException(
                    "Without \"" + c.joints().get(joint).name() + "\" the shaft would have no length.");
        }
        Axis line = Axis.through(from, to);
        List<Bearing> bearings = c.bearings().stream()
                .map(b -> b.shaft() > joint + 1
                        ? b.on(b.shaft() - 1, b.along())
                        : b.shaft() >= joint
                                ? b.on(
                                        joint,
                                        Math.clamp(
                                                line.direction().dot(c.place(b).minus(from)), 0, from.distanceTo(to)))
                                : b)
                .toList();
        return c.withTrain(shafts, joints, bearings);
    }

    /** Another joint in the place of one: its own name and place stay. */
    public static Column swapped(Column c, int joint, Joint part) {
        Joint was = c.joints().get(joint);
        return c.withJoint(joint, part.withId(was.id()).withName(was.name()).withCentre(was.centre()));
    }

    /** Another shaft in the place of one: its own name, clocking and whether it is cut stay. */
    public static Column swapped(Column c, int shaft, Shaft part) {
        Shaft was = c.shafts().get(shaft);
        return c.withShaft(
                shaft,
                part.withId(was.id())
                        .withName(was.name())
                        .withClockingDeg(was.clockingDeg())
                        .withToCut(was.toCut()));
    }

    /** Another bearing in the place of one: its own name, mount and place stay. */
    public static Column swappedBearing(Column c, int bearing, Bearing part) {
        return c.editBearing(bearing, was -> part.withId(was.id())
                .withName(was.name())
                .withMount(was.mount())
                .on(was.shaft(), was.along())
                .withOff(was.offAcross(), was.offUp()));
    }

    /** A bearing put on the middle of a shaft. */
    public static Column withBearing(Column c, int shaft, Bearing part) {
        List<Bearing> all = new ArrayList<>(c.bearings());
        all.add(part.withId(BEARING.next(c.partIds()))
                .withName(
                        free(capital(part.kind().label()), c.bearings().stream().map(Bearing::name)))
                .on(shaft, c.length(shaft) / 2));
        return c.withBearings(all);
    }

    public static Column withoutBearing(Column c, int bearing) {
        List<Bearing> all = new ArrayList<>(c.bearings());
        all.remove(bearing);
        return c.withBearings(all);
    }

    /** A tube over the first shaft, its bearings near the shaft's ends. */
    public static Column withTube(Column c, double outside, double collapse) {
        double inset = Math.min(TUBE_INSET, c.length(0) / 5);
        return c.withTube(Optional.of(new ColumnTube(outside, inset, c.length(0) - inset, collapse)));
    }

    /** A name nothing else bears: as wanted, else with the next number after it. */
    private static String free(String wanted, Stream<String> taken) {
        List<String> names = taken.toList();
        String base = wanted.replaceFirst(" \\d+$", "");
        String name = wanted;
        for (int n = 2; names.contains(name); n++) {
            name = base + " " + n;
        }
        return name;
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
