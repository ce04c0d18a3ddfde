package mildtilt.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.LevelColumn;
import mildtilt.analysis.Analysis;
import mildtilt.build.Workshop.FixtureDatum;
import mildtilt.clearance.ClearanceFigures;
import mildtilt.column.Installation;
import mildtilt.findings.Fault;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.rules.Rules.VehicleClass;
import mildtilt.shop.ClassFigures;
import mildtilt.shop.ClassFigures.Limit;
import mildtilt.shop.FixtureFigures;
import mildtilt.trials.compare.CheckSheet;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Several vehicles from one plan. */
class SetTablesTest {

    /** Three distances and a table's height are enough to find every place of every demo again. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyPlaceOfAFixtureCanBeFoundAgain(DemoJob demo) {
        Job job = demo.job().editMaking(m -> m.editWorkshop(w -> w.withFixture(new FixtureDatum(-250, 80))));
        FixtureFigures f = FixtureFigures.of(job);
        assertThat(f.places()).isNotEmpty();
        for (FixtureFigures.Place p : f.places()) {
            Point at = JobPoints.position(job, JobPoints.byId(job).get(p.id()));
            assertThat(p.ahead()).isCloseTo(at.x() + 250, within(1e-9));
            assertThat(p.left()).isCloseTo(at.y(), within(1e-9));
            assertThat(p.above()).isCloseTo(at.z() - 80, within(1e-9));
            for (int i = 0; i < f.pins().size(); i++) {
                FixtureFigures.Place pin = f.places().get(f.pins().get(i));
                assertThat(p.fromPins().get(i))
                        .isCloseTo(
                                Math.sqrt(Math.pow(pin.ahead() - p.ahead(), 2)
                                        + Math.pow(pin.left() - p.left(), 2)
                                        + Math.pow(pin.above() - p.above(), 2)),
                                within(1e-9));
            }
        }
    }

    /** A fixture holds what is on the frame: of wishbones the inner pivots, of a beam what it hangs by. */
    @Test
    void whatMovesIsNotOnTheFixture() {
        assertThat(names(DemoJob.MARSH_CARRIER.job()))
                .contains("left lower arm, front pivot", "rack, midway between pivots")
                .doesNotContain("left lower ball joint", "left wheel centre");
        assertThat(names(DemoJob.VINE_SPRAYER.job()))
                .contains("axle centre pin")
                .doesNotContain("rack, midway between pivots", "gear input");
        assertThat(names(DemoJob.GREENHOUSE_TUG.job())).contains("left kingpin, lower point");
    }

    private static List<String> names(Job job) {
        return FixtureFigures.of(job).places().stream()
                .map(FixtureFigures.Place::name)
                .toList();
    }

    /** The column leans by b from square to the bulkhead: 20 / cos b, and 6 all round, and what frame and body move. */
    @ParameterizedTest
    @CsvSource({"0, 0", "300, 0", "300, 5"})
    void aLeaningShaftNeedsALongerHole(double down, double moves) {
        Job job = LevelColumn.job();
        double half = 600;
        // The joint that follows is so far below the hub, 600 behind it.
        Job leaning = job.editColumn(c -> c.editJoint(0, j -> j.withCentre(new Point(-400, 0, 900 - down)))
                .withTube(Optional.empty())
                .withInstallation(new Installation(Optional.empty(), moves, Optional.of(-700.0))));
        double cos = half / Math.hypot(half, down);
        assertThat(ClassFigures.shaftHole(leaning).orElseThrow()).isCloseTo(20 / cos + 2 * 6 + 2 * moves, within(1e-9));
        // In its tube it is the tube that goes through.
        assertThat(ClassFigures.shaftHole(job.editColumn(
                                c -> c.withInstallation(new Installation(Optional.empty(), 0, Optional.of(-700.0)))))
                        .orElseThrow())
                .isCloseTo(45 + 12, within(1e-9));
        assertThat(ClassFigures.shaftHole(job)).isEmpty();
    }

    @Test
    void aClassIsKeptToTheMillimetre() throws Exception {
        Job demo = DemoJob.MARSH_CARRIER.job();
        double wheelbase = demo.vehicle().wheelbase();
        double width = ClassFigures.width(demo).orElseThrow();
        for (double off : new double[] {-0.1, 0, 0.1}) {
            Job job = demo.withRules(
                    demo.rules().withClasses(List.of(new VehicleClass("C", wheelbase, wheelbase + 1, width + off))));
            assertThat(ClassFigures.of(job).getFirst().breaks(Limit.WIDTH)).isEqualTo(off < 0);
            assertThat(Analysis.of(job).findings().stream().anyMatch(f -> f.fault() == Fault.OUT_OF_CLASS))
                    .isEqualTo(off < 0);
        }
        Job hole = LevelColumn.job()
                .editColumn(c -> c.withInstallation(new Installation(Optional.empty(), 0, Optional.of(100.0))));
        Job narrow = hole.withRules(
                hole.rules().withClasses(List.of(new VehicleClass("C", 2000, 3000, 5000, Optional.of(31.9)))));
        assertThat(Analysis.of(narrow).findings().stream()
                        .filter(f -> f.fault() == Fault.OUT_OF_CLASS)
                        .map(f -> f.what().text(LengthUnit.MM)))
                .containsExactly(
                        "What goes through the bulkhead needs a hole of 32.0 mm; the class \"C\" takes 31.9 mm at "
                                + "most.");
        assertThat(SetTables.classes(narrow).rows()).hasSize(3);
        assertThat(JobReader.read(JobWriter.write(narrow)).rules()).isEqualTo(narrow.rules());
    }

    /** A gap that is tight already may not be tighter by its tolerance. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void noCheckLetsAGapOrAJointPastItsLimit(DemoJob demo) {
        Analysis a = Analysis.of(demo.job());
        Table checks = CheckSheet.of(a);
        assertThat(checks.rows()).isNotEmpty();
        List<Double> least = checks.rows().stream()
                .filter(r -> r.get(0).text(LengthUnit.MM).equals("Gaps"))
                .map(r -> (Double) r.get(4).raw())
                .toList();
        assertThat(least)
                .isEqualTo(a.clearance().map(ClearanceFigures::pairs).orElse(List.of()).stream()
                        .limit(4)
                        .map(p -> Math.max(p.gap() - 2, p.need()))
                        .toList());
        a.job().column().ifPresent(c -> {
            for (int i = 0; i < c.joints().size(); i++) {
                double planned = a.train().column().orElseThrow().jointAngleDeg(i);
                double most = a.column().orElseThrow().limitsDeg().get(i);
                assertThat((Double) checks.rows().get(i).get(5).raw()).isEqualTo(Math.min(planned + 1, most));
            }
        });
    }

    @Test
    void vehiclesAreCalledAsTheyAreBuilt() {
        Job three = DemoJob.HEATH_RIDER.job().editMaking(m -> m.editWorkshop(w -> w.withSets(3)));
        assertThat(SetTables.vehicles(three)).hasSize(3).doesNotHaveDuplicates();
        assertThat(SetTables.vehicles(LevelColumn.job())).hasSize(1);
    }
}
