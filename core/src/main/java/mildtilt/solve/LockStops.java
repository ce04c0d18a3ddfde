package mildtilt.solve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.findings.remedies.StopMoves;
import mildtilt.job.Job;
import mildtilt.shop.StopFigures;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.Phrase;
import mildtilt.units.Quantity;

/** Where the lock stops belong, so that neither the gear nor the rods nor a tyre takes the blow. */
public final class LockStops {

    private LockStops() {}

    /**
     * @param beforeDeg how far before the first thing that would else end the lock the stop acts, degrees of inner
     * wheel
     * @param boltRadius from the steer axis to where the stop bolt meets, mm
     */
    public static List<SolveAnswer> of(Job job, double beforeDeg, double boltRadius) {
        Optional<SteerFigures> figures = SteerSweep.of(new SteeringTrain(job), job, Grid.USUAL);
        Optional<Double> stop = figures.flatMap(f -> StopMoves.innerStopDeg(job, f, beforeDeg));
        if (stop.isEmpty()) {
            return List.of();
        }
        double deg = stop.get();
        List<SolveAnswer> all = new ArrayList<>();
        Optional<KnucklePose> ahead =
                new SteeringTrain(job).pose(0, 0, 0).assembled().map(AxlePose.Assembled::left);
        Optional<Double> turn = ahead.flatMap(k -> StopFigures.turn(k, deg));
        if (turn.isEmpty()) {
            return List.of();
        }
        double gap = StopFigures.gap(boltRadius, turn.get());
        double perDegree = StopFigures.perDegree(ahead.get(), boltRadius, turn.get());
        all.add(new SolveAnswer(
                List.of(Phrase.of(
                        "Set a stop on each knuckle at {0} with its wheel inside: {1} of gap straight ahead where "
                                + "the bolt meets {2} from the steer axis ({3} of bolt for each degree)",
                        Quantity.angle(deg),
                        Quantity.length(gap),
                        Quantity.length(boltRadius),
                        Quantity.length(perDegree))),
                true,
                List.of(),
                StopMoves.withInnerStops(job, deg)));
        StopMoves.limiterMm(job, deg).filter(mm -> mm >= 0.5).ifPresent(mm -> {
            double round = Math.floor(mm * 2) / 2;
            Job limited = job.editAxle(a -> a.editRack(r -> r.withTravelEachWay(r.travelEachWay() - round)));
            all.add(new SolveAnswer(
                    List.of(Phrase.of(
                            "Fit limiters {0} thick at each end of the rack, so that it ends with the inner wheel near "
                                    + "{1}; the rods and the rack's fixings still take the blow of a kerb",
                            Quantity.length(round), Quantity.angle(deg))),
                    true,
                    List.of(),
                    limited));
        });
        return all;
    }
}
