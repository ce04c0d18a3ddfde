package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.analysis.Effect;
import mildtilt.columnrange.JointBend;
import mildtilt.geometry.Side;
import mildtilt.io.JobFileException;
import mildtilt.io.Numbers;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.steer.ArmMatch;
import mildtilt.steer.SteerFigures;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Whatever is offered as a remedy, on vehicles nobody drew: every size of each demo shaken by some hundredths. */
class RemediesTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();
    private static final int VEHICLES = 1;

    /** Faults whose every remedy clears them. Others may only be eased: some ripple can't be clocked away. */
    private static final List<Fault> CLEARED = List.of(
            Fault.WRONG_WAY,
            Fault.ACKERMANN,
            Fault.REVERSED_ACKERMANN,
            Fault.BUMP_STEER,
            Fault.GEAR_TAKES_THE_BLOW,
            Fault.TYRE_TOUCHES,
            Fault.LOCK_SHORT);

    private static List<Job> vehicles(DemoJob demo) throws Exception {
        Random r = new Random(demo.ordinal());
        List<Job> all = new ArrayList<>();
        while (all.size() < VEHICLES) {
            try {
                all.add(JobReader.read(Numbers.times(
                                MAPPER.readTree(JobWriter.write(demo.job())),
                                key -> key.endsWith("_mm") ? 1 + 0.03 * r.nextGaussian() : 1)
                        .toString()));
            } catch (JobFileException e) {
                assertThat(e).as("refused with a sentence").hasMessageContaining("can't exist");
            }
        }
        return all;
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void remediesNeverMakeThingsWorseUnannounced(DemoJob demo) throws Exception {
        for (Job job : vehicles(demo)) {
            Analysis before = Analysis.of(job);
            for (Finding f : before.findings()) {
                for (Remedy remedy : f.remedies()) {
                    String what = demo + ", " + f.what().text(LengthUnit.MM) + " → "
                            + remedy.action().text(LengthUnit.MM);
                    Analysis after = Analysis.of(remedy.edit().apply(job));
                    assertThat(after.steer().map(SteerFigures::sense))
                            .as(what)
                            .isEqualTo(Optional.of(SteerFigures.Sense.RIGHT_WAY));
                    Optional<Finding> left = after.findings().stream()
                            .filter(x -> x.same(f) && x.element().equals(f.element()))
                            .findFirst();
                    assertThat(left.map(Finding::severity).orElse(Severity.FINE))
                            .as(what)
                            .isLessThanOrEqualTo(f.severity());
                    if (CLEARED.contains(f.fault())) {
                        assertThat(left).as(what).isEmpty();
                    }
                    if (f.fault() == Fault.GEAR_OVERTRAVELS || f.fault() == Fault.LOCK_SHORT) {
                        assertThat(after.match().map(RemediesTest::lock).orElseThrow())
                                .as(what)
                                .allSatisfy((side, deg) -> assertThat(deg)
                                        .isGreaterThan(lock(before.match().orElseThrow())
                                                        .get(side)
                                                - 0.75));
                    }
                    Effect effect = before.effectOf(remedy);
                    assertThat(effect.brings())
                            .as(what)
                            .extracting(Finding::fault, Finding::about)
                            .containsExactlyElementsOf(after.findings().stream()
                                    .filter(x -> x.severity() == Severity.STOP)
                                    .filter(x -> before.findings().stream()
                                            .noneMatch(y -> y.severity() == Severity.STOP && y.same(x)))
                                    .map(x -> tuple(x.fault(), x.about()))
                                    .toList());
                }
            }
        }
    }

    /** A finding that a change brings has a name even where only the changed vehicle has the part. */
    @Test
    void whatAChangeBringsHasItsName() {
        Job bent = DemoJob.MARSH_CARRIER.job().editColumn(c -> JointBend.withAngle(c, 0, 80));
        Job without = bent.withPlan(new Plan(bent.vehicle(), Optional.empty(), bent.axle(), bent.targets()));
        List<Finding> brings = Analysis.of(without).effectOf(bent).brings();
        assertThat(brings).extracting(Finding::fault).contains(Fault.JOINT_OVER_LIMIT);
        assertThat(brings).allMatch(f -> f.headline(without).equals(f.headline(bent)));
    }

    /** What either way gives of lock, whether the gear ends it or something else. */
    private static Map<Side, Double> lock(ArmMatch match) {
        Map<Side, Double> all = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            all.put(
                    side,
                    Math.min(
                            match.toward(side).innerAllowed(),
                            match.toward(side).innerAtGearEnd()));
        }
        return all;
    }
}
