package mildtilt.solve;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import mildtilt.OwnVehicles;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.steer.QuickFigures;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.forces.KickBack;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What must hold of every answer, on vehicles of every kind. */
class AnswerPropertiesTest {

    /** An axle whose gear sits too high, so that there is something to solve. */
    private static Job misplaced(OwnVehicles vehicle) {
        Job job = vehicle.job();
        return job.editAxle(a -> a.withGearMoved(new Vector(0, 0, 9)));
    }

    private static SteerFigures full(Job job) {
        // No figure depends on the grid, only the tables do.
        return SteerSweep.of(new SteeringTrain(job), job, new Grid(2, 2)).orElseThrow();
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"NARROW_RACK", "SPRUNG_BEAM"})
    void answersThatMeetATargetMeetItInTheFullSweep(OwnVehicles vehicle) {
        Job job = misplaced(vehicle);
        for (Goal goal : EnumSet.complementOf(EnumSet.of(Goal.ARM_MATCH, Goal.LOCK_STOPS))) {
            SolveQuestion question = SolveQuestion.usual(goal, job);
            if (question.freedoms().isEmpty() || question.wants().isEmpty()) {
                continue;
            }
            for (SolveAnswer answer : Solver.search(job, question, Progress.SILENT)) {
                String what = vehicle + ", " + goal + ": " + answer.orders();
                assertThat(answer.orders()).as(what).isNotEmpty();
                assertThat(answer.meets()).as(what).isEqualTo(answer.missing().isEmpty());
                assertThat(full(answer.job()).sense())
                        .as(what)
                        .isEqualTo(full(job).sense());
                if (!answer.meets()) {
                    continue;
                }
                assertThat(Solver.alreadyMet(answer.job(), question)).as(what).isTrue();
                for (Target want : question.wants()) {
                    switch (want.wish()) {
                        case NORMAL_BUMP_STEER ->
                            assertThat(full(answer.job()).worstNormalBumpSteerDeg())
                                    .as(what)
                                    .isLessThan(want.value() + want.tolerance() + 1e-6);
                        case BUMP_STEER ->
                            assertThat(full(answer.job()).worstBumpSteerDeg())
                                    .as(what)
                                    .isLessThan(want.value() + want.tolerance() + 0.02);
                        case RIM_FORCE ->
                            assertThat(full(answer.job()).effort().orElseThrow().worstParked())
                                    .as(what)
                                    .isLessThan(want.value() + want.tolerance() + 0.5);
                        case KICK_BACK ->
                            assertThat(KickBack.worstBlow(new SteeringTrain(answer.job()), answer.job())
                                            .orElseThrow())
                                    .as(what)
                                    .isLessThan(want.value() + want.tolerance() + 1e-6);
                        case LOCK, ACKERMANN, RATIO, OUTER_TABLE, TURNS, TOGGLE, ROD_END -> {}
                    }
                }
                QuickFigures was = QuickFigures.of(job, question.until()).orElseThrow();
                QuickFigures is =
                        QuickFigures.of(answer.job(), question.until()).orElseThrow();
                assertThat(is.toggleDeg())
                        .as("%s keeps away from over-centre", what)
                        .isGreaterThan(Math.min(was.toggleDeg(), job.targets().toggleDeg()) - 0.6);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = OwnVehicles.class,
            names = {"WIDE_RACK", "SHUTTLE"})
    void answersStayWithinTheirBoundsAndFewestChangesComeFirst(OwnVehicles vehicle) {
        Job job = misplaced(vehicle);
        SolveQuestion usual = SolveQuestion.usual(Goal.LEAST_BUMP_STEER, job);
        if (usual.freedoms().isEmpty() || usual.wants().isEmpty()) {
            return;
        }
        SolveQuestion tight = new SolveQuestion(
                usual.freedoms().stream()
                        .map(f -> VariableBounds.either(f.variable(), 2))
                        .toList(),
                usual.wants());
        List<SolveAnswer> wide = Solver.search(job, usual, Progress.SILENT);
        List<SolveAnswer> narrow = Solver.search(job, tight, Progress.SILENT);
        for (SolveAnswer a : narrow) {
            a.orders().stream().flatMap(o -> o.measures().stream()).forEach(m -> assertThat(Math.abs(m.value()))
                    .as(a.orders().toString())
                    .isLessThanOrEqualTo(2 + 1e-9));
        }
        // What 2 mm can do, more room can do as well.
        if (narrow.stream().anyMatch(SolveAnswer::meets)) {
            assertThat(wide).anyMatch(SolveAnswer::meets);
        }
        assertThat(wide.stream()
                        .filter(SolveAnswer::meets)
                        .map(a -> a.orders().size())
                        .toList())
                .isSorted();
    }
}
