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
    private static final Beam.TrackBar BAR = new Beam.TrackBar(new Point(-130, 420, 470), new Point(-120, -410, 430));
    private static final double[][] RISES = {{0, 0}, {70, 70}, {-80, -80}, {60, -60}, {-45, 30}, {75, 10}};

    private static Leaf leaf(double eyeX, double eyeZ, double shackleX) {
        return new Leaf(new Point(eyeX, 420, eyeZ), new Point(0, 420, 450), new Point(shackleX, 420, 460));
    }

    private static Link link(double x, double y, double z, double toX, double toY, double toZ) {
        return new Link(new Point(x, y, z), new Point(toX, toY, toZ));
    }

    private static final LeafSprung LEAVES = new LeafSprung(leaf(560, 430, -640), Optional.empty(), Optional.of(BAR));
    private static final RadiusArms ARMS =
            new RadiusArms(link(-780, 330, 410, 0, 400, 390), Optional.empty(), Optional.of(BAR));
    private static final Linked THREE = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 60, 560, -30, 80, 540)),
            Optional.of(BAR));
    private static final Linked SPREAD = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 380, 560, -30, 60, 540),
                    link(-600, -380, 560, -30, -60, 540)),
            Optional.empty());
    private static final Linked FIVE = new Linked(
            List.of(
                    link(-720, 390, 380, 0, 430, 330),
                    link(-720, -390, 380, 0, -430, 330),
                    link(-600, 300, 560, -30, 300, 540),
                    link(-600, -300, 560, -30, -300, 540)),
            Optional.of(BAR));

    static Stream<Beam> held() {
        return Stream.of(LEAVES, LEAVES.withTrackBar(Optional.empty()), ARMS, THREE, SPREAD, FIVE);
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
        Beam closed = new Beam.Sprung(Optional.of(BAR));
        HeldBeam general = new HeldBeam(
                DESIGN,
                TRACK,
                (s, beam, level) -> {
                    s.held(beam, DESIGN.origin(), Vector.X.direction());
                    s.drivenSquare(Vector.X, Vector.Y.direction(), level, beam, Vector.Z);
                    s.drivenSquare(Vector.X, Vector.Z.direction(), level, beam, Vector.Y);
                    HeldBeam.sideways(s, beam, Optional.of(BAR), DESIGN.origin());
                },
                (_, _) -> 0);
        for (double[] z : RISES) {
            Frame c = at(closed, z[0], z[1]);
            Frame g = general.place(z[0], z[1]).now().orElseThrow();
            assertThat(g.origin().distanceTo(c.origin())).isLessThan(1e-9);
            assertThat(g.e().minus(c.e()).norm() + g.f().minus(c.f()).norm()).isLessThan(1e-11);
        }
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
                Optional.of(new Beam.TrackBar(new Point(0, 700, 390), new Point(0, -700, 390))));
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
        RadiusArms arms = ARMS.withTrackBar(Optional.empty());
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
                Optional.empty());
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
        LeafSprung sloping = new LeafSprung(leaf(560, 400, -560), Optional.empty(), Optional.empty());
        double up = 1;
        double slope = 50.0 / 560;
        double atSeat = up * 840 / TRACK;
        assertThat(yawLeftDeg(at(sloping, up, -up))).isCloseTo(-Math.toDegrees(2 * atSeat * slope / 840), within(1e-6));
        assertThat(yawLeftDeg(at(sloping, 40, -40))).isLessThan(-0.2);
        // With the eye above the seat it is the other way, and with the shackle ahead as well.
        assertThat(yawLeftDeg(at(new LeafSprung(leaf(560, 500, -560), Optional.empty(), Optional.empty()), 40, -40)))
                .isGreaterThan(0.2);
        assertThat(yawLeftDeg(at(new LeafSprung(leaf(-560, 400, 560), Optional.empty(), Optional.empty()), 40, -40)))
                .isGreaterThan(0.2);
    }

    /** 500 ahead, 600 behind: (500 − 600) / (500 × 600) rad for each mm, and caster goes with it. */
    @Test
    void unlikeHalvesWindTheAxleUp() {
        LeafSprung unlike = new LeafSprung(leaf(500, 450, -600), Optional.empty(), Optional.empty());
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
        assertThatThrownBy(() -> THREE.withTrackBar(Optional.empty())).hasMessageContaining("track bar");
        Linked along = new Linked(
                List.of(
                        link(-600, 400, 330, 0, 400, 330),
                        link(-600, -400, 330, 0, -400, 330),
                        link(-600, 300, 530, 0, 300, 530),
                        link(-600, -300, 530, 0, -300, 530)),
                Optional.empty());
        assertThatThrownBy(() -> along.placer(DESIGN, TRACK))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("spread");
        assertThatThrownBy(() -> leaf(560, 430, 640)).hasMessageContaining("between its two eyes");
        assertThatThrownBy(() -> link(1, 2, 3, 1, 2, 3)).hasMessageContaining("no length");
    }

    @Test
    void whatEndsTheTravelIsNamed() {
        Beam.TrackBar shortOne = new Beam.TrackBar(new Point(-130, 100, 470), new Point(-120, -60, 430));
        Job tender = DemoJob.BOG_TENDER.job().editAxle(a -> a.withBeam(ARMS.withTrackBar(Optional.of(shortOne))));
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
            assertThat(bar.line(move).get(1)).isEqualTo(move.moved(bar.axleEnd()));
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
                        a.beamDesign(), a.track(), a.beam().orElseThrow().trackBar())));
        assertThat(BeamKind.of(job.axle().orElseThrow().beam().orElseThrow())).isEqualTo(kind);
        AxleSolver axle = new AxleSolver(job.axle().orElseThrow());
        for (double[] z : kind == BeamKind.CENTRE_PIN ? new double[][] {{0, 0}, {50, -50}} : RISES) {
            assertThat(axle.pose(0.2, z[0], z[1]).left())
                    .as(kind + " at " + z[0] + ", " + z[1])
                    .isInstanceOf(KnucklePose.class);
        }
    }
}
