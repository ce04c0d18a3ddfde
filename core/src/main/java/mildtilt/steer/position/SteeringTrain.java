package mildtilt.steer.position;

import java.util.Optional;
import mildtilt.column.ColumnTrain;
import mildtilt.column.FollowingColumn;
import mildtilt.column.Transfer;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;
import org.jspecify.annotations.Nullable;

/**
 * A job's steering made ready to be turned. A job without a column is turned at the gear's input; a
 * column is there to be seen turning even without an axle. Where the gear is bolted to the axle, the column follows it,
 * and the axle's travel turns the gear's input.
 */
public final class SteeringTrain {

    /** What the sums may be off by at the very end of the gear, rad. */
    private static final double ROUNDING = 1e-9;

    private final Optional<ColumnTrain> column;
    private final Transfer transfer;
    private final Optional<CannotAssemble> locked;
    private final Optional<AxleSolver> axle;
    private final Optional<CarrierMotion> carriers;
    private final Optional<FollowingColumn> following;
    /** The last travel a following column was brought to: most poses that follow one another are at one travel. */
    private volatile @Nullable Followed followed;

    /** @throws mildtilt.geometry.ImpossibleGeometryException if a rod or arm has no length */
    public SteeringTrain(Job job) {
        column = job.column().map(ColumnTrain::new);
        transfer = column.flatMap(ColumnTrain::transfer).orElse(Transfer.EVEN);
        locked = column.flatMap(SteeringTrain::locked);
        axle = job.axle().map(AxleSolver::new);
        carriers = axle.map(CarrierMotion::new);
        following = column.filter(c -> locked.isEmpty()
                        && job.axle().filter(SteeredAxle::gearOnAxle).isPresent()
                        && FollowingColumn.canFollow(c.column()))
                .map(FollowingColumn::new);
    }

    private static Optional<CannotAssemble> locked(ColumnTrain c) {
        return c.lockedJoint().isPresent()
                ? Optional.of(new CannotAssemble(
                        c.column().joints().get(c.lockedJoint().getAsInt()).name(),
                        c.jointAngleDeg(c.lockedJoint().getAsInt()),
                        Reason.JOINT_LOCKED))
                : Optional.empty();
    }

    public Optional<ColumnTrain> column() {
        return column;
    }

    public Optional<AxleSolver> axle() {
        return axle;
    }

    /** How what things are fixed to moves. Empty without an axle. */
    public Optional<CarrierMotion> carriers() {
        return carriers;
    }

    /** The column as it stands with the gear gone somewhere; as planned unless the gear is on the axle. */
    public Optional<ColumnTrain> columnAt(RigidMove gearMove) {
        return gearMove.stays() || following.isEmpty() ? column : following.map(f -> new ColumnTrain(f.at(gearMove)));
    }

    /** The joint that can't turn at all, if there is one. */
    public Optional<CannotAssemble> locked() {
        return locked;
    }

    /**
     * Rotation of the gear's input to the left for a rotation of the steering wheel to the left, degrees. A
     * left turn is anticlockwise seen from the wheel, against the sense in which the column's angles count.
     */
    public double gearInputDeg(double steeringWheelDeg) {
        return -Math.toDegrees(transfer.outputAt(-Math.toRadians(steeringWheelDeg)));
    }

    /** Steering-wheel angle, degrees + left, at which the gear meets its end. Empty without an axle. */
    public Optional<Double> stopDeg(Side way) {
        return axle.map(a -> -Math.toDegrees(transfer.inputFor(-way.sign() * a.gearInputStop())));
    }

    /**
     * @param steeringWheelDeg + left
     * @param travelLeft rise of the left wheel, mm
     * @param travelRight rise of the right wheel, mm
     * @throws IllegalStateException if the job has no axle
     */
    public AxlePose pose(double steeringWheelDeg, double travelLeft, double travelRight) {
        AxleSolver solver = axle.orElseThrow(() -> new IllegalStateException("This job has no steered axle."));
        if (locked.isPresent()) {
            return new AxlePose(
                    steeringWheelDeg,
                    steeringWheelDeg,
                    new AxleConfiguration(locked.get(), locked.get(), Optional.empty(), Optional.empty()));
        }
        if (following.isPresent()) {
            return followingPose(solver, following.get(), steeringWheelDeg, travelLeft, travelRight);
        }
        double gear = gearInputDeg(steeringWheelDeg);
        return new AxlePose(steeringWheelDeg, gear, solver.pose(Math.toRadians(gear), travelLeft, travelRight));
    }

    /**
     * A column that has followed the axle to one travel.
     *
     * @param locked the joint that can't turn there, if one can't
     */
    private record Followed(
            double travelLeft, double travelRight, FollowingColumn.Turning turning, Optional<CannotAssemble> locked) {}

    private Followed followed(AxleSolver solver, FollowingColumn f, double travelLeft, double travelRight) {
        Followed last = followed;
        if (last == null || last.travelLeft != travelLeft || last.travelRight != travelRight) {
            RigidMove move = solver.gearMove(travelLeft, travelRight).orElse(RigidMove.NONE);
            ColumnTrain now = new ColumnTrain(f.at(move));
            last = new Followed(travelLeft, travelRight, f.turning(now, move), locked(now));
            followed = last;
        }
        return last;
    }

    /** The gear's input as the axle's own movement turns it, no further than the gear's end. */
    private AxlePose followingPose(
            AxleSolver solver, FollowingColumn f, double steeringWheelDeg, double travelLeft, double travelRight) {
        Followed column = followed(solver, f, travelLeft, travelRight);
        if (column.locked.isPresent()) {
            CannotAssemble no = column.locked.get();
            return new AxlePose(
                    steeringWheelDeg,
                    steeringWheelDeg,
                    new AxleConfiguration(no, no, Optional.empty(), Optional.empty()));
        }
        double asked = -column.turning.outputAt(-Math.toRadians(steeringWheelDeg));
        double end = solver.gearInputStop();
        double planned = Math.toRadians(gearInputDeg(steeringWheelDeg));
        double gear = Math.abs(planned) <= end + ROUNDING ? Math.clamp(asked, -end, end) : asked;
        return new AxlePose(steeringWheelDeg, Math.toDegrees(gear), solver.pose(gear, travelLeft, travelRight));
    }

    public SteeredAxle requireAxle() {
        return axle.orElseThrow(() -> new IllegalStateException("This job has no steered axle."))
                .axle();
    }
}
