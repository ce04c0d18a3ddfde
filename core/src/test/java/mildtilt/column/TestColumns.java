package mildtilt.column;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Point;
import mildtilt.id.Id;

/** Columns made for tests: plain 20 mm shafts between single joints, unless a test makes them otherwise. */
public final class TestColumns {

    private TestColumns() {}

    /**
     * @param clocking of the shafts between joints. @param doubles which joints are double ones that centre themselves
     */
    public static Column through(List<Point> points, double[] clocking, boolean... doubles) {
        int joints = points.size() - 2;
        List<Shaft> shafts = new ArrayList<>();
        List<Joint> all = new ArrayList<>();
        for (int i = 0; i <= joints; i++) {
            shafts.add(Shaft.round(
                    Id.Kind.SHAFT.number(1 + i), "shaft " + i, 20, i > 0 && i < joints ? clocking[i - 1] : 0, true));
        }
        for (int i = 0; i < joints; i++) {
            all.add(
                    i < doubles.length && doubles[i]
                            ? new Joint(
                                    Id.Kind.JOINT.number(1 + i),
                                    "double " + i,
                                    new JointKind.Double(true),
                                    points.get(i + 1),
                                    90,
                                    YokeDimensions.NONE,
                                    YokeDimensions.NONE)
                            : Joint.single(
                                    Id.Kind.JOINT.number(1 + i),
                                    "joint " + i,
                                    points.get(i + 1),
                                    35,
                                    YokeDimensions.NONE,
                                    YokeDimensions.NONE));
        }
        return new Column(
                new SteeringWheel(360, points.getFirst(), YokeDimensions.NONE),
                shafts,
                all,
                new GearInput(points.getLast(), YokeDimensions.NONE));
    }

    /** A path that wanders forward and down, with joints between nothing and some 60 degrees. */
    public static Column random(Random r, int joints) {
        List<Point> points = new ArrayList<>(List.of(new Point(-1000, 300, 900)));
        for (int i = 0; i <= joints; i++) {
            Point p = points.getLast();
            points.add(new Point(
                    p.x() + 150 + 100 * r.nextDouble(),
                    p.y() + 240 * (r.nextDouble() - 0.5),
                    p.z() - 260 * r.nextDouble()));
        }
        return through(points, r.doubles(Math.max(0, joints - 1), -90, 90).toArray());
    }

    /** In a straight line. */
    public static Column straight(int joints, double each) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i <= joints + 1; i++) {
            points.add(new Point(i * each, 0, 900));
        }
        return through(points, new double[Math.max(0, joints - 1)]);
    }

    /**
     * Splines of so many teeth in the forks at the ends of the shafts between joints, cyclically; 0 for a plain bore.
     */
    public static Column splined(Column c, int... teeth) {
        Column changed = c;
        for (int s = 1; s < c.joints().size(); s++) {
            Socket wheel = socket(teeth[(2 * s - 2) % teeth.length]);
            Socket gear = socket(teeth[(2 * s - 1) % teeth.length]);
            changed = changed.editWheelEndFit(s, f -> f.withSocket(wheel)).editGearEndFit(s, f -> f.withSocket(gear));
        }
        return changed;
    }

    private static Socket socket(int teeth) {
        return new Socket(
                teeth == 0
                        ? new ShaftProfile.Round(20)
                        : teeth == 2 ? new ShaftProfile.DoubleD(20, 16) : new ShaftProfile.Splined(20, teeth),
                Socket.Retention.PINCH_BOLT);
    }

    /** In a tube with a bearing near each end of the first shaft. */
    public static Column inTube(Column c) {
        double length = c.length(0);
        return c.withTube(Optional.of(new ColumnTube(45, length / 10, length * 0.9, 0)));
    }
}
