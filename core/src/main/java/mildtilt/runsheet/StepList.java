package mildtilt.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mildtilt.arms.ArmFigures;
import mildtilt.clearance.Notch;
import mildtilt.clearance.PairGap;
import mildtilt.job.Job;
import mildtilt.machined.MachinedParts;
import mildtilt.shop.BenchSheet;
import mildtilt.shop.CutList;
import mildtilt.shop.FoundFigures;
import mildtilt.shop.JoinFigures;
import mildtilt.shop.RackRodFigures;
import mildtilt.shop.RodFigures;
import mildtilt.shop.StopFigures;
import mildtilt.steer.SteerFigures;

/** The steps that a job takes, made from what is in it: a job without a column has none of a column's. */
public final class StepList {

    /** What the steps are made from. */
    public record Basis(
            Job job,
            BenchSheet bench,
            CutList cuts,
            List<RodFigures> rods,
            List<RackRodFigures> rackRods,
            StopFigures stops,
            List<JoinFigures> joins,
            List<FoundFigures> found,
            List<ArmFigures> arms,
            MachinedParts machined,
            Optional<SteerFigures> steer,
            List<Notch> notches,
            Optional<PairGap> tightest) {}

    private StepList() {}

    /** In an order in which each comes after all that it needs. */
    public static List<RunStep> of(Basis basis) {
        List<RunStep> steps = new ArrayList<>();
        new SettingOut(basis, steps).all();
        new CuttingSteps(basis, steps).all();
        new LinkageSteps(basis, steps).all();
        new FinishingSteps(basis, steps).all();
        return StepOrder.sorted(steps, basis.job.making().plan().located());
    }
}
