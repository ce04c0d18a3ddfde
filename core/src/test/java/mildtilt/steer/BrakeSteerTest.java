package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Finding;
import mildtilt.findings.Remedy;
import mildtilt.findings.checks.NotJudged;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.MountedOn;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.beam.Beam;
import mildtilt.linkage.beam.BeamKind;
import mildtilt.linkage.beam.Leaf;
import mildtilt.linkage.beam.LeafSprung;
import mildtilt.linkage.beam.Sideways;
import mildtilt.linkage.beam.TrackBar;
import mildtilt.suspension.Knuckle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What brakes that wind up the springs do to the wheels. */
class BrakeSteerTest {

    private static SteeredAxle hauler() {
        return DemoJob.LOG_HAULER.job().axle().orElseThrow();
    }

    private static Vector spun(Vector about, Point at, Point centre) {
        return about.cross(at.minus(centre));
    }

    /** How fast a wheel yaws, + left, in rad for each rad, with its knuckle turning so. */
    private static double yaw(Knuckle k, Side side, Vector turning) {
        Vector spin = k.spinAxisPoint().minus(k.wheelCentre()).times(side.sign());
        Vector goes = turning.cross(spin);
        return spin.cross(goes).z() / (spin.x() * spin.x() + spin.y() * spin.y());
    }

    /**
     * By speeds alone: the axle turns nose down about the height of its wheel centres, shifted so that its spring
     * seats stay where they are along the springs; what that moves the drag link's end along the link, the knuckle
     * gives back about its kingpin, and the tie rod takes the other knuckle along.
     */
    private static double bySpeeds(SteeredAxle a) {
        Vector down = Vector.Y;
        Point middle = a.beamDesign().origin();
        Vector shift = new Vector(0, 0, 0);
        if (a.beam().orElseThrow() instanceof LeafSprung l) {
            Leaf s = l.spring(Side.LEFT);
            Vector along = s.eye().minus(s.seat());
            shift = Vector.X.times(-spun(down, s.seat(), middle).dot(along) / along.x());
        }
        DragLink link = (DragLink) a.linkage();
        Point held = link.driven(a);
        Vector rod = held.minus(link.start(a.gear()));
        Side first = a.dragLinkSide().orElseThrow();
        Axis pin = a.corner(first).suspension().steerAxis();
        double turns = -spun(down, held, middle).plus(shift).dot(rod)
                / spun(pin.direction().vector(), held, pin.origin()).dot(rod);
        Side second = first == Side.LEFT ? Side.RIGHT : Side.LEFT;
        Axis other = a.corner(second).suspension().steerAxis();
        Point end = a.corner(first).knuckle().tieRodPoint();
        Point far = a.corner(second).knuckle().tieRodPoint();
        Vector tie = far.minus(end);
        double follows = turns
                * spun(pin.direction().vector(), end, pin.origin()).dot(tie)
                / spun(other.direction().vector(), far, other.origin()).dot(tie);
        double one =
                yaw(a.corner(first).knuckle(), first, down.plus(pin.direction().times(turns)));
        double two = yaw(
                a.corner(second).knuckle(), second, down.plus(other.direction().times(follows)));
        return (one + two) / 2;
    }

    @Test
    void wheelsSteerAsTheSpeedsSay() {
        SteeredAxle hauler = hauler();
        SteeredAxle tender = DemoJob.BOG_TENDER.job().axle().orElseThrow();
        for (SteeredAxle a : List.of(
                hauler,
                hauler.withDrivenEndRaised(60),
                hauler.withBeam(new Beam.Sprung(Sideways.UNAIDED)),
                hauler.withBeam(((LeafSprung) hauler.beam().orElseThrow())
                        .withLeft(
                                new Leaf(new Point(560, 420, 300), new Point(0, 420, 430), new Point(-560, 420, 470)))),
                tender.withBeam(new Beam.Sprung(Sideways.UNAIDED)))) {
            assertThat(BrakeSteer.perDegree(a).orElseThrow()).isCloseTo(bySpeeds(a), within(2e-4));
        }
        // Something is held back at all.
        assertThat(Math.abs(bySpeeds(hauler))).isGreaterThan(0.15);
    }

