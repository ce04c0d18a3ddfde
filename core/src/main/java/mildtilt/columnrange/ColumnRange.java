package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.column.Adjustment;
import mildtilt.column.Column;
import mildtilt.column.Slide;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * A column over all its driver can set and all the frame moves: the angle of every joint at its worst, the length of
 * every
 * shaft at its shortest and longest.
 *
 * <p>Tilt turns hub and first shaft about the pivot; what of the shaft lies past the pivot carries the first joint the
 * other way. Reach slides the hub along the first shaft where that shaft is a sliding one; else the first joint goes
 * along, and the second shaft must give. The frame's movement shifts hub and first joint against all that follows, in
 * the directions of the vehicle, between them, and along each shaft. Tilt is taken in steps of an eighth of its range.
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

    public static ColumnRange of(Column c) {
        List<Setting> settings = settings(c);
        int joints = c.joints().size();
        double[] worst = new double[joints];
        String[] at = new String[joints];
        double[] shortest = new double[joints + 1];
        double[] longest = new double[joints + 1];
        Axis input = Axis.through(c.start(joints), c.end(joints));
        double offGear = 0;
        for (int k = 0; k < settings.size(); k++) {
            List<Point> p = pointsAt(c, settings.get(k));
            offGear = Math.max(offGear, k == 0 ? 0 : input.distanceTo(p.get(joints)));
            for (int i = 0; i <= joints; i++) {
                double length = p.get(i).distanceTo(p.get(i + 1));
                shortest[i] = k == 0 ? length : Math.min(shortest[i], length);
                longest[i] = k == 0 ? length : Math.max(longest[i], length);
                if (i < joints) {
                    double deg = Math.toDegrees(
                            p.get(i + 1).minus(p.get(i)).angleTo(p.get(i + 2).minus(p.get(i + 1))));
                    if (k == 0 || deg > worst[i] + 1e-9) {
                        worst[i] = deg;
                        at[i] = settings.get(k).words();
                    }
                }
            }
        }
        List<JointRange> ofJoints = new ArrayList<>();
        for (int i = 0; i < joints; i++) {
            ofJoints.add(new JointRange(worst[i], at[i]));
        }
        List<ShaftRange> ofShafts = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            Optional<Slide> slide = c.shafts().get(i).slide();
            double longer = longest[i] - c.length(i);
            double shorter = c.length(i) - shortest[i];
            ofShafts.add(new ShaftRange(
                    shortest[i],
                    longest[i],
                    slide.map(s -> s.overlap() - longer),
                    slide.isPresent() ? Optional.of(c.freeToClose(i) - shorter) : Optional.empty()));
        }
        return new ColumnRange(List.copyOf(ofJoints), List.copyOf(ofShafts), offGear);
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
