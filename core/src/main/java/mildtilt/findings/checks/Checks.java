package mildtilt.findings.checks;

import java.util.List;
import java.util.Optional;
import mildtilt.catalogue.Catalogue;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.columnrange.ColumnFigures;
import mildtilt.findings.Finding;
import mildtilt.findings.GuardedAnalysis;
import mildtilt.job.Job;
import mildtilt.shop.PartLoad;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.TravelMap;
import mildtilt.travel.TravelFigures;

/** All checks of a job, the gravest finding first. */
public final class Checks {

    private Checks() {}

    /** @param w holds what failed before, and makes every check on its own */
    public static List<Finding> of(
            Job job,
            SteeringTrain train,
            Optional<ColumnFigures> column,
            Optional<SteerFigures> steer,
            Optional<TravelMap> map,
            Optional<ArmMatch> match,
            Optional<ClearanceFigures> clearance,
            Optional<TravelFigures> travel,
            List<PartLoad> parts,
            Catalogue catalogue,
            GuardedAnalysis w) {
        column.ifPresent(c -> {
            new ColumnChecks(job, c).look(w);
            new SupportChecks(job, c, catalogue).look(w);
            new EndChecks(job, catalogue).look(w);
            new RangeChecks(job, c).look(w);
            new StrengthChecks(job, c).look(w);
            new RuleChecks(job, c).look(w);
        });
        job.column().ifPresent(c -> new FoundChecks(job, c).look(w));
        steer.ifPresent(s -> {
            new AxleChecks(job, s, map).look(w);
            new AimChecks(job, train, s, match).look(w);
            new LoadChecks(job, s).look(w);
            new FeelChecks(job, train, s).look(w);
            new GeometryChecks(job, s).look(w);
            new LockChecks(job, s).look(w);
            new HandChecks(job, s).look(w);
            new PlayChecks(job, s).look(w);
        });
        travel.ifPresent(t -> new TravelChecks(t).look(w));
        new PartChecks(job, parts, steer).look(w);
        new ClearanceChecks(job, clearance).look(w);
        new MakingChecks(job, train, catalogue).look(w);
        return w.sorted();
    }
}
