package mildtilt.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mildtilt.drawing.LabelPlacer.Box;
import mildtilt.format.DemoJob;
import mildtilt.geometry.Point;
import mildtilt.geometry.Vector;
import mildtilt.job.Job;
import mildtilt.steer.SteeringTrain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DrawingTest {

    @ParameterizedTest
    @EnumSource(Elevation.class)
    void aMoveOnTheSheetIsTheSameMoveInSpace(Elevation e) {
        Point p = new Point(-310, 205, 480);
        Vector by = e.inSpace(12, -7);
        Point q = p.plus(by);
        assertThat(e.across(q) - e.across(p)).isCloseTo(12, within(1e-9));
        assertThat(e.up(q) - e.up(p)).isCloseTo(-7, within(1e-9));
        assertThat(by.norm()).isCloseTo(Math.hypot(12, 7), within(1e-12));
    }

    @Test
    void figuresNeverHideEachOtherAndKeepOffLinesWhereTheyCan() {
        Random random = new Random(5);
        LabelPlacer placer = new LabelPlacer(new Box(0, 0, 600, 400));
        placer.keepClear(0, 200, 600, 200);
        List<Box> placed = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            placer.place(random.nextDouble() * 600, random.nextDouble() * 400, 60, 14).ifPresent(placed::add);
        }
        assertThat(placed).hasSizeGreaterThan(40);
        for (Box a : placed) {
            assertThat(placed.stream().filter(b -> b != a && b.meets(a))).isEmpty();
            assertThat(new Box(0, 0, 600, 400).holds(a)).isTrue();
        }
        assertThat(placed.stream().filter(b -> b.crossedBy(0, 200, 600, 200)).count()).isLessThan(3);
    }

    @Test
    void theSketchFollowsTheHands() {
        Job demo = DemoJob.MARSH_CARRIER.job();
        SteeringTrain train = new SteeringTrain(demo);
        Sketch still = Sketch.ofDesign(demo, train);
        Sketch turned = Sketch.of(demo, train, 200, Optional.of(train.pose(200, 30, -30)), LockArcs.of(demo, train));
        assertThat(turned.strokes()).hasSameSizeAs(still.strokes()).isNotEqualTo(still.strokes());
        Extent plan = Extent.of(still, Elevation.PLAN);
        assertThat(plan.width()).isCloseTo(2 * 760 + 280, within(8.0));
        // The outline of a tyre seen from the side is its circle.
        List<Outlines.Flat> tyre = still.strokes().stream()
                .filter(s -> s.pen() == Pen.TYRE).map(Stroke.Outline.class::cast).findFirst()
                .map(s -> Outlines.of(s, Elevation.SIDE)).orElseThrow();
        assertThat(tyre).allMatch(f -> Math.abs(Math.hypot(f.across(), f.up() - 390) - 390) < 3);
    }
}
