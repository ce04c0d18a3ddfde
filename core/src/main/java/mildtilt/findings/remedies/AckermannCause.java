package mildtilt.findings.remedies;

import java.util.List;
import mildtilt.arms.KnuckleEdits;
import mildtilt.findings.Remedy;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.Phrase;

/**
 * Why Ackermann is reversed. Arms behind the axle must lean in toward the rear axle's middle, arms ahead of it
 * must lean out; arms made for one side and used on the other lean the wrong way.
 */
public record AckermannCause(String likely, List<Remedy> remedies) {

    public static AckermannCause of(Job job) {
        SteeredAxle axle = job.axle().orElseThrow();
        Corner corner = axle.left();
        Axis steer = corner.suspension().steerAxis();
        Point end = corner.knuckle().tieRodPoint();
        Vector arm = end.minus(steer.footOf(end));
        boolean ahead = arm.x() > 0;
        boolean leansIn = arm.y() < 0;
        if (ahead != leansIn) {
            return new AckermannCause(
                    "The arms lean the right way for their side, so the likely cause is where the inner ends "
                            + "are: the gear sits too far " + (ahead ? "back" : "forward")
                            + " of the arms' ends, or it was moved to this side of the axle.",
                    List.of());
        }
        String shape = "The arms point " + (ahead ? "ahead and lean in" : "back and lean out")
                + ": that is the shape of arms made to point " + (ahead ? "back" : "ahead")
                + ". Likely the left and right knuckles are swapped, or the gear was moved to the other side of the axle and the "
                + "arms with it. Some builders choose it for grip in fast corners; then lower the target.";
        // Arms and gear together on the other side of the axle turn the wheels the other way.
        Job moved = KnuckleEdits.swapSides(KnuckleEdits.flipGear(job, false));
        Job right = KnuckleEdits.steeringRight(moved);
        Remedy swap = new Remedy(
                Phrase.of("Swap the left and right knuckles, take the gear to the other side of the axle with the arms"
                        + (right.equals(moved) ? "" : ", and use a gear that drives the other way")),
                j -> KnuckleEdits.steeringRight(KnuckleEdits.swapSides(KnuckleEdits.flipGear(j, false))));
        return new AckermannCause(shape, ackermann(right) > 0 ? List.of(swap) : List.of());
    }

    private static double ackermann(Job job) {
        return SteerSweep.of(new SteeringTrain(job), job, Grid.USUAL)
                .flatMap(SteerFigures::ackermannAt20Pct)
                .orElse(Double.NaN);
    }
}
