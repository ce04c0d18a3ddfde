package mildtilt.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.TravelMap;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SolverTest {

    private static Job raised() {
        return DemoJob.MARSH_CARRIER.job().editAxle(a -> a.withGearMoved(new Vector(0, 0, 14)));
    }

    @Test
    void leastBumpSteerAnswerHoldsInFullAnalysis() {
        Job job = raised();
        SolveQuestion q = SolveQuestion.usual(Goal.LEAST_BUMP_STEER, job);
        List<SolveAnswer> answers = Solver.search(job, q, Progress.SILENT);
        assertThat(answers).isNotEmpty();
        SolveAnswer first = answers.getFirst();
        assertThat(first.meets()).isTrue();
        assertThat(first.sentence().text(LengthUnit.MM)).startsWith("Lower the rack 14");
        SteerFigures s = SteerSweep.of(new SteeringTrain(first.job()), first.job(), Grid.USUAL)
                .orElseThrow();
        assertThat(s.worstNormalBumpSteerDeg()).isLessThan(0.02);
        // Few changes before many, and none that only adds cuts.
        assertThat(answers.stream()
                        .filter(SolveAnswer::meets)
                        .map(a -> a.orders().size())
                        .toList())
                .isSorted();
        assertThat(Solver.search(job, q, Progress.SILENT))
                .extracting(a -> a.sentence().text(LengthUnit.MM))
                .isEqualTo(answers.stream()
                        .map(a -> a.sentence().text(LengthUnit.MM))
                        .toList());
    }

    @Test
    void armShapeSolvesForLockAndAckermann() {
        Job job = DemoJob.MARSH_CARRIER.job();
        List<VariableBounds> free = List.of(
                VariableBounds.either(DesignVariable.ARM_LENGTH, 40),
                VariableBounds.either(DesignVariable.ARM_OUT, 40));
        SolveQuestion q =
                new SolveQuestion(free, List.of(Target.of(Target.Wish.LOCK, 32), Target.of(Target.Wish.ACKERMANN, 70)));
        SolveAnswer a = Solver.search(job, q, Progress.SILENT).getFirst();
        assertThat(a.meets()).isTrue();
        QuickFigures f = QuickFigures.of(a.job(), QuickFigures.Until.GEAR_END).orElseThrow();
        assertThat(f.lockDeg()).isCloseTo(32, within(0.3));
        assertThat(f.ackermannPct().orElseThrow()).isCloseTo(70, within(2.0));
        assertThat(f.toggleDeg()).isGreaterThanOrEqualTo(24.5);
        assertThat(f.rodEndMarginDeg()).isGreaterThanOrEqualTo(-0.3);
        assertThat(Solver.alreadyMet(a.job(), q)).isTrue();
        assertThat(Solver.alreadyMet(job, q)).isFalse();
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"GREENHOUSE_TUG", "BOG_TENDER"})
    void ratioIsSolvedForArmGears(DemoJob which) {
        Job job = which.job();
        double wanted =
                QuickFigures.of(job, QuickFigures.Until.GEAR_END).orElseThrow().ratio() * 1.12;
        SolveQuestion q = new SolveQuestion(
                List.of(
                        VariableBounds.either(DesignVariable.ARM_LENGTH, 50),
                        VariableBounds.either(DesignVariable.GEAR_ARM, 50)),
                List.of(new Target(Target.Wish.RATIO, wanted, 0.05)));
        SolveAnswer a = Solver.search(job, q, Progress.SILENT).getFirst();
        assertThat(QuickFigures.of(a.job(), QuickFigures.Until.GEAR_END)
                        .orElseThrow()
                        .ratio())
                .isCloseTo(wanted, within(0.06));
        assertThat(a.orders()).hasSize(1);
    }

    @Test
    void unreachableGoalsReportClosestAnswer() {
        Job job = DemoJob.MARSH_CARRIER.job();
        SolveQuestion greedy = new SolveQuestion(
                List.of(VariableBounds.either(DesignVariable.ARM_LENGTH, 10)),
                List.of(Target.of(Target.Wish.LOCK, 60)));
        assertThat(Solver.search(job, greedy, Progress.SILENT))
                .noneMatch(SolveAnswer::meets)
                .allSatisfy(a -> assertThat(a.missing()).isNotEmpty());
        Job wrong = job.editAxle(a -> a.withGear(a.gear().reversed()));
        assertThat(Solver.search(wrong, greedy, Progress.SILENT)).isEmpty();
        assertThat(Goal.LEAST_BUMP_STEER.wants(wrong)).isEmpty();
    }

    @Test
    void searchCanBeCancelled() {
        Job job = raised();
        AtomicInteger calls = new AtomicInteger();
        assertThat(Solver.search(job, SolveQuestion.usual(Goal.LEAST_BUMP_STEER, job), done -> {
                    assertThat(done).isBetween(0.0, 1.0);
                    return calls.incrementAndGet() < 2;
                }))
                .isEmpty();
        assertThat(calls.get()).isLessThan(7);
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyDesignVariableMovesBothWays(DemoJob which) {
        Job job = which.job();
        for (Goal goal : Goal.values()) {
            for (DesignVariable variable : goal.variables(job)) {
                for (double amount : new double[] {-3, 3}) {
                    Job turned = variable.turned(job, amount);
                    assertThat(turned).as(variable.label()).isNotEqualTo(job);
                    new SteeringTrain(turned);
                    assertThat(variable.order(job, amount).text(LengthUnit.MM))
                            .matches("[A-Z].*3\\.0( mm|°).*|[A-Z].*°.*");
                }
                assertThat(variable.turned(job, 0)).isEqualTo(job);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void forcesOfASearchAreThoseOfTheAnalysis(DemoJob which) {
        Job job = which.job();
        SteerFigures full =
                SteerSweep.of(new SteeringTrain(job), job, Grid.USUAL).orElseThrow();
        Optional<QuickFigures.Forces> quick =
                QuickFigures.withForces(job, QuickFigures.Until.FIRST_STOP).flatMap(QuickFigures::forces);
        assertThat(quick.isPresent()).isEqualTo(full.effort().isPresent());
        full.effort().ifPresent(e -> assertThat(quick.orElseThrow().parked()).isCloseTo(e.worstParked(), within(0.1)));
        assertThat(quick.map(QuickFigures.Forces::kickBack))
                .isEqualTo(KickBack.of(new SteeringTrain(job), job).flatMap(KickBack::worstBlow));
    }

    /** A force at the rim falls as its radius grows, and nothing else changes with it. */
    @Test
    void aLighterRimByItsDiameterAlone() {
        Job job = DemoJob.MARSH_CARRIER.job();
        double wide = job.column().orElseThrow().wheel().diameter();
        double now = QuickFigures.withForces(job, QuickFigures.Until.FIRST_STOP)
                .flatMap(QuickFigures::forces)
                .orElseThrow()
                .parked();
        SolveQuestion q = new SolveQuestion(
                List.of(VariableBounds.either(DesignVariable.WHEEL_DIAMETER, wide / 4)),
                List.of(new Target(Target.Wish.RIM_FORCE, now * 0.9, 0.2)));
        SolveAnswer a = Solver.search(job, q, Progress.SILENT).getFirst();
        assertThat(a.meets()).isTrue();
        assertThat(a.job().column().orElseThrow().wheel().diameter()).isCloseTo(wide / 0.9, within(1.0));
    }

    @Test
    void withoutLoadsNoForceIsWanted() {
        Job job = DemoJob.MARSH_CARRIER.job();
        Job bare = job.withVehicle(job.vehicle().withLoads(Optional.empty()));
        assertThat(Goal.LIGHT_STEERING.wants(bare)).isEmpty();
        assertThat(Goal.LIGHT_STEERING.wants(job)).hasSize(3);
    }

    /** A rod end that allows less than its rod swings: moved until it has what is asked left. */
    @Test
    void fullTravelIsFreedOfARodEndThatBinds() {
        Job job = raised();
        double margin = QuickFigures.of(job, QuickFigures.Until.FIRST_STOP)
                .orElseThrow()
                .rodEndMarginDeg();
        double allowed = job.axle().orElseThrow().left().rodEnds().allowedDeg().orElseThrow();
        Job binds = job.editAxle(a -> a.editRodEnds(Rod.LEFT_TIE_ROD, e -> e.withAllowedDeg(allowed - margin - 1)));
        SolveQuestion q = SolveQuestion.usual(Goal.FULL_TRAVEL, binds);
        assertThat(q.wants().getFirst()).isEqualTo(Target.of(Target.Wish.ROD_END, 2));
        assertThat(Solver.alreadyMet(binds, q)).isFalse();
        List<SolveAnswer> answers = Solver.search(binds, q, Progress.SILENT);
        assertThat(answers).isNotEmpty().anyMatch(SolveAnswer::meets);
        for (SolveAnswer a : answers) {
            double left =
                    TravelMap.of(new SteeringTrain(a.job()), a.job(), Grid.USUAL)
                            .orElseThrow()
                            .tilts()
                            .values()
                            .stream()
                            .mapToDouble(t -> t.allowedDeg().orElse(90.0) - t.deg())
                            .min()
                            .orElseThrow();
            assertThat(a.meets()).as("%s leaves %s", a.orders(), left).isEqualTo(left > 1.6);
        }
    }

    @Test
    void lockStopsActFirst() {
        Job bare = DemoJob.MARSH_CARRIER
                .job()
                .editAxle(a -> a.withCorner(Side.LEFT, a.left().withLimits(WheelLimits.NONE)));
        List<SolveAnswer> answers = LockStops.of(bare, 1, 60);
        assertThat(answers).hasSize(2);
        SteerFigures s = SteerSweep.of(
                        new SteeringTrain(answers.getFirst().job()),
                        answers.getFirst().job(),
                        Grid.USUAL)
                .orElseThrow();
        for (Side way : Side.values()) {
            assertThat(s.lock(way).hit().limit()).isEqualTo(Limit.KNUCKLE_STOP);
            assertThat(s.limits().first(way).orElseThrow().limit()).isEqualTo(Limit.KNUCKLE_STOP);
        }
        SteerFigures limited = SteerSweep.of(
                        new SteeringTrain(answers.get(1).job()), answers.get(1).job(), Grid.USUAL)
                .orElseThrow();
        assertThat(limited.leftReach().turn().innerDeg())
                .isBetween(s.lock(Side.LEFT).turn().innerDeg() - 0.01, 31.2);
        assertThat(answers.getFirst().sentence().text(LengthUnit.MM)).contains("60.0 mm from the steer axis");
    }
}
