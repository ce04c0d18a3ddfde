package mildtilt.columnrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import mildtilt.column.Bearing;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.FollowingColumn;
import mildtilt.column.Transfer;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.job.Job;

/**
 * What the axle's travel does to a column whose gear is bolted to the axle.
 *
 * @param inputTurnDeg the most that the gear's input is turned with the steering wheel held straight ahead, degrees
 * @param worstRipplePct the most ripple anywhere in the travel, percent; empty where a joint locks in it
 * @param carried bearings that their shaft is carried away from
 */
public record AxleFollowing(double inputTurnDeg, Optional<Double> worstRipplePct, List<Carried> carried) {

    /** Less than this is rounding, mm. */
    private static final double MOVES = 1e-6;

    /** @param bearing index among the column's bearings; @param off from its shaft's line, mm */
    public record Carried(int bearing, double off) {}

    /** Empty where the gear is on the frame, and where the column can't follow it. */
    public static Optional<AxleFollowing> of(Job job) {
        return GearTravel.of(job)
                .filter(_ -> job.column().filter(FollowingColumn::canFollow).isPresent())
                .map(t -> of(job.column().orElseThrow(), t));
    }

    private static AxleFollowing of(Column c, GearTravel travel) {
        ColumnTrain planned = new ColumnTrain(c);
        FollowingColumn f = new FollowingColumn(planned);
        ToDoubleFunction<RigidMove> turned = m -> {
            ColumnTrain now = new ColumnTrain(f.at(m));
            boolean turns = planned.lockedJoint().isEmpty() && now.lockedJoint().isEmpty();
            return turns ? Math.abs(Math.toDegrees(f.turning(now, m).outputAt(0))) : 0;
        };
        List<Carried> carried = new ArrayList<>();
        for (int i = 0; i < c.bearings().size(); i++) {
            Bearing b = c.bearings().get(i);
            double off = travel.most(m -> off(c, f.at(m), b, m));
            if (off > MOVES) {
                carried.add(new Carried(i, off));
            }
        }
        return new AxleFollowing(
                travel.most(turned),
                finite(travel.most(m -> new ColumnTrain(f.at(m))
                        .transfer()
                        .map(Transfer::ripplePct)
                        .orElse(Double.POSITIVE_INFINITY))),
                List.copyOf(carried));
    }

    private static Optional<Double> finite(double most) {
        return Optional.of(most).filter(Double::isFinite);
    }

    /** From where the bearing is bolted to the line its shaft runs in. */
    private static double off(Column planned, Column now, Bearing b, RigidMove gear) {
        Point bolted = planned.place(b);
        Point there = b.mount() == Bearing.Mount.AXLE ? gear.moved(bolted) : bolted;
        return Axis.through(now.start(b.shaft()), now.end(b.shaft())).distanceTo(there);
    }
}
