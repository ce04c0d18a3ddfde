package mildtilt.linkage.beam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Direction;
import mildtilt.geometry.Frame;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.RigidMove;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.job.JobPoints;
import mildtilt.job.PointId;
import mildtilt.linkage.AxleConfiguration;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.SteeredAxle;
import mildtilt.suspension.CannotAssemble;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** How beam axles go as their wheels rise, by what holds them. */
class BeamTest {

    private static final double TRACK = 1480;
    private static final Frame DESIGN = new Frame(new Point(0, 0, 390), Vector.X, Vector.Y, Vector.Z);
    private static final TrackBar BAR = new TrackBar(new Point(-130, 420, 470), new Point(-120, -410, 430));
    private static final double[][] RISES = {{0, 0}, {70, 70}, {-80, -80}, {60, -60}, {-45, 30}, {75, 10}};

    private static Leaf leaf(double eyeX, double eyeZ, double shackleX) {
        return new Leaf(new Point(eyeX, 420, eyeZ), new Point(0, 420, 450), new Point(shackleX, 420, 460));
    }

    private static Link link(double x, double y, double z, double toX, double toY, double toZ) {
        return new Link(new Point(x, y, z), new Point(toX, toY, toZ));
    }

    private static final LeafSprung LEAVES = new LeafSprung(leaf(560, 430, -640), Optional.empty(), BAR);
    private static final RadiusArms ARMS = new RadiusArms(link(-780, 330, 410, 0, 400, 390), Optional.empty(), BAR);
    private static final Linked THREE = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 60, 560, -30, 80, 540)),
            BAR);
    private static final Linked SPREAD = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 380, 560, -30, 60, 540),
                    link(-600, -380, 560, -30, -60, 540)),
            Sideways.UNAIDED);
    private static final Linked FIVE = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 300, 560, -30, 300, 540),
                    link(-600, -300, 560, -30, -300, 540)),
            BAR);

    /** Standing up behind the axle, crank on it; and lying flat, crank on the frame. */
    private static final WattLinkage WATT = new WattLinkage(
            new Axis(new Point(-120, 5, 470), Vector.X.direction()),
            new WattLinkage.Rod(new Point(-125, 430, 540), new Point(-120, 5, 530)),
            new WattLinkage.Rod(new Point(-115, -410, 400), new Point(-120, 8, 410)),
            false);

    private static final WattLinkage FLAT = new WattLinkage(
            new Axis(new Point(-130, 0, 520), Vector.Z.direction()),
            new WattLinkage.Rod(new Point(-60, 400, 500), new Point(-70, 0, 520)),
            new WattLinkage.Rod(new Point(-200, -400, 500), new Point(-190, 0, 520)),
            true);

    static Stream<Beam> held() {
        return Stream.of(
                LEAVES,
                LEAVES.withSideways(Sideways.UNAIDED),
                ARMS,
                THREE,
                SPREAD,
                FIVE,
                ARMS.withSideways(WATT),
                LEAVES.withSideways(FLAT));
    }

    private static Frame at(Beam beam, double left, double right) {
        return beam.placer(DESIGN, TRACK).place(left, right).now().orElseThrow();
    }

    private static double pitchUpDeg(Frame f) {
        return Math.toDegrees(Math.asin(f.e().z()));
    }

    private static double yawLeftDeg(Frame f) {
        return Math.toDegrees(Math.atan2(f.e().y(), f.e().x()));
    }

    @ParameterizedTest
    @MethodSource("held")
    void wheelsRiseAsAskedAndTheBeamStaysRigid(Beam beam) {
        assertThat(at(beam, 0, 0).origin().distanceTo(DESIGN.origin())).isLessThan(1e-12);
        for (double[] z : RISES) {
            Frame f = at(beam, z[0], z[1]);
            Vector half = Vector.Y.times(TRACK / 2);
            assertThat(f.carried(DESIGN.origin().plus(half), DESIGN).z() - 390).isCloseTo(z[0], within(1e-9));
            assertThat(f.carried(DESIGN.origin().plus(half.negated()), DESIGN).z() - 390)
                    .isCloseTo(z[1], within(1e-9));
            assertThat(f.e().cross(f.f()).minus(f.g()).norm()).isLessThan(1e-12);
            beam.trackBar()
                    .ifPresent(b -> assertThat(f.carried(b.axleEnd(), DESIGN).distanceTo(b.bodyEnd()))
                            .isCloseTo(b.length(), within(1e-9)));
        }
        // The same pose, whatever was asked before.
        BeamPlacer placer = beam.placer(DESIGN, TRACK);
        Frame first = placer.place(40, -20).now().orElseThrow();
        placer.place(-70, -70);
        assertThat(placer.place(40, -20).now()).contains(first);
    }

    /** The closed form of a beam that only goes up, rolls and is pulled by its bar, by the general solver. */
    @Test
    void sprungBeamIsAsTheGeneralSolverHasIt() {
        Beam.Sprung closed = new Beam.Sprung(BAR);
        HeldBeam general = closed.asBody(DESIGN, TRACK, 0);
        for (double[] z : RISES) {
            Frame c = at(closed, z[0], z[1]);
            Frame g = general.place(z[0], z[1]).now().orElseThrow();
            assertThat(g.origin().distanceTo(c.origin())).isLessThan(1e-9);
            assertThat(g.e().minus(c.e()).norm() + g.f().minus(c.f()).norm()).isLessThan(1e-11);
        }
    }

    /**
     * Level rods of one length L that meet an upright crank of halves c: as the axle rises by z the crank leans by a
     * with {@code x (L + c sin a) = −z c (1 − cos a)} and {@code (L + c sin a)² + x² + z² + (c (1 − cos a))² = L²}, x
     * to the side.
     */
    @Test
    void wattLinkageTakesTheAxleUpAsWorkedOutByHand() {
        double length = 400;
        double half = 50;
        WattLinkage even = new WattLinkage(
                new Axis(DESIGN.origin(), Vector.X.direction()),
                new WattLinkage.Rod(new Point(0, length, 390 + half), new Point(0, 0, 390 + half)),
                new WattLinkage.Rod(new Point(0, -length, 390 - half), new Point(0, 0, 390 - half)),
                false);
        Beam beam = new Beam.Sprung(even);
        for (double z : new double[] {-90, -60, -20, 20, 60, 90}) {
            double low = -0.8;
            double high = 0;
            for (int i = 0; i < 60; i++) {
                double a = (low + high) / 2;
                double sum = length + half * Math.sin(a);
                double lost = half * (1 - Math.cos(a));
                double x = -z * lost / sum;
                if (sum * sum + x * x + z * z + lost * lost > length * length) {
                    high = a;
                } else {
                    low = a;
                }
            }
            double aside = -z * half * (1 - Math.cos(low)) / (length + half * Math.sin(low));
            assertThat(at(beam, z, z).origin().y()).isCloseTo(aside, within(1e-9));
            assertThat(at(beam, z, z).origin().z()).isCloseTo(390 + z, within(1e-9));
        }
        // With the fifth power of the rise, where a track bar goes with its square: z⁵ / (8 L³ c).
        assertThat(at(beam, 40, 40).origin().y())
                .isCloseTo(-Math.pow(40, 5) / (8 * Math.pow(length, 3) * half), within(2e-4));
        // Rolled about the pin itself, it stays where it is.
        assertThat(at(beam, 40, -40).origin().distanceTo(DESIGN.origin())).isLessThan(1e-9);
    }

    /** What is drawn and kept clear is worked out by itself, from the beam's place. */
    @Test
    void rodsAndCrankOfAWattLinkageKeepTheirLength() {
        for (Beam beam : List.of(
                ARMS.withSideways(WATT), LEAVES.withSideways(FLAT), new Beam.Sprung(WATT.withPinOnFrame(true)))) {
            for (double[] z : RISES) {
                RigidMove moved = RigidMove.between(DESIGN, at(beam, z[0], z[1]));
                for (Bar bar : beam.sideways().bars()) {
                    List<Point> was = bar.line(RigidMove.NONE);
                    List<Point> now = bar.line(moved);
                    assertThat(was.getFirst().distanceTo(bar.bodyEnd())).isLessThan(1e-9);
                    assertThat(was.getLast().distanceTo(bar.axleEnd())).isLessThan(1e-9);
                    for (int i = 1; i < was.size(); i++) {
                        assertThat(now.get(i).distanceTo(now.get(i - 1)))
                                .isCloseTo(was.get(i).distanceTo(was.get(i - 1)), within(1e-9));
                    }
                }
            }
        }
    }

    @Test
    void wattLinkageThatHoldsNothingIsRefused() {
        WattLinkage.Rod beside = new WattLinkage.Rod(new Point(-115, -410, 540), new Point(-120, 8, 530));
        assertThatThrownBy(() -> WATT.withRight(beside)).hasMessageContaining("opposite ends of the crank");
        assertThatThrownBy(() -> WATT.withPin(new Axis(new Point(-120, 5, 470), Vector.Y.direction())))
                .hasMessageContaining("Watt linkage");
    }

    @Test
    void linksKeepTheirLength() {
        for (Linked beam : List.of(THREE, SPREAD)) {
            for (double[] z : RISES) {
                Frame f = at(beam, z[0], z[1]);
                for (Link l : beam.links()) {
                    assertThat(f.carried(l.axleEnd(), DESIGN).distanceTo(l.bodyEnd()))
                            .isCloseTo(l.bodyEnd().distanceTo(l.axleEnd()), within(1e-9));
                }
            }
        }
        // One too many: the lower ones keep theirs always, the upper ones where the axle does not roll.
        for (double[] z : RISES) {
            Frame f = at(FIVE, z[0], z[1]);
            for (int i = 0; i < (z[0] == z[1] ? 2 : 0); i++) {
                Link l = FIVE.links().get(i);
                assertThat(f.carried(l.axleEnd(), DESIGN).distanceTo(l.bodyEnd()))
                        .isCloseTo(l.bodyEnd().distanceTo(l.axleEnd()), within(1e-9));
            }
        }
    }

    /** Four level links of one length, two over two: the axle goes on a circle of that length and never tilts. */
    @Test
    void parallelLinksOfOneLengthTiltNothing() {
        Linked even = new Linked(
                List.of(
                        link(-600, 400, 330, 0, 400, 330),
                        link(-600, -400, 330, 0, -400, 330),
                        link(-600, 300, 530, 0, 300, 530),
                        link(-600, -300, 530, 0, -300, 530)),
                new TrackBar(new Point(0, 700, 390), new Point(0, -700, 390)));
        for (double up : new double[] {-80, 35, 90}) {
            Frame f = at(even, up, up);
            assertThat(pitchUpDeg(f)).isCloseTo(0, within(1e-9));
            // The track bar takes it sideways a little.
            double aside = f.origin().y();
            assertThat(f.origin().x()).isCloseTo(Math.sqrt(600 * 600 - up * up - aside * aside) - 600, within(1e-9));
        }
    }

    /** One piece with the axle, on a line across the frame: it turns about that line. */
    @Test
    void radiusArmsTurnTheAxleAboutTheirFrameEnds() {
        RadiusArms arms = ARMS.withSideways(Sideways.UNAIDED);
        Axis line = new Axis(new Point(-780, 0, 410), Direction.along(0, 1, 0));
        double before = line.distanceTo(DESIGN.origin());
        double slope = Math.asin((390 - 410) / before);
        for (double up : new double[] {-80, 60}) {
            Frame f = at(arms, up, up);
            assertThat(line.distanceTo(f.origin())).isCloseTo(before, within(1e-9));
            assertThat(Math.toRadians(pitchUpDeg(f)))
                    .isCloseTo(Math.asin((390 + up - 410) / before) - slope, within(1e-12));
            assertThat(yawLeftDeg(f)).isCloseTo(0, within(1e-12));
        }
    }

    @Test
    void levelLeavesMoveTheAxleTowardTheirEyeOnACircle() {
        LeafSprung level = new LeafSprung(
                new Leaf(new Point(560, 420, 450), new Point(0, 420, 450), new Point(-560, 420, 450)),
                Optional.empty(),
                Sideways.UNAIDED);
        double swings = 0.75 * 560;
        for (double up : new double[] {-70, 50}) {
            Frame f = at(level, up, up);
            assertThat(f.origin().x()).isCloseTo(swings - Math.sqrt(swings * swings - up * up), within(1e-9));
            assertThat(pitchUpDeg(f)).isCloseTo(0, within(1e-12));
            assertThat(yawLeftDeg(at(level, up, -up))).isCloseTo(0, within(0.005));
        }
    }

    /**
     * A fixed eye ahead and below the seat: the wheel that rises goes forward, the other one back, so that a roll to the right
     * turns the axle to the right; by the slope of the springs, to first order.
     */
    @Test
    void slopingLeavesSteerTheAxleAsItRolls() {
        LeafSprung sloping = new LeafSprung(leaf(560, 400, -560), Optional.empty(), Sideways.UNAIDED);
        double up = 1;
        double slope = 50.0 / 560;
        double atSeat = up * 840 / TRACK;
        assertThat(yawLeftDeg(at(sloping, up, -up))).isCloseTo(-Math.toDegrees(2 * atSeat * slope / 840), within(1e-6));
        assertThat(yawLeftDeg(at(sloping, 40, -40))).isLessThan(-0.2);
        // With the eye above the seat it is the other way, and with the shackle ahead as well.
        assertThat(yawLeftDeg(at(new LeafSprung(leaf(560, 500, -560), Optional.empty(), Sideways.UNAIDED), 40, -40)))
                .isGreaterThan(0.2);
        assertThat(yawLeftDeg(at(new LeafSprung(leaf(-560, 400, 560), Optional.empty(), Sideways.UNAIDED), 40, -40)))
                .isGreaterThan(0.2);
    }

    /** 500 ahead, 600 behind: (500 − 600) / (500 × 600) rad for each mm, and caster goes with it. */
    @Test
    void unlikeHalvesWindTheAxleUp() {
        LeafSprung unlike = new LeafSprung(leaf(500, 450, -600), Optional.empty(), Sideways.UNAIDED);
        assertThat(pitchUpDeg(at(unlike, 60, 60))).isCloseTo(Math.toDegrees(-60.0 / 3000), within(1e-9));
        assertThat(pitchUpDeg(at(unlike, -60, -60))).isCloseTo(Math.toDegrees(60.0 / 3000), within(1e-9));
        Job tender = DemoJob.BOG_TENDER.job().editAxle(a -> a.withBeam(unlike));
        AxleSolver axle = new AxleSolver(tender.axle().orElseThrow());
        double still = knuckle(axle.pose(0, 0, 0)).casterDeg();
        assertThat(knuckle(axle.pose(0, 60, 60)).casterDeg())
                .isCloseTo(still - Math.toDegrees(60.0 / 3000), within(0.02));
    }

    private static KnucklePose knuckle(AxleConfiguration c) {
        return (KnucklePose) c.left();
    }

    @Test
    void linksThatDoNotHoldTheAxleAreRefused() {
        assertThatThrownBy(() -> THREE.withSideways(Sideways.UNAIDED)).hasMessageContaining("track bar");
        Linked along = new Linked(
                List.of(
                        link(-600, 400, 330, 0, 400, 330),
                        link(-600, -400, 330, 0, -400, 330),
                        link(-600, 300, 530, 0, 300, 530),
                        link(-600, -300, 530, 0, -300, 530)),
                Sideways.UNAIDED);
        assertThatThrownBy(() -> along.placer(DESIGN, TRACK))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("spread");
        assertThatThrownBy(() -> leaf(560, 430, 640)).hasMessageContaining("between its two eyes");
        assertThatThrownBy(() -> link(1, 2, 3, 1, 2, 3)).hasMessageContaining("no length");
    }

    @Test
    void whatEndsTheTravelIsNamed() {
        TrackBar shortOne = new TrackBar(new Point(-130, 100, 470), new Point(-120, -60, 430));
        Job tender = DemoJob.BOG_TENDER.job().editAxle(a -> a.withBeam(ARMS.withSideways(shortOne)));
        AxleConfiguration no = new AxleSolver(tender.axle().orElseThrow()).pose(0, 260, 260);
        assertThat(no.left()).isInstanceOfSatisfying(CannotAssemble.class, c -> {
            assertThat(c.part()).isEqualTo("track bar");
            // The arms let its axle end rise to 650, 180 over the frame end; the bar is 165 long.
            assertThat(c.amount()).isBetween(15.0, 18.0);
        });
    }

    @ParameterizedTest
    @MethodSource("held")
    void filesPointsAndPartsFollow(Beam beam) throws Exception {
        Job job = DemoJob.BOG_TENDER.job().editAxle(a -> a.withBeam(beam));
        assertThat(JobReader.read(JobWriter.write(job))).isEqualTo(job);
        List<PointId> points = JobPoints.of(job).stream()
                .filter(PointId.OnBeam.class::isInstance)
                .toList();
        assertThat(points).hasSize(beam.points().size()).doesNotHaveDuplicates();
        for (PointId id : points) {
            Point to = JobPoints.position(job, id).plus(new Vector(3, -2, 4));
            Job moved = JobPoints.moved(job, id, to);
            assertThat(JobPoints.position(moved, id)).isEqualTo(to);
            assertThat(JobPoints.byId(moved)).containsKey(JobPoints.id(job, id));
        }
        // Every bar ends where the beam takes it.
        RigidMove move = RigidMove.between(DESIGN, at(beam, 30, -30));
        for (Bar bar : beam.bars()) {
            if (bar.watt().isEmpty()) {
                assertThat(bar.line(move).get(1)).isEqualTo(move.moved(bar.axleEnd()));
            }
        }
        assertThat(beam.bars()).extracting(Bar::part).doesNotHaveDuplicates();
        assertThat(new PointId.OnBeam(BeamPoint.Which.LEFT_EYE).onRight())
                .isEqualTo(new PointId.OnBeam(BeamPoint.Which.RIGHT_EYE));
        assertThat(BeamPoint.Which.CENTRE_PIN.on(Side.RIGHT)).isEqualTo(BeamPoint.Which.CENTRE_PIN);
    }

    /** Whatever is chosen to hold it, the axle is held, the wheels follow, and the choice is read back. */
    @ParameterizedTest
    @EnumSource(BeamKind.class)
    void everyKindBeginsWithWhatHoldsTheAxle(BeamKind kind) {
        Job job = DemoJob.BOG_TENDER
                .job()
                .editAxle(a -> a.withBeam(kind.usual(
                        a.beamDesign(), a.track(), a.beam().orElseThrow().sideways())));
        SteeredAxle chosen = job.axle().orElseThrow();
        Beam beam = chosen.beam().orElseThrow();
        assertThat(BeamKind.of(beam)).isEqualTo(kind);
        everyPlaceCanBeTaken(chosen);
        List<SidewaysKind> ways = SidewaysKind.thatHold(beam, chosen.beamDesign(), chosen.track());
        assertThat(ways).hasSize(kind == BeamKind.CENTRE_PIN ? 0 : kind == BeamKind.THREE_LINKS ? 3 : 4);
        for (SidewaysKind by : ways) {
            Beam held = beam.withSideways(by.usual(chosen.beamDesign(), chosen.track()));
            assertThat(SidewaysKind.of(held.sideways())).isEqualTo(by);
            everyPlaceCanBeTaken(chosen.withBeam(held));
        }
    }

    private static void everyPlaceCanBeTaken(SteeredAxle a) {
        AxleSolver axle = new AxleSolver(a);
        Beam beam = a.beam().orElseThrow();
        for (double[] z : beam instanceof Beam.CentrePin ? new double[][] {{0, 0}, {50, -50}} : RISES) {
            assertThat(axle.pose(0.2, z[0], z[1]).left())
                    .as(BeamKind.of(beam) + ", " + SidewaysKind.of(beam.sideways()) + " at " + z[0] + ", " + z[1])
                    .isInstanceOf(KnucklePose.class);
        }
    }
}
