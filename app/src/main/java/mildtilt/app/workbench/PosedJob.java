package mildtilt.app.workbench;

import java.util.Optional;
import mildtilt.drawing.LockArcs;
import mildtilt.drawing.Sketch;
import mildtilt.job.Job;
import mildtilt.steer.AxlePose;
import mildtilt.steer.SteeringTrain;

/** What all views draw: a job where the hands hold it; good for one train and one place of the hands. */
record PosedJob(SteeringTrain train, HandsPosition hands, Optional<AxlePose> pose, Sketch sketch, LockArcs arcs) {

    /** @param before whose arcs are as good still if it is of the same train */
    static PosedJob of(Job job, SteeringTrain train, HandsPosition h, Optional<PosedJob> before) {
        LockArcs arcs = before.filter(b -> b.train == train).map(PosedJob::arcs).orElseGet(() -> LockArcs.of(job, train));
        Optional<AxlePose> pose = train.axle().map(_ -> train.pose(h.steeringWheelDeg(), h.travelLeft(), h.travelRight()));
        return new PosedJob(train, h, pose, Sketch.of(job, train, h.steeringWheelDeg(), h.travelLeft(), h.travelRight(), pose, arcs), arcs);
    }

    boolean isOf(SteeringTrain t, HandsPosition h) {
        return train == t && hands.equals(h);
    }
}
