package mildtilt.clearance.bodies;

import java.util.List;
import java.util.Optional;
import mildtilt.columnrange.ColumnRange.Placed;
import mildtilt.geometry.Point;
import mildtilt.steer.position.AxlePose;

/**
 * One position of everything that can move.
 *
 * @param pose of the axle, if the job has one
 * @param travelLeft of the left wheel, mm
 * @param travelRight of the right wheel, mm
 * @param column how the steering wheel is set
 * @param part how far what moves by itself has gone on its own way, 0 to 1
 */
public record Configuration(
        Optional<AxlePose> pose, double travelLeft, double travelRight, Placed column, double part) {

    public static final Placed NO_COLUMN = new Placed("", List.of());

    Point columnPoint(int i) {
        return column.points().get(i);
    }

    Configuration withPose(AxlePose p, double left, double right) {
        return new Configuration(Optional.of(p), left, right, column, part);
    }
}
