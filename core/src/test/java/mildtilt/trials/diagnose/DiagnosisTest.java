package mildtilt.trials.diagnose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.Plan;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.trials.Measurand;
import mildtilt.trials.Setup;
import mildtilt.trials.TrialReading;
import mildtilt.trials.TrialSheet;
import mildtilt.trials.compare.Laser;
import mildtilt.trials.compare.PlateAngles;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Vehicles with known faults, measured with noise: the fault is named, its amount is within its ±, and what can't be
 * known is not claimed.
 */
class DiagnosisTest {

    private static final double DOT = 0.7;
    private static final double PLATE = 0.15;

    /**
     * A wall trace of both wheels with rod on and off, turn plates both ways, and the rods' lengths, of a vehicle as
     * built.
     */
    private static TrialSheet measured(Job built, Random r, boolean dots, boolean plates, boolean rods) {
        SteeringTrain t = new SteeringTrain(built);
        List<TrialReading> all = new ArrayList<>();
        for (Side s : Side.values()) {
            for (double z :
                    dots ? Grid.spread(built.vehicle().droop(), built.vehicle().bump(), 3) : new double[0]) {
                for (boolean rodOn : new boolean[] {true, false}) {
                    Laser.dot(t, s, z, rodOn, 3000)
                            .ifPresent(d -> all.add(new TrialReading.WallDot(
                                    s, rodOn, z, d.left() + DOT * r.nextGaussian(), 0, DOT, "laser")));
                }
            }
            for (double inner = 10; plates && inner <= 25; inner += 5) {
                double m = inner;
                PlateAngles.outerAt(t, s, m + PLATE * r.nextGaussian())
                        .ifPresent(o -> all.add(
                                new TrialReading.PlatePair(s, m, o + PLATE * r.nextGaussian(), PLATE, "plates")));
            }
        }
        if (rods) {
            t.axle()
                    .orElseThrow()
                    .lengths()
                    .forEach((rod, mm) -> all.add(new TrialReading.Figure(
                            new Measurand.RodLength(rod), mm + 0.25 * r.nextGaussian(), 0.25, "typed")));
        }
        return new TrialSheet("t", LocalDateTime.of(2026, 1, 1, 0, 0), "", "", Setup.RAISED, all, List.of(), "");
    }

    private static Diagnosis of(Job built, Job plan, long seed) {
        return Diagnosis.of(measured(built, new Random(seed), true, true, true), plan)
                .orElseThrow();
    }

    @Test
    void misplacedRackIsDiagnosed() {
        Job plan = DemoJob.MARSH_CARRIER.job();
        Job built = Deviation.GEAR_LEFT.apply(Deviation.GEAR_UP.apply(plan, -3.1), 1.4);
        double squares = 0;
        int n = 0;
        for (int seed = 0; seed < 4; seed++) {
            Diagnosis d = of(built, plan, seed);
            Cause best = d.best();
            assertThat(best.armsSwapped()).isFalse();
            assertThat(best.amounts()).extracting(Cause.Amount::what).contains(Deviation.GEAR_UP, Deviation.GEAR_LEFT);
            for (Cause.Amount a : best.amounts()) {
                double truth = a.what() == Deviation.GEAR_UP ? -3.1 : a.what() == Deviation.GEAR_LEFT ? 1.4 : 0;
                squares += (a.mm() - truth) * (a.mm() - truth) / (a.sd() * a.sd());
                n++;
            }
            assertThat(d.confidence()).isGreaterThan(0.6);
            assertThat(d.unexplained()).isFalse();
        }
        // The ± that is told is the scatter there is.
        assertThat(Math.sqrt(squares / n)).isBetween(0.4, 1.8);
        Diagnosis d = of(built, plan, 1);
        assertThat(d.best().describe(plan).text(LengthUnit.MM))
                .contains("the rack 3.")
                .contains(" low")
                .contains("to the left");
        String bench = String.join(
                " ",
                Correction.of(d.best(), plan).stream()
                        .map(p -> p.text(LengthUnit.MM))
                        .toList());
        assertThat(bench)
                .contains("Raise the rack by 3")
                .contains("to the right in its mounts")
                .contains("of its body")
                .contains("left tie rod")
                .contains("longer")
                .contains("shorter");
    }

