package mildtilt.steer.forces;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Severity;
import mildtilt.gear.ArmGear;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.Shuttle;
import mildtilt.linkage.ShuttleBar;
import mildtilt.linkage.corner.WheelTravel;
import mildtilt.linkage.rods.Rod;
import mildtilt.obstacle.Obstacle;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import mildtilt.travel.CarriedStart;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Kick-back, pull of driven wheels and a shuttle's friction, by hand in limiting cases and on vehicles. */
class HandForcesTest {

    private static final Vector SQUARE = new Vector(0, 1, 0);

    /** A left wheel on an upright steer axis, straight ahead. @param out of the axis, mm */
    private static KnucklePose upright(double out, Vector spin) {
        Frame f = new Frame(new Point(0, 600, 0), Vector.X, Vector.Y, Vector.Z);
        return new KnucklePose(
                Side.LEFT,
                f,
                f,
                new Point(0, 600, 150),
                new Point(0, 600, 450),
                new Point(-120, 580, 300),
                new Point(-120, 200, 300),
                new Point(0, 600 + out, 300),
                spin);
    }

    @Test
    void drivenWheelPullsByItsCentresDistanceFromTheAxis() {
        KnucklePose k = upright(40, SQUARE);
        // Pulled ahead outboard of the axis, a left wheel turns to the right.
        assertThat(DrivePull.torque(k, k.spin(), 900)).isCloseTo(-900 * 40, within(1e-6));
        assertThat(DrivePull.torque(upright(0, SQUARE), SQUARE, 900)).isCloseTo(0, within(1e-6));
    }

    /** A joint bent in the upright plane, wheel centre on the axis: T tan(β/2) about it, T = force times radius. */
    @Test
    void bentJointTurnsTheKnuckle() {
        double bend = Math.toRadians(24);
        Vector falling = new Vector(0, Math.cos(bend), -Math.sin(bend));
        assertThat(DrivePull.torque(upright(0, SQUARE), falling, 900))
                .isCloseTo(-900 * 300 * Math.tan(bend / 2), within(1e-6));
        Vector swept = new Vector(Math.sin(bend), Math.cos(bend), 0);
        assertThat(DrivePull.torque(upright(0, SQUARE), swept, 900)).isCloseTo(0, within(1e-6));
    }

    /** Let go, the hands turn by what keeps both wheels on the way they pointed on average. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void kickBackKeepsWheelsOnTheirWay(DemoJob demo) {
        SteeringTrain train = new SteeringTrain(demo.job());
        KickBack k = KickBack.of(train, demo.job()).orElseThrow();
        WheelTravel travel = train.requireAxle().wheelTravel();
        for (Side side : Side.values()) {
            Optional<Double> turn = k.wheel(side).turn();
            assertThat(turn.isPresent()).isEqualTo(travel != WheelTravel.NONE);
            turn.ifPresent(deg -> {
                double rise = k.wheel(side).rise() / (travel == WheelTravel.ROLL_ONLY ? 2 : 1);
                double other = travel == WheelTravel.ROLL_ONLY ? -rise : 0;
                boolean left = side == Side.LEFT;
                AxlePose.Assembled now = train.pose(deg, left ? rise : other, left ? other : rise)
                        .assembled()
                        .orElseThrow();
                AxlePose.Assembled was = train.pose(0, 0, 0).assembled().orElseThrow();
                assertThat(now.meanSteerDeg()).isCloseTo(was.meanSteerDeg(), within(1e-6));
            });
            assertThat(k.wheel(side).pull().orElseThrow().blow() * side.sign())
                    .as("a wheel outboard of its steer axis pulls to its own side")
                    .isPositive();
        }
    }

    /** The short link's pull beside the bar by e, everything along the bar: jams at span / 2e. */
    @Test
    void shuttleJamsAsADrawerDoes() {
        double e = 40;
        double span = 160;
        Mechanism.ShuttleAt s = shuttle(new Point(0, 0, e), new Point(0, 500, e));
        ShuttleBar bar = new ShuttleBar(new Point(0, 0, 0), span, 0.2);
        assertThat(BarFriction.jamsAt(s, bar)).isCloseTo(span / (2 * e), within(1e-12));
        assertThat(BarFriction.jamsAt(shuttle(new Point(0, 0, 0), new Point(0, 500, 0)), bar))
                .isInfinite();
        // Its rods pull straight along the bar: what the link gives grows by what its tip presses.
        Map<Side, Vector> rods = Map.of(Side.LEFT, new Vector(0, -700, 0), Side.RIGHT, new Vector(0, -300, 0));
        BarFriction f = BarFriction.of(s, bar, rods);
        assertThat(f.pushFactor()).isCloseTo(1 / (1 - 0.2 * 2 * e / span), within(1e-8));
        assertThat(f.returnFactor()).isCloseTo(1 / (1 + 0.2 * 2 * e / span), within(1e-8));
        BarFriction stuck = BarFriction.of(s, bar.withFriction(2), rods);
        assertThat(stuck.pushFactor()).isInfinite();
        assertThat(stuck.returnFactor()).isZero();
    }

