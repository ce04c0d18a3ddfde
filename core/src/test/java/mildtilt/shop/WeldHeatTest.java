package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class WeldHeatTest {

    /** Cells of a mm, the heat in the middle one: what the shaft does, without the closed form. */
    private static double hottestByCells(WeldHeat weld, int away) {
        int half = 400;
        double[] t = new double[2 * half + 1];
        t[half] = weld.joules() / (WeldHeat.CAPACITY * weld.area());
        double lambda = WeldHeat.LOSS * weld.perimeter() / (WeldHeat.CAPACITY * weld.area());
        double step = 0.2 / WeldHeat.DIFFUSIVITY;
        double hottest = 0;
        for (double time = 0; time < 1500; time += step) {
            double[] next = t.clone();
            for (int i = 1; i < t.length - 1; i++) {
                next[i] += step * (WeldHeat.DIFFUSIVITY * (t[i - 1] - 2 * t[i] + t[i + 1]) - lambda * t[i]);
            }
            t = next;
            if (t[half + away] < hottest * 0.9) {
                break;
            }
            hottest = Math.max(hottest, t[half + away]);
        }
        return WeldHeat.AIR + hottest;
    }

    @Test
    void isAsHotAsCellsOfTheShaftGet() {
        WeldHeat weld = new WeldHeat(60_000, Math.PI / 4 * 19 * 19, Math.PI * 19);
        for (int away : new int[] {40, 90, 150}) {
            assertThat(weld.peak(away)).as("%d mm away", away).isCloseTo(hottestByCells(weld, away), within(0.1));
        }
        double keep = weld.reach(WeldHeat.GREASE);
        assertThat(weld.peak(keep)).isCloseTo(WeldHeat.GREASE, within(1e-6));
    }

    /** Without losses the rise is Q / (ρc A x √(2πe)): half of it twice as far, twice of it with twice the heat. */
    @Test
    void fallsWithTheDistanceWhereNothingIsLost() {
        WeldHeat weld = new WeldHeat(60_000, 300, 1e-9);
        double byHand = 60_000 / (WeldHeat.CAPACITY * 300 * 100 * Math.sqrt(2 * Math.PI * Math.E));
        assertThat(weld.peak(100) - WeldHeat.AIR).isCloseTo(byHand, within(1e-6));
        assertThat(weld.peak(200) - WeldHeat.AIR).isCloseTo(byHand / 2, within(1e-6));
        assertThat(new WeldHeat(120_000, 300, 1e-9).peak(100) - WeldHeat.AIR).isCloseTo(2 * byHand, within(1e-6));
    }
}
