package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.column.Adjustment;
import mildtilt.column.Column;
import mildtilt.column.FollowingColumn;
import mildtilt.column.Slide;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;

/**
 * A column over all its driver can set and all the frame moves: the angle of every joint at its worst, the length of
 * every
 * shaft at its shortest and longest.
 *
 * <p>Tilt turns hub and first shaft about the pivot; what of the shaft lies past the pivot carries the first joint the
 * other way. Reach slides the hub along the first shaft where that shaft is a sliding one; else the first joint goes
 * along, and the second shaft must give. The frame's movement shifts hub and first joint against all that follows, in
 * the directions of the vehicle, between them, and along each shaft. Tilt is taken in steps of an eighth of its range.
 * A gear on the axle takes the last joint along over the whole travel ({@link FollowingColumn}).
 *
 * @param joints for each joint
 * @param shafts for each shaft
 * @param offGear the most that the last shaft's wheel end is carried off the gear's input as planned, mm: the gear
 * holds
 *     its input in line, so with two joints or more it is 0, and with fewer something else must give
 */
public record ColumnRange(List<JointRange> joints, List<ShaftRange> shafts, double offGear) {

    private static final int TILT_STEPS = 8;
    /** Less than this a shaft need not slide, mm. */
    public static final double GIVES = 0.05;

    /**
     * @param worstDeg largest operating angle
     * @param at where the wheel is set then, in words; empty where it is as planned
     */
    public record JointRange(double worstDeg, String at) {}

    /**
     * @param shortest between centres, mm
     * @param longest between centres, mm
     * @param leastOverlap of a sliding shaft at its longest, mm
     * @param freeStroke of a sliding shaft left at its shortest, mm
     */
    public record ShaftRange(
            double shortest, double longest, Optional<Double> leastOverlap, Optional<Double> freeStroke) {

        /** Whether its length must change. */
        public boolean mustSlide() {
            return longest - shortest > GIVES;
        }
    }

    private record Setting(double reach, double tilt, Vector moved) {
        String words() {
            List<String> all = new ArrayList<>();
            if (tilt != 0) {
                all.add("wheel tilted " + (tilt > 0 ? "up" : "down"));
            }
            if (reach != 0) {
                all.add("wheel set " + (reach > 0 ? "in" : "out"));
            }
            if (moved.norm() > 0) {
                all.add("frame moved");
            }
            return String.join(", ", all);
        }
    }

    /** With the gear on the frame. */
    public static ColumnRange of(Column c) {
        return of(c, Optional.empty());
    }

    /** @param job with a column */
    public static ColumnRange of(Job job) {
        return of(job.column().orElseThrow(), GearTravel.of(job));
    }

