package mildtilt.columnrange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.bearings.Supports;
import mildtilt.catalogue.Catalogue;
import mildtilt.clocking.BestClocking;
import mildtilt.column.Adjustment;
import mildtilt.column.Column;
import mildtilt.column.ColumnTrain;
import mildtilt.column.ColumnTube;
import mildtilt.column.Joint;
import mildtilt.column.Shaft;
import mildtilt.column.Slide;
import mildtilt.column.TestColumns;
import mildtilt.column.Transfer;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.CatalogueFile;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.rules.RuleLimit;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The column over its range, bent, tilted, pushed, and its train changed part by part. */
class ColumnRangeTest {

    private final Catalogue parts = CatalogueFile.shipped();

    private static double angle(Point a, Point b, Point c) {
        return Math.toDegrees(b.minus(a).angleTo(c.minus(b)));
    }

    @Test
    void rangeWithoutAdjustmentIsThePlan() {
        Column c = TestColumns.random(new Random(4), 4);
        ColumnRange range = ColumnRange.of(c);
        for (int j = 0; j < 4; j++) {
            assertThat(range.joints().get(j).worstDeg()).isCloseTo(new ColumnTrain(c).jointAngleDeg(j), within(1e-9));
            assertThat(range.joints().get(j).at()).isEmpty();
        }
        for (int s = 0; s <= 4; s++) {
            assertThat(range.shafts().get(s).shortest())
                    .isEqualTo(range.shafts().get(s).longest())
                    .isEqualTo(c.length(s));
            assertThat(range.shafts().get(s).mustSlide()).isFalse();
        }
    }

    /** No setting between the ends is worse than the worst that is told, and what is told is reached. */
    @RepeatedTest(6)
    void nothingTheDriverOrTheFrameDoesIsWorseThanTold(RepetitionInfo rep) {
        Random r = new Random(rep.getCurrentRepetition());
        Column c = TestColumns.random(r, 1 + rep.getCurrentRepetition() % 3);
        double pivot = c.length(0) * 0.7;
        c = c.withWheel(c.wheel().withAdjustment(new Adjustment(25, 35, 7, 4, Optional.of(pivot))))
                .withInstallation(c.installation().withFrameMovement(6));
        ColumnRange range = ColumnRange.of(c);
        double[] worst = new double[c.joints().size()];
        Vector along = c.axis(0).vector();
        Axis level =
                new Axis(c.hub().plus(along.times(pivot)), Vector.Z.cross(along).direction());
        for (int i = 0; i < 4000; i++) {
            // Hub and first joint by hand: tilted about the level axis at the pivot, slid along the shaft, shifted by
            // the frame.
            double tilt = Math.toRadians(-4 + 11 * within01(r));
            double reach = -35 + 60 * within01(r);
            Vector moved = new Vector(r.nextGaussian(), r.nextGaussian(), r.nextGaussian())
                    .direction()
                    .times(6 * within01(r));
            Vector way = level.direction().turn(along, tilt);
            Point hub = level.turned(c.hub(), tilt).plus(way.times(reach)).plus(moved);
            Point first = level.turned(c.end(0), tilt).plus(way.times(reach)).plus(moved);
            for (int j = 0; j < worst.length; j++) {
                Point before = j == 0 ? hub : j == 1 ? first : c.start(j);
                Point centre = j == 0 ? first : c.joints().get(j).centre();
                double deg = angle(before, centre, c.end(j + 1));
                worst[j] = Math.max(worst[j], deg);
                assertThat(deg).isLessThanOrEqualTo(range.joints().get(j).worstDeg() + 0.25);
            }
            double second = first.distanceTo(c.end(1));
            assertThat(second)
                    .isBetween(
                            range.shafts().get(1).shortest() - 0.35,
                            range.shafts().get(1).longest() + 0.35);
            assertThat(hub.distanceTo(first)).isCloseTo(c.length(0), within(1e-9));
        }
        for (int j = 0; j < worst.length; j++) {
            assertThat(range.joints().get(j).worstDeg()).isLessThan(worst[j] + 0.6);
        }
        assertThat(range.shafts().get(1).mustSlide()).isTrue();
        assertThat(range.shafts().getFirst().mustSlide()).isFalse();
    }

