package mildtilt.clocking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ForkSetting;
import mildtilt.column.ForkSetting.AnyAngle;
import mildtilt.column.ForkSetting.Fixed;
import mildtilt.column.ForkSetting.Stepped;
import mildtilt.column.ShaftProfile;
import mildtilt.column.Socket;
import mildtilt.column.Socket.Retention;
import mildtilt.column.TestColumns;
import mildtilt.column.Transfer;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The least ripple, by closed form and by steps, against all other settings; marks and feel. */
class ClockingTest {

    @RepeatedTest(20)
    void noOtherClockingBeatsTheClosedForm(RepetitionInfo rep) {
        Random r = new Random(100 + rep.getCurrentRepetition());
        int joints = 2 + rep.getCurrentRepetition() % 5;
        ColumnTrain train = new ColumnTrain(TestColumns.random(r, joints));
        BestClocking best = BestClocking.asMade(train);
        double[] rad = best.clockingDeg().stream().mapToDouble(Math::toRadians).toArray();
        assertThat(train.transfer(rad).ripplePct()).isCloseTo(best.ripplePct(), within(1e-6));
        for (int i = 0; i < 4000; i++) {
            double[] other = r.doubles(joints - 1, -Math.PI / 2, Math.PI / 2).toArray();
            assertThat(train.transfer(other).ripplePct()).isGreaterThanOrEqualTo(best.ripplePct() - 1e-7);
        }
        assertThat(best.clockingDeg()).allMatch(d -> d > -90 && d <= 90 + 1e-9);
    }

