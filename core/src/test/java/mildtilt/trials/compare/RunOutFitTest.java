package mildtilt.trials.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import mildtilt.column.Bearing;
import mildtilt.id.Id;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.trials.TrialReading.RunOut;
import org.junit.jupiter.api.Test;

/** Shafts that are straight, eccentric, askew or bent by known amounts, turned under a dial. */
class RunOutFitTest {

    private static final double NOISE = 0.01;

    /** @param x off to the mark at a place along; @param y off a quarter turn on */
    private static List<RunOut> turned(
            String shaft, double[] along, DoubleUnaryOperator x, DoubleUnaryOperator y, double oval, Random r) {
        List<RunOut> all = new ArrayList<>();
        for (double s : along) {
            List<Double> dial = new ArrayList<>();
            double zero = r.nextGaussian();
            for (int i = 0; i < 8; i++) {
                double a = 2 * Math.PI * i / 8;
                dial.add(zero
                        + x.applyAsDouble(s) * Math.cos(a)
                        + y.applyAsDouble(s) * Math.sin(a)
                        + oval / 2 * Math.cos(2 * a)
                        + NOISE * r.nextGaussian());
            }
            all.add(new RunOut(new Id(shaft), s, dial, NOISE, "typed"));
        }
        return all;
    }

    private static final double[] FIVE = {40, 110, 180, 250, 320};

    @Test
    void runOutKindsAreDistinguished() {
        Random r = new Random(4);
        int[] right = new int[4];
        int draws = 200;
        for (int n = 0; n < draws; n++) {
            double a = r.nextGaussian() * 0.1 + 0.15;
            double b = r.nextGaussian() * 0.1 - 0.1;
            double knee = 150 + 80 * r.nextDouble();
            double slope = (r.nextBoolean() ? 1 : -1) * (0.0012 + 0.001 * r.nextDouble());
            List<List<RunOut>> cases = List.of(
                    turned("s", FIVE, _ -> 0, _ -> 0, 0, r),
                    turned("s", FIVE, _ -> a, _ -> b, 0, r),
                    turned("s", FIVE, s -> a + slope * s, s -> b - slope * s, 0, r),
                    turned("s", FIVE, s -> a + slope * Math.max(0, s - knee), s -> b, 0, r));
            RunOutFit.Verdict[] want = {
                RunOutFit.Verdict.TRUE, RunOutFit.Verdict.ECCENTRIC, RunOutFit.Verdict.ASKEW, RunOutFit.Verdict.BENT
            };
            for (int c = 0; c < 4; c++) {
                RunOutFit f = RunOutFit.of(cases.get(c), Optional.empty(), 0.5).getFirst();
                right[c] += f.verdict() == want[c] ? 1 : 0;
                if (f.verdict() == RunOutFit.Verdict.BENT && c == 3) {
                    assertThat(f.bend().orElseThrow().along()).isCloseTo(knee, within(35.0));
                    assertThat(Math.toRadians(f.bend().orElseThrow().deg())).isCloseTo(Math.abs(slope), within(0.0004));
                }
            }
        }
        for (int n : right) {
            assertThat(n).isGreaterThan((int) (0.93 * draws));
        }
    }

    @Test
    void bendIsLocated() {
        // Ends true, the middle 0.3 mm out, a third of a turn on from the mark, and the shaft oval besides.
        double high = Math.toRadians(120);
        DoubleUnaryOperator bulge = s -> 0.3 * (s < 200 ? s / 200 : (400 - s) / 200);
        RunOutFit f = RunOutFit.of(
                        turned(
                                "s",
                                new double[] {20, 100, 200, 300, 380},
                                s -> bulge.applyAsDouble(s) * Math.cos(high),
                                s -> bulge.applyAsDouble(s) * Math.sin(high),
                                0.08,
                                new Random(1)),
                        Optional.empty(),
                        0.5)
                .getFirst();
        assertThat(f.verdict()).isEqualTo(RunOutFit.Verdict.BENT);
        assertThat(f.bend().orElseThrow().along()).isCloseTo(200, within(6.0));
        assertThat(f.bend().orElseThrow().highDeg()).isCloseTo(120, within(4.0));
        assertThat(f.bend().orElseThrow().deep()).isCloseTo(0.27, within(0.02));
        RunOutFit.Station middle = f.stations().get(2);
        assertThat(middle.off()).isCloseTo(0.3, within(0.02));
        assertThat(middle.highDeg()).isCloseTo(120, within(3.0));
        assertThat(middle.oval()).isCloseTo(0.08, within(0.03));
    }

    @Test
    void bearingRunOutMatchesShaft() {
        Job job = DemoJob.MARSH_CARRIER.job();
        Job held = job.editColumn(c -> c.withTrain(
                c.shafts(),
                c.joints(),
                List.of(new Bearing(
                        Id.Kind.BEARING.first(),
                        "hanger",
                        Bearing.Kind.IN_TUBE,
                        Bearing.Mount.FRAME,
                        1,
                        180,
                        20,
                        0,
                        0,
                        false))));
        RunOutFit f = RunOutFit.of(turned("shaft-2", FIVE, s -> 0.4, s -> 0, 0, new Random(2)), held.column(), 0.5)
                .getFirst();
        RunOutFit.AtBearing b = f.bearings().getFirst();
        assertThat(b.reading()).as("twice what it is off").isCloseTo(0.8, within(0.03));
        assertThat(b.most()).isEqualTo(0.25);
        assertThat(b.tooMuch()).isTrue();
        assertThat(RunOutFit.of(turned("shaft-2", FIVE, _ -> 0.02, _ -> 0, 0, new Random(2)), held.column(), 0.5)
                        .getFirst()
                        .bearings()
                        .getFirst()
                        .tooMuch())
                .isFalse();
        assertThat(RunOutFit.of(
                                turned("shaft-2", new double[] {40, 300}, _ -> 0.4, _ -> 0, 0, new Random(2)),
                                held.column(),
                                0.5)
                        .getFirst()
                        .verdict())
                .isEqualTo(RunOutFit.Verdict.TOO_FEW);
    }
}
