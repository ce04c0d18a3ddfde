package mildtilt.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.geometry.Vector;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Element;
import mildtilt.job.Job;
import mildtilt.linkage.rods.RodTube;
import mildtilt.obstacle.Obstacle;
import mildtilt.obstacle.Shape;
import mildtilt.steer.position.AxlePose;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.steer.range.LockLimits;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DrawingTest {

    @ParameterizedTest
    @EnumSource(Elevation.class)
    void elevationMoveEqualsMoveInSpace(Elevation e) {
        Point p = new Point(-310, 205, 480);
        Vector by = e.inSpace(12, -7);
        Point q = p.plus(by);
        assertThat(e.across(q) - e.across(p)).isCloseTo(12, within(1e-9));
        assertThat(e.up(q) - e.up(p)).isCloseTo(-7, within(1e-9));
        assertThat(by.norm()).isCloseTo(Math.hypot(12, 7), within(1e-12));
    }

    @Test
    void labelsDoNotOverlapAndAvoidLines() {
        Random random = new Random(5);
        LabelPlacer placer = new LabelPlacer(new Box(0, 0, 600, 400));
        placer.keepClear(0, 200, 600, 200);
        List<Box> placed = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            placer.place(random.nextDouble() * 600, random.nextDouble() * 400, 60, 14)
                    .ifPresent(s -> placed.add(s.box()));
        }
        assertThat(placed).hasSizeGreaterThan(40);
        for (Box a : placed) {
            assertThat(placed.stream().filter(b -> b != a && b.meets(a))).isEmpty();
            assertThat(new Box(0, 0, 600, 400).holds(a)).isTrue();
        }
        assertThat(placed.stream().filter(b -> b.crossedBy(0, 200, 600, 200)).count())
                .isZero();
    }

    @Test
    void sketchFollowsSteeringInput() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        SteeringTrain train = new SteeringTrain(demo);
        Sketch still = Sketch.ofDesign(demo, train);
        Sketch turned = Sketch.of(
                demo,
                train,
                200,
                30,
                -30,
                Optional.of(train.pose(200, 30, -30)),
                Backdrop.of(demo, train, Optional.empty()));
        assertThat(turned.strokes()).hasSameSizeAs(still.strokes()).isNotEqualTo(still.strokes());
        Extent plan = Extent.of(still, Elevation.PLAN);
        assertThat(plan.width()).isCloseTo(2 * 760 + 280, within(8.0));
        // The outline of a tyre seen from the side is its circle.
        List<Outlines.Flat> tyre = still.strokes().stream()
                .filter(s -> s.pen() == Pen.TYRE)
                .map(Stroke.Outline.class::cast)
                .findFirst()
                .map(s -> Outlines.of(s, Elevation.SIDE))
                .orElseThrow();
        assertThat(tyre).allMatch(f -> Math.abs(Math.hypot(f.across(), f.up() - 390) - 390) < 3);
    }

    /** What is taken over from the position or the job before is what would have been drawn anew. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void reusedBackdropDrawsTheSame(DemoJob which) {
        Job job = which.job();
        SteeringTrain train = new SteeringTrain(job);
        Backdrop first = Backdrop.of(job, train, Optional.empty());
        Job renamed = job.withTitle("another")
                .withVehicle(job.vehicle().withTyreWidth(job.vehicle().tyreWidth() + 5));
        Job moved = job.editSurroundings(
                s -> s.with(Obstacle.fixed("post", new Shape.Sphere(new Point(-200, 300, 500), 60))));
        for (Job now : List.of(job, renamed, moved)) {
            SteeringTrain t = now == job ? train : new SteeringTrain(now);
            Backdrop taken = Backdrop.of(now, t, Optional.of(first));
            double[][] places = {
                {0, 0},
                {0.7 * t.stopDeg(Side.LEFT).orElseThrow(), 0},
                {-0.4 * t.stopDeg(Side.RIGHT).orElseThrow(), 0}
            };
            for (double[] p : places) {
                Optional<AxlePose> pose = Optional.of(t.pose(p[0], p[1], p[1]));
                assertThat(Sketch.of(now, t, p[0], p[1], p[1], pose, taken))
                        .isEqualTo(Sketch.of(now, t, p[0], p[1], p[1], pose, Backdrop.of(now, t, Optional.empty())));
            }
        }
        assertThat(Sketch.ofDesign(moved, new SteeringTrain(moved)).strokes())
                .hasSize(Sketch.ofDesign(job, train).strokes().size() + 1);
    }

    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void everyLinkageIsDrawnCompletely(DemoJob which) {
        Job job = which.job();
        SteeringTrain t = new SteeringTrain(job);
        Backdrop backdrop = Backdrop.of(job, t, Optional.empty());
        double sw = 0.6 * t.stopDeg(Side.LEFT).orElseThrow();
        AxlePose pose = t.pose(sw, 0, 0);
        Sketch sketch = Sketch.of(job, t, sw, 0, 0, Optional.of(pose), backdrop);
        List<Element> train = Element.of(job);
        for (Element e : train) {
            assertThat(sketch.strokes()).as(e.toString()).anyMatch(s -> s.element()
                    .equals(Optional.of(e)));
        }
        assertThat(sketch.strokes()).allMatch(s -> train.contains(s.element().orElseThrow()));
        AxlePose.Assembled a = pose.assembled().orElseThrow();
        assertThat(sketch.strokes().stream()
                        .filter(s -> s.pen() == Pen.TIE_ROD)
                        .flatMap(s -> s.points().stream())
                        .toList())
                .contains(a.left().tieRodPoint(), a.right().tieRodPoint());
        for (Elevation e : Elevation.values()) {
            Extent x = Extent.of(sketch, e);
            assertThat(x.width()).isBetween(100.0, 5000.0);
            assertThat(x.height()).isBetween(100.0, 5000.0);
        }
        // The sectors end where something stops the lock.
        double left = LockLimits.stop(t, job, Side.LEFT).steeringWheelDeg();
        double lock =
                Math.abs(t.pose(left, 0, 0).assembled().orElseThrow().left().steerDeg());
        assertThat(sketch.construction().notes())
                .anySatisfy(n -> assertThat(n.figure().value()).isCloseTo(lock, within(1e-9)));
        assertThat(sketch.construction().strokes())
                .filteredOn(s -> s.pen() == Pen.TURN_AXIS)
                .hasSize(2);
        assertThat(Sketch.ofDesign(job, t).construction().strokes()).isEmpty();
    }

    @Test
    void crankedRodIsDrawnOffItsLine() {
        Job cranked = DemoJob.MARSH_CARRIER
                .job()
                .editAxle(a -> a.withCorner(
                        Side.LEFT,
                        a.left().withRodEnds(a.left().rodEnds().withTube(Optional.of(new RodTube(25, 4, 60, 235))))));
        List<Stroke> rods = Sketch.ofDesign(cranked, new SteeringTrain(cranked)).strokes().stream()
                .filter(s -> s.pen() == Pen.TIE_ROD)
                .toList();
        for (Stroke rod : rods) {
            Axis line = Axis.through(rod.points().getFirst(), rod.points().getLast());
            assertThat(rod.points()).hasSize(4);
            assertThat(line.distanceTo(rod.points().get(1))).isCloseTo(60, within(1e-9));
            assertThat(rod.points().get(1).z())
                    .isLessThan(line.footOf(rod.points().get(1)).z());
        }
        assertThat(rods).hasSize(2);
    }
}