    /** At either end as often as between. */
    private static double within01(Random r) {
        double x = 2 * r.nextDouble() - 0.5;
        return Math.clamp(x, 0, 1);
    }

    @Test
    void tiltRaisesHubAndSlidingColumnTakesReach() {
        Column c = TestColumns.random(new Random(2), 2);
        Point up = ColumnRange.pointsAt(c, 0, 5).getFirst();
        assertThat(up.z()).isGreaterThan(c.hub().z());
        assertThat(up.distanceTo(c.end(0))).isCloseTo(c.length(0), within(1e-9));
        Column sliding = c.editShaft(0, s -> s.withSlide(Optional.of(new Slide(100, 50, 60))))
                .withWheel(c.wheel().withAdjustment(new Adjustment(40, 30, 0, 0, Optional.empty())));
        ColumnRange range = ColumnRange.of(sliding);
        assertThat(range.shafts().getFirst().shortest()).isCloseTo(c.length(0) - 40, within(1e-9));
        assertThat(range.shafts().getFirst().longest()).isCloseTo(c.length(0) + 30, within(1e-9));
        assertThat(range.shafts().getFirst().leastOverlap().orElseThrow()).isCloseTo(70, within(1e-9));
        assertThat(range.shafts().getFirst().freeStroke().orElseThrow()).isCloseTo(20, within(1e-9));
        assertThat(range.joints().getFirst().worstDeg()).isCloseTo(new ColumnTrain(c).jointAngleDeg(0), within(1e-9));
    }

    @RepeatedTest(10)
    void aJointIsBentToTheAngleAskedForInThePlaneItBendsIn(RepetitionInfo rep) {
        Random r = new Random(rep.getCurrentRepetition());
        Column c = TestColumns.random(r, 3);
        int joint = rep.getCurrentRepetition() % 3;
        Vector plane = c.axis(joint).cross(c.axis(joint + 1).vector());
        for (double deg : new double[] {0.01, 3, 22.5, 61, 89}) {
            Column bent = JointBend.withAngle(c, joint, deg);
            assertThat(new ColumnTrain(bent).jointAngleDeg(joint)).isCloseTo(deg, within(1e-9));
            Vector off = bent.joints().get(joint).centre().minus(c.start(joint));
            assertThat(Math.abs(off.dot(plane) / plane.norm())).isLessThan(1e-6);
            assertThat(bent.axis(joint).cross(bent.axis(joint + 1).vector()).dot(plane))
                    .as("bent the same way")
                    .isPositive();
        }
        Column straight = JointBend.withAngle(c, joint, 0);
        assertThat(new ColumnTrain(straight).jointAngleDeg(joint)).isCloseTo(0, within(1e-6));
        // From straight it bends up.
        Column up = JointBend.withAngle(straight, joint, 20);
        assertThat(up.joints().get(joint).centre().z())
                .isGreaterThan(straight.joints().get(joint).centre().z());
        assertThatThrownBy(() -> JointBend.withAngle(c, joint, 90)).isInstanceOf(ImpossibleGeometryException.class);
        assertThatThrownBy(() -> JointBend.withAngle(c, joint, -1)).isInstanceOf(ImpossibleGeometryException.class);
    }

