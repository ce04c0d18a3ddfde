package mildtilt.job;

import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.column.Column;
import mildtilt.linkage.SteeredAxle;
import mildtilt.withers.Withers;

/**
 * What is built: the vehicle's steering from wheel to tyres, and what it should do. Either half may still be missing
 * while the other is
 * worked on.
 *
 * @param column from steering wheel to gear, if laid out yet
 * @param axle gear, linkage and corners, if measured yet
 */
@Withers
public record Plan(Vehicle vehicle, Optional<Column> column, Optional<SteeredAxle> axle, Targets targets)
        implements PlanBuilder.With {

    /** The column changed; a plan without one stays as it is. */
    public Plan editColumn(UnaryOperator<Column> edit) {
        return column.map(c -> withColumn(Optional.of(edit.apply(c)))).orElse(this);
    }

    /** The axle changed; a plan without one stays as it is. */
    public Plan editAxle(UnaryOperator<SteeredAxle> edit) {
        return axle.map(a -> withAxle(Optional.of(edit.apply(a)))).orElse(this);
    }
}
