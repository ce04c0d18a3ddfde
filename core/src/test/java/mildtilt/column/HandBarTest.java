package mildtilt.column;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.geometry.Axis;
import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.geometry.Point;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.job.Job;
import mildtilt.steer.SteerFigures;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What hands hold instead of a wheel. */
class HandBarTest {

    private static final Job RIDER = DemoJob.HEATH_RIDER.job();

    private static Column withBar(HandBar bar) {
        Column c = RIDER.column().orElseThrow();
        return c.withWheel(c.wheel().withBar(Optional.of(bar)));
    }

    /** On an upright stem a grip is as far from the axis as it is from the hub in plan. */
    @Test
    void gripsOfAnUprightStemTurnInPlan() {
        Column c = RIDER.column().orElseThrow();
        Point foot = c.gear().point();
        Column upright = c.withWheel(c.wheel()
                .withHub(new Point(foot.x(), foot.y(), 900))
                .withBar(Optional.of(new HandBar(HandBar.Kind.HANDLEBAR, 640, 240, 50, 60))));
        assertThat(upright.handRadius()).isCloseTo(400, within(1e-9));
        List<Point> left = upright.grips(90);
        // A quarter turn to the left takes the left grip from beside the driver's left to behind on the right.
        assertThat(left.getFirst().distanceTo(new Point(foot.x() - 320, foot.y() - 240, 950)))
                .isLessThan(1e-9);
        assertThat(left.getLast().distanceTo(new Point(foot.x() + 320, foot.y() - 240, 950)))
                .isLessThan(1e-9);
    }

    @ParameterizedTest
    @EnumSource(HandBar.Kind.class)
    void gripsGoRoundTheStemAtOneRadius(HandBar.Kind kind) {
        Column c = withBar(kind.usual());
        Axis stem = Axis.through(c.hub(), c.end(0));
        for (double deg = -50; deg <= 50; deg += 12.5) {
            for (Point grip : c.grips(deg)) {
                assertThat(stem.distanceTo(grip)).isCloseTo(c.handRadius(), within(1e-9));
            }
            // A left turn is left-handed about the axis that points down the stem.
            Point design = c.grips(0).getFirst();
            assertThat(c.grips(deg).getFirst().distanceTo(stem.turned(design, -Math.toRadians(deg))))
                    .isLessThan(1e-9);
        }
        assertThat(c.grips(0)).hasSize(kind == HandBar.Kind.TILLER ? 1 : 2);
    }

    /** Torque is what the gear wants, so that force at the grips is that of a rim of the same radius. */
    @Test
    void effortGoesByTheGripsRadius() {
        Column c = RIDER.column().orElseThrow();
        Job wheel =
                RIDER.withColumn(c.withWheel(c.wheel().withBar(Optional.empty()).withDiameter(2 * c.handRadius())));
        double bar = parked(RIDER);
        assertThat(parked(wheel)).isCloseTo(bar, within(1e-9 * bar));
        Job wide = RIDER.withColumn(withBar(c.wheel().bar().orElseThrow().withApart(900)));
        double ratio = c.handRadius() / wide.column().orElseThrow().handRadius();
        assertThat(parked(wide)).isCloseTo(bar * ratio, within(1e-9 * bar));
    }

    private static double parked(Job job) {
        return Analysis.of(job)
                .steer()
                .flatMap(SteerFigures::effort)
                .orElseThrow()
                .worstParked();
    }

    @Test
    void gripOnTheStemItselfIsRefused() {
        assertThatThrownBy(() -> withBar(new HandBar(HandBar.Kind.TILLER, 0, 0, 40, 60)))
                .isInstanceOf(ImpossibleGeometryException.class)
                .hasMessageContaining("grip of the tiller")
                .hasMessageContaining("30 mm");
    }
}
