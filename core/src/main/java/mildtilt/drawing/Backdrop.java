package mildtilt.drawing;

import java.util.List;
import java.util.Optional;
import mildtilt.drawing.Sketch.Builder;
import mildtilt.job.Job;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.SteeringTrain;

/**
 * What is the same at every position, worked out once for a job: the arcs and sectors of the locks, and what is in
 * the way and does not move.
 */
public final class Backdrop {

    private final SteeringTrain train;
    private final Surroundings surroundings;
    private final LockArcs arcs;
    private final List<Stroke> standing;

    private Backdrop(SteeringTrain train, Surroundings surroundings, LockArcs arcs, List<Stroke> standing) {
        this.train = train;
        this.surroundings = surroundings;
        this.arcs = arcs;
        this.standing = standing;
    }

    /** @param before of an earlier state of the job: what did not change since is reused */
    public static Backdrop of(Job job, SteeringTrain train, Optional<Backdrop> before) {
        LockArcs arcs = before.filter(b -> b.train == train).map(b -> b.arcs).orElseGet(() -> LockArcs.of(job, train));
        List<Stroke> standing = before.filter(b -> b.surroundings == job.surroundings())
                .map(b -> b.standing)
                .orElseGet(() -> standing(job));
        return new Backdrop(train, job.surroundings(), arcs, standing);
    }

    /** For drawings of the parts alone. */
    static Backdrop withoutArcs(Job job, SteeringTrain train) {
        return new Backdrop(train, job.surroundings(), LockArcs.NONE, standing(job));
    }

    private static List<Stroke> standing(Job job) {
        Builder b = new Builder();
        ObstacleSketch.drawStanding(b, job);
        return List.copyOf(b.strokes);
    }

    LockArcs arcs() {
        return arcs;
    }

    List<Stroke> standing() {
        return standing;
    }
}
