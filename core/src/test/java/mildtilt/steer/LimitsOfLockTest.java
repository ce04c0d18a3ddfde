package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.arms.KnuckleEdits;
import mildtilt.gear.RackAndPinion;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.Limit;
import mildtilt.steer.range.LimitGauge;
import mildtilt.steer.range.LockLimits;
import mildtilt.steer.range.RodEndExtremes;
import mildtilt.steer.range.RodEndTilts;
import mildtilt.steer.range.TravelMap;
import mildtilt.suspension.DoubleWishbone;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.SplitLinks;
import mildtilt.suspension.Strut;
import mildtilt.suspension.Suspension;
import mildtilt.suspension.SwingBeam;
import mildtilt.suspension.TrailingArms;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What ends the lock, how the arms match, and what plain geometry says of bump steer. */
class LimitsOfLockTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static Job limits(Job job, WheelLimits limits) {
        return job.editAxle(a -> a.withCorner(Side.LEFT, a.left().withLimits(limits)));
    }

    private static SteerFigures figures(Job job) {
        return SteerSweep.of(new SteeringTrain(job), job, Grid.USUAL).orElseThrow();
    }

    @Test
    void lockEndsAtFirstLimit() {
        Job bare = limits(demo, WheelLimits.NONE);
        assertThat(figures(bare).lock(Side.LEFT).hit().limit()).isEqualTo(Limit.GEAR_END);
        assertThat(figures(bare).lock(Side.LEFT).turn())
                .isEqualTo(figures(bare).leftReach().turn());
        Job stopped =
                limits(demo, new WheelLimits(Optional.of(25.0), Optional.empty(), Optional.of(28.0), Optional.empty()));
        SteerFigures s = figures(stopped);
        for (Side way : Side.values()) {
            assertThat(s.lock(way).hit().limit()).isEqualTo(Limit.KNUCKLE_STOP);
            assertThat(s.lock(way).turn().innerDeg()).isCloseTo(25, within(1e-4));
            assertThat(s.limits().toward(way))
                    .isSortedAccordingTo(
                            (a, b) -> Double.compare(Math.abs(a.steeringWheelDeg()), Math.abs(b.steeringWheelDeg())));
            assertThat(s.limits().toward(way))
                    .extracting(LockLimits.Hit::limit)
                    .containsSubsequence(Limit.KNUCKLE_STOP, Limit.TYRE, Limit.GEAR_END);
        }
        Job outer =
                limits(demo, new WheelLimits(Optional.empty(), Optional.of(20.0), Optional.empty(), Optional.empty()));
        assertThat(figures(outer).lock(Side.LEFT).turn().outerDeg()).isCloseTo(20, within(1e-4));
        assertThat(s.turnsAvailable()).isLessThan(s.turnsLockToLock());
        // Short arms run into over-centre long before the gear's end.
        Job quick = KnuckleEdits.scaledArms(bare, 0.55);
        assertThat(figures(quick).limits().first(Side.LEFT).orElseThrow().limit())
                .isEqualTo(Limit.OVER_CENTRE);
    }

    @Test
    void mapMarginsMatchLimitGauge() {
        SteeringTrain train = new SteeringTrain(demo);
        TravelMap map = TravelMap.of(train, demo, new Grid(4, 2)).orElseThrow();
        LimitGauge gauge = new LimitGauge(train.axle().orElseThrow(), demo.targets());
        for (int j = 0; j < map.travels().size(); j++) {
            for (int i = 0; i < map.steeringWheelDeg().size(); i++) {
                AxlePose pose = train.pose(
                        map.steeringWheelDeg().get(i),
                        map.travels().get(j),
                        map.travels().get(j));
                double least = gauge.margins(pose).values().stream()
                        .mapToDouble(LimitGauge.Margin::amount)
                        .min()
                        .orElseThrow();
                assertThat(map.cell(i, j).marginDeg()).isEqualTo(least);
            }
        }
        assertThat(map.tightest().orElseThrow().getValue().limit()).isEqualTo(Limit.KNUCKLE_STOP);
        // Past the knuckle stops there is nothing to be warned of.
        RodEndExtremes whole = new RodEndExtremes();
        for (double sw : map.steeringWheelDeg()) {
            whole.add(
                    RodEndTilts.of(
                            train.axle().orElseThrow(), train.pose(sw, 0, 0).stance()),
                    new TravelMap.At(sw, 0));
        }
        assertThat(map.nearestCentre().orElseThrow().getValue().deg()).isGreaterThan(whole.leastOffCentre());
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE"})
    void matchedArmUsesFullGearTravel(DemoJob which) {
        // A lock that the gear as it is does not give, wanted of it.
        Job job = limits(which.job(), WheelLimits.NONE);
        double lock = Math.floor(figures(job).leftReach().turn().innerDeg()) - 6;
        Job wanting = job.withTargets(job.targets().withLockDeg(Optional.of(lock)));
        ArmMatch before = ArmMatch.of(new SteeringTrain(wanting), wanting, figures(wanting))
                .orElseThrow();
        assertThat(before.left().allowedBy()).isEqualTo("wanted lock");
        assertThat(before.gearUsed()).isBetween(0.5, 0.97);
        assertThat(before.left().gearUnusedDeg()).isPositive();
        // The steering wheel's way to that lock is where the inner wheel stands at it.
        double sw = before.left().steeringWheelDeg();
        assertThat(new SteeringTrain(wanting)
                        .pose(sw, 0, 0)
                        .assembled()
                        .orElseThrow()
                        .left()
                        .steerDeg())
                .isCloseTo(lock, within(1e-6));
    }

    @Test
    void rodAtInstantCentreHasNoInitialBumpSteer() {
        Random r = new Random(3);
        for (DemoJob which : List.of(DemoJob.MARSH_CARRIER, DemoJob.GARDEN_SHUTTLE)) {
            for (int i = 0; i < 12; i++) {
                double rise = r.nextDouble() * 40;
                // With level pivots and the rod square across the vehicle the plain geometry is exact to first order.
                Job job = which.job().editAxle(a -> a.withCorner(
                                Side.LEFT,
                                a.left().withSuspension(level(a.left().suspension(), rise)))
                        .withGear(((RackAndPinion) a.gear())
                                .withCentre(new Point(
                                        a.left().knuckle().tieRodPoint().x(), 0, 250 + r.nextDouble() * 100))));
                FrontView v = FrontView.of(job.axle().orElseThrow(), Side.LEFT).orElseThrow();
                Job aimed = job.editAxle(a -> a.withGearMoved(new Vector(0, 0, -v.innerAboveAim())));
                assertThat(FrontView.of(aimed.axle().orElseThrow(), Side.LEFT)
                                .orElseThrow()
                                .innerAboveAim())
                        .isCloseTo(0, within(1e-9));
                assertThat(toePerMm(aimed)).as(which.name()).isCloseTo(0, within(2e-5));
                if (Math.abs(v.innerAboveAim()) > 5) {
                    assertThat(Math.abs(toePerMm(job))).isGreaterThan(2e-4);
                }
            }
        }
    }

    private static Suspension level(Suspension s, double rise) {
        return switch (s) {
            case DoubleWishbone w ->
                new DoubleWishbone(
                        at(w.lowerInnerFront(), 280 + rise),
                        at(w.lowerInnerRear(), 280 + rise),
                        w.lowerBallJoint(),
                        at(w.upperInnerFront(), 470),
                        at(w.upperInnerRear(), 470),
                        w.upperBallJoint());
            case Strut t ->
                new Strut(
                        at(t.lowerInnerFront(), 190 + rise),
                        at(t.lowerInnerRear(), 190 + rise),
                        t.lowerBallJoint(),
                        t.topMount(),
                        new Point(
                                t.topMount().x(),
                                t.axisLowerPoint().y(),
                                t.axisLowerPoint().z()));
            case SplitLinks l -> l;
            case TrailingArms t -> t;
            case SwingBeam b -> b;
            case Kingpin k -> k;
        };
    }

    private static Point at(Point p, double z) {
        return new Point(p.x(), 260 + (p.y() > 300 ? 70 : 0), z);
    }

    private static double toePerMm(Job job) {
        SteeringTrain t = new SteeringTrain(job);
        return (t.pose(0, 0.5, 0.5).assembled().orElseThrow().left().toeInDeg()
                - t.pose(0, -0.5, -0.5).assembled().orElseThrow().left().toeInDeg());
    }

    @Test
    void gearHeightSensitivityMatchesMove() {
        SteeringTrain train = new SteeringTrain(demo);
        double gain = BumpSteer.perMmOfGearHeight(demo, train).orElseThrow();
        Job raised = demo.editAxle(a -> a.withGearMoved(new Vector(0, 0, 10)));
        double before = spread(demo);
        double after = spread(raised);
        assertThat(after - before).isCloseTo(10 * gain, within(Math.abs(10 * gain) * 0.05));
    }

    private static double spread(Job job) {
        SteeringTrain t = new SteeringTrain(job);
        return t.pose(0, 30, 30).assembled().orElseThrow().left().toeInDeg()
                - t.pose(0, -25, -25).assembled().orElseThrow().left().toeInDeg();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void quickFiguresEqualFullFigures(DemoJob which) {
        Job job = which.job();
        QuickFigures q = QuickFigures.of(job, QuickFigures.Until.GEAR_END).orElseThrow();
        SteerFigures s = figures(job);
        assertThat(q.ratio()).isCloseTo(s.ratioAtCentre().orElseThrow(), within(1e-9));
        assertThat(q.turns()).isCloseTo(s.turnsLockToLock(), within(1e-9));
        assertThat(q.lockDeg())
                .isCloseTo(
                        Math.min(
                                s.leftReach().turn().innerDeg(),
                                s.rightReach().turn().innerDeg()),
                        within(1e-9));
        s.leftAtInner20()
                .flatMap(TurnGeometry::ackermannPct)
                .ifPresent(a -> assertThat(q.ackermannPct().orElseThrow()).isCloseTo(a, within(1e-5)));
        assertThat(q.bumpDeg())
                .isLessThanOrEqualTo(s.worstBumpSteerDeg() + 1e-9)
                .isGreaterThan(s.worstBumpSteerDeg() * 0.9 - 1e-9);
    }

    @Test
    void posesBeyondStopsAreIgnored() {
        // Raised so far that the gear's last few degrees can't be assembled in droop; the knuckle stops come first.
        Job bus = DemoJob.LIBRARY_BUS.job().editAxle(a -> a.withGearMoved(new Vector(0, 0, 15)));
        TravelMap map = TravelMap.of(new SteeringTrain(bus), bus, Grid.USUAL).orElseThrow();
        assertThat(map.notAssembled()).isNotEmpty();
        assertThat(map.extremes().notReached()).isEmpty();
        QuickFigures stopped =
                QuickFigures.of(bus, QuickFigures.Until.FIRST_STOP).orElseThrow();
        assertThat(stopped.lockDeg()).isCloseTo(35, within(1e-3));
        assertThat(stopped.toggleDeg()).isPositive();
        assertThat(QuickFigures.of(bus, QuickFigures.Until.GEAR_END)
                        .orElseThrow()
                        .toggleDeg())
                .isZero();
        Job bare = limits(bus, WheelLimits.NONE);
        assertThat(TravelMap.of(new SteeringTrain(bare), bare, Grid.USUAL)
                        .orElseThrow()
                        .extremes()
                        .notReached())
                .hasSameSizeAs(map.notAssembled());
    }
}
