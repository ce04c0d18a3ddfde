package mildtilt.arms;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
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
        Job changed = KnuckleEdits.changed(job, Side.LEFT, change);
        KnuckleChange back = KnuckleEdits.between(job, changed, Side.LEFT);
        for (KnuckleChange.Part part : KnuckleChange.Part.values()) {
            boolean stud = job.axle().orElseThrow().left().rodEnds().outerBolt().isPresent();
            assertThat(back.get(part))
                    .as(part.label())
                    .isCloseTo(part.inDegrees() && !stud ? 0 : change.get(part), within(1e-9));
        }
        Job again = KnuckleEdits.changedFrom(job, changed, Side.LEFT, KnuckleChange.NONE);
        assertThat(end(again, Side.LEFT).distanceTo(end(job, Side.LEFT))).isLessThan(1e-9);
        // Mirrored sides change together.
        assertThat(end(changed, Side.RIGHT)).isEqualTo(end(changed, Side.LEFT).mirrored());
    }

    @Test
    void lengtheningKeepsArmDirectionAndOutMovesTowardWheel() {
        Axis steer = demo.axle().orElseThrow().left().suspension().steerAxis();
        Point foot = steer.footOf(end(demo, Side.LEFT));
        Point longer = end(KnuckleEdits.changed(demo, Side.LEFT, new KnuckleChange(20, 0, 0, 0, 0)), Side.LEFT);
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

    @Test
    void instructionGivesMoveAndTapeLengths() {
        Job changed = KnuckleEdits.changedBoth(demo, new KnuckleChange(-15, 0, 6, 5, 0));
        List<String> steps = CutAndMove.steps(Side.LEFT, demo, changed).stream()
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
        assertThat(CutAndMove.steps(Side.LEFT, demo, demo)).hasSize(1);
        assertThat(CutAndMove.steps(Side.LEFT, demo, changed).getFirst().text(LengthUnit.INCH_FRACTION))
                .contains("\"");
    }
}
