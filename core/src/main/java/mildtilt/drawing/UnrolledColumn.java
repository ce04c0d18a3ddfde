package mildtilt.drawing;

import java.util.ArrayList;
import java.util.List;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Vector;

/**
 * The column laid out straight, with true lengths and every fork at its clock angle.
 *
 * <p>Twelve o'clock on the first shaft is the top spoke of the steering wheel straight ahead; from shaft to shaft it is
 * carried over each joint without turning about the shafts, as if the joint were bent straight.
 *
 * @param centres hub, joint centres and gear input along the strip from the hub, mm
 * @param forks two at each joint, from wheel to gear
 */
public record UnrolledColumn(List<Double> centres, List<Fork> forks) {

    /**
     * One fork.
     *
     * @param joint that it belongs to
     * @param shaft that it is on: the joint's own number for the fork toward the wheel, one more for the other
     * @param clockDeg where its pin stands, clockwise from twelve seen from the wheel end, in [0, 180)
     */
    public record Fork(int joint, int shaft, double clockDeg) {

        /** Whether it is at the gear end of its shaft. */
        public boolean atGearEnd() {
            return joint == shaft;
        }
    }

    public UnrolledColumn {
        centres = List.copyOf(centres);
        forks = List.copyOf(forks);
    }

    public double length() {
        return centres.getLast();
    }

    /** @param steeringWheelDeg left above 0 */
    public static UnrolledColumn of(ColumnTrain train, double steeringWheelDeg) {
        Column c = train.column();
        List<Double> centres = new ArrayList<>(List.of(0.0));
        for (int i = 0; i < c.shafts().size(); i++) {
            centres.add(centres.getLast() + c.length(i));
        }
        List<Fork> forks = new ArrayList<>();
        Vector twelve = topOf(c.axis(0));
        List<ColumnTrain.Pins> pins = train.pinsAt(-Math.toRadians(steeringWheelDeg));
        for (int j = 0; j < pins.size(); j++) {
            forks.add(new Fork(j, j, clock(c.axis(j), twelve, pins.get(j).wheelSide())));
            twelve = carried(c.axis(j), c.axis(j + 1), twelve);
            forks.add(
                    new Fork(j, j + 1, clock(c.axis(j + 1), twelve, pins.get(j).gearSide())));
        }
        return new UnrolledColumn(centres, forks);
    }

    private static Vector topOf(Direction axis) {
        Vector top = Vector.Z.minus(axis.times(axis.z()));
        return top.norm() > 1e-6 ? top.direction().vector() : axis.anySquare().vector();
    }

    /** Turned with the axis about the joint's normal, by the joint's angle. */
    private static Vector carried(Direction from, Direction to, Vector twelve) {
        Vector normal = from.cross(to.vector());
        return normal.norm() < 1e-12 ? twelve : normal.direction().turn(twelve, from.angleTo(to));
    }

    private static double clock(Direction axis, Vector twelve, Direction pin) {
        double deg =
                Math.toDegrees(Math.atan2(axis.vector().dot(twelve.cross(pin.vector())), twelve.dot(pin.vector())));
        double within = deg % 180;
        return within < 0 ? within + 180 : within;
    }
}
