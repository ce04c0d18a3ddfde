package mildtilt.arms;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.report.Papers;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

class ArmFiguresTest {

    /** A used knuckle whose arm is 15 shorter and 6 lower than wanted: what the arms tab would say of that change. */
    @Test
    void usedKnuckleIsCutAsTheArmsTabSays() throws Exception {
        Job plan = DemoJob.MARSH_CARRIER.job();
        Job asFound = KnuckleEdits.changed(plan, KnuckleArm.LEFT_STEERING, new KnuckleChange(-15, 0, -6, 0, 0));
        Point end = KnuckleArm.LEFT_STEERING.end(asFound.axle().orElseThrow());
        Job job = plan.editMaking(m -> m.editAsFound(f -> f.withArm(KnuckleArm.LEFT_STEERING, Optional.of(end))));
        assertThat(JobReader.read(JobWriter.write(job)).making().asFound())
                .isEqualTo(job.making().asFound());
        List<ArmFigures> all = ArmFigures.of(job);
        assertThat(all).extracting(ArmFigures::arm).containsExactly(KnuckleArm.LEFT_STEERING);
        List<String> steps =
                all.getFirst().steps().stream().map(s -> s.text(LengthUnit.MM)).toList();
        assertThat(steps)
                .anyMatch(s -> s.contains("15.0 mm away from the steer axis along the arm (longer)"))
                .anyMatch(s -> s.contains("6.0 mm up, along the steer axis"))
                .noneMatch(s -> s.contains("Turn the boss"));
        Papers papers = Papers.of(Analysis.of(job), LocalDate.EPOCH);
        assertThat(papers.table("cut-and-move").orElseThrow().rows()).hasSameSizeAs(steps);
        assertThat(papers.run().line("arms").orElseThrow().step().measure())
                .extracting(m -> m.text(LengthUnit.MM))
                .anyMatch(m ->
                        m.startsWith("Left steering arm: Cut the left steering arm between its root and its boss"));
        // As it is planned there is nothing to do to it.
        Job same = plan.editMaking(m -> m.editAsFound(f -> f.withArm(
                KnuckleArm.RIGHT_STEERING,
                Optional.of(KnuckleArm.RIGHT_STEERING.end(plan.axle().orElseThrow())))));
        assertThat(ArmFigures.of(same).getFirst().steps())
                .singleElement()
                .extracting(s -> s.text(LengthUnit.MM))
                .isEqualTo("The right steering arm stays as it is.");
    }
}
