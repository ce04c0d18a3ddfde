package mildtilt.travel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.Function;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.AntiRollBar;
import mildtilt.obstacle.Carrier;
import mildtilt.obstacle.EndFit;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.PartEnd;
import mildtilt.obstacle.Surroundings;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.CarrierMotion;
import mildtilt.steer.position.SteeringTrain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** An anti-roll bar's arms and links by hand, and on every demo. */
class AntiRollBarTest {

    private static final double ARM = 250;
    private static final double LINK = 120;

    /** Level arms that trail, links straight down, bolts along the bar. */
    private static AntiRollBar bar() {
        return new AntiRollBar(Carrier.FRAME, arm(1), arm(-1), 22, 14);
    }

    private static AntiRollBar.Arm arm(int side) {
        Point bush = new Point(0, side * 300, 500);
        Point end = bush.plus(new Vector(-ARM, 0, 0));
        Optional<EndFit> eye = Optional.of(new EndFit.Eye(Vector.Y.direction(), 15));
        return new AntiRollBar.Arm(
                bush,
                end,
                eye,
                new PartEnd(
                        end.plus(new Vector(0, 0, -LINK)),
                        side > 0 ? Carrier.LEFT_LOWER_ARM : Carrier.RIGHT_LOWER_ARM,
                        eye));
    }

    private static Function<Carrier, RigidMove> up(double left, double right) {
        return c -> switch (c) {
            case LEFT_LOWER_ARM -> RigidMove.by(new Vector(0, 0, left));
            case RIGHT_LOWER_ARM -> RigidMove.by(new Vector(0, 0, right));
            default -> RigidMove.NONE;
        };
    }

    @Test
    void inAPlaneItsLinksDoNotTiltAndItsArmsTurnAsByHand() {
        AntiRollBar bar = bar();
        for (double z : new double[] {-80, -30, 0, 40, 90}) {
            AntiRollBar now = bar.carried(up(z, -z));
            for (Side side : Side.values()) {
                double rise = side == Side.LEFT ? z : -z;
                AntiRollBar.Stand s = bar.stand(side, up(z, -z));
                // The arm's end stands on two circles: an arm from the bush, a link from what holds its other end.
                double d = Math.hypot(ARM, rise - LINK);
                double atBush = Math.acos((ARM * ARM + d * d - LINK * LINK) / (2 * ARM * d));
                double lineDown = Math.atan2(rise - LINK, ARM);
                assertThat(s.turned()).isCloseTo(lineDown + atBush, within(1e-9));
                Vector link = now.arm(side).link().at().minus(now.arm(side).end());
                assertThat(link.norm()).isCloseTo(LINK, within(1e-9));
                assertThat(new EndFit.Eye(Vector.Y.direction(), 15).tiltDeg(link))
                        .isLessThan(1e-9);
            }
            assertThat(bar.twistDeg(up(z, z))).isCloseTo(0, within(1e-9));
            assertThat(Math.signum(bar.twistDeg(up(z, -z)))).isEqualTo(Math.signum(z));
        }
    }

    @Test
    void withTheWheelsApartItTwistsAndAskedTooFarItsLinkLiesInLine() {
        AntiRollBar bar = bar();
        assertThat(bar.twistDeg(up(50, -50))).isCloseTo(2 * Math.toDegrees(Math.asin(50 / ARM)), within(0.9));
        AntiRollBar.Stand far = bar.stand(Side.LEFT, up(-500, 0));
        assertThat(far.offLineDeg()).isZero();
        assertThat(bar.stand(Side.LEFT, up(0, 0)).offLineDeg()).isCloseTo(90, within(1e-9));
    }

