package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.build.Metal;
import mildtilt.build.Section;
import mildtilt.build.Workshop;
import mildtilt.build.Workshop.StockBar;
import mildtilt.units.Phrase;
import org.junit.jupiter.api.Test;

class StockPlanTest {

    private static final Section BAR = new Section.Bar(20);

    private static StockPlan plan(double kerf, double usual, List<StockBar> onHand, double... pieces) {
        List<CutList.CutLine> lines = new ArrayList<>();
        for (int i = 0; i < pieces.length; i++) {
            lines.add(new CutList.CutLine(
                    "p" + pieces[i],
                    Optional.of(BAR),
                    Phrase.of("bar"),
                    Metal.STEEL,
                    "steel",
                    pieces[i],
                    pieces[i],
                    "",
                    0,
                    1,
                    0,
                    1,
                    Optional.empty(),
                    Optional.empty()));
        }
        return StockPlan.of(
                new CutList(lines, List.of(), List.of(), List.of()),
                Workshop.USUAL.withSaw(kerf, 0, 0).withUsualBar(usual).withStock(onHand));
    }

    private static StockBar onHand(double length, int count) {
        return new StockBar(BAR, Metal.STEEL, length, count);
    }

    /** The fewest bars by trying every way to share the pieces out. */
    private static int fewest(double[] pieces, double bar, double kerf) {
        int best = pieces.length;
        int[] at = new int[pieces.length];
        while (true) {
            double[] used = new double[pieces.length];
            int bars = 0;
            for (int i = 0; i < pieces.length; i++) {
                used[at[i]] += pieces[i] + kerf;
                bars = Math.max(bars, at[i] + 1);
            }
            if (Arrays.stream(used).allMatch(u -> u <= bar + kerf + 1e-9)) {
                best = Math.min(best, bars);
            }
            int i = pieces.length - 1;
            while (i > 0 && at[i] > Arrays.stream(at, 0, i).max().orElse(0)) {
                at[i--] = 0;
            }
            if (i == 0) {
                return best;
            }
            at[i]++;
        }
    }

    @Test
    void stockPlanIsOptimal() {
        Random random = new Random(11);
        for (int n = 0; n < 150; n++) {
            double[] pieces = random.doubles(3 + random.nextInt(6), 80, 700)
                    .map(Math::rint)
                    .toArray();
            double kerf = random.nextInt(4);
            StockPlan plan = plan(kerf, 1000, List.of(), pieces);
            assertThat(plan.bars())
                    .as(Arrays.toString(pieces))
                    .hasSize(fewest(pieces, 1000, kerf))
                    .allMatch(StockPlan.Bar::least);
            sound(plan, pieces.length, kerf);
        }
    }

    private static void sound(StockPlan plan, int pieces, double kerf) {
        assertThat(plan.bars().stream().mapToInt(b -> b.cuts().size()).sum()
                        + plan.tooLong().size())
                .isEqualTo(pieces);
        for (StockPlan.Bar b : plan.bars()) {
            double sum = b.cuts().stream().mapToDouble(StockPlan.Cut::saw).sum();
            assertThat(sum + b.kerf() + b.rest()).isCloseTo(b.length(), within(1e-6));
            assertThat(b.kerf())
                    .isBetween(
                            kerf * (b.cuts().size() - 1) - 1e-6, kerf * b.cuts().size() + 1e-6);
        }
    }

    @Test
    void searchBeatsLongestFirst() {
        // Longest first into the fullest bar takes three bars of 100; two do.
        StockPlan plan = plan(0, 100, List.of(), 42, 35, 33, 32, 30, 28);
        assertThat(plan.bars()).hasSize(2);
        assertThat(plan.lostPart().orElseThrow()).isCloseTo(0, within(1e-9));
    }

    @Test
    void noFinalCutAtBarEnd() {
        assertThat(plan(3, 1000, List.of(), 497, 500).bars()).hasSize(1);
        assertThat(plan(3, 1000, List.of(), 497, 501).bars()).hasSize(2);
    }

    @Test
    void stockOnHandIsUsedFirst() {
        StockPlan plan = plan(2, 3000, List.of(onHand(420, 1), onHand(900, 2)), 400, 300, 300, 290);
        assertThat(plan.bars()).allMatch(StockPlan.Bar::onHand);
        assertThat(plan.bars().stream().mapToDouble(StockPlan.Bar::length).sum())
                .as("the least of it begun")
                .isEqualTo(420 + 900);
        assertThat(plan.bought(BAR, Metal.STEEL)).isZero();
        assertThat(plan(2, 3000, List.of(new StockBar(BAR, Metal.STAINLESS, 900, 1)), 400)
                        .bought(BAR, Metal.STEEL))
                .as("another metal is no use")
                .isEqualTo(1);
    }

    @Test
    void overlongPieceIsReported() {
        StockPlan plan = plan(2, 1000, List.of(onHand(1500, 1)), 1400, 1300, 2000, 500);
        assertThat(plan.tooLong()).extracting(StockPlan.Cut::saw).containsExactlyInAnyOrder(2000.0, 1300.0);
        sound(plan, 4, 2);
        double[] long900 = new double[20_000];
        Arrays.fill(long900, 1100);
        StockPlan hopeless = plan(2, 1000, List.of(onHand(2500, 3)), long900);
        assertThat(hopeless.tooLong()).hasSize(20_000 - 6);
        sound(hopeless, 20_000, 2);
    }

    @Test
    void hugeCutListsArePlanned() {
        double[] pieces = new double[40_000];
        Arrays.fill(pieces, 0, 20_000, 171.6);
        Arrays.fill(pieces, 20_000, 40_000, 18.0);
        StockPlan plan = plan(2, 3000, List.of(), pieces);
        sound(plan, 40_000, 2);
        assertThat(plan.alike().size()).isLessThan(20);
        assertThat((double) plan.bars().size())
                .isLessThan(1.02 * Math.ceil((Arrays.stream(pieces).sum() + 80_000) / 3002));
    }

    @Test
    void largeStockPlansTerminateWithAllPieces() {
        Random random = new Random(3);
        double[] pieces = random.doubles(300, 30, 900).toArray();
        StockPlan plan = plan(2, 3000, List.of(onHand(1200, 5)), pieces);
        sound(plan, 300, 2);
        double least = Math.ceil((Arrays.stream(pieces).sum() + 300 * 2 - 5 * 1200) / 3002);
        assertThat((double) plan.bought(BAR, Metal.STEEL)).isBetween(least, least * 1.05 + 1);
    }
}
