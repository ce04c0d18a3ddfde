package mildtilt.arms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.linkage.KnuckleArm;
import mildtilt.linkage.SteeredAxle;
import mildtilt.steer.SteerFigures;
import mildtilt.steer.SteerSweep;
import mildtilt.steer.position.Grid;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class KnuckleEditsTest {

    private final Job demo = DemoJob.MARSH_CARRIER.job();

    private static Point end(Job job, Side side) {
        return job.axle().orElseThrow().corner(side).knuckle().tieRodPoint();
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void knuckleChangeRoundTrips(DemoJob which) {
        Job job = which.job();
        KnuckleChange change = new KnuckleChange(-11, 4.5, 7, 6, -4);
        Job changed = KnuckleEdits.changed(job, KnuckleArm.LEFT_STEERING, change);
        KnuckleChange back = KnuckleEdits.between(job, changed, KnuckleArm.LEFT_STEERING);
        for (KnuckleChange.Part part : KnuckleChange.Part.values()) {
            boolean stud = job.axle().orElseThrow().left().rodEnds().outerBolt().isPresent();
            assertThat(back.get(part))
                    .as(part.label())
                    .isCloseTo(part.inDegrees() && !stud ? 0 : change.get(part), within(1e-9));
        }
        Job again = KnuckleEdits.changedFrom(job, changed, KnuckleArm.LEFT_STEERING, KnuckleChange.NONE);
        assertThat(end(again, Side.LEFT).distanceTo(end(job, Side.LEFT))).isLessThan(1e-9);
        // Mirrored sides change together.
        assertThat(end(changed, Side.RIGHT)).isEqualTo(end(changed, Side.LEFT).mirrored());
    }

    @Test
    void lengtheningKeepsArmDirectionAndOutMovesTowardWheel() {
        Axis steer = demo.axle().orElseThrow().left().suspension().steerAxis();
        Point foot = steer.footOf(end(demo, Side.LEFT));
        Point longer =
                end(KnuckleEdits.changed(demo, KnuckleArm.LEFT_STEERING, new KnuckleChange(20, 0, 0, 0, 0)), Side.LEFT);
        assertThat(longer.distanceTo(foot)).isCloseTo(end(demo, Side.LEFT).distanceTo(foot) + 20, within(1e-9));
        for (Side side : Side.values()) {
            Point out = end(KnuckleEdits.changedBoth(demo, new KnuckleChange(0, 10, 0, 0, 0)), side);
            assertThat(Math.abs(out.y())).isGreaterThan(Math.abs(end(demo, side).y()) + 9);
        }
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void swappingOrFlippingTwiceIsIdentity(DemoJob which) {
        Job job = which.job();
        Job swapped = KnuckleEdits.swapSides(job);
        for (Side side : Side.values()) {
            Axis steer = job.axle().orElseThrow().corner(side).suspension().steerAxis();
            assertThat(steer.distanceTo(end(swapped, side))).isCloseTo(steer.distanceTo(end(job, side)), within(1e-9));
            assertThat(Math.signum(end(swapped, side).x()
                            - steer.footOf(end(swapped, side)).x()))
                    .as("the arm points the other way")
                    .isEqualTo(-Math.signum(
                            end(job, side).x() - steer.footOf(end(job, side)).x()));
            assertThat(end(KnuckleEdits.swapSides(swapped), side).distanceTo(end(job, side)))
                    .isLessThan(1e-9);
        }
        Job flipped = KnuckleEdits.flipGear(job, false);
        assertThat(flipped).isNotEqualTo(job);
        assertThat(KnuckleEdits.flipGear(flipped, false).axle().orElseThrow().gear())
                .isEqualTo(job.axle().orElseThrow().gear());
    }

    @Test
    void swappedKnucklesReverseSteeringUntilGearMovesToo() {
        Job swapped = KnuckleEdits.swapSides(demo);
        assertThat(SteerSweep.sense(new SteeringTrain(swapped), swapped)).isEqualTo(SteerFigures.Sense.WRONG_WAY);
        Job both = KnuckleEdits.flipGear(swapped, true);
        assertThat(SteerSweep.sense(new SteeringTrain(both), both)).isEqualTo(SteerFigures.Sense.RIGHT_WAY);
        assertThat(SteerSweep.of(new SteeringTrain(both), both, Grid.USUAL)
                        .orElseThrow()
                        .ackermannAt20Pct()
                        .orElseThrow())
                .as("arms made to point back lean the wrong way ahead")
                .isNegative();
    }

    @ParameterizedTest
    @EnumSource(
            value = DemoJob.class,
            names = {"BOG_TENDER", "LOG_HAULER", "DUNE_WARDEN", "PARCEL_TRIKE"})
    void dragLinksArmIsAnArmLikeTheOthers(DemoJob which) {
        Job job = which.job();
        SteeredAxle axle = job.axle().orElseThrow();
        KnuckleArm arm = KnuckleArm.DRAG_LINK;
        Job changed = KnuckleEdits.changed(job, arm, new KnuckleChange(-9, 3, 5, 4, 0));
        SteeredAxle now = changed.axle().orElseThrow();
        assertThat(KnuckleEdits.between(job, changed, arm).lengthen()).isCloseTo(-9, within(1e-9));
        assertThat(now.corner(Side.LEFT)).as("the tie rod's arms stay").isEqualTo(axle.corner(Side.LEFT));
        assertThat(arm.length(now)).isCloseTo(Math.hypot(arm.length(axle) - 9, 3), within(1e-9));
        List<String> steps = CutAndMove.steps(arm, job, changed).stream()
                .map(p -> p.text(LengthUnit.MM))
                .toList();
        assertThat(steps.getFirst()).contains(arm.side(axle).label() + " drag-link arm");
        assertThat(steps).anySatisfy(s -> assertThat(s).contains("9.0 mm toward the steer axis"));
        assertThat(KnuckleArm.of(DemoJob.MARSH_CARRIER.job().axle().orElseThrow()))
                .doesNotContain(arm);
    }

    /** Half the arm: about twice the wheel for the same gear. */
    @Test
    void dragLinksArmSetsTheRatio() {
        Job job = DemoJob.BOG_TENDER.job();
        Job half = KnuckleEdits.scaledArm(job, KnuckleArm.DRAG_LINK, 0.5);
        assertThat(mean(half, 10) / mean(job, 10)).isCloseTo(2, within(0.1));
        Job gear = KnuckleEdits.scaledGearArm(DemoJob.HEATH_RIDER.job(), 0.5);
        assertThat(mean(gear, 5) / mean(DemoJob.HEATH_RIDER.job(), 5))
                .as("holes go with the arm")
                .isCloseTo(0.5, within(0.05));
    }

    private static double mean(Job job, double steeringWheelDeg) {
        SteeringTrain train = new SteeringTrain(job);
        return train.pose(steeringWheelDeg, 0, 0).assembled().orElseThrow().meanSteerDeg()
                - train.pose(0, 0, 0).assembled().orElseThrow().meanSteerDeg();
    }

    @Test
    void instructionGivesMoveAndTapeLengths() {
        Job changed = KnuckleEdits.changedBoth(demo, new KnuckleChange(-15, 0, 6, 5, 0));
        List<String> steps = CutAndMove.steps(KnuckleArm.LEFT_STEERING, demo, changed).stream()
                .map(p -> p.text(LengthUnit.MM))
                .toList();
        assertThat(steps.getFirst()).contains("left steering arm").contains("16.2 mm in all");
        assertThat(steps).anySatisfy(s -> assertThat(s).contains("15.0 mm toward the steer axis"));
        assertThat(steps).anySatisfy(s -> assertThat(s).contains("6.0 mm up"));
        assertThat(steps).anySatisfy(s -> assertThat(s).contains("Turn the boss"));
        double tape = end(changed, Side.LEFT).distanceTo(new Point(5, 640, 280));
        assertThat(steps).anySatisfy(s -> assertThat(s)
                .contains("lower ball joint")
                .contains(String.format(java.util.Locale.ROOT, "%.1f mm", tape)));
        assertThat(CutAndMove.steps(KnuckleArm.LEFT_STEERING, demo, demo)).hasSize(1);
        assertThat(CutAndMove.steps(KnuckleArm.LEFT_STEERING, demo, changed)
                        .getFirst()
                        .text(LengthUnit.INCH_FRACTION))
                .contains("\"");
    }
}