    /** @param travel of a gear that is on the axle; empty for one on the frame */
    public static ColumnRange of(Column c, Optional<GearTravel> travel) {
        int joints = c.joints().size();
        List<Setting> settings = settings(c);
        List<Extreme> angles = new ArrayList<>();
        List<Extreme> shortest = new ArrayList<>();
        List<Extreme> longest = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            int shaft = i;
            if (i < joints) {
                angles.add(new Extreme(p -> angleDeg(p, shaft)));
            }
            longest.add(new Extreme(p -> p.get(shaft).distanceTo(p.get(shaft + 1))));
            shortest.add(new Extreme(p -> -p.get(shaft).distanceTo(p.get(shaft + 1))));
        }
        Extreme off = new Extreme(p -> offGear(c, p));
        List<Extreme> all = Stream.of(angles, shortest, longest, List.of(off))
                .flatMap(List::stream)
                .toList();
        for (GearTravel.At at : travel.map(GearTravel::grid).orElse(List.of(GearTravel.At.REST))) {
            Optional<RigidMove> move = travel.flatMap(t -> t.move(at));
            if (travel.isPresent() && move.isEmpty()) {
                continue;
            }
            for (Setting s : settings) {
                List<Point> p = followed(c, pointsAt(c, s), move);
                all.forEach(e -> e.look(s, at, p));
            }
        }
        travel.ifPresent(t -> all.forEach(e -> e.refine(c, t)));
        List<JointRange> ofJoints =
                angles.stream().map(a -> new JointRange(a.most, a.words())).toList();
        List<ShaftRange> ofShafts = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            Optional<Slide> slide = c.shafts().get(i).slide();
            double longer = longest.get(i).most - c.length(i);
            double shorter = c.length(i) + shortest.get(i).most;
            ofShafts.add(new ShaftRange(
                    -shortest.get(i).most,
                    longest.get(i).most,
                    slide.map(s -> s.overlap() - longer),
                    slide.isPresent() ? Optional.of(c.freeToClose(i) - shorter) : Optional.empty()));
        }
        return new ColumnRange(ofJoints, List.copyOf(ofShafts), off.most);
    }

    private static double angleDeg(List<Point> p, int joint) {
        return Math.toDegrees(
                p.get(joint + 1).minus(p.get(joint)).angleTo(p.get(joint + 2).minus(p.get(joint + 1))));
    }

    /** How far the last shaft's wheel end is off the gear's input, which the last point of the line goes with. */
    private static double offGear(Column c, List<Point> p) {
        int joints = c.joints().size();
        Point held = p.get(joints + 2);
        return Axis.through(held, p.get(joints + 1)).distanceTo(p.get(joints));
    }

    /**
     * The points as they are with the gear gone somewhere, and after them where the gear's input would have the last
     * shaft's wheel end.
     */
    private static List<Point> followed(Column c, List<Point> points, Optional<RigidMove> move) {
        List<Point> p = new ArrayList<>(points);
        int joints = c.joints().size();
        p.add(c.start(joints));
        if (move.isPresent()) {
            int first = FollowingColumn.canFollow(c) ? FollowingColumn.firstToFollow(c) + 1 : joints + 1;
            for (int i = first; i < p.size(); i++) {
                p.set(i, move.get().moved(p.get(i)));
            }
        }
        return p;
    }

    /** The largest of something over all settings and the travel. */
    private static final class Extreme {

        private final ToDoubleFunction<List<Point>> what;
        private double most = Double.NEGATIVE_INFINITY;
        private Setting setting = new Setting(0, 0, new Vector(0, 0, 0));
        private GearTravel.At at = GearTravel.At.REST;

        Extreme(ToDoubleFunction<List<Point>> what) {
            this.what = what;
        }

        boolean look(Setting s, GearTravel.At travel, List<Point> points) {
            double now = what.applyAsDouble(points);
            if (!(now > most + GearTravel.MORE)) {
                return false;
            }
            most = now;
            setting = s;
            at = travel;
            return true;
        }

        /** Between the places of the grid: toward more in ever smaller steps. */
        void refine(Column c, GearTravel travel) {
            double by = travel.coarseness() / 2;
            while (by > GearTravel.FINE) {
                boolean more = false;
                for (GearTravel.At near : travel.near(at, by)) {
                    Optional<RigidMove> move = travel.move(near);
                    more |= move.isPresent() && look(setting, near, followed(c, pointsAt(c, setting), move));
                }
                by = more ? by : by / 2;
            }
        }

        String words() {
            return Stream.of(setting.words(), at.words())
                    .filter(w -> !w.isEmpty())
                    .collect(Collectors.joining(", "));
        }
    }

    /**
     * The column with its wheel set somewhere. @param words how it is set, empty as planned; @param points hub, joints,
     * gear input
     */
    public record Placed(String words, List<Point> points) {}

    /** Every place of the wheel's adjustment that is gone through, the frame as planned; as planned first. */
    public static List<Placed> placings(Column c) {
        return settings(c).stream()
                .filter(s -> s.moved.norm() == 0)
                .map(s -> new Placed(s.words(), pointsAt(c, s)))
                .toList();
    }

    /**
     * Hub, joints and gear input with the wheel set and the frame as planned. @param reach toward the gear, mm. @param
     * tilt up, degrees
     */
    public static List<Point> pointsAt(Column c, double reach, double tilt) {
        return pointsAt(c, new Setting(reach, tilt, new Vector(0, 0, 0)));
    }

    private static List<Point> pointsAt(Column c, Setting s) {
        List<Point> p = new ArrayList<>(c.points());
        boolean joined = !c.joints().isEmpty();
        Direction along = c.axis(0);
        if (s.tilt != 0) {
            double pivot = c.wheel().adjustment().pivot().orElse(c.length(0));
            Axis about = new Axis(c.hub().plus(along.times(pivot)), crosswise(along));
            double angle = Math.toRadians(s.tilt);
            p.set(0, about.turned(p.get(0), angle));
            if (joined) {
                p.set(1, about.turned(p.get(1), angle));
            }
            along = about.direction().turn(along.vector(), angle).direction();
        }
        p.set(0, p.get(0).plus(along.times(s.reach)));
        if (joined && c.shafts().getFirst().slide().isEmpty()) {
            p.set(1, p.get(1).plus(along.times(s.reach)));
        }
        p.set(0, p.get(0).plus(s.moved));
        if (joined) {
            p.set(1, p.get(1).plus(s.moved));
        }
        return p;
    }

    /** Level and square to the shaft, so that turning about it right-handed lifts what lies on the driver's side. */
    private static Direction crosswise(Direction along) {
        Vector across = Vector.Z.cross(along.vector());
        return across.norm() < 1e-9 ? Vector.Y.direction() : across.direction();
    }

    /** As planned first. */
    private static List<Setting> settings(Column c) {
        Adjustment a = c.wheel().adjustment();
        List<Double> tilts = new ArrayList<>(List.of(0.0));
        for (int i = 0; i <= TILT_STEPS; i++) {
            double t = -a.tiltDownDeg() + (a.tiltUpDeg() + a.tiltDownDeg()) * i / TILT_STEPS;
            if (t != 0) {
                tilts.add(t);
            }
        }
        List<Double> reaches = new ArrayList<>(List.of(0.0));
        if (a.reachIn() > 0) {
            reaches.add(a.reachIn());
        }
        if (a.reachOut() > 0) {
            reaches.add(-a.reachOut());
        }
        List<Setting> all = new ArrayList<>();
        for (Vector moved : movements(c)) {
            for (double tilt : tilts) {
                for (double reach : reaches) {
                    all.add(new Setting(reach, tilt, moved));
                }
            }
        }
        return all;
    }

    private static List<Vector> movements(Column c) {
        double by = c.installation().frameMovement();
        List<Vector> all = new ArrayList<>(List.of(new Vector(0, 0, 0)));
        if (by > 0) {
            for (int x = -1; x <= 1; x++) {
                for (int y = -1; y <= 1; y++) {
                    for (int z = -1; z <= 1; z++) {
                        if (x != 0 || y != 0 || z != 0) {
                            all.add(Direction.along(x, y, z).times(by));
                        }
                    }
                }
            }
            for (int i = 0; i < c.shafts().size(); i++) {
                all.add(c.axis(i).times(by));
                all.add(c.axis(i).times(-by));
            }
        }
        return all;
    }
}
