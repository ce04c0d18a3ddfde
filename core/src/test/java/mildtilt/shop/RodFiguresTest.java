package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.Random;
import mildtilt.analysis.Analysis;
import mildtilt.build.EndPart;
import mildtilt.build.RodMakeUp;
import mildtilt.build.RodMakeUp.Body;
import mildtilt.build.RodMakeUp.BodyKind;
import mildtilt.build.ScrewThread;
import mildtilt.build.ScrewThread.Hand;
import mildtilt.build.Stud;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.RodEnd;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.corner.Corner;
import mildtilt.linkage.rods.Rod;
import mildtilt.linkage.rods.RodTube;
import mildtilt.shop.RodFigures.LengthChange;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RodFiguresTest {

    private static final RodTube TUBE = new RodTube(22, 4, 0, 235);

    /** M16 × 1.5, 52 mm from ball to thread, 44 mm of thread. */
    private static final EndPart END =
            new EndPart("end", new Stud.Bolt(16), new ScrewThread(16, 1.5, Hand.RIGHT), 52, 44, 14);

    private static RodMakeUp made(Body body) {
        return new RodMakeUp(RodMakeUp.End.of(END), RodMakeUp.End.of(END.withHand(Hand.LEFT)), body);
    }

    private static Body tapped(double threaded, double drilled) {
        return new Body(BodyKind.TAPPED, threaded, drilled, Optional.empty(), Optional.empty(), Optional.empty());
    }

    private static RodFigures figures(RodMakeUp m, double centres) {
        return RodFigures.of(
                Rod.LEFT_TIE_ROD,
                new RodFigures.Ends(RodEnd.LEFT_OUTER, RodEnd.LEFT_INNER),
                m,
                TUBE,
                centres,
                1.5,
                Optional.of(0.4));
    }

    @Test
    void rodMatchesHandFigures() {
        // Reach 96. In: neck 52 and nut 8, so 60 from ball to face; out: 96 − 24 = 72. In the middle 66.
        RodFigures r = figures(made(tapped(48, 54)), 400);
        assertThat(r.body()).isCloseTo(400 - 2 * 66, within(1e-12));
        assertThat(r.outer().engaged()).isCloseTo(30, within(1e-12));
        assertThat(r.outer().engagedShort()).isCloseTo(36, within(1e-12));
        assertThat(r.outer().engagedLong()).isCloseTo(24, within(1e-12));
        assertThat(r.perTurn()).isCloseTo(3, within(1e-12));
        assertThat(r.turnsLonger()).isCloseTo(4, within(1e-12));
        assertThat(r.longer()).isCloseTo(12, within(1e-12));
        assertThat(r.toePerTurn().orElseThrow()).isCloseTo(1.2, within(1e-12));
        assertThat(r.way()).isEqualTo(LengthChange.BOTH);
        assertThat(r.betweenTips()).as("each shank has a hole of its own").isEmpty();
    }

    /** Whatever the sizes: never under the least, the nut never past the thread, no more thread than there is. */
    @Test
    void engagementHoldsOverAdjustment() {
        Random random = new Random(6);
        for (int i = 0; i < 2000; i++) {
            double d0 = 8 + random.nextInt(12);
            double d1 = 8 + random.nextInt(12);
            EndPart a = new EndPart(
                    "a",
                    new Stud.Bolt(d0),
                    new ScrewThread(d0, 0.75 + random.nextDouble(), Hand.RIGHT),
                    20 + 40 * random.nextDouble(),
                    d0 * (2.2 + 2 * random.nextDouble()),
                    14);
            EndPart b = new EndPart(
                    "b",
                    new Stud.Bolt(d1),
                    new ScrewThread(d1, 0.75 + random.nextDouble(), Hand.LEFT),
                    20 + 40 * random.nextDouble(),
                    d1 * (2.2 + 2 * random.nextDouble()),
                    14);
            double deep = 3 * Math.max(d0, d1);
            RodFigures r =
                    figures(new RodMakeUp(RodMakeUp.End.of(a), RodMakeUp.End.of(b), tapped(deep, deep + 8)), 400);
            for (boolean outer : new boolean[] {true, false}) {
                RodFigures.EndFigures e = r.end(outer);
                EndPart part = outer ? a : b;
                assertThat(e.engagedLong()).isGreaterThanOrEqualTo(e.least() - 1e-9);
                assertThat(e.engagedShort()).isBetween(e.engaged(), part.threadLength() + 1e-9);
                assertThat(e.gapToHousing()).isGreaterThanOrEqualTo(-1e-9);
                assertThat(part.reach() - e.faceShort())
                        .as("not on the ground of its hole")
                        .isLessThanOrEqualTo(deep + 8 + 1e-9);
            }
            // Both ends move by the same turns, so the length follows from either.
            assertThat(r.longer())
                    .isCloseTo(
                            r.turnsLonger() * (a.thread().pitch() + b.thread().pitch()), within(1e-9));
            assertThat(r.outer().faceOut() + r.body() + r.inner().faceOut()).isCloseTo(400, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource({"268, BOTH", "256.5, ONLY_SHRINKS", "279.5, ONLY_GROWS"})
    void existingBodyLimitsAdjustmentDirection(double body, LengthChange way) {
        RodFigures r = figures(made(tapped(48, 54).withLength(Optional.of(body))), 400);
        assertThat(r.way()).isEqualTo(way);
        assertThat(r.shortOfThread()).isFalse();
    }

    @Test
    void wrongBodyLengthIsReported() {
        assertThat(figures(made(tapped(48, 54).withLength(Optional.of(250.0))), 400)
                        .shortOfThread())
                .isTrue();
        RodFigures tooLong = figures(made(tapped(48, 54).withLength(Optional.of(290.0))), 400);
        assertThat(tooLong.outer().faceOut()).isLessThan(tooLong.outer().faceIn());
    }

    @Test
    void sameHandThreadsDontAdjust() {
        RodMakeUp same = new RodMakeUp(RodMakeUp.End.of(END), RodMakeUp.End.of(END), tapped(48, 54));
        RodFigures r = figures(same, 400);
        assertThat(r.sameHand()).isTrue();
        assertThat(r.perTurn()).isZero();
        assertThat(r.toePerTurn()).isEmpty();
        Job job = DemoJob.MARSH_CARRIER.job().editMaking(m -> m.withRod(Rod.LEFT_TIE_ROD, Optional.of(same)));
        Finding f = Analysis.of(job).findings().stream()
                .filter(x -> x.fault() == Fault.ROD_CAN_NOT_BE_SET)
                .findFirst()
                .orElseThrow();
        Job cured = f.remedies().getFirst().edit().apply(job);
        assertThat(Analysis.of(cured).findings()).noneMatch(x -> x.fault() == Fault.ROD_CAN_NOT_BE_SET);
    }

    @Test
    void collidingShanksAreReported() {
        // Through a bung a shank goes on until it meets the other one.
        Body bungs = new Body(BodyKind.BUNGS, 40, 40, Optional.empty(), Optional.empty(), Optional.empty());
        RodFigures r = figures(made(bungs), 190);
        double tips = r.body() - (96 - r.outer().faceShort()) - (96 - r.inner().faceShort());
        assertThat(r.betweenTips().orElseThrow()).isCloseTo(tips, within(1e-9)).isNegative();
    }

    @Test
    void smallerTiltOfEndsIsReportedAndApplied() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        Job job = demo.editMaking(m -> m.withRod(
                Rod.LEFT_TIE_ROD,
                m.rod(Rod.LEFT_TIE_ROD).map(r -> r.withEnd(true, r.outer().withPart(END)))));
        Finding f = found(job, Fault.ROD_END_TILTS_LESS);
        assertThat(f.what().text(LengthUnit.MM))
                .contains("allow 14.0° of tilt, but the linkage is judged as if they allowed 25.0°");
        Job judged = f.remedies().getFirst().edit().apply(job);
        assertThat(judged.axle()
                        .orElseThrow()
                        .rodEnds(Rod.LEFT_TIE_ROD)
                        .orElseThrow()
                        .allowedDeg())
                .contains(14.0);
        assertThat(Analysis.of(judged).findings())
                .noneMatch(
                        x -> x.fault() == Fault.ROD_END_TILTS_LESS && x.about().startsWith("left"));
        // Every rod's own ends are changed and no other's.
        for (DemoJob d : DemoJob.values()) {
            SteeredAxle axle = d.job().axle().orElseThrow();
            for (Rod rod : new AxleSolver(axle).lengths().keySet()) {
                SteeredAxle changed = axle.editRodEnds(rod, e -> e.withAllowedDeg(7));
                axle.rodEnds(rod).ifPresent(_ -> assertThat(
                                changed.rodEnds(rod).orElseThrow().allowedDeg())
                        .as(d + " " + rod)
                        .contains(7.0));
            }
        }
    }

    private static Finding found(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(x -> x.fault() == fault)
                .findFirst()
                .orElseThrow(() -> new AssertionError(fault + " not found"));
    }

    @Test
    void shortShankIsAStop() {
        Job job = DemoJob.MARSH_CARRIER
                .job()
                .editMaking(m -> m.withRod(
                        Rod.LEFT_TIE_ROD,
                        m.rod(Rod.LEFT_TIE_ROD)
                                .map(r -> r.withEnd(true, r.outer().withPart(END.withShank(52, 30))))));
        assertThat(found(job, Fault.ROD_SHORT_OF_THREAD).what().text(LengthUnit.MM))
                .contains("30.0 mm of thread")
                .contains("8.0 mm")
                .contains("24.0 mm");
    }

    /** Against the knuckle turned by a small angle and the rod measured again. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void toePerTurnMatchesKnuckle(DemoJob demo) {
        SteeredAxle axle = demo.job().axle().orElseThrow();
        for (Rod rod : new Rod[] {Rod.LEFT_TIE_ROD, Rod.RIGHT_TIE_ROD, Rod.TIE_ROD}) {
            boolean one = axle.oneTieRod();
            if (one != (rod == Rod.TIE_ROD)) {
                continue;
            }
            Side turned = rod == Rod.LEFT_TIE_ROD
                    ? Side.LEFT
                    : rod == Rod.RIGHT_TIE_ROD
                            ? Side.RIGHT
                            : axle.dragLinkSide().orElse(Side.LEFT).other();
            Corner c = axle.corner(turned);
            Point inner = one
                    ? axle.corner(turned.other()).knuckle().tieRodPoint()
                    : axle.innerEnd(turned).orElseThrow();
            Axis steer = c.suspension().steerAxis();
            double step = 1e-4;
            double[] length = new double[2];
            double[] toe = new double[2];
            for (int i = 0; i < 2; i++) {
                double by = i == 0 ? -step : step;
                length[i] = steer.turned(c.knuckle().tieRodPoint(), by).distanceTo(inner);
                Point hub = steer.turned(c.knuckle().wheelCentre(), by);
                Point out = steer.turned(c.knuckle().spinAxisPoint(), by);
                // Toe-in: the axle's outer end pointing forward turns the wheel's front outward, so back is in.
                toe[i] = Math.toDegrees(Math.atan2(out.x() - hub.x(), Math.abs(out.y() - hub.y())));
            }
            double wanted = (toe[1] - toe[0]) / (length[1] - length[0]);
            assertThat(RodFigures.degreesPerMm(axle, rod).orElseThrow())
                    .as(rod.label())
                    .isCloseTo(wanted, within(1e-6 * Math.abs(wanted) + 1e-7));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "16, 1.5, M16 × 1.5, 14.5",
        "12, 1.25, M12 × 1.25, 10.75",
        "15.875, 1.4111111, 5/8-18 UNF, 14.463889",
        "12.7, 1.27, 1/2-20 UNF, 11.43",
        "19.05, 1.5875, 3/4-16 UNF, 17.4625"
    })
    void threadsAreNamedAndDrilledAsTheBenchDoes(double major, double pitch, String label, double drill) {
        ScrewThread t = new ScrewThread(major, pitch, Hand.RIGHT);
        assertThat(t.label()).isEqualTo(label);
        assertThat(t.withHand(Hand.LEFT).label()).isEqualTo(label + " LH");
        assertThat(t.tapDrill()).isCloseTo(drill, within(1e-5));
        assertThat(t.depthPct(t.tapDrill())).isCloseTo(76.98, within(0.01));
    }
}
