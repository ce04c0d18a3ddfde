package mildtilt.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mildtilt.catalogue.Catalogue;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.job.Job;
import mildtilt.routing.ColumnFigures;
import mildtilt.shop.PartLoad;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteeringTrain;
import mildtilt.steer.TravelMap;

/** All checks of a job, the gravest finding first. */
public final class Checks {

    private Checks() {}

    public static List<Finding> of(
            Job job, SteeringTrain train, Optional<ColumnFigures> column, Optional<SteerFigures> steer, Optional<TravelMap> map,
            Optional<ArmMatch> match, Optional<ClearanceFigures> clearance, List<PartLoad> parts, Catalogue catalogue) {
        List<Finding> all = new ArrayList<>();
        column.ifPresent(c -> {
            all.addAll(new ColumnChecks(job, c).findings());
            all.addAll(new SupportChecks(job, c, catalogue).findings());
            all.addAll(new EndChecks(job, catalogue).findings());
            all.addAll(new RangeChecks(job, c).findings());
            all.addAll(new StrengthChecks(job, c).findings());
            all.addAll(new RuleChecks(job, c).findings());
        });
        steer.ifPresent(s -> {
            all.addAll(new AxleChecks(job, s, map).findings());
            all.addAll(new AimChecks(job, train, s, match).findings());
            all.addAll(new LoadChecks(job, s).findings());
            all.addAll(new GeometryChecks(job, s).findings());
            all.addAll(new LockChecks(job, s).findings());
        });
        all.addAll(new PartChecks(job, parts, steer).findings());
        all.addAll(new ClearanceChecks(job, clearance).findings());
        all.addAll(new MakingChecks(job, train, catalogue).findings());
        all.sort(Comparator.comparing(Finding::severity).reversed().thenComparing(Finding::fault));
        return List.copyOf(all);
    }
}