    @Test
    void swappedArmsAreDiagnosedFromTurnPlates() {
        for (DemoJob demo : List.of(
                DemoJob.MARSH_CARRIER,
                DemoJob.LIBRARY_BUS,
                DemoJob.BOG_TENDER,
                DemoJob.GREENHOUSE_TUG,
                DemoJob.SALT_RAKE)) {
            Job plan = demo.job();
            Diagnosis d = Diagnosis.of(measured(Deviation.armsSwapped(plan), new Random(2), false, true, false), plan)
                    .orElseThrow();
            assertThat(d.best().armsSwapped()).as(demo.file()).isTrue();
            assertThat(d.confidence()).as(demo.file()).isGreaterThan(0.7);
            assertThat(d.causes()).as("the plan is told of, too").anyMatch(Cause::asPlanned);
            assertThat(Correction.of(d.best(), plan).getFirst().text(LengthUnit.MM))
                    .contains("put each on the other side");
            // Swapped twice is as planned.
            assertThat(new SteeringTrain(Deviation.armsSwapped(Deviation.armsSwapped(plan)))
                            .axle()
                            .orElseThrow()
                            .lengths()
                            .values())
                    .zipSatisfy(
                            new SteeringTrain(plan)
                                    .axle()
                                    .orElseThrow()
                                    .lengths()
                                    .values(),
                            (a, b) -> assertThat(a).isCloseTo(b, within(1e-9)));
        }
    }

    /** Of 42 vehicles built to plan, measured with noise, hardly any may be accused, and none with confidence. */
    @Test
    void vehicleBuiltToPlanHasNoDiagnosis() {
        List<String> accused = new ArrayList<>();
        for (DemoJob demo : DemoJob.values()) {
            Job plan = demo.job();
            for (int seed = 10; seed < 16; seed++) {
                Diagnosis d = of(plan, plan, seed);
                assertThat(d.unexplained()).as(demo.file()).isFalse();
                assertThat(d.causes().stream().mapToDouble(Cause::confidence).sum())
                        .as(demo.file())
                        .isCloseTo(1, within(0.05));
                if (!d.best().asPlanned()) {
                    accused.add(demo.file() + " " + seed + ": "
                            + d.best().describe(plan).text(LengthUnit.MM) + " " + d.confidence());
                    assertThat(d.confidence()).as(accused.getLast()).isLessThan(0.8);
                }
            }
        }
        assertThat(accused).hasSizeLessThanOrEqualTo(4);
    }

    @ParameterizedTest
    @EnumSource(
            value = Deviation.class,
            names = {"GEAR_UP", "GEAR_TILT", "RIGHT_ARM_UP", "BOTH_ARMS_OUT", "LEFT_ARM_LONG"})
    void eachDeviationIsDiagnosedOrItsEquals(Deviation fault) {
        for (DemoJob demo : List.of(DemoJob.MARSH_CARRIER, DemoJob.LIBRARY_BUS, DemoJob.GARDEN_SHUTTLE)) {
            Job plan = demo.job();
            double mm = fault.name().endsWith("UP") || fault == Deviation.GEAR_TILT ? 4 : -9;
            Diagnosis d = of(fault.apply(plan, mm), plan, 5);
            List<Cause> said = new ArrayList<>(List.of(d.best()));
            said.addAll(d.asLikely());
            Optional<Cause.Amount> found = said.stream()
                    .flatMap(c -> c.amounts().stream())
                    .filter(a -> a.what() == fault)
                    .findFirst();
            assertThat(found)
                    .as(demo + ": "
                            + d.causes().stream()
                                    .map(c -> c.describe(plan).text(LengthUnit.MM))
                                    .toList())
                    .isPresent();
            assertThat(found.get().mm())
                    .isCloseTo(mm, within(Math.max(0.6, 3.2 * found.get().sd())));
            assertThat(d.unexplained()).isFalse();
        }
    }

    @Test
    void unexplainedReadingsAreReported() {
        Job plan = DemoJob.MARSH_CARRIER.job();
        TrialSheet s = measured(plan, new Random(3), true, true, false);
        // Every other dot on the wrong mark.
        List<TrialReading> wild = new ArrayList<>();
        for (TrialReading r : s.readings()) {
            wild.add(
                    r instanceof TrialReading.WallDot d
                            ? new TrialReading.WallDot(
                                    d.wheel(),
                                    d.rodOn(),
                                    d.travel(),
                                    d.left() + (wild.size() / 2 % 2 == 0 ? 15 : -15),
                                    0,
                                    d.spread(),
                                    d.by())
                            : r);
        }
        assertThat(Diagnosis.of(s.withReadings(wild), plan).orElseThrow().unexplained())
                .isTrue();
        assertThat(Diagnosis.of(s.withReadings(s.readings().subList(0, 3)), plan))
                .isEmpty();
        Job column = Job.of("t", new Plan(plan.vehicle(), plan.column(), Optional.empty(), plan.targets()));
        assertThat(Diagnosis.of(s, column)).isEmpty();
        // An axle that does not travel has no wall trace to be judged by.
        Job fixed = DemoJob.GREENHOUSE_TUG.job();
        assertThat(Diagnosis.of(s.withReadings(List.copyOf(s.dots())), fixed)).isEmpty();
    }
}
