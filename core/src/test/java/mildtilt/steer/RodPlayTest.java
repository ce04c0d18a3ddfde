package mildtilt.steer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.findings.Fault;
import mildtilt.findings.Severity;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.AxleSolver;
import mildtilt.linkage.DragLink;
import mildtilt.linkage.Mechanism;
import mildtilt.linkage.SteeredAxle;
import mildtilt.linkage.rods.Rod;
import mildtilt.steer.forces.RodPlay;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.KnucklePose;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What rods that give let wheels and hands do, against linkages whose rods are that much longer. */
class RodPlayTest {

    private static Job giving(Job job, Rod rod, double mm) {
        return job.editAxle(a -> a.editRodEnds(rod, e -> e.withPlay(Optional.of(mm))));
    }

    private static RodPlay play(Job job) {
        return RodPlay.of(new SteeringTrain(job)).orElseThrow();
    }

    /** A tie rod longer by a little, its outer end where it was: the arm's end is pushed out by as much. */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"MARSH_CARRIER", "GARDEN_SHUTTLE", "LIBRARY_BUS", "SALT_RAKE", "HEATH_RIDER", "REED_SKIMMER"})
    void tieRodThatGivesFreesItsOwnWheelOnly(DemoJob demo) {
        Job job = demo.job();
        RodPlay p =
                play(giving(job.editAxle(a -> a.withOwnRight(Optional.of(a.corner(Side.RIGHT)))), Rod.LEFT_TIE_ROD, 2));
        assertThat(p.rightDeg()).isZero();
        assertThat(p.steeringWheelDeg()).as("the right wheel follows at once").isZero();
        SteeredAxle axle = job.axle().orElseThrow();
        KnucklePose k = (KnucklePose) new AxleSolver(axle).pose(0, 0, 0).left();
        // By hand: the rod's end goes along the rod by (k × r) · u for a turn about the steer axis.
        Vector u = k.tieRodPoint().minus(k.tieRodInner()).direction().vector();
        Vector r = k.tieRodPoint().minus(k.steerAxis().footOf(k.tieRodPoint()));
        double perRad = Math.abs(u.dot(k.steerAxis().direction().cross(r)));
        double free = heading(k, 2 / perRad);
        assertThat(p.leftDeg()).isCloseTo(free, within(1e-5 * free));
    }

    /**
     * The driving wheel by its arm's lever, the other one by as much as it follows, the hands by what the first one
     * takes.
     */
    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"BOG_TENDER", "DUNE_WARDEN", "LOG_HAULER", "PARCEL_TRIKE"})
    void dragLinkThatGivesFreesBothWheelsAndTheHands(DemoJob demo) {
        Job job = demo.job();
        SteeredAxle axle = job.axle().orElseThrow();
        RodPlay p = play(giving(job, Rod.DRAG_LINK, 2));
        DragLink link = (DragLink) axle.linkage();
        Side driving = axle.dragLinkSide().orElseThrow();
        Vector u = link.driven(axle).minus(link.start(axle.gear())).direction().vector();
        Axis steer = axle.corner(driving).suspension().steerAxis();
        Vector r = link.driven(axle).minus(steer.footOf(link.driven(axle)));
        double free = heading(
                (KnucklePose) new SteeringTrain(job).pose(0, 0, 0).corner(driving),
                2 / Math.abs(u.dot(steer.direction().cross(r))));
        double driven = driving == Side.LEFT ? p.leftDeg() : p.rightDeg();
        double other = driving == Side.LEFT ? p.rightDeg() : p.leftDeg();
        assertThat(driven).isCloseTo(free, within(1e-5 * free));
        SteeringTrain train = new SteeringTrain(job);
        assertThat(other / driven).isCloseTo(rate(train, driving.other()) / rate(train, driving), within(1e-3));
        assertThat(p.steeringWheelDeg()).isCloseTo(driven / rate(train, driving), within(1e-3 * p.steeringWheelDeg()));
    }

    /** A link before a relay arm counts by the ratio of the relay's two arms. */
    @Test
    void linkBeforeARelayArmCountsByTheRatioOfItsArms() {
        Job job = DemoJob.PARCEL_TRIKE.job();
        RodPlay link = play(giving(job, Rod.INTERMEDIATE_LINK, 1));
        RodPlay drag = play(giving(job, Rod.DRAG_LINK, 1));
        SteeringTrain train = new SteeringTrain(job);
        double step = 1e-3;
        Mechanism.RelayAt up = relay(train, step);
        Mechanism.RelayAt down = relay(train, -step);
        Vector rod =
                relay(train, 0).linkPoint().minus(arm(train, 0)).direction().vector();
        Vector on =
                driven(train).minus(relay(train, 0).dragLinkPoint()).direction().vector();
        double links = rod.dot(up.linkPoint().minus(down.linkPoint()));
        double drags = on.dot(up.dragLinkPoint().minus(down.dragLinkPoint()));
        assertThat(link.leftDeg() / drag.leftDeg()).isCloseTo(Math.abs(drags / links), within(1e-5));
    }

    /** What a turn about the steer axis, rad, comes to seen from above, degrees, by the slope of a small one. */
    private static double heading(KnucklePose k, double turn) {
        double step = 1e-6;
        Vector up = k.steerAxis().direction().turn(k.spin(), step);
        Vector down = k.steerAxis().direction().turn(k.spin(), -step);
        double seen = Math.atan2(up.y(), up.x()) - Math.atan2(down.y(), down.x());
        return Math.toDegrees(Math.abs(seen) / (2 * step) * turn);
    }

    private static Mechanism.DragLinkAt at(SteeringTrain train, double sw) {
        return (Mechanism.DragLinkAt) train.pose(sw, 0, 0).stance().mechanism().orElseThrow();
    }

    private static Mechanism.RelayAt relay(SteeringTrain train, double sw) {
        return at(train, sw).relayArm().orElseThrow();
    }

    private static Point arm(SteeringTrain train, double sw) {
        return at(train, sw).armEnd();
    }

    private static Point driven(SteeringTrain train) {
        return at(train, 0).drivenPoint();
    }

    /** Degrees of a wheel for one of steering wheel. */
    private static double rate(SteeringTrain train, Side side) {
        return Math.abs(train.pose(0.5, 0, 0)
                        .assembled()
                        .orElseThrow()
                        .knuckle(side)
                        .steerDeg()
                - train.pose(-0.5, 0, 0).assembled().orElseThrow().knuckle(side).steerDeg());
    }

    @Test
    void playIsSaidAsAFinding() {
        Job slack = giving(DemoJob.BOG_TENDER.job(), Rod.DRAG_LINK, 8);
        assertThat(Analysis.of(slack).findings())
                .filteredOn(f -> f.fault() == Fault.FREE_PLAY)
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isIn(Severity.LOOK, Severity.STOP));
        assertThat(Analysis.of(giving(DemoJob.BOG_TENDER.job(), Rod.DRAG_LINK, 0.2))
                        .findings())
                .noneMatch(f -> f.fault() == Fault.FREE_PLAY);
        assertThat(List.of(RodPlay.of(new SteeringTrain(DemoJob.BOG_TENDER.job()))))
                .containsExactly(Optional.empty());
    }
}
