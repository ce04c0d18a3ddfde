package mildtilt.steer.position;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

class PeakSearchTest {

    /** The joints of a column swing what is felt at the rim twice a turn: peaks of almost the same height. */
    @Test
    void findsTheHighestOfPeaksAlike() {
        DoubleUnaryOperator waves = x -> Math.cos(x) + 1e-4 * Math.cos(x / 4 - Math.PI);
        // Of the samples the one at 0 is highest, being on top of its wave; the second wave after it is higher.
        PeakSearch found = PeakSearch.of(waves, 0, 8 * Math.PI + 1).orElseThrow();
        assertThat(found.value()).isCloseTo(1 + 1e-4, within(1e-9));
        assertThat(found.at()).isCloseTo(4 * Math.PI, within(1e-3));
    }

    @Test
    void isNowhereBelowAFineSearch() {
        Random random = new Random(7);
        for (int n = 0; n < 200; n++) {
            double slope = random.nextGaussian() * 0.1;
            double tall = 1 + random.nextDouble();
            double often = 0.5 + 2 * random.nextDouble();
            double late = random.nextDouble() * 7;
            double slow = random.nextGaussian();
            DoubleUnaryOperator f = x -> slope * x + tall * Math.sin(often * x + late) + slow * Math.sin(0.4 * x);
            double finest = Double.NEGATIVE_INFINITY;
            for (int i = 0; i <= 20_000; i++) {
                finest = Math.max(finest, f.applyAsDouble(-8 + 16 * i / 20_000.0));
            }
            assertThat(PeakSearch.of(f, 8, -8).orElseThrow().value()).isBetween(finest - 1e-9, finest + 1e-5);
        }
    }

    @Test
    void leavesOutWhereThereIsNoValue() {
        DoubleUnaryOperator gap = x -> Math.abs(x) < 1 ? Double.NaN : -x * x;
        assertThat(PeakSearch.of(gap, -4, 4).orElseThrow().value()).isCloseTo(-1, within(1e-6));
        assertThat(PeakSearch.of(x -> Double.NaN, -4, 4)).isEmpty();
        assertThat(PeakSearch.of(x -> x, 3, 3).orElseThrow()).isEqualTo(new PeakSearch(3, 3));
    }
}
