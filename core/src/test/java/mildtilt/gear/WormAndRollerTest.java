package mildtilt.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mildtilt.analysis.Analysis;
import mildtilt.analysis.Headline;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WormAndRollerTest {

    private static final Job BUS = DemoJob.LIBRARY_BUS.job();
    private static final SteeringBox BOX =
            (SteeringBox) BUS.axle().orElseThrow().gear();

    private static WormAndRoller gear(double ratio, double turned) {
        return new WormAndRoller(BOX.axis(), BOX.armEnd(), ratio, turned, 35, 42);
    }

    private static Job with(Gear gear) {
        return BUS.editAxle(a -> a.withGear(gear));
    }

    @ParameterizedTest
    @CsvSource({"16, 22", "22, 16", "-18, -14", "-14, -18", "16, 16", "16, 16.00001"})
    void inputRateIsTheLocalRatio(double ratio, double turned) {
        WormAndRoller g = gear(ratio, turned);
        double stop = g.inputStop();
        double before = 0;
        for (int i = 1; i <= 200; i++) {
            double input = stop * i / 200;
            double angle = g.armAngleAt(input);
            assertThat(Math.signum(angle)).isEqualTo(Math.signum(ratio));
            assertThat(g.armAngleAt(-input)).isEqualTo(-angle);
            assertThat(Math.abs(angle)).isGreaterThan(before);
            double h = 1e-5;
            double slope = 2 * h / Math.abs(g.armAngleAt(input + h) - g.armAngleAt(input - h));
            // A kink at the swing where the law ends does not touch the ratio itself.
            assertThat(slope).isCloseTo(g.localRatio(angle), within(2e-3));
            before = Math.abs(angle);
        }
        assertThat(Math.toDegrees(Math.abs(g.armAngleAt(stop)))).isCloseTo(42, within(1e-9));
    }

    /** The law's integral by Simpson's rule, which is exact for a square. */
    @Test
    void fullTurnIsMeanRatioTimesSwing() {
        WormAndRoller g = new WormAndRoller(BOX.axis(), BOX.armEnd(), 16, 22, 42, 42);
        double swing = Math.toRadians(42);
        assertThat(g.inputStop()).isCloseTo(swing / 6 * (16 + 4 * g.localRatio(swing / 2) + 22), within(1e-12));
    }

    @Test
    void constantRatioEqualsSteeringBox() {
        Analysis plain = Analysis.of(BUS);
        Analysis even = Analysis.of(
                with(new WormAndRoller(BOX.axis(), BOX.armEnd(), BOX.ratio(), BOX.ratio(), 30, BOX.sweepEachWayDeg())));
        plain.headlines().values().forEach((h, v) -> assertThat(
                        even.headlines().get(h).orElseThrow())
                .as(h.label())
                .isCloseTo(v, within(1e-9 * Math.max(1, Math.abs(v)))));
        assertThat(even.findings())
                .extracting(f -> f.fault())
                .isEqualTo(plain.findings().stream().map(f -> f.fault()).toList());
    }

    @Test
    void quickCentreRatioSlowsTowardLock() throws Exception {
        Analysis plain = Analysis.of(BUS);
        double r = BOX.ratio();
        Job job = with(new WormAndRoller(
                BOX.axis(), BOX.armEnd(), r * 0.8, r * 1.1, BOX.sweepEachWayDeg(), BOX.sweepEachWayDeg()));
        Analysis a = Analysis.of(job);
        assertThat(figure(a, Headline.RATIO))
                .isCloseTo(0.8 * figure(plain, Headline.RATIO), within(1e-3 * figure(plain, Headline.RATIO)));
        assertThat(figure(a, Headline.INNER_LOCK))
                .as("the arm swings as far")
                .isCloseTo(figure(plain, Headline.INNER_LOCK), within(1e-6));
        // The arm at its end has taken the mean ratio, (2 · 0.8 + 1.1) / 3.
        assertThat(figure(a, Headline.RATIO_OVERALL))
                .isBetween(0.8 * figure(plain, Headline.RATIO_OVERALL), 0.95 * figure(plain, Headline.RATIO_OVERALL));
        assertThat(JobReader.read(JobWriter.write(job))).isEqualTo(job);
        assertThat(JobWriter.write(job)).contains("\"kind\" : \"worm_and_roller\"", "\"ratio_turned\"");
    }

    private static double figure(Analysis a, Headline h) {
        return a.headlines().get(h).orElseThrow();
    }

    @Test
    void ratiosOfOppositeSignAreRefused() {
        assertThatThrownBy(() -> gear(16, -20))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("both be above 0");
        assertThat(gear(16, 20).reversed().armAngleAt(1))
                .isEqualTo(-gear(16, 20).armAngleAt(1));
    }
}