    /** Rods that pull square to the bar press both bushes by half: friction adds as much as it takes off. */
    @Test
    void sidewaysPullRubs() {
        ShuttleBar bar = new ShuttleBar(new Point(0, 0, 0), 100, 0.1);
        Map<Side, Vector> rods = Map.of(Side.LEFT, new Vector(200, -500, 0), Side.RIGHT, new Vector(200, -500, 0));
        BarFriction f = BarFriction.of(shuttle(new Point(0, 0, 0), new Point(0, 500, 0)), bar, rods);
        assertThat(f.pushFactor()).isCloseTo(1 + 0.1 * 400 / 1000, within(1e-8));
        assertThat(f.returnFactor()).isCloseTo(1 - 0.1 * 400 / 1000, within(1e-8));
    }

    /** On a bar along y; both tie rods begin on its line. */
    private static Mechanism.ShuttleAt shuttle(Point link, Point arm) {
        Shuttle own = (Shuttle) DemoJob.SALT_RAKE.job().axle().orElseThrow().linkage();
        ArmGear gear = DemoJob.SALT_RAKE.job().axle().orElseThrow().armGear().orElseThrow();
        return new Mechanism.ShuttleAt(own, gear, 0, arm, 0, link, new Point(0, 0, 0), new Point(0, 0, 0));
    }

    @Test
    void narrowBushesAreFoundAndWiderOnesCureIt() {
        Job rake = with(DemoJob.SALT_RAKE.job(), b -> b.withSpan(12));
        Analysis a = Analysis.of(rake);
        Finding jam = found(a, Fault.SHUTTLE_JAMS).orElseThrow();
        assertThat(jam.severity()).isEqualTo(Severity.STOP);
        assertThat(a.steer().orElseThrow().barJam().orElseThrow().friction()).isLessThan(0.15);
        Effort stuck = a.steer().orElseThrow().effort().orElseThrow();
        assertThat(stuck.barFactor()).isInfinite();
        assertThat(stuck.worstParked())
                .as("without a friction that nothing overcomes")
                .isEqualTo(Analysis.of(with(rake, b -> b.withFriction(0)))
                        .steer()
                        .orElseThrow()
                        .effort()
                        .orElseThrow()
                        .worstParked());
        Analysis cured = Analysis.of(jam.remedies().getFirst().edit().apply(rake));
        assertThat(found(cured, Fault.SHUTTLE_JAMS)).isEmpty();
        // Ten millimetres less would not have done.
        double to = bar(cured.job()).span();
        assertThat(found(Analysis.of(with(rake, b -> b.withSpan(to - 10))), Fault.SHUTTLE_JAMS))
                .isPresent();
    }

