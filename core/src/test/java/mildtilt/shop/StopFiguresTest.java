package mildtilt.shop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Optional;
import mildtilt.analysis.Analysis;
import mildtilt.build.StopBolt;
import mildtilt.geometry.Axis;
import mildtilt.geometry.Point;
import mildtilt.geometry.Side;
import mildtilt.io.jobfile.DemoJob;
import mildtilt.io.jobfile.JobReader;
import mildtilt.io.jobfile.JobWriter;
import mildtilt.job.Job;
import mildtilt.linkage.corner.WheelLimits;
import mildtilt.report.Papers;
import mildtilt.steer.position.SteeringTrain;
import mildtilt.suspension.Kingpin;
import mildtilt.suspension.KnucklePose;
import mildtilt.units.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class StopFiguresTest {

    private static StopFigures of(Job job) {
        SteeringTrain train = new SteeringTrain(job);
        return StopFigures.of(job, train, Analysis.of(job).steer());
    }

    private static Job withStops(Job job, double inner, double outer) {
        return job.editAxle(a -> a.withCorner(
                        Side.LEFT,
                        a.left().withLimits(WheelLimits.NONE.withStops(Optional.of(inner), Optional.of(outer)))))
                .editMaking(m -> m.withStopBolt(new StopBolt(80, Optional.of(60.0))));
    }

    /** The bolt's head is carried by the knuckle itself: its chord is the gap, at every stop and on both sides. */
    @ParameterizedTest
    @EnumSource(DemoJob.class)
    void gapIsTheChordOfThePointOnTheKnuckle(DemoJob which) {
        Job job = withStops(which.job(), 18, 16);
        SteeringTrain train = new SteeringTrain(job);
        KnucklePose[] ahead = new KnucklePose[2];
        for (Side side : Side.values()) {
            ahead[side.ordinal()] =
                    train.pose(0, 0, 0).assembled().orElseThrow().knuckle(side);
        }
        StopFigures f = of(job);
        assertThat(f.bolts()).hasSize(4);
        for (StopFigures.Bolt b : f.bolts()) {
            KnucklePose k = ahead[b.side().ordinal()];
            double way = b.side() == Side.LEFT == b.inner() ? 1 : -1;
            double sw = steeringWheelAt(train, b.side(), way * b.deg());
            KnucklePose there = train.pose(sw, 0, 0).assembled().orElseThrow().knuckle(b.side());
            Axis axis = k.steerAxis();
            Point head = axis.origin()
                    .plus(axis.direction().cross(k.ahead()).direction().times(80));
            double chord = there.carried(head).minus(k.carried(head)).norm();
            boolean kingpin = job.axle().orElseThrow().corner(b.side()).suspension() instanceof Kingpin;
            assertThat(b.gap()).as("%s %s", which, b).isCloseTo(chord, within(kingpin ? 1e-6 : 0.03 * chord));
            assertThat(b.standsOut().orElseThrow()).isCloseTo(60 - b.gap(), within(1e-9));
            StopFigures.Bolt later = of(withStops(which.job(), b.deg() + 0.01, b.deg() + 0.01)).bolts().stream()
                    .filter(x -> x.side() == b.side() && x.inner() == b.inner())
                    .findFirst()
                    .orElseThrow();
            assertThat((later.gap() - b.gap()) / 0.01).isCloseTo(b.perDeg(), within(1e-3));
        }
    }

    private static double steeringWheelAt(SteeringTrain train, Side side, double deg) {
        double low = train.stopDeg(Side.RIGHT).orElseThrow();
        double high = train.stopDeg(Side.LEFT).orElseThrow();
        for (int i = 0; i < 60; i++) {
            double mid = (low + high) / 2;
            boolean below = train.pose(mid, 0, 0)
                    .assembled()
                    .map(a -> a.knuckle(side).steerDeg() < deg)
                    .orElse(mid < 0);
            if (below) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return (low + high) / 2;
    }

    /** An upright axis turns as its wheel points: 2 · 80 · sin 15° at 30°. */
    @Test
    void isAsOnPaperWhereTheAxisStandsUpright() {
        assertThat(StopFigures.gap(80, Math.toRadians(30))).isCloseTo(41.411, within(1e-3));
    }

    @Test
    void tellsOfCollarsTheWayBackAndOfUnequalLocks() throws Exception {
        Job job = withStops(DemoJob.MARSH_CARRIER.job(), 24, 40);
        StopFigures even = of(job);
        assertThat(even.centre().orElseThrow()).isEqualTo(new StopFigures.Centre(278, 278, 76));
        assertThat(even.even().orElseThrow().later()).isEmpty();
        assertThat(even.even().orElseThrow().lockDeg()).isCloseTo(24, within(0.01));
        // A collar as thick as what is left ends the rack just there.
        StopFigures.End left = even.ends().getFirst();
        Job collared = job.editAxle(a -> a.editRack(r -> r.withTravelEachWay(r.travelEachWay() - left.left()))
                .withCorner(Side.LEFT, a.left().withLimits(WheelLimits.NONE)));
        assertThat(Analysis.of(collared)
                        .steer()
                        .orElseThrow()
                        .lock(Side.LEFT)
                        .turn()
                        .innerDeg())
                .isCloseTo(24, within(0.01));
        Job uneven = job.editAxle(a -> a.withOwnRight(Optional.of(
                a.corner(Side.RIGHT).withLimits(WheelLimits.NONE.withStops(Optional.of(27.0), Optional.empty())))));
        StopFigures.Even e = of(uneven).even().orElseThrow();
        assertThat(e.later()).contains(Side.RIGHT);
        assertThat(e.furtherDeg()).isCloseTo(3, within(0.02));
        assertThat(JobReader.read(JobWriter.write(uneven)).making().stopBolt())
                .isEqualTo(new StopBolt(80, Optional.of(60.0)));
        Papers papers = Papers.of(Analysis.of(uneven), LocalDate.EPOCH);
        assertThat(papers.table("stops").orElseThrow().rows()).hasSize(7);
        assertThat(papers.run().lines().stream()
                        .flatMap(l -> l.step().measure().stream())
                        .map(p -> p.text(LengthUnit.MM)))
                .anyMatch(t -> t.startsWith("The right lock goes 3.0° further: set its stop at 24.0°"));
    }
}
