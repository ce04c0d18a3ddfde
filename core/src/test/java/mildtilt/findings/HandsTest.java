package mildtilt.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mildtilt.analysis.Analysis;
import mildtilt.clearance.PairGap;
import mildtilt.column.HandBar;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.obstacle.Driver;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.steer.HandSwing;
import mildtilt.steer.SteerFigures;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;

/** Hands on a bar: how far they must go, what they meet, and what is said of it. */
class HandsTest {

    private static final Job RIDER = DemoJob.HEATH_RIDER.job();
    private static final Job TRIKE = DemoJob.PARCEL_TRIKE.job();

    private static Job bar(Job job, UnaryOperator<HandBar> edit) {
        return job.editColumn(c -> c.withWheel(c.wheel().withBar(c.wheel().bar().map(edit))));
    }

    private static List<Finding> found(Job job, Fault fault) {
        return Analysis.of(job).findings().stream()
                .filter(f -> f.fault() == fault)
                .toList();
    }

    private static HandSwing swing(Job job) {
        return Analysis.of(job).steer().flatMap(SteerFigures::hands).orElseThrow();
    }

    @Test
    void barThatHandsCanNotFollowIsAStop() {
        double needed = swing(RIDER).mostDeg();
        assertThat(found(bar(RIDER, b -> b.withSwingEachWayDeg(Math.ceil(needed))), Fault.HANDS_CAN_NOT_FOLLOW))
                .isEmpty();
        assertThat(found(bar(RIDER, b -> b.withSwingEachWayDeg(Math.floor(needed))), Fault.HANDS_CAN_NOT_FOLLOW))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.severity()).isEqualTo(Severity.STOP);
                    assertThat(f.what().text(LengthUnit.MM)).contains("handlebar");
                });
    }

    /** By hand: the right grip is farthest from its shoulder with the bar at the left lock. */
    @Test
    void reachIsTheDistanceFromShoulderToGripAtTheLock() {
        HandSwing s = swing(RIDER);
        Driver d = RIDER.surroundings().driver().orElseThrow();
        Point right = RIDER.column().orElseThrow().grips(s.leftDeg()).getLast();
        Point left = RIDER.column().orElseThrow().grips(-s.rightDeg()).getFirst();
        double farthest = Math.max(right.distanceTo(d.shoulder(Side.RIGHT)), left.distanceTo(d.shoulder(Side.LEFT)));
        assertThat(s.reach().orElseThrow().mm()).isCloseTo(farthest, within(1e-9));
    }

    @Test
    void gripOutOfReachIsSaidAndItsRemedyCuresIt() {
        double reach = swing(TRIKE).reach().orElseThrow().mm();
        Job shortArmed =
                TRIKE.editSurroundings(s -> s.withDriver(s.driver().map(d -> d.withArm(Math.floor(reach) - 20))));
        Finding f = found(shortArmed, Fault.HANDS_CAN_NOT_REACH).getFirst();
        assertThat(f.severity()).isEqualTo(Severity.STOP);
        assertThat(f.remedies()).isNotEmpty().allSatisfy(r -> assertThat(
                        found(r.edit().apply(shortArmed), Fault.HANDS_CAN_NOT_REACH))
                .isEmpty());
    }

    /** A post on the left grip's circle, half-way to the lock: straight ahead it is far, half-way the bar is in it. */
    @Test
    void barSweepsThroughWhatStandsOnItsWay() {
        double half = swing(RIDER).leftDeg() / 2;
        Point on = RIDER.column().orElseThrow().grips(half).getFirst();
        Job posted =
                RIDER.editSurroundings(s -> s.withObstacles(List.of(Obstacle.fixed("post", new Shape.Sphere(on, 15)))));
        PairGap gap = Analysis.of(posted).clearance().orElseThrow().pairs().stream()
                .filter(p -> p.label().contains("post")
                        && p.label().toLowerCase(Locale.ROOT).contains("handlebar"))
                .findFirst()
                .orElseThrow();
        // The bar's end is a half ball of 12.5 about the grip: it covers the post's middle.
        assertThat(gap.gap()).isLessThan(-12.5);
        assertThat(gap.atRest()).isGreaterThan(40);
    }

    /** Raised to where the knees come up, levers clear the legs at rest and not all round the pedals. */
    @Test
    void pedallingLegsAreLookedAtAllRound() {
        Job still = TRIKE.editSurroundings(s -> s.withDriver(s.driver().map(d -> d.withPedals(Optional.empty()))));
        double resting = legGap(still);
        double pedalling = legGap(TRIKE);
        assertThat(pedalling).isLessThan(resting);
    }

    private static double legGap(Job job) {
        return Analysis.of(job).clearance().orElseThrow().pairs().stream()
                .filter(p -> p.label().toLowerCase(Locale.ROOT).contains("lever")
                        && p.label().contains("leg"))
                .mapToDouble(PairGap::gap)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }
}