    @RepeatedTest(8)
    void bestOfOneShaftIsTheBestOverItsWholeTurn(RepetitionInfo rep) {
        Random r = new Random(200 + rep.getCurrentRepetition());
        ColumnTrain train = new ColumnTrain(TestColumns.random(r, 4));
        for (int shaft = 1; shaft <= 3; shaft++) {
            BestClocking best = BestClocking.ofOne(train, shaft);
            double[] c = train.clockings();
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < 1800; i++) {
                c[shaft - 1] = Math.PI * i / 1800;
                least = Math.min(least, train.transfer(c).ripplePct());
            }
            assertThat(best.ripplePct()).isLessThanOrEqualTo(least + 1e-9).isGreaterThan(least * 0.99 - 0.1);
            for (int other = 1; other <= 3; other++) {
                if (other != shaft) {
                    assertThat(best.clockingDeg().get(other - 1))
                            .isCloseTo(train.column().shafts().get(other).clockingDeg(), within(1e-9));
                }
            }
        }
    }

    @Test
    void splinedShaftsAreClockedInWholeSteps() {
        ColumnTrain train = new ColumnTrain(TestColumns.random(new Random(7), 8));
        BestClocking best = BestClocking.withAll(train, new Stepped(36));
        assertThat(best.proven()).isTrue();
        assertThat(best.clockingDeg()).hasSize(7).allMatch(d -> Math.abs(d / 10 - Math.rint(d / 10)) < 1e-9);
        assertThat(best.ripplePct())
                .isLessThan(train.transfer().orElseThrow().ripplePct())
                .isLessThan(12);
        assertThat(BestClocking.withAll(train, new Fixed()).ripplePct())
                .isCloseTo(train.transfer().orElseThrow().ripplePct(), within(1e-9));
    }

    /** The least ripple over every combination of steps, each one tried. */
    private static double everyOneTried(ColumnTrain train) {
        List<double[]> choices = new ArrayList<>();
        for (int s = 1; s <= train.gaps(); s++) {
            choices.add(
                    train.column().setting(s) instanceof Stepped t
                            ? Arrays.stream(t.settings()).map(Math::toRadians).toArray()
                            : new double[] {
                                Math.toRadians(train.column().shafts().get(s).clockingDeg())
                            });
        }
        return tried(train, choices, new double[choices.size()], 0);
    }

    private static double tried(ColumnTrain train, List<double[]> choices, double[] set, int depth) {
        if (depth == set.length) {
            return train.transfer(set).ripplePct();
        }
        double least = Double.POSITIVE_INFINITY;
        for (double c : choices.get(depth)) {
            set[depth] = c;
            least = Math.min(least, tried(train, choices, set, depth + 1));
        }
        return least;
    }

    /** Teeth at the wheel and gear end of each shaft in turn; 2 is a double-D. */
    @ParameterizedTest
    @CsvSource({
        "4, 36 36 36 36 36 36",
        "4, 48 48 36 36 40 40",
        "4, 35 35 36 36 2 2",
        "3, 36 48 36 36",
        "5, 20 20 12 12 24 24 9 9",
        "2, 36 48",
        "4, 2 2 2 2 2 2"
    })
    void theSearchOverStepsFindsTheVeryBest(int joints, String teeth) {
        int[] n = Arrays.stream(teeth.split(" ")).mapToInt(Integer::parseInt).toArray();
        for (int seed = 0; seed < 4; seed++) {
            Column c = TestColumns.splined(TestColumns.random(new Random(300 + seed), joints), n);
            for (int s = 1; s < joints; s++) {
                double index = 7.3 * s + seed;
                c = c.editShaft(s, x -> x.withIndexDeg(index));
            }
            ColumnTrain train = new ColumnTrain(c);
            BestClocking best = BestClocking.asMade(train);
            assertThat(best.proven()).isTrue();
            assertThat(best.ripplePct()).isCloseTo(everyOneTried(train), within(1e-8));
            for (int s = 1; s < joints; s++) {
                double deg = best.clockingDeg().get(s - 1);
                assertThat(Math.IEEEremainder(deg - ((Stepped) c.setting(s)).nearest(deg), 180))
                        .isCloseTo(0, within(1e-9));
            }
        }
    }

    @Test
    void plainShaftsClockFreelyAndFixedOnesStay() {
        Column c = TestColumns.splined(TestColumns.random(new Random(5), 4), 36, 36, 0, 36, 48, 48)
                .editShaft(3, s -> s.withForksFixed(true));
        assertThat(c.setting(1)).isInstanceOf(Stepped.class);
        assertThat(c.setting(2)).isInstanceOf(AnyAngle.class);
        assertThat(c.setting(3)).isInstanceOf(Fixed.class);
        ColumnTrain train = new ColumnTrain(c);
        BestClocking best = BestClocking.asMade(train);
        assertThat(best.proven()).isTrue();
        assertThat(best.clockingDeg().get(2)).isCloseTo(c.shafts().get(3).clockingDeg(), within(1e-9));
        double least = Double.POSITIVE_INFINITY;
        for (double splined : ((Stepped) c.setting(1)).settings()) {
            for (int deg = 0; deg < 1800; deg++) {
                least = Math.min(
                        least,
                        train.transfer(new double[] {
                                    Math.toRadians(splined), Math.toRadians(deg / 10.0), train.clockings()[2]
                                })
                                .ripplePct());
            }
        }
        assertThat(best.ripplePct()).isLessThanOrEqualTo(least + 1e-9).isCloseTo(least, within(0.05));
    }

    /**
     * Where there is too much to rule all out, what is found is said not to be proven, and is still no worse than a
     * long search by chance.
     */
    @Test
    void clockingIsGoodWhenTooManyCombinations() {
        // Free shafts among fine steps, and fine steps only, past what can be gone through.
        for (int[] ways : new int[][] {{48, 36, 0, 36, 36, 48}, {48, 40}}) {
            Column c = TestColumns.splined(TestColumns.random(new Random(17), 8), ways);
            ColumnTrain train = new ColumnTrain(c);
            BestClocking best = BestClocking.asMade(train);
            assertThat(best.ripplePct())
                    .isLessThanOrEqualTo(train.transfer().orElseThrow().ripplePct());
            Random r = new Random(1);
            double[] set = new double[7];
            for (int i = 0; i < 20_000; i++) {
                for (int s = 1; s <= 7; s++) {
                    double deg = 180 * r.nextDouble();
                    set[s - 1] = Math.toRadians(c.setting(s).nearestTo(deg).orElse(deg));
                }
                assertThat(train.transfer(set).ripplePct()).isGreaterThanOrEqualTo(best.ripplePct() - 1e-9);
            }
            for (int s = 1; s <= 7; s++) {
                double deg = best.clockingDeg().get(s - 1);
                if (c.setting(s) instanceof Stepped t) {
                    assertThat(Math.IEEEremainder(deg - t.nearest(deg), 180)).isCloseTo(0, within(1e-9));
                }
            }
        }
    }

    @Test
    void clockingRespectsShaftEnds() {
        assertThat(ForkSetting.of(List.of(36, 48), 0)).isEqualTo(new Stepped(144, 0));
        assertThat(new Stepped(144).settings()).hasSize(72);
        assertThat(new Stepped(144).label()).isEqualTo("2.5° at a time");
        assertThat(ForkSetting.of(List.of(), 0)).isEqualTo(new AnyAngle());
        assertThat(ForkSetting.of(List.of(36, 0), 0)).isEqualTo(new AnyAngle());
        // Half a turn brings a pin back: with an odd number of teeth the settings fall half a tooth apart.
        assertThat(new Stepped(35, 4).settings()).hasSize(35);
        assertThat(new Stepped(35, 4).nearest(4 + 180.0 / 35 + 0.1)).isCloseTo(4 + 180.0 / 35, within(1e-12));
        assertThat(new Stepped(2, 30).settings()).containsExactly(30);
        assertThat(new Stepped(2, 30).nearest(140)).isEqualTo(210);
        assertThat(new Fixed().nearestTo(10)).isEmpty();
        // A fork in one piece with its shaft goes on one way; the other end then decides.
        assertThat(new Socket(new ShaftProfile.Round(20), Retention.ONE_PIECE).waysPerTurn())
                .isEqualTo(1);
        assertThat(ForkSetting.of(List.of(1, 36), 0)).isEqualTo(new Stepped(36, 0));
    }

    /** Teeth in words do what they say, and none fewer would. */
    @RepeatedTest(6)
    void teethToCountGiveTheClocking(RepetitionInfo rep) {
        int[] ends =
                new int[][] {{36, 48}, {36, 36}, {35, 36}, {48, 0}, {40, 2}, {9, 12}}[rep.getCurrentRepetition() - 1];
        Column c =
                TestColumns.splined(TestColumns.random(new Random(1), 2), ends).editShaft(1, s -> s.withIndexDeg(11));
        if (!(c.setting(1) instanceof Stepped steps)) {
            assertThat(ForkMark.of(c, 1, 33).teeth()).isEmpty();
            return;
        }
        for (double deg : steps.settings()) {
            ForkMark mark = ForkMark.of(c, 1, deg);
            ForkMark.Teeth t = mark.teeth().orElseThrow();
            double gives = 11 + 360.0 * t.atWheelEnd() / ends[0] + 360.0 * t.atGearEnd() / ends[1];
            assertThat(Math.IEEEremainder(gives - deg, 180)).isCloseTo(0, within(1e-6));
            int fewest = Integer.MAX_VALUE;
            for (int a = -ends[0]; a <= ends[0]; a++) {
                for (int b = -ends[1]; b <= ends[1]; b++) {
                    if (Math.abs(Math.IEEEremainder(11 + 360.0 * a / ends[0] + 360.0 * b / ends[1] - deg, 180))
                            < 1e-6) {
                        fewest = Math.min(fewest, Math.abs(a) + Math.abs(b));
                    }
                }
            }
            assertThat(Math.abs(t.atWheelEnd()) + Math.abs(t.atGearEnd()))
                    .as(deg + "°")
                    .isEqualTo(fewest);
            assertThat(mark.arc()).isCloseTo(Math.abs(Math.toRadians(deg)) * 10, within(1e-9));
        }
        // Between two teeth there is nothing to count.
        assertThat(ForkMark.of(c, 1, steps.settings()[0] + steps.stepDeg() / 5).teeth())
                .isEmpty();
    }

    @Test
    void splinedDemoDescribesTeeth() {
        Column c = DemoJob.BOG_TENDER.job().column().orElseThrow();
        BestClocking best = BestClocking.asMade(new ColumnTrain(c));
        assertThat(ForkMark.of(c, 1, best.clockingDeg().getFirst()).teethText())
                .matches(
                        "(the gear-end fork 3 teeth of 36 (anti)?clockwise on the shaft|the shaft 3 teeth of 36 (anti)?clockwise in its wheel-end fork)");
    }

    /** The whole train turned on as offered: alike to left and right, in the middle as said, the ripple as it was. */
    @RepeatedTest(10)
    void theWholeTrainClockedForAnEvenFeel(RepetitionInfo rep) {
        ColumnTrain train = new ColumnTrain(
                TestColumns.random(new Random(40 + rep.getCurrentRepetition()), 1 + rep.getCurrentRepetition() % 4));
        EvenFeel feel = EvenFeel.of(train).orElseThrow();
        Transfer was = train.transfer().orElseThrow();
        assertThat(feel.ratioAhead()).isEqualTo(was.ratioAt(0));
        assertThat(feel.choices()).hasSize(2);
        for (EvenFeel.Choice choice : feel.choices()) {
            ColumnTrain turned = new ColumnTrain(train.column().withFirstForkDeg(choice.firstForkDeg()));
            Transfer t = turned.transfer().orElseThrow();
            assertThat(t.ripplePct()).isCloseTo(was.ripplePct(), within(1e-9));
            for (double in = 0.05; in < 3.2; in += 0.35) {
                assertThat(t.ratioAt(in)).isCloseTo(t.ratioAt(-in), within(1e-9));
            }
            EvenFeel then = EvenFeel.of(turned).orElseThrow();
            assertThat(then.middle()).isEqualTo(choice.middle());
            assertThat(t.ratioAt(0))
                    .isCloseTo(
                            choice.middle() == EvenFeel.Middle.QUICK ? was.ratioMax() : was.ratioMin(), within(1e-9));
            assertThat(then.leftRightPct())
                    .isCloseTo(choice.leftRightPct(), within(1e-9))
                    .isCloseTo(0, within(1e-7));
        }
        // A splined hub turns the train by whole teeth only, and what that leaves is told.
        Column hub = train.column()
                .withWheel(train.column()
                        .wheel()
                        .withFit(train.column()
                                .wheel()
                                .fit()
                                .withSocket(new Socket(new ShaftProfile.Splined(17, 40), Retention.NUT))));
        for (EvenFeel.Choice choice :
                EvenFeel.of(new ColumnTrain(hub)).orElseThrow().choices()) {
            assertThat(choice.turnDeg() / 9).isCloseTo(Math.rint(choice.turnDeg() / 9), within(1e-9));
            assertThat(EvenFeel.of(new ColumnTrain(hub.withFirstForkDeg(choice.firstForkDeg())))
                            .orElseThrow()
                            .leftRightPct())
                    .isCloseTo(choice.leftRightPct(), within(1e-9));
        }
    }

    /** One joint in the plane of the vehicle, first fork square to that plane: a textbook's slow and quick quarter. */
    @Test
    void singleJointSpeedDependsOnForkClock() {
        double cos = Math.cos(Math.toRadians(30));
        Column c = TestColumns.through(
                List.of(new Point(0, 0, 0), new Point(100, 0, 0), new Point(100 + 100 * cos, 0, -50)), new double[0]);
        assertThat(EvenFeel.of(new ColumnTrain(c)).orElseThrow().ratioAhead()).isCloseTo(cos, within(1e-12));
        assertThat(EvenFeel.of(new ColumnTrain(c.withFirstForkDeg(90)))
                        .orElseThrow()
                        .ratioAhead())
                .isCloseTo(1 / cos, within(1e-12));
        EvenFeel askew = EvenFeel.of(new ColumnTrain(c.withFirstForkDeg(45))).orElseThrow();
        assertThat(askew.lopsided()).isTrue();
        assertThat(Math.abs(askew.leftRightPct())).isCloseTo(100 * (1 / cos - cos), within(1e-9));
        assertThat(new ColumnTrain(c).rippleWithoutPct(0)).isZero();
    }
}
