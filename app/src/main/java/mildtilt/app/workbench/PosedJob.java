package mildtilt.app.workbench;

import java.util.List;
import java.util.Optional;
import mildtilt.clearance.bodies.VehicleSolids;
import mildtilt.column.ColumnTrain;
import mildtilt.drawing.Backdrop;
import mildtilt.drawing.Sketch;
import mildtilt.geometry.RigidMove;
import mildtilt.job.Job;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringInput;
import mildtilt.steer.position.SteeringTrain;

/** What all views draw: a job at one position; valid for one train and one position. */
record PosedJob(
        SteeringTrain train,
        SteeringInput hands,
        Optional<AxlePose> pose,
        Optional<ColumnTrain> column,
        Sketch sketch,
        Backdrop backdrop,
        VehicleSolids solids,
        List<VehicleSolids.Part> parts) {

    /** @param before whose backdrop is as good still where nothing of it changed */
    static PosedJob of(Job job, SteeringTrain train, SteeringInput h, Optional<PosedJob> before) {
        Backdrop backdrop = Backdrop.of(job, train, before.map(PosedJob::backdrop));
        VehicleSolids solids =
                before.filter(b -> b.train == train).map(PosedJob::solids).orElseGet(() -> VehicleSolids.of(job));
        Optional<AxlePose> pose =
                train.axle().map(_ -> train.pose(h.steeringWheelDeg(), h.travelLeft(), h.travelRight()));
        return new PosedJob(
                train,
                h,
                pose,
                train.columnAt(pose.map(p -> p.stance().gearMove()).orElse(RigidMove.NONE)),
                Sketch.of(job, train, h.steeringWheelDeg(), h.travelLeft(), h.travelRight(), pose, backdrop),
                backdrop,
                solids,
                solids.at(pose, h.travelLeft(), h.travelRight()));
    }

    boolean isOf(SteeringTrain t, SteeringInput h) {
        return train == t && hands.equals(h);
    }
}
