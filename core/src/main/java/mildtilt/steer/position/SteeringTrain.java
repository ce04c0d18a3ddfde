package mildtilt.steer.position;

import java.util.Optional;
import mildtilt.column.ColumnTrain;
import mildtilt.column.Transfer;
import mildtilt.geometry.Side;
import mildtilt.job.Job;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.CannotAssemble.Reason;

/**
 * A job's steering made ready to be turned. A job without a column is turned at the gear's input; a
 * column is there to be seen turning even without an axle.
 */
public final class SteeringTrain {

    private final Optional<ColumnTrain> column;
    private final Transfer transfer;
    private final Optional<CannotAssemble> locked;
    private final Optional<AxleSolver> axle;

    /** @throws mildtilt.geometry.ImpossibleGeometryException if a rod or arm has no length */
    public SteeringTrain(Job job) {
        column = job.column().map(ColumnTrain::new);
        transfer = column.flatMap(ColumnTrain::transfer).orElse(Transfer.EVEN);
        locked = column.filter(c -> c.lockedJoint().isPresent()).map(c -> {
            int joint = c.lockedJoint().getAsInt();
            return new CannotAssemble(
                    c.column().joints().get(joint).name(), c.jointAngleDeg(joint), Reason.JOINT_LOCKED);
        });
        axle = job.axle().map(AxleSolver::new);
    }

    public Optional<ColumnTrain> column() {
        return column;
    }

    public Optional<AxleSolver> axle() {
        return axle;
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
        double gear = gearInputDeg(steeringWheelDeg);
        return new AxlePose(steeringWheelDeg, gear, solver.pose(Math.toRadians(gear), travelLeft, travelRight));
    }

    public SteeredAxle requireAxle() {
        return axle.orElseThrow(() -> new IllegalStateException("This job has no steered axle."))
                .axle();
    }
}
