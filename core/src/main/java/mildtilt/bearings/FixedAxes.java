package mildtilt.bearings;

import java.util.Optional;
import mildtilt.column.Column;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;

/**
 * What the axes of column and gear, where they are bolted down and measured, ask of the joints on them.
 *
 * @param firstOff how far the first joint lies off the column's axis, mm, if that axis is measured
 * @param lastOff how far the last joint lies off the gear's axis, mm, if that axis is measured
 * @param crossing how the two axes pass each other, where one joint alone joins them and both are measured
 */
public record FixedAxes(Optional<Double> firstOff, Optional<Double> lastOff, Optional<Crossing> crossing) {

    /** Nearer to parallel than this two axes have no place where they pass nearest, rad. */
    private static final double PARALLEL = 1e-6;

    /**
     * Two axes where they pass nearest.
     *
     * @param miss between them there, mm
     * @param shim by which the column must be moved for them to meet
     * @param onColumn the point of the column's axis nearest to the gear's
     * @param onGear the point of the gear's axis nearest to the column's: where the joint belongs once they meet
     * @param angleDeg between the axes, degrees: what the joint will have to allow
     */
    public record Crossing(double miss, Vector shim, Point onColumn, Point onGear, double angleDeg) {}

    /** Empty where neither axis is measured or there is no joint. */
    public static Optional<FixedAxes> of(Column c) {
        Optional<Axis> column = c.installation().columnAxis().map(d -> new Axis(c.hub(), d));
        Optional<Axis> gear = c.gear().axis().map(d -> new Axis(c.gearInput(), d));
        if (c.joints().isEmpty() || column.isEmpty() && gear.isEmpty()) {
            return Optional.empty();
        }
        Optional<Crossing> crossing = c.joints().size() == 1 && column.isPresent() && gear.isPresent()
                ? crossing(column.get(), gear.get())
                : Optional.empty();
        return Optional.of(new FixedAxes(
                column.map(a -> a.distanceTo(c.joints().getFirst().centre())),
                gear.map(a -> a.distanceTo(c.joints().getLast().centre())),
                crossing));
    }

    /** Empty where the axes are parallel. */
    static Optional<Crossing> crossing(Axis column, Axis gear) {
        Vector across = column.direction().cross(gear.direction().vector());
        double angle = column.direction().angleTo(gear.direction());
        if (across.norm() < PARALLEL) {
            return Optional.empty();
        }
        Direction n = across.direction();
        Vector between = gear.origin().minus(column.origin());
        double miss = n.dot(between);
        // Each foot from the part of the gap that lies along the other axis (Cramer's rule).
        double s = n.dot(between.cross(gear.direction().vector())) / across.norm();
        double t = n.dot(between.cross(column.direction().vector())) / across.norm();
        return Optional.of(new Crossing(
                Math.abs(miss),
                n.times(miss),
                column.origin().plus(column.direction().times(s)),
                gear.origin().plus(gear.direction().times(t)),
                Math.toDegrees(angle)));
    }

    /** The column shimmed so that the axes meet, and the joint put where they do. */
    public Column shimmed(Column c) {
        Crossing x = crossing.orElseThrow(() -> new ImpossibleGeometryException("The two axes do not cross."));
        return c.withHub(c.hub().plus(x.shim))
                .withJoint(0, c.joints().getFirst().withCentre(x.onGear));
    }

    /** The joints at both ends put on the measured axes, each at its nearest point. */
    public static Column onAxes(Column c) {
        Column changed = c;
        if (c.installation().columnAxis().isPresent() && c.joints().size() > 1) {
            Axis a = new Axis(c.hub(), c.installation().columnAxis().get());
            changed = changed.editJoint(0, j -> j.withCentre(a.footOf(j.centre())));
        }
        if (c.gear().axis().isPresent() && c.joints().size() > 1) {
            Axis a = new Axis(c.gearInput(), c.gear().axis().get());
            changed = changed.editJoint(c.joints().size() - 1, j -> j.withCentre(a.footOf(j.centre())));
        }
        return changed;
    }
}
