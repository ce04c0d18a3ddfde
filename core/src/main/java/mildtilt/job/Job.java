package mildtilt.job;

import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.column.Column;
import mildtilt.linkage.SteeredAxle;

/**
 * A vehicle's steering as planned. Either half may still be missing while the other is worked on.
 *
 * @param title short name of the job
 * @param about free text: whose vehicle, what for
 * @param column from steering wheel to gear, if laid out yet
 * @param axle gear, linkage and corners, if measured yet
 */
public record Job(
        String title,
        String about,
        Vehicle vehicle,
        Optional<Column> column,
        Optional<SteeredAxle> axle,
        Targets targets) {

    public Job withTitle(String t) {
        return new Job(t, about, vehicle, column, axle, targets);
    }

    public Job withVehicle(Vehicle v) {
        return new Job(title, about, v, column, axle, targets);
    }

    public Job withTargets(Targets t) {
        return new Job(title, about, vehicle, column, axle, t);
    }

    public Job withColumn(Column c) {
        return new Job(title, about, vehicle, Optional.of(c), axle, targets);
    }

    public Job withAxle(SteeredAxle a) {
        return new Job(title, about, vehicle, column, Optional.of(a), targets);
    }

    /** The column changed; a job without one stays as it is. */
    public Job editColumn(UnaryOperator<Column> edit) {
        return column.map(c -> withColumn(edit.apply(c))).orElse(this);
    }

    /** The axle changed; a job without one stays as it is. */
    public Job editAxle(UnaryOperator<SteeredAxle> edit) {
        return axle.map(a -> withAxle(edit.apply(a))).orElse(this);
    }
}