    @Test
    void rotatedRackKeepsSizesAndRangesEndAtLimit() {
        Job job = DemoJob.MARSH_CARRIER.job();
        GearTilt tilt = GearTilt.of(job).orElseThrow();
        Column was = job.column().orElseThrow();
        Column turned = GearTilt.tilted(job, 25).column().orElseThrow();
        int last = was.joints().size();
        assertThat(turned.length(last)).isCloseTo(was.length(last), within(1e-9));
        assertThat(turned.hub()).isEqualTo(was.hub());
        assertThat(turned.gearInput().y())
                .as("a level rack turns its input in a plane fore and aft")
                .isCloseTo(was.gearInput().y(), within(1e-9));
        assertThat(GearTilt.tilted(job, 25).axle()).isEqualTo(job.axle());
        assertThat(GearTilt.tilted(GearTilt.tilted(job, 25), -25)
                        .column()
                        .orElseThrow()
                        .gearInput()
                        .distanceTo(was.gearInput()))
                .isCloseTo(0, within(1e-9));
        assertThat(tilt.suits()).isNotEmpty();
        for (GearTilt.Stretch s : tilt.suits()) {
            assertThat(spare(GearTilt.tilted(job, s.fromDeg()))).isGreaterThanOrEqualTo(-1e-9);
            assertThat(spare(GearTilt.tilted(job, s.bestDeg())))
                    .isCloseTo(s.spareDeg(), within(1e-9))
                    .isGreaterThan(0);
            if (s.toDeg() < GearTilt.FARTHEST) {
                assertThat(spare(GearTilt.tilted(job, s.toDeg() + 0.1))).isNegative();
            }
            if (s.fromDeg() > -GearTilt.FARTHEST) {
                assertThat(spare(GearTilt.tilted(job, s.fromDeg() - 0.1))).isNegative();
            }
        }
        // Where the rules allow less the stretches are narrower; a box is not turned in clamps.
        GearTilt strict = GearTilt.of(job.withRules(job.rules().with(RuleLimit.JOINT_ANGLE, 30)))
                .orElseThrow();
        assertThat(width(strict)).isLessThan(width(tilt));
        assertThat(GearTilt.of(DemoJob.LIBRARY_BUS.job())).isEmpty();
        assertThatThrownBy(() -> GearTilt.tilted(DemoJob.LIBRARY_BUS.job(), 3)).hasMessageContaining("Only a rack");
        assertThat(GearTilt.bestRippleAt(job, 0))
                .isCloseTo(BestClocking.asMade(new ColumnTrain(was)).ripplePct(), within(1e-9));
    }

    private static double width(GearTilt t) {
        return t.suits().stream().mapToDouble(s -> s.toDeg() - s.fromDeg()).sum();
    }

    private static double spare(Job job) {
        return ColumnFigures.spareDeg(job);
    }

    @Test
    void frontalPushMeetsStrokeThenKink() {
        FrontPush straight = FrontPush.of(TestColumns.straight(2, 300));
        assertThat(straight).isEqualTo(new FrontPush(0, 0, 0, List.of()));
        Column c = TestColumns.through(
                List.of(
                        new Point(-900, 0, 900),
                        new Point(-600, 0, 900),
                        new Point(-300, 0, 600),
                        new Point(0, 0, 600)),
                new double[] {0});
        FrontPush kinked = FrontPush.of(TestColumns.inTube(c)
                .editShaft(1, s -> s.withSlide(Optional.of(new Slide(80, 50, 35))))
                .withTube(Optional.of(new ColumnTube(45, 20, 250, 60)))
                .withInstallation(c.installation().withBulkhead(Optional.of(-450.0))));
        // The tube's 60 move the shaft in it, which does not slide: nothing of that. The slide's 35 close.
        assertThat(kinked.stroke()).isEqualTo(35);
        assertThat(kinked.kinkDeg()).isCloseTo(90, within(1e-9));
        // From the line between hub and gear, which falls by one in three.
        assertThat(kinked.standsOff()).isCloseTo(100 * 3 / Math.sqrt(10), within(1e-9));
        assertThat(kinked.inCabin()).containsExactly(0);
    }

