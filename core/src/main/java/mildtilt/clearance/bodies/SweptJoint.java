package mildtilt.clearance.bodies;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.geometry.Point;
import mildtilt.solid.Convex;

/**
 * What a joint sweeps as it turns: a ball about its centre, and both hubs with their screws as far as the shafts go in.
 */
public final class SweptJoint {

    /** Swing of a joint whose own is not known, in diameters of the thicker shaft in it. */
    private static final double USUAL_SWING = 2.5;

    private SweptJoint() {}

    /** Diameter that the joint swings, mm: its own, else what is usual for its shafts. */
    public static double swing(Joint joint, Shaft wheelSide, Shaft gearSide) {
        return joint.swingDiameter().orElseGet(() -> USUAL_SWING * Math.max(wheelSide.diameter(), gearSide.diameter()));
    }

    /**
     * @param before where the shaft on the wheel's side comes from. @param after where that on the gear's side goes to
     */
    public static List<Convex> parts(Point before, Point centre, Point after, Joint joint, double swing) {
        List<Convex> parts = new ArrayList<>(List.of(Convex.sphere(centre, swing / 2)));
        hub(parts, centre, before, joint.wheelSide().takeOff(), swing);
        hub(parts, centre, after, joint.gearSide().takeOff(), swing);
        return parts;
    }

    private static void hub(List<Convex> parts, Point centre, Point toward, double takeOff, double swing) {
        double reach = Math.min(takeOff, centre.distanceTo(toward));
        if (reach > 1) {
            parts.add(Convex.cylinder(
                    centre, centre.plus(toward.minus(centre).direction().times(reach)), swing / 2, 0));
        }
    }
}
