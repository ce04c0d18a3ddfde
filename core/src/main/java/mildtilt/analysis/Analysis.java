package mildtilt.analysis;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mildtilt.catalogue.Catalogue;
import mildtilt.check.Checks;
import mildtilt.check.Fault;
import mildtilt.check.Finding;
import mildtilt.check.Remedy;
import mildtilt.check.Severity;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.routing.ColumnFigures;
import mildtilt.shop.BenchSheet;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.Grid;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.TravelMap;

/**
 * Everything worked out of one job.
 *
 * @param train ready to be turned to any position of the hands
 * @param column empty without a column
 * @param steer empty without an axle, or with a joint locked
 * @param match gear against knuckle arms, where anything but the gear ends the lock
 * @param findings gravest first
 * @param catalogue whose parts the remedies may name
 */
public record Analysis(
        Job job,
        SteeringTrain train,
        Optional<ColumnFigures> column,
        Optional<SteerFigures> steer,
        Optional<TravelMap> map,
        Optional<ArmMatch> match,
        Headlines headlines,
        BenchSheet bench,
        List<Finding> findings,
        Catalogue catalogue) {

    /** With no catalogue to name parts of. */
    public static Analysis of(Job job) {
        return of(job, Grid.USUAL, Catalogue.NONE);
    }

    /** With no catalogue to name parts of. */
    public static Analysis of(Job job, Grid grid) {
        return of(job, grid, Catalogue.NONE);
    }

    /** @throws mildtilt.geometry.ImpossibleGeometryException if a rod or arm has no length */
    public static Analysis of(Job job, Grid grid, Catalogue catalogue) {
        SteeringTrain train = new SteeringTrain(job);
        Optional<ColumnFigures> column = job.column().map(_ -> ColumnFigures.of(job));
        Optional<SteerFigures> steer = SteerSweep.of(train, job, grid);
        Optional<TravelMap> map = TravelMap.of(train, job, grid);
        Optional<ArmMatch> match = steer.flatMap(s -> ArmMatch.of(train, job, s));
        return new Analysis(job, train, column, steer, map, match, Headlines.of(train.column(), steer, map, match),
                BenchSheet.of(job, train), Checks.of(job, train, column, steer, map, match, catalogue), catalogue);
    }

    /** The worst found at one element. */
    public Severity stateOf(Element element) {
        return findings.stream().filter(f -> f.element().equals(element)).map(Finding::severity)
                .reduce(Severity.FINE, Severity::worse);
    }

    public Effect effectOf(Remedy remedy) {
        return effectOf(remedy.edit().apply(job));
    }

    /** What it would do to make the job so. */
    public Effect effectOf(Job changed) {
        try {
            Analysis after = of(changed, Grid.USUAL, catalogue);
            Set<Fault> stops = stops().map(Finding::fault).collect(Collectors.toSet());
            return new Effect(headlines.against(after.headlines), after.stops().filter(f -> !stops.contains(f.fault())).toList());
        } catch (ImpossibleGeometryException e) {
            return Effect.NONE;
        }
    }

    private Stream<Finding> stops() {
        return findings.stream().filter(f -> f.severity() == Severity.STOP);
    }
}