    /**
     * Friction asks for more at the rim and in the short link, gives less back, and leaves the tie rods as they are.
     */
    @Test
    void frictionOfTheBushesIsPaidAtTheRim() {
        Job greased = DemoJob.SALT_RAKE.job();
        SteerFigures rubs = Analysis.of(greased).steer().orElseThrow();
        SteerFigures free =
                Analysis.of(with(greased, b -> b.withFriction(0))).steer().orElseThrow();
        Effort with = rubs.effort().orElseThrow();
        Effort without = free.effort().orElseThrow();
        assertThat(without.barFactor()).isEqualTo(1);
        assertThat(with.barFactor()).isBetween(1.01, 1.5);
        assertThat(with.worstParked()).isBetween(without.worstParked(), with.barFactor() * without.worstParked());
        assertThat(with.rodForce().get(Rod.LEFT_TIE_ROD))
                .isEqualTo(without.rodForce().get(Rod.LEFT_TIE_ROD));
        assertThat(with.rodForce().get(Rod.SHORT_LINK))
                .isGreaterThan(without.rodForce().get(Rod.SHORT_LINK));
        assertThat(with.rows().getLast().returning())
                .isLessThan(without.rows().getLast().returning());
        Job unknown = greased.editAxle(x -> x.withLinkage(((Shuttle) x.linkage()).withBar(Optional.empty())));
        assertThat(Analysis.of(unknown)
                        .steer()
                        .orElseThrow()
                        .effort()
                        .orElseThrow()
                        .worstParked())
                .isEqualTo(without.worstParked());
    }

    @Test
    void bushesThatCanNotBeAreRefused() {
        Point at = new Point(0, 0, 0);
        assertThatThrownBy(() -> new ShuttleBar(at, 0, 0.1)).isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> new ShuttleBar(at, 100, -0.1)).isInstanceOf(ImpossibleGeometryException.class);
    }

    private static Job with(Job job, UnaryOperator<ShuttleBar> change) {
        return job.editAxle(a -> a.withLinkage(((Shuttle) a.linkage()).withBar(Optional.of(change.apply(bar(job))))));
    }

    private static ShuttleBar bar(Job job) {
        return ((Shuttle) job.axle().orElseThrow().linkage()).bar().orElseThrow();
    }

    private static Optional<Finding> found(Analysis a, Fault fault) {
        return a.findings().stream().filter(f -> f.fault() == fault).findFirst();
    }

    /** A slower gear and thinner hands: the same blow pulls harder at a smaller wheel. */
    @Test
    void kicksAndDriveAreJudgedByTheForceThatHandsHold() {
        Job bare = DemoJob.BOG_TENDER.job();
        Obstacle shaft = CarriedStart.DRIVEN_SHAFT.on(bare).orElseThrow();
        Job tender = bare.editSurroundings(s -> s.with(shaft));
        assertThat(found(Analysis.of(tender), Fault.KICKS_BACK)).isEmpty();
        SteerFigures s = Analysis.of(tender).steer().orElseThrow();
        double blow =
                s.kickBack().orElseThrow().wheel(Side.LEFT).pull().orElseThrow().most();
        double drive = s.drivePull().orElseThrow().rows().stream()
                .mapToDouble(r -> Math.abs(r.pull()))
                .max()
                .orElseThrow();
        for (double limit : new double[] {0.9 * blow, 1.1 * blow}) {
            Job judged = tender.withTargets(tender.targets().withRimForce(limit));
            assertThat(found(Analysis.of(judged), Fault.KICKS_BACK).isPresent()).isEqualTo(limit < blow);
        }
        for (double limit : new double[] {0.9 * drive, 1.1 * drive}) {
            Job judged = tender.withTargets(tender.targets().withRimForce(limit));
            assertThat(found(Analysis.of(judged), Fault.DRIVE_PULLS).isPresent())
                    .isEqualTo(limit < drive);
        }
    }
}
