package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.build.RackRod;
import mildtilt.build.RodMakeUp;
import mildtilt.build.ScrewThread;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.linkage.rods.Rod;
import mildtilt.report.Papers;
import mildtilt.shop.RackRodFigures.Verdict;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

class RackRodFiguresTest {

    private static final ScrewThread M14 = new ScrewThread(14, 1.5, ScrewThread.Hand.RIGHT);
    private static final RackRod ROD = new RackRod(300, 60, M14, 7, 70, 40);

    private static RackRodFigures of(RackRod it, double centres) {
        return RackRodFigures.of(Rod.LEFT_TIE_ROD, it, centres, 1.5, Optional.of(0.3));
    }

    /** Ball to mouth 70 of 330 leaves the mouth at 260; the tip at 300 is then in by 40, the whole socket. */
    @Test
    void isAsOnPaper() {
        RackRodFigures f = of(ROD, 330);
        assertThat(f.cut()).isCloseTo(3, within(1e-9));
        assertThat(f.finished()).isCloseTo(297, within(1e-9));
        assertThat(f.threadLeft()).isCloseTo(57, within(1e-9));
        assertThat(f.engaged()).isCloseTo(37, within(1e-9));
        assertThat(f.longer()).isCloseTo(37 - 21, within(1e-9));
        assertThat(f.shorter()).isCloseTo(3, within(1e-9));
        assertThat(f.verdict()).isEqualTo(Verdict.CUT);
        assertThat(f.cure()).isEmpty();
        assertThat(f.toePerTurn().orElseThrow()).isCloseTo(0.45, within(1e-9));
        // 7 mm of nut on a mouth at 240, where the thread begins: none is left to shorten it by.
        assertThat(of(ROD, 317).shorter()).isCloseTo(0, within(1e-9));
        assertThat(of(ROD, 317).cure().orElseThrow().text(LengthUnit.MM)).contains("3.0 mm further up the rod");
        assertThat(of(ROD, 310).verdict()).isEqualTo(Verdict.LACKS_THREAD);
        assertThat(of(ROD, 350).verdict()).isEqualTo(Verdict.TOO_SHORT);
        assertThat(of(ROD.withEndDeep(20), 330).verdict()).isEqualTo(Verdict.SHALLOW);
        assertThat(of(ROD, 340).verdict()).isEqualTo(Verdict.GOES_ON);
    }

    /** Whatever the sizes: nothing meets on the way to either end of its range, and what is said to cure it does. */
    @Test
    void rangeEndsWhereSomethingMeetsAndCuresCure() {
        Random random = new Random(24);
        for (int n = 0; n < 2000; n++) {
            RackRod it = new RackRod(
                    250 + random.nextInt(100),
                    25 + random.nextInt(60),
                    M14,
                    random.nextInt(10),
                    120 + random.nextInt(30),
                    15 + random.nextInt(40));
            double centres = 360 + random.nextInt(80);
            RackRodFigures f = of(it, centres);
            for (double by : new double[] {f.longer(), -f.shorter()}) {
                double mouth = centres + by - it.endReach();
                double in = f.finished() - mouth;
                double toGround = it.endDeep() - in;
                double toThread = mouth - it.jamNut() - (it.length() - it.threaded());
                if (by == f.longer()) {
                    assertThat(in).isCloseTo(f.least(), within(1e-9));
                } else {
                    assertThat(Math.min(toGround, toThread)).isCloseTo(0, within(1e-9));
                }
            }
            boolean does = f.verdict() == Verdict.CUT || f.verdict() == Verdict.GOES_ON;
            assertThat(does)
                    .as("%s at %s", it, centres)
                    .isEqualTo(f.longer() >= -1e-6 && f.shorter() >= -1e-6 && it.endDeep() >= f.least());
            assertThat(f.cure().isEmpty()).isEqualTo(f.canBeSet());
            if (f.cure().isPresent() && it.endDeep() >= f.least() + 6) {
                double by = f.cure().get().measures().getFirst().value();
                boolean tooShort = f.longer() < 3 - 1e-6;
                List<RackRodFigures> cured = tooShort && f.shorter() < 3 - 1e-6
                        ? List.of()
                        : tooShort
                                ? List.of(
                                        of(it.withEndReach(it.endReach() + by), centres),
                                        of(it.withLength(it.length() + by), centres),
                                        of(it, centres - by))
                                : List.of(
                                        of(it.withThreaded(it.threaded() + by), centres),
                                        of(
                                                f.cure().get().pattern().contains("shorter")
                                                        ? it.withEndReach(it.endReach() - by)
                                                        : it.withThreaded(it.threaded() + by),
                                                centres),
                                        of(it, centres + by));
                for (RackRodFigures c : cured) {
                    assertThat(tooShort ? c.longer() : c.shorter())
                            .as("%s at %s", it, centres)
                            .isGreaterThan(3 - 1e-6);
                }
            }
        }
    }

    @Test
    void isOnPaperInFindingsAndInTheFile() throws Exception {
        Job job = DemoJob.MARSH_CARRIER.job();
        double centres = Analysis.of(job).bench().rods().stream()
                .filter(l -> l.rod() == Rod.LEFT_TIE_ROD)
                .findFirst()
                .orElseThrow()
                .length();
        RackRod fits = RackRod.usual(centres);
        Job own = job.editMaking(m -> m.withRackRod(Rod.LEFT_TIE_ROD, Optional.of(fits.withLength(fits.length() + 10)))
                .withRackRod(Rod.RIGHT_TIE_ROD, Optional.of(fits.withLength(fits.length() - 40))));
        assertThat(JobReader.read(JobWriter.write(own))).isEqualTo(own);
        Analysis a = Analysis.of(own);
        assertThat(a.findings().stream()
                        .filter(f -> f.fault() == Fault.ROD_SHORT_OF_THREAD)
                        .map(Finding::what)
                        .map(p -> p.text(LengthUnit.MM)))
                .singleElement()
                .asString()
                .startsWith("The right tie rod, the rack's own, is");
        Papers papers = Papers.of(a, LocalDate.EPOCH);
        assertThat(papers.table("rack-rods").orElseThrow().rows()).hasSize(2);
        assertThat(papers.cuts().lines())
                .filteredOn(l -> l.name().equals("Left tie rod, the rack's own"))
                .singleElement()
                .satisfies(l -> assertThat(l.finished())
                        .isEqualTo(papers.rackRods().getFirst().finished()));
        assertThat(papers.cuts().open())
                .anyMatch(p -> p.text(LengthUnit.MM).startsWith("Right tie rod, the rack's own is too short"));
        RodMakeUp two = RodMakeUp.usual(CatalogueFile.shipped().rodEnds().getFirst());
        assertThatThrownBy(() -> own.editMaking(m -> m.withRods(Map.of(Rod.LEFT_TIE_ROD, two))))
                .hasMessageContaining("one or the other");
        assertThat(own.making().withRod(Rod.LEFT_TIE_ROD, Optional.of(two)).rackRods())
                .containsOnlyKeys(Rod.RIGHT_TIE_ROD);
    }
}
