package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import mildtilt.clearance.bodies.SweptJoint;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Joint;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Element;
import mildtilt.solid.Convex;

/** The forks and the cross of every joint at the clock they stand at, made to fill what the joint sweeps. */
public final class Yokes {

    /** Parts of the swing diameter. */
    private static final double EAR_OUT = 0.34;

    private static final double EAR_THICK = 0.1;
    private static final double EAR_WIDE = 0.22;
    private static final double PIN = 0.11;
    private static final double HUB = 0.3;

    private Yokes() {}

    /** One joint: its two forks, the cross last, so that it is drawn over them. */
    public record Yoke(Element.JointAt joint, List<Convex> wheelSide, List<Convex> gearSide, List<Convex> cross) {}

    /** @param steeringWheelDeg + left */
    public static List<Yoke> of(ColumnTrain train, double steeringWheelDeg) {
        Column c = train.column();
        List<ColumnTrain.Pins> pins = train.pinsAt(-Math.toRadians(steeringWheelDeg));
        List<Yoke> all = new ArrayList<>();
        for (int i = 0; i < pins.size(); i++) {
            Joint j = c.joints().get(i);
            double swing = SweptJoint.swing(j, c.shafts().get(i), c.shafts().get(i + 1));
            Vector back = c.axis(i).times(-1);
            Vector on = c.axis(i + 1).vector();
            Direction first = pins.get(i).wheelSide();
            Direction second = pins.get(i).gearSide();
            all.add(new Yoke(
                    new Element.JointAt(i),
                    fork(j.centre(), first, back, reach(j.wheelSide().takeOff(), c.length(i)), swing),
                    fork(j.centre(), second, on, reach(j.gearSide().takeOff(), c.length(i + 1)), swing),
                    List.of(bar(j.centre(), first, swing), bar(j.centre(), second, swing))));
        }
        return all;
    }

    private static double reach(double takeOff, double length) {
        return Math.max(4, Math.min(takeOff, length * 0.45));
    }

    private static Convex bar(Point centre, Direction pin, double swing) {
        Vector half = pin.times(swing * (EAR_OUT + EAR_THICK));
        return Convex.cylinder(centre.plus(half.negated()), centre.plus(half), swing * PIN, 0);
    }

    /**
     * Two ears beside the cross, and the hub that the shaft goes into. @param toward along the shaft, away from the
     * joint
     */
    private static List<Convex> fork(Point centre, Direction pin, Vector toward, double reach, double swing) {
        List<Convex> parts = new ArrayList<>();
        Vector across = pin.cross(toward).direction().times(swing * EAR_WIDE);
        double back = Math.min(swing * EAR_WIDE, reach * 0.5);
        double root = Math.max(reach * 0.5, Math.min(reach, swing * 0.36));
        Vector along = toward.times((root + back) / 2);
        for (int side : new int[] {-1, 1}) {
            Point middle = centre.plus(pin.times(side * swing * EAR_OUT)).plus(toward.times((root - back) / 2));
            parts.add(Convex.box(middle, along, pin.times(swing * EAR_THICK), across));
        }
        // What joins the ears, and the hub behind it.
        parts.add(Convex.box(
                centre.plus(toward.times(root)),
                toward.times(swing * EAR_THICK),
                pin.times(swing * (EAR_OUT + EAR_THICK)),
                across));
        if (reach > root + 1) {
            parts.add(
                    Convex.cylinder(centre.plus(toward.times(root)), centre.plus(toward.times(reach)), swing * HUB, 0));
        }
        return parts;
    }
}
