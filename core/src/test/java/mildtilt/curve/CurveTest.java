package mildtilt.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.curve.Curve.Run;
import mildtilt.curve.Curve.Series;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.Plan;
import mildtilt.job.PointId;
import mildtilt.suspension.CornerPoint;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CurveTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();
    private final Analysis analysis = Analysis.of(demo);

    @Test
    void columnCurveMatchesReportedRipple() {
        List<double[]> points =
                Curve.COLUMN_TURN.series(analysis).getFirst().runs().getFirst().points();
        double high = points.stream().mapToDouble(p -> p[1]).max().orElseThrow();
        double low = points.stream().mapToDouble(p -> p[1]).min().orElseThrow();
        assertThat(high - low)
                .isCloseTo(
                        analysis.column()
                                .orElseThrow()
                                .turning()
                                .orElseThrow()
                                .transfer()
                                .ripplePct(),
                        within(0.5));
    }

    @Test
    void ratioCurveMatchesHeadlineAtCentre() {
        List<double[]> points =
                Curve.RATIO.series(analysis).getFirst().runs().getFirst().points();
        assertThat(points).hasSize(61);
        double[] middle = points.get(30);
        assertThat(middle[0]).isZero();
        assertThat(middle[1])
                .isCloseTo(analysis.steer().orElseThrow().ratioAtCentre().orElseThrow(), within(1e-9));
    }

    @Test
    void ackermannCurveHasGapStraightAhead() {
        List<Run> runs = Curve.ACKERMANN.series(analysis).getFirst().runs();
        assertThat(runs).hasSize(2);
        assertThat(runs.getFirst().points().getLast()[0]).isNegative();
        assertThat(runs.getLast().points().getFirst()[0]).isPositive();
    }

    @Test
    void unreachablePositionsAreGaps() {
        Job shortArms = JobPoints.moved(
                demo, new PointId.OnCorner(Side.LEFT, CornerPoint.TIE_ROD_POINT), new Point(-80, 612, 330));
        List<Run> runs = Curve.RATIO.series(Analysis.of(shortArms)).getFirst().runs();
        assertThat(runs.stream().mapToInt(r -> r.points().size()).sum()).isLessThan(61);
        assertThat(runs).allMatch(r -> r.points().stream().allMatch(p -> Double.isFinite(p[1])));
    }

    @Test
    void curveIsEmptyWithoutItsParts() {
        Analysis none =
                Analysis.of(Job.of("n", new Plan(demo.vehicle(), Optional.empty(), Optional.empty(), demo.targets())));
        for (Curve c : Curve.values()) {
            assertThat(c.series(none)).as(c.title()).isEmpty();
        }
    }

    @Test
    void curveAxesUseChosenUnit() {
        assertThat(Curve.BUMP_STEER.shown(LengthUnit.INCH)).isCloseTo(1 / 25.4, within(1e-12));
        assertThat(Curve.BUMP_STEER.across(LengthUnit.INCH, false)).isEqualTo("travel, in");
        assertThat(Curve.BUMP_STEER.across(LengthUnit.MM, true)).contains("right wheel down, mm");
        assertThat(Curve.TRACK.shownUp(LengthUnit.INCH)).isCloseTo(1 / 25.4, within(1e-12));
        assertThat(Curve.EFFORT.unit(LengthUnit.INCH)).isEqualTo("lbf");
        assertThat(Curve.RATIO.shownUp(LengthUnit.INCH)).isEqualTo(1);
    }

    @Test
    void curveShowsAckermannSchools() {
        List<Series> all = Curve.OUTER.series(analysis);
        assertThat(all).extracting(Series::name).containsExactly("this job", "full Ackermann", "parallel");
        for (double inner : new double[] {8, 15, 25}) {
            double here = all.get(0).value(inner).orElseThrow();
            double full = all.get(1).value(inner).orElseThrow();
            assertThat(all.get(2).value(inner).orElseThrow()).isCloseTo(inner, within(1e-9));
            assertThat(here)
                    .as("36 % of the way from parallel to full, both toed in")
                    .isBetween(full, inner + 2 * 0.115);
        }
        assertThat(all.get(0).value(89)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, 1, 5", "-73, 41, 6", "0.011, 0.013, 4", "-1e-7, 1e-7, 4", "14.2, 14.2, 3", "-900, 900, 8"})
    void axisTicksAreRoundAndInRange(double low, double high, double marks) {
        Scale s = Scale.over(
                List.of(new Run(List.of(new double[] {0, low}, new double[] {1, high}))),
                List.of(),
                1,
                1,
                200,
                0,
                marks);
        assertThat(s.step()).isPositive();
        assertThat(s.low()).isLessThan(s.high());
        assertThat(s.first()).isGreaterThanOrEqualTo(s.low() - s.step() * 1e-6);
        assertThat(s.last()).isLessThanOrEqualTo(s.high() + s.step() * 1e-6);
        assertThat((s.last() - s.first()) / s.step()).isBetween(0.0, 3 * marks);
        assertThat(s.at(s.low())).isEqualTo(200);
        assertThat(s.at(s.high())).isCloseTo(0, within(1e-9));
        double mark = s.step() * Math.pow(10, s.decimals());
        assertThat(mark).isCloseTo(Math.rint(mark), within(1e-6));
        // A curve that hardly changes is not blown up.
        assertThat(s.high() - s.low()).isGreaterThanOrEqualTo(0.0999);
    }
}