    @Test
    void linkEndAtTheRightHeightIsNotPulled() {
        SteeredAxle hauler = hauler();
        double up = BrakeSteer.drivenEndUp(hauler, 0).orElseThrow();
        assertThat(Math.abs(BrakeSteer.perDegree(hauler.withDrivenEndRaised(up)).orElseThrow()))
                .isLessThan(0.01);
        assertThat(up).isEqualTo(Math.rint(up));
        double part = BrakeSteer.drivenEndUp(hauler, -0.1).orElseThrow();
        assertThat(BrakeSteer.perDegree(hauler.withDrivenEndRaised(part)).orElseThrow())
                .isCloseTo(-0.1, within(0.005));
    }

    @Test
    void findingIsCuredByItsRemedy() {
        Job hauler = DemoJob.LOG_HAULER.job();
        SteeredAxle pulled = hauler().withDrivenEndRaised(40);
        Job job = hauler.withAxle(pulled);
        Finding found = of(job).orElseThrow();
        assertThat(found.remedies()).hasSize(2);
        for (Remedy r : found.remedies()) {
            assertThat(of(r.edit().apply(job))).isEmpty();
        }
        assertThat(found.what().toString()).contains("brakes wind the axle up");
    }

    private static Optional<Finding> of(Job job) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == Fault.BRAKE_STEER)
                .findFirst();
    }

    /** Links, arms and a pin hold the axle against it; springs do not. */
    @ParameterizedTest
    @EnumSource(BeamKind.class)
    void onlySpringsWindUp(BeamKind kind) {
        SteeredAxle a = hauler();
        SteeredAxle held = a.withBeam(
                kind.usual(a.beamDesign(), a.track(), a.beam().orElseThrow().sideways()));
        assertThat(BrakeSteer.perDegree(held).isPresent())
                .isEqualTo(kind == BeamKind.SPRINGS || kind == BeamKind.LEAF_SPRINGS);
    }

    /** Coils keep no axle from turning, and what does is not in the job; a gear on the axle goes along. */
    @Test
    void whatCannotBeJudgedIsSaid() {
        SteeredAxle hauler = hauler().withDrivenEndRaised(40);
        Job job = DemoJob.LOG_HAULER.job().withAxle(hauler);
        assertThat(of(job)).isPresent();
        assertThat(notJudged(job)).noneMatch(m -> m.contains("brakes wind"));
        Job onCoils = job.withAxle(hauler.withBeam(new Beam.Sprung(Sideways.UNAIDED)));
        assertThat(of(onCoils)).isEmpty();
        assertThat(notJudged(onCoils)).anyMatch(m -> m.contains("brakes wind"));
        Job along = job.withAxle(hauler.withStatedGearOn(Optional.of(MountedOn.AXLE)));
        assertThat(BrakeSteer.perDegree(along.axle().orElseThrow())).isEmpty();
        assertThat(notJudged(along)).anyMatch(m -> m.contains("brakes wind"));
    }

    private static List<String> notJudged(Job job) {
        return Analysis.of(job).notJudged().stream().map(NotJudged::matter).toList();
    }

    /** An upright track bar holds the axle at ride height alone: the rest of the figures stand. */
    @Test
    void uprightTrackBarLeavesTheOtherFigures() {
        SteeredAxle upright =
                hauler().withBeam(new Beam.Sprung(new TrackBar(new Point(-90, 300, 600), new Point(-90, 300, 400))));
        assertThat(BrakeSteer.perDegree(upright)).isEmpty();
        assertThat(Analysis.of(DemoJob.LOG_HAULER.job().withAxle(upright)).steer())
                .isPresent();
    }
}