    @Test
    void wherePartsMoveArmsAndLinksKeepTheirLengths() {
        AntiRollBar bar = bar();
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            RigidMove frame = RigidMove.placing(
                    new Point(random.nextGaussian() * 40, random.nextGaussian() * 40, random.nextGaussian() * 40),
                    random.nextGaussian() * 8,
                    random.nextGaussian() * 8,
                    random.nextGaussian() * 8);
            RigidMove left = RigidMove.by(
                    new Vector(random.nextGaussian() * 15, random.nextGaussian() * 15, random.nextGaussian() * 30));
            Function<Carrier, RigidMove> moves = c -> switch (c) {
                case FRAME -> frame;
                case LEFT_LOWER_ARM -> left.then(frame);
                default -> frame;
            };
            AntiRollBar now = bar.carried(moves);
            for (Side side : Side.values()) {
                if (bar.stand(side, moves).offLineDeg() > 0) {
                    assertThat(now.arm(side)
                                    .end()
                                    .distanceTo(now.arm(side).link().at()))
                            .isCloseTo(LINK, within(1e-8));
                }
                assertThat(now.arm(side).end().distanceTo(now.arm(side).bush())).isCloseTo(ARM, within(1e-8));
            }
            assertThat(bar.twistDeg(moves))
                    .as("moving all of it together twists nothing")
                    .isCloseTo(bar.twistDeg(c -> c == Carrier.LEFT_LOWER_ARM ? left : RigidMove.NONE), within(1e-8));
        }
    }

    @Test
    void oneWithoutArmsIsRefusedAndTheMirroredOneIsTheSameBar() {
        AntiRollBar.Arm none = new AntiRollBar.Arm(
                new Point(0, 300, 500),
                new Point(0, 200, 500),
                Optional.empty(),
                PartEnd.on(Carrier.LEFT_LOWER_ARM, new Point(0, 200, 300)));
        assertThatThrownBy(() -> new AntiRollBar(Carrier.FRAME, none, arm(-1), 20, 10))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("An arm of an anti-roll bar has no length.");
        AntiRollBar noLink = bar().withPoint(2, bar().left().end());
        assertThatThrownBy(() -> Obstacle.fixed("front bar", noLink))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessage("A drop link of \"front bar\" has no length.");
        assertThat(bar().mirrored().points()).isEqualTo(bar().points());
        assertThat(bar().mirrored().mirrored()).isEqualTo(bar());
        for (int i = 0; i < bar().points().size(); i++) {
            Point to = new Point(11, 22, 33);
            assertThat(bar().withPoint(i, to).points().get(i)).isEqualTo(to);
        }
    }

    /**
     * In every demo that travels: the bar follows, its links keep their lengths, and what is said of them is where it
     * is.
     */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"GARDEN_SHUTTLE", "BOG_TENDER", "DUNE_WARDEN", "REED_SKIMMER"})
    void itIsPutOnAVehicleAndItsLinksAreLookedAt(DemoJob demo) {
        Job bare = demo.job().withSurroundings(Surroundings.NONE);
        Obstacle o = CarriedStart.ANTI_ROLL_BAR.on(bare).orElseThrow();
        AntiRollBar bar = (AntiRollBar) o.shape();
        Job job = bare.editSurroundings(s -> s.with(o.withShape(eyes(bar, 1))));
        SteeringTrain train = new SteeringTrain(job);
        CarrierMotion motion = train.carriers().orElseThrow();
        for (double z : new double[] {-40, 0, 50}) {
            AxlePose pose = train.pose(0, z, z);
            AntiRollBar now = bar.carried(c -> motion.move(pose, c));
            for (Side side : Side.values()) {
                assertThat(now.arm(side).end().distanceTo(now.arm(side).link().at()))
                        .isCloseTo(
                                bar.arm(side)
                                        .end()
                                        .distanceTo(bar.arm(side).link().at()),
                                within(1e-8));
            }
        }
        List<Finding> found = Analysis.of(job).findings();
        if (demo == DemoJob.REED_SKIMMER) {
            // Trailing arms on pivots square to the vehicle, the bar along them: all of it moves in planes.
            assertThat(found).noneMatch(f -> f.fault() == Fault.END_OVER_LIMIT);
            return;
        }
        assertThat(found).anyMatch(f -> f.fault() == Fault.END_OVER_LIMIT);
        assertThat(found).noneMatch(f -> f.fault() == Fault.NOT_WORKED_OUT);
        Finding worst = found.stream()
                .filter(f -> f.fault() == Fault.END_OVER_LIMIT)
                .findFirst()
                .orElseThrow();
        double before = tilt(job, worst);
        worst.remedies()
                .forEach(r -> assertThat(tilt(r.edit().apply(job), worst)).isLessThan(before));
        // Reaching far more than it has.
        Job flips = job.withTargets(job.targets().withToggleDeg(85));
        assertThat(Analysis.of(flips).findings()).anyMatch(f -> f.fault() == Fault.LINK_IN_LINE);
    }

    private static AntiRollBar eyes(AntiRollBar bar, double allowed) {
        AntiRollBar all = bar;
        for (Side side : Side.values()) {
            Optional<EndFit> eye = Optional.of(new EndFit.Eye(bar.usualBolt(side), allowed));
            all = all.withArm(
                    side,
                    all.arm(side).withFit(eye).withLink(all.arm(side).link().withFit(eye)));
        }
        return all;
    }

    private static double tilt(Job job, Finding f) {
        SteeringTrain train = new SteeringTrain(job);
        return TravelFigures.of(job, train, HeldTravel.of(job, train), Optional.empty()).orElseThrow().uses().stream()
                .filter(u -> f.about().endsWith(u.bound().name()) && u.bound().kind() == Bound.Kind.TILT)
                .mapToDouble(BoundUse::nearest)
                .findFirst()
                .orElseThrow();
    }
}