    /** Split and taken out again the train is as it was; nothing else moves, and names stay apart. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void splittingAndRemovingAJointIsIdentity(DemoJob demo) {
        Column c = demo.job().column().orElseThrow();
        for (int s = 0; s < c.shafts().size(); s++) {
            Column split = TrainEdits.split(c, s, parts.joints().getFirst());
            assertThat(split.joints()).hasSize(c.joints().size() + 1);
            assertThat(split.shafts().stream().map(Shaft::name)).doesNotHaveDuplicates();
            assertThat(split.joints().stream().map(Joint::name)).doesNotHaveDuplicates();
            assertThat(split.points()).containsAll(c.points());
            assertThat(new ColumnTrain(split).jointAngleDeg(s)).isCloseTo(0, within(1e-6));
            assertThat(split.joints().get(s).typical())
                    .as("a catalogue's sizes are typical until measured")
                    .isTrue();
            // A straight joint adds nothing: the column turns as it did, at every place of the wheel.
            Transfer was = new ColumnTrain(c).transfer().orElseThrow();
            Transfer now = new ColumnTrain(split).transfer().orElseThrow();
            for (double in = -3; in < 3; in += 0.4) {
                assertThat(now.outputAt(in)).isCloseTo(was.outputAt(in), within(1e-9));
            }
            Column back = TrainEdits.withoutJoint(split, s);
            assertThat(back.points()).isEqualTo(c.points());
            assertThat(back.shafts().stream().map(Shaft::toCut))
                    .isEqualTo(c.shafts().stream().map(Shaft::toCut).toList());
            assertThat(back.wheelEndFit(0)).isEqualTo(c.wheelEndFit(0));
            assertThat(back.gear()).isEqualTo(c.gear());
        }
    }

    @Test
    void columnTakesAtMostEightJoints() {
        Column c = TestColumns.random(new Random(1), 8);
        assertThatThrownBy(() -> TrainEdits.split(c, 3, parts.joints().getFirst()))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("up to 8");
        Column none = c;
        for (int left = 8; left > 0; left--) {
            none = TrainEdits.withoutJoint(none, left / 2);
            assertThat(none.joints()).hasSize(left - 1);
        }
        assertThat(none.shafts()).hasSize(1);
        Column begun = TrainEdits.begun(
                Optional.of(new Point(10, 100, 300)), parts.joints().getFirst());
        assertThat(begun.gearInput()).isEqualTo(new Point(10, 100, 300));
        assertThat(Supports.of(begun).allHeld()).isTrue();
        assertThat(new ColumnTrain(begun).jointAngleDeg(0)).isLessThan(35);
    }

    @Test
    void swappedPartKeepsNameAndPlace() {
        Column c = DemoJob.MARSH_CARRIER.job().column().orElseThrow();
        Joint part = parts.joints().get(3);
        Column joint = TrainEdits.swapped(c, 1, part);
        assertThat(joint.joints().get(1))
                .isEqualTo(part.withId(c.joints().get(1).id())
                        .withName("Lower joint")
                        .withCentre(c.joints().get(1).centre()));
        Column shaft = TrainEdits.swapped(c, 1, parts.shafts().getFirst());
        assertThat(shaft.shafts().get(1).name()).isEqualTo("Lower shaft");
        assertThat(shaft.shafts().get(1).clockingDeg()).isEqualTo(20);
        assertThat(shaft.shafts().get(1).diameter())
                .isEqualTo(parts.shafts().getFirst().diameter());
        Column bearing = TrainEdits.withBearing(
                TrainEdits.withBearing(c, 1, parts.bearings().getFirst()),
                1,
                parts.bearings().getFirst());
        assertThat(bearing.bearings().stream().map(b -> b.name())).doesNotHaveDuplicates();
        assertThat(bearing.place(bearing.bearings().getFirst())
                        .distanceTo(c.start(1).midwayTo(c.end(1))))
                .isCloseTo(0, within(1e-9));
        Column other = TrainEdits.swappedBearing(bearing, 0, parts.bearings().getLast());
        assertThat(other.bearings().getFirst().bore())
                .isEqualTo(parts.bearings().getLast().bore());
        assertThat(other.bearings().getFirst().along())
                .isEqualTo(bearing.bearings().getFirst().along());
        assertThat(TrainEdits.withoutBearing(other, 0).bearings())
                .containsExactly(bearing.bearings().get(1));
    }
}
